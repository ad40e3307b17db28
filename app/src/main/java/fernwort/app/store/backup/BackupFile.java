package fernwort.app.store.backup;

import fernwort.app.store.disk.Schema;
import fernwort.core.say.Refusal;
import java.io.BufferedInputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.Reader;
import java.io.StringWriter;
import java.sql.Clob;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.zip.GZIPInputStream;
import org.h2.engine.Constants;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.json.JsonMapper;

/** Writes everything that is kept as one JSON file: {@code {format, made, step, tables, sum}}. */
public final class BackupFile {

  static final String FORMAT = "fernwort-backup-1";

  /** Longest file that is read back, unpacked (bytes). */
  static final long MOST_BYTES = 1L << 30;

  static final JsonMapper JSON =
      new JsonMapper(
          JsonFactory.builder()
              .streamReadConstraints(StreamReadConstraints.builder().maxNestingDepth(8).build())
              .build());

  private BackupFile() {}

  /**
   * Writes all tables as they stand at one moment.
   *
   * @return how many rows of each it has written
   */
  public static BackupCounts write(Connection connection, Instant made, OutputStream out)
      throws SQLException, IOException {
    Map<String, Long> written = new TreeMap<>();
    connection.setAutoCommit(false);
    connection.setTransactionIsolation(Constants.TRANSACTION_SNAPSHOT);
    try (JsonGenerator json = JSON.createGenerator(out)) {
      json.writeStartObject();
      json.writeStringProperty("format", FORMAT);
      json.writeStringProperty("made", made.toString());
      json.writeNumberProperty("step", Schema.NEWEST);
      json.writeObjectPropertyStart("tables");
      RowSum sum = new RowSum();
      for (String table : Tables.ALL) {
        json.writeRaw("\n");
        json.writeArrayPropertyStart(table);
        written.put(table, rows(connection, table, json, sum));
        json.writeEndArray();
      }
      json.writeEndObject();
      json.writeRaw("\n");
      json.writeStringProperty("sum", sum.hex());
      json.writeEndObject();
    } finally {
      connection.rollback();
      connection.setAutoCommit(true);
      connection.setTransactionIsolation(Connection.TRANSACTION_READ_COMMITTED);
    }
    return new BackupCounts(written);
  }

  private static long rows(Connection connection, String table, JsonGenerator json, RowSum sum)
      throws SQLException, IOException {
    try (Statement statement = connection.createStatement();
        ResultSet rows = statement.executeQuery("select * from \"" + table + "\" order by 1, 2")) {
      int columns = rows.getMetaData().getColumnCount();
      long count = 0;
      while (rows.next()) {
        count++;
        SortedMap<String, @Nullable Object> row = new TreeMap<>();
        json.writeRaw("\n");
        json.writeStartObject();
        for (int i = 1; i <= columns; i++) {
          String name = rows.getMetaData().getColumnName(i);
          Object value = plain(rows.getObject(i));
          json.writeName(name);
          write(value, json);
          row.put(name, value);
        }
        json.writeEndObject();
        sum.add(table, row);
      }
      return count;
    }
  }

  /** A value as it is read back: a whole number, a number, a truth, a time or a text. */
  private static @Nullable Object plain(@Nullable Object value) throws SQLException, IOException {
    return switch (value) {
      case null -> null;
      case Integer number -> number.longValue();
      case Clob text -> whole(text);
      case Long _, Double _, Boolean _, OffsetDateTime _ -> value;
      default -> value.toString();
    };
  }

  private static void write(@Nullable Object value, JsonGenerator json) {
    switch (value) {
      case null -> json.writeNull();
      case Long number -> json.writeNumber(number);
      case Double number -> json.writeNumber(number);
      case Boolean truth -> json.writeBoolean(truth);
      case OffsetDateTime time ->
          json.writeString(time.withOffsetSameInstant(ZoneOffset.UTC).toString());
      case Object text -> json.writeString(text.toString());
    }
  }

  private static String whole(Clob text) throws SQLException, IOException {
    try (Reader reader = text.getCharacterStream()) {
      StringWriter whole = new StringWriter();
      reader.transferTo(whole);
      return whole.toString();
    }
  }

  /**
   * Unpacks a file that is packed, and returns any other as it is; both end with a refusal when
   * they are longer than any backup.
   */
  static InputStream unpacked(InputStream file) throws IOException {
    BufferedInputStream in = new BufferedInputStream(file);
    in.mark(2);
    boolean packed = in.read() == 0x1f && in.read() == 0x8b;
    in.reset();
    return new Bounded(packed ? new GZIPInputStream(in) : in);
  }

  /** Reads no more than a backup may hold: a small file may unpack to any size. */
  private static final class Bounded extends FilterInputStream {

    private long left = MOST_BYTES;

    Bounded(InputStream in) {
      super(in);
    }

    @Override
    public int read() throws IOException {
      return count(in.read(), 1);
    }

    @Override
    public int read(byte[] target, int from, int length) throws IOException {
      int read = in.read(target, from, length);
      return count(read, read);
    }

    private int count(int read, int bytes) {
      left -= read < 0 ? 0 : bytes;
      if (left < 0) {
        throw new Refusal(Says.IT_UNPACKS_TO_MORE.with(MOST_BYTES >> 20));
      }
      return read;
    }
  }
}
