package fernwort.app.store.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.app.backup.StoredRows;
import fernwort.app.store.DataFolder;
import fernwort.app.store.disk.DatabaseFile;
import fernwort.app.store.disk.FolderOpening;
import fernwort.app.store.disk.FolderWatch;
import fernwort.app.store.disk.Schema;
import fernwort.core.say.Refusal;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;

/** Everything out as one file, and in again. */
class BackupTest {

  private static final Clock NOON =
      Clock.fixed(Instant.parse("2026-06-01T12:00:00Z"), ZoneOffset.UTC);

  @TempDir Path home;
  private Path backup;
  private String text;

  /** A folder as an earlier Fernwort left it, backed up. */
  @BeforeEach
  void backUp() throws Exception {
    DataFolder folder = DataFolder.claim(home.resolve("first"));
    try (InputStream packed = getClass().getResourceAsStream("/kept/v5.mv.db.gz");
        InputStream in = new GZIPInputStream(packed)) {
      Files.write(folder.database(), in.readAllBytes());
    }
    describe(folder);
    backup = home.resolve("backup.json");
    AtRest.backUp(folder, backup, NOON);
    folder.release();
    text = Files.readString(backup);
  }

  /** A rule that says something. */
  private static void describe(DataFolder folder) throws Exception {
    String url = "jdbc:h2:" + folder.database().toString().replace(".mv.db", "");
    try (Connection db = DriverManager.getConnection(url + ";DATABASE_TO_LOWER=TRUE", "sa", "");
        Statement statement = db.createStatement()) {
      statement.execute(
          """
          update automation set rule = '{"purpose": "STOP_WHEN_FULL", "tank": "main", "other": "",
            "valve": "fill", "second": "", "low": 10, "high": 90, "purge": ""}'\
          """);
    }
  }

  /** As somebody leaves it who changed it on purpose: without what its rows sum up to. */
  private static String edited(String file) {
    return file.replaceFirst(",\"sum\":\"[0-9a-f]+\"", "");
  }

  private String restored(String file) throws IOException {
    Path from = Files.writeString(home.resolve("from.json"), file);
    DataFolder folder = DataFolder.claim(home.resolve("second"));
    try {
      String said = AtRest.restore(folder, from, NOON, StoredRows.look());
      assertThat(said).startsWith("Restored from");
      return backedUp(folder);
    } finally {
      folder.release();
    }
  }

  /** What a folder holds, as a backup of it. */
  private String backedUp(DataFolder folder) throws IOException {
    Path again = home.resolve("again.json");
    Files.deleteIfExists(again);
    AtRest.backUp(folder, again, NOON);
    return Files.readString(again);
  }

  @Test
  void whatGoesOutAndInAgainIsTheSameToTheByte() throws IOException {
    assertThat(restored(text)).isEqualTo(text);
  }

  @Test
  void aPackedBackupIsReadAsWell() throws IOException {
    DataFolder first = DataFolder.claim(home.resolve("first"));
    Path packed = home.resolve("backup.json.gz");
    AtRest.backUp(first, packed, NOON);
    first.release();
    DataFolder folder = DataFolder.claim(home.resolve("second"));
    AtRest.restore(folder, packed, NOON, StoredRows.look());
    assertThat(backedUp(folder)).isEqualTo(text);
    folder.release();
    assertThat(packed.toFile().length()).isLessThan(text.length() / 3);
  }

  @Test
  void whatIsRestoredHasTheKeysAndIndexesOfANewDatabase() throws Exception {
    DataFolder fresh = DataFolder.claim(home.resolve("fresh"));
    FolderOpening.prepare(fresh, NOON);
    restored(text);
    DataFolder second = DataFolder.claim(home.resolve("second"));
    assertThat(keys(second)).isNotEmpty().isEqualTo(keys(fresh));
    fresh.release();
    second.release();
  }

