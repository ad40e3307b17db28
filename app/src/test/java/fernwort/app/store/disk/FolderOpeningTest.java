package fernwort.app.store.disk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.app.store.DataFolder;
import fernwort.core.format.RigFormat;
import fernwort.core.say.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a start makes of a data folder as it finds it. */
class FolderOpeningTest {

  private static final Instant NOON = Instant.parse("2026-06-01T12:00:00Z");
  private static final Clock CLOCK = Clock.fixed(NOON, ZoneOffset.UTC);

  @TempDir Path home;
  private DataFolder folder;

  @BeforeEach
  void claim() {
    folder = DataFolder.claim(home.resolve("data"));
  }

  @AfterEach
  void release() throws IOException {
    folder.release();
  }

  private void prepare() {
    FolderOpening.prepare(folder, CLOCK);
  }

  private void keep(String version) throws IOException {
    try (InputStream packed = getClass().getResourceAsStream("/kept/" + version + ".mv.db.gz");
        InputStream in = new GZIPInputStream(packed)) {
      Files.write(folder.database(), in.readAllBytes());
      Soundness.forget(folder.database());
    }
  }

  private String ask(String query) throws SQLException {
    try (Connection connection = DatabaseFile.reading(folder);
        Statement statement = connection.createStatement();
        ResultSet found = statement.executeQuery(query)) {
      found.next();
      return String.valueOf(found.getString(1));
    }
  }

  @Test
  void aNewFolderGetsAnEmptyDatabaseThatOnlyItsOwnerReads() throws Exception {
    prepare();
    assertThat(ask("select count(*) from rig")).isEqualTo("0");
    try (Stream<Path> files = Files.list(folder.path())) {
      assertThat(files)
          .allSatisfy(
              f -> assertThat(Files.getPosixFilePermissions(f)).as(f.toString()).hasSize(2));
    }
    prepare();
    assertThat(ask("select count(*) from rig")).as("a second start").isEqualTo("0");
  }

  @ParameterizedTest
  @ValueSource(strings = {"v1", "v2", "v3", "v4", "v5", "v5-draft"})
  void aFolderOfEachEarlierVersionIsCopiedAndBroughtUpToDateWithItsData(String version)
      throws Exception {
    keep(version);
    byte[] before = Files.readAllBytes(folder.database());
    prepare();
    assertThat(ask("select count(*) from rig")).isEqualTo("2");
    assertThat(ask("select shown from level where tank = 'main'")).isEqualTo("62 L");
    assertThat(ask("select count(*) from journal")).isEqualTo("2");
    assertThat(ask("select position_id from handle where part = 'bypass'")).isEqualTo("open");
    new RigFormat().readKept(ask("select description from rig where id = 'tern'"));
    assertThat(ask("select count(*) from rig_version where shows <> version")).isEqualTo("0");
    try (Stream<Path> copies = Files.list(folder.path().resolve(DatabaseFile.COPIES))) {
      assertThat(Files.readAllBytes(copies.findFirst().orElseThrow())).isEqualTo(before);
    }
  }

  @Test
  void threeCopiesFromBeforeMigrationsAreKept() throws Exception {
    for (int day = 0; day < 5; day++) {
      keep("v4");
      FolderOpening.prepare(folder, Clock.fixed(NOON.plus(Duration.ofDays(day)), ZoneOffset.UTC));
    }
    try (Stream<Path> copies = Files.list(folder.path().resolve(DatabaseFile.COPIES))) {
      assertThat(copies.map(f -> f.getFileName().toString()).sorted())
          .containsExactly(
              "before-step-05-20260603-120000.mv.db",
              "before-step-05-20260604-120000.mv.db",
              "before-step-05-20260605-120000.mv.db");
    }
  }

  @Test
  void aStepThatIsOutNeverChanges() {
    Map<String, Integer> checksums = new TreeMap<>();
    for (MigrationInfo step :
        Flyway.configure().dataSource("jdbc:h2:mem:", "sa", "").load().info().all()) {
      checksums.put(step.getVersion().getVersion(), step.getChecksum());
    }
    assertThat(checksums)
        .as("add a step instead of changing one")
        .containsExactlyInAnyOrderEntriesOf(
            Map.ofEntries(
                Map.entry("1", -905898833),
                Map.entry("2", -1986925338),
                Map.entry("3", -2079114512),
                Map.entry("4", 1829763142),
                Map.entry("5", -634715273),
                Map.entry("6", -305756264),
                Map.entry("7", 515354916),
                Map.entry("8", 1072409287),
                Map.entry("9", 896403268),
                Map.entry("10", -457597349),
                Map.entry("11", 1644522667),
                Map.entry("12", 34973662),
                Map.entry("13", -603068642)));
    assertThat(checksums).hasSize(Schema.NEWEST);
  }

