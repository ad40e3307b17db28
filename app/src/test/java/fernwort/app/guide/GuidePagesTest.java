package fernwort.app.guide;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import fernwort.app.Axe;
import fernwort.app.Client;
import fernwort.app.InBrowser;
import fernwort.core.guide.QuestionPage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The pages of questions one by one: what is kept, what is told, what is drawn. */
class GuidePagesTest extends Answering {

  @RegisterExtension private static final InBrowser COPY = new InBrowser();

  @Override
  InBrowser browser() {
    return COPY;
  }

  @Tag("sweep")
  @Test
  void everyPageOfQuestionsCanBeReadByAll() throws IOException {
    page = COPY.page();
    String guide = sent() + "/guide/";
    List<String> pages =
        new ArrayList<>(Stream.of(QuestionPage.values()).map(QuestionPage::id).toList());
    pages.addAll(List.of("look", "look?at=sink"));
    for (String at : pages) {
      visit(guide + at);
      assertThat(page.locator(".guide-steps a[aria-current]")).hasCount(1);
      assertThat(Axe.violations(page)).as(at).isEmpty();
    }
  }

  @Test
  void whatCannotBeReadStandsAtItsFieldAndNothingElseIsLost() {
    page = COPY.page();
    begin("Slip " + System.nanoTime());
    goOn("Tanks");
    press("A fresh tank");
    page.locator("[name='t1-label']").fill("Bow tank");
    page.locator("[name='t1-litres']").fill("plenty");
    page.locator("[name='t1-bottom']").fill("800");
    page.locator("#next").click();
    assertThat(page.locator("h1")).hasText("Tanks");
    assertThat(page.locator("#e-t1-litres")).containsText("plenty");
    assertThat(page.locator("[name='t1-litres']")).hasValue("plenty");
    assertThat(page.locator("[name='t1-label']")).hasValue("Bow tank");
    assertThat(page.locator("[name='t1-bottom']")).hasValue("800");
    page.reload();
    assertThat(page.locator("[name='t1-label']")).hasValue("Bow tank");
  }

  @Test
  void aRigWithoutAShowerHasNoHabitForOneAndItsStepsStandInTheLog() throws IOException {
    page = COPY.page();
    String rig = sent();
    visit(rig + "/sizing");
    assertThat(page.locator("[name='minutes-shower']")).hasCount(0);
    assertThat(page.locator("[name='each-rinse']")).hasCount(1);
    visit(rig + "/log");
    assertThat(page.locator("main")).containsText("Rig: Answered: taps");
    assertThat(page.locator("main")).containsText("Rig: Begun with questions");
    visit(rig + "/board");
    assertThat(page.locator(".lasts")).containsText("Not known");
    assertThat(page.locator(".lasts")).containsText("until Fresh is read");
    visit(rig + "/jobs/fill-fresh-hose-inlet/sheet");
    assertThat(page.locator("main")).containsText("every tank half full: Fresh 48 L, Gray 30 L.");
    assertThat(page.locator("[data-print]")).isVisible();
  }

  @Test
  void theUnitsAreChosenOnTheFirstPageInOneChoice() {
    page = COPY.page();
    begin("Ounces " + System.nanoTime());
    page.locator("[name='length']").fill("17 ft");
    page.locator("[name='units']").selectOption("US");
    assertThat(page.locator("label[for='f-length']")).hasText("How long it is (in)");
    assertThat(page.locator("[name='length']")).hasValue("204");
    goOn("Tanks");
    press("A fresh tank");
    type("t1-litres", "25");
    type("t1-size", "35 1/2 x 16");
    page.locator("[name='t1-size']").blur();
    assertThat(page.locator(".guide-holds")).containsText("25 US gal fresh");
    page.reload();
    assertThat(page.locator("[name='t1-size']")).hasValue("35 1/2 x 16 x 10 15/16");
    page.navigate(page.url().replaceFirst("/tanks$", "/vehicle"));
    page.locator("[name='units']").selectOption("OWN");
    page.locator("[name='unit-VOLUME']").selectOption("L");
    assertThat(page.locator(".guide-holds")).containsText("95 L fresh");
  }

