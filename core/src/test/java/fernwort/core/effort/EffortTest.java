package fernwort.core.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.demo.DemoRig;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.network.Network;
import java.time.Duration;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class EffortTest {

  private static final Duration LONG = Duration.ofMinutes(1);

  @Test
  void withoutAnEffortALookCostsNothingAndEndsNothing() {
    assertThatCode(Effort::look).doesNotThrowAnyException();
  }

  @Test
  void aComputationEndsWithItsTimeOrWhenItIsCancelled() {
    assertThatThrownBy(() -> Effort.of(Duration.ZERO.minusNanos(1)).on(EffortTest::look))
        .isInstanceOf(EffortExceededException.class);
    Effort effort = Effort.of(LONG);
    assertThat(effort.on(EffortTest::look)).isTrue();
    effort.cancel();
    assertThatThrownBy(() -> effort.on(EffortTest::look))
        .isInstanceOf(EffortExceededException.class);
  }

  private static boolean look() {
    Effort.look();
    return true;
  }

  @Test
  void anEffortWithinAnotherEndsWithIt() {
    Effort outer = Effort.of(LONG);
    outer.on(() -> {
      Effort inner = Effort.of(LONG);
      outer.cancel();
      assertThat(inner.isOver()).isTrue();
      return true;
    });
  }

  @Test
  void itIsCarriedToOtherThreads() {
    Effort effort = Effort.of(LONG);
    effort.cancel();
    assertThatThrownBy(() ->
            effort.on(() ->
                IntStream.range(0, 64)
                    .boxed()
                    .parallel()
                    .map(Effort.carried((Integer i) -> look()))
                    .toList()))
        .isInstanceOf(EffortExceededException.class);
  }

  @Test
  void planningAndRunningLookAtIt() {
    DemoRig tern = DemoRig.all().get(1);
    Network network = Network.of(tern.rig());
    Plans plans = Plans.of(network);
    Effort over = Effort.of(LONG);
    over.cancel();
    assertThatThrownBy(() ->
            over.on(() -> {
              Jobs.of(network).all().forEach(job -> plans.plan(job, tern.state()));
              return true;
            }))
        .isInstanceOf(EffortExceededException.class);
  }
}
