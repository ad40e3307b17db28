package fernwort.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.describe.Fittings;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.end.Fixture;
import fernwort.core.rig.Line;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ReliefTest {

  private static final DemoRig TRUCK = DemoRig.all().getFirst();
  private static final Network PLUMBING = Network.of(TRUCK.rig());

  private static boolean has(Setting setting, PartId tank) {
    return Relief.of(PLUMBING, setting).has(tank, Optional.of(PartId.of("inlet")));
  }

  @Test
  void anOverflowWithItsValveShutLetsNothingOut() {
    Setting shut =
        TRUCK
            .state()
            .setting()
            .with(PartId.of("low-overflow-valve"), PositionId.of("shut"))
            .with(PartId.of("tank-selector"), PositionId.of("shut"));
    assertThat(has(shut, PartId.of("low"))).isFalse();
    assertThat(
            has(
                shut.with(PartId.of("low-overflow-valve"), PositionId.of("open")),
                PartId.of("low")))
        .isTrue();
  }

  @Test
  void anOverflowWithoutAHandleAlwaysDoes() {
    assertThat(has(TRUCK.rig().atRest(), PartId.of("main"))).isTrue();
    assertThat(Relief.of(PLUMBING, TRUCK.rig().atRest()).hasByVents(PartId.of("main"))).isTrue();
  }

  /** An open tap relieves a tank as much as a vent does; only the vent lets its air out. */
  @Test
  void aTapIsNoVent() {
    Rig rig =
        CaseRigs.rig()
            .part("tank", "Tank", 0, 0, 1, CaseRigs.tank())
            .part("tap", "Tap", 0.5, 0, 0.9, Fittings.fixture(Fixture.Type.TAP, true, 6))
            .part("inlet", "Inlet", -0.5, 0, 1.2, Fittings.inlet(3))
            .line("a", "A", "tank.low > tap.cold", 12, 1, Line.Material.PEX, 0)
            .line("b", "B", "inlet.out > tank.high", 12, 1, Line.Material.PEX, 0)
            .build();
    Network network = Network.of(rig);
    Relief open = Relief.of(network, rig.atRest().with(PartId.of("tap"), PositionId.of("open")));
    assertThat(open.has(PartId.of("tank"), Optional.of(PartId.of("inlet")))).isTrue();
    assertThat(open.hasByVents(PartId.of("tank"))).isFalse();
    assertThat(open.hasAtMostOutlets(PartId.of("tank"), PartId.of("inlet"))).isTrue();
    assertThat(
            Relief.of(network, rig.atRest())
                .has(PartId.of("tank"), Optional.of(PartId.of("inlet"))))
        .isFalse();
    Levels levels = Levels.of(network, new State(rig.atRest(), Map.of(), Slope.LEVEL));
    assertThat(Relief.height(network, levels, rig.part(PartId.of("tank")))).isInfinite();
  }

  @Test
  void aVentRelievesAtTheHeightOfItsLine() {
    Rig rig =
        CaseRigs.vented(
                CaseRigs.rig()
                    .part("tank", "Tank", 0, 0, 1, CaseRigs.tank())
                    .part("inlet", "Inlet", -0.5, 0, 1.2, Fittings.inlet(3))
                    .line("b", "B", "inlet.out > tank.high", 12, 1, Line.Material.PEX, 0),
                PartId.of("tank"),
                1)
            .build();
    Network network = Network.of(rig);
    Levels levels = Levels.of(network, new State(rig.atRest(), Map.of(), Slope.LEVEL));
    assertThat(Relief.height(network, levels, rig.part(PartId.of("tank"))))
        .isCloseTo(1.6, within(1e-9));
    Relief relief = Relief.of(network, rig.atRest());
    assertThat(relief.hasByVents(PartId.of("tank"))).isTrue();
    assertThat(relief.hasAtMostOutlets(PartId.of("tank"), PartId.of("inlet"))).isFalse();
  }
}
