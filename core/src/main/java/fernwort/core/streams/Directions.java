package fernwort.core.streams;

import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Stop;
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

  private final Plumbing plumbing;
  private final List<List<Integer>> onward = new ArrayList<>();

  private Directions(Plumbing plumbing) {
    this.plumbing = plumbing;
    for (int v = 0; v < plumbing.size(); v++) {
      onward.add(new ArrayList<>());
    }
    for (Line line : plumbing.rig().lines()) {
      both(line.from(), line.to());
    }
    plumbing.rig().parts().forEach(this::add);
  }

  /** Looks at a rig. */
  public static Directions of(Plumbing plumbing) {
    return new Directions(plumbing);
  }

  private void add(Part part) {
    switch (part.kind()) {
      case Kind.Valve valve -> {
        for (Stop stop : valve.stops()) {
          stop.joins().forEach(group -> joinAll(part, group));
        }
      }
      case Kind.Tee k -> joinAll(part, k.ports());
      case Kind.Manifold k -> joinAll(part, k.ports());
      case Kind.Heater k -> joinAll(part, k.ports());
      case Kind.GravityFiller k -> joinAll(part, k.ports());
      case Kind.Strainer k -> joinAll(part, k.ports());
      case Kind.Filter k -> joinAll(part, k.ports());
      case Kind.DrainTrap k -> joinAll(part, k.ports());
      case Kind.Regulator k -> oneWay(part);
      case Kind.Pump k -> oneWay(part);
      case Kind.Macerator k -> oneWay(part);
      case Kind.CheckValve k -> {}
      case Kind.LeakTray k -> {}
      case Kind.HoseInlet k -> {}
      case Kind.OpenEnd k -> {}
      case Kind.Tank k -> {}
      case Kind.AirAdmittanceValve k -> {}
      case Kind.Accumulator k -> {}
      case Kind.Fixture k -> {}
      case Kind.PortableContainer k -> {}
      case Kind.Plug k -> {}
    }
  }

  private void joinAll(Part part, List<String> ports) {
    for (String a : ports) {
      for (String b : ports) {
        if (!a.equals(b)) {
          onward.get(plumbing.vertex(part, a)).add(plumbing.vertex(part, b));
        }
      }
    }
  }

  private void oneWay(Part part) {
    onward.get(plumbing.vertex(part, "in")).add(plumbing.vertex(part, "out"));
  }

  private void both(PortRef a, PortRef b) {
    onward.get(plumbing.vertex(a)).add(plumbing.vertex(b));
    onward.get(plumbing.vertex(b)).add(plumbing.vertex(a));
  }

  /**
   * Returns the ids of check valves that no water can ever pass as they are fitted, but could if
   * they were turned round.
   */
  public List<String> reversedCheckValves() {
    List<String> reversed = new ArrayList<>();
    for (Part part : plumbing.rig().parts()) {
      if (part.kind() instanceof Kind.CheckValve) {
        int in = plumbing.vertex(part, "in");
        int out = plumbing.vertex(part, "out");
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
    for (int v = 0; v < plumbing.size(); v++) {
      if (isSource(v)) {
        sources.add(v);
      }
    }
    return sources;
  }

  private boolean isSource(int v) {
    return switch (plumbing.part(v).kind()) {
      case Kind.HoseInlet k -> true;
      case Kind.Tank k -> true;
      case Kind.PortableContainer k -> true;
      case Kind.Fixture k -> plumbing.port(v).equals("waste");
      case Kind.GravityFiller _,
          Kind.OpenEnd _,
          Kind.Valve _,
          Kind.Pump _,
          Kind.Heater _,
          Kind.Macerator _,
          Kind.Plug _,
          Kind.Fitting _ ->
          false;
    };
  }

  private boolean isEnd(int v) {
    return switch (plumbing.part(v).kind()) {
      case Kind.Tank k -> true;
      case Kind.OpenEnd k -> true;
      case Kind.Plug k -> k.removable();
      case Kind.Fixture k -> !plumbing.port(v).equals("waste");
      case Kind.HoseInlet _,
          Kind.GravityFiller _,
          Kind.Valve _,
          Kind.Pump _,
          Kind.Heater _,
          Kind.PortableContainer _,
          Kind.Macerator _,
          Kind.Fitting _ ->
          false;
    };
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
    Part part = plumbing.part(v);
    boolean other = part.kind() instanceof Kind.CheckValve && !part.id().equals(without.id());
    if (other && plumbing.port(v).equals("in")) {
      List<Integer> on = new ArrayList<>(onward.get(v));
      on.add(plumbing.vertex(part, "out"));
      return on;
    }
    return onward.get(v);
  }
}
