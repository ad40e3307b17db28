package fernwort.core.jobs.automation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.OnRecord;
import fernwort.core.Practised;
import fernwort.core.demo.DemoRig;
import fernwort.core.describe.Fittings;
import fernwort.core.hazard.Warning;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Motor;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.ThreeWayValve;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** Motor valves that act by themselves, on a rig of one tank between mains and a tap. */
class AutomationTest {

  private static final double HOUR = 3600;

  /** Mains fill the tank by a motor valve; a tap below draws from it. */
  private static Rig rig(PositionId unpowered) {
    return CaseRigs.vented(
            CaseRigs.rig().part("tank", "Tank", 0, 0, 1, CaseRigs.tank()), PartId.of("tank"), 1)
        .part("inlet", "Inlet", 0, 0, 0.9, Fittings.inlet(2))
        .part("check", "Check valve", 0, 0, 1, Fittings.check())
        .part("motor", "Fill motor", 0, 0, 1.1, Fittings.motorised(0, unpowered, 6))
        .part("drain-motor", "Drain motor", 0, 0, 0.9, Fittings.motorised(0, PositionId.NONE, 6))
        .part("drain", "Drain", 0, 0, 0.3, Fittings.end(Role.DRAIN))
        .part("tee", "Tee", 0, 0, 0.95, new Tee())
        .part("tap", "Tap", 0, 0, 0.5, Fittings.fixture(Type.TAP, false, 6))
        .line("a", "A", "inlet.out > check.in", 12, 1, Material.PEX, 1)
        .line("b", "B", "check.out > motor.a", 12, 1, Material.PEX, 1)
        .line("c", "C", "motor.b > tank.high", 12, 1, Material.PEX, 1)
        .line("d", "D", "tank.low > tee.a", 12, 1, Material.PEX, 1)
        .line("e", "E", "tee.b > tap.cold", 12, 1, Material.PEX, 1)
        .line("f", "F", "tee.c > drain-motor.a", 12, 1, Material.PEX, 1)
        .line("g", "G", "drain-motor.b > drain.in", 12, 1, Material.PEX, 1)
        .build();
  }

  private static State state(Rig rig, double litres) {
    return new State(rig.atRest(), Map.of(PartId.of("tank"), litres / 1000), Slope.LEVEL)
        .with(PartId.of("inlet"), PositionId.of("mains"));
  }

  private static AutomationRun.Course run(Rig rig, Automation automation, State from) {
    return AutomationRun.run(
        Network.of(rig), List.of(automation), from, 3 * HOUR, Double.POSITIVE_INFINITY);
  }

  @Test
  void aTankIsKeptBetweenTwoMarksWhileATapRuns() {
    Rig rig = rig(PositionId.of("shut"));
    Automation keep = Automation.keepBetween(rig, PartId.of("tank"), PartId.of("motor"), 0.2, 0.6);
    AutomationRun.Course course =
        run(rig, keep, state(rig, 60).with(PartId.of("tap"), PositionId.of("open")));
    assertThat(course.lowest().get(PartId.of("tank"))).isBetween(0.018, 0.0255);
    assertThat(course.highest().get(PartId.of("tank"))).isBetween(0.07, 0.082);
    assertThat(course.events().stream().filter(e -> e.turn().isPresent()).count()).isGreaterThan(3);
  }

  @Test
  void aFillStopsWhenTheTankIsFull() {
    Rig rig = rig(PositionId.of("shut"));
    Automation stop = Automation.stopWhenFull(rig, PartId.of("tank"), PartId.of("motor"), 0.9);
    AutomationRun.Course course =
        run(rig, stop, state(rig, 20).with(PartId.of("motor"), PositionId.of("open")));
    assertThat(course.lost()).isLessThan(1e-6);
    assertThat(course.highest().get(PartId.of("tank"))).isBetween(0.112, 0.12);
    assertThat(course.events())
        .anySatisfy(e ->
            assertThat(e.turn()).contains(new Turn(PartId.of("motor"), PositionId.of("shut"))));
  }

  @Test
  void aLeakShutsWhatItIsToldTo() {
    Rig rig = rig(PositionId.of("shut"));
    Automation leak = Automation.shutOnLeak(rig);
    AutomationRun.Course course =
        AutomationRun.run(
            Network.of(rig),
            List.of(leak),
            state(rig, 60)
                .with(PartId.of("drain-motor"), PositionId.of("open"))
                .with(PartId.of("inlet"), PositionId.of("capped")),
            HOUR,
            60);
    assertThat(course.lost()).isBetween(0.001, 0.03);
    assertThat(course.events())
        .anySatisfy(e ->
            assertThat(e.turn())
                .contains(new Turn(PartId.of("drain-motor"), PositionId.of("shut"))));
  }

