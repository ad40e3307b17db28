package fernwort.core.flow;

import java.util.Arrays;
import java.util.BitSet;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What was worked out of networks that are joined alike: a run solves one after another that differ
 * in heads and losses alone. Safe to share.
 */
public final class Reductions {

  /** More shapes than one setting of a rig goes through in a run. */
  private static final int MOST = 100;

  private final Map<Shape, ReducedNetwork> known = new ConcurrentHashMap<>();

  /** What joins what, and which nodes have a known head. */
  private record Shape(int nodes, int[] from, int[] to, BitSet reservoirs) {

    static Shape of(FlowNetwork network) {
      BitSet reservoirs = new BitSet(network.size());
      for (int v = 0; v < network.size(); v++) {
        reservoirs.set(v, network.isReservoir(v));
      }
      return new Shape(network.size(), network.from, network.to, reservoirs);
    }

    @Override
    public boolean equals(Object other) {
      return other instanceof Shape shape
          && nodes == shape.nodes
          && Arrays.equals(from, shape.from)
          && Arrays.equals(to, shape.to)
          && reservoirs.equals(shape.reservoirs);
    }

    @Override
    public int hashCode() {
      return 31 * (31 * Arrays.hashCode(from) + Arrays.hashCode(to)) + reservoirs.hashCode();
    }
  }

  ReducedNetwork of(FlowNetwork network) {
    Shape shape = Shape.of(network);
    ReducedNetwork before = known.get(shape);
    if (before != null) {
      return before.of(network);
    }
    ReducedNetwork made = new ReducedNetwork(network);
    if (made.isOfShapeAlone()) {
      if (known.size() >= MOST) {
        known.clear();
      }
      known.put(shape, made);
    }
    return made;
  }
}
