package fernwort.app.guide;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions.IsCheckedOptions;
import com.microsoft.playwright.options.BoundingBox;
import fernwort.app.Axe;
import fernwort.app.Client;
import fernwort.app.InBrowser;
import java.io.IOException;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Rigs described by questions, in the browser; every answer and every tap is counted. */
class GuideJourneyTest {

  @RegisterExtension private static final InBrowser COPY = new InBrowser();

  private static final int MOST_ANSWERS = 60;
  private static final int MOST_TAPS = 120;
  private static final int MOST_TABS = 200;

  private Page page;
  private boolean byKeys;
  private int answers;
  private int taps;

  private void onPhone() {
    page = COPY.phone();
  }

  /** Goes on by Tab until what is wanted has the focus, as somebody without a pointer does. */
  private void reach(String selector) {
    for (int i = 0; i < MOST_TABS; i++) {
      if ((Boolean) page.evaluate("s => document.activeElement.matches(s)", selector)) {
        return;
      }
      page.keyboard().press("Tab");
    }
    throw new AssertionError("never reached by Tab: " + selector);
  }

  /** Presses a key until something holds of what has the focus. */
  private void pressUntil(String key, String holds) {
    for (int i = 0; i < MOST_TABS; i++) {
      if ((Boolean) page.evaluate(holds)) {
        return;
      }
      page.keyboard().press(key);
    }
    throw new AssertionError(key + " never made it hold: " + holds);
  }

  /** Types into a field: one answer, and a tap to get into it. */
  private void type(String field, String text) {
    if (byKeys) {
      reach("[name='" + field + "']");
      page.keyboard().press("Control+A");
      page.keyboard().type(text);
    } else {
      page.locator("[name='" + field + "']").fill(text);
    }
    answers++;
    taps++;
  }

  /** Chooses from a list: a tap to open it and one to choose. */
  private void choose(String field, String value) {
    if (byKeys) {
      reach("select[name='" + field + "']");
      page.keyboard().press("Home");
      pressUntil("ArrowDown", "document.activeElement.value === '" + value + "'");
    } else {
      page.locator("select[name='" + field + "']").selectOption(value);
    }
    answers++;
    taps += 2;
  }

  private void tick(String field) {
    set(field, true);
  }

  private void untick(String field) {
    set(field, false);
  }

  private void set(String field, boolean on) {
    String box = "input[type=checkbox][name='" + field + "']";
    if (byKeys) {
      reach(box);
      page.keyboard().press("Space");
    } else {
      page.locator(box).setChecked(on);
    }
    assertThat(page.locator(box)).isChecked(new IsCheckedOptions().setChecked(on));
    answers++;
    taps++;
  }

  private void spot(String field, String value) {
    if (byKeys) {
      reach("input[type=radio][name='" + field + "']");
      pressUntil("ArrowRight", "document.activeElement.value === '" + value + "'");
    } else {
      page.locator("input[name='" + field + "'][value='" + value + "']").check();
    }
    answers++;
    taps++;
  }

  private void press(String text) {
    Locator button = page.locator("button:has-text('" + text + "')");
    if (byKeys) {
      reach("button[value='" + button.getAttribute("value") + "']");
      page.evaluate("window.leaving = true");
      page.keyboard().press("Enter");
      page.waitForFunction("() => !window.leaving");
    } else {
      button.click();
    }
    answers++;
    taps++;
  }

  /** Goes to the next page, which is no answer, but a tap. */
  private void goOn(String title) {
    if (byKeys) {
      reach("#next");
      page.keyboard().press("Enter");
    } else {
      page.locator("#next").click();
    }
    taps++;
    assertThat(page.locator("h1")).hasText(title);
  }

  private void begin(String name) {
    COPY.visit("/rigs/new");
    if (byKeys) {
      reach("#called");
      page.keyboard().type(name);
      reach("#ask-me");
      page.keyboard().press("Enter");
    } else {
      page.locator("#called").fill(name);
      page.locator("#ask-me").click();
    }
    answers++;
    taps += 2;
    assertThat(page.locator("h1")).hasText("Vehicle");
  }

