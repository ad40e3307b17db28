package fernwort.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.flow.Fluid;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class PiecedLineTest {

  private static final double BAR = 1e5;

  private static List<PiecedLine.Piece> drawn(Random random) {
    return IntStream.rangeClosed(0, random.nextInt(6))
        .mapToObj(i ->
            new PiecedLine.Piece(
                random.nextDouble(0.004, 0.04), random.nextDouble(0.02, 12), random.nextDouble(8)))
        .toList();
  }

  @Test
  void piecesTakeTogetherWhatThereIsInWhateverOrder() {
    Random random = new Random(3);
    for (int i = 0; i < 200; i++) {
      List<PiecedLine.Piece> pieces = new ArrayList<>(drawn(random));
      double pressure = random.nextDouble(0.02, 4) * BAR;
      PiecedLine line = PiecedLine.of(pieces, pressure);
      double taken = IntStream.range(0, pieces.size()).mapToDouble(line::takes).sum();
      assertThat(taken).isCloseTo(pressure, within(1e-4 * pressure));
      Collections.shuffle(pieces, random);
      assertThat(PiecedLine.of(pieces, pressure).flow())
          .isCloseTo(line.flow(), within(1e-5 * line.flow()));
    }
  }

  @Test
  void aWiderPieceNeverGivesLessAndTheBottleneckTakesMost() {
    Random random = new Random(4);
    for (int i = 0; i < 200; i++) {
      PiecedLine line = PiecedLine.of(drawn(random), BAR);
      for (int piece = 0; piece < line.pieces().size(); piece++) {
        assertThat(line.withNextBore(piece).flow()).isGreaterThan(line.flow());
        assertThat(line.takes(line.bottleneck())).isGreaterThanOrEqualTo(line.takes(piece));
      }
    }
  }

  @Test
  void aLongPieceOfOneBoreRunsAsPoiseuilleAndBlasiusSay() {
    // 2 mm and 10 m: slow enough for Poiseuille, Q = π d⁴ Δp / (128 μ l).
    double bore = 2e-3;
    double poiseuille = Math.PI * Math.pow(bore, 4) * 5_000 / (128 * 1.138e-3 * 10);
    assertThat(PiecedLine.of(List.of(new PiecedLine.Piece(bore, 10, 0)), 5_000).flow())
        .isCloseTo(poiseuille, within(0.01 * poiseuille));
    // 13 mm and 20 m: turbulent in a smooth pipe, f = 0.3164 Re^-0.25 after Blasius.
    PiecedLine hose = PiecedLine.of(List.of(new PiecedLine.Piece(0.013, 20, 0)), BAR);
    double speed = hose.flow() / (Math.PI / 4 * 0.013 * 0.013);
    double reynolds = Fluid.WATER.density() * speed * 0.013 / Fluid.WATER.viscosity();
    double blasius =
        0.3164 / Math.pow(reynolds, 0.25) * 20 / 0.013 * Fluid.WATER.density() * speed * speed / 2;
    assertThat(blasius).isCloseTo(BAR, within(0.05 * BAR));
  }

  @Test
  void whatIsNoPipeIsRefusedWithItsMend() {
    assertThatThrownBy(() -> new PiecedLine.Piece(0, 1, 0))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("1 to 300 mm");
    assertThatThrownBy(() -> new PiecedLine.Piece(0.013, 0, 0)).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> new PiecedLine.Piece(0.013, 1, -1)).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> PiecedLine.of(List.of(), BAR)).hasMessageContaining("one piece");
    assertThatThrownBy(() -> PiecedLine.of(List.of(new PiecedLine.Piece(0.013, 1, 0)), 0))
        .hasMessageContaining("pressure");
  }

  @Test
  void aPieceWiderThanAllUsualOnesGrowsByAQuarter() {
    assertThat(new PiecedLine.Piece(0.013, 1, 0).nextBore()).isEqualTo(0.016);
    assertThat(new PiecedLine.Piece(0.0128, 1, 0).nextBore()).isEqualTo(0.016);
    assertThat(new PiecedLine.Piece(0.04, 1, 0).nextBore()).isEqualTo(0.05);
  }
}
