package fernwort.app.store.backup;

import java.io.IOException;
import java.io.InputStream;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;

/**
 * How many rows of each table a backup holds, which tells in a moment whether it is whole, and
 * whether less is there than before.
 *
 * @param rows the number of rows of each table
 */
public record BackupCounts(Map<String, Long> rows) {

  public BackupCounts {
    rows = Collections.unmodifiableMap(new TreeMap<>(rows));
  }

  /**
   * Reads a backup to its end, in little memory whatever its size.
   *
   * @throws IOException when it is not whole or no backup
   */
  static BackupCounts read(InputStream file) throws IOException {
    Map<String, Long> rows = new TreeMap<>();
    boolean known = false;
    try (JsonParser json = BackupFile.JSON.createParser(BackupFile.unpacked(file))) {
      need(json.nextToken() == JsonToken.START_OBJECT);
      while (json.nextToken() == JsonToken.PROPERTY_NAME) {
        String name = json.currentName();
        json.nextToken();
        if (name.equals("tables")) {
          tables(json, rows);
        } else {
          known |= name.equals("format") && BackupFile.FORMAT.equals(json.getString());
          json.skipChildren();
        }
      }
      need(known && json.currentToken() == JsonToken.END_OBJECT && json.nextToken() == null);
    } catch (JacksonException e) {
      throw new IOException(Says.IT_CANNOT_BE_READ_BACK.text(), e);
    }
    return new BackupCounts(rows);
  }

  /** Counts what a database holds. */
  static BackupCounts of(Connection connection) throws SQLException {
    Map<String, Long> rows = new TreeMap<>();
    for (String table : Tables.ALL) {
      try (Statement statement = connection.createStatement();
          ResultSet count = statement.executeQuery("select count(*) from \"" + table + "\"")) {
        count.next();
        rows.put(table, count.getLong(1));
      }
    }
    return new BackupCounts(rows);
  }

  private static void tables(JsonParser json, Map<String, Long> rows) throws IOException {
    need(json.currentToken() == JsonToken.START_OBJECT);
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String table = json.currentName();
      need(json.nextToken() == JsonToken.START_ARRAY);
      long count = 0;
      while (json.nextToken() == JsonToken.START_OBJECT) {
        json.skipChildren();
        count++;
      }
      need(json.currentToken() == JsonToken.END_ARRAY);
      rows.put(table, count);
    }
    need(json.currentToken() == JsonToken.END_OBJECT);
  }

  private static void need(boolean holds) throws IOException {
    if (!holds) {
      throw new IOException(Says.IT_CANNOT_BE_READ_BACK.text());
    }
  }

  /** Returns the number of rows of a table. */
  public long of(String table) {
    return rows.getOrDefault(table, 0L);
  }

  /** Returns in a sentence what is less than in an earlier backup: rigs, or entries of the log. */
  Optional<String> lessThan(BackupCounts earlier) {
    long rigs = earlier.of("rig") - of("rig");
    long entries = earlier.of("diary") - of("diary");
    return rigs > 0 || entries > 0
        ? Optional.of(
            Says.LESS_IS_HERE_THAN.filled(
                of("rig"), of("diary"), earlier.of("rig"), earlier.of("diary")))
        : Optional.empty();
  }
}
