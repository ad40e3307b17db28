package fernwort.app.rig;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.SelectOption;
import fernwort.app.Axe;
import fernwort.app.InBrowser;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** From nothing to an own rig, in a real browser. */
class DescribeJourneyTest {

  @RegisterExtension static final InBrowser COPY = new InBrowser();

  private Page page;

  @BeforeEach
  void open() {
    page = COPY.page();
  }

  private void startFrom(String layout, String name) {
    COPY.visit("/rigs");
    page.locator("a[href='/rigs/new']").click();
    page.locator("#name").fill(name);
    page.locator("button.button[value=" + layout + "]").click();
    assertThat(page.locator("h1")).hasText(name);
  }

  private Locator part(String label) {
    return page.locator("a.pick[aria-label='" + label + "']").first();
  }

  private void keep() {
    page.locator(".own-form").first().locator("button.button").click();
  }

  @Test
  void fromNothingToAnOwnRigWithTwoTanksOnTheBoardAndItsDaysLeft() {
    startFrom("main-and-low", "Saltwort");
    part("Fresh").click();
    page.locator("#f-sizes").fill("90 cm, 450, 300");
    keep();
    assertThat(page.locator(".tank-figure")).containsText("113");
    page.locator("a:has-text('To the Board')").click();
    assertThat(page.locator("h1")).hasText("Saltwort");
    page.locator("#h-fresh").click();
    page.locator("#amount").fill("100");
    page.locator("#preview button[type=submit]").click();
    assertThat(page.locator("#h-fresh")).containsText("%");
    page.locator("#h-low").click();
    page.locator("#amount").fill("50");
    page.locator("#unit").selectOption("litres");
    page.locator("#preview button[type=submit]").click();
    assertThat(page.locator("#h-low")).containsText("50 L");
    assertThat(page.locator(".lasts strong")).containsText("days");
  }

  @Test
  void aPartIsPutIntoALineMovedTakenOutAndEachStepUndone() {
    startFrom("one-tank", "Orache");
    page.locator("a.pick[aria-label='Line pump to sink']").focus();
    page.keyboard().press("Enter");
    page.locator("#insert-kind").selectOption("valve");
    page.locator("#insert-label").fill("Sink valve");
    page.locator("button:has-text('Put it in')").click();
    assertThat(page.locator(".panel h2").first()).hasText("Sink valve");
    page.locator("#f-place").selectOption(new SelectOption().setLabel("Galley"));
    page.locator("#f-height").fill("1,1 m");
    keep();
    assertThat(page.locator("#f-height")).hasValue("1100");
    page.locator("button:has-text('Take it out')").click();
    assertThat(part("Sink valve")).hasCount(0);
    page.locator("#undo").click();
    assertThat(part("Sink valve")).isVisible();
    assertThat(page.locator("#said")).containsText("last: Took back: Took out Sink valve");
    page.locator("#undo").click();
    page.locator("#undo").click();
    assertThat(part("Sink valve")).hasCount(0);
    page.locator("#redo").click();
    assertThat(part("Sink valve")).isVisible();
  }

  @Test
  void whatIsTypedWrongStaysInTheFormAndASlipIsAsked() {
    startFrom("one-tank", "Thrift");
    part("Fresh").click();
    page.locator("#f-wall").fill("thick");
    keep();
    assertThat(page.locator("#notice")).containsText("Wall thickness: “thick” is not a number");
    assertThat(page.locator("#f-wall")).hasValue("thick");
    page.locator("#f-wall").fill("5");
    page.locator("#f-sizes").fill("9000, 400, 260");
    keep();
    assertThat(page.locator("#notice")).containsText("did you mean 900 mm");
    page.locator("#f-sizes").fill("900, 400, 300");
    keep();
    assertThat(page.locator("#notice")).isHidden();
    assertThat(page.locator("#f-sizes")).hasValue("900, 400, 300");
    COPY.expectComplaint("422");
  }

