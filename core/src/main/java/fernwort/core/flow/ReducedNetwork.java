package fernwort.core.flow;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;

/**
 * The part of a network in which water can move: dead ends taken away, the junctions left numbered
 * in the order in which to eliminate them.
 *
 * <p>Least degree first (Tinney and Walker 1967), which on a tree fills in nothing. O(n·d) with d
 * the degree at elimination, O(n²) at worst.
 */
final class ReducedNetwork {

  private static final int UNNUMBERED = -1;

  /** Row of each junction in the system of equations, or −1 for reservoirs and dead ends. */
  final int[] row;

  /** Links in which water can move. */
  final int[] live;

  /** How many rows there are. */
  final int rows;

  /** Dead ends in the order they were taken away, each with its last link; flat. */
  private final int[] dead;

  /** Head of each node that has a known one (m), one junction of each closed loop among them. */
  final double[] fixed;

  /** Where its equations have cells. */
  final Pattern pattern;

  /** A workspace that nobody uses just now, shared by all that are joined alike. */
  private final AtomicReference<@Nullable Workspace> spare;

  private final FlowNetwork network;
  private final int[][] linksAt;

  /** Whether a junction was given a head, which depends on heights and not on what joins what. */
  private boolean pinned;

  ReducedNetwork(FlowNetwork network) {
    this.network = network;
    fixed = network.fixed.clone();
    linksAt = linksByNode(network);
    boolean[] gone = new boolean[network.linkCount()];
    dead = prune(gone);
    int[] kept = new int[network.linkCount()];
    int count = 0;
    for (int l = 0; l < gone.length; l++) {
      if (!gone[l]) {
        kept[count++] = l;
      }
    }
    live = Arrays.copyOf(kept, count);
    row = new int[network.size()];
    Arrays.fill(row, UNNUMBERED);
    List<BitSet> neighbours = neighbours();
    pinLoops();
    rows = number(neighbours);
    pattern = new Pattern(network, live, row, rows);
    spare = new AtomicReference<>();
  }

  /** The same for a network that is joined alike and differs in heads and losses alone. */
  private ReducedNetwork(ReducedNetwork like, FlowNetwork network) {
    this.network = network;
    fixed = network.fixed;
    linksAt = like.linksAt;
    dead = like.dead;
    live = like.live;
    row = like.row;
    rows = like.rows;
    pattern = like.pattern;
    spare = like.spare;
  }

  /** Tells whether the same would be found for every network that is joined alike. */
  boolean isOfShapeAlone() {
    return !pinned;
  }

  /** Returns the same for a network that is joined alike and differs in heads and losses alone. */
  ReducedNetwork of(FlowNetwork alike) {
    return new ReducedNetwork(this, alike);
  }

  /**
   * Finds the flow in every link and the head at every node.
   *
   * @throws UnsettledException when the steps do not settle, with the link that moves most
   */
  SteadyFlow solve() {
    Workspace lent = spare.getAndSet(null);
    Workspace work = lent == null ? new Workspace(pattern, live.length, rows) : lent.clean();
    SteadyFlow flow = new Newton(network, this, work).solve();
    spare.set(work);
    return flow;
  }

  boolean isKnown(int node) {
    return !Double.isNaN(fixed[node]);
  }

  private static int[][] linksByNode(FlowNetwork network) {
    int[] degree = new int[network.size()];
    for (int l = 0; l < network.linkCount(); l++) {
      degree[network.from[l]]++;
      degree[network.to[l]]++;
    }
    int[][] at = new int[network.size()][];
    Arrays.setAll(at, v -> new int[degree[v]]);
    for (int l = 0; l < network.linkCount(); l++) {
      at[network.from[l]][--degree[network.from[l]]] = l;
      at[network.to[l]][--degree[network.to[l]]] = l;
    }
    return at;
  }

