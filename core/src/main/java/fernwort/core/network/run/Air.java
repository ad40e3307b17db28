package fernwort.core.network.run;

import fernwort.core.network.Plumbing;
import fernwort.core.network.TankAir;
import fernwort.core.network.flow.Fluid;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.ProfilePoint;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The air above the water of one tank: at the atmosphere's pressure where it can come and go,
 * within what a water-filled sag of its vent holds back, and of constant p·V where it cannot
 * (isothermal).
 */
final class Air {

  private static final double ATMOSPHERE = 101_325;

  /** Less air than this is taken to be as stiff as this much (m³). */
  private static final double LEAST = 2e-5;

  private final double capacity;

  /** Absolute pressure times volume of what is shut in (J). */
  private double amount;

  /** Pressure that it takes to get out, and vacuum that it takes to come in (Pa). */
  private double out;

  private double in;

  Air(double capacity, double volume) {
    this.capacity = capacity;
    amount = ATMOSPHERE * room(volume);
  }

  Air(Air other) {
    capacity = other.capacity;
    amount = other.amount;
    out = other.out;
    in = other.in;
  }

  private double room(double volume) {
    return Math.max(LEAST, capacity - volume);
  }

  /** Sets the ways that the air has. */
  void ways(Plumbing plumbing, TankAir air, Set<String> wetVents) {
    out = hold(plumbing, air.out(), wetVents);
    in = hold(plumbing, air.in(), wetVents);
  }

  private static double hold(
      Plumbing plumbing, Optional<TankAir.Route> route, Set<String> wetVents) {
    return route.map(r -> sag(plumbing, r.lines(), wetVents)).orElse(Double.POSITIVE_INFINITY);
  }

  /** The depth of the deepest sag on a vent that water has run through, as a pressure (Pa). */
  private static double sag(Plumbing plumbing, List<String> lines, Set<String> wetVents) {
    double deepest = 0;
    for (Line line : plumbing.rig().lines()) {
      if (lines.contains(line.id()) && wetVents.contains(line.id())) {
        deepest = Math.max(deepest, sag(plumbing, line));
      }
    }
    return Fluid.WATER.pressure(deepest);
  }

  /** Returns how far a line sags below the lower of the heights to both sides of the sag (m). */
  static double sag(Plumbing plumbing, Line line) {
    double deepest = 0;
    List<ProfilePoint> profile = line.profile();
    for (int i = 0; i < profile.size(); i++) {
      double before = end(plumbing, line, true);
      double after = end(plumbing, line, false);
      for (int j = 0; j < profile.size(); j++) {
        if (j < i) {
          before = Math.max(before, profile.get(j).height());
        } else if (j > i) {
          after = Math.max(after, profile.get(j).height());
        }
      }
      deepest = Math.max(deepest, Math.min(before, after) - profile.get(i).height());
    }
    return deepest;
  }

  private static double end(Plumbing plumbing, Line line, boolean first) {
    var port = first ? line.from() : line.to();
    Part part = plumbing.rig().part(port.part());
    return part.at(port.port()).z();
  }

  /** Tells whether it has no way out or none in. */
  boolean isShutIn() {
    return Double.isInfinite(out) || Double.isInfinite(in);
  }

  /** Tells whether there is none above so much water (m³) and none can come in. */
  boolean isAirless(double volume) {
    return Double.isInfinite(in) && capacity - volume < LEAST;
  }

  /** Returns its gauge pressure (Pa) above so much water (m³). */
  double pressure(double volume) {
    if (in == 0 && out == 0) {
      return 0;
    }
    return Math.clamp(amount / room(volume) - ATMOSPHERE, -in, out);
  }

  /** Lets air out or in as its ways allow, the water having come to a volume (m³). */
  void settle(double volume) {
    amount = (pressure(volume) + ATMOSPHERE) * room(volume);
  }
}
