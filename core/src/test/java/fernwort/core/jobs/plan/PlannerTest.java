package fernwort.core.jobs.plan;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Severity;
import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.SmallHouses;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.ConditionEvaluator;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Seen;
import fernwort.core.kind.Position;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import fernwort.core.ways.FlowPaths;
import fernwort.core.ways.OpenWays;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import net.jqwik.api.statistics.Statistics;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The planner against brute force, and the laws that every plan keeps. */
class PlannerTest {

  private static final Set<Warning.Code> STANDING =
      Set.of(
          Warning.Code.CHECK_VALVE_REVERSED,
          Warning.Code.GRAY_FULL,
          Warning.Code.GRAY_NEARLY_FULL,
          Warning.Code.FILLING);

  @Property(tries = 100)
  void whatWasSeenForOneGoalChangesNoOther(@ForAll @LongRange(min = 0, max = 20_000) long seed) {
    Rig rig = SmallHouses.rig(seed);
    State from = SmallHouses.state(rig, seed);
    Planner planner = Planner.of(Network.of(rig));
    Seen seen = planner.seen(from);
    for (Job job : Jobs.of(planner.network()).all()) {
      for (Job.Stage stage : job.stages()) {
        assertThat(planner.plan(from, planner.scout(seen, from, stage.goal())))
            .as("%s of house %d", job.id(), seed)
            .isEqualTo(planner.plan(from, stage.goal()));
      }
    }
  }

  // --- brute force -----------------------------------------------------------------------------

  /** Breadth first over all settings, through none with a hazard that was not there before. */
  private static OptionalInt fewestTurns(Network network, State start, Goal goal) {
    ConditionEvaluator scout = Planner.of(network).scout(start, goal);
    Map<Setting, Integer> turns = new HashMap<>();
    Deque<Setting> front = new ArrayDeque<>();
    turns.put(start.setting(), 0);
    front.add(start.setting());
    while (!front.isEmpty()) {
      Setting at = front.remove();
      int so = turns.getOrDefault(at, 0);
      if (so > 0 && scout.newHazard(at).isPresent()) {
        continue;
      }
      if (scout.objection(at).isEmpty()) {
        return OptionalInt.of(so);
      }
      for (Setting next : neighbours(network.rig(), at, goal)) {
        if (turns.putIfAbsent(next, so + 1) == null) {
          front.add(next);
        }
      }
    }
    return OptionalInt.empty();
  }

  private static List<Setting> neighbours(Rig rig, Setting at, Goal goal) {
    List<Setting> next = new ArrayList<>();
    for (Part part : rig.handles().toList()) {
      for (Position position : part.kind().positions()) {
        boolean offered =
            Targets.isOffered(part, position.id())
                || position.id().equals(goal.musts().get(part.id()));
        if (offered && !at.of(part.id()).equals(position.id())) {
          next.add(at.with(part.id(), position.id()));
        }
      }
    }
    return next;
  }

  @Property(tries = 300)
  void aPlanTakesAsFewTurnsAsAnySafeOne(@ForAll @LongRange(min = 0, max = 20_000) long seed) {
    OptionalInt fewest = assertFewest(seed);
    Statistics.collect(fewest.isEmpty() ? "none" : fewest.getAsInt() < 2 ? "at once" : "several");
    Statistics.coverage(c -> {
      c.check("none").percentage(p -> p > 5);
      c.check("several").percentage(p -> p > 5);
    });
  }

  private static OptionalInt assertFewest(long seed) {
    Rig rig = SmallHouses.rig(seed);
    State start = SmallHouses.state(rig, seed);
    Network network = Network.of(rig);
    Goal goal = SmallHouses.goal(rig, seed);
    OptionalInt fewest = fewestTurns(network, start, goal);
    switch (Planner.of(network).plan(start, goal)) {
      case Planner.Found found ->
          assertThat(OptionalInt.of(found.turns().size())).as(found.toString()).isEqualTo(fewest);
      case Planner.Blocked blocked -> assertThat(fewest).as(blocked.toString()).isEmpty();
    }
    return fewest;
  }

  @Property(tries = 100)
  void noPlanPassesAHazardThatWasNotThere(@ForAll @LongRange(min = 0, max = 20_000) long seed) {
    assertSafe(seed);
  }

  /** Every house that the properties draw from; for {@code ./fernwort sweep}. */
  @Test
  @EnabledIfSystemProperty(named = "sweep.houses", matches = "[0-9]+")
  void bothHoldForEverySmallHouse() {
    SoftAssertions all = new SoftAssertions();
    for (long seed = 0; seed < Long.getLong("sweep.houses"); seed++) {
      long house = seed;
      all.assertThatCode(() -> assertFewest(house))
          .as("house %d", house)
          .doesNotThrowAnyException();
      all.assertThatCode(() -> assertSafe(house)).as("house %d", house).doesNotThrowAnyException();
    }
    all.assertAll();
  }

  /** A pump that runs though mains feed it; a far handle that saves the pump two turns. */
  @ParameterizedTest
  @ValueSource(longs = {574, 701, 398, 851, 3062})
  void bothHoldWhereTheyOnceDidNot(long seed) {
    assertFewest(seed);
    assertSafe(seed);
  }

