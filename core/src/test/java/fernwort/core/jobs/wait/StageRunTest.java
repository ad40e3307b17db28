package fernwort.core.jobs.wait;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.describe.Fittings;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Finder;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Harm;
import fernwort.core.jobs.goal.Need;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.line.Tee;
import fernwort.core.network.End;
import fernwort.core.network.Network;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.Event;
import fernwort.core.run.Landmarks;
import fernwort.core.run.Simulation;
import fernwort.core.run.water.Dry;
import fernwort.core.ways.Source;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What counts as gone wrong while a stage runs, on two tanks of which one stands higher. */
class StageRunTest {

  private static final Rig RIG = rig();
  private static final Network PLUMBING = Network.of(RIG);
  private static final Hydraulics HYDRAULICS = Hydraulics.of(PLUMBING);

  private static Rig rig() {
    RigBuilder rig =
        CaseRigs.rig()
            .part("upper", "Upper", 0, 0, 1.5, CaseRigs.tank())
            .part("lower", "Lower", 1, 0, 0.5, CaseRigs.tank())
            .part("between", "Between", 0.5, 0, 0.6, Fittings.twoWay(0))
            .part("out", "Drain valve", 1, 0, 0.4, Fittings.twoWay(0))
            .part("drain", "Drain", 1, 0, 0.3, Fittings.end(OpenEnd.Role.DRAIN))
            .part("pump", "Pump", 1, 0, 0.5, Fittings.pressurePump(10, 2.5))
            .part("tap", "Tap", 1, 0, 1, Fittings.fixture(Type.TAP, true, 6))
            .part("tee", "Tee", 1, 0, 0.5, new Tee())
            .line("a", "A", "upper.low > between.a", 19, 1, Material.PEX, 0)
            .line("b", "B", "between.b > lower.high", 19, 1, Material.PEX, 0)
            .line("c", "C", "lower.low > tee.a", 19, 1, Material.PEX, 0)
            .line("d", "D", "tee.b > out.a", 19, 1, Material.PEX, 0)
            .line("e", "E", "out.b > drain.in", 19, 1, Material.PEX, 0)
            .line("f", "F", "tee.c > pump.in", 19, 1, Material.PEX, 0)
            .line("g", "G", "pump.out > tap.cold", 12, 1, Material.PEX, 0);
    return CaseRigs.vented(CaseRigs.vented(rig, PartId.of("upper"), 1.5), PartId.of("lower"), 0.5)
        .build();
  }

  private static State state(double upper, double lower) {
    return new State(
        RIG.atRest(), Map.of(PartId.of("upper"), upper, PartId.of("lower"), lower), Slope.LEVEL);
  }

  private static StageRun stage(State from, Set<PartId> losing, Set<PartId> concerned) {
    Simulation run = StageRun.start(Landmarks.of(PLUMBING), HYDRAULICS, from, Dry.NOTHING);
    return new StageRun(PLUMBING, run, losing, Losses.at(run.moment()), concerned);
  }

  private static Optional<String> harm(StageRun stage) {
    return stage.harm().map(h -> h.kind() + " " + h.part());
  }

  @Test
  void aTankThatMovesAsWellIsHarmUnlessTheJobIsAboutIt() {
    StageRun neither = stage(state(0.06, 0.02), Set.of(), Set.of());
    neither.turn(PartId.of("between"), PositionId.of("open"));
    assertThat(harm(neither)).contains("DRAINED upper");
    assertThat(neither.harm().orElseThrow().words()).hasToString("Upper runs out as well");
    StageRun source = stage(state(0.06, 0.02), Set.of(), Set.of(PartId.of("upper")));
    source.turn(PartId.of("between"), PositionId.of("open"));
    assertThat(harm(source)).contains("GAINED lower");
    assertThat(source.harm().orElseThrow().words()).hasToString("Lower fills as well");
    StageRun both =
        stage(state(0.06, 0.02), Set.of(), Set.of(PartId.of("upper"), PartId.of("lower")));
    both.turn(PartId.of("between"), PositionId.of("open"));
    assertThat(harm(both)).isEmpty();
  }

  @Test
  void whatMovedAlreadyIsNotTheStagesDoing() {
    StageRun stage =
        stage(
            state(0.06, 0.02).with(PartId.of("between"), PositionId.of("open")),
            Set.of(),
            Set.of());
    stage.turn(PartId.of("pump"), PositionId.of("on"));
    assertThat(harm(stage)).isEmpty();
    assertThat(stage.run().moment().state().volume(PartId.of("upper"))).isLessThan(0.0595);
  }

  /** Water that a stage sets running and does not mean to lose is the next one's to stop. */
  @Test
  void whatRunsOutSinceAStageBeforeIsStillLost() {
    PartId drain = PartId.of("drain");
    Simulation run =
        StageRun.start(Landmarks.of(PLUMBING), HYDRAULICS, state(0.06, 0.06), Dry.NOTHING);
    Losses none = Losses.at(run.moment());
    run.set(PartId.of("out"), PositionId.of("open"));
    Set<PartId> lower = Set.of(PartId.of("lower"));
    StageRun blamed = new StageRun(PLUMBING, run.copy(), Set.of(), none, lower);
    blamed.turn(PartId.of("pump"), PositionId.of("on"));
    assertThat(harm(blamed)).contains("LOST drain");
    assertThat(blamed.losses().soFar().get(drain)).isGreaterThan(StageRun.SPLASH);
    StageRun excused =
        new StageRun(PLUMBING, run.copy(), Set.of(), none.excusing(run.moment()), lower);
    excused.turn(PartId.of("pump"), PositionId.of("on"));
    assertThat(harm(excused)).isEmpty();
    StageRun meant = new StageRun(PLUMBING, run.copy(), Set.of(drain), none, lower);
    meant.turn(PartId.of("pump"), PositionId.of("on"));
    assertThat(harm(meant)).isEmpty();
    assertThat(meant.losses()).isEqualTo(new Losses(Set.of(drain), Map.of()));
  }

