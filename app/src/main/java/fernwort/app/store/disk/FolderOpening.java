package fernwort.app.store.disk;

import fernwort.app.store.DataFolder;
import fernwort.core.say.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.Reader;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Types;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import org.h2.api.ErrorCode;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;

/**
 * Makes a data folder ready before anything else looks at it: a new one gets an empty database, an
 * old one is looked through, copied and brought up to date. What cannot be opened is refused as it
 * is, in one sentence with the way back.
 */
public final class FolderOpening {

  /** What went wrong stands here. */
  public static final String LOG = "fernwort.log";

  /** Backups of each day are kept here. */
  public static final String BACKUPS = "backups";

  /** Asks a database for the newest step it has. */
  static final String STEP =
      "select max(cast(\"version\" as int)) from \"flyway_schema_history\" where \"success\"";

  private final DataFolder folder;
  private final Clock clock;

  private FolderOpening(DataFolder folder, Clock clock) {
    this.folder = folder;
    this.clock = clock;
  }

  /**
   * Makes a claimed folder ready.
   *
   * @throws Refusal when what it holds is damaged, or from a newer Fernwort
   */
  public static void prepare(DataFolder folder, Clock clock) {
    FolderOpening opening = new FolderOpening(folder, clock);
    try {
      opening.prepare();
    } catch (IOException e) {
      throw new Refusal(
          Says.THE_DATA_FOLDER_CANNOT.with(folder.path(), String.valueOf(e.getMessage())));
    }
  }

  private void prepare() throws IOException {
    NewDatabase.clear(folder.path());
    Path database = folder.database();
    if (!Files.exists(database)) {
      begin();
    } else if (Files.size(database) == 0) {
      throw damaged(Says.IS_EMPTY_0_BYTES_THOUGH.text());
    } else {
      int step = open();
      if (step > Schema.NEWEST) {
        throw new Refusal(Says.THE_DATA_IN_WERE_WRITTEN.filled(folder.path(), step, Schema.NEWEST));
      }
      lookThrough();
      if (step < Schema.NEWEST) {
        bringUpToDate(step);
      }
    }
    Reserve.in(folder.path()).make();
    Path log = folder.path().resolve(LOG);
    if (!Files.exists(log)) {
      Files.createFile(log);
    }
    folder.tighten();
  }

  /** A new database is made under another name, so that one half made is never taken for one. */
  private void begin() throws IOException {
    if (Soundness.isKnown(folder.database()) || hasAny(BACKUPS) || hasAny(DatabaseFile.COPIES)) {
      throw damaged(Says.IS_MISSING_THOUGH_THE_FOLDER_WAS.text());
    }
    DatabaseFile.make(folder.database());
  }

  private boolean hasAny(String place) throws IOException {
    Path kept = folder.path().resolve(place);
    if (!Files.isDirectory(kept)) {
      return false;
    }
    try (Stream<Path> files = Files.list(kept)) {
      return files
          .map(f -> f.getFileName().toString())
          .anyMatch(f -> f.endsWith(".json.gz") || f.endsWith(".mv.db"));
    }
  }

  /** Opens what is there, changing nothing, and returns the newest step it has. */
  private int open() throws IOException {
    try (Connection connection = DatabaseFile.reading(folder)) {
      if (!tables(connection).contains("flyway_schema_history")) {
        throw damaged(Says.IS_NOT_A_DATABASE_OF_FERNWORT.text());
      }
      return step(connection);
    } catch (SQLException | RuntimeException e) {
      throw unreadable(e);
    }
  }

  private Refusal unreadable(Exception e) {
    return switch (e) {
      case Refusal refusal -> refusal;
      case SQLException sql when sql.getErrorCode() == ErrorCode.DATABASE_ALREADY_OPEN_1 ->
          new Refusal(Says.THE_DATABASE_IN_IS_OPEN.with(folder.path()));
      case SQLException sql when sql.getErrorCode() == ErrorCode.FILE_VERSION_ERROR_1 ->
          damaged(Says.HAS_A_FORM_THAT_THIS_FERNWORT.text());
      default -> damaged(Says.IS_DAMAGED.text());
    };
  }

  /**
   * Sees to it that the file is as it was written. What nobody can vouch for, since it is from
   * before or a power cut took the sums, is read in full: every value of every table.
   */
  private void lookThrough() throws IOException {
    Soundness found = Soundness.of(folder.database());
    if (found.damage().isPresent()) {
      throw damaged(found.damage().get());
    }
    if (!found.complete()) {
      try (Connection connection = DatabaseFile.reading(folder)) {
        for (String table : tables(connection)) {
          readAll(connection, table);
        }
      } catch (SQLException | IOException | RuntimeException e) {
        throw unreadable(e);
      }
    }
    found.vouch(folder.database());
  }

