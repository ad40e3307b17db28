package fernwort.app.guide;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import fernwort.app.InBrowser;
import fernwort.core.format.RigFormat;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * Rigs that are no ready layout, described by questions alone on a phone and held against the same
 * rig as somebody wrote it down: nothing is wired otherwise, and nothing is missing.
 */
@Tag("sweep")
class OwnRigJourneyTest extends Answering {

  @RegisterExtension private static final InBrowser COPY = new InBrowser();

  private static final int MOST_ANSWERS = 60;
  private static final int MOST_TAPS = 120;

  @Override
  InBrowser browser() {
    return COPY;
  }

  private void isAsWrittenDown(String file) throws IOException {
    assertThat(answers).as("answers").isLessThanOrEqualTo(MOST_ANSWERS);
    assertThat(taps).as("taps").isLessThanOrEqualTo(MOST_TAPS);
    String id = page.url().replaceFirst(".*/rigs/([^/]+)/.*", "$1");
    Rig rig = new RigFormat().read(COPY.copy().bytes("/api/v1/rigs/" + id).body());
    assertThat(told(rig)).containsExactlyElementsOf(written(file));
  }

  /** Every part with its kind, then what is joined to what, whichever way the line was drawn. */
  private static List<String> told(Rig rig) {
    return Stream.concat(
            rig.parts().stream()
                .map(p ->
                    "%s: %s, %s"
                        .formatted(
                            p.label(),
                            p.kind().getClass().getSimpleName(),
                            p.height() < rig.vehicle().floor() ? "underneath" : "inside")),
            rig.lines().stream().map(l -> joined(rig, l)))
        .sorted()
        .toList();
  }

  private static String joined(Rig rig, Line line) {
    return Stream.of(line.from(), line.to())
        .map(end -> end(rig, end))
        .sorted()
        .reduce((one, other) -> one + " - " + other)
        .orElseThrow();
  }

  /** Which branch of a tee or manifold a line is on makes no difference. */
  private static String end(Rig rig, PortRef end) {
    Part part = rig.part(end.part());
    return part.kind().is(Purpose.JOINS) ? part.label() : part.label() + "." + end.port();
  }

  private static List<String> written(String file) throws IOException {
    try (InputStream in = OwnRigJourneyTest.class.getResourceAsStream("/guided/" + file)) {
      String text = new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
      return text.lines().sorted().toList();
    }
  }

  /** The small camper that came out wired wrong: a cold sink, a warm shower in and outside. */
  @Test
  void aWarmCamperIsWiredAsItIs() throws IOException {
    onPhone();
    begin("Yarrow " + System.nanoTime());
    type("length", "5.1 m");
    type("floor", "620");
    type("rear-limit", "1850");
    type("front-limit", "1700");
    goOn("Tanks");
    press("A fresh tank");
    type("t1-litres", "75");
    type("t1-size", "800 x 400 x 240");
    type("t1-bottom", "640");
    press("A gray tank");
    type("t2-litres", "55");
    type("t2-bottom", "330");
    goOn("Filling");
    goOn("Vents and openings");
    goOn("Tank to pump");
    choose("piece-0", "SHUT_OFF");
    choose("piece-1", "STRAINER");
    goOn("Pump");
    type("height", "700");
    choose("hot", "STORAGE");
    type("heater", "10");
    spot("heater-spot", "0-2");
    type("heater-height", "750");
    choose("heater-drain", "VALVE");
    choose("heater-bypass", "THREE_VALVES");
    goOn("Taps");
    tick("SINK-there");
    choose("SINK-water", "COLD");
    tick("SHOWER-there");
    choose("SHOWER-water", "COLD_AND_HOT");
    tick("OUTSIDE-there");
    choose("OUTSIDE-water", "COLD_AND_HOT");
    goOn("Waste");
    goOn("Low points");
    tick("cold");
    goOn("Check");
    assertThat(page.locator(".guide-holds")).containsText("75 L fresh, 55 L gray");
    // What was said is no guess any more.
    assertThat(page.locator("main")).not().containsText("What the axles may carry");
    assertThat(page.locator("main")).not().containsText("The heater beside the pump");
    isAsWrittenDown("warm-camper.txt");
    // The person walks the water: what is not so is put right on one page.
    page.locator("#walk-at").selectOption("outside-shower");
    page.locator(".walk-pick button").click();
    assertThat(page.locator(".walk-ways"))
        .containsText("Fresh → Tank shut-off → Strainer → Pump → Heater in → Heater");
    page.locator("a:has-text('This is not so')").click();
    assertThat(page.locator("h1")).hasText("Taps");
  }

  /** Two cans under the sink and a foot pump, in a slide-in without a heater or inlet. */
  @Test
  void aFootPumpOnACanIsWiredAsItIs() throws IOException {
    onPhone();
    begin("Sedge " + System.nanoTime());
    choose("body", "TRUCK");
    type("length", "5.6 m");
    goOn("Tanks");
    press("A fresh tank");
    type("t1-label", "Clean can");
    type("t1-litres", "20");
    type("t1-bottom", "1050");
    choose("t1-drain", "NONE");
    press("A gray tank");
    type("t2-label", "Waste can");
    type("t2-litres", "20");
    choose("t2-stands", "INSIDE");
    type("t2-bottom", "1000");
    goOn("Filling");
    goOn("Vents and openings");
    goOn("Tank to pump");
    goOn("Pump");
    choose("type", "FOOT");
    type("height", "1000");
    goOn("Taps");
    tick("SINK-there");
    type("SINK-height", "1900");
    goOn("Waste");
    untick("dump-valve");
    goOn("Low points");
    goOn("Check");
    isAsWrittenDown("foot-pump.txt");
    assertThat(page.locator("main")).containsText("What the axles may carry is not known");
    page.locator("a[aria-label^='Answer: What the axles']").click();
    assertThat(page.locator("h1")).hasText("Vehicle");
  }

  /** Whose browser speaks the English of the United States is asked in gallons and inches. */
  @Test
  void anAmericanIsAskedInGallonsAndEverybodyElseInLitres() {
    page = COPY.use(new Browser.NewContextOptions().setLocale("en-US"));
    begin("Camas " + System.nanoTime());
    assertThat(page.locator("select[name=units]")).hasValue("US");
    assertThat(page.locator("main")).containsText(Pattern.compile("How long it is \\((in|ft)\\)"));
    page = COPY.use(new Browser.NewContextOptions().setLocale("de-DE"));
    begin("Erika " + System.nanoTime());
    assertThat(page.locator("main")).containsText("How long it is (mm)");
  }
}