  /** What the motors do and when, to the second. */
  @Test
  void aCourseIsOnRecord() {
    Rig rig = rig(PositionId.of("shut"));
    List<String> told = new ArrayList<>();
    Map<String, AutomationRun.Course> courses =
        Map.of(
            "kept between",
            run(
                rig,
                Automation.keepBetween(rig, PartId.of("tank"), PartId.of("motor"), 0.2, 0.6),
                state(rig, 60).with(PartId.of("tap"), PositionId.of("open"))),
            "stopped when full",
            run(
                rig,
                Automation.stopWhenFull(rig, PartId.of("tank"), PartId.of("motor"), 0.9),
                state(rig, 20).with(PartId.of("motor"), PositionId.of("open"))),
            "shut on a leak",
            AutomationRun.run(
                Network.of(rig),
                List.of(Automation.shutOnLeak(rig)),
                state(rig, 60)
                    .with(PartId.of("drain-motor"), PositionId.of("open"))
                    .with(PartId.of("inlet"), PositionId.of("capped")),
                HOUR,
                60));
    new TreeMap<>(courses)
        .forEach((name, course) -> {
          told.add("## " + name);
          course
              .events()
              .forEach(e ->
                  told.add(
                      "%.0f s: %s"
                          .formatted(
                              e.at(),
                              e.turn()
                                  .map(t -> t.part() + " > " + t.position())
                                  .orElseGet(() -> OnRecord.tell(e.happening())))));
          told.add(
              "lowest %s, highest %s, lost %s"
                  .formatted(
                      OnRecord.tell(course.lowest()),
                      OnRecord.tell(course.highest()),
                      OnRecord.number(course.lost())));
        });
    OnRecord.assertAsRead("words/automations", told);
  }

  @Test
  void anAutomationThatCanDrainATankIsFoundOut() {
    Rig rig = rig(PositionId.of("shut"));
    Automation wrong =
        Automation.keepBetween(rig, PartId.of("tank"), PartId.of("drain-motor"), 0.2, 0.6);
    assertThat(AutomationCheck.of(Network.of(rig)).findings(wrong, state(rig, 60)))
        .anySatisfy(f -> assertThat(f.warning().code()).isEqualTo(Warning.Code.OPEN_TO_GROUND));
  }

  @Test
  void theFillValveThatKeepsATankIsFoundSafe() {
    Rig rig = rig(PositionId.of("shut"));
    Automation keep = Automation.keepBetween(rig, PartId.of("tank"), PartId.of("motor"), 0.2, 0.6);
    assertThat(AutomationCheck.of(Network.of(rig)).findings(keep, state(rig, 60))).isEmpty();
  }

  @Test
  void twoRulesAgainstEachOtherAreRunTogether() {
    Rig rig = rig(PositionId.of("shut"));
    Automation keep = Automation.keepBetween(rig, PartId.of("tank"), PartId.of("motor"), 0.2, 0.4);
    Automation against =
        Automation.keepBetween(rig, PartId.of("tank"), PartId.of("motor"), 0.38, 0.6);
    AutomationCheck check = AutomationCheck.of(Network.of(rig));
    State low = state(rig, 20);
    List<AutomationCheck.Finding> one = check.findings(keep, low);
    assertThat(check.together(List.of(keep), one, low)).isEmpty();
    assertThat(check.together(List.of(keep, keep), one, low)).isEmpty();
    assertThat(check.together(List.of(keep, against), one, low))
        .extracting(f -> f.warning().code())
        .contains(Warning.Code.RULES_FIGHT);
  }

  @Test
  void whatOneOfThemDoesAloneIsNotToldOfBoth() {
    Rig rig = rig(PositionId.of("shut"));
    AutomationCheck check = AutomationCheck.of(Network.of(rig));
    Automation keep = Automation.keepBetween(rig, PartId.of("tank"), PartId.of("motor"), 0.2, 0.6);
    Automation wrong =
        Automation.keepBetween(rig, PartId.of("tank"), PartId.of("drain-motor"), 0.2, 0.6);
    State now = state(rig, 60);
    List<AutomationCheck.Finding> alone = check.findings(wrong, now);
    assertThat(alone).extracting(f -> f.warning().code()).contains(Warning.Code.OPEN_TO_GROUND);
    assertThat(check.together(List.of(keep, wrong), alone, now))
        .extracting(f -> f.warning().code())
        .doesNotContain(Warning.Code.OPEN_TO_GROUND);
    assertThat(check.together(List.of(keep, wrong), List.of(), now))
        .extracting(f -> f.warning().code())
        .contains(Warning.Code.OPEN_TO_GROUND);
  }

