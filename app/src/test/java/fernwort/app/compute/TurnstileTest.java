package fernwort.app.compute;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.fail;

import java.time.Duration;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

class TurnstileTest {

  @Test
  void oneAtATimeForARigAndWhoeverWaitsTooLongIsTold() throws Exception {
    Turnstile turnstile = new Turnstile(Duration.ofMillis(300));
    CountDownLatch inside = new CountDownLatch(1);
    CountDownLatch leave = new CountDownLatch(1);
    try (ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor()) {
      Future<Integer> first =
          threads.submit(() ->
              turnstile.let(
                  "tern",
                  () -> {
                    inside.countDown();
                    leave.await();
                    return 1;
                  }));
      inside.await();
      assertThatThrownBy(() -> turnstile.let("tern", () -> 2))
          .isInstanceOf(TooBusy.class)
          .hasMessageContaining("still computing");
      leave.countDown();
      assertThat(first.get()).isEqualTo(1);
      assertThat(turnstile.let("tern", () -> 3)).isEqualTo(3);
      assertThat(turnstile.size()).as("nothing is kept of who has left").isZero();
    }
  }

  @Test
  void neverMoreInAllThanThereAreProcessors() throws Exception {
    Turnstile turnstile = new Turnstile();
    AtomicInteger now = new AtomicInteger();
    AtomicInteger most = new AtomicInteger();
    try (ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor()) {
      for (int i = 0; i < 40; i++) {
        String rig = "rig " + i;
        threads.submit(() ->
            turnstile.let(
                rig,
                () -> {
                  most.accumulateAndGet(now.incrementAndGet(), Math::max);
                  Thread.sleep(20);
                  return now.decrementAndGet();
                }));
      }
    }
    assertThat(most.get())
        .isPositive()
        .isLessThanOrEqualTo(Runtime.getRuntime().availableProcessors());
  }

  @Test
  void aPageWaitsForOthersButNotForOneThatNeverEnds() throws Exception {
    Turnstile turnstile = new Turnstile();
    CountDownLatch leave = new CountDownLatch(1);
    int processors = Runtime.getRuntime().availableProcessors();
    CountDownLatch inside = new CountDownLatch(processors);
    try (ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor()) {
      for (int i = 0; i < processors; i++) {
        threads.submit(() ->
            turnstile.page(() -> {
              inside.countDown();
              return leave.await(1, TimeUnit.MINUTES);
            }));
      }
      inside.await();
      Future<Long> after = threads.submit(() -> turnstile.page(System::nanoTime));
      assertThatThrownBy(() -> after.get(1, TimeUnit.SECONDS)).isInstanceOf(TimeoutException.class);
      assertThat(after.get(10, TimeUnit.SECONDS)).isPositive();
      leave.countDown();
    }
  }

  /** Slow ones hold up pages for a while; past them a few come in, and no more than that. */
  @Test
  void howeverManyPagesAreSlowThereIsABound() throws Exception {
    Turnstile turnstile = new Turnstile(Duration.ofMillis(300));
    CountDownLatch leave = new CountDownLatch(1);
    AtomicInteger inside = new AtomicInteger();
    AtomicInteger told = new AtomicInteger();
    try (ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor()) {
      for (int i = 0; i < 50; i++) {
        threads.submit(() -> {
          try {
            return turnstile.page(() -> {
              inside.incrementAndGet();
              return leave.await(1, TimeUnit.MINUTES);
            });
          } catch (TooBusy busy) {
            return told.incrementAndGet();
          }
        });
      }
      assertThat(turnstile.<Integer>soon(() -> 7)).as("a note beside them").isEqualTo(7);
      while (told.get() + inside.get() < 50) {
        Thread.onSpinWait();
      }
      leave.countDown();
    }
    assertThat(inside.get()).isEqualTo(Runtime.getRuntime().availableProcessors() + 2);
  }

  /** Nothing about a rig goes by unbounded but what computes nothing itself. */
  @Test
  void whatIsNamedNowhereIsBounded() {
    for (String path :
        List.of("/rigs/tern/something-new", "/api/v1/rigs/tern/plan", "/c/token", "/api/v1/rigs")) {
      assertThat(Lane.of(path).way()).as(path).isIn(Lane.Way.LOOK, Lane.Way.HEAVY);
    }
    assertThat(Lane.of("/rigs/tern/board").way()).isEqualTo(Lane.Way.SOON);
    assertThat(Lane.of("/rigs/tern/runs/1/steps/2/done").way()).isEqualTo(Lane.Way.SOON);
    assertThat(Lane.of("/rigs/tern/runs/1/replan").way()).isEqualTo(Lane.Way.LOOK);
    assertThat(Lane.of("/health").way()).isEqualTo(Lane.Way.BY);
  }

  /** The filter has no page to say it with: the answer goes to what says errors. */
  @Test
  void whoDoesNotGetInIsAnsweredWithTheReason() throws Exception {
    Turnstile turnstile = new Turnstile(Duration.ZERO);
    MockHttpServletResponse refused = new MockHttpServletResponse();
    turnstile.let(
        "tern",
        () -> {
          new ComputingLimit(turnstile)
              .doFilter(
                  new MockHttpServletRequest("GET", "/rigs/tern/jobs/fill-fore-inlet"),
                  refused,
                  (request, response) -> fail("it was let in"));
          return null;
        });
    assertThat(refused.getStatus()).isEqualTo(503);
    assertThat(refused.getErrorMessage()).contains("still computing").contains("ask again");
    assertThat(refused.getHeader("Retry-After")).isEqualTo("5");
  }

  /** It only waits for jobs that are being looked at: somebody presses one of them meanwhile. */
  @Test
  void whoAsksForTheListOfJobsKeepsNobodyFromAJob() throws Exception {
    Turnstile turnstile = new Turnstile(Duration.ZERO);
    ComputingLimit limit = new ComputingLimit(turnstile);
    AtomicInteger letIn = new AtomicInteger();
    limit.doFilter(
        new MockHttpServletRequest("GET", "/rigs/tern/jobs/list"),
        new MockHttpServletResponse(),
        (list, answer) ->
            limit.doFilter(
                new MockHttpServletRequest("GET", "/rigs/tern/jobs/fill-fore-inlet"),
                new MockHttpServletResponse(),
                (request, response) -> letIn.incrementAndGet()));
    assertThat(letIn.get()).as("a job while the list waits").isEqualTo(1);
    turnstile.let(
        "tern",
        () -> {
          limit.doFilter(
              new MockHttpServletRequest("GET", "/rigs/tern/jobs/list"),
              new MockHttpServletResponse(),
              (request, response) -> letIn.incrementAndGet());
          return null;
        });
    assertThat(letIn.get()).as("the list while a job is planned").isEqualTo(2);
  }
}
