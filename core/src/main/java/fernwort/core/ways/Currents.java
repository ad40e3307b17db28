package fernwort.core.ways;

import fernwort.core.network.OpenGraph;
import java.util.Arrays;
import java.util.BitSet;

/**
 * In which lines water moves, and which way.
 *
 * <p>The routes of a sweep form a tree. Every other branch that leaves it and joins it further down
 * carries water too: such ears are added one by one, each directed so that no circle closes, which
 * gives every line of the branch its direction (ear decomposition, Whitney 1932). Branches that end
 * nowhere are stripped beforehand. Cost O(E) for rigs without loops, O(E · ears) with.
 */
final class Currents {

  private final int[] direction;
  private final BitSet moving;

  /** The directed graph of the sweep at hand: edges in use by their first port. */
  private final int[] firstUsed;

  private final int[] nextUsed;
  private final int[] usedEdge;
  private int used;
  private final BitSet inUse;
  private final BitSet on;

  /** Room for the searches; of no meaning between them. */
  private final int[] degree;

  private final int[] stack;
  private final int[] cameBy;
  private final BitSet left;
  private final BitSet seen;
  private final int[] onward;
  private final BitSet passed;

  Currents(OpenGraph graph) {
    direction = new int[graph.network().rig().lines().size()];
    moving = new BitSet(graph.network().size());
    firstUsed = new int[graph.network().size()];
    nextUsed = new int[graph.edges()];
    usedEdge = new int[graph.edges()];
    int n = graph.network().size();
    inUse = new BitSet(graph.edges());
    on = new BitSet(n);
    degree = new int[n];
    stack = new int[n + 1];
    cameBy = new int[n];
    left = new BitSet(n);
    seen = new BitSet(n);
    onward = new int[n + 1];
    passed = new BitSet(n);
    Arrays.fill(firstUsed, -1);
  }

  /** Returns of each line 1 when water moves from its first end, −1 to it, 0 when it stands. */
  int[] directions() {
    return direction.clone();
  }

  /** Tells whether water moves at any of the vertices from one to before another. */
  boolean movesAny(int from, int to) {
    int next = moving.nextSetBit(from);
    return next >= 0 && next < to;
  }

  /** Adds the route to one port. */
  void addRoute(HeadReach sweep, int end) {
    for (int v = end; ; v = sweep.graph.from(sweep.arrival[v])) {
      moving.set(v);
      if (sweep.arrival[v] < 0) {
        return;
      }
      direct(sweep.graph, sweep.arrival[v]);
    }
  }

  /** Adds the routes to all these ends, with every parallel branch. */
  void add(HeadReach sweep, BitSet ends) {
    for (int v = on.nextSetBit(0); v >= 0; v = on.nextSetBit(v + 1)) {
      firstUsed[v] = -1;
    }
    used = 0;
    inUse.clear();
    on.clear();
    for (int end = ends.nextSetBit(0); end >= 0; end = ends.nextSetBit(end + 1)) {
      for (int v = end; !on.get(v); v = sweep.graph.from(sweep.arrival[v])) {
        on.set(v);
        if (sweep.arrival[v] < 0) {
          break;
        }
        use(sweep.graph, sweep.arrival[v]);
      }
    }
    if (!on.isEmpty()) {
      addEars(sweep);
    }
    moving.or(on);
  }

  private void use(OpenGraph graph, int e) {
    inUse.set(e);
    usedEdge[used] = e;
    nextUsed[used] = firstUsed[graph.from(e)];
    firstUsed[graph.from(e)] = used++;
    direct(graph, e);
  }

  private void direct(OpenGraph graph, int e) {
    int line = graph.line(e);
    if (line >= 0 && direction[line] == 0) {
      boolean forward = graph.network().lineFrom(line) == graph.from(e);
      direction[line] = forward ? 1 : -1;
    }
  }

