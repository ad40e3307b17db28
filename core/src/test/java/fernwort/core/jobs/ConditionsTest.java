package fernwort.core.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.OnRecord;
import fernwort.core.demo.DemoRig;
import fernwort.core.describe.Fittings;
import fernwort.core.hazard.Hazards;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Finder;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.ConditionEvaluator;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Need;
import fernwort.core.jobs.goal.Objection;
import fernwort.core.jobs.plan.Hands;
import fernwort.core.kind.Position;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.line.Filter.Grade;
import fernwort.core.kind.line.Tee;
import fernwort.core.network.End;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.ways.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** When each condition holds, from several settings of two rigs and every turn away from them. */
class ConditionsTest {

  private static final Map<PartId, PositionId> TAPS =
      Map.of(PartId.of("sink"), PositionId.of("cold"));

  private static Need need(Source.Kind kind, PartId from, End.Kind end, PartId to) {
    return Need.of(new Source(kind, from), new End(end, to), Finder.PUMPED_OR_FALLING);
  }

  /** Conditions that a rig with these tanks can be asked about. */
  private static List<Condition> conditions(
      List<PartId> tanks, PartId gray, PartId inlet, PartId pump) {
    List<Condition> all = new ArrayList<>();
    PartId first = tanks.getFirst();
    for (PartId tank : tanks) {
      all.add(new Condition.Quiet(tank));
      all.add(new Condition.Breathes(tank));
      all.add(new Condition.BreathesIn(tank));
      all.add(new Condition.Relieved(tank, inlet));
      all.add(new Condition.Tight(tank));
      all.add(new Condition.RunsOut(tank));
      all.add(new Condition.NothingTo(tank));
      all.add(new Condition.Filtered(tank, List.of(PartId.of("sediment"))));
      all.add(
          new Condition.Alone(
              List.of(need(Source.Kind.TANK, tank, End.Kind.FIXTURE, PartId.of("sink")))));
    }
    all.add(new Condition.Placed(pump, PositionId.of("on")));
    all.add(new Condition.Runs(need(Source.Kind.TANK, first, End.Kind.FIXTURE, PartId.of("sink"))));
    all.add(new Condition.Linked(first, tanks.get(1)));
    all.add(new Condition.Joined(first, PartId.of("sink")));
    all.add(new Condition.Parted(gray, PartId.of("sink")));
    all.add(new Condition.Still());
    all.add(new Condition.PumpsOff(inlet));
    all.add(new Condition.Fed(pump));
    all.add(new Condition.GoesRound(pump, Optional.empty(), Optional.empty()));
    all.add(new Condition.LinesRunOut(tanks));
    return all;
  }

  private static List<Turn> turns(DemoRig demo, Setting from) {
    List<Turn> turns = new ArrayList<>();
    for (Part part : demo.rig().handles().toList()) {
      for (Position position : part.kind().positions()) {
        if (!position.id().equals(from.of(part.id()))) {
          turns.add(new Turn(part.id(), position.id()));
        }
      }
    }
    return turns;
  }

  /**
   * What has to hold before water moves is done before; the rest may come true at the last turn.
   */
  @Test
  void whatTheJobIsForMayComeTrueWithTheLastTurn() {
    assertThat(
            conditions(
                    List.of(PartId.of("main"), PartId.of("low")),
                    PartId.of("gray"),
                    PartId.of("inlet"),
                    PartId.of("pump"))
                .stream()
                .filter(c -> !c.isGuard())
                .map(c -> (Object) c.getClass())
                .distinct())
        .containsExactlyInAnyOrder(
            Condition.Placed.class,
            Condition.Runs.class,
            Condition.Linked.class,
            Condition.Joined.class,
            Condition.GoesRound.class,
            Condition.RunsOut.class,
            Condition.LinesRunOut.class);
  }

  @ParameterizedTest
  @CsvSource({"marginalia, main low, gray, inlet, pump", "tern, fore arch aft, gray, inlet, pump"})
  void whenEachHoldsIsOnRecord(String id, String tanks, PartId gray, PartId inlet, PartId pump) {
    DemoRig demo = DemoRig.called(id);
    Network network = Network.of(demo.rig());
    State rest = demo.state().with(demo.rig().atRest());
    List<String> told = new ArrayList<>();
    for (Map.Entry<String, State> from :
        new TreeMap<>(
                Map.of(
                    "at rest", rest,
                    "as left", demo.state(),
                    "on the mains", rest.with(inlet, PositionId.of("mains")),
                    "pumping", rest.with(pump, PositionId.of("on"))))
            .entrySet()) {
      Goal goal = Goal.of(Map.of(), List.of(), TAPS);
      ConditionEvaluator scout =
          new ConditionEvaluator(network, Hazards.of(network), Set.of(), from.getValue(), goal);
      Levels levels = scout.seen().levels();
      Setting stands = from.getValue().setting();
      for (Condition condition :
          conditions(Stream.of(tanks.split(" ")).map(PartId::of).toList(), gray, inlet, pump)) {
        String now = objection(condition, scout, stands, levels);
        told.add("%s, %s: %s".formatted(from.getKey(), OnRecord.tell(condition), now));
        for (Turn turn : turns(demo, stands)) {
          Setting turned = stands.with(turn.part(), turn.position());
          String then = objection(condition, scout, turned, levels);
          if (!then.equals(now)) {
            told.add("  %s %s: %s".formatted(turn.part(), turn.position(), then));
          }
        }
      }
    }
    OnRecord.assertAsRead(OnRecord.file("conditions", id), told);
  }

