package fernwort.app.store.disk;

import fernwort.app.store.StoreTrouble;
import java.sql.Connection;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.DefaultTransactionStatus;

/**
 * Transactions that are on the disk when they return. One begins only while the folder can be
 * written; one that the disk did not take is told so, and the database is opened anew, for what it
 * then holds in memory is not what the disk has.
 */
final class DurableTransactions extends JdbcTransactionManager {

  private static final long serialVersionUID = 1;

  private final transient FolderWatch watch;
  private final transient Runnable reopen;
  private final transient GroupSync sync = new GroupSync();

  DurableTransactions(DataSource source, FolderWatch watch, Runnable reopen) {
    super(source);
    this.watch = watch;
    this.reopen = reopen;
  }

  @Override
  protected void doBegin(Object transaction, TransactionDefinition definition) {
    if (!definition.isReadOnly()) {
      watch.requireWritable();
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
      reopen.run();
      throw new StoreTrouble(
          watch
              .trouble()
              .orElse("The disk did not take this change; nothing was changed. Try it again."),
          e);
    }
  }

  private Connection connection() {
    DataSource source = obtainDataSource();
    return DataSourceUtils.getConnection(source);
  }
}
