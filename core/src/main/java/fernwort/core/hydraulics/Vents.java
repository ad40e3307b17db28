package fernwort.core.hydraulics;

import fernwort.core.flow.Fluid;
import fernwort.core.flow.Pipe;
import fernwort.core.flow.Venting;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.end.Tank;
import fernwort.core.network.LinePipes;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.ways.TankAir;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The vents of a rig's tanks that are narrow enough for their air to have friction worth reckoning
 * with.
 */
final class Vents {

  /** Less pressure than this nobody would notice (Pa). */
  private static final double NOTICEABLE = 30;

  /** Water comes through a tank's lines hardly faster than this (m/s). */
  private static final double FAST = 2;

  /** What a hose gives at least (m³/s): 20 L/min. */
  private static final double HOSE = 3.3e-4;

  /** Narrow vents with the lines they were found for. */
  private record Found(Map<PartId, List<LineId>> lines, Map<PartId, Venting> narrow) {}

  private final Network network;
  private final LinePipes pipes;

  /** Those asked for last: a run asks for the same from step to step. */
  private volatile @Nullable Found last;

  Vents(Network network, LinePipes pipes) {
    this.network = network;
    this.pipes = pipes;
  }

  /** Returns the lines that the air of each tank passes, by tank id. */
  static Map<PartId, List<LineId>> lines(List<TankAir> air) {
    Map<PartId, List<LineId>> lines = new HashMap<>();
    for (TankAir a : air) {
      Optional<TankAir.Route> route = a.out().or(a::in);
      route.ifPresent(r -> lines.put(a.tank(), r.lines()));
    }
    return lines;
  }

  /** Returns what narrow vents take, by tank id. */
  Map<PartId, Venting> of(Map<PartId, List<LineId>> lines) {
    Found found = last;
    if (found == null || !found.lines().equals(lines)) {
      found = new Found(Map.copyOf(lines), Map.copyOf(find(lines)));
      last = found;
    }
    return found.narrow();
  }

  private Map<PartId, Venting> find(Map<PartId, List<LineId>> lines) {
    Map<PartId, Venting> narrow = new HashMap<>();
    lines.forEach((tank, route) -> {
      List<Pipe> pipe =
          route.stream().map(l -> pipes.pipe(network.lineNumber(l), Fluid.AIR)).toList();
      Venting vent = new Venting(pipe);
      if (!pipe.isEmpty() && vent.pressure(most(network.rig().part(tank), route)) > NOTICEABLE) {
        narrow.put(tank, vent);
      }
    });
    return narrow;
  }

  /** The most that may come into a tank by its other lines (m³/s). */
  private double most(Part tank, List<LineId> vent) {
    double most = HOSE;
    for (PortId port : ((Tank) tank.kind()).ports()) {
      Optional<LineId> line = network.lineId(tank.port(port)).filter(l -> !vent.contains(l));
      if (line.isPresent()) {
        Line of = network.rig().lines().get(network.lineNumber(line.get()));
        most = Math.max(most, FAST * of.volume() / of.length());
      }
    }
    return most;
  }
}
