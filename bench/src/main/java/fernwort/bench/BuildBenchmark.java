package fernwort.bench;

import fernwort.core.build.check.AssemblyCheck;
import fernwort.core.build.cut.Cutting;
import fernwort.core.build.joints.Adapters;
import fernwort.core.build.joints.JointEnds;
import fernwort.core.build.remove.TakeApart;
import fernwort.core.demo.DemoRig;
import fernwort.core.demo.LongCoach;
import fernwort.core.id.PartId;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.network.Network;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
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

/** Ends, cuts, taking apart and the assembly check. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class BuildBenchmark {

  private static final int SECTIONS = 4;
  private static final int PIECES = 30;

  private Rig coach;
  private DemoRig marginalia;
  private Network network;
  private Plans plans;
  private List<PortRef> all;
  private List<Cutting.Piece> pieces;

  @Setup
  public void prepare() {
    coach = LongCoach.of(SECTIONS).rig();
    marginalia = DemoRig.all().getFirst();
    network = Network.of(marginalia.rig());
    plans = Plans.of(network);
    all = new ArrayList<>();
    marginalia.rig().lines().forEach(l -> all.addAll(List.of(l.from(), l.to())));
    Random random = new Random(7);
    pieces = new ArrayList<>();
    for (int i = 0; i < PIECES; i++) {
      pieces.add(new Cutting.Piece("piece " + i, 0.15 + 2 * random.nextDouble()));
    }
  }

  /** The chains of all ends of 120 parts, none of them known from before. */
  @Benchmark
  public int adapters() {
    Adapters shelf = Adapters.stocked();
    int found = 0;
    for (JointEnds ends : JointEnds.of(coach)) {
      found += shelf.between(ends.port().form(), ends.end().form()).isPresent() ? 1 : 0;
    }
    return found;
  }

  @Benchmark
  public Cutting cutting() {
    return Cutting.of(pieces, 3, 0.003);
  }

  @Benchmark
  public TakeApart pumpOut() {
    return TakeApart.of(network, marginalia.state(), Set.of(PartId.of("pump")));
  }

  /** Every joint of Marginalia undone. */
  @Benchmark
  public AssemblyCheck wholeRig() {
    return AssemblyCheck.of(plans, all);
  }
}
