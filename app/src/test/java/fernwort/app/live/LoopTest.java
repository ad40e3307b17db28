package fernwort.app.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.say.Refusal;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** The one thread of Live when it is busy: what is withdrawn, what goes first, how it ends. */
class LoopTest {

  private static final long LONG = 30;

  private final List<String> done = new CopyOnWriteArrayList<>();
  private final AtomicInteger rounds = new AtomicInteger();
  private final CountDownLatch busy = new CountDownLatch(1);
  private final CountDownLatch enough = new CountDownLatch(1);
  private final Loop loop = new Loop(rounds::incrementAndGet, Duration.ofMillis(200));

  @AfterEach
  void end() {
    enough.countDown();
    loop.end(() -> {});
  }

  /** It is at something that takes long, until there was enough of it. */
  private void keepBusy() throws InterruptedException {
    loop.soon(() -> {
      busy.countDown();
      await(enough);
    });
    await(busy);
  }

  private static void await(CountDownLatch latch) {
    try {
      assertThat(latch.await(LONG, TimeUnit.SECONDS)).isTrue();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private boolean note(String what) {
    return done.add(what);
  }

  @Test
  void whatWasNotAnsweredInTimeIsNotDoneLater() throws Exception {
    keepBusy();
    assertThatThrownBy(() -> loop.ask(() -> note("open the valve")))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("nothing was done");
    enough.countDown();
    loop.soon(() -> note("later"));
    CountDownLatch after = new CountDownLatch(1);
    loop.soon(after::countDown);
    await(after);
    assertThat(done).containsExactly("later");
  }

  @Test
  void whatHasBegunIsWaitedForAndNotCalledUndone() throws Exception {
    CompletableFuture<String> answer =
        CompletableFuture.supplyAsync(() ->
            loop.ask(() -> {
              busy.countDown();
              await(enough);
              return "moved";
            }));
    await(busy);
    Thread.sleep(250);
    assertThat(answer).isNotDone();
    enough.countDown();
    assertThat(answer.get(LONG, TimeUnit.SECONDS)).isEqualTo("moved");
  }

  @Test
  void whoAsksFromWithinIsAnsweredAtOnce() {
    assertThat(loop.<String>ask(() -> loop.ask(() -> "inside"))).isEqualTo("inside");
  }

  @Test
  void whatIsUrgentGoesFirstAndIsLookedAtAtOnce() throws Exception {
    keepBusy();
    int before = rounds.get();
    loop.soon(() -> note("a message"));
    loop.soon(() -> note("another"));
    loop.first(() -> note("a leak"));
    CountDownLatch after = new CountDownLatch(1);
    loop.soon(() -> note("rounds " + (rounds.get() - before)));
    loop.soon(after::countDown);
    enough.countDown();
    await(after);
    assertThat(done).startsWith("a leak", "a message", "another");
    assertThat(done.getLast()).isNotEqualTo("rounds 0");
  }

  @Test
  void itLooksRoundHoweverMuchWaits() throws Exception {
    keepBusy();
    int before = rounds.get();
    for (int i = 0; i < 60; i++) {
      loop.soon(() -> {
        try {
          Thread.sleep(20);
        } catch (InterruptedException e) {
          Thread.currentThread().interrupt();
        }
      });
    }
    loop.soon(() -> note("rounds " + (rounds.get() - before)));
    CountDownLatch after = new CountDownLatch(1);
    loop.soon(after::countDown);
    enough.countDown();
    await(after);
    assertThat(done.getFirst()).isNotIn("rounds 0", "rounds 1", "rounds 2");
  }

  @Test
  void theLastThingIsDoneOnItsThreadAfterWhatItIsAt() throws Exception {
    keepBusy();
    CompletableFuture<Thread> last = new CompletableFuture<>();
    Thread ending = Thread.ofPlatform().start(() -> loop.end(() -> last.complete(here())));
    Thread.sleep(100);
    assertThat(last).as("not beside what it is at").isNotDone();
    enough.countDown();
    assertThat(last.get(LONG, TimeUnit.SECONDS).getName()).isEqualTo("live");
    ending.join();
  }

  private Thread here() {
    return Thread.currentThread();
  }
}
