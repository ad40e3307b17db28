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

/**
 * A rig in use, as draining finds it: supply lines and bodies full; vents, overflows and what runs
 * to the gray tanks dry; the line behind a gray tank's drain full where the tank covers it.
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
