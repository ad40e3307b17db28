package fernwort.app.store.disk;

import java.nio.file.Path;

/** Addresses of a database in a file. */
final class DatabaseUrl {

  /** The database's own files, under the layer that keeps their order. */
  private static final String FILES = "nio:";

  private static final String NAMES = ";DATABASE_TO_LOWER=TRUE;DB_CLOSE_ON_EXIT=FALSE";

  private DatabaseUrl() {}

  /**
   * Returns the address to write by. Space that was given up may be used again after a second: the
   * order of the writes keeps what the disk still needs.
   */
  static String writing(Path database) {
    return base(database) + ";IFEXISTS=TRUE;RETENTION_TIME=1000";
  }

  /** Returns the address to read by without touching the file. */
  static String reading(Path database) {
    return base(database) + ";IFEXISTS=TRUE;ACCESS_MODE_DATA=r";
  }

  /** Returns the address that makes a new database. */
  static String making(Path database) {
    return base(database);
  }

  private static String base(Path database) {
    OrderedFiles.register();
    String name = database.toString().replaceFirst("\\.mv\\.db$", "");
    return "jdbc:h2:" + OrderedFiles.SCHEME + ":" + FILES + name + NAMES;
  }
}
