package fernwort.core.network;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;

/** Where what runs away from each fixture goes by its fall, whatever the handles. */
public final class WasteRuns {

  private WasteRuns() {}

  /**
   * One line on the way of some waste.
   *
   * @param fixture id of the fixture
   * @param line the line
   * @param fall how much lower it ends than it starts, in the direction of the water (m)
   */
  public record Run(PartId fixture, Line line, double fall) {
    /** Returns the fall over the length. */
    public double gradient() {
      return fall / line.length();
    }
  }

  /**
   * Returns the lines from each fixture's waste to the tank or end where it stops. O(V + E) each.
   */
  public static List<Run> of(Network network) {
    OpenGraph graph = OpenGraph.withHandlesFree(network);
    List<Run> runs = new ArrayList<>();
    for (Part part : network.rig().parts()) {
      if (part.kind().is(Purpose.USE) && part.kind().ports().contains(PortId.WASTE)) {
        runs.addAll(from(graph, part));
      }
    }
    return runs;
  }

  private static List<Run> from(OpenGraph graph, Part fixture) {
    Network network = graph.network();
    int[] arrival = new int[network.size()];
    Arrays.fill(arrival, -1);
    int start = network.vertex(fixture, PortId.WASTE);
    Deque<Integer> front = new ArrayDeque<>(List.of(start));
    int end = start;
    while (!front.isEmpty()) {
      int v = front.remove();
      Kind kind = network.part(v).kind();
      if (kind.is(Purpose.HOLDS) || kind.is(Purpose.OUTLET)) {
        end = v;
        break;
      }
      for (int e = graph.first(v); e >= 0; e = graph.next(e)) {
        int u = graph.to(e);
        if (u != start && arrival[u] < 0) {
          arrival[u] = e;
          front.add(u);
        }
      }
    }
    return back(graph, fixture, arrival, end);
  }

  private static List<Run> back(OpenGraph graph, Part fixture, int[] arrival, int end) {
    Network network = graph.network();
    List<Run> runs = new ArrayList<>();
    for (int v = end; arrival[v] >= 0; v = graph.from(arrival[v])) {
      int e = arrival[v];
      if (graph.line(e) >= 0) {
        double fall = network.point(graph.from(e)).z() - network.point(graph.to(e)).z();
        runs.addFirst(new Run(fixture.id(), network.rig().lines().get(graph.line(e)), fall));
      }
    }
    return runs;
  }
}
