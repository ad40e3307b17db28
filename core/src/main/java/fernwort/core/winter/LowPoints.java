package fernwort.core.winter;

import fernwort.core.drain.Wintering;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Rank;
import fernwort.core.kind.line.Valve;
import fernwort.core.network.Connections;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
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
        .filter(p -> p.kind().is(Purpose.CAP) || drainsOut(network, p))
        .filter(p ->
            free.route(p.id(), x -> x.kind().is(Purpose.HOLDS), x -> x.kind().is(Purpose.USE))
                .isPresent())
        .toList();
  }

  /** Returns the position that lets one run. */
  static PositionId open(Part low) {
    return low.kind().positions().stream()
        .map(Position::id)
        .filter(p -> low.kind().rank(p) == Rank.WAY_OPEN)
        .findFirst()
        .or(low.kind()::drained)
        .orElse(low.rest().id());
  }

  /** Tells whether one lets nothing out as it stands. */
  static boolean isShut(Part low, Wintering now) {
    return now.state().setting().has(low.id(), low.rest().id()) && !now.has(low, Valve.HALF);
  }

  private static boolean drainsOut(Network network, Part part) {
    return part.kind().is(Purpose.TURNS)
        && part.kind().ports().size() == 2
        && part.kind().ports().stream().anyMatch(port -> endsAt(network, part.port(port)));
  }

  private static boolean endsAt(Network network, PortRef port) {
    if (!network.hasLine(port)) {
      return false;
    }
    Line line = network.rig().lines().get(network.lineAt(port));
    Kind end = network.rig().part(line.other(port).part()).kind();
    return end.is(Purpose.OUTLET) && !end.is(Purpose.DUMPS) && !end.letsAir();
  }
}
