package fernwort.core.drain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.OnRecord;
import fernwort.core.demo.DemoRig;
import fernwort.core.describe.Fittings;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.kind.line.Valve;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Macerator;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Line;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.winter.FrostRisks;
import fernwort.core.winter.sheets.FrostHarm;
import fernwort.core.winter.sheets.FrostRisk;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.Procedure;
import fernwort.core.winter.sheets.ResidualWater;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What bodies keep, and what it does, on rigs small enough to see it. */
class BodiesTest {

  private static final double COLD = 258.15;

  private static Wintering after(Network network, String... turns) {
    State rest = new State(network.rig().atRest(), Map.of(), Slope.LEVEL);
    List<Turn> steps =
        Stream.of(turns)
            .map(t -> t.split(" "))
            .map(t -> new Turn(PartId.of(t[0]), PositionId.of(t[1])))
            .toList();
    return Procedure.run(network, Filled.of(network, rest), steps);
  }

  private static FrostHarm harm(Network network, Wintering now, String id) {
    return FrostRisks.of(network, now, COLD).stream()
        .filter(r -> r.id().value().equals(id))
        .map(FrostRisk::harm)
        .findFirst()
        .orElse(FrostHarm.NONE);
  }

  private static Rig fall(double height, Kind body) {
    return CaseRigs.rig()
        .part("top", "Top", 1, 0, 1.8, Fittings.fixture(Fixture.Type.TAP, false, 6))
        .part("body", "Body", 1, 0, height, 0.5, body)
        .part("cap", "Cap", 1, 0, 0.5, new Plug(true))
        .line(
            "upper",
            "Upper",
            "top.cold > body." + body.ports().getFirst(),
            12,
            0.8,
            Material.PEX,
            1)
        .line(
            "lower",
            "Lower",
            "body." + body.ports().getLast() + " > cap.in",
            12,
            0.8,
            Material.PEX,
            1)
        .build();
  }

  @Test
  void aHeaterKeepsWhatLiesUnderItsDrain() {
    Network network = Network.of(fall(1.0, new Heater(Heater.Type.STORAGE, true, 0.02)));
    assertThat(after(network, "top open").wetness().body(PartId.of("body"))).isEqualTo(5e-4);
    double left = after(network, "top open", "body drained").wetness().body(PartId.of("body"));
    // Half a litre upright, half as high again as wide: 113 mm high, two centimetres stay.
    assertThat(left).isCloseTo(5e-4 * 20 / 112.7, within(1e-6));
    assertThat(harm(network, after(network), "body")).isEqualTo(FrostHarm.DANGER);
    assertThat(harm(network, after(network, "top open", "body drained"), "body"))
        .isEqualTo(FrostHarm.WARNING);
  }

  @Test
  void aCoilKeepsAllOfItUntilItIsBlown() {
    Network network = Network.of(fall(1.0, new Heater(Heater.Type.INSTANT, false, 0)));
    Wintering drained = after(network, "top open", "cap off");
    assertThat(drained.wetness().body(PartId.of("body"))).isEqualTo(5e-4);
    assertThat(drained.wetness().lines().values()).allMatch(List::isEmpty);
    Wintering blown =
        new Operation.Blown(List.of(), List.of(PartId.of("body"))).on(network, drained);
    assertThat(FrostRisks.of(network, blown, COLD)).isEmpty();
  }

  @Test
  void aPumpRunDryKeepsAFifthAndUndoneNothing() {
    Network network = Network.of(fall(1.0, Fittings.pressurePump(10, 2.5)));
    assertThat(harm(network, after(network, "top open", "cap off"), "body"))
        .isEqualTo(FrostHarm.DANGER);
    Wintering dry = after(network, "top open", "cap off", "body on", "body off");
    assertThat(dry.wetness().body(PartId.of("body"))).isCloseTo(1e-4, within(1e-12));
    assertThat(harm(network, dry, "body")).isEqualTo(FrostHarm.WARNING);
    Wintering undone = after(network, "top open", "cap off", "body undone");
    assertThat(undone.wetness().bodies().getOrDefault(PartId.of("body"), 0.0)).isZero();
    assertThat(FrostRisks.of(network, undone, COLD)).isEmpty();
  }