  private static void assertSafe(long seed) {
    Rig rig = SmallHouses.rig(seed);
    State start = SmallHouses.state(rig, seed);
    Network network = Network.of(rig);
    if (Planner.of(network).plan(start, SmallHouses.goal(rig, seed))
        instanceof Planner.Found found) {
      assertSafe(network, start, found.turns(), Set.of());
    }
  }

  private static void assertSafe(
      Network network, State start, List<Turn> turns, Set<Warning.Code> inherent) {
    Set<Warning.Key> before = new HashSet<>();
    warnings(network, start).forEach(w -> before.add(w.key()));
    State at = start;
    for (Turn turn : turns) {
      at = at.with(turn.part(), turn.position());
      assertThat(warnings(network, at))
          .as("after %s of %s", turn, turns)
          .noneMatch(w ->
              w.severity() != Severity.NOTE
                  && !STANDING.contains(w.code())
                  && !inherent.contains(w.code())
                  && !before.contains(w.key()));
    }
  }

  private static List<Warning> warnings(Network network, State state) {
    Levels levels = Levels.of(network, state);
    FlowPaths ways = OpenWays.find(network, state.setting(), levels);
    Hazards hazards = Hazards.of(network);
    List<Warning> now = new ArrayList<>(hazards.withPower(state.setting(), levels, ways));
    now.addAll(hazards.withoutPower(state.setting(), levels, ways));
    return now;
  }

  // --- every job of the demo rigs --------------------------------------------------------------

  @Tag("slow")
  @TestFactory
  List<DynamicTest> everyJobOfTheDemoRigsKeepsToSafeStates() {
    List<DynamicTest> tests = new ArrayList<>();
    for (DemoRig demo : DemoRig.all()) {
      Network network = Network.of(demo.rig());
      Planner planner = Planner.of(network);
      for (Job job : Jobs.of(network).all()) {
        tests.add(
            DynamicTest.dynamicTest(
                demo.id() + ": " + job.name(), () -> assertSafe(planner, job, demo.state())));
      }
    }
    return tests;
  }

  private static void assertSafe(Planner planner, Job job, State from) {
    State state = from;
    for (Job.Stage stage : job.stages()) {
      State assumed = Job.assumed(planner.network(), state, stage.goal());
      if (planner.plan(assumed, stage.goal()) instanceof Planner.Found found) {
        assertSafe(planner.network(), assumed, found.turns(), stage.goal().inherent());
        state = state.with(found.after());
      }
    }
  }

  // --- order -----------------------------------------------------------------------------------

  private static final DemoRig TRUCK = DemoRig.all().getFirst();
  private static final Network PLUMBING = Network.of(TRUCK.rig());

  private static List<List<Turn>> plan(String id, State from) {
    Job job = Jobs.of(PLUMBING).byId(id).orElseThrow();
    List<List<Turn>> stages = new ArrayList<>();
    State state = from;
    for (Job.Stage stage : job.stages()) {
      State assumed = Job.assumed(PLUMBING, state, stage.goal());
      Planner.Found found = (Planner.Found) Planner.of(PLUMBING).plan(assumed, stage.goal());
      stages.add(found.turns());
      state = state.with(found.after());
    }
    return stages;
  }

  @Test
  void aFillOpensItsWayBeforeTheHoseGivesAndItsTapIsShutBeforeItComesOff() {
    assertThat(plan("fill-main-inlet", TRUCK.state()))
        .containsExactly(
            List.of(
                new Turn(PartId.of("fill-selector"), PositionId.of("main")),
                new Turn(PartId.of("inlet"), PositionId.of("mains"))),
            List.of(new Turn(PartId.of("inlet"), PositionId.of("hose"))),
            List.of(new Turn(PartId.of("inlet"), PositionId.of("capped"))));
  }

  @Test
  void theDumpHoseIsOnBeforeTheGrayValveOpensAndComesOffAfterItIsShut() {
    assertThat(plan("empty-gray-dump-outlet", TRUCK.state()))
        .containsExactly(
            List.of(
                new Turn(PartId.of("dump-outlet"), PositionId.of("hose")),
                new Turn(PartId.of("gray-dump"), PositionId.of("open"))),
            List.of(new Turn(PartId.of("gray-dump"), PositionId.of("shut"))),
            List.of(new Turn(PartId.of("dump-outlet"), PositionId.of("capped"))));
  }

  @Test
  void aTankIsNeverFilledWithItsVentShut() {
    State shut = TRUCK.state().with(PartId.of("low-overflow-valve"), PositionId.of("shut"));
    assertThat(plan("fill-low-inlet", shut).getFirst())
        .contains(new Turn(PartId.of("low-overflow-valve"), PositionId.of("open")))
        .last()
        .isEqualTo(new Turn(PartId.of("inlet"), PositionId.of("mains")));
  }

  @Test
  void oneGoesToEachPlaceOnce() {
    for (String id : List.of("move-low-main-pump", "drive", "rest")) {
      List<PlaceId> places =
          plan(id, TRUCK.state()).getFirst().stream()
              .map(t -> TRUCK.rig().part(t.part()).place())
              .toList();
      List<PlaceId> walked = new ArrayList<>();
      for (PlaceId place : places) {
        if (walked.isEmpty() || !walked.getLast().equals(place)) {
          walked.add(place);
        }
      }
      assertThat(walked).as(id).doesNotHaveDuplicates();
    }
  }
}