  private void plainVan() {
    begin("Bluebell " + System.nanoTime());
    type("length", "5.4 m");
    goOn("Tanks");
    press("A fresh tank");
    type("t1-litres", "95");
    type("t1-size", "900 x 400 x 290");
    spot("t1-spot", "1-0");
    type("t1-bottom", "750");
    press("A gray tank");
    type("t2-litres", "60");
    spot("t2-spot", "2-2");
    type("t2-bottom", "350");
    goOn("Filling");
    tick("t1-MAINS");
    spot("t1-neck", "1-0");
    type("t1-neck-height", "1300");
    spot("inlet", "0-0");
    type("inlet-height", "900");
    untick("regulator");
    goOn("Vents and openings");
    type("t1-vent", "1400");
    type("t2-vent", "900");
    goOn("Tank to pump");
    choose("piece-0", "THREE_WAY");
    choose("piece-1", "STRAINER");
    goOn("Pump");
    spot("spot", "1-1");
    type("height", "850");
    type("flow", "10");
    type("cut-out", "2.4");
    tick("accumulator");
    goOn("Taps");
    tick("SINK-there");
    spot("SINK-spot", "3-2");
    type("SINK-height", "1500");
    tick("OUTSIDE-there");
    spot("OUTSIDE-spot", "0-2");
    goOn("Waste");
    goOn("Low points");
    tick("cold");
    goOn("Look back");
  }

  /** The same van, its pages sent without a browser; returns the rig's address. */
  private static String sent() throws IOException {
    Client copy = COPY.copy();
    String rig =
        Client.where(copy.post("/rigs/new/guide", "name=Sent+" + System.nanoTime()))
            .replaceFirst("^https?://[^/]+", "")
            .replaceFirst("/guide/.*", "");
    String guide = rig + "/guide/";
    copy.post(guide + "tanks", "do=add-fresh");
    copy.post(guide + "tanks", "do=add-gray");
    copy.post(guide + "tanks", "do=next&t1-label=Fresh&t1-litres=95&t2-label=Gray&t2-litres=60");
    copy.post(
        guide + "fill",
        "do=next&t1-NECK=true&t1-MAINS=true&t1-neck-height=1300&inlet-height=900&check=true&shut-off=true");
    copy.post(guide + "suction", "do=next&piece-0=THREE_WAY&piece-1=STRAINER");
    copy.post(guide + "taps", "do=next&SINK-there=true&OUTSIDE-there=true");
    copy.post(guide + "lows", "do=next&cold=true");
    return rig;
  }

  private void visit(String path) {
    page.navigate(COPY.copy().address() + path);
  }

  @Test
  void aPlainVanIsDescribedOnAPhoneInSixtyAnswers() {
    onPhone();
    plainVan();
    assertThat(answers).as("answers").isLessThanOrEqualTo(MOST_ANSWERS);
    assertThat(taps).as("taps").isLessThanOrEqualTo(MOST_TAPS);
    assertThat(page.locator("main")).containsText("Fresh → three-way valve → strainer → pump");
    assertThat(page.locator("main")).containsText("Sink → trap → Gray");
    assertThat(page.locator(".guide-holds")).containsText("95 L fresh, 60 L gray");
    assertThat((Integer) page.evaluate("document.documentElement.scrollWidth"))
        .isLessThanOrEqualTo(390);
    page.locator("#finish").click();
    assertThat(page).hasURL(Pattern.compile("/board$"));
    assertThat(page.locator("#board")).containsText("Tank valve");
  }

  @Test
  void aTrailerWithTwoTanksOnOneValveIsDescribedInSixtyAnswers() {
    page = COPY.page();
    begin("Trailer " + System.nanoTime());
    choose("body", "TRAILER");
    type("length", "3.5 m");
    goOn("Tanks");
    for (int i = 1; i <= 2; i++) {
      press("A fresh tank");
      type("t" + i + "-litres", "40");
      spot("t" + i + "-spot", i + "-1");
      type("t" + i + "-bottom", "650");
    }
    goOn("Filling");
    tick("t1-JUG");
    goOn("Vents and openings");
    goOn("Tank to pump");
    choose("piece-0", "THREE_WAY");
    choose("third", "OTHER_TANK");
    goOn("Pump");
    choose("type", "FOOT");
    type("height", "700");
    type("flow", "4");
    goOn("Taps");
    tick("SINK-there");
    spot("SINK-spot", "0-2");
    type("SINK-height", "1100");
    choose("SINK-runs", "GROUND");
    goOn("Waste");
    goOn("Low points");
    goOn("Look back");
    assertThat(answers).as("answers").isLessThanOrEqualTo(MOST_ANSWERS);
    assertThat(page.locator("main")).containsText("Fresh → three-way valve → pump");
    assertThat(page.locator("main")).containsText("Sink → the ground");
    page.locator("[name='fresh']").fill("20");
    page.locator("[name='fresh-2']").fill("20");
    doesItsJobs("pour-fresh-fresh-neck", "run-fresh", "shed-fresh-fresh-drain-cap");
  }

