package fernwort.core.budget;

import fernwort.core.effort.Effort;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * What is learnt of one store by a time: for each rate that a person may use in a day how likely it
 * is, and how much water is left if it is that.
 */
public final class ConsumptionFilter {

  /**
   * How days may differ: standard deviation of a person-day's use over the rate. Days of several
   * people differ together. Which of them a household is like is learnt.
   */
  static final double[] DIFFER = {0.2, 0.35, 0.6, 1.0};

  /** How likely each is before anything was seen. */
  private static final double[] DIFFERS_BEFORE = {0.3, 0.4, 0.2, 0.1};

  /** How days differ before anything was seen. */
  static final double DAYS_DIFFER = 0.35;

  /** Less than this share of a store does not come back unseen. */
  private static final double UNNOTED = 0.08;

  /** What is further off than so many standard deviations is no chance. */
  private static final double FAR = 4;

  /**
   * A lean of the days has to explain what was seen so much better (logarithm, to 1: three times).
   */
  private static final double CLEARLY = Math.log(3);

  private static final List<DayShape.Lean> LEANS =
      List.of(DayShape.Lean.MORNINGS, DayShape.Lean.EVENINGS);

  /** Rates less likely than this are not looked at. */
  private static final double UNLIKELY = 1e-5;

  private static final double DAY = 86_400;

  /** Over so many days a rate is told: a third of a week's trip. */
  private static final double SOON = 3;

  /** A change that is still to come counts for so much of it: it comes on the way. */
  private static final double AHEAD = 0.4;

  /** The middle of each of equal parts of a normal distribution. */
  private static final double[] PARTS = parts(15);

  private final Store store;
  private final Crew crew;
  private final RateFilter[] filters;

  /** How likely each filter is before anything was seen. */
  private final double[] before;

  private double time = Double.NaN;
  private boolean begun;

  private ConsumptionFilter(Store store, Crew crew, double estimate, boolean ordinary) {
    this.store = store;
    this.crew = crew;
    before = ordinary ? new double[] {1} : DIFFERS_BEFORE;
    double[] differ = ordinary ? new double[] {DAYS_DIFFER} : DIFFER;
    filters = new RateFilter[differ.length];
    Arrays.setAll(
        filters, k -> new RateFilter(store, differ[k], estimate, Math.max(1, crew.at(0))));
  }

  private static double[] parts(int count) {
    NormalDistribution normal = new NormalDistribution();
    double[] middles = new double[count];
    for (int i = 0; i < count; i++) {
      middles[i] = normal.inverseCumulativeProbability((i + 0.5) / count);
    }
    return middles;
  }

  /**
   * Learns from what was noted.
   *
   * @param store the store
   * @param crew who is on board when
   * @param facts what was noted, in any order; what is later than the time is left out
   * @param estimate what a person is taken to use in a day at first (m³)
   * @param at until when (s since 1970)
   */
  public static ConsumptionFilter of(
      Store store, Crew crew, Collection<? extends Fact> facts, double estimate, double at) {
    return of(store, crew, facts, estimate, at, false);
  }

  /** The same, or for days that are taken to differ as most do: quicker, to compare by. */
  private static ConsumptionFilter of(
      Store store,
      Crew crew,
      Collection<? extends Fact> facts,
      double estimate,
      double at,
      boolean ordinary) {
    ConsumptionFilter learnt = new ConsumptionFilter(store, crew, estimate, ordinary);
    List<Fact> order = new ArrayList<>();
    facts.stream().filter(f -> f.at() <= at).forEach(order::add);
    order.sort(
        Comparator.comparingDouble(Fact::at)
            .thenComparingInt(ConsumptionFilter::rank)
            .thenComparing(Fact::toString));
    for (int i = 0; i < order.size(); ) {
      int j = i + 1;
      while (j < order.size() && order.get(j).at() == order.get(i).at()) {
        j++;
      }
      Effort.look();
      learnt.moment(order.subList(i, j));
      i = j;
    }
    learnt.passTo(at);
    return learnt;
  }

  /**
   * Learns from what was noted, also whether mornings or evenings take more: by the days under
   * which what was seen is likeliest, where they are clearly likelier than usual ones.
   */
  static ConsumptionFilter leaning(
      Store store, Crew crew, Collection<? extends Fact> facts, double estimate, double at) {
    Crew best = crew;
    double most = of(store, crew, facts, estimate, at, true).evidence() + CLEARLY;
    for (DayShape.Lean lean : LEANS) {
      Crew leaning = crew.leaning(lean);
      double evidence = of(store, leaning, facts, estimate, at, true).evidence();
      if (evidence > most) {
        most = evidence;
        best = leaning;
      }
    }
    return of(store, best, facts, estimate, at);
  }

  /** Returns who is on board when, on days as they were learnt. */
  public Crew crew() {
    return crew;
  }

