package fernwort.core.flow;

/**
 * The Darcy friction factor of a round pipe: 64/Re in laminar flow, Colebrook and White's (1939) in
 * turbulent flow, and straight between the two where neither holds.
 */
public final class Friction {

  /** Reynolds number up to which flow is taken to be laminar. */
  public static final double LAMINAR = 2000;

  /** Reynolds number from which flow is taken to be turbulent. */
  public static final double TURBULENT = 4000;

  private static final double LN10 = Math.log(10);

  private Friction() {}

  /**
   * Returns the friction factor.
   *
   * @param reynolds Reynolds number, more than 0 (1)
   * @param relativeRoughness roughness over bore (1)
   */
  public static double factor(double reynolds, double relativeRoughness) {
    if (reynolds <= LAMINAR) {
      return 64 / reynolds;
    }
    if (reynolds >= TURBULENT) {
      double x = colebrook(reynolds, relativeRoughness);
      return 1 / (x * x);
    }
    double low = 64 / LAMINAR;
    double high = factor(TURBULENT, relativeRoughness);
    return low + (high - low) * (reynolds - LAMINAR) / (TURBULENT - LAMINAR);
  }

  /**
   * Returns how the factor changes with the flow, d ln f / d ln Re.
   *
   * @param reynolds Reynolds number, more than 0
   * @param relativeRoughness roughness over bore
   * @param factor the factor there
   */
  static double exponent(double reynolds, double relativeRoughness, double factor) {
    if (reynolds <= LAMINAR) {
      return -1;
    }
    if (reynolds >= TURBULENT) {
      double viscous = 2.51 / (reynolds * Math.sqrt(factor));
      double a = 2 / LN10 * 2.51 / reynolds / (relativeRoughness / 3.7 + viscous);
      return -2 * a / (1 + a);
    }
    double rise = factor(TURBULENT, relativeRoughness) - 64 / LAMINAR;
    return rise / (TURBULENT - LAMINAR) * reynolds / factor;
  }

  /**
   * Solves Colebrook and White's equation for 1/√f: Haaland's (1983) guess and two Newton steps.
   */
  private static double colebrook(double reynolds, double roughness) {
    double rough = roughness / 3.7;
    double viscous = 2.51 / reynolds;
    double x = -1.8 / LN10 * Math.log(Math.pow(rough, 1.11) + 6.9 / reynolds);
    for (int i = 0; i < 2; i++) {
      double y = rough + viscous * x;
      double miss = x + 2 / LN10 * Math.log(y);
      x -= miss / (1 + 2 / LN10 * viscous / y);
    }
    return x;
  }
}
