package fernwort.core.bench;

import fernwort.core.describe.RigEdit;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.Event;
import fernwort.core.run.Simulation;
import fernwort.core.say.Refusal;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A tank by itself, vented, that runs out by gravity through a drain line.
 *
 * @param through the opening that it runs out by
 * @param seconds until no more comes (s)
 * @param first the flow at first (m³/s)
 * @param stays what stays in it (m³)
 */
public record DrainedTank(TankPort through, double seconds, double first, double stays) {

  private static final double LONGEST = 6 * 3600;

  /** Two elbows, a ball valve and what the entrance and the free end take. */
  private static final double COEFFICIENT =
      2 * Obstacle.ELBOW.coefficient()
          + 2 * Obstacle.BALL_VALVE.coefficient()
          + Obstacle.ENTRANCE.coefficient()
          + Obstacle.FREE_END.coefficient();

  /**
   * A line from a tank's drain.
   *
   * @param bore inside diameter (m)
   * @param length (m)
   * @param drop how far its end is below the tank's opening (m)
   */
  public record DrainLine(double bore, double length, double drop) {}

  /**
   * Runs a tank out as it stands, through its drain or else its outlet.
   *
   * @throws Refusal when it has neither
   */
  public static DrainedTank of(Network network, State state, PartId tank, DrainLine line) {
    Part part = network.rig().part(tank);
    TankPort port = opening(part);
    Rig bench = bench(network, part, port, line);
    State start =
        new State(bench.atRest(), Map.of(part.id(), state.volume(part.id())), state.slope());
    Simulation run = Simulation.start(Network.of(bench), start);
    double first = run.moment().flows().end(PartId.of("bench-end"));
    double seconds = emptied(run);
    return new DrainedTank(port, seconds, first, run.moment().state().volume(part.id()));
  }

  private static TankPort opening(Part part) {
    Tank tank = (Tank) part.kind();
    return first(tank, TankPort.Use.DRAIN)
        .or(() -> first(tank, TankPort.Use.FEED))
        .orElseThrow(() -> new Refusal(Says.HAS_NEITHER_DRAIN_NOR_OUTLET.with(part.label())));
  }

  private static Optional<TankPort> first(Tank tank, TankPort.Use use) {
    return tank.tankPorts().stream().filter(p -> p.use() == use).findFirst();
  }

  /** Runs on until no more comes, and returns when that is (s). */
  private static double emptied(Simulation run) {
    while (run.time() < LONGEST) {
      for (Event h : run.runToNext(LONGEST)) {
        if (h.kind() == Event.Kind.RUNS_OUT && !h.begins()) {
          return h.at();
        }
      }
    }
    return run.time();
  }

  /** The tank alone with a drain line and an open vent at its top. */
  private static Rig bench(Network network, Part part, TankPort port, DrainLine line) {
    Tank tank = (Tank) part.kind();
    double top = network.room(part.id()).highest(Slope.LEVEL);
    TankPort vent =
        new TankPort(
            PortId.of("bench-vent"),
            TankPort.Use.VENT,
            new Point(port.at().x(), port.at().y(), top));
    Part alone = part.with(tank.withPorts(List.of(port, vent)));
    Rig whole = network.rig();
    double end = part.height() + port.at().z() - line.drop();
    double air = part.height() + top + 0.3;
    Rig rig =
        new Rig(
            whole.name(),
            "",
            whole.vehicle(),
            whole.places(),
            List.of(
                alone,
                end(PartId.of("bench-end"), part, end, OpenEnd.Role.DRAIN),
                end(PartId.of("bench-air"), part, air, OpenEnd.Role.VENT)),
            List.of());
    Line drain =
        line(
            LineId.of("bench-drain"),
            alone.port(port.id()),
            PartId.of("bench-end"),
            line.bore(),
            line.length());
    Line venting =
        line(
            LineId.of("bench-vent-line"), alone.port(vent.id()), PartId.of("bench-air"), 0.02, 0.3);
    return RigEdit.of(RigEdit.of(rig).connect(drain)).connect(venting);
  }

  private static Part end(PartId id, Part beside, double height, OpenEnd.Role role) {
    return new Part(
        id, id.value(), beside.place(), beside.x(), beside.y(), height, 0, new OpenEnd(role));
  }

  private static Line line(LineId id, PortRef from, PartId end, double bore, double length) {
    return new Line(
        id,
        id.value(),
        from,
        new PortRef(end, PortId.IN),
        bore,
        length,
        Line.Material.PVC_HOSE,
        COEFFICIENT,
        List.of());
  }
}
