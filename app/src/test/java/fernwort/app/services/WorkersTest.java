package fernwort.app.services;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.app.compute.TooBusy;
import fernwort.core.effort.Effort;
import fernwort.core.effort.EffortExceededException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** What workers do: bounded, looked at, ended. */
class WorkersTest {

  private static final Duration LONG = Duration.ofMinutes(1);
  private static final Duration SHORT = Duration.ofMillis(20);

  private final Workers workers = new Workers();

  @AfterEach
  void clear() {
    workers.destroy();
  }

  private static Object forEver(CountDownLatch ended) throws InterruptedException {
    try {
      while (true) {
        Effort.look();
        TimeUnit.MILLISECONDS.sleep(2);
      }
    } finally {
      ended.countDown();
    }
  }

  @Test
  void whatIsDoneIsHandedOutAndWhatIsNotGoesOn() {
    assertThat(workers.begin(LONG, () -> 7).within(LONG)).contains(7);
    Awaited<Object> slow = workers.begin(LONG, () -> forEver(new CountDownLatch(1)));
    assertThat(slow.within(SHORT)).isEmpty();
    assertThat(slow.isEnded()).isFalse();
    slow.end();
  }

  @Test
  void whatNobodyNeedsAnyMoreStops() throws InterruptedException {
    CountDownLatch ended = new CountDownLatch(1);
    Awaited<Object> slow = workers.begin(LONG, () -> forEver(ended));
    assertThat(slow.within(SHORT)).isEmpty();
    slow.end();
    assertThat(ended.await(5, TimeUnit.SECONDS)).isTrue();
    assertThatThrownBy(() -> slow.within(LONG)).isInstanceOf(EffortExceededException.class);
    assertThat(slow.isEnded()).isTrue();
  }

  @Test
  void whatNobodyLooksAtEndsByItself() throws InterruptedException {
    CountDownLatch ended = new CountDownLatch(1);
    workers.begin(LONG, Duration.ofMillis(300), () -> forEver(ended));
    assertThat(ended.await(10, TimeUnit.SECONDS)).isTrue();
  }

  @Test
  void aFullQueueIsSaidAndEmptiesAgain() {
    CountDownLatch ended = new CountDownLatch(1);
    List<Awaited<Object>> waiting = new ArrayList<>();
    assertThatThrownBy(
            () -> {
              for (int i = 0; i < 100; i++) {
                waiting.add(workers.begin(LONG, () -> forEver(ended)));
              }
            })
        .isInstanceOf(TooBusy.class)
        .hasMessageContaining("Nothing is lost");
    waiting.forEach(Awaited::end);
    for (Awaited<Object> gone : waiting) {
      assertThatThrownBy(() -> gone.within(LONG)).isInstanceOf(EffortExceededException.class);
    }
    assertThat(workers.begin(LONG, () -> 3).within(LONG)).contains(3);
  }
}
