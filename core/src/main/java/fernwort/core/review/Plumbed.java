package fernwort.core.review;

import fernwort.core.drain.EverythingOpen;
import fernwort.core.drain.Wetness;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Connections;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.Map;
import java.util.Optional;

/**
 * A rig as the looks see it: with every handle free and every tank empty.
 *
 * @param network the prepared rig
 * @param free what the layout joins
 * @param level the heights on level ground
 * @param stays where water stays when all is open that a hand can open
 * @param lines the line at each port
 */
record Plumbed(
    Network network, Connections free, Levels level, Wetness stays, Map<PortRef, Line> lines) {

  /** What the body of a valve that is added holds (m³); own choice. */
  static final double VALVE_BODY = 2e-5;

  static Plumbed of(Network network) {
    State empty = new State(network.rig().atRest(), Map.of(), Slope.LEVEL);
    Levels level = Levels.of(network, empty);
    return new Plumbed(
        network,
        Connections.withHandlesFree(network),
        level,
        EverythingOpen.of(network, empty).wetness(),
        network.rig().linesByPort());
  }

  Rig rig() {
    return network.rig();
  }

  Part part(PartId id) {
    return rig().parts().get(network.index(id));
  }

  Optional<Line> lineAt(Part part, PortId port) {
    return Optional.ofNullable(lines.get(part.port(port)));
  }

  static boolean isTank(Part part, Contents contents) {
    return part.kind().holds(contents);
  }
}
