package fernwort.app.store.backup;

import fernwort.app.store.disk.Schema;
import fernwort.core.say.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.DateTimeException;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;

/**
 * A backup read into a database of its own, in memory, where it is checked before it replaces
 * anything. A backup of an older Fernwort is taken in at its step and brought up to date there.
 */
final class Staging implements AutoCloseable {

  private static final String NO_BACKUP = Says.THIS_IS_NOT_A_BACKUP_OF_FERNWORT.text();

  private final String url;
  private final Connection connection;

  private Staging(String url, Connection connection) {
    this.url = url;
    this.connection = connection;
  }

  /**
   * Reads a backup and checks it.
   *
   * @param look looks at each rig and throws when it cannot be read
   * @throws Refusal when it is no whole and sound backup, naming what is wrong
   */
  static Staging read(InputStream file, Look look) {
    String url = "jdbc:h2:mem:" + java.util.UUID.randomUUID() + ";DATABASE_TO_LOWER=TRUE";
    try {
      Staging staging = new Staging(url, DriverManager.getConnection(url, "sa", ""));
      try {
        staging.fill(file);
        staging.check(look);
        return staging;
      } catch (RuntimeException | SQLException | IOException e) {
        staging.close();
        throw e;
      }
    } catch (JacksonException e) {
      throw new Refusal(
          NO_BACKUP.formatted(
              Says.NOT_WHOLE_OR_NOT_JSON_AT_LINE.filled(Math.max(1, e.getLocation().getLineNr()))));
    } catch (SQLException e) {
      throw new Refusal(NO_BACKUP.formatted(String.valueOf(e.getMessage()).split("[;\n]")[0]));
    } catch (IOException e) {
      throw new Refusal(NO_BACKUP.formatted(Says.THE_FILE_CANNOT_BE_READ.text()));
    }
  }

  private void fill(InputStream file) throws SQLException, IOException {
    try (JsonParser json = BackupFile.JSON.createParser(BackupFile.unpacked(file))) {
      expect(json.nextToken() == JsonToken.START_OBJECT, Says.IT_IS_NOT_A_JSON_OBJECT.text());
      int step = 0;
      boolean known = false;
      boolean filled = false;
      while (json.nextToken() == JsonToken.PROPERTY_NAME) {
        String name = json.currentName();
        json.nextToken();
        switch (name) {
          case "format" -> {
            expect(BackupFile.FORMAT.equals(json.getString()), Says.ITS_FORMAT_IS_ANOTHER.text());
            known = true;
          }
          case "step" -> step = step(json);
          case "tables" -> {
            expect(known && step > 0, Says.FORMAT_AND_STEP_DO_NOT_COME.text());
            Schema.bringTo(url, step);
            tables(json);
            filled = true;
          }
          default -> json.skipChildren();
        }
      }
      expect(filled && json.currentToken() == JsonToken.END_OBJECT, Says.IT_ENDS_TOO_EARLY.text());
      expect(json.nextToken() == null, Says.SOMETHING_FOLLOWS_ITS_END.text());
    }
    Schema.bringUpToDate(url);
  }

  private static int step(JsonParser json) {
    expect(json.currentToken() == JsonToken.VALUE_NUMBER_INT, Says.ITS_STEP_IS_NOT_A_NUMBER.text());
    int step = json.getIntValue();
    if (step > Schema.NEWEST) {
      throw new Refusal(Says.THIS_BACKUP_IS_FROM_A_NEWER.filled(step, Schema.NEWEST));
    }
    return step;
  }

