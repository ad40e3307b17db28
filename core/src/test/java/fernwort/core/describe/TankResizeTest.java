package fernwort.core.describe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.id.PortId;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.say.Refusal;
import fernwort.core.tank.TankRoom;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Tanks that are made larger and smaller, with walls of half a centimetre. */
class TankResizeTest {

  private static final Offset<Double> EXACT = within(1e-9);

  private static final Shape BOX = new Shape.Box(0.81, 0.41, 0.31);
  private static final Shape TABLE =
      new Shape.DepthTable(0.8, List.of(new Shape.Row(0.1, 0.02), new Shape.Row(0.3, 0.096)));

  private static Tank tank(Shape shape, TankPort... ports) {
    return new Tank(
        Contents.FRESH, shape, 0.005, List.of(ports), Fittings.stick(0.1, 0.1), 2e4, -5e3);
  }

  private static TankPort port(PortId id, double x, double y, double z) {
    return new TankPort(id, TankPort.Use.FEED, new Point(x, y, z), Optional.of(0.019));
  }

  /** Each shape with what it measures inside: length, width, height (m). */
  static Stream<Arguments> shapes() {
    return Stream.of(
        Arguments.of(BOX, 0.80, 0.40, 0.30),
        Arguments.of(new Shape.UprightCylinder(0.41, 0.61), 0.40, 0.40, 0.60),
        Arguments.of(new Shape.LyingCylinder(0.41, 0.81, false), 0.80, 0.40, 0.40),
        Arguments.of(new Shape.LyingCylinder(0.41, 0.81, true), 0.40, 0.80, 0.40),
        Arguments.of(
            new Shape.Prism(
                List.of(
                    new Shape.Corner(0, 0),
                    new Shape.Corner(0.61, 0),
                    new Shape.Corner(0.61, 0.31),
                    new Shape.Corner(0, 0.31)),
                0.51),
            0.60,
            0.50,
            0.30),
        Arguments.of(
            new Shape.Straddling(
                List.of(
                    new Shape.Block(0, 0, 0.1, 0.81, 0.41, 0.21),
                    new Shape.Block(0, 0.41, 0, 0.81, 0.20, 0.31))),
            0.80,
            0.60,
            0.30),
        Arguments.of(TABLE, 0.80, 0.40, 0.30));
  }

  @ParameterizedTest
  @MethodSource("shapes")
  void itIsMeasuredInside(Shape shape, double length, double width, double height) {
    Tank tank = tank(shape);
    assertThat(TankResize.length(tank)).isCloseTo(length, EXACT);
    assertThat(TankResize.width(tank)).isCloseTo(width, within(1e-6));
    // A lying cylinder is a polygon of the same area, which stands a little higher.
    assertThat(TankResize.height(tank)).isCloseTo(height, within(3e-4));
  }

  @ParameterizedTest
  @MethodSource("shapes")
  void itHoldsWhatIsAskedForAndKeepsItsProportions(
      Shape shape, double length, double width, double height) {
    Tank old = tank(shape);
    for (double litres : new double[] {20, 45, 180}) {
      Tank now = tank(TankResize.holding(old, litres / 1000));
      assertThat(TankRoom.of(now).capacity()).isCloseTo(litres / 1000, within(1e-8));
      // Outside, walls and all, it is as long to wide to high as it was.
      double walls = shape instanceof Shape.DepthTable ? 0 : 0.01;
      double times = (TankResize.length(now) + walls) / (length + walls);
      assertThat((TankResize.width(now) + walls) / (width + walls)).isCloseTo(times, within(1e-6));
      assertThat((TankResize.height(now) + walls) / (height + walls))
          .isCloseTo(times, within(2e-3));
    }
  }

  @Test
  void whatNoSizeHoldsIsRefusedWithTheMend() {
    assertThatThrownBy(() -> TankResize.holding(tank(BOX), 1e4))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("give its sizes");
    assertThatThrownBy(() -> TankResize.holding(tank(BOX), 0)).isInstanceOf(Refusal.class);
  }

  @Test
  void openingsKeepTheirDistanceToTheNearerWall() {
    Tank old =
        tank(
            BOX,
            port(PortId.of("near"), 0.05, 0.10, 0.02),
            port(PortId.of("far"), 0.75, 0.35, 0.28));
    Tank now = tank(new Shape.Box(1.01, 0.61, 0.21), old.tankPorts().toArray(TankPort[]::new));
    List<TankPort> carried = TankResize.carried(old, now, old.tankPorts());
    assertThat(carried)
        .extracting(TankPort::id)
        .containsExactly(PortId.of("near"), PortId.of("far"));
    assertAt(carried.getFirst().at(), 0.05, 0.10, 0.02);
    assertAt(carried.getLast().at(), 0.95, 0.55, 0.18);
    assertThat(carried.getLast().bore()).contains(0.019);
    // One that was put elsewhere in the same breath stays where it was put.
    TankPort moved = port(PortId.of("far"), 0.5, 0.2, 0.1);
    assertThat(TankResize.carried(old, now, List.of(moved))).containsExactly(moved);
    assertThat(TankResize.carried(old, old, old.tankPorts())).isEqualTo(old.tankPorts());
  }

  @Test
  void openingsStayInATankThatShrinksBelowThem() {
    Tank old =
        tank(
            BOX,
            port(PortId.of("low"), 0.39, 0.19, 0.14),
            port(PortId.of("high"), 0.41, 0.21, 0.16));
    Tank now = tank(new Shape.Box(0.31, 0.11, 0.11));
    List<TankPort> carried = TankResize.carried(old, now, old.tankPorts());
    assertAt(carried.getFirst().at(), 0.30, 0.10, 0.10);
    assertAt(carried.getLast().at(), 0, 0, 0);
  }

  @Test
  void turnedOverTwiceIsAsItWas() {
    Tank tank = tank(BOX, port(PortId.A, 0.05, 0.10, 0.02));
    List<TankPort> once = TankResize.mirrored(tank, tank.tankPorts());
    assertAt(once.getFirst().at(), 0.05, 0.30, 0.28);
    assertAt(TankResize.mirrored(tank, once).getFirst().at(), 0.05, 0.10, 0.02);
  }

  private static void assertAt(Point at, double x, double y, double z) {
    assertThat(at.x()).isCloseTo(x, EXACT);
    assertThat(at.y()).isCloseTo(y, EXACT);
    assertThat(at.z()).isCloseTo(z, EXACT);
  }
}
