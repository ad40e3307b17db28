package fernwort.app.rig;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.SelectOption;
import fernwort.app.Axe;
import fernwort.app.InBrowser;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
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
    page.locator("#keep-form button.button").click();
  }

  @Test
  void fromNothingToAnOwnRigWithTwoTanksOnTheBoardAndItsDaysLeft() {
    startFrom("main-and-low", "Saltwort");
    part("Fresh").click();
    page.locator("#f-sizes").fill("90 cm x 450 x 300");
    keep();
    assertThat(page.locator(".tank-figure")).containsText("114");
    page.locator("a:has-text('To Today')").click();
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
    page.locator("#add-what").selectOption("valve");
    page.locator("#f-add-label").fill("Sink valve");
    page.locator("#add button:has-text('Add it')").click();
    assertThat(page.locator(".panel h2").first()).hasText("Sink valve");
    page.locator("#f-place").selectOption(new SelectOption().setLabel("Galley"));
    page.locator("#f-height").fill("1,1 m");
    keep();
    assertThat(page.locator("#f-height")).hasValue("1100");
    page.locator("button:has-text('Take it out')").click();
    assertThat(part("Sink valve")).hasCount(0);
    page.locator("#undo").click();
    assertThat(part("Sink valve")).isVisible();
    assertThat(page.locator("#said")).containsText("Last: Undid: Removed Sink valve");
    page.locator("#undo").click();
    page.locator("#undo").click();
    assertThat(part("Sink valve")).hasCount(0);
    page.locator("#redo").click();
    assertThat(part("Sink valve")).isVisible();
  }

  /**
   * A tap that takes no hot water any more: the pipe is named and goes with it, one undo for both.
   */
  @Test
  void aPipeThatHasNothingToJoinIsNamedAndRemovedWithOneUndo() {
    startFrom("long-stay", "Tansy");
    part("Sink").click();
    page.locator("#f-use").selectOption("tap");
    keep();
    assertThat(page.locator("#notice")).containsText("Sink has no place for the pipe “");
    assertThat(page.locator("#notice")).not().containsText("port");
    page.locator("#notice button:has-text('Keep it as typed')").click();
    assertThat(page.locator("#said")).containsText("Changed Sink, removed ");
    page.locator("#undo").click();
    part("Sink").click();
    assertThat(page.locator("#f-use")).hasValue("mixer");
    COPY.expectComplaint("422");
  }

  @Test
  void whatIsTypedWrongStaysInTheFormAndASlipIsAsked() {
    startFrom("one-tank", "Thrift");
    part("Fresh").click();
    page.locator("#f-wall").fill("thick");
    page.locator("#f-height").fill("high");
    keep();
    assertThat(page.locator("#e-wall")).containsText("Wall thickness: “thick” is not a number");
    assertThat(page.locator("#e-height")).containsText("“high” is not a number");
    assertThat(page.locator("#f-height")).isFocused();
    assertThat(page.locator("#f-wall")).hasAttribute("aria-describedby", "e-wall");
    assertThat(page.locator("#f-wall")).hasValue("thick");
    page.locator("#f-wall").fill("5");
    assertThat(page.locator("#e-wall")).hasCount(0);
    page.locator("#f-height").fill("600");
    page.locator("#f-sizes").fill("9000, 400, 260");
    keep();
    assertThat(page.locator("#notice")).containsText("did you mean 900 mm");
    page.locator("#f-sizes").fill("900, 400, 300");
    keep();
    assertThat(page.locator("#notice")).isHidden();
    assertThat(page.locator("#f-sizes")).hasValue("900 x 400 x 300");
    COPY.expectComplaint("422");
  }

  @Test
  @Tag("sweep")
  void theSecondOfTwoPeopleIsToldAndNeitherLosesWork() {
    startFrom("one-tank", "Sea kale");
    part("Pump").click();
    page.locator("#f-label").fill("Quiet pump");
    Page other = COPY.browser().newPage();
    other.navigate(page.url());
    other.locator("#f-label").fill("Loud pump");
    other.locator("#keep-form button.button").click();
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
    finding.locator("button:has-text('Fix it')").click();
    assertThat(page.locator("#panel")).not().containsText("no low-point drain");
    page.locator("#undo").click();
    assertThat(page.locator("#panel")).containsText("no low-point drain");
  }

  @Test
  @Tag("sweep")
  void gallonsAndInchesAreShownWhereTheyAreChosen() {
    startFrom("one-tank", "Gallon rig");
    COPY.visit("/rigs");
    page.locator("select[aria-label=volume]").selectOption("US gal");
    COPY.load(page.locator("form[action='/units'] button")::click);
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
  @Tag("sweep")
  void axeFindsNothingOnTheScreensOfDescribingAndSizing() {
    startFrom("long-stay", "Eelgrass");
    for (String path :
        List.of(
            "/rigs/new",
            "/rigs/eelgrass/rig?part=fresh",
            "/rigs/eelgrass/rig?line=fresh-feed-tank-valve",
            "/rigs/eelgrass/compare",
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
    page.locator("input[name='new-angle'][value='180']").check();
    keep();
    assertThat(page.locator("input[value='points at the door']")).hasCount(1);
    page.locator("summary:has-text('The vehicle')").click();
    page.locator("#f-axle-0").fill("back");
    page.locator("#f-axle-limit-0").fill("1800");
    page.waitForResponse(
        "**/vehicle", () -> page.locator("form[action$='/vehicle'] button").click());
    assertThat(page.locator("#notice")).isHidden();
    COPY.visit("/rigs/sea-rocket/sizing/weight");
    assertThat(page.locator("#weight")).containsText("back axle");
    assertThat(page.locator("#weight")).containsText("1800 kg");
  }

  private void onPhone() {
    page = COPY.phone();
  }

  private String rig() {
    return page.url().replaceFirst("\\?.*", "");
  }

  @Test
  void whatWasBegunIsThereAgainAndWhatWasKeptOrTakenBackIsNot() {
    startFrom("one-tank", "Sea aster");
    part("Pump").click();
    page.locator("#f-label").fill("Quiet pump");
    part("Sink").click();
    assertThat(page.locator(".panel h2").first()).hasText("Sink");
    assertThat(page.locator(".draft-note")).hasCount(0);
    part("Pump").click();
    assertThat(page.locator("#f-label")).hasValue("Quiet pump");
    assertThat(page.locator(".draft-note")).isVisible();
    keep();
    assertThat(page.locator(".panel h2").first()).hasText("Quiet pump");
    assertThat(page.locator(".draft-note")).hasCount(0);
    page.locator("#undo").click();
    part("Pump").click();
    assertThat(page.locator("#f-label")).hasValue("Pump");
    assertThat(page.locator(".draft-note")).hasCount(0);
    page.locator("#f-label").fill("Loud pump");
    page.reload();
    page.locator(".draft-note button").click();
    assertThat(page.locator("#f-label")).hasValue("Pump");
    // What is begun brings back only itself, not what stood beside it.
    page.locator("#f-label").fill("Calm pump");
    Page other = page.context().newPage();
    other.navigate(page.url());
    other.locator("#f-height").fill("999");
    other.locator("#keep-form button.button").click();
    assertThat(other.locator("[data-say]")).containsText("Last: Changed Pump");
    other.close();
    page.reload();
    assertThat(page.locator("#f-label")).hasValue("Calm pump");
    assertThat(page.locator("#f-height")).hasValue("999");
  }

  /** On a slow phone a page stands there before its scripts: what is typed then counts as well. */
  @Test
  @Tag("sweep")
  void whatIsTypedBeforeTheScriptsAreThereIsBegunToo() {
    startFrom("one-tank", "Sea purslane");
    List<Route> late = new ArrayList<>();
    Pattern scripts = Pattern.compile(".*/js/.*[.]js");
    page.route(scripts, late::add);
    part("Pump").click();
    assertThat(page.locator(".panel h2").first()).hasText("Pump");
    page.locator("#f-label").fill("Early pump");
    assertThat(late).as("scripts that are not there yet").isNotEmpty();
    page.unroute(scripts);
    late.forEach(Route::resume);
    page.waitForFunction("() => document.readyState === 'complete'");
    part("Sink").click();
    assertThat(page.locator(".panel h2").first()).hasText("Sink");
    part("Pump").click();
    assertThat(page.locator(".draft-note")).isVisible();
    assertThat(page.locator("#f-label")).hasValue("Early pump");
    page.locator("#f-label").fill("Earlier pump");
    page.reload();
    assertThat(page.locator("#f-label")).hasValue("Earlier pump");
  }

  @Test
  void aBranchComesWithItsTeeAndAFreeEndIsJoinedOrHungOn() {
    startFrom("one-tank", "Sea lavender");
    page.locator("a.pick[aria-label='Line pump to sink']").focus();
    page.keyboard().press("Enter");
    page.locator("#add-what").selectOption("rinse");
    page.locator("#add button:has-text('Add it')").click();
    assertThat(page.locator(".panel h2").first()).hasText("Outside shower");
    assertThat(page.locator("[data-say]")).containsText("Teed Outside shower off pump to sink");
    String base = rig();
    page.navigate(base + "?line=pump-out-sink");
    page.locator("button:has-text('Remove this pipe')").click();
    Locator free = page.locator(".free-end[aria-label='Free end: Pump, out, free']");
    free.focus();
    page.keyboard().press("Enter");
    page.locator("#add-what").selectOption("accumulator");
    page.locator("#add button:has-text('Add it')").click();
    assertThat(page.locator(".panel h2").first()).hasText("Accumulator");
    assertThat(page.locator(".ends")).containsText("towards Pump");
    page.locator("#undo").click();
    assertThat(page.locator("[data-say]")).containsText("Undid: Connected Accumulator to Pump");
    page.navigate(base + "?port=pump.out");
    page.locator("#add-what")
        .selectOption(
            page.locator("#add-what optgroup[label='a line to'] option")
                .first()
                .getAttribute("value"));
    page.locator("#add button:has-text('Add it')").click();
    assertThat(page.locator("[data-say]")).containsText("Joined Pump to");
  }

  @Test
  @Tag("sweep")
  void aPlaceIsAddedOnThePlanAndSomethingPutIntoIt() {
    startFrom("one-tank", "Sea beet");
    page.locator("summary:has-text('Add a place')").click();
    Locator form = page.locator("form[action$='/places']");
    form.locator("[name=new-label]").fill("Roof box");
    form.locator("[name=new-spot][value='3-1']").check();
    form.locator("[name=new-height]").fill("2,4 m");
    form.locator("button").click();
    assertThat(page.locator("#keep-form [name=height]")).hasValue("2400");
    page.locator("#add-what").selectOption("tank");
    page.locator("#f-add-label").fill("Sun tank");
    page.locator("#add button:has-text('Add it')").click();
    assertThat(page.locator(".panel h2").first()).hasText("Sun tank");
    assertThat(page.locator("#f-height")).hasValue("2500");
    page.locator("#f-holds").fill("45 L");
    keep();
    assertThat(page.locator(".tank-figure")).containsText("45 L to the brim");
  }

  @Test
  void onAPhoneAFingerBesideAPartFindsItAndKeepAndUndoStandByTheThumb() {
    onPhone();
    startFrom("one-tank", "Sea purslane");
    BoundingBox pump = part("Pump").locator(".target").first().boundingBox();
    page.touchscreen().tap(pump.x + pump.width / 2, pump.y - 12);
    assertThat(page.locator(".panel h2").first()).hasText("Pump");
    page.locator("#f-label").fill("Quiet pump");
    assertThat(page.locator("#thumb-undo")).isInViewport();
    page.locator("#thumb-keep").tap();
    assertThat(page.locator(".panel h2").first()).hasText("Quiet pump");
    page.evaluate("scrollTo(0, document.body.scrollHeight / 2)");
    assertThat(page.locator("#thumb-keep")).isInViewport();
    page.locator("#thumb-undo").tap();
    assertThat(part("Quiet pump")).hasCount(0);
  }

  @Test
  void onAPhoneTwoFingersEnlargeThePictureAboutThePointBetweenThem() {
    onPhone();
    startFrom("one-tank", "Sea holly");
    double before = page.locator(".cutaway-whole").boundingBox().width;
    BoundingBox pump = part("Pump").locator(".target").first().boundingBox();
    double x = pump.x + pump.width / 2;
    double y = pump.y + pump.height / 2;
    CDPSession touch = page.context().newCDPSession(page);
    for (int apart : new int[] {20, 30, 45, 60}) {
      touch.send(
          "Input.dispatchTouchEvent",
          fingers(apart == 20 ? "touchStart" : "touchMove", x, y, apart));
    }
    touch.send("Input.dispatchTouchEvent", fingers("touchEnd", x, y, 0));
    assertThat(page.locator(".cutaway-whole.is-zoomed")).hasCount(1);
    assertThat(page.locator(".cutaway-whole").boundingBox().width).isGreaterThan(2 * before);
    BoundingBox after = part("Pump").locator(".target").first().boundingBox();
    assertThat(after.x + after.width / 2).isCloseTo(x, within(30.0));
  }

  private static JsonObject fingers(String type, double x, double y, int apart) {
    JsonArray points = new JsonArray();
    if (apart > 0) {
      for (int side : new int[] {-1, 1}) {
        JsonObject point = new JsonObject();
        point.addProperty("x", x + side * apart);
        point.addProperty("y", y);
        point.addProperty("id", side);
        points.add(point);
      }
    }
    JsonObject event = new JsonObject();
    event.addProperty("type", type);
    event.add("touchPoints", points);
    return event;
  }
}
