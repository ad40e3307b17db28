package fernwort.core.tank;

import static org.assertj.core.api.Assertions.assertThat;
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
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Two lobes over a wheel arch and the bridge between them, worked out by hand: a lobe without an
 * opening of its own keeps the water below the bridge's floor, and one without a vent the air above
 * its ceiling.
 */
class LobesTest {

  /** Rear lobe 250 × 300 × 400, bridge 300 long from 250 to 350 high, front lobe 200 long. */
  private static final Shape ARCH =
      new Shape.Straddling(
          List.of(
              new Shape.Block(0, 0, 0, 0.25, 0.3, 0.4),
              new Shape.Block(0.25, 0.05, 0.25, 0.3, 0.2, 0.1),
              new Shape.Block(0.55, 0, 0, 0.2, 0.3, 0.4)));

  private static final double FRONT = 0.2 * 0.3;
  private static final double REAR = 0.25 * 0.3;
  private static final double BRIDGE = 0.3 * 0.2;
  private static final double TAN5 = Math.tan(Math.toRadians(5));

  private static final TankPort FEED = port(PortId.of("feed"), Use.FEED, 0.1, 0.02);
  private static final TankPort VENT = port(PortId.of("vent"), Use.VENT, 0.1, 0.39);

  private static TankPort port(PortId id, Use use, double x, double z) {
    return new TankPort(id, use, new Point(x, 0.15, z));
  }

  private static Tank tank(TankPort... ports) {
    return new Tank(
        Contents.FRESH,
        ARCH,
        0,
        Arrays.asList(ports),
        new Gauge(Gauge.GaugeKind.NONE, 0, 0, 0),
        5000,
        -2000);
  }

  private static TankRoom room(TankPort... ports) {
    return TankRoom.of(tank(ports));
  }

  @Test
  void aLobeWithoutAnOpeningKeepsWhatLiesBelowTheBridge() {
    List<TankRoom.Kept> kept = room(FEED, VENT).kept(Slope.LEVEL);
    assertThat(kept).hasSize(1);
    assertThat(kept.getFirst().volume()).isCloseTo(FRONT * 0.25, within(1e-9));
    assertThat(kept.getFirst().middle().x()).isCloseTo(0.65, within(1e-9));
    assertThat(kept.getFirst().middle().y()).isCloseTo(0.15, within(1e-9));
    assertThat(kept.getFirst().middle().z()).isCloseTo(0.125, within(1e-9));
  }

  @Test
  void anOpeningInEachLobeKeepsNothing() {
    TankPort drain = port(PortId.of("drain"), Use.DRAIN, 0.65, 0.02);
    assertThat(room(FEED, VENT, drain).kept(Slope.LEVEL)).isEmpty();
    // One that lies lower leaves the other lobe what is below that one's own.
    TankPort lower = port(PortId.of("drain"), Use.DRAIN, 0.65, 0);
    assertThat(room(FEED, VENT, lower).kept(Slope.LEVEL).getFirst().volume())
        .isCloseTo(REAR * 0.02, within(1e-9));
    // A float valve lets nothing out, so it is no opening to run out by.
    TankPort floats = port(PortId.of("float"), Use.FLOAT, 0.65, 0);
    assertThat(room(FEED, VENT, floats).kept(Slope.LEVEL)).hasSize(1);
  }

  @Test
  void noseUpTheSillIsWhereTheBridgeMeetsTheLobe() {
    // The surface through (0.55, 0.25) falls towards the nose: 100 mm on it is lower by the slope.
    List<TankRoom.Kept> kept = room(FEED, VENT).kept(new Slope(5, 0));
    assertThat(kept).hasSize(1);
    assertThat(kept.getFirst().volume()).isCloseTo(FRONT * (0.25 - 0.1 * TAN5), within(1e-9));
  }

  @Test
  void noseDownTheBridgeKeepsWaterToo() {
    // The sill is at the rear end of the bridge; water lies on its floor, deeper towards the nose.
    List<TankRoom.Kept> kept = room(FEED, VENT).kept(new Slope(-5, 0));
    assertThat(kept).hasSize(2);
    assertThat(kept.get(0).volume()).isCloseTo(BRIDGE * 0.15 * TAN5, within(1e-9));
    assertThat(kept.get(1).volume()).isCloseTo(FRONT * (0.25 + 0.4 * TAN5), within(1e-9));
  }

  @Test
  void leaningTheSillIsTheLowerSideOfTheBridge() {
    // Left side up: water leaves over the bridge's right edge, at y = 0.05, and is deeper there.
    List<TankRoom.Kept> kept = room(FEED, VENT).kept(new Slope(0, 5));
    double middle = 0.25 - (0.15 - 0.05) * TAN5;
    assertThat(kept.getLast().volume()).isCloseTo(FRONT * middle, within(1e-9));
  }

