package fernwort.core.budget;

import java.time.Instant;
import java.time.ZoneId;

/**
 * How the use of a day is spread over its hours: mornings and evenings take most of it (our
 * estimate; it fits trips of people who cook and wash at both ends of the day). Which of the two
 * takes more is learnt: {@link Budget} goes by the lean under which what was seen is likeliest.
 */
public final class DayShape {

  private static final double DAY = 86_400;
  private static final double HOUR = 3600;

  /** Which end of the day takes more than usual: so many times the usual of each. */
  public enum Lean {
    /** As most people do. */
    EVEN(1, 1),
    MORNINGS(1.5, 0.6),
    EVENINGS(0.5, 1.4);

    /** Shares of a day up to each hour. */
    private final double[] upTo = new double[25];

    Lean(double morning, double evening) {
      double all = 0;
      for (int hour = 0; hour < 24; hour++) {
        all += weight(hour, morning, evening);
      }
      for (int hour = 0; hour < 24; hour++) {
        upTo[hour + 1] = upTo[hour] + weight(hour, morning, evening) / all;
      }
    }

    private static double weight(int hour, double morning, double evening) {
      if (hour >= 6 && hour < 9) {
        return morning * 0.105;
      }
      if (hour >= 17 && hour < 22) {
        return evening * 0.078;
      }
      return hour >= 9 && hour < 17 ? 0.032 : 0.006;
    }
  }

  private final ZoneId zone;
  private final Lean lean;

  private DayShape(ZoneId zone, Lean lean) {
    this.zone = zone;
    this.lean = lean;
  }

  /** Returns the usual shape of days in a time zone. */
  public static DayShape in(ZoneId zone) {
    return new DayShape(zone, Lean.EVEN);
  }

  /** Returns days of the same zone that lean to one of their ends. */
  public DayShape leaning(Lean other) {
    return new DayShape(zone, other);
  }

  /** Returns which end of the day takes more. */
  public Lean lean() {
    return lean;
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
    return days + lean.upTo[whole] + (hour - whole) * (lean.upTo[whole + 1] - lean.upTo[whole]);
  }

  private static double hour(double local) {
    return (local - Math.floor(local / DAY) * DAY) / HOUR;
  }

  private double local(double at) {
    Instant instant = Instant.ofEpochSecond((long) Math.floor(at));
    return at + zone.getRules().getOffset(instant).getTotalSeconds();
  }
}
