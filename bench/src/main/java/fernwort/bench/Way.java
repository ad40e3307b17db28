package fernwort.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;

/** The way through the questions as one picture: a plain van on a phone, page after page. */
final class Way {

  private static final int WIDTH = 390;
  private static final int HEIGHT = 844;
  private static final int COLUMNS = 5;
  private static final int GAP = 12;

  /** How much of its size each page keeps. */
  private static final double SCALE = 0.75;

  private Way() {}

  /** What is answered on a page before its picture: fields that are typed, ticked or chosen. */
  private record Answered(String page, Map<String, String> fields) {}

  private static final List<Answered> PAGES =
      List.of(
          new Answered("vehicle", Map.of("length", "5.4 m")),
          new Answered(
              "tanks", Map.of("t1-litres", "95", "t1-size", "900 x 400 x 290", "t2-litres", "60")),
          new Answered("fill", Map.of("t1-MAINS", "true", "t1-neck-height", "1300")),
          new Answered("vents", Map.of("t1-vent", "1400", "t2-vent", "900")),
          new Answered("suction", Map.of("piece-0", "THREE_WAY", "piece-1", "STRAINER")),
          new Answered("pump", Map.of("flow", "10", "accumulator", "true")),
          new Answered("taps", Map.of("SINK-there", "true", "OUTSIDE-there", "true")),
          new Answered("waste", Map.of()),
          new Answered("lows", Map.of("cold", "true")),
          new Answered("look", Map.of()));

  /** Takes it. */
  static void take(Browser browser, DemoCopy copy, Path to) {
    List<BufferedImage> pages = new ArrayList<>();
    try (BrowserContext context =
        browser.newContext(
            new Browser.NewContextOptions()
                .setViewportSize(WIDTH, HEIGHT)
                .setLocale("en-GB")
                .setIsMobile(true))) {
      Page page = context.newPage();
      page.navigate(copy.address() + "/rigs/new");
      page.fill("#called", "Bluebell on a phone");
      page.click("#ask-me");
      String way = page.url().replaceFirst("/[^/]*$", "/");
      page.navigate(way + "tanks");
      page.click("button[value=add-fresh]");
      page.waitForSelector("#card-t1");
      page.click("button[value=add-gray]");
      page.waitForSelector("#card-t2");
      for (Answered answered : PAGES) {
        page.navigate(way + answered.page());
        answered.fields().forEach((name, value) -> answer(page, name, value));
        page.evaluate("scrollTo(0, 0)");
        pages.add(ImageIO.read(new ByteArrayInputStream(page.screenshot())));
        if (page.locator("#next").count() > 0) {
          page.click("#next");
          page.waitForURL(url -> !url.endsWith("/" + answered.page()));
        }
      }
      ImageIO.write(sheet(pages), "png", to.toFile());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void answer(Page page, String name, String value) {
    String field = "[name='" + name + "']";
    if (value.equals("true")) {
      page.check(field);
    } else if ((Boolean)
        page.evaluate("s => document.querySelector(s).tagName === 'SELECT'", field)) {
      page.selectOption(field, value);
    } else {
      page.fill(field, value);
      page.locator(field).blur();
    }
  }

  private static BufferedImage sheet(List<BufferedImage> pages) {
    int width = (int) (WIDTH * SCALE);
    int height = (int) (HEIGHT * SCALE);
    int rows = (pages.size() + COLUMNS - 1) / COLUMNS;
    BufferedImage sheet =
        new BufferedImage(
            COLUMNS * (width + GAP) - GAP, rows * (height + GAP) - GAP, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = sheet.createGraphics();
    g.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    g.setRenderingHint(RenderingHints.KEY_RENDERING, RenderingHints.VALUE_RENDER_QUALITY);
    for (int i = 0; i < pages.size(); i++) {
      g.drawImage(
          pages.get(i),
          i % COLUMNS * (width + GAP),
          i / COLUMNS * (height + GAP),
          width,
          height,
          null);
    }
    g.dispose();
    return sheet;
  }
}
