package fernwort.core.effort;

import java.time.Duration;
import java.util.concurrent.Callable;
import java.util.function.Function;

/** The time that a computation has. */
public final class Effort {

  private static final ScopedValue<Effort> CURRENT = ScopedValue.newInstance();

  private final long end;
  private volatile boolean cancelled;

  private Effort(Duration limit) {
    end = System.nanoTime() + limit.toNanos();
  }

  /** Returns an effort that ends after some time. */
  public static Effort of(Duration limit) {
    return new Effort(limit);
  }

  /** Ends it: whatever goes on within it stops at its next look. */
  public void cancel() {
    cancelled = true;
  }

  /** Tells whether it has ended. */
  public boolean isOver() {
    return cancelled || System.nanoTime() - end > 0;
  }

  /**
   * Computes something within this effort.
   *
   * @throws EffortExceededException when it takes longer, or was cancelled
   */
  public <T> T spend(Callable<T> work) throws Exception {
    return ScopedValue.where(CURRENT, this).call(work::call);
  }

  /** Returns a function that carries the effort of this thread to others that it is applied in. */
  public static <A, B> Function<A, B> carried(Function<A, B> work) {
    if (!CURRENT.isBound()) {
      return work;
    }
    Effort here = CURRENT.get();
    return a -> ScopedValue.where(CURRENT, here).call(() -> work.apply(a));
  }

  /**
   * Is called where a computation goes round.
   *
   * @throws EffortExceededException when the effort around it is over
   */
  public static void look() {
    if (CURRENT.isBound() && CURRENT.get().isOver()) {
      throw new EffortExceededException();
    }
  }
}
