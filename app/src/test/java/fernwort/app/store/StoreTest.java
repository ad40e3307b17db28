package fernwort.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.diary.Entry;
import fernwort.core.rig.Slope;
import fernwort.core.say.Refusal;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.flywaydb.core.Flyway;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is kept, on the real database. */
class StoreTest {

  private static final Instant NOON = Instant.parse("2026-06-01T12:00:00Z");

  @TempDir Path folder;
  private Connection connection;
  private RigStore rigs;
  private Logbook logbook;
  private DiaryStore diary;

  @BeforeEach
  void open() throws SQLException {
    String url =
        "jdbc:h2:file:%s;DATABASE_TO_LOWER=TRUE;WRITE_DELAY=0".formatted(folder.resolve("test"));
    connection = DriverManager.getConnection(url, "sa", "");
    Flyway.configure().dataSource(url, "sa", "").load().migrate();
    DSLContext db = DSL.using(connection, SQLDialect.H2);
    Clock clock = Clock.fixed(NOON, ZoneOffset.UTC);
    rigs = new RigStore(db, clock);
    logbook = new Logbook(db, clock);
    diary = new DiaryStore(db, clock);
    rigs.add("Tern", "{one}", 2, "[]", "ada", "Taken in");
  }

  @AfterEach
  void close() throws SQLException {
    connection.close();
  }

  private static Logbook.Level level(double volume) {
    return new Logbook.Level(volume, NOON, volume * 1000 + " L");
  }

  // --- rigs ------------------------------------------------------------------------------------

  @Test
  void anAddressIsMadeFromTheNameAndNeverTwice() {
    assertThat(rigs.add("Tern", "{}", 2, "[]", "ada", "x")).isEqualTo("tern-2");
    assertThat(rigs.add("  Grünes Auto! ", "{}", 2, "[]", "ada", "x")).isEqualTo("gr-nes-auto");
    assertThat(rigs.add("???", "{}", 2, "[]", "ada", "x")).isEqualTo("rig");
  }