  @Test
  void aBusWithMainsFiltersHeaterAndManifoldsTakesAtMostTwiceAsMany() {
    page = COPY.page();
    begin("Bus " + System.nanoTime());
    choose("body", "TRUCK");
    type("length", "9 m");
    type("people", "4");
    goOn("Tanks");
    press("A fresh tank");
    type("t1-litres", "300");
    spot("t1-spot", "2-0");
    type("t1-bottom", "1100");
    press("A gray tank");
    type("t2-litres", "200");
    spot("t2-spot", "2-2");
    type("t2-bottom", "500");
    goOn("Filling");
    tick("t1-MAINS");
    type("t1-neck-height", "1700");
    tick("taps");
    type("inlet-height", "1000");
    goOn("Vents and openings");
    type("t1-vent", "1900");
    type("t2-vent", "1200");
    goOn("Tank to pump");
    choose("piece-0", "SHUT_OFF");
    choose("piece-1", "STRAINER");
    goOn("Pump");
    type("height", "1200");
    type("flow", "15");
    type("cut-out", "3");
    tick("accumulator");
    tick("filter-SEDIMENT");
    tick("filter-CARBON");
    choose("hot", "STORAGE");
    type("heater", "15");
    tick("manifolds");
    goOn("Taps");
    for (String use : new String[] {"SINK", "BASIN", "SHOWER", "TOILET"}) {
      tick(use + "-there");
      type(use + "-height", "1900");
    }
    goOn("Waste");
    tick("shares-BASIN");
    tick("shares-SHOWER");
    goOn("Low points");
    tick("cold");
    tick("hot");
    goOn("Look back");
    assertThat(answers).as("answers").isLessThanOrEqualTo(2 * MOST_ANSWERS);
    assertThat(page.locator("main")).containsText("heater → Sink, Basin, Shower");
    assertThat(page.locator("main")).containsText("Basin, Shower → trap → Gray");
    assertThat(page.locator("main")).containsText("check valve → shut-off → the taps");
    assertThat(page.locator("main")).containsText("Shower gives");
    page.locator("[name='fresh']").fill("100");
    page.locator("[name='gray']").fill("50");
    doesItsJobs("fill-fresh-hose-inlet", "run-fresh", "empty-gray-gray-outlet");
  }

  @Test
  void itFillsRunsAndDrainsByItsJobs() throws IOException {
    page = COPY.page();
    String rig = sent();
    visit(rig + "/guide/look");
    page.locator("[name='fresh']").fill("40");
    page.locator("[name='gray']").fill("20");
    doesItsJobs(
        "fill-fresh-hose-inlet", "pour-fresh-fresh-neck", "run-fresh", "empty-gray-gray-outlet");
  }

  /** Keeps the levels of the look back; then each job can be begun, and nothing is a danger. */
  private void doesItsJobs(String... jobs) {
    page.locator("#finish").click();
    assertThat(page).hasURL(Pattern.compile("/board$"));
    assertThat(page.locator(".warning-danger")).hasCount(0);
    String rig = page.url().replaceFirst("/board$", "");
    for (String job : jobs) {
      page.navigate(rig + "/jobs/" + job);
      assertThat(page.locator("#begin").or(page.locator(".job-so"))).isVisible();
      assertThat(page.locator(".warning-danger")).hasCount(0);
    }
  }

  @Test
  void everyPageOfQuestionsCanBeReadByAll() throws IOException {
    page = COPY.page();
    String guide = sent() + "/guide/";
    for (String at : new String[] {"tanks", "fill", "suction", "taps", "look"}) {
      visit(guide + at);
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
    assertThat(page.locator("main")).containsText("every tank half full: Fresh 47.5 L, Gray 30 L.");
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
    assertThat(page.locator(".guide-holds")).containsText("94.6 L fresh");
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
    assertThat(page.locator("h1")).hasText("Look back");
    assertThat(page.locator("#e-fresh")).containsText("“a tub” is no unit");
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
    return page.replaceAll("(?s).*The ways of the water|</ul>.*", "");
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
  void aStepTakenBackInTheEditorIsTakenBackInTheAnswersAndAChangeThereIsTold() {
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
  }

  @Test
  void byKeyboardAloneTheSameVanIsDescribedFromEndToEnd() {
    byKeys = true;
    page = COPY.page();
    plainVan();
    assertThat(answers).as("answers").isLessThanOrEqualTo(MOST_ANSWERS);
    assertThat(taps).as("keys that are no Tab or arrow").isLessThanOrEqualTo(MOST_TAPS);
    assertThat(page.locator("main")).containsText("Fresh → three-way valve → strainer → pump");
    assertThat(page.locator("main")).containsText("Pump → accumulator → Sink, Outside rinse");
    assertThat(page.locator(".guide-holds")).containsText("95 L fresh, 60 L gray");
    reach("#finish");
    page.keyboard().press("Enter");
    assertThat(page).hasURL(Pattern.compile("/board$"));
  }
}
