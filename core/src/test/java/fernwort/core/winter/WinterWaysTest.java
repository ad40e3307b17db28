package fernwort.core.winter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.describe.Fittings;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Rewetting;
import fernwort.core.drain.Wetness;
import fernwort.core.drain.Wintering;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Macerator;
import fernwort.core.network.Network;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import fernwort.core.winter.sheets.Blow;
import fernwort.core.winter.sheets.FrostRisk;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterWish;
import fernwort.core.winter.sheets.WinterizingMethod;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Air and antifreeze by hand: a pump and an inlet that feed a near tap and a far one. */
class WinterWaysTest {

  /** A metre of 12 mm holds so much (m³). */
  private static final double METRE = 1.130973e-4;

  private static RigBuilder begun() {
    return CaseRigs.vented(CaseRigs.rig(), PartId.of("tank"), 1.0)
        .part("tank", "Tank", 0, 0, 1.0, CaseRigs.tank())
        .part("pump", "Pump", 0.5, 0, 0.8, 0.2, Fittings.pressurePump(10, 2.5))
        .part("join", "Join", 0.6, 0, 0.7, new Tee())
        .part("tee", "Tee", 1, 0, 0.7, 0.01, new Tee())
        .part("near", "Near", 1, 0, 1.5, Fittings.fixture(Fixture.Type.TAP, false, 6))
        .part("far", "Far", 3, 0, 1.5, Fittings.fixture(Fixture.Type.TAP, false, 6))
        .part("trap", "Trap", 3, 0, 1.3, 0.3, new DrainTrap())
        .part("drip", "Drip", 3, 0, 0.3, Fittings.end(OpenEnd.Role.DRAIN))
        .line("feed", "Feed", "tank.low > pump.in", 12, 0.7, Material.PVC_HOSE, 1)
        .line("out", "Out", "pump.out > join.a", 12, 0.3, Material.PVC_HOSE, 1)
        .line("up", "Up", "tee.b > near.cold", 12, 1.0, Material.PEX, 1)
        .line("wide", "Wide", "tee.c > far.cold", 25, 3.0, Material.SILICONE_HOSE, 1)
        .line("waste", "Waste", "far.waste > trap.in", 25, 0.3, Material.RIGID_PVC, 1)
        .line("down", "Down", "trap.out > drip.in", 25, 1.1, Material.RIGID_PVC, 1);
  }

  /** The line between the tees is straight, or hangs 30 cm low in its middle and keeps all. */
  private static Rig rig(boolean belly) {
    RigBuilder rig =
        begun()
            .part("inlet", "Inlet", 0, 0.5, 0.7, Fittings.inlet(3))
            .line("in", "In", "inlet.out > join.c", 12, 0.5, Material.PEX, 1);
    return belly
        ? rig.line("main", "Main", "join.b > tee.a", 12, 0.8, Material.PEX, 1, 0.4, 0.4).build()
        : rig.line("main", "Main", "join.b > tee.a", 12, 0.5, Material.PEX, 1).build();
  }

  private static WinterPlan plan(Rig rig, WinterizingMethod school, WinterWish wish) {
    Network network = Network.of(rig);
    State rest = new State(rig.atRest(), Map.of(PartId.of("tank"), 0.05), Slope.LEVEL);
    return WinterizingMethods.of(Plans.of(network)).plan(school, Filled.of(network, rest), wish);
  }

  /** A compressor that gives so many litres of free air a minute. */
  private static WinterWish blowing(double litresPerMinute, double pressure) {
    return new WinterWish(258.15, litresPerMinute / 60_000, pressure, 0.5, 5e-3, 12);
  }

  private static Blow.Swept swept(Blow blow, LineId line) {
    return blow.lines().stream().filter(s -> s.line().equals(line)).findFirst().orElseThrow();
  }

  private static List<String> said(WinterPlan plan) {
    return plan.steps().stream().map(s -> s.words().toString()).toList();
  }

  @Test
  void airGoesToTheFarthestFirstAtThePressureItsOutletLetsBuildUp() {
    WinterPlan plan = plan(rig(false), WinterizingMethod.AIR, WinterWish.USUAL);
    assertThat(plan.air())
        .extracting(Blow::outlet)
        .containsExactly(PartId.of("far"), PartId.of("near"));
    Blow near = plan.air().getLast();
    assertThat(near.length()).isCloseTo(2.0, within(1e-9));
    // 50 L/min of free air through a tap of 5 mm² build up 0.17 bar.
    assertThat(near.pressure()).isCloseTo(17_240, within(20.0));
    // 8.33e-4 · 101,325 / (118,563 · 1.131e-4 m²), and Wallis' number of that in 12 mm.
    assertThat(swept(near, LineId.of("up")).speed()).isCloseTo(6.297, within(2e-3));
    assertThat(swept(near, LineId.of("up")).wallis()).isCloseTo(0.6958, within(5e-4));
    assertThat(swept(near, LineId.of("up")).isCarried()).isFalse();
    // All of it had run out before: three bursts, and nothing to warn of.
    assertThat(near.bursts()).isEqualTo(3);
    assertThat(swept(near, LineId.of("up")).high()).isZero();
    assertThat(plan.notes()).isEmpty();
    assertThat(plan.left()).isEmpty();
  }

