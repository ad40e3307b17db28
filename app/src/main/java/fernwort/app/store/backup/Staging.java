package fernwort.app.store.backup;

import fernwort.app.store.SettingStore;
import fernwort.app.store.disk.NewDatabase;
import fernwort.app.store.disk.Schema;
import fernwort.core.say.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.sql.Clob;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.SQLIntegrityConstraintViolationException;
import java.sql.Statement;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;

/**
 * A backup read into a database of its own, in a file, where it is checked before it replaces
 * anything: row by row, in the same memory however large it is. A backup of an older Fernwort is
 * taken in at its step and brought up to date there.
 */
final class Staging implements AutoCloseable {

  static final String NO_BACKUP = Says.THIS_IS_NOT_A_BACKUP_OF_FERNWORT.text();

  private static final int ROWS_AT_ONCE = 5_000;

  private static final int MOST_TOLD = 5;

  /** The rows of a table mostly have the same columns; more sorts than this are no backup. */
  private static final int MOST_FORMS = 500;

  /** Without one of these rows a rig is not what it was. */
  private static final List<String> NEEDED = List.of("rig", "rig_version");

  private final NewDatabase database;
  private final Connection connection;
  private final Map<String, PreparedStatement> inserts = new HashMap<>();
  private final RowSum sum = new RowSum();
  private final List<String> leftOut = new ArrayList<>();
  private Optional<Instant> made = Optional.empty();

  private Staging(NewDatabase database) {
    this.database = database;
    this.connection = database.connection();
  }

