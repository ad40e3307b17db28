package fernwort.bench;

import fernwort.core.demo.DemoRig;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.mistake.Slip;
import fernwort.core.jobs.mistake.Slips;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.network.Network;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.Warmup;

/** Plans and slips. */
@org.openjdk.jmh.annotations.State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 5, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(value = 1, jvmArgs = "-Xmx1g")
public class JobsBenchmark {

  private Plans tern;
  private List<Job> ternJobs;
  private State ternState;
  private Plans house;
  private Job move;
  private State tangled;
  private Job longest;
  private Slips truck;
  private List<Job> truckJobs;
  private State truckState;

  /** Prepares what an open rig keeps at hand. */
  @Setup
  public void prepare() {
    DemoRig van = DemoRig.all().getLast();
    Network vanPlumbing = Network.of(van.rig());
    tern = Plans.of(vanPlumbing);
    ternJobs = tern.offered(Jobs.of(vanPlumbing));
    ternState = van.state();
    longest =
        ternJobs.stream()
            .max(Comparator.comparingInt(job -> tern.turns(job, ternState)))
            .orElseThrow();
    Rig eight = ValveHouse.rig();
    Network eightPlumbing = Network.of(eight);
    house = Plans.of(eightPlumbing);
    move = Jobs.of(eightPlumbing).byId("move-tank3-tank6-pump").orElseThrow();
    tangled = ValveHouse.tangled(eight, "tank3", "tank6");
    DemoRig marginalia = DemoRig.all().getFirst();
    Network truckPlumbing = Network.of(marginalia.rig());
    Plans plans = Plans.of(truckPlumbing);
    truck = Slips.of(truckPlumbing, plans);
    truckJobs = plans.offered(Jobs.of(truckPlumbing));
    truckState = marginalia.state();
  }

  /** The turns of the job of Tern that takes most of them, from how it stands. */
  @Benchmark
  public int ternTurns() {
    return tern.turns(longest, ternState);
  }

  /** The whole run sheet of that job, its waits run through. */
  @Benchmark
  public Plan ternSheet() {
    return tern.plan(longest, ternState);
  }

  /** Eighteen turns among 24 two-way valves. */
  @Benchmark
  public Plan twentyFourValves() {
    Plan plan = house.plan(move, tangled);
    if (plan.trouble().isPresent()) {
      throw new IllegalStateException("no plan: " + plan.trouble());
    }
    return plan;
  }

  /** Every slip of one job of Marginalia. */
  @Benchmark
  @Warmup(iterations = 10, time = 1)
  @Measurement(iterations = 3, time = 1)
  public List<Slip> slipsOfOneJob() {
    Job job =
        truckJobs.stream().filter(j -> j.id().equals("fill-low-inlet")).findFirst().orElseThrow();
    return truck.of(job, truckState);
  }

  /** Every slip of every job of Marginalia. */
  @Benchmark
  @Warmup(iterations = 10, time = 1)
  @Measurement(iterations = 3, time = 1)
  public List<List<Slip>> everySlip() {
    return truckJobs.stream().map(j -> truck.of(j, truckState)).toList();
  }
}
