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
    LINK
  }
}
