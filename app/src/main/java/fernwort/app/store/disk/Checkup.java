package fernwort.app.store.disk;

import fernwort.app.store.DataFolder;
import java.io.IOException;
import java.nio.file.Files;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.LinkedHashMap;
import java.util.Map;

/** How a folder's database is, in words and numbers that say nothing about its owner. */
public final class Checkup {

  private static final long MIB = 1 << 20;

  private Checkup() {}

  /** Looks at the database of a claimed folder, and changes nothing. */
  public static Map<String, String> of(DataFolder folder) throws IOException {
    Map<String, String> found = new LinkedHashMap<>();
    if (!Files.exists(folder.database())) {
      found.put(Says.DATABASE.text(), Says.NOT_THERE_YET.text());
      return found;
    }
    found.put(Says.DATABASE.text(), Says.MB.filled(Files.size(folder.database()) / MIB));
    Soundness sound = Soundness.of(folder.database());
    found.put(
        Says.SOUND.text(),
        sound
            .damage()
            .orElse((sound.complete() ? Says.EVERY_PART_IS_AS_IT_WAS : Says.READABLE).text()));
    if (sound.damage().isPresent()) {
      return found;
    }
    try (Connection connection = DatabaseFile.reading(folder);
        Statement statement = connection.createStatement()) {
      found.put(
          Says.STEP.text(),
          count(statement, FolderOpening.STEP)
              + " ("
              + Says.THIS_KNOWS.filled(Schema.NEWEST)
              + ")");
      found.put(Says.RIGS.text(), count(statement, "select count(*) from rig"));
      found.put(Says.ENTRIES.text(), count(statement, "select count(*) from diary"));
      found.put(Says.PASSPHRASE_SET.text(), count(statement, "select count(*) from passphrase"));
    } catch (SQLException e) {
      found.put(Says.SOUND.text(), Says.IS_DAMAGED.text());
    }
    return found;
  }

  private static String count(Statement statement, String query) throws SQLException {
    try (ResultSet found = statement.executeQuery(query)) {
      found.next();
      return found.getString(1);
    }
  }
}
