package fernwort.core.rig;

import fernwort.core.id.PlaceId;
import java.util.Optional;

/**
 * A named spot on the vehicle where somebody can reach the parts in it.
 *
 * @param id unique name within the rig
 * @param label what people call it
 * @param reach how to get at it, such as "kneel at the rear doors"
 * @param x centre along the vehicle (m)
 * @param y centre to the left (m)
 * @param z centre above the ground (m)
 * @param warmth its share of the difference between inside and outside temperature, 0 as cold as
 *     outside, 1 as warm as inside, if somebody estimated or measured it
 * @param heating what ducted air or a pad puts into it (W), if anything does
 */
public record Place(
    PlaceId id,
    String label,
    String reach,
    double x,
    double y,
    double z,
    Optional<Double> warmth,
    Optional<Double> heating) {

  /**
   * Makes a place of which nobody knows how warm it stays.
   *
   * @param x ahead of the rear axle (m)
   * @param y to the left of the middle (m)
   * @param z above the ground (m)
   */
  public Place(PlaceId id, String label, String reach, double x, double y, double z) {
    this(id, label, reach, x, y, z, Optional.empty(), Optional.empty());
  }
}
