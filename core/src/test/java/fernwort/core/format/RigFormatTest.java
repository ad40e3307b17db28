package fernwort.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import fernwort.core.demo.DemoRig;
import fernwort.core.kind.tank.Shape;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Problem;
import java.lang.reflect.RecordComponent;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.jsontype.NamedType;

class RigFormatTest {

  private static final RigFormat FORMAT = new RigFormat();

  static Stream<DemoRig> demoRigs() {
    return DemoRig.all().stream();
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private static List<Problem> problems(String text) {
    InvalidRigException invalid =
        catchThrowableOfType(InvalidRigException.class, () -> FORMAT.read(bytes(text)));
    assertThat(invalid).as("must be refused").isNotNull();
    return invalid.problems();
  }

  private static String samphire() {
    return FORMAT.write(
        DemoRig.all().stream()
            .filter(d -> d.id().equals("samphire"))
            .findFirst()
            .orElseThrow()
            .rig());
  }

  @ParameterizedTest
  @MethodSource("demoRigs")
  void exportImportExportGivesTheSameBytes(DemoRig demo) {
    String once = FORMAT.write(demo.rig());
    assertThat(FORMAT.read(bytes(once))).isEqualTo(demo.rig());
    assertThat(FORMAT.write(FORMAT.read(bytes(once)))).isEqualTo(once);
  }

  @Test
  void anUnknownFieldIsNamedWithThePartItStandsIn() {
    assertThat(problems(samphire().replace("\"selfPriming\"", "\"selfPrimeing\"")))
        .anySatisfy(p -> {
          assertThat(p.where()).contains("foot-pump");
          assertThat(p.toString()).contains("selfPrimeing");
        });
  }

  @Test
  void everyFaultOfAFileIsReportedAtOnce() {
    String broken =
        samphire()
            .replaceFirst("\"x\" : 0.55", "\"x\" : \"left\"")
            .replaceFirst("\"pvc-hose\"", "\"rubber\"");
    assertThat(problems(broken)).hasSizeGreaterThanOrEqualTo(2);
  }

  @Test
  void soundJsonThatIsNoSoundRigGetsTheRulesOfRigs() {
    assertThat(problems(samphire().replace("\"part\" : \"jug\"", "\"part\" : \"jar\"")))
        .extracting(Problem::toString)
        .anyMatch(p -> p.contains("line pour") && p.contains("\"jar\""));
  }

  @Test
  void duplicateFieldsNotANumberAndHalfAFileAreRefusedWithTheSpot() {
    assertThat(problems(samphire().replaceFirst("\"note\"", "\"name\"")))
        .singleElement()
        .asString()
        .contains("name");
    assertThat(problems(samphire().replaceFirst("0.55", "NaN")))
        .singleElement()
        .asString()
        .contains("line");
    assertThat(problems(samphire().substring(0, 900))).singleElement().asString().contains("line");
    assertThat(problems("")).hasSize(1);
    assertThat(problems("[]")).singleElement().asString().contains("object");
  }

  @Test
  void deepNestingAndTenMegabytesOfNonsenseAreRefusedQuickly() {
    assertThat(problems("{\"a\":".repeat(5000) + "1" + "}".repeat(5000))).hasSize(1);
    byte[] nonsense = new byte[10_000_000];
    new Random(7).nextBytes(nonsense);
    InvalidRigException refused =
        catchThrowableOfType(InvalidRigException.class, () -> FORMAT.read(nonsense));
    assertThat(refused.problems()).singleElement().asString().contains("2 MB");
  }

  @Test
  void thePublishedSchemaHasEveryKindAndShapeWithAllTheirFields() {
    JsonNode schema = new JsonMapper().readTree(FORMAT.schema());
    assertCovers(schema.at("/$defs/kind/allOf"), List.of(KindNames.all()));
    assertCovers(schema.at("/$defs/shape/allOf"), shapes());
  }

  private static List<NamedType> shapes() {
    var types = ShapeNames.class.getAnnotation(JsonSubTypes.class).value();
    assertThat(types).hasSameSizeAs(Shape.class.getPermittedSubclasses());
    return Arrays.stream(types).map(t -> new NamedType(t.value(), t.name())).toList();
  }

  private static void assertCovers(JsonNode branches, List<NamedType> types) {
    assertThat(branches.size()).isEqualTo(types.size());
    for (var type : types) {
      JsonNode branch =
          branches
              .valueStream()
              .filter(b -> b.at("/if/properties/type/const").asString().equals(type.getName()))
              .findFirst()
              .orElseThrow(() -> new AssertionError(type.getName() + " is not in the schema"));
      List<String> fields =
          Arrays.stream(type.getType().getRecordComponents())
              .map(RecordComponent::getName)
              .toList();
      assertThat(branch.at("/then/properties").propertyNames())
          .containsAll(fields)
          .hasSize(fields.size() + 1);
    }
  }
}
