package fernwort.core.tank;

import fernwort.core.rig.Point;
import fernwort.core.rig.Slope;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;

/**
 * The pieces of a tank, and how water and air get from one to another: where two touch, over the
 * lowest point that they share, and under its highest.
 *
 * <p>Pieces that meet only above some height strand the water below it; those that meet only below
 * one trap air. A queue takes the lowest level first, as water finds its way out: O(n²) for the few
 * pieces that a tank has.
 */
final class Lobes {

  /** A port this far outside a piece still belongs to it: walls, and the tape (m). */
  private static final double NEAR = 0.01;

  private final List<Solid> pieces;

  Lobes(List<Solid> pieces) {
    this.pieces = pieces;
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
    double[] levels = new double[pieces.size()];
    Arrays.fill(levels, Double.POSITIVE_INFINITY);
    PriorityQueue<Integer> queue = new PriorityQueue<>(Comparator.comparingDouble(i -> levels[i]));
    for (int i = 0; i < levels.length; i++) {
      if (pieces.size() == 1 || pieces.get(i).holds(at, NEAR)) {
        levels[i] = level;
        queue.add(i);
      }
    }
    while (!queue.isEmpty()) {
      int i = queue.remove();
      for (int j = 0; j < levels.length; j++) {
        double to = Math.max(levels[i], pieces.get(i).lowestShared(pieces.get(j), up));
        if (to < levels[j]) {
          levels[j] = to;
          queue.add(j);
        }
      }
    }
    return levels;
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
