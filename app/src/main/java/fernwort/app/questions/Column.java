package fernwort.app.questions;

import fernwort.app.units.Measure;
import fernwort.app.web.Field;
import java.util.List;
import java.util.Optional;

/**
 * What one column of a table asks of every row.
 *
 * @param id its name in the form
 * @param words what it asks
 * @param picture name of its picture; empty for none
 * @param measure what is measured; empty for a plain number or a choice
 * @param options what can be chosen; none for a number
 */
public record Column(
    String id,
    String words,
    String picture,
    Optional<Measure> measure,
    List<Field.Option> options) {

  /** Returns a column of amounts. */
  public static Column amount(String id, String words, Measure measure) {
    return new Column(id, words, "", Optional.of(measure), List.of());
  }

  /** Returns a column of plain numbers. */
  public static Column number(String id, String words, String picture) {
    return new Column(id, words, picture, Optional.empty(), List.of());
  }

  /** Returns a column of choices, the first of which is the default. */
  public static Column choice(String id, String words, List<Field.Option> options) {
    return new Column(id, words, "", Optional.empty(), options);
  }
}
