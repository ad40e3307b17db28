package fernwort.app.board;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.app.board.layout.BoardLayout;
import fernwort.app.board.layout.Layouts;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Outlook;
import fernwort.app.services.Standing;
import fernwort.app.units.Units;
import fernwort.core.budget.Budget;
import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Position;
import fernwort.core.network.Levels;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.Habits;
import fernwort.core.sizing.Lasts;
import fernwort.core.tank.Reading;
import fernwort.core.ways.FlowPaths;
import fernwort.core.ways.OpenWays;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The words on the Board. */
class BoardWordsTest {

  private static final DemoRig MARGINALIA = DemoRig.all().get(0);
  private static final DemoRig SAMPHIRE = DemoRig.all().get(1);
  private static final DemoRig TERN = DemoRig.all().get(2);

  private static Outlook outlook(OpenRig rig, State state) {
    Levels levels = Levels.of(rig.network(), state);
    FlowPaths ways = OpenWays.find(rig.network(), state.setting(), levels);
    return new Outlook(ways, rig.hazards().warnings(state.setting(), levels, ways));
  }

  private static List<String> now(DemoRig demo, PositionId... turned) {
    OpenRig rig = OpenRig.of(demo.id(), 1, demo.rig());
    State state = demo.state();
    for (int i = 0; i < turned.length; i += 2) {
      state = state.with(PartId.of((turned[i]).value()), turned[i + 1]);
    }
    return new Sentences(demo.rig(), state, outlook(rig, state)).now();
  }

  @Test
  void nowSaysWhatRunsFromWhereToWhereDrivenByWhat() {
    assertThat(now(MARGINALIA))
        .contains(
            "Pump draws from Main fresh and pushes to Sink, cold and hot.",
            "Waste of Sink runs to Gray.",
            "Air enters Main fresh by Air valve.");
  }

  @Test
  void nowSaysThatNothingRuns() {
    assertThat(now(SAMPHIRE)).containsExactly("Everything is closed. No water is moving.");
  }

  @Test
  void nowSaysThatAPumpHoldsItsPressureOrRests() {
    assertThat(now(TERN)).anyMatch(s -> s.contains("keeps the lines under pressure"));
    assertThat(
            now(
                MARGINALIA,
                PositionId.of("inlet"),
                PositionId.of("mains"),
                PositionId.of("mains-valve"),
                PositionId.of("open")))
        .anyMatch(s -> s.contains("mains water holds its pressure switch open"))
        .anyMatch(s -> s.startsWith("Mains water pushes water to"));
  }

  @Test
  void nowSaysThatWaterFallsOnTheGround() {
    assertThat(now(MARGINALIA, PositionId.of("low-drain"), PositionId.of("off")))
        .anyMatch(s -> s.startsWith("By gravity, water runs from Low fresh to the ground"));
  }

  @Test
  void wordsAreListedAsPeopleListThem() {
    assertThat(Sentences.list(List.of())).isEqualTo("nothing");
    assertThat(Sentences.list(List.of("a"))).isEqualTo("a");
    assertThat(Sentences.list(List.of("a", "b", "c"))).isEqualTo("a, b and c");
  }

  @Test
  void aChangeListsWaysOpenedAndShutAndWarningsGainedAndLost() {
    OpenRig rig = OpenRig.of("marginalia", 1, MARGINALIA.rig());
    State before = MARGINALIA.state();
    State after = before.with(PartId.of("tank-selector"), PositionId.of("shut"));
    Outlook.Preview preview = new Outlook.Preview(outlook(rig, before), outlook(rig, after));
    Change change =
        Change.of(
            Position.of("shut", "points up"),
            preview,
            new Sentences(rig.rig(), before, preview.before()),
            new Sentences(rig.rig(), after, preview.after()));
    assertThat(change.shut()).contains("Main fresh to Sink, cold and hot, by Pump");
    assertThat(change.opened()).isEmpty();
    assertThat(change.gained()).anyMatch(w -> w.title().toString().contains("nothing to draw"));
    assertThat(change.isNothing()).isFalse();
    Outlook.Preview same = new Outlook.Preview(preview.before(), preview.before());
    Sentences words = new Sentences(rig.rig(), before, preview.before());
    assertThat(Change.of(Position.of("x", "x"), same, words, words).isNothing()).isTrue();
  }

  @Test
  void lastsShowsItsSums() {
    OpenRig rig = OpenRig.of("marginalia", 1, MARGINALIA.rig());
    Lasts lasts = Lasts.of(rig.network(), MARGINALIA.state(), Habits.DEFAULT);
    Budget budget =
        Budget.of(
            rig.network(),
            List.of(),
            new Budget.Asked(Slope.LEVEL, Habits.DEFAULT, ZoneOffset.UTC, Instant.EPOCH));
    LastsView view = LastsView.of(rig.rig(), lasts, Habits.DEFAULT, List.of(), budget);
    assertThat(view.learnt()).isEmpty();
    assertThat(view.headline()).isEqualTo("2.5 days");
    assertThat(view.ends()).isEqualTo("until gray is full, 2 people");
    assertThat(view.other()).contains("Fresh would last 3.0 days");
    assertThat(view.working())
        .anyMatch(l -> l.toString().startsWith("All habits together: 35 L a day"))
        .anyMatch(l -> l.toString().startsWith("Main fresh holds 74 L"));
    assertThat(view.habits()).hasSameSizeAs(Habits.DEFAULT.habits());
  }

