package fernwort.core.budget;

import java.util.Arrays;

/**
 * What is known of one store by a time, for a household whose days differ by so much: for each rate
 * that a person may use in a day how likely it is, and how much water is left if it is that.
 *
 * <p>Habits may change any day, by a factor: an interacting multiple model (Blom and Bar-Shalom,
 * IEEE Trans. Autom. Control 33 (1988) 780) over a grid of rates, so that what was seen after a
 * change counts and what was seen before fades. A look at a stick is a normal distribution, a step
 * of a sender or a row of lamps an interval, by the moments of the normal distribution cut to it.
 * O(R²) a day and O(R) a look.
 */
final class RateFilter {

  /** How far entered habits are off: standard deviation of the logarithm of the rate. */
  static final double DOUBT = 0.3;

  /** How often habits change (1 a day), and by how much (logarithm of the factor). */
  static final double CHANGES = 0.10;

  static final double CHANGED = 0.55;

  /** How often more people come than are noted, and how often they leave again (1 a day). */
  static final double COME = 0.05;

  static final double LEAVE = 0.45;

  /** How many people more than are noted are on board in the long run. */
  static final double MORE_IN_ALL = 1.5 * COME / (COME + LEAVE);

  private static final int RATES = 41;

  /** Nobody more than noted, one more, or two. */
  private static final int MORE = 3;

  /** How many cases there are: each rate with each number of people who are not noted. */
  static final int CASES = RATES * MORE;

  private static final double REACH = 1.9;

  private static final double DAY = 86_400;

  /** A store of which nothing was seen yet holds anything. */
  private static final double ANYTHING = 1e3;

  /** What nobody would read off by so much is one look in so many. */
  private static final double MISREAD = 0.02;

  private static final double MISREAD_BY = 4;

  /** No variance is less (m⁶): a rounding error. */
  private static final double LEAST = 1e-12;

  private static final double SQRT_2PI = Math.sqrt(2 * Math.PI);

  /** How likely a change leads to a rate, from each of the rates. */
  private static final double[][] JUMPS = jumps();

  /** Habits and guests are let change once so much time has passed, not between two looks (s). */
  private static final double TURNS = DAY / 4;

  private final Store store;
  private final double differ;
  private final double[] rates = new double[CASES];
  private final double[] weights = new double[CASES];
  private final double[] means = new double[CASES];
  private final double[] variances = new double[CASES];
  private double evidence;

  /** How long habits and guests have not been let change (s). */
  private double waited;

  /**
   * Begins knowing nothing.
   *
   * @param differ how days differ: standard deviation of a person-day's use over the rate
   * @param estimate what a person is taken to use in a day (m³)
   * @param people how many are noted
   */
  RateFilter(Store store, double differ, double estimate, int people) {
    this.store = store;
    this.differ = differ;
    Arrays.fill(means, store.capacity() / 2);
    Arrays.fill(variances, ANYTHING * ANYTHING);
    expect(estimate, people);
  }

  private static double[][] jumps() {
    double step = 2 * REACH / (RATES - 1);
    double[][] jumps = new double[RATES][RATES];
    for (int from = 0; from < RATES; from++) {
      double sum = 0;
      for (int to = 0; to < RATES; to++) {
        double off = (to - from) * step / CHANGED;
        jumps[to][from] = Math.exp(-off * off / 2);
        sum += jumps[to][from];
      }
      for (int to = 0; to < RATES; to++) {
        jumps[to][from] /= sum;
      }
    }
    return jumps;
  }

  /** How many times a person's use each who is noted accounts for, with those who are not. */
  static double share(int people) {
    return (people + MORE_IN_ALL) / people;
  }

  double differ() {
    return differ;
  }

  double rate(int i) {
    return rates[i];
  }

  /** Returns how many people more than are noted. */
  int more(int i) {
    return i / RATES;
  }

  double weight(int i) {
    return weights[i];
  }

  double mean(int i) {
    return means[i];
  }

  double variance(int i) {
    return variances[i];
  }

  /** Returns the logarithm of how likely it is to see what was seen, but for a constant. */
  double evidence() {
    return evidence;
  }

