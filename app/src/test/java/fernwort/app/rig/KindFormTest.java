package fernwort.app.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.app.units.Units;
import fernwort.app.web.Doubt;
import fernwort.app.web.Field;
import fernwort.core.demo.DemoRig;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.rig.Point;
import fernwort.core.rig.Shape;
import fernwort.core.rig.TankPort;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.assertj.core.api.RecursiveComparisonAssert;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class KindFormTest {

  static Stream<Kind> everyKind() {
    return Stream.concat(
        DemoRig.all().stream().flatMap(d -> d.rig().parts().stream()).map(Part::kind),
        NewPart.all().stream().map(NewPart::kind));
  }

  /** Sends a form back as it was shown. */
  private static Map<String, String> answers(List<Field> fields) {
    Map<String, String> form = new HashMap<>();
    for (Field field : fields) {
      field.table().rows().forEach(row -> form.putAll(answers(row)));
      if (field.type() != Field.Type.TICK || field.value().equals("true")) {
        form.put(field.name(), field.value());
      }
    }
    return form;
  }

  private static RecursiveComparisonAssert<?> assertSame(Kind read) {
    return assertThat(read)
        .usingRecursiveComparison()
        .withComparatorForType(
            (a, b) -> Math.abs(a - b) <= 1e-6 * Math.abs(a) ? 0 : 1, Double.class);
  }

  @ParameterizedTest
  @MethodSource("everyKind")
  void aFormSentBackAsItWasShownChangesNothing(Kind kind) {
    for (Units units : List.of(Units.METRIC, Units.of("US gal,in,psi"))) {
      KindForm form = new KindForm(units);
      Values values = new Values(answers(form.fields(kind)), units);
      assertSame(form.read(kind, values)).isEqualTo(kind);
      values.settle();
    }
  }

  private static Kind.Tank tank(String shape, String sizes, String ports, boolean flipped) {
    Kind.Tank old = (Kind.Tank) NewPart.of("tank").kind();
    KindForm form = new KindForm(Units.METRIC);
    Map<String, String> answers = answers(form.fields(old));
    answers.put("shape", shape);
    answers.put("sizes", sizes);
    answers.keySet().removeIf(key -> key.startsWith("port-"));
    List<String> rows = ports.lines().toList();
    for (int i = 0; i < rows.size(); i++) {
      String[] cells = rows.get(i).split(", ");
      String[] names = {"name", "use", "x", "y", "z", "bore"};
      for (int c = 0; c < cells.length; c++) {
        answers.put("port-" + i + "-" + names[c], cells[c]);
      }
    }
    if (flipped) {
      answers.put("flipped", "true");
    }
    Values values = new Values(answers, Units.METRIC);
    Kind.Tank read = (Kind.Tank) form.read(old, values);
    values.settle();
    return read;
  }

  @Test
  void aTankIsTakenInAsMeasured() {
    Kind.Tank tank = tank("box", "90 cm, 400, 1/4 m", "vent, vent, 50, 300, 235", false);
    assertThat(tank.shape()).isEqualTo(new Shape.Box(0.9, 0.4, 0.25));
    assertThat(tank.tankPorts())
        .singleElement()
        .satisfies(p -> assertThat(p.use()).isEqualTo(TankPort.Use.VENT));
  }

  @Test
  void portsMeasuredUpsideDownAreMirrored() {
    Kind.Tank up = tank("box", "800, 400, 250", "vent, vent, 50, 90, 235", false);
    Kind.Tank down = tank("box", "800, 400, 250", "vent, vent, 50, 300, 5", true);
    assertThat(down.port("vent").at().x()).isEqualTo(up.port("vent").at().x());
    assertThat(down.port("vent").at().y()).isCloseTo(0.09, within(1e-9));
    assertThat(down.port("vent").at().z()).isCloseTo(0.235, within(1e-9));
  }

  @Test
  void aSmallerTankBringsItsOpeningsAlong() {
    Kind.Tank old = (Kind.Tank) NewPart.of("tank").kind();
    Shape.Box box = (Shape.Box) old.shape();
    KindForm form = new KindForm(Units.METRIC);
    Map<String, String> answers = answers(form.fields(old));
    answers.put("sizes", "400, 300, 200");
    Kind.Tank smaller = (Kind.Tank) form.read(old, new Values(answers, Units.METRIC));
    for (TankPort port : old.tankPorts()) {
      Point was = port.at();
      Point is = smaller.port(port.id()).at();
      assertThat(is.x()).isCloseTo(along(was.x(), box.length(), 0.4, old.wall()), within(1e-9));
      assertThat(is.z()).isCloseTo(along(was.z(), box.height(), 0.2, old.wall()), within(1e-9));
    }
    answers.remove("carried");
    Kind.Tank left = (Kind.Tank) form.read(old, new Values(answers, Units.METRIC));
    assertThat(left.tankPorts()).isEqualTo(old.tankPorts());
  }

  private static double along(double at, double before, double now, double wall) {
    return at > (before - 2 * wall) / 2 ? at - (before - now) : at;
  }

  @Test
  void anOpeningWithoutANameIsCalledAfterItsUseAndAnEmptiedOneIsGone() {
    Kind.Tank two = tank("box", "800, 400, 250", ", vent, 50, 90, 235\n, vent, 60, 90, 235", false);
    assertThat(two.tankPorts()).extracting(TankPort::id).containsExactly("vent", "vent-2");
  }

  @Test
  void everyShapeCanBeTyped() {
    assertThat(tank("upright", "400, 600", "", false).shape())
        .isEqualTo(new Shape.UprightCylinder(0.4, 0.6));
    assertThat(tank("across", "400, 600", "", false).shape())
        .isEqualTo(new Shape.LyingCylinder(0.4, 0.6, true));
    assertThat(tank("prism", "500\n0, 0\n400, 0\n400, 300", "", false).shape())
        .isInstanceOf(Shape.Prism.class);
    assertThat(
            tank("straddling", "0, 0, 0, 300, 400, 500\n300, 0, 300, 400, 400, 200", "", false)
                .shape())
        .isInstanceOf(Shape.Straddling.class);
    assertThat(tank("table", "700\n100, 20\n250, 55 L", "", false).shape())
        .isInstanceOf(Shape.DepthTable.class);
  }

  @Test
  void aSizeOffByTenIsAskedNotRefused() {
    assertThatThrownBy(() -> tank("box", "9000, 400, 250", "", false))
        .isInstanceOf(Doubt.class)
        .hasMessageContaining("9000 mm is unusual")
        .hasMessageContaining("900 mm");
  }

  @Test
  void aPortWithoutAUseOrANumberIsNamed() {
    assertThatThrownBy(() -> tank("box", "800, 400, 250", "top, chimney, 1, 2, 3", false))
        .hasMessageContaining("Opening “top”")
        .hasMessageContaining("chimney");
    assertThatThrownBy(() -> tank("box", "800, 400, 250", "top, vent, 1, 2", false))
        .hasMessageContaining("Opening “top”, from the bottom is empty");
    assertThatThrownBy(() -> tank("box", "800, 400", "", false))
        .hasMessageContaining("too few numbers");
  }
}
