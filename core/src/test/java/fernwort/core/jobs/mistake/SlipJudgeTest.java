package fernwort.core.jobs.mistake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.hazard.Warning;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.jobs.goal.Trial.Outcome;
import fernwort.core.jobs.goal.Trial.Thing;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import fernwort.core.run.Event;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** How bad a slip is, how soon it is so and whether it can be undone, outcome by outcome. */
class SlipJudgeTest {

  private static final DemoRig TRUCK = DemoRig.all().getFirst();
  private static final State FROM = TRUCK.state();
  private static final Network NETWORK = Network.of(TRUCK.rig());
  private static final SlipJudge JUDGE =
      new SlipJudge(NETWORK, new Trial(NETWORK, Hydraulics.of(NETWORK)));

  private static final Warning.Key HEATER =
      new Warning.Key(Warning.Code.HEATER_DRY, List.of(PartId.of("heater")));
  private static final Warning.Key BACKFLOW =
      new Warning.Key(Warning.Code.BACKFLOW, List.of(PartId.of("main"), PartId.of("inlet")));

  private static Outcome outcome(
      Map<Thing, Double> happenings,
      Map<Warning.Key, Double> dangers,
      State end,
      Map<PartId, Double> out,
      Map<PartId, Double> served) {
    return new Outcome(happenings, dangers, end, out, served, Map.of(), Map.of());
  }

  private static final Outcome RIGHT = outcome(Map.of(), Map.of(), FROM, Map.of(), Map.of());

  private static Slip judged(Outcome meant, Outcome came) {
    Try slip = new Try(Slip.Kind.MISSED, 2, Message.words("Something was forgotten."), List.of());
    return JUDGE.judge(slip, meant, came, FROM);
  }

  private static Outcome happening(Event.Kind kind, ElementId subject, double at) {
    return outcome(Map.of(new Thing(kind, subject), at), Map.of(), FROM, Map.of(), Map.of());
  }

  private static Outcome dangerous(Map<Warning.Key, Double> dangers) {
    return outcome(Map.of(), dangers, FROM, Map.of(), Map.of());
  }

  private static Outcome losing(Map<PartId, Double> out, Map<Thing, Double> happenings) {
    return outcome(happenings, Map.of(), FROM, out, Map.of());
  }

  @Test
  void nothingComesOfWhatEndsAsItShould() {
    Slip slip = judged(RIGHT, RIGHT);
    assertThat(slip.grade()).isEqualTo(Slip.Grade.HARMLESS);
    assertThat(slip.after()).isZero();
    assertThat(slip.lost()).isZero();
    assertThat(slip.leads()).hasToString("Nothing happens.");
    assertThat(slip.undone()).isEmpty();
    assertThat(slip.step()).isEqualTo(2);
  }

  @Test
  void aDangerIsGraveFromWhenItBegins() {
    Slip dry = judged(RIGHT, dangerous(Map.of(HEATER, 40.0)));
    assertThat(dry.grade()).isEqualTo(Slip.Grade.GRAVE);
    assertThat(dry.after()).isEqualTo(40);
    assertThat(dry.leads().toString()).contains("heats without water");
    assertThat(dry.undone()).startsWith("Only if it is caught at once");
    Slip both = judged(RIGHT, dangerous(Map.of(HEATER, 40.0, BACKFLOW, 7.0)));
    assertThat(both.after()).isEqualTo(7);
    assertThat(both.leads().toString()).contains("run back").contains("heats without water");
    Slip back = judged(RIGHT, dangerous(Map.of(BACKFLOW, 7.0)));
    assertThat(back.undone()).startsWith("No: do not drink");
    // What the job done right has as well is not the slip's.
    assertThat(judged(dangerous(Map.of(BACKFLOW, 3.0)), dangerous(Map.of(BACKFLOW, 7.0))).grade())
        .isEqualTo(Slip.Grade.HARMLESS);
  }