  private static String objection(
      Condition condition, ConditionEvaluator scout, Setting setting, Levels levels) {
    return condition
        .objection(scout, setting, levels)
        .map(f ->
            f.getClass().getSimpleName()
                + (f instanceof Objection.Keeping k ? OnRecord.tell(k.needs()) : ""))
        .orElse("holds");
  }

  @Test
  void aTankIsNotTightWhoseWaterLeaksOnItsWayThere() {
    RigBuilder builder =
        CaseRigs.rig()
            .part("tank", "Tank", 0, 0, 1, CaseRigs.tank())
            .part("inlet", "Inlet", -1, 0, 1, new HoseInlet(2e5, 0))
            .part("tee", "Tee", -0.5, 0, 1, new Tee())
            .part("valve", "Valve", -0.5, 0, 0.9, Fittings.twoWay(0))
            .part("drain", "Drain", -0.5, 0, 0.4, Fittings.end(OpenEnd.Role.DRAIN))
            .line("a", "A", "inlet.out > tee.a", 19, 1, Material.PEX, 1)
            .part("check", "Check", -0.2, 0, 1, Fittings.check())
            .line("b", "B", "tee.b > check.in", 19, 1, Material.PEX, 1)
            .line("e", "E", "check.out > tank.vent", 19, 1, Material.PEX, 1)
            .line("c", "C", "tee.c > valve.a", 19, 1, Material.PEX, 1)
            .line("d", "D", "valve.b > drain.in", 19, 1, Material.PEX, 1);
    Network network = Network.of(builder.build());
    Setting filling = network.rig().atRest().with(PartId.of("inlet"), PositionId.of("mains"));
    State from = new State(filling, Map.of(PartId.of("tank"), 0.03), Slope.LEVEL);
    ConditionEvaluator scout =
        new ConditionEvaluator(network, Hazards.of(network), Set.of(), from, Goal.of(Map.of()));
    Condition tight = new Condition.Tight(PartId.of("tank"));
    assertThat(tight.objection(scout, filling, scout.seen().levels())).isEmpty();
    assertThat(
            tight.objection(
                scout,
                filling.with(PartId.of("valve"), PositionId.of("open")),
                scout.seen().levels()))
        .containsInstanceOf(Objection.Leaking.class);
    assertThat(
            tight.objection(
                scout,
                filling
                    .with(PartId.of("valve"), PositionId.of("open"))
                    .with(PartId.of("inlet"), PositionId.of("capped")),
                scout.seen().levels()))
        .as("nothing runs back through the check valve")
        .isEmpty();
  }

