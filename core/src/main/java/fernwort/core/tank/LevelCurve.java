package fernwort.core.tank;

import fernwort.core.kind.tank.Point;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * Volume against level for one direction of gravity, exact for polyhedra: between the levels of two
 * neighbouring corners the cut grows as a quadratic of the level, so the volume is a cubic, which
 * four values fix.
 *
 * <p>Made once, in O(corners) cuts; then a volume costs a binary search and one cubic, and a level
 * the root of one cubic.
 */
final class LevelCurve {

  /** How close a place in a stretch is found (share of it). */
  private static final double EXACT = 1e-12;

  /** How close the volume there is (m³). */
  private static final double EXACT_VOLUME = 1e-18;

  private static final int ORDER = 5;

  private static final double SAME = 1e-9;

  /** Levels of the corners, rising (m). */
  private final double[] knots;

  /** Volume up to each knot (m³). */
  private final double[] volumes;

  /** For each stretch between knots, the coefficients of its cubic over 0 to 1. */
  private final double[][] cubics;

  private LevelCurve(double[] knots, DoubleUnaryOperator volume) {
    this.knots = knots;
    volumes = Arrays.stream(knots).map(volume).toArray();
    cubics = new double[knots.length - 1][];
    for (int i = 0; i + 1 < knots.length; i++) {
      double step = (knots[i + 1] - knots[i]) / 3;
      cubics[i] =
          cubic(
              volumes[i],
              volume.applyAsDouble(knots[i] + step),
              volume.applyAsDouble(knots[i] + 2 * step),
              volumes[i + 1]);
    }
  }

  /**
   * Makes the curve of some solids.
   *
   * @param solids the solids
   * @param up unit vector against gravity
   * @param volume volume (m³) below a level (m)
   */
  static LevelCurve of(List<Solid> solids, Point up, DoubleUnaryOperator volume) {
    double[] all = solids.stream().flatMapToDouble(s -> s.levels(up)).sorted().toArray();
    int kept = 0;
    for (double level : all) {
      if (kept == 0 || level > all[kept - 1] + SAME) {
        all[kept++] = level;
      }
    }
    return new LevelCurve(Arrays.copyOf(all, kept), volume);
  }

  private static double[] cubic(double v0, double v1, double v2, double v3) {
    return new double[] {
      v0,
      (-11 * v0 + 18 * v1 - 9 * v2 + 2 * v3) / 2,
      (18 * v0 - 45 * v1 + 36 * v2 - 9 * v3) / 2,
      (-9 * v0 + 27 * v1 - 27 * v2 + 9 * v3) / 2
    };
  }

  /** Returns the volume (m³) below a level (m). */
  double volume(double level) {
    int last = knots.length - 1;
    if (level <= knots[0]) {
      return volumes[0];
    }
    if (level >= knots[last]) {
      return volumes[last];
    }
    int i = stretch(knots, level);
    return at(cubics[i], (level - knots[i]) / (knots[i + 1] - knots[i]));
  }

  /** Returns the level (m) of a volume (m³). */
  double level(double volume) {
    int last = knots.length - 1;
    if (volume <= volumes[0]) {
      return knots[0];
    }
    if (volume >= volumes[last]) {
      return knots[last];
    }
    int i = stretch(volumes, volume);
    double[] c = cubics[i];
    return knots[i] + root(c, volume) * (knots[i + 1] - knots[i]);
  }

  private static double root(double[] c, double volume) {
    if (at(c, 0) >= volume) {
      return 0;
    }
    if (at(c, 1) <= volume) {
      return 1;
    }
    return new BracketingNthOrderBrentSolver(EXACT, EXACT, EXACT_VOLUME, ORDER)
        .solve(100, s -> at(c, s) - volume, 0, 1);
  }

  private static int stretch(double[] rising, double value) {
    int found = Arrays.binarySearch(rising, value);
    int i = found >= 0 ? found : -found - 2;
    return Math.min(i, rising.length - 2);
  }

  private static double at(double[] c, double t) {
    return c[0] + t * (c[1] + t * (c[2] + t * c[3]));
  }
}
