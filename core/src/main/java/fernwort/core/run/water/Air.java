package fernwort.core.run.water;

import fernwort.core.flow.Fluid;
import fernwort.core.id.LineId;
import fernwort.core.network.Levels;
import fernwort.core.ways.TankAir;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The air above the water of one tank: at the atmosphere's pressure where it can come and go,
 * within what a water-filled sag of its vent holds back, and of constant p·V where it cannot
 * (isothermal).
 */
public final class Air {

  private static final double ATMOSPHERE = 101_325;

  /** Less air than this is taken to be as stiff as this much (m³). */
  private static final double LEAST = 2e-5;

  /** A pressure and a rounding error of it differ by less (Pa). */
  private static final double SLACK = 1;

  private final double capacity;

  /**
   * A step that is only tried may squeeze the air into a corner; no more pressure is made of it
   * than this (Pa), four times what mains and pumps on board can.
   */
  private static final double MOST = 2e6;

  /** Absolute pressure times volume of what is shut in (J). */
  private double amount;

  /** Pressure that it takes to get out, and vacuum that it takes to come in (Pa). */
  private double out;

  private double in;

  /**
   * Makes the air of a tank of so much room that holds so much water (m³).
   *
   * @param capacity of the tank (m³)
   * @param volume of its water (m³)
   */
  public Air(double capacity, double volume) {
    this.capacity = capacity;
    amount = ATMOSPHERE * room(volume);
  }

  /** Makes a copy that goes on by itself. */
  public Air(Air other) {
    capacity = other.capacity;
    amount = other.amount;
    out = other.out;
    in = other.in;
  }

  private double room(double volume) {
    return Math.max(LEAST, capacity - volume);
  }

  /** Sets the ways that the air has: dry ones, or past the water that covers a vent. */
  public void ways(Levels levels, TankAir air, Set<LineId> wetVents) {
    out = hold(levels, air.out(), wetVents);
    in =
        air.in().isPresent()
            ? hold(levels, air.in(), wetVents)
            : air.bubbling()
                .map(b -> Fluid.WATER.pressure(b.vacuum(levels.surface(air.tank()))))
                .orElse(Double.POSITIVE_INFINITY);
  }

  private static double hold(Levels levels, Optional<TankAir.Route> route, Set<LineId> wetVents) {
    return route.map(r -> sag(levels, r.lines(), wetVents)).orElse(Double.POSITIVE_INFINITY);
  }

  /** The depth of the deepest sag on a vent that water has run through, as a pressure (Pa). */
  private static double sag(Levels levels, List<LineId> lines, Set<LineId> wetVents) {
    double deepest =
        lines.stream().filter(wetVents::contains).mapToDouble(levels::sag).max().orElse(0);
    return Fluid.WATER.pressure(deepest);
  }

  /** Tells whether it has no way out or none in. */
  public boolean isShutIn() {
    return Double.isInfinite(out) || Double.isInfinite(in);
  }

  /** Tells whether it stands against more water, or against less. */
  boolean standsAgainst(double gain) {
    return Double.isInfinite(gain > 0 ? out : in);
  }

  /** Tells whether its ways let a gauge pressure stand (Pa). */
  boolean holds(double pressure) {
    return pressure >= -in - SLACK && pressure <= out + SLACK;
  }

  /** Returns its gauge pressure (Pa) above so much water (m³). */
  public double pressure(double volume) {
    if (in == 0 && out == 0) {
      return 0;
    }
    return Math.clamp(amount / room(volume) - ATMOSPHERE, -in, Math.min(out, MOST));
  }

  /** Returns how much its pressure rises per water that comes in, with so much there (Pa/m³). */
  double stiffness(double volume) {
    double pressure = amount / room(volume) - ATMOSPHERE;
    boolean passes = in == 0 && out == 0 || pressure <= -in || pressure >= Math.min(out, MOST);
    return passes || room(volume) == LEAST ? 0 : amount / (room(volume) * room(volume));
  }

  /** Returns by how much its pressure changes when the water changes by a volume (Pa, from m³). */
  double swing(double volume, double change) {
    return (pressure(volume) + ATMOSPHERE) * Math.abs(change) / room(volume);
  }

  /** Lets air out or in as its ways allow, the water having come to a volume (m³). */
  public void settle(double volume) {
    amount = (pressure(volume) + ATMOSPHERE) * room(volume);
  }
}
