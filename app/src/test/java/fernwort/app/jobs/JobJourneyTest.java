package fernwort.app.jobs;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import fernwort.app.Axe;
import fernwort.app.InBrowser;
import java.io.IOException;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Jobs in a real browser: done on a phone, planned anew after a wrong handle, lent on a card. */
class JobJourneyTest {

  @RegisterExtension static final InBrowser COPY = new InBrowser();

  private Page page;

  @BeforeEach
  void newPage() {
    page = COPY.page();
  }

  private void onPhone() {
    page = COPY.use(new Browser.NewContextOptions().setViewportSize(390, 844));
  }

  private void begin(String rig, String job) {
    COPY.visit("/rigs/" + rig + "/jobs/" + job);
    page.locator("#begin").click();
    assertThat(page.locator("#run")).isVisible();
  }

  private void tick(int step) {
    page.locator("#done-" + step).click();
    assertThat(page.locator("#step-" + step)).hasClass(Pattern.compile("step-done"));
  }

  @Test
  void aFillFromStartToFinishOnAPhoneWithAReloadHalfway() {
    onPhone();
    begin("tern", "fill-fore-inlet");
    assertThat(page.locator("#step-1")).containsText("Open Shore to tanks.");
    tick(1);
    tick(2);
    page.reload();
    assertThat(page.locator("#run [data-say]")).containsText("2 of 6 ticked");
    page.locator("#wait-3").click();
    assertThat(page.locator(".timer")).containsText("to go");
    page.reload();
    assertThat(page.locator(".timer")).containsText("to go");
    tick(3);
    tick(4);
    tick(5);
    page.locator("#done-6").click();
    assertThat(page.locator("#run [data-say]")).containsText("done, and in the log");
    assertThat(page.locator("#said")).containsText("done, and in the log");
    Object wide = page.evaluate("document.documentElement.scrollWidth");
    assertThat((Integer) wide).isLessThanOrEqualTo(390);
    assertThat(page.locator("#stands")).containsText("Where does it stand now?");
    assertThat(page.locator("#stands-fore")).hasValue("72");
    page.locator("#save-stands").click();
    page.waitForURL("**/board");
    assertThat(page.locator("#h-n-fore")).containsText("72 L");
    COPY.visit("/rigs/tern/log");
    assertThat(page.locator("tbody"))
        .containsText("Fill Fore fresh, from mains water at Hose inlet: done");
  }

  @Test
  void aTankIsFilledToAMarkInGallonsFromTheKeyboard() {
    onPhone();
    COPY.visit("/rigs/marginalia/jobs/fill-main-inlet");
    page.locator("#to-mark input").fill("24 gal");
    page.keyboard().press("Enter");
    assertThat(page.locator("h1")).containsText("Fill Main fresh to 91 L");
    assertThat(page.locator(".run-steps")).containsText("until Main fresh holds 91 L");
    page.locator("#to-mark input").fill("900");
    page.keyboard().press("Enter");
    assertThat(page.locator("main")).containsText("Main fresh takes no more than");
    COPY.expectComplaint("422");
  }

  @Test
  void handlesOnTheBoardFollowTheTicks() {
    begin("marginalia", "empty-gray-dump-outlet");
    tick(1);
    COPY.visit("/rigs/marginalia/board");
    assertThat(page.locator("#h-dump-outlet")).hasClass(Pattern.compile("is-hose"));
  }

  @Test
  @Tag("sweep")
  void afterAWrongHandleTheRestIsPlannedFromWhereTheHandlesAre() {
    begin("marginalia", "fill-main-inlet");
    tick(1);
    String sheet = page.url();
    COPY.visit("/rigs/marginalia/board");
    page.locator("#h-fill-selector").click();
    assertThat(page.locator("#h-fill-selector")).hasClass(Pattern.compile("is-low"));
    page.navigate(sheet);
    assertThat(page.locator("#run")).containsText("The handles are not where this sheet has them");
    assertThat(page.locator("#run")).containsText("Fill selector is “points to Low”");
    page.locator("#replan").click();
    assertThat(page.locator(".is-next")).containsText("Set Fill selector: points to Main.");
    assertThat(page.locator("#run")).not().containsText("not where this sheet has them");
  }

  @Test
  void aStepThatCannotBeDoneIsPlannedAroundOrSaysWhy() {
    begin("tern", "run-arch");
    page.locator("#step-1 summary:has-text('More')").click();
    page.locator("#cannot-1").click();
    assertThat(page.locator("#notice")).containsText("no other way");
    assertThat(page.locator("#step-1")).isVisible();
    COPY.expectComplaint("422");
    COPY.expectComplaint("cannot");
  }

