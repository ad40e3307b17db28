package fernwort.app.store;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * How often something of a rig changed since the start: who remembers what was worked out from it
 * remembers this number with it.
 */
final class Changes {

  private final Map<String, Integer> counts = new ConcurrentHashMap<>();
  private final AtomicInteger everything = new AtomicInteger();

  int of(String rig) {
    return everything.get() + counts.getOrDefault(rig, 0);
  }

  /** Every rig changes, as when a backup came in. */
  void addToAll() {
    everything.incrementAndGet();
  }

  /**
   * It changes; who looked before that was on disk will look again after it, and so will who looked
   * while the disk was about to refuse it.
   */
  void add(String rig) {
    count(rig);
    if (TransactionSynchronizationManager.isSynchronizationActive()) {
      TransactionSynchronizationManager.registerSynchronization(
          new TransactionSynchronization() {
            @Override
            public void afterCommit() {
              count(rig);
            }

            @Override
            public void afterCompletion(int status) {
              count(rig);
            }
          });
    }
  }

  private void count(String rig) {
    counts.merge(rig, 1, Integer::sum);
  }
}
