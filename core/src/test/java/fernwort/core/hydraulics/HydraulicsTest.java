package fernwort.core.hydraulics;

import static fernwort.core.Reference.number;
import static fernwort.core.Reference.tolerance;
import static fernwort.core.hydraulics.CaseRigs.rig;
import static fernwort.core.hydraulics.CaseRigs.tank;
import static fernwort.core.hydraulics.CaseRigs.withPipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.Reference;
import fernwort.core.demo.DemoRig;
import fernwort.core.describe.Fittings;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.Regulator;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Network;
import fernwort.core.network.RandomRigs;
import fernwort.core.rig.Line;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;

/** Steady flow in rigs. */
class HydraulicsTest {

  private static final double LITRES_PER_MINUTE = 1e-3 / 60;

  @Property(tries = 500)
  void everyRandomRigSettlesAndBalances(@ForAll @LongRange(min = 0, max = 1 << 20) long seed) {
    Rig rig = RandomRigs.rig(seed);
    Flows flows = solve(rig, RandomRigs.state(rig, seed));
    double out =
        sum(flows.fixtures().values()) + sum(flows.ends().values()) + sum(flows.tanks().values());
    assertThat(out).isCloseTo(sum(flows.supplies().values()), within(1e-9));
    assertThat(flows.lines().values()).allMatch(Double::isFinite);
    assertThat(flows.pressures().all().allMatch(Double::isFinite)).isTrue();
    assertThat(flows.fixtures().values()).allMatch(q -> q > -1e-10);
    assertThat(flows.ends().values()).allMatch(q -> q > -1e-10);
    for (Part part : rig.parts()) {
      if (part.kind() instanceof Tee) {
        assertThat(gain(rig, part, flows)).as(part.label()).isCloseTo(0, within(1e-9));
      }
    }
  }

  @Property(tries = 60)
  void aFilterUsedBeforeIsAsCloggedAsOneThatClogsNow(
      @ForAll @LongRange(min = 0, max = 1 << 20) long seed) {
    Rig rig = RandomRigs.rig(seed);
    State state = RandomRigs.state(rig, seed);
    Network network = Network.of(rig);
    for (Part filter : rig.parts()) {
      if (filter.kind() instanceof Filter) {
        Conditions all = Conditions.ORDINARY.withClogged(filter.id(), 2.5);
        Conditions some = Conditions.ORDINARY.withClogged(filter.id(), 1.5);
        Map<LineId, Double> now = Hydraulics.of(network).solve(state, all).lines();
        Hydraulics used = Hydraulics.of(network, Map.of(filter.id(), 2.0));
        assertThat(used.solve(state, some).lines()).isEqualTo(now);
        assertThat(used.withFittings(1).solve(state, some).lines()).isEqualTo(now);
      }
    }
  }

  /** What runs into a part over its lines, less what runs out. */
  private static double gain(Rig rig, Part part, Flows flows) {
    double gain = 0;
    for (Line line : rig.lines()) {
      gain += line.to().part().equals(part.id()) ? flows.line(line.id()) : 0;
      gain -= line.from().part().equals(part.id()) ? flows.line(line.id()) : 0;
    }
    return gain;
  }

  @Property(tries = 200)
  void theOrderInWhichPartsAreListedChangesNothing(
      @ForAll @LongRange(min = 0, max = 1 << 20) long seed) {
    Rig rig = RandomRigs.rig(seed);
    State state = RandomRigs.state(rig, seed);
    Flows flows = solve(rig, state);
    List<Part> parts = new ArrayList<>(rig.parts());
    List<Line> lines = new ArrayList<>(rig.lines());
    Collections.shuffle(parts, new Random(seed));
    Collections.shuffle(lines, new Random(seed));
    Rig shuffled = new Rig(rig.name(), rig.note(), rig.vehicle(), rig.places(), parts, lines);
    Flows again = solve(shuffled, state);
    for (Line line : rig.lines()) {
      assertThat(again.line(line.id())).isCloseTo(flows.line(line.id()), within(2e-9));
    }
    assertThat(again.tanks().keySet()).isEqualTo(flows.tanks().keySet());
  }

  private static double sum(Iterable<Double> values) {
    double sum = 0;
    for (double value : values) {
      sum += value;
    }
    return sum;
  }

  private static Flows solve(Rig rig, State state) {
    return Hydraulics.of(Network.of(rig)).solve(state);
  }

  // --- the cases worked out independently, as rigs ---------------------------------------------

  @TestFactory
  Stream<DynamicTest> aTankEmptiesByGravityAsWorkedOut() {
    return Reference.cases("open-gravity")
        .map(c ->
            DynamicTest.dynamicTest(
                c.get("id").asString(),
                () ->
                    assertThat(byGravity(c).end(PartId.of("drain")) / LITRES_PER_MINUTE)
                        .isCloseTo(number(c, "flow_l_per_min"), tolerance(c))));
  }

  private static Flows byGravity(JsonNode c) {
    double surface = number(c, "surface_above_outlet_m");
    double port = surface - 0.05;
    Rig rig =
        rig()
            .part("tank", "Tank", 0, 0, 1 + port, tank())
            .part("drain", "Drain", 0, 0, 1, Fittings.end(Role.DRAIN))
            .line("pipe", "Pipe", "tank.low > drain.in", 1, 1, Material.PEX, 0)
            .build();
    Rig piped = withPipe(rig, LineId.of("pipe"), c);
    return solve(
        piped, new State(piped.atRest(), Map.of(PartId.of("tank"), 0.05 * 0.25), Slope.LEVEL));
  }

  @TestFactory
  Stream<DynamicTest> aPumpSharesItsWaterAsWorkedOut() {
    return Reference.cases("open-pump")
        .map(c -> DynamicTest.dynamicTest(c.get("id").asString(), () -> sharesItsWater(c)));
  }

