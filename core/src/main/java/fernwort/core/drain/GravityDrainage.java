package fernwort.core.drain;

import fernwort.core.graph.LowestCrest;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.TreeSet;

/**
 * Whether water at a point of a rig runs out by its fall.
 *
 * <p>It does when two ways without a common point lead from it: one down to an opening, which never
 * rises above it, and one up to another opening, by which air comes. Air passes what is dry; what
 * is wet it passes only where that lies above the end of the falling column, by what the check
 * valves on the way take to open. The ways down are tried one after another, those first that can
 * lead out at all (a minimax flood from the openings); for each the way up is one search. In a rig
 * without loops there is one way down to each opening: O(openings · E).
 */
final class GravityDrainage {

  /** Heights that differ by less are the same (m). */
  static final double LEVEL = 1e-7;

  /** More points on ways down than this are not tried; what is left then counts as staying. */
  private static final int MOST_STEPS = 4000;

  /** More sums of check valves than this are not told apart. */
  private static final int MOST_SUMS = 32;

  private static final int NOWHERE = -1;

  private final Passages at;

  /** The lowest crest over all ways from a point to an opening that lets water out (m). */
  private final double[] spill;

  /** What the check valves of the rig can take together, in any choice, the least first (m). */
  private final double[] sums;

  private final boolean[] taken;
  private final double[] least;

  private double level;
  private int steps;

  GravityDrainage(Passages passages) {
    at = passages;
    taken = new boolean[passages.points()];
    least = new double[passages.points()];
    sums = sums();
    spill = spill();
  }

  private double[] sums() {
    TreeSet<Double> all = new TreeSet<>();
    all.add(0.0);
    for (int e = 0; e < at.arcs(); e++) {
      if (at.lets(e) && at.crack(e) > 0) {
        double more = at.crack(e);
        all.stream().toList().forEach(s -> all.add(s + more));
        while (all.size() > MOST_SUMS) {
          all.pollLast();
        }
      }
    }
    return all.stream().mapToDouble(Double::doubleValue).toArray();
  }

  /** Returns what the check valves of the rig can take together (m). */
  double[] crackings() {
    return sums.clone();
  }

  private double[] spill() {
    double[] starts = new double[at.points()];
    for (int v = 0; v < starts.length; v++) {
      starts[v] = at.letsWaterOut(v) ? at.height(v) : Double.POSITIVE_INFINITY;
    }
    return LowestCrest.of(at, e -> at.lets(e ^ 1) ? at.high(e) : Double.POSITIVE_INFINITY, starts);
  }

  /** Tells whether water in the middle of a body runs out. */
  boolean leaves(int point) {
    return leaves(point, point, at.height(point));
  }

  /**
   * Tells whether water between two points runs out.
   *
   * @param up where air would come
   * @param down where the water would go
   * @param height how high it stands (m)
   */
  boolean leaves(int up, int down, double height) {
    level = height;
    if (spill[down] > level + LEVEL) {
      return false;
    }
    steps = 0;
    taken[up] = true;
    taken[down] = true;
    // Where no air comes whatever the way down, none of the ways has to be tried.
    boolean leaves =
        airComes(up, NOWHERE, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, false)
            && goesDown(up, down, Double.NaN, 0);
    taken[up] = false;
    taken[down] = false;
    return leaves;
  }

  private boolean goesDown(int up, int v, double end, double cracked) {
    if (at.letsWaterOut(v) && airComes(up, v, Double.isNaN(end) ? at.height(v) : end, cracked)) {
      return true;
    }
    for (int e = at.first(v); e >= 0 && steps < MOST_STEPS; e = at.next(e)) {
      int u = at.to(e);
      boolean falls = at.lets(e) && at.high(e) <= level + LEVEL && spill[u] <= level + LEVEL;
      if (falls && !taken[u]) {
        steps++;
        // The column ends where it meets the first air.
        double ends = Double.isNaN(end) && at.isPiece(e) && !at.isWet(e) ? at.height(v) : end;
        taken[u] = true;
        boolean leaves = goesDown(up, u, ends, cracked + at.crack(e));
        taken[u] = false;
        if (leaves) {
          return true;
        }
      }
    }
    return false;
  }

  /** Tells whether air comes to a point, past the points that the way down takes. */
  private boolean airComes(int up, int outlet, double end, double cracked) {
    for (double sum : sums) {
      double lowest = end + sum;
      if (sum >= cracked - LEVEL && (sum <= LEVEL || level >= lowest - LEVEL)) {
        if (airComes(up, outlet, lowest, sum - cracked + LEVEL, sums.length > 1)) {
          return true;
        }
      }
    }
    return false;
  }

  /**
   * Looks for air backwards from a point.
   *
   * @param lowest wet stretches have to lie above this (m)
   * @param budget what the check valves on the way may take (m)
   * @param weighs whether there are check valves at all
   */
  private boolean airComes(int up, int outlet, double lowest, double budget, boolean weighs) {
    Arrays.fill(least, Double.POSITIVE_INFINITY);
    Deque<Integer> front = new ArrayDeque<>();
    least[up] = 0;
    front.add(up);
    while (!front.isEmpty()) {
      int v = front.remove();
      if (at.letsAirIn(v) && v != outlet && (v == up || !taken[v])) {
        return true;
      }
      for (int e = at.first(v); e >= 0; e = at.next(e)) {
        int u = at.to(e);
        double cost = least[v] + (weighs ? at.crack(e ^ 1) : 0);
        boolean passes =
            at.lets(e ^ 1)
                && !taken[u]
                && cost <= budget
                && cost < least[u]
                && (!at.isWet(e) || at.low(e) >= lowest - LEVEL);
        if (passes) {
          least[u] = cost;
          front.add(u);
        }
      }
    }
    return false;
  }

  /** Tells whether water between two points runs out through wide lines, air coming beside it. */
  boolean leavesWide(int down, double height) {
    boolean[] seen = new boolean[at.points()];
    double[] cracked = new double[at.points()];
    Deque<Integer> front = new ArrayDeque<>();
    seen[down] = true;
    front.add(down);
    while (!front.isEmpty()) {
      int v = front.remove();
      if (at.letsWaterOut(v) && (cracked[v] <= 0 || height >= at.height(v) + cracked[v])) {
        return true;
      }
      for (int e = at.first(v); e >= 0; e = at.next(e)) {
        int u = at.to(e);
        if (at.lets(e) && at.wide(e) && !seen[u] && at.high(e) <= height + LEVEL) {
          seen[u] = true;
          cracked[u] = cracked[v] + at.crack(e);
          front.add(u);
        }
      }
    }
    return false;
  }

  /** Returns the height over which water at a point has to rise to get out (m); or infinity. */
  double spill(int point) {
    return spill[point];
  }
}
