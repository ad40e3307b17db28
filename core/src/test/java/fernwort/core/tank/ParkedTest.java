package fernwort.core.tank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.id.PortId;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.kind.tank.TankPort.Use;
import fernwort.core.rig.Slope;
import fernwort.core.say.Refusal;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Tanks on the slope that the vehicle is parked on, against the geometry of a plain box. */
class ParkedTest {

  private static final double TAN3 = Math.tan(Math.toRadians(3));
  private static final double COS3 = Math.cos(Math.toRadians(3));

  /** A metre long, without walls; water 100 mm high is 40 L. */
  private static Tank box(Gauge gauge, TankPort... ports) {
    return new Tank(
        Contents.FRESH, new Shape.Box(1, 0.4, 0.3), 0, List.of(ports), gauge, 5000, -2000);
  }

  private static final Tank DRAINED =
      box(
          new Gauge(Gauge.GaugeKind.SENDER, 4, 0.25, 0.1),
          new TankPort(PortId.of("drain"), Use.DRAIN, new Point(0.95, 0.2, 0.005)));

  private static final TankRoom ROOM = TankRoom.of(DRAINED);

  @Test
  void noseUpTheWaterStandsDeeperAtARearGauge() {
    // A quarter of a metre behind the middle: 150 mm and 250 mm times the slope.
    double wet = 0.15 + 0.25 * TAN3;
    Parked parked = Parked.of(DRAINED, ROOM, 0.06, new Slope(3, 0));
    assertThat(parked.senderSays()).isCloseTo(0.4 * wet, within(1e-6));
    assertThat(parked.senderSteps()).isEqualTo((int) (4 * wet / 0.3));
  }

  @Test
  void whatLiesBehindTheDrainStaysNoseUp() {
    // A wedge as deep at the rear as the drain is above the floor and ahead of it, cut off in
    // front.
    double deep = 0.95 * TAN3 + 0.005;
    double beyond = deep - TAN3;
    double wedge = 0.4 * (deep * deep - beyond * beyond) / (2 * TAN3);
    Parked parked = Parked.of(DRAINED, ROOM, 0.06, new Slope(3, 0));
    assertThat(parked.leftAfterDraining()).isCloseTo(wedge, within(1e-6));
    assertThat(Parked.of(DRAINED, ROOM, 0.005, new Slope(3, 0)).leftAfterDraining())
        .isEqualTo(0.005);
    assertThat(Parked.of(DRAINED, ROOM, 0.06, Slope.LEVEL).leftAfterDraining())
        .isCloseTo(0.002, within(1e-9));
  }

  @Test
  void withoutADrainAllOfItStays() {
    Tank plain = box(new Gauge(Gauge.GaugeKind.STICK, 0, 0.5, 0.2));
    Parked parked = Parked.of(plain, TankRoom.of(plain), 0.06, new Slope(0, 2));
    assertThat(parked.leftAfterDraining()).isEqualTo(0.06);
    assertThat(parked.senderSteps()).isZero();
    assertThat(parked.senderSays()).isCloseTo(0.06, within(1e-6));
  }

  @Test
  void aDrainWithAWidthRunsToItsLowerEdge() {
    Tank wide =
        box(
            new Gauge(Gauge.GaugeKind.NONE, 0, 0, 0),
            new TankPort(
                PortId.of("drain"), Use.DRAIN, new Point(0.5, 0.2, 0.02), Optional.of(0.03)));
    Parked parked = Parked.of(wide, TankRoom.of(wide), 0.06, Slope.LEVEL);
    assertThat(parked.leftAfterDraining()).isCloseTo(0.4 * 0.005, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"0, 0", "0.0149, 0", "0.0151, 1", "0.0299, 1", "0.06, 2", "0.0899, 3", "0.12, 4"})
  void aSenderShowsTheStepNearestToTheLevel(double volume, int steps) {
    assertThat(Parked.of(DRAINED, ROOM, volume, Slope.LEVEL).senderSteps()).isEqualTo(steps);
  }

  /** Lamps at a quarter, a half, three quarters and nine tenths of 120 L, 300 mm deep. */
  @ParameterizedTest
  @CsvSource({"0, 0", "0.0299, 0", "0.0301, 1", "0.0599, 1", "0.0601, 2", "0.107, 3", "0.109, 4"})
  void aLampLightsOnceTheWaterIsUpToIt(double volume, int lit) {
    Tank lamps =
        box(
            new Gauge(
                Gauge.GaugeKind.LAMPS, 4, 0, 0, Optional.of(List.of(0.075, 0.15, 0.225, 0.27))));
    TankRoom room = TankRoom.of(lamps);
    assertThat(Parked.of(lamps, room, volume, Slope.LEVEL).senderSteps()).isEqualTo(lit);
    double read = new Reading.Steps(lit).volume(lamps, room, Slope.LEVEL);
    assertThat(Parked.of(lamps, room, read, Slope.LEVEL).senderSteps()).isEqualTo(lit);
  }