  /** The litres that stand there before anybody has said any are on nobody's label. */
  @Test
  void sizesTakeThePlaceOfLitresThatNobodyGave() {
    page = COPY.page();
    begin("Ruler " + System.nanoTime());
    goOn("Tanks");
    press("A fresh tank");
    assertThat(page.locator("[name='t1-litres']")).hasValue("80");
    type("t1-size", "700 x 300 x 250");
    page.locator("[name='t1-size']").blur();
    assertThat(page.locator(".guide-holds")).containsText("48 L fresh");
    page.reload();
    assertThat(page.locator("[name='t1-litres']")).hasValue("");
    assertThat(page.locator("main")).not().containsText("its label says");
  }

  @Test
  void anOpeningIsTappedOnTheTanksFacesAndMeasuredWhereOneWants() throws IOException {
    onPhone();
    visit(sent() + "/guide/vents");
    Locator sketch = page.locator(".sketch").first();
    sketch.locator("button:has-text('drain')").tap();
    BoundingBox front = sketch.locator("[data-face=FRONT]").boundingBox();
    page.touchscreen().tap(front.x + front.width / 2, front.y + front.height - 2);
    assertThat(page.locator("[name='t1-open-drain-face']")).hasValue("FRONT");
    assertThat(page.locator("[name='t1-open-drain-up']")).not().hasValue("");
    page.locator("[name='t1-open-drain-up']").fill("12");
    page.locator("[name='t1-open-drain-up']").blur();
    goOn("Tank to pump");
    String rig = page.url().replaceFirst("/guide/.*", "");
    page.navigate(rig + "/rig?part=fresh");
    Locator row = page.locator("tr:has(input[value='drain'])").first();
    assertThat(row.locator("input[name$='-z']")).hasValue("7");
  }

  @Test
  void aTankIsFilledFromAnother() throws IOException {
    page = COPY.page();
    String rig = sent();
    visit(rig + "/guide/tanks");
    press("A fresh tank");
    visit(rig + "/guide/fill");
    page.locator("[name='t3-from']").selectOption("t1");
    assertThat(page.locator("#growing")).containsText("Pump for");
    visit(rig + "/guide/look");
    assertThat(page.locator("main")).containsText("Fresh → valve → pump → check valve → Fresh 2");
  }

  @Test
  void aLevelThatCannotBeReadStandsAtItsFieldAndTheOthersAreKept() throws IOException {
    page = COPY.page();
    String rig = sent();
    visit(rig + "/guide/look");
    page.locator("[name='fresh']").fill("half a tub");
    page.locator("[name='gray']").fill("20");
    page.locator("#finish").click();
    assertThat(page.locator("h1")).hasText("Check");
    assertThat(page.locator("#e-fresh")).containsText("“a tub” is not a unit");
    assertThat(page.locator("[name='fresh']")).hasValue("half a tub");
    assertThat(page.locator("[name='gray']")).hasValue("20");
    page.locator("[name='fresh']").fill("900");
    page.locator("#finish").click();
    assertThat(page.locator("#e-fresh")).containsText("from 0 L to 95");
    page.locator("[name='fresh']").fill("40");
    page.locator("#finish").click();
    assertThat(page.locator("#board")).containsText("40 L");
  }

  @Test
  void aPartThatIsWalkedFromIsPickedWithTheLinesOfItsWater() throws IOException {
    Document page = Jsoup.parse(COPY.copy().get(sent() + "/guide/look?at=pump").body());
    assertThat(page.select("#walk-at option[selected]").eachAttr("value")).containsExactly("pump");
    assertThat(page.select("a.part.is-picked").size()).isEqualTo(1);
    assertThat(page.select("g.pipe.is-picked").size()).isPositive();
  }

  @Test
  void aThirdSizeThatNoTankHasIsToldAtItsField() throws IOException {
    String tanks = sent() + "/guide/tanks";
    String answer =
        COPY.copy().post(tanks, "do=next&t1-label=Fresh&t1-litres=4000&t1-size=100+x+100").body();
    assertThat(answer).contains("e-t1-size").contains("is not possible");
    assertThat(COPY.copy().get(tanks).body())
        .contains("value=\"4000\"")
        .doesNotContain("100 x 100");
  }

