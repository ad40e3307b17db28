package fernwort.bench;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.LongCoach;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.Warmup;

/** Steady flow of a coach with every pump on and every sink open, from state to answer. */
@org.openjdk.jmh.annotations.State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 10, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class FlowBenchmark {

  /** Parts of the rig. */
  @Param({"60", "240"})
  public int parts;

  private Hydraulics hydraulics;
  private State state;

  /** Prepares what an open rig keeps at hand. */
  @Setup
  public void prepare() {
    DemoRig coach = LongCoach.of(parts / LongCoach.PARTS_PER_SECTION);
    hydraulics = Hydraulics.of(Network.of(coach.rig()));
    state = coach.state();
  }

  /** Flow and pressure everywhere. */
  @Benchmark
  public Flows steadyFlow() {
    return hydraulics.solve(state);
  }
}
