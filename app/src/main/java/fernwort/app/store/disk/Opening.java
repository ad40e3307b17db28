package fernwort.app.store.disk;

import fernwort.app.Refusal;
import fernwort.app.store.DataFolder;
import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Clob;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.h2.api.ErrorCode;

/**
 * Makes a data folder ready before anything else looks at it: a new one gets an empty database, an
 * old one is looked through, copied and brought up to date. What cannot be opened is refused as it
 * is, in one sentence with the way back.
 */
public final class Opening {

  /** Copies from before a migration are kept here. */
  public static final String COPIES = "copies";

  /** What went wrong stands here. */
  public static final String LOG = "fernwort.log";

  /** Backups of each day are kept here. */
  public static final String BACKUPS = "backups";

  private static final int KEPT_COPIES = 3;
  private static final long WORTH_COMPACTING = 8L << 20;

  private static final DateTimeFormatter STAMP =
      DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss").withZone(ZoneOffset.UTC);

  private final DataFolder folder;
  private final Clock clock;

  private Opening(DataFolder folder, Clock clock) {
    this.folder = folder;
    this.clock = clock;
  }

  /**
   * Makes a claimed folder ready.
   *
   * @throws Refusal when what it holds is damaged, or from a newer Fernwort
   */
  public static void prepare(DataFolder folder, Clock clock) {
    Opening opening = new Opening(folder, clock);
    try {
      opening.prepare();
    } catch (IOException e) {
      throw new Refusal(
          "The data folder %s cannot be written (%s). Make room there, or choose another with --data DIR."
              .formatted(folder.path(), e.getMessage()));
    }
  }

