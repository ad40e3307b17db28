package fernwort.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** No note becomes a formula in somebody's spreadsheet, and none comes back changed. */
class PlainCellTest {

  private static final String SIGNS = "'=+-@\t\r a1";

  @Test
  void whatIsWrittenIsReadAgain() {
    Random random = new Random(7);
    for (int i = 0; i < 20_000; i++) {
      StringBuilder note = new StringBuilder();
      for (int n = random.nextInt(8); n > 0; n--) {
        note.append(SIGNS.charAt(random.nextInt(SIGNS.length())));
      }
      String cell = PlainCell.of(note.toString());
      assertThat(PlainCell.read(cell)).isEqualTo(note.toString());
      assertThat(cell).doesNotMatch("(?s)(?![+\\-]?\\d+$)[=+\\-@\\t\\r].*");
    }
  }

  @Test
  void aTableGivesOutNoFormulaInAnyOfItsCells() {
    assertThat(
            CsvTable.of(
                List.of("part", "who", "pitch"),
                List.of(List.of("=1+1", "@ada", "-1.5"), List.of("a,b", "\t+x", "0"))))
        .isEqualTo("part,who,pitch\n'=1+1,'@ada,-1.5\n\"a,b\",'\t+x,0\n");
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "Tank full", "1,5", "it's fine", "'quoted'", "-1.5", "+2e3"})
  void ordinaryTextStaysAsItIs(String text) {
    assertThat(PlainCell.of(text)).isEqualTo(text);
    assertThat(PlainCell.read(text)).isEqualTo(text);
  }
}