  @Test
  void aBellyKeepsHalfOrAllWhereAirIsTooSlow() {
    WinterPlan plan = plan(rig(true), WinterizingMethod.AIR, WinterWish.USUAL);
    Blow near = plan.air().getLast();
    double belly = 0.8 * METRE;
    assertThat(swept(near, LineId.of("main")).low()).isCloseTo(belly / 2, within(1e-8));
    assertThat(swept(near, LineId.of("main")).high()).isCloseTo(belly, within(1e-8));
    // Three bursts, and one more for what stands in it.
    assertThat(near.bursts()).isEqualTo(4);
    assertThat(said(plan)).contains("Blow 4 bursts to Near; low spots on the way keep some water");
    assertThat(plan.notes().toString()).contains("too slow").contains("Near").contains("Far");
    assertThat(plan.left())
        .filteredOn(r -> r.id().equals(LineId.of("main")))
        .singleElement()
        .satisfies(r -> assertThat(r.volume()).isCloseTo(belly, within(1e-8)));
  }

  @Test
  void aStrongCompressorCarriesItOutButForAFilm() {
    WinterPlan plan = plan(rig(true), WinterizingMethod.AIR, blowing(200, 150_000));
    Blow near = plan.air().getLast();
    assertThat(swept(near, LineId.of("main")).isCarried()).isTrue();
    assertThat(swept(near, LineId.of("main")).low()).isCloseTo(0.02 * 0.8 * METRE, within(1e-10));
    assertThat(swept(near, LineId.of("main")).high()).isCloseTo(0.06 * 0.8 * METRE, within(1e-10));
    assertThat(plan.left()).extracting(FrostRisk::id).doesNotContain(LineId.of("main"));
    assertThat(plan.after().wetness().lines().getOrDefault(LineId.of("main"), List.of())).isEmpty();
  }

  @Test
  void theWeakestLineOnTheWayBoundsThePressure() {
    // The silicone hose bears 1.5 bar; the way to the near tap 2 bar, as asked.
    WinterPlan plan = plan(rig(false), WinterizingMethod.AIR, blowing(3000, 200_000));
    assertThat(plan.air().getFirst().pressure()).isCloseTo(150_000, within(1.0));
    assertThat(plan.air().getLast().pressure()).isCloseTo(200_000, within(1.0));
    assertThat(said(plan)).anyMatch(s -> s.contains("regulator at 1.5 bar"));
  }

  @Test
  void withoutAPlaceForAirOrATapItReachesThatIsSaid() {
    Rig sealed =
        CaseRigs.rig()
            .part("high", "High", 1, 0, 1.5, Fittings.fixture(Fixture.Type.TAP, false, 6))
            .part("low", "Low", 1, 0, 0.5, Fittings.fixture(Fixture.Type.TAP, false, 6))
            .line("fall", "Fall", "high.cold > low.cold", 12, 1.0, Material.PEX, 1)
            .build();
    assertThat(plan(sealed, WinterizingMethod.AIR, WinterWish.USUAL).notes().toString())
        .contains("No place to let air in");
    assertThat(plan(sealed, WinterizingMethod.ANTIFREEZE, WinterWish.USUAL).notes().toString())
        .contains("No place to let antifreeze in");
    Rig apart =
        begun()
            .part("inlet", "Inlet", 0, 0.5, 0.7, Fittings.inlet(3))
            .part("cap", "Cap", 0.2, 0.5, 0.7, new Plug(false))
            .line("in", "In", "inlet.out > cap.in", 12, 0.5, Material.PEX, 1)
            .line("stub", "Stub", "join.c > tee.a", 12, 0.5, Material.PEX, 1)
            .build();
    // The pump's own outlet is where air comes in that reaches both.
    assertThat(plan(apart, WinterizingMethod.AIR, WinterWish.USUAL).air()).hasSize(2);
    assertThat(said(plan(apart, WinterizingMethod.AIR, WinterWish.USUAL)))
        .anyMatch(s -> s.startsWith("Pump: take its outlet hose off"));
  }

