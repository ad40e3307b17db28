package fernwort.core.frost;

import fernwort.core.network.Water;

/** What water takes to cool and to freeze. */
public final class ColdWater {

  /** Heat capacity (J/(kg K)). */
  public static final double CAPACITY = 4186;

  /** Heat of freezing (J/kg). */
  public static final double FREEZING = 333_550;

  /** Where it freezes (K). */
  public static final double ZERO = 273.15;

  /** The share of ice at which flow stops; no threshold of damage. */
  public static final double STOPS = 0.2;

  private ColdWater() {}

  /** Returns the heat it takes to warm a volume (m³) by a kelvin (J/K). */
  public static double heat(double volume) {
    return Water.DENSITY * CAPACITY * volume;
  }

  /**
   * Returns the heat a volume (m³) gives off until a share of it is ice (J).
   *
   * @param volume of water (m³)
   * @param share what of it freezes (0 to 1)
   */
  public static double freezing(double volume, double share) {
    return Water.DENSITY * FREEZING * volume * share;
  }
}
