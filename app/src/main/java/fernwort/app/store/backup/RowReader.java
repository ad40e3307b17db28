package fernwort.app.store.backup;

import fernwort.core.say.Refusal;
import java.io.IOException;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;

/**
 * Reads the rows of a backup in a thread of its own, a little ahead of who keeps them. What goes
 * wrong while reading comes out where the next row would.
 */
final class RowReader implements AutoCloseable {

  private static final Pattern COLUMN = Pattern.compile("[a-z_]{1,40}");
  private static final int AT_ONCE = 500;
  private static final int AHEAD = 8;
  private static final Duration A_MOMENT = Duration.ofMillis(2);

  private final JsonParser json;
  private final BlockingQueue<Batch> read = new ArrayBlockingQueue<>(AHEAD);
  private final Thread reader;
  private Iterator<Row> batch = List.<Row>of().iterator();
  private volatile boolean givenUp;
  private boolean last;
  private List<Row> filling = new ArrayList<>();

  /**
   * A row of a backup.
   *
   * @param number its place in its table, from 0
   */
  record Row(String table, int number, SortedMap<String, @Nullable Object> values) {}

  /** Rows that were read, and why there are no more: the end, or a fault. */
  private record Batch(List<Row> rows, boolean last, @Nullable Throwable fault) {}

  private RowReader(JsonParser json) {
    this.json = json;
    this.reader = Thread.ofVirtual().unstarted(this::run);
  }

  /** Reads the tables that a parser stands before; when all are read it stands at their end. */
  static RowReader of(JsonParser json) {
    RowReader rows = new RowReader(json);
    rows.reader.start();
    return rows;
  }

  /** Returns the next row, or null when there are no more. */
  @Nullable Row next() throws IOException {
    while (!batch.hasNext() && !last) {
      Batch next = take();
      batch = next.rows().iterator();
      last = next.last();
      switch (next.fault()) {
        case RuntimeException fault -> throw fault;
        case Error fault -> throw fault;
        case null, default -> {}
      }
    }
    return batch.hasNext() ? batch.next() : null;
  }

  private Batch take() throws IOException {
    try {
      return read.take();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }

  private void run() {
    try {
      try {
        tables();
        read.put(new Batch(filling, true, null));
      } catch (RuntimeException | Error fault) {
        read.put(new Batch(List.of(), true, fault));
      }
    } catch (InterruptedException givenUp) {
      Thread.currentThread().interrupt();
    }
  }

  private void tables() throws InterruptedException {
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String table = json.currentName();
      Staging.expect(Tables.ALL.contains(table), Says.IT_HAS_A_TABLE.filled(Staging.clip(table)));
      Staging.expect(
          json.nextToken() == JsonToken.START_ARRAY, Says.TABLE_IS_NOT_A_LIST.filled(table));
      int number = 0;
      while (!givenUp && json.nextToken() == JsonToken.START_OBJECT) {
        filling.add(new Row(table, number, row(table, number)));
        number++;
        if (filling.size() == AT_ONCE) {
          read.put(new Batch(filling, false, null));
          filling = new ArrayList<>();
        }
      }
      if (givenUp) {
        return;
      }
      Staging.expect(
          json.currentToken() == JsonToken.END_ARRAY,
          Says.TABLE_IS_NOT_A_LIST_OF_ROWS.filled(table));
    }
  }

  private SortedMap<String, @Nullable Object> row(String table, int number) {
    SortedMap<String, @Nullable Object> row = new TreeMap<>();
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String column = json.currentName();
      if (!COLUMN.matcher(column).matches()) {
        throw Staging.odd(table);
      }
      try {
        row.put(column, value(column, table));
      } catch (DateTimeException e) {
        String said = Staging.clip(e.getMessage());
        throw new Refusal(Staging.NO_BACKUP.formatted(Says.ROW_OF.filled(number + 1, table, said)));
      }
    }
    return row;
  }

  private @Nullable Object value(String column, String table) {
    return switch (json.nextToken()) {
      case VALUE_NULL -> null;
      case VALUE_STRING ->
          column.endsWith("_at") ? OffsetDateTime.parse(json.getString()) : json.getString();
      case VALUE_NUMBER_INT -> json.getLongValue();
      case VALUE_NUMBER_FLOAT -> json.getDoubleValue();
      case VALUE_TRUE -> Boolean.TRUE;
      case VALUE_FALSE -> Boolean.FALSE;
      default ->
          throw new Refusal(Staging.NO_BACKUP.formatted(Says.A_VALUE_IN_IS_A_LIST.filled(table)));
    };
  }

  /**
   * Lets the reader go at its next row. It is not interrupted: that would close what it reads from,
   * and with it the way back to whoever sent it.
   */
  @Override
  public void close() {
    givenUp = true;
    try {
      while (!reader.join(A_MOMENT)) {
        read.clear();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