  private static int rank(Fact fact) {
    return switch (fact) {
      case Fact.Estimate _ -> 0;
      case Fact.People _, Fact.Away _ -> 1;
      case Fact.Seen _ -> 2;
      case Fact.Added _ -> 3;
      case Fact.Set _ -> 4;
    };
  }

  /** What was noted at one moment: looks before a fill, the fill, looks after it. */
  private void moment(List<Fact> facts) {
    passTo(facts.getFirst().at());
    if (facts.size() == 1 && facts.getFirst() instanceof Fact.Seen seen) {
      see(seen);
      return;
    }
    double before = volume();
    double after = before;
    for (Fact fact : facts) {
      switch (fact) {
        case Fact.Set set -> after = set.volume();
        case Fact.Added added -> after += added.volume();
        case Fact.Estimate estimate -> expect(estimate.perPersonDay());
        case Fact.Seen _, Fact.People _, Fact.Away _ -> {}
      }
    }
    List<Fact.Seen> later = new ArrayList<>();
    for (Fact fact : facts) {
      if (fact instanceof Fact.Seen seen) {
        boolean isAfter = Math.abs(seen.volume() - after) < Math.abs(seen.volume() - before);
        if (begun && isAfter) {
          later.add(seen);
        } else {
          see(seen);
        }
      }
    }
    for (Fact fact : facts) {
      switch (fact) {
        case Fact.Added added -> add(added);
        case Fact.Set set -> set(set);
        case Fact.Seen _, Fact.People _, Fact.Away _, Fact.Estimate _ -> {}
      }
    }
    later.forEach(this::see);
  }

  /** Begins to expect another rate (m³ a person-day). */
  private void expect(double estimate) {
    for (RateFilter filter : filters) {
      filter.expect(estimate, people());
    }
  }

  private void passTo(double at) {
    while (begun && at > time) {
      double next = Math.min(at, time + DAY);
      double days = crew.days(time, next);
      int people = Math.max(1, crew.at(time));
      for (RateFilter filter : filters) {
        filter.pass(next - time, days, people);
      }
      time = next;
    }
    time = at;
  }

  private void see(Fact.Seen seen) {
    if (begun && isUnnoted(seen)) {
      set(new Fact.Set(seen.at(), seen.volume(), seen.doubt()));
      return;
    }
    for (RateFilter filter : filters) {
      filter.see(seen, begun);
    }
    begun = true;
  }

  /** Water that came back unseen is a fill, or a dump, that nobody noted; no rate tells of it. */
  private boolean isUnnoted(Fact.Seen seen) {
    double against = -store.sign() * (seen.volume() - volume());
    return against > UNNOTED * store.capacity()
        && against > FAR * Math.hypot(doubt(), seen.doubt());
  }

  private void set(Fact.Set set) {
    for (RateFilter filter : filters) {
      filter.set(set);
    }
    begun = true;
  }

  private void add(Fact.Added added) {
    for (RateFilter filter : filters) {
      filter.add(added);
    }
  }

  /**
   * Returns the logarithm of how likely it is to see what was seen, but for a constant: of two who
   * learn from the same facts under other assumptions, the one with more of it explains them
   * better.
   */
  double evidence() {
    double highest = highest();
    double sum = 0;
    for (int k = 0; k < filters.length; k++) {
      sum += before[k] * Math.exp(filters[k].evidence() - highest);
    }
    return highest + Math.log(sum);
  }

  private double highest() {
    return Arrays.stream(filters).mapToDouble(RateFilter::evidence).max().orElseThrow();
  }

  /** How likely each of the ways in which days differ is by now. */
  private double[] shares() {
    double highest = highest();
    double[] shares = new double[filters.length];
    double sum = 0;
    for (int k = 0; k < shares.length; k++) {
      shares[k] = before[k] * Math.exp(filters[k].evidence() - highest);
      sum += shares[k];
    }
    for (int k = 0; k < shares.length; k++) {
      shares[k] /= sum;
    }
    return shares;
  }

  /** Returns by how much the days of this household differ, as far as was learnt. */
  public double differs() {
    double[] shares = shares();
    double differs = 0;
    for (int k = 0; k < shares.length; k++) {
      differs += shares[k] * filters[k].differ();
    }
    return differs;
  }

  private interface Of {
    double at(RateFilter filter, int rate, int part);
  }

  /** The spread of an amount over everything that may be so. */
  private Range over(int parts, Of amount) {
    double[] shares = shares();
    int count = filters.length * RateFilter.CASES * parts;
    double[] values = new double[count];
    double[] all = new double[count];
    int n = 0;
    for (int k = 0; k < filters.length; k++) {
      for (int i = 0; i < RateFilter.CASES; i++) {
        double weight = shares[k] * filters[k].weight(i);
        if (weight < UNLIKELY) {
          continue;
        }
        for (int part = 0; part < parts; part++) {
          values[n] = amount.at(filters[k], i, part);
          all[n++] = weight / parts;
        }
      }
    }
    return range(Arrays.copyOf(values, n), Arrays.copyOf(all, n));
  }

