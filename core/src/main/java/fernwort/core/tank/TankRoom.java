package fernwort.core.tank;

import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Slope;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * The room inside one tank: volume from level and level from volume, on any slope.
 *
 * <p>A level is the height of the water surface over the tank's inside rear right bottom corner,
 * measured against gravity: for a level vehicle simply the depth. In a tank of lobes it is the
 * level of those that water can leave; a lobe without an opening of its own keeps what lies below
 * its sill, which is taken to be there before any other water. Instances are immutable and may be
 * shared.
 */
public final class TankRoom {

  private static final double LEVEL_ACCURACY = 1e-9;

  /** Less water than this has no centre (m³). */
  private static final double NO_WATER = 1e-12;

  private final List<Solid> solids;
  private final Lobes lobes;
  private final double capacity;

  /** Volume against level on level ground, where most questions are asked. */
  private final LevelCurve onLevelGround;

  private TankRoom(List<Solid> solids, List<TankPort> ports) {
    this.solids = solids;
    lobes = new Lobes(solids, ports);
    double[] whole = new double[4];
    solids.forEach(s -> s.addBelow(Slope.LEVEL.up(), highest(Slope.LEVEL) + 1, whole));
    this.capacity = whole[0];
    Lobes.Bounds bounds = lobes.bounds(Slope.LEVEL);
    this.onLevelGround =
        LevelCurve.of(solids, Slope.LEVEL.up(), level -> below(level, bounds, Slope.LEVEL)[0]);
  }

  /** Returns the room inside a tank. */
  public static TankRoom of(Tank tank) {
    return new TankRoom(Solids.inside(tank), tank.tankPorts());
  }

  /** Returns what the room holds, filled to the last corner (m³). */
  public double capacity() {
    return capacity;
  }

  /** Returns the lowest point's level on this slope (m). */
  public double lowest(Slope slope) {
    Point up = slope.up();
    return solids.stream().mapToDouble(s -> s.extent(up)[0]).min().orElse(0);
  }

  /** Returns the highest point's level on this slope (m). */
  public double highest(Slope slope) {
    Point up = slope.up();
    return solids.stream().mapToDouble(s -> s.extent(up)[1]).max().orElse(0);
  }

  /**
   * Returns the volume that the tank holds with its surface at a level; nothing where there is no
   * surface, as a dry gauge tells it.
   *
   * @param level height of the surface over the inside corner (m)
   * @param slope how the vehicle stands
   * @return volume (m³), between nothing and the capacity
   */
  public double volumeBelow(double level, Slope slope) {
    if (level <= lowest(slope)) {
      return 0;
    }
    double volume =
        slope.equals(Slope.LEVEL)
            ? onLevelGround.volume(level)
            : below(level, lobes.bounds(slope), slope)[0];
    return Math.clamp(volume, 0, Math.max(capacity, 0));
  }

  /** Returns the volume (m³) left when a surface through this point of the tank just bares it. */
  public double volumeBelow(Point point, Slope slope) {
    return volumeBelow(slope.heightOf(point), slope);
  }

  /** More than this share of a tank is all of it: rounding errors bracket no level beyond. */
  private static final double ALL = 1 - 1e-12;

  /**
   * Returns the level of a volume of water.
   *
   * @param volume the water (m³); less than nothing counts as none, more than fits as full
   * @param slope how the vehicle stands
   * @return height of the surface over the inside corner (m)
   */
  public double level(double volume, Slope slope) {
    if (slope.equals(Slope.LEVEL)) {
      return onLevelGround.level(volume);
    }
    double low = lowest(slope);
    double high = highest(slope);
    Lobes.Bounds bounds = lobes.bounds(slope);
    if (volume <= below(low, bounds, slope)[0]) {
      return low;
    }
    if (volume >= below(high, bounds, slope)[0] * ALL) {
      return high;
    }
    return new BracketingNthOrderBrentSolver(LEVEL_ACCURACY, LEVEL_ACCURACY, 1e-15, 5)
        .solve(200, level -> below(level, bounds, slope)[0] - volume, low, high);
  }

  /**
   * Returns the volume (m³) that stays when the tank has run out by some openings: what lies lower
   * than the lowest of them, and in pieces that meet the rest only higher up.
   */
  double strandedBy(List<TankPort> openings, Slope slope) {
    return standingBy(openings, slope, lobes::drained);
  }

  /**
   * Returns the volume (m³) at which the tank is full by some vents: water stands at the lowest of
   * them, and pieces that meet the rest only lower down keep their air.
   */
  double filledBy(List<TankPort> vents, Slope slope) {
    return standingBy(vents, slope, lobes::filled);
  }

  /** How high water stands in each piece by an opening with its edge at a height. */
  private interface Standing {
    double[] by(Point opening, double edge, Slope slope);
  }

  /** Lower than any tank (m). */
  private static final double BELOW_ALL = -1e6;

  /** What is held when each piece stands at the lowest that any opening leaves it. */
  private double standingBy(List<TankPort> openings, Slope slope, Standing standing) {
    double[] levels = new double[solids.size()];
    Arrays.fill(levels, Double.POSITIVE_INFINITY);
    for (TankPort port : openings) {
      double edge = slope.heightOf(port.at()) - port.half();
      double[] by = standing.by(port.at(), edge, slope);
      Arrays.setAll(levels, i -> Math.min(levels[i], Math.max(by[i], BELOW_ALL)));
    }
    return Math.clamp(lobes.volume(levels, slope), 0, capacity);
  }

  /**
   * Water that a lobe keeps, since it has no opening of its own.
   *
   * @param middle its centre, in the tank's frame (m)
   * @param volume how much it is (m³)
   */
  public record Kept(Point middle, double volume) {}

  /** Returns what lobes keep when the tank has run out. */
  public List<Kept> kept(Slope slope) {
    return lobes.kept(slope);
  }

  /** Tells whether two openings are in lobes that meet only higher up than both. */
  public boolean parted(TankPort one, TankPort other, Slope slope) {
    return lobes.parted(one, other, slope);
  }

  /**
   * Returns the centre of mass of the water below a level, in the tank's frame (m); the tank's
   * lowest corner when there is none.
   */
  public Point centroid(double level, Slope slope) {
    double[] sum = below(level, lobes.bounds(slope), slope);
    return sum[0] > NO_WATER
        ? new Point(sum[1] / sum[0], sum[2] / sum[0], sum[3] / sum[0])
        : new Point(0, 0, 0);
  }

  private double[] below(double level, Lobes.Bounds bounds, Slope slope) {
    double[] sum = new double[4];
    lobes.addBelow(level, bounds, slope, sum);
    return sum;
  }
}