  @Test
  void behindAGrayTankIsWaterWhileItHoldsSomeAndBehindAFreshOneAlways() {
    DemoRig van = DemoRig.called("marginalia");
    Network network = Network.of(van.rig());
    for (double litres : new double[] {0, 20}) {
      State state =
          van.state()
              .withVolume(PartId.of("gray"), litres / 1000)
              .withVolume(PartId.of("main"), litres / 1000);
      Wetness wet = Filled.of(network, state).wetness();
      assertThat(wet.volume(lowestLine(network, PartId.of("main"))))
          .as("fresh, %.0f L", litres)
          .isPositive();
      assertThat(wet.volume(lowestLine(network, PartId.of("gray"))) > 0)
          .as("gray, %.0f L", litres)
          .isEqualTo(litres > 0);
    }
  }

  /** Returns the line at the lowest port of a tank. */
  private static Line lowestLine(Network network, PartId tank) {
    Part part = network.rig().part(tank);
    return ((Tank) part.kind())
        .tankPorts().stream()
            .min(Comparator.comparingDouble(port -> port.at().z()))
            .map(port -> network.rig().lines().get(network.lineAt(part.port(port.id()))))
            .orElseThrow();
  }

  /** What stays of each kind of part, what it does and what mends it: full, and run out. */
  @Test
  void whatEachBodyKeepsIsOnRecord() {
    List<Kind> kinds =
        List.of(
            Fittings.twoWay(0),
            Fittings.motorised(0, PositionId.NONE, 6),
            new TwoWayValve(
                List.of(
                    new Stop(PositionId.of("shut"), "screwed down", 0, List.of()),
                    new Stop(
                        PositionId.of("open"),
                        "screwed out",
                        90,
                        List.of(List.of(PortId.A, PortId.B)))),
                Optional.empty(),
                Optional.of(Valve.Design.GATE)),
            Fittings.check(),
            Fittings.regulator(2.5),
            Fittings.filter(Filter.Grade.SEDIMENT, 8, 0.2),
            new Strainer(),
            new DrainTrap(),
            new Tee(),
            new Manifold(1),
            Fittings.pressurePump(10, 2.5),
            Fittings.footPump(6, 1),
            new Macerator(1e-3, 5e4),
            new Heater(Heater.Type.STORAGE, true, 0.02),
            new Heater(Heater.Type.INSTANT, false, 0));
    List<String> told = new ArrayList<>();
    for (Kind kind : kinds) {
      Network network = Network.of(fall(1.0, kind));
      told.add("## " + OnRecord.tell(kind));
      tell(told, "full", network, after(network));
      tell(told, "run out", network, after(network, "top open", "cap off"));
    }
    OnRecord.assertAsRead("words/leftovers", told);
  }

  private static void tell(List<String> told, String when, Network network, Wintering now) {
    for (FrostRisk left : FrostRisks.of(network, now, COLD)) {
      told.add(
          "%s: %s %s m³, %s: %s. %s"
              .formatted(
                  when,
                  left.id(),
                  OnRecord.number(left.volume()),
                  left.harm(),
                  left.how(),
                  left.fix()));
    }
  }

