package fernwort.core.load;

import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import fernwort.core.say.Refusal;
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
public record Loads(List<Bearing> supports, double rear, double front, double left) {

  /**
   * Reckons the loads of some water.
   *
   * @param network the prepared rig
   * @param volumes water by tank id (m³)
   * @throws Refusal when the vehicle cannot stand on what is described
   */
  public static Loads of(Network network, Map<PartId, Double> volumes) {
    double[] byTank =
        network.tanks().stream().mapToDouble(t -> volumes.getOrDefault(t.id(), 0.0)).toArray();
    return new Moments(network).loads(byTank);
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
   * Returns the smallest margin to a limit (kg), negative when one is broken: to the highest loads,
   * and to the least load of a coupling that somebody weighed. Of a drawbar that nobody weighed it
   * is the water's alone.
   */
  public double margin() {
    return Math.min(margin(supports.get(0), onRear()), margin(supports.get(1), onFront()));
  }

  private static double margin(Bearing support, double load) {
    boolean weighed = support.empty() > 0 && support.lowest() > 0;
    double above = support.highest() - load;
    return weighed ? Math.min(above, load - support.lowest()) : above;
  }
}
