package fernwort.core.budget;

import org.hipparchus.special.Erf;

/**
 * The standard normal distribution, looked up: what a gauge with steps says is asked of it a
 * hundred thousand times for one budget. From the nearest of the library's values by Taylor to the
 * third order, right to 1e-10 of the greatest.
 */
final class Bell {

  private static final int A_UNIT = 128;
  private static final int REACH = 8;
  private static final double[] BELOW = new double[2 * REACH * A_UNIT + 1];
  private static final double[] DENSITY = new double[BELOW.length];

  static {
    for (int k = 0; k < BELOW.length; k++) {
      double z = at(k);
      BELOW[k] = Erf.erfc(-z / Math.sqrt(2)) / 2;
      DENSITY[k] = density(z);
    }
  }

  private Bell() {}

  private static double at(int k) {
    return (double) k / A_UNIT - REACH;
  }

  /** Returns the density at a number of standard deviations. */
  static double density(double z) {
    return Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI);
  }

  /** Returns the share that lies between two numbers of standard deviations. */
  static double between(double from, double to) {
    // On the side where both shares are small, for their difference to be right.
    return from > 0 ? below(-from) - below(-to) : below(to) - below(from);
  }

  private static double below(double z) {
    if (z <= -REACH) {
      return 0;
    }
    if (z >= REACH) {
      return 1;
    }
    int k = (int) Math.round((z + REACH) * A_UNIT);
    double near = at(k);
    double d = z - near;
    double rise = d * (1 - d * (near / 2 - d * (near * near - 1) / 6));
    return BELOW[k] + DENSITY[k] * rise;
  }
}
