package fernwort.app.live;

import fernwort.core.say.Refusal;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * One thread that does everything in the order in which it comes, and looks round in between. It
 * begins with the first thing that is asked of it.
 */
final class Loop {

  private static final Logger LOG = LoggerFactory.getLogger(Loop.class);

  /** So often it looks round (ms); own choice. */
  private static final long BEAT = 200;

  /** Nobody waits longer for an answer (s). */
  private static final long PATIENCE = 10;

  private final BlockingQueue<Runnable> work = new LinkedBlockingQueue<>();
  private final Runnable round;
  private @Nullable Thread thread;
  private volatile boolean over;

  /**
   * Prepares it.
   *
   * @param round what is done in between, at least five times a second
   */
  Loop(Runnable round) {
    this.round = round;
  }

  private synchronized void begin() {
    if (thread == null && !over) {
      thread = Thread.ofPlatform().daemon().name("live").start(this::run);
    }
  }

  private void run() {
    while (!over) {
      try {
        @Nullable Runnable next = work.poll(BEAT, TimeUnit.MILLISECONDS);
        while (next != null) {
          safely(next);
          next = work.poll();
        }
        safely(round);
      } catch (InterruptedException e) {
        return;
      }
    }
  }

  private static void safely(Runnable task) {
    try {
      task.run();
    } catch (RuntimeException e) {
      LOG.warn("a step of Live failed", e);
    }
  }

  /** Does something soon; never waits. */
  void soon(Runnable task) {
    begin();
    work.add(task);
  }

  /**
   * Does something and returns what came of it.
   *
   * @throws Refusal when it was refused, or nobody answers
   */
  <T> T ask(Supplier<T> question) {
    begin();
    CompletableFuture<T> answer = new CompletableFuture<>();
    work.add(() -> {
      try {
        answer.complete(question.get());
      } catch (RuntimeException e) {
        answer.completeExceptionally(e);
      }
    });
    try {
      return answer.get(PATIENCE, TimeUnit.SECONDS);
    } catch (ExecutionException e) {
      if (e.getCause() instanceof RuntimeException refused) {
        throw refused;
      }
      throw new IllegalStateException(e.getCause());
    } catch (TimeoutException e) {
      throw new Refusal(Says.NO_ANSWER_IN_TIME.with());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new Refusal(Says.NO_ANSWER_IN_TIME.with());
    }
  }

  /** Ends it, with a last thing to do. */
  void end(Runnable last) {
    @Nullable Thread running;
    synchronized (this) {
      over = true;
      running = thread;
    }
    if (running != null) {
      try {
        running.join(TimeUnit.SECONDS.toMillis(2));
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
      safely(last);
    }
  }
}
