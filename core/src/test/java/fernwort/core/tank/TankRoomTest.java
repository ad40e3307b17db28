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
import fernwort.core.rig.Slope;
import fernwort.core.say.Refusal;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class TankRoomTest {

  private static final List<Shape> SHAPES =
      List.of(
          new Shape.Box(0.9, 0.4, 0.3),
          new Shape.UprightCylinder(0.4, 0.6),
          new Shape.LyingCylinder(0.35, 0.8, true),
          new Shape.Prism(
              List.of(
                  new Shape.Corner(0, 0.1),
                  new Shape.Corner(0.4, 0),
                  new Shape.Corner(0.8, 0.1),
                  new Shape.Corner(0.8, 0.3),
                  new Shape.Corner(0, 0.3)),
              0.5),
          new Shape.Straddling(
              List.of(
                  new Shape.Block(0, 0, 0, 0.2, 0.3, 0.4),
                  new Shape.Block(0.2, 0, 0.3, 0.4, 0.3, 0.1),
                  new Shape.Block(0.6, 0, 0, 0.2, 0.3, 0.4))),
          new Shape.DepthTable(0.5, List.of(new Shape.Row(0.1, 0.01), new Shape.Row(0.3, 0.05))));

  private static Tank tank(Shape shape, double wall, TankPort... ports) {
    return new Tank(
        Contents.FRESH,
        shape,
        wall,
        List.of(ports),
        new Gauge(Gauge.GaugeKind.SENDER, 4, 0.1, 0.1),
        5000,
        -2000);
  }

  @Property(tries = 300)
  void levelAndVolumeAreEachOthersInverseOnAnySlope(
      @ForAll @IntRange(max = 5) int shape,
      @ForAll @DoubleRange(min = 0.01, max = 0.99) double share,
      @ForAll @DoubleRange(min = -12, max = 12) double pitch,
      @ForAll @DoubleRange(min = -12, max = 12) double roll) {
    TankRoom room = TankRoom.of(tank(SHAPES.get(shape), 0.004));
    Slope slope = new Slope(pitch, roll);
    double volume = share * room.capacity();
    double level = room.level(volume, slope);
    assertThat(room.volumeBelow(level, slope)).isCloseTo(volume, within(1e-7));
  }

  @Property(tries = 300)
  void volumeGrowsWithLevel(
      @ForAll @IntRange(max = 5) int shape,
      @ForAll @DoubleRange(min = -0.2, max = 0.8) double level,
      @ForAll @DoubleRange(min = 0, max = 0.2) double rise,
      @ForAll @DoubleRange(min = -12, max = 12) double pitch) {
    TankRoom room = TankRoom.of(tank(SHAPES.get(shape), 0));
    Slope slope = new Slope(pitch, 3);
    assertThat(room.volumeBelow(level + rise, slope))
        .isGreaterThanOrEqualTo(room.volumeBelow(level, slope) - 1e-12);
  }

  @Test
  void wallsTakeTheirRoomOnEverySide() {
    TankRoom room = TankRoom.of(tank(new Shape.Box(0.51, 0.41, 0.31), 0.005));
    assertThat(room.capacity()).isCloseTo(0.5 * 0.4 * 0.3, within(1e-12));
  }

  @Test
  void wallsOfAStraddlingTankStandOnlyOutside() {
    Shape two =
        new Shape.Straddling(
            List.of(
                new Shape.Block(0, 0, 0, 0.3, 0.3, 0.3),
                new Shape.Block(0.3, 0, 0, 0.3, 0.3, 0.3)));
    TankRoom room = TankRoom.of(tank(two, 0.01));
    assertThat(room.capacity()).isCloseTo(0.58 * 0.28 * 0.28, within(1e-9));
  }

  @Test
  void centreOfMassOfALevelBoxIsHalfwayUpTheWater() {
    TankRoom room = TankRoom.of(tank(new Shape.Box(1, 0.4, 0.3), 0));
    Point centre = room.centroid(0.1, Slope.LEVEL);
    assertThat(centre.x()).isCloseTo(0.5, within(1e-9));
    assertThat(centre.z()).isCloseTo(0.05, within(1e-9));
  }

  @Test
  void strandedIsBelowTheLowestOutletAndUnreachableAboveTheVent() {
    Tank tank =
        tank(
            new Shape.Box(1, 0.4, 0.3),
            0,
            new TankPort(PortId.of("feed"), TankPort.Use.FEED, new Point(0.1, 0.2, 0.02)),
            new TankPort(PortId.of("vent"), TankPort.Use.VENT, new Point(0.9, 0.2, 0.28)));
    TankFigures figures = TankFigures.of(tank, TankRoom.of(tank), Slope.LEVEL);
    assertThat(figures.stranded()).isCloseTo(0.008, within(1e-9));
    assertThat(figures.unreachable()).isCloseTo(0.008, within(1e-9));
    assertThat(figures.usable()).isCloseTo(0.104, within(1e-9));
  }

  @Test
  void readingsOfAllKindsMeanTheSameWater() {
    Tank tank = tank(new Shape.Box(1, 0.4, 0.3), 0);
    TankRoom room = TankRoom.of(tank);
    assertThat(new Reading.Percent(50).volume(tank, room, Slope.LEVEL))
        .isCloseTo(0.06, within(1e-9));
    assertThat(new Reading.Stick(0.15).volume(tank, room, Slope.LEVEL))
        .isCloseTo(0.06, within(1e-9));
    assertThat(new Reading.Steps(2).volume(tank, room, Slope.LEVEL)).isCloseTo(0.06, within(1e-9));
    assertThat(new Reading.Volume(0.06).volume(tank, room, Slope.LEVEL)).isEqualTo(0.06);
  }

  @Test
  void anImpossibleReadingIsRefusedWithItsRange() {
    Tank tank = tank(new Shape.Box(1, 0.4, 0.3), 0);
    assertThatThrownBy(() -> new Reading.Percent(140).volume(tank, TankRoom.of(tank), Slope.LEVEL))
        .hasMessageContaining("from 0 % to 100 %");
    assertThatThrownBy(() -> new Reading.Volume(0.5).volume(tank, TankRoom.of(tank), Slope.LEVEL))
        .hasMessageContaining("120");
    assertThatThrownBy(
            () -> new Reading.Percent(Double.NaN).volume(tank, TankRoom.of(tank), Slope.LEVEL))
        .isInstanceOf(Refusal.class);
  }
}
