package fernwort.bench;

import fernwort.core.demo.DemoRig;
import fernwort.core.drain.Draining;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.frost.Curve;
import fernwort.core.frost.FreezeForecast;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.network.Network;
import fernwort.core.winter.WinterizingMethods;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterWish;
import fernwort.core.winter.sheets.WinterizingMethod;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Cold, for Tern of 57 parts. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 10, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class ColdBenchmark {

  private Network network;
  private Wintering full;
  private Wintering opened;
  private WinterizingMethods schools;
  private FreezeForecast.Asked asked;

  /** Prepares what an open rig keeps at hand. */
  @Setup
  public void prepare() {
    DemoRig truck = DemoRig.all().getLast();
    network = Network.of(truck.rig());
    full = Filled.of(network, truck.state());
    schools = WinterizingMethods.of(Plans.of(network));
    WinterPlan plan = schools.plan(WinterizingMethod.FALL, full, WinterWish.USUAL);
    // Everything open that the way by fall opens, and everything still wet: the worst there is.
    opened =
        new Wintering(plan.after().state(), plan.after().service(), full.wetness(), full.glycol());
    Curve night = new Curve(List.of(0.0, 43_200.0, 54_000.0), List.of(275.15, 264.15, 268.15));
    asked = new FreezeForecast.Asked(night, 288.15, 2, 288.15, false, 0, Set.of());
  }

  /** What stays, everything open at once. */
  @Benchmark
  public Wintering whatStays() {
    return Draining.of(network, opened);
  }

  /** A whole way through the winter, emptying its tanks included. */
  @Benchmark
  public WinterPlan school() {
    return schools.plan(WinterizingMethod.FALL, full, WinterWish.USUAL);
  }

  /** A night for all that is wet, with its coldest. */
  @Benchmark
  public FreezeForecast night() {
    return FreezeForecast.of(network, full, asked);
  }
}
