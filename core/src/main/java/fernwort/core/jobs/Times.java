package fernwort.core.jobs;

/** Times as people say them. */
public final class Times {

  private Times() {}

  /** Returns a time in words (s). */
  public static String of(double seconds) {
    if (seconds < 90) {
      return Math.max(1, Math.round(seconds)) + " s";
    }
    long minutes = Math.round(seconds / 60);
    return minutes < 100 ? minutes + " min" : "%d h %02d min".formatted(minutes / 60, minutes % 60);
  }

  /** Returns a span in words, as a range where it is one. */
  public static String of(Step.Span span) {
    String middle = of(span.expected());
    String low = of(span.low());
    String high = of(span.high());
    return span.low() <= 0 || low.equals(high)
        ? "about " + middle
        : "about %s (%s to %s)".formatted(middle, low, high);
  }
}
