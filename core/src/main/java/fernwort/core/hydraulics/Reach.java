package fernwort.core.hydraulics;

import fernwort.core.id.PartId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Link;
import fernwort.core.network.Levels;
import fernwort.core.network.OpenGraph;
import fernwort.core.network.Water;
import fernwort.core.rig.Part;
import fernwort.core.ways.HeadReach;
import java.util.Arrays;
import java.util.Set;

/**
 * Which ports stand under water: those that the still head of some source, raised by the pumps on
 * the way, brings it to.
 *
 * <p>As {@link HeadReach}, from all sources at once and through running pumps, which add their
 * shut-off head; on the suction side of one, water is drawn up as far as the pump lifts.
 */
final class Reach {

  private static final double TOLERANCE = 1e-9;

  /** Height to which the air's pressure holds a column of water, with something to spare (m). */
  private static final double SIPHON = 9;

  private static final int[] NONE = {};

  final boolean[] dry;

  private final OpenGraph graph;
  private final Levels levels;
  private final double[] head;
  private final double[] lift;
  private final boolean[] waiting;

  /** For each port under water of a tank that is full or locked, all its ports under water. */
  private final int[][] brim;

  private final int[] queue;
  private double ceiling = Double.NEGATIVE_INFINITY;
  private int read;
  private int write;

  /**
   * Prepares a search.
   *
   * @param airlocked ids of tanks that pass a head on from port to port
   */
  Reach(OpenGraph graph, Levels levels, Set<PartId> airlocked) {
    this.graph = graph;
    this.levels = levels;
    int n = graph.network().size();
    head = new double[n];
    Arrays.fill(head, Double.NEGATIVE_INFINITY);
    lift = new double[n];
    dry = new boolean[n];
    waiting = new boolean[n];
    queue = new int[n + 1];
    brim = new int[n][];
    Arrays.fill(brim, NONE);
    for (int i = 0; i < graph.network().tanks().size(); i++) {
      PartId id = graph.network().tanks().get(i).id();
      if (levels.isBrimFull(id) || airlocked.contains(id)) {
        int[] wet = Arrays.stream(graph.network().tankVertices(i)).filter(levels::wet).toArray();
        for (int v : wet) {
          brim[v] = wet;
        }
      }
    }
  }

  /** Adds a port where water waits with this head (m). */
  void from(int vertex, double at) {
    ceiling = Math.max(ceiling, at);
    raise(vertex, at);
  }

  /** Lets water pass the crest of a line that runs full, as a siphon does, from end to end. */
  void runsFull(int line) {
    within(graph.network().part(graph.network().lineFrom(line)));
    within(graph.network().part(graph.network().lineTo(line)));
  }

  private void within(Part part) {
    int index = graph.network().index(part.id());
    for (int v = graph.network().first(index); v < graph.network().first(index + 1); v++) {
      lift[v] = Math.max(lift[v], SIPHON);
    }
  }

  /** Finds all ports under water. */
  void run() {
    for (Part part : graph.network().pumps()) {
      if (graph.is(part, Kind.ON)) {
        ceiling += Water.head(shutOff(part));
        allow(graph.network().first(graph.network().index(part.id())), suctionLift(part));
      }
    }
    while (read != write) {
      int v = queue[read];
      read = (read + 1) % queue.length;
      waiting[v] = false;
      for (int e = graph.first(v); e >= 0; e = graph.next(e)) {
        double arriving = pass(e);
        if (arriving > head[graph.to(e)] + TOLERANCE) {
          raise(graph.to(e), arriving);
        }
      }
    }
    for (int v = 0; v < dry.length; v++) {
      dry[v] = head[v] == Double.NEGATIVE_INFINITY;
    }
  }

  private static double shutOff(Part part) {
    return part.kind().shutOffPressure();
  }

  private static double suctionLift(Part part) {
    return part.kind().suctionLift();
  }

  /** Lets water be drawn up by this much (m) everywhere from where it can run to a pump's inlet. */
  private void allow(int in, double by) {
    boolean[] seen = new boolean[dry.length];
    int[] stack = new int[dry.length];
    int size = 0;
    stack[size++] = in;
    seen[in] = true;
    while (size > 0) {
      int v = stack[--size];
      lift[v] = Math.max(lift[v], by);
      for (int e = graph.lastInto(v); e >= 0; e = graph.previousInto(e)) {
        int u = graph.from(e);
        if (!seen[u] && graph.law(e) != Link.Law.DRIVE) {
          seen[u] = true;
          stack[size++] = u;
        }
      }
    }
  }

  private double pass(int e) {
    int v = graph.from(e);
    int u = graph.to(e);
    double after =
        switch (graph.law(e)) {
          case CHECK -> head[v] - graph.value(e);
          case REGULATOR -> Math.min(head[v], levels.height(u) + graph.value(e));
          case DRIVE -> Math.min(ceiling, head[v] + Water.head(shutOff(graph.network().part(v))));
          case FREE, SEAL -> head[v];
        };
    double crest = graph.line(e) >= 0 ? levels.crest(graph.line(e)) : levels.height(u);
    double drawn = Math.min(lift[v], lift[u]);
    return after + drawn + TOLERANCE >= crest ? after : Double.NEGATIVE_INFINITY;
  }

  /** Tells whether water stands at both ends of a passage and gets over its crest from one. */
  boolean holds(int e) {
    return !dry[graph.from(e)] && !dry[graph.to(e)] && pass(e) > Double.NEGATIVE_INFINITY;
  }

  /** Raises a port, and with it all ports of a tank that passes its head on. */
  private void raise(int v, double to) {
    if (brim[v].length == 0) {
      lift(v, to);
    }
    for (int port : brim[v]) {
      if (to > head[port]) {
        lift(port, to);
      }
    }
  }

  private void lift(int v, double to) {
    head[v] = Math.max(head[v], to);
    if (!waiting[v]) {
      waiting[v] = true;
      queue[write] = v;
      write = (write + 1) % queue.length;
    }
  }
}
