package fernwort.core.ways;

import fernwort.core.network.OpenGraph;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/**
 * The simple paths by which a source reaches a pump, needed only where delivery and suction meet.
 *
 * <p>Depth-first enumeration, bounded in paths and steps; the suction side of a pump has few.
 */
final class SuctionPaths {

  private static final int MOST_STEPS = 20_000;

  private final HeadReach suction;
  private final OpenGraph graph;
  private final int in;
  private final int[] starts;
  private final List<BitSet> found = new ArrayList<>();
  private int most;
  private int steps;

  SuctionPaths(HeadReach suction, int in, int[] starts) {
    this.suction = suction;
    this.graph = suction.graph;
    this.in = in;
    this.starts = starts;
  }

  List<BitSet> find(int limit) {
    most = limit;
    for (int start : starts) {
      if (suction.reached(start)) {
        BitSet path = new BitSet();
        path.set(start);
        extend(start, path);
      }
    }
    return found;
  }

  private void extend(int v, BitSet path) {
    if (v == in) {
      found.add((BitSet) path.clone());
      return;
    }
    for (int e = graph.first(v); e >= 0; e = graph.next(e)) {
      int u = graph.to(e);
      if (found.size() < most && ++steps < MOST_STEPS && !path.get(u) && suction.uses(e)) {
        path.set(u);
        extend(u, path);
        path.clear(u);
      }
    }
  }
}
