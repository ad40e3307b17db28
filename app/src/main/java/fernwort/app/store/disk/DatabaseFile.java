package fernwort.app.store.disk;

import fernwort.app.store.DataFolder;
import fernwort.core.say.Refusal;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Optional;

/** The file of a database on which no application runs: made, read, copied and exchanged. */
public final class DatabaseFile {

  /** Copies of databases are kept here. */
  static final String COPIES = "copies";

  private static final int KEPT_COPIES = 3;

  private static final DateTimeFormatter STAMP =
      DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss").withZone(ZoneOffset.UTC);

  private DatabaseFile() {}

  /** Makes an empty database at a path, whole or not at all. */
  static void make(Path database) throws IOException {
    try (NewDatabase made = NewDatabase.beside(database)) {
      made.bringUpToDate();
      made.become(database);
    }
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
  public static Optional<Path> exchange(DataFolder folder, Clock clock, NewDatabase ready)
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
    if (passphrase.isPresent()) {
      keep(passphrase.get(), ready);
    }
    ready.become(folder.database());
    folder.tighten();
    return old;
  }

  private static void keep(String passphrase, NewDatabase database) throws IOException {
    try (PreparedStatement insert =
        database.connection().prepareStatement("insert into passphrase (id, hash) values (1, ?)")) {
      insert.setString(1, passphrase);
      insert.executeUpdate();
    } catch (SQLException e) {
      throw new IOException("the passphrase could not be kept", e);
    }
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
      throw new Refusal(Says.THE_PASSPHRASE_COULD.with());
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

  static void close(String url) {
    try (Connection connection = DriverManager.getConnection(url, "sa", "");
        Statement statement = connection.createStatement()) {
      GroupSync.sync(connection);
      statement.execute("SHUTDOWN");
    } catch (SQLException e) {
      throw new IllegalStateException("the database did not close", e);
    }
  }

  /** Copies the database of a folder, and keeps the newest three of that sort. */
  static Path copy(DataFolder folder, String sort, Clock clock) throws IOException {
    Path copies = Files.createDirectories(folder.path().resolve(COPIES));
    Path copy = copies.resolve(sort + STAMP.format(clock.instant()) + ".mv.db");
    Files.copy(folder.database(), copy, StandardCopyOption.REPLACE_EXISTING);
    Keeping.newest(copies, sort.replaceAll("[0-9]+", "[0-9]+") + ".*", KEPT_COPIES);
    return copy;
  }
}
