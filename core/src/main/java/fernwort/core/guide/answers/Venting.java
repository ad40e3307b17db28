package fernwort.core.guide.answers;

import java.util.Objects;
import java.util.Optional;

/**
 * How a tank breathes, where it does so otherwise than by one open vent.
 *
 * @param overflow whether its vent is the overflow as well: it leads down and out
 * @param valve whether a valve closes it for the drive
 * @param second an overflow of its own beside the vent
 * @param joins the tank whose vent its own runs into, by short name
 */
public record Venting(boolean overflow, boolean valve, Second second, Optional<String> joins) {

  /** One vent, open at its end. */
  public static final Venting USUAL = new Venting(false, false, Second.NONE, Optional.empty());

  /** A second opening at the top of a tank. */
  public enum Second {
    NONE,
    OPEN,
    VALVED
  }

  public Venting {
    second = Objects.requireNonNullElse(second, Second.NONE);
    joins = Objects.requireNonNullElse(joins, Optional.empty());
  }
}
