package fernwort.core.kind.tank;

import fernwort.core.id.PortId;
import java.util.Optional;

/**
 * An opening in a tank's wall.
 *
 * @param id unique name within the tank
 * @param use what it is for
 * @param at its centre from the tank's inside rear right bottom corner (m)
 * @param bore how wide it is, if somebody measured (m): water runs over its lower edge and dry
 *     there, air passes under its upper edge; without it the opening is taken for a point
 * @param passes what a float valve passes fully open at 1 bar (m³/s), where its papers say; without
 *     it the valve takes nothing that its line does not
 */
public record TankPort(
    PortId id, Use use, Point at, Optional<Double> bore, Optional<Double> passes) {

  /** Makes an opening that is taken for a point. */
  public TankPort(PortId id, Use use, Point at) {
    this(id, use, at, Optional.empty());
  }

  /** Makes an opening of which nobody said what a float in it passes. */
  public TankPort(PortId id, Use use, Point at, Optional<Double> bore) {
    this(id, use, at, bore, Optional.empty());
  }

  /** Returns it at another place from the tank's inside corner. */
  public TankPort movedTo(Point other) {
    return new TankPort(id, use, other, bore, passes);
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
