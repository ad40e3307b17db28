package fernwort.app.questions;

import fernwort.app.store.SizingStore;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What one question asks: each call asks one thing and returns what was entered for it, or its
 * default. An entry that cannot be understood stays in its field and is the form's problem.
 */
public final class Form {

  private final Map<String, SizingStore.Kept> kept;
  private final Units units;
  private final List<Field> fields = new ArrayList<>();
  private String problem = "";

  public Form(Map<String, SizingStore.Kept> kept, Units units) {
    this.kept = kept;
    this.units = units;
  }

  public List<Field> fields() {
    return fields;
  }

  /** Returns the first thing that is wrong, empty for none. */
  public String problem() {
    return problem;
  }

  /** Asks for an amount, in SI. */
  public double amount(String name, String label, Measure measure, double normal, String hint) {
    Optional<SizingStore.Kept> entry = entry(name);
    double value = normal;
    String shown = units.number(measure, normal);
    if (entry.isPresent()) {
      shown = entry.get().text();
      try {
        value = Units.of(entry.get().units()).parse(label, measure, entry.get().text());
        shown = units.number(measure, value);
      } catch (Refusal e) {
        wrong(e);
      }
    }
    fields.add(Field.number(name, label, shown, units.unit(measure).sign(), hint));
    return value;
  }

  /** Asks for a number without a unit of measure. */
  public double number(String name, String label, double normal, String unit, String hint) {
    Optional<SizingStore.Kept> entry = entry(name);
    double value = normal;
    String shown = shown(normal);
    if (entry.isPresent()) {
      shown = entry.get().text();
      try {
        value = plain(label, shown);
        shown = shown(value);
      } catch (Refusal e) {
        wrong(e);
      }
    }
    fields.add(Field.number(name, label, shown, unit, hint));
    return value;
  }

  /** Asks for several numbers, parted by blanks or semicolons. */
  public List<Double> numbers(String name, String label, String hint) {
    String text = entry(name).map(SizingStore.Kept::text).orElse("");
    fields.add(Field.text(name, label, text, hint));
    try {
      return Arrays.stream(text.split("[;\\s]+|,\\s+"))
          .filter(t -> !t.isBlank())
          .map(t -> plain(label, t))
          .toList();
    } catch (Refusal e) {
      wrong(e);
      return List.of();
    }
  }

  /** Asks for several lines of text. */
  public String rows(String name, String label, String normal, String hint) {
    String text = entry(name).map(SizingStore.Kept::text).orElse(normal);
    fields.add(Field.rows(name, label, text, hint));
    return text;
  }

  /** Asks for one of a list; the first is the default. */
  public String choice(String name, String label, List<Field.Option> options) {
    String value = entry(name).map(SizingStore.Kept::text).orElse(options.getFirst().value());
    boolean known = options.stream().anyMatch(o -> o.value().equals(value));
    String chosen = known ? value : options.getFirst().value();
    fields.add(Field.choice(name, label, chosen, options));
    return chosen;
  }

  /**
   * Asks for any of several things, each on or off.
   *
   * @return the values of those that are on
   */
  public List<String> ticks(String name, List<Field.Option> options) {
    List<String> on = new ArrayList<>();
    for (Field.Option option : options) {
      String field = name + "-" + option.value();
      boolean ticked = entry(field).isPresent();
      fields.add(Field.tick(field, option.label(), ticked, ""));
      if (ticked) {
        on.add(option.value());
      }
    }
    return on;
  }

  private Optional<SizingStore.Kept> entry(String name) {
    return Optional.ofNullable(kept.get(name)).filter(k -> !k.text().isBlank());
  }

  private void wrong(Refusal e) {
    problem = problem.isEmpty() ? units.say(e.saying()) : problem;
  }

  public static double plain(String label, String text) {
    return Units.METRIC.parse(label, Measure.LENGTH, text + " m");
  }

  /**
   * Understands a whole number.
   *
   * @throws Refusal in one sentence, naming the field
   */
  public static int whole(String label, String text) {
    double value = plain(label, text);
    if (value != Math.rint(value) || Math.abs(value) > 1_000_000) {
      throw new Refusal(
          "%s: “%s” is no whole number; type one, such as 2".formatted(label, text.strip()));
    }
    return (int) value;
  }

  /** Returns a number as people write it. */
  public static String shown(double value) {
    return Units.METRIC.number(Measure.MASS, value);
  }

  /** Returns the units that its entries are shown in. */
  Units units() {
    return units;
  }
}
