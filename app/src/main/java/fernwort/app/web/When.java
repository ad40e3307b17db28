package fernwort.app.web;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Times as people say them, where the house stands. */
public final class When {

  private static final long HOUR = 3600;
  private static final DateTimeFormatter FULL =
      DateTimeFormatter.ofPattern("d MMM yyyy HH:mm", Locale.ENGLISH);
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEE d MMM, HH:mm", Locale.ENGLISH);

  private When() {}

  /** Returns a time with its year. */
  public static String full(Instant at) {
    return at.atZone(ZoneId.systemDefault()).format(FULL);
  }

  /** Returns a time with its day of the week. */
  public static String day(Instant at) {
    return at.atZone(ZoneId.systemDefault()).format(DAY);
  }

  /**
   * Returns a foretold time to the hour: nobody knows it to the minute.
   *
   * @param seconds since 1970
   */
  public static String hour(double seconds) {
    return day(Instant.ofEpochSecond(HOUR * Math.round(seconds / HOUR)));
  }
}
