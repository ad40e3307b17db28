package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.guide.answers.RigAnswers.Spot;
import fernwort.core.say.Refusal;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A page as somebody filled it in. What cannot be read is noted at its field and leaves the answer
 * as it was, so that one slip loses nothing of the rest.
 */
final class FilledPage {

  private final Map<String, String> form;
  private final Units units;
  private final Map<String, String> errors = new LinkedHashMap<>();

  FilledPage(Map<String, String> form, Units units) {
    this.form = form;
    this.units = units;
  }

  /** Returns what is wrong, by field, in the order of the page. */
  Map<String, String> errors() {
    return errors;
  }

  Units units() {
    return units;
  }

  boolean has(String field) {
    return form.containsKey(field);
  }

  String text(String field) {
    return form.getOrDefault(field, "").strip();
  }

  /** Returns words, or those from before when there are none. */
  String words(String field, String before) {
    return text(field).isEmpty() ? before : text(field);
  }

  boolean tick(String field) {
    return text(field).equals("true");
  }

  /** Returns an amount in SI within bounds, or the one from before. */
  double amount(
      String field, String label, Measure measure, double before, double low, double high) {
    return text(field).isEmpty() || text(field).equals(units.number(measure, before))
        ? before
        : read(field, label, measure, low, high).orElse(before);
  }

  /** Returns an amount that may be left out. */
  Optional<Double> optional(
      String field,
      String label,
      Measure measure,
      Optional<Double> before,
      double low,
      double high) {
    boolean asShown =
        before.filter(si -> text(field).equals(units.number(measure, si))).isPresent();
    return asShown
        ? before
        : text(field).isEmpty()
            ? Optional.empty()
            : read(field, label, measure, low, high).or(() -> before);
  }

  private Optional<Double> read(
      String field, String label, Measure measure, double low, double high) {
    try {
      double value = units.parse(label, measure, text(field));
      if (value < low || value > high) {
        throw new Refusal(
            Says.OF_FROM_TO_IS_POSSIBLE.with(
                label,
                units.show(measure, value),
                units.show(measure, low),
                units.show(measure, high)));
      }
      return Optional.of(value);
    } catch (Refusal refusal) {
      error(field, String.valueOf(refusal.getMessage()));
      return Optional.empty();
    }
  }

  void error(String field, String sentence) {
    errors.put(field, sentence);
  }

  Spot spot(String field, Spot before) {
    return text(field).matches("[0-4]-[0-2]")
        ? new Spot(text(field).charAt(0) - '0', text(field).charAt(2) - '0')
        : before;
  }

  static String spot(Spot spot) {
    return String.format(Locale.ROOT, "%d-%d", spot.along(), spot.side());
  }

  <E extends Enum<E>> E choice(String field, E before) {
    return choice(field, before.getDeclaringClass()).orElse(before);
  }

  <E extends Enum<E>> Optional<E> choice(String field, Class<E> of) {
    return Arrays.stream(of.getEnumConstants())
        .filter(e -> e.name().equals(text(field)))
        .findFirst();
  }
}
