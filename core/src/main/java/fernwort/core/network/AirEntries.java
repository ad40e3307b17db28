package fernwort.core.network;

import fernwort.core.flow.SteadyFlow;
import fernwort.core.kind.Link;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.Set;

/**
 * Where air gets into moving water: at ports whose pressure is below the air's, when only air or
 * water that has sunk away lies between them and the open. Breadth first from the openings.
 */
public final class AirEntries {

  private static final double TOLERANCE = 1e-6;

  private final OpenGraph graph;
  private final Levels levels;
  private final Outlets outlets;

  /** The node of the network that each port belongs to, −1 for a dry one. */
  private final int[] node;

  private final boolean[] seen;
  private final Deque<Integer> front = new ArrayDeque<>();
  private final Set<Integer> entries = new HashSet<>();

  public AirEntries(OpenGraph graph, Levels levels, Outlets outlets, int[] node) {
    this.graph = graph;
    this.levels = levels;
    this.outlets = outlets;
    this.node = node;
    seen = new boolean[node.length];
  }

  /**
   * Returns the ports.
   *
   * @param flow the steady flow
   * @param moving whether water moves at each node
   */
  public Set<Integer> find(SteadyFlow flow, boolean[] moving) {
    for (int v : outlets.openings()) {
      enter(v, flow, moving);
    }
    for (int i = 0; i < graph.network().tanks().size(); i++) {
      for (int v : graph.network().tankVertices(i)) {
        if (levels.breathes(v)) {
          enter(v, flow, moving);
        }
      }
    }
    while (!front.isEmpty()) {
      int v = front.remove();
      for (int e = graph.first(v); e >= 0; e = graph.next(e)) {
        if (graph.law(e) != Link.Law.DRIVE && graph.law(e) != Link.Law.SEAL) {
          enter(graph.to(e), flow, moving);
        }
      }
    }
    return entries;
  }

  private void enter(int v, SteadyFlow flow, boolean[] moving) {
    boolean wet = node[v] >= 0;
    if (seen[v] || wet && flow.heads()[node[v]] >= levels.height(v) - TOLERANCE) {
      return;
    }
    seen[v] = true;
    if (wet && moving[node[v]]) {
      entries.add(v);
    } else {
      front.add(v);
    }
  }
}