  /** Nothing stands wrong in any setting; only running it shows that it pumps a tank dry. */
  @Test
  void harmThatComesOfRunningItIsFound() {
    Rig rig = selector();
    State low =
        new State(
            rig.atRest().with(PartId.of("selector"), PositionId.of("left")),
            Map.of(PartId.of("left"), 0.004, PartId.of("right"), 0.05),
            Slope.LEVEL);
    Automation pumps = Automation.keepBetween(rig, PartId.of("left"), PartId.of("pump"), 0.2, 0.9);
    assertThat(AutomationCheck.of(Network.of(rig)).findings(pumps, low))
        .filteredOn(f -> f.when().startsWith("when it is run"))
        .extracting(f -> f.warning().code())
        .contains(Warning.Code.PUMP_DRY);
  }

  // --- selectors and pumps -----------------------------------------------------------------------

  /** Two tanks that one motor selector feeds a pump from; the pump also lifts to the first. */
  private static Rig selector() {
    RigBuilder rig =
        CaseRigs.rig()
            .part("left", "Left", 0, 0, 1, CaseRigs.tank())
            .part("right", "Right", 1, 0, 1, CaseRigs.tank())
            .part("selector", "Selector", 0.5, 0, 0.9, selectorKind())
            .part("pump", "Pump", 0.5, 0, 0.8, Fittings.pressurePump(10, 3))
            .part("tap", "Tap", 0.5, 0, 1.5, Fittings.fixture(Type.TAP, true, 6))
            .line("l", "L", "left.low > selector.a", 12, 1, Material.PEX, 0)
            .line("r", "R", "right.low > selector.b", 12, 1, Material.PEX, 0)
            .line("c", "C", "selector.c > pump.in", 12, 1, Material.PEX, 0)
            .line("p", "P", "pump.out > tap.cold", 12, 1, Material.PEX, 0);
    return CaseRigs.vented(CaseRigs.vented(rig, PartId.of("left"), 1), PartId.of("right"), 1)
        .build();
  }

  private static Kind selectorKind() {
    return new ThreeWayValve(
        List.of(
            new Stop(
                PositionId.of("left"), "to the left", 180, List.of(List.of(PortId.A, PortId.C))),
            new Stop(
                PositionId.of("right"), "to the right", 0, List.of(List.of(PortId.B, PortId.C)))),
        Optional.of(new Motor(Optional.empty(), 6)));
  }

  @Test
  void oneSelectorChangesTanksAndShutsOneWayByOpeningTheOther() {
    Rig rig = selector();
    assertThat(
            Automation.changeWhenDry(
                    rig,
                    PartId.of("left"),
                    PartId.of("right"),
                    PartId.of("selector"),
                    PartId.of("selector"),
                    0.1,
                    PartId.NONE)
                .turns())
        .containsExactly(new Turn(PartId.of("selector"), PositionId.of("right")));
    assertThat(Automation.stopWhenFull(rig, PartId.of("left"), PartId.of("selector"), 0.9).turns())
        .containsExactly(new Turn(PartId.of("selector"), PositionId.of("right")));
    assertThat(
            Automation.keepBetween(rig, PartId.of("right"), PartId.of("selector"), 0.2, 0.9)
                .turns())
        .containsExactly(
            new Turn(PartId.of("selector"), PositionId.of("left")),
            new Turn(PartId.of("selector"), PositionId.of("right")));
    assertThat(
            Automation.keepBetween(rig, PartId.of("left"), PartId.of("selector"), 0.2, 0.9).turns())
        .containsExactly(
            new Turn(PartId.of("selector"), PositionId.of("right")),
            new Turn(PartId.of("selector"), PositionId.of("left")));
  }

  @Test
  void aPumpIsSwitched() {
    Rig rig = selector();
    assertThat(Automation.keepBetween(rig, PartId.of("left"), PartId.of("pump"), 0.2, 0.9).turns())
        .containsExactly(
            new Turn(PartId.of("pump"), PositionId.of("off")),
            new Turn(PartId.of("pump"), PositionId.of("on")));
    assertThat(Automation.shutOnLeak(rig).turns())
        .as("the selector has no closed position")
        .containsExactly(new Turn(PartId.of("pump"), PositionId.of("off")));
    State low =
        new State(
            rig.atRest()
                .with(PartId.of("selector"), PositionId.of("left"))
                .with(PartId.of("pump"), PositionId.of("on"))
                .with(PartId.of("tap"), PositionId.of("open")),
            Map.of(PartId.of("left"), 0.02, PartId.of("right"), 0.05),
            Slope.LEVEL);
    Automation change =
        Automation.changeWhenDry(
            rig,
            PartId.of("left"),
            PartId.of("right"),
            PartId.of("selector"),
            PartId.of("selector"),
            0.1,
            PartId.NONE);
    assertThat(run(rig, change, low).lowest().get(PartId.of("right"))).isLessThan(0.04);
  }

