package fernwort.core.rig;

import java.util.List;
import java.util.Optional;

/**
 * The vehicle that carries the water.
 *
 * @param body its silhouette
 * @param rear x of its rear end (m)
 * @param nose x of its front end, drawbar included (m)
 * @param width overall width (m)
 * @param floor height of the floor above the ground (m)
 * @param roof height of the roof above the ground (m)
 * @param clearance the lowest height at which a part may hang (m)
 * @param axles the axles, rear first
 * @param hitch the coupling, for a trailer
 */
public record Vehicle(
    Body body,
    double rear,
    double nose,
    double width,
    double floor,
    double roof,
    double clearance,
    List<Axle> axles,
    Optional<Hitch> hitch) {

  /** The silhouettes that a rig can be drawn with. */
  public enum Body {
    VAN,
    TRUCK,
    TRAILER
  }

  public Vehicle {
    axles = List.copyOf(axles);
  }

  /** Returns this vehicle with its floor at another height, over what hangs lowest (m). */
  public Vehicle withFloor(double height) {
    double possible = Math.clamp(height, clearance + 0.05, Math.max(clearance + 0.05, roof - 0.5));
    return new Vehicle(body, rear, nose, width, possible, roof, clearance, axles, hitch);
  }

  /** Returns this vehicle on other axles and another hitch. */
  public Vehicle standingOn(List<Axle> otherAxles, Optional<Hitch> otherHitch) {
    return new Vehicle(body, rear, nose, width, floor, roof, clearance, otherAxles, otherHitch);
  }
}
