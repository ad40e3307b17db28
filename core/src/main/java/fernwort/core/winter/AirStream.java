package fernwort.core.winter;

import fernwort.core.network.Water;
import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * Compressed air on its way to one open outlet.
 *
 * <p>u = V̇·p₀/(p·A) with p absolute; V̇, of free air, is the smaller of what the compressor gives
 * and what the outlet passes at the regulator's setting; where the compressor is the smaller, p is
 * the pressure at which the outlet passes just V̇. Water goes up and out where Wallis' number j* =
 * u·√(ρ_air/(g·D·(ρ_w − ρ_air))) is 1 or more (Wallis 1969).
 *
 * @param flow free air (m³/s)
 * @param pressure absolute (Pa)
 */
record AirStream(double flow, double pressure) {

  /** Of the open air (Pa). */
  static final double OPEN = 101_325;

  private static final double DENSITY = 1.225;
  private static final double KAPPA = 1.4;
  private static final int MOST_TRIES = 200;

  /**
   * Returns the stream.
   *
   * @param compressor free air it gives (m³/s)
   * @param regulator its setting over the open air (Pa)
   * @param outlet effective area of the outlet, C_d·A (m²)
   */
  static AirStream of(double compressor, double regulator, double outlet) {
    double most = passes(OPEN + regulator, outlet);
    if (most <= compressor) {
      return new AirStream(most, OPEN + regulator);
    }
    double pressure =
        new BrentSolver(1.0)
            .solve(MOST_TRIES, p -> passes(p, outlet) - compressor, OPEN, OPEN + regulator);
    return new AirStream(compressor, pressure);
  }

  /**
   * Free air through an outlet: isentropic, ṁ = C_d·A·√(2κ/(κ−1)·p·ρ·(r^(2/κ) − r^((κ+1)/κ))), r
   * the ratio of pressures, no less than the critical one (m³/s).
   */
  static double passes(double pressure, double outlet) {
    double critical = Math.pow(2 / (KAPPA + 1), KAPPA / (KAPPA - 1));
    double ratio = Math.max(critical, OPEN / pressure);
    double density = DENSITY * pressure / OPEN;
    double root =
        2
            * KAPPA
            / (KAPPA - 1)
            * pressure
            * density
            * (Math.pow(ratio, 2 / KAPPA) - Math.pow(ratio, (KAPPA + 1) / KAPPA));
    return outlet * Math.sqrt(Math.max(0, root)) / DENSITY;
  }

  /** Returns the effective area of an outlet that passes so much water at a pressure (m²). */
  static double area(double waterFlow, double waterPressure) {
    return waterFlow / Math.sqrt(2 * waterPressure / Water.DENSITY);
  }

  /** Returns the speed in a bore (m/s). */
  double speed(double bore) {
    return flow * OPEN / (pressure * Math.PI / 4 * bore * bore);
  }

  /** Returns Wallis' number in a bore. */
  double wallis(double bore) {
    double air = DENSITY * pressure / OPEN;
    return speed(bore) * Math.sqrt(air / (Water.GRAVITY * bore * (Water.DENSITY - air)));
  }
}
