package fernwort.app.store.disk;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.HashMap;
import java.util.Map;
import org.h2.mvstore.DataUtils;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class HeaderPagesTest {

  private static final int PAGE = 4096;

  @TempDir Path folder;

  @Test
  void whatIsConfirmedIsNamedAtOnceAndTheOtherCopyNamesTheOneBefore() throws Exception {
    OrderedFiles.register();
    Path file = folder.resolve("kept.mv.db");
    try (Connection connection =
            DriverManager.getConnection(
                "jdbc:h2:fernwort:nio:%s;DB_CLOSE_ON_EXIT=FALSE;RETENTION_TIME=0"
                    .formatted(file.toString().replace(".mv.db", "")),
                "sa",
                "");
        Statement statement = connection.createStatement()) {
      statement.execute("create table change (number int)");
      GroupSync.sync(connection);
      for (int number = 0; number < 60; number++) {
        statement.execute("delete from change");
        statement.execute("insert into change values (%d)".formatted(number));
        GroupSync.sync(connection);
        byte[] found = Files.readAllBytes(file);
        long one = named(found, 0);
        long other = named(found, PAGE);
        assertThat(Math.max(one, other)).as("change %d", number).isEqualTo(newestChunk(found));
        assertThat(Math.abs(one - other)).as("change %d", number).isLessThanOrEqualTo(1);
      }
    }
    assertThat(Files.readAllBytes(file)).isNotEmpty();
  }

  /** Returns the version that a copy names, whose chunk must stand where the copy says. */
  private static long named(byte[] found, int copy) throws IOException {
    Map<String, String> header = line(found, copy);
    int block = Integer.parseInt(header.get("block"), 16);
    assertThat(line(found, block * PAGE))
        .containsEntry("chunk", header.get("chunk"))
        .containsEntry("version", header.get("version"));
    return Long.parseLong(header.get("version"), 16);
  }

  private static long newestChunk(byte[] found) {
    long newest = -1;
    for (int at = 2 * PAGE; at < found.length; at += PAGE) {
      if (new String(found, at, 6, StandardCharsets.ISO_8859_1).equals("chunk:")) {
        newest = Math.max(newest, Long.parseLong(line(found, at).get("version"), 16));
      }
    }
    return newest;
  }

  private static HashMap<String, String> line(byte[] found, int at) {
    String page = new String(found, at, PAGE, StandardCharsets.ISO_8859_1);
    return DataUtils.parseMap(page.substring(0, page.indexOf('\n')).strip());
  }
}