  /** Tells whether anything was seen of the store. */
  public boolean isKnown() {
    return begun;
  }

  /** Returns what is in it, expected (m³). */
  public double volume() {
    double[] shares = shares();
    double volume = 0;
    for (int k = 0; k < shares.length; k++) {
      volume += shares[k] * filters[k].volume();
    }
    return volume;
  }

  /** Returns the standard deviation of what is in it (m³). */
  public double doubt() {
    double[] shares = shares();
    double mean = volume();
    double variance = 0;
    for (int k = 0; k < shares.length; k++) {
      double off = filters[k].volume() - mean;
      variance += shares[k] * (filters[k].variance() + off * off);
    }
    return Math.sqrt(variance);
  }

  /** Returns what each who is noted accounts for in a day over the next days (m³). */
  public Range rate() {
    int people = people();
    return over(
        1,
        (f, i, part) -> {
          double more = Math.max(RateFilter.MORE_IN_ALL, guests(f.more(i), SOON) / SOON);
          return f.rate(i) * (people + more) / people;
        });
  }

  /** Returns when it ends (s since 1970), as long as it is used as it was. */
  public Range ends() {
    return ends(1, 0);
  }

  /**
   * Returns when it would end.
   *
   * @param use how many times as much were used from now on
   * @param more water that came in at once, or room that was made (m³)
   */
  public Range ends(double use, double more) {
    int people = Math.max(1, crew.at(time));
    Range needed =
        over(
            PARTS.length,
            (f, i, part) -> {
              double rate = f.rate(i) * use;
              double whole = (store.left(f.mean(i)) + more) / rate;
              double guests = guests(f.more(i), whole / people);
              double expected = Math.max(whole - guests, people * whole / (people + 2.0));
              double off = guests - RateFilter.MORE_IN_ALL * whole / people;
              double differs =
                  off * off / 2
                      + f.variance(i) / (rate * rate)
                      + f.differ() * f.differ() * expected * people
                      + mayChange(expected, people);
              return Math.max(0, expected + PARTS[part] * Math.sqrt(differs));
            });
    return new Range(
        crew.after(time, needed.low()),
        crew.after(time, needed.expected()),
        crew.after(time, needed.high()));
  }

  /** Person-days of people who are not noted, who leave again and come again, in so many days. */
  private static double guests(int more, double days) {
    double going = RateFilter.LEAVE + RateFilter.COME;
    return RateFilter.MORE_IN_ALL * days
        + (more - RateFilter.MORE_IN_ALL) * (1 - Math.exp(-going * days)) / going;
  }

  private int people() {
    return Math.max(1, Double.isNaN(time) ? crew.at(0) : crew.at(time));
  }

  /** What a change of habits on the way adds to the variance of a time (person-days squared). */
  private static double mayChange(double days, int people) {
    double chance = 1 - Math.exp(-RateFilter.CHANGES * days / people);
    double off = AHEAD * RateFilter.CHANGED * days;
    return chance * off * off;
  }

  /** Returns what is in it at a later time, if it is used as it was (m³). */
  public Range at(double later) {
    double days = crew.days(time, later);
    int people = Math.max(1, crew.at(time));
    return over(
        PARTS.length,
        (f, i, part) -> {
          double rate = f.rate(i);
          double all = days + guests(f.more(i), days / people);
          double differs =
              f.variance(i)
                  + rate * rate * (f.differ() * f.differ() * all * people + mayChange(all, people));
          double volume = f.mean(i) + store.sign() * rate * all + PARTS[part] * Math.sqrt(differs);
          return store.gains()
              ? Math.clamp(volume, 0, store.limit())
              : Math.clamp(volume, store.limit(), store.capacity());
        });
  }

  private static Range range(double[] values, double[] weights) {
    Integer[] order = new Integer[values.length];
    Arrays.setAll(order, i -> i);
    Arrays.sort(order, Comparator.comparingDouble(i -> values[i]));
    return new Range(
        quantile(values, weights, order, 0.1),
        quantile(values, weights, order, 0.5),
        quantile(values, weights, order, 0.9));
  }

  private static double quantile(double[] values, double[] weights, Integer[] order, double share) {
    double all = Arrays.stream(weights).sum();
    double sum = 0;
    double value = values[order[0]];
    double reached = 0;
    for (int i : order) {
      // Each value stands for the middle of its weight; between two of them it goes evenly.
      double middle = (sum + weights[i] / 2) / all;
      if (middle >= share) {
        double part = middle > reached ? (share - reached) / (middle - reached) : 1;
        return value + Math.clamp(part, 0, 1) * (values[i] - value);
      }
      sum += weights[i];
      if (weights[i] > 0) {
        value = values[i];
        reached = middle;
      }
    }
    return value;
  }
}
