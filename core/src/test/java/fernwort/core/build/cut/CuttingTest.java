package fernwort.core.build.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.build.cut.Cutting.Piece;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class CuttingTest {

  private static List<Piece> pieces(double... lengths) {
    List<Piece> pieces = new ArrayList<>();
    for (double length : lengths) {
      pieces.add(new Piece("p" + pieces.size(), length));
    }
    return pieces;
  }

  @Test
  void twoSticksDoWhereTheBestFitTakesThree() {
    // 6, 5, 5 and 4, 4, 4, ... of 12: best fit decreasing puts 6 with 5 and strands the rest.
    Cutting cutting = Cutting.of(pieces(0.5, 0.4, 0.3, 0.3, 0.25, 0.25), 1, 0);
    assertThat(cutting.sticks()).hasSize(2);
    assertThat(cutting.waste()).isCloseTo(0, within(1e-9));
    assertThat(cutting.exact()).isTrue();
  }

  @Test
  void theSawTakesItsShareAndTheLastCutNone() {
    assertThat(Cutting.of(pieces(0.5, 0.5), 1, 0.003).sticks()).hasSize(2);
    assertThat(Cutting.of(pieces(0.5, 0.497), 1, 0.003).sticks()).hasSize(1);
    assertThat(Cutting.of(pieces(1), 1, 0.003).sticks()).hasSize(1);
  }

  @Test
  void whatIsLeftIsWhatNeitherPiecesNorSawTook() {
    // 0.6 and 0.2 with two cuts of 3 mm, and 0.5 with one.
    Cutting cutting = Cutting.of(pieces(0.6, 0.2, 0.5), 1, 0.003);
    assertThat(cutting.sticks()).extracting(s -> s.pieces().size()).containsExactly(2, 1);
    assertThat(cutting.waste()).isCloseTo(0.194 + 0.497, within(1e-9));
  }

  @Test
  void manyPiecesGoWhereTheyFitBestAndThatIsToldAsNoProof() {
    double[] many = new double[33];
    Arrays.fill(many, 0, 10, 0.6);
    Arrays.fill(many, 10, 12, 0.5);
    Arrays.fill(many, 12, 22, 0.4);
    Arrays.fill(many, 22, 33, 0.3);
    Cutting cutting = Cutting.of(pieces(many), 1, 0);
    // Each 0.4 fills up a 0.6, the two halves each other, and 0.3 goes three to a stick.
    assertThat(cutting.exact()).isFalse();
    assertThat(cutting.sticks()).hasSize(10 + 1 + 4);
    assertThat(cutting.sticks().subList(0, 11)).allMatch(s -> s.rest() < 1e-9);
    assertThat(cutting.sticks().getLast().rest()).isCloseTo(0.4, within(1e-9));
  }

  @Test
  void aPieceLongerThanAStickIsNamed() {
    assertThatThrownBy(() -> Cutting.of(pieces(0.5, 1.2), 1, 0))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("p1");
  }

  @Property(tries = 200)
  void noWayOfCuttingNeedsFewer(@ForAll long seed) {
    Random random = new Random(seed);
    double[] lengths = random.doubles(7, 0.1, 0.9).toArray();
    Cutting cutting = Cutting.of(pieces(lengths), 1, 0.01);
    assertThat(cutting.sticks()).hasSize(fewest(lengths, 0, new double[7], 0, 7));
    assertThat(cutting.sticks().stream().flatMap(s -> s.pieces().stream()))
        .containsExactlyInAnyOrderElementsOf(pieces(lengths));
    for (Cutting.Stick stick : cutting.sticks()) {
      double used =
          stick.pieces().stream().mapToDouble(Piece::length).sum()
              + 0.01 * (stick.pieces().size() - 1);
      assertThat(used).isLessThanOrEqualTo(1 + 1e-9);
    }
  }

  /** Tries every way. */
  private static int fewest(double[] lengths, int piece, double[] used, int sticks, int best) {
    if (piece == lengths.length) {
      return Math.min(best, sticks);
    }
    int fewest = best;
    for (int s = 0; s <= sticks && s < used.length; s++) {
      double cut = used[s] > 1e-9 ? 0.01 : 0;
      if (used[s] + cut + lengths[piece] <= 1 + 1e-9) {
        used[s] += cut + lengths[piece];
        fewest = fewest(lengths, piece + 1, used, Math.max(sticks, s + 1), fewest);
        used[s] -= cut + lengths[piece];
      }
    }
    return fewest;
  }

  @Test
  void thirtyPiecesAreCutWithProof() {
    Random random = new Random(7);
    Stream.generate(() -> random.doubles(30, 0.15, 2.2).toArray())
        .limit(20)
        .forEach(lengths -> assertThat(Cutting.of(pieces(lengths), 3, 0.003).exact()).isTrue());
  }
}
