package fernwort.core.run.water;

import fernwort.core.hydraulics.Flows;
import fernwort.core.id.PartId;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/**
 * Tanks whose shut-in air is so stiff that they are taken to pass on what they get: air that gives
 * way so little would keep the steps of a run short without an end.
 */
public final class Locks {

  /** How long a lock is trusted (s). */
  private static final double TRUSTED = 60;

  /** What an error in volume may do to the pressure of air that is shut in (Pa): 10 cm of water. */
  private static final double MOST_SWING = 1000;

  private final Tanks tanks;

  /** The tanks by their ids, so that the order in which a file lists them decides nothing. */
  private final int[] byName;

  private Set<PartId> locked = Set.of();
  private double since;

  /** Begins with no air locked. */
  public Locks(Tanks tanks) {
    this.tanks = tanks;
    byName =
        IntStream.range(0, tanks.count())
            .boxed()
            .sorted(Comparator.comparing(tanks::id))
            .mapToInt(Integer::intValue)
            .toArray();
  }

  /** Makes a copy that goes on by itself, for tanks that were copied. */
  public Locks(Locks other, Tanks tanks) {
    this.tanks = tanks;
    byName = other.byName;
    locked = other.locked;
    since = other.since;
  }

  /** Returns the ids of the tanks that are locked. */
  public Set<PartId> ids() {
    return locked;
  }

  /** Begins anew at a time (s), with no tank locked. */
  public void renew(double time) {
    locked = Set.of();
    since = time;
  }

  /**
   * Tells whether locks have stood so long that they should be looked at anew.
   *
   * @param time since the beginning of the run (s)
   */
  public boolean areStale(double time) {
    return !locked.isEmpty() && time > since + TRUSTED;
  }

  /** Notes that the air of a tank is locked from a time on (s). */
  public void lock(int tank, double time) {
    Set<PartId> more = new HashSet<>(locked);
    more.add(tanks.id(tank));
    locked = more;
    since = time;
  }

  /** Returns the tank that keeps a step short, when it is for its air. */
  public OptionalInt stiff(Rates start, Rates end) {
    double[] change = new double[tanks.count()];
    Arrays.setAll(change, i -> Math.abs(end.gains()[i] - start.gains()[i]));
    double most = Arrays.stream(change).max().orElse(0);
    // Of two between which water moves, one gains what the other loses, but for rounding.
    return Arrays.stream(byName)
        .filter(i -> change[i] >= most - Rates.STILL && standsAgainst(i, start, end))
        .findFirst();
  }

  /**
   * Returns a tank whose shut-in air comes to its balance within a step, hardly moving: a step
   * beyond would overshoot it, and swing about it without an end.
   *
   * @param seconds how long the step is (s)
   */
  public OptionalInt balanced(Rates start, Rates end, double seconds, StepControl pace) {
    return first(
        start,
        end,
        i -> {
          double gain = start.gains()[i];
          return Math.abs(gain) > Rates.STILL
              && gain * end.gains()[i] < 0
              && !pace.isTooCoarse(Math.abs(gain) * seconds);
        });
  }

  /**
   * Returns by how much a step overshoots where air that gives way comes to its balance within it:
   * at most what the tank would have gained or lost but for that (m³).
   *
   * @param seconds how long the step is (s)
   */
  public double overshot(Rates start, Rates end, double seconds) {
    double most = 0;
    for (int i = 0; i < tanks.count(); i++) {
      double gain = start.gains()[i];
      if (Math.abs(gain) > Rates.STILL
          && gain * end.gains()[i] < 0
          && tanks.air(i).stiffness(tanks.volume(i)) > 0) {
        most = Math.max(most, Math.abs(gain) * seconds);
      }
    }
    return most;
  }

  /**
   * Returns a tank whose shut-in air would swing by more than a coarse step can follow.
   *
   * @param seconds how long the step is (s)
   */
  public OptionalInt swinging(Rates start, Rates end, double seconds) {
    return first(
        start,
        end,
        i -> {
          double moved = Math.abs(end.gains()[i] - start.gains()[i]) * seconds / 2;
          return tanks.air(i).swing(tanks.volume(i), moved) > MOST_SWING;
        });
  }

  /**
   * Tells whether a tank's air stands against what the tank gains or loses from the start of a step
   * on: where it does not, air is not what turns the flow round.
   */
  private boolean standsAgainst(int tank, Rates start, Rates end) {
    double gain = start.gains()[tank];
    return tanks.air(tank).standsAgainst(Math.abs(gain) > Rates.STILL ? gain : end.gains()[tank]);
  }

  /**
   * Lets tanks go whose air finds a way at the pressure that a flow brings to them; tells whether
   * there are any.
   */
  public boolean letGo(Flows flows) {
    Set<PartId> kept = new HashSet<>(locked);
    for (int i = 0; i < tanks.count(); i++) {
      PartId id = tanks.id(i);
      if (kept.contains(id) && !tanks.air(i).holds(flows.air().getOrDefault(id, 0.0))) {
        kept.remove(id);
      }
    }
    boolean any = kept.size() < locked.size();
    locked = kept;
    return any;
  }

  /** The first tank with its air shut in, not locked yet, of which something holds. */
  private OptionalInt first(Rates start, Rates end, IntPredicate holds) {
    for (int i : byName) {
      if (standsAgainst(i, start, end) && !locked.contains(tanks.id(i)) && holds.test(i)) {
        return OptionalInt.of(i);
      }
    }
    return OptionalInt.empty();
  }
}
