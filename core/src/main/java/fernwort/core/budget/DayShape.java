package fernwort.core.budget;

import java.time.Instant;
import java.time.ZoneId;

/**
 * How the use of a day is spread over its hours: mornings and evenings take most of it (our
 * estimate; it fits trips of people who cook and wash at both ends of the day).
 */
public final class DayShape {

  private static final double DAY = 86_400;
  private static final double HOUR = 3600;

  /** Shares of a day up to each hour. */
  private static final double[] UP_TO = new double[25];

  static {
    double all = 0;
    for (int hour = 0; hour < 24; hour++) {
      all += weight(hour);
    }
    for (int hour = 0; hour < 24; hour++) {
      UP_TO[hour + 1] = UP_TO[hour] + weight(hour) / all;
    }
  }

  private final ZoneId zone;

  private DayShape(ZoneId zone) {
    this.zone = zone;
  }

  private static double weight(int hour) {
    if (hour >= 6 && hour < 9) {
      return 0.105;
    }
    if (hour >= 17 && hour < 22) {
      return 0.078;
    }
    return hour >= 9 && hour < 17 ? 0.032 : 0.006;
  }

  /** Returns the shape of days in a time zone. */
  public static DayShape in(ZoneId zone) {
    return new DayShape(zone);
  }

  /** Returns how much of ordinary days passes between two times (days). */
  double between(double from, double to) {
    return upTo(to) - upTo(from);
  }

  /** Tells whether it is night: nobody is expected to use much. */
  boolean isNight(double at) {
    double hour = hour(local(at));
    return hour >= 22 || hour < 6;
  }

  private double upTo(double at) {
    double local = local(at);
    double days = Math.floor(local / DAY);
    double hour = hour(local);
    int whole = (int) Math.min(23, hour);
    return days + UP_TO[whole] + (hour - whole) * (UP_TO[whole + 1] - UP_TO[whole]);
  }

  private static double hour(double local) {
    return (local - Math.floor(local / DAY) * DAY) / HOUR;
  }

  private double local(double at) {
    Instant instant = Instant.ofEpochSecond((long) Math.floor(at));
    return at + zone.getRules().getOffset(instant).getTotalSeconds();
  }
}
