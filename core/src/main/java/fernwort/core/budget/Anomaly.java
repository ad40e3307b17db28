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
    /** Gray gains less than was used. */
    GRAY_SHORT
  }

  /** What is further off than so many standard deviations does not fit. */
  private static final double FAR = 3;

  /** Less than this is not worth a word (m³). */
  private static final double LITTLE = 3e-3;

  /** Two looks with a fill between them belong to it when they are no longer apart (s). */
  private static final double ABOUT = 3 * 3600;

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
      double at) {}

  /** Returns what does not fit, the weightiest first. */
  static List<Anomaly> of(Looked looked) {
    List<Fact> levels =
        looked.facts().stream()
            .filter(f -> f.at() <= looked.at())
            .filter(f -> f instanceof Fact.Seen || f instanceof Fact.Set || f instanceof Fact.Added)
            .sorted(Comparator.comparingDouble(Fact::at))
            .toList();
    double rate = looked.learnt().rate().expected();
    List<Anomaly> found = new ArrayList<>();
    for (int i = 1; i < levels.size(); i++) {
      if (levels.get(i - 1) instanceof Fact.Seen a && levels.get(i) instanceof Fact.Seen b) {
        between(looked, rate, a, b, found);
      }
      if (i > 1
          && levels.get(i - 2) instanceof Fact.Seen a
          && levels.get(i - 1) instanceof Fact.Added filled
          && levels.get(i) instanceof Fact.Seen b) {
        filled(looked, a, filled, b, found);
      }
    }
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

  private static void filled(
      Looked looked, Fact.Seen a, Fact.Added filled, Fact.Seen b, List<Anomaly> found) {
    double doubt = Math.hypot(Math.hypot(a.doubt(), b.doubt()), filled.doubt());
    double shows = b.volume() - a.volume();
    double off = shows - filled.volume();
    if (b.at() - a.at() < ABOUT && Math.abs(off) > FAR * doubt && Math.abs(off) > LITTLE) {
      found.add(
          new Anomaly(
              Kind.GAUGE,
              a.at(),
              b.at(),
              Math.abs(off),
              Says.WERE_FILLED_IN_AND_THE_GAUGE.with(
                  Amount.volume(filled.volume()), Amount.volume(shows)),
              Says.CALIBRATE_THE_GAUGE_BY_KNOWN.with()));
    }
  }
}
