package fernwort.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** No note becomes a formula in somebody's spreadsheet, and none comes back changed. */
class PlainCellTest {

  @Provide
  Arbitrary<String> notes() {
    return Arbitraries.strings().withChars("'=+-@\t\r a1").ofMaxLength(8);
  }

  @Property
  void whatIsWrittenIsReadAgain(@ForAll("notes") String note) {
    String cell = PlainCell.of(note);
    assertThat(PlainCell.read(cell)).isEqualTo(note);
    assertThat(cell).doesNotMatch("(?s)[=+\\-@\\t\\r].*");
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "Tank full", "1,5", "it's fine", "'quoted'"})
  void ordinaryTextStaysAsItIs(String text) {
    assertThat(PlainCell.of(text)).isEqualTo(text);
    assertThat(PlainCell.read(text)).isEqualTo(text);
  }
}
