package fernwort.core.ways;

import fernwort.core.kind.Link;
import fernwort.core.network.Levels;
import fernwort.core.network.OpenGraph;
import java.util.Arrays;
import java.util.BitSet;

/**
 * The head that one source brings to every port it reaches, and the passage it came by.
 *
 * <p>A widest-path search: heads never rise along a passage, so a queue that takes a port again
 * only when its head has risen ends after few passes, and after one where no regulator or check
 * valve lies on a loop. The first passage to bring a head is kept, so routes have the fewest
 * passages.
 */
public final class HeadReach {

  private static final double TOLERANCE = 1e-9;

  /** Decides which passages a sweep may use. */
  enum Medium {
    /** Water under pressure: running pumps let it through. */
    PRESSED,
    /** Water that only falls: running pumps are not its business. */
    FALLING,
    /** Air: any height, but neither through pumps nor through water seals. */
    AIR
  }

  final OpenGraph graph;
  final double[] head;

  /** The edge by which each port was reached, −1 for starts and ports not reached. */
  final int[] arrival;

  private final Levels levels;
  private Medium medium = Medium.PRESSED;
  private final boolean[] waiting;
  private final int[] touched;
  private int touches;
  private int[] queue;
  private int read;
  private int write;

  HeadReach(OpenGraph graph, Levels levels) {
    this.graph = graph;
    this.levels = levels;
    int n = graph.network().size();
    head = new double[n];
    Arrays.fill(head, Double.NEGATIVE_INFINITY);
    arrival = new int[n];
    Arrays.fill(arrival, -1);
    waiting = new boolean[n];
    queue = new int[n + 1];
    touched = new int[n];
  }

  /** Forgets what was reached and begins anew; costs no more than the last sweep reached. */
  HeadReach begin(Medium through) {
    for (int i = 0; i < touches; i++) {
      head[touched[i]] = Double.NEGATIVE_INFINITY;
      arrival[touched[i]] = -1;
    }
    touches = 0;
    medium = through;
    return this;
  }

  /** Adds a port where the sweep starts. */
  HeadReach from(int vertex, double startHead) {
    if (startHead > head[vertex]) {
      raise(vertex, startHead);
    }
    return this;
  }

  /**
   * Runs the sweep.
   *
   * @param blocked ports that must not be entered
   * @param skipped vertex whose pump passage must not be used, or −1
   */
  HeadReach run(boolean[] blocked, int skipped) {
    while (read != write) {
      int v = queue[read];
      read = (read + 1) % queue.length;
      waiting[v] = false;
      for (int e = graph.first(v); e >= 0; e = graph.next(e)) {
        int u = graph.to(e);
        if (!blocked[u] && !(v == skipped && graph.law(e) == Link.Law.DRIVE)) {
          double arriving = pass(e, head[v]);
          if (arriving > head[u] + TOLERANCE) {
            arrival[u] = e;
            raise(u, arriving);
          }
        }
      }
    }
    return this;
  }

  /** Returns the head after a passage, or minus infinity when it does not get through. */
  private double pass(int e, double h) {
    int u = graph.to(e);
    double after = h;
    switch (graph.law(e)) {
      case CHECK -> after = h - graph.value(e);
      case REGULATOR -> after = Math.min(h, levels.height(u) + graph.value(e));
      case DRIVE -> {
        if (medium != Medium.PRESSED) {
          return Double.NEGATIVE_INFINITY;
        }
      }
      case SEAL -> {
        if (medium == Medium.AIR) {
          return Double.NEGATIVE_INFINITY;
        }
      }
      case FREE -> {}
    }
    if (medium == Medium.AIR) {
      return h;
    }
    double crest = graph.line(e) >= 0 ? levels.crest(graph.line(e)) : levels.height(u);
    return after + TOLERANCE >= crest ? after : Double.NEGATIVE_INFINITY;
  }

  /** Tells whether this passage leads on within what the sweep has reached. */
  boolean uses(int e) {
    return reached(graph.from(e))
        && reached(graph.to(e))
        && pass(e, head[graph.from(e)]) > Double.NEGATIVE_INFINITY;
  }

  boolean reached(int vertex) {
    return head[vertex] > Double.NEGATIVE_INFINITY;
  }

  /** Returns how many ports were reached. */
  int touches() {
    return touches;
  }

  /** Returns one of the ports reached, in the order in which they first were. */
  int touched(int index) {
    return touched[index];
  }

  private void raise(int v, double to) {
    if (!reached(v)) {
      touched[touches++] = v;
    }
    head[v] = to;
    if (!waiting[v]) {
      waiting[v] = true;
      queue[write] = v;
      write = (write + 1) % queue.length;
    }
  }

  /** Returns the ports by which it came to one, that one and its start among them. */
  BitSet routeTo(int end) {
    BitSet route = new BitSet(head.length);
    for (int v = end; ; v = graph.from(arrival[v])) {
      route.set(v);
      if (arrival[v] < 0) {
        return route;
      }
    }
  }

  /** Marks the ports that it reached. */
  void mark(boolean[] marks) {
    for (int i = 0; i < touches(); i++) {
      marks[touched(i)] = true;
    }
  }
}