  private static void sharesItsWater(JsonNode c) {
    double shutOff = number(c, "pump_shutoff_pa");
    double freeFlow = number(c, "pump_free_flow_l_per_min") * LITRES_PER_MINUTE;
    Rig rig =
        rig()
            .part("tank", "Tank", 0, 0, number(c, "tank_surface_m") - 0.1, tank())
            .part(
                "pump",
                "Pump",
                0,
                0,
                0.3,
                new Pump(
                    Pump.Duty.SUPPLY,
                    Pump.Type.DIAPHRAGM,
                    shutOff,
                    freeFlow,
                    shutOff / 2,
                    shutOff,
                    1))
            .part("split", "Split", 0, 0, 0.5, new Tee())
            .part("one", "One", 0, 0, number(c.get("fixture_1"), "height_m"), fixture(c, "1"))
            .part("two", "Two", 0, 0, number(c.get("fixture_2"), "height_m"), fixture(c, "2"))
            .line("suction", "Suction", "tank.low > pump.in", 1, 1, Material.PEX, 0)
            .line("delivery", "Delivery", "pump.out > split.a", 1, 1, Material.PEX, 0)
            .line("branch-1", "Branch 1", "split.b > one.cold", 1, 1, Material.PEX, 0)
            .line("branch-2", "Branch 2", "split.c > two.cold", 1, 1, Material.PEX, 0)
            .build();
    rig = withPipe(rig, LineId.of("suction"), c.get("suction"));
    rig = withPipe(rig, LineId.of("delivery"), c.get("delivery_to_split"));
    rig = withPipe(rig, LineId.of("branch-1"), c.get("branch_1"));
    rig = withPipe(rig, LineId.of("branch-2"), c.get("branch_2"));
    String open = c.get("id").asString().substring("open-pump-".length());
    State state =
        new State(rig.atRest(), Map.of(PartId.of("tank"), 0.1 * 0.25), Slope.LEVEL)
            .with(PartId.of("pump"), PositionId.of("on"))
            .with(
                PartId.of("one"),
                open.equals("second") ? PositionId.of("shut") : PositionId.of("open"))
            .with(
                PartId.of("two"),
                open.equals("first") ? PositionId.of("shut") : PositionId.of("open"));
    Flows flows = solve(rig, state);
    assertThat(flows.fixture(PartId.of("one")) / LITRES_PER_MINUTE)
        .isCloseTo(number(c, "fixture_1_l_per_min"), tolerance(c));
    assertThat(flows.fixture(PartId.of("two")) / LITRES_PER_MINUTE)
        .isCloseTo(number(c, "fixture_2_l_per_min"), tolerance(c));
    assertThat(flows.tank(PartId.of("tank")) / -LITRES_PER_MINUTE)
        .isCloseTo(number(c, "total_l_per_min"), tolerance(c));
  }

  private static Kind fixture(JsonNode c, String number) {
    JsonNode fixture = c.get("fixture_" + number);
    return new Fixture(
        Type.HOSE_POINT,
        false,
        number(fixture, "rated_flow_l_per_min") * LITRES_PER_MINUTE,
        number(fixture, "rated_pressure_pa"));
  }

  @Test
  void aHoseFillsATankAsWorkedOut() {
    JsonNode c = Reference.only("open-hose-fill");
    double inlet = number(c, "inlet_port_above_tap_m");
    Rig rig =
        rig()
            .part("tap", "Tap", 0, 0, 0.3, new HoseInlet(number(c, "tap_pa"), 0))
            .part("reg", "Regulator", 0, 0, 0.3, new Regulator(number(c, "regulator_set_pa")))
            .part("check", "Check", 0, 0, 0.3, new CheckValve(number(c, "check_cracking_pa")))
            .part(
                "filter",
                "Filter",
                0,
                0,
                0.3,
                new Filter(
                    Filter.Grade.SEDIMENT,
                    number(c, "filter_rated_flow_l_per_min") * LITRES_PER_MINUTE,
                    number(c, "filter_rated_loss_pa")))
            .part("tank", "Tank", 0, 0, 0.3 + inlet - 0.2, tank())
            .line("l1", "1", "tap.out > reg.in", 40, 0.01, Material.PEX, 0)
            .line("hose", "Hose", "reg.out > check.in", 1, 1, Material.PEX, 0)
            .line("l2", "2", "check.out > filter.in", 15.9, 0.01, Material.PEX, 0)
            .line("inlet", "Inlet", "filter.out > tank.high", 1, 1, Material.PEX, 0)
            .build();
    rig = withPipe(rig, LineId.of("hose"), c.get("hose"));
    rig = withPipe(rig, LineId.of("inlet"), c.get("inlet_line"));
    State state =
        new State(rig.atRest(), Map.of(), Slope.LEVEL)
            .with(PartId.of("tap"), PositionId.of("mains"));
    assertThat(solve(rig, state).tank(PartId.of("tank")) / LITRES_PER_MINUTE)
        .isCloseTo(number(c, "flow_l_per_min"), tolerance(c));
  }

  // --- what users would see ----------------------------------------------------------------------

  @Test
  void theDemoTruckFillsASinkAtAnOrdinaryRate() {
    DemoRig truck = DemoRig.all().getFirst();
    Flows flows = solve(truck.rig(), truck.state());
    assertThat(flows.fixture(PartId.of("sink")) / LITRES_PER_MINUTE).isBetween(2.0, 7.0);
    assertThat(flows.tank(PartId.of("main")))
        .isCloseTo(-flows.fixture(PartId.of("sink")), within(1e-9));
    assertThat(flows.pumps()).containsKey(PartId.of("pump"));
  }
}