  @Test
  void antifreezeFillsTheWayToEachTapTheShortestFirst() {
    WinterPlan plan = plan(rig(false), WinterizingMethod.ANTIFREEZE, WinterWish.USUAL);
    // The pump's 0.2 L of water mix until nine tenths are antifreeze: 0.2 L · ln 10. 1.8 m of 12 mm
    // and 10 mL in the tee; then
    // 3 m of 25 mm; then a cup and a half.
    double near = 0.2e-3 * Math.log(10) + 1.8 * METRE + 0.01e-3;
    double far = 3 * Math.PI / 4 * 0.025 * 0.025;
    assertThat(plan.litres()).isCloseTo(near + far + 0.45e-3, within(5e-6));
    assertThat(said(plan))
        .containsSubsequence(
            "Pump: suction hose off and into the jug",
            "Near, open: run it until it comes coloured, about 675 mL",
            "Far, open: run it until it comes coloured, about 1.5 L");
    // The trap's 0.3 L mix with 0.45 L that are poured: 0.5 · (1 - e^(-1.5)).
    assertThat(plan.weakest().orElseThrow()).isCloseTo(0.3884, within(1e-4));
    assertThat(plan.weakestAt()).isEqualTo("Trap");
    assertThat(plan.after().glycol())
        .containsOnlyKeys(
            PartId.of("pump"),
            LineId.of("out"),
            LineId.of("main"),
            PartId.of("tee"),
            LineId.of("up"),
            LineId.of("wide"),
            PartId.of("trap"));
    assertThat(plan.after().strength(LineId.of("up"))).isBetween(0.45, 0.5);
    assertThat(plan.after().strength(LineId.of("feed"))).isZero();
    assertThat(plan.jugs(1e-3)).isEqualTo(3);
    assertThat(plan.jugs(plan.litres())).isEqualTo(1);
    // The outlet is held open for as long as a slow stream of 50 mL/s takes.
    assertThat(plan.steps())
        .filteredOn(s -> s.words().toString().startsWith("Far, open"))
        .singleElement()
        .satisfies(s -> assertThat(s.seconds()).isCloseTo(far / 5e-5, within(0.1)));
  }

  @Test
  void aLineBesideTheWayOfAntifreezeIsNamed() {
    Rig rig =
        begun()
            .part("inlet", "Inlet", 0, 0.5, 0.4, new Plug(false))
            .line("in", "Dead end", "inlet.in > join.c", 12, 0.5, Material.PEX, 1)
            .line("main", "Main", "join.b > tee.a", 12, 0.5, Material.PEX, 1)
            .build();
    WinterPlan plan = plan(rig, WinterizingMethod.ANTIFREEZE, WinterWish.USUAL);
    assertThat(plan.notes().toString()).contains("No antifreeze comes into line Dead end");
    assertThat(plan.after().strength(LineId.of("in"))).isZero();
  }

  @Test
  void aMixTakesACupForTheTrapAndNoMore() {
    WinterPlan plan = plan(rig(false), WinterizingMethod.MIX, WinterWish.USUAL);
    assertThat(plan.litres()).isCloseTo(0.45e-3, within(1e-9));
    assertThat(plan.after().glycol()).containsOnlyKeys(PartId.of("trap"));
    WinterWish plug = new WinterWish(258.15, 1e-3, 150_000, 0.5, 5e-3, 12, true, false);
    WinterPlan dry = plan(rig(false), WinterizingMethod.MIX, plug);
    assertThat(dry.litres()).isZero();
    assertThat(dry.weakest()).isEmpty();
    assertThat(dry.air()).hasSize(2);
  }

  @Test
  void aToiletGetsACupAndAMaceratorIsTippedOut() {
    Rig rig =
        CaseRigs.rig()
            .part("seat", "Seat", 1, 0, 1.0, Fittings.fixture(Fixture.Type.TOILET, false, 6))
            .part("mill", "Mill", 1, 0, 0.5, 0.1, new Macerator(2e-4, 5e4))
            .part("out", "Out", 1, 0, 0.3, Fittings.end(OpenEnd.Role.DRAIN))
            .line("soil", "Soil", "seat.waste > mill.in", 50, 0.6, Material.RIGID_PVC, 1)
            .line("fall", "Fall", "mill.out > out.in", 25, 0.3, Material.RIGID_PVC, 1)
            .build();
    WinterPlan plan = plan(rig, WinterizingMethod.MIX, WinterWish.USUAL);
    assertThat(said(plan))
        .anyMatch(s -> s.startsWith("Seat: a cup of antifreeze into the bowl"))
        .contains("Take Mill off and tip the water out.")
        .noneMatch(s -> s.startsWith("Mill: pour"));
    // Two decilitres at least, for it holds nothing that is known.
    assertThat(plan.litres()).isCloseTo(0.2e-3, within(1e-9));
    assertThat(plan.after().strength(PartId.of("seat"))).isEqualTo(0.5);
  }

