package fernwort.app.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.app.units.Units;
import fernwort.app.web.Doubt;
import fernwort.app.web.Field;
import fernwort.app.web.FieldErrors;
import fernwort.core.demo.DemoRig;
import fernwort.core.describe.FloorGrid;
import fernwort.core.describe.NewParts;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.NewPart;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.ThreeWayValve;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.Rig;
import fernwort.core.tank.TankRoom;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class KindFormTest {

  static Stream<Kind> everyKind() {
    return Stream.concat(
        DemoRig.all().stream().flatMap(d -> d.rig().parts().stream()).map(Part::kind),
        NewParts.all().stream().map(NewPart::kind));
  }

  @ParameterizedTest
  @MethodSource("everyKind")
  void aFormSentBackAsItWasShownChangesNothingToTheLastDigit(Kind kind) {
    for (Units units : List.of(Units.METRIC, Units.of("US gal,in,psi"))) {
      KindForm form = new KindForm(units);
      List<Field> asked = form.fields(kind);
      Values values = new Values(Sent.back(asked), units, asked);
      assertThat(form.read(kind, values)).isEqualTo(kind);
      values.settle();
    }
  }

  private static Tank tank(String shape, String sizes, String ports, boolean flipped) {
    Tank old = (Tank) NewParts.of("tank").kind();
    KindForm form = new KindForm(Units.METRIC);
    Map<String, String> answers = Sent.back(form.fields(old));
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
    Values values = new Values(answers, Units.METRIC, form.fields(old));
    Tank read = (Tank) form.read(old, values);
    values.settle();
    return read;
  }

  @Test
  void aTankIsTakenInAsMeasured() {
    Tank tank = tank("box", "90 cm, 400, 1/4 m", "vent, vent, 50, 300, 235", false);
    assertThat(tank.shape()).isEqualTo(new Shape.Box(0.9, 0.4, 0.25));
    assertThat(tank.tankPorts())
        .singleElement()
        .satisfies(p -> assertThat(p.use()).isEqualTo(TankPort.Use.VENT));
  }

  @Test
  void portsMeasuredUpsideDownAreMirrored() {
    Tank up = tank("box", "800, 400, 250", "vent, vent, 50, 90, 235", false);
    Tank down = tank("box", "800, 400, 250", "vent, vent, 50, 300, 5", true);
    assertThat(down.port(PortId.of("vent")).at().x())
        .isEqualTo(up.port(PortId.of("vent")).at().x());
    assertThat(down.port(PortId.of("vent")).at().y()).isCloseTo(0.09, within(1e-9));
    assertThat(down.port(PortId.of("vent")).at().z()).isCloseTo(0.235, within(1e-9));
  }

  @Test
  void aSmallerTankBringsItsOpeningsAlong() {
    Tank old = (Tank) NewParts.of("tank").kind();
    Shape.Box box = (Shape.Box) old.shape();
    KindForm form = new KindForm(Units.METRIC);
    Map<String, String> answers = Sent.back(form.fields(old));
    answers.put("sizes", "400, 300, 200");
    Tank smaller = (Tank) form.read(old, new Values(answers, Units.METRIC, form.fields(old)));
    for (TankPort port : old.tankPorts()) {
      Point was = port.at();
      Point is = smaller.port(port.id()).at();
      assertThat(is.x()).isCloseTo(along(was.x(), box.length(), 0.4, old.wall()), within(1e-9));
      assertThat(is.z()).isCloseTo(along(was.z(), box.height(), 0.2, old.wall()), within(1e-9));
    }
    answers.remove("carried");
    Tank left = (Tank) form.read(old, new Values(answers, Units.METRIC, form.fields(old)));
    assertThat(left.tankPorts()).isEqualTo(old.tankPorts());
  }

  private static double along(double at, double before, double now, double wall) {
    return at > (before - 2 * wall) / 2 ? at - (before - now) : at;
  }

  @Test
  void anOpeningWithoutANameIsCalledAfterItsUseAndAnEmptiedOneIsGone() {
    Tank two = tank("box", "800, 400, 250", ", vent, 50, 90, 235\n, vent, 60, 90, 235", false);
    assertThat(two.tankPorts())
        .extracting(TankPort::id)
        .containsExactly(PortId.of("vent"), PortId.of("vent-2"));
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

  /** Sends the tank's form with some fields changed. */
  private static Tank changed(Tank old, Units units, Map<String, String> typed) {
    KindForm form = new KindForm(units);
    Map<String, String> answers = Sent.back(form.fields(old));
    answers.putAll(typed);
    Values values = new Values(answers, units, form.fields(old));
    Tank read = (Tank) form.read(old, values);
    values.settle();
    return read;
  }

  @Test
  void fortyFiveLitresAreTypedAndTheSizesAndOpeningsFollow() {
    Tank old = (Tank) NewParts.of("tank").kind();
    Tank small = changed(old, Units.of("US gal,in"), Map.of("holds", "45 L"));
    assertThat(TankRoom.of(small).capacity()).isCloseTo(0.045, within(1e-9));
    assertThat(small.tankPorts())
        .allSatisfy(p -> assertThat(p.at().x()).isLessThan(((Shape.Box) small.shape()).length()));
    assertThatThrownBy(
            () -> changed(old, Units.METRIC, Map.of("holds", "45 L", "sizes", "900 x 400 x 300")))
        .isInstanceOf(Doubt.class)
        .hasMessageContaining("Its sizes make");
  }

  @Test
  void sizesAreTypedAsPeopleSayThem() {
    Tank old = (Tank) NewParts.of("tank").kind();
    Shape.Box inches =
        (Shape.Box) changed(old, Units.METRIC, Map.of("sizes", "35 1/2 x 16 x 11 in")).shape();
    assertThat(inches.length()).isCloseTo(0.9017, within(1e-9));
    assertThat(inches.height()).isCloseTo(0.2794, within(1e-9));
    assertThat(changed(old, Units.METRIC, Map.of("sizes", "900 by 400 by 300")).shape())
        .isEqualTo(new Shape.Box(0.9, 0.4, 0.3));
  }

  @Test
  void everySlipIsNamedAtItsFieldAtOnce() {
    assertThatThrownBy(() ->
            changed(
                (Tank) NewParts.of("tank").kind(),
                Units.METRIC,
                Map.of("wall", "thick", "port-0-x", "far", "sizes", "long")))
        .isInstanceOfSatisfying(
            FieldErrors.class,
            slips -> assertThat(slips.byField()).containsOnlyKeys("wall", "sizes", "port-0-x"));
  }

  @Test
  void noHoleIsCutWhereAnotherOneIs() {
    assertThatThrownBy(() ->
            changed(
                (Tank) NewParts.of("tank").kind(),
                Units.METRIC,
                Map.of("port-1-x", "50", "port-1-y", "340", "port-1-z", "220")))
        .isInstanceOfSatisfying(
            FieldErrors.class,
            slips -> assertThat(slips.byField().get("port-1-x")).contains("very spot of “fill”"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "US gal,in,psi"})
  void partsLinesAndPlacesSentBackAsTheyWereShownAreWhatTheyWere(String signs) {
    Units units = Units.of(signs);
    for (DemoRig demo : DemoRig.all()) {
      Rig rig = demo.rig();
      for (Part part : rig.parts()) {
        List<Field> asked = Describing.asked(rig, part, units);
        Part same = Describing.part(rig, part, Sent.back(asked), units);
        assertThat(same.kind()).isEqualTo(TankForm.withBores(rig, part));
        assertThat(same.with(part.kind())).isEqualTo(part);
      }
      for (Line line : rig.lines()) {
        LineForm form = new LineForm(units);
        assertThat(form.read(line, Sent.back(form.fields(line)))).isEqualTo(line);
      }
      PlaceForm places = new PlaceForm(rig, units);
      for (Place place : rig.places()) {
        assertThat(places.read(place, Sent.back(places.view(place).fields()))).isEqualTo(place);
      }
    }
  }

  @Test
  void whatStandsInALineIsCounted() {
    Line line = DemoRig.all().getFirst().rig().lines().getFirst();
    LineForm form = new LineForm(Units.METRIC);
    Map<String, String> counted = Sent.back(form.fields(line));
    counted.put("elbow", "3");
    counted.put("ball-valve", "1");
    assertThat(form.read(line, counted).minorLoss()).isCloseTo(3 * 0.9 + 0.1, within(1e-9));
  }

  @Test
  void aPartIsMovedByTappingThePlanAndLeftWhereItIsBySendingItBack() {
    Rig rig = DemoRig.all().getFirst().rig();
    Part pump =
        rig.parts().stream().filter(p -> p.kind() instanceof Pump).findFirst().orElseThrow();
    Map<String, String> form = Sent.back(Describing.asked(rig, pump, Units.METRIC));
    form.put("spot", "4-2");
    Part moved = Describing.part(rig, pump, form, Units.METRIC);
    Point nose = FloorGrid.of(rig.vehicle()).point(new FloorGrid.Cell(4, 2), 0);
    assertThat(List.of(moved.x(), moved.y())).containsExactly(nose.x(), nose.y());
    form.put("x", "500");
    assertThat(Describing.part(rig, pump, form, Units.METRIC).x()).isEqualTo(0.5);
  }

  @Test
  void theEndsOfAValveAreNamedByWhatTheyLeadTo() {
    Rig rig = DemoRig.all().getFirst().rig();
    Part valve =
        rig.parts().stream()
            .filter(p -> p.kind() instanceof ThreeWayValve)
            .findFirst()
            .orElseThrow();
    assertThat(Describing.asked(rig, valve, Units.METRIC))
        .filteredOn(f -> f.name().startsWith("words-"))
        .isNotEmpty()
        .noneMatch(f -> f.label().matches(".*\\b[abc]\\b.*"));
  }
}
