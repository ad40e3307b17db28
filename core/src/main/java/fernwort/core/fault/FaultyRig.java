package fernwort.core.fault;

import fernwort.core.describe.RigEdit;
import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.InOut;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.AirAdmittanceValve;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.network.OverflowTail;
import fernwort.core.rig.Line;
import fernwort.core.rig.LineCourse;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/**
 * A rig with a fault in it, as one that can be solved and run.
 *
 * @param rig the rig, with more parts and lines where the fault needs them
 * @param forced where handles stand whatever anybody turns, by part
 * @param held what tanks hold whatever their gauges show, by tank (m³)
 * @param outlets the parts where water runs out that should not, the wettest first
 * @param full the lines that ran full before anybody looked
 */
public record FaultyRig(
    Rig rig,
    Map<PartId, PositionId> forced,
    Map<PartId, Double> held,
    List<PartId> outlets,
    Set<LineId> full) {

  /** What the ids of parts begin with that only the fault brings. */
  static final String MARK = "fault-";

  /** The bore of a hole that loses about a litre a minute (m); own choice. */
  private static final double HOLE = 0.0013;

  /** The bore of an opening through which a joint draws air (m); own choice. */
  private static final double SNIFF = 0.004;

  /** The bore that is left between the valves of a worn pump (m); own choice. */
  private static final double BACK = 0.0012;

  /** The bore of a way between cold and hot (m); own choice. */
  private static final double CROSSING = 0.008;

  /** What a valve leaks past itself, as a share of its bore: a tenth of the area; own choice. */
  private static final double PAST = 0.32;

  /** A kink loses so many times what the line does (1); own choice. */
  private static final double KINK = 20;

  /** Darcy's friction factor, taken for a line with a kink (1). */
  private static final double FRICTION = 0.03;

  /** What a tank holds that is emptier than its gauge shows (m³). */
  private static final double NEARLY_NOTHING = 1e-3;

  /** How full a tank is that is fuller than its gauge shows (share). */
  private static final double NEARLY_FULL = 0.999;

  /** The bore of a way for the air that a wall gives as it draws in (m); own choice. */
  private static final double WALL = 0.05;

  private static final double SHORT = 0.02;
  private static final double FITTING_LOSS = 1.5;
  private static final double BODY = 1e-5;
  private static final double LOWER = 0.01;
  private static final PositionId SHUT = PositionId.of("shut");
  private static final PositionId OPEN = PositionId.of("open");

  /** Where handles stand under this fault, and what tanks hold. */
  public State state(State noted) {
    Map<PartId, PositionId> positions = new TreeMap<>(rig.atRest().positions());
    positions.putAll(noted.setting().positions());
    positions.putAll(forced);
    Map<PartId, Double> volumes = new TreeMap<>(noted.volumes());
    volumes.putAll(held);
    return new State(new Setting(positions), volumes, noted.slope());
  }

  /**
   * Puts a fault into a rig.
   *
   * @return the rig with it; empty where a rig cannot be drawn with it
   */
  public static Optional<FaultyRig> of(Rig rig, Fault fault) {
    return new Making(rig).with(fault);
  }

  /** One rig while the fault is put in. */
  private static final class Making {

    private Rig rig;
    private final Map<PartId, PositionId> forced = new TreeMap<>();
    private final Map<PartId, Double> held = new TreeMap<>();
    private final List<PartId> outlets = new ArrayList<>();
    private final Set<LineId> full = new HashSet<>();

    private Making(Rig rig) {
      this.rig = rig;
    }

    private Optional<FaultyRig> with(Fault fault) {
      boolean line = rig.lines().stream().anyMatch(l -> l.id().equals(fault.on()));
      boolean done = line ? line(fault) : part(rig.part(fault.on().part()), fault);
      return done
          ? Optional.of(new FaultyRig(rig, forced, held, List.copyOf(outlets), Set.copyOf(full)))
          : Optional.empty();
    }

    private boolean line(Fault fault) {
      ElementId id = fault.on();
      switch (fault.kind()) {
        case LEAKING -> leak(id.line());
        case FROZEN, BLOCKED, AIR_LOCKED -> block(id.line());
        case KINKED -> edit(id.line(), l -> l.losing(kinked(l)));
        case DETACHED -> detach(id);
        case DRAWS_AIR -> drawAir(id);
        case SIPHONS -> {
          return siphon(id);
        }
        default -> {
          return false;
        }
      }
      return true;
    }

    private static double kinked(Line line) {
      return KINK * line.minorLoss() + (KINK - 1) * FRICTION * line.length() / line.bore();
    }

    private boolean part(Part part, Fault fault) {
      Kind kind = part.kind();
      switch (fault.kind()) {
        case MISPLACED, NOT_ARRIVED ->
            forced.put(
                part.id(),
                fault
                    .position()
                    .or(() -> kind.positions().stream().findFirst().map(Position::id))
                    .orElseThrow());
        case NO_POWER -> {
          Optional<PositionId> dark = kind.unpowered().or(fault::position);
          if (dark.isEmpty()) {
            return false;
          }
          forced.put(part.id(), dark.get());
        }
        case DEAD, JAMMED, NOT_HEATING, SWITCH_OPEN ->
            forced.put(part.id(), kind.rest().orElseThrow().id());
        case NO_SUPPLY -> forced.put(part.id(), fault.position().orElse(PositionId.of("hose")));
        case LEAKS_PAST -> {
          return leakPast(part);
        }
        case LEAKS_BACK -> {
          return bypass(part, PortId.OUT, PortId.IN, BACK);
        }
        case CROSSES -> {
          return bypass(part, PortId.COLD, PortId.HOT, CROSSING);
        }
        case STUCK_OPEN -> standIn(part, OPEN);
        case STUCK_CLOSED -> standIn(part, SHUT);
        case REVERSED -> reverse(part);
        case BLOCKED -> {
          Optional<Line> at = lineAt(part, PortId.OUT).or(() -> linesAt(part).stream().findFirst());
          at.ifPresent(l -> block(l.id()));
          return at.isPresent();
        }
        case LEAKING -> {
          Optional<Line> at = lineAt(part, PortId.OUT).or(() -> linesAt(part).stream().findFirst());
          at.ifPresent(l -> leak(l.id()));
          return at.isPresent();
        }
        case DRY -> {
          // It lets smell through, and water as before.
        }
        case EMPTIER, GAUGE_STUCK -> held.put(part.id(), NEARLY_NOTHING);
        case FULLER ->
            held.put(part.id(), NEARLY_FULL * Network.of(rig).room(part.id()).capacity());
        default -> {
          Kind changed = kind.with(fault.kind());
          if (changed.equals(kind)) {
            return false;
          }
          rig = RigEdit.of(rig).change(part.id(), p -> p.with(changed));
        }
      }
      return true;
    }

    // How a rig is changed.

    private RigEdit edit() {
      return RigEdit.of(rig);
    }

    private void edit(LineId line, UnaryOperator<Line> how) {
      rig = edit().changeLine(line, how);
    }

    /** A part of this kind near another, at a height (m). */
    private Part near(PartId other, String id, double height, Kind kind) {
      Part at = rig.part(other);
      PartId free = edit().freePart(id);
      return new Part(free, free.value(), at.place(), at.x(), at.y(), height, BODY, kind);
    }

    /** Where a fault of a line is met: at its second end, or its first where that is a tank. */
    private PartId beside(Line line) {
      boolean tank = rig.part(line.to().part()).kind().is(Purpose.HOLDS);
      return tank ? line.from().part() : line.to().part();
    }

    private PartId tee(LineId line, ProfilePoint at) {
      Line old = edit().line(line);
      Part tee = near(beside(old), "fault-tee", at.height(), new Tee());
      rig = edit().insert(line, tee, PortId.A, PortId.B);
      return tee.id();
    }

    private void join(PortRef from, PortRef to, double bore) {
      LineId id = edit().freeLine("fault-line");
      rig =
          edit()
              .connect(
                  new Line(
                      id,
                      id.value(),
                      from,
                      to,
                      bore,
                      SHORT,
                      Line.Material.PEX,
                      FITTING_LOSS,
                      List.of()));
    }

    private void leak(LineId line) {
      PartId tee = tee(line, edit().middle(line));
      Part end =
          near(tee, "fault-leak", rig.part(tee).height() - LOWER, new OpenEnd(OpenEnd.Role.DRAIN));
      rig = edit().add(end);
      join(rig.part(tee).port(PortId.C), end.port(PortId.IN), HOLE);
      outlets.add(end.id());
    }

    private void block(LineId line) {
      Line old = edit().line(line);
      Part valve = near(beside(old), "fault-block", edit().middle(line).height(), plug());
      rig = edit().insert(line, valve, PortId.A, PortId.B);
      forced.put(valve.id(), SHUT);
    }

    private static TwoWayValve plug() {
      return new TwoWayValve(
          List.of(
              new Stop(SHUT, SHUT.value(), 90, List.of()),
              new Stop(OPEN, OPEN.value(), 0, List.of(List.of(PortId.A, PortId.B)))),
          Optional.empty());
    }

    private void detach(ElementId id) {
      Line old = edit().line(id.line());
      PortRef off = old.to();
      double height = rig.part(off.part()).at(off.port()).z();
      Part end = near(beside(old), "fault-leak", height, new OpenEnd(OpenEnd.Role.DRAIN));
      rig = edit().disconnect(id.line());
      rig = edit().add(end);
      rig =
          edit()
              .connect(
                  new Line(
                      old.id(),
                      old.label(),
                      old.from(),
                      end.port(PortId.IN),
                      old.bore(),
                      old.length(),
                      old.material(),
                      old.minorLoss(),
                      old.profile(),
                      old.insulation()));
      Part other = near(off.part(), "fault-open", height, new OpenEnd(OpenEnd.Role.DRAIN));
      rig = edit().add(other);
      join(off, other.port(PortId.IN), old.bore());
      outlets.add(end.id());
      outlets.add(other.id());
    }

    /**
     * Walls that draw in keep the water at the tail's port however much has run out: it is drawn as
     * a port at the bottom of a tank whose air gives way.
     */
    private boolean siphon(ElementId id) {
      Network network = Network.of(rig);
      Optional<OverflowTail> tail =
          OverflowTail.of(network).stream().filter(t -> t.line().id().equals(id)).findFirst();
      tail.ifPresent(t -> {
        Part tank = t.tank();
        Tank kind = (Tank) tank.kind();
        Point lowest = network.room(tank.id()).centroid(LOWER, Slope.LEVEL);
        PortId air = PortId.of(MARK + "air");
        List<TankPort> ports = new ArrayList<>();
        kind.tankPorts().stream()
            .map(p -> p.equals(t.port()) ? p.movedTo(lowest) : p)
            .forEach(ports::add);
        ports.add(new TankPort(air, TankPort.Use.VENT, t.port().at()));
        rig = edit().change(tank.id(), p -> p.with(kind.withPorts(ports)));
        Part valve =
            near(
                tank.id(),
                "fault-air",
                tank.at(t.port().id()).z() + LOWER,
                new AirAdmittanceValve());
        rig = edit().add(valve);
        join(tank.port(air), valve.port(PortId.IN), WALL);
        full.addAll(t.lines(rig));
      });
      return tail.isPresent();
    }

    private void drawAir(ElementId id) {
      Line old = edit().line(id.line());
      double highest =
          LineCourse.of(rig, old).points().stream()
              .mapToDouble(ProfilePoint::height)
              .max()
              .orElseThrow();
      PartId tee = tee(id.line(), new ProfilePoint(old.length() / 2, highest));
      Part air = near(tee, "fault-air", highest + LOWER, new AirAdmittanceValve());
      rig = edit().add(air);
      join(rig.part(tee).port(PortId.C), air.port(PortId.IN), SNIFF);
    }

    private boolean leakPast(Part valve) {
      List<Line> lines = linesAt(valve);
      if (valve.kind().ports().size() != 2 || lines.size() < 2) {
        return false;
      }
      return bypass(lines.get(0), lines.get(1), PAST * narrower(lines));
    }

    private static double narrower(List<Line> lines) {
      return Math.min(lines.get(0).bore(), lines.get(1).bore());
    }

    private boolean bypass(Part part, PortId from, PortId to, double bore) {
      Optional<Line> one = lineAt(part, from);
      Optional<Line> other = lineAt(part, to);
      return one.isPresent() && other.isPresent() && bypass(one.get(), other.get(), bore);
    }

    private boolean bypass(Line one, Line other, double bore) {
      PartId first = tee(one.id(), edit().middle(one.id()));
      PartId second = tee(other.id(), edit().middle(other.id()));
      join(rig.part(first).port(PortId.C), rig.part(second).port(PortId.C), bore);
      return true;
    }

    /** An open or shut way in the place of a check valve. */
    private void standIn(Part check, PositionId position) {
      InOut ports = check.kind().through().orElseThrow();
      Map<PortId, PortId> renamed = Map.of(ports.in(), PortId.A, ports.out(), PortId.B);
      List<Part> parts =
          rig.parts().stream().map(p -> p.equals(check) ? p.with(plug()) : p).toList();
      rig =
          new Rig(
              rig.name(), rig.note(), rig.vehicle(), rig.places(), parts, moved(check, renamed));
      forced.put(check.id(), position);
    }

    private void reverse(Part check) {
      InOut ports = check.kind().through().orElseThrow();
      Map<PortId, PortId> swapped = Map.of(ports.in(), ports.out(), ports.out(), ports.in());
      rig =
          new Rig(
              rig.name(),
              rig.note(),
              rig.vehicle(),
              rig.places(),
              rig.parts(),
              moved(check, swapped));
    }

    /** The lines, with those at a part led to other ports of it. */
    private List<Line> moved(Part part, Map<PortId, PortId> ports) {
      List<Line> lines = new ArrayList<>();
      for (Line line : rig.lines()) {
        lines.add(
            new Line(
                line.id(),
                line.label(),
                moved(line.from(), part, ports),
                moved(line.to(), part, ports),
                line.bore(),
                line.length(),
                line.material(),
                line.minorLoss(),
                line.profile(),
                line.insulation()));
      }
      return lines;
    }

    private static PortRef moved(PortRef end, Part part, Map<PortId, PortId> ports) {
      return end.part().equals(part.id())
          ? new PortRef(end.part(), ports.getOrDefault(end.port(), end.port()))
          : end;
    }

    private List<Line> linesAt(Part part) {
      return edit().linesAt(part.id());
    }

    private Optional<Line> lineAt(Part part, PortId port) {
      return Optional.ofNullable(rig.linesByPort().get(part.port(port)));
    }
  }
}
