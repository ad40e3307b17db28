package fernwort.core.streams;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.PortFlow;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Walk;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What each line is there to carry, from the layout alone.
 *
 * <p>Gray and air spread from wastes, gray tanks and vents until a tank or an end. The rest is hot
 * where a heater's hot port is fewer parts away than any cold source.
 */
public final class LineService {

  /** What a line carries. */
  public enum Stream {
    FRESH,
    HOT,
    GRAY,
    AIR,
    OUTSIDE
  }

  private final Rig rig;
  private final Map<PartId, Part> parts;
  private final Map<PortRef, Line> lines;
  private final Walk walk;
  private final Map<LineId, Stream> streams = new HashMap<>();

  private LineService(Rig rig) {
    this.rig = rig;
    this.parts = rig.partsById();
    this.lines = rig.linesByPort();
    walk = new Walk(rig, LineService::passes);
  }

  /** Returns the stream of every line, by line id. */
  public static Map<LineId, Stream> of(Rig rig) {
    LineService streams = new LineService(rig);
    streams.gray();
    streams.air();
    streams.outside();
    streams.hot();
    rig.lines().forEach(l -> streams.streams.putIfAbsent(l.id(), Stream.FRESH));
    return Map.copyOf(streams.streams);
  }

  private void gray() {
    for (Part part : rig.parts()) {
      for (PortId port : part.kind().ports()) {
        boolean waste = part.kind().is(Purpose.USE) && port.equals(PortId.WASTE);
        boolean grayTank = part.kind().holds(Contents.GRAY) && isForWater(part.kind(), port);
        if (waste || grayTank) {
          spread(part.port(port)).forEach(l -> streams.put(l, Stream.GRAY));
        }
      }
    }
  }

  private void air() {
    for (Part part : rig.parts()) {
      for (TankPort port : part.kind().tankPorts()) {
        Set<LineId> reached = spread(part.port(port.id()));
        if (port.use() == TankPort.Use.VENT && reached.stream().noneMatch(this::fills)) {
          reached.forEach(l -> streams.putIfAbsent(l, Stream.AIR));
        }
      }
    }
  }

  private boolean fills(LineId lineId) {
    return rig.lines().stream()
        .filter(l -> l.id().equals(lineId))
        .flatMap(l -> List.of(l.from(), l.to()).stream())
        .anyMatch(end -> isForWater(part(end).kind(), end.port()));
  }

  /** Tells whether a port is one of a tank by which water passes, and not only air. */
  private static boolean isForWater(Kind kind, PortId port) {
    return kind.opening(port).filter(p -> p.use() != TankPort.Use.VENT).isPresent();
  }

  private void outside() {
    for (Part part : rig.parts()) {
      if (part.kind().is(Purpose.INLET) && !part.kind().is(Purpose.MAINS)) {
        Line line = lines.get(part.port(PortId.OUT));
        if (line != null) {
          streams.put(line.id(), Stream.OUTSIDE);
        }
      }
    }
  }

  /** Lines reached from a port through everything but tanks, fixtures, heaters and pumps. */
  private Set<LineId> spread(PortRef start) {
    return walk.lines(List.of(start));
  }

  private static boolean passes(Part part) {
    return !(part.kind().is(Purpose.HOLDS)
        || part.kind().is(Purpose.USE)
        || part.kind().is(Purpose.HEATS)
        || part.kind().is(Purpose.PUMPS));
  }

  /** Spreads from hot and cold ports at once; each line belongs to whichever comes first. */
  private void hot() {
    Deque<PortRef> queue = new ArrayDeque<>();
    Map<PortRef, Stream> known = new HashMap<>();
    for (Part part : rig.parts()) {
      for (PortId port : part.kind().ports()) {
        boolean hot = port.equals(PortId.HOT);
        boolean cold =
            part.kind().is(Purpose.INLET)
                || part.kind().is(Purpose.HOLDS)
                || part.kind().is(Purpose.HEATS)
                || part.kind().is(Purpose.PUMPS) && !part.kind().is(Purpose.CIRCULATES);
        if (hot || cold) {
          known.put(part.port(port), hot ? Stream.HOT : Stream.FRESH);
          queue.add(part.port(port));
        }
      }
    }
    while (!queue.isEmpty()) {
      PortRef port = queue.remove();
      Stream stream = known.getOrDefault(port, Stream.FRESH);
      Line line = lines.get(port);
      if (line == null || streams.putIfAbsent(line.id(), stream) != null) {
        continue;
      }
      PortRef end = line.other(port);
      Part far = part(end);
      if (passes(far)) {
        for (PortId next : far.kind().ports()) {
          if (!isBetweenInlets(far.kind(), end.port(), next)
              && known.putIfAbsent(far.port(next), stream) == null) {
            queue.add(far.port(next));
          }
        }
      }
    }
  }

  /** Water does not go on from one inlet of a part to another. */
  private static boolean isBetweenInlets(Kind kind, PortId from, PortId to) {
    return kind.flow(from) == PortFlow.IN && kind.flow(to) == PortFlow.IN;
  }

  private Part part(PortRef port) {
    Part part = parts.get(port.part());
    if (part == null) {
      throw new IllegalArgumentException("The rig has no part \"" + port.part() + "\"");
    }
    return part;
  }
}