  private static List<String> tables(Connection connection) throws SQLException {
    List<String> tables = new ArrayList<>();
    try (ResultSet found =
        connection.getMetaData().getTables(null, "public", null, new String[] {"BASE TABLE"})) {
      while (found.next()) {
        tables.add(found.getString("TABLE_NAME"));
      }
    }
    return tables;
  }

  private static void readAll(Connection connection, String table)
      throws SQLException, IOException {
    // Row by row: else the database first lays all of a long log into a file of its own.
    ((SessionLocal) connection.unwrap(JdbcConnection.class).getSession())
        .setLazyQueryExecution(true);
    try (Statement statement = connection.createStatement();
        ResultSet rows = statement.executeQuery("select * from \"" + table + "\"")) {
      readAll(rows);
    }
  }

  /** To go to a row reads all its values but the long ones, which lie elsewhere. */
  private static void readAll(ResultSet rows) throws SQLException, IOException {
    List<Integer> texts = columns(rows.getMetaData(), Types.CLOB);
    List<Integer> others = columns(rows.getMetaData(), Types.BLOB);
    while (rows.next()) {
      for (int column : texts) {
        try (Reader text = rows.getCharacterStream(column)) {
          if (text != null) {
            text.transferTo(Writer.nullWriter());
          }
        }
      }
      for (int column : others) {
        try (InputStream bytes = rows.getBinaryStream(column)) {
          if (bytes != null) {
            bytes.transferTo(OutputStream.nullOutputStream());
          }
        }
      }
    }
  }

  private static List<Integer> columns(ResultSetMetaData names, int type) throws SQLException {
    List<Integer> found = new ArrayList<>();
    for (int column = 1; column <= names.getColumnCount(); column++) {
      if (names.getColumnType(column) == type) {
        found.add(column);
      }
    }
    return found;
  }

  private static int step(Connection connection) throws SQLException {
    try (Statement statement = connection.createStatement();
        ResultSet found = statement.executeQuery(STEP)) {
      found.next();
      return found.getInt(1);
    }
  }

  /** Steps that are missing are taken on the database, of which a copy is made first. */
  private void bringUpToDate(int step) throws IOException {
    Path copy =
        DatabaseFile.copy(folder, String.format(Locale.ROOT, "before-step-%02d-", step + 1), clock);
    try {
      Schema.bringUpToDate(DatabaseUrl.writing(folder.database()));
      DatabaseFile.close(DatabaseUrl.writing(folder.database()));
    } catch (RuntimeException e) {
      closeQuietly();
      Soundness.forget(folder.database());
      Files.copy(copy, folder.database(), StandardCopyOption.REPLACE_EXISTING);
      throw new Refusal(Says.THE_DATA_IN_COULD_NOT_BE_BROUGHT.with(folder.path(), firstLine(e)));
    }
  }

  private static String firstLine(RuntimeException e) {
    return String.valueOf(e.getMessage()).lines().findFirst().orElse(Says.NO_REASON_GIVEN.text());
  }

  private void closeQuietly() {
    try {
      DatabaseFile.close(DatabaseUrl.writing(folder.database()));
    } catch (IllegalStateException closed) {
      // It broke off with the migration.
    }
  }

  private Refusal damaged(String how) {
    String way =
        newestSound(folder)
            .map(b -> Says.BRING_BACK_THE_NEWEST_BACKUP.filled(b))
            .orElse(Says.BRING_BACK_A_BACKUP_OF_YOURS.text());
    return new Refusal(Says.THE_DATABASE_NOTHING_WAS_TOUCHED.with(folder.database(), how, way));
  }

  /** Returns the newest backup in a folder that can be read to its end. */
  static Optional<Path> newestSound(DataFolder folder) {
    Path backups = folder.path().resolve(BACKUPS);
    if (!Files.isDirectory(backups)) {
      return Optional.empty();
    }
    try (Stream<Path> files = Files.list(backups)) {
      return files
          .filter(f -> f.toString().endsWith(".json.gz"))
          .filter(f -> !f.getFileName().toString().startsWith(NewDatabase.HALF))
          .sorted(Comparator.comparing(Path::toString).reversed())
          .filter(FolderOpening::isWhole)
          .findFirst();
    } catch (IOException e) {
      return Optional.empty();
    }
  }

  /** A packed file ends with what it sums up to. */
  private static boolean isWhole(Path backup) {
    try (InputStream in = new GZIPInputStream(Files.newInputStream(backup))) {
      in.transferTo(OutputStream.nullOutputStream());
      return true;
    } catch (IOException e) {
      return false;
    }
  }
}
