package fernwort.core.budget;

import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Something in the log that does not fit the rest.
 *
 * @param kind what it looks like
 * @param from since when (s since 1970)
 * @param to until when (s since 1970)
 * @param volume how much (m³)
 * @param words what was seen
 * @param look what to look at first
 */
public record Anomaly(
    Kind kind, double from, double to, double volume, Message words, Message look) {

  /** What it looks like. */
  public enum Kind {
    /** Water goes while nobody uses it. */
    LEAK,
    /** The water rose, and nobody noted a fill. */
    UNNOTED_FILL,
    /** A gauge shows another amount than was filled in. */
    GAUGE,
    /** A gauge shows the same day after day while people use water. */
    STUCK,
    /** Gray gains less than was used. */
    GRAY_SHORT
  }

  /** What is further off than so many standard deviations does not fit. */
  private static final double FAR = 3;

  /** Less than this is not worth a word (m³). */
  private static final double LITTLE = 3e-3;

  /** A look belongs to an absence when it lies no further outside it (s). */
  private static final double NEAR = 6 * 3600;

  /** How doubtful it is what was used (share of it). */
  private static final double HALF = 0.5;

  /** The least that somebody on board uses in a day (m³); own choice: to drink and to wash up. */
  private static final double LEAST_USED = 3e-3;

  /** Looks that are no further apart show the same (m³). */
  private static final double SAME = 5e-4;

  /** Nobody sleeps longer between two looks (s). */
  private static final double A_NIGHT = 13 * 3600;

  /** What is used at night or away by those who use something (share of the rest). */
  private static final double MOSTLY = 0.35;

  /** Gray that gains less than this share of what was expected is short. */
  private static final double SHORT = 0.6;

  /** Fewer looks into gray tell nothing. */
  private static final int FEWEST = 4;

  /**
   * Returns that gray gains less than is used, if it does, whatever of both is doubtful.
   *
   * @param share of what is used, what should come to gray
   * @param looks into gray
   */
  static Optional<Anomaly> grayShort(
      ConsumptionFilter fresh, ConsumptionFilter gray, double share, List<Fact> looks, double at) {
    List<Fact> seen = looks.stream().filter(f -> f instanceof Fact.Seen && f.at() <= at).toList();
    double comes = share * fresh.rate().low();
    double gains = gray.rate().high();
    if (seen.size() < FEWEST || !(gains < SHORT * comes)) {
      return Optional.empty();
    }
    return Optional.of(
        new Anomaly(
            Kind.GRAY_SHORT,
            seen.getFirst().at(),
            seen.getLast().at(),
            share * fresh.rate().expected() - gray.rate().expected(),
            Says.GRAY_GAINS_EACH_A_DAY_WHERE_WAS.with(
                Amount.volume(gray.rate().expected()),
                Amount.volume(share * fresh.rate().expected())),
            Says.LOOK_UNDER_SINKS_TRAPS.with()));
  }

  /** What is looked at. */
  record Looked(
      Store store,
      Crew crew,
      DayShape shape,
      List<Fact> facts,
      ConsumptionFilter learnt,
      double entered,
      double at) {}

  /** Returns what tells of the level up to a time, in order (s since 1970). */
  private static List<Fact> levels(List<Fact> facts, double at) {
    return facts.stream()
        .filter(f -> f.at() <= at)
        .filter(f -> f instanceof Fact.Seen || f instanceof Fact.Set || f instanceof Fact.Added)
        .sorted(Comparator.comparingDouble(Fact::at))
        .toList();
  }

  /** Returns what does not fit, the weightiest first. */
  static List<Anomaly> of(Looked looked) {
    List<Fact> levels = levels(looked.facts(), looked.at());
    double rate = looked.learnt().rate().expected();
    List<Anomaly> found = new ArrayList<>();
    for (int i = 1; i < levels.size(); i++) {
      if (levels.get(i - 1) instanceof Fact.Seen a && levels.get(i) instanceof Fact.Seen b) {
        between(looked, rate, a, b, found);
      }
    }
    filled(looked, rate, levels, found);
    absences(looked, rate, levels, found);
    stuck(looked.facts(), looked.crew(), looked.entered(), looked.at()).ifPresent(found::add);
    found.sort(Comparator.comparingDouble(Anomaly::volume).reversed());
    return found;
  }

  /** What went, or came, between two looks with nothing noted between them. */
  private static void between(
      Looked looked, double rate, Fact.Seen a, Fact.Seen b, List<Anomaly> found) {
    double days = looked.crew().days(a.at(), b.at());
    double expected = looked.store().sign() * rate * days;
    double doubt =
        Math.hypot(
            Math.hypot(a.doubt(), b.doubt()),
            ConsumptionFilter.DAYS_DIFFER
                * rate
                * Math.sqrt(days * Math.max(1, looked.crew().at(a.at()))));
    double off = b.volume() - a.volume() - expected;
    double against = looked.store().sign() * off;
    if (-against > FAR * doubt && -against > LITTLE && days >= 0) {
      found.add(
          new Anomaly(
              Kind.UNNOTED_FILL,
              a.at(),
              b.at(),
              -against,
              looked.store().gains()
                  ? Says.OF_GRAY_WENT_AND_NO_DUMP.with(Amount.volume(-against))
                  : Says.CAME_IN_AND_NO_FILL_IS_NOTED.with(Amount.volume(-against)),
              Says.NOTE_IT_SO_THAT_ITS_COST.with()));
    } else if (isQuiet(looked, a.at(), b.at()) && against > FAR * doubt && against > LITTLE) {
      found.add(
          new Anomaly(
              Kind.LEAK,
              a.at(),
              b.at(),
              against,
              Says.WENT_WHILE_NOBODY_SHOULD_HAVE.with(Amount.volume(against)),
              Says.CHECK_FIRST_FOR_TAPS_OR_A_TOILET.with()));
    }
  }

  /** Tells whether two times lie in one night, or all were away between them for the most part. */
  private static boolean isQuiet(Looked looked, double from, double to) {
    boolean away = looked.crew().isAway(from + 1) && looked.crew().isAway(to - 1);
    boolean night =
        to - from < A_NIGHT
            && looked.shape().between(from, to) < MOSTLY * (to - from) / 86_400
            && (looked.shape().isNight(from) || looked.shape().isNight(to));
    return away || night;
  }

  /** What was filled in between two looks does not show, whether at once or in several fills. */
  private static void filled(Looked looked, double rate, List<Fact> levels, List<Anomaly> found) {
    for (int i = 0; i < levels.size(); i++) {
      if (levels.get(i) instanceof Fact.Seen a) {
        int fills = i + 1;
        double in = 0;
        double doubt = a.doubt();
        while (fills < levels.size() && levels.get(fills) instanceof Fact.Added added) {
          in += added.volume();
          doubt = Math.hypot(doubt, added.doubt());
          fills++;
        }
        if (fills > i + 1 && fills < levels.size() && levels.get(fills) instanceof Fact.Seen b) {
          double used = rate * looked.crew().days(a.at(), b.at());
          double shows = b.volume() - a.volume();
          double off = shows - in - looked.store().sign() * used;
          double doubtful = Math.hypot(Math.hypot(doubt, b.doubt()), used * HALF);
          if (Math.abs(off) > FAR * doubtful && Math.abs(off) > LITTLE) {
            found.add(
                new Anomaly(
                    Kind.GAUGE,
                    a.at(),
                    b.at(),
                    Math.abs(off),
                    Says.WERE_FILLED_IN_AND_THE_GAUGE.with(Amount.volume(in), Amount.volume(shows)),
                    Says.CALIBRATE_THE_GAUGE_BY_KNOWN.with()));
          }
        }
      }
    }
  }

  /**
   * What went over each whole absence, from the last look before it to the first after it, however
   * often somebody looked in between: each look alone may be within its doubt.
   */
  private static void absences(Looked looked, double rate, List<Fact> levels, List<Anomaly> found) {
    for (Fact fact : looked.facts()) {
      if (fact instanceof Fact.Away away && away.at() < looked.at()) {
        List<Fact> over =
            levels.stream()
                .filter(f -> f.at() >= away.at() - NEAR && f.at() <= away.until() + NEAR)
                .toList();
        List<Fact.Seen> looks =
            over.stream().filter(Fact.Seen.class::isInstance).map(Fact.Seen.class::cast).toList();
        if (looks.size() > 1 && over.size() == looks.size()) {
          Fact.Seen first =
              looks.stream()
                  .filter(l -> l.at() <= away.at())
                  .reduce((a, b) -> b)
                  .orElse(looks.getFirst());
          Fact.Seen last =
              looks.stream()
                  .filter(l -> l.at() >= away.until())
                  .findFirst()
                  .orElse(looks.getLast());
          lost(looked, rate, first, last, found);
        }
      }
    }
  }

  private static void lost(
      Looked looked, double rate, Fact.Seen first, Fact.Seen last, List<Anomaly> found) {
    double used = rate * looked.crew().days(first.at(), last.at());
    double went = looked.store().sign() * (last.volume() - first.volume()) - used;
    double doubt = Math.hypot(Math.hypot(first.doubt(), last.doubt()), used * HALF);
    if (went > FAR * doubt && went > LITTLE) {
      found.removeIf(a -> a.kind() == Kind.LEAK && a.from() >= first.at() && a.to() <= last.at());
      found.add(
          new Anomaly(
              Kind.LEAK,
              first.at(),
              last.at(),
              went,
              Says.WENT_WHILE_NOBODY_SHOULD_HAVE.with(Amount.volume(went)),
              Says.CHECK_FIRST_FOR_TAPS_OR_A_TOILET.with()));
    }
  }

  /**
   * Returns that a gauge stands still, if the newest looks all show the same while people were on
   * board long enough to have used more than anybody could overlook.
   *
   * @param entered what a person was said to use in a day (m³)
   * @param now up to when (s since 1970)
   */
  static Optional<Anomaly> stuck(List<Fact> facts, Crew crew, double entered, double now) {
    List<Fact> levels = levels(facts, now);
    int first = levels.size();
    while (first > 0 && levels.get(first - 1) instanceof Fact.Seen seen && same(seen, levels)) {
      first--;
    }
    if (levels.size() - first < FEWEST) {
      return Optional.empty();
    }
    Fact.Seen a = (Fact.Seen) levels.get(first);
    Fact.Seen b = (Fact.Seen) levels.getLast();
    double least = Math.min(LEAST_USED, HALF * entered);
    double used = least * crew.days(a.at(), b.at());
    double doubt = Math.hypot(a.doubt(), b.doubt());
    return used > FAR * doubt && used > LITTLE
        ? Optional.of(
            new Anomaly(
                Kind.STUCK,
                a.at(),
                b.at(),
                used,
                Says.STANDS_AT_WHILE_AT_LEAST.with(Amount.volume(b.volume()), Amount.volume(used)),
                Says.CHECK_THE_GAUGE_AGAINST_A_STICK.with()))
        : Optional.empty();
  }

  /** Tells whether a look shows what the newest one shows; a lamp shows the same for days. */
  private static boolean same(Fact.Seen seen, List<Fact> levels) {
    return levels.getLast() instanceof Fact.Seen last
        && !seen.coarse()
        && Math.abs(seen.volume() - last.volume()) < SAME;
  }
}
