package fernwort.core.streams;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Link;
import fernwort.core.kind.PortFlow;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.network.Passage;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Deque;
import java.util.List;

/**
 * Which way water can ever go, with every handle free: what the layout alone permits.
 *
 * <p>One breadth-first search each for sources and ends, per check valve: O(valves · E).
 */
public final class Directions {

  private final Network network;
  private final List<List<Integer>> onward = new ArrayList<>();

  private Directions(Network network) {
    this.network = network;
    for (int v = 0; v < network.size(); v++) {
      onward.add(new ArrayList<>());
    }
    for (Line line : network.rig().lines()) {
      both(line.from(), line.to());
    }
    for (int part = 0; part < network.rig().parts().size(); part++) {
      add(part);
    }
  }

  /** Looks at a rig. */
  public static Directions of(Network network) {
    return new Directions(network);
  }

  /** What a pump lets pass at rest is not its way; checks are looked at one by one. */
  private void add(int part) {
    List<Passage> all = network.passages(part);
    boolean drives = all.stream().anyMatch(p -> p.law() == Link.Law.DRIVE);
    for (Passage passage : all) {
      if (drives ? passage.law() == Link.Law.DRIVE : passage.law() != Link.Law.CHECK) {
        onward.get(passage.from()).add(passage.to());
      }
    }
  }

  private void both(PortRef a, PortRef b) {
    onward.get(network.vertex(a)).add(network.vertex(b));
    onward.get(network.vertex(b)).add(network.vertex(a));
  }

  /**
   * Returns the ids of check valves that no water can ever pass as they are fitted, but could if
   * they were turned round.
   */
  public List<PartId> reversedCheckValves() {
    List<PartId> reversed = new ArrayList<>();
    for (Part part : network.rig().parts()) {
      if (part.kind().is(Purpose.CHECKS)) {
        int in = network.vertex(part, PortId.IN);
        int out = network.vertex(part, PortId.OUT);
        if (!passes(part, in, out) && passes(part, out, in)) {
          reversed.add(part.id());
        }
      }
    }
    return reversed;
  }

  private boolean passes(Part valve, int in, int out) {
    BitSet fromSources = reach(valve, sources());
    return fromSources.get(in) && reach(valve, List.of(out)).stream().anyMatch(this::isEnd);
  }

  private List<Integer> sources() {
    List<Integer> sources = new ArrayList<>();
    for (int v = 0; v < network.size(); v++) {
      if (isSource(v)) {
        sources.add(v);
      }
    }
    return sources;
  }

  private boolean isSource(int v) {
    Kind kind = network.part(v).kind();
    return kind.is(Purpose.SOURCE) || kind.is(Purpose.END) && leadsOut(v);
  }

  private boolean isEnd(int v) {
    Kind kind = network.part(v).kind();
    return kind.is(Purpose.END) && (kind.is(Purpose.HOLDS) || !leadsOut(v));
  }

  private boolean leadsOut(int v) {
    return network.part(v).kind().flow(network.port(v)) == PortFlow.OUT;
  }

  /** The ports reached without passing one part; other check valves let water through their way. */
  private BitSet reach(Part without, List<Integer> starts) {
    BitSet seen = new BitSet();
    Deque<Integer> queue = new ArrayDeque<>(starts);
    starts.forEach(seen::set);
    while (!queue.isEmpty()) {
      int v = queue.remove();
      for (int u : next(without, v)) {
        if (!seen.get(u)) {
          seen.set(u);
          queue.add(u);
        }
      }
    }
    return seen;
  }

  private List<Integer> next(Part without, int v) {
    Part part = network.part(v);
    boolean other = part.kind().is(Purpose.CHECKS) && !part.id().equals(without.id());
    if (other && network.port(v).equals(PortId.IN)) {
      List<Integer> on = new ArrayList<>(onward.get(v));
      on.add(network.vertex(part, PortId.OUT));
      return on;
    }
    return onward.get(v);
  }
}
