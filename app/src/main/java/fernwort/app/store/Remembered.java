package fernwort.app.store;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.function.Predicate;
import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * What was read or worked out of each rig, anew only when the rig has changed. Within a change
 * everything is read, and nothing of it is kept: it may be taken back.
 */
public final class Remembered<T> {

  private static final int MOST_RIGS = 20;

  private final Changes changes;
  private final Cache<String, Read<T>> kept = Caffeine.newBuilder().maximumSize(MOST_RIGS).build();

  /** Remembers as long as these stay as they are. */
  Remembered(Changes changes) {
    this.changes = changes;
  }

  /** What was read when there had been so many changes. */
  private record Read<T>(int changes, T what) {}

  /** Returns what was read of a rig, or reads it. */
  public T of(String rig, Supplier<T> read) {
    return of(rig, what -> true, read);
  }

  /** Returns what was read of a rig where it serves, or reads it. */
  public T of(String rig, Predicate<T> serves, Supplier<T> read) {
    if (TransactionSynchronizationManager.isActualTransactionActive()) {
      return read.get();
    }
    // Counted before it is read: what changes meanwhile is read again.
    int now = changes.of(rig);
    Read<T> known = kept.getIfPresent(rig);
    if (known == null || known.changes() != now || !serves.test(known.what())) {
      known = new Read<>(now, read.get());
      kept.put(rig, known);
    }
    return known.what();
  }
}