  /** All slopes that are tried, looked at one by one. */
  private static double least(Tank tank, TankRoom room) {
    double least = Double.POSITIVE_INFINITY;
    for (double pitch = -Slope.PARKING; pitch <= Slope.PARKING; pitch += 0.5) {
      for (double roll = -Slope.PARKING; roll <= Slope.PARKING; roll += 0.5) {
        least = Math.min(least, left(tank, room, new Slope(pitch, roll)));
      }
    }
    return least;
  }

  private static double left(Tank tank, TankRoom room, Slope slope) {
    return room.volumeBelow(slope.heightOf(tank.port(PortId.of("drain")).at()), slope);
  }

  @ParameterizedTest
  @CsvSource({
    "0.95, 0.2, 0.005",
    "0.05, 0.35, 0.005",
    "0.5, 0.05, 0.01",
    "0.5, 0.2, 0.004",
    "0.99, 0.39, 0"
  })
  void theBestWayToParkLeavesLeastAndIsTheFlattestOfThose(double x, double y, double z) {
    Tank tank =
        box(
            new Gauge(Gauge.GaugeKind.NONE, 0, 0, 0),
            new TankPort(PortId.of("drain"), Use.DRAIN, new Point(x, y, z)));
    TankRoom room = TankRoom.of(tank);
    Slope best = Parked.bestToDrain(tank, room);
    double least = least(tank, room);
    assertThat(left(tank, room, best)).isCloseTo(least, within(2e-6));
    assertThat(Math.abs(best.pitch())).isLessThanOrEqualTo(Slope.PARKING);
    assertThat(Math.abs(best.roll())).isLessThanOrEqualTo(Slope.PARKING);
    double tilt = Math.hypot(best.pitch(), best.roll());
    for (double pitch = -Slope.PARKING; pitch <= Slope.PARKING; pitch += 0.5) {
      for (double roll = -Slope.PARKING; roll <= Slope.PARKING; roll += 0.5) {
        if (Math.hypot(pitch, roll) < tilt - 1e-9) {
          assertThat(left(tank, room, new Slope(pitch, roll)))
              .as("%s, %s is flatter", pitch, roll)
              .isGreaterThan(least + 1e-7);
        }
      }
    }
  }

  @Test
  void aTankWithoutADrainIsParkedLevel() {
    Tank plain = box(new Gauge(Gauge.GaugeKind.NONE, 0, 0, 0));
    assertThat(Parked.bestToDrain(plain, TankRoom.of(plain))).isEqualTo(Slope.LEVEL);
  }

  // --- readings on a slope ---------------------------------------------------------------------

  @Test
  void aStickOnASlopeIsReadAlongItself() {
    // Upright to the floor: its foot is lower by the slope, and a length along it is less high.
    Reading stick = new Reading.Stick(0.1);
    double foot = 0.25 * Math.sin(Math.toRadians(3));
    double expected = ROOM.volumeBelow(foot + 0.1 * COS3, new Slope(3, 0));
    assertThat(stick.volume(DRAINED, ROOM, new Slope(3, 0))).isCloseTo(expected, within(1e-9));
    assertThat(stick.volume(DRAINED, ROOM, new Slope(3, 0))).isLessThan(0.04);
    assertThat(new Reading.Steps(3).volume(DRAINED, ROOM, Slope.LEVEL))
        .isCloseTo(0.09, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"-1", "5"})
  void stepsThatASenderDoesNotHaveAreRefused(int lit) {
    assertThatThrownBy(() -> new Reading.Steps(lit).volume(DRAINED, ROOM, Slope.LEVEL))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("from 0 to 4");
  }

  @Test
  void aTankWithoutASenderHasNoSteps() {
    Tank plain = box(new Gauge(Gauge.GaugeKind.STICK, 0, 0.5, 0.2));
    assertThatThrownBy(() -> new Reading.Steps(1).volume(plain, TankRoom.of(plain), Slope.LEVEL))
        .hasMessageContaining("no sender with steps");
  }

  @ParameterizedTest
  @CsvSource({"0, true", "0.3, true", "0.3005, false", "-0.001, false"})
  void aStickIsNoLongerThanTheTankIsDeep(double wet, boolean fits) {
    Reading stick = new Reading.Stick(wet);
    if (fits) {
      assertThat(stick.volume(DRAINED, ROOM, Slope.LEVEL)).isCloseTo(0.4 * wet, within(1e-9));
    } else {
      assertThatThrownBy(() -> stick.volume(DRAINED, ROOM, Slope.LEVEL))
          .isInstanceOf(Refusal.class)
          .hasMessageContaining("height on the stick");
    }
  }

  @Test
  void fullByPercentAndByVolumeIsFullAndNoMore() {
    assertThat(new Reading.Percent(100).volume(DRAINED, ROOM, Slope.LEVEL))
        .isCloseTo(0.12, within(1e-12));
    assertThat(new Reading.Percent(0).volume(DRAINED, ROOM, Slope.LEVEL)).isZero();
    assertThat(new Reading.Volume(0.12).volume(DRAINED, ROOM, Slope.LEVEL))
        .isCloseTo(0.12, within(1e-12));
    assertThat(new Reading.Volume(0).volume(DRAINED, ROOM, Slope.LEVEL)).isZero();
  }
}
