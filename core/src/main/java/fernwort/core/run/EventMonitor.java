package fernwort.core.run;

import fernwort.core.flow.Fluid;
import fernwort.core.hydraulics.Flows;
import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.Walk;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.water.Jugs;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.DoubleStream;

/** Sees what is the case at a moment of a run, so that what begins and ends can be told. */
final class EventMonitor {

  /** A tank that is pressed to so many times what it bears may burst; own choice (1). */
  private static final double BURSTING = 2;

  /** Slower than this nothing runs (m³/s): half a litre in an hour. */
  private static final double RUNS = 1.4e-7;

  /** A float valve less open than this share stands at its mark. */
  private static final double ALL_BUT_CLOSED = 0.02;

  /** A line's crest must be this far above its heads for a siphon (m). */
  private static final double SIPHON = 5e-3;

  /** Something that is the case, at one port where several can do it. */
  record Standing(Event.Kind kind, ElementId subject, PortId port) {
    Standing(Event.Kind kind, ElementId subject) {
      this(kind, subject, PortId.NONE);
    }
  }

  private final Network network;
  private final Rig rig;
  private final Map<PartId, Part> parts;
  private final Map<PortRef, Line> linesByPort;

  /** Walks through everything that water falls through. */
  private final Walk falls;

  /** Lines on the ways out of the tanks' vents and overflows. */
  private final Set<LineId> overflows = new HashSet<>();

  private final Map<PartId, Double> wasteHeights = new HashMap<>();

  EventMonitor(Network network, Slope slope) {
    this.network = network;
    rig = network.rig();
    parts = rig.partsById();
    linesByPort = rig.linesByPort();
    falls = new Walk(rig, part -> !stops(part.kind()));
    for (Part part : rig.parts()) {
      overflows.addAll(
          falls.lines(
              part.kind().tankPorts().stream()
                  .filter(p -> p.use() == TankPort.Use.VENT)
                  .map(p -> part.port(p.id()))
                  .toList()));
      if (part.kind().is(Purpose.USE) && part.kind().ports().contains(PortId.WASTE)) {
        wasteHeights.put(part.id(), wasteHeight(part, slope));
      }
    }
  }

  /** Returns the height at which waste leaves a fixture: where its first line ends (m). */
  private double wasteHeight(Part fixture, Slope slope) {
    Line line = linesByPort.get(fixture.port(PortId.WASTE));
    Part next = line == null ? null : parts.get(line.other(fixture.port(PortId.WASTE)).part());
    Part at = next == null ? fixture : next;
    return slope.heightOf(new Point(at.x(), at.y(), at.height()));
  }

  /** Returns the height above which water stands in a fixture (m). */
  double wasteHeight(PartId fixture) {
    return wasteHeights.getOrDefault(fixture, Double.POSITIVE_INFINITY);
  }

  private static boolean stops(Kind kind) {
    return kind.is(Purpose.HOLDS)
        || kind.is(Purpose.PUMPS)
        || kind.is(Purpose.CUTS)
        || kind.is(Purpose.REGULATES)
        || kind.is(Purpose.USE)
        || kind.is(Purpose.INLET);
  }

  /** Returns the heights of a tank's ports (m). */
  double[] heights(Part tank, Levels levels) {
    return tank.kind().ports().stream()
        .flatMapToDouble(
            port -> DoubleStream.of(levels.height(tank.port(port)), levels.top(tank.port(port))))
        .distinct()
        .toArray();
  }

  /**
   * Returns the heights around a tank at which its water comes to another line: ports and crests.
   */
  double[] crests(Part tank, Levels levels) {
    Set<LineId> lines = falls.lines(tank.kind().ports().stream().map(tank::port).toList());
    DoubleStream.Builder heights = DoubleStream.builder();
    for (double port : heights(tank, levels)) {
      heights.add(port);
    }
    for (Line line : rig.lines()) {
      if (lines.contains(line.id())) {
        heights.add(levels.crest(line.id()));
        heights.add(levels.height(line.from()));
        heights.add(levels.height(line.to()));
      }
    }
    return heights.build().toArray();
  }

