package fernwort.app.pages;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.Margin;
import com.microsoft.playwright.options.Media;
import fernwort.app.InBrowser;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What people print fits its paper, A4 and Letter, and says what the screen says. */
class PrintTest {

  /** The narrower of A4 and Letter without a margin of 10 mm on each side (CSS px). */
  private static final int PAPER_WIDTH = 718;

  private static final int PAPER_HEIGHT = 980;

  private static final Pattern SHEET = Pattern.compile("/Type\\s*/Page\\b");

  @RegisterExtension static final InBrowser COPY = new InBrowser();

  @ParameterizedTest
  @CsvSource({
    "jobs/fill-low-inlet, 3, Low fresh",
    "jobs/fill-low-inlet/sheet, 1, Low fresh",
    "cold/school/gravity, 3, Gray dump",
    "build/buy, 8, hose clamp",
    "labels, 6, Fill selector",
  })
  void whatIsPrintedFitsItsPaper(String path, int most, String says) {
    COPY.visit("/rigs/marginalia/" + path);
    Page page = COPY.page();
    page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
    page.setViewportSize(PAPER_WIDTH, PAPER_HEIGHT);
    assertThat(page.evaluate("document.documentElement.scrollWidth"))
        .as("width of %s on paper", path)
        .isEqualTo(PAPER_WIDTH);
    assertThat(page.locator("main").innerText()).contains(says);
    assertThat((boolean) page.evaluate("document.querySelector('nav.rail')?.checkVisibility()"))
        .as("the rail is printed")
        .isFalse();
    for (String paper : new String[] {"A4", "Letter"}) {
      byte[] pdf =
          page.pdf(
              new Page.PdfOptions()
                  .setFormat(paper)
                  .setMargin(
                      new Margin()
                          .setTop("10mm")
                          .setBottom("10mm")
                          .setLeft("10mm")
                          .setRight("10mm")));
      long sheets = SHEET.matcher(new String(pdf, StandardCharsets.ISO_8859_1)).results().count();
      assertThat(sheets).as("sheets of %s, %s", paper, path).isBetween(1L, (long) most);
    }
  }
}
