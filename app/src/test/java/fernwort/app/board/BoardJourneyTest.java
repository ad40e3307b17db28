package fernwort.app.board;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ReducedMotion;
import fernwort.app.Axe;
import fernwort.app.InBrowser;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** The Board in a real browser. */
class BoardJourneyTest {

  private static final List<String> PAGES =
      List.of(
          "/rigs/tern/board",
          "/rigs/marginalia/log",
          "/rigs/marginalia/empty?tanks=low&lines=true&go=true",
          "/rigs",
          "/api",
          "/no-such-page");

  @RegisterExtension static final InBrowser COPY = new InBrowser();

  private Page page;

  @BeforeEach
  void open() {
    page = COPY.page();
  }

  private void visit(String path) {
    COPY.visit(path);
  }

  private Locator handle(String part) {
    return page.locator("#h-" + part);
  }

  private Locator now() {
    return page.locator(".panel .now");
  }

  /** In the morning the first thing said is what to do, and one press leads there. */
  @Test
  void whatIsNextStandsFirstWithTheJobThatDoesIt() throws IOException {
    // Frost would come first.
    COPY.night("marginalia", 8);
    COPY.visit("/rigs/marginalia/board");
    assertThat(page.locator("#next [data-answer]")).containsText("Water for about");
    COPY.visit("/rigs/samphire/jobs/pour-tank-filler");
    page.locator("#begin").click();
    page.locator("#done-1").click();
    COPY.visit("/rigs/samphire/board");
    assertThat(page.locator("#next .next-lines li").first())
        .containsText("You are in the middle of: Fill Tank, by hand at Filler neck.");
    page.locator("#next a.button").first().click();
    assertThat(page.locator("h1")).containsText("Fill Tank");
  }

  @Test
  void aHandleShowsWhatItWouldChangeThenTurnsAndIsUndone() {
    visit("/rigs/marginalia/board");
    assertThat(now()).containsText("Pump draws from Main fresh and pushes to Sink");
    handle("tank-selector").hover();
    Locator preview = page.locator("#preview");
    assertThat(preview).containsText("Turn to: points to Low");
    assertThat(preview).containsText("opens");
    handle("tank-selector").click();
    assertThat(now()).containsText("Pump draws from Low fresh and pushes to Sink");
    page.keyboard().press("Control+z");
    assertThat(now()).containsText("from Main fresh");
    page.keyboard().press("Control+y");
    assertThat(now()).containsText("from Low fresh");
    page.locator("#undo").click();
    assertThat(now()).containsText("from Main fresh");
    visit("/rigs/marginalia/log");
    assertThat(page.locator("tbody tr").first()).containsText("Undid a change of Tank selector");
  }

  @Test
  void theWholeBoardIsWorkedByKeyboardAndKeepsTheFocus() {
    visit("/rigs/tern/board");
    handle("sink").focus();
    page.keyboard().press("Enter");
    assertThat(handle("sink")).hasAttribute("aria-label", "Sink: open, cold. Turn to: open, mixed");
    assertThat(handle("sink")).isFocused();
    page.keyboard().press(" ");
    assertThat(handle("sink")).hasAttribute("aria-label", "Sink: open, mixed. Turn to: open, hot");
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    assertThat(handle("sink")).hasAttribute("aria-label", "Sink: closed. Turn to: open, cold");
    for (Locator handle : page.locator(".cutaway-whole [role=button]").all()) {
      assertThat(handle).hasAttribute("tabindex", "0");
    }
  }

