package fernwort.app.guide;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import fernwort.app.InBrowser;
import fernwort.core.format.RigFormat;
import fernwort.core.rig.Rig;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Ten rigs as practised people have them, described by questions alone on a phone: nothing is wired
 * otherwise than in the file of the same rig, nothing is missing, and it takes few taps.
 */
@Tag("sweep")
class AskedJourneyTest extends Answering {

  @RegisterExtension private static final InBrowser COPY = new InBrowser();

  private static final int MOST_ANSWERS = 60;
  private static final int MOST_TAPS = 120;

  @Override
  InBrowser browser() {
    return COPY;
  }

  /** Three in every run, all of them in a sweep. */
  static Stream<String> rigs() {
    return Stream.of(
            "many-setups",
            "food-trailer",
            "two-travel-valves",
            "antifreeze-van",
            "auxiliary",
            "barrel",
            "flatbed",
            "motor-valves",
            "pond-wagon",
            "urine-tank")
        .limit(Integer.getInteger("sweep.rigs", 3));
  }

  @ParameterizedTest
  @MethodSource("rigs")
  void aRigIsDescribedOnAPhone(String name) throws IOException {
    AskedScript script = AskedScript.of(name);
    onPhone();
    begin("Asked " + System.nanoTime());
    for (int i = 0; i < GuideController.PAGES.size(); i++) {
      GuidePage asked = GuideController.PAGES.get(i);
      script.pages().getOrDefault(asked.id(), List.of()).forEach(this::answer);
      boolean last = i + 1 == GuideController.PAGES.size();
      goOn(last ? "Check" : GuideController.PAGES.get(i + 1).title());
    }
    assertThat(answers).as("answers").isLessThanOrEqualTo(MOST_ANSWERS);
    assertThat(taps).as("taps").isLessThanOrEqualTo(MOST_TAPS);
    String id = page.url().replaceFirst(".*/rigs/([^/]+)/.*", "$1");
    RigFormat format = new RigFormat();
    Rig described = format.read(COPY.copy().bytes("/api/v1/rigs/" + id).body());
    Rig file = format.read(Files.readAllBytes(AskedRigsTest.PRACTISED.resolve(name + ".json")));
    assertThat(Wiring.near(described)).containsExactlyElementsOf(Wiring.near(file));
    assertThat(Wiring.far(described)).isEqualTo(Wiring.far(file));
  }

  /** Answers as a hand does: unfolds what is folded away, then ticks, chooses, points or types. */
  private void answer(AskedScript.Answer answer) {
    if (answer.field().equals("do")) {
      page.locator("button[name=do][value='" + answer.value() + "']").click();
      answers++;
      taps++;
      return;
    }
    Locator field = page.locator("[name='" + answer.field() + "']").first();
    if (!field.isVisible()) {
      page.locator("details:has([name='" + answer.field() + "']) > summary").first().click();
      taps++;
    }
    switch (String.valueOf(field.evaluate("f => f.type"))) {
      case "checkbox" -> set(answer.field(), answer.value().equals("yes"));
      case "select-one" -> choose(answer.field(), answer.value());
      case "radio" -> spot(answer.field(), answer.value());
      default -> type(answer.field(), answer.value());
    }
  }
}
