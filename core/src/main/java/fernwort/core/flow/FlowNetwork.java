package fernwort.core.flow;

import java.util.ArrayList;
import java.util.List;

/**
 * Junctions, whose heads are wanted, and reservoirs, whose heads are known, joined by links.
 *
 * <p>Immutable once built; nodes and links are numbered in the order they were added.
 */
public final class FlowNetwork {

  final double[] fixed;
  final double[] height;
  final int[] from;
  final int[] to;
  final Loss[] losses;

  private FlowNetwork(Builder builder) {
    fixed = builder.fixed.stream().mapToDouble(Double::doubleValue).toArray();
    height = builder.height.stream().mapToDouble(Double::doubleValue).toArray();
    from = builder.from.stream().mapToInt(Integer::intValue).toArray();
    to = builder.to.stream().mapToInt(Integer::intValue).toArray();
    losses = builder.losses.toArray(Loss[]::new);
  }

  /** Starts a network. */
  public static Builder builder() {
    return new Builder();
  }

  /** Returns how many nodes there are. */
  public int size() {
    return fixed.length;
  }

  /** Tells whether a node's head is known. */
  public boolean isReservoir(int node) {
    return !Double.isNaN(fixed[node]);
  }

  /** Returns the known head of a reservoir, or the height of a junction (m). */
  public double head(int node) {
    return isReservoir(node) ? fixed[node] : height[node];
  }

  /** Returns how many links there are. */
  public int linkCount() {
    return losses.length;
  }

  /** Returns the first node of a link. */
  public int from(int link) {
    return from[link];
  }

  /** Returns the second node of a link. */
  public int to(int link) {
    return to[link];
  }

  /** Returns the law of a link. */
  public Loss loss(int link) {
    return losses[link];
  }

  /**
   * Finds the flow in every link and the head at every node.
   *
   * @throws UnsettledException when the steps do not settle, with the link that moves most
   */
  public SteadyFlow solve() {
    return new Newton(this).solve();
  }

  /** Adds nodes and links one by one. */
  public static final class Builder {
    private final List<Double> fixed = new ArrayList<>();
    private final List<Double> height = new ArrayList<>();
    private final List<Integer> from = new ArrayList<>();
    private final List<Integer> to = new ArrayList<>();
    private final List<Loss> losses = new ArrayList<>();

    private Builder() {}

    /**
     * Adds a junction.
     *
     * @param atHeight where it is (m), which is its head when nothing else gives it one
     * @return its number
     */
    public int junction(double atHeight) {
      fixed.add(Double.NaN);
      height.add(atHeight);
      return fixed.size() - 1;
    }

    /**
     * Adds a node of known head (m).
     *
     * @return its number
     */
    public int reservoir(double head) {
      fixed.add(head);
      height.add(head);
      return fixed.size() - 1;
    }

    /**
     * Adds a link.
     *
     * @return its number
     */
    public int link(int first, int second, Loss loss) {
      from.add(first);
      to.add(second);
      losses.add(loss);
      return losses.size() - 1;
    }

    /** Returns the network. */
    public FlowNetwork build() {
      return new FlowNetwork(this);
    }
  }
}