  @Test
  void theSecondOfTwoPeopleIsToldAndNeitherLosesWork() {
    startFrom("one-tank", "Sea kale");
    part("Pump").click();
    page.locator("#f-label").fill("Quiet pump");
    Page other = COPY.browser().newPage();
    other.navigate(page.url());
    other.locator("#f-label").fill("Loud pump");
    other.locator(".own-form button.button").first().click();
    assertThat(other.locator(".panel h2").first()).hasText("Loud pump");
    other.close();
    keep();
    assertThat(page.locator("#notice")).containsText("changed this rig meanwhile");
    assertThat(page.locator("#f-label")).hasValue("Quiet pump");
    keep();
    assertThat(page.locator(".panel h2").first()).hasText("Quiet pump");
    COPY.visit("/rigs/sea-kale/compare?with=v1");
    assertThat(page.locator("main")).containsText("Parts changed");
    COPY.expectComplaint("409");
  }

  @Test
  void aFindingOfTheReviewIsMendedWithOneClickAndTheMendUndone() {
    startFrom("one-tank", "Samolus");
    Locator finding =
        page.locator(".warnings details", new Page.LocatorOptions().setHasText("drain"));
    finding.locator("summary").first().click();
    finding.locator("button:has-text('Mend it')").click();
    assertThat(page.locator("#panel")).not().containsText("No drain lets");
    page.locator("#undo").click();
    assertThat(page.locator("#panel")).containsText("No drain lets");
  }

  @Test
  void gallonsAndInchesAreShownWhereTheyAreChosen() {
    startFrom("one-tank", "Gallon rig");
    COPY.visit("/rigs");
    page.locator("select[aria-label=volume]").selectOption("US gal");
    page.locator("form[action='/units'] button").click();
    COPY.visit("/rigs/gallon-rig/sizing");
    assertThat(page.locator("main")).containsText("US gal");
    COPY.visit("/rigs/gallon-rig/board");
    page.locator("#h-fresh").click();
    page.locator("#amount").fill("10 gal");
    page.locator("#unit").selectOption("litres");
    page.locator("#preview button[type=submit]").click();
    assertThat(page.locator("#h-fresh")).containsText("US gal");
  }

  @Test
  void axeFindsNothingOnTheScreensOfDescribingAndSizing() {
    startFrom("long-stay", "Eelgrass");
    for (String path :
        List.of(
            "/rigs",
            "/rigs/new",
            "/rigs/eelgrass/rig?part=fresh",
            "/rigs/eelgrass/rig?line=fresh-feed-tank-valve",
            "/rigs/eelgrass/compare",
            "/rigs/eelgrass/sizing",
            "/rigs/eelgrass/sizing/space",
            "/rigs/eelgrass/sizing/weight",
            "/rigs/eelgrass/sizing/pump",
            "/rigs/eelgrass/sizing/supply")) {
      COPY.visit(path);
      assertThat(Axe.violations(page)).as(path).isEmpty();
    }
  }

  @Test
  void aValveGetsAnotherPositionAndTheVehicleItsAxles() {
    startFrom("long-stay", "Sea rocket");
    part("Tank outlet").click();
    page.locator("#f-new-joins").selectOption("shut");
    page.locator("#f-new-words").fill("points at the door");
    page.locator("#f-new-angle").fill("180");
    keep();
    assertThat(page.locator("input[value='points at the door']")).hasCount(1);
    page.locator("summary:has-text('The vehicle')").click();
    page.locator("#f-axles").fill("back; 0; 1800; 1210\nfront; 3400; 1850; 1320");
    page.waitForResponse(
        "**/vehicle", () -> page.locator("form[action$='/vehicle'] button").click());
    assertThat(page.locator("#notice")).isHidden();
    COPY.visit("/rigs/sea-rocket/sizing/weight");
    assertThat(page.locator("#weight")).containsText("back axle");
    assertThat(page.locator("#weight")).containsText("1800 kg");
  }
}
