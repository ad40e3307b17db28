package fernwort.core.tank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.Shape;
import fernwort.core.rig.Slope;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What a tank of each shape holds, against counting the points of a grid that lie in it. */
class TankByGridTest {

  private static final double WALL = 0.008;
  private static final int STEPS = 36;

  /** Tells of a point of the inside's frame whether it is inside. */
  private interface Inside {
    boolean has(double x, double y, double z);
  }

  /** A shape, the box around its inside (m), and which points are in it. */
  private record Case(String name, Shape shape, double[] box, Inside inside) {
    @Override
    public String toString() {
      return name;
    }
  }

  private static final List<Shape.Corner> WEDGE =
      List.of(
          new Shape.Corner(0, 0.12),
          new Shape.Corner(0.35, 0),
          new Shape.Corner(0.8, 0.1),
          new Shape.Corner(0.7, 0.34),
          new Shape.Corner(0.05, 0.3));

  /** Two lobes, and a bridge between them that is narrower, shorter and higher than both. */
  private static final List<Shape.Block> ARCH =
      List.of(
          new Shape.Block(0, 0, 0, 0.25, 0.3, 0.4),
          new Shape.Block(0.25, 0.05, 0.25, 0.3, 0.2, 0.1),
          new Shape.Block(0.55, 0, 0, 0.2, 0.3, 0.4));

  /** One lobe on another of the same plan, and a third beside it of the same height. */
  private static final List<Shape.Block> STEPPED =
      List.of(
          new Shape.Block(0, 0, 0, 0.4, 0.3, 0.2),
          new Shape.Block(0, 0, 0.2, 0.4, 0.3, 0.15),
          new Shape.Block(0, 0.3, 0, 0.4, 0.25, 0.2));

  static Stream<Case> cases() {
    double w = 2 * WALL;
    return Stream.of(
        new Case(
            "box",
            new Shape.Box(0.9, 0.4, 0.3),
            new double[] {0.9 - w, 0.4 - w, 0.3 - w},
            (x, y, z) -> true),
        new Case(
            "upright",
            new Shape.UprightCylinder(0.4, 0.6),
            new double[] {0.4 - w, 0.4 - w, 0.6 - w},
            (x, y, z) -> Math.hypot(x - 0.192, y - 0.192) < 0.192),
        new Case(
            "lying along",
            new Shape.LyingCylinder(0.35, 0.8, false),
            new double[] {0.8 - w, 0.35 - w, 0.35 - w},
            (x, y, z) -> Math.hypot(y - 0.167, z - 0.167) < 0.167),
        new Case(
            "lying across",
            new Shape.LyingCylinder(0.35, 0.8, true),
            new double[] {0.35 - w, 0.8 - w, 0.35 - w},
            (x, y, z) -> Math.hypot(x - 0.167, z - 0.167) < 0.167),
        new Case(
            "wedge",
            new Shape.Prism(WEDGE, 0.5),
            new double[] {0.8, 0.5 - w, 0.34},
            (x, y, z) -> inSection(WEDGE, x + WALL, z + WALL)),
        new Case(
            "wedge, its corners the other way round",
            new Shape.Prism(WEDGE.reversed(), 0.5),
            new double[] {0.8, 0.5 - w, 0.34},
            (x, y, z) -> inSection(WEDGE, x + WALL, z + WALL)),
        new Case(
            "over an arch",
            new Shape.Straddling(ARCH),
            new double[] {0.75 - w, 0.3 - w, 0.4 - w},
            (x, y, z) -> walled(ARCH, x, y, z)),
        new Case(
            "stepped",
            new Shape.Straddling(STEPPED),
            new double[] {0.4 - w, 0.55 - w, 0.35 - w},
            (x, y, z) -> walled(STEPPED, x, y, z)),
        new Case(
            "by depth",
            new Shape.DepthTable(0.5, List.of(new Shape.Row(0.1, 0.01), new Shape.Row(0.3, 0.05))),
            new double[] {0.5, 0.4, 0.3},
            (x, y, z) -> y < (z < 0.1 ? 0.2 : 0.4)));
  }

  /** A point is in a section with walls when it is a wall away from each of its sides. */
  private static boolean inSection(List<Shape.Corner> section, double x, double z) {
    for (int i = 0; i < section.size(); i++) {
      Shape.Corner a = section.get(i);
      Shape.Corner b = section.get((i + 1) % section.size());
      double length = Math.hypot(b.x() - a.x(), b.z() - a.z());
      double left = ((b.x() - a.x()) * (z - a.z()) - (b.z() - a.z()) * (x - a.x())) / length;
      if (left < WALL) {
        return false;
      }
    }
    return true;
  }

