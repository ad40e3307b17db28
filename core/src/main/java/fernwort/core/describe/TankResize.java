package fernwort.core.describe;

import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Slope;
import fernwort.core.say.Amount;
import fernwort.core.say.Refusal;
import fernwort.core.tank.TankRoom;
import java.util.List;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.exception.MathIllegalArgumentException;

/** A tank of other sizes: what becomes of its openings, and how large it is for so many litres. */
public final class TankResize {

  /** How close a size is found (share of it). */
  private static final double EXACT = 1e-12;

  /** How close its volume is (m³). */
  private static final double EXACT_VOLUME = 1e-15;

  private static final int ORDER = 5;

  /** Walls that meet leave no room: a little more than that. */
  private static final double SPARE = 1.05;

  private static final double SMALLEST = 0.05;
  private static final double LARGEST = 20;
  private static final int MOST_EVALUATIONS = 200;

  private TankResize() {}

  /**
   * Returns the shape that holds a volume, as long to wide to high as it was. A tank measured by
   * filling gets each of its depths higher and each of its litres more.
   *
   * @param tank the tank as it was
   * @param volume to the brim (m³)
   * @throws Refusal when no size of this shape holds it
   */
  public static Shape holding(Tank tank, double volume) {
    try {
      double times =
          new BracketingNthOrderBrentSolver(EXACT, EXACT, EXACT_VOLUME, ORDER)
              .solve(
                  MOST_EVALUATIONS,
                  t -> capacity(tank, t) - volume,
                  Math.max(SMALLEST, thickest(tank)),
                  LARGEST);
      return scaled(tank.shape(), times);
    } catch (MathIllegalArgumentException e) {
      throw new Refusal(Says.A_TANK_OF_THIS_SHAPE.with(Amount.volume(volume)));
    }
  }

  /** What a tank so many times as large in each direction holds (m³). */
  private static double capacity(Tank tank, double times) {
    return TankRoom.of(tank.withPorts(List.of()).shaped(scaled(tank.shape(), times))).capacity();
  }

  /** How small it may become before its walls meet. */
  private static double thickest(Tank tank) {
    double inside = Math.min(length(tank), Math.min(width(tank), height(tank)));
    return tank.shape() instanceof Shape.DepthTable
        ? SMALLEST
        : SPARE * 2 * tank.wall() / (inside + 2 * tank.wall());
  }

  private static Shape scaled(Shape shape, double t) {
    return switch (shape) {
      case Shape.Box s -> new Shape.Box(t * s.length(), t * s.width(), t * s.height());
      case Shape.UprightCylinder s -> new Shape.UprightCylinder(t * s.diameter(), t * s.height());
      case Shape.LyingCylinder s ->
          new Shape.LyingCylinder(t * s.diameter(), t * s.length(), s.across());
      case Shape.Prism s ->
          new Shape.Prism(
              s.section().stream().map(c -> new Shape.Corner(t * c.x(), t * c.z())).toList(),
              t * s.width());
      case Shape.Straddling s ->
          new Shape.Straddling(
              s.blocks().stream()
                  .map(b ->
                      new Shape.Block(
                          t * b.x(),
                          t * b.y(),
                          t * b.z(),
                          t * b.length(),
                          t * b.width(),
                          t * b.height()))
                  .toList());
      case Shape.DepthTable s ->
          new Shape.DepthTable(
              t * s.length(),
              s.rows().stream()
                  .map(r -> new Shape.Row(t * r.depth(), t * t * t * r.volume()))
                  .toList());
    };
  }

  /** Returns openings where they were, with their distance to the nearer wall of the tank now. */
  public static List<TankPort> carried(Tank old, Tank now, List<TankPort> ports) {
    if (old.shape().equals(now.shape()) && old.wall() == now.wall()) {
      return ports;
    }
    return ports.stream()
        .map(p -> {
          boolean asItWas = old.tankPorts().stream().anyMatch(q -> q.at().equals(p.at()));
          Point at =
              new Point(
                  along(p.at().x(), length(old), length(now)),
                  along(p.at().y(), width(old), width(now)),
                  along(p.at().z(), height(old), height(now)));
          return asItWas ? p.movedTo(at) : p;
        })
        .toList();
  }

  /** Where an opening stands along one edge: as far from the nearer end as it was. */
  private static double along(double at, double before, double now) {
    return at > before / 2 ? Math.max(0, now - (before - at)) : Math.min(at, now);
  }

  /** Returns openings turned over sideways: right is left then, and the bottom the top. */
  public static List<TankPort> mirrored(Tank tank, List<TankPort> ports) {
    double height = height(tank);
    double width = width(tank);
    return ports.stream()
        .map(p -> p.movedTo(new Point(p.at().x(), width - p.at().y(), height - p.at().z())))
        .toList();
  }

  /** Returns how long a tank is inside, along the vehicle (m). */
  public static double length(Tank tank) {
    double walls = 2 * tank.wall();
    return switch (tank.shape()) {
      case Shape.Box s -> s.length() - walls;
      case Shape.UprightCylinder s -> s.diameter() - walls;
      case Shape.LyingCylinder s -> (s.across() ? s.diameter() : s.length()) - walls;
      case Shape.Prism s ->
          s.section().stream().mapToDouble(Shape.Corner::x).max().orElse(walls) - walls;
      case Shape.Straddling s ->
          s.blocks().stream().mapToDouble(b -> b.x() + b.length()).max().orElse(walls) - walls;
      case Shape.DepthTable s -> s.length();
    };
  }

  /**
   * Returns how wide a tank is inside, across the vehicle (m); one that was measured by filling is
   * as wide as its litres make it.
   */
  public static double width(Tank tank) {
    double walls = 2 * tank.wall();
    return switch (tank.shape()) {
      case Shape.Box s -> s.width() - walls;
      case Shape.UprightCylinder s -> s.diameter() - walls;
      case Shape.LyingCylinder s -> (s.across() ? s.length() : s.diameter()) - walls;
      case Shape.Prism s -> s.width() - walls;
      case Shape.Straddling s ->
          s.blocks().stream().mapToDouble(b -> b.y() + b.width()).max().orElse(walls) - walls;
      case Shape.DepthTable s -> TankRoom.of(tank).capacity() / (s.length() * height(tank));
    };
  }

  /** Returns how high a tank is inside (m). */
  public static double height(Tank tank) {
    return TankRoom.of(tank).highest(Slope.LEVEL);
  }
}
