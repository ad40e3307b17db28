package fernwort.core.load;

import fernwort.core.network.Plumbing;
import fernwort.core.network.Water;
import fernwort.core.rig.Part;
import fernwort.core.rig.Point;
import fernwort.core.rig.Slope;
import fernwort.core.tank.TankRoom;
import java.util.List;
import java.util.Map;

/**
 * What the water on board weighs and where.
 *
 * @param supports what the vehicle stands on, the rear one first
 * @param rear water's share on the rear support (kg)
 * @param front water's share on the front support or drawbar (kg)
 * @param left how much more lies to the left than to the right of the middle (kg)
 */
public record Loads(List<Support> supports, double rear, double front, double left) {

  /**
   * Reckons the loads of some water.
   *
   * @param plumbing the prepared rig
   * @param volumes water by tank id (m³)
   * @throws IllegalArgumentException when the vehicle cannot stand on what is described
   */
  public static Loads of(Plumbing plumbing, Map<String, Double> volumes) {
    List<Support> supports = Support.of(plumbing.rig().vehicle());
    double span = supports.get(1).x() - supports.get(0).x();
    double rear = 0;
    double front = 0;
    double left = 0;
    for (Part tank : plumbing.tanks()) {
      double mass = volumes.getOrDefault(tank.id(), 0.0) * Water.DENSITY;
      if (mass > 0) {
        Point at = centre(plumbing.room(tank.id()), tank, volumes.getOrDefault(tank.id(), 0.0));
        double share = (at.x() - supports.get(0).x()) / span;
        front += mass * share;
        rear += mass * (1 - share);
        left += mass * Math.clamp(2 * at.y() / plumbing.rig().vehicle().width(), -1, 1);
      }
    }
    return new Loads(supports, rear, front, left);
  }

  private static Point centre(TankRoom room, Part tank, double volume) {
    Point inside = room.centroid(room.level(volume, Slope.LEVEL), Slope.LEVEL);
    return new Point(tank.x(), tank.y(), tank.height()).plus(inside);
  }

  /** Returns the water's mass (kg). */
  public double total() {
    return rear + front;
  }

  /** Returns what the rear support carries in all (kg). */
  public double onRear() {
    return supports.get(0).empty() + rear;
  }

  /** Returns what the front support or drawbar carries in all (kg). */
  public double onFront() {
    return supports.get(1).empty() + front;
  }

  /**
   * Returns the smaller of the two margins to the highest loads (kg); negative when one is
   * exceeded. What a drawbar carries without water is not in a description, so its margin is the
   * water's.
   */
  public double margin() {
    return Math.min(supports.get(0).highest() - onRear(), supports.get(1).highest() - onFront());
  }
}
