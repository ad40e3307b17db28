package fernwort.app.cold;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.LocatorAssertions;
import fernwort.app.Axe;
import fernwort.app.InBrowser;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A rig put to sleep and woken, in the browser. */
class ColdJourneyTest {

  /** Four ways through the winter of a large rig, while other tests run beside it (ms). */
  private static final double PATIENCE = 30_000;

  @RegisterExtension static final InBrowser COPY = new InBrowser();

  private static void tick(Page page) {
    String step = page.locator(".is-next").getAttribute("id");
    page.locator(".is-next button.button-main").click();
    assertThat(page.locator("#" + step)).hasClass(Pattern.compile("step-done"));
  }

  /** Ticks what is left: by another window all but the last, which this one then shows. */
  private static void tickAll(Page page) throws IOException {
    String sheet = page.url().replaceFirst("https?://[^/]+", "");
    int left = page.locator(".winter-step:not(.step-done)").count();
    int all = page.locator(".winter-step").count();
    for (int i = all - left; i < all - 1; i++) {
      assertThat(COPY.copy().post(sheet + "/ticks/" + i, "").statusCode()).isLessThan(400);
    }
    page.reload();
    tick(page);
  }

  @Test
  @Tag("sweep")
  void marginaliaIsDrainedOnAPhoneWithAReloadHalfWayAndWokenFromThatRecord() throws IOException {
    Page page = COPY.phone();
    COPY.visit("/rigs/marginalia/cold/school/fall");
    page.locator("#begin").click();
    assertThat(page.locator("h1")).hasText("Drain by gravity");
    assertThat(page).hasTitle(Pattern.compile(": Drain by gravity"));
    assertThat(page.locator("#left-now")).not().containsText("Nothing breaks.");
    for (int i = 0; i < 6; i++) {
      tick(page);
    }
    page.reload();
    assertThat(page.locator(".step-done")).hasCount(6);
    tickAll(page);
    assertThat(page.locator("#left-now")).containsText("Nothing breaks.");
    page.locator("#finish").click();
    assertThat(page.locator("#cold-state")).containsText("Nothing breaks.");
    waitForSchools(page);
    COPY.visit("/rigs/marginalia/board");
    assertThat(page.locator("main")).containsText("Winterized");

    COPY.visit("/rigs/marginalia/jobs/fill-low-inlet");
    assertThat(page.locator("#asleep")).containsText("Strainer");
    assertThat(page.locator("#asleep")).containsText("De-winterize it first");

    COPY.visit("/rigs/marginalia/cold/tag");
    assertThat(page.locator("#tag")).containsText("Sediment filter: bowl off");
    assertThat(Axe.violations(page)).isEmpty();

    COPY.visit("/rigs/marginalia/cold/spring");
    assertThat(page.locator("main")).containsText("Screw the bowl of Sediment filter on.");
    page.locator("#begin").click();
    tickAll(page);
    page.locator("#finish").click();
    assertThat(page.locator("#cold-state")).containsText("In use");
    COPY.visit("/rigs/marginalia/log");
    assertThat(page.locator("main")).containsText("De-winterize");
    assertThat(page.locator("main")).containsText("Drain by gravity");
  }

  /** Until then the rig is being computed with, and other pages wait for their turn. */
  private static void waitForSchools(Page page) {
    assertThat(page.locator(".school"))
        .hasCount(4, new LocatorAssertions.HasCountOptions().setTimeout(2 * PATIENCE));
  }

  @Test
  void aWayThatIsRefusedForTooMuchToDoIsAskedForAgain() {
    Page page = COPY.page();
    COPY.visit("/rigs/samphire/board");
    List<Route> refused = new CopyOnWriteArrayList<>();
    page.route(
        "**/cold/schools/fall",
        route -> {
          refused.add(route);
          if (refused.size() < 2) {
            route.fulfill(new Route.FulfillOptions().setStatus(503));
          } else {
            route.resume();
          }
        });
    COPY.visit("/rigs/samphire/cold");
    waitForSchools(page);
    assertThat(refused).hasSize(2);
    assertThat(page.locator("#notice")).hasText("");
  }

  @Test
  void oneMoreTurnIsTriedAndTheLitresShrink() {
    Page page = COPY.page();
    COPY.visit("/rigs/marginalia/cold/left");
    assertThat(page.locator(".cutaway-left .keeps-danger").first()).isVisible();
    String before = page.locator("#left-total").innerText();
    page.locator(".left-place > summary").first().click();
    page.locator(".left-list a.tool").first().click();
    assertThat(page.locator("#tries")).containsText("nothing is saved");
    assertThat(page.locator("#left-total").innerText()).isNotEqualTo(before);
    page.locator("#tries a").click();
    assertThat(page.locator("#left-total").innerText()).isEqualTo(before);
  }

  /** Six taps at one place are one press. */
  @Test
  void whatIsDoneInOneGoIsTickedWithOnePress() {
    Page page = COPY.page();
    COPY.visit("/rigs/tern/cold/school/fall");
    page.locator("#begin").click();
    Locator all = page.locator("[id^='act-']").first();
    int many = Integer.parseInt(all.innerText().replaceAll("\\D", ""));
    all.click();
    assertThat(page.locator(".step-done")).hasCount(many);
    page.locator("#leave").click();
  }

