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
   * Makes a wish whose mix is drained by fall, with antifreeze in the traps.
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
      throw new Refusal("The lowest temperature must be between −60 and 0 °C");
    }
    if (!(air > 0 && air <= 0.05)) {
      throw new Refusal("A compressor gives from a few to some hundred litres a minute");
    }
    if (!(pressure > 0 && pressure <= MOST_PRESSURE)) {
      throw new Refusal("Air into water lines stays at 2 bar or less; set its regulator lower");
    }
    if (!(strength > 0 && strength <= 1)) {
      throw new Refusal(
          "The strength of antifreeze must be between 0 and 100 %; it is on its label");
    }
    if (!(jug > 0 && jug <= 0.2) || !(price >= 0 && price <= 1e6)) {
      throw new Refusal("A jug holds up to 200 L and costs nothing or more");
    }
  }
}
