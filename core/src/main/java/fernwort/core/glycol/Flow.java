package fernwort.core.glycol;

/**
 * Liquid that moves on.
 *
 * @param volume how much (m³)
 * @param strength share of glycol in it (0 to 1)
 */
public record Flow(double volume, double strength) {

  /** Nothing. */
  static final Flow NONE = new Flow(0, 0);
}
