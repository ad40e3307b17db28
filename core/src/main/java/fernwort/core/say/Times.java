package fernwort.core.say;

import java.util.Locale;

/** Times as people say them. */
public final class Times {

  private Times() {}

  /** Returns a time in words (s). */
  public static String of(double seconds) {
    if (seconds < 90) {
      return Math.max(1, Math.round(seconds)) + " s";
    }
    long minutes = Math.round(seconds / 60);
    return minutes < 100
        ? minutes + " min"
        : String.format(Locale.ROOT, "%d h %02d min", minutes / 60, minutes % 60);
  }

  /**
   * Returns a span in words, as a range where it is one.
   *
   * @param low the shortest (s); not known where it is 0
   * @param expected (s)
   * @param high the longest (s)
   */
  public static String of(double low, double expected, double high) {
    String middle = of(expected);
    String first = of(low);
    String last = of(high);
    return low <= 0 || first.equals(last)
        ? "about " + middle
        : "about %s (%s to %s)".formatted(middle, first, last);
  }
}
