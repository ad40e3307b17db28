package fernwort.core.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import fernwort.core.demo.DemoRig;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

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
    return new Kind.Tank(
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
            .part("t", "Twice", 0, 0, 1, new Kind.Tee())
            .part(
                "v",
                "Valve",
                0,
                0,
                1,
                new Kind.TwoWayValve(
                    List.of(
                        new Stop("shut", "across", 0, List.of()),
                        new Stop("open", "along", 90, List.of(List.of("a", "z")))),
                    Optional.of(new Motor(Optional.of("half"), 5))))
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
                    new TankPort("high", TankPort.Use.VENT, new Point(0.1, 0.1, 0.4))));
    assertThat(problems(outside)).singleElement().asString().contains("port high", "outside");
    RigBuilder thick = van().part("t", "Tank", 0, 0, 1, tank(new Shape.Box(0.1, 0.4, 0.3), 0.06));
    assertThat(problems(thick)).singleElement().asString().contains("walls", "length");
  }

  @Test
  void everyProblemSaysHowToMendIt() {
    assertThat(problems(van().part("t", "", 0, 0, 99, new Kind.Tee())))
        .hasSize(2)
        .allSatisfy(p -> assertThat(p.mend()).isNotBlank());
  }

  @Test
  void aPositionThatAHandleDoesNotHaveIsRefusedWithThoseItHas() {
    Rig rig = DemoRig.all().getFirst().rig();
    assertThatThrownBy(() -> rig.position("fill-selector", "both"))
        .hasMessageContaining("Fill selector")
        .hasMessageContaining("\"main\"");
    assertThatThrownBy(() -> rig.position("inlet-tee", "open"))
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
  void theDemoRigsTogetherHaveEveryKindOfPart() {
    Set<Class<?>> shown =
        DemoRig.all().stream()
            .flatMap(d -> d.rig().parts().stream())
            .<Class<?>>map(p -> p.kind().getClass())
            .collect(Collectors.toSet());
    Set<Class<?>> kinds =
        Arrays.stream(Kind.class.getDeclaredClasses())
            .filter(k -> k.isRecord())
            .collect(Collectors.toSet());
    assertThat(shown).isEqualTo(kinds);
  }
}
