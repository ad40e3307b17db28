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
public final class Learnt {

  /** How far entered habits are off: standard deviation of the logarithm of the rate. */
  static final double DOUBT = 0.33;

  /**
   * How days differ: standard deviation of a person-day's use over the rate. Days of several people
   * differ together.
   */
  static final double DAYS_DIFFER = 0.28;

  private static final int RATES = 81;
  private static final double SPREAD = 4;

  /** A store of which nothing was seen yet holds anything. */
  private static final double ANYTHING = 1e3;

  /** What a sender's step says again counts for less (times its variance). */
  private static final double AGAIN = 4;

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

  /** The middle of each of equal parts of a normal distribution. */
  private static final double[] PARTS = parts(15);

  private final Store store;
  private final Crew crew;
  private final double[] rates = new double[RATES];
  private final double[] logWeights = new double[RATES];
  private final double[] means = new double[RATES];
  private final double[] variances = new double[RATES];
  private double time = Double.NaN;
  private boolean begun;
  private double lastStep = Double.NaN;
  private double evidence;

  private Learnt(Store store, Crew crew, double estimate) {
    this.store = store;
    this.crew = crew;
    Arrays.fill(means, store.capacity() / 2);
    Arrays.fill(variances, ANYTHING * ANYTHING);
    expect(estimate);
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
  public static Learnt of(
      Store store, Crew crew, Collection<? extends Fact> facts, double estimate, double at) {
    Learnt learnt = new Learnt(store, crew, estimate);
    List<Fact> order = new ArrayList<>();
    facts.stream().filter(f -> f.at() <= at).forEach(order::add);
    order.sort(
        Comparator.comparingDouble(Fact::at)
            .thenComparingInt(Learnt::rank)
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
  static Learnt leaning(
      Store store, Crew crew, Collection<? extends Fact> facts, double estimate, double at) {
    Learnt best = of(store, crew, facts, estimate, at);
    double most = best.evidence() + CLEARLY;
    for (DayShape.Lean lean : LEANS) {
      Learnt other = of(store, crew.leaning(lean), facts, estimate, at);
      if (other.evidence() > most) {
        most = other.evidence();
        best = other;
      }
    }
    return best;
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
    if (begun) {
      evidence = evidence();
      double mean = volume();
      double variance = variance();
      Arrays.fill(means, mean);
      Arrays.fill(variances, variance);
    }
    for (int i = 0; i < RATES; i++) {
      double off = SPREAD * (2.0 * i / (RATES - 1) - 1);
      rates[i] = estimate * Math.exp(off * DOUBT);
      logWeights[i] = -off * off / 2;
    }
  }

  private void passTo(double at) {
    if (begun && at > time) {
      double days = crew.days(time, at);
      int people = Math.max(1, crew.at(time));
      for (int i = 0; i < RATES; i++) {
        means[i] = Math.clamp(means[i] + store.sign() * rates[i] * days, 0, store.capacity());
        variances[i] += noise(rates[i], days, people);
      }
    }
    time = at;
  }

  private static double noise(double rate, double days, int people) {
    double differs = DAYS_DIFFER * rate;
    return differs * differs * days * people;
  }

  private void see(Fact.Seen seen) {
    if (begun && isUnnoted(seen)) {
      set(new Fact.Set(seen.at(), seen.volume(), seen.doubt()));
      return;
    }
    double variance = seen.doubt() * seen.doubt();
    if (seen.coarse() && seen.volume() == lastStep) {
      variance *= AGAIN;
    }
    lastStep = seen.coarse() ? seen.volume() : Double.NaN;
    for (int i = 0; i < RATES; i++) {
      double all = variances[i] + variance;
      double off = seen.volume() - means[i];
      if (begun) {
        logWeights[i] -= off * off / all / 2 + Math.log(all) / 2;
      }
      double trust = variances[i] / all;
      means[i] = Math.clamp(means[i] + trust * off, 0, store.capacity());
      variances[i] *= 1 - trust;
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
    Arrays.fill(means, set.volume());
    Arrays.fill(variances, set.doubt() * set.doubt());
    lastStep = Double.NaN;
    begun = true;
  }

  private void add(Fact.Added added) {
    for (int i = 0; i < RATES; i++) {
      means[i] = Math.clamp(means[i] + added.volume(), 0, store.capacity());
      variances[i] += added.doubt() * added.doubt();
    }
    lastStep = Double.NaN;
  }

  /**
   * Returns the logarithm of how likely it is to see what was seen, but for a constant: of two who
   * learn from the same facts under other assumptions, the one with more of it explains them
   * better.
   */
  double evidence() {
    double highest = Arrays.stream(logWeights).max().orElseThrow();
    double sum = Arrays.stream(logWeights).map(l -> Math.exp(l - highest)).sum();
    return evidence + highest + Math.log(sum);
  }

  private double[] weights() {
    double highest = Arrays.stream(logWeights).max().orElseThrow();
    double[] weights = Arrays.stream(logWeights).map(l -> Math.exp(l - highest)).toArray();
    double sum = Arrays.stream(weights).sum();
    return Arrays.stream(weights).map(w -> w / sum).toArray();
  }

  /** Tells whether anything was seen of the store. */
  public boolean isKnown() {
    return begun;
  }

  /** Returns what is in it, expected (m³). */
  public double volume() {
    double[] weights = weights();
    double volume = 0;
    for (int i = 0; i < RATES; i++) {
      volume += weights[i] * means[i];
    }
    return volume;
  }

  private double variance() {
    double[] weights = weights();
    double mean = volume();
    double variance = 0;
    for (int i = 0; i < RATES; i++) {
      variance += weights[i] * (variances[i] + (means[i] - mean) * (means[i] - mean));
    }
    return variance;
  }

  /** Returns the standard deviation of what is in it (m³). */
  public double doubt() {
    return Math.sqrt(variance());
  }

  /** Returns what a person uses in a day (m³). */
  public Range rate() {
    double[] weights = weights();
    return range(rates.clone(), weights);
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
    double[] weights = weights();
    int people = Math.max(1, crew.at(time));
    double[] days = new double[RATES * PARTS.length];
    double[] all = new double[days.length];
    for (int i = 0; i < RATES; i++) {
      double rate = rates[i] * use;
      double left = store.left(means[i]) + more;
      double expected = left / rate;
      double off =
          Math.sqrt(variances[i] / (rate * rate) + DAYS_DIFFER * DAYS_DIFFER * expected * people);
      for (int k = 0; k < PARTS.length; k++) {
        days[i * PARTS.length + k] = Math.max(0, expected + PARTS[k] * off);
        all[i * PARTS.length + k] = weights[i] < UNLIKELY ? 0 : weights[i] / PARTS.length;
      }
    }
    Range needed = range(days, all);
    return new Range(
        crew.after(time, needed.low()),
        crew.after(time, needed.expected()),
        crew.after(time, needed.high()));
  }

  /** Returns what is in it at a later time, if it is used as it was (m³). */
  public Range at(double later) {
    double[] weights = weights();
    double days = crew.days(time, later);
    int people = Math.max(1, crew.at(time));
    double[] volumes = new double[RATES * PARTS.length];
    double[] all = new double[volumes.length];
    for (int i = 0; i < RATES; i++) {
      double off = Math.sqrt(variances[i] + noise(rates[i], days, people));
      for (int k = 0; k < PARTS.length; k++) {
        double volume = means[i] + store.sign() * rates[i] * days + PARTS[k] * off;
        volumes[i * PARTS.length + k] =
            store.gains()
                ? Math.clamp(volume, 0, store.limit())
                : Math.clamp(volume, store.limit(), store.capacity());
        all[i * PARTS.length + k] = weights[i] / PARTS.length;
      }
    }
    return range(volumes, all);
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
