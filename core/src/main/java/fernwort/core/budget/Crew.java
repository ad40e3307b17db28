package fernwort.core.budget;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;

/** Who is on board when, and how much of their days passes between two times. */
public final class Crew {

  /** Nobody looks further ahead than this (s). */
  static final double FAR = 400 * 86_400.0;

  private static final double HOUR = 3600;

  private final DayShape shape;
  private final int before;
  private final NavigableMap<Double, Integer> people = new TreeMap<>();
  private final List<Fact.Away> away = new ArrayList<>();

  private Crew(DayShape shape, int before) {
    this.shape = shape;
    this.before = before;
  }

  /**
   * Returns who is on board by what was noted.
   *
   * @param before how many where nothing was noted yet
   */
  public static Crew of(DayShape shape, int before, Collection<? extends Fact> facts) {
    Crew crew = new Crew(shape, before);
    for (Fact fact : facts) {
      switch (fact) {
        case Fact.People p -> crew.people.put(p.at(), p.people());
        case Fact.Away a -> crew.away.add(a);
        case Fact.Seen _, Fact.Set _, Fact.Added _, Fact.Estimate _ -> {}
      }
    }
    return crew;
  }

  /** Returns the same people on days that lean to one of their ends. */
  Crew leaning(DayShape.Lean lean) {
    Crew crew = new Crew(shape.leaning(lean), before);
    crew.people.putAll(people);
    crew.away.addAll(away);
    return crew;
  }

  /** Returns which end of the day takes more than usual. */
  public DayShape.Lean lean() {
    return shape.lean();
  }

  /**
   * Returns how many are on board at a time.
   *
   * @param time when (s since 1970)
   */
  public int at(double time) {
    if (isAway(time)) {
      return 0;
    }
    Map.Entry<Double, Integer> last = people.floorEntry(time);
    return last == null ? before : last.getValue();
  }

  /** Tells whether all are away at a time. */
  boolean isAway(double time) {
    return away.stream().anyMatch(a -> a.at() <= time && time < a.until());
  }

  /**
   * Returns the days that people spend between two times (person-days, as days are used).
   *
   * @param from from when (s since 1970)
   * @param to until when (s since 1970)
   */
  public double days(double from, double to) {
    double days = 0;
    double at = from;
    while (at < to) {
      double next = Math.min(to, nextChange(at));
      days += at(at) * shape.between(at, next);
      at = next;
    }
    return days;
  }

  private double nextChange(double after) {
    Double change = people.higherKey(after);
    double next = change == null ? Double.POSITIVE_INFINITY : change;
    for (Fact.Away a : away) {
      if (a.at() > after) {
        next = Math.min(next, a.at());
      }
      if (a.until() > after) {
        next = Math.min(next, a.until());
      }
    }
    return next;
  }

  /**
   * Returns when so many person-days have passed since a time; far ahead when they never do.
   *
   * @param from from when (s since 1970)
   * @param personDays how much living passes (person-days)
   */
  public double after(double from, double personDays) {
    double left = personDays;
    double at = from;
    while (at < from + FAR) {
      double next = Math.min(nextChange(at), HOUR * (Math.floor(at / HOUR) + 1));
      double passes = at(at) * shape.between(at, next);
      if (passes >= left) {
        return passes > 0 ? at + (next - at) * left / passes : at;
      }
      left -= passes;
      at = next;
    }
    return from + FAR;
  }
}
