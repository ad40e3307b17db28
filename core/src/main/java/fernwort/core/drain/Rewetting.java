package fernwort.core.drain;

import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Setting;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Water that came back into a rig that was drained: whatever it could reach as the handles stand
 * counts as full, on the safe side, for nobody saw how far it came.
 */
public final class Rewetting {

  private final Network network;
  private final Levels levels;
  private final int[] islands;

  /** Islands that the pressure of mains or of a pump reaches, however high. */
  private final Set<Integer> pressed = new HashSet<>();

  private Rewetting(Network network, Wintering now) {
    this.network = network;
    Setting setting = now.state().setting();
    levels = Levels.of(network, now.state());
    islands = new OpenGraph(network, setting).islands();
    Set<Integer> fed = fed();
    for (Part part : network.rig().parts()) {
      boolean mains =
          part.kind().is(Purpose.INLET) && setting.of(part.id()).equals(HoseInlet.MAINS.id());
      boolean pump =
          part.kind().is(Purpose.PUMPS)
              && setting.of(part.id()).equals(Kind.ON)
              && fed.contains(islands[network.vertex(part, PortId.IN)]);
      if (mains || pump) {
        part.kind().ports().forEach(port -> pressed.add(islands[network.vertex(part, port)]));
      }
    }
  }

  /** Returns a rig with all that water can reach in it full. */
  public static Wintering of(Network network, Wintering now) {
    return new Rewetting(network, now).wet(now);
  }

  /** The islands that a tank's water stands in. */
  private Set<Integer> fed() {
    Set<Integer> fed = new HashSet<>();
    for (int t = 0; t < network.tanks().size(); t++) {
      for (int vertex : network.tankVertices(t)) {
        if (levels.wet(vertex)) {
          fed.add(islands[vertex]);
        }
      }
    }
    return fed;
  }

  private Wintering wet(Wintering now) {
    Wetness full = Filled.of(network, now.state()).wetness();
    Wetness wet = now.wetness();
    for (Line line : network.rig().lines()) {
      if (full.lines().containsKey(line.id()) && (reaches(line.from()) || reaches(line.to()))) {
        wet = wet.with(line.id(), List.of(new Stretch(0, line.length())));
      }
    }
    for (Part part : network.rig().parts()) {
      if (full.bodies().containsKey(part.id())
          && part.kind().ports().stream().anyMatch(p -> reaches(part.port(p)))) {
        wet = wet.withBody(part.id(), full.body(part.id()));
      }
    }
    return now.with(wet);
  }

  /** Tells whether water comes to a port: by pressure, or because a tank stands higher. */
  private boolean reaches(PortRef port) {
    int island = islands[network.vertex(network.rig().part(port.part()), port.port())];
    return pressed.contains(island) || surface(island) >= levels.height(port);
  }

  /** The highest water that stands in an island (m). */
  private double surface(int island) {
    double highest = Double.NEGATIVE_INFINITY;
    for (int t = 0; t < network.tanks().size(); t++) {
      for (int vertex : network.tankVertices(t)) {
        if (islands[vertex] == island && levels.wet(vertex)) {
          highest = Math.max(highest, levels.surface(network.tanks().get(t).id()));
        }
      }
    }
    return highest;
  }
}
