package fernwort.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.jobs.mistake.Attempts;
import fernwort.core.jobs.mistake.Slip;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Position;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The judge of drills agrees with the run: who does it right passes, who does harm is told. */
class DrillsTest {

  private static final int DRILLS = Integer.getInteger("sweep.drills", 4);

  private final Random random = new Random(5);

  /** A rig with what draws and judges its drills. */
  private record Bench(Network network, Plans plans, Drills drills, Attempts judge) {
    static Bench of(String demo) {
      Network network = Network.of(DemoRig.called(demo).rig());
      Plans plans = Plans.of(network);
      return new Bench(
          network,
          plans,
          Drills.of(network, plans, plans.offered(Jobs.of(network))),
          Attempts.of(network, plans));
    }
  }

  @ParameterizedTest
  @MethodSource("fernwort.core.Sampled#demos")
  void whoDoesItAsPlannedPasses(String demo) {
    Bench bench = Bench.of(demo);
    for (int i = 0; i < DRILLS; i++) {
      Optional<Drill> drawn = bench.drills().draw(i % 3, random);
      assertThat(drawn).as(demo).isPresent();
      Drill drill = drawn.orElseThrow();
      Plan plan = bench.plans().plan(drill.job(), drill.from());
      Attempts.Verdict verdict = bench.judge().judge(drill.job(), drill.from(), Trial.acts(plan));
      assertThat(verdict.passed()).as(demo + " " + drill.job().id() + " " + verdict).isTrue();
      assertThat(verdict.turns()).isEqualTo(verdict.best()).isEqualTo(drill.best());
      assertThat(verdict.astray()).isEmpty();
    }
  }

  @ParameterizedTest
  @MethodSource("fernwort.core.Sampled#demos")
  void whoDoesNothingDoesNotPass(String demo) {
    Bench bench = Bench.of(demo);
    for (int i = 0; i < DRILLS; i++) {
      Drill drill = bench.drills().draw(1, random).orElseThrow();
      assertThat(bench.judge().judge(drill.job(), drill.from(), List.of()).passed())
          .as(demo + " " + drill.job().id())
          .isFalse();
    }
  }

  @ParameterizedTest
  @MethodSource("fernwort.core.Sampled#demos")
  void whatARandomPlayerDoesIsToldWhenItIsADanger(String demo) {
    Bench bench = Bench.of(demo);
    Trial trial = new Trial(bench.network(), bench.plans().hydraulics());
    List<Part> handles = bench.network().rig().handles().toList();
    for (int i = 0; i < DRILLS; i++) {
      Drill drill = bench.drills().draw(2, random).orElseThrow();
      List<Trial.Act> acts = new ArrayList<>();
      for (int turn = 0; turn < 6; turn++) {
        Part part = handles.get(random.nextInt(handles.size()));
        List<Position> ways = part.kind().positions();
        acts.add(new Trial.Turned(part.id(), ways.get(random.nextInt(ways.size())).id()));
        acts.add(new Trial.Pause(60));
      }
      Attempts.Verdict verdict = bench.judge().judge(drill.job(), drill.from(), acts);
      Trial.Outcome came = trial.run(drill.from(), acts, drill.job().taps()).outcome();
      Trial.Outcome meant = trial.run(drill.from(), verdict.right(), drill.job().taps()).outcome();
      boolean newDanger = !meant.dangers().keySet().containsAll(came.dangers().keySet());
      if (newDanger) {
        assertThat(verdict.grade()).as(demo + " " + acts).isNotEqualTo(Slip.Grade.HARMLESS);
        assertThat(verdict.leads().toString()).isNotBlank();
      }
      assertThat(verdict.turns()).isEqualTo(6);
    }
  }
}
