package fernwort.app.sizing;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import fernwort.app.InBrowser;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Sizing in a real browser: what is entered is kept, and answered. */
class SizingJourneyTest {

  @RegisterExtension static final InBrowser COPY = new InBrowser();

  private Page page;

  @BeforeEach
  void open() {
    page = COPY.page();
  }

  private Locator card(String id) {
    return page.locator("#" + id);
  }

  /** Unfolds what a card asks, as somebody does who wants another answer. */
  private void unfold(String card) {
    Locator fold = card(card).locator("details.assume");
    if (fold.getAttribute("open") == null) {
      fold.locator("> summary").click();
    }
  }

  private void enter(String card, String field, String text) {
    unfold(card);
    card(card).locator("#f-" + field).fill(text);
  }

  /** What is typed is reckoned at a pause, without a button. */
  private void entered(String card, String field, String text) {
    page.waitForResponse(
        r -> r.request().method().equals("GET") && r.url().contains("/sizing"),
        () -> enter(card, field, text));
  }

  @Test
  void whoTravelsAndForHowLongDecidesWhatIsNeeded() {
    COPY.visit("/rigs/marginalia/sizing");
    card("habits").locator("#pets").fill("1");
    card("habits").locator("#season").selectOption("hot");
    card("habits").locator("button.button").click();
    assertThat(card("habits").locator("#pets")).hasValue("1");
    entered("need", "days", "3,5");
    assertThat(card("need").locator("#f-days")).hasValue("3,5");
    assertThat(card("need")).containsText("usable in the tanks");
    COPY.visit("/rigs/marginalia/board");
    page.locator(".lasts > summary").click();
    assertThat(page.locator(".lasts")).containsText("Pet drinking");
  }

  @Test
  void aChartIsReadByKeysAndSaysWhatItsTableSays() {
    COPY.visit("/rigs/marginalia/sizing");
    Locator chart = card("need").locator("figure").first();
    assertThat(chart.locator("canvas")).isVisible();
    assertThat(chart.locator("table")).isHidden();
    chart.locator(".chart-plot").focus();
    page.keyboard().press("End");
    page.keyboard().press("ArrowLeft");
    page.keyboard().press("ArrowRight");
    String said = chart.locator(".chart-plot").getAttribute("aria-valuetext");
    chart.locator("summary").click();
    Locator row = chart.locator("tbody tr").last();
    assertThat(row.locator("th")).hasText("5.00");
    assertThat(said)
        .isEqualTo(
            "day 5.00: low use %s L, expected use %s L, high use %s L"
                .formatted(row.locator("td").allInnerTexts().toArray()));
    assertThat(chart.locator(".chart-readout")).hasText(said);
  }

  @Test
  void aChartFollowsWhatIsTyped() {
    COPY.visit("/rigs/marginalia/sizing");
    entered("need", "days", "30");
    Locator chart = card("need").locator("figure").first();
    assertThat(chart.locator("tbody th").last()).hasText("30.0");
    chart.locator(".chart-plot").press("End");
    assertThat(chart.locator(".chart-readout")).containsText("day 30.0");
  }

  @Test
  void anEntryThatIsNoNumberIsNamedAndStillThereAfterAReload() {
    COPY.visit("/rigs/marginalia/sizing/supply");
    entered("buffer", "buffer-minutes", "ten");
    assertThat(card("buffer").locator(".warning")).containsText("For so many minutes");
    page.reload();
    assertThat(card("buffer").locator("#f-buffer-minutes")).hasValue("ten");
    entered("buffer", "buffer-minutes", "20");
    assertThat(card("buffer")).containsText("80 L");
  }

  @Test
  void fixturesToBeOpenTogetherAreChosen() {
    COPY.visit("/rigs/marginalia/sizing/pump");
    unfold("fixtures");
    card("fixtures").locator("input[type=checkbox][name=together-basin]").check();
    assertThat(card("fixtures")).containsText("with Basin open");
    card("fixtures").locator("input[type=checkbox][name=together-basin]").uncheck();
    assertThat(card("fixtures")).containsText("Shower and Sink open");
  }

  @Test
  void aSpaceOverAWheelArchIsMeasuredByKeyboardAlone() {
    COPY.visit("/rigs/tern/sizing/space");
    unfold("fits");
    card("fits").locator("#f-space").focus();
    page.keyboard().press("ArrowDown");
    assertThat(card("fits").locator("#f-space-before")).isVisible();
    assertThat(card("fits").locator("#f-space")).isFocused();
    page.keyboard().press("Tab");
    page.keyboard().type("1,4 m");
    page.keyboard().press("Enter");
    assertThat(card("fits")).containsText("two lobes and a bridge over the arch");
    assertThat(card("fits").locator("#f-space-length")).hasValue("1400");
  }

  @Test
  @Tag("sweep")
  void onAPhoneNothingIsWiderThanThePage() {
    page = COPY.use(new Browser.NewContextOptions().setViewportSize(390, 844));
    for (String path :
        new String[] {
          "/sizing",
          "/sizing/space",
          "/sizing/weight",
          "/sizing/pump",
          "/sizing/supply",
          "/workbench",
          "/workbench/slope"
        }) {
      COPY.visit("/rigs/marginalia" + path);
      Object wide = page.evaluate("document.documentElement.scrollWidth");
      assertThat((Integer) wide).as(path).isLessThanOrEqualTo(390);
    }
  }
}
