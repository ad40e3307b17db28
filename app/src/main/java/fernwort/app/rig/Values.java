package fernwort.app.rig;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Doubt;
import fernwort.app.web.Field;
import fernwort.app.web.FieldErrors;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * What a form holds, read in one person's units. What cannot be read is noted at its field and read
 * as it was, so that one look finds every slip; an amount that stands as it was shown is what it
 * was, to the last digit. {@link #settle} ends the reading.
 */
final class Values {

  private static final double[] FACTORS = {10, 0.1, 1000, 0.001, 25.4, 1 / 25.4};

  private final Map<String, String> form;
  private final Units units;
  private final Map<String, Field> shown = new HashMap<>();
  private final Map<String, String> slips = new LinkedHashMap<>();
  private final List<String> doubts = new ArrayList<>();

  /**
   * Takes a form.
   *
   * @param asked the fields as they were shown, with what they held
   */
  Values(Map<String, String> form, Units units, List<Field> asked) {
    this.form = form;
    this.units = units;
    asked.forEach(this::know);
  }

  private void know(Field field) {
    shown.put(field.name(), field);
    field.table().rows().forEach(row -> row.forEach(this::know));
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

  /** Tells whether a field holds what it was shown with. */
  boolean isAsShown(String name) {
    Field field = shown.get(name);
    return field != null
        && field.value().strip().replace("\r", "").equals(text(name).replace("\r", ""));
  }

  /** Notes what is wrong with a field. */
  void slip(String name, String sentence) {
    slips.putIfAbsent(name, sentence);
  }

  /** Reads something of a field; what it throws is noted there, and the fallback is taken. */
  <T> T guarded(String name, Supplier<T> read, T fallback) {
    try {
      return read.get();
    } catch (Refusal refusal) {
      slip(name, String.valueOf(refusal.getMessage()));
      return fallback;
    }
  }

  /** Returns an amount in SI. */
  double amount(String name, String label, Measure measure) {
    Field field = shown.get(name);
    double was = field == null ? 0 : field.exact().orElse(0);
    return field != null && field.exact().isPresent() && isAsShown(name)
        ? was
        : guarded(name, () -> units.parse(label, measure, text(name)), was);
  }

  /** Returns an amount in SI and doubts it where a slip of the decimal point would explain it. */
  double amount(String name, String label, Measure measure, double low, double high) {
    double value = amount(name, label, measure);
    if (!isAsShown(name)) {
      doubt(label, measure, value, low, high);
    }
    return value;
  }

  /** Returns an amount that may be left out, in SI. */
  Optional<Double> optional(String name, String label, Measure measure) {
    return text(name).isEmpty() ? Optional.empty() : Optional.of(amount(name, label, measure));
  }

  /** Returns an amount that may be left out, in SI, and doubts it as {@link #amount} does. */
  Optional<Double> optional(String name, String label, Measure measure, double low, double high) {
    return text(name).isEmpty()
        ? Optional.empty()
        : Optional.of(amount(name, label, measure, low, high));
  }

  /** Doubts an amount (SI) where a slip of the decimal point would explain it. */
  void doubt(String label, Measure measure, double value, double low, double high) {
    if (value >= low && value <= high) {
      return;
    }
    for (double factor : FACTORS) {
      if (value * factor >= low && value * factor <= high) {
        doubts.add(
            Says.OF_IS_UNUSUAL_DID_YOU_MEAN.filled(
                label, units.show(measure, value), units.show(measure, value * factor)));
        return;
      }
    }
  }

  /** Doubts something for a reason of its own. */
  void doubt(String question) {
    doubts.add(question);
  }

  /** Returns a plain number. */
  double plain(String name, String label) {
    return guarded(name, () -> plainly(label, text(name)), asShown(name));
  }

  private double plainly(String label, String text) {
    return units.parse(label, Measure.LENGTH, text + " m");
  }

  /** The plain number that a field was shown with. */
  private double asShown(String name) {
    Field field = shown.get(name);
    return field == null || field.value().isBlank() ? 0 : plainly(name, field.value());
  }

  /**
   * Returns one of a list.
   *
   * @throws Refusal when it is none of it, which no form of ours sends
   */
  <E extends Enum<E>> E choice(String name, String label, Class<E> of) {
    return Arrays.stream(of.getEnumConstants())
        .filter(e -> key(e).equals(text(name)))
        .findFirst()
        .orElseThrow(() -> new Refusal(Says.CANNOT_BE_CHOSEN_PICK.with(label, text(name))));
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
   * @throws FieldErrors with what is wrong, field by field
   * @throws Doubt with the first thing that looks like a slip, unless the person is sure
   */
  void settle() {
    if (!slips.isEmpty()) {
      throw new FieldErrors(slips);
    }
    if (!doubts.isEmpty() && !text("sure").equals("true")) {
      throw new Doubt(doubts.getFirst());
    }
  }
}
