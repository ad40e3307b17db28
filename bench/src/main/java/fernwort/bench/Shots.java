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
   * @param act what is done on the page first
   */
  private record Shot(String name, String path, int width, String theme, Act act) {

    /** What is done before the picture is taken. */
    enum Act {
      NOTHING,
      /** The setting is rehearsed up to its first event. */
      REHEARSE,
      /** A rig is begun by questions, up to what lies between tank and pump. */
      ANSWER,
      /** The slips of a job are waited for. */
      AWAIT_SLIPS,
      /** The sensors of the simulated rig are waited for. */
      AWAIT_SENSORS,
      /** A ready automation is tried on the motors. */
      ONTO_THE_MOTORS,
      /** A line of the simulated rig leaks, and Today is looked at. */
      LEAK,
      /** A job is begun and its first steps are ticked. */
      BEGIN
    }

    static Shot of(String name, String path) {
      return new Shot(name, path, 1280, "light", Act.NOTHING);
    }

    Shot onPhone() {
      return new Shot(name, path, 390, theme, act);
    }

    Shot in(String look) {
      return new Shot(name, path, width, look, act);
    }

    Shot after(Act first) {
      return new Shot(name, path, width, theme, first);
    }
  }

  /** Sensors have spoken by then (ms). */
  private static final double SENSORS = 12_000;

  /** And a page shows it (ms). */
  private static final double SETTLED = 2_000;

  private static final List<Shot> SHOTS =
      List.of(
          Shot.of("board-marginalia", "/rigs/marginalia/board"),
          Shot.of("board-live", "/rigs/tern/board").in("dark").after(Shot.Act.AWAIT_SENSORS),
          Shot.of("devices", "/rigs/tern/devices").after(Shot.Act.AWAIT_SENSORS),
          Shot.of("automations", "/rigs/tern/automations").after(Shot.Act.ONTO_THE_MOTORS),
          Shot.of("fault", "/rigs/marginalia/fault?on=sink"),
          Shot.of("board-phone", "/rigs/marginalia/board").onPhone(),
          Shot.of("jobs", "/rigs/marginalia/jobs"),
          Shot.of("job", "/rigs/marginalia/jobs/fill-low-inlet").after(Shot.Act.AWAIT_SLIPS),
          Shot.of("cold", "/rigs/marginalia/cold/schools"),
          Shot.of("log", "/rigs/marginalia/log"),
          Shot.of("rigs", "/rigs"),
          Shot.of("guide", "/rigs/new").after(Shot.Act.ANSWER),
          Shot.of("describe", "/rigs/marginalia/rig?part=main"),
          Shot.of("rehearse", "/rigs/marginalia/board").after(Shot.Act.REHEARSE),
          Shot.of("sizing", "/rigs/marginalia/sizing"),
          Shot.of("build-drill", "/rigs/marginalia/build/drill"),
          Shot.of("alarm-phone", "/rigs/tern/devices/simulated").onPhone().after(Shot.Act.LEAK),
          // It turns handles, so it comes last.
          Shot.of("run-phone", "/rigs/marginalia/jobs/fill-low-inlet")
              .onPhone()
              .after(Shot.Act.BEGIN));

  /**
   * Takes them all.
   *
   * @param args the folder to write to
   */
  public static void main(String[] args) {
    Path folder = Path.of(args[0]);
    DemoCopy copy = DemoCopy.live();
    try (Playwright playwright = Playwright.create();
        Browser browser = playwright.chromium().launch(DemoCopy.browser())) {
      SHOTS.forEach(shot -> take(browser, copy, shot, folder));
      Way.take(browser, copy, folder.resolve("guide-way.png"));
    }
    System.exit(0);
  }

  private static void take(Browser browser, DemoCopy copy, Shot shot, Path folder) {
    try (BrowserContext context =
        browser.newContext(
            new Browser.NewContextOptions()
                .setLocale("en-GB")
                .setViewportSize(shot.width(), shot.width() < 900 ? 844 : 800))) {
      context.addCookies(
          List.of(new Cookie("fernwort-theme", shot.theme()).setUrl(copy.address())));
      Page page = context.newPage();
      page.navigate(copy.address() + shot.path());
      page.waitForFunction("document.fonts.status === 'loaded'");
      // What is next comes once the Board is there.
      if (page.locator("section#next").count() > 0) {
        page.waitForSelector("#next [data-answer]");
      }
      act(page, shot.act());
      page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(shot.name() + ".png")));
      System.out.println(shot.name());
    }
  }

  private static void act(Page page, Shot.Act act) {
    switch (act) {
      case NOTHING -> {}
      case REHEARSE -> {
        page.click("#rehearse-this");
        page.locator("#speed").selectOption("600");
        page.click("#play");
        page.waitForSelector("#stopped:not([hidden])");
        page.waitForSelector("#from-here:not(.is-stale)");
      }
      case ANSWER -> answer(page);
      case AWAIT_SLIPS -> page.waitForSelector(".slips");
      case AWAIT_SENSORS -> {
        page.waitForTimeout(SENSORS);
        page.reload();
        page.waitForTimeout(SETTLED);
      }
      case ONTO_THE_MOTORS -> {
        page.locator("#new form .button").click();
        page.locator("button:has-text('Use it on the real motors')").first().click();
        page.waitForLoadState();
      }
      case LEAK -> {
        page.locator("li:has-text('A line leaks') select").selectOption("d5");
        page.locator("li:has-text('A line leaks') button").click();
        page.waitForTimeout(SENSORS);
        page.navigate(page.url().replaceFirst("/devices.*", "/board"));
        page.waitForTimeout(SETTLED);
      }
      case BEGIN -> {
        page.click("#begin");
        page.click("#done-1");
        page.waitForSelector("#step-1.step-done");
        page.click("#done-2");
        page.waitForSelector("#step-2.step-done");
        page.click("#wait-3");
        page.waitForSelector(".timer");
        page.evaluate("scrollTo(0, 0)");
      }
    }
  }

  private static void answer(Page page) {
    page.fill("#called", "Bluebell");
    page.click("#ask-me");
    page.click("#next");
    page.click("button[value=add-fresh]");
    page.click("button[value=add-gray]");
    page.waitForSelector("#card-t2");
    String pages = page.url().replaceFirst("/[^/]*$", "/");
    page.navigate(pages + "taps");
    page.check("[name=SINK-there]");
    page.check("[name=OUTSIDE-there]");
    page.click("#next");
    page.navigate(pages + "suction");
    page.selectOption("[name=piece-0]", "THREE_WAY");
    page.selectOption("[name=piece-1]", "STRAINER");
    page.click("#next");
    page.navigate(pages + "suction");
  }
}
