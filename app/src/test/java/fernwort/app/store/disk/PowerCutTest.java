package fernwort.app.store.disk;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.ResourceAccessMode;
import org.junit.jupiter.api.parallel.ResourceLock;

/** What was confirmed is on the disk, also on one that loses what it was not told to sync. */
@ResourceLock(value = UncertainFiles.SCHEME, mode = ResourceAccessMode.READ)
@Order(1)
class PowerCutTest {

  private static final int IMAGES = Integer.getInteger("sweep.images", 12);

  @TempDir Path folder;
  private Path file;

  @BeforeEach
  void make() throws SQLException, IOException {
    UncertainFiles.register();
    file = folder.resolve("kept.mv.db");
    try (Connection connection =
            DriverManager.getConnection(url("fernwort:uncertain:nio:", file), "sa", "");
        Statement statement = connection.createStatement()) {
      statement.execute("create table change (writer int, number int, text clob)");
      GroupSync.sync(connection);
    }
    Soundness.begin(file);
    UncertainFiles.disk(file).settle(file);
    UncertainFiles.disk(sums(file)).settle(sums(file));
  }

  private static Path sums(Path database) {
    return Path.of(database + ChunkSums.SUFFIX);
  }

  private static String url(String layer, Path file) {
    OrderedFiles.register();
    return "jdbc:h2:"
        + layer
        + file.toString().replace(".mv.db", "")
        + ";DATABASE_TO_LOWER=TRUE;DB_CLOSE_ON_EXIT=FALSE;RETENTION_TIME=1000";
  }

  /** Writers that note what was confirmed to them. */
  private final class Writers implements AutoCloseable {

    final Map<Integer, Integer> confirmed = new ConcurrentHashMap<>();
    final AtomicInteger all = new AtomicInteger();
    private final AtomicBoolean stop = new AtomicBoolean();
    private final GroupSync sync = new GroupSync();
    private final ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor();
    private final List<Future<?>> running = new ArrayList<>();

    Writers(int count) {
      for (int writer = 0; writer < count; writer++) {
        int number = writer;
        running.add(threads.submit(() -> write(number)));
      }
    }

    private Void write(int writer) throws SQLException {
      try (Connection connection =
              DriverManager.getConnection(url("fernwort:uncertain:nio:", file), "sa", "");
          PreparedStatement insert =
              connection.prepareStatement("insert into change values (?, ?, ?)");
          PreparedStatement delete =
              connection.prepareStatement("delete from change where writer = ? and number < ?")) {
        connection.setAutoCommit(false);
        for (int number = 1; !stop.get(); number++) {
          insert.setInt(1, writer);
          insert.setInt(2, number);
          insert.setString(3, text(writer, number));
          insert.executeUpdate();
          delete.setInt(1, writer);
          delete.setInt(2, number - 5);
          delete.executeUpdate();
          connection.commit();
          sync.await(connection);
          confirmed.put(writer, number);
          all.incrementAndGet();
        }
      }
      return null;
    }

    /** Stops them all; one that failed fails the test. */
    @Override
    public void close() {
      stop.set(true);
      threads.close();
      for (Future<?> writer : running) {
        if (writer.state() == Future.State.FAILED) {
          throw new AssertionError("a writer failed", writer.exceptionNow());
        }
      }
    }
  }

  @Test
  void afterAPowerCutAtAnyMomentTheDatabaseOpensAndLacksNothingThatWasConfirmed() throws Exception {
    Random random = new Random(Long.getLong("sweep.seed", 17));
    try (Writers writers = new Writers(3)) {
      for (int image = 0; image < IMAGES; image++) {
        Thread.sleep(5 + random.nextInt(60));
        Map<Integer, Integer> confirmed = new TreeMap<>(writers.confirmed);
        // The sums first: while writers go on, they may know less than the file and never more.
        byte[] summed = UncertainFiles.disk(sums(file)).afterPowerCut(random);
        byte[] found = UncertainFiles.disk(file).afterPowerCut(random);
        Path after = folder.resolve("after-" + image + ".mv.db");
        Files.write(after, found);
        Files.write(sums(after), summed);
        Soundness look = Soundness.of(after);
        assertThat(look.damage()).as("damage of a file that a power cut left").isEmpty();
        look.vouch(after);
        assertHolds(after, confirmed);
        Files.delete(after);
        Files.delete(sums(after));
      }
      assertThat(writers.all.get()).as("changes confirmed meanwhile").isGreaterThan(2 * IMAGES);
    }
  }

  /** What a writer writes, from nothing to several pages, so that it lies in the row or beside. */
  private static String text(int writer, int number) {
    Random random = new Random(31L * number + writer);
    return Character.toString('a' + random.nextInt(26)).repeat(random.nextInt(12_000));
  }

  /** Everything confirmed is found, each text whole, and the database is written and read on. */
  private static void assertHolds(Path image, Map<Integer, Integer> confirmed) throws SQLException {
    Map<Integer, Integer> found = new TreeMap<>();
    try (Connection connection = opened(image);
        Statement statement = connection.createStatement()) {
      readInto(found, statement);
      statement.execute("insert into change values (-1, 1, '%s')".formatted(text(-1, 1)));
    }
    confirmed.forEach((writer, number) ->
        assertThat(found.getOrDefault(writer, 0))
            .as("changes of writer %d in %s", writer, image.getFileName())
            .isGreaterThanOrEqualTo(number));
    Map<Integer, Integer> later = new TreeMap<>();
    try (Connection connection = opened(image);
        Statement statement = connection.createStatement()) {
      readInto(later, statement);
    }
    found.put(-1, 1);
    assertThat(later).as("what %s holds when opened again", image.getFileName()).isEqualTo(found);
  }

  private static Connection opened(Path image) throws SQLException {
    return DriverManager.getConnection(url("fernwort:nio:", image), "sa", "");
  }

  private static void readInto(Map<Integer, Integer> newest, Statement statement)
      throws SQLException {
    try (ResultSet rows = statement.executeQuery("select writer, number, text from change")) {
      while (rows.next()) {
        int writer = rows.getInt(1);
        int number = rows.getInt(2);
        newest.merge(writer, number, Math::max);
        assertThat(rows.getString(3).equals(text(writer, number)))
            .as("text %d of writer %d is whole", number, writer)
            .isTrue();
      }
    }
  }

  @Test
  void nothingIsConfirmedWithoutASyncAndManyShareOne() throws Exception {
    int before = UncertainFiles.SYNCS.get();
    int alone;
    try (Writers one = new Writers(1)) {
      Thread.sleep(300);
      one.stop.set(true);
      alone = one.all.get();
    }
    int syncs = UncertainFiles.SYNCS.get() - before;
    assertThat(syncs)
        .as("syncs for %d changes one after another", alone)
        .isGreaterThanOrEqualTo(alone);

    before = UncertainFiles.SYNCS.get();
    int together;
    try (Writers twenty = new Writers(20)) {
      for (int waits = 0; waits < 100 && twenty.all.get() < 300; waits++) {
        Thread.sleep(50);
      }
      twenty.stop.set(true);
      together = twenty.all.get();
    }
    int shared = UncertainFiles.SYNCS.get() - before;
    // Alone a change takes three or so; on a busy machine fewer wait at once to share one.
    assertThat((double) shared / together)
        .as("%d syncs for %d changes of twenty, %d for %d alone", shared, together, syncs, alone)
        .isLessThan(0.7 * syncs / alone);
  }
}