  /**
   * Begins to expect another rate; what is in the store is as it was.
   *
   * @param estimate what each who is noted accounts for in a day, with those who are not (m³)
   * @param people how many are noted
   */
  void expect(double estimate, int people) {
    double each = estimate / share(people);
    double mean = volume();
    double variance = variance();
    boolean known = !Double.isNaN(mean);
    double sum = 0;
    for (int i = 0; i < CASES; i++) {
      rates[i] = each * Math.exp(REACH * (2.0 * (i % RATES) / (RATES - 1) - 1));
      double off = Math.log(rate(i) / each);
      weights[i] =
          Math.exp(-off * off / (2 * DOUBT * DOUBT)) * (more(i) == 0 ? 1 : COME / LEAVE / 2);
      sum += weights[i];
    }
    for (int i = 0; i < CASES; i++) {
      weights[i] /= sum;
    }
    if (known) {
      Arrays.fill(means, mean);
      Arrays.fill(variances, variance);
    }
  }

  /** Returns what is in the store, expected (m³). */
  double volume() {
    double sum = 0;
    double all = 0;
    for (int i = 0; i < CASES; i++) {
      sum += weights[i] * means[i];
      all += weights[i];
    }
    return sum / all;
  }

  double variance() {
    double mean = volume();
    double sum = 0;
    double all = 0;
    for (int i = 0; i < CASES; i++) {
      sum += weights[i] * (variances[i] + (means[i] - mean) * (means[i] - mean));
      all += weights[i];
    }
    return sum / all;
  }

  /**
   * Lets time pass in which people are on board.
   *
   * @param seconds how long (s), at the most about a day at a time
   * @param days person-days, as days are used
   * @param people how many
   */
  void pass(double seconds, double days, int people) {
    if (days > 0) {
      waited += seconds;
    }
    if (waited >= TURNS) {
      comeAndGo(waited / DAY);
      change(1 - Math.exp(-CHANGES * waited / DAY));
      waited = 0;
    }
    for (int more = 0; more < MORE; more++) {
      double all = days * (people + more) / people;
      double differs = differ * differ * all * (people + more);
      for (int i = more * RATES; i < (more + 1) * RATES; i++) {
        means[i] = Math.clamp(means[i] + store.sign() * rates[i] * all, 0, store.capacity());
        variances[i] += differs * rates[i] * rates[i];
      }
    }
  }

  /** People come without being noted, and leave again. */
  private void comeAndGo(double days) {
    double comes = (1 - Math.exp(-COME * days)) / (MORE - 1);
    double goes = 1 - Math.exp(-LEAVE * days);
    double[] was = weights.clone();
    double[] mean = means.clone();
    double[] square = squares();
    for (int none = 0; none < RATES; none++) {
      double stays = 1 - (MORE - 1) * comes;
      double w = was[none] * stays;
      double m = w * mean[none];
      double q = w * square[none];
      for (int more = none + RATES; more < CASES; more += RATES) {
        w += was[more] * goes;
        m += was[more] * goes * mean[more];
        q += was[more] * goes * square[more];
        double come = was[none] * comes;
        double stay = was[more] * (1 - goes);
        take(
            more,
            come + stay,
            come * mean[none] + stay * mean[more],
            come * square[none] + stay * square[more]);
      }
      take(none, w, m, q);
    }
  }

  /** The mean square of what is left, in each case. */
  private double[] squares() {
    double[] squares = new double[CASES];
    for (int i = 0; i < CASES; i++) {
      squares[i] = variances[i] + means[i] * means[i];
    }
    return squares;
  }

  /** Takes a mixture for a case by its weight, its mean and its mean square, both weighted. */
  private void take(int i, double weight, double mean, double square) {
    weights[i] = weight;
    if (weight > 0) {
      means[i] = mean / weight;
      variances[i] = Math.max(square / weight - means[i] * means[i], LEAST);
    }
  }

