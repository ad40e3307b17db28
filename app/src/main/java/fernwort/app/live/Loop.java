package fernwort.app.live;

import fernwort.core.say.Phrase;
import fernwort.core.say.Refusal;
import java.time.Duration;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.PriorityBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * One thread that does everything in the order in which it comes, but for what is urgent, and looks
 * round in between however much waits. It begins with the first thing that is asked of it.
 */
final class Loop {

  private static final Logger LOG = LoggerFactory.getLogger(Loop.class);

  /** So often it looks round (ms); own choice. */
  private static final long BEAT = 200;

  /** Nobody waits longer for something to begin, nor for it to be done once it has; own choice. */
  private static final Duration PATIENCE = Duration.ofSeconds(10);

  /** Whoever ends it waits no longer for what it is at (s); own choice. */
  private static final long LAST_PATIENCE = 5;

  private final BlockingQueue<Task> work = new PriorityBlockingQueue<>();
  private final AtomicLong count = new AtomicLong();
  private final Runnable round;
  private final Duration patience;
  private @Nullable Thread thread;
  private volatile @Nullable Runnable last;
  private volatile boolean over;
  private long looked = System.nanoTime();

  /**
   * Prepares it.
   *
   * @param round what is done in between, at least five times a second
   */
  Loop(Runnable round) {
    this(round, PATIENCE);
  }

  /**
   * Prepares it.
   *
   * @param patience how long somebody waits for something to begin
   */
  Loop(Runnable round, Duration patience) {
    this.round = round;
    this.patience = patience;
  }

  /** Something to be done: what is urgent first, everything else as it came. */
  private record Task(boolean urgent, long number, Runnable what) implements Comparable<Task> {
    @Override
    public int compareTo(Task other) {
      return urgent == other.urgent ? Long.compare(number, other.number) : urgent ? -1 : 1;
    }
  }

  private synchronized void begin() {
    if (thread == null && !over) {
      thread = Thread.ofPlatform().daemon().name("live").start(this::run);
    }
  }

  private void run() {
    try {
      while (!over) {
        @Nullable Task next = work.poll(BEAT, TimeUnit.MILLISECONDS);
        boolean now = next == null || next.urgent();
        if (next != null) {
          safely(next.what());
        }
        if (now || work.isEmpty() || isDue()) {
          safely(round);
          looked = System.nanoTime();
        }
      }
      @Nullable Runnable end = last;
      if (end != null) {
        safely(end);
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private boolean isDue() {
    return System.nanoTime() - looked > TimeUnit.MILLISECONDS.toNanos(BEAT);
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
    add(false, task);
  }

  /** Does something before all else that waits, and looks round at once. */
  void first(Runnable task) {
    add(true, task);
  }

  private Task add(boolean urgent, Runnable what) {
    begin();
    Task task = new Task(urgent, count.incrementAndGet(), what);
    work.add(task);
    return task;
  }

  /**
   * Does something and returns what came of it. What nobody waits for any more is not done later;
   * what has begun by then is waited for once more.
   *
   * @throws Refusal when it was refused, or nobody answers
   */
  <T> T ask(Supplier<T> question) {
    if (isInside()) {
      return question.get();
    }
    AtomicBoolean taken = new AtomicBoolean();
    CompletableFuture<T> answer = new CompletableFuture<>();
    Task task =
        add(
            false,
            () -> {
              if (taken.compareAndSet(false, true)) {
                answer.completeAsync(question, Runnable::run);
              }
            });
    try {
      try {
        return answer.get(patience.toMillis(), TimeUnit.MILLISECONDS);
      } catch (TimeoutException e) {
        if (taken.compareAndSet(false, true)) {
          work.remove(task);
          throw new Refusal(Says.NO_ANSWER_IN_TIME.with());
        }
        return answer.get(patience.toMillis(), TimeUnit.MILLISECONDS);
      }
    } catch (ExecutionException e) {
      if (e.getCause() instanceof RuntimeException refused) {
        throw refused;
      }
      throw new IllegalStateException(e.getCause());
    } catch (TimeoutException e) {
      throw new Refusal(Says.BEGUN_AND_NOT_DONE.with());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      Phrase why =
          taken.compareAndSet(false, true) ? Says.NO_ANSWER_IN_TIME : Says.BEGUN_AND_NOT_DONE;
      throw new Refusal(why.with());
    }
  }

  private synchronized boolean isInside() {
    return Thread.currentThread() == thread;
  }

  /** Ends it, with a last thing to do: on its thread, after what it is at. */
  void end(Runnable last) {
    @Nullable Thread running;
    synchronized (this) {
      this.last = last;
      over = true;
      running = thread;
    }
    if (running != null) {
      try {
        running.join(Duration.ofSeconds(LAST_PATIENCE));
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }
  }
}
