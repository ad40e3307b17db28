package fernwort.bench;

import java.util.Locale;

/**
 * One measured figure beside what was promised.
 *
 * @param what what was measured
 * @param value the measurement
 * @param spread its 99.9 % interval, half of it; 0 for a median
 * @param goal what it must stay within; 0 for a figure that is there to compare with
 * @param unit unit of all three
 */
record Figure(String what, double value, double spread, double goal, String unit) {

  /** A ratio that must be at least its goal, as a row. */
  static String atLeast(String what, double ratio, double goal) {
    return String.format(
        Locale.ROOT,
        "| %s | %s | at least %s | %s |",
        what,
        digits(ratio),
        digits(goal),
        ratio >= goal ? "within" : "**short**");
  }

  String row() {
    if (goal == 0) {
      return String.format(
          Locale.ROOT, "| %s | %s %s | – | to compare |", what, digits(value), unit);
    }
    return String.format(
        Locale.ROOT,
        "| %s | %s%s %s | %s %s | %s |",
        what,
        digits(value),
        spread > 0 ? " ± " + digits(spread) : "",
        unit,
        digits(goal),
        unit,
        value <= goal ? "within" : "**short**");
  }

  private static String digits(double number) {
    return number >= 100 || number == Math.rint(number)
        ? String.format(Locale.ROOT, "%.0f", number)
        : String.format(Locale.ROOT, number >= 1 ? "%.1f" : "%.3f", number);
  }
}