  private void prepare() throws IOException {
    Path database = folder.database();
    if (!Files.exists(database)) {
      begin();
    } else if (Files.size(database) == 0) {
      throw damaged("is empty (0 bytes), though a database stood there");
    } else {
      int step = lookThrough();
      if (step > Schema.NEWEST) {
        throw new Refusal(
            "The data in %s were written by a newer Fernwort (step %d; this one knows %d). Nothing was touched. Start that newer Fernwort, or choose another folder with --data DIR."
                .formatted(folder.path(), step, Schema.NEWEST));
      }
      bringUpToDate(step);
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
    if (newestBackup().isPresent()) {
      throw damaged("is missing, though the folder was in use");
    }
    make(folder.database(), connection -> {});
  }

  /** Fills a database that is new. */
  public interface Filling {
    void into(Connection connection) throws SQLException;
  }

  /** Makes a database at a path, whole or not at all. */
  private static void make(Path database, Filling content) throws IOException {
    Path half = database.resolveSibling("half." + database.getFileName());
    Files.deleteIfExists(half);
    String url = DatabaseUrl.making(half);
    Schema.bringUpToDate(url);
    try (Connection connection = DriverManager.getConnection(url, "sa", "")) {
      connection.setAutoCommit(false);
      content.into(connection);
      connection.commit();
    } catch (SQLException e) {
      throw new IOException("the new database could not be filled", e);
    }
    close(url);
    Files.move(half, database, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
  }

  /** Opens the database of a claimed folder to read. */
  public static Connection reading(DataFolder folder) throws SQLException {
    return DriverManager.getConnection(DatabaseUrl.reading(folder.database()), "sa", "");
  }

  /**
   * Puts a new database in the place of the one in a folder, which is kept as a copy even if it is
   * damaged. The passphrase stays, if it can be read.
   *
   * @return where the old one is, if there was one
   */
  public static Optional<Path> exchange(DataFolder folder, Clock clock, Filling content)
      throws IOException {
    Optional<String> passphrase = passphrase(folder);
    Optional<Path> old = Optional.empty();
    if (Files.exists(folder.database())) {
      Path copies = Files.createDirectories(folder.path().resolve(COPIES));
      Path copy =
          copies.resolve("before-restore-%s.mv.db".formatted(STAMP.format(clock.instant())));
      old = Optional.of(Files.copy(folder.database(), copy, StandardCopyOption.REPLACE_EXISTING));
      Keeping.newest(copies, "before-restore-.*", KEPT_COPIES);
    }
    make(
        folder.database(),
        connection -> {
          content.into(connection);
          if (passphrase.isPresent()) {
            try (var insert =
                connection.prepareStatement("insert into passphrase (id, hash) values (1, ?)")) {
              insert.setString(1, passphrase.get());
              insert.executeUpdate();
            }
          }
        });
    folder.tighten();
    return old;
  }

  /** Keeps the hash of a passphrase in a folder that is ready. */
  public static void setPassphrase(DataFolder folder, String hash) {
    try (Connection connection =
            DriverManager.getConnection(DatabaseUrl.writing(folder.database()), "sa", "");
        PreparedStatement merge =
            connection.prepareStatement(
                "merge into passphrase (id, hash) key (id) values (1, ?)")) {
      merge.setString(1, hash);
      merge.executeUpdate();
      GroupSync.sync(connection);
    } catch (SQLException e) {
      throw new Refusal("The passphrase could not be kept: the data folder cannot be written.");
    }
  }

  /** Returns the hash of the passphrase of a folder, if it has one that can be read. */
  public static Optional<String> passphrase(DataFolder folder) {
    if (!Files.exists(folder.database())) {
      return Optional.empty();
    }
    try (Connection connection = reading(folder);
        Statement statement = connection.createStatement();
        ResultSet found = statement.executeQuery("select hash from passphrase where id = 1")) {
      return found.next() ? Optional.of(found.getString(1)) : Optional.empty();
    } catch (SQLException e) {
      return Optional.empty();
    }
  }

  private static void close(String url) {
    try (Connection connection = DriverManager.getConnection(url, "sa", "");
        Statement statement = connection.createStatement()) {
      GroupSync.sync(connection);
      statement.execute("SHUTDOWN");
    } catch (SQLException e) {
      throw new IllegalStateException("the database did not close", e);
    }
  }

  /** Reads every value of every table, changing nothing, and returns the newest step it has. */
  private int lookThrough() {
    try (Connection connection =
        DriverManager.getConnection(DatabaseUrl.reading(folder.database()), "sa", "")) {
      List<String> tables = tables(connection);
      if (!tables.contains("flyway_schema_history")) {
        throw damaged("is no database of Fernwort");
      }
      for (String table : tables) {
        readAll(connection, table);
      }
      return step(connection);
    } catch (SQLException e) {
      throw switch (e.getErrorCode()) {
        case ErrorCode.DATABASE_ALREADY_OPEN_1 ->
            new Refusal(
                "The database in %s is open in another program. Close it there, then start again."
                    .formatted(folder.path()));
        case ErrorCode.FILE_VERSION_ERROR_1 -> damaged("has a form that this Fernwort cannot read");
        default -> damaged("is damaged");
      };
    } catch (IOException | RuntimeException e) {
      if (e instanceof Refusal refusal) {
        throw refusal;
      }
      throw damaged("is damaged");
    }
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
    try (Statement statement = connection.createStatement();
        ResultSet rows = statement.executeQuery("select * from \"" + table + "\"")) {
      int columns = rows.getMetaData().getColumnCount();
      while (rows.next()) {
        for (int i = 1; i <= columns; i++) {
          if (rows.getObject(i) instanceof Clob text) {
            try (Reader reader = text.getCharacterStream()) {
              reader.transferTo(java.io.Writer.nullWriter());
            }
          }
        }
      }
    }
  }

  private static int step(Connection connection) throws SQLException {
    try (Statement statement = connection.createStatement();
        ResultSet found =
            statement.executeQuery(
                "select max(cast(\"version\" as int)) from \"flyway_schema_history\" where \"success\"")) {
      found.next();
      return found.getInt(1);
    }
  }

  /** Steps that are missing are taken on the database, of which a copy is made first. */
  private void bringUpToDate(int step) throws IOException {
    if (step == Schema.NEWEST) {
      compactIfLoose();
      return;
    }
    Path copy = copy(step);
    try {
      Schema.bringUpToDate(DatabaseUrl.writing(folder.database()));
      close(DatabaseUrl.writing(folder.database()));
    } catch (RuntimeException e) {
      closeQuietly();
      Files.copy(copy, folder.database(), StandardCopyOption.REPLACE_EXISTING);
      throw new Refusal(
          "The data in %s could not be brought up to date (%s). They are as they were; go on with the Fernwort you had, and report this."
              .formatted(folder.path(), firstLine(e)));
    }
  }

  private static String firstLine(RuntimeException e) {
    return String.valueOf(e.getMessage()).lines().findFirst().orElse("no reason given");
  }

  private void closeQuietly() {
    try {
      close(DatabaseUrl.writing(folder.database()));
    } catch (IllegalStateException closed) {
      // It broke off with the migration.
    }
  }

  private Path copy(int step) throws IOException {
    Path copies = Files.createDirectories(folder.path().resolve(COPIES));
    Path copy =
        copies.resolve(
            "before-step-%02d-%s.mv.db".formatted(step + 1, STAMP.format(clock.instant())));
    Files.copy(folder.database(), copy, StandardCopyOption.REPLACE_EXISTING);
    Keeping.newest(copies, "before-step-.*", KEPT_COPIES);
    return copy;
  }

  /** Gives back room that a process that was killed could not. */
  private void compactIfLoose() throws IOException {
    if (Files.size(folder.database()) < WORTH_COMPACTING) {
      return;
    }
    try (Connection connection =
            DriverManager.getConnection(DatabaseUrl.writing(folder.database()), "sa", "");
        Statement statement = connection.createStatement()) {
      statement.execute("SHUTDOWN COMPACT");
    } catch (SQLException e) {
      throw new IOException("it could not be compacted", e);
    }
  }

  private Refusal damaged(String how) {
    String way =
        newestBackup()
            .map(b -> "bring back the newest backup with ./fernwort restore %s".formatted(b))
            .orElse(
                "bring back a backup of yours with ./fernwort restore FILE, or begin anew in another folder with --data DIR");
    return new Refusal(
        "The database %s %s. Nothing was touched: keep a copy of the folder, then %s."
            .formatted(folder.database(), how, way));
  }

  private Optional<Path> newestBackup() {
    Path backups = folder.path().resolve(BACKUPS);
    if (!Files.isDirectory(backups)) {
      return Optional.empty();
    }
    try (Stream<Path> files = Files.list(backups)) {
      return files
          .filter(f -> f.toString().endsWith(".json.gz"))
          .max(Comparator.comparing(Path::toString));
    } catch (IOException e) {
      return Optional.empty();
    }
  }
}