  @ParameterizedTest
  @CsvSource({"0, just now", "5, 5 min ago", "89, 89 min ago", "180, 3 h ago", "2880, 2 days ago"})
  void agesAreSaidInTheUnitThatFits(int minutes, String words) {
    Instant now = Instant.parse("2026-06-01T12:00:00Z");
    assertThat(Ages.ago(now.minus(Duration.ofMinutes(minutes)), now)).isEqualTo(words);
  }

  @Test
  void aReadingIsUnderstoodInEveryWayOfReading() {
    assertThat(ReadingText.of("62,5", "percent", Units.METRIC).reading())
        .isEqualTo(new Reading.Percent(62.5));
    assertThat(ReadingText.of("62 %", "percent", Units.METRIC).shown()).isEqualTo("62 %");
    assertThat(ReadingText.of("20", "litres", Units.METRIC).reading())
        .isEqualTo(new Reading.Volume(0.02));
    assertThat(ReadingText.of("3", "steps", Units.METRIC).reading())
        .isEqualTo(new Reading.Steps(3));
    ReadingText.Typed stick = ReadingText.of("6 in", "stick", Units.METRIC);
    assertThat(((Reading.Stick) stick.reading()).wet()).isCloseTo(0.1524, within(1e-9));
    assertThat(ReadingText.of("10", "litres", Units.of("US gal")).shown()).isEqualTo("10 US gal");
  }

  @ParameterizedTest
  @CsvSource({
    "plenty, percent",
    "-3, percent",
    "20 L, percent",
    "2.5, steps",
    "5, bucketfuls",
    "'', litres"
  })
  void aReadingThatMakesNoSenseIsRefused(String amount, String way) {
    assertThatThrownBy(() -> ReadingText.of(amount, way, Units.METRIC)).isInstanceOf(Refusal.class);
  }

  @Test
  void eachVehicleHasItsOwnSilhouette() {
    PlanDrawing plans = new PlanDrawing(new Layouts());
    Drawing truck = plans.of(MARGINALIA.rig());
    Drawing trailer = plans.of(SAMPHIRE.rig());
    Drawing van = plans.of(TERN.rig());
    assertThat(trailer.vehicle().window()).isEmpty();
    assertThat(trailer.vehicle().drawbar()).isNotEmpty();
    assertThat(trailer.vehicle().wheels()).hasSize(1);
    assertThat(List.of(truck, van))
        .allSatisfy(d -> {
          assertThat(d.vehicle().window()).isNotEmpty();
          assertThat(d.vehicle().drawbar()).isEmpty();
          assertThat(d.vehicle().wheels()).hasSize(2).isSorted();
          assertThat(d.roof()).isEqualTo(Silhouette.ROOF);
        });
    assertThat(truck.vehicle().body()).isNotEqualTo(van.vehicle().body());
  }

  @Test
  void aScreenGetsTheDrawingThatItShowsAndAnUnknownOneBoth() {
    OpenRig rig = OpenRig.of("samphire", 1, SAMPHIRE.rig());
    Supplier<List<BoardLayout>> places = () -> new Layouts().places(rig.rig());
    Supplier<BoardLayout> layout = () -> BoardLayout.of(rig.rig());
    Drafter drafter =
        new Drafter(
            rig,
            new Standing(SAMPHIRE.state(), java.util.Map.of(), List.of()),
            outlook(rig, SAMPHIRE.state()),
            Instant.EPOCH);
    assertThat(BoardView.Screen.of("wide").places(drafter, places)).isEmpty();
    assertThat(BoardView.Screen.of("wide").whole(drafter, layout)).isPresent();
    assertThat(BoardView.Screen.of("narrow").whole(drafter, layout)).isEmpty();
    assertThat(BoardView.Screen.of("narrow").places(drafter, places)).hasSize(3);
    assertThat(BoardView.Screen.of("").whole(drafter, layout)).isPresent();
    assertThat(BoardView.Screen.of("").places(drafter, places)).isNotEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "half, 50",
    "a quarter, 25",
    "3/4, 75",
    "three quarters, 75",
    "full, 100",
    "empty, 0",
    "half full, 50",
    "two thirds, 66.66666666666666",
    "A third, 33.33333333333333",
    "1/2 %, 0.5",
    "62 %, 62",
    "7.5, 7.5"
  })
  void aTankIsReadAsPeopleSayIt(String said, double percent) {
    Reading reading = ReadingText.of(said, "percent", Units.METRIC).reading();
    assertThat(((Reading.Percent) reading).percent()).isEqualTo(percent);
  }
}
