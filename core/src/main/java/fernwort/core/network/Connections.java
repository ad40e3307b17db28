package fernwort.core.network;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Setting;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * What is joined to what through open passages, whatever the heights and whether or not anything
 * drives water there now: the question to ask about water that must never meet.
 *
 * <p>Breadth first over the open passages, O(E).
 */
public final class Connections {

  private final OpenGraph graph;
  private final Network network;

  private Connections(Network network, OpenGraph graph) {
    this.network = network;
    this.graph = graph;
  }

  /** Returns the connections of a setting. */
  public static Connections of(Network network, Setting setting) {
    return new Connections(network, new OpenGraph(network, setting));
  }

  /** Returns the connections that the layout allows, with every handle free. */
  public static Connections withHandlesFree(Network network) {
    return new Connections(network, OpenGraph.withHandlesFree(network));
  }

  /**
   * Returns the shortest open route from a part to another, as part ids.
   *
   * @param start id of the part to start from, by any of its ports but a fixture's waste
   * @param avoid parts that the route must not pass
   * @param goal the parts looked for; a tank or fixture is reached, never passed
   */
  public Optional<List<PartId>> route(PartId start, Predicate<Part> avoid, Predicate<Part> goal) {
    int first = network.first(network.index(start));
    return route(first, network.first(network.index(start) + 1), avoid, goal);
  }

  /**
   * Returns the shortest open route from one port of a part to another part, as part ids.
   *
   * @param start id of the part to start from
   * @param port its port
   * @param avoid parts that the route must not pass
   * @param goal the parts looked for
   */
  public Optional<List<PartId>> behind(
      PartId start, PortId port, Predicate<Part> avoid, Predicate<Part> goal) {
    int v = network.vertex(new PortRef(start, port));
    return route(v, v + 1, avoid, goal);
  }

  /**
   * Returns the shortest open route from some ports of a tank to another part, as part ids.
   *
   * @param tank the tank
   * @param ports which of its ports let water out
   * @param goal the parts looked for
   */
  public Optional<List<PartId>> leaving(Part tank, Predicate<PortId> ports, Predicate<Part> goal) {
    for (PortId port : tank.kind().ports()) {
      Optional<List<PartId>> route =
          ports.test(port) ? behind(tank.id(), port, p -> false, goal) : Optional.empty();
      if (route.isPresent()) {
        return route;
      }
    }
    return Optional.empty();
  }

  private Optional<List<PartId>> route(
      int first, int last, Predicate<Part> avoid, Predicate<Part> goal) {
    int n = network.size();
    int[] from = new int[n];
    Arrays.fill(from, -2);
    int[] queue = new int[n];
    int write = 0;
    for (int v = first; v < last; v++) {
      from[v] = -1;
      queue[write++] = v;
    }
    for (int read = 0; read < write; read++) {
      int v = queue[read];
      Part part = network.part(v);
      if (v < first || v >= last) {
        if (goal.test(part) && !isWaste(v)) {
          return Optional.of(route(from, v));
        }
      }
      for (int e = graph.first(v); e >= 0; e = graph.next(e)) {
        int u = graph.to(e);
        if (from[u] == -2 && !avoid.test(network.part(u))) {
          from[u] = v;
          queue[write++] = u;
        }
      }
      if (part.kind().is(Purpose.REGULATES) && network.port(v).equals(PortId.OUT)) {
        // No barrier to rely on: many let water back when the pressure before them drops.
        int in = v - 1;
        if (from[in] == -2 && !avoid.test(part)) {
          from[in] = v;
          queue[write++] = in;
        }
      }
    }
    return Optional.empty();
  }

  private boolean isWaste(int v) {
    return network.part(v).kind().is(Purpose.USE) && network.port(v).equals(PortId.WASTE);
  }

  private List<PartId> route(int[] from, int end) {
    Set<PartId> parts = new LinkedHashSet<>();
    for (int v = end; v >= 0; v = from[v]) {
      parts.add(network.part(v).id());
    }
    return new ArrayList<>(parts).reversed();
  }
}
