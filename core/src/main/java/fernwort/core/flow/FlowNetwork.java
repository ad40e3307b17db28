package fernwort.core.flow;

import java.util.Arrays;

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
    fixed = Arrays.copyOf(builder.fixed, builder.nodes);
    height = Arrays.copyOf(builder.height, builder.nodes);
    from = Arrays.copyOf(builder.from, builder.links);
    to = Arrays.copyOf(builder.to, builder.links);
    losses = Arrays.copyOf(builder.losses, builder.links);
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
    return new ReducedNetwork(this).solve();
  }

  /**
   * Does the same, with what is known of networks that are joined alike.
   *
   * @param reductions what is known; more is added
   * @throws UnsettledException when the steps do not settle, with the link that moves most
   */
  public SteadyFlow solve(Reductions reductions) {
    return reductions.of(this).solve();
  }

  /** Adds nodes and links one by one. */
  public static final class Builder {

    /** Room for the nodes and links of an ordinary rig to begin with. */
    public static final int ROOM = 64;

    private double[] fixed = new double[ROOM];
    private double[] height = new double[ROOM];
    private int[] from = new int[ROOM];
    private int[] to = new int[ROOM];
    private Loss[] losses = new Loss[ROOM];
    private int nodes;
    private int links;

    private Builder() {}

    /**
     * Adds a junction.
     *
     * @param atHeight where it is (m), which is its head when nothing else gives it one
     * @return its number
     */
    public int junction(double atHeight) {
      return node(Double.NaN, atHeight);
    }

    /**
     * Adds a node of known head (m).
     *
     * @return its number
     */
    public int reservoir(double head) {
      return node(head, head);
    }

    private int node(double head, double atHeight) {
      if (nodes == fixed.length) {
        fixed = Arrays.copyOf(fixed, 2 * nodes);
        height = Arrays.copyOf(height, 2 * nodes);
      }
      fixed[nodes] = head;
      height[nodes] = atHeight;
      return nodes++;
    }

    /**
     * Adds a link.
     *
     * @return its number
     */
    public int link(int first, int second, Loss loss) {
      if (links == losses.length) {
        from = Arrays.copyOf(from, 2 * links);
        to = Arrays.copyOf(to, 2 * links);
        losses = Arrays.copyOf(losses, 2 * links);
      }
      from[links] = first;
      to[links] = second;
      losses[links] = loss;
      return links++;
    }

    /** Returns the network. */
    public FlowNetwork build() {
      return new FlowNetwork(this);
    }
  }
}
