package fernwort.core.winter;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Practised;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Slope;
import fernwort.core.rig.Vehicle;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A lean in centimetres under which wheel, and what people can lean. */
class LeaningTest {

  /** Axles 3.6 m apart, 2.1 m wide. */
  private static final Vehicle VAN = Practised.rig("flatbed").vehicle();

  /** Its coupling 5.2 m before the middle of its axles. */
  private static final Vehicle TRAILER = Practised.rig("three-tanks").vehicle();

  @Test
  void aVanIsDrivenOntoRamps() {
    // 3.6 m times tan 2 degrees; 0.85 of 2.1 m times the same.
    assertThat(Leaning.of(VAN, new Slope(2, -2)))
        .hasToString("nose up, front wheels up by 13 cm, right wheels up by 6 cm");
    assertThat(Leaning.of(VAN, new Slope(-2, 0))).hasToString("nose down, rear wheels up by 13 cm");
    assertThat(Leaning.isPossible(VAN, new Slope(4, 0))).isFalse();
  }

  @Test
  void aTrailerIsLeanedAtItsCoupling() {
    assertThat(Leaning.of(TRAILER, new Slope(-2, 0)))
        .hasToString("nose down, coupling down by 18 cm");
    assertThat(Leaning.isPossible(TRAILER, new Slope(-2, 0))).isTrue();
    assertThat(Leaning.of(TRAILER, Slope.LEVEL)).hasToString("level");
  }

  /** What counts is how far the axles are apart, not where they stand. */
  @Test
  void itIsTheSameWhereverTheAxlesStand() {
    assertThat(Leaning.of(van(0), new Slope(2, 0)))
        .isEqualTo(Leaning.of(van(1.5), new Slope(2, 0)))
        .hasToString("nose up, front wheels up by 13 cm");
    assertThat(Leaning.isPossible(van(1.5), new Slope(2, 0))).isTrue();
    assertThat(Leaning.isPossible(van(1.5), new Slope(2.5, 0)))
        .as("16 cm is more than a ramp has")
        .isFalse();
  }

  private static Vehicle van(double rear) {
    return new Vehicle(
        Vehicle.Body.VAN,
        rear - 1,
        rear + 4.5,
        2,
        0.6,
        2.6,
        0.2,
        List.of(new Axle("rear", rear, 2000, 1200), new Axle("front", rear + 3.6, 2000, 1200)),
        Optional.empty());
  }
}