  private int[] prune(boolean[] gone) {
    int[] degree = new int[network.size()];
    ArrayDeque<Integer> ends = new ArrayDeque<>();
    for (int v = 0; v < degree.length; v++) {
      degree[v] = linksAt[v].length;
      if (degree[v] == 1 && !isKnown(v)) {
        ends.add(v);
      }
    }
    int[] taken = new int[2 * network.linkCount()];
    int count = 0;
    while (!ends.isEmpty()) {
      int end = ends.remove();
      for (int l : linksAt[end]) {
        if (!gone[l]) {
          gone[l] = true;
          taken[count++] = end;
          taken[count++] = l;
          int other = other(l, end);
          if (--degree[other] == 1 && !isKnown(other)) {
            ends.add(other);
          }
        }
      }
    }
    return Arrays.copyOf(taken, count);
  }

  private int other(int link, int node) {
    return network.from[link] == node ? network.to[link] : network.from[link];
  }

  private List<BitSet> neighbours() {
    List<BitSet> of = new ArrayList<>();
    for (int v = 0; v < network.size(); v++) {
      of.add(new BitSet());
    }
    for (int l : live) {
      int a = network.from[l];
      int b = network.to[l];
      if (!isKnown(a) && !isKnown(b) && a != b) {
        of.get(a).set(b);
        of.get(b).set(a);
      }
    }
    return of;
  }

  /** Fixes the head of one junction in each closed loop that no reservoir is joined to. */
  private void pinLoops() {
    boolean[] seen = new boolean[network.size()];
    boolean[] moving = new boolean[network.size()];
    for (int l : live) {
      moving[network.from[l]] = true;
      moving[network.to[l]] = true;
    }
    for (int l : live) {
      int start = network.from[l];
      if (!seen[start]) {
        List<Integer> island = island(start, seen);
        if (island.stream().noneMatch(this::isKnown)) {
          int highest = start;
          for (int v : island) {
            highest = moving[v] && network.height[v] > network.height[highest] ? v : highest;
          }
          fixed[highest] = network.height[highest];
          pinned = true;
        }
      }
    }
  }

  private List<Integer> island(int start, boolean[] seen) {
    List<Integer> island = new ArrayList<>(List.of(start));
    seen[start] = true;
    for (int i = 0; i < island.size(); i++) {
      for (int l : linksAt[island.get(i)]) {
        int next = other(l, island.get(i));
        if (!seen[next]) {
          seen[next] = true;
          island.add(next);
        }
      }
    }
    return island;
  }

  private int number(List<BitSet> neighbours) {
    BitSet waiting = new BitSet();
    for (int l : live) {
      for (int v : new int[] {network.from[l], network.to[l]}) {
        if (!isKnown(v)) {
          waiting.set(v);
        } else {
          int pinned = v;
          neighbours.get(v).stream().forEach(u -> neighbours.get(u).clear(pinned));
        }
      }
    }
    int next = 0;
    while (!waiting.isEmpty()) {
      int least = leastDegree(waiting, neighbours);
      BitSet around = neighbours.get(least);
      waiting.clear(least);
      row[least] = next++;
      for (int v = around.nextSetBit(0); v >= 0; v = around.nextSetBit(v + 1)) {
        neighbours.get(v).or(around);
        neighbours.get(v).clear(v);
        neighbours.get(v).clear(least);
      }
    }
    return next;
  }

  private static int leastDegree(BitSet waiting, List<BitSet> neighbours) {
    int least = -1;
    int degree = Integer.MAX_VALUE;
    for (int v = waiting.nextSetBit(0); v >= 0; v = waiting.nextSetBit(v + 1)) {
      int d = neighbours.get(v).cardinality();
      if (d < degree) {
        least = v;
        degree = d;
        if (d <= 1) {
          break;
        }
      }
    }
    return least;
  }

  /**
   * Gives every dead end the head of the still water in it, from the network outwards.
   *
   * @param heads heads of all other nodes (m), completed here
   */
  void fillDeadEnds(double[] heads) {
    double[] law = new double[2];
    for (int i = dead.length - 2; i >= 0; i -= 2) {
      int end = dead[i];
      int link = dead[i + 1];
      Loss loss = network.losses[link];
      double parent = heads[other(link, end)];
      if (network.to[link] == end) {
        loss.at(0, law, 0);
        double after = parent - law[0];
        heads[end] = loss instanceof PressureControl hold ? Math.min(hold.limit(), after) : after;
      } else {
        heads[end] = loss.oneWay() ? network.height[end] : parent;
      }
    }
  }
}
