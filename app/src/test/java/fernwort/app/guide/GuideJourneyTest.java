package fernwort.app.guide;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.InBrowser;
import java.io.IOException;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Rigs described by questions, in the browser, with every answer and every tap counted. */
class GuideJourneyTest extends Answering {

  @RegisterExtension private static final InBrowser COPY = new InBrowser();

  private static final int MOST_ANSWERS = 60;
  private static final int MOST_TAPS = 120;

  @Override
  InBrowser browser() {
    return COPY;
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
    goOn("Check");
  }

  @Test
  @Tag("sweep")
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
  @Tag("sweep")
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
    type("stroke", "0.1");
    goOn("Taps");
    tick("SINK-there");
    spot("SINK-spot", "0-2");
    type("SINK-height", "1100");
    choose("SINK-runs", "GROUND");
    goOn("Waste");
    goOn("Low points");
    goOn("Check");
    assertThat(answers).as("answers").isLessThanOrEqualTo(MOST_ANSWERS);
    assertThat(page.locator("main")).containsText("Fresh → three-way valve → pump");
    assertThat(page.locator("main")).containsText("Sink → the ground");
    page.locator("[name='fresh']").fill("20");
    page.locator("[name='fresh-2']").fill("20");
    doesItsJobs("pour-fresh-fresh-neck", "run-fresh", "shed-fresh-fresh-drain-cap");
  }

  @Test
  @Tag("sweep")
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
    goOn("Check");
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

  @Tag("sweep")
  @Test
  void byKeyboardAloneTheSameVanIsDescribedFromEndToEnd() {
    byKeys = true;
    page = COPY.page();
    plainVan();
    assertThat(answers).as("answers").isLessThanOrEqualTo(MOST_ANSWERS);
    assertThat(taps).as("keys that are no Tab or arrow").isLessThanOrEqualTo(MOST_TAPS);
    assertThat(page.locator("main")).containsText("Fresh → three-way valve → strainer → pump");
    assertThat(page.locator("main")).containsText("Pump → accumulator → Sink, Outside shower");
    assertThat(page.locator(".guide-holds")).containsText("95 L fresh, 60 L gray");
    reach("#finish");
    page.keyboard().press("Enter");
    assertThat(page).hasURL(Pattern.compile("/board$"));
  }
}
