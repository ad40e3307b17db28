package fernwort.core.frost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.kind.tank.Shape;
import java.util.List;
import org.junit.jupiter.api.Test;

class TankSurfaceTest {

  @Test
  void itComesFromTheDimensions() {
    assertThat(TankSurface.of(new Shape.Box(1, 0.5, 0.2))).isCloseTo(1.6, within(1e-12));
    assertThat(TankSurface.of(new Shape.UprightCylinder(0.4, 0.5)))
        .isCloseTo(Math.PI * 0.4 * 0.7, within(1e-12));
    assertThat(TankSurface.of(new Shape.LyingCylinder(0.4, 0.5, true)))
        .isCloseTo(Math.PI * 0.4 * 0.7, within(1e-12));
    Shape.Prism box =
        new Shape.Prism(List.of(corner(0, 0), corner(1, 0), corner(1, 0.2), corner(0, 0.2)), 0.5);
    assertThat(TankSurface.of(box)).isCloseTo(1.6, within(1e-12));
  }

  /** Two halves side by side are one box: the face at which they meet loses nothing. */
  @Test
  void whereBlocksMeetNoWarmthIsLost() {
    Shape.Straddling two =
        new Shape.Straddling(
            List.of(
                new Shape.Block(0, 0, 0, 0.5, 0.5, 0.2),
                new Shape.Block(0.5, 0, 0, 0.5, 0.5, 0.2)));
    assertThat(TankSurface.of(two)).isCloseTo(1.6, within(1e-12));
  }

  @Test
  void aMeasuredTankIsTheBoxThatHoldsAsMuch() {
    Shape.DepthTable table =
        new Shape.DepthTable(1, List.of(new Shape.Row(0, 0), new Shape.Row(0.2, 0.1)));
    assertThat(TankSurface.of(table)).isCloseTo(1.6, within(1e-12));
  }

  private static Shape.Corner corner(double x, double z) {
    return new Shape.Corner(x, z);
  }
}