  private void addEars(HeadReach sweep) {
    BitSet candidates = loops(sweep);
    boolean found = true;
    while (found) {
      found = false;
      for (int v = candidates.nextSetBit(0); v >= 0; v = candidates.nextSetBit(v + 1)) {
        if ((on.get(v) || sweep.arrival[v] < 0) && addEar(sweep, candidates, v)) {
          found = true;
        }
      }
    }
  }

  /** The ports left when every branch that ends nowhere is stripped. */
  private BitSet loops(HeadReach sweep) {
    OpenGraph graph = sweep.graph;
    for (int i = 0; i < sweep.touches(); i++) {
      degree[sweep.touched(i)] = 0;
    }
    for (int i = 0; i < sweep.touches(); i++) {
      int v = sweep.touched(i);
      for (int e = graph.first(v); e >= 0; e = graph.next(e)) {
        if (sweep.uses(e)) {
          int weight = sweep.uses(reverse(graph, e)) ? 1 : 2;
          degree[v] += weight;
          degree[graph.to(e)] += weight;
        }
      }
    }
    left.clear();
    int top = 0;
    for (int i = 0; i < sweep.touches(); i++) {
      int v = sweep.touched(i);
      left.set(v);
      if (isLoose(sweep, v, degree)) {
        stack[top++] = v;
      }
    }
    while (top > 0) {
      int v = stack[--top];
      left.clear(v);
      for (int e = graph.first(v); e >= 0; e = graph.next(e)) {
        int u = graph.to(e);
        if (left.get(u) && sweep.uses(e)) {
          degree[u] -= 2;
          if (isLoose(sweep, u, degree)) {
            stack[top++] = u;
          }
        }
      }
    }
    return left;
  }

  private boolean isLoose(HeadReach sweep, int v, int[] degree) {
    return degree[v] == 2 && !on.get(v) && sweep.arrival[v] >= 0;
  }

  /**
   * Edges are added in pairs for what is open both ways; returns the partner, or the edge itself.
   */
  private static int reverse(OpenGraph graph, int e) {
    int partner = e ^ 1;
    if (partner < graph.edges()
        && graph.from(partner) == graph.to(e)
        && graph.to(partner) == graph.from(e)) {
      return partner;
    }
    partner = e % 2 == 0 ? e - 1 : e + 1;
    return partner >= 0
            && partner < graph.edges()
            && graph.from(partner) == graph.to(e)
            && graph.to(partner) == graph.from(e)
        ? partner
        : e;
  }

  /** Looks for one branch from a port in use through unused ports to a later port in use. */
  private boolean addEar(HeadReach sweep, BitSet candidates, int start) {
    OpenGraph graph = sweep.graph;
    seen.clear();
    int top = 0;
    stack[top++] = start;
    seen.set(start);
    while (top > 0) {
      int v = stack[--top];
      for (int e = graph.first(v); e >= 0; e = graph.next(e)) {
        int u = graph.to(e);
        if (!candidates.get(u) || seen.get(u) || !sweep.uses(e) || inUse.get(e)) {
          continue;
        }
        if (!on.get(u)) {
          seen.set(u);
          cameBy[u] = e;
          stack[top++] = u;
        } else if (u != start && !leads(graph, u, start)) {
          for (int w = v, edge = e; ; edge = cameBy[w], w = graph.from(edge)) {
            use(graph, edge);
            on.set(graph.to(edge));
            on.set(graph.from(edge));
            if (w == start) {
              return true;
            }
          }
        }
      }
    }
    return false;
  }

  /** Tells whether the water that passes one port goes on to pass another. */
  private boolean leads(OpenGraph graph, int start, int goal) {
    passed.clear();
    int top = 0;
    onward[top++] = start;
    while (top > 0) {
      int v = onward[--top];
      if (v == goal) {
        return true;
      }
      for (int i = firstUsed[v]; i >= 0; i = nextUsed[i]) {
        int u = graph.to(usedEdge[i]);
        if (!passed.get(u)) {
          passed.set(u);
          onward[top++] = u;
        }
      }
    }
    return false;
  }
}
