package fernwort.core.sizing;

import static fernwort.core.hydraulics.CaseRigs.rig;
import static fernwort.core.hydraulics.CaseRigs.tank;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.describe.Fittings;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.Tee;
import fernwort.core.network.Network;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Pump and lines of one tank, one pump and two taps, against sums done by hand. */
class PlainLineTest {

  private static final double GRAVITY = 9.80665 * 999.1;
  private static final double RATED = 6e-3 / 60;
  private static final double SLOW = 3e-3 / 60;

  /** The tank's bottom at 1 m, the pump at 1.3 m, one tap at 2 m and a slower one at 1.5 m. */
  private static final Rig RIG =
      rig()
          .part("tank", "Tank", 0, 0, 1, tank())
          .part("pump", "Pump", 0, 0, 1.3, Fittings.pressurePump(10, 2.4))
          .part("check", "Check", 0, 0, 1.3, Fittings.check())
          .part("filter", "Filter", 0, 0, 1.4, Fittings.filter(Filter.Grade.SEDIMENT, 12, 0.3))
          .part("fork", "Fork", 0, 0, 1.5, new Tee())
          .part("high", "High", 0, 0, 2, Fittings.fixture(Type.TAP, true, 6))
          .part("low", "Low", 0, 0, 1.5, Fittings.fixture(Type.TAP, true, 3))
          .part("garden", "Garden", 0, 0, 1, Fittings.fixture(Type.HOSE_POINT, false, 9))
          .part("loop", "Loop pump", 0, 0, 1, Fittings.circulationPump(6, 0.1))
          .part("g", "G", 0, 0, 1.5, new Tee())
          .line("suction", "Suction", "tank.low > pump.in", 13, 0.5, Material.PVC_HOSE, 1)
          .line("a", "A", "pump.out > check.in", 13, 0.2, Material.PEX, 1)
          .line("b", "B", "check.out > filter.in", 13, 0.2, Material.PEX, 1)
          .line("c", "C", "filter.out > fork.a", 10, 2, Material.PEX, 2)
          .line("d", "D", "fork.b > high.cold", 10, 3, Material.PEX, 2)
          .line("e", "E", "fork.c > g.a", 13, 0.5, Material.PEX, 1)
          .line("f", "F", "g.b > low.cold", 13, 1, Material.PEX, 1)
          .line("h", "H", "g.c > garden.cold", 13, 4, Material.PEX, 1)
          .build();

  private static final Network PLUMBING = Network.of(RIG);
  private static final Hydraulics HYDRAULICS = Hydraulics.of(PLUMBING);

  private static PumpAndLines figures(double volume, String... together) {
    return PumpAndLines.of(
        PLUMBING,
        new State(RIG.atRest(), Map.of(PartId.of("tank"), volume), Slope.LEVEL),
        Stream.of(together).map(PartId::of).toList());
  }

  private static PumpAndLines.AtFixture at(PumpAndLines all, PartId fixture) {
    return all.fixtures().stream()
        .filter(f -> f.fixture().equals(fixture))
        .findFirst()
        .orElseThrow();
  }

  /** What the lines and fittings on the way to the high tap take at a flow (Pa). */
  private static double onTheWay(double flow) {
    double heads = 0;
    for (LineId line :
        List.of(
            LineId.of("suction"), LineId.of("a"), LineId.of("b"), LineId.of("c"), LineId.of("d"))) {
      heads += HYDRAULICS.loss(line, flow);
    }
    return heads * GRAVITY + 0.3e5 * flow / (12e-3 / 60) + 2000;
  }

  @Test
  void aTapNeedsItsPressureItsLiftAndWhatTheWayTakes() {
    // 50 L stand 200 mm high over the bottom at 1 m: the tap is 0.8 m above the surface.
    double expected = 2e5 + 0.8 * GRAVITY + onTheWay(RATED);
    assertThat(at(figures(0.05), PartId.of("high")).needs())
        .isCloseTo(expected, within(0.002 * expected));
  }

  @Test
  void aTankThatIsNearlyEmptyIsTakenToBeHalfFull() {
    double half = at(figures(0.0625), PartId.of("high")).needs();
    assertThat(at(figures(0.004), PartId.of("high")).needs()).isCloseTo(half, within(1.0));
    assertThat(at(figures(0.006), PartId.of("high")).needs()).isGreaterThan(half + 1000);
  }

