package fernwort.core.winter.routes;

import fernwort.core.drain.Wintering;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Link;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tap;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Ways from one port to all outlets of a rig: Dijkstra by what a way holds, every handle free, with
 * a heater passed only where nothing leads round it. A way that would need one handle in two
 * positions is not taken. O(E log V).
 */
public final class Routes {

  /** A heater counts as so much more than it holds (m³). */
  private static final double ROUND_A_HEATER = 0.1;

  /** A handle that has to be turned counts as so much (m³). */
  private static final double A_TURN = 1e-5;

  private final Network network;
  private final Map<PortRef, Line> lines;
  private final Wintering now;

  private Routes(Network network, Wintering now) {
    this.network = network;
    this.now = now;
    lines = network.rig().linesByPort();
  }

  private record Come(
      PortRef port,
      double cost,
      Map<PartId, PositionId> needs,
      @Nullable Come before,
      Route.@Nullable Leg leg) {}

  /**
   * Returns a way to each outlet, by outlet and its port.
   *
   * @param start the port from which air or antifreeze goes out into its line
   */
  public static List<Route> from(Network network, Wintering now, PortRef start) {
    return new Routes(network, now).search(start);
  }

  private List<Route> search(PortRef start) {
    PriorityQueue<Come> queue = new PriorityQueue<>(Comparator.comparingDouble(Come::cost));
    queue.add(new Come(start, 0, Map.of(), null, null));
    Map<PortRef, Come> settled = new HashMap<>();
    List<Route> routes = new ArrayList<>();
    while (!queue.isEmpty()) {
      Come come = queue.remove();
      Line line = lines.get(come.port());
      if (line == null || settled.putIfAbsent(come.port(), come) != null) {
        continue;
      }
      PortRef far = line.other(come.port());
      Part part = network.rig().part(far.part());
      Come there =
          new Come(
              far, come.cost() + line.volume(), come.needs(), come, new Route.Leg.Through(line));
      if (part.kind() instanceof Tap fixture && !far.port().equals(PortId.WASTE)) {
        routes.add(route(there, part, position(fixture, far.port())));
      } else {
        through(there, part, queue);
      }
    }
    return routes;
  }

  private static PositionId position(Tap fixture, PortId port) {
    return port.equals(PortId.HOT) ? Tap.HOT.id() : fixture.cold().id();
  }

  private static Route route(Come end, Part outlet, PositionId position) {
    List<Route.Leg> legs = new ArrayList<>();
    for (Come c = end; c != null; c = c.before()) {
      if (c.leg() != null) {
        legs.addFirst(c.leg());
      }
    }
    legs.add(new Route.Leg.Body(outlet));
    return new Route(outlet, position, legs, end.needs());
  }

  private void through(Come come, Part part, PriorityQueue<Come> queue) {
    Kind kind = part.kind();
    PortId in = come.port().port();
    if (!kind.pushedThrough()) {
      return;
    }
    if (kind.is(Purpose.DRIVES)) {
      // Pushed on, a pump that stands still lets it by.
      kind.through()
          .filter(t -> t.in().equals(in))
          .ifPresent(t -> out(come, part, t.out(), come.needs(), 0, queue));
      return;
    }
    List<PositionId> stops = kind.positions().stream().map(Position::id).toList();
    boolean always = stops.stream().map(kind::links).distinct().count() <= 1;
    double more = kind.is(Purpose.HEATS) ? ROUND_A_HEATER : 0;
    for (PositionId stop :
        always ? List.of(stops.isEmpty() ? PositionId.NONE : stops.getFirst()) : stops) {
      Set<PortId> onward = onward(kind, in, stop);
      if (always) {
        onward.forEach(port -> out(come, part, port, come.needs(), more, queue));
      } else if (!onward.isEmpty()) {
        turned(come, part, stop, onward, queue);
      }
    }
  }

  /** The ports to which what is pushed in at one goes on, in a position. */
  private static Set<PortId> onward(Kind kind, PortId in, PositionId position) {
    List<PortId> ports = kind.ports();
    Set<PortId> onward = new LinkedHashSet<>();
    for (Link link : kind.links(position)) {
      if (link.law() == Link.Law.SEAL || link.from() != ports.indexOf(in)) {
        continue;
      }
      if (link.to() < ports.size()) {
        onward.add(ports.get(link.to()));
        continue;
      }
      kind.links(position).stream()
          .filter(l -> l.from() == ports.size())
          .map(l -> ports.get(l.to()))
          .filter(port -> !port.equals(in))
          .forEach(onward::add);
    }
    return onward;
  }

  private void turned(
      Come come, Part part, PositionId stop, Set<PortId> onward, PriorityQueue<Come> queue) {
    PositionId wanted = come.needs().get(part.id());
    if (wanted != null && !wanted.equals(stop)) {
      return;
    }
    boolean so = now.state().setting().has(part.id(), stop);
    Map<PartId, PositionId> needs = new LinkedHashMap<>(come.needs());
    needs.put(part.id(), stop);
    for (PortId port : onward) {
      out(come, part, port, needs, so ? 0 : A_TURN, queue);
    }
  }

  private void out(
      Come come,
      Part part,
      PortId port,
      Map<PartId, PositionId> needs,
      double more,
      PriorityQueue<Come> queue) {
    if (!port.equals(come.port().port())) {
      queue.add(
          new Come(
              part.port(port),
              come.cost() + part.volume() + more,
              needs,
              come,
              new Route.Leg.Body(part)));
    }
  }
}
