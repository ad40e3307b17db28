package fernwort.core.sizing;

import fernwort.core.say.Refusal;
import java.util.List;
import org.hipparchus.stat.descriptive.DescriptiveStatistics;

/**
 * A flow measured with a jug and a watch, several times.
 *
 * @param flow mean flow (m³/s)
 * @param spread standard deviation of the goes (m³/s); 0 for a single go
 * @param goes how many
 */
public record TimedJug(double flow, double spread, int goes) {

  /**
   * Reckons the flow.
   *
   * @param volume what the jug holds (m³)
   * @param seconds how long each go took (s)
   * @throws Refusal when there is no go, or one that takes no time
   */
  public static TimedJug of(double volume, List<Double> seconds) {
    if (seconds.isEmpty() || !(volume > 0)) {
      throw new Refusal(Says.TIME_AT_LEAST_ONE_JUG_AND_SAY.with());
    }
    DescriptiveStatistics flows = new DescriptiveStatistics();
    for (double time : seconds) {
      if (!(time > 0)) {
        throw new Refusal(Says.A_JUG_TAKES_MORE_THAN_NO_TIME.with());
      }
      flows.addValue(volume / time);
    }
    double spread = flows.getN() > 1 ? flows.getStandardDeviation() : 0;
    return new TimedJug(flows.getMean(), spread, seconds.size());
  }

  /**
   * Returns the share of the head that is lost between two points of a line, each timed on its own
   * with the same supply; flow goes with the root of head, so it is 1 − (q₂/q₁)².
   *
   * @param upstream the flow timed nearer to the supply
   * @param downstream the flow timed farther on
   * @throws Refusal when more comes out downstream, which one supply cannot give
   */
  public static double lostBetween(TimedJug upstream, TimedJug downstream) {
    double ratio = downstream.flow() / upstream.flow();
    double doubt = upstream.spread() / upstream.flow() + downstream.spread() / downstream.flow();
    if (ratio > 1 + Math.max(0.05, 2 * doubt)) {
      throw new Refusal(Says.MORE_CAME_OUT_FARTHER.with());
    }
    return Math.max(0, 1 - ratio * ratio);
  }

  /** Returns the time to fill some volume (m³) at this flow (s). */
  public double fill(double volume) {
    return volume / flow;
  }

  /**
   * Returns the water that a buffer must hold where a supply is slower than the demand (m³).
   *
   * @param demand flow that is wanted (m³/s)
   * @param duration how long it is wanted (s)
   */
  public double buffer(double demand, double duration) {
    return Math.max(0, demand - flow) * duration;
  }
}
