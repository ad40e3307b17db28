package fernwort.core.kind;

import fernwort.core.id.PositionId;
import java.util.Optional;

/**
 * The drive of a motor valve.
 *
 * @param unpowered the position it takes when the power fails; its present one if it just stays
 * @param travelTime time from one stop to the next (s)
 * @param opensBelow temperature below which it takes that position by itself (K), as a heater's
 *     frost valve does
 */
public record Motor(
    Optional<PositionId> unpowered, double travelTime, Optional<Double> opensBelow) {

  /**
   * Makes a drive that minds no cold.
   *
   * @param travelTime from stop to stop (s)
   */
  public Motor(Optional<PositionId> unpowered, double travelTime) {
    this(unpowered, travelTime, Optional.empty());
  }
}
