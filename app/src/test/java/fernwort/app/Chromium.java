package fernwort.app;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * Chromium for the tests, without a monitor and without a network: one for each thread that tests,
 * closed when all tests are done.
 */
public final class Chromium implements BeforeAllCallback {

  /** How long a page may take to show something: a slow machine is no fault of the page (ms). */
  private static final double PATIENCE = 60_000;

  /** Without the parts that only a window needs: the tests take a third less time with it. */
  private static final Path SHELL = Path.of("/usr/bin/chromium-headless-shell");

  private static final Path WHOLE = Path.of("/usr/bin/chromium");

  private @Nullable Browser browser;

  /** Returns the browser; it is not for the test to close. */
  public Browser browser() {
    return Objects.requireNonNull(browser, "no test has begun");
  }

  @Override
  public void beforeAll(ExtensionContext test) {
    browser =
        test.getRoot()
            .getStore(ExtensionContext.Namespace.GLOBAL)
            .computeIfAbsent(Thread.currentThread(), key -> Running.start(), Running.class)
            .browser();
  }

  private record Running(Playwright playwright, Browser browser) implements AutoCloseable {

    static Running start() {
      PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
      Playwright playwright = Playwright.create();
      return new Running(playwright, playwright.chromium().launch(options()));
    }

    @Override
    public void close() {
      playwright.close();
    }
  }

  private static BrowserType.LaunchOptions options() {
    return new BrowserType.LaunchOptions()
        .setExecutablePath(Files.exists(SHELL) ? SHELL : WHOLE)
        .setArgs(
            List.of(
                "--no-sandbox",
                "--disable-gpu",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--no-first-run"));
  }
}