  private void tables(JsonParser json) throws SQLException {
    expect(json.currentToken() == JsonToken.START_OBJECT, Says.ITS_TABLES_ARE_MISSING.text());
    Map<String, List<Map<String, @Nullable Object>>> waiting = new TreeMap<>();
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String table = json.currentName();
      expect(Tables.ALL.contains(table), Says.IT_HAS_A_TABLE.filled(clip(table)));
      expect(json.nextToken() == JsonToken.START_ARRAY, Says.TABLE_IS_NOT_A_LIST.filled(table));
      List<Map<String, @Nullable Object>> rows = new ArrayList<>();
      while (json.nextToken() == JsonToken.START_OBJECT) {
        rows.add(row(json, table));
      }
      expect(
          json.currentToken() == JsonToken.END_ARRAY,
          Says.TABLE_IS_NOT_A_LIST_OF_ROWS.filled(table));
      waiting.put(table, rows);
    }
    for (String table : Tables.ALL) {
      List<Map<String, @Nullable Object>> rows = waiting.getOrDefault(table, List.of());
      for (int i = 0; i < rows.size(); i++) {
        insert(table, i, rows.get(i));
      }
    }
  }

  private static Map<String, @Nullable Object> row(JsonParser json, String table) {
    Map<String, @Nullable Object> row = new TreeMap<>();
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String column = json.currentName();
      expect(column.matches("[a-z_]{1,40}"), Says.TABLE_HAS_AN_ODD_COLUMN.filled(table));
      row.put(
          column,
          switch (json.nextToken()) {
            case VALUE_NULL -> null;
            case VALUE_STRING -> json.getString();
            case VALUE_NUMBER_INT -> json.getLongValue();
            case VALUE_NUMBER_FLOAT -> json.getDoubleValue();
            case VALUE_TRUE -> Boolean.TRUE;
            case VALUE_FALSE -> Boolean.FALSE;
            default ->
                throw new Refusal(NO_BACKUP.formatted(Says.A_VALUE_IN_IS_A_LIST.filled(table)));
          });
    }
    return row;
  }

  private void insert(String table, int number, Map<String, @Nullable Object> row)
      throws SQLException {
    expect(!row.isEmpty(), Says.ROW_OF_IS_EMPTY.filled(number + 1, table));
    String columns =
        row.keySet().stream().map(c -> '"' + c + '"').collect(Collectors.joining(", "));
    String marks = String.join(", ", java.util.Collections.nCopies(row.size(), "?"));
    try (PreparedStatement insert =
        connection.prepareStatement(
            "insert into \"%s\" (%s) values (%s)".formatted(table, columns, marks))) {
      int i = 1;
      for (Map.Entry<String, @Nullable Object> value : row.entrySet()) {
        insert.setObject(i++, typed(value.getKey(), value.getValue()));
      }
      insert.executeUpdate();
    } catch (SQLException | DateTimeException e) {
      String said = String.valueOf(e.getMessage()).split("[;\n]")[0];
      throw new Refusal(NO_BACKUP.formatted(Says.ROW_OF.filled(number + 1, table, clip(said))));
    }
  }

  private static @Nullable Object typed(String column, @Nullable Object value) {
    return column.endsWith("_at") && value instanceof String text
        ? OffsetDateTime.parse(text)
        : value;
  }

  private void check(Look look) throws SQLException {
    long rigs = each("select id, description from rig", look::rig);
    expect(rigs > 0, Says.THERE_IS_NO_RIG_IN_IT.text());
    each("select id, habits from rig", look::habits);
    each("select rig, description from rig_version", look::rig);
  }

  private long each(String query, Consumer<String> look) throws SQLException {
    try (Statement statement = connection.createStatement();
        ResultSet rows = statement.executeQuery(query)) {
      long count = 0;
      while (rows.next()) {
        count++;
        try {
          look.accept(rows.getString(2));
        } catch (Refusal e) {
          throw new Refusal(
              NO_BACKUP.formatted(Says.RIG.filled(clip(rows.getString(1)), clip(e.getMessage()))));
        }
      }
      return count;
    }
  }

  /** Puts everything in the place of what another database holds, within its transaction. */
  void replace(Connection target) throws SQLException {
    try (Statement statement = target.createStatement()) {
      for (String table : Tables.ALL.reversed()) {
        statement.executeUpdate("delete from \"" + table + "\"");
      }
    }
    for (String table : Tables.ALL) {
      copy(table, target);
    }
  }

  private void copy(String table, Connection target) throws SQLException {
    try (Statement statement = connection.createStatement();
        ResultSet rows = statement.executeQuery("select * from \"" + table + "\"")) {
      int columns = rows.getMetaData().getColumnCount();
      List<String> names = new ArrayList<>();
      for (int i = 1; i <= columns; i++) {
        names.add('"' + rows.getMetaData().getColumnName(i) + '"');
      }
      String marks = String.join(", ", java.util.Collections.nCopies(columns, "?"));
      try (PreparedStatement insert =
          target.prepareStatement(
              "insert into \"%s\" (%s) values (%s)"
                  .formatted(table, String.join(", ", names), marks))) {
        while (rows.next()) {
          for (int i = 1; i <= columns; i++) {
            Object value = rows.getObject(i);
            insert.setObject(
                i,
                value instanceof java.sql.Clob text
                    ? text.getSubString(1, (int) text.length())
                    : value);
          }
          insert.executeUpdate();
        }
      }
    }
  }

  private static void expect(boolean holds, String otherwise) {
    if (!holds) {
      throw new Refusal(NO_BACKUP.formatted(otherwise));
    }
  }

  private static String clip(@Nullable String text) {
    String plain = String.valueOf(text).replaceAll("\\p{Cntrl}", " ");
    return plain.length() > 160 ? plain.substring(0, 160) + "…" : plain;
  }

  @Override
  public void close() {
    try {
      connection.close();
    } catch (SQLException e) {
      // It is in memory and goes with its last connection.
    }
  }
}
