package fernwort.app.store.disk;

import org.jooq.ExecuteContext;
import org.jooq.ExecuteListener;
import org.jooq.ExecuteType;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Lets no change past the transactions, which alone see to it that it reaches the disk. */
final class OnlyInTransactions implements ExecuteListener {

  private static final long serialVersionUID = 1;

  @Override
  public void executeStart(ExecuteContext context) {
    if (context.type() == ExecuteType.WRITE
        && !TransactionSynchronizationManager.isActualTransactionActive()) {
      throw new IllegalStateException("a change outside a transaction: " + context.sql());
    }
  }
}
