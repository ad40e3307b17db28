package fernwort.core.jobs.goal;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.network.Network;
import fernwort.core.rig.Rig;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What of a plan a person would call one act. */
class ActsTest {

  private static final DemoRig TRUCK = DemoRig.called("marginalia");
  private static final Rig RIG = TRUCK.rig();
  private static final PartId MAIN = PartId.of("main");

  private static Step.Move turned(String part) {
    return new Step.Move(
        PartId.of(part), PositionId.of("a"), PositionId.of("b"), Message.NOTHING, "", "");
  }

  private static Step.Wait wait(Job.Until.What what) {
    return new Step.Wait(
        new Job.Until(what, MAIN), Message.NOTHING, "", Step.Span.UNKNOWN, 0, Map.of(), List.of());
  }

  private static Plan plan(Step... steps) {
    Job job = Jobs.of(Network.of(RIG)).byId("drive").orElseThrow();
    List<Integer> stages = Stream.of(steps).map(s -> 0).toList();
    return new Plan(job, List.of(steps), stages, List.of(), TRUCK.state(), Optional.empty());
  }

  private static List<Integer> acts(Step... steps) {
    return Acts.of(RIG, plan(steps));
  }

  @ParameterizedTest
  @CsvSource({
    "sink, TAPS",
    "shower, TAPS",
    "heater-in, VALVES",
    "tank-selector, VALVES",
    "pump, PUMP",
    "low-drain, CAPS",
    "inlet, CAPS"
  })
  void aHandDoesOneSortOfThing(String part, Acts.Sort sort) {
    assertThat(Acts.Sort.of(RIG.part(PartId.of(part)).kind())).isEqualTo(sort);
  }

  @Test
  void whatIsOfOneSortInOnePlaceIsOneAct() {
    assertThat(acts(turned("heater-in"), turned("heater-out"), turned("bypass")))
        .containsExactly(1, 1, 1);
    assertThat(acts(turned("fill-selector"), turned("tank-selector")))
        .as("in two places")
        .containsExactly(1, 2);
    assertThat(acts(turned("pump"), turned("tank-selector")))
        .as("of two sorts")
        .containsExactly(1, 2);
    assertThat(acts(turned("heater-in"), turned("sink"), turned("heater-out")))
        .as("come back to")
        .containsExactly(1, 2, 3);
  }

  @Test
  void aWaitDividesWhatComesBeforeFromWhatComesAfter() {
    Step[] steps = {turned("heater-in"), wait(Job.Until.What.FULL), turned("heater-out")};
    assertThat(acts(steps)).containsExactly(1, 2, 3);
    assertThat(Acts.count(RIG, plan(steps))).as("looking on is no act").isEqualTo(2);
    assertThat(Acts.count(RIG, plan())).isZero();
  }

  @Test
  void handsDoSomethingInAMove() {
    assertThat(Acts.isDone(turned("sink"))).isTrue();
  }

  @ParameterizedTest
  @CsvSource({
    "HOSE_IN, true", "HOSE_OUT, true", "PRIMED, true", "RUNS, true", "RUNS_HOT, true",
    "FULL, false", "DRY, false", "POURED_FULL, false", "MARK, false", "HOT, false"
  })
  void aWaitIsDoneByHandOrLookedOn(Job.Until.What what, boolean byHand) {
    assertThat(Acts.isDone(wait(what))).isEqualTo(byHand);
    assertThat(Acts.count(RIG, plan(wait(what)))).isEqualTo(byHand ? 1 : 0);
  }
}
