package fernwort.core.jobs.plan;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Step;
import fernwort.core.network.Network;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What is turned before a fill ends, so that nothing runs over meanwhile. */
class AheadTest {

  private static final Ahead AHEAD = new Ahead(Network.of(DemoRig.called("marginalia").rig()));
  private static final PartId INLET = PartId.of("inlet");
  private static final PositionId CAPPED = PositionId.of("capped");
  private static final PositionId MAINS = PositionId.of("mains");

  private static final Step FILL = wait(Job.Until.What.FULL);
  private static final Step.Move BYPASS = move("bypass", "shut", "open");
  private static final Step.Move STOP =
      new Step.Move(INLET, MAINS, CAPPED, Message.NOTHING, "", "");

  private static Step wait(Job.Until.What what) {
    return new Step.Wait(
        new Job.Until(what, PartId.of("main")),
        Message.NOTHING,
        "",
        Step.Span.UNKNOWN,
        0,
        Map.of(),
        List.of());
  }

  private static Step.Move move(String part, String from, String to) {
    return new Step.Move(
        PartId.of(part), PositionId.of(from), PositionId.of(to), Message.NOTHING, "", "");
  }

  private static Condition placed(Step.Move move) {
    return new Condition.Placed(move.part(), move.to());
  }

  /** A stage that ends the fill by capping the inlet. */
  private static final Job.Stage STOPPED = Job.Stage.of(Goal.of(Map.of(INLET, CAPPED)));

  /** A stage that fills another tank. */
  private static final Job.Stage NEXT =
      Job.Stage.of(Goal.of(Map.of()), new Job.Until(Job.Until.What.FULL, PartId.of("low")));

  @Test
  void whatIsTurnedBeforeTheWaterStopsIsBetterDoneBefore() {
    assertThat(AHEAD.of(STOPPED, List.of(FILL, BYPASS, STOP), 1)).containsExactly(placed(BYPASS));
    assertThat(AHEAD.of(STOPPED, List.of(FILL, STOP, BYPASS), 1)).isEmpty();
  }

  @Test
  void nothingIsBetterDoneBeforeWhereNothingWasFilled() {
    assertThat(AHEAD.of(STOPPED, List.of(wait(Job.Until.What.DRY), BYPASS, STOP), 1)).isEmpty();
    assertThat(AHEAD.of(STOPPED, List.of(BYPASS, STOP), 0)).isEmpty();
    assertThat(AHEAD.of(STOPPED, List.of(FILL), 1)).as("nothing follows").isEmpty();
    assertThat(AHEAD.of(STOPPED, List.of(FILL, BYPASS), 1)).as("nothing stops it").isEmpty();
    assertThat(AHEAD.of(STOPPED, List.of(FILL, BYPASS, FILL, STOP), 1)).isEmpty();
  }

  @Test
  void betweenTwoFillsOnlyTheSelectorIsTurnedWhileTheWaterRuns() {
    Step.Move selector = move("fill-selector", "main", "low");
    Step.Move again = new Step.Move(INLET, CAPPED, MAINS, Message.NOTHING, "", "");
    assertThat(AHEAD.of(NEXT, List.of(FILL, STOP, BYPASS, selector, again), 1))
        .containsExactly(placed(BYPASS));
    assertThat(AHEAD.of(NEXT, List.of(FILL, BYPASS, selector), 1))
        .as("the tap was not closed for it")
        .isEmpty();
  }
}
