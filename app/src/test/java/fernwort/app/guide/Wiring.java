package fernwort.app.guide;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.ThreeWayValve;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.kind.machine.GangSwitch;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Pump;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * What a rig consists of and what is joined to what, whatever its parts are called: each part is
 * told by its kind, and by what its openings lead to, as far as one cares to look. Tees and
 * manifolds that follow each other are one joint; an opening of a tank is what it is for; either
 * end of a valve is its end; a waste that runs onto the ground needs no tail to say so.
 */
final class Wiring {

  /** So far around each part: farther than any of these rigs reaches. */
  private static final int FAR = 12;

  /** One end of a line: whose it is, and what it is there. */
  private record End(String node, String role) {}

  private final Map<String, String> kinds = new LinkedHashMap<>();
  private final Map<String, List<List<End>>> joined = new HashMap<>();

  private Wiring(Rig rig) {
    Map<PartId, PartId> nodes = joints(rig);
    for (Part part : rig.parts()) {
      if (!part.kind().is(Purpose.JOINS)) {
        kinds.put(part.id().value(), told(part.kind()));
      } else {
        kinds.put(nodes.getOrDefault(part.id(), PartId.NONE).value(), "joint");
      }
    }
    for (Line line : rig.lines()) {
      End one = end(rig, nodes, line.from());
      End other = end(rig, nodes, line.to());
      if (!one.node().equals(other.node())) {
        joined.computeIfAbsent(one.node(), n -> new ArrayList<>()).add(List.of(one, other));
        joined.computeIfAbsent(other.node(), n -> new ArrayList<>()).add(List.of(other, one));
      }
    }
    leaveOutWhatDoesNothing(rig);
  }

  /** Joints that are joined to each other are one, called as the first of them. */
  private static Map<PartId, PartId> joints(Rig rig) {
    Map<PartId, PartId> nodes = new HashMap<>();
    rig.parts().forEach(p -> nodes.put(p.id(), p.id()));
    for (int i = 0; i < rig.parts().size(); i++) {
      for (Line line : rig.lines()) {
        Part a = rig.part(line.from().part());
        Part b = rig.part(line.to().part());
        if (a.kind().is(Purpose.JOINS) && b.kind().is(Purpose.JOINS)) {
          String first =
              new TreeSet<>(List.of(node(nodes, a.id()), node(nodes, b.id()))).getFirst().value();
          nodes.put(a.id(), PartId.of(first));
          nodes.put(b.id(), PartId.of(first));
        }
      }
    }
    return nodes;
  }

  private static PartId node(Map<PartId, PartId> nodes, PartId part) {
    return nodes.getOrDefault(part, part);
  }

  private static End end(Rig rig, Map<PartId, PartId> nodes, PortRef ref) {
    Part part = rig.part(ref.part());
    String role =
        switch (part.kind()) {
          case Tank tank -> tank.port(ref.port()).use().name();
          case TwoWayValve valve -> "end";
          case ThreeWayValve valve -> role(valve, ref.port());
          default -> part.kind().is(Purpose.JOINS) ? "branch" : ref.port().value();
        };
    return new End(node(nodes, part.id()).value(), role);
  }

  /** The port of a three-way valve that is joined most often is its middle. */
  private static String role(ThreeWayValve valve, PortId port) {
    Map<PortId, Integer> times = new HashMap<>();
    valve
        .stops()
        .forEach(s -> s.joins().forEach(j -> j.forEach(p -> times.merge(p, 1, Integer::sum))));
    int most = times.values().stream().mapToInt(n -> n).max().orElse(0);
    return times.getOrDefault(port, 0) == most ? "middle" : "side";
  }

