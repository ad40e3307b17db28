package fernwort.app.store.backup;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.HexFormat;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * What all rows of a backup sum up to (SHA-256), however the file is laid out or packed, and in
 * whatever order its tables come.
 */
final class RowSum {

  private final SortedMap<String, MessageDigest> tables = new TreeMap<>();

  private static MessageDigest digest() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java has it", e);
    }
  }

  /** Adds a row with its columns in the order of their names. */
  void add(String table, SortedMap<String, @Nullable Object> row) {
    MessageDigest sum = tables.computeIfAbsent(table, t -> digest());
    for (Map.Entry<String, @Nullable Object> column : row.entrySet()) {
      add(sum, column.getKey());
      switch (column.getValue()) {
        case null -> sum.update((byte) 0);
        case OffsetDateTime time ->
            add(sum, time.withOffsetSameInstant(ZoneOffset.UTC).toInstant().toString());
        case Object value -> add(sum, value.toString());
      }
    }
  }

  private static void add(MessageDigest sum, String text) {
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    sum.update(Integer.toString(bytes.length).getBytes(StandardCharsets.US_ASCII));
    sum.update((byte) ':');
    sum.update(bytes);
  }

  /** Returns the sum of all that was added; nothing can be added any more. */
  String hex() {
    MessageDigest all = digest();
    tables.forEach((table, sum) -> {
      add(all, table);
      all.update(sum.digest());
    });
    return HexFormat.of().formatHex(all.digest());
  }
}
