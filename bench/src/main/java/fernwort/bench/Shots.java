package fernwort.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.Cookie;
import java.nio.file.Path;
import java.util.List;

/** Takes the pictures of each main view from the demo data. */
public final class Shots {

  private Shots() {}

  /**
   * One picture.
   *
   * @param name file name without its ending
   * @param path address of the page
   * @param width width of the screen (px); its height is 800, or 844 for a phone
   * @param theme the look
   * @param hover what the pointer rests on, as a selector; empty for nothing
   * @param rehearsed whether the setting is rehearsed up to its first event
   */
  private record Shot(
      String name, String path, int width, String theme, String hover, boolean rehearsed) {

    static Shot of(String name, String path) {
      return new Shot(name, path, 1280, "light", "", false);
    }

    Shot onPhone() {
      return new Shot(name, path, 390, theme, hover, rehearsed);
    }

    Shot in(String look) {
      return new Shot(name, path, width, look, hover, rehearsed);
    }

    Shot pointingAt(String selector) {
      return new Shot(name, path, width, theme, selector, rehearsed);
    }

    Shot rehearse() {
      return new Shot(name, path, width, theme, hover, true);
    }
  }

  private static final List<Shot> SHOTS =
      List.of(
          Shot.of("board-marginalia", "/rigs/marginalia/board"),
          Shot.of("board-preview", "/rigs/marginalia/board").pointingAt("#h-tank-selector"),
          Shot.of("board-tern", "/rigs/tern/board"),
          Shot.of("board-samphire", "/rigs/samphire/board"),
          Shot.of("board-dark", "/rigs/tern/board").in("dark"),
          Shot.of("board-sun", "/rigs/marginalia/board").in("sun"),
          Shot.of("board-phone", "/rigs/marginalia/board").onPhone(),
          Shot.of("empty", "/rigs/marginalia/empty?tanks=low&lines=true&go=true"),
          Shot.of("log", "/rigs/marginalia/log"),
          Shot.of("rigs", "/rigs"),
          Shot.of("new-rig", "/rigs/new"),
          Shot.of("describe", "/rigs/marginalia/rig?part=main"),
          Shot.of("describe-phone", "/rigs/samphire/rig?part=tank").onPhone(),
          Shot.of("rehearse", "/rigs/marginalia/board").rehearse(),
          Shot.of("sizing", "/rigs/marginalia/sizing"),
          Shot.of("sizing-pump", "/rigs/marginalia/sizing/pump"),
          Shot.of("sizing-phone", "/rigs/marginalia/sizing/supply").onPhone(),
          Shot.of("workbench", "/rigs/marginalia/workbench/slope"));

  /**
   * Takes them all.
   *
   * @param args the folder to write to
   */
  public static void main(String[] args) {
    Path folder = Path.of(args[0]);
    DemoCopy copy = DemoCopy.start();
    try (Playwright playwright = Playwright.create();
        Browser browser = playwright.chromium().launch(DemoCopy.browser())) {
      SHOTS.forEach(shot -> take(browser, copy, shot, folder));
    }
    System.exit(0);
  }

  private static void take(Browser browser, DemoCopy copy, Shot shot, Path folder) {
    try (BrowserContext context =
        browser.newContext(
            new Browser.NewContextOptions()
                .setViewportSize(shot.width(), shot.width() < 900 ? 844 : 800))) {
      context.addCookies(
          List.of(new Cookie("fernwort-theme", shot.theme()).setUrl(copy.address())));
      Page page = context.newPage();
      page.navigate(copy.address() + shot.path());
      page.waitForFunction("document.fonts.status === 'loaded'");
      if (!shot.hover().isEmpty()) {
        page.hover(shot.hover());
        page.waitForSelector("#preview:not([hidden])");
      }
      if (shot.rehearsed()) {
        page.click("#rehearse-this");
        page.locator("#speed").selectOption("600");
        page.click("#play");
        page.waitForSelector("#stopped:not([hidden])");
      }
      page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(shot.name() + ".png")));
      System.out.println(shot.name());
    }
  }
}
