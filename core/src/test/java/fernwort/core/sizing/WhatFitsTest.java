package fernwort.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.kind.tank.Shape;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.WhatFits.Fit;
import fernwort.core.sizing.WhatFits.Margins;
import fernwort.core.sizing.WhatFits.Space;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** The largest tank that a measured space takes. */
class WhatFitsTest {

  private static final Margins NONE = new Margins(0, 0, 0, 0);
  private static final Margins USUAL = new Margins(0.01, 0.06, 0.08, 0.006);

  @Test
  void aBoxFillsASquareSpaceLessWhatMustStayFree() {
    Fit best = WhatFits.of(new Space.Square(1.0, 0.5, 0.4), USUAL).getFirst();
    assertThat(best.words()).isEqualTo("box");
    double litres = (1.0 - 0.02 - 0.08 - 0.012) * (0.5 - 0.02 - 0.012) * (0.4 - 0.07 - 0.012);
    assertThat(best.volume()).isCloseTo(litres, within(1e-9));
  }

  @Test
  void aCylinderLosesTheCornersOfItsSpace() {
    List<Fit> fits = WhatFits.of(new Space.Square(1.0, 0.4, 0.4), NONE);
    double box = fits.getFirst().volume();
    Fit along =
        fits.stream().filter(f -> f.words().equals("cylinder lying along")).findFirst().get();
    assertThat(along.volume() / box).isCloseTo(Math.PI / 4, within(0.005));
  }

  @Test
  void overAWheelArchABridgeBeatsEveryBox() {
    Space space = new Space.OverArch(1.4, 0.4, 0.6, 0.4, 0.6, 0.35);
    List<Fit> fits = WhatFits.of(space, NONE);
    assertThat(fits.getFirst().shape()).isInstanceOf(Shape.Straddling.class);
    assertThat(fits.getFirst().volume())
        .isCloseTo(1.4 * 0.4 * 0.6 - 0.6 * 0.4 * 0.35, within(1e-9));
    assertThat(fits).extracting(Fit::words).contains("box above the arch", "box behind the arch");
  }

  @Test
  void underASlopeTheWedgeBeatsTheBestBox() {
    List<Fit> fits = WhatFits.of(new Space.Tapering(1.0, 0.5, 0.4, 0.1), NONE);
    assertThat(fits.getFirst().words()).isEqualTo("wedge");
    assertThat(fits.getFirst().volume()).isCloseTo(0.125, within(1e-9));
    double length = 0.4 / 0.6;
    assertThat(fits.getLast().volume()).isCloseTo(length * 0.5 * 0.2, within(1e-9));
  }

  @Test
  void aSpaceThatPaddingUsesUpIsRefusedWithItsSize() {
    assertThatThrownBy(() -> WhatFits.of(new Space.Square(0.5, 0.5, 0.07), USUAL))
        .hasMessageContaining("500 mm × 500 mm × 70 mm");
    assertThatThrownBy(() -> WhatFits.of(new Space.OverArch(1, 0.4, 0.6, 0.8, 0.6, 0.3), NONE))
        .hasMessageContaining("wheel arch");
  }

  @Property(tries = 200)
  void nothingThatFitsHoldsMoreThanTheSpace(
      @ForAll @DoubleRange(min = 0.3, max = 2) double length,
      @ForAll @DoubleRange(min = 0.3, max = 1) double width,
      @ForAll @DoubleRange(min = 0.2, max = 1) double height,
      @ForAll @DoubleRange(min = 0.55, max = 1) double low) {
    for (Fit fit : WhatFits.of(new Space.Tapering(length, width, height, low * height), USUAL)) {
      assertThat(fit.volume()).isBetween(0.0, length * width * height * (1 + low) / 2);
    }
    for (Fit fit : WhatFits.of(new Space.Square(length, width, height), USUAL)) {
      assertThat(fit.volume()).isBetween(0.0, length * width * height);
    }
  }

  @Property
  void everyTankLiesInItsSpaceWithWhatMustStayFree(
      @ForAll @DoubleRange(min = 0.4, max = 2) double length,
      @ForAll @DoubleRange(min = 0.25, max = 0.9) double height,
      @ForAll @DoubleRange(min = 0.05, max = 0.95) double share,
      @ForAll @DoubleRange(min = 0, max = 0.02) double around,
      @ForAll @DoubleRange(min = 0, max = 0.06) double above) {
    Margins margins = new Margins(around, above, 0.05, 0.004);
    List<Space> spaces =
        List.of(
            new Space.Square(length, 0.5, height),
            new Space.OverArch(length, 0.5, height, length * share / 2, length / 3, height * share),
            new Space.Tapering(length, 0.5, height, height * share));
    for (Space space : spaces) {
      for (Fit fit : fits(space, margins)) {
        for (Shape.Corner corner : fit.outline()) {
          double floor = floor(space, corner.x());
          assertThat(corner.x())
              .as("%s in %s", fit, space)
              .isBetween(around - E, length - around + E);
          assertThat(corner.z())
              .as("%s in %s", fit, space)
              .isGreaterThanOrEqualTo(floor + around - E);
          assertThat(corner.z())
              .as("%s in %s", fit, space)
              .isLessThanOrEqualTo(ceiling(space, corner.x()) - above + E);
        }
      }
    }
  }

  private static final double E = 1e-9;

  private static List<Fit> fits(Space space, Margins margins) {
    try {
      return WhatFits.of(space, margins);
    } catch (Refusal nothingLeft) {
      return List.of();
    }
  }

  private static double floor(Space space, double x) {
    return space instanceof Space.OverArch s && x > s.before() + E && x < s.before() + s.arch() - E
        ? s.archHeight()
        : 0;
  }

  private static double ceiling(Space space, double x) {
    return switch (space) {
      case Space.Square s -> s.height();
      case Space.OverArch s -> s.height();
      case Space.Tapering s -> s.height() - (s.height() - s.lowHeight()) * x / s.length();
    };
  }
}
