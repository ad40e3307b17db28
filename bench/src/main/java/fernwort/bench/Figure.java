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
 * @param yardstick what the yardstick took beside it (ms); 0 where none was run
 */
record Figure(
    String what, double value, double spread, double goal, String unit, double yardstick) {

  /** A ratio that must be at least its goal, as a row. */
  static String atLeast(String what, double ratio, double goal) {
    return String.format(
        Locale.ROOT,
        "| %s | %s | at least %s | %s | – | – | – | |",
        what,
        digits(ratio),
        digits(goal),
        ratio >= goal ? "within" : "**short**");
  }

  String row() {
    return "%s %s".formatted(measured(), besideYardstick());
  }

  private String measured() {
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
        verdict(value, goal));
  }

  private String besideYardstick() {
    if (yardstick == 0) {
      return "– | – | – | |";
    }
    double multiple = milliseconds(value) / yardstick;
    String measured = "%s ms | %s".formatted(digits(yardstick), digits(multiple));
    if (goal == 0) {
      return measured + " | – | |";
    }
    double most = milliseconds(goal) / Yardstick.AT_THE_GOALS;
    return "%s | %s | %s |".formatted(measured, digits(most), verdict(multiple, most));
  }

  private static String verdict(double value, double most) {
    return value <= most ? "within" : "**short**";
  }

  private double milliseconds(double amount) {
    return switch (unit) {
      case "µs" -> amount / 1000;
      case "ms" -> amount;
      case "s" -> amount * 1000;
      default -> throw new IllegalStateException(unit + " is no time");
    };
  }

  private static String digits(double number) {
    return number >= 100 || number == Math.rint(number)
        ? String.format(Locale.ROOT, "%.0f", number)
        : String.format(
            Locale.ROOT, number >= 1 ? "%.1f" : number >= 1e-3 ? "%.3f" : "%.2g", number);
  }
}
