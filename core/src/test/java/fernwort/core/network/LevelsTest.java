package fernwort.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.describe.Fittings;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Heights of ports, lines and water, against what a rule and a jug would say. */
class LevelsTest {

  /** A tank of half a metre's height and 125 L, and a line from it that sags twice on its way. */
  private static final Rig RIG =
      CaseRigs.rig()
          .part("tank", "Tank", 1, 0.2, 1, CaseRigs.tank())
          .part("drain", "Drain", 2, 0.2, 0.9, Fittings.end(OpenEnd.Role.DRAIN))
          .line(
              "out",
              "Out",
              "tank.low > drain.in",
              19,
              2,
              Material.PVC_HOSE,
              0,
              0.4,
              0.8,
              0.8,
              0.95,
              1.2,
              0.5,
              1.6,
              0.92)
          .build();

  private static final Network NETWORK = Network.of(RIG);
  private static final PortRef LOW = new PortRef(PartId.of("tank"), PortId.of("low"));
  private static final PortRef HIGH = new PortRef(PartId.of("tank"), PortId.of("high"));

  private static Levels holding(double litres, Slope slope) {
    return Levels.of(
        NETWORK, new State(RIG.atRest(), Map.of(PartId.of("tank"), litres / 1000), slope));
  }

  private static Levels holding(double litres) {
    return holding(litres, Slope.LEVEL);
  }

  @Test
  void aCentimetreIsTwoAndAHalfLitres() {
    assertThat(holding(25).surface(PartId.of("tank"))).isCloseTo(1.1, within(1e-9));
    assertThat(holding(25).volume(PartId.of("tank"))).isEqualTo(0.025);
    assertThat(holding(25).state(RIG.atRest()).volumes()).containsEntry(PartId.of("tank"), 0.025);
  }

  @Test
  void aPortIsCoveredOnceWaterStandsOverItsLowerEdge() {
    double edge = holding(0).height(HIGH);
    assertThat(holding(0).top(HIGH) - edge).isGreaterThanOrEqualTo(0);
    double litres = (edge - 1) * 250;
    assertThat(holding(litres).isCovered(HIGH)).isFalse();
    assertThat(holding(litres + 0.01).isCovered(HIGH)).isTrue();
    assertThat(holding(0).isCovered(LOW)).isFalse();
    int port = NETWORK.vertex(HIGH);
    assertThat(holding(litres + 0.01).wet(port)).isTrue();
    assertThat(holding(litres + 0.01).floatShut(port)).as("it has no float").isFalse();
  }

  @Test
  void airPassesAPortUntilWaterClosesItsUpperEdge() {
    int port = NETWORK.vertex(HIGH);
    double litres = (holding(0).top(HIGH) - 1) * 250;
    assertThat(holding(litres).breathes(port)).isTrue();
    assertThat(holding(litres + 0.01).breathes(port)).isFalse();
  }

  @Test
  void fullIsToAThousandthAndBrimFullToADrop() {
    double capacity = NETWORK.room(PartId.of("tank")).capacity() * 1000;
    assertThat(holding(0.9989 * capacity).isFull(PartId.of("tank"))).isFalse();
    assertThat(holding(0.9991 * capacity).isFull(PartId.of("tank"))).isTrue();
    assertThat(holding(0.9991 * capacity).isBrimFull(PartId.of("tank"))).isFalse();
    assertThat(holding(capacity).isBrimFull(PartId.of("tank"))).isTrue();
    assertThat(holding(0).isEmpty(PartId.of("tank"))).isTrue();
    assertThat(holding(0.001).isEmpty(PartId.of("tank"))).isFalse();
  }

  /** From 0.5 m it is 0.42 m up to 0.92, the lower of the heights on both sides. */
  @Test
  void aLineSagsBelowTheLowerOfItsTwoSides() {
    assertThat(holding(0).sag(LineId.of("out"))).isCloseTo(0.42, within(1e-9));
    assertThat(holding(0).crest(LineId.of("out")))
        .isEqualTo(holding(0).crest(NETWORK.lineNumber(LineId.of("out"))));
    assertThat(holding(0).crest(LineId.of("out"))).isCloseTo(1, within(0.02));
    assertThat(holding(0).profile(0)).hasSize(6).contains(0.5, 0.92);
  }

  /**
   * Nose up by five per cent: what is a metre ahead of the rear axle stands five centimetres up.
   */
  @Test
  void onASlopeEverythingStandsWhereTheVehicleTiltsIt() {
    Slope up = new Slope(Math.toDegrees(Math.atan(0.05)), 0);
    double way =
        up.heightOf(RIG.part(PartId.of("tank")).at(PortId.of("low")))
            - RIG.part(PartId.of("tank")).at(PortId.of("low")).z();
    assertThat(Math.abs(way)).isCloseTo(0.05, within(0.01));
    double middle = (holding(0, up).height(LOW) + holding(0, up).top(LOW)) / 2;
    double level = (holding(0).height(LOW) + holding(0).top(LOW)) / 2;
    assertThat(middle - level).isCloseTo(way, within(2e-3));
    assertThat(holding(0, up).height(RIG.part(PartId.of("drain"))))
        .isCloseTo(up.heightOf(RIG.part(PartId.of("drain")).at(PortId.IN)), within(1e-12));
    assertThat(holding(0, up).slope()).isEqualTo(up);
  }

  @Test
  void tenMetresOfWaterAreAboutABar() {
    assertThat(Water.head(Water.DENSITY * Water.GRAVITY)).isEqualTo(1);
    assertThat(Water.head(1e5)).isCloseTo(10.2, within(0.05));
  }
}
