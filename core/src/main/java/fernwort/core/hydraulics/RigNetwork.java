package fernwort.core.hydraulics;

import fernwort.core.flow.FlowNetwork;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.kind.Kind;
import fernwort.core.rig.Part;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The flow network of one state, with what its nodes and links stand for in the rig.
 *
 * @param flowNetwork junctions, reservoirs and links
 * @param node the node of each port, by its vertex; −1 for a dry one
 * @param breathing the node of each tank's water, by its place in the rig; −1 where its air has no
 *     friction
 * @param stands what each link stands for
 * @param gates where water leaves or enters
 * @param airLinks the link by which air comes to each vertex that is open to it
 * @param pumpLinks the link of each pump, by its index
 * @param ventLinks the link by which each tank breathes, by its place in the rig
 * @param spillLinks the link by which each tank spills, by its place in the rig
 */
record RigNetwork(
    FlowNetwork flowNetwork,
    int[] node,
    int[] breathing,
    List<Stands> stands,
    List<Gate> gates,
    Map<Integer, Integer> airLinks,
    Map<Integer, Integer> pumpLinks,
    Map<Integer, Integer> ventLinks,
    Map<Integer, Integer> spillLinks) {

  /** What a link stands for: a line or a part. */
  record Stands(Optional<LineId> line, Part part) {}

  /**
   * Where water leaves or enters the network, and the link it does so by.
   *
   * @param sign 1 where flow along the link counts for the part, −1 where it counts against it
   */
  record Gate(Kind kind, PartId part, int link, int sign) {
    enum Kind {
      FIXTURE,
      END,
      TANK,
      SUPPLY
    }
  }

  /** Returns what people call the thing that a link stands for. */
  String nameOf(int link) {
    return stands.get(link).line().map(l -> "line " + l).orElse(stands.get(link).part().label());
  }

  /** Returns the link by which air comes to a vertex that is open to it. */
  int airLink(int vertex) {
    Integer link = airLinks.get(vertex);
    if (link == null) {
      throw new IllegalStateException("no link for vertex " + vertex);
    }
    return link;
  }
}