  /** The keys and indexes of a folder's database, by table, kind, columns and their order. */
  private static List<String> keys(DataFolder folder) throws Exception {
    try (Connection connection = DatabaseFile.reading(folder);
        Statement statement = connection.createStatement();
        ResultSet found =
            statement.executeQuery(
                """
                select i.table_name || ' ' || i.index_type_name || ' '
                    || listagg(c.column_name || ' ' || c.ordering_specification, ',')
                        within group (order by c.ordinal_position)
                from information_schema.indexes i
                join information_schema.index_columns c
                  on c.index_name = i.index_name and c.table_name = i.table_name
                group by i.table_name, i.index_name, i.index_type_name order by 1\
                """)) {
      List<String> keys = new ArrayList<>();
      while (found.next()) {
        keys.add(found.getString(1));
      }
      return keys;
    }
  }

  @Test
  void aRowThatStandsTwiceIsRefused() {
    String twice =
        text.replaceFirst(
                "\"setting\":\\[(.)",
                "\"setting\":[{\"name\":\"a\",\"entry\":\"b\"},{\"name\":\"a\",\"entry\":\"c\"},$1")
            .replace(",]", "]");
    assertThatThrownBy(() -> restored(twice))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("a row of setting is in it twice");
  }

  @Test
  void aBackupNeverTakesThePlaceOfAnotherFile() throws IOException {
    DataFolder folder = DataFolder.claim(home.resolve("first"));
    assertThatThrownBy(() -> AtRest.backUp(folder, backup, NOON))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("is there already");
    folder.release();
    assertThat(backup).hasContent(text);
  }

  @Test
  void everyTableIsInItButThePassphraseAndTheValuesOfTheLastTwoDays() throws Exception {
    DataFolder folder = DataFolder.claim(home.resolve("first"));
    List<String> tables = new ArrayList<>();
    try (Connection connection = DatabaseFile.reading(folder);
        Statement statement = connection.createStatement();
        ResultSet found =
            statement.executeQuery(
                "select table_name from information_schema.tables where table_schema = 'public'")) {
      while (found.next()) {
        tables.add(found.getString(1));
      }
    }
    folder.release();
    tables.remove("flyway_schema_history");
    tables.remove("passphrase");
    tables.remove("live_minute");
    assertThat(Tables.ALL).containsExactlyInAnyOrderElementsOf(tables);
    Tables.ALL.forEach(table -> assertThat(text).contains("\"" + table + "\":["));
  }

  @Test
  void aRestoreKeepsWhatWasThereAndThePassphrase() throws IOException {
    DataFolder folder = DataFolder.claim(home.resolve("second"));
    FolderOpening.prepare(folder, NOON);
    DatabaseFile.setPassphrase(folder, "{hash}");
    byte[] before = Files.readAllBytes(folder.database());
    String said = AtRest.restore(folder, backup, NOON, StoredRows.look());
    assertThat(said).contains("is kept as");
    assertThat(Files.readAllBytes(Path.of(said.replaceAll(".*kept as (.*)\\.$", "$1"))))
        .isEqualTo(before);
    assertThat(DatabaseFile.passphrase(folder)).contains("{hash}");
    folder.release();
  }

