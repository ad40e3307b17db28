package fernwort.core.cold;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.network.End;
import fernwort.core.network.Levels;
import fernwort.core.network.OpenWays;
import fernwort.core.network.Plumbing;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class EmptyingTest {

  private static DemoRig demo(String id) {
    return DemoRig.all().stream().filter(d -> d.id().equals(id)).findFirst().orElseThrow();
  }

  private static EmptyPlan plan(DemoRig rig, boolean lines, String... tanks) {
    return Emptying.plan(Plumbing.of(rig.rig()), rig.state(), Set.of(tanks), lines);
  }

  @Test
  void pumpsAndHeaterGoOffBeforeAnythingIsOpened() {
    EmptyPlan plan = plan(demo("marginalia"), false, "low");
    assertThat(plan.steps().getFirst().why()).isEqualTo(EmptyStep.Why.SWITCH_OFF);
    int lastOff =
        plan.steps().stream()
            .filter(s -> s.why() == EmptyStep.Why.SWITCH_OFF)
            .mapToInt(plan.steps()::indexOf)
            .max()
            .orElseThrow();
    int firstOpen =
        plan.steps().stream()
            .filter(s -> s.why() == EmptyStep.Why.LET_WATER_OUT)
            .mapToInt(plan.steps()::indexOf)
            .min()
            .orElseThrow();
    assertThat(lastOff).isLessThan(firstOpen);
    assertThat(plan.after().of("pump")).isEqualTo("off");
    assertThat(plan.after().of("heater")).isEqualTo("off");
  }

  @Test
  void everyTankThatIsNotStuckReallyRunsOut() {
    for (DemoRig rig : DemoRig.all()) {
      Plumbing plumbing = Plumbing.of(rig.rig());
      for (Part tank : rig.rig().tanks().toList()) {
        EmptyPlan plan = Emptying.plan(plumbing, rig.state(), Set.of(tank.id()), false);
        State after = rig.state().with(plan.after());
        boolean runs =
            OpenWays.find(plumbing, plan.after(), Levels.of(plumbing, after))
                .from(tank.id())
                .anyMatch(
                    w -> w.end().kind() == End.Kind.GROUND || w.end().kind() == End.Kind.DUMP);
        assertThat(runs)
            .as(rig.id() + " " + tank.id())
            .isNotEqualTo(plan.stuck().contains(tank.id()));
      }
    }
  }

  @Test
  void grayGoesThroughADumpHoseNotOntoTheGround() {
    EmptyPlan plan = plan(demo("marginalia"), false, "gray");
    assertThat(plan.after().of("dump-outlet")).isEqualTo("hose");
    assertThat(plan.after().of("gray-dump")).isEqualTo("open");
  }

  @Test
  void aTankThatWouldDrawAVacuumGetsAirFirst() {
    DemoRig rig = demo("marginalia");
    State shut = rig.state().with("low-overflow-valve", "shut");
    EmptyPlan plan = Emptying.plan(Plumbing.of(rig.rig()), shut, Set.of("low"), false);
    int air = plan.steps().stream().map(EmptyStep::why).toList().indexOf(EmptyStep.Why.LET_AIR_IN);
    int water =
        plan.steps().stream().map(EmptyStep::why).toList().indexOf(EmptyStep.Why.LET_WATER_OUT);
    assertThat(air).isNotNegative().isLessThan(water);
  }

  @Test
  void whatStaysInATankIsBelowItsDrain() {
    EmptyPlan plan = plan(demo("samphire"), false, "tank");
    double belowDrain = 0.71 * 0.41 * 0.006;
    assertThat(plan.leftovers())
        .singleElement()
        .satisfies(l -> assertThat(l.volume()).isLessThanOrEqualTo(belowDrain + 1e-6));
  }

  @Test
  void emptyingTheLinesLeavesWaterInTrapsAndFilterBowlsAndInSags() {
    DemoRig rig = demo("marginalia");
    Set<String> tanks = rig.rig().tanks().map(Part::id).collect(Collectors.toSet());
    EmptyPlan plan = plan(rig, true, tanks.toArray(String[]::new));
    assertThat(plan.leftovers()).extracting(Leftover::id).contains("sink-trap", "sediment", "pump");
    assertThat(plan.leftovers()).allMatch(l -> l.volume() > 0);
    double before = rig.rig().lines().stream().mapToDouble(l -> l.volume()).sum();
    double after =
        plan.leftovers().stream()
            .filter(l -> l.kind() == Leftover.Kind.LINE)
            .mapToDouble(Leftover::volume)
            .sum();
    assertThat(after).isLessThan(0.6 * before);
  }

  @Test
  void tanksThatWereNotChosenAreShutOffAndKeepTheirWater() {
    DemoRig rig = demo("marginalia");
    EmptyPlan plan = plan(rig, true, "low");
    assertThat(plan.steps())
        .contains(new EmptyStep("tank-selector", "shut", EmptyStep.Why.KEEP_IN));
    assertThat(plan.after().of("gray-dump")).isEqualTo("shut");
    State after = rig.state().with(plan.after());
    assertThat(OpenWays.find(Plumbing.of(rig.rig()), after).ways())
        .extracting(w -> w.source().part())
        .doesNotContain("main", "gray");
  }

  @Test
  void planningTwiceGivesTheSamePlan() {
    assertThat(plan(demo("tern"), true, "fore", "gray"))
        .isEqualTo(plan(demo("tern"), true, "fore", "gray"));
  }
}