  /**
   * Reads a backup and checks it.
   *
   * @param place the database beside which it is read in
   * @param look looks at each rig and throws when it cannot be read
   * @throws Refusal when it is no whole and sound backup, naming what is wrong
   */
  static Staging read(InputStream file, Path place, Look look) {
    try {
      Staging staging = new Staging(NewDatabase.beside(place));
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
              Optional.ofNullable(e.getLocation())
                  .map(at -> Says.NOT_WHOLE_OR_NOT_JSON_AT_LINE.filled(Math.max(1, at.getLineNr())))
                  .orElse(Says.ONE_OF_ITS_TEXTS_IS_TOO_LONG.text())));
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
            database.bringTo(step);
            tables(json);
            filled = true;
          }
          case "sum" ->
              expect(sum.hex().equals(json.getValueAsString()), Says.IT_WAS_CHANGED.text());
          case "made" -> made = moment(json);
          default -> json.skipChildren();
        }
      }
      expect(filled && json.currentToken() == JsonToken.END_OBJECT, Says.IT_ENDS_TOO_EARLY.text());
      expect(json.nextToken() == null, Says.SOMETHING_FOLLOWS_ITS_END.text());
    }
    referencesHold();
    connection.setAutoCommit(true);
    database.bringUpToDate();
  }

  private static Optional<Instant> moment(JsonParser json) {
    try {
      return Optional.of(Instant.parse(String.valueOf(json.getValueAsString())));
    } catch (DateTimeException unreadable) {
      return Optional.empty();
    }
  }

  private static int step(JsonParser json) {
    expect(json.currentToken() == JsonToken.VALUE_NUMBER_INT, Says.ITS_STEP_IS_NOT_A_NUMBER.text());
    int step = json.getIntValue();
    if (step > Schema.NEWEST) {
      throw new Refusal(Says.THIS_BACKUP_IS_FROM_A_NEWER.filled(step, Schema.NEWEST));
    }
    return step;
  }

  /**
   * Tables come in any order, so that what a row refers to is looked for at the end. One thread
   * reads while this one keeps, a few thousand rows behind it.
   */
  private void tables(JsonParser json) throws SQLException, IOException {
    expect(json.currentToken() == JsonToken.START_OBJECT, Says.ITS_TABLES_ARE_MISSING.text());
    try (Statement statement = connection.createStatement()) {
      statement.execute("set referential_integrity false");
    }
    List<NewDatabase.Later> indexes = database.withoutIndexes();
    connection.setAutoCommit(false);
    try (RowReader rows = RowReader.of(json)) {
      int kept = 0;
      for (RowReader.Row row = rows.next(); row != null; row = rows.next()) {
        insert(row.table(), row.number(), row.values());
        sum.add(row.table(), row.values());
        if (++kept % ROWS_AT_ONCE == 0) {
          connection.commit();
        }
      }
    }
    connection.commit();
    for (PreparedStatement insert : inserts.values()) {
      insert.close();
    }
    for (NewDatabase.Later index : indexes) {
      make(index);
    }
  }

  private void make(NewDatabase.Later index) throws SQLException {
    try (Statement statement = connection.createStatement()) {
      statement.execute(index.statement());
    } catch (SQLIntegrityConstraintViolationException e) {
      throw new Refusal(NO_BACKUP.formatted(Says.A_ROW_OF_STANDS_TWICE.filled(index.table())));
    }
  }

  /** Every row that refers to another finds it. */
  private void referencesHold() throws SQLException {
    for (String table : Tables.ALL) {
      try (ResultSet keys = connection.getMetaData().getImportedKeys(null, "public", table)) {
        while (keys.next()) {
          String column = keys.getString("FKCOLUMN_NAME");
          String other = keys.getString("PKTABLE_NAME");
          refersToSomething(table, column, other, keys.getString("PKCOLUMN_NAME"));
        }
      }
    }
    try (Statement statement = connection.createStatement()) {
      statement.execute("set referential_integrity true");
    }
  }

  private void refersToSomething(String table, String column, String other, String key)
      throws SQLException {
    try (Statement statement = connection.createStatement();
        ResultSet lost =
            statement.executeQuery(
                ("select \"%1$s\" from \"%2$s\" where \"%1$s\" not in"
                        + " (select \"%4$s\" from \"%3$s\") limit 1")
                    .formatted(column, table, other, key))) {
      if (lost.next()) {
        throw new Refusal(
            NO_BACKUP.formatted(Says.A_ROW_REFERS.filled(table, other, clip(lost.getString(1)))));
      }
    }
  }

  private void insert(String table, int number, Map<String, @Nullable Object> row)
      throws SQLException {
    if (row.isEmpty()) {
      throw new Refusal(NO_BACKUP.formatted(Says.ROW_OF_IS_EMPTY.filled(number + 1, table)));
    }
    try {
      PreparedStatement insert = insert(table, row.keySet());
      int i = 1;
      for (Map.Entry<String, @Nullable Object> value : row.entrySet()) {
        insert.setObject(i++, value.getValue());
      }
      insert.executeUpdate();
    } catch (SQLException e) {
      String said = String.valueOf(e.getMessage()).split("[;\n]")[0];
      throw new Refusal(NO_BACKUP.formatted(Says.ROW_OF.filled(number + 1, table, clip(said))));
    }
  }

  static Refusal odd(String table) {
    return new Refusal(NO_BACKUP.formatted(Says.TABLE_HAS_AN_ODD_COLUMN.filled(table)));
  }

  private PreparedStatement insert(String table, Collection<String> names) throws SQLException {
    String columns = names.stream().map(c -> '"' + c + '"').collect(Collectors.joining(", "));
    PreparedStatement known = inserts.get(table + columns);
    if (known != null) {
      return known;
    }
    if (inserts.size() >= MOST_FORMS) {
      throw odd(table);
    }
    String marks = String.join(", ", java.util.Collections.nCopies(names.size(), "?"));
    PreparedStatement insert =
        connection.prepareStatement(
            "insert into \"%s\" (%s) values (%s)".formatted(table, columns, marks));
    inserts.put(table + columns, insert);
    return insert;
  }

  /**
   * Reads every row by what will show it. What a rig is has to be readable; of all else that is
   * not, the row is left out, and told.
   */
  private void check(Look look) throws SQLException {
    expect(counts().of("rig") > 0, Says.THERE_IS_NO_RIG_IN_IT.text());
    for (String table : NEEDED) {
      read(
          table,
          look,
          (row, fault) -> {
            throw new Refusal(NO_BACKUP.formatted(Says.ROW_OF.filled(row, table, why(fault))));
          });
    }
    versionsAreThere();
    for (String table : Tables.ALL) {
      if (!NEEDED.contains(table)) {
        List<Long> lost = new ArrayList<>();
        read(
            table,
            look,
            (row, fault) -> {
              lost.add(row);
              leftOut.add(Says.ROW_OF.filled(row, table, why(fault)));
            });
        for (long row : lost) {
          run("delete from \"" + table + "\" where _rowid_ = " + row);
        }
      }
    }
  }

  /** Each rig has the version that it shows, and each version the one whose words it has. */
  private void versionsAreThere() throws SQLException {
    String known = "select rig, version from rig_version";
    List<String> without = texts("select id from rig where (id, version) not in (" + known + ")");
    without.addAll(texts("select rig from rig_version where (rig, shows) not in (" + known + ")"));
    expect(without.isEmpty(), Says.A_RIG_LACKS_A_VERSION.filled(clip(String.join(", ", without))));
  }

  /** What is said where a row cannot be read. */
  private interface Fault {
    void at(long row, RuntimeException why);
  }

  /** Reads a table row by row, in little memory whatever its size; rows count from 1. */
  private void read(String table, Look look, Fault fault) throws SQLException {
    try (Statement statement = connection.createStatement();
        ResultSet rows =
            statement.executeQuery("select _rowid_, t.* from \"%s\" t".formatted(table))) {
      while (rows.next()) {
        Map<String, @Nullable Object> row = new TreeMap<>();
        for (int i = 2; i <= rows.getMetaData().getColumnCount(); i++) {
          row.put(rows.getMetaData().getColumnName(i), plain(rows.getObject(i)));
        }
        try {
          look.row(table, row);
        } catch (RuntimeException e) {
          fault.at(rows.getLong(1), e);
        }
      }
    }
  }

  private static @Nullable Object plain(@Nullable Object value) throws SQLException {
    return value instanceof Clob text ? text.getSubString(1, (int) text.length()) : value;
  }

  private void run(String change) throws SQLException {
    try (Statement statement = connection.createStatement()) {
      statement.executeUpdate(change);
    }
  }

  private List<String> texts(String query) throws SQLException {
    try (Statement statement = connection.createStatement();
        ResultSet rows = statement.executeQuery(query)) {
      List<String> texts = new ArrayList<>();
      while (rows.next()) {
        texts.add(rows.getString(1));
      }
      return texts;
    }
  }

  /** A sentence of ours says why; what a library says of broken text is no sentence. */
  private static String why(RuntimeException fault) {
    return fault instanceof Refusal && fault.getMessage() != null
        ? clip(fault.getMessage())
        : Says.IT_CANNOT_BE_SHOWN.text();
  }

  /**
   * Expects that nothing has to be left out, where nobody can be asked.
   *
   * @throws Refusal naming the rows
   */
  void expectWhole() {
    if (!leftOut.isEmpty()) {
      String rows = leftOut.stream().limit(MOST_TOLD).collect(Collectors.joining("; "));
      throw new Refusal(Says.ROWS_WOULD_BE_LEFT_OUT.with(leftOut.size(), rows));
    }
  }

  /** Returns in a sentence each what was left out because nobody could show it. */
  List<String> leftOut() {
    return List.copyOf(leftOut);
  }

  /** Returns where the broker is by this backup, if it says so. */
  Optional<String> broker() {
    try {
      return texts("select entry from setting where name = '" + SettingStore.BROKER + "'").stream()
          .findFirst();
    } catch (SQLException e) {
      throw new IllegalStateException("what was read in cannot be asked", e);
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
            insert.setObject(i, plain(value));
          }
          insert.executeUpdate();
        }
      }
    }
  }

  static void expect(boolean holds, String otherwise) {
    if (!holds) {
      throw new Refusal(NO_BACKUP.formatted(otherwise));
    }
  }

  static String clip(@Nullable String text) {
    String plain = String.valueOf(text).replaceAll("\\p{Cntrl}", " ");
    return plain.length() > 160 ? plain.substring(0, 160) + "…" : plain;
  }

  /** Returns when it was made, if it says so. */
  Optional<Instant> made() {
    return made;
  }

  /** Returns how many rows of each table it has. */
  BackupCounts counts() {
    try {
      return BackupCounts.of(connection);
    } catch (SQLException e) {
      throw new IllegalStateException("what was read in cannot be counted", e);
    }
  }

  NewDatabase database() {
    return database;
  }

  @Override
  public void close() {
    database.close();
  }
}