  @Test
  void whatFollowsIsRunOnceForAllWhoAsk() {
    State draining = state(0.06, 0.02).with(PartId.of("out"), PositionId.of("open"));
    StageRun stage = stage(draining, Set.of(), Set.of(PartId.of("lower")));
    Onward on = new Onward(stage.run());
    double dry = on.begins(Event.Kind.DRY, PartId.of("lower"), 3600).orElseThrow();
    assertThat(on.time()).isEqualTo(dry);
    assertThat(on.begins(Event.Kind.DRY, PartId.of("lower"), 3600)).hasValue(dry);
    assertThat(on.begins(Event.Kind.DRY, PartId.of("lower"), dry - 1)).isEmpty();
    assertThat(on.time()).isEqualTo(dry);
    assertThat(on.begins(Event.Kind.FULL, PartId.of("upper"), dry + 60)).isEmpty();
    assertThat(on.time()).isEqualTo(dry + 60);
    assertThat(stage.run().time()).isZero();
  }

  @Test
  void lostWaterIsHarmUnlessItIsMeantOrRanBefore() {
    StageRun stage = stage(state(0.06, 0.06), Set.of(), Set.of(PartId.of("lower")));
    stage.turn(PartId.of("out"), PositionId.of("open"));
    assertThat(harm(stage)).contains("LOST drain");
    assertThat(stage.harm().orElseThrow().fix()).hasToString("Close a valve there, or catch it.");
    assertThat(stage.runningOut()).containsExactly(PartId.of("drain"));
    StageRun meant =
        stage(state(0.06, 0.06), Set.of(PartId.of("drain")), Set.of(PartId.of("lower")));
    meant.turn(PartId.of("out"), PositionId.of("open"));
    assertThat(harm(meant)).isEmpty();
    assertThat(meant.runningOut()).isEmpty();
    StageRun before =
        stage(
            state(0.06, 0.06).with(PartId.of("out"), PositionId.of("open")),
            Set.of(),
            Set.of(PartId.of("lower")));
    before.turn(PartId.of("pump"), PositionId.of("on"));
    assertThat(harm(before)).isEmpty();
    assertThat(before.runningOut()).isEmpty();
  }

  @Test
  void theFirstHarmStandsAndEndsTheStage() {
    StageRun stage =
        stage(state(0.06, 0.06), Set.of(), Set.of(PartId.of("lower"), PartId.of("upper")));
    stage.turn(PartId.of("out"), PositionId.of("open"));
    double ended = stage.run().time();
    stage.turn(PartId.of("between"), PositionId.of("open"));
    stage.fail(Harm.Kind.NOT_REACHED, PartId.of("tap"), "another", "thing");
    assertThat(harm(stage)).contains("LOST drain");
    assertThat(stage.run().time()).isEqualTo(ended);
    assertThat(stage.run().moment().state().setting().of(PartId.of("between")).value())
        .isEqualTo("shut");
  }

  @Test
  void aPumpThatDrawsAirIsHarm() {
    StageRun stage = stage(state(0, 0), Set.of(), Set.of(PartId.of("lower")));
    stage.turn(PartId.of("pump"), PositionId.of("on"));
    stage.turn(PartId.of("tap"), PositionId.of("open"));
    assertThat(harm(stage)).contains("DREW_AIR pump");
  }

  @Test
  void aTapWithoutWaterIsHarmAndSaysWhetherItsTankIsEmpty() {
    Need need =
        Need.of(
            new Source(Source.Kind.TANK, PartId.of("lower")),
            new End(End.Kind.FIXTURE, PartId.of("tap")),
            Finder.PUMPED_OR_FALLING);
    Goal goal = Goal.of(Map.of(), List.of(need), Map.of(PartId.of("tap"), PositionId.of("open")));
    StageRun runs =
        stage(state(0.06, 0.06).with(PartId.of("pump"), PositionId.of("on")), Set.of(), Set.of());
    runs.tryTaps(goal);
    assertThat(harm(runs)).isEmpty();
    assertThat(runs.run().moment().state().setting().of(PartId.of("tap")).value())
        .as("tried on a copy")
        .isEqualTo("shut");
    StageRun empty =
        stage(state(0.06, 0).with(PartId.of("pump"), PositionId.of("on")), Set.of(), Set.of());
    empty.tryTaps(goal);
    assertThat(harm(empty)).contains("NO_WATER tap");
    assertThat(empty.harm().orElseThrow().fix().toString()).startsWith("Fill Lower first");
    StageRun off = stage(state(0.06, 0.06), Set.of(), Set.of());
    off.tryTaps(goal);
    assertThat(harm(off)).contains("NO_WATER tap");
    assertThat(off.harm().orElseThrow().fix().toString()).startsWith("See what holds it back");
  }

  @Test
  void aTurnTakesFiveSeconds() {
    StageRun stage = stage(state(0.06, 0.06), Set.of(), Set.of());
    stage.turn(PartId.of("pump"), PositionId.of("on"));
    stage.turn(PartId.of("pump"), PositionId.of("off"));
    assertThat(stage.run().time()).isEqualTo(10);
    assertThat(stage.harm()).isEmpty();
    assertThat(stage.before().state()).isEqualTo(state(0.06, 0.06));
  }
}