  @Test
  void marksAndValvesThatCannotBeAreRefusedInOneSentence() {
    Rig rig = rig(PositionId.of("shut"));
    assertThatThrownBy(
            () -> Automation.keepBetween(rig, PartId.of("tank"), PartId.of("motor"), 0.6, 0.2))
        .hasMessageContaining("lower mark");
    assertThatThrownBy(
            () -> Automation.stopWhenFull(rig, PartId.of("tank"), PartId.of("check"), 0.9))
        .hasMessageContaining("Check valve has no motor");
    assertThatThrownBy(() ->
            Automation.stopWhenFull(
                DemoRig.called("samphire").rig(), PartId.of("tank"), PartId.of("foot-pump"), 0.9))
        .hasMessageContaining("Foot pump has no motor");
    assertThatThrownBy(() ->
            Automation.stopWhenFull(
                DemoRig.called("tern").rig(), PartId.of("fore"), PartId.of("loop-pump"), 0.9))
        .hasMessageContaining("Loop pump only takes water round");
    assertThatThrownBy(
            () -> Automation.stopWhenFull(rig, PartId.of("tank"), PartId.of("nothing"), 0.9))
        .hasMessageContaining("choose a motor valve");
    assertThatThrownBy(
            () -> Automation.stopWhenFull(rig, PartId.of("tap"), PartId.of("motor"), 0.9))
        .hasMessageContaining("not a tank");
    assertThatThrownBy(() ->
            Automation.topUp(rig, PartId.of("tank"), PartId.NONE, PartId.of("motor"), 0.1, 0.9))
        .hasMessageContaining("not a tank");
    assertThatThrownBy(() -> Automation.purpose("7.5")).hasMessageContaining("from the list");
  }

  private static Plan moving(Network van, State now) {
    return Plans.of(van).plan(Jobs.of(van).byId("move-low-high-pump").orElseThrow(), now);
  }

  @Test
  void aRuleTurnsAllThatAJobTurnsAndPutsItBack() {
    Network van = Network.of(Practised.rig("motor-valves"));
    State now = Practised.filled(van, 0.5);
    Automation topUp =
        Automation.topUpBy(
            van.rig(), PartId.of("high"), PartId.of("low"), moving(van, now), 0.2, 0.8);
    assertThat(topUp.rules().getLast().turns())
        .containsExactlyInAnyOrder(
            new Turn(PartId.of("draw"), PositionId.of("low")),
            new Turn(PartId.of("balance"), PositionId.of("open")),
            new Turn(PartId.of("pump"), PositionId.of("on")));
    State start =
        now.withVolume(PartId.of("high"), 0.1 * van.room(PartId.of("high")).capacity())
            .withVolume(PartId.of("low"), 0.9 * van.room(PartId.of("low")).capacity());
    AutomationRun.Course course =
        AutomationRun.run(van, List.of(topUp), start, HOUR, Double.POSITIVE_INFINITY);
    assertThat(course.highest().get(PartId.of("high")) / van.room(PartId.of("high")).capacity())
        .isBetween(0.79, 0.85);
    assertThat(AutomationCheck.of(van).findings(topUp, now)).isEmpty();
  }

  @Test
  void aRuleThatTurnsTooLittleMissesItsAim() {
    Network van = Network.of(Practised.rig("motor-valves"));
    State now = Practised.filled(van, 0.5);
    Automation pumpAlone =
        Automation.topUp(
            van.rig(), PartId.of("high"), PartId.of("low"), PartId.of("pump"), 0.2, 0.8);
    assertThat(AutomationCheck.of(van).findings(pumpAlone, now))
        .extracting(f -> f.warning().code())
        .contains(Warning.Code.RULE_MISSES);
  }

  @Test
  void aJobThatAHandTurnsIsNoRule() {
    Network van = Network.of(Practised.rig("motor-valves"));
    State now = Practised.filled(van, 0.5);
    Plan byHose = Plans.of(van).plan(Jobs.of(van).byId("fill-high-inlet").orElseThrow(), now);
    assertThatThrownBy(() ->
            Automation.topUpBy(van.rig(), PartId.of("high"), PartId.of("low"), byHose, 0.2, 0.8))
        .hasMessageContaining("Inlet has no motor");
  }
}
