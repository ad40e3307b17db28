package fernwort.core.winter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class AirStreamTest {

  private static final double TAP = AirStream.area(1e-4, 2e5);

  @Test
  void aTapIsAsWideAsItsWaterSays() {
    // 6 L/min at 2 bar: 1e-4 m³/s at 20 m/s, five square millimetres.
    assertThat(TAP).isCloseTo(5.0e-6, within(0.01e-6));
  }

  @Test
  void chokedAirFollowsThePressure() {
    // ṁ = C_d·A·p·√(κ/(R·T))·0.5787, at 15 °C and 3 bar absolute: 0.00357 kg/s, 2.9 L/s of free
    // air.
    assertThat(AirStream.passes(3e5, TAP)).isCloseTo(2.92e-3, within(0.05e-3));
    assertThat(AirStream.passes(2.6e5, TAP) / AirStream.passes(1.3e5 * 1.6, TAP))
        .isCloseTo(1.25, within(1e-6));
    assertThat(AirStream.passes(AirStream.OPEN, TAP)).isZero();
  }

  @Test
  void aSmallCompressorLetsThePressureFall() {
    AirStream small = AirStream.of(5e-4, 150_000, TAP);
    assertThat(small.flow()).isEqualTo(5e-4);
    assertThat(small.pressure()).isBetween(AirStream.OPEN, AirStream.OPEN + 20_000);
    assertThat(AirStream.passes(small.pressure(), TAP)).isCloseTo(5e-4, within(1e-6));
    AirStream large = AirStream.of(1e-2, 150_000, TAP);
    assertThat(large.pressure()).isEqualTo(AirStream.OPEN + 150_000);
    assertThat(large.flow()).isLessThan(1e-2);
  }

  @Test
  void narrowLinesAreCarriedAndWideOnesAreNot() {
    AirStream stream = AirStream.of(50.0 / 60_000, 150_000, TAP);
    assertThat(stream.wallis(0.010)).isGreaterThan(1);
    assertThat(stream.wallis(0.025)).isLessThan(1);
    // j* goes with D to the power of −2.5.
    assertThat(stream.wallis(0.010) / stream.wallis(0.020))
        .isCloseTo(Math.pow(2, 2.5), within(1e-9));
  }
}
