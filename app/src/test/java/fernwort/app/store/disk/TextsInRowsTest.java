package fernwort.app.store.disk;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A long text that is replaced while somebody reads its row. */
class TextsInRowsTest {

  private static final int READERS = 4;
  private static final int CHANGES = 500;
  private static final int LONG = 6000;

  @Test
  void whoReadsARowWhileItsTextIsReplacedReadsOneOfBoth(@TempDir Path folder) throws Exception {
    Path database = folder.resolve("fernwort.mv.db");
    DriverManager.getConnection(DatabaseUrl.making(database), "sa", "").close();
    String url = DatabaseUrl.writing(database);
    try (Connection writing = DriverManager.getConnection(url, "sa", "");
        Statement make = writing.createStatement()) {
      make.execute("create table rig (id int primary key, version int, description clob)");
      make.execute("insert into rig values (1, 0, '%s')".formatted("0".repeat(LONG)));
      AtomicBoolean written = new AtomicBoolean();
      try (ExecutorService pool = Executors.newFixedThreadPool(READERS)) {
        List<Future<Integer>> reads = new ArrayList<>();
        for (int reader = 0; reader < READERS; reader++) {
          reads.add(pool.submit(() -> read(url, written)));
        }
        try (PreparedStatement change =
            writing.prepareStatement("update rig set version = ?, description = ? where id = 1")) {
          for (int i = 1; i <= CHANGES; i++) {
            change.setInt(1, i);
            change.setString(2, Integer.toString(i % 10).repeat(LONG));
            change.executeUpdate();
          }
        } finally {
          written.set(true);
        }
        for (Future<Integer> read : reads) {
          assertThat(read.get()).isPositive();
        }
      }
    }
  }

  private static int read(String url, AtomicBoolean written) throws SQLException {
    int reads = 0;
    try (Connection reading = DriverManager.getConnection(url, "sa", "");
        PreparedStatement row = reading.prepareStatement("select version, description from rig")) {
      while (!written.get()) {
        try (ResultSet rows = row.executeQuery()) {
          assertThat(rows.next()).isTrue();
          char version = (char) ('0' + rows.getInt(1) % 10);
          assertThat(rows.getString(2)).isEqualTo(String.valueOf(version).repeat(LONG));
          reads++;
        }
      }
    }
    return reads;
  }
}