  @Test
  void aDamagedFolderIsRestoredToo() throws IOException {
    DataFolder folder = DataFolder.claim(home.resolve("second"));
    Files.write(folder.database(), new byte[5000]);
    AtRest.restore(folder, backup, NOON, StoredRows.look());
    FolderOpening.prepare(folder, NOON);
    assertThat(backedUp(folder)).isEqualTo(text);
    folder.release();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "fernwort-backup-1|another-format-9|its format is another",
        "\"step\":13|\"step\":99|from a newer Fernwort",
        "\"step\":13|\"step\":\"six\"|its step is not a number",
        "\"rig\":[|\"rocket\":[|that is not known",
        "\"id\":\"tern\"|\"id\":null|row 2 of rig",
        "\"position_id\":\"open\"|\"position_id\":[1]|is a list",
        "\"read_at\":\"2026|\"read_at\":\"some 2026|row 1 of level",
        "\"rig\":\"tern\"|\"rig\":\"heron\"|belongs to rig “heron”, which is not in it",
        "fernwort-rig-1|fernwort-rig-0|NOT REFUSED"
      })
  void aBackupThatIsNotWholeOrSoundIsRefusedAndNothingIsChanged(
      String sound, String wrong, String words) throws IOException {
    String file = edited(text.replace(sound, wrong));
    assertThat(file).isNotEqualTo(edited(text));
    DataFolder folder = DataFolder.claim(home.resolve("second"));
    FolderOpening.prepare(folder, NOON);
    byte[] before = Files.readAllBytes(folder.database());
    Path from = Files.writeString(home.resolve("from.json"), file);
    if (words.equals("NOT REFUSED")) {
      assertThat(AtRest.restore(folder, from, NOON, StoredRows.look())).startsWith("Restored");
    } else {
      assertThatThrownBy(() -> AtRest.restore(folder, from, NOON, StoredRows.look()))
          .isInstanceOf(Refusal.class)
          .hasMessageContaining(words)
          .hasMessageContaining("Nothing was changed");
      assertThat(Files.readAllBytes(folder.database())).isEqualTo(before);
    }
    folder.release();
  }

  @Test
  void aBackupCutOffAnywhereIsRefused() throws IOException {
    DataFolder folder = DataFolder.claim(home.resolve("second"));
    FolderOpening.prepare(folder, NOON);
    byte[] whole = text.getBytes(StandardCharsets.UTF_8);
    Random random = new Random(3);
    for (int round = 0; round < 20; round++) {
      Path from = home.resolve("cut.json");
      Files.write(from, java.util.Arrays.copyOf(whole, random.nextInt(whole.length - 3)));
      assertThatThrownBy(() -> AtRest.restore(folder, from, NOON, StoredRows.look()))
          .isInstanceOf(Refusal.class)
          .hasMessageContaining("Nothing was changed");
    }
    folder.release();
  }

  @Test
  void aRigThatCannotBeReadIsNamed() throws IOException {
    String file = edited(text.replaceFirst("vehicle", "bicycle"));
    assertThat(file).isNotEqualTo(edited(text));
    DataFolder folder = DataFolder.claim(home.resolve("second"));
    Path from = Files.writeString(home.resolve("from.json"), file);
    assertThatThrownBy(() -> AtRest.restore(folder, from, NOON, StoredRows.look()))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("row 1 of rig: ");
    folder.release();
  }

  /** What would wipe all rigs, or break the pages of one, is no backup. */
  @Test
  void aBackupWithoutARigOrWithHabitsThatNobodyCanReadIsRefused() throws IOException {
    refuses(text.replaceAll("(?s)\"tables\":\\{.*", "\"tables\":{}\n}"), "there is no rig in it");
    String habits = text.replaceFirst("\"habits\":\"(?:[^\"\\\\]|\\\\.)*\"", "\"habits\":\"a b\"");
    assertThat(habits).isNotEqualTo(text);
    refuses(edited(habits), "how its people live cannot be read");
  }

  /** What no reader of JSON takes in is refused in words, wherever it stands. */
  @Test
  void aNumberOrATextWithoutEndIsRefusedInWords() throws IOException {
    refuses(text.replace("\"step\":13", "\"step\":" + "9".repeat(3_000)), "longer than any that");
    refuses("[".repeat(100_000), "it is not a JSON object");
  }

  /** Who changes one row by accident is told, also where nothing is packed. */
  @Test
  void aPlainBackupThatWasChangedIsRefused() throws IOException {
    refuses(text.replaceFirst("\"version\":1,", "\"version\":2,"), "do not sum up");
    assertThat(restored(edited(text))).isEqualTo(text);
  }

  static Stream<Arguments> rowsNobodyCanShow() {
    return Stream.of(
        Arguments.of("diary", "\"kind\":\"[A-Z]+\"", "\"kind\":\"PARTY\""),
        Arguments.of("diary", "\"volume\":[0-9.]+", "\"volume\":-5.0"),
        Arguments.of("diary", "\"standing\":\"stands\"", "\"standing\":\"floats\""),
        Arguments.of("diary", "\"happened_at\":\"2026", "\"happened_at\":\"+12026"),
        Arguments.of("journal", "\"kind\":\"[A-Z]+\"", "\"kind\":\"DANCE\""),
        Arguments.of("job_run", "\"outcome\":\"[A-Z]+\"", "\"outcome\":\"\""),
        Arguments.of("run_step", "\"step\":\"(?:[^\"\\\\]|\\\\.)*\"", "\"step\":\"{}\""),
        Arguments.of("run_step", "\"mark\":\"[A-Z]+\"", "\"mark\":\"MAYBE\""),
        Arguments.of("automation", "\"rule\":\"(?:[^\"\\\\]|\\\\.)*\"", "\"rule\":\"[]\""));
  }

  /** Told with its row before anything is changed; where somebody can be asked, it stays out. */
  @ParameterizedTest
  @MethodSource("rowsNobodyCanShow")
  void aRowThatNobodyCanShowIsToldAndLeftOut(String table, String sound, String wrong)
      throws Exception {
    int at = text.indexOf("\"" + table + "\":[");
    String file = edited(text.substring(0, at) + text.substring(at).replaceFirst(sound, wrong));
    assertThat(file).as("there is one to change").isNotEqualTo(edited(text));
    refuses(file, " of " + table + ": ");
    try (Staging staging =
        Staging.read(
            new ByteArrayInputStream(file.getBytes(StandardCharsets.UTF_8)),
            home.resolve("lost.mv.db"),
            StoredRows.look())) {
      assertThat(staging.leftOut())
          .isNotEmpty()
          .allSatisfy(
              said -> assertThat(said).contains("row ", table).doesNotContain("fernwort.", "Exc"));
      assertThat(staging.counts().of(table))
          .isLessThan(BackupCounts.read(Files.newInputStream(backup)).of(table));
    }
  }

  @Test
  void anAddressThatIsNoneMakesNoRig() throws IOException {
    for (String wrong : List.of("", "../x")) {
      refuses(
          edited(
              text.replace("\"rig\":\"tern\"", "\"rig\":\"" + wrong + "\"")
                  .replace("\"id\":\"tern\"", "\"id\":\"" + wrong + "\"")),
          "is no address of a rig");
    }
  }

  @Test
  void aRigWithoutItsNewestVersionIsRefused() throws IOException {
    refuses(
        edited(text.replaceFirst("(\"rig_version\":\\[\\s*\\{[^}]*?\"version\":)1", "$17")),
        "a version of");
  }

  /** A small file may unpack to any size: it is not read to its end. */
  @Test
  @Tag("sweep")
  void aFileThatUnpacksToGigabytesIsRefused() throws IOException {
    InputStream blanks =
        new InputStream() {
          @Override
          public int read() {
            return ' ';
          }

          @Override
          public int read(byte[] target, int from, int length) {
            java.util.Arrays.fill(target, from, from + length, (byte) ' ');
            return length;
          }
        };
    Path place = home.resolve("blanks.mv.db");
    assertThatThrownBy(() -> Staging.read(blanks, place, StoredRows.look()))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("unpacks to more than 1024 MB");
    assertThat(home.resolve("half.blanks.mv.db")).doesNotExist();
  }

  /** Another program may write the tables in another order. */
  @Test
  void tablesMayComeInAnyOrder() throws IOException {
    int rigs = text.indexOf(",\"rig\":[");
    int versions = text.indexOf(",\"rig_version\":[");
    String moved = text.substring(rigs, versions);
    String file = text.substring(0, rigs) + text.substring(versions);
    int end = file.indexOf(",\"automation\":[");
    file = file.substring(0, end) + moved + file.substring(end);
    assertThat(restored(file)).isEqualTo(text);
  }

  private void refuses(String file, String because) throws IOException {
    Path from = Files.writeString(home.resolve("wrong.json"), file);
    DataFolder folder = DataFolder.claim(home.resolve("third"));
    try {
      assertThatThrownBy(() -> AtRest.restore(folder, from, NOON, StoredRows.look()))
          .isInstanceOf(Refusal.class)
          .hasMessageContaining(because);
    } finally {
      folder.release();
    }
  }

  /** A file that opens as an empty one is noticed the next day, and the full backup stays. */
  @Test
  void lessThanInTheLastBackupIsSaidAndThatBackupIsKeptForGood() throws Exception {
    DataFolder folder = DataFolder.claim(home.resolve("first"));
    try {
      JdbcDataSource source = inMemory("less");
      try (Connection db = source.getConnection();
          Staging staging =
              Staging.read(
                  Files.newInputStream(backup), home.resolve("less.mv.db"), StoredRows.look())) {
        staging.replace(db);
      }
      assertThat(on(folder, source, 0).today()).isEmpty();
      try (Connection db = source.getConnection();
          Statement statement = db.createStatement()) {
        statement.execute("delete from \"diary\" where \"rig\" = 'tern'");
        statement.execute("set referential_integrity false");
        statement.execute("delete from \"rig\" where \"id\" = 'tern'");
      }
      Backups next = on(folder, source, 0);
      assertThat(next.today().orElseThrow())
          .as("at the next start, the same day")
          .startsWith("Less is here than in the last backup:")
          .contains("2026-06-01-more.json.gz");
      assertThat(next.missing()).isPresent();
      Backups started = on(folder, source, 1);
      assertThat(started.missing()).isEmpty();
      started.today();
      assertThat(started.missing()).as("after a start, too").isPresent();
      for (int day = 2; day < 60; day++) {
        assertThat(on(folder, source, day).today()).isPresent();
      }
      assertThat(next.kept())
          .extracting(f -> f.getFileName().toString())
          .contains("2026-06-01-more.json.gz", "2026-06-30.json.gz", "2026-07-30.json.gz")
          .hasSizeLessThan(16);
    } finally {
      folder.release();
    }
  }

  /** Something keeps backups from being made; the day the last one was made is named. */
  @Test
  void thatNoneWasMadeForTwoDaysIsSaidUntilOneIs() throws Exception {
    DataFolder folder = DataFolder.claim(home.resolve("first"));
    try {
      JdbcDataSource source = inMemory("late");
      assertThat(on(folder, source, 0).today()).isEmpty();
      Path kept = folder.path().resolve("backups/2026-06-01.json.gz");
      for (int day = 1; day < 4; day++) {
        Path inTheWay = folder.path().resolve("backups/half.2026-06-0" + (day + 1) + ".json.gz");
        Files.createDirectories(inTheWay.resolve("something"));
        Backups stopped = on(folder, source, day);
        assertThatThrownBy(stopped::today).isInstanceOf(UncheckedIOException.class);
        assertThat(stopped.late().isPresent()).as("on day %d", day).isEqualTo(day > 1);
        stopped.late().ifPresent(late -> assertThat(late).contains("since Monday, 1 June"));
      }
      assertThat(kept).exists();
      Backups again = on(folder, source, 10);
      again.today();
      assertThat(again.late()).isEmpty();
    } finally {
      folder.release();
    }
  }

  @Test
  void aSecondPlaceGetsEachDailyBackupAndItIsSaidWhenItDoesNot() throws Exception {
    DataFolder folder = DataFolder.claim(home.resolve("first"));
    try {
      JdbcDataSource source = inMemory("second");
      Path stick = home.resolve("stick");
      Backups without = on(folder, source, 0, stick.toString());
      assertThat(without.today().orElseThrow()).contains("could not be copied to " + stick);
      Files.createDirectory(stick);
      Backups with = on(folder, source, 1, stick.toString());
      assertThat(with.today()).isEmpty();
      assertThat(stick.resolve("2026-06-02.json.gz"))
          .hasSameBinaryContentAs(folder.path().resolve("backups/2026-06-02.json.gz"));
    } finally {
      folder.release();
    }
  }

  private static JdbcDataSource inMemory(String name) {
    JdbcDataSource source = new JdbcDataSource();
    source.setUrl("jdbc:h2:mem:" + name + ";DB_CLOSE_DELAY=-1;DATABASE_TO_LOWER=TRUE");
    source.setUser("sa");
    source.setPassword("");
    Schema.bringUpToDate(source.getURL());
    return source;
  }

  private static Backups on(DataFolder folder, JdbcDataSource source, int days) {
    return on(folder, source, days, "");
  }

  private static Backups on(
      DataFolder folder, JdbcDataSource source, int days, String secondPlace) {
    Clock clock = Clock.offset(NOON, Duration.ofDays(days));
    return new Backups(
        source,
        new DataSourceTransactionManager(source),
        folder,
        new FolderWatch(folder),
        clock,
        event -> {},
        secondPlace);
  }
}
