package fernwort.core.cold;

import fernwort.core.kind.Accumulator;
import fernwort.core.kind.AirAdmittanceValve;
import fernwort.core.kind.CheckValve;
import fernwort.core.kind.DrainTrap;
import fernwort.core.kind.Filter;
import fernwort.core.kind.Fixture;
import fernwort.core.kind.GravityFiller;
import fernwort.core.kind.Heater;
import fernwort.core.kind.HoseInlet;
import fernwort.core.kind.LeakTray;
import fernwort.core.kind.Macerator;
import fernwort.core.kind.Manifold;
import fernwort.core.kind.OpenEnd;
import fernwort.core.kind.Plug;
import fernwort.core.kind.PortableContainer;
import fernwort.core.kind.Pump;
import fernwort.core.kind.Regulator;
import fernwort.core.kind.Stop;
import fernwort.core.kind.Strainer;
import fernwort.core.kind.Tank;
import fernwort.core.kind.Tee;
import fernwort.core.kind.Valve;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import org.jspecify.annotations.Nullable;

/**
 * Ways from one port to all outlets of a rig: Dijkstra by what a way holds, every handle free, with
 * a heater passed only where nothing leads round it. A way that would need one handle in two
 * positions is not taken. O(E log V).
 */
final class Routes {

  /** A heater counts as so much more than it holds (m³). */
  private static final double ROUND_A_HEATER = 0.1;

  /** A handle that has to be turned counts as so much (m³). */
  private static final double A_TURN = 1e-5;

  private final Plumbing plumbing;
  private final Map<PortRef, Line> lines;
  private final Wintering now;

  private Routes(Plumbing plumbing, Wintering now) {
    this.plumbing = plumbing;
    this.now = now;
    lines = plumbing.rig().linesByPort();
  }

  private record Come(
      PortRef port,
      double cost,
      Map<String, String> needs,
      @Nullable Come before,
      Route.@Nullable Leg leg) {}

  /**
   * Returns a way to each outlet, by outlet and its port.
   *
   * @param start the port from which air or antifreeze goes out into its line
   */
  static List<Route> from(Plumbing plumbing, Wintering now, PortRef start) {
    return new Routes(plumbing, now).search(start);
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
      Part part = plumbing.rig().part(far.part());
      Come there =
          new Come(
              far, come.cost() + line.volume(), come.needs(), come, new Route.Leg.Through(line));
      if (part.kind() instanceof Fixture fixture && !far.port().equals("waste")) {
        routes.add(route(there, part, position(fixture, far.port())));
      } else {
        through(there, part, queue);
      }
    }
    return routes;
  }

  private static String position(Fixture fixture, String port) {
    return port.equals("hot") ? Fixture.HOT.id() : fixture.cold().id();
  }

  private static Route route(Come end, Part outlet, String position) {
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
    String in = come.port().port();
    switch (part.kind()) {
      case Valve valve -> {
        for (Stop stop : valve.stops()) {
          stop.joins().stream()
              .filter(group -> group.contains(in))
              .findFirst()
              .ifPresent(group -> turned(come, part, stop.id(), group, queue));
        }
      }
      case CheckValve k -> oneWay(come, part, queue);
      case Regulator k -> oneWay(come, part, queue);
      case Pump k -> oneWay(come, part, queue);
      case Heater k -> all(come, part, ROUND_A_HEATER, queue);
      case Strainer k -> all(come, part, 0, queue);
      case Filter k -> all(come, part, 0, queue);
      case Tee k -> all(come, part, 0, queue);
      case Manifold k -> all(come, part, 0, queue);
      case DrainTrap k -> {}
      case LeakTray k -> {}
      case Macerator k -> {}
      case Tank k -> {}
      case Fixture k -> {}
      case HoseInlet k -> {}
      case GravityFiller k -> {}
      case OpenEnd k -> {}
      case AirAdmittanceValve k -> {}
      case Accumulator k -> {}
      case PortableContainer k -> {}
      case Plug k -> {}
    }
  }

  private void turned(
      Come come, Part part, String stop, List<String> group, PriorityQueue<Come> queue) {
    String wanted = come.needs().get(part.id());
    if (wanted != null && !wanted.equals(stop)) {
      return;
    }
    boolean so = now.state().setting().has(part.id(), stop);
    Map<String, String> needs = new LinkedHashMap<>(come.needs());
    needs.put(part.id(), stop);
    for (String port : group) {
      out(come, part, port, needs, so ? 0 : A_TURN, queue);
    }
  }

  private void oneWay(Come come, Part part, PriorityQueue<Come> queue) {
    if (come.port().port().equals("in")) {
      out(come, part, "out", come.needs(), 0, queue);
    }
  }

  private void all(Come come, Part part, double more, PriorityQueue<Come> queue) {
    for (String port : part.kind().ports()) {
      out(come, part, port, come.needs(), more, queue);
    }
  }

  private void out(
      Come come,
      Part part,
      String port,
      Map<String, String> needs,
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
