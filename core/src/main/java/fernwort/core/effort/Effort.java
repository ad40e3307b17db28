package fernwort.core.effort;

import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Function;
import java.util.function.Supplier;

/** The time that a computation has. */
public final class Effort {

  private static final ScopedValue<Effort> CURRENT = ScopedValue.newInstance();

  private final Optional<Effort> around;
  private final long end;
  private volatile boolean cancelled;

  private Effort(Optional<Effort> around, Duration limit) {
    this.around = around;
    end = System.nanoTime() + limit.toNanos();
  }

  /** Returns an effort that ends after some time, or with the effort around it. */
  public static Effort of(Duration limit) {
    return new Effort(CURRENT.isBound() ? Optional.of(CURRENT.get()) : Optional.empty(), limit);
  }

  /** Returns an effort of its own, whatever is around it, for work that goes on elsewhere. */
  public static Effort alone(Duration limit) {
    return new Effort(Optional.empty(), limit);
  }

  /** Ends it: whatever goes on within it stops at its next look. */
  public void cancel() {
    cancelled = true;
  }

  /** Tells whether it has ended. */
  public boolean isOver() {
    return cancelled || System.nanoTime() - end > 0 || around.filter(Effort::isOver).isPresent();
  }

  /**
   * Computes something within this effort.
   *
   * @throws EffortExceededException when it takes longer, or was cancelled
   */
  public <T> T spend(Callable<T> work) throws Exception {
    return ScopedValue.where(CURRENT, this).call(work::call);
  }

  /** Computes something within this effort that throws nothing checked. */
  public <T> T on(Supplier<T> work) {
    return ScopedValue.where(CURRENT, this).call(work::get);
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
