package fernwort.core.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Motor;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Accumulator;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Regulator;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.kind.list.Kinds;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Macerator;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class RigTest {

  private static final Vehicle VAN =
      new Vehicle(
          Vehicle.Body.VAN,
          -1,
          4,
          2,
          0.6,
          2.6,
          0.2,
          List.of(new Axle("rear", 0, 2000, 1200)),
          Optional.empty());

  private static RigBuilder van() {
    return RigBuilder.named("Test").vehicle(VAN).place("box", "Box", "reach in", 0, 0, 1);
  }

  private static Kind tank(Shape shape, double wall, TankPort... ports) {
    return new Tank(
        Contents.FRESH,
        shape,
        wall,
        List.of(ports),
        new Gauge(Gauge.GaugeKind.NONE, 0, 0, 0),
        5000,
        -2000);
  }

  private static List<Problem> problems(RigBuilder rig) {
    InvalidRigException invalid = catchThrowableOfType(InvalidRigException.class, rig::build);
    assertThat(invalid).as("the rig must be refused").isNotNull();
    return invalid.problems();
  }

  @Test
  void aBrokenRigGetsAllItsFaultsAtOnceEachNamingPartPortOrLine() {
    RigBuilder rig =
        van()
            .part("t", "Tank", 0, 0, 1, tank(new Shape.Box(Double.NaN, -0.4, 0.3), 0))
            .part("t", "Twice", 0, 0, 1, new Tee())
            .part(
                "v",
                "Valve",
                0,
                0,
                1,
                new TwoWayValve(
                    List.of(
                        new Stop(PositionId.of("shut"), "across", 0, List.of()),
                        new Stop(
                            PositionId.of("open"),
                            "along",
                            90,
                            List.of(List.of(PortId.A, PortId.of("z"))))),
                    Optional.of(new Motor(Optional.of(PositionId.of("half")), 5))))
            .line("l1", "One", "v.a > nowhere.in", 12, 1, Line.Material.PEX, 0)
            .line("l2", "Two", "v.a > v.b", 12, 1, Line.Material.PEX, 0)
            .line("l3", "Three", "v.q > v.b", -12, 1, Line.Material.PEX, 0);
    assertThat(problems(rig))
        .extracting(Problem::toString)
        .anyMatch(p -> p.contains("part t") && p.contains("NaN"))
        .anyMatch(p -> p.contains("part t") && p.contains("-0.4"))
        .anyMatch(p -> p.contains("part t") && p.contains("used twice"))
        .anyMatch(p -> p.contains("position open") && p.contains("\"z\""))
        .anyMatch(p -> p.contains("part v") && p.contains("\"half\""))
        .anyMatch(p -> p.contains("line l1") && p.contains("\"nowhere\""))
        .anyMatch(p -> p.contains("line l2") && p.contains("v.a") && p.contains("l1"))
        .anyMatch(p -> p.contains("line l3") && p.contains("\"q\""))
        .anyMatch(p -> p.contains("line l3") && p.contains("bore"));
  }

  @Test
  void aPortOutsideItsTankAndAWallThickerThanTheTankAreNamed() {
    RigBuilder outside =
        van()
            .part(
                "t",
                "Tank",
                0,
                0,
                1,
                tank(
                    new Shape.Box(0.5, 0.4, 0.3),
                    0,
                    new TankPort(PortId.of("high"), TankPort.Use.VENT, new Point(0.1, 0.1, 0.4))));
    assertThat(problems(outside)).singleElement().asString().contains("port high", "outside");
    RigBuilder thick = van().part("t", "Tank", 0, 0, 1, tank(new Shape.Box(0.1, 0.4, 0.3), 0.06));
    assertThat(problems(thick)).singleElement().asString().contains("walls", "length");
  }

  @Test
  void everyProblemSaysHowToMendIt() {
    assertThat(problems(van().part("t", "", 0, 0, 99, new Tee())))
        .hasSize(2)
        .allSatisfy(p -> assertThat(p.fix().toString()).isNotBlank());
  }

  @Test
  void aPositionThatAHandleDoesNotHaveIsRefusedWithThoseItHas() {
    Rig rig = DemoRig.all().getFirst().rig();
    assertThatThrownBy(() -> rig.position(PartId.of("fill-selector"), PositionId.of("both")))
        .hasMessageContaining("Fill selector")
        .hasMessageContaining("\"main\"");
    assertThatThrownBy(() -> rig.position(PartId.of("inlet-tee"), PositionId.of("open")))
        .hasMessageContaining("nothing to turn");
  }

  @Test
  void everyDemoRigIsSoundAndItsStateFitsIt() {
    for (DemoRig demo : DemoRig.all()) {
      demo.positions().forEach((part, position) -> demo.rig().position(part, position));
      assertThat(demo.rig().tanks().map(Part::id)).containsAll(demo.litres().keySet());
    }
  }

  @Test
  void theDemoRigsTogetherHaveEveryCommonKind() {
    Set<Class<?>> shown =
        DemoRig.all().stream()
            .flatMap(d -> d.rig().parts().stream())
            .<Class<?>>map(p -> p.kind().getClass())
            .collect(Collectors.toSet());
    Set<Class<?>> kinds =
        Kinds.all().stream()
            .filter(k -> k.offers().isEmpty())
            .map(Kinds.Entry::kind)
            .collect(Collectors.toSet());
    assertThat(shown).isEqualTo(kinds);
  }

  @Test
  void aSectionWhoseSidesCrossIsRefused() {
    Shape bowTie =
        new Shape.Prism(
            List.of(
                new Shape.Corner(0, 0),
                new Shape.Corner(0.4, 0.3),
                new Shape.Corner(0.4, 0),
                new Shape.Corner(0, 0.3)),
            0.5);
    assertThat(problems(van().part("t", "Tank", 0, 0, 1, tank(bowTie, 0))))
        .singleElement()
        .asString()
        .contains("part t", "cross");
  }

  /** Every way to get a number wrong, and the word by which its fault is known. */
  static Stream<Arguments> wrongNumbers() {
    return Stream.of(
        Arguments.of("mains pressure", new HoseInlet(5e6, 0)),
        Arguments.of("outside height", new HoseInlet(3e5, -40)),
        Arguments.of("cracking pressure", new CheckValve(-1)),
        Arguments.of("set pressure", new Regulator(Double.NaN)),
        Arguments.of("rated flow", new Filter(Filter.Grade.CARBON, 0, 2e4)),
        Arguments.of("rated loss", new Filter(Filter.Grade.CARBON, 1e-4, 1e8)),
        Arguments.of("precharge", new Accumulator(-5)),
        Arguments.of("drain height", new Heater(Heater.Type.STORAGE, true, 3)),
        Arguments.of("outlets", new Manifold(0)),
        Arguments.of(
            "rated pressure", new Fixture(Fixture.Type.TAP, true, 1e-4, Double.POSITIVE_INFINITY)),
        Arguments.of("capacity", new PortableContainer(25, true)),
        Arguments.of("shut-off pressure", new Macerator(1e-3, -1)),
        Arguments.of("free flow", pump(5, 1e5, 2e5)),
        Arguments.of("cuts in above", pump(1e-4, 3e5, 2e5)),
        Arguments.of("length", tank(new Shape.Box(0, 0.4, 0.3), 0)),
        Arguments.of("height", tank(new Shape.UprightCylinder(0.4, -1), 0)),
        Arguments.of("no room", tank(new Shape.LyingCylinder(0.04, 0.8, false), 0.03)),
        Arguments.of("corners", tank(new Shape.Prism(List.of(), 0.4), 0)),
        Arguments.of("blocks", tank(new Shape.Straddling(List.of()), 0)),
        Arguments.of(
            "does not rise",
            tank(
                new Shape.DepthTable(
                    0.5, List.of(new Shape.Row(0.2, 0.02), new Shape.Row(0.1, 0.03))),
                0)),
        Arguments.of("fewer than two rows", tank(new Shape.DepthTable(0.5, List.of()), 0)));
  }

  private static Kind pump(double freeFlow, double cutIn, double cutOut) {
    return new Pump(Pump.Duty.SUPPLY, Pump.Type.DIAPHRAGM, 3e5, freeFlow, cutIn, cutOut, 1.5);
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("wrongNumbers")
  void anImpossibleNumberIsNamedWithItsPart(String word, Kind kind) {
    assertThat(problems(van().part("it", "It", 0, 0, 1, kind)))
        .extracting(Problem::toString)
        .anyMatch(p -> p.contains("part it") && p.contains(word));
  }

  @Test
  void placesAndVehicleAreCheckedToo() {
    Vehicle folded =
        new Vehicle(Vehicle.Body.VAN, 4, -1, 2, 2.6, 0.6, 0.2, List.of(), Optional.empty());
    RigBuilder rig =
        RigBuilder.named("x".repeat(61))
            .vehicle(folded)
            .place("box", "Box", "", 0, 0, 1)
            .place("box", "Again", "", 0, 0, 50)
            .part("t", "Tee", 0, 0, 1, new Tee());
    assertThat(problems(rig))
        .extracting(Problem::toString)
        .anyMatch(p -> p.contains("60 letters"))
        .anyMatch(p -> p.contains("nose"))
        .anyMatch(p -> p.contains("roof"))
        .anyMatch(p -> p.contains("no axle"))
        .anyMatch(p -> p.contains("place box") && p.contains("twice"))
        .anyMatch(p -> p.contains("place box") && p.contains("50"));
  }

  @Test
  void moreThanAnyVehicleHasIsRefusedWithoutLookingFurther() {
    RigBuilder rig = van();
    for (int i = 0; i <= 500; i++) {
      rig.part("t" + i, "Tee", 0, 0, 1, new Tee());
    }
    assertThat(problems(rig)).singleElement().asString().contains("501 parts");
  }
}
