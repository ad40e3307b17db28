package fernwort.app.questions;

import fernwort.app.store.SizingStore;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What one question asks: each call asks one thing and returns what was entered for it, or its
 * default. An entry that cannot be understood stays in its field and is the form's problem.
 */
public final class Form {

  /** More rows nobody needs to describe one line or one drive. */
  private static final int MOST_ROWS = 12;

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
        value = Units.of(entry.get().units()).parse(label, measure, entry.get().text(), normal);
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

  /** What was entered in one row of a table: amounts in SI and numbers, and what was chosen. */
  public record Row(Map<String, Double> numbers, Map<String, String> choices) {

    /** Returns a number; 0 for one that was left out. */
    public double number(String column) {
      return numbers.getOrDefault(column, 0.0);
    }

    /** Returns what was chosen. */
    public String choice(String column) {
      return choices.getOrDefault(column, "");
    }
  }

  /**
   * Asks for several of the same, row by row. An empty row follows the last, for one more; a row
   * whose numbers are emptied is gone.
   *
   * @param normal the rows where nothing was entered yet, each as it would be typed, in metric
   *     units
   */
  public List<Row> table(
      String name, String label, String hint, List<Column> columns, List<List<String>> normal) {
    List<Row> rows = new ArrayList<>();
    List<List<Field>> shown = new ArrayList<>();
    boolean entered = IntStream.range(0, MOST_ROWS).anyMatch(i -> isEntered(name, i, columns));
    int free = 0;
    for (int i = 0; i < MOST_ROWS; i++) {
      boolean preset = !entered && i < normal.size();
      if (preset || isEntered(name, i, columns)) {
        List<Field> cells = new ArrayList<>();
        rows.add(row(name, i, columns, preset ? normal.get(i) : List.of(), cells));
        shown.add(cells);
        free = i + 1;
      }
    }
    if (free < MOST_ROWS) {
      List<Field> cells = new ArrayList<>();
      row(name, free, columns, List.of(), cells);
      shown.add(cells);
    }
    List<Field.Head> heads =
        columns.stream().map(c -> new Field.Head(head(c), c.picture())).toList();
    fields.add(Field.table(name, label, hint, new Field.Table(heads, shown)));
    return rows;
  }

  private String head(Column column) {
    return column
        .measure()
        .map(m -> "%s (%s)".formatted(column.words(), units.unit(m).sign()))
        .orElse(column.words());
  }

  /** A row counts as entered by its numbers: a choice always holds something. */
  private boolean isEntered(String name, int row, List<Column> columns) {
    return columns.stream()
        .filter(c -> c.options().isEmpty())
        .anyMatch(c -> entry(cell(name, row, c)).isPresent());
  }

  private static String cell(String name, int row, Column column) {
    return name + "-" + row + "-" + column.id();
  }

  /** Reads a row, and adds the fields that show it. */
  private Row row(
      String name, int row, List<Column> columns, List<String> preset, List<Field> cells) {
    Map<String, Double> numbers = new HashMap<>();
    Map<String, String> choices = new HashMap<>();
    for (int c = 0; c < columns.size(); c++) {
      Column column = columns.get(c);
      String field = cell(name, row, column);
      String label = Says.ROW.filled(head(column), (row + 1));
      Optional<SizingStore.Kept> given = entry(field);
      String text =
          given.map(SizingStore.Kept::text).orElse(c < preset.size() ? preset.get(c) : "");
      if (!column.options().isEmpty()) {
        boolean known = column.options().stream().anyMatch(o -> o.value().equals(text));
        String chosen = known ? text : column.options().getFirst().value();
        choices.put(column.id(), chosen);
        cells.add(Field.choice(field, label, chosen, column.options()));
        continue;
      }
      Units typedIn = given.map(g -> Units.of(g.units())).orElse(Units.METRIC);
      String shown = text;
      try {
        if (!text.isBlank()) {
          double value =
              column
                  .measure()
                  .map(m -> typedIn.parse(label, m, text))
                  .orElseGet(() -> plain(label, text));
          numbers.put(column.id(), value);
          shown = column.measure().map(m -> units.number(m, value)).orElseGet(() -> shown(value));
        }
      } catch (Refusal e) {
        wrong(e);
      }
      cells.add(Field.number(field, label, shown, "", ""));
    }
    return new Row(numbers, choices);
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
      throw new Refusal(Says.IS_NOT_A_WHOLE_NUMBER_TYPE.with(label, text.strip()));
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
