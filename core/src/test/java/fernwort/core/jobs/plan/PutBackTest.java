package fernwort.core.jobs.plan;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Sampled;
import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Severity;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.SmallHouses;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.kind.Rank;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import fernwort.core.ways.OpenWays;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A job leaves nothing open or running that was not so before. */
class PutBackTest {

  private static final double AN_HOUR = 3600;

  /** What nobody would miss (m³). */
  private static final double A_CUP = 2.5e-4;

  private static void assertPutBack(Rig rig, State before) {
    Network network = Network.of(rig);
    Plans plans = Plans.of(network);
    for (Job job : Jobs.of(network).all()) {
      Plan plan = job.kind().is(Job.Is.PUTS_BACK) ? plans.plan(job, before) : null;
      if (plan == null || plan.trouble().isPresent()) {
        continue;
      }
      for (Part part : rig.handles().toList()) {
        PositionId stood = before.setting().of(part.id());
        PositionId stands = plan.after().setting().of(part.id());
        assertThat(
                part.kind().rank(stood) == Rank.WAY_SHUT
                    && part.kind().rank(stands) == Rank.WAY_OPEN)
            .as("%s of %s leaves %s open", job.id(), rig.name(), part.label())
            .isFalse();
      }
      assertThat(runsOut(network, plan.after()))
          .as("%s of %s", job.id(), rig.name())
          .isLessThanOrEqualTo(runsOut(network, before) + A_CUP);
    }
  }

  /** What runs out at the ends of a rig within an hour, nobody touching it (m³). */
  private static double runsOut(Network network, State state) {
    Simulation run = Simulation.start(network, state);
    run.runTo(AN_HOUR);
    Moment moment = run.moment();
    return moment.totals().out().values().stream().mapToDouble(Double::doubleValue).sum();
  }

  private static State halfFull(Rig rig) {
    Network network = Network.of(rig);
    Map<PartId, Double> half = new HashMap<>();
    rig.tanks().forEach(t -> half.put(t.id(), network.room(t.id()).capacity() / 2));
    return new State(rig.atRest(), half, Slope.LEVEL);
  }

  static Stream<Rig> rigs() {
    return Sampled.rigs(5);
  }

  @ParameterizedTest
  @MethodSource("rigs")
  void fromRestNothingStaysOpen(Rig rig) {
    assertPutBack(rig, halfFull(rig));
  }

  /** What stood wrong before the job is not put back wrong. */
  @Property(tries = 60)
  void onRigsNobodyDrewNothingStaysOpen(@ForAll long seed) {
    Rig rig = SmallHouses.rig(seed);
    State before = SmallHouses.state(rig, seed);
    if (isCalm(Network.of(rig), before)) {
      assertPutBack(rig, before);
    }
  }

  private static boolean isCalm(Network network, State state) {
    Levels levels = Levels.of(network, state);
    return Hazards.of(network)
        .warnings(state.setting(), levels, OpenWays.find(network, state))
        .stream()
        .allMatch(w -> w.severity() == Severity.NOTE);
  }
}