  @Test
  void aSkippedStepIsAskedAboutBeforeTheEnd() {
    begin("samphire", "pour-tank-filler");
    page.locator("#step-1 summary:has-text('More')").click();
    page.locator("#skip-1").click();
    assertThat(page.locator("#run")).containsText("Left out: was that meant?");
    tick(2);
    tick(3);
    tick(4);
    tick(5);
    assertThat(page.locator("#leave")).isVisible();
    page.locator("#meant-1").click();
    assertThat(page.locator("#said")).containsText("done");
  }

  @Test
  void aBorrowersCardShowsWhatWasChosenUntilItIsWithdrawn() throws IOException {
    COPY.visit("/rigs/marginalia/cards");
    page.getByLabel("Who is it for?").fill("Ada");
    page.getByLabel("Fill Low fresh, from mains water").check();
    page.locator("button:has-text('Make the card')").click();
    String link = page.locator(".qr-row a").getAttribute("href");
    assertThat(page.locator("svg.qr")).isVisible();
    onPhone();
    page.navigate(link);
    assertThat(page.locator("h1")).hasText("Marginalia");
    assertThat(page.locator("main")).containsText("Fill Low fresh, from mains water");
    assertThat(page.locator("main")).not().containsText("Fill Main fresh");
    assertThat(page.locator("form")).hasCount(0);
    assertThat(Axe.violations(page)).isEmpty();
    COPY.visit("/rigs/marginalia/cards");
    page.locator("button:has-text('Withdraw')").click();
    assertThat(page.locator("main")).containsText("withdrawn");
    assertThat(COPY.copy().get(link.replaceFirst("^https?://[^/]+", "")).statusCode())
        .isEqualTo(404);
  }

  @Test
  @Tag("sweep")
  void everySlipIsTriedWithABarAndAChangeOfPlumbingShrinksTheList() {
    COPY.visit("/rigs/samphire/slips");
    assertThat(page.locator("#round [data-say]"))
        .hasText(
            Pattern.compile("(\\d+) of \\1"),
            new com.microsoft.playwright.assertions.LocatorAssertions.HasTextOptions()
                .setTimeout(30_000));
    COPY.visit("/rigs/marginalia/jobs/fill-main-inlet");
    page.locator("#slips").scrollIntoViewIfNeeded();
    page.locator("#try-fixes").click();
    page.locator("#fix-float-main")
        .click(new com.microsoft.playwright.Locator.ClickOptions().setTimeout(30_000));
    assertThat(page.locator("#slips")).containsText("harmful mistakes become");
  }

  @Test
  @Tag("sweep")
  void anAutomationIsCheckedKeptAndRunOnTheSimulatedRig() {
    COPY.visit("/rigs/tern/automations");
    page.locator("#new a:has-text('Close and stop all')").click();
    assertThat(page.locator("#new select")).hasCount(0);
    page.locator("#new a:has-text('Change tank when one runs dry')").click();
    assertThat(page.locator("#new #high")).hasCount(0);
    page.getByLabel("Valve of the other (the same, for one selector)").selectOption("arch-motor");
    page.locator("button:has-text('Check and save it')").click();
    assertThat(page.locator("main"))
        .containsText("Change from Fore valve to Arch valve when Fore fresh has fallen to 20 %");
    page.getByLabel("with this tap open").selectOption("sink");
    page.locator("button:has-text('Run')").last().click();
    assertThat(page.locator("main")).containsText("Arch valve turned: mark along the pipe");
  }

  @Test
  @Tag("sweep")
  void theScreensOfJobsCanBeReadByAll() {
    for (String path :
        new String[] {
          "/rigs/marginalia/jobs/fill-low-inlet",
          "/rigs/marginalia/jobs/fill-low-inlet/sheet",
          "/rigs/marginalia/labels",
          "/rigs/marginalia/cards",
          "/rigs/marginalia/jobs/bumps",
          "/rigs/tern/automations"
        }) {
      COPY.visit(path);
      assertThat(page.locator("h1")).isVisible();
      assertThat(Axe.violations(page)).as(path).isEmpty();
    }
    begin("tern", "rest");
    assertThat(Axe.violations(page)).as("run").isEmpty();
  }

  @Test
  void byKeyboardAloneAStepIsTicked() {
    begin("marginalia", "shed-low-low-drain");
    page.locator("#done-1").focus();
    page.keyboard().press("Enter");
    assertThat(page.locator("#step-1")).hasClass(Pattern.compile("step-done"));
  }
}
