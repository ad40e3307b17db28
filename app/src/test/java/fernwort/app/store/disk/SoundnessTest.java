package fernwort.app.store.disk;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.store.DataFolder;
import fernwort.core.say.Refusal;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A damaged file never opens as a sound one. */
class SoundnessTest {

  private static final int IMAGES = Integer.getInteger("sweep.damaged", 40);
  private static final int PAGE = HeaderPages.PAGE;
  private static final Clock CLOCK = Clock.systemUTC();

  @TempDir Path home;
  private Path sound;
  private Path sums;
  private String kept;

  /** A folder in use: two sessions, the second killed, with changes after the last start. */
  @BeforeEach
  void use() throws Exception {
    DataFolder folder = DataFolder.claim(home.resolve("data"));
    FolderOpening.prepare(folder, CLOCK);
    change(folder.database(), 0, "SHUTDOWN");
    FolderOpening.prepare(folder, CLOCK);
    change(folder.database(), 1000, "SHUTDOWN IMMEDIATELY");
    kept = held(folder.database());
    sound = folder.database();
    sums = Path.of(sound + ChunkSums.SUFFIX);
    folder.release();
  }

  private static void change(Path database, int from, String end) throws SQLException {
    Random random = new Random(from);
    try (Connection connection =
            DriverManager.getConnection(DatabaseUrl.writing(database), "sa", "");
        Statement statement = connection.createStatement()) {
      for (int i = from; i < from + 60; i++) {
        statement.execute(
            ("insert into rig (id, name, version, description, people, habits, created_at) values"
                    + " ('rig%d', 'Rig %d', 1, '%s', 2, '{}', timestamp '2026-06-01 12:00:00Z')")
                .formatted(i, i, text(random)));
        if (random.nextInt(3) == 0) {
          statement.execute("update rig set people = people + 1 where people < 9");
        }
        if (random.nextInt(8) == 0) {
          GroupSync.sync(connection);
        }
      }
      GroupSync.sync(connection);
      statement.execute(end);
    } catch (SQLException closed) {
      assertThat(closed.getMessage()).contains("closed");
    }
  }

  private static String text(Random random) {
    StringBuilder text = new StringBuilder();
    for (int length = random.nextInt(4_000); length > 0; length--) {
      text.append((char) ('a' + random.nextInt(26)));
    }
    return text.toString();
  }

  /** Everything of every rig. */
  private static String held(Path database) throws SQLException {
    StringBuilder held = new StringBuilder();
    try (Connection connection =
            DriverManager.getConnection(DatabaseUrl.reading(database), "sa", "");
        Statement statement = connection.createStatement();
        ResultSet rows = statement.executeQuery("select * from rig order by id")) {
      while (rows.next()) {
        for (int i = 1; i <= rows.getMetaData().getColumnCount(); i++) {
          held.append(rows.getString(i)).append('|');
        }
      }
    }
    return held.toString();
  }

  private byte[] damaged(byte[] file, Random random) {
    byte[] image = file.clone();
    int pages = image.length / PAGE;
    switch (random.nextInt(6)) {
      case 0 -> {
        return Arrays.copyOf(image, random.nextInt(image.length));
      }
      case 1 -> image[random.nextInt(image.length)] ^= (byte) (1 << random.nextInt(8));
      case 2 -> {
        for (int bits = 1 + random.nextInt(40); bits > 0; bits--) {
          image[random.nextInt(image.length)] ^= (byte) (1 << random.nextInt(8));
        }
      }
      case 3 -> {
        int from = random.nextInt(pages);
        int most = Math.min(pages - from, 1 + random.nextInt(20));
        Arrays.fill(image, from * PAGE, (from + most) * PAGE, (byte) 0);
      }
      case 4 -> {
        int one = random.nextInt(pages) * PAGE;
        int other = random.nextInt(pages) * PAGE;
        System.arraycopy(file, one, image, other, PAGE);
        System.arraycopy(file, other, image, one, PAGE);
      }
      default -> {
        int from = random.nextInt(pages) * PAGE;
        byte[] noise = new byte[Math.min(image.length - from, 1 + random.nextInt(6_000))];
        random.nextBytes(noise);
        System.arraycopy(noise, 0, image, from, noise.length);
      }
    }
    return image;
  }

  @Test
  void eachDamagedFileIsRefusedOrHoldsWhatItHeld() throws Exception {
    byte[] file = Files.readAllBytes(sound);
    Random random = new Random(Long.getLong("sweep.seed", 36));
    int refused = 0;
    for (int image = 0; image < IMAGES; image++) {
      byte[] damaged = damaged(file, random);
      try (DataFolder folder = DataFolder.claim(home.resolve("image" + image))) {
        Files.write(folder.database(), damaged);
        Files.copy(sums, Path.of(folder.database() + ChunkSums.SUFFIX));
        try {
          FolderOpening.prepare(folder, CLOCK);
          assertThat(held(folder.database()).equals(kept))
              .as("image %d holds what was held", image)
              .isTrue();
        } catch (Refusal refusal) {
          refused++;
          assertThat(refusal).hasMessageMatching("(?s)The database .* Nothing was touched: .*");
          assertThat(Arrays.equals(Files.readAllBytes(folder.database()), damaged))
              .as("image %d is left as it is", image)
              .isTrue();
        }
      }
    }
    assertThat(refused).as("of %d", IMAGES).isBetween(IMAGES / 2, IMAGES);
  }

