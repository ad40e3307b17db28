package fernwort.core.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.describe.RigEdit;
import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.mistake.Slips;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Hose, jug and priming belong to the job, though no handle of the rig is turned for them. */
class ByHandTest {

  private static final DemoRig TERN = DemoRig.called("tern");
  private static final DemoRig SAMPHIRE = DemoRig.called("samphire");
  private static final DemoRig MARGINALIA = DemoRig.called("marginalia");

  private static Plan plan(Rig rig, State from, String job) {
    Network network = Network.of(rig);
    return Plans.of(network).plan(Jobs.of(network).byId(job).orElseThrow(), from);
  }

  private static List<Job.Until.What> waits(Plan plan) {
    return plan.steps().stream()
        .filter(Step.Wait.class::isInstance)
        .map(s -> ((Step.Wait) s).until().what())
        .toList();
  }

  @Test
  void aHoseGoesIntoAnOpenFillerAndComesOutBeforeTheCap() {
    Plan plan = plan(SAMPHIRE.rig(), SAMPHIRE.state(), "pour-tank-filler");

    assertThat(plan.trouble()).isEmpty();
    assertThat(waits(plan))
        .containsExactly(
            Job.Until.What.HOSE_IN, Job.Until.What.POURED_FULL, Job.Until.What.HOSE_OUT);
    assertThat(plan.moves())
        .extracting(Step.Move::to)
        .containsExactly(PositionId.of("open"), PositionId.of("shut"));
    assertThat(plan.steps().getLast()).isInstanceOf(Step.Move.class);
  }

  /** A tank that takes 33.6 L, at 10 L a minute: 3.4 minutes. */
  @Test
  void aFillByHoseSaysLitresAndMinutesAndWhatTheTankHoldsThen() {
    Network network = Network.of(SAMPHIRE.rig());
    double full =
        network.figures(SAMPHIRE.rig().part(PartId.of("tank")), SAMPHIRE.state().slope()).full();
    Plan plan = plan(SAMPHIRE.rig(), SAMPHIRE.state(), "pour-tank-filler");

    Step.Wait fill = (Step.Wait) plan.steps().get(2);
    double room = full - SAMPHIRE.state().volume(PartId.of("tank"));
    assertThat(fill.moved()).isCloseTo(room, within(1e-9));
    assertThat(fill.seconds().expected()).isCloseTo(room / (0.01 / 60), within(0.1));
    assertThat(fill.levels()).containsOnlyKeys(PartId.of("tank"));
    assertThat(fill.levels().get(PartId.of("tank"))).isCloseTo(full, within(1e-9));
  }

  @Test
  void aTankThatIsFullTakesNoHose() {
    Network network = Network.of(SAMPHIRE.rig());
    double full =
        network.figures(SAMPHIRE.rig().part(PartId.of("tank")), SAMPHIRE.state().slope()).full();
    Plan plan =
        plan(
            SAMPHIRE.rig(),
            SAMPHIRE.state().withVolume(PartId.of("tank"), full + 1e-4),
            "pour-tank-filler");

    assertThat(plan.steps()).isEmpty();
    assertThat(plan.trouble().orElseThrow().words().toString()).contains("full already");
  }

  @Test
  void jugsAreCountedAndWeighed() {
    Plan plan = plan(SAMPHIRE.rig(), SAMPHIRE.state(), "jug-tank-jug");

    assertThat(plan.steps().toString()).contains("15 L, 15 kg", "room for 2 of these");
  }

  @Test
  void aCanUnderTheSinkIsCarriedOut() {
    Rig rig = ReadyRig.find("jug").orElseThrow().rig();
    PartId can = rig.tanks(Contents.GRAY).findFirst().orElseThrow().id();
    State half = new State(rig.atRest(), Map.of(can, 0.008), Slope.LEVEL);

    Plan plan = plan(rig, half, "empty-" + can + "-carried");

    assertThat(plan.steps())
        .singleElement()
        .isInstanceOfSatisfying(
            Step.Wait.class,
            w -> {
              assertThat(w.words().toString()).contains("8 L, 8 kg");
              assertThat(w.levels()).containsExactly(Map.entry(can, 0.0));
            });
    assertThat(plan(rig, half.withVolume(can, 1e-4), "empty-" + can + "-carried").steps())
        .singleElement()
        .isInstanceOfSatisfying(
            Step.Wait.class,
            w -> {
              assertThat(w.words().toString()).contains("nearly empty already");
              assertThat(w.levels()).as("it is left as it is").isEmpty();
            });
  }

  /** Tern's pump with its priming taken away stands as high over the bucket as before. */
  @Tag("slow")
  @Test
  void aPumpThatDrawsNoAirIsPrimedBeforeItIsSwitchedOn() {
    Rig rig = lame(Pump.Type.CENTRIFUGAL);
    Plan plan =
        plan(rig, TERN.state().with(PartId.of("pump"), PositionId.of("off")), "lift-fore-bucket");

    assertThat(plan.trouble()).isEmpty();
    int primed = waitOf(plan, Job.Until.What.PRIMED);
    assertThat(plan.steps().get(primed + 1))
        .isInstanceOfSatisfying(
            Step.Move.class,
            m -> {
              assertThat(m.part().value()).isEqualTo("pump");
              assertThat(m.to().value()).isEqualTo(Kind.ON.value());
            });
    assertThat(
            Slips.of(Network.of(rig), Plans.of(Network.of(rig)))
                .of(
                    job(rig, "lift-fore-bucket"),
                    TERN.state().with(PartId.of("pump"), PositionId.of("off"))))
        .isNotEmpty();
  }