  @Test
  void aRigThatIsNotThereIsNamed() {
    assertThatThrownBy(() -> rigs.get("heron"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("heron");
  }

  @Test
  void everyChangeIsAVersionThatCanBeTakenBackAndPutBack() {
    rigs.change("tern", 1, "Tern", "{two}", "ada", "Added a pump");
    rigs.change("tern", 2, "Arctic Tern", "{three}", "bo", "Renamed");
    assertThat(rigs.described("tern").file()).isEqualTo("{three}");
    assertThat(rigs.all()).extracting(RigStore.Summary::name).containsExactly("Arctic Tern");
    assertThat(step(-1)).contains("Renamed");
    assertThat(rigs.described("tern").file()).isEqualTo("{two}");
    assertThat(step(-1)).contains("Added a pump");
    assertThat(rigs.described("tern").file()).isEqualTo("{one}");
    assertThat(step(-1)).as("nothing before the first").isEmpty();
    assertThat(step(1)).contains("Added a pump");
    assertThat(rigs.described("tern").file()).isEqualTo("{two}");
    assertThat(rigs.canStep("tern")).containsExactly(true, true);
    assertThat(step(1)).contains("Renamed");
    assertThat(step(1)).as("nothing after the last").isEmpty();
    assertThat(rigs.versions("tern"))
        .extracting(RigStore.Version::what)
        .containsExactly(
            "Redid: Renamed",
            "Redid: Added a pump",
            "Undid: Added a pump",
            "Undid: Renamed",
            "Renamed",
            "Added a pump",
            "Taken in");
  }

  private Optional<String> step(int by) {
    return rigs.step("tern", by, "cy", text -> "Tern");
  }

  @Test
  void aVersionsNumberIsNeverUsedAgain() {
    rigs.change("tern", 1, "Alpha", "{alpha}", "ada", "Renamed to Alpha");
    step(-1);
    int undone = rigs.get("tern").version();
    assertThat(undone).as("undo appends").isEqualTo(3);
    rigs.change("tern", undone, "Beta", "{beta}", "ada", "Renamed to Beta");
    assertThat(rigs.get("tern").version()).isEqualTo(4);
    assertThat(rigs.description("tern", 2)).contains("{alpha}");
    assertThat(rigs.description("tern", 4)).contains("{beta}");
  }

  @Test
  void whatWasTakenBackStaysSoWhenOtherStepsFollow() {
    rigs.change("tern", 1, "Tern", "{two}", "ada", "Two");
    rigs.change("tern", 2, "Tern", "{three}", "ada", "Three");
    step(-1);
    step(-1);
    rigs.change("tern", rigs.get("tern").version(), "Tern", "{other}", "bo", "Other");
    assertThat(step(1)).as("nothing was taken back since").isEmpty();
    assertThat(step(-1)).contains("Other");
    assertThat(rigs.described("tern").file()).isEqualTo("{one}");
    assertThat(step(1)).as("the newest step from here").contains("Other");
    assertThat(rigs.described("tern").file()).isEqualTo("{other}");
  }

  @Test
  void aChangeToAnOldVersionIsRefusedNamingWhoWasFaster() {
    rigs.change("tern", 1, "Tern", "{two}", "ada", "Added a pump");
    assertThatThrownBy(() -> rigs.change("tern", 1, "Tern", "{mine}", "bo", "Added a tap"))
        .isInstanceOf(StaleVersion.class)
        .hasMessageContaining("ada")
        .hasMessageContaining("Added a pump")
        .satisfies(e -> assertThat(((StaleVersion) e).current()).isEqualTo(2));
    assertThat(rigs.described("tern").file()).isEqualTo("{two}");
  }

  @Test
  void aRigPutAwayStandsLastAndKeepsEverything() {
    rigs.add("Zander", "{}", 2, "[]", "ada", "x");
    rigs.archive("tern", true);
    assertThat(rigs.all()).extracting(RigStore.Summary::id).containsExactly("zander", "tern");
    assertThat(rigs.described("tern").file()).isEqualTo("{one}");
    rigs.archive("tern", false);
    assertThat(rigs.all()).noneMatch(RigStore.Summary::archived);
  }

  @Test
  void whoTravelsIsKept() {
    rigs.setHabits("tern", 4, "[1]");
    assertThat(rigs.get("tern").people()).isEqualTo(4);
    assertThat(rigs.get("tern").habits()).isEqualTo("[1]");
  }

  // --- handles, readings, journal --------------------------------------------------------------

  @Test
  void aReadingThatCannotBeShownIsSetAsideAndTheOthersStand() throws SQLException {
    logbook.read("tern", "fore", level(0.03), "ada");
    try (Statement statement = connection.createStatement()) {
      statement.execute(
          "insert into level values ('tern', 'arch', 0.02, timestamp with time zone '-9999-01-01 00:00:00+00:00', '20 L')");
      statement.execute(
          "insert into level values ('tern', 'aft', 'NaN', timestamp with time zone '2026-01-01 00:00:00+00:00', '? L')");
    }
    assertThat(logbook.levels("tern")).containsOnlyKeys("fore");
    assertThat(logbook.readings("tern").setAside()).containsExactly("aft", "arch");
    logbook.read("tern", "arch", level(0.01), "bo");
    assertThat(logbook.levels("tern")).containsOnlyKeys("arch", "fore");
    assertThat(logbook.undo("tern", "bo")).as("what was before is no reading").isPresent();
    assertThat(logbook.levels("tern")).containsOnlyKeys("fore");
  }

  @Test
  void turningAHandleWhereItStandsIsNoChange() {
    logbook.turn("tern", "supply", "shut", "shut", "ada");
    assertThat(logbook.journal("tern", 10)).isEmpty();
    logbook.turn("tern", "supply", "shut", "open", "ada");
    assertThat(logbook.handles("tern")).containsEntry("supply", "open");
  }

  @Test
  void undoTakesTheNewestBackFirstAndRedoPutsItBack() {
    logbook.turn("tern", "supply", "shut", "open", "ada");
    logbook.read("tern", "fore", level(0.03), "ada");
    logbook.read("tern", "fore", level(0.02), "bo");
    assertThat(logbook.undo("tern", "bo")).map(Logbook.Entry::subject).contains("fore");
    assertThat(logbook.levels("tern").get("fore")).isEqualTo(level(0.03));
    logbook.undo("tern", "bo");
    assertThat(logbook.levels("tern")).isEmpty();
    logbook.undo("tern", "bo");
    assertThat(logbook.handles("tern")).containsEntry("supply", "shut");
    assertThat(logbook.undo("tern", "bo")).isEmpty();
    logbook.redo("tern", "ada");
    logbook.redo("tern", "ada");
    assertThat(logbook.levels("tern").get("fore")).isEqualTo(level(0.03));
    Logbook.End end = logbook.end("tern");
    assertThat(end.newest()).map(Logbook.Entry::kind).contains(Logbook.Kind.REDO);
    assertThat(end.canUndo()).isTrue();
    assertThat(end.canRedo()).isTrue();
  }

  @Test
  void aNewChangeClosesWhatWasTakenBack() {
    logbook.turn("tern", "supply", "shut", "open", "ada");
    logbook.undo("tern", "ada");
    logbook.turn("tern", "draw", "tank", "outside", "ada");
    assertThat(logbook.redo("tern", "ada")).isEmpty();
    assertThat(logbook.handles("tern")).containsEntry("supply", "shut");
  }

  @Test
  void theJournalSaysWhoDidWhatNewestFirst() {
    logbook.turn("tern", "supply", "shut", "open", "ada");
    logbook.read("tern", "fore", level(0.03), "bo");
    logbook.undo("tern", "cy");
    List<Logbook.Entry> lines = logbook.journal("tern", 10);
    assertThat(lines).extracting(Logbook.Entry::who).containsExactly("cy", "bo", "ada");
    assertThat(lines)
        .extracting(Logbook.Entry::kind)
        .containsExactly(Logbook.Kind.UNDO, Logbook.Kind.READING, Logbook.Kind.TURN);
    assertThat(lines.get(1).undone()).isTrue();
    assertThat(lines).extracting(Logbook.Entry::at).containsOnly(NOON);
    assertThat(logbook.journal("tern", 1)).hasSize(1);
  }

  @Test
  void oneRigsJournalIsNotAnothers() {
    rigs.add("Heron", "{}", 2, "[]", "ada", "x");
    logbook.turn("tern", "supply", "shut", "open", "ada");
    assertThat(logbook.journal("heron", 10)).isEmpty();
    assertThat(logbook.undo("heron", "ada")).isEmpty();
    assertThat(logbook.handles("tern")).containsEntry("supply", "open");
  }

  // --- what people noted -----------------------------------------------------------------------

  private Entry note(String id, int hours, Entry.What what) {
    Entry entry = new Entry(id, NOON.plus(Duration.ofHours(hours)), what);
    diary.add("tern", entry, Slope.LEVEL, "ada");
    return entry;
  }

  private List<Entry> since(int hours) {
    return diary.standing("tern", NOON.plus(Duration.ofHours(hours)));
  }

  @Test
  void whatWasNotedSinceATimeIsTheSameWhetherItIsReadOrRemembered() {
    Entry two = note("a", 0, new Entry.People(2, 0, Optional.empty(), ""));
    Entry early = note("b", 1, new Entry.Note("early"));
    Entry four = note("c", 2, new Entry.People(4, 0, Optional.empty(), ""));
    Entry late = note("d", 3, new Entry.Note("late"));
    assertThat(since(0)).containsExactly(two, early, four, late);
    assertThat(since(1)).as("remembered, the early note left out").containsExactly(two, four, late);
    assertThat(since(-1)).as("earlier than was read").containsExactly(two, early, four, late);
    Entry last = note("e", 4, new Entry.Note("last"));
    assertThat(since(2)).containsExactly(two, four, late, last);
    diary.stand("tern", "d", DiaryStore.Standing.TAKEN_BACK);
    assertThat(since(3)).containsExactly(two, four, last);
  }
}