  /** A pump that fills its tank anew: through the filter, past it, or another tank's. */
  @Test
  void whatAPumpSendsBackComesThroughTheFilterOrIsToldBypassed() {
    RigBuilder builder =
        CaseRigs.rig()
            .part("tank", "Tank", 0, 0, 1, CaseRigs.tank())
            .part("pump", "Pump", 1, 0, 0.8, Fittings.pressurePump(10, 2.5))
            .part("split", "Split", 1, 0, 0.8, new Tee())
            .part("filter", "Filter", 1, 0, 0.8, Fittings.filter(Grade.SEDIMENT, 8, 0.2))
            .part("past", "Past it", 1, 0, 0.8, Fittings.twoWay(0))
            .part("join", "Join", 1, 0, 0.8, new Tee())
            .line("a", "A", "tank.low > pump.in", 19, 1, Material.PEX, 0)
            .line("b", "B", "pump.out > split.a", 19, 1, Material.PEX, 0)
            .line("c", "C", "split.b > filter.in", 19, 1, Material.PEX, 0)
            .line("d", "D", "split.c > past.a", 19, 1, Material.PEX, 0)
            .line("e", "E", "filter.out > join.a", 19, 1, Material.PEX, 0)
            .line("f", "F", "past.b > join.b", 19, 1, Material.PEX, 0)
            .line("g", "G", "join.c > tank.high", 19, 1, Material.PEX, 0);
    Network network = Network.of(CaseRigs.vented(builder, PartId.of("tank"), 1).build());
    State from =
        new State(
            network.rig().atRest().with(PartId.of("pump"), PositionId.of("on")),
            Map.of(PartId.of("tank"), 0.03),
            Slope.LEVEL);
    ConditionEvaluator scout =
        new ConditionEvaluator(network, Hazards.of(network), Set.of(), from, Goal.of(Map.of()));
    Condition filtered = new Condition.Filtered(PartId.of("tank"), List.of(PartId.of("filter")));
    Setting past = from.setting().with(PartId.of("past"), PositionId.of("open"));
    assertThat(filtered.objection(scout, from.setting(), scout.seen().levels())).isEmpty();
    assertThat(filtered.objection(scout, past, scout.seen().levels()))
        .containsInstanceOf(Objection.Bypassed.class);
    assertThat(
            filtered.objection(
                scout, past.with(PartId.of("pump"), PositionId.of("off")), scout.seen().levels()))
        .isEmpty();
    assertThat(
            new Condition.Filtered(PartId.of("another"), List.of(PartId.of("filter")))
                .objection(scout, past, scout.seen().levels()))
        .isEmpty();
  }

  /** Of all that runs, a condition minds the way that it is about. */
  @Test
  void oneWayIsMindedAndNoOther() {
    RigBuilder builder =
        CaseRigs.rig()
            .part("tank", "Tank", 0, 0, 1, CaseRigs.tank())
            .part("inlet", "Inlet", -1, 0, 1, new HoseInlet(2e5, 0))
            .part("valve", "Valve", 1, 0, 0.9, Fittings.twoWay(0))
            .part("drain", "Drain", 1, 0, 0.4, Fittings.end(OpenEnd.Role.DRAIN))
            .line("in", "In", "inlet.out > tank.high", 19, 1, Material.PEX, 1)
            .line("a", "A", "tank.low > valve.a", 19, 1, Material.PEX, 1)
            .line("b", "B", "valve.b > drain.in", 19, 1, Material.PEX, 1);
    Network network = Network.of(CaseRigs.vented(builder, PartId.of("tank"), 1).build());
    State from = new State(network.rig().atRest(), Map.of(PartId.of("tank"), 0.03), Slope.LEVEL);
    ConditionEvaluator scout =
        new ConditionEvaluator(network, Hazards.of(network), Set.of(), from, Goal.of(Map.of()));
    Setting draining = from.setting().with(PartId.of("valve"), PositionId.of("open"));
    Setting both = draining.with(PartId.of("inlet"), PositionId.of("mains"));
    Condition stops = new Condition.Stops(PartId.of("tank"), PortId.of("high"));
    assertThat(stops.objection(scout, draining, scout.seen().levels())).isEmpty();
    assertThat(stops.objection(scout, both, scout.seen().levels())).isPresent();
    Condition without =
        new Condition.Without(scout.ways(draining).ways().stream().findFirst().get().key());
    assertThat(without.objection(scout, draining, scout.seen().levels())).isPresent();
    assertThat(
            without.objection(
                scout,
                from.setting().with(PartId.of("inlet"), PositionId.of("mains")),
                scout.seen().levels()))
        .isEmpty();
  }

  /** Of two tanks, only what is drawn from the one itself has to come back filtered. */
  @Test
  void whatComesOfAnotherTankNeedNotBeFiltered() {
    RigBuilder builder =
        CaseRigs.rig()
            .part("tank", "Tank", 0, 0, 1, CaseRigs.tank())
            .part("other", "Other", 1, 0, 1, CaseRigs.tank())
            .part("pump", "Pump", 1, 0, 0.8, Fittings.pressurePump(10, 2.5))
            .part("filter", "Filter", 2, 0, 0.8, Fittings.filter(Grade.SEDIMENT, 8, 0.2))
            .part("tap", "Tap", 2, 0, 0.8, Fittings.fixture(Fixture.Type.TAP, true, 6))
            .line("a", "A", "other.low > pump.in", 19, 1, Material.PEX, 0)
            .line("b", "B", "pump.out > tank.high", 19, 1, Material.PEX, 0)
            .line("c", "C", "tank.low > filter.in", 19, 1, Material.PEX, 0)
            .line("d", "D", "filter.out > tap.cold", 19, 1, Material.PEX, 0);
    Network network =
        Network.of(
            CaseRigs.vented(CaseRigs.vented(builder, PartId.of("tank"), 1), PartId.of("other"), 1)
                .build());
    State from =
        new State(
            network.rig().atRest().with(PartId.of("pump"), PositionId.of("on")),
            Map.of(PartId.of("tank"), 0.03, PartId.of("other"), 0.03),
            Slope.LEVEL);
    ConditionEvaluator scout =
        new ConditionEvaluator(network, Hazards.of(network), Set.of(), from, Goal.of(Map.of()));
    assertThat(
            new Condition.Filtered(PartId.of("tank"), List.of(PartId.of("filter")))
                .objection(scout, from.setting(), scout.seen().levels()))
        .isEmpty();
  }

