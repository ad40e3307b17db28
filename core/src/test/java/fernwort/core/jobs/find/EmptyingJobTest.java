package fernwort.core.jobs.find;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.OnRecord;
import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.Told;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.end.Fixture;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.winter.sheets.ResidualWater;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class EmptyingJobTest {

  private static Plan plan(DemoRig rig, State from, boolean lines, PartId... tanks) {
    Network network = Network.of(rig.rig());
    return Plans.of(network).plan(EmptyingJob.of(network, Set.of(tanks), lines), from);
  }

  private static Plan plan(DemoRig rig, boolean lines, PartId... tanks) {
    return plan(rig, rig.state(), lines, tanks);
  }

  private static int at(Plan plan, PartId part, PositionId position) {
    for (int i = 0; i < plan.steps().size(); i++) {
      if (plan.steps().get(i) instanceof Step.Move m
          && m.part().equals(part)
          && m.to().equals(position)) {
        return i;
      }
    }
    return -1;
  }

  @Test
  void pumpAndHeaterGoOffBeforeAnythingIsOpened() {
    Plan plan = plan(DemoRig.called("marginalia"), false, PartId.of("low"));
    assertThat(plan.trouble()).isEmpty();
    int open = at(plan, PartId.of("low-drain"), PositionId.of("off"));
    assertThat(at(plan, PartId.of("pump"), PositionId.of("off"))).isNotNegative().isLessThan(open);
    assertThat(at(plan, PartId.of("heater"), PositionId.of("off")))
        .isNotNegative()
        .isLessThan(open);
  }

  @Test
  void eachTankReallyRunsOutInTheRunOrTheSheetSaysWhyNot() {
    for (DemoRig rig : DemoRig.all()) {
      List<String> told = new ArrayList<>();
      for (Part tank : rig.rig().tanks().toList()) {
        Plan plan = plan(rig, false, tank.id());
        told.addAll(Told.job(plan.job()));
        told.addAll(Told.plan(plan, rig.state()));
        boolean less = plan.after().volume(tank.id()) < 0.3 * rig.state().volume(tank.id()) + 1e-3;
        assertThat(less || !plan.notes().isEmpty() || plan.trouble().isPresent())
            .as(rig.id() + " " + tank.id() + " " + plan.after().volumes())
            .isTrue();
      }
      OnRecord.assertAsRead(OnRecord.file("emptying", rig.id()), told);
    }
  }

  @Test
  void grayHasItsHoseOnBeforeItsValveOpensAndItsValveShutBeforeTheCapGoesOn() {
    Plan plan = plan(DemoRig.called("marginalia"), false, PartId.of("gray"));
    assertThat(plan.trouble()).isEmpty();
    assertThat(at(plan, PartId.of("dump-outlet"), PositionId.of("hose")))
        .isNotNegative()
        .isLessThan(at(plan, PartId.of("gray-dump"), PositionId.of("open")));
    assertThat(at(plan, PartId.of("gray-dump"), PositionId.of("shut")))
        .isNotNegative()
        .isLessThan(at(plan, PartId.of("dump-outlet"), PositionId.of("capped")));
  }

  @Test
  void aTankThatWouldDrawAVacuumGetsAirFirst() {
    DemoRig rig = DemoRig.called("marginalia");
    Plan plan =
        plan(
            rig,
            rig.state().with(PartId.of("low-overflow-valve"), PositionId.of("shut")),
            false,
            PartId.of("low"));
    assertThat(plan.trouble()).isEmpty();
    assertThat(plan.after().setting().of(PartId.of("low-overflow-valve")).value())
        .isEqualTo("open");
  }

  @Test
  void theLinesAreLeftWithEveryTapOpenColdAndHot() {
    DemoRig rig = DemoRig.called("marginalia");
    Set<PartId> tanks = rig.rig().tanks().map(Part::id).collect(Collectors.toSet());
    Plan plan = plan(rig, true, tanks.toArray(PartId[]::new));
    assertThat(plan.trouble()).isEmpty();
    rig.rig().parts().stream()
        .filter(p -> p.kind() instanceof Fixture)
        .forEach(tap -> {
          Fixture fixture = (Fixture) tap.kind();
          PositionId stands = plan.after().setting().of(tap.id());
          assertThat(fixture.opensCold(stands)).as(tap.id().value()).isTrue();
          assertThat(fixture.opensHot(stands))
              .as(tap.id().value())
              .isEqualTo(fixture.use().mixes());
        });
    List<ResidualWater> left = ResidualWater.of(Network.of(rig.rig()), plan.after(), tanks, true);
    assertThat(left)
        .extracting(ResidualWater::id)
        .contains(PartId.of("sink-trap"), PartId.of("sediment"), PartId.of("pump"));
    double before = rig.rig().lines().stream().mapToDouble(l -> l.volume()).sum();
    double after =
        left.stream()
            .filter(l -> l.kind() == ResidualWater.Kind.LINE)
            .mapToDouble(ResidualWater::volume)
            .sum();
    assertThat(after).isLessThan(0.6 * before);
  }

  @Test
  void aTankThatWasNotChosenKeepsItsWater() {
    DemoRig rig = DemoRig.called("marginalia");
    Plan plan = plan(rig, true, PartId.of("low"));
    assertThat(plan.trouble()).isEmpty();
    assertThat(plan.after().volume(PartId.of("main")))
        .isGreaterThan(rig.state().volume(PartId.of("main")) - 1e-3);
    assertThat(plan.after().setting().of(PartId.of("gray-dump")).value()).isEqualTo("shut");
  }

  @Test
  void itsNameHoldsTheChoice() {
    Network network = Network.of(DemoRig.called("tern").rig());
    Job job = EmptyingJob.of(network, Set.of(PartId.of("fore"), PartId.of("gray")), true);
    assertThat(EmptyingJob.named(network, job.id())).contains(job);
    assertThat(EmptyingJob.named(network, "empty-out~heron")).isEmpty();
    assertThat(EmptyingJob.named(network, "rest")).isEmpty();
    assertThatThrownBy(() -> EmptyingJob.of(network, Set.of(), false))
        .hasMessageContaining("Nothing is chosen");
    assertThatThrownBy(() -> EmptyingJob.of(network, Set.of(PartId.of("pump")), false))
        .hasMessageContaining("is not a tank");
  }
}
