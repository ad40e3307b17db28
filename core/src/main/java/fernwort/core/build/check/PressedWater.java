package fernwort.core.build.check;

import fernwort.core.kind.Given;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Where water comes that mains or running pumps press, in one setting, for many ways of joining the
 * same lines: at which taps, cold or hot, into which tanks, out of which open ends.
 *
 * <p>Two walks over the ports along what is open, one that passes no heater and one that does; O(E)
 * each. Heights are left out: what is pressed rises anywhere in a vehicle.
 */
final class PressedWater {

  static final byte NOTHING = 0;
  static final byte COLD = 1;
  static final byte HOT = 2;

  private final Network network;
  private final int[] first;
  private final int[] next;
  private final int[] to;
  private final boolean[] heats;
  private final int vertices;
  private final List<int[]> pumps = new ArrayList<>();
  private final List<Integer> mains = new ArrayList<>();
  private final int[] tankPorts;
  private final int[] outlets;
  private final boolean[] cold;
  private final boolean[] warm;
  private final boolean[] drawn;
  private final int[] queue;

  /**
   * Prepares a setting.
   *
   * @param outlets the ports at which somebody looks
   */
  PressedWater(Network network, Setting setting, int[] outlets) {
    this.network = network;
    this.outlets = outlets;
    OpenGraph graph = new OpenGraph(network, setting);
    vertices = network.size();
    first = new int[vertices];
    Arrays.fill(first, -1);
    next = new int[graph.edges()];
    to = new int[graph.edges()];
    heats = new boolean[graph.edges()];
    for (int e = 0; e < graph.edges(); e++) {
      if (graph.line(e) < 0) {
        next[e] = first[graph.from(e)];
        first[graph.from(e)] = e;
        to[e] = graph.to(e);
        heats[e] = network.part(graph.from(e)).kind().is(Purpose.HEATS);
      }
    }
    List<Integer> tanks = new ArrayList<>();
    for (Part part : network.rig().parts()) {
      int v = network.first(network.index(part.id()));
      Optional<Given.From> from = graph.setting().given(part).map(Given::from);
      if (part.kind().is(Purpose.DRIVES) && graph.is(part, Kind.ON)) {
        pumps.add(new int[] {v, v + 1});
      } else if (from.filter(f -> f == Given.From.MAINS).isPresent()) {
        mains.add(v);
      } else if (from.filter(f -> f == Given.From.OUTSIDE).isPresent()) {
        tanks.add(v);
      }
      List<TankPort> openings = part.kind().tankPorts();
      for (int i = 0; i < openings.size(); i++) {
        if (openings.get(i).use().givesToPumps()) {
          tanks.add(v + i);
        }
      }
    }
    tankPorts = tanks.stream().mapToInt(i -> i).toArray();
    cold = new boolean[vertices];
    warm = new boolean[vertices];
    drawn = new boolean[vertices];
    queue = new int[vertices];
  }

  /** Tells whether anything presses at all. */
  boolean isDriven() {
    return !pumps.isEmpty() || !mains.isEmpty();
  }

  /**
   * Returns what comes at each outlet.
   *
   * @param across for each port the one at the other end of its line, −1 for none
   */
  byte[] look(int[] across) {
    Arrays.fill(cold, false);
    Arrays.fill(warm, false);
    for (int v : mains) {
      walk(cold, v, across, false);
      walk(warm, v, across, true);
    }
    for (int[] pump : pumps) {
      if (draws(pump, across)) {
        walk(cold, pump[1], across, false);
        walk(warm, pump[1], across, true);
      }
    }
    byte[] seen = new byte[outlets.length];
    for (int i = 0; i < outlets.length; i++) {
      int v = outlets[i];
      seen[i] = cold[v] ? COLD : warm[v] ? HOT : NOTHING;
    }
    return seen;
  }

  /** Whether water of a tank, or water that is pressed already, comes to a pump's inlet. */
  private boolean draws(int[] pump, int[] across) {
    Arrays.fill(drawn, false);
    // Water does not come through the pump itself to its inlet.
    drawn[pump[1]] = true;
    for (int v : tankPorts) {
      walk(drawn, v, across, true);
    }
    return drawn[pump[0]] || warm[pump[0]];
  }

  private void walk(boolean[] seen, int start, int[] across, boolean throughHeaters) {
    if (seen[start]) {
      return;
    }
    int head = 0;
    int tail = 0;
    seen[start] = true;
    queue[tail++] = start;
    while (head < tail) {
      int v = queue[head++];
      int far = across[v];
      if (far >= 0 && !seen[far]) {
        seen[far] = true;
        queue[tail++] = far;
      }
      for (int e = first[v]; e >= 0; e = next[e]) {
        int w = to[e];
        if (!seen[w] && (throughHeaters || !heats[e])) {
          seen[w] = true;
          queue[tail++] = w;
        }
      }
    }
  }
}