  private static Outcome running(Event.Kind kind, double seconds) {
    return new Outcome(
        Map.of(new Thing(kind, PartId.of("pump")), 30.0),
        Map.of(),
        FROM,
        Map.of(),
        Map.of(),
        Map.of(new Thing(kind, PartId.of("pump")), seconds),
        Map.of());
  }

  /** The truck's pump is a diaphragm pump with a switch: it bears a quarter of an hour. */
  @ParameterizedTest
  @CsvSource({
    "DRAWS_AIR, 59, HARMLESS",
    "DRAWS_AIR, 61, BAD",
    "DRAWS_AIR, 899, BAD",
    "DRAWS_AIR, 901, GRAVE",
    "RESTS, 1200, HARMLESS",
  })
  void aPumpBearsRunningDryForAWhileAndItsSwitchStopsItAtAClosedOutlet(
      Event.Kind kind, double seconds, Slip.Grade grade) {
    assertThat(judged(RIGHT, running(kind, seconds)).grade()).isEqualTo(grade);
    assertThat(judged(running(kind, seconds), running(kind, seconds)).grade())
        .as("as the job has it")
        .isEqualTo(Slip.Grade.HARMLESS);
  }

  @Test
  void whatRunsOverTheHandsBetweenCapAndHoseIsASpill() {
    Outcome spilt =
        new Outcome(
            Map.of(),
            Map.of(),
            FROM,
            Map.of(),
            Map.of(),
            Map.of(),
            Map.of(PartId.of("dump-outlet"), 0.004));
    Slip slip = judged(RIGHT, spilt);
    assertThat(slip.grade()).isEqualTo(Slip.Grade.BAD);
    assertThat(slip.lost()).isEqualTo(0.004);
    assertThat(slip.leads().toString()).contains("over your hands");
  }

  @ParameterizedTest
  @EnumSource(
      value = Event.Kind.class,
      names = {"BURSTS", "SUCKED_IN"})
  void whatBreaksIsGrave(Event.Kind kind) {
    ElementId subject = PartId.of("main");
    Slip slip = judged(RIGHT, happening(kind, subject, 125));
    assertThat(slip.grade()).isEqualTo(Slip.Grade.GRAVE);
    assertThat(slip.after()).isEqualTo(125);
    assertThat(slip.leads().toString()).contains("after");
    assertThat(slip.undone()).startsWith("Only if it is caught at once");
    assertThat(judged(happening(kind, subject, 9), happening(kind, subject, 125)).grade())
        .isEqualTo(Slip.Grade.HARMLESS);
  }

  @Test
  void aTankThatBulgesAndDoesNotBurstIsDamage() {
    Slip slip = judged(RIGHT, happening(Event.Kind.BULGES, PartId.of("main"), 60));
    assertThat(slip.grade()).isEqualTo(Slip.Grade.BAD);
    assertThat(slip.leads().toString()).contains("bulges after");
  }

  @Test
  void whatBacksUpIsBadAndCanBeUndone() {
    Slip slip = judged(RIGHT, happening(Event.Kind.BACKS_UP, PartId.of("sink"), 60));
    assertThat(slip.grade()).isEqualTo(Slip.Grade.BAD);
    assertThat(slip.after()).isEqualTo(60);
    assertThat(slip.undone()).startsWith("Yes, except");
  }

  @ParameterizedTest
  @CsvSource({
    // A splash of a third of a litre is none; more than a bucket of ten is gone.
    "0.0002, HARMLESS, ''",
    "0.0004, BAD, 'Yes, except for the water that was spilt.'",
    "0.0099, BAD, 'Yes, except for the water that was spilt.'",
    "0.0101, BAD, 'No: the water is gone.'",
  })
  void whatRunsOutIsBadByItsLitres(double lost, Slip.Grade grade, String undone) {
    Map<Thing, Double> runs = Map.of(new Thing(Event.Kind.RUNS_OUT, PartId.of("main-tail")), 33.0);
    Slip slip = judged(RIGHT, losing(Map.of(PartId.of("main-tail"), lost), runs));
    assertThat(slip.grade()).isEqualTo(grade);
    assertThat(slip.undone()).isEqualTo(undone);
    assertThat(slip.lost()).isCloseTo(grade == Slip.Grade.BAD ? lost : 0, within(1e-12));
    assertThat(slip.after()).isEqualTo(grade == Slip.Grade.BAD ? 33 : 0);
  }

