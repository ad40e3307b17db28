package fernwort.app.store.disk;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.ResourceAccessMode;
import org.junit.jupiter.api.parallel.ResourceLock;

/**
 * Processes that each keep a few changes and end after one of their writes, killed or with the
 * power. Room is used again at once or never, as if they were started after a long or a short
 * while.
 */
@ResourceLock(value = UncertainFiles.SCHEME, mode = ResourceAccessMode.READ)
class EveryWriteTest {

  private static final int PROCESSES = Integer.getInteger("sweep.processes", 8);

  @TempDir Path folder;

  /** What the disk may hold, and what it has to. */
  private record Moment(byte[] found, byte[] sums, int confirmed) {}

  @Test
  void endedAfterAnyWriteTheDatabaseHoldsWhatWasConfirmed() throws Exception {
    UncertainFiles.register();
    OrderedFiles.register();
    Random random = new Random(Long.getLong("sweep.seed", 5));
    Path file = folder.resolve("kept.mv.db");
    try (Connection connection = open("fernwort:uncertain:nio:", file, 0);
        Statement statement = connection.createStatement()) {
      statement.execute("create table change (number int, text varchar)");
      GroupSync.sync(connection);
    }
    Soundness.begin(file);
    for (int process = 0; process < PROCESSES; process++) {
      List<Moment> moments = moments(file, random);
      for (int look = 0; look < 3; look++) {
        Moment moment = moments.get(random.nextInt(moments.size()));
        Path image = Files.write(folder.resolve("image.mv.db"), moment.found);
        Files.write(sums(image), moment.sums);
        Soundness sound = Soundness.of(image);
        assertThat(sound.damage()).as("process %d, damage", process).isEmpty();
        sound.vouch(image);
        assertThat(newest(image))
            .as("process %d", process)
            .isGreaterThanOrEqualTo(moment.confirmed);
        if (look == 2) {
          Files.write(file, moment.found);
          Files.write(sums(file), moment.sums);
          Soundness.of(file).vouch(file);
        }
      }
    }
  }

  private static Path sums(Path database) {
    return Path.of(database + ChunkSums.SUFFIX);
  }

  /** Lets a process keep up to a dozen changes; what is found had it ended after each write. */
  private List<Moment> moments(Path file, Random random) throws SQLException, IOException {
    List<Moment> moments = new ArrayList<>();
    UncertainFiles.Disk disk = UncertainFiles.disk(file);
    Path copy = folder.resolve("image.mv.db");
    int[] confirmed = {newest(Files.copy(file, copy, StandardCopyOption.REPLACE_EXISTING))};
    disk.settle(file);
    UncertainFiles.Disk sums = UncertainFiles.disk(sums(file));
    sums.settle(sums(file));
    int usual = random.nextInt(3_000);
    moments.add(new Moment(disk.afterKill(), sums.afterKill(), confirmed[0]));
    disk.afterEachWrite(() -> {
      moments.add(new Moment(disk.afterKill(), sums.afterKill(), confirmed[0]));
      moments.add(new Moment(disk.afterPowerCut(random), sums.afterPowerCut(random), confirmed[0]));
    });
    try (Connection connection =
            open("fernwort:uncertain:nio:", file, random.nextBoolean() ? 0 : 3_600_000);
        Statement statement = connection.createStatement()) {
      for (int left = 1 + random.nextInt(12); left > 0; left--) {
        int number = confirmed[0] + 1;
        statement.execute(
            "insert into change values (%d, '%s')"
                .formatted(
                    number, "x".repeat(random.nextInt(4) == 0 ? random.nextInt(3_000) : usual)));
        statement.execute("delete from change where number < " + (number - 5));
        GroupSync.sync(connection);
        confirmed[0] = number;
      }
      disk.afterEachWrite(() -> {});
      statement.execute("SHUTDOWN IMMEDIATELY");
    } catch (SQLException closed) {
      assertThat(closed.getMessage()).contains("closed");
    }
    return moments;
  }

  private static int newest(Path file) throws SQLException {
    try (Connection connection = open("fernwort:nio:", file, 3_600_000);
        Statement statement = connection.createStatement();
        ResultSet newest = statement.executeQuery("select max(number) from change")) {
      newest.next();
      return newest.getInt(1);
    }
  }

  private static Connection open(String layer, Path file, int retention) throws SQLException {
    return DriverManager.getConnection(
        "jdbc:h2:%s%s;DB_CLOSE_ON_EXIT=FALSE;RETENTION_TIME=%d"
            .formatted(layer, file.toString().replace(".mv.db", ""), retention),
        "sa",
        "");
  }
}
