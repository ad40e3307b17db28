package fernwort.core.jobs.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.network.Network;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.Event;
import fernwort.core.run.Simulation;
import fernwort.core.run.water.Dry;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Run sheets: reasons, waits and troubles. */
class PlansTest {

  private static final DemoRig TRUCK = DemoRig.all().getFirst();
  private static final Network PLUMBING = Network.of(TRUCK.rig());
  private static final Jobs JOBS = Jobs.of(PLUMBING);
  private static final Plans PLANS = Plans.of(PLUMBING);

  private static Plan plan(String job, State from) {
    return PLANS.plan(JOBS.byId(job).orElseThrow(), from);
  }

  @Test
  void theRigsOwnJobsAreFound() {
    List<String> offered = PLANS.offered(JOBS).stream().map(Job::id).toList();
    assertThat(offered)
        .contains(
            "run-main",
            "run-low",
            "run-inlet",
            "fill-main-inlet",
            "fill-low-inlet",
            "fill-all-inlet",
            "move-main-low-pump",
            "move-low-main-pump",
            "rinse-rinse-inlet",
            "heat-heater-main",
            "empty-gray-dump-outlet",
            "shed-low-low-drain",
            "drive",
            "arrive",
            "rest")
        .doesNotContain("run-together");
  }

  @Test
  void whatARigCannotDoIsSaidWithThePartThatIsMissing() {
    Network van = Network.of(DemoRig.all().get(1).rig());
    assertThat(Jobs.of(van).cannot())
        .anySatisfy(c -> {
          assertThat(c.what().toString()).isEqualTo("Heat water");
          assertThat(c.why().toString()).contains("heater");
        })
        .anySatisfy(c -> assertThat(c.why().toString()).contains("hose inlet"));
  }

  @Test
  void aTankThatFillsByOverflowIsFilledThroughTheOthers() {
    Network van = Network.of(DemoRig.all().get(2).rig());
    Job job = Jobs.of(van).byId("fill-through-fore-inlet").orElseThrow();
    assertThat(job.by()).isEqualTo("Fore fresh, then Arch fresh, then Aft fresh");
    assertThat(job.stages().stream().limit(3).map(s -> s.until().orElseThrow().what()))
        .containsExactly(Job.Until.What.RUNS_OVER, Job.Until.What.RUNS_OVER, Job.Until.What.FULL);
    assertThat(job.stages().get(2).until())
        .contains(new Job.Until(Job.Until.What.FULL, PartId.of("aft")));
  }

  /** However the bypass stands: what is open past the heater mixes cold water into it. */
  @Test
  void hotWaterThatIsSentRoundIsFedThroughItsHeater() {
    Rig rig =
        ReadyRig.all().stream().filter(r -> r.id().equals("long-stay")).findFirst().get().rig();
    Network network = Network.of(rig);
    Job round = Jobs.of(network).byId("round-loop-pump").orElseThrow();
    for (PositionId bypass : List.of(PositionId.of("shut"), PositionId.of("open"))) {
      State from =
          new State(
              rig.atRest().with(PartId.of("bypass"), bypass),
              Map.of(PartId.of("fresh"), network.room(PartId.of("fresh")).capacity() / 2),
              Slope.LEVEL);
      Plan plan = Plans.of(network).plan(round, from);
      assertThat(plan.trouble()).as("bypass %s", bypass).isEmpty();
      assertThat(plan.after().setting().of(PartId.of("heater-in")).value()).isEqualTo("open");
      assertThat(plan.after().setting().of(PartId.of("bypass")).value())
          .as("left %s", bypass)
          .isEqualTo("shut");
    }
  }

  /**
   * What goes wrong is told of the nearest setting, not of the last that was tried for want of it:
   * who drains a tank hears nothing of a pump.
   */
  @Test
  void whatNeverComesToItsEndSaysWhatHoldsItBack() {
    assertThat(trouble("marginalia", "empty-gray-dump-outlet"))
        .endsWith(
            "Gray does not empty. As it is parked, the 1 L in it do not come to its outlet:"
                + " lean it that way.");
    assertThat(trouble("samphire", "shed-tank-drain-cap"))
        .endsWith(
            "Tank does not empty. As it is parked, the 1 L in it do not come to its outlet:"
                + " lean it that way.");
    assertThat(trouble("samphire", "run-tank"))
        .endsWith("Foot pump draws air. Fill the tank that it draws from first.");
    assertThat(trouble("tern", "empty-gray-mace-outlet-pump"))
        .endsWith(
            "Macerator draws air. Leave the rest in its tank, or lean that to where it is drawn"
                + " from.");
  }