  @Test
  void onlyWhatRunsOutBeyondTheJobCountsAndAllOfIt() {
    Outcome meant = losing(Map.of(PartId.of("main-tail"), 0.002), Map.of());
    Outcome came =
        losing(Map.of(PartId.of("main-tail"), 0.005, PartId.of("low-drain"), 0.004), Map.of());
    Slip slip = judged(meant, came);
    assertThat(slip.lost()).isCloseTo(0.003 + 0.004, within(1e-12));
    assertThat(slip.leads().toString()).contains("3 L").contains("4 L").contains("Low drain cap");
  }

  private static Outcome serving(double flow) {
    return outcome(Map.of(), Map.of(), FROM, Map.of(), Map.of(PartId.of("sink"), flow));
  }

  private static Outcome holding(double litres) {
    return outcome(
        Map.of(), Map.of(), FROM.withVolume(PartId.of("main"), litres / 1000), Map.of(), Map.of());
  }

  @Test
  void aTapThatGivesLessThanHalfIsNotServed() {
    assertThat(judged(serving(1e-4), serving(4.9e-5)).grade()).isEqualTo(Slip.Grade.NUISANCE);
    assertThat(judged(serving(1e-4), serving(5.1e-5)).grade()).isEqualTo(Slip.Grade.HARMLESS);
    assertThat(judged(serving(1e-4), serving(0)).grade()).isEqualTo(Slip.Grade.NUISANCE);
    // A tap that nobody came to try tells nothing.
    assertThat(judged(serving(1e-4), RIGHT).grade()).isEqualTo(Slip.Grade.HARMLESS);
    // What only drips when all is right is missed by nobody.
    assertThat(judged(serving(2e-6), serving(0)).grade()).isEqualTo(Slip.Grade.HARMLESS);
    assertThat(judged(serving(1e-4), serving(0)).undone()).startsWith("Yes");
  }

  @Test
  void aTankThatMovesLessThanHalfAsFarMeansTheJobIsNotDone() {
    double before = 1000 * FROM.volume(PartId.of("main"));
    Outcome meant = holding(before - 20);
    assertThat(judged(meant, holding(before - 11)).grade()).isEqualTo(Slip.Grade.HARMLESS);
    assertThat(judged(meant, holding(before - 9)).grade()).isEqualTo(Slip.Grade.NUISANCE);
    assertThat(judged(meant, holding(before + 1)).leads().toString())
        .contains("The job does not get done");
    // Farther by more than half is not what was meant either.
    assertThat(judged(meant, holding(before - 29)).grade()).isEqualTo(Slip.Grade.HARMLESS);
    assertThat(judged(meant, holding(before - 31)).grade()).isEqualTo(Slip.Grade.NUISANCE);
    // A splash is no move.
    assertThat(judged(holding(before - 0.2), holding(before + 5)).grade())
        .isEqualTo(Slip.Grade.HARMLESS);
  }

  @Test
  void theWorstDecidesAndAJobNotDoneIsNotAddedToIt() {
    Outcome came =
        outcome(
            Map.of(new Thing(Event.Kind.BURSTS, PartId.of("main")), 50.0),
            Map.of(),
            FROM,
            Map.of(PartId.of("main-tail"), 0.02),
            Map.of());
    Slip slip = judged(serving(1e-4), came);
    assertThat(slip.grade()).isEqualTo(Slip.Grade.GRAVE);
    assertThat(slip.leads().toString()).doesNotContain("does not get done");
    assertThat(slip.lost()).isCloseTo(0.02, within(1e-12));
  }
}