  /** A full tank spills where water may run over, and leaks everywhere else. */
  @ParameterizedTest
  @CsvSource({"OVERFLOW, false", "VENT, false", "DRAIN, true"})
  void aTankIsTightThatSpillsOnlyWhereItMay(OpenEnd.Role role, boolean leaks) {
    Rig rig =
        CaseRigs.vented(
                CaseRigs.rig().part("tank", "Tank", 0, 0, 1, CaseRigs.tank()), PartId.of("tank"), 1)
            .part("end", "End", 1, 0, 0.5, Fittings.end(role))
            .line("over", "Over", "tank.high > end.in", 19, 1, Material.PEX, 0)
            .part("valve", "Valve", 1, 0, 0.9, Fittings.twoWay(0))
            .part("drain", "Drain", 1, 0, 0.4, Fittings.end(OpenEnd.Role.DRAIN))
            .line("a", "A", "tank.low > valve.a", 19, 1, Material.PEX, 0)
            .line("b", "B", "valve.b > drain.in", 19, 1, Material.PEX, 0)
            .build();
    Network network = Network.of(rig);
    State from = new State(rig.atRest(), Map.of(PartId.of("tank"), 0.02), Slope.LEVEL);
    ConditionEvaluator scout =
        new ConditionEvaluator(network, Hazards.of(network), Set.of(), from, Goal.of(Map.of()));
    Condition tight = new Condition.Tight(PartId.of("tank"));
    assertThat(tight.objection(scout, from.setting(), scout.seen().levels()).isPresent())
        .isEqualTo(leaks);
    assertThat(
            tight.objection(
                scout,
                from.setting().with(PartId.of("valve"), PositionId.of("open")),
                scout.seen().levels()))
        .as("with its drain open")
        .containsInstanceOf(Objection.Leaking.class);
  }

  @Test
  void aHoseComesOffOnlyOnceItsTapIsShut() {
    DemoRig truck = DemoRig.called("marginalia");
    Part inlet = truck.rig().part(PartId.of("inlet"));
    assertThat(Hands.canTurn(inlet, PositionId.of("mains"), PositionId.of("hose"))).isTrue();
    assertThat(Hands.canTurn(inlet, PositionId.of("mains"), PositionId.of("capped"))).isFalse();
    assertThat(Hands.canTurn(inlet, PositionId.of("hose"), PositionId.of("capped"))).isTrue();
    assertThat(Hands.canTurn(inlet, PositionId.of("capped"), PositionId.of("mains"))).isTrue();
    assertThat(
            Hands.canTurn(
                truck.rig().part(PartId.of("tank-selector")),
                PositionId.of("main"),
                PositionId.of("low")))
        .isTrue();
  }

  @Test
  void aGoalKeepsWhatItDoesNotAskFor() {
    DemoRig truck = DemoRig.called("marginalia");
    Setting rest = truck.rig().atRest();
    Goal goal = Goal.of(Map.of(PartId.of("pump"), PositionId.of("on")));
    Goal kept = goal.keeping(rest, Set.of(PartId.of("pump"), PartId.of("heater")));
    assertThat(kept.conditions())
        .containsExactly(
            new Condition.Placed(PartId.of("heater"), PositionId.of("off")),
            new Condition.Placed(PartId.of("pump"), PositionId.of("on")),
            new Condition.Alone(List.of()));
    assertThat(goal.stuck(rest, Set.of(PartId.of("heater")))).isEmpty();
    assertThat(goal.stuck(rest, Set.of(PartId.of("pump"))))
        .contains(new Turn(PartId.of("pump"), PositionId.of("on")));
    assertThat(
            goal.stuck(
                rest.with(PartId.of("pump"), PositionId.of("on")), Set.of(PartId.of("pump"))))
        .isEmpty();
    Need sink = need(Source.Kind.TANK, PartId.of("main"), End.Kind.FIXTURE, PartId.of("sink"));
    assertThat(goal.letting(List.of(sink)).of(Condition.Alone.class))
        .singleElement()
        .satisfies(a -> assertThat(a.needs()).containsExactly(sink));
    assertThat(goal.letting(List.of(sink)).musts()).isEqualTo(goal.musts());
  }
}
