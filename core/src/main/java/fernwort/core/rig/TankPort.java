package fernwort.core.rig;

/**
 * An opening in a tank's wall.
 *
 * @param id unique name within the tank
 * @param use what it is for
 * @param at its centre from the tank's inside rear right bottom corner (m)
 */
public record TankPort(String id, Use use, Point at) {

  /** What a tank port is for. */
  public enum Use {
    FILL,
    FEED,
    VENT,
    DRAIN,
    GAUGE,
    LINK,
    /** A fill with a float valve inside: it lets water in until the water stands at it. */
    FLOAT
  }

  /** Tells whether water and air may leave by it, which a float valve's flap does not allow. */
  public boolean letsOut() {
    return use != Use.FLOAT;
  }
}
