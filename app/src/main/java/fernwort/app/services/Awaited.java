package fernwort.app.services;

import fernwort.core.effort.Effort;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;

/** Something that is computed while somebody looks how far it is, and ended when nobody does. */
public final class Awaited<T> implements Runnable {

  private final Effort effort;
  private final Duration lookedAway;
  private final Callable<T> work;
  private final CompletableFuture<T> result = new CompletableFuture<>();
  private volatile long looked = System.nanoTime();

  /**
   * Makes it ready to run.
   *
   * @param longest how long it may take
   * @param lookedAway how long somebody may look away before it ends
   */
  Awaited(Duration longest, Duration lookedAway, Callable<T> work) {
    this.lookedAway = lookedAway;
    effort = Effort.alone(longest);
    this.work = work;
  }

  @Override
  public void run() {
    try {
      result.complete(
          effort.spend(() -> {
            Effort.look();
            return work.call();
          }));
    } catch (Exception e) {
      result.completeExceptionally(e);
    }
  }

  /** Ends it once nobody has looked for a while, also where it still waits for its turn. */
  void endWhenNobodyLooks() {
    Thread.ofVirtual()
        .name("who waits for slips")
        .start(() -> {
          while (!result.isDone()) {
            try {
              result.get(100, TimeUnit.MILLISECONDS);
            } catch (TimeoutException e) {
              if (System.nanoTime() - looked > lookedAway.toNanos()) {
                effort.cancel();
                return;
              }
            } catch (InterruptedException | ExecutionException e) {
              return;
            }
          }
        });
  }

  /** Somebody looks how far it is. */
  public void look() {
    looked = System.nanoTime();
  }

  /** Ends it: nobody needs it any more. */
  void end() {
    effort.cancel();
  }

  /** Tells whether it came to nothing: it was ended, or went wrong. */
  public boolean isEnded() {
    // In this order: what is done meanwhile is seen by the second look.
    return effort.isOver() && !result.isDone() || result.isCompletedExceptionally();
  }

  /**
   * Returns what came of it, if it does within some time.
   *
   * @throws fernwort.core.effort.EffortExceededException when it was ended
   */
  public Optional<T> within(Duration patience) {
    look();
    try {
      return Optional.of(result.get(patience.toMillis(), TimeUnit.MILLISECONDS));
    } catch (TimeoutException e) {
      return Optional.empty();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Optional.empty();
    } catch (ExecutionException e) {
      if (e.getCause() instanceof RuntimeException cause) {
        throw cause;
      }
      throw new IllegalStateException(e.getCause());
    }
  }
}
