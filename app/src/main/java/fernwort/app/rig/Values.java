package fernwort.app.rig;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Doubt;
import fernwort.app.web.Field;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** What a form holds, read in one person's units. */
final class Values {

  private static final double[] SLIPS = {10, 0.1, 1000, 0.001, 25.4, 1 / 25.4};

  private final Map<String, String> form;
  private final Units units;
  private final List<String> doubts = new ArrayList<>();

  Values(Map<String, String> form, Units units) {
    this.form = form;
    this.units = units;
  }

  String text(String name) {
    return form.getOrDefault(name, "").strip();
  }

  boolean tick(String name) {
    return form.containsKey(name);
  }

  Units units() {
    return units;
  }

  /** Returns an amount in SI. */
  double amount(String name, String label, Measure measure) {
    return units.parse(label, measure, text(name));
  }

  /** Returns an amount in SI and doubts it where a slip of the decimal point would explain it. */
  double amount(String name, String label, Measure measure, double low, double high) {
    return checked(label, measure, text(name), low, high);
  }

  /** Returns an amount that may be left out, in SI, and doubts it as {@link #amount} does. */
  Optional<Double> optional(String name, String label, Measure measure, double low, double high) {
    return text(name).isEmpty()
        ? Optional.empty()
        : Optional.of(amount(name, label, measure, low, high));
  }

  /** The same for a text from within a field. */
  double checked(String label, Measure measure, String text, double low, double high) {
    double value = units.parse(label, measure, text);
    doubt(label, measure, value, low, high);
    return value;
  }

  private void doubt(String label, Measure measure, double value, double low, double high) {
    if (value >= low && value <= high) {
      return;
    }
    for (double slip : SLIPS) {
      if (value * slip >= low && value * slip <= high) {
        doubts.add(
            "%s of %s is unusual; did you mean %s?"
                .formatted(label, units.show(measure, value), units.show(measure, value * slip)));
        return;
      }
    }
  }

  /** Returns a plain number. */
  double plain(String name, String label) {
    return units.parse(label, Measure.LENGTH, text(name) + " m");
  }

  <E extends Enum<E>> E choice(String name, String label, Class<E> of) {
    return Arrays.stream(of.getEnumConstants())
        .filter(e -> key(e).equals(text(name)))
        .findFirst()
        .orElseThrow(() ->
            new Refusal(
                "%s: “%s” cannot be chosen; pick one of the list".formatted(label, text(name))));
  }

  static String key(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  static List<Field.Option> options(Class<? extends Enum<?>> of) {
    return Arrays.stream(of.getEnumConstants())
        .map(e -> new Field.Option(key(e), key(e).replace('-', ' ')))
        .toList();
  }

  /**
   * Ends the reading.
   *
   * @throws Doubt with the first thing that looks like a slip, unless the person is sure
   */
  void settle() {
    if (!doubts.isEmpty() && !text("sure").equals("true")) {
      throw new Doubt(doubts.getFirst());
    }
  }
}