  @Test
  void whatAPageDidNotAskStaysAsItWas() throws IOException {
    String rig = sent();
    Client copy = COPY.copy();
    String before = copy.get(rig + "/guide/look").body();
    copy.post(rig + "/guide/fill", "do=next&inlet-height=900&check=true&shut-off=true");
    copy.post(rig + "/guide/vents", "do=next");
    assertThat(ways(copy.get(rig + "/guide/look").body())).isEqualTo(ways(before));
    copy.post(rig + "/guide/lows", "do=next&supply=13");
    assertThat(copy.get(rig + "/guide/lows").body()).contains("value=\"30\"");
  }

  private static String ways(String page) {
    return page.replaceAll("(?s).*How the water runs|</ul>.*", "");
  }

  @Test
  void aReadyLayoutIsEnteredByTheSamePages() {
    page = COPY.page();
    COPY.visit("/rigs/new");
    page.locator("#name").fill("Ready " + System.nanoTime());
    page.locator("[aria-label='Answer questions from One tank, pump or drain']").click();
    assertThat(page.locator("h1")).hasText("Vehicle");
    page.navigate(page.url().replaceFirst("/vehicle$", "/suction"));
    assertThat(page.locator("#valve")).containsText("points down: tank to drain");
  }

  @Test
  void theRigGrowsWithEachAnswerWithoutGoingOn() {
    page = COPY.page();
    begin("Growing " + System.nanoTime());
    goOn("Tanks");
    press("A fresh tank");
    page.locator("[name='t1-litres']").fill("120");
    page.locator("[name='t1-litres']").blur();
    assertThat(page.locator(".guide-holds")).containsText("120 L fresh");
    assertThat(page.locator("#growing")).containsText("Fresh");
    page.reload();
    assertThat(page.locator("[name='t1-litres']")).hasValue("120");
  }

  /** The browser names the button that was pressed last to whatever is sent afterwards. */
  @Test
  void aTankIsAddedOnceHoweverSlowTheAnswerToWhatWasTypedBefore() {
    page = COPY.page();
    begin("Slow " + System.nanoTime());
    goOn("Tanks");
    press("A fresh tank");
    page.evaluate(
        """
        () => {
          document.querySelector("[name='t1-litres']").value = '50';
          const form = document.getElementById('asks');
          form.querySelector("button[value='add-gray']").addEventListener('click', (event) => {
            event.preventDefault();
            form.dispatchEvent(new Event('change'));
          });
        }
        """);
    page.locator("button[value='add-gray']").click();
    assertThat(page.locator(".guide-holds")).containsText("50 L fresh, 0 L gray");
  }

  @Test
  void theValveIsDrawnAsItIsSaidToBe() throws IOException {
    page = COPY.page();
    visit(sent() + "/guide/suction");
    assertThat(page.locator(".valve-picture")).hasCount(3);
    page.locator("select[name='joins-DOWN']").selectOption("THIRD_AND_PUMP");
    assertThat(page.locator(".valve-picture")).hasCount(4);
    assertThat(page.locator("#valve")).containsText("points down: hose to pump");
  }

  @Test
  void aStepTakenBackInTheEditorIsTakenBackInTheAnswersAndAChangeThereStays() {
    page = COPY.page();
    begin("Back " + System.nanoTime());
    goOn("Tanks");
    press("A fresh tank");
    String rig = page.url().replaceFirst("/guide/.*", "");
    page.navigate(rig + "/rig");
    page.locator("#undo").click();
    assertThat(page.locator("#redo")).isEnabled();
    page.navigate(rig + "/guide/tanks");
    assertThat(page.locator("[name='t1-litres']")).hasCount(0);
    press("A fresh tank");
    page.navigate(rig + "/rig?part=fresh");
    page.locator("#f-label").fill("Bow tank");
    Locator keep = page.locator("form:has(#f-label) button").first();
    keep.click();
    assertThat(page.locator("#describe")).containsText("Bow tank");
    page.navigate(rig + "/guide/tanks");
    assertThat(page.locator("main")).containsText("changed in the editor since");
    press("A fresh tank");
    page.navigate(rig + "/rig?part=fresh");
    assertThat(page.locator("#f-label")).hasValue("Bow tank");
  }
}
