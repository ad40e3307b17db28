package fernwort.app.web;

import static org.assertj.core.api.Assertions.assertThat;

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
      assertThat(cell).doesNotMatch("(?s)[=+\\-@\\t\\r].*");
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "Tank full", "1,5", "it's fine", "'quoted'"})
  void ordinaryTextStaysAsItIs(String text) {
    assertThat(PlainCell.of(text)).isEqualTo(text);
    assertThat(PlainCell.read(text)).isEqualTo(text);
  }
}
