package fernwort.core.winter;

import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.network.Connections;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import java.util.List;

/** The drains at the low points of supply lines: caps there, and valves before an open end. */
final class LowPoints {

  private LowPoints() {}

  /** Returns the low points from which a way leads to a tap, no tank between. */
  static List<Part> of(Network network) {
    Connections free = Connections.withHandlesFree(network);
    return network.rig().parts().stream()
        .filter(p -> p.kind() instanceof Plug || drainsOut(network, p))
        .filter(p ->
            free.route(p.id(), x -> x.kind().is(Purpose.HOLDS), x -> x.kind().is(Purpose.USE))
                .isPresent())
        .toList();
  }

  /** Returns the position that lets one run. */
  static String open(Part low) {
    return low.kind() instanceof TwoWayValve valve
        ? valve.opened().orElseThrow().id()
        : low.kind().drained().orElse(low.rest().id());
  }

  private static boolean drainsOut(Network network, Part part) {
    return part.kind() instanceof TwoWayValve valve
        && valve.opened().isPresent()
        && part.kind().ports().stream().anyMatch(port -> endsAt(network, part.port(port)));
  }

  private static boolean endsAt(Network network, PortRef port) {
    return network.hasLine(port)
        && network
                .rig()
                .part(network.rig().lines().get(network.lineAt(port)).other(port).part())
                .kind()
            instanceof OpenEnd end
        && end.role() == OpenEnd.Role.DRAIN;
  }
}