  @Test
  void aFolderFromANewerFernwortIsRefusedUntouched() throws Exception {
    prepare();
    try (Connection connection =
            DriverManager.getConnection(DatabaseUrl.writing(folder.database()), "sa", "");
        Statement statement = connection.createStatement()) {
      statement.execute(
          "insert into \"flyway_schema_history\" (\"installed_rank\", \"version\", \"description\", \"type\", \"script\", \"checksum\", \"installed_by\", \"execution_time\", \"success\") values (99, '99', 'later', 'SQL', 'V99__later.sql', 1, 'sa', 1, true)");
      statement.execute("SHUTDOWN");
    }
    Map<String, String> before = fingerprints();
    assertThatThrownBy(this::prepare)
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("newer Fernwort")
        .hasMessageContaining("Nothing was touched");
    assertThat(fingerprints()).isEqualTo(before);
  }

  private Map<String, String> fingerprints() throws IOException {
    Map<String, String> found = new TreeMap<>();
    try (Stream<Path> files = Files.list(folder.path())) {
      for (Path file : files.toList()) {
        found.put(
            file.getFileName().toString(),
            java.util.Arrays.hashCode(Files.readAllBytes(file))
                + " "
                + Files.getLastModifiedTime(file));
      }
    }
    return found;
  }

  @Test
  void anEmptyFileIsKnownForWhatItIs() throws IOException {
    Files.createFile(folder.database());
    assertThatThrownBy(this::prepare)
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("is empty (0 bytes)")
        .hasMessageContaining("restore");
    assertThat(folder.database()).isEmptyFile();
  }

  @Test
  void aDatabaseThatIsMissingWhereBackupsStandIsNoNewFolder() throws IOException {
    Path backup =
        Files.createDirectories(folder.path().resolve(FolderOpening.BACKUPS))
            .resolve("2026-05-31.json.gz");
    try (OutputStream out = new GZIPOutputStream(Files.newOutputStream(backup))) {
      out.write("{}".getBytes(StandardCharsets.UTF_8));
    }
    assertThatThrownBy(this::prepare)
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("is missing")
        .hasMessageContaining("./fernwort restore " + backup);
    assertThat(folder.database()).doesNotExist();
  }

  /** What it summed up to is still there: somebody's data stood here. */
  @Test
  void aDatabaseThatIsMissingBesideItsSumsIsNoNewFolder() throws IOException {
    prepare();
    Files.delete(folder.database());
    assertThatThrownBy(this::prepare)
        .hasMessageContaining("is missing, though the folder was in use");
    assertThat(folder.database()).doesNotExist();
  }

  @Test
  void anotherDatabaseInItsPlaceIsNotTakenUnasked() throws IOException {
    prepare();
    Path other = folder.path().resolveSibling("other.mv.db");
    DatabaseFile.make(other);
    Files.copy(other, folder.database(), StandardCopyOption.REPLACE_EXISTING);
    assertThatThrownBy(this::prepare).hasMessageContaining("another was put in its place");
    Files.delete(Path.of(folder.database() + ".sums"));
    prepare();
  }

  @Test
  void aDatabaseOfAnotherProgramIsRefused() throws Exception {
    try (Connection connection =
            DriverManager.getConnection(DatabaseUrl.making(folder.database()), "sa", "");
        Statement statement = connection.createStatement()) {
      statement.execute("create table recipe (id int)");
    }
    assertThatThrownBy(this::prepare)
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("is not a database of Fernwort");
  }

  @Test
  void aDamagedDatabaseIsMetWithOneSentenceOrReadInFull() throws Exception {
    keep("v5");
    prepare();
    byte[] sound = Files.readAllBytes(folder.database());
    Random random = new Random(5);
    int refused = 0;
    for (int round = 0; round < 40; round++) {
      byte[] damaged = sound.clone();
      int length = 1 + random.nextInt(3000);
      int at = random.nextInt(damaged.length - length);
      for (int i = at; i < at + length; i++) {
        damaged[i] = (byte) random.nextInt(256);
      }
      if (random.nextInt(4) == 0) {
        damaged = java.util.Arrays.copyOf(damaged, 1 + random.nextInt(damaged.length));
      }
      // A start is a process of its own: what a round leaves open is nothing to the next.
      folder.release();
      folder = DataFolder.claim(home.resolve("damaged-" + round));
      Files.write(folder.database(), damaged);
      try {
        prepare();
        assertThat(ask("select count(*) from rig")).as("round %d", round).isEqualTo("2");
      } catch (Refusal refusal) {
        refused++;
        assertThat(refusal).hasMessageMatching("(?s)The database .* Nothing was touched: .*");
        assertThat(Files.readAllBytes(folder.database())).isEqualTo(damaged);
      }
    }
    assertThat(refused).isPositive();
  }
}
