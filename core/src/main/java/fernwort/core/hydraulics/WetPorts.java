package fernwort.core.hydraulics;

import fernwort.core.flow.Fluid;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Given;
import fernwort.core.kind.Link;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Joined;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.network.Outlets;
import fernwort.core.rig.Part;
import fernwort.core.ways.AirSearch;
import fernwort.core.ways.OpenWays;
import java.util.List;
import java.util.Map;

/**
 * Which ports of a rig stand under water in one state, and which of them are one: those that a body
 * joins without loss, and those under the water of one tank. Near-linear in the passages.
 */
final class WetPorts {

  private final OpenGraph graph;
  private final Network network;
  private final Levels levels;
  private final Conditions conditions;
  private final Fluid water;
  private final Reach reach;
  private final Outlets outlets;
  private final Joined joined;

  WetPorts(OpenGraph graph, Levels levels, Conditions conditions) {
    this.graph = graph;
    this.levels = levels;
    this.conditions = conditions;
    network = graph.network();
    water = conditions.water();
    outlets = graph.outlets();
    reach = new Reach(graph, levels, conditions.carried().airlocked());
    joined = new Joined(network.size());
    flood();
    join();
  }

  OpenGraph graph() {
    return graph;
  }

  Network network() {
    return network;
  }

  Levels levels() {
    return levels;
  }

  Conditions conditions() {
    return conditions;
  }

  Outlets outlets() {
    return outlets;
  }

  /** Tells whether no water stands at a port. */
  boolean isDry(int vertex) {
    return reach.dry[vertex];
  }

  /** Returns the one that stands for all ports that are one with this. */
  int one(int vertex) {
    return joined.find(vertex);
  }

  /** Tells whether water stands in a passage that takes some head. */
  boolean holds(int e) {
    return reach.holds(e);
  }

  /** The lines by which each tank breathes, where nobody has found them out before. */
  Map<PartId, List<LineId>> ventLines() {
    boolean[] wet = new boolean[network.size()];
    for (int v = 0; v < wet.length; v++) {
      wet[v] = !reach.dry[v];
    }
    return Vents.lines(new AirSearch(graph, levels, outlets.openings(), wet).find());
  }

  private void flood() {
    for (Part part : network.sources()) {
      int v = network.first(network.index(part.id()));
      if (part.kind().is(Purpose.HOLDS)) {
        for (int port : network.tankPortsAt(v)) {
          if (levels.wet(port)) {
            reach.from(port, surface(part));
          }
        }
      } else if (gives(part)) {
        reach.from(v, supplyHead(part, v));
      }
    }
    for (LineId line : conditions.carried().runningFull()) {
      reach.runsFull(network.lineNumber(line));
    }
    reach.run();
  }

  boolean gives(Part source) {
    return graph.setting().given(source).isPresent()
        && !conditions.carried().emptyJugs().contains(source.id());
  }

  double surface(Part tank) {
    return levels.surface(tank.id()) + conditions.airHead(tank.id());
  }

  /** The height to which what a source gives would rise, or stands (m). */
  double supplyHead(Part part, int v) {
    Given given = graph.setting().given(part).orElseThrow();
    return switch (given.from()) {
      case MAINS -> levels.height(v) + water.head(given.pressure());
      case OUTSIDE -> given.height();
      case JUG, NECK -> levels.height(v) + OpenWays.POURING_HEIGHT;
    };
  }

  /**
   * Joins the ports between which a body takes no head, and the ports of a tank under its water.
   */
  private void join() {
    for (int e = 0; e < graph.edges(); e++) {
      if (isFree(e) && reach.holds(e)) {
        joined.join(graph.from(e), graph.to(e));
      }
    }
    for (int tank = 0; tank < network.tanks().size(); tank++) {
      int first = -1;
      for (int v : network.tankVertices(tank)) {
        if (levels.wet(v) && v != spill(tank)) {
          first = first < 0 ? v : first;
          joined.join(first, v);
        }
      }
    }
  }

  /** The port at which a tank spills, as a vertex; −1 for none. */
  int spill(int tank) {
    Part part = network.tanks().get(tank);
    PortId port = conditions.carried().spilling().get(part.id());
    return port == null ? -1 : network.vertex(part, port);
  }

  /** Where air meets the water at a port; at one that spills, over the crest behind it. */
  double spillHeight(int v) {
    Part part = network.part(v);
    return network.port(v).equals(conditions.carried().spilling().get(part.id()))
        ? levels.surface(part.id())
        : levels.height(v);
  }

  boolean isFree(int e) {
    boolean passage = graph.law(e) == Link.Law.FREE || graph.law(e) == Link.Law.SEAL;
    return passage && graph.line(e) < 0 && !network.is(graph.from(e), Purpose.FILTERS);
  }
}
