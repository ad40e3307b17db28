package fernwort.core.run.water;

import java.util.List;

/**
 * The volumes of a run within one step, and what they meet on the way: a port that is covered or
 * comes free, a tank that is full or empty. Each volume is on the parabola whose slope goes from
 * its rate at the start of the step to that at its end, so what it meets is a root of a quadratic.
 */
public final class EventLocation {

  /** A volume and a rounding error of it cannot be told apart by less than this (m³). */
  private static final double SPECK = 1e-15;

  private final Tanks tanks;
  private final List<Thresholds> thresholds;

  /** Between which thresholds each tank stood when that was last looked at. */
  private final int[] parts;

  /**
   * Looks at the volumes of a run.
   *
   * @param tanks the tanks; looked at as they are when asked
   * @param thresholds the volumes of each at which something is covered or comes free
   */
  public EventLocation(Tanks tanks, List<Thresholds> thresholds) {
    this.tanks = tanks;
    this.thresholds = List.copyOf(thresholds);
    parts = new int[thresholds.size()];
  }

  /** Makes a copy that goes on by itself, for tanks that were copied. */
  public EventLocation(EventLocation other, Tanks tanks) {
    this.tanks = tanks;
    thresholds = other.thresholds;
    parts = other.parts.clone();
  }

  /**
   * Returns the volumes some time after the start of a step whose slopes are these.
   *
   * @param seconds since the beginning of the step (s)
   * @param over how long the step is (s)
   */
  public double[] after(Rates start, Rates end, double seconds, double over) {
    double bent = seconds * seconds / (2 * over);
    double[] moved = new double[tanks.count()];
    for (int i = 0; i < moved.length; i++) {
      double change = start.gains()[i] * (seconds - bent) + end.gains()[i] * bent;
      moved[i] = Math.clamp(tanks.volume(i) + change, 0, tanks.capacity(i));
    }
    return moved;
  }

  /** Returns the largest difference between the rates of tanks (m³/s). */
  public static double difference(double[] first, double[] second) {
    double most = 0;
    for (int i = 0; i < first.length; i++) {
      most = Math.max(most, Math.abs(second[i] - first[i]));
    }
    return most;
  }

  /**
   * Returns when the first threshold is met, with each volume on the parabola whose slope goes from
   * the first rate to the second over a step (s); infinite for none.
   */
  public double untilCrossing(Rates start, Rates end, double over) {
    double soonest = Double.POSITIVE_INFINITY;
    for (int i = 0; i < tanks.count(); i++) {
      double up = thresholds.get(i).above(tanks.volume(i));
      double down = thresholds.get(i).below(tanks.volume(i));
      soonest = Math.min(soonest, untilAt(i, up, start, end, over));
      soonest = Math.min(soonest, untilAt(i, down, start, end, over));
    }
    return soonest;
  }

  /** Returns when the first tank is brim-full or empty (s). */
  public double untilLimit(Rates start, Rates end, double over) {
    double soonest = Double.POSITIVE_INFINITY;
    for (int i = 0; i < tanks.count(); i++) {
      soonest = Math.min(soonest, untilAt(i, tanks.capacity(i), start, end, over));
      soonest = Math.min(soonest, untilAt(i, 0, start, end, over));
    }
    return soonest;
  }

  private double untilAt(int tank, double target, Rates start, Rates end, double over) {
    double slope = start.gains()[tank];
    double bend = (end.gains()[tank] - slope) / (2 * over);
    return meets(target - tanks.volume(tank), slope, bend);
  }

  /** The first time, after the start, at which slope·t + bend·t² comes to a change. */
  private static double meets(double change, double slope, double bend) {
    if (Math.abs(change) < SPECK) {
      boolean returns = slope * bend < 0 && slope * slope > 4 * SPECK * Math.abs(bend);
      return returns ? -slope / bend : Double.POSITIVE_INFINITY;
    }
    if (!Double.isFinite(change)) {
      return Double.POSITIVE_INFINITY;
    }
    double root = slope * slope + 4 * bend * change;
    if (root < 0) {
      return Double.POSITIVE_INFINITY;
    }
    double q = slope + Math.copySign(Math.sqrt(root), slope);
    double one = q == 0 ? Double.NaN : 2 * change / q;
    double other = bend == 0 ? Double.NaN : -q / (2 * bend);
    double soonest = Double.POSITIVE_INFINITY;
    for (double t : new double[] {one, other}) {
      if (t >= 0 && t < soonest) {
        soonest = t;
      }
    }
    return soonest;
  }

  /** Returns the next threshold of a tank above what it holds; infinite for none (m³). */
  public double above(int tank) {
    return thresholds.get(tank).above(tanks.volume(tank));
  }

  /** Looks between which thresholds each tank stands. */
  public void look() {
    for (int i = 0; i < parts.length; i++) {
      parts[i] = thresholds.get(i).part(tanks.volume(i));
    }
  }

  /**
   * Tells whether a tank stands past a threshold since, so that what is open must be found anew.
   */
  public boolean crossed() {
    for (int i = 0; i < parts.length; i++) {
      if (thresholds.get(i).part(tanks.volume(i)) != parts[i]) {
        return true;
      }
    }
    return false;
  }
}
