package fernwort.app.store.disk;

import fernwort.app.store.DataFolder;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import org.springframework.jdbc.datasource.AbstractDataSource;

/**
 * Opens the database of a data folder: to write, and, where that fails because its folder cannot be
 * written, to read. A database that broke off while writing is opened anew by the next connection.
 */
final class HouseDatabase extends AbstractDataSource {

  private final DataFolder folder;
  private final FolderWatch watch;
  private volatile boolean readingOnly;

  HouseDatabase(DataFolder folder, FolderWatch watch) {
    this.folder = folder;
    this.watch = watch;
  }

  @Override
  public Connection getConnection() throws SQLException {
    if (!readingOnly) {
      try {
        return DriverManager.getConnection(DatabaseUrl.writing(folder.database()), "sa", "");
      } catch (SQLException e) {
        if (watch.trouble().isEmpty()) {
          throw e;
        }
        readingOnly = true;
      }
    }
    return DriverManager.getConnection(DatabaseUrl.reading(folder.database()), "sa", "");
  }

  @Override
  public Connection getConnection(String user, String password) throws SQLException {
    return getConnection();
  }

  /** Tells whether the database was opened to read only. */
  boolean isReadingOnly() {
    return readingOnly;
  }

  /** Closes the database at once; the next connection opens it to write. */
  synchronized void reopen() {
    try (Connection connection = getConnection();
        Statement statement = connection.createStatement()) {
      statement.execute("SHUTDOWN IMMEDIATELY");
    } catch (SQLException closed) {
      // It says that it is closed, which is what was asked.
    }
    readingOnly = false;
  }
}
