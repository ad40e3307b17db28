package fernwort.core.tank;

import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.Shape;
import java.util.ArrayList;
import java.util.List;

/** Turns a tank's outside shape and walls into the solids of its inside. */
final class Solids {

  /** The sine of a turn below which two sides of a section run straight on. */
  private static final double STRAIGHT = 1e-9;

  /** Faces of blocks so near each other touch (m): a thousandth of a millimetre. */
  private static final double TOUCHING = 1e-6;

  /** Edges so near each other are in line (m), as what was typed and added up may be. */
  private static final double SAME = 1e-9;

  private static final int SIDES = 64;

  /** Scales a polygon's radius so that it has the circle's area. */
  private static final double EQUAL_AREA =
      Math.sqrt(2 * Math.PI / (SIDES * Math.sin(2 * Math.PI / SIDES)));

  private Solids() {}

  static List<Solid> inside(Tank tank) {
    double wall = tank.wall();
    return switch (tank.shape()) {
      case Shape.Box b ->
          List.of(
              Solid.box(
                  0, 0, 0, b.length() - 2 * wall, b.width() - 2 * wall, b.height() - 2 * wall));
      case Shape.UprightCylinder c -> List.of(upright(c, wall));
      case Shape.LyingCylinder c -> List.of(lying(c, wall));
      case Shape.Prism p -> List.of(prism(p, wall));
      case Shape.Straddling s -> straddling(s.blocks(), wall);
      case Shape.DepthTable t -> slabs(t);
    };
  }

  private static Solid upright(Shape.UprightCylinder c, double wall) {
    double r = c.diameter() / 2 - wall;
    List<Point> base = new ArrayList<>();
    for (int i = 0; i < SIDES; i++) {
      double a = 2 * Math.PI * i / SIDES;
      base.add(new Point(r + EQUAL_AREA * r * Math.cos(a), r + EQUAL_AREA * r * Math.sin(a), 0));
    }
    return Solid.prism(base, new Point(0, 0, c.height() - 2 * wall));
  }

  private static Solid lying(Shape.LyingCylinder c, double wall) {
    double r = c.diameter() / 2 - wall;
    double length = c.length() - 2 * wall;
    List<Point> base = new ArrayList<>();
    for (int i = 0; i < SIDES; i++) {
      double a = 2 * Math.PI * i / SIDES;
      double across = r + EQUAL_AREA * r * Math.cos(a);
      double up = r + EQUAL_AREA * r * Math.sin(a);
      base.add(c.across() ? new Point(across, length, up) : new Point(0, across, up));
    }
    return Solid.prism(base, c.across() ? new Point(0, -length, 0) : new Point(length, 0, 0));
  }

  /** The section seen from the left has x to the left of the viewer's right hand: x, z, then −y. */
  private static Solid prism(Shape.Prism p, double wall) {
    List<Shape.Corner> section = inset(counterClockwise(p.section()), wall);
    double width = p.width() - 2 * wall;
    List<Point> base =
        section.stream().map(c -> new Point(c.x() - wall, width, c.z() - wall)).toList();
    return Solid.prism(base, new Point(0, -width, 0));
  }

  private static List<Shape.Corner> counterClockwise(List<Shape.Corner> section) {
    double twiceArea = 0;
    for (int i = 0; i < section.size(); i++) {
      Shape.Corner a = section.get(i);
      Shape.Corner b = section.get((i + 1) % section.size());
      twiceArea += a.x() * b.z() - b.x() * a.z();
    }
    return twiceArea >= 0 ? section : section.reversed();
  }

  /** Moves every side inwards by the wall and joins neighbours where they then meet. */
  private static List<Shape.Corner> inset(List<Shape.Corner> section, double wall) {
    if (wall == 0) {
      return section;
    }
    List<Shape.Corner> inside = new ArrayList<>();
    int n = section.size();
    for (int i = 0; i < n; i++) {
      Shape.Corner before = section.get((i + n - 1) % n);
      Shape.Corner here = section.get(i);
      Shape.Corner after = section.get((i + 1) % n);
      double[] u = unit(before, here);
      double[] v = unit(here, after);
      double turn = u[0] * v[1] - u[1] * v[0];
      double cosine = u[0] * v[0] + u[1] * v[1];
      double slide = Math.abs(turn) < STRAIGHT ? 0 : wall * (1 - cosine) / turn;
      inside.add(
          new Shape.Corner(
              here.x() - u[1] * wall - u[0] * slide, here.z() + u[0] * wall - u[1] * slide));
    }
    return inside;
  }

  private static double[] unit(Shape.Corner from, Shape.Corner to) {
    double length = Math.hypot(to.x() - from.x(), to.z() - from.z());
    return new double[] {(to.x() - from.x()) / length, (to.z() - from.z()) / length};
  }

  /**
   * Walls stand on the outside of the joined room only: a face that another block covers is open,
   * and the smaller block reaches through the larger one's wall there.
   */
  private static List<Solid> straddling(List<Shape.Block> blocks, double wall) {
    List<Solid> solids = new ArrayList<>();
    for (Shape.Block block : blocks) {
      double[] low = {block.x(), block.y(), block.z()};
      double[] high = high(block);
      for (int axis = 0; axis < 3; axis++) {
        double inwardsLow = shift(block, blocks, axis, false) * wall;
        double inwardsHigh = shift(block, blocks, axis, true) * wall;
        low[axis] += inwardsLow - wall;
        high[axis] -= inwardsHigh + wall;
      }
      solids.add(Solid.box(low[0], low[1], low[2], high[0], high[1], high[2]));
    }
    return solids;
  }

  /** How many walls a face moves inwards: 1 where it stands free, −1 where another covers it. */
  private static int shift(Shape.Block b, List<Shape.Block> all, int axis, boolean top) {
    for (Shape.Block other : all) {
      if (other != b && touches(b, other, axis, top) && covers(other, b, axis)) {
        return covers(b, other, axis) ? 0 : -1;
      }
    }
    return 1;
  }

  private static boolean touches(Shape.Block b, Shape.Block other, int axis, boolean top) {
    double face = top ? high(b)[axis] : low(b)[axis];
    double facing = top ? low(other)[axis] : high(other)[axis];
    return Math.abs(face - facing) < TOUCHING;
  }

  private static boolean covers(Shape.Block other, Shape.Block b, int axis) {
    for (int i = 0; i < 3; i++) {
      if (i != axis && (low(other)[i] > low(b)[i] + SAME || high(other)[i] < high(b)[i] - SAME)) {
        return false;
      }
    }
    return true;
  }

  private static double[] low(Shape.Block b) {
    return new double[] {b.x(), b.y(), b.z()};
  }

  private static double[] high(Shape.Block b) {
    return new double[] {b.x() + b.length(), b.y() + b.width(), b.z() + b.height()};
  }

  private static List<Solid> slabs(Shape.DepthTable table) {
    List<Solid> solids = new ArrayList<>();
    Shape.Row below = new Shape.Row(0, 0);
    for (Shape.Row row : table.rows()) {
      double depth = row.depth() - below.depth();
      if (depth > 0) {
        double width = (row.volume() - below.volume()) / depth / table.length();
        solids.add(Solid.box(0, 0, below.depth(), table.length(), width, row.depth()));
      }
      below = row;
    }
    return solids;
  }
}