  /** Mixes what is known under each rate, as far as habits may have changed to it. */
  private void change(double chance) {
    double[] was = weights.clone();
    double[] mean = new double[CASES];
    double[] square = squares();
    for (int i = 0; i < CASES; i++) {
      mean[i] = was[i] * means[i];
      square[i] *= was[i];
    }
    for (int g = 0; g < CASES; g += RATES) {
      for (int to = 0; to < RATES; to++) {
        double[] jumps = JUMPS[to];
        double w = 0;
        double m = 0;
        double q = 0;
        for (int from = 0; from < RATES; from++) {
          double jump = jumps[from];
          w += was[g + from] * jump;
          m += mean[g + from] * jump;
          q += square[g + from] * jump;
        }
        int i = g + to;
        take(
            i,
            (1 - chance) * was[i] + chance * w,
            (1 - chance) * mean[i] + chance * m,
            (1 - chance) * square[i] + chance * q);
      }
    }
  }

  /**
   * Takes a look in: a normal distribution, or for a coarse gauge the interval that it shows.
   *
   * @param begun whether anything was seen before
   */
  void see(Fact.Seen seen, boolean begun) {
    if (!begun) {
      set(new Fact.Set(seen.at(), seen.volume(), seen.doubt()));
      return;
    }
    double all = 0;
    for (int i = 0; i < CASES; i++) {
      double likely = seen.coarse() ? within(i, seen) : about(i, seen);
      weights[i] *= likely;
      all += weights[i];
    }
    if (!(all > 0)) {
      Arrays.fill(weights, 1.0 / CASES);
      evidence -= 50;
      return;
    }
    evidence += Math.log(all);
    for (int i = 0; i < CASES; i++) {
      weights[i] /= all;
    }
  }

  /** A look at a stick; now and then somebody reads it wrong. */
  private double about(int i, Fact.Seen seen) {
    double own = seen.doubt() * seen.doubt();
    double off = seen.volume() - means[i];
    double all = variances[i] + own;
    double right = (1 - MISREAD) * normal(off, all);
    double wide = variances[i] + MISREAD_BY * MISREAD_BY * own;
    double wrong = MISREAD * normal(off, wide);
    double share = right + wrong > 0 ? right / (right + wrong) : 0;
    double trust = share * variances[i] / all + (1 - share) * variances[i] / wide;
    means[i] = Math.clamp(means[i] + trust * off, 0, store.capacity());
    variances[i] = Math.max(variances[i] * (1 - trust), LEAST);
    return Math.max(right + wrong, 1e-300);
  }

  private static double normal(double off, double variance) {
    return Math.exp(-off * off / (2 * variance)) / Math.sqrt(variance) / SQRT_2PI;
  }

  /** A step says that the level lies within it, a little more or less at its ends. */
  private double within(int i, Fact.Seen seen) {
    double half = seen.doubt() * Math.sqrt(3);
    double blur = 0.1 * half;
    double all = variances[i] + blur * blur;
    double s = Math.sqrt(all);
    double a = (seen.volume() - half - means[i]) / s;
    double b = (seen.volume() + half - means[i]) / s;
    double mass = Bell.between(a, b);
    if (mass < 1e-9) {
      return Math.min(about(i, new Fact.Seen(seen.at(), seen.volume(), seen.doubt(), false)), 1e-9);
    }
    double pa = Bell.density(a);
    double pb = Bell.density(b);
    double shift = (pa - pb) / mass;
    double keeps = 1 + (a * pa - b * pb) / mass - shift * shift;
    double gain = variances[i] / all;
    means[i] = Math.clamp(means[i] + gain * s * shift, 0, store.capacity());
    variances[i] = Math.max(variances[i] * (1 - gain * (1 - keeps)), LEAST);
    return mass / (2 * half);
  }

  void set(Fact.Set set) {
    Arrays.fill(means, set.volume());
    Arrays.fill(variances, set.doubt() * set.doubt());
  }

  void add(Fact.Added added) {
    for (int i = 0; i < CASES; i++) {
      means[i] = Math.clamp(means[i] + added.volume(), 0, store.capacity());
      variances[i] += added.doubt() * added.doubt();
    }
  }
}
