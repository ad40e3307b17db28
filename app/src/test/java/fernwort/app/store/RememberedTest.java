package fernwort.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

class RememberedTest {

  private static final String TERN = "tern";

  private final Changes changes = new Changes();
  private final Remembered<Integer> remembered = new Remembered<>(changes);

  /** What stands in the database. */
  private final AtomicInteger row = new AtomicInteger(1);

  private final AtomicInteger reads = new AtomicInteger();

  private int read() {
    return remembered.of(
        TERN,
        () -> {
          reads.incrementAndGet();
          return row.get();
        });
  }

  private static void begin() {
    TransactionSynchronizationManager.initSynchronization();
    TransactionSynchronizationManager.setActualTransactionActive(true);
  }

  private static void end(boolean taken) {
    var waiting = TransactionSynchronizationManager.getSynchronizations();
    TransactionSynchronizationManager.clear();
    if (taken) {
      waiting.forEach(TransactionSynchronization::afterCommit);
    }
    waiting.forEach(w -> w.afterCompletion(TransactionSynchronization.STATUS_UNKNOWN));
  }

  @AfterEach
  void leave() {
    TransactionSynchronizationManager.clear();
  }

  @Test
  void isReadOnceUntilTheRigChanges() {
    assertThat(read()).isEqualTo(1);
    assertThat(read()).isEqualTo(1);
    assertThat(reads).hasValue(1);
    row.set(2);
    changes.add(TERN);
    assertThat(read()).isEqualTo(2);
    row.set(3);
    changes.add("heron");
    assertThat(read()).as("another rig changed").isEqualTo(2);
    changes.addToAll();
    assertThat(read()).isEqualTo(3);
  }

  @Test
  void whatAChangeReadsIsNotKeptAndOthersReadAgainWhenItIsOver() {
    begin();
    row.set(2);
    changes.add(TERN);
    assertThat(read()).isEqualTo(2);
    row.set(1);
    end(false);
    assertThat(read()).as("it was taken back").isEqualTo(1);
  }

  @Test
  void whatWasReadWhileTheDiskRefusedAChangeIsReadAgain() {
    begin();
    changes.add(TERN);
    TransactionSynchronizationManager.setActualTransactionActive(false);
    row.set(2);
    assertThat(read()).as("by another, before the disk refused").isEqualTo(2);
    row.set(1);
    end(false);
    assertThat(read()).isEqualTo(1);
  }

  @Test
  void isReadAgainWhereWhatIsKnownDoesNotServe() {
    assertThat(remembered.of(TERN, known -> known > 1, () -> 1)).isEqualTo(1);
    assertThat(remembered.of(TERN, known -> known > 1, () -> 2)).isEqualTo(2);
    assertThat(remembered.of(TERN, known -> known > 1, () -> 3)).isEqualTo(2);
  }
}
