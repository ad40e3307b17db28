package fernwort.core.glycol;

import org.hipparchus.analysis.interpolation.LinearInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;

/**
 * When propylene glycol in water begins to freeze. Straight lines between the points of the table
 * are up to 1 K hopeful; {@link #MARGIN} covers it.
 */
public final class FreezingPoint {

  /** A mixture stands a cold that is so much above its freezing point (K). */
  public static final double MARGIN = 3;

  private static final double ZERO = 273.15;
  private static final double[] SHARE = {0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6};
  private static final double[] CELSIUS = {0, -3.3, -7.2, -12.8, -21.1, -33.3, -51.1};
  private static final PolynomialSplineFunction LINE =
      new LinearInterpolator().interpolate(SHARE, CELSIUS);

  private FreezingPoint() {}

  /**
   * Returns the temperature at which a mixture begins to freeze (K).
   *
   * @param strength share of glycol by volume (0 to 1); more than 0.6 counts as 0.6
   */
  public static double of(double strength) {
    return ZERO + LINE.value(Math.clamp(strength, 0, SHARE[SHARE.length - 1]));
  }

  /**
   * Tells whether a mixture stands a cold (K) with the margin.
   *
   * @param strength share of glycol (0 to 1)
   * @param cold temperature (K)
   */
  public static boolean stands(double strength, double cold) {
    return of(strength) <= cold - MARGIN;
  }
}