  /** Returns all that is the case. */
  Set<Standing> look(State state, Flows flows, Jugs jugs) {
    Set<Standing> standing = new HashSet<>();
    Levels levels = Levels.of(network, state);
    rig.tanks().forEach(t -> tank(t, levels, flows, standing));
    flows
        .ends()
        .forEach((end, q) -> {
          if (q > RUNS) {
            standing.add(new Standing(Event.Kind.RUNS_OUT, end));
          }
        });
    flows.pumps().forEach((pump, runs) -> pump(pump, runs, standing));
    siphons(levels, flows, standing);
    jugs.empty().forEach(jug -> standing.add(new Standing(Event.Kind.POURED_OUT, jug)));
    return standing;
  }

  private void tank(Part part, Levels levels, Flows flows, Set<Standing> standing) {
    Tank tank = (Tank) part.kind();
    boolean outlet = false;
    boolean wet = false;
    boolean full = levels.isBrimFull(part.id());
    for (TankPort port : tank.tankPorts()) {
      boolean covered = levels.isCovered(part.port(port.id()));
      if (port.use() == TankPort.Use.FEED || port.use() == TankPort.Use.DRAIN) {
        outlet = true;
        wet |= covered;
      }
      full |= port.use() == TankPort.Use.VENT && covered;
      if (!port.letsOut() && (covered || hasClosed(part.port(port.id()), levels, flows))) {
        standing.add(new Standing(Event.Kind.FLOAT_SHUTS, part.id(), port.id()));
      }
    }
    if (full) {
      standing.add(new Standing(Event.Kind.FULL, part.id()));
    }
    if (outlet && !wet) {
      standing.add(new Standing(Event.Kind.DRY, part.id()));
    }
    double pressure = flows.air().getOrDefault(part.id(), 0.0);
    if (pressure > tank.highestPressure()) {
      standing.add(new Standing(Event.Kind.BULGES, part.id()));
    }
    if (pressure > BURSTING * tank.highestPressure()) {
      standing.add(new Standing(Event.Kind.BURSTS, part.id()));
    }
    if (pressure < tank.lowestPressure()) {
      standing.add(new Standing(Event.Kind.SUCKED_IN, part.id()));
    }
  }

  /** Tells whether a float valve at its mark lets nothing more by. */
  private boolean hasClosed(PortRef port, Levels levels, Flows flows) {
    Line line = linesByPort.get(port);
    return levels.floatOpening(network.vertex(port)) < ALL_BUT_CLOSED
        && (line == null || Math.abs(flows.line(line.id())) < RUNS);
  }

  private static void pump(PartId pump, Flows.Running runs, Set<Standing> standing) {
    switch (runs.does()) {
      case RUNS -> {}
      case CYCLES -> standing.add(new Standing(Event.Kind.CYCLES, pump));
      case RESTS -> standing.add(new Standing(Event.Kind.RESTS, pump));
      case DRAWS_AIR -> standing.add(new Standing(Event.Kind.DRAWS_AIR, pump));
    }
  }

  private void siphons(Levels levels, Flows flows, Set<Standing> standing) {
    for (LineId id : flows.runningFull()) {
      if (Math.abs(flows.line(id)) > RUNS && overflows.contains(id)) {
        Line line = rig.lines().get(network.lineNumber(id));
        double head = Math.max(head(line.from(), levels, flows), head(line.to(), levels, flows));
        if (levels.crest(id) > head + SIPHON) {
          standing.add(new Standing(Event.Kind.SIPHONS, id));
        }
      }
    }
  }

  private double head(PortRef port, Levels levels, Flows flows) {
    Part part = parts.get(port.part());
    if (part != null && part.kind().is(Purpose.HOLDS)) {
      return levels.surface(port.part());
    }
    return flows
        .pressure(port.part(), port.port())
        .map(p -> levels.height(port) + Fluid.WATER.head(p))
        .orElse(Double.POSITIVE_INFINITY);
  }
}
