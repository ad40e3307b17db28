package fernwort.core.hydraulics;

import fernwort.core.flow.FlowNetwork;
import fernwort.core.flow.SteadyFlow;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;

/**
 * How air that comes into moving water spreads with it: at each junction what arrives is mixed, and
 * leaves so. One linear system for the junctions that air comes to, O(n³) for those few.
 */
final class Mixing {

  /** Less than this is what a shut one-way link lets through (m³/s). */
  private static final double TRACE = 1e-11;

  private final FlowNetwork network;
  private final double[] flows;
  private final boolean[] still;

  /**
   * Prepares a mixing.
   *
   * @param still nodes at which air and water part
   */
  Mixing(FlowNetwork network, SteadyFlow flow, boolean[] still) {
    this.network = network;
    this.flows = flow.flows();
    this.still = still;
  }

  /** Returns the shares where no air comes in. */
  static double[] waterAlone(FlowNetwork network) {
    double[] share = new double[network.size()];
    Arrays.fill(share, 1);
    return share;
  }

  private int upstream(int link) {
    return flows[link] >= 0 ? network.from(link) : network.to(link);
  }

  private int downstream(int link) {
    return flows[link] >= 0 ? network.to(link) : network.from(link);
  }

  /**
   * Returns the share of water in what leaves each node; less than 1 behind an air entry.
   *
   * @param air the nodes that give air
   */
  double[] shares(Set<Integer> air) {
    double[] share = waterAlone(network);
    air.forEach(n -> share[n] = 0);
    List<Integer> mixed = reachedFrom(air);
    if (mixed.isEmpty()) {
      return share;
    }
    int[] place = new int[share.length];
    Arrays.fill(place, -1);
    for (int k = 0; k < mixed.size(); k++) {
      place[mixed.get(k)] = k;
    }
    DMatrixRMaj balance = new DMatrixRMaj(mixed.size(), mixed.size());
    DMatrixRMaj water = new DMatrixRMaj(mixed.size(), 1);
    for (int l = 0; l < flows.length; l++) {
      double size = Math.abs(flows[l]);
      int up = upstream(l);
      int down = place[downstream(l)];
      if (down >= 0) {
        balance.add(down, down, size);
        if (place[up] >= 0) {
          balance.add(down, place[up], -size);
        } else {
          water.add(down, 0, size * share[up]);
        }
      }
    }
    DMatrixRMaj solved = new DMatrixRMaj(mixed.size(), 1);
    boolean unique = CommonOps_DDRM.solve(balance, water, solved);
    for (int k = 0; k < mixed.size(); k++) {
      share[mixed.get(k)] = unique ? Math.clamp(solved.get(k, 0), 0, 1) : 0;
    }
    return share;
  }

  /** The nodes that air from some nodes comes to with the flow, up to the tanks. */
  private List<Integer> reachedFrom(Set<Integer> air) {
    List<Integer> found = new ArrayList<>();
    Set<Integer> seen = new HashSet<>(air);
    Deque<Integer> front = new ArrayDeque<>(air);
    while (!front.isEmpty()) {
      int at = front.remove();
      for (int l = 0; l < flows.length; l++) {
        int down = downstream(l);
        boolean carries = upstream(l) == at && Math.abs(flows[l]) > TRACE;
        if (carries && !still[down] && seen.add(down)) {
          found.add(down);
          front.add(down);
        }
      }
    }
    return found;
  }
}
