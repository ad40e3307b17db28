package fernwort.core.graph;

import java.util.Arrays;

/**
 * The lowest crest over all ways from some points to each other one: how high water has to rise to
 * come along. A minimax flood by a queue that takes the lowest point first (Dijkstra 1959 with the
 * greater of two heights for their sum), O(E log V). No key changes inside the queue: a point that
 * sinks is put in anew, and what was put in before is passed over.
 */
public final class LowestCrest {

  /** What a search is told about a graph. */
  @FunctionalInterface
  public interface Crests {

    /** Returns the highest height that an arc passes (m); infinite where nothing passes it. */
    double crest(int arc);
  }

  /** Points that are reached from a point without an arc, as all ports of one tank are. */
  @FunctionalInterface
  public interface Leaps {

    /** No leaps at all. */
    Leaps NONE = point -> new int[0];

    /** Returns the points that are reached from a point at their own height. */
    int[] from(int point);
  }

  private final Arcs arcs;
  private final Crests crests;
  private final double[] level;

  /** A binary heap of points by the level that each was put in with. */
  private double[] keys;

  private int[] heap;
  private int size;

  private LowestCrest(Arcs arcs, Crests crests) {
    this.arcs = arcs;
    this.crests = crests;
    level = new double[arcs.points()];
    keys = new double[arcs.points() + 1];
    heap = new int[arcs.points() + 1];
    Arrays.fill(level, Double.POSITIVE_INFINITY);
  }

  /**
   * Returns for each point the lowest crest of all ways from the starting points (m); infinite
   * where none leads.
   *
   * @param arcs the graph, its arcs leading away from the starting points
   * @param crests how high each arc passes
   * @param starts the height of each starting point (m); infinite for what is none
   */
  public static double[] of(Arcs arcs, Crests crests, double[] starts) {
    return of(arcs, crests, starts, Leaps.NONE, starts);
  }

  /**
   * Returns for each point the lowest crest of all ways from the starting points (m), leaps
   * included.
   *
   * @param leaps what is reached from a point without an arc
   * @param heights the height of each point (m), which a leap has to reach
   */
  public static double[] of(
      Arcs arcs, Crests crests, double[] starts, Leaps leaps, double[] heights) {
    LowestCrest search = new LowestCrest(arcs, crests);
    for (int v = 0; v < arcs.points(); v++) {
      search.lower(v, starts[v]);
    }
    search.run(leaps, heights);
    return search.level;
  }

  private void run(Leaps leaps, double[] heights) {
    while (size > 0) {
      double key = keys[0];
      int v = heap[0];
      remove();
      if (key > level[v]) {
        continue;
      }
      for (int e = arcs.first(v); e >= 0; e = arcs.next(e)) {
        lower(arcs.to(e), Math.max(key, crests.crest(e)));
      }
      for (int u : leaps.from(v)) {
        lower(u, Math.max(key, heights[u]));
      }
    }
  }

  private void lower(int point, double to) {
    if (to < level[point]) {
      level[point] = to;
      add(to, point);
    }
  }

  private void add(double key, int point) {
    if (size == heap.length) {
      keys = Arrays.copyOf(keys, 2 * size);
      heap = Arrays.copyOf(heap, 2 * size);
    }
    int at = size++;
    while (at > 0 && key < keys[(at - 1) / 2]) {
      put(at, keys[(at - 1) / 2], heap[(at - 1) / 2]);
      at = (at - 1) / 2;
    }
    put(at, key, point);
  }

  private void remove() {
    double key = keys[--size];
    int point = heap[size];
    int at = 0;
    while (2 * at + 1 < size) {
      int child = 2 * at + 1;
      if (child + 1 < size && keys[child + 1] < keys[child]) {
        child++;
      }
      if (key <= keys[child]) {
        break;
      }
      put(at, keys[child], heap[child]);
      at = child;
    }
    put(at, key, point);
  }

  private void put(int at, double key, int point) {
    keys[at] = key;
    heap[at] = point;
  }
}
