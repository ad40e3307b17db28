package fernwort.core.rig;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Shape;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class RigLimitsTest {

  private static Vehicle van(Axle... axles) {
    return new Vehicle(Vehicle.Body.VAN, -1, 4, 2, 0.6, 2.6, 0.2, List.of(axles), Optional.empty());
  }

  private static RigBuilder rig(Axle... axles) {
    return RigBuilder.named("Test").vehicle(van(axles)).place("box", "Box", "reach in", 0, 0, 1);
  }

  private static RigBuilder rig() {
    return rig(new Axle("rear", 0, 2000, 1200));
  }

  private static String problems(Rig rig) {
    return RigLimits.problems(rig).stream()
        .map(Problem::toString)
        .collect(Collectors.joining("\n"));
  }

  private static Kind tank(Shape shape) {
    return new Tank(
        Contents.FRESH, shape, 0, List.of(), new Gauge(Gauge.GaugeKind.NONE, 0, 0, 0), 5000, -2000);
  }

  @Test
  void whatShipsIsWithinThem() {
    DemoRig.all().forEach(demo -> assertThat(problems(demo.rig())).isEmpty());
    ReadyRig.all().forEach(ready -> assertThat(problems(ready.rig())).isEmpty());
  }

  @Test
  void twoAxlesAtOnePlaceAreNamed() {
    Rig rig = rig(new Axle("rear", 0, 2000, 1200), new Axle("other", 0.004, 900, 500)).build();
    assertThat(problems(rig)).contains("axle other").contains("where axle rear stands");
    assertThat(problems(rig(new Axle("rear", 0, 2000, 1), new Axle("front", 3, 9, 5)).build()))
        .isEmpty();
  }

  @Test
  void aFlatSectionHoldsNothing() {
    Shape flat =
        new Shape.Prism(
            List.of(new Shape.Corner(0, 0), new Shape.Corner(0.5, 0.5), new Shape.Corner(1, 1)),
            0.4);
    Rig rig = rig().part("t", "Tank", 0, 0, 1, tank(flat)).build();
    assertThat(problems(rig)).contains("part t").contains("its section is flat");
  }

  @Test
  void signsThatCannotBePrintedAreRefusedInEveryName() {
    assertThat(problems(rig().part("t", "A\u0007b", 0, 0, 1, new Tee()).build()))
        .contains("part t")
        .contains("cannot be printed");
    assertThat(problems(rig().part("t", "Wärme 水 🚐", 0, 0, 1, new Tee()).build())).isEmpty();
  }

  @Test
  void thereIsABoundOnHowMuchThereIsOfAnything() {
    List<Shape.Row> rows =
        IntStream.rangeClosed(0, 300).mapToObj(i -> new Shape.Row(i * 0.001, i * 0.0001)).toList();
    Rig rig = rig().part("t", "Tank", 0, 0, 1, tank(new Shape.DepthTable(1, rows))).build();
    assertThat(problems(rig)).contains("it has 301 rows").contains("Keep to 200");
    List<Axle> axles = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      axles.add(new Axle("a" + i, i * 0.2, 900, 500));
    }
    assertThat(problems(rig(axles.toArray(Axle[]::new)).build())).contains("12 axles");
  }
}
