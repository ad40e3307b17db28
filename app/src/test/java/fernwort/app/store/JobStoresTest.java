package fernwort.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.app.store.RunStore.Mark;
import fernwort.core.say.Refusal;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Clock;
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

/** Runs, cards, automations and answers on the real database. */
class JobStoresTest {

  private static final Clock NOON =
      Clock.fixed(Instant.parse("2026-06-01T12:00:00Z"), ZoneOffset.UTC);

  @TempDir Path folder;
  private Connection connection;
  private RunStore runs;
  private CardStore cards;
  private AutomationStore automations;
  private AnswerStore answers;

  @BeforeEach
  void open() throws SQLException {
    String url =
        "jdbc:h2:file:%s;DATABASE_TO_LOWER=TRUE;WRITE_DELAY=0".formatted(folder.resolve("test"));
    connection = DriverManager.getConnection(url, "sa", "");
    Flyway.configure().dataSource(url, "sa", "").load().migrate();
    DSLContext db = DSL.using(connection, SQLDialect.H2);
    runs = new RunStore(db, NOON);
    cards = new CardStore(db, NOON);
    automations = new AutomationStore(db);
    answers = new AnswerStore(db);
    RigStore rigs = new RigStore(db, NOON);
    rigs.add("Tern", "{one}", 2, "[]", "ada", "Taken in");
    rigs.add("Heron", "{two}", 2, "[]", "ada", "Taken in");
  }

  @AfterEach
  void close() throws SQLException {
    connection.close();
  }

  private String begun() {
    return runs.begin(
        "tern",
        "fill",
        "Fill",
        "ada",
        List.of(new RunStore.Planned(0, "turn"), new RunStore.Planned(1, "wait")));
  }

  private List<Mark> marks(String run) {
    return runs.steps(run).stream().map(RunStore.Row::mark).toList();
  }

  @Test
  void aTickIsKeptWithWhoMadeIt() {
    String run = begun();
    runs.mark(run, 1, Mark.DONE, "bo");
    assertThat(marks(run)).containsExactly(Mark.DONE, Mark.OPEN);
    assertThat(runs.steps(run).getFirst().who()).isEqualTo("bo");
    assertThat(runs.steps(run).getFirst().marked()).contains(NOON.instant());
  }

  @Test
  void aSecondTickOfTheSameStepChangesNothing() {
    String run = begun();
    runs.mark(run, 1, Mark.DONE, "bo");
    runs.mark(run, 1, Mark.DONE, "ada");
    assertThat(runs.steps(run).getFirst().who()).isEqualTo("bo");
  }

  @Test
  void aWaitKeepsWhenItWasBegun() {
    String run = begun();
    assertThat(runs.steps(run).getLast().begun()).isEmpty();
    runs.beginWait(run, 2);
    assertThat(runs.steps(run).getLast().begun()).contains(NOON.instant());
  }

  @Test
  void aNewPlanTakesThePlaceOfWhatIsOpenAndKeepsWhatWasDone() {
    String run = begun();
    runs.mark(run, 1, Mark.DONE, "ada");
    runs.replan(
        run, List.of(new RunStore.Planned(0, "turn back"), new RunStore.Planned(1, "wait")));
    assertThat(marks(run)).containsExactly(Mark.DONE, Mark.REPLACED, Mark.OPEN, Mark.OPEN);
    assertThat(runs.steps(run)).extracting(RunStore.Row::seq).containsExactly(1, 2, 3, 4);
  }

  @Test
  void aStepThatWasLeftOutIsPlannedAnewWithTheRest() {
    String run = begun();
    runs.mark(run, 1, Mark.SKIPPED, "ada");
    runs.replan(run, List.of(new RunStore.Planned(0, "turn")));
    assertThat(marks(run)).containsExactly(Mark.REPLACED, Mark.REPLACED, Mark.OPEN);
  }

