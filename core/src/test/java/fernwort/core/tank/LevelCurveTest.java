package fernwort.core.tank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Shape;
import fernwort.core.rig.Slope;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class LevelCurveTest {

  private static final List<Shape> SHAPES =
      List.of(
          new Shape.Box(0.9, 0.4, 0.3),
          new Shape.LyingCylinder(0.35, 0.8, false),
          new Shape.Prism(
              List.of(
                  new Shape.Corner(0, 0.1),
                  new Shape.Corner(0.4, 0),
                  new Shape.Corner(0.8, 0.2),
                  new Shape.Corner(0.7, 0.3),
                  new Shape.Corner(0, 0.3)),
              0.5),
          new Shape.Straddling(
              List.of(
                  new Shape.Block(0, 0, 0, 0.2, 0.3, 0.4),
                  new Shape.Block(0.2, 0, 0.3, 0.4, 0.3, 0.1),
                  new Shape.Block(0.6, 0, 0.1, 0.2, 0.3, 0.3))));

  private static TankRoom room(int shape) {
    return TankRoom.of(
        new Tank(
            Contents.FRESH,
            SHAPES.get(shape),
            0.004,
            List.of(),
            new Gauge(Gauge.GaugeKind.NONE, 0, 0, 0),
            5000,
            -2000));
  }

  /** A slope so small that it is as good as level, but cut face by face. */
  private static final Slope AS_GOOD_AS_LEVEL = new Slope(1e-9, 0);

  @Property(tries = 300)
  void theCurveIsTheClippedVolume(
      @ForAll @IntRange(max = 3) int shape,
      @ForAll @DoubleRange(min = -0.1, max = 1.1) double share) {
    TankRoom room = room(shape);
    double level = share * room.highest(Slope.LEVEL);
    assertThat(room.volumeBelow(level, Slope.LEVEL))
        .isCloseTo(room.volumeBelow(level, AS_GOOD_AS_LEVEL), within(1e-8));
  }

  @Property(tries = 300)
  void aLevelGivesBackItsVolume(
      @ForAll @IntRange(max = 3) int shape, @ForAll @DoubleRange(max = 1) double share) {
    TankRoom room = room(shape);
    double volume = share * room.capacity();
    double level = room.level(volume, Slope.LEVEL);
    assertThat(room.volumeBelow(level, Slope.LEVEL)).isCloseTo(volume, within(1e-10));
    assertThat(level).isBetween(room.lowest(Slope.LEVEL), room.highest(Slope.LEVEL));
  }

  @Property(tries = 200)
  void moreWaterStandsHigher(
      @ForAll @IntRange(max = 3) int shape,
      @ForAll @DoubleRange(max = 1) double one,
      @ForAll @DoubleRange(max = 1) double other) {
    TankRoom room = room(shape);
    double low = room.level(Math.min(one, other) * room.capacity(), Slope.LEVEL);
    double high = room.level(Math.max(one, other) * room.capacity(), Slope.LEVEL);
    assertThat(low).isLessThanOrEqualTo(high + 1e-12);
  }

  @Test
  void lessThanNothingIsEmptyAndMoreThanFitsIsFull() {
    TankRoom room = room(0);
    assertThat(room.level(-1, Slope.LEVEL)).isZero();
    assertThat(room.level(99, Slope.LEVEL)).isEqualTo(room.highest(Slope.LEVEL));
    assertThat(room.volumeBelow(-1, Slope.LEVEL)).isZero();
    assertThat(room.volumeBelow(99, Slope.LEVEL)).isCloseTo(room.capacity(), within(1e-15));
  }
}
