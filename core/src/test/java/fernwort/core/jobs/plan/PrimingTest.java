package fernwort.core.jobs.plan;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.describe.RigEdit;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Need;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.kind.Kind;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Which pump has to be filled before it draws water up from outside, and where that is said. */
class PrimingTest {

  private static final DemoRig TERN = DemoRig.called("tern");
  private static final PartId PUMP = PartId.of("pump");
  private static final String FROM_THE_BUCKET = "lift-fore-bucket";

  /** The bucket's water stands 0.5 m under the ground, the pump 1.05 m over it. */
  private static Rig drawing(double lift) {
    return RigEdit.of(TERN.rig())
        .change(
            PUMP,
            p -> {
              Pump was = (Pump) p.kind();
              return p.with(
                  new Pump(
                      was.duty(),
                      Pump.Type.CENTRIFUGAL,
                      was.shutOffPressure(),
                      was.freeFlow(),
                      was.cutIn(),
                      was.cutOut(),
                      lift));
            });
  }

  private static Job job(Rig rig, String id) {
    return Jobs.of(Network.of(rig)).byId(id).orElseThrow();
  }

  private static Optional<Part> unprimed(Rig rig, String job) {
    List<Need> needs =
        job(rig, job).stages().stream().flatMap(s -> s.goal().needs().stream()).toList();
    assertThat(needs).as(job).isNotEmpty();
    return needs.stream()
        .flatMap(need -> Priming.unprimed(Network.of(rig), need).stream())
        .findFirst();
  }

  @ParameterizedTest
  @CsvSource({"0,true", "1.54,true", "1.56,false", "3,false"})
  void aPumpIsPrimedThatStandsHigherThanItDraws(double lift, boolean primed) {
    Optional<Part> found = unprimed(drawing(lift), FROM_THE_BUCKET);
    assertThat(found.map(Part::id)).isEqualTo(primed ? Optional.of(PUMP) : Optional.empty());
  }

  /** The pump that sends hot water round draws nothing up either, but is pushed to. */
  @Test
  void aPumpBehindAnotherIsNotPrimed() {
    assertThat(TERN.rig().part(PartId.of("loop-pump")).kind().suctionLift()).isZero();
    assertThat(unprimed(TERN.rig(), FROM_THE_BUCKET)).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"move-arch-fore-pump", "fill-fore-inlet"})
  void whatDoesNotComeFromOutsideNeedsNone(String job) {
    assertThat(unprimed(drawing(0), job)).isEmpty();
  }

  @Test
  void onlyTheJobThatNeedsItIsPlannedWithPumpsPrimed() {
    Rig rig = drawing(0);
    Plans plans = Plans.of(Network.of(rig));
    assertThat(plans.forJob(job(rig, FROM_THE_BUCKET))).isNotSameAs(plans);
    assertThat(plans.forJob(job(rig, "move-arch-fore-pump"))).isSameAs(plans);
  }

  private static Step.Move move(String part, PositionId to) {
    return new Step.Move(
        PartId.of(part), PositionId.of("off"), to, Message.words("It is its turn."), "", "");
  }

  private static Plan plan(Rig rig, String job, List<Step> steps) {
    List<Integer> stages = steps.stream().map(steps::indexOf).toList();
    return new Plan(job(rig, job), steps, stages, List.of(), TERN.state(), Optional.empty());
  }

  private static Plan primed(Rig rig, String job, List<Step> steps) {
    return Priming.steps(
        Network.of(rig),
        plan(rig, job, steps),
        (until, inlet) ->
            new Step.Wait(
                until,
                Message.words("From " + inlet),
                "",
                Step.Span.UNKNOWN,
                0,
                Map.of(),
                List.of()));
  }

  @Test
  void itIsSaidRightBeforeThePumpIsSwitchedOn() {
    List<Step> steps =
        List.of(move("fore-drain", Kind.ON), move("pump", Kind.ON), move("pump", Kind.OFF));
    Plan plan = primed(drawing(0), FROM_THE_BUCKET, steps);
    assertThat(plan.steps()).hasSize(4).containsSequence(steps.subList(1, 3));
    assertThat(plan.steps().get(1))
        .isInstanceOfSatisfying(
            Step.Wait.class,
            wait -> {
              assertThat(wait.until()).isEqualTo(new Job.Until(Job.Until.What.PRIMED, PUMP));
              assertThat(wait.words()).hasToString("From bucket");
            });
    assertThat(plan.stages()).as("it belongs to the pump's stage").containsExactly(0, 1, 1, 2);
  }

  @Test
  void aPumpThatDrawsIsSwitchedOnAsItStands() {
    List<Step> steps = List.of(move("pump", Kind.ON));
    assertThat(primed(drawing(3), FROM_THE_BUCKET, steps).steps()).isEqualTo(steps);
    assertThat(primed(drawing(0), "move-arch-fore-pump", steps).steps()).isEqualTo(steps);
  }
}