  @Test
  void aRunEndsOnceAndKeepsHow() {
    String run = begun();
    runs.end(run, RunStore.Outcome.DONE, 0.05);
    runs.end(run, RunStore.Outcome.LEFT, 0);
    assertThat(runs.get("tern", run).outcome()).isEqualTo(RunStore.Outcome.DONE);
    assertThat(runs.get("tern", run).moved()).isEqualTo(0.05);
    assertThat(runs.newest("tern", 5)).extracting(RunStore.Run::id).containsExactly(run);
  }

  @Test
  void aRunOfAnotherRigIsNotFound() {
    String run = begun();
    assertThatThrownBy(() -> runs.get("heron", run)).isInstanceOf(Refusal.class);
  }

  @Test
  void aNoteThatIsTooLongIsRefusedAndTheOldOneStays() {
    String run = begun();
    runs.note(run, 1, "stiff, use both hands");
    assertThatThrownBy(() -> runs.note(run, 1, "x".repeat(401))).hasMessageContaining("400");
    assertThat(runs.steps(run).getFirst().note()).isEqualTo("stiff, use both hands");
  }

  @Test
  void aCardHoldsUntilItIsWithdrawnAndTokensDiffer() {
    String one = cards.make("tern", "Ada", List.of("levels", "fill"), Optional.empty());
    String other = cards.make("tern", "Bo", List.of("levels"), Optional.empty());
    assertThat(one).hasSizeGreaterThan(30).isNotEqualTo(other);
    assertThat(cards.holding(one))
        .hasValueSatisfying(c -> assertThat(c.shows()).containsExactly("levels", "fill"));
    cards.withdraw("tern", one);
    assertThat(cards.holding(one)).isEmpty();
    assertThat(cards.holding(other)).isPresent();
    assertThat(cards.all("tern")).hasSize(2);
  }

  @Test
  void aCardOfAnotherRigCannotBeWithdrawn() {
    String token = cards.make("tern", "Ada", List.of("levels"), Optional.empty());
    cards.withdraw("heron", token);
    assertThat(cards.holding(token)).isPresent();
  }

  @Test
  void aCardEndsWithItsDay() {
    Instant now = Instant.now();
    String holds = cards.make("tern", "Ada", List.of("levels"), Optional.of(now.plusSeconds(3600)));
    assertThat(cards.holding(holds)).isPresent();
    assertThatThrownBy(
            () -> cards.make("tern", "Bo", List.of("levels"), Optional.of(Instant.EPOCH)))
        .hasMessageContaining("over already");
  }

  @Test
  void aCardNeedsANameAndSomethingToShow() {
    assertThatThrownBy(() -> cards.make("tern", " ", List.of("levels"), Optional.empty()))
        .hasMessageContaining("who the card is for");
    assertThatThrownBy(() -> cards.make("tern", "Ada", List.of(), Optional.empty()))
        .hasMessageContaining("what the card shows");
    assertThat(cards.holding("made-up")).isEmpty();
  }

  @Test
  void automationsAreKeptAndTakenAwayPerRig() {
    automations.add("tern", "{rule}");
    String id = automations.all("tern").getFirst().id();
    automations.remove("heron", id);
    assertThat(automations.all("tern")).hasSize(1);
    automations.remove("tern", id);
    assertThat(automations.all("tern")).isEmpty();
  }

  @Test
  void answersAreKeptWithTheVersionThatTheyMadeAsFarBackAsStepsAreTaken() {
    for (int version = 1; version <= 120; version++) {
      answers.keep("tern", "{" + version + "}", version);
    }
    AnswerStore.Kept newest = answers.newest("tern").orElseThrow();
    assertThat(newest.made()).contains(120);
    AnswerStore.Kept before = answers.before("tern", newest.seq()).orElseThrow();
    assertThat(before.given()).isEqualTo("{119}");
    assertThat(before.made()).contains(119);
    assertThat(answers.before("tern", newest.seq() - 99)).isEmpty();
    assertThat(answers.knows("heron")).isFalse();
  }
}
