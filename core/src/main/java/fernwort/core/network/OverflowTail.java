package fernwort.core.network;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A vent or overflow whose open end hangs lower than its tank, with nothing on the way that lets
 * air in: once it runs full, it can siphon.
 *
 * @param tank the tank
 * @param port its vent port
 * @param line the line at that port
 * @param end the open end
 */
public record OverflowTail(Part tank, TankPort port, Line line, Part end) {

  /** An end so far below the vent siphons (m); own choice. */
  private static final double FALLS = 0.1;

  /** Returns all of a rig, however its handles stand; O(E) for each vent port. */
  public static List<OverflowTail> of(Network network) {
    List<OverflowTail> tails = new ArrayList<>();
    Connections free = Connections.withHandlesFree(network);
    Rig rig = network.rig();
    for (Part tank : network.tanks()) {
      for (TankPort port : tank.kind().tankPorts()) {
        Line line = rig.linesByPort().get(tank.port(port.id()));
        if (port.use() == TankPort.Use.VENT && line != null) {
          end(rig, free, line.other(tank.port(port.id())).part())
              .filter(end -> end.height() < tank.at(port.id()).z() - FALLS)
              .ifPresent(end -> tails.add(new OverflowTail(tank, port, line, end)));
        }
      }
    }
    return tails;
  }

  /** Returns the lines that run full where it siphons. */
  public Set<LineId> lines(Rig rig) {
    return new Walk(rig, part -> !stops(part)).lines(List.of(tank.port(port.id())));
  }

  /** The open end that a vent line leads down to, when no air valve is on its way. */
  private static Optional<Part> end(Rig rig, Connections free, PartId start) {
    boolean admits =
        free.route(start, OverflowTail::stops, p -> p.kind().is(Purpose.BREATHES)).isPresent();
    Part first = rig.part(start);
    if (admits || first.kind().is(Purpose.BREATHES)) {
      return Optional.empty();
    }
    if (isTail(first)) {
      return Optional.of(first);
    }
    return free.route(start, OverflowTail::stops, OverflowTail::isTail)
        .map(List::getLast)
        .map(rig::part);
  }

  /** A drain that a tank is emptied by is no tail, even where its line meets a vent's. */
  private static boolean isTail(Part part) {
    return part.kind().is(Purpose.OUTLET) && part.kind().letsAir();
  }

  private static boolean stops(Part part) {
    return part.kind().is(Purpose.HOLDS)
        || part.kind().is(Purpose.PUMPS)
        || part.kind().is(Purpose.USE);
  }
}
