package fernwort.core.run.water;

import java.util.List;
import java.util.stream.DoubleStream;
import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * When the head of a tank's water, which is its level and the pressure of the air above it, comes
 * to a port or to the crest of a line: where water begins to move or ceases to.
 */
public final class Heads {

  private static final int MOST_EVALUATIONS = 200;

  private final Tanks tanks;
  private final List<double[]> heights;

  /**
   * Looks at the heads of a run.
   *
   * @param tanks the tanks; looked at as they are when asked
   * @param heights those of the ports and crests that each tank's water can come to (m)
   */
  public Heads(Tanks tanks, List<double[]> heights) {
    this.tanks = tanks;
    this.heights = heights;
  }

  /** Makes a copy that goes on by itself, for tanks that were copied. */
  public Heads(Heads other, Tanks tanks) {
    this(tanks, other.heights);
  }

  /**
   * Returns when, within a step, a head comes to such a height as its tank gains what it does at
   * the start; each moment as one shortly before and one shortly after it, in their order (s).
   *
   * @param over how long the step is (s)
   * @param around how far the one before and the one after may be from each other (s)
   */
  public double[] around(Rates start, double over, double around) {
    DoubleStream.Builder times = DoubleStream.builder();
    for (int i = 0; i < tanks.count(); i++) {
      meets(i, start.gains()[i], over, around, times);
    }
    return times.build().sorted().toArray();
  }

  private void meets(
      int tank, double gain, double over, double around, DoubleStream.Builder times) {
    if (Math.abs(gain) <= Rates.STILL) {
      return;
    }
    double first = after(tank, gain, 0);
    double last = after(tank, gain, over);
    for (double height : heights.get(tank)) {
      if ((first - height) * (last - height) < 0) {
        double at =
            new BrentSolver(around / 4)
                .solve(MOST_EVALUATIONS, t -> after(tank, gain, t) - height, 0, over);
        times.add(at - around / 2).add(at + around / 2);
      }
    }
  }

  private double after(int tank, double gain, double seconds) {
    return tanks.head(
        tank, Math.clamp(tanks.volume(tank) + gain * seconds, 0, tanks.capacity(tank)));
  }
}
