package fernwort.core.live;

import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/**
 * What one signal told of late: its value, how old that is, and whether it can be trusted. A level
 * is the median of the last half minute, so that slosh does not move it.
 */
final class SignalTrack {

  /** A level is the median of what was told in this time (s); own choice. */
  static final double WINDOW = 30;

  /** Of a sensor that speaks seldom so many are looked at: a single spike is never the median. */
  private static final int FEWEST = 3;

  /** Those may be so old (s); own choice. */
  private static final double LONGEST_SEEN = 300;

  /** A level that swings moves within this time (s); own choice. */
  static final double SWING_TIME = 10;

  /** It moves when it swings by more than this (share of the tank); own choice. */
  static final double SWING = 0.05;

  /** A value is stale when it is so many times as old as it usually gets (1); own choice. */
  static final double TIMES_OLD = 3;

  /** No value is stale before (s); own choice. */
  static final double LEAST_OLD = 60;

  /** So many values are kept for the median; more of them are thinned by time; own choice. */
  private static final int MOST = 600;

  /** The usual time between messages is the median of so many; own choice. */
  private static final int INTERVALS = 15;

  /** So many times between messages have to be known to tell what is usual; own choice. */
  private static final int ENOUGH = 4;

  /** A contact keeps a beat if its longest time between messages is no more (times the usual). */
  private static final double STEADY = 3;

  private record Sample(double steady, double amount) {}

  private final Signal signal;
  private final double capacity;
  private final Deque<Sample> window = new ArrayDeque<>();
  private final Deque<Double> intervals = new ArrayDeque<>();
  private Optional<Value> last = Optional.empty();
  private Instant at = Instant.EPOCH;
  private double heard = Double.NEGATIVE_INFINITY;
  private boolean unknownAge;
  private boolean gone;

  /**
   * Follows a signal.
   *
   * @param capacity what its tank holds (m³); 0 where it is not of a tank
   */
  SignalTrack(Signal signal, double capacity) {
    this.signal = signal;
    this.capacity = capacity;
  }

  Signal signal() {
    return signal;
  }

  /**
   * Takes a value.
   *
   * @param kept whether the broker kept it for those who come later, so that nobody knows how old
   *     it is
   */
  void take(Value value, boolean kept, Now now) {
    if (kept) {
      if (last.isEmpty()) {
        last = Optional.of(value);
        at = now.wall();
        unknownAge = true;
        heard = now.steady();
      }
      return;
    }
    if (last.isPresent() && !unknownAge) {
      intervals.addLast(now.steady() - heard);
      if (intervals.size() > INTERVALS) {
        intervals.removeFirst();
      }
    }
    gone = false;
    unknownAge = false;
    last = Optional.of(value);
    at = now.wall();
    heard = now.steady();
    if (value instanceof Value.Amount amount) {
      window.addLast(new Sample(now.steady(), amount.amount()));
      if (window.size() > MOST) {
        thin();
      }
      forget(now);
    }
  }

  /** Every other value is enough where there are too many. */
  private void thin() {
    List<Sample> all = new ArrayList<>(window);
    window.clear();
    for (int i = 1; i < all.size(); i += 2) {
      window.addLast(all.get(i));
    }
  }

  private void forget(Now now) {
    double oldest = Math.max(LONGEST_SEEN, TIMES_OLD * usual());
    while (window.size() > FEWEST && isOlder(window.getFirst(), WINDOW, now)
        || window.size() > 1 && isOlder(window.getFirst(), oldest, now)) {
      window.removeFirst();
    }
  }

  private static boolean isOlder(Sample sample, double seconds, Now now) {
    return sample.steady() < now.steady() - seconds;
  }

  /** Its device says that it is gone. */
  void lose() {
    gone = true;
  }

  /** Returns what was told last, as it was told. */
  Optional<Value> raw() {
    return last;
  }

  /** Returns when it was told. */
  Instant at() {
    return at;
  }

  /** Tells whether the broker kept it, so that nobody knows how old it is. */
  boolean isKept() {
    return unknownAge;
  }

  /** Returns how old it is (s). */
  double age(Now now) {
    return now.steady() - heard;
  }

  /**
   * Returns what counts: of a level the median of the last half minute, or of the last three where
   * fewer came; else what was told last.
   */
  Optional<Value> value(Now now) {
    if (signal.kind() != SignalKind.LEVEL || window.isEmpty()) {
      return last;
    }
    forget(now);
    if (window.size() < FEWEST) {
      // Of two that differ nobody knows which is wrong: the earlier counts until a third came.
      return Optional.of(new Value.Amount(window.getFirst().amount()));
    }
    double[] amounts = window.stream().mapToDouble(Sample::amount).sorted().toArray();
    int half = amounts.length / 2;
    double median =
        amounts.length % 2 == 1 ? amounts[half] : (amounts[half - 1] + amounts[half]) / 2;
    return Optional.of(new Value.Amount(median));
  }

  /** Returns how far it can be trusted. */
  SignalState state(Now now) {
    if (gone || last.isEmpty()) {
      return SignalState.LOST;
    }
    if (isStale(now)) {
      return SignalState.STALE;
    }
    return swings(now) ? SignalState.MOVING : SignalState.LIVE;
  }

  private boolean isStale(Now now) {
    boolean amount = signal.kind().form() == SignalKind.Form.AMOUNT;
    if (unknownAge) {
      return amount;
    }
    if (!amount && !keepsABeat()) {
      // A contact that speaks only when it changes may be silent for a year.
      return false;
    }
    return age(now) > Math.max(LEAST_OLD, TIMES_OLD * usual());
  }

  private boolean keepsABeat() {
    return intervals.size() >= ENOUGH && Collections.max(intervals) <= STEADY * usual();
  }

  /** Returns the usual time between messages (s); 0 where too few came. */
  double usual() {
    if (intervals.size() < ENOUGH) {
      return 0;
    }
    return intervals.stream().sorted().toList().get(intervals.size() / 2);
  }

  /**
   * Tells whether a level goes up and down: within a short time it both rose and fell by more than
   * a share of the tank. Water that only runs in or out does not swing.
   */
  private boolean swings(Now now) {
    if (signal.kind() != SignalKind.LEVEL || capacity <= 0) {
      return false;
    }
    double highest = Double.NEGATIVE_INFINITY;
    double lowest = Double.POSITIVE_INFINITY;
    double rise = 0;
    double fall = 0;
    for (Sample sample : window) {
      if (sample.steady() >= now.steady() - SWING_TIME) {
        highest = Math.max(highest, sample.amount());
        lowest = Math.min(lowest, sample.amount());
        rise = Math.max(rise, sample.amount() - lowest);
        fall = Math.max(fall, highest - sample.amount());
      }
    }
    return Math.min(rise, fall) > SWING * capacity;
  }
}
