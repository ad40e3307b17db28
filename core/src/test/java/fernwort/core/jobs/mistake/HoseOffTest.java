package fernwort.core.jobs.mistake;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Practised;
import fernwort.core.Worked;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.jobs.goal.Uncovered;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.jobs.wait.StageRun;
import fernwort.core.network.Network;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A hose or cap that comes off opens the line behind it: what stands there runs over the hands. */
class HoseOffTest {

  private static Plan plan(Network network, String job, State from) {
    return Plans.of(network).plan(Jobs.of(network).byId(job).orElseThrow(), from);
  }

  private static List<String> turns(Plan plan) {
    List<String> turns = new ArrayList<>();
    for (Step step : plan.steps()) {
      switch (step) {
        case Step.Move m -> turns.add(m.part() + " " + m.to());
        case Step.Wait w -> turns.add(w.until().what().name());
      }
    }
    return turns;
  }

  @Test
  void theTankValveIsClosedBeforeTheHoseComesOff() {
    Network network = Worked.rig("low-inlet");
    State from = Worked.holding(network, "store=55, waste-tank=20");
    Plan plan = plan(network, "fill-store-hose-point-in", from);
    assertThat(turns(plan))
        .containsSubsequence("hose-point-in hose", "low-cock shut", "hose-point-in capped")
        .as("the hose ends in a vented tank: there is no pressure to let off")
        .doesNotContain("SLACK");
    assertThat(plan.steps())
        .filteredOn(s -> s instanceof Step.Move m && m.part().equals(PartId.of("low-cock")))
        .extracting(s -> ((Step.Move) s).why().toString())
        .contains("So nothing runs out at Hose point in when the hose comes off.");
  }

  @Test
  void toldAreTheLitresOfAValveThatIsForgottenOrTurnedTooLate() {
    Network network = Worked.rig("low-inlet");
    State from = Worked.holding(network, "store=55, waste-tank=20");
    Job job = Jobs.of(network).byId("fill-store-hose-point-in").orElseThrow();
    List<Slip> slips = Slips.of(network, Plans.of(network)).of(job, from);
    assertThat(slips)
        .filteredOn(s -> s.words().toString().contains("Low cock"))
        .filteredOn(s -> s.kind() == Slip.Kind.MISSED || s.kind() == Slip.Kind.SWAPPED)
        .filteredOn(s -> s.leads().toString().contains("over your hands"))
        .hasSizeGreaterThanOrEqualTo(2)
        .allSatisfy(s -> {
          assertThat(s.grade()).isEqualTo(Slip.Grade.BAD);
          assertThat(s.lost()).isGreaterThan(5e-4);
        });
  }

  @Test
  void aMaceratorThatStandsStillIsNoValve() {
    Network network = Worked.rig("macerator");
    State from = Worked.holding(network, "store=50, waste-tank=80");
    assertThat(turns(plan(network, "empty-waste-tank-mouth-pump", from)))
        .containsSubsequence("mincer off", "knife-gate shut", "mouth capped");
  }

  static List<Rig> rigs() {
    List<Rig> rigs = new ArrayList<>(Worked.shipped().toList());
    for (String name : List.of("low-inlet", "macerator", "motors", "relief-tube")) {
      rigs.add(Worked.rig(name).rig());
    }
    return rigs;
  }

  /** The law: what is carried out as planned wets nobody where a valve could keep it dry. */
  @ParameterizedTest
  @MethodSource("rigs")
  @Tag("slow")
  void noPlanLetsWaterRunOverTheHands(Rig rig) {
    Network network = Network.of(rig);
    Plans plans = Plans.of(network).brief();
    Set<PartId> held = Uncovered.of(network).held();
    Trial trial = new Trial(network, plans.hydraulics());
    State from = Practised.filled(network, 0.6);
    for (Job job : Jobs.of(network).all()) {
      if (job.kind().is(Job.Is.FROM_MAINS) || job.kind() == Job.Kind.EMPTY_GRAY) {
        Plan plan = plans.plan(job, from);
        if (plan.trouble().isEmpty()) {
          Trial.Outcome came = trial.run(from, Trial.acts(plan), job.taps()).outcome();
          came.spilt()
              .forEach((end, volume) -> {
                if (held.contains(end)) {
                  assertThat(volume).as(job.id() + " at " + end).isLessThan(StageRun.SPLASH);
                }
              });
        }
      }
    }
  }

  @Test
  void betweenCapAndHoseAnInletIsOpenToTheGround() {
    Network network = Worked.rig("low-inlet");
    State full =
        Worked.holding(network, "store=80")
            .with(PartId.of("low-cock"), PositionId.of("open"))
            .with(PartId.of("hose-point-in"), PositionId.of("hose"));
    Trial trial = new Trial(network, Plans.of(network).hydraulics());
    Trial.Outcome off =
        trial
            .run(
                full,
                List.of(
                    new Trial.Turned(PartId.of("hose-point-in"), PositionId.of("capped")),
                    new Trial.Pause(60)),
                java.util.Map.of())
            .outcome();
    // More than a litre in five seconds.
    double least = Trial.BARE * 1e-3 / 5;
    assertThat(off.spilt().get(PartId.of("hose-point-in"))).isGreaterThan(least);
    assertThat(off.end().volume(PartId.of("store"))).isLessThan(0.080 - least);
  }
}
