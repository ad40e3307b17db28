package fernwort.core.budget;

import fernwort.core.diary.Entry;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What was used of fresh water day by day, as far as looks and fills tell: what went between two
 * looks is spread over the days between them as days are used.
 *
 * @param day the day
 * @param used what went (m³)
 * @param people person-days of it that are known of (1)
 */
public record Daily(LocalDate day, double used, double people) {

  /** Recent days are those. */
  private static final int RECENT = 3;

  /** A day of which less than this share is known is not counted. */
  private static final double MOST = 0.7;

  /** A day of fewer person-days than this tells nothing of each. */
  private static final double ENOUGH = 0.5;

  /** Returns what a person used that day (m³); nothing where nobody was on board. */
  public Optional<Double> each() {
    return people > ENOUGH ? Optional.of(used / people) : Optional.empty();
  }

  /**
   * Tells whether most of a day is known.
   *
   * @param all the days that people spent on board that day (person-days)
   */
  private static boolean isKnown(double known, double all) {
    return known >= MOST * all;
  }

  /** Returns the days of which most is known, in order. */
  public static List<Daily> of(Network network, Collection<Entry> entries, Budget.Asked asked) {
    Crew crew = Facts.crew(DayShape.in(asked.zone()), asked.habits().people(), entries);
    List<Fact> facts = Facts.of(network, Contents.FRESH, asked.slope(), crew, entries);
    double at = Facts.seconds(asked.at());
    List<Fact> levels =
        facts.stream()
            .filter(f -> f.at() <= at)
            .filter(f -> f instanceof Fact.Seen || f instanceof Fact.Set || f instanceof Fact.Added)
            .sorted(Comparator.comparingDouble(Fact::at))
            .toList();
    Map<LocalDate, double[]> days = new TreeMap<>();
    Optional<Fact> last = Optional.empty();
    double added = 0;
    for (Fact fact : levels) {
      if (fact instanceof Fact.Added a) {
        added += a.volume();
        continue;
      }
      if (last.isPresent() && fact instanceof Fact.Seen seen) {
        double went = volume(last.get()) + added - seen.volume();
        if (went >= 0) {
          spread(went, last.get().at(), seen.at(), crew, asked, days);
        }
      }
      last = Optional.of(fact);
      added = 0;
    }
    return days.entrySet().stream()
        .filter(d -> {
          double begins = d.getKey().atStartOfDay(asked.zone()).toEpochSecond();
          double ends = d.getKey().plusDays(1).atStartOfDay(asked.zone()).toEpochSecond();
          return isKnown(d.getValue()[1], crew.days(begins, ends));
        })
        .map(d -> new Daily(d.getKey(), d.getValue()[0], d.getValue()[1]))
        .toList();
  }

  private static double volume(Fact fact) {
    return switch (fact) {
      case Fact.Seen f -> f.volume();
      case Fact.Set f -> f.volume();
      case Fact.Added _, Fact.People _, Fact.Away _, Fact.Estimate _ -> 0;
    };
  }

  private static void spread(
      double went,
      double from,
      double to,
      Crew crew,
      Budget.Asked asked,
      Map<LocalDate, double[]> days) {
    double all = crew.days(from, to);
    double at = from;
    while (at < to) {
      LocalDate day = LocalDate.ofInstant(Instant.ofEpochSecond((long) at), asked.zone());
      double next = Math.min(to, day.plusDays(1).atStartOfDay(asked.zone()).toEpochSecond());
      double people = crew.days(at, next);
      double share = all > 0 ? people / all : (next - at) / (to - from);
      double[] sums = days.computeIfAbsent(day, d -> new double[2]);
      sums[0] += went * share;
      sums[1] += people;
      at = next;
    }
  }

  /**
   * Returns how many times as much a person used on the last days as before them, with the first of
   * them; where both are known of.
   */
  public static Optional<Trend> trend(List<Daily> days) {
    List<Daily> known = new ArrayList<>(days.stream().filter(d -> d.each().isPresent()).toList());
    if (known.size() < 2 * RECENT) {
      return Optional.empty();
    }
    List<Daily> recent = known.subList(known.size() - RECENT, known.size());
    double before = each(known.subList(0, known.size() - RECENT));
    return before > 0
        ? Optional.of(new Trend(recent.getFirst().day(), each(recent) / before))
        : Optional.empty();
  }

  private static double each(List<Daily> days) {
    double people = days.stream().mapToDouble(Daily::people).sum();
    return days.stream().mapToDouble(Daily::used).sum() / people;
  }

  /**
   * How use has changed.
   *
   * @param since from which day on
   * @param times how many times as much
   */
  public record Trend(LocalDate since, double times) {}
}
