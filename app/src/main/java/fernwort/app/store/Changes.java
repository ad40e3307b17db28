package fernwort.app.store;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * How often something of a rig changed since the start: who remembers what was worked out from it
 * remembers this number with it.
 */
final class Changes {

  private final Map<String, Integer> counts = new ConcurrentHashMap<>();

  int of(String rig) {
    return counts.getOrDefault(rig, 0);
  }

  /** It changes; who looked before that was on disk will look again after it. */
  void add(String rig) {
    count(rig);
    if (TransactionSynchronizationManager.isSynchronizationActive()) {
      TransactionSynchronizationManager.registerSynchronization(
          new TransactionSynchronization() {
            @Override
            public void afterCommit() {
              count(rig);
            }
          });
    }
  }

  private void count(String rig) {
    counts.merge(rig, 1, Integer::sum);
  }
}