  @Test
  void oneThatDrawsUpToItsHeightIsNotPrimed() {
    Plan plan = plan(TERN.rig(), TERN.state(), "lift-fore-bucket");

    assertThat(plan.trouble()).isEmpty();
    assertThat(waits(plan)).doesNotContain(Job.Until.What.PRIMED);
  }

  /** Nobody fills a diaphragm: what it cannot draw up, it cannot draw. */
  @Test
  void aDiaphragmThatStandsTooHighIsNotPrimed() {
    Plan plan = plan(lame(Pump.Type.DIAPHRAGM), TERN.state(), "lift-fore-bucket");

    assertThat(plan.trouble().orElseThrow().words().toString())
        .startsWith("Pump cannot draw water up from so far below.");
  }

  @Test
  void aPumpThatHangsInItsWaterIsNeverPrimed() {
    Rig rig = lame(Pump.Type.SUBMERSIBLE);

    assertThat(waits(plan(rig, TERN.state(), "lift-fore-bucket")))
        .doesNotContain(Job.Until.What.PRIMED);
  }

  @Test
  void anEngineIsStartedAndStoppedAndOutlastsThePower() {
    Pump was = (Pump) TERN.rig().part(PartId.of("pump")).kind();
    Pump engine =
        new Pump(
            was.duty(),
            was.works(),
            was.shutOffPressure(),
            was.freeFlow(),
            was.cutIn(),
            was.cutOut(),
            was.selfPriming(),
            was.dryRun(),
            Optional.of(Pump.Drive.ENGINE));

    assertThat(engine.positions()).extracting("words").containsExactly("stopped", "running");
    assertThat(engine.unpowered()).isEmpty();
    assertThat(was.unpowered()).isPresent();
    assertThat(engine.setsItself()).isFalse();
  }

  /** Without a check valve tank water can run back: the plan is there, the danger on top of it. */
  @Test
  void aMissingBackflowProtectionIsSaidOnTopOfThePlan() {
    Rig bare = withoutChecks(MARGINALIA.rig());
    Plan plan = plan(bare, MARGINALIA.state(), "fill-main-inlet");

    assertThat(plan.trouble()).isEmpty();
    assertThat(plan.steps()).isNotEmpty();
    assertThat(plan.notes().getFirst().toString()).startsWith("Danger: ").contains("run back");
    Network network = Network.of(bare);
    assertThat(Plans.of(network).offered(Jobs.of(network)))
        .extracting(Job::id)
        .contains("fill-main-inlet");
    assertThat(Warning.Code.BACKFLOW.is(Warning.Is.LEFT_TO_CARE)).isTrue();
  }

  @Test
  void aPreventerAtTheTapTakesThatDangerAway() {
    Rig safe =
        RigEdit.of(withoutChecks(MARGINALIA.rig()))
            .change(
                PartId.of("inlet"),
                p -> {
                  HoseInlet was = (HoseInlet) p.kind();
                  return p.with(
                      new HoseInlet(
                          was.mainsPressure(),
                          was.outsideHeight(),
                          was.tapFlow(),
                          was.outsideDrinkable(),
                          Optional.of(true)));
                });
    Plan plan = plan(safe, MARGINALIA.state(), "fill-main-inlet");

    assertThat(plan.trouble()).isEmpty();
    assertThat(plan.notes()).noneMatch(n -> n.toString().startsWith("Danger"));
  }

  private static Job job(Rig rig, String id) {
    return Jobs.of(Network.of(rig)).byId(id).orElseThrow();
  }

  private static int waitOf(Plan plan, Job.Until.What what) {
    for (int i = 0; i < plan.steps().size(); i++) {
      if (plan.steps().get(i) instanceof Step.Wait wait && wait.until().what() == what) {
        return i;
      }
    }
    throw new AssertionError("no such wait in " + plan.steps());
  }

  /** Tern with a pump that works so and draws no air. */
  private static Rig lame(Pump.Type works) {
    return RigEdit.of(TERN.rig())
        .change(
            PartId.of("pump"),
            p -> {
              Pump was = (Pump) p.kind();
              return p.with(
                  new Pump(
                      was.duty(),
                      works,
                      was.shutOffPressure(),
                      was.freeFlow(),
                      was.cutIn(),
                      was.cutOut(),
                      0));
            });
  }

  /** A rig whose check valves let water both ways. */
  private static Rig withoutChecks(Rig rig) {
    Rig bare = rig;
    for (Part part : rig.parts()) {
      if (part.kind() instanceof CheckValve) {
        bare = RigEdit.of(bare).change(part.id(), p -> p.with(new Strainer()));
      }
    }
    return bare;
  }
}
