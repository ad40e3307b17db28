package fernwort.app.store.disk;

import fernwort.app.store.StoreTrouble;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Objects;
import javax.sql.DataSource;
import org.springframework.jdbc.datasource.ConnectionHolder;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.DefaultTransactionStatus;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Transactions that are on the disk when they return. One begins only while the folder can be
 * written; one that the disk did not take is told so, and the database is opened anew, for what it
 * then holds in memory is not what the disk has.
 */
final class DurableTransactions extends JdbcTransactionManager {

  private static final long serialVersionUID = 1;

  private final transient FolderWatch watch;
  private final transient HouseDatabase house;
  private final transient Runnable letConnectionsGo;
  private final transient GroupSync sync = new GroupSync();

  /**
   * Makes them.
   *
   * @param source connections, from a pool
   * @param house the database behind the pool
   * @param letConnectionsGo makes the pool open its connections anew
   */
  DurableTransactions(
      DataSource source, FolderWatch watch, HouseDatabase house, Runnable letConnectionsGo) {
    super(source);
    this.watch = watch;
    this.house = house;
    this.letConnectionsGo = letConnectionsGo;
  }

  @Override
  protected void doBegin(Object transaction, TransactionDefinition definition) {
    if (!definition.isReadOnly()) {
      watch.requireWritable();
      if (house.isReadingOnly()) {
        reopen();
      }
    }
    super.doBegin(transaction, definition);
  }

  @Override
  protected void doCommit(DefaultTransactionStatus status) {
    try {
      super.doCommit(status);
      if (!status.isReadOnly()) {
        sync.await(connection());
      }
    } catch (SQLException | RuntimeException e) {
      reopen();
      throw new StoreTrouble(watch.trouble().orElse(Says.THE_DISK_DID_NOT_CONFIRM.text()), e);
    }
  }

  private void reopen() {
    house.reopen();
    letConnectionsGo.run();
  }

  /** The connection of the transaction that is under way. */
  private Connection connection() {
    return Objects.requireNonNull(
            (ConnectionHolder) TransactionSynchronizationManager.getResource(obtainDataSource()))
        .getConnection();
  }
}
