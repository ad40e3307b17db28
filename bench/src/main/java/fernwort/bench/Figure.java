package fernwort.bench;

import java.util.Locale;

/**
 * One measured figure beside what was promised.
 *
 * @param what what was measured
 * @param value the measurement
 * @param spread its 99.9 % interval, half of it; 0 for a median
 * @param goal what it must stay within
 * @param unit unit of all three
 */
record Figure(String what, double value, double spread, double goal, String unit) {

  String row() {
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
