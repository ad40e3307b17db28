package fernwort.core.load;

import fernwort.core.rig.Axle;
import fernwort.core.rig.Vehicle;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Something the vehicle stands on: an axle, a group of axles, or the hitch.
 *
 * @param label what people call it
 * @param x where it is along the vehicle (m)
 * @param empty what it carries without water (kg); 0 for a hitch that nobody weighed
 * @param lowest least it should carry (kg)
 * @param highest most it may carry (kg); without end where nobody read the plate
 */
public record Bearing(String label, double x, double empty, double lowest, double highest) {

  /** Axles nearer to each other than this count as one group (m). */
  private static final double GROUP = 1.8;

  /**
   * Returns the two supports of a vehicle, the rear one first.
   *
   * @throws Refusal when it has one axle and no hitch, which cannot stand
   */
  static List<Bearing> of(Vehicle vehicle) {
    List<Bearing> groups = new ArrayList<>();
    List<Axle> together = new ArrayList<>();
    for (Axle axle :
        vehicle.axles().stream().sorted(Comparator.comparingDouble(Axle::x)).toList()) {
      boolean apart = !together.isEmpty() && axle.x() - together.getLast().x() > GROUP;
      if (apart) {
        groups.add(of(together));
        together.clear();
      }
      together.add(axle);
    }
    groups.add(of(together));
    // A wagon with a steered front axle stands on its axles; its drawbar only pulls.
    vehicle
        .hitch()
        .filter(h -> groups.size() == 1)
        .ifPresent(h ->
            groups.add(
                new Bearing("drawbar", h.x(), h.emptyLoad().orElse(0.0), h.lowest(), h.highest())));
    if (groups.size() != 2) {
      throw new Refusal(
          groups.size() < 2
              ? Says.THE_VEHICLE_HAS_ONE_AXLE.text()
              : Says.THE_VEHICLE_STANDS.text());
    }
    return groups;
  }

  private static Bearing of(List<Axle> axles) {
    return new Bearing(
        String.join(" + ", axles.stream().map(Axle::label).toList()),
        axles.stream().mapToDouble(Axle::x).average().orElse(0),
        axles.stream().mapToDouble(Axle::emptyLoad).sum(),
        0,
        axles.stream().mapToDouble(Axle::bears).sum());
  }
}
