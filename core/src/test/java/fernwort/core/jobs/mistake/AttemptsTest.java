package fernwort.core.jobs.mistake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.network.Network;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What somebody did for a job of a small teardrop, held against the job done right. */
class AttemptsTest {

  private static final DemoRig TEARDROP = DemoRig.called("samphire");
  private static final Network NETWORK = Network.of(TEARDROP.rig());
  private static final Plans PLANS = Plans.of(NETWORK);
  private static final Attempts ATTEMPTS = Attempts.of(NETWORK, PLANS);

  private static Job job(String id) {
    return Jobs.of(NETWORK).byId(id).orElseThrow();
  }

  private static List<Trial.Act> right(String job) {
    return Trial.acts(PLANS.plan(job(job), TEARDROP.state()));
  }

  private static Attempts.Verdict verdict(String job, List<Trial.Act> acts) {
    return ATTEMPTS.judge(job(job), TEARDROP.state(), acts);
  }

  private static Trial.Turned turned(String part, String position) {
    return new Trial.Turned(PartId.of(part), PositionId.of(position));
  }

  @ParameterizedTest
  @ValueSource(strings = {"run-tank", "jug-tank-jug", "shed-tank-drain-cap"})
  void whoDoesItRightPasses(String job) {
    Attempts.Verdict verdict = verdict(job, right(job));
    assertThat(verdict.passed()).isTrue();
    assertThat(verdict.turns()).isEqualTo(verdict.best()).isPositive();
    assertThat(verdict.astray()).isEmpty();
    assertThat(verdict.left()).isEmpty();
    assertThat(verdict.right()).isEqualTo(right(job));
  }

  @ParameterizedTest
  @ValueSource(strings = {"run-tank", "jug-tank-jug", "shed-tank-drain-cap", "pour-tank-filler"})
  void whoDoesNothingHasNotDoneIt(String job) {
    Attempts.Verdict verdict = verdict(job, List.of());
    assertThat(verdict.reached()).isFalse();
    assertThat(verdict.turns()).isZero();
    assertThat(verdict.best()).isPositive();
  }

  @Test
  void whatIsNotPutBackIsNamed() {
    List<Trial.Act> acts = right("shed-tank-drain-cap");
    Attempts.Verdict verdict = verdict("shed-tank-drain-cap", acts.subList(0, acts.size() - 1));
    assertThat(verdict.left()).containsExactly("Drain cap");
    assertThat(verdict.reached()).isFalse();
    assertThat(verdict.turns()).isEqualTo(1);
  }

  @Test
  void theFirstTurnThatTheJobDoesNotHaveIsToldByItsPlace() {
    List<Trial.Act> acts = new ArrayList<>(right("shed-tank-drain-cap"));
    assertThat(verdict("shed-tank-drain-cap", acts).astray()).isEmpty();
    acts.add(1, turned("filler", "open"));
    acts.add(turned("filler", "shut"));
    Attempts.Verdict verdict = verdict("shed-tank-drain-cap", acts);
    assertThat(verdict.astray()).isEqualTo(Optional.of(1));
    assertThat(verdict.turns()).isEqualTo(4);
    assertThat(verdict.best()).isEqualTo(2);
  }

  /** The filler is opened for the hose: at the end it shows nothing, so the turns have to. */
  @Test
  void whatLeavesNoTraceCountsByItsTurns() {
    List<Trial.Act> acts = right("pour-tank-filler");
    assertThat(verdict("pour-tank-filler", acts).passed()).isTrue();
    assertThat(verdict("pour-tank-filler", List.of(turned("filler", "shut"))).passed()).isFalse();
  }

  @Test
  void aJobThatCannotBeDoneIsRefusedWithItsReason() {
    assertThatThrownBy(() ->
            ATTEMPTS.judge(
                job("run-tank"), TEARDROP.state().withVolume(PartId.of("tank"), 0), List.of()))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("Foot pump draws air");
  }
}
