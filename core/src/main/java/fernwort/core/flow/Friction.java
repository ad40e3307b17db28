package fernwort.core.flow;

/**
 * The Darcy friction factor of round pipes of one relative roughness: 64/Re in laminar flow,
 * Colebrook and White's (1939) in turbulent flow, and straight between the two where neither holds.
 */
public final class Friction {

  /** Reynolds number up to which flow is taken to be laminar. */
  public static final double LAMINAR = 2000;

  /** Reynolds number from which flow is taken to be turbulent. */
  public static final double TURBULENT = 4000;

  /** Where laminar flow ends. */
  private static final double LAST_LAMINAR = 64 / LAMINAR;

  private static final double LN10 = Math.log(10);

  /** Relative roughness in Colebrook and White's equation. */
  private final double rough;

  /** The same in Haaland's guess. */
  private final double guess;

  /** By how much the factor changes from the last laminar flow to the first turbulent one. */
  private final double rise;

  /**
   * Prepares a wall.
   *
   * @param relativeRoughness roughness over bore (1)
   */
  public Friction(double relativeRoughness) {
    rough = relativeRoughness / 3.7;
    guess = Math.pow(rough, 1.11);
    rise = turbulent(TURBULENT) - LAST_LAMINAR;
  }

  /**
   * Returns the friction factor.
   *
   * @param reynolds Reynolds number, more than 0 (1)
   */
  public double factor(double reynolds) {
    if (reynolds <= LAMINAR) {
      return 64 / reynolds;
    }
    if (reynolds >= TURBULENT) {
      return turbulent(reynolds);
    }
    return LAST_LAMINAR + rise * (reynolds - LAMINAR) / (TURBULENT - LAMINAR);
  }

  /**
   * Returns how the factor changes with the flow, d ln f / d ln Re.
   *
   * @param reynolds Reynolds number, more than 0 (1)
   * @param factor the factor there (1)
   */
  double exponent(double reynolds, double factor) {
    if (reynolds <= LAMINAR) {
      return -1;
    }
    if (reynolds >= TURBULENT) {
      double viscous = 2.51 / (reynolds * Math.sqrt(factor));
      double a = 2 / LN10 * 2.51 / reynolds / (rough + viscous);
      return -2 * a / (1 + a);
    }
    return rise / (TURBULENT - LAMINAR) * reynolds / factor;
  }

  /**
   * Solves Colebrook and White's equation for 1/√f: Haaland's (1983) guess and one step of
   * Householder's third order, which leaves less than a part in 10⁹.
   */
  private double turbulent(double reynolds) {
    double viscous = 2.51 / reynolds;
    double x = -1.8 / LN10 * Math.log(guess + 6.9 / reynolds);
    double y = rough + viscous * x;
    double step = 2 / LN10 * viscous / y;
    double first = 1 + step;
    double second = -step * viscous / y;
    double third = -2 * second * viscous / y;
    double newton = (x + 2 / LN10 * Math.log(y)) / first;
    double bend = newton * second / first;
    x -= newton * (1 - bend / 2) / (1 - bend + newton * newton * third / (6 * first));
    return 1 / (x * x);
  }
}