  @Test
  void anEmptyTankIsNotEmptied() {
    assertThat(trouble("marginalia", "empty-gray-dump-outlet", 0))
        .isEqualTo("Gray is empty already. There is nothing to let out.");
    assertThat(trouble("samphire", "shed-tank-drain-cap", 1e-4))
        .isEqualTo("Tank is empty already. There is nothing to let out.");
  }

  private static String trouble(String demo, String job) {
    return trouble(demo, job, 1e-3);
  }

  /** Returns why a job cannot be done with so much in each tank (m³). */
  private static String trouble(String demo, String job, double volume) {
    Network network = Network.of(DemoRig.called(demo).rig());
    Map<PartId, Double> volumes = new HashMap<>();
    network.tanks().forEach(t -> volumes.put(t.id(), volume));
    return Plans.of(network)
        .plan(
            Jobs.of(network).byId(job).orElseThrow(),
            new State(network.rig().atRest(), volumes, Slope.LEVEL))
        .trouble()
        .orElseThrow()
        .words()
        .toString();
  }

  @Test
  void aPlanInBriefWaitsAsLongAndTellsNoMore() {
    Job fill = Jobs.of(PLUMBING).byId("fill-main-inlet").orElseThrow();
    State from = TRUCK.state().withVolume(PartId.of("main"), 0.02);
    Step.Wait whole = wait(Plans.of(PLUMBING).plan(fill, from));
    Step.Wait brief = wait(Plans.of(PLUMBING).brief().plan(fill, from));
    assertThat(brief.seconds().expected()).isEqualTo(whole.seconds().expected());
    assertThat(brief.seconds().low()).isEqualTo(brief.seconds().high());
    assertThat(whole.seconds().low()).isLessThan(whole.seconds().high());
    assertThat(brief.then()).isEmpty();
    assertThat(whole.then()).isNotEmpty();
    assertThat(Trial.acts(Plans.of(PLUMBING).plan(fill, from)))
        .contains(new Trial.Pause(whole.seconds().expected(), Optional.of(PartId.of("main"))));
    Job empty = Jobs.of(PLUMBING).byId("empty-gray-dump-outlet").orElseThrow();
    Plan emptied =
        Plans.of(PLUMBING).plan(empty, TRUCK.state().withVolume(PartId.of("gray"), 0.03));
    assertThat(Trial.acts(emptied))
        .contains(new Trial.Pause(wait(emptied).seconds().expected(), Optional.empty()));
  }

