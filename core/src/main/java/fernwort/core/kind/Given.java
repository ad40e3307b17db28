package fernwort.core.kind;

import java.util.Optional;

/**
 * Water that a part gives from outside the rig.
 *
 * @param from where it comes from
 * @param pressure at which it stands at the part, where it is pressed (Pa)
 * @param height of its surface over the ground, where it lies outside (m)
 * @param flow what tap and hose give into a bucket, if somebody timed it (m³/s)
 * @param drinkable whether it is fit to drink
 */
public record Given(
    From from, double pressure, double height, Optional<Double> flow, boolean drinkable) {

  /** Where water comes from. */
  public enum From {
    /** A tap under pressure. */
    MAINS,
    /** Water outside, which something has to draw. */
    OUTSIDE,
    /** A jug that is held over it. */
    JUG,
    /** A neck into which somebody pours. */
    NECK
  }
}