  @Test
  void aWayIsBegunTickedAndTakenBackByKeyboardAlone() {
    Page page = COPY.page();
    COPY.visit("/rigs/samphire/cold/school/mix");
    page.locator("#begin").focus();
    page.keyboard().press("Enter");
    page.locator("#done-0").focus();
    page.keyboard().press("Enter");
    assertThat(page.locator("#step-0")).hasClass(Pattern.compile("step-done"));
    page.locator("#again-0").focus();
    page.keyboard().press("Enter");
    assertThat(page.locator(".step-done")).hasCount(0);
  }

  private static void typeTheNight(Page page) {
    page.locator("#tonight details.assume > summary").click();
  }

  private static void typeLowest(Page page, String lowest) {
    page.locator("[name='night-lowest']").fill(lowest);
    page.locator("[name='night-lowest']").blur();
  }

  @Test
  void tonightAnswersInOtherUnitsAndToNonsense() {
    Page page = COPY.page();
    COPY.visit("/rigs/tern/cold/tonight");
    assertThat(page.locator("#tonight-answer"))
        .containsText(Pattern.compile("nothing freezes|freezes first"));
    typeTheNight(page);
    typeLowest(page, "cold");
    assertThat(page.locator("#tonight-answer .warning")).containsText("Lowest");
    typeLowest(page, "10 °F");
    assertThat(page.locator("#tonight-answer")).containsText("Heat needed to keep it at 2 °C");
  }

  @Test
  void tonightsFrostIsSaidOnTodayTooAndInTheSameWords() throws IOException {
    Page page = COPY.page();
    String rig = COPY.own("/rigs/samphire");
    COPY.visit("/rigs/samphire/cold/tonight");
    typeTheNight(page);
    typeLowest(page, "-40");
    Locator said = page.locator("#tonight-answer [data-answer]").first();
    assertThat(said).containsText(Pattern.compile("-40 °C:\\s+.* freezes first, at "));
    String answer = said.textContent();
    String first =
        answer.strip().replaceAll("(?s).*:\\s+(.*) freezes first, at (\\d\\d:\\d\\d).*", "$1|$2");
    assertThat(COPY.copy().get(rig + "/next").body())
        .contains(
            "Frost tonight, down to -40 °C: %s freezes first, not before %s."
                .formatted((Object[]) first.split("\\|")));
  }

  @Test
  void whatFreezesTonightIsDrainedByOnePressAndNothingIsOfferedOtherwise() {
    Page page = COPY.phone();
    COPY.visit("/rigs/samphire/cold/tonight");
    typeTheNight(page);
    typeLowest(page, "9");
    assertThat(page.locator("#tonight-answer")).containsText("nothing freezes");
    assertThat(page.locator("#tonight-answer a.button")).hasCount(0);
    typeLowest(page, "-40");
    assertThat(page.locator("#tonight-answer")).containsText("freezes first");
    page.locator("#tonight-answer a.button").click();
    assertThat(page.locator("h1")).hasText("Drain it");
    assertThat(page.locator("[name='lines']")).isChecked();
    assertThat(page.locator("[name='tanks']")).isChecked();
  }

  @Test
  void theMethodToTakeIsNamedOnceAllStandBesideEachOther() {
    Page page = COPY.page();
    COPY.visit("/rigs/samphire/cold");
    Locator choice = page.locator("#compare .compare-choice");
    assertThat(choice).containsText("Recommended: ");
    assertThat(page.locator("#compare tr.compare-best")).hasCount(1);
    assertThat(page.locator("#compare tbody tr")).hasCount(4);
    choice.locator("a.button").click();
    assertThat(page.locator("#begin")).isVisible();
  }

  /** One after the other, so that others who want something of the rig come in between. */
  @Test
  void eachWayThroughTheWinterIsAskedForOnceTheOneBeforeStands() throws IOException {
    String rig = COPY.own("/rigs/samphire");
    String schools = rig + "/cold/schools/";
    List<String> order = List.of("fall", "air", "antifreeze", "mix");
    assertThat(COPY.copy().get(rig + "/cold").body()).contains("hx-get=\"" + schools + "fall\"");
    for (int i = 0; i < order.size(); i++) {
      String fragment = COPY.copy().get(schools + order.get(i)).body();
      assertThat(fragment)
          .contains("school-" + order.get(i))
          .doesNotContain("<main")
          .satisfies(f -> assertThat(f.contains("hx-get")).isEqualTo(!f.contains("school-mix")));
      if (i + 1 < order.size()) {
        assertThat(fragment).contains("hx-get=\"" + schools + order.get(i + 1) + "\"");
      }
    }
    HttpRequest.Builder american =
        HttpRequest.newBuilder(URI.create(COPY.copy().address() + schools + "antifreeze"))
            .header("Cookie", "fernwort-units=%C2%B0F");
    assertThat(COPY.copy().send(american).body()).contains("5 °F, 5 °F to spare");
    assertThat(COPY.copy().get(schools + "antifreeze").body()).contains("-15 °C, 3 °C to spare");
    HttpResponse<String> unknown = COPY.copy().get(schools + "steam");
    assertThat(unknown.statusCode()).isEqualTo(422);
    assertThat(unknown.body()).contains("There is no method “steam”");
  }

  @Test
  void thePagesOfColdAreFitForAll() {
    Page page = COPY.page();
    for (String path :
        List.of(
            "/rigs/tern/cold/school/antifreeze",
            "/rigs/samphire/cold/school/fall/forgotten",
            "/rigs/tern/cold/spring")) {
      COPY.visit(path);
      assertThat(Axe.violations(page)).as(path).isEmpty();
    }
  }
}
