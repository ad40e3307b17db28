package fernwort.core.build.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** How few sticks may do, by hand, and how much the search looks at. */
class CutSearchTest {

  private static double[] needs(double... needs) {
    return needs;
  }

  static Stream<Arguments> bounds() {
    return Stream.of(
        Arguments.of(needs(), 0),
        Arguments.of(needs(0.4), 1),
        // By length alone.
        Arguments.of(needs(0.5, 0.5), 1),
        Arguments.of(needs(0.5, 0.5, 0.5), 2),
        // Of pieces longer than half a stick one comes out of each, of those over a third two.
        Arguments.of(needs(0.6, 0.6, 0.6), 3),
        Arguments.of(needs(0.34, 0.34, 0.34, 0.34, 0.34), 3),
        Arguments.of(needs(0.26, 0.26, 0.26, 0.26, 0.26, 0.26, 0.26), 3),
        // Beside 0.75 nothing of 0.3 finds room: each takes a whole stick.
        Arguments.of(needs(0.75, 0.75, 0.3), 3),
        // Without what is shorter than 0.4 four pieces of 0.65 take four sticks.
        Arguments.of(needs(0.65, 0.65, 0.65, 0.65, 0.4, 0.1), 5));
  }

  @ParameterizedTest
  @MethodSource("bounds")
  void fewerSticksCannotDo(double[] needs, int fewest) {
    assertThat(CutBound.of(needs, 1)).isEqualTo(fewest);
    // The same in another unit.
    assertThat(CutBound.of(Arrays.stream(needs).map(n -> 4 * n).toArray(), 4)).isEqualTo(fewest);
  }

  @ParameterizedTest
  @CsvSource({
    "0.75, 0.3, 1",
    "0.7, 0.3, 0.7",
    "0.5, 0.3, 0.5",
    "0.3, 0.3, 0.3",
    "0.29, 0.3, 0",
    "0.01, 0, 0.01",
    "1, 0, 1",
  })
  void whatIsShortIsLeftOutAndWhatFillsAStickIsWhole(double share, double small, double counted) {
    assertThat(CutBound.rounded(share, small)).isCloseTo(counted, within(1e-12));
  }

  @ParameterizedTest
  @CsvSource({
    "0.6, 1, 1",
    "0.5, 1, 0.5",
    "0.4, 1, 0",
    "0.34, 2, 0.5",
    "0.7, 2, 1",
    "0.3, 2, 0",
    "0.26, 3, 0.333333333333",
  })
  void aPieceCountsForHowManyOfItsLengthComeOutOfAStick(double share, int most, double counted) {
    assertThat(CutBound.counted(share, most)).isCloseTo(counted, within(1e-9));
  }

  private static CutSearch searched(double[] needs, double room) {
    int[] each = new int[needs.length];
    Arrays.setAll(each, i -> i);
    CutSearch search = new CutSearch(needs, room, each);
    search.run();
    return search;
  }

  private static double[] longestFirst(DoubleStream lengths) {
    return lengths.map(d -> -d).sorted().map(d -> -d).toArray();
  }

  @Property(tries = 300)
  void theBoundIsNeverAboveWhatDoes(@ForAll long seed) {
    double[] needs = longestFirst(new Random(seed).doubles(12, 0.05, 0.95));
    CutSearch search = searched(needs, 1);
    assertThat(search.isProven()).isTrue();
    double[] used = new double[needs.length];
    for (int i = 0; i < needs.length; i++) {
      used[search.best()[i]] += needs[i];
    }
    assertThat(Arrays.stream(used).max().orElseThrow()).isLessThanOrEqualTo(1 + 1e-9);
    assertThat(CutSearch.count(search.best())).isGreaterThanOrEqualTo(CutBound.of(needs, 1));
  }

  static Stream<Arguments> lists() {
    return Stream.of(
        // As few as the bound tells: the first way that does ends it.
        Arguments.of(needs(0.5, 0.4, 0.3, 0.3, 0.25, 0.25), 2, 20),
        Arguments.of(needs(0.6, 0.6, 0.6), 3, 0),
        Arguments.of(needs(0.7, 0.6, 0.6, 0.4, 0.4, 0.3, 0.3, 0.3, 0.2, 0.2), 4, 23),
        Arguments.of(longestFirst(new Random(1).doubles(20, 0.1, 0.7)), 9, 136),
        Arguments.of(longestFirst(new Random(7).doubles(30, 0.05, 0.73)), 13, 299),
        // One more than the bound: every way with fewer is gone through, or ruled out.
        Arguments.of(needs(0.45, 0.45, 0.36, 0.36, 0.36, 0.29, 0.29, 0.29), 4, 21),
        Arguments.of(longestFirst(new Random(2).doubles(24, 0.1, 0.6)), 10, 598),
        // Many of a length are one choice.
        Arguments.of(
            needs(0.46, 0.46, 0.46, 0.37, 0.37, 0.37, 0.37, 0.28, 0.28, 0.28, 0.28, 0.28), 5, 20));
  }

  @ParameterizedTest
  @MethodSource("lists")
  void noMoreIsLookedAtThanItTakes(double[] needs, int fewest, int steps) {
    CutSearch search = searched(needs, 1);
    assertThat(CutSearch.count(search.best())).isEqualTo(fewest);
    assertThat(search.isProven()).isTrue();
    assertThat(search.steps()).isEqualTo(steps);
  }

  @Test
  void nothingIsCutFromNothing() {
    CutSearch none = searched(needs(), 1);
    assertThat(none.best()).isEmpty();
    assertThat(none.steps()).isZero();
    assertThat(CutSearch.count(none.best())).isZero();
  }
}
