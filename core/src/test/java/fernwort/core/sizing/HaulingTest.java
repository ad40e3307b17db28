package fernwort.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.kind.machine.Pump;
import fernwort.core.load.Restraint;
import fernwort.core.sizing.Hauling.Container;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Water fetched, timed and pumped in pieces. */
class HaulingTest {

  private static final Container JUG = new Container(0.020, 1.2, 6);

  @Test
  void tripsFollowFromWhatMayBeCarried() {
    Hauling light = Hauling.of(0.2, JUG, 70, 0, 0);
    assertThat(light.containers()).isEqualTo(10);
    assertThat(light.perTrip()).isEqualTo(3);
    assertThat(light.trips()).isEqualTo(4);
    assertThat(light.load()).isCloseTo(3 * (1.2 + 19.982), within(1e-6));
    assertThat(Hauling.of(0.2, JUG, 1000, 0, 0).trips()).isEqualTo(2);
  }

  @Test
  void priceCountsWaterAndTrips() {
    assertThat(Hauling.of(0.2, JUG, 1000, 30, 4).price()).isCloseTo(6 + 8, within(1e-9));
  }

  @Test
  void aContainerTooHeavyForItsCarrierIsRefused() {
    assertThatThrownBy(() -> Hauling.of(0.2, JUG, 15, 0, 0)).hasMessageContaining("21 kg");
  }

  @Test
  void lashingsHoldByTheirStraightShare() {
    Restraint tank = Restraint.of(500, Restraint.FORWARD, 2, 5000, 60);
    assertThat(tank.load()).isCloseTo(3922.66, within(0.01));
    assertThat(tank.holds()).isCloseTo(5000, within(1e-6));
    assertThat(tank.enough()).isTrue();
    assertThat(Restraint.of(1500, Restraint.FORWARD, 2, 5000, 60).needed(2)).isEqualTo(5);
  }

  @Test
  void twoTimedPointsTellWhereTheHeadIsLost() {
    TimedJug near = TimedJug.of(0.010, List.of(40.0, 41.0));
    TimedJug far = TimedJug.of(0.010, List.of(80.0, 82.0));
    assertThat(TimedJug.lostBetween(near, far)).isCloseTo(0.75, within(1e-9));
    assertThat(TimedJug.lostBetween(near, near)).isZero();
    assertThatThrownBy(() -> TimedJug.lostBetween(far, near)).hasMessageContaining("farther on");
  }

  @Test
  void aPumpCyclesTheMoreTheLessGivesWay() {
    Pump pump = new Pump(Pump.Duty.SUPPLY, Pump.Type.DIAPHRAGM, 3.5e5, 1.8e-4, 2.2e5, 2.9e5, 1.8);
    double vessel = PumpCycle.takesUp(pump, 0.7e-3, 2.1e5);
    assertThat(vessel).isBetween(0.8e-4, 1.3e-4);
    double drawn = 3e-5 / 1.2;
    double bare = PumpCycle.perMinute(pump, drawn, PumpCycle.HOSES);
    assertThat(bare).isGreaterThan(10);
    assertThat(bare / PumpCycle.perMinute(pump, drawn, vessel))
        .isCloseTo(vessel / PumpCycle.HOSES, within(1e-9));
    assertThat(PumpCycle.perMinute(pump, 1e-4, vessel)).isZero();
    assertThat(PumpCycle.perMinute(pump, 0, vessel)).isZero();
  }
}
