package fernwort.bench;

import java.util.Collection;
import java.util.List;
import org.openjdk.jmh.infra.BenchmarkParams;
import org.openjdk.jmh.infra.IterationParams;
import org.openjdk.jmh.profile.InternalProfiler;
import org.openjdk.jmh.results.AggregationPolicy;
import org.openjdk.jmh.results.IterationResult;
import org.openjdk.jmh.results.Result;
import org.openjdk.jmh.results.ScalarResult;

/**
 * A fixed piece of arithmetic, run in the same process right after what is measured: where the
 * machine is slow for a minute both are, and their ratio stays.
 */
public final class Yardstick implements InternalProfiler {

  /** Its name among the results of a benchmark. */
  static final String NAME = "yardstick";

  /** What it takes on a machine on which the goals are meant as they stand (ms). */
  static final double AT_THE_GOALS = 5.5;

  private static final int STEPS = 1_600_000;
  private static final int TRIES = 5;

  private double sink;

  @Override
  public String getDescription() {
    return "a fixed piece of arithmetic";
  }

  @Override
  public void beforeIteration(BenchmarkParams benchmark, IterationParams iteration) {
    // It is run after the iteration, when what it needs of the processor is warm.
  }

  @Override
  public Collection<? extends Result<?>> afterIteration(
      BenchmarkParams benchmark, IterationParams iteration, IterationResult result) {
    return List.of(new ScalarResult(NAME, milliseconds(), "ms", AggregationPolicy.AVG));
  }

  /** Returns what it takes now: the quickest of a few goes (ms). */
  double milliseconds() {
    double best = Double.POSITIVE_INFINITY;
    for (int i = 0; i < TRIES; i++) {
      long start = System.nanoTime();
      sink += arithmetic();
      best = Math.min(best, (System.nanoTime() - start) / 1e6);
    }
    return sink == 0 ? Double.NaN : best;
  }

  /** Integers, roots and memory within the cache, as networks and volumes need them. */
  private static double arithmetic() {
    double[] cells = new double[1024];
    long drawn = 0x9E3779B97F4A7C15L;
    for (int i = 0; i < STEPS; i++) {
      drawn ^= drawn << 13;
      drawn ^= drawn >>> 7;
      drawn ^= drawn << 17;
      int at = (int) (drawn & 1023);
      cells[at] = Math.sqrt(cells[at] + (drawn >>> 40)) / (1 + (i & 7));
    }
    return cells[0];
  }
}
