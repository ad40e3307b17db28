package fernwort.app.store.disk;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.concurrent.locks.Condition;
import java.util.concurrent.locks.ReentrantLock;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;
import org.h2.mvstore.MVStore;
import org.h2.mvstore.MVStoreException;

/**
 * Makes commits wait until they are on the disk. Those that come while a sync is under way share
 * the next one, so that twenty clients do not wait for twenty syncs.
 *
 * <p>{@code CHECKPOINT SYNC} would do, were it not that the database writes in the background too:
 * what a background thread has taken up and not yet written is then neither in what the checkpoint
 * writes nor in what it syncs. So the store is asked to finish what it has under way first.
 */
final class GroupSync {

  private final ReentrantLock lock = new ReentrantLock();
  private final Condition changed = lock.newCondition();
  private long asked;
  private long done;
  private boolean running;

  /**
   * Returns once everything that was committed before the call is on the disk.
   *
   * @throws SQLException when the disk did not take it
   */
  void await(Connection connection) throws SQLException {
    long ticket = ask();
    while (true) {
      long covers = lead(ticket);
      if (covers < 0) {
        return;
      }
      boolean synced = false;
      try {
        sync(connection);
        synced = true;
      } finally {
        finish(synced ? covers : 0);
      }
    }
  }

  private long ask() {
    lock.lock();
    try {
      return ++asked;
    } finally {
      lock.unlock();
    }
  }

  /** Waits for the lead, and returns which tickets this sync covers; −1 when ours is covered. */
  private long lead(long ticket) {
    lock.lock();
    try {
      while (running && done < ticket) {
        changed.awaitUninterruptibly();
      }
      if (done >= ticket) {
        return -1;
      }
      running = true;
      return asked;
    } finally {
      lock.unlock();
    }
  }

  private void finish(long covers) {
    lock.lock();
    try {
      done = Math.max(done, covers);
      running = false;
      changed.signalAll();
    } finally {
      lock.unlock();
    }
  }

  /** Writes what is committed and syncs the file. */
  static void sync(Connection connection) throws SQLException {
    MVStore store =
        ((SessionLocal) connection.unwrap(JdbcConnection.class).getSession())
            .getDatabase()
            .getStore()
            .getMvStore();
    try {
      store.commit();
      store.executeFilestoreOperation(store::sync);
    } catch (MVStoreException e) {
      throw new SQLException("the disk did not take what was written", e);
    }
  }
}
