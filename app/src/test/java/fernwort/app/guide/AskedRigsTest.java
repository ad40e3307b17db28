package fernwort.app.guide;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.demo.ReadyAnswers;
import fernwort.core.demo.ReadyRig;
import fernwort.core.format.RigFormat;
import fernwort.core.guide.Guided;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.rig.Rig;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Rigs as practised people have them and every ready layout, described by questions alone: nothing
 * is wired otherwise than in the file of the same rig, and nothing is missing.
 */
class AskedRigsTest {

  private static final int MOST_ANSWERS = 60;

  static final Path PRACTISED = Path.of("../core/src/test/resources/practised");

  /** Fills the pages in, one after another, as a browser without scripts would. */
  static RigAnswers answered(AskedScript script) {
    RigAnswers answers = RigAnswers.of("Asked");
    for (GuidePage page : GuideController.PAGES) {
      for (AskedScript.Answer answer : script.pages().getOrDefault(page.id(), List.of())) {
        Map<String, String> form = shown(page, answers);
        assertThat(answer.field().equals("do") || isAsked(page, answers, answer.field()))
            .as("%s asks for %s", page.id(), answer.field())
            .isTrue();
        put(form, answer);
        FilledPage sheet = new FilledPage(form, Units.METRIC);
        answers = page.read(answers, sheet);
        assertThat(sheet.errors()).as("%s after %s", page.id(), answer).isEmpty();
      }
    }
    return answers;
  }

  private static Stream<Field> fields(GuidePage page, RigAnswers answers) {
    return page.cards(answers, Units.METRIC).stream()
        .flatMap(c -> Stream.concat(c.fields().stream(), c.more().fields().stream()));
  }

  private static boolean isAsked(GuidePage page, RigAnswers answers, String name) {
    return fields(page, answers).anyMatch(f -> f.name().equals(name));
  }

  /** What the form of a page would send if nobody touched it. */
  private static Map<String, String> shown(GuidePage page, RigAnswers answers) {
    Map<String, String> form = new HashMap<>();
    fields(page, answers)
        .flatMap(f ->
            f.type() == Field.Type.TABLE
                ? f.table().rows().stream().flatMap(List::stream)
                : Stream.of(f))
        .filter(f -> f.type() != Field.Type.TICK || f.value().equals("true"))
        .forEach(f -> form.put(f.name(), f.value()));
    return form;
  }

  private static void put(Map<String, String> form, AskedScript.Answer answer) {
    switch (answer.value()) {
      case "yes" -> form.put(answer.field(), "true");
      case "no" -> form.remove(answer.field());
      default -> form.put(answer.field(), answer.value());
    }
  }

  private static void isTheSame(String name, Rig file) {
    AskedScript script = AskedScript.of(name);
    int answers = script.pages().values().stream().mapToInt(List::size).sum();
    assertThat(answers).as("answers").isLessThanOrEqualTo(MOST_ANSWERS);
    Rig asked = Guided.of(answered(script)).rig();
    assertThat(Wiring.near(asked)).containsExactlyElementsOf(Wiring.near(file));
    assertThat(Wiring.far(asked)).isEqualTo(Wiring.far(file));
    assertThat(asked.vehicle().axles()).hasSameSizeAs(file.vehicle().axles());
  }

  static List<String> practised() throws IOException {
    try (Stream<Path> files = Files.list(PRACTISED)) {
      return files
          .map(f -> f.getFileName().toString())
          .filter(f -> f.endsWith(".json"))
          .map(f -> f.replace(".json", ""))
          .sorted()
          .toList();
    }
  }

  @ParameterizedTest
  @MethodSource("practised")
  void aRigThatPractisedPeopleHave(String name) throws IOException {
    Rig file = new RigFormat().read(Files.readAllBytes(PRACTISED.resolve(name + ".json")));
    isTheSame(name.equals("haulage") ? "haulage-truck" : name, file);
  }

  static List<ReadyRig> layouts() {
    return ReadyRig.all();
  }

  @ParameterizedTest
  @MethodSource("layouts")
  void everyReadyLayout(ReadyRig layout) {
    isTheSame(layout.id(), layout.rig());
  }

  @ParameterizedTest
  @MethodSource("layouts")
  void theAnswersToBeginALayoutWith(ReadyRig layout) {
    Rig begun = Guided.of(ReadyAnswers.of(layout.id(), "Begun").orElseThrow()).rig();
    assertThat(Wiring.near(begun)).containsExactlyElementsOf(Wiring.near(layout.rig()));
    assertThat(Wiring.far(begun)).isEqualTo(Wiring.far(layout.rig()));
  }
}