  @Test
  void aPumpRunsDryOnlyWhereNoTankFeedsIt() {
    Rig rig =
        CaseRigs.vented(
                CaseRigs.rig().part("tank", "Tank", 0, 0, 1, CaseRigs.tank()), PartId.of("tank"), 1)
            .part("pump", "Pump", 1, 0, 0.9, 0.5, Fittings.pressurePump(10, 2.5))
            .part("tap", "Tap", 2, 0, 1.2, Fittings.fixture(Fixture.Type.TAP, false, 6))
            .line("a", "A", "tank.low > pump.in", 12, 1, Material.PEX, 1)
            .line("b", "B", "pump.out > tap.cold", 12, 1, Material.PEX, 1)
            .build();
    Network network = Network.of(rig);
    List<Turn> on = List.of(new Turn(PartId.of("pump"), Kind.ON));
    for (double litres : new double[] {60, 0}) {
      State state = new State(rig.atRest(), Map.of(PartId.of("tank"), litres / 1000), Slope.LEVEL);
      Wintering before = Filled.of(network, state);
      double full = before.wetness().body(PartId.of("pump"));
      assertThat(Procedure.run(network, before, on).wetness().body(PartId.of("pump")))
          .as("%.0f L", litres)
          .isCloseTo(litres > 0 ? full : full / 5, within(1e-12));
      assertThat(full).isPositive();
    }
  }

  @Test
  void whatStaysIsToldTheMostFirstAndOfTheTanksAskedAfter() {
    Network network = Network.of(fall(1.0, new Strainer()));
    State shut = new State(network.rig().atRest(), Map.of(), Slope.LEVEL);
    assertThat(ResidualWater.of(network, shut, Set.of(), false)).isEmpty();
    List<ResidualWater> lines = ResidualWater.of(network, shut, Set.of(), true);
    assertThat(lines)
        .extracting(ResidualWater::id)
        .contains(LineId.of("upper"), LineId.of("lower"), PartId.of("body"));
    assertThat(lines)
        .isSortedAccordingTo(Comparator.comparingDouble(ResidualWater::volume).reversed())
        .filteredOn(l -> l.id().equals(PartId.of("body")))
        .singleElement()
        .satisfies(l -> assertThat(l.kind()).isEqualTo(ResidualWater.Kind.BODY));
    DemoRig van = DemoRig.called("marginalia");
    State stands =
        van.state().withVolume(PartId.of("main"), 0.02).withVolume(PartId.of("low"), 5e-7);
    assertThat(
            ResidualWater.of(
                Network.of(van.rig()), stands, Set.of(PartId.of("main"), PartId.of("low")), false))
        .containsExactly(new ResidualWater(PartId.of("main"), ResidualWater.Kind.TANK, 0.02));
  }

  @Test
  void aBowlIsAnOpeningAndABallHalfWayKeepsNothing() {
    Network bowl = Network.of(fall(1.0, new Strainer()));
    // The bowl off lets the riser above it run out without the cap.
    assertThat(after(bowl, "top open", "body off").wetness().body(PartId.of("body"))).isZero();
    assertThat(after(bowl, "top open", "body off").wetness().of(bowl.rig().lines().getFirst()))
        .isEmpty();
    Network ball = Network.of(fall(1.0, Fittings.twoWay(0)));
    assertThat(after(ball, "top open", "cap off", "body open").wetness().body(PartId.of("body")))
        .isCloseTo(0.15 * 5e-4, within(1e-12));
    assertThat(after(ball, "top open", "cap off", "body half").wetness().body(PartId.of("body")))
        .isZero();
  }

  @Test
  void aStrawHoldsItsWaterAndIsADanger() {
    Network network = Network.of(fall(1.0, new Strainer()));
    Wintering shut = after(network, "cap off");
    assertThat(harm(network, shut, "upper")).isEqualTo(FrostHarm.DANGER);
    List<FrostRisk> told = FrostRisks.withHelp(network, shut, COLD);
    assertThat(told)
        .filteredOn(r -> r.id().equals(LineId.of("upper")))
        .singleElement()
        .satisfies(r -> {
          assertThat(r.how().toString()).contains("closed end");
          assertThat(r.help()).contains(new Operation.Put(PartId.of("top"), PositionId.of("open")));
        });
  }
}
