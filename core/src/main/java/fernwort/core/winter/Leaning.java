package fernwort.core.winter;

import fernwort.core.rig.Axle;
import fernwort.core.rig.Slope;
import fernwort.core.rig.Vehicle;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.List;

/** How a vehicle is leaned, in words people use: so high under which wheels or at the coupling. */
public final class Leaning {

  /** The wheels stand so far apart for each metre of a vehicle's width; own choice. */
  private static final double TRACK = 0.85;

  /** Nobody drives up higher on a ramp; own choice (m). */
  private static final double RAMP = 0.15;

  /** A coupling goes so far up and down; own choice (m). */
  private static final double COUPLING = 0.35;

  private Leaning() {}

  /** Tells whether people can lean a vehicle so: by ramps under wheels, or at its coupling. */
  public static boolean isPossible(Vehicle vehicle, Slope slope) {
    double across = rise(TRACK * vehicle.width(), slope.roll());
    double most = vehicle.hitch().isPresent() ? COUPLING : RAMP;
    return across <= RAMP && rise(arm(vehicle), slope.pitch()) <= most;
  }

  private static double rise(double arm, double degrees) {
    return arm * Math.tan(Math.toRadians(Math.abs(degrees)));
  }

  /** From what it turns about to what is lifted (m). */
  private static double arm(Vehicle vehicle) {
    double rear = vehicle.axles().stream().mapToDouble(Axle::x).min().orElse(0);
    double front = vehicle.axles().stream().mapToDouble(Axle::x).max().orElse(0);
    return vehicle.hitch().map(h -> h.x() - (rear + front) / 2).orElse(front - rear);
  }

  /**
   * Returns how to come to a slope: "nose up, front wheels up by 12 cm"; that it stands level for
   * none.
   */
  public static Message of(Vehicle vehicle, Slope slope) {
    List<Message> ways = new ArrayList<>();
    if (slope.pitch() != 0) {
      ways.add(along(vehicle, slope.pitch()));
    }
    if (slope.roll() != 0) {
      ways.add(
          Message.of(
              slope.roll() > 0 ? Says.LEFT_WHEELS_UP_BY.text() : Says.RIGHT_WHEELS_UP_BY.text(),
              lift(TRACK * vehicle.width(), slope.roll())));
    }
    return ways.isEmpty() ? Message.of("level") : Message.joined(", ", ways);
  }

  private static Message along(Vehicle vehicle, double pitch) {
    Amount lift = lift(arm(vehicle), pitch);
    if (vehicle.hitch().isPresent()) {
      return Message.of(
          pitch > 0 ? Says.NOSE_UP_COUPLING_UP_BY.text() : Says.NOSE_DOWN_COUPLING_DOWN_BY.text(),
          lift);
    }
    return Message.of(
        pitch > 0
            ? Says.NOSE_UP_FRONT_WHEELS_UP_BY.text()
            : Says.NOSE_DOWN_REAR_WHEELS_UP_BY.text(),
        lift);
  }

  /** To the whole centimetre. */
  private static Amount lift(double arm, double degrees) {
    return Amount.lift(Math.rint(100 * rise(arm, degrees)) / 100);
  }
}
