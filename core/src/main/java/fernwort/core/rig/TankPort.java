package fernwort.core.rig;

import java.util.Optional;

/**
 * An opening in a tank's wall.
 *
 * @param id unique name within the tank
 * @param use what it is for
 * @param at its centre from the tank's inside rear right bottom corner (m)
 * @param bore how wide it is, if somebody measured (m): water runs over its lower edge and dry
 *     there, air passes under its upper edge; without it the opening is taken for a point
 */
public record TankPort(String id, Use use, Point at, Optional<Double> bore) {

  /** Makes an opening that is taken for a point. */
  public TankPort(String id, Use use, Point at) {
    this(id, use, at, Optional.empty());
  }

  /** Returns how far it reaches above and below its middle (m). */
  public double half() {
    return bore.orElse(0.0) / 2;
  }

  /** What a tank port is for. */
  public enum Use {
    FILL,
    FEED,
    VENT,
    DRAIN,
    GAUGE,
    LINK,
    /** A fill with a float valve inside: it lets water in until the water stands at it. */
    FLOAT;

    /** Tells whether a pump draws by it. */
    public boolean givesToPumps() {
      return this == FEED || this == DRAIN || this == LINK;
    }
  }

  /** Tells whether water and air may leave by it, which a float valve's flap does not allow. */
  public boolean letsOut() {
    return use != Use.FLOAT;
  }
}
