package fernwort.core.tank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.describe.Fittings;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Shape;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A tank of 780 by 380 by 280 mm inside, by its gauge. */
class GaugeScaleTest {

  private static GaugeScale scale(Gauge gauge) {
    Tank tank =
        new Tank(Contents.FRESH, new Shape.Box(0.8, 0.4, 0.3), 0.01, List.of(), gauge, 1e4, -1e4);
    return new GaugeScale(tank, TankRoom.of(tank));
  }

  private static final double FULL = 0.78 * 0.38 * 0.28;

  @ParameterizedTest
  @CsvSource({"0, 0", "1, 0.25", "2.5, 0.625", "4, 1", "5, 1", "-1, 0"})
  void stepsOfASenderAreAsHighAsEachOther(double steps, double share) {
    GaugeScale scale = scale(Fittings.sender(4, 0.1, 0.1));
    assertThat(scale.most()).isEqualTo(4);
    assertThat(scale.volume(steps)).isCloseTo(share * FULL, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"0, 0", "0.07, 0.25", "0.28, 1", "0.5, 1"})
  void aStickIsWetAsFarAsTheWaterStands(double wet, double share) {
    GaugeScale scale = scale(Fittings.stick(0.1, 0.1));
    assertThat(scale.most()).isCloseTo(0.28, within(1e-12));
    assertThat(scale.volume(wet)).isCloseTo(share * FULL, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({
    // Half an eighth of the tank is a sixteenth; of twelve steps half is a twenty-fourth.
    "4, 2, 0.562, false",
    "4, 2, 0.563, true",
    "4, 2, 0.437, true",
    "12, 6, 0.541, false",
    "12, 6, 0.542, true",
  })
  void aStepLiesWhenItIsOffByMoreThanHalfOfOne(
      int steps, double shows, double share, boolean lies) {
    assertThat(
            scale(Fittings.sender(steps, 0.1, 0.1))
                .liesAt(new GaugeCurve.Point(shows, share * FULL)))
        .isEqualTo(lies);
  }

  @Test
  void aSenderWithoutStepsTellsNothing() {
    GaugeScale scale = scale(new Gauge(Gauge.GaugeKind.SENDER, 0, 0.1, 0.1));
    assertThat(scale.volume(1)).isZero();
  }
}