  @Test
  void whatIsStrandedIsBelowTheOutletAndBelowTheBridge() {
    Tank tank = tank(FEED, VENT);
    TankFigures figures = TankFigures.of(tank, TankRoom.of(tank), Slope.LEVEL);
    assertThat(figures.stranded()).isCloseTo(REAR * 0.02 + FRONT * 0.25, within(1e-9));
    assertThat(figures.unreachable()).isCloseTo(REAR * 0.01 + FRONT * 0.05, within(1e-9));
    double whole = REAR * 0.4 + BRIDGE * 0.1 + FRONT * 0.4;
    assertThat(figures.capacity()).isCloseTo(whole, within(1e-9));
    assertThat(figures.usable())
        .isCloseTo(whole - figures.stranded() - figures.unreachable(), within(1e-12));
  }

  @Test
  void whatIsKeptIsThereBeforeAnyOtherWater() {
    TankRoom room = room(FEED, VENT);
    assertThat(room.volumeBelow(0.1, Slope.LEVEL))
        .isCloseTo(REAR * 0.1 + FRONT * 0.25, within(1e-9));
    assertThat(room.level(REAR * 0.1 + FRONT * 0.25, Slope.LEVEL)).isCloseTo(0.1, within(1e-6));
    Slope up = new Slope(5, 0);
    double level = room.level(0.03, up);
    assertThat(room.volumeBelow(level, up)).isCloseTo(0.03, within(1e-7));
  }

  @Test
  void openingsArePartedWhereWaterComesFromOneToTheOtherOnlyOverTheBridge() {
    TankPort low = port(PortId.of("low"), Use.LINK, 0.65, 0.02);
    TankPort high = port(PortId.of("high"), Use.LINK, 0.65, 0.3);
    TankPort beside = port(PortId.of("beside"), Use.LINK, 0.2, 0.1);
    TankPort above = port(PortId.of("above"), Use.LINK, 0.1, 0.3);
    TankRoom room = room(FEED, VENT, low, high, beside, above);
    assertThat(room.parted(FEED, low, Slope.LEVEL)).isTrue();
    assertThat(room.parted(low, FEED, Slope.LEVEL)).isTrue();
    assertThat(room.parted(FEED, beside, Slope.LEVEL)).isFalse();
    assertThat(room.parted(FEED, high, Slope.LEVEL)).isFalse();
    assertThat(room.parted(above, high, Slope.LEVEL)).isFalse();
    // 9 mm below the bridge's floor is within the tape's error of it, 12 mm is not.
    assertThat(room.parted(port(PortId.A, Use.LINK, 0.1, 0.241), low, Slope.LEVEL)).isFalse();
    assertThat(room.parted(port(PortId.B, Use.LINK, 0.1, 0.238), low, Slope.LEVEL)).isTrue();
  }

  @Test
  void aPortThatWasMeasuredALittleOutsideStillBelongsToItsLobe() {
    TankPort outside = port(PortId.of("feed"), Use.FEED, -0.009, 0.02);
    assertThat(room(outside, VENT).kept(Slope.LEVEL)).hasSize(1);
    TankPort beyond = port(PortId.of("feed"), Use.FEED, -0.011, 0.02);
    assertThat(room(beyond, VENT).kept(Slope.LEVEL)).isEmpty();
  }

  @Test
  void aBoxHasNoLobes() {
    Tank box =
        new Tank(
            Contents.FRESH,
            new Shape.Box(1, 0.4, 0.3),
            0,
            List.of(FEED, VENT),
            new Gauge(Gauge.GaugeKind.NONE, 0, 0, 0),
            5000,
            -2000);
    TankRoom room = TankRoom.of(box);
    assertThat(room.kept(new Slope(3, 3))).isEmpty();
    assertThat(room.parted(FEED, VENT, Slope.LEVEL)).isFalse();
    assertThat(room.volumeBelow(-1, Slope.LEVEL)).isZero();
    assertThat(room.volumeBelow(2, new Slope(2, 1))).isCloseTo(room.capacity(), within(1e-12));
    assertThat(room.level(-0.1, new Slope(2, 1))).isEqualTo(room.lowest(new Slope(2, 1)));
    assertThat(room.level(9, new Slope(2, 1))).isEqualTo(room.highest(new Slope(2, 1)));
    assertThat(room.level(-0.1, Slope.LEVEL)).isZero();
    assertThat(room.level(9, Slope.LEVEL)).isCloseTo(0.3, within(1e-12));
  }
}