  @ParameterizedTest
  @CsvSource({
    "200, 1e-3, 1e5, 0.5, 5e-3, 12, lowest temperature",
    "280, 1e-3, 1e5, 0.5, 5e-3, 12, lowest temperature",
    "258, 0, 1e5, 0.5, 5e-3, 12, compressor",
    "258, 0.06, 1e5, 0.5, 5e-3, 12, compressor",
    "258, 1e-3, 0, 0.5, 5e-3, 12, 2 bar",
    "258, 1e-3, 200001, 0.5, 5e-3, 12, 2 bar",
    "258, 1e-3, 1e5, 0, 5e-3, 12, strength",
    "258, 1e-3, 1e5, 1.01, 5e-3, 12, strength",
    "258, 1e-3, 1e5, 0.5, 0, 12, jug",
    "258, 1e-3, 1e5, 0.5, 0.3, 12, jug",
    "258, 1e-3, 1e5, 0.5, 5e-3, -1, jug",
  })
  void whatNobodyCanHaveIsRefusedByName(
      double cold,
      double air,
      double bar,
      double strength,
      double jug,
      double price,
      String named) {
    assertThatThrownBy(() -> new WinterWish(cold, air, bar, strength, jug, price))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(named);
  }

  private static Wintering dry(Network network, double litres, Map<PartId, PositionId> turned) {
    State state =
        new State(network.rig().atRest(), Map.of(PartId.of("tank"), litres / 1000), Slope.LEVEL);
    for (Map.Entry<PartId, PositionId> turn : turned.entrySet()) {
      state = state.with(turn.getKey(), turn.getValue());
    }
    return new Wintering(state, Map.of(), Wetness.DRY, Map.of());
  }

  private static Set<LineId> wet(Network network, double litres, Map<PartId, PositionId> turned) {
    return Rewetting.of(network, dry(network, litres, turned)).wetness().lines().keySet();
  }

  @Test
  void waterThatCameAgainIsWhereATankAPumpOrTheMainsBringsIt() {
    Network network = Network.of(rig(false));
    assertThat(wet(network, 0, Map.of())).isEmpty();
    // Through a pump that is off water falls, as far as the tank stands higher.
    assertThat(wet(network, 50, Map.of()))
        .containsExactlyInAnyOrder(
            LineId.of("feed"),
            LineId.of("out"),
            LineId.of("in"),
            LineId.of("main"),
            LineId.of("up"),
            LineId.of("wide"));
    assertThat(wet(network, 0, Map.of(PartId.of("pump"), PositionId.of("on")))).isEmpty();
    // Which way a pump's own valves hold is not asked: too much counts as full, never too little.
    assertThat(wet(network, 0, Map.of(PartId.of("inlet"), PositionId.of("mains"))))
        .containsExactlyInAnyOrder(
            LineId.of("feed"),
            LineId.of("out"),
            LineId.of("in"),
            LineId.of("main"),
            LineId.of("up"),
            LineId.of("wide"));
    Wintering again =
        Rewetting.of(network, dry(network, 0, Map.of(PartId.of("inlet"), PositionId.of("mains"))));
    assertThat(again.wetness().body(PartId.of("tee"))).isEqualTo(0.01e-3);
    assertThat(again.wetness().body(PartId.of("pump"))).isEqualTo(0.2e-3);
  }

  @Test
  void aTankThatLiesLowNeedsItsPump() {
    Network network =
        Network.of(
            CaseRigs.vented(CaseRigs.rig(), PartId.of("tank"), 0.2)
                .part("tank", "Tank", 0, 0, 0.2, CaseRigs.tank())
                .part("pump", "Pump", 0.5, 0, 0.8, 0.2, Fittings.pressurePump(10, 2.5))
                .part("tap", "Tap", 1, 0, 1.5, Fittings.fixture(Fixture.Type.TAP, false, 6))
                .line("feed", "Feed", "tank.low > pump.in", 12, 0.8, Material.PVC_HOSE, 1)
                .line("up", "Up", "pump.out > tap.cold", 12, 1.0, Material.PEX, 1)
                .build());
    assertThat(wet(network, 50, Map.of())).containsExactly(LineId.of("feed"));
    assertThat(Rewetting.of(network, dry(network, 50, Map.of())).wetness().body(PartId.of("pump")))
        .isZero();
    assertThat(wet(network, 50, Map.of(PartId.of("pump"), PositionId.of("on"))))
        .containsExactlyInAnyOrder(LineId.of("feed"), LineId.of("up"));
  }
}
