package fernwort.core.network;

/** Properties of water at 15 °C and of the place. */
public final class Water {

  /** Density (kg/m³). */
  public static final double DENSITY = 999.1;

  /** Standard acceleration of free fall (m/s²). */
  public static final double GRAVITY = 9.80665;

  private Water() {}

  /** Returns the height of water that a pressure (Pa) holds up (m). */
  public static double head(double pressure) {
    return pressure / (DENSITY * GRAVITY);
  }
}