  @Test
  void aTurnLeavesThePartsThatLookAsBeforeWhereTheyAre() {
    visit("/rigs/tern/board");
    // Marked in the page alone: what the server sends again has no mark.
    page.evaluate(
        "document.querySelectorAll('.sheet svg > g, .panel > *')"
            + ".forEach(g => g.marked = true)");
    page.locator("#parked > summary").click();
    page.locator("#pitch").fill("2");
    page.locator("#answers > summary").click();
    assertThat(page.locator("#answers .answers")).not().containsText("Working it out");
    String marked = "part => document.querySelector(part).marked === true";
    handle("sink").click();
    assertThat(handle("sink")).hasAttribute("aria-label", "Sink: open, cold. Turn to: open, mixed");
    assertThat(page.evaluate(marked, "#h-toilet")).as("the toilet").isEqualTo(true);
    assertThat(page.evaluate(marked, "#h-sink")).as("the sink").isEqualTo(false);
    assertThat(page.locator("#redo")).isDisabled();
    assertThat(page.evaluate(marked, "#parked")).as("how it is parked").isEqualTo(true);
    assertThat(page.locator("#pitch")).hasValue("2");
    assertThat(page.evaluate(marked, ".now")).as("what happens now").isEqualTo(false);
    assertThat(page.evaluate(marked, "#answers")).as("flows and times").isEqualTo(false);
    assertThat(page.locator("#answers .answers")).containsText("Sink");
    handle("sink").click();
    assertThat(handle("sink")).hasAttribute("aria-label", "Sink: open, mixed. Turn to: open, hot");
    page.keyboard().press("Control+z");
    page.keyboard().press("Control+z");
    assertThat(handle("sink")).hasAttribute("aria-label", "Sink: closed. Turn to: open, cold");
    assertThat(page.locator("#redo")).isEnabled();
  }

  @Test
  void aDangerousTurnIsToldBeforeItIsMade() {
    visit("/rigs/marginalia/board");
    handle("tank-selector").hover();
    Locator shut =
        page.locator("#preview .change", new Page.LocatorOptions().setHasText("points up"));
    assertThat(shut).containsText("danger");
    assertThat(shut).containsText("Pump is on and has nothing to draw");
    assertThat(page.locator(".warnings")).not().containsText("nothing to draw");
  }

  @Test
  void aReadingIsRecordedAndABadOneIsRefusedWithNothingLost() {
    visit("/rigs/samphire/board");
    handle("tank").click();
    page.locator("#amount").fill("7,5");
    page.locator("#unit").selectOption("litres");
    page.locator("#preview button[type=submit]").click();
    assertThat(handle("tank")).containsText("7.5 L");
    handle("tank").click();
    page.locator("#amount").fill("about half");
    page.locator("#preview button[type=submit]").click();
    assertThat(page.locator("#notice")).containsText("is not a number");
    assertThat(page.locator("#amount")).hasValue("about half");
    page.locator("#amount").fill("900");
    page.locator("#preview button[type=submit]").click();
    assertThat(page.locator("#notice")).containsText("must be from 0 % to 100 %");
    assertThat(handle("tank")).containsText("7.5 L");
    COPY.expectComplaint("422");
  }

  @Test
  void habitsChangeHowLongTheWaterLastsAndShowTheirWorking() {
    visit("/rigs/tern/board");
    String before = page.locator(".lasts strong").textContent();
    page.locator(".lasts > summary").click();
    page.locator(".lasts details summary").click();
    assertThat(page.locator(".lasts .sum").first()).containsText("Fore fresh holds 48 L");
    page.locator("#people").fill("4");
    page.locator(".lasts button[type=submit]").click();
    assertThat(page.locator(".lasts")).containsText("4 people");
    assertThat(page.locator(".lasts strong")).not().hasText(before);
  }

  @Test
  void emptyingGivesAnOrderOfHandlesAndWhatStays() {
    visit("/rigs/marginalia/board");
    page.locator(".panel-links a").first().click();
    page.locator("input[value=low]").check();
    page.locator("input[name=lines]").check();
    page.locator("button[name=go]").click();
    assertThat(page.locator("h1")).containsText("Empty Low fresh, all lines");
    assertThat(page.locator(".run-step").first()).containsText("off");
    assertThat(page.locator("main")).containsText("Sink trap (its body)");
  }

  @Test
  void onAPhoneEachPlaceIsACardAndItsHandlesTurn() {
    page.setViewportSize(390, 844);
    visit("/rigs/marginalia/board");
    assertThat(page.locator(".place-card").first()).isVisible();
    assertThat(page.locator("#sheet")).isHidden();
    page.locator("#h-n-bypass").click();
    assertThat(page.locator("#h-n-bypass"))
        .hasAttribute("aria-label", "Bypass: along the pipe. Turn to: across the pipe");
    Object overflow =
        page.evaluate(
            "document.documentElement.scrollWidth - document.documentElement.clientWidth");
    assertThat(overflow).isEqualTo(0);
    page.keyboard().press("Control+z");
    assertThat(page.locator("#h-n-bypass"))
        .hasAttribute("aria-label", "Bypass: across the pipe. Turn to: along the pipe");
  }

