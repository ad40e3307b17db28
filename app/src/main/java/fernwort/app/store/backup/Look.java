package fernwort.app.store.backup;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Reads rows of a backup as whoever shows them does, each table after those it refers to. */
public interface Look {

  /**
   * Reads a row.
   *
   * @param row its values by column: whole numbers, numbers, truths, times with their offset, texts
   * @throws RuntimeException when nobody could show it, saying why
   */
  void row(String table, Map<String, @Nullable Object> row);
}
