package fernwort.app;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ReducedMotion;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * A browser before the shared copy of the application: one for each thread that tests, one page for
 * each test. A path to a demo rig leads to a rig of the test's own that stands as the demo does. A
 * script that fails, or an error in the browser's console, fails the test.
 */
public final class InBrowser implements BeforeAllCallback, BeforeEachCallback, AfterEachCallback {

  private static final Pattern DEMO = Pattern.compile("(?<=/rigs/)(marginalia|samphire|tern)\\b");

  /** How wide a phone is (px). */
  public static final int PHONE = 390;

  private final Chromium chromium = new Chromium();
  private final SharedCopy copy = new SharedCopy();
  private final List<String> complaints = new ArrayList<>();
  private BrowserContext context;
  private Page page;

  @Override
  public void beforeAll(ExtensionContext test) {
    copy.beforeAll(test);
    chromium.beforeAll(test);
  }

  @Override
  public void beforeEach(ExtensionContext test) {
    copy.beforeEach(test);
    complaints.clear();
    use(new Browser.NewContextOptions().setViewportSize(1280, 800));
  }

  @Override
  public void afterEach(ExtensionContext test) {
    context.close();
    Assertions.assertThat(complaints).as("errors in the browser").isEmpty();
  }

  /** Opens another page in place of the one before, such as that of a phone. */
  public Page use(Browser.NewContextOptions options) {
    if (context != null) {
      context.close();
    }
    if (options.locale == null) {
      // Whoever reads English in the United States is asked in gallons.
      options.setLocale("en-GB");
    }
    // Moving water keeps the processor busy that draws it; what it shows is there without.
    // What a browser keeps for later would answer in place of the page that a test is about.
    context =
        chromium
            .browser()
            .newContext(
                options
                    .setReducedMotion(ReducedMotion.REDUCE)
                    .setServiceWorkers(ServiceWorkerPolicy.BLOCK));
    page = context.newPage();
    page.onConsoleMessage(m -> {
      // What is not there, and what has to be asked for again, pages deal with themselves.
      boolean dealtWith = m.text().contains("404") || m.text().contains("503");
      if (m.type().equals("error") && !dealtWith) {
        complaints.add(m.text());
      }
    });
    page.onPageError(complaints::add);
    return page;
  }

  /** Opens a phone's page in place of the one before. */
  public Page phone() {
    return use(
        new Browser.NewContextOptions()
            .setViewportSize(PHONE, 844)
            .setHasTouch(true)
            .setIsMobile(true));
  }

  /** Returns the page. */
  public Page page() {
    return page;
  }

  /** Returns the context of the page. */
  public BrowserContext context() {
    return context;
  }

  /** Returns the browser. */
  public Browser browser() {
    return chromium.browser();
  }

  /** Goes to a path of the copy. */
  public void visit(String path) {
    page.navigate(copy.client().address() + own(path));
  }

  /** Does what loads a page, and waits for that page. */
  public void load(Runnable pressed) {
    page.evaluate("window.isLeft = true");
    pressed.run();
    page.waitForFunction("() => !window.isLeft && document.readyState === 'complete'");
  }

  /** Returns a path with this test's own rigs in place of the demos. */
  public String own(String path) {
    return DEMO.matcher(path).replaceAll(demo -> copy.rig(demo.group()));
  }

  /** Returns a visitor of the copy. */
  public Client copy() {
    return copy.client();
  }

  /** Has the coming night of a rig be as cold as that, whatever the calendar says (°C). */
  public void night(String rig, int lowest) throws IOException {
    copy()
        .post(
            own("/rigs/" + rig + "/cold/tonight"),
            "night-source=typed&night-lowest=" + lowest + "&night-evening=" + (lowest + 6));
  }

  /** Expects complaints that hold this text, as of a refused change. */
  public void expectComplaint(String text) {
    complaints.removeIf(c -> c.contains(text));
  }
}
