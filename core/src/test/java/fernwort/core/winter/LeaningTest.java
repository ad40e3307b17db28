package fernwort.core.winter;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Practised;
import fernwort.core.rig.Slope;
import fernwort.core.rig.Vehicle;
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
}
