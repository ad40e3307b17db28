package fernwort.app.store.disk;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DatabaseMetaData;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A database in the making, in a file under another name, so that one half made is never taken for
 * one. It is deleted unless it becomes a folder's database.
 */
public final class NewDatabase implements AutoCloseable {

  /** What is half made begins so. */
  static final String HALF = "half.";

  /** What the names of indexes that keep rows apart or refer to others begin with. */
  private static final Pattern GENERATED = Pattern.compile("(?i)(constraint|primary_key).*");

  private final Path file;
  private final String url;
  private final Connection connection;

  private NewDatabase(Path file, String url, Connection connection) {
    this.file = file;
    this.url = url;
    this.connection = connection;
  }

  /**
   * Begins one, without a table.
   *
   * @param database the file that it may take the place of; it is made in the same folder
   */
  public static NewDatabase beside(Path database) throws IOException {
    Path file = database.resolveSibling(HALF + database.getFileName());
    Files.deleteIfExists(file);
    String url = DatabaseUrl.making(file);
    try {
      return new NewDatabase(file, url, DriverManager.getConnection(url, "sa", ""));
    } catch (SQLException e) {
      throw new IOException("no new database can be made", e);
    }
  }

  /** Deletes what was left half made in a folder that nobody else uses. */
  static void clear(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      for (Path file : files.filter(f -> f.getFileName().toString().startsWith(HALF)).toList()) {
        Files.deleteIfExists(file);
      }
    }
  }

  public Connection connection() {
    return connection;
  }

  /** Gives it the tables as they were at some step. */
  public void bringTo(int step) {
    Schema.bringTo(url, step);
  }

  /**
   * Something that is made again once a table is full.
   *
   * @param table the table
   * @param statement what makes it
   */
  public record Later(String table, String statement) {}

  /**
   * Takes its indexes away for filling it, but those that something refers to: made at once at the
   * end they take a fraction of the time and of the room.
   *
   * @return what makes them again
   */
  public List<Later> withoutIndexes() throws SQLException {
    Map<String, List<String>> columns = new LinkedHashMap<>();
    Map<String, String> tables = new HashMap<>();
    DatabaseMetaData names = connection.getMetaData();
    for (String table : tables(names)) {
      try (ResultSet found = names.getIndexInfo(null, "public", table, false, false)) {
        while (found.next()) {
          String index = found.getString("INDEX_NAME");
          if (found.getBoolean("NON_UNIQUE") && !GENERATED.matcher(index).matches()) {
            tables.put(index, table);
            columns
                .computeIfAbsent(index, i -> new ArrayList<>())
                .add(
                    "\"%s\"%s"
                        .formatted(
                            found.getString("COLUMN_NAME"),
                            "D".equals(found.getString("ASC_OR_DESC")) ? " desc" : ""));
          }
        }
      }
    }
    List<Later> again = new ArrayList<>();
    try (Statement statement = connection.createStatement()) {
      for (PrimaryKey key : loneKeys()) {
        statement.execute("alter table \"%s\" drop primary key".formatted(key.table()));
        again.add(
            new Later(
                key.table(),
                "alter table \"%s\" add constraint \"%s\" primary key (\"%s\")"
                    .formatted(key.table(), key.name(), key.column())));
      }
      for (Map.Entry<String, List<String>> index : columns.entrySet()) {
        String name = index.getKey();
        statement.execute("drop index \"" + name + '"');
        String table = tables.getOrDefault(name, "");
        again.add(
            new Later(
                table,
                "create index \"%s\" on \"%s\" (%s)"
                    .formatted(name, table, String.join(", ", index.getValue()))));
      }
    }
    return again;
  }

  private record PrimaryKey(String table, String name, String column) {}

  /** The primary keys of one column that no other table refers to. */
  private List<PrimaryKey> loneKeys() throws SQLException {
    List<PrimaryKey> keys = new ArrayList<>();
    DatabaseMetaData names = connection.getMetaData();
    for (String table : tables(names)) {
      try (ResultSet others = names.getExportedKeys(null, "public", table);
          ResultSet key = names.getPrimaryKeys(null, "public", table)) {
        if (!others.next() && key.next()) {
          String column = key.getString("COLUMN_NAME");
          String name = key.getString("PK_NAME");
          if (!key.next()) {
            keys.add(new PrimaryKey(table, name, column));
          }
        }
      }
    }
    return keys;
  }

  private static List<String> tables(DatabaseMetaData names) throws SQLException {
    List<String> tables = new ArrayList<>();
    try (ResultSet all = names.getTables(null, "public", null, new String[] {"BASE TABLE"})) {
      while (all.next()) {
        tables.add(all.getString("TABLE_NAME"));
      }
    }
    return tables;
  }

  /** Brings its tables to the newest step. */
  public void bringUpToDate() {
    Schema.bringUpToDate(url);
  }

  /** Closes it and puts it in the place of a database that nobody has open. */
  void become(Path database) throws IOException {
    DatabaseFile.close(url);
    Soundness.forget(database);
    Files.move(file, database, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    Soundness.begin(database);
  }

  @Override
  public void close() {
    if (!Files.exists(file)) {
      return;
    }
    try (connection;
        Statement statement = connection.createStatement()) {
      statement.execute("SHUTDOWN IMMEDIATELY");
    } catch (SQLException closed) {
      // It says that it is closed, which is what was asked.
    }
    try {
      Files.deleteIfExists(file);
    } catch (IOException left) {
      // The next one begins by deleting it.
    }
  }
}
