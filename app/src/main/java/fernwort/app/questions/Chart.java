package fernwort.app.questions;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/**
 * Courses over something, as the numbers of a table from which the page draws them. All numbers are
 * in one person's units.
 *
 * @param title what it shows
 * @param across what the courses go over
 * @param up what they are courses of
 * @param at where over it the numbers are, rising
 * @param courses the courses, each with as many numbers
 * @param marks where over it something happened
 */
public record Chart(
    String title, Axis across, Axis up, List<Double> at, List<Course> courses, List<Double> marks) {

  /** Makes a chart without marks. */
  public Chart(String title, Axis across, Axis up, List<Double> at, List<Course> courses) {
    this(title, across, up, at, courses, List.of());
  }

  private static final int DIGITS = 3;

  /**
   * An axis.
   *
   * @param name what it stands for
   * @param unit the sign of its unit; empty for none
   */
  public record Axis(String name, String unit) {

    /** The unit of an axis whose numbers are hours since some midnight, told as on a clock. */
    private static final String CLOCK = "clock";

    /** Returns an axis of clock times. */
    public static Axis clock(String name) {
      return new Axis(name, CLOCK);
    }

    boolean isClock() {
      return unit.equals(CLOCK);
    }

    /** Returns the name with the unit behind it. */
    public String title() {
      return unit.isEmpty() || isClock() ? name : name + ", " + unit;
    }
  }

  /** How a course is drawn: by colour and by dashes. */
  public enum Style {
    EXPECTED,
    LOW,
    HIGH,
    /** One of several that lie upon each other. */
    UPON,
    /** One more, told from the others by its dashes. */
    DASHED,
    /** And one more. */
    BROKEN,
    /** Single looks, as dots. */
    DOTS,
    /** What the others should stay below. */
    LIMIT;

    /** Returns its name on the page. */
    public String id() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * A course.
   *
   * @param values its numbers; one that is not finite leaves a gap
   */
  public record Course(String name, Style style, List<Double> values) {

    /** Returns a course that stands at one height. */
    public static Course level(String name, Style style, double value, int count) {
      return new Course(name, style, IntStream.range(0, count).mapToObj(i -> value).toList());
    }
  }

  /** A number as the table shows it and as it is drawn. */
  public record Cell(String shown, String number) {}

  /** A row of the table. */
  public record Row(Cell at, List<Cell> cells) {}

  /** Returns the table's rows. */
  public List<Row> rows() {
    return IntStream.range(0, at.size())
        .mapToObj(i ->
            new Row(
                across.isClock() ? clock(at.get(i)) : cell(at.get(i), at.getLast()),
                courses.stream().map(c -> cell(c.values().get(i), highest(c))).toList()))
        .toList();
  }

  private static double highest(Course course) {
    return course.values().stream().filter(Double::isFinite).mapToDouble(Math::abs).max().orElse(1);
  }

  private static Cell clock(double hours) {
    long minutes = Math.round(60 * hours);
    return new Cell(
        String.format(Locale.ROOT, "%02d:%02d", minutes / 60 % 24, minutes % 60),
        Double.toString(hours));
  }

  private static Cell cell(double value, double highest) {
    if (!Double.isFinite(value)) {
      return new Cell("–", "");
    }
    // As many decimals as give the highest of a column three digits.
    int decimals = highest > 0 ? DIGITS - 1 - (int) Math.floor(Math.log10(highest)) : 0;
    BigDecimal shown =
        BigDecimal.valueOf(value).setScale(Math.clamp(decimals, 0, DIGITS), RoundingMode.HALF_UP);
    return new Cell(shown.toPlainString(), Double.toString(value));
  }

  /**
   * Returns round numbers from 0 on in even steps, and the end.
   *
   * @param end greater than 0
   */
  public static List<Double> rounds(double end) {
    double most = end / 10;
    double ten = Math.pow(10, Math.floor(Math.log10(most)));
    double step =
        most <= ten ? ten : most <= 2 * ten ? 2 * ten : most <= 5 * ten ? 5 * ten : 10 * ten;
    List<Double> rounds = new ArrayList<>();
    // The last round number is left out where it would stand beside the end.
    for (int i = 0; i * step < end - step / 4; i++) {
      rounds.add(i * step);
    }
    rounds.add(end);
    return rounds;
  }

  /** Returns places with others among them, such as where a course bends. */
  public static List<Double> with(List<Double> at, double... others) {
    return DoubleStream.concat(at.stream().mapToDouble(x -> x), Arrays.stream(others))
        .filter(x -> x >= at.getFirst() && x <= at.getLast())
        .sorted()
        .distinct()
        .boxed()
        .toList();
  }

  /** Returns the values of a function at some places. */
  public static List<Double> over(List<Double> at, DoubleUnaryOperator function) {
    return at.stream().map(function::applyAsDouble).toList();
  }
}
