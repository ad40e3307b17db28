package fernwort.core.winter.sheets;

import fernwort.core.say.Refusal;

/**
 * What somebody has and wants for the winter.
 *
 * @param cold the cold the rig shall stand (K)
 * @param air free air that the compressor gives (m³/s)
 * @param pressure where its regulator is set, over the air's (Pa)
 * @param strength share of glycol in the antifreeze, from its label (0 to 1)
 * @param jug what a jug of it holds (m³)
 * @param price what a jug costs, in any money (any money)
 * @param blown whether the lines of a mix are blown out, too
 * @param cups whether the traps of a mix get antifreeze; else their plugs come out
 */
public record WinterWish(
    double cold,
    double air,
    double pressure,
    double strength,
    double jug,
    double price,
    boolean blown,
    boolean cups) {

  /**
   * Makes a wish whose mix is drained by gravity, with antifreeze in the traps.
   *
   * @param cold the cold the rig shall stand (K)
   * @param air free air that the compressor gives (m³/s)
   * @param pressure where its regulator is set, over the air's (Pa)
   * @param strength share of glycol in the antifreeze (0 to 1)
   * @param jug what a jug of it holds (m³)
   * @param price what a jug costs (any money)
   */
  public WinterWish(
      double cold, double air, double pressure, double strength, double jug, double price) {
    this(cold, air, pressure, strength, jug, price, false, true);
  }

  /** Never more than this at an opening of a water system (Pa). */
  public static final double MOST_PRESSURE = 200_000;

  /** To −15 °C with a small compressor, or antifreeze of half strength in jugs of 5 L. */
  public static final WinterWish USUAL =
      new WinterWish(258.15, 50.0 / 60_000, 150_000, 0.5, 5e-3, 12);

  public WinterWish {
    if (!(cold >= 213.15 && cold <= 273.15)) {
      throw new Refusal(Says.THE_LOWEST_TEMPERATURE_MUST.with());
    }
    if (!(air > 0 && air <= 0.05)) {
      throw new Refusal(Says.A_COMPRESSOR_GIVES_FROM_A_FEW.with());
    }
    if (!(pressure > 0 && pressure <= MOST_PRESSURE)) {
      throw new Refusal(Says.AIR_INTO_WATER_LINES_STAYS_AT_2.with());
    }
    if (!(strength > 0 && strength <= 1)) {
      throw new Refusal(Says.THE_STRENGTH_OF_ANTIFREEZE_MUST.with());
    }
    if (!(jug > 0 && jug <= 0.2) || !(price >= 0 && price <= 1e6)) {
      throw new Refusal(Says.A_JUG_HOLDS_UP_TO_200_L.with());
    }
  }
}