  /** A point is in blocks with walls when a cube of the wall about it is in the blocks. */
  private static boolean walled(List<Shape.Block> blocks, double x, double y, double z) {
    for (int corner = 0; corner < 8; corner++) {
      double px = x + WALL + ((corner & 1) == 0 ? -WALL : WALL);
      double py = y + WALL + ((corner & 2) == 0 ? -WALL : WALL);
      double pz = z + WALL + ((corner & 4) == 0 ? -WALL : WALL);
      if (blocks.stream().noneMatch(b -> has(b, px, py, pz))) {
        return false;
      }
    }
    return true;
  }

  private static boolean has(Shape.Block b, double x, double y, double z) {
    return x >= b.x()
        && x <= b.x() + b.length()
        && y >= b.y()
        && y <= b.y() + b.width()
        && z >= b.z()
        && z <= b.z() + b.height();
  }

  private static Tank tank(Shape shape) {
    // Without openings no lobe keeps water or air of its own.
    return new Tank(
        Contents.FRESH,
        shape,
        shape instanceof Shape.DepthTable ? 0 : WALL,
        List.of(),
        new Gauge(Gauge.GaugeKind.SENDER, 4, 0.1, 0.1),
        5000,
        -2000);
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("cases")
  void itHoldsWhatTheGridCountsWhateverTheSlopeAndTheLevel(Case c) {
    TankRoom room = TankRoom.of(tank(c.shape()));
    List<Point> grid = grid(c);
    for (Slope slope :
        List.of(
            Slope.LEVEL, new Slope(8, 0), new Slope(-5, 0), new Slope(0, 9), new Slope(4, -6))) {
      double low = room.lowest(slope);
      double high = room.highest(slope);
      double[] whole = counted(grid, c.box(), slope, Double.POSITIVE_INFINITY);
      assertThat(room.capacity()).as("%s", slope).isCloseTo(whole[0], within(0.025 * whole[0]));
      // Every corner is within a grid's step of what was counted.
      double step = Math.max(c.box()[0], Math.max(c.box()[1], c.box()[2])) / STEPS;
      assertThat(low).as("lowest at %s", slope).isCloseTo(whole[4], within(2.5 * step));
      assertThat(high).as("highest at %s", slope).isCloseTo(whole[5], within(2.5 * step));
      for (double share : new double[] {0.25, 0.6, 0.9}) {
        double level = low + share * (high - low);
        double[] counted = counted(grid, c.box(), slope, level);
        assertThat(room.volumeBelow(level, slope))
            .as("%s, %s of the height", slope, share)
            .isCloseTo(counted[0], within(0.035 * whole[0]));
        Point centre = room.centroid(level, slope);
        double near = 0.02;
        assertThat(centre.x()).as("x at %s, %s", slope, share).isCloseTo(counted[1], within(near));
        assertThat(centre.y()).as("y at %s, %s", slope, share).isCloseTo(counted[2], within(near));
        assertThat(centre.z()).as("z at %s, %s", slope, share).isCloseTo(counted[3], within(near));
        assertThat(room.level(room.volumeBelow(level, slope), slope))
            .as("level at %s, %s", slope, share)
            .isCloseTo(level, within(1e-4));
      }
    }
  }

  /** The points of the grid that lie inside. */
  private static List<Point> grid(Case c) {
    double[] box = c.box();
    List<Point> grid = new ArrayList<>();
    for (int i = 0; i < STEPS; i++) {
      for (int j = 0; j < STEPS; j++) {
        for (int k = 0; k < STEPS; k++) {
          double x = (i + 0.5) / STEPS * box[0];
          double y = (j + 0.5) / STEPS * box[1];
          double z = (k + 0.5) / STEPS * box[2];
          if (c.inside().has(x, y, z)) {
            grid.add(new Point(x, y, z));
          }
        }
      }
    }
    return grid;
  }

  /** Volume, centre, lowest and highest point of what lies below a level, by counting. */
  private static double[] counted(List<Point> grid, double[] box, Slope slope, double level) {
    Point up = slope.up();
    double[] sum = {0, 0, 0, 0, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY};
    for (Point point : grid) {
      double height = point.along(up);
      if (height < level) {
        sum[0]++;
        sum[1] += point.x();
        sum[2] += point.y();
        sum[3] += point.z();
        sum[4] = Math.min(sum[4], height);
        sum[5] = Math.max(sum[5], height);
      }
    }
    double cell = box[0] * box[1] * box[2] / STEPS / STEPS / STEPS;
    return new double[] {
      sum[0] * cell, sum[1] / sum[0], sum[2] / sum[0], sum[3] / sum[0], sum[4], sum[5]
    };
  }
}
