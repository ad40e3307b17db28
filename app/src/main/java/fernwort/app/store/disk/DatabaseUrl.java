package fernwort.app.store.disk;

import java.nio.file.Path;

/** Addresses of a database in a file. */
final class DatabaseUrl {

  /** The database's own files, under the layer that keeps their order. */
  static final String FILES = "nio:";

  private static final String NAMES = ";DATABASE_TO_LOWER=TRUE;DB_CLOSE_ON_EXIT=FALSE";

  /** The database writes no trace of its own: it would quote what people typed. */
  private static final String QUIET = ";TRACE_LEVEL_FILE=0;TRACE_LEVEL_SYSTEM_OUT=0";

  /**
   * Texts stand in their rows. A long one that stands beside them is taken away as soon as a change
   * replaces it, and whoever reads the row as it was finds nothing: an error of the database, met
   * on a slow machine where somebody types on while an answer is on its way.
   */
  private static final String TEXTS = ";MAX_LENGTH_INPLACE_LOB=1000000";

  private DatabaseUrl() {}

  /**
   * Returns the address to write by. Space that was given up may be used again after a second: the
   * order of the writes keeps what the disk still needs.
   */
  static String writing(Path database) {
    return base(database) + ";IFEXISTS=TRUE;RETENTION_TIME=1000" + TEXTS;
  }

  /** Returns the address to read by without touching the file. */
  static String reading(Path database) {
    return base(database) + ";IFEXISTS=TRUE;ACCESS_MODE_DATA=r";
  }

  /**
   * Returns the address that makes a new database. Space is used again at once: nobody else reads
   * it, and one half made is thrown away.
   */
  static String making(Path database) {
    return base(database) + ";RETENTION_TIME=0" + TEXTS;
  }

  private static String base(Path database) {
    OrderedFiles.register();
    String name = database.toString().replaceFirst("\\.mv\\.db$", "");
    return "jdbc:h2:" + OrderedFiles.SCHEME + ":" + FILES + name + NAMES + QUIET;
  }
}
