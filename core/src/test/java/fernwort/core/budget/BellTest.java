package fernwort.core.budget;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.hipparchus.distribution.continuous.NormalDistribution;

class BellTest {

  private static final NormalDistribution NORMAL = new NormalDistribution();

  @Property(tries = 500)
  void theShareBetweenTwoIsThatOfTheLibrary(
      @ForAll @DoubleRange(min = -9, max = 9) double one,
      @ForAll @DoubleRange(min = -9, max = 9) double other) {
    double from = Math.min(one, other);
    double to = Math.max(one, other);
    double share = NORMAL.probability(from, to);
    assertThat(Bell.between(from, to)).isCloseTo(share, within(1e-9));
    assertThat(Bell.density(one)).isCloseTo(NORMAL.density(one), within(1e-15));
  }

  @Property(tries = 100)
  void aShareFarOutIsRightToAMillionth(@ForAll @DoubleRange(min = 2, max = 7) double from) {
    double share = NORMAL.cumulativeProbability(-from) - NORMAL.cumulativeProbability(-from - 0.5);
    assertThat(Bell.between(from, from + 0.5)).isCloseTo(share, within(1e-6 * share));
    assertThat(Bell.between(-from - 0.5, -from)).isCloseTo(share, within(1e-6 * share));
  }
}