  /** A plug that nobody takes out of a joint, and the tail of a waste that runs onto the ground. */
  private void leaveOutWhatDoesNothing(Rig rig) {
    for (Part part : rig.parts()) {
      List<List<End>> ends = joined.getOrDefault(part.id().value(), List.of());
      boolean single = ends.size() == 1;
      String over = single ? kinds.getOrDefault(ends.getFirst().getLast().node(), "") : "";
      boolean tail =
          part.kind() instanceof OpenEnd end
              && end.role() == OpenEnd.Role.DRAIN
              && single
              && ends.getFirst().getLast().role().equals("waste");
      boolean plug =
          part.kind() instanceof Plug && over.equals("joint") && ventsBy(ends.getFirst().getLast());
      if (tail || plug) {
        kinds.remove(part.id().value());
        joined.remove(part.id().value());
        joined
            .values()
            .forEach(list -> list.removeIf(e -> e.getLast().node().equals(part.id().value())));
      }
    }
    straighten();
  }

  private boolean ventsBy(End joint) {
    return joined.getOrDefault(joint.node(), List.of()).stream()
        .anyMatch(e -> e.getLast().role().equals("VENT"));
  }

  /** A joint with two branches is a line. */
  private void straighten() {
    for (String node : List.copyOf(kinds.keySet())) {
      List<List<End>> ends = joined.getOrDefault(node, List.of());
      if (kinds.getOrDefault(node, "").equals("joint") && ends.size() == 2) {
        End one = ends.getFirst().getLast();
        End other = ends.getLast().getLast();
        kinds.remove(node);
        joined.remove(node);
        joined.values().forEach(list -> list.removeIf(e -> e.getLast().node().equals(node)));
        joined.computeIfAbsent(one.node(), n -> new ArrayList<>()).add(List.of(one, other));
        joined.computeIfAbsent(other.node(), n -> new ArrayList<>()).add(List.of(other, one));
      }
    }
  }

  private static String told(Kind kind) {
    String name = kind.getClass().getSimpleName();
    return switch (kind) {
      case Tank tank ->
          name + " " + tank.contents() + " " + tank.shape().getClass().getSimpleName();
      // How a pump between tanks moves water is not asked.
      case Pump pump ->
          name + " " + pump.duty() + (pump.duty() == Pump.Duty.TRANSFER ? "" : " " + pump.works());
      case Heater heater -> name + " " + heater.works();
      case Fixture fixture -> name + " " + fixture.use();
      case OpenEnd end -> name + " " + end.role();
      case Filter filter -> name + " " + filter.grade();
      case GangSwitch gang -> name + " of " + gang.moves().size();
      case TwoWayValve valve -> name + (valve.motor().isPresent() ? " with a motor" : "");
      case ThreeWayValve valve ->
          name
              + (valve.motor().isPresent() ? " with a motor" : "")
              + (valve.stops().stream().anyMatch(s -> s.joins().isEmpty()) ? " and closed" : "");
      default -> name;
    };
  }

  /** Returns every part by its kind and what its openings lead to, sorted. */
  static List<String> near(Rig rig) {
    return new Wiring(rig).told(1);
  }

  /** Returns the same, but looking through the whole rig from each part, as numbers. */
  static List<String> far(Rig rig) {
    return new Wiring(rig).told(FAR);
  }

  private List<String> told(int steps) {
    Map<String, String> seen = new LinkedHashMap<>(kinds);
    for (int step = 0; step < steps; step++) {
      Map<String, String> before = seen;
      Map<String, String> now = new LinkedHashMap<>();
      before.forEach((node, told) -> now.put(node, told + around(PartId.of(node), before)));
      seen = now;
      if (steps > 1) {
        seen.replaceAll((node, told) -> Integer.toHexString(told.hashCode()));
      }
    }
    return seen.values().stream().sorted().toList();
  }

  private String around(PartId node, Map<String, String> seen) {
    return joined.getOrDefault(node.value(), List.of()).stream()
        .map(e ->
            "%s to %s of %s"
                .formatted(
                    e.getFirst().role(),
                    e.getLast().role(),
                    seen.getOrDefault(e.getLast().node(), "")))
        .sorted()
        .collect(Collectors.joining("; ", " [", "]"));
  }
}
