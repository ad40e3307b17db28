package fernwort.core.flow;

import fernwort.core.say.Refusal;
import java.util.Locale;

/**
 * Water at one temperature, or air.
 *
 * @param density (kg/m³)
 * @param viscosity dynamic viscosity (Pa·s)
 */
public record Fluid(double density, double viscosity) {

  /** Standard acceleration of free fall (m/s²). */
  public static final double GRAVITY = 9.80665;

  /** Water at 15 °C. */
  public static final Fluid WATER = new Fluid(999.1, 1.138e-3);

  /** Air at 15 °C, which the pressures in vents hardly compress. */
  public static final Fluid AIR = new Fluid(1.225, 1.81e-5);

  /**
   * Returns water at a temperature.
   *
   * <p>Density after Kell (1975), within 0.02 kg/m³. Viscosity after Vogel's formula, scaled by two
   * parts in a thousand to meet 1.138e-3 Pa·s at 15 °C; within 1.5 % up to boiling.
   *
   * @param celsius temperature, 0 to 100 (°C)
   * @throws Refusal when it is outside
   */
  public static Fluid waterAt(double celsius) {
    if (!(celsius >= 0 && celsius <= 100)) {
      throw new Refusal(
          String.format(Locale.ROOT, Says.WATER_FLOWS_BETWEEN_0_AND_100_C.text(), celsius));
    }
    if (celsius == 15) {
      return WATER;
    }
    double t = celsius;
    double density =
        (999.83952
                + t
                    * (16.945176
                        + t
                            * (-7.9870401e-3
                                + t * (-46.170461e-6 + t * (105.56302e-9 - t * 280.54253e-12)))))
            / (1 + 16.879850e-3 * t);
    double vogel = 2.414e-5 * Math.pow(10, 247.8 / (t + 133.15));
    return new Fluid(density, vogel * (1.138e-3 / VOGEL_AT_15));
  }

  private static final double VOGEL_AT_15 = 2.414e-5 * Math.pow(10, 247.8 / 148.15);

  /** Returns the height of water that a pressure (Pa) holds up (m). */
  public double head(double pressure) {
    return pressure / (density * GRAVITY);
  }

  /** Returns the pressure (Pa) of a height of water (m). */
  public double pressure(double head) {
    return head * density * GRAVITY;
  }
}
