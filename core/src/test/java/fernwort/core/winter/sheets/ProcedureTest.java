package fernwort.core.winter.sheets;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.describe.Fittings;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A pump that is switched on throws out most of its head, where no tank's water comes to it. */
class ProcedureTest {

  private static final PartId TANK = PartId.of("tank");
  private static final PartId PUMP = PartId.of("pump");
  private static final Network NETWORK = Network.of(rig());

  private static Rig rig() {
    return CaseRigs.vented(
            CaseRigs.rig()
                .part("tank", "Tank", 0, 0, 0.5, CaseRigs.tank())
                .part("valve", "Valve", 0.2, 0, 0.5, Fittings.twoWay(0))
                .part("pump", "Pump", 0.5, 0, 0.5, 0.2, Fittings.pressurePump(10, 2.5))
                .part("tap", "Tap", 1, 0, 1, Fittings.fixture(Type.TAP, true, 6))
                .line("a", "A", "tank.low > valve.a", 12, 0.5, Material.PEX, 0)
                .line("b", "B", "valve.b > pump.in", 12, 0.5, Material.PEX, 0)
                .line("c", "C", "pump.out > tap.cold", 12, 1, Material.PEX, 0),
            TANK,
            0.5)
        .build();
  }

  /** What its head holds once the pump was turned, of what it held before (1). */
  private static double left(double held, String valve, PositionId turnedTo) {
    State from =
        new State(NETWORK.rig().atRest(), Map.of(TANK, held), Slope.LEVEL)
            .with(PartId.of("valve"), PositionId.of(valve));
    Wintering before = Filled.of(NETWORK, from);
    Wintering after = Procedure.run(NETWORK, before, List.of(new Turn(PUMP, turnedTo)));
    assertThat(before.wetness().body(PUMP)).isPositive();
    return after.wetness().body(PUMP) / before.wetness().body(PUMP);
  }

  @ParameterizedTest
  @CsvSource({"0.05, open, false", "0, open, true", "0.05, shut, true", "0, shut, true"})
  void itRunsDryWhereNoTanksWaterComesToIt(double held, String valve, boolean dry) {
    double left = left(held, valve, Kind.ON);
    if (dry) {
      assertThat(left).isLessThan(0.5).isPositive();
    } else {
      assertThat(left).isEqualTo(1);
    }
  }

  @Test
  void oneThatIsOffDoesNotRun() {
    assertThat(left(0, "shut", Kind.OFF)).isEqualTo(1);
  }

  @Test
  void turningAnythingElseRunsNoPump() {
    State from = new State(NETWORK.rig().atRest(), Map.of(TANK, 0.0), Slope.LEVEL);
    Wintering before = Filled.of(NETWORK, from);
    Wintering after =
        Procedure.run(
            NETWORK,
            before,
            List.of(
                new Turn(PartId.of("valve"), PositionId.of("open")),
                new Turn(PartId.of("valve"), PositionId.of("shut"))));
    assertThat(after.wetness().body(PUMP)).isEqualTo(before.wetness().body(PUMP));
  }
}
