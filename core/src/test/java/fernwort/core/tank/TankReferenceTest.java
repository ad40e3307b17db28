package fernwort.core.tank;

import static fernwort.core.Reference.number;
import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Reference;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.Shape;
import fernwort.core.rig.Slope;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;

/** The tank cases whose answers were worked out independently. */
public class TankReferenceTest {

  @TestFactory
  Stream<DynamicTest> litresBelowATiltedSurface() {
    return Reference.cases("open-box", "open-saddle", "open-cylinder", "open-stranded")
        .map(c -> DynamicTest.dynamicTest(c.get("id").asString(), () -> check(c)));
  }

  private static void check(JsonNode c) {
    assertThat(litres(c)).isCloseTo(number(c, "litres"), Reference.tolerance(c));
  }

  /** Returns our answer to a tank case (L). */
  public static double litres(JsonNode c) {
    Slope slope = new Slope(number(c, "pitch_deg"), number(c, "roll_deg"));
    String id = c.get("id").asString();
    Shape shape = shape(c);
    Point surface;
    if (id.startsWith("open-stranded")) {
      surface = new Point(0.05, number(c, "width_m") / 2, number(c, "port_height_m"));
    } else if (shape instanceof Shape.LyingCylinder cylinder) {
      surface = new Point(cylinder.length() / 2, cylinder.diameter() / 2, number(c, "level_m"));
    } else {
      double[] plan = plan(shape);
      surface = new Point(plan[0] / 2, plan[1] / 2, number(c, "level_m"));
    }
    return 1000 * room(shape).volumeBelow(surface, slope);
  }

  private static double[] plan(Shape shape) {
    return switch (shape) {
      case Shape.Box b -> new double[] {b.length(), b.width()};
      case Shape.Straddling s -> {
        Shape.Block last = s.blocks().getLast();
        yield new double[] {last.x() + last.length(), last.width()};
      }
      default -> throw new Refusal("no such case");
    };
  }

  private static Shape shape(JsonNode c) {
    if (c.has("front_lobe")) {
      List<Shape.Block> blocks = new ArrayList<>();
      for (String name : List.of("front_lobe", "bridge", "rear_lobe")) {
        JsonNode b = c.get(name);
        blocks.add(
            new Shape.Block(
                b.get(0).asDouble(),
                b.get(1).asDouble(),
                b.get(2).asDouble(),
                b.get(3).asDouble(),
                b.get(4).asDouble(),
                b.get(5).asDouble()));
      }
      return new Shape.Straddling(blocks);
    }
    return c.has("radius_m")
        ? new Shape.LyingCylinder(2 * number(c, "radius_m"), number(c, "length_m"), false)
        : new Shape.Box(number(c, "length_m"), number(c, "width_m"), number(c, "height_m"));
  }

  private static TankRoom room(Shape shape) {
    return TankRoom.of(
        new Tank(
            Contents.FRESH,
            shape,
            0,
            List.of(),
            new Gauge(Gauge.GaugeKind.NONE, 0, 0, 0),
            5000,
            -2000));
  }
}
