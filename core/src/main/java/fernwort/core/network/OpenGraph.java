package fernwort.core.network;

import fernwort.core.graph.Arcs;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Link;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.BitSet;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * The open passages of one setting, as forward lists of directed edges. Safe to share.
 *
 * <p>Each edge leads from one port to another, through a part or along a line.
 */
public final class OpenGraph implements Arcs {

  private final Network network;
  private final Setting setting;

  /** Whether every handle is taken to stand in all its positions at once. */
  private final boolean free;

  private final int[] first;
  private final int[] next;
  private final int[] from;
  private final int[] to;
  private final int[] line;
  private final Link.Law[] laws;

  /** Head lost (check valve) or held (regulator) in metres. */
  private final double[] value;

  private int edges;

  /** Of each vertex the last passage into it, and of each passage the one into it before. */
  private record Into(int[] last, int[] previous) {}

  private volatile @Nullable Into into;
  private volatile @Nullable Outlets outlets;

  public OpenGraph(Network network, Setting setting) {
    this(network, setting, false);
  }

  /** Returns the passages that the layout allows, each handle in all its positions at once. */
  public static OpenGraph withHandlesFree(Network network) {
    return new OpenGraph(network, network.rig().atRest(), true);
  }

  private OpenGraph(Network network, Setting setting, boolean free) {
    this.network = network;
    this.setting = setting;
    this.free = free;
    int room = network.mostPassages();
    first = new int[network.size()];
    Arrays.fill(first, -1);
    next = new int[room];
    from = new int[room];
    to = new int[room];
    line = new int[room];
    laws = new Link.Law[room];
    value = new double[room];
    addLines();
    for (int i = 0; i < network.rig().parts().size(); i++) {
      for (Passage p : free ? network.passages(i) : network.passages(i, setting)) {
        add(p.from(), p.to(), -1, p.law(), p.head());
      }
    }
  }

  private void addLines() {
    for (int i = 0; i < network.rig().lines().size(); i++) {
      int a = network.lineFrom(i);
      int b = network.lineTo(i);
      if (!network.pours(i) || !isStowed(network.part(a)) && !isStowed(network.part(b))) {
        add(a, b, i, Link.Law.FREE, 0);
        add(b, a, i, Link.Law.FREE, 0);
      }
    }
  }

  /** A stowed jug is joined to nothing, whatever line it pours through. */
  private boolean isStowed(Part part) {
    return !free && part.kind().is(Purpose.CARRIED) && is(part, PortableContainer.STOWED.id());
  }

  private void add(int a, int b, int lineIndex, Link.Law law, double amount) {
    from[edges] = a;
    to[edges] = b;
    line[edges] = lineIndex;
    laws[edges] = law;
    value[edges] = amount;
    next[edges] = first[a];
    first[a] = edges++;
  }

  /** Returns the last passage that leads into a vertex, or −1; with {@link #previousInto}. */
  public int lastInto(int vertex) {
    return into().last[vertex];
  }

  /** Returns the passage before this one that leads into the same vertex, or −1. */
  public int previousInto(int edge) {
    return into().previous[edge];
  }

  private Into into() {
    Into known = into;
    if (known == null) {
      int[] last = new int[first.length];
      Arrays.fill(last, -1);
      int[] previous = new int[edges];
      for (int e = 0; e < edges; e++) {
        previous[e] = last[to[e]];
        last[to[e]] = e;
      }
      known = new Into(last, previous);
      into = known;
    }
    return known;
  }

  /** Returns where water can leave, and where air can pass. */
  public Outlets outlets() {
    Outlets known = outlets;
    if (known == null) {
      known = new Outlets(this);
      outlets = known;
    }
    return known;
  }

  /**
   * Returns a number for each vertex that is the same for all that open passages join, whichever
   * way these lead. Union-find, near O(E).
   */
  public int[] islands() {
    Joined joined = new Joined(first.length);
    for (int e = 0; e < edges; e++) {
      joined.join(from[e], to[e]);
    }
    int[] islands = new int[first.length];
    Arrays.setAll(islands, joined::find);
    return islands;
  }

  /** Returns the ports that open passages lead to from some ports, those included. O(V + E). */
  public BitSet reached(IntStream ports) {
    BitSet reached = new BitSet(first.length);
    ArrayDeque<Integer> front = new ArrayDeque<>();
    ports.forEach(v -> {
      reached.set(v);
      front.add(v);
    });
    while (!front.isEmpty()) {
      for (int e = first[front.remove()]; e >= 0; e = next[e]) {
        if (!reached.get(to[e])) {
          reached.set(to[e]);
          front.add(to[e]);
        }
      }
    }
    return reached;
  }

  /** Tells whether a part stands in this position. */
  public boolean is(Part part, PositionId position) {
    return setting.of(part.id()).equals(position);
  }

  /** Returns the rig. */
  public Network network() {
    return network;
  }

  /** Returns how the handles stand. */
  public Setting setting() {
    return setting;
  }

  /** Returns the number of passages. */
  public int edges() {
    return edges;
  }

  @Override
  public int points() {
    return first.length;
  }

  /** Returns the same passages as they lead into each port instead of out of it. */
  public Arcs backward() {
    Into known = into();
    return new Arcs() {
      @Override
      public int points() {
        return first.length;
      }

      @Override
      public int first(int port) {
        return known.last[port];
      }

      @Override
      public int next(int passage) {
        return known.previous[passage];
      }

      @Override
      public int to(int passage) {
        return from[passage];
      }
    };
  }

  /** Returns the first passage out of a port, −1 for none. */
  @Override
  public int first(int port) {
    return first[port];
  }

  /** Returns the passage after another out of the same port, −1 for none. */
  @Override
  public int next(int passage) {
    return next[passage];
  }

  /** Returns the port that a passage leads out of. */
  public int from(int passage) {
    return from[passage];
  }

  /** Returns the port that a passage leads to. */
  @Override
  public int to(int passage) {
    return to[passage];
  }

  /** Returns the number of the line that a passage is, −1 for one inside a part. */
  public int line(int passage) {
    return line[passage];
  }

  /** Returns what a passage does to the water. */
  public Link.Law law(int passage) {
    return laws[passage];
  }

  /** Returns the head that a passage takes (check valve) or holds (regulator) (m). */
  public double value(int passage) {
    return value[passage];
  }
}
