package fernwort.core.tank;

import fernwort.core.graph.Arcs;
import fernwort.core.graph.LowestCrest;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Slope;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The pieces of a tank, and how water and air get from one to another: where two touch, over the
 * lowest point that they share, and under its highest.
 *
 * <p>Pieces that meet only above some height strand the water below it; those that meet only below
 * one trap air. O(n²) for the few pieces that a tank has.
 */
final class Lobes {

  /** A port this far outside a piece still belongs to it: walls, and the tape (m). */
  private static final double NEAR = 0.01;

  /** Lower and higher than any tank (m). */
  private static final double BEYOND = 1e6;

  /** Heights nearer to each other are one (m). */
  private static final double SAME = 1e-9;

  private final List<Solid> pieces;
  private final List<TankPort> ports;

  /**
   * Takes the pieces of a tank.
   *
   * @param ports its openings, which decide what its water and air can get out by
   */
  Lobes(List<Solid> pieces, List<TankPort> ports) {
    this.pieces = pieces;
    this.ports = ports;
  }

  /**
   * How low and how high water stands in each piece (m), however low or high the rest stands: what
   * lies below its sill stays in a piece without an opening of its own, and air stays above its
   * lintel in one without a vent.
   */
  record Bounds(double[] sill, double[] lintel) {

    double at(int piece, double level) {
      return Math.min(Math.max(level, sill[piece]), lintel[piece]);
    }
  }

  /** Returns the bounds on a slope. */
  Bounds bounds(Slope slope) {
    int count = pieces.size();
    if (count == 1) {
      return new Bounds(new double[] {-BEYOND}, new double[] {BEYOND});
    }
    double[] sill = new double[count];
    double[] lintel = new double[count];
    Arrays.fill(sill, BEYOND);
    Arrays.fill(lintel, -BEYOND);
    for (TankPort port : ports) {
      double edge = slope.heightOf(port.at()) - port.half();
      if (port.use() == TankPort.Use.VENT) {
        double[] by = filled(port.at(), edge, slope);
        Arrays.setAll(lintel, i -> Math.max(lintel[i], by[i]));
      } else if (port.letsOut()) {
        double[] by = drained(port.at(), edge, slope);
        Arrays.setAll(sill, i -> Math.min(sill[i], by[i]));
      }
    }
    freeing(sill, Arrays.stream(sill).min().orElse(0), -BEYOND);
    freeing(lintel, Arrays.stream(lintel).max().orElse(0), BEYOND);
    return new Bounds(sill, lintel);
  }

  /** Frees the pieces at the extreme, which the level itself tells of; all, where none bounds. */
  private static void freeing(double[] bounds, double extreme, double free) {
    Arrays.setAll(bounds, i -> Math.abs(bounds[i] - extreme) < SAME ? free : bounds[i]);
  }

  /** Returns what each piece without an opening of its own keeps, however far the rest runs out. */
  List<TankRoom.Kept> kept(Slope slope) {
    Bounds bounds = bounds(slope);
    List<TankRoom.Kept> kept = new ArrayList<>();
    for (int i = 0; i < pieces.size(); i++) {
      double[] sum = new double[4];
      pieces.get(i).addBelow(slope.up(), bounds.at(i, -BEYOND), sum);
      if (sum[0] > 0) {
        Point middle = new Point(sum[1] / sum[0], sum[2] / sum[0], sum[3] / sum[0]);
        kept.add(new TankRoom.Kept(middle, sum[0]));
      }
    }
    return kept;
  }

  /** Tells whether water at one opening comes to another only over a sill higher than both. */
  boolean parted(TankPort one, TankPort other, Slope slope) {
    double height = Math.max(slope.heightOf(one.at()), slope.heightOf(other.at()));
    double[] levels = spread(one.at(), height, slope.up());
    double comes =
        IntStream.range(0, pieces.size())
            .filter(i -> pieces.size() == 1 || pieces.get(i).holds(other.at(), NEAR))
            .mapToDouble(i -> levels[i])
            .min()
            .orElse(height);
    return comes > height + NEAR;
  }

  /**
   * Adds what stands in the pieces when the rest stands at a level to {@code sum}: volume (m³) and
   * its first moments (m⁴).
   */
  void addBelow(double level, Bounds bounds, Slope slope, double[] sum) {
    for (int i = 0; i < pieces.size(); i++) {
      pieces.get(i).addBelow(slope.up(), bounds.at(i, level), sum);
    }
  }

  /**
   * Returns the level to which each piece empties by an opening (m); infinite where it is not
   * joined.
   *
   * @param at the opening's middle, in the tank's frame
   * @param level the height of its lower edge on the slope (m)
   */
  double[] drained(Point at, double level, Slope slope) {
    return spread(at, level, slope.up());
  }

  /**
   * Returns the level to which each piece fills before its air can no longer leave by an opening
   * (m).
   *
   * @param level the height of the opening's lower edge on the slope (m)
   */
  double[] filled(Point at, double level, Slope slope) {
    Point up = slope.up();
    double[] down = spread(at, -level, new Point(-up.x(), -up.y(), -up.z()));
    return Arrays.stream(down).map(d -> -d).toArray();
  }

  private double[] spread(Point at, double level, Point up) {
    int count = pieces.size();
    double[] starts = new double[count];
    Arrays.setAll(
        starts,
        i -> count == 1 || pieces.get(i).holds(at, NEAR) ? level : Double.POSITIVE_INFINITY);
    return LowestCrest.of(
        Arcs.complete(count),
        arc -> pieces.get(arc / count).lowestShared(pieces.get(arc % count), up),
        starts);
  }

  /** Returns what stands in the pieces up to a level of each (m³). */
  double volume(double[] levels, Slope slope) {
    double[] sum = new double[4];
    for (int i = 0; i < levels.length; i++) {
      Solid piece = pieces.get(i);
      double top = piece.extent(slope.up())[1] + 1;
      piece.addBelow(slope.up(), Math.min(levels[i], top), sum);
    }
    return sum[0];
  }
}
