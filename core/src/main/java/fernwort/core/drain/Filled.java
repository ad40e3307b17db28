package fernwort.core.drain;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.Walk;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * A rig in use, as draining finds it: supply lines and bodies full; vents, overflows and what runs
 * to the gray tanks dry; the line behind a gray tank's drain full where the tank covers it; a
 * filler's hose full up to the level of its tank.
 */
public final class Filled {

  private Filled() {}

  /** Returns a rig whose lines are full, its handles and tanks as in a state. */
  public static Wintering of(Network network, State state) {
    Rig rig = network.rig();
    Levels levels = Levels.of(network, state);
    Set<LineId> dry = new HashSet<>();
    dry.addAll(vents(rig));
    dry.addAll(waste(rig));
    dry.addAll(jugs(rig));
    dry.addAll(behindGray(network, levels));
    Map<LineId, List<Stretch>> lines = new TreeMap<>();
    for (Line line : rig.lines()) {
      if (!dry.contains(line.id())) {
        lines.put(line.id(), List.of(new Stretch(0, line.length())));
      }
    }
    fillers(network, levels).forEach(lines::replace);
    Map<PartId, Double> bodies = new TreeMap<>();
    for (Part part : rig.parts()) {
      if (part.volume() > 0) {
        bodies.put(part.id(), part.volume());
      }
    }
    return new Wintering(state, Map.of(), new Wetness(lines, bodies), Map.of());
  }

  private static Set<LineId> vents(Rig rig) {
    List<PortRef> from = new ArrayList<>();
    for (Part part : rig.parts()) {
      part.kind().tankPorts().stream()
          .filter(p -> p.use() == TankPort.Use.VENT)
          .forEach(p -> from.add(part.port(p.id())));
      if (part.kind().letsAir() && part.kind().ports().size() == 1) {
        from.add(part.port(part.kind().ports().getFirst()));
      }
    }
    return new Walk(rig, p -> p.kind().is(Purpose.JOINS)).lines(from);
  }

  /** What a jug is poured through is put away with it. */
  private static Set<LineId> jugs(Rig rig) {
    List<PortRef> from =
        rig.parts().stream()
            .filter(p -> p.kind().is(Purpose.CARRIED))
            .flatMap(p -> p.kind().ports().stream().map(p::port))
            .toList();
    return new Walk(rig, p -> false).lines(from);
  }

  /** What is poured in runs on into the tank: its hose is empty above the level. */
  private static Map<LineId, List<Stretch>> fillers(Network network, Levels levels) {
    Rig rig = network.rig();
    Map<LineId, List<Stretch>> below = new TreeMap<>();
    for (Part filler : rig.parts()) {
      if (!filler.kind().is(Purpose.POURED_INTO)) {
        continue;
      }
      List<PortRef> from = filler.kind().ports().stream().map(filler::port).toList();
      Set<LineId> hose = new Walk(rig, p -> p.kind().is(Purpose.JOINS)).lines(from);
      double surface =
          rig.lines().stream()
              .filter(l -> hose.contains(l.id()))
              .flatMap(l -> Stream.of(l.from().part(), l.to().part()))
              .filter(p -> rig.part(p).kind().is(Purpose.HOLDS))
              .mapToDouble(levels::surface)
              .max()
              .orElse(Double.POSITIVE_INFINITY);
      rig.lines().stream()
          .filter(l -> hose.contains(l.id()) && l.profile().isEmpty())
          .forEach(l -> below.put(l.id(), below(l, levels, surface)));
    }
    return below;
  }

  /** The stretch of a straight line that lies below a height (m). */
  private static List<Stretch> below(Line line, Levels levels, double surface) {
    double from = levels.height(line.from());
    double to = levels.height(line.to());
    if (Math.min(from, to) >= surface) {
      return List.of();
    }
    if (Math.max(from, to) <= surface) {
      return List.of(new Stretch(0, line.length()));
    }
    double wet = line.length() * (surface - Math.min(from, to)) / Math.abs(to - from);
    return List.of(
        from < to ? new Stretch(0, wet) : new Stretch(line.length() - wet, line.length()));
  }

  private static Set<LineId> waste(Rig rig) {
    List<PortRef> from =
        rig.parts().stream()
            .filter(p -> p.kind().is(Purpose.USE) && p.kind().ports().contains(PortId.WASTE))
            .map(p -> p.port(PortId.WASTE))
            .toList();
    return new Walk(rig, Filled::carriesWaste).lines(from);
  }

  private static boolean carriesWaste(Part part) {
    return part.kind().is(Purpose.TRAPS)
        || part.kind().is(Purpose.JOINS)
        || part.kind().is(Purpose.CHECKS)
        || part.kind().is(Purpose.STRAINS);
  }

  private static Set<LineId> behindGray(Network network, Levels levels) {
    List<PortRef> from = new ArrayList<>();
    for (Part part : network.tanks()) {
      Tank tank = (Tank) part.kind();
      if (tank.contents() == Contents.GRAY) {
        tank.tankPorts().stream()
            .map(p -> part.port(p.id()))
            .filter(p -> !levels.isCovered(p))
            .forEach(from::add);
      }
    }
    return new Walk(network.rig(), Filled::carriesWaste).lines(from);
  }
}
