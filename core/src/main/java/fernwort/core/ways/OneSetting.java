package fernwort.core.ways;

import fernwort.core.effort.Effort;
import fernwort.core.kind.Link;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.rig.Part;
import java.util.HashSet;
import java.util.Set;

/**
 * Whether one setting of the handles lets water pass from a part to another. {@link HandleDistance}
 * counts what each handle on the way has to be turned, and may turn one handle two ways: a selector
 * that joins its middle to either side seems to join the sides.
 *
 * <p>A way that passes no valve twice is one that a setting allows, and the other way round. All
 * such ways are tried, deepest first; a rig with a great many is given the benefit of the doubt.
 */
public final class OneSetting {

  private static final int MOST_STEPS = 50_000;

  private final Network network;
  private final OpenGraph free;
  private final Part goal;
  private final Set<Integer> seen = new HashSet<>();
  private final Set<Part> passed = new HashSet<>();
  private int steps;

  private OneSetting(Network network, Part goal) {
    this.network = network;
    this.goal = goal;
    free = OpenGraph.withHandlesFree(network);
  }

  /** Tells whether one setting joins two parts, no pump driving the water. */
  public static boolean joins(Network network, Part from, Part to) {
    OneSetting search = new OneSetting(network, to);
    int first = network.first(network.index(from.id()));
    for (int v = first; v < first + from.kind().ports().size(); v++) {
      if (search.leads(v)) {
        return true;
      }
    }
    return false;
  }

  private boolean leads(int v) {
    if (network.part(v).equals(goal) || ++steps > MOST_STEPS) {
      return true;
    }
    Effort.look();
    seen.add(v);
    boolean found = false;
    for (int e = free.first(v); e >= 0 && !found; e = free.next(e)) {
      found = free.law(e) != Link.Law.DRIVE && !seen.contains(free.to(e)) && passes(e);
    }
    // Another way may come here past other valves.
    seen.remove(v);
    return found;
  }

  /** Goes on through a passage: along a line, or through a part that was not passed before. */
  private boolean passes(int e) {
    Part part = network.part(free.from(e));
    boolean enters = free.line(e) < 0 && !isMiddle(free.from(e), part);
    if (!enters) {
      return leads(free.to(e));
    }
    if (!passed.add(part)) {
      return false;
    }
    boolean found = leads(free.to(e));
    passed.remove(part);
    return found;
  }

  /** The middle of a part that joins more than two of its ports. */
  private boolean isMiddle(int v, Part part) {
    return v >= network.first(network.index(part.id())) + part.kind().ports().size();
  }
}