  @Test
  void theDemoRigsFitTheScreenAndNoWordsLieOverEachOther() {
    for (String rig : List.of("marginalia", "samphire", "tern")) {
      visit("/rigs/" + rig + "/board");
      Object fits =
          page.evaluate(
              "(() => { const s = document.getElementById('sheet');"
                  + " return s.scrollHeight <= s.clientHeight && s.scrollWidth <= s.clientWidth })()");
      assertThat(fits).as(rig + " fits").isEqualTo(true);
      Object clashes =
          page.evaluate(
              """
              (() => {
                const texts = [...document.querySelectorAll('.cutaway-whole text')]
                  .map(t => [t.textContent, t.getBoundingClientRect()]);
                const clashes = [];
                texts.forEach(([a, p], i) => texts.slice(i + 1).forEach(([b, q]) => {
                  if (p.left < q.right - 1 && q.left < p.right - 1
                      && p.top < q.bottom - 4 && q.top < p.bottom - 4) clashes.push(a + ' / ' + b);
                }));
                return clashes;
              })()
              """);
      assertThat(clashes).as(rig).isEqualTo(List.of());
    }
  }

  @Test
  void movingWaterStandsStillForThoseWhoWantLessMotion() {
    page.emulateMedia(new Page.EmulateMediaOptions().setReducedMotion(ReducedMotion.REDUCE));
    visit("/rigs/marginalia/board");
    assertThat(page.locator(".cutaway-whole .pipe-flow").first()).hasCSS("animation-name", "none");
  }

  @Test
  void axeFindsNothingOnAnyPageInAnyLook() {
    for (String path : PAGES) {
      visit(path);
      assertThat(Axe.violations(page)).as(path).isEmpty();
      for (String theme : List.of("dark", "sun")) {
        page.evaluate("theme => document.documentElement.dataset.theme = theme", theme);
        assertThat(Axe.contrast(page)).as("%s, %s", path, theme).isEmpty();
      }
    }
  }

  @Test
  void aThemeIsChosenAndKept() {
    visit("/rigs");
    page.locator("#theme").selectOption("sun");
    page.locator("form[action='/theme'] button").click();
    assertThat(page.locator("html")).hasAttribute("data-theme", "sun");
    visit("/api");
    assertThat(page.locator("html")).hasAttribute("data-theme", "sun");
  }

  @Test
  void aRigFileIsTakenInAndARuinedOneIsRefusedWithItsFaults(@TempDir Path folder)
      throws IOException {
    String file = COPY.copy().get("/rigs/samphire/export").body();
    Path good = folder.resolve("good.json");
    java.nio.file.Files.writeString(
        good, file.replace("\"name\" : \"Samphire\"", "\"name\" : \"Glasswort\""));
    visit("/rigs");
    page.locator("#file").setInputFiles(good);
    page.locator("form[action='/rigs/import'] button").click();
    assertThat(page.locator("h1")).hasText("Glasswort");
    Path bad = folder.resolve("bad.json");
    java.nio.file.Files.writeString(bad, file.replace("\"part\" : \"jug\"", "\"part\" : \"jar\""));
    visit("/rigs");
    page.locator("#file").setInputFiles(bad);
    page.locator("form[action='/rigs/import'] button").click();
    assertThat(page.locator(".problems")).containsText("there is no part \"jar\"");
    COPY.expectComplaint("422");
  }

  @Test
  void aRigParkedOnASlopeIsReadOnIt() {
    COPY.visit("/rigs/samphire/board");
    page.locator("#parked summary").click();
    page.locator("#pitch").fill("-2,5");
    page.locator("#parked button").click();
    assertThat(page.locator("#parked summary")).hasText("Parked nose down 2.5°");
    page.reload();
    assertThat(page.locator("#parked summary")).hasText("Parked nose down 2.5°");
    page.locator("#parked summary").click();
    page.locator("#pitch").fill("60");
    page.locator("#parked button").click();
    assertThat(page.locator("#notice")).containsText("Nobody parks");
    COPY.expectComplaint("422");
  }

  @Test
  void howLongAndHowMuchIsAnsweredOnTheBoardWithItsWorking() {
    COPY.visit("/rigs/marginalia/board");
    page.locator("#answers summary").click();
    assertThat(page.locator("#answers")).containsText("Gray is full to its vent");
    assertThat(page.locator("#answers")).containsText("Sink then");
  }
}
