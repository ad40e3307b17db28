package fernwort.app;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * A running copy of the application and a browser before it: one copy for a test class, one page
 * for each test. A script that fails, or an error in the browser's console, fails the test.
 */
public final class InBrowser
    implements BeforeAllCallback, AfterAllCallback, BeforeEachCallback, AfterEachCallback {

  private final String[] arguments;
  private final List<String> complaints = new ArrayList<>();
  private Path data = Path.of("");
  private RunningCopy copy;
  private Playwright playwright;
  private Browser browser;
  private BrowserContext context;
  private Page page;

  private InBrowser(String... arguments) {
    this.arguments = arguments;
  }

  /** Returns a copy without any rig. */
  public static InBrowser empty() {
    return new InBrowser();
  }

  /** Returns a copy with the demo rigs. */
  public static InBrowser withDemo() {
    return new InBrowser("--demo");
  }

  @Override
  public void beforeAll(ExtensionContext test) throws IOException {
    data = Files.createTempDirectory("fernwort-test");
    copy = RunningCopy.start(data, arguments);
    playwright = Playwright.create();
    browser = playwright.chromium().launch(Chromium.options());
  }

  @Override
  public void afterAll(ExtensionContext test) throws IOException {
    playwright.close();
    copy.close();
    try (Stream<Path> files = Files.walk(data)) {
      files.sorted(Comparator.reverseOrder()).forEach(f -> f.toFile().delete());
    }
  }

  @Override
  public void beforeEach(ExtensionContext test) {
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
    context = browser.newContext(options);
    page = context.newPage();
    page.onConsoleMessage(m -> {
      if (m.type().equals("error") && !m.text().contains("404")) {
        complaints.add(m.text());
      }
    });
    page.onPageError(complaints::add);
    return page;
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
    return browser;
  }

  /** Goes to a path of the copy. */
  public void visit(String path) {
    page.navigate(copy.address() + path);
  }

  /** Returns the copy. */
  public RunningCopy copy() {
    return copy;
  }

  /** Returns where the copy is. */
  public String address() {
    return copy.address();
  }

  /** Expects complaints that hold this text, as of a refused change. */
  public void expectComplaint(String text) {
    complaints.removeIf(c -> c.contains(text));
  }
}