  private static Step.Wait wait(Plan plan) {
    return plan.steps().stream()
        .filter(Step.Wait.class::isInstance)
        .map(Step.Wait.class::cast)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aJobTellsFromWhichTanksItDraws() {
    Jobs jobs = Jobs.of(PLUMBING);
    Job run = jobs.byId("run-main").orElseThrow();
    assertThat(run.drawsFrom(PartId.of("main"))).isTrue();
    assertThat(run.drawsFrom(PartId.of("low"))).isFalse();
    assertThat(jobs.byId("fill-main-inlet").orElseThrow().drawsFrom(PartId.of("inlet"))).isFalse();
  }

  @Test
  void whatIsSoAlreadyNeedsNothingDone() {
    DemoRig trailer = DemoRig.called("samphire");
    Network network = Network.of(trailer.rig());
    Plans plans = Plans.of(network);
    Jobs jobs = Jobs.of(network);
    State rest = trailer.state().with(trailer.rig().atRest());
    State pumping = rest.with(PartId.of("foot-pump"), PositionId.of("on"));
    assertThat(so(plans, jobs, rest)).containsExactlyInAnyOrder("drive", "arrive", "rest");
    assertThat(so(plans, jobs, pumping)).containsExactlyInAnyOrder("run-tank", "arrive");
    // Nothing is to be turned to empty it, yet it is still to be waited for; and it runs out.
    assertThat(so(plans, jobs, rest.with(PartId.of("drain-cap"), PositionId.of("off")))).isEmpty();
    // A pump that runs already is not listened to once more.
    assertThat(so(Plans.of(PLUMBING), Jobs.of(PLUMBING), TRUCK.state())).contains("run-main");
    // An empty tank gives nothing, however its handles stand.
    assertThat(so(plans, jobs, pumping.withVolume(PartId.of("tank"), 0))).containsExactly("arrive");
  }

  private static List<String> so(Plans plans, Jobs jobs, State state) {
    return jobs.all().stream().filter(j -> plans.isSo(j, state)).map(Job::id).toList();
  }

  @Test
  void aFillTakesAsLongAsTheSimulationSays() {
    Plan plan = plan("fill-main-inlet", TRUCK.state());
    Step.Wait wait =
        plan.steps().stream()
            .filter(Step.Wait.class::isInstance)
            .map(Step.Wait.class::cast)
            .findFirst()
            .orElseThrow();
    Simulation run = Simulation.start(PLUMBING, TRUCK.state());
    run.set(PartId.of("fill-selector"), PositionId.of("main"));
    run.runTo(5);
    run.set(PartId.of("inlet"), PositionId.of("open"));
    run.runTo(9);
    run.set(PartId.of("inlet"), PositionId.of("mains"));
    run.runTo(10);
    double before = TRUCK.state().volume(PartId.of("main"));
    double full = run.runUntil(Event.Kind.FULL, PartId.of("main"), 7200).orElseThrow() - 10;
    assertThat(wait.seconds().expected()).isCloseTo(full, within(0.01));
    assertThat(wait.seconds().low()).isLessThan(full);
    assertThat(wait.seconds().high()).isGreaterThan(full);
    assertThat(wait.moved())
        .isCloseTo(run.moment().state().volume(PartId.of("main")) - before, within(1e-4));
    assertThat(wait.then()).anySatisfy(t -> assertThat(t.words().toString()).contains("Main tail"));
  }

  /** On every demo and for every fill that it offers. */
  @Tag("slow")
  @Test
  void theSignOfAFullTankIsWhereWaterRunsOutFirst() {
    int signs = 0;
    for (DemoRig demo : DemoRig.all()) {
      Network network = Network.of(demo.rig());
      Plans plans = Plans.of(network);
      for (Job job : plans.offered(Jobs.of(network))) {
        if (!job.kind().name().startsWith("FILL")) {
          continue;
        }
        Plan plan = plans.plan(job, demo.state());
        Simulation run = Simulation.start(network, demo.state());
        Set<PartId> before = Set.copyOf(running(run));
        for (Step step : plan.steps()) {
          if (step instanceof Step.Move move) {
            run.set(move.part(), move.to());
            run.runTo(run.time() + 5);
          }
          if (!(step instanceof Step.Wait wait)) {
            continue;
          }
          boolean fills = wait.until().what() == Job.Until.What.FULL && wait.seconds().isKnown();
          if (!fills) {
            break;
          }
          run.runTo(run.time() + wait.seconds().expected() + 1e-3);
          List<PartId> first = running(run).stream().filter(e -> !before.contains(e)).toList();
          if (!first.isEmpty()) {
            signs++;
            String spot = demo.rig().part(first.getFirst()).label();
            assertThat(wait.notice()).as(job.id()).contains("first water shows at " + spot);
          }
          break;
        }
      }
    }
    assertThat(signs).as("fills that show at once").isPositive();
  }

  private static List<PartId> running(Simulation run) {
    return run.moment().flows().ends().entrySet().stream()
        .filter(e -> e.getValue() > 1e-6)
        .map(e -> e.getKey())
        .sorted()
        .toList();
  }

  @Test
  void anOverflowThatGoesOnIsOneEvent() {
    Job job = JOBS.byId("fill-low-inlet").orElseThrow();
    Simulation run = Simulation.start(PLUMBING, TRUCK.state());
    for (Step step : plan(job.id(), TRUCK.state()).steps()) {
      if (!(step instanceof Step.Move move)) {
        break;
      }
      run.set(move.part(), move.to());
    }
    List<Event> seen = run.runTo(600);
    assertThat(seen)
        .filteredOn(h -> h.kind() == Event.Kind.RUNS_OUT && h.begins())
        .hasSizeLessThanOrEqualTo(2);
  }

  @Test
  void everyMoveSaysWhatWouldBeWrongWithoutIt() {
    Plan plan = plan("fill-main-inlet", TRUCK.state());
    assertThat(plan.moves().getFirst().why().toString())
        .isEqualTo("Opens the way from mains water to Main fresh.");
    assertThat(plan.moves()).allSatisfy(m -> assertThat(m.notice()).isNotBlank());
    assertThat(plan.trouble()).isEmpty();
    assertThat(plan.after().setting().of(PartId.of("inlet")).value()).isEqualTo("capped");
  }

  @Test
  void aPlanBeginsFromTheHandlesAsTheyStand() {
    State half = TRUCK.state().with(PartId.of("fill-selector"), PositionId.of("main"));
    assertThat(plan("fill-main-inlet", half).moves().getFirst().part().value()).isEqualTo("inlet");
  }

  @Test
  void aNearlyEmptyTankIsNamedBeforehand() {
    Plan plan =
        plan(
            "run-main",
            TRUCK
                .state()
                .with(PartId.of("sink"), PositionId.of("shut"))
                .with(PartId.of("pump"), PositionId.of("off"))
                .withVolume(PartId.of("main"), 0.0127));
    assertThat(plan.notes())
        .anySatisfy(n -> assertThat(n.toString()).contains("Main fresh is nearly empty"));
    assertThat(plan.moves()).isNotEmpty();
  }

  @Test
  void anEmptyTankIsNoneToRunTheTapsFrom() {
    Plan plan = plan("run-low", TRUCK.state().withVolume(PartId.of("low"), 0));
    assertThat(plan.steps()).isEmpty();
    assertThat(plan.trouble())
        .hasValueSatisfying(
            t -> assertThat(t.words().toString()).contains("draws air").contains("Fill the tank"));
  }

  @Test
  void aJobThatTheLevelsForbidSaysWhichWayIsMissing() {
    Plan plan = plan("move-main-low-fall", TRUCK.state());
    assertThat(plan.trouble())
        .hasValueSatisfying(
            t -> assertThat(t.words().toString()).contains("Main fresh").contains("Low fresh"));
  }

  @Test
  void theValveAtADrainTailIsShutAgain() {
    DemoRig van = DemoRig.all().getLast();
    Network network = Network.of(van.rig());
    Plan plan =
        Plans.of(network)
            .plan(Jobs.of(network).byId("shed-arch-sump-tail").orElseThrow(), van.state());
    assertThat(plan.after().setting().of(PartId.of("sump")).value()).isEqualTo("shut");
  }

  @Test
  void aStuckHandleIsPlannedAround() {
    Job job = JOBS.byId("fill-main-inlet").orElseThrow();
    Plan around =
        PLANS.plan(
            job,
            TRUCK.state().with(PartId.of("fill-selector"), PositionId.of("main")),
            Dry.NOTHING,
            0,
            Set.of(PartId.of("fill-selector")));
    assertThat(around.trouble()).isEmpty();
    assertThat(around.moves()).noneMatch(m -> m.part().equals(PartId.of("fill-selector")));
    Plan stuck = PLANS.plan(job, TRUCK.state(), Dry.NOTHING, 0, Set.of(PartId.of("fill-selector")));
    assertThat(stuck.trouble()).isPresent();
  }

  @Test
  void aTapLeftRunningIsShutWhereItsWasteWouldComeBackUpDuringTheWait() {
    State drawn = TRUCK.state().with(PartId.of("sink"), PositionId.of("hot"));
    Plan plan = plan("heat-heater-inlet", drawn);
    assertThat(plan.trouble()).isEmpty();
    assertThat(plan.moves())
        .filteredOn(m -> m.part().equals(PartId.of("sink")))
        .singleElement()
        .satisfies(m -> assertThat(m.to().value()).isEqualTo("shut"));
  }

  @Test
  void aHandleThatTheJobItselfNeedsCannotBePlannedAround() {
    Job drive = JOBS.byId("drive").orElseThrow();
    Plan plan = PLANS.plan(drive, TRUCK.state(), Dry.NOTHING, 0, Set.of(PartId.of("pump")));
    assertThat(plan.trouble())
        .hasValueSatisfying(
            t -> assertThat(t.words().toString()).startsWith("This needs Pump to be “off”"));
  }

  @Test
  void aMoveThatEmptiesItsSourceFirstSaysSo() {
    State little =
        TRUCK.state().withVolume(PartId.of("main"), 0.02).withVolume(PartId.of("low"), 0.01);
    assertThat(plan("move-main-low-pump", little).steps())
        .filteredOn(Step.Wait.class::isInstance)
        .map(Step.Wait.class::cast)
        .first()
        .satisfies(w -> {
          assertThat(w.words().toString())
              .isEqualTo("Let it run until Pump draws air, then switch it off at once.");
          assertThat(w.seconds().isKnown()).isTrue();
        });
  }
}