  @Test
  void togetherTheyNeedTheSumOfTheirFlowsAtTheHarderOnesPressure() {
    PumpAndLines both = figures(0.05, "high", "low");
    assertThat(both.together()).containsExactly(PartId.of("high"), PartId.of("low"));
    assertThat(both.need().flow()).isCloseTo(RATED + SLOW, within(1e-12));
    double shared = 0;
    for (LineId line :
        List.of(LineId.of("suction"), LineId.of("a"), LineId.of("b"), LineId.of("c"))) {
      shared += HYDRAULICS.loss(line, RATED + SLOW);
    }
    double expected =
        2e5
            + 0.8 * GRAVITY
            + (shared + HYDRAULICS.loss(LineId.of("d"), RATED)) * GRAVITY
            + 0.3e5 * (RATED + SLOW) / (12e-3 / 60)
            + 2000;
    assertThat(both.need().pressure()).isCloseTo(expected, within(0.003 * expected));
    // The pump gives 2.9 bar at no flow and nothing at 10 L/min: a tenth of the first at 9.
    assertThat(both.need().given()).isCloseTo(0.29e5, within(1.0));
  }

  @Test
  void theUsualTwoAreThoseInTheHouseNotTheOneOutside() {
    assertThat(figures(0.05).together()).containsExactly(PartId.of("high"), PartId.of("low"));
  }

  @Test
  void linesThatCarryWaterAreListedWithWhatTheyTakeAndNoOthers() {
    PumpAndLines high = figures(0.05, "high");
    assertThat(high.lines())
        .extracting(PumpAndLines.Taken::line)
        .containsExactlyInAnyOrder(
            LineId.of("suction"), LineId.of("a"), LineId.of("b"), LineId.of("c"), LineId.of("d"));
    double flow = high.lines().getFirst().flow();
    assertThat(high.lines()).allMatch(l -> Math.abs(l.flow() - flow) < 1e-9);
    for (PumpAndLines.Taken line : high.lines()) {
      assertThat(line.pressure())
          .as(line.line().value())
          .isCloseTo(HYDRAULICS.loss(line.line(), flow) * GRAVITY, within(60.0));
    }
    assertThat(high.lines().getFirst().line().value()).isEqualTo("d");
    assertThat(at(high, PartId.of("high")).worst().value()).isEqualTo("d");
    assertThat(at(high, PartId.of("high")).takes()).isEqualTo(high.lines().getFirst().pressure());
    assertThat(at(high, PartId.of("high")).alone()).isCloseTo(flow, within(1e-9));
  }

  @Test
  void eachWorstLineIsTriedOneBoreWider() {
    PumpAndLines high = figures(0.05, "high");
    assertThat(high.wider())
        .extracting(PumpAndLines.Trial::subject)
        .isEqualTo(high.lines().stream().limit(3).map(PumpAndLines.Taken::line).toList());
    assertThat(high.wider().getFirst().what()).isEqualTo(0.013);
    for (PumpAndLines.Trial trial : high.wider()) {
      assertThat(trial.worst()).isCloseTo(trial.total() / RATED, within(1e-9));
      assertThat(trial.pressure()).isZero();
    }
  }

  @Test
  void atTheBoresThatAreThereTheTrialGivesWhatIsThere() {
    // A house of one bore is what the trial at that bore makes of every line that carries water.
    PumpAndLines high = figures(0.05, "high");
    Hydraulics ten =
        HYDRAULICS.withBore(
            List.of(
                LineId.of("suction"),
                LineId.of("a"),
                LineId.of("b"),
                LineId.of("c"),
                LineId.of("d")),
            0.010);
    State open =
        new State(RIG.atRest(), Map.of(PartId.of("tank"), 0.05), Slope.LEVEL)
            .with(PartId.of("pump"), PositionId.of("on"))
            .with(PartId.of("high"), PositionId.of("open"));
    PumpAndLines.Trial tried =
        high.bores().stream().filter(t -> t.what() == 0.010).findFirst().orElseThrow();
    assertThat(tried.total()).isCloseTo(ten.solve(open).fixture(PartId.of("high")), within(1e-9));
  }

  @Test
  void otherPumpsAreTriedByTheirPlatesTheLoopPumpStaysAsItIs() {
    PumpAndLines high = figures(0.05, "high");
    assertThat(high.pumps())
        .extracting(t -> Math.round(t.what() * 60_000))
        .containsExactly(6L, 8L, 11L, 15L, 19L);
    assertThat(high.pumps())
        .extracting(PumpAndLines.Trial::pressure)
        .containsExactly(1.4e5, 2.0e5, 2.6e5, 3.0e5, 3.6e5);
    assertThat(high.pumps()).allMatch(t -> t.total() > 0);
    assertThat(high.suction())
        .extracting(PumpAndLines.Suction::pump)
        .containsExactly(PartId.of("pump"));
  }

  @Test
  void thePumpLiftsFromTheOutletToItself() {
    PumpAndLines.Suction suction = figures(0.05, "high").suction().getFirst();
    assertThat(suction.lift()).isCloseTo(0.3, within(1e-9));
    assertThat(suction.works()).isTrue();
    assertThat(new PumpAndLines.Suction(PartId.of("p"), PartId.of("t"), 1.8, 1.8).works()).isTrue();
    assertThat(new PumpAndLines.Suction(PartId.of("p"), PartId.of("t"), 1.81, 1.8).works())
        .isFalse();
  }
}