  @Test
  void aFileThatIsAsItWasIsNeverRefusedWhateverBecameOfItsSums() throws Exception {
    byte[] lines = Files.readAllBytes(sums);
    Random random = new Random(7);
    for (int round = 0; round < 40; round++) {
      byte[] damaged = lines.clone();
      if (round % 2 == 0) {
        damaged = Arrays.copyOf(damaged, random.nextInt(damaged.length));
      } else {
        damaged[random.nextInt(damaged.length)] ^= (byte) (1 << random.nextInt(8));
      }
      try (DataFolder folder = DataFolder.claim(home.resolve("sums" + round))) {
        Files.copy(sound, folder.database());
        Files.write(Path.of(folder.database() + ChunkSums.SUFFIX), damaged);
        FolderOpening.prepare(folder, CLOCK);
        assertThat(held(folder.database())).isEqualTo(kept);
      }
    }
  }

  @Test
  void anOlderFileInItsPlaceIsKnownForOne() throws Exception {
    try (DataFolder folder = DataFolder.claim(home.resolve("data"))) {
      Path older = Files.copy(folder.database(), home.resolve("older"));
      FolderOpening.prepare(folder, CLOCK);
      change(folder.database(), 5000, "SHUTDOWN");
      Files.copy(older, folder.database(), StandardCopyOption.REPLACE_EXISTING);
      org.assertj.core.api.Assertions.assertThatThrownBy(() -> FolderOpening.prepare(folder, CLOCK))
          .isInstanceOf(Refusal.class)
          .hasMessageContaining("an older one was put in its place");
      Files.delete(sums);
      FolderOpening.prepare(folder, CLOCK);
      assertThat(held(folder.database())).isEqualTo(kept);
    }
  }

  @Test
  void theNewestBackupThatCanBeReadIsOffered() throws Exception {
    try (DataFolder folder = DataFolder.claim(home.resolve("data"))) {
      Path backups = Files.createDirectories(folder.path().resolve(FolderOpening.BACKUPS));
      try (var out =
          new java.util.zip.GZIPOutputStream(
              Files.newOutputStream(backups.resolve("2026-06-01.json.gz")))) {
        out.write("{}".getBytes(java.nio.charset.StandardCharsets.UTF_8));
      }
      Files.write(backups.resolve("2026-06-02.json.gz"), new byte[] {31, -117, 8, 0});
      Files.write(folder.path().resolve("half.restoring.mv.db"), new byte[9]);
      flip(folder.database());
      org.assertj.core.api.Assertions.assertThatThrownBy(() -> FolderOpening.prepare(folder, CLOCK))
          .isInstanceOf(Refusal.class)
          .hasMessageContaining("2026-06-01.json.gz");
      assertThat(folder.path().resolve("half.restoring.mv.db")).doesNotExist();
    }
  }

  @Test
  void whatIsDamagedWhileItRunsIsFound() throws Exception {
    try (DataFolder folder = DataFolder.claim(home.resolve("data"))) {
      FolderOpening.prepare(folder, CLOCK);
      try (Connection connection =
              DriverManager.getConnection(DatabaseUrl.writing(folder.database()), "sa", "");
          Statement statement = connection.createStatement()) {
        statement.execute("update rig set people = 8");
        GroupSync.sync(connection);
        assertThat(OrderedFiles.damaged(folder.database())).isZero();
        flip(folder.database());
        assertThat(OrderedFiles.damaged(folder.database())).isPositive();
        statement.execute("SHUTDOWN IMMEDIATELY");
      } catch (SQLException closed) {
        assertThat(closed.getMessage()).contains("closed");
      }
    }
    assertThat(OrderedFiles.damaged(sound)).as("closed").isZero();
  }

  /**
   * However the file is written over, moved about and made shorter, nothing is taken for damage.
   */
  @Test
  void aFileInHeavyUseIsNeverTakenForADamagedOne() throws Exception {
    Random random = new Random(12);
    try (DataFolder folder = DataFolder.claim(home.resolve("data"))) {
      FolderOpening.prepare(folder, CLOCK);
      try (Connection connection =
              DriverManager.getConnection(DatabaseUrl.writing(folder.database()), "sa", "");
          Statement statement = connection.createStatement()) {
        for (int turn = 0; turn < 400; turn++) {
          statement.execute(
              "update rig set description = '%s' where id = 'rig%d'"
                  .formatted(text(random), random.nextInt(60)));
          if (random.nextInt(3) == 0) {
            GroupSync.sync(connection);
          }
          if (turn % 50 == 49) {
            statement.execute("delete from rig where id = 'rig%d'".formatted(1000 + turn / 10));
            compact(connection);
            assertThat(OrderedFiles.damaged(folder.database())).as("turn %d", turn).isZero();
          }
        }
        statement.execute("SHUTDOWN IMMEDIATELY");
      } catch (SQLException closed) {
        assertThat(closed.getMessage()).contains("closed");
      }
      assertThat(Soundness.of(folder.database()).damage()).isEmpty();
      FolderOpening.prepare(folder, CLOCK);
    }
  }

  private static void compact(Connection connection) throws SQLException {
    ((org.h2.engine.SessionLocal) connection.unwrap(org.h2.jdbc.JdbcConnection.class).getSession())
        .getDatabase()
        .getStore()
        .getMvStore()
        .compactFile(50);
  }

  /** Turns one bit over in the middle of the largest chunk. */
  private static void flip(Path database) throws IOException {
    ChunkSums.Chunk largest =
        ChunkSums.read(org.h2.store.fs.FilePath.get("nio:" + database)).chunks().stream()
            .max(java.util.Comparator.comparing(ChunkSums.Chunk::blocks))
            .orElseThrow();
    try (RandomAccessFile file = new RandomAccessFile(database.toFile(), "rw")) {
      long at = largest.block() * PAGE + largest.blocks() * PAGE / 2;
      file.seek(at);
      int was = file.read();
      file.seek(at);
      file.write(was ^ 16);
    }
  }
}
