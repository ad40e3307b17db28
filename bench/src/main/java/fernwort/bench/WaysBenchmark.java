package fernwort.bench;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.LongCoach;
import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Warning;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import fernwort.core.ways.FlowPaths;
import fernwort.core.ways.OpenWays;
import java.util.ArrayList;
import java.util.List;
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

/** Ways and warnings of a coach with every pump on and every sink open, levels included. */
@org.openjdk.jmh.annotations.State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 10, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class WaysBenchmark {

  /** Parts of the rig. */
  @Param({"60", "240"})
  public int parts;

  private Network network;
  private Hazards hazards;
  private State state;

  /** Prepares what an open rig keeps at hand. */
  @Setup
  public void prepare() {
    DemoRig coach = LongCoach.of(parts / LongCoach.PARTS_PER_SECTION);
    network = Network.of(coach.rig());
    hazards = Hazards.of(network);
    state = coach.state();
  }

  /** What every look of a plan asks of the core: what is open tells what is wrong. */
  @Benchmark
  public List<Warning> waysAndWarnings() {
    Levels levels = Levels.of(network, state);
    FlowPaths ways = OpenWays.find(network, state.setting(), levels);
    List<Warning> found = new ArrayList<>(hazards.withPower(state.setting(), levels, ways));
    found.addAll(hazards.withoutPower(state.setting(), levels, ways));
    return found;
  }

  /** What a turned handle asks of the core: what the solved flow and the loads tell, too. */
  @Benchmark
  public List<Warning> allWarnings() {
    Levels levels = Levels.of(network, state);
    return hazards.warnings(
        state.setting(), levels, OpenWays.find(network, state.setting(), levels));
  }
}
