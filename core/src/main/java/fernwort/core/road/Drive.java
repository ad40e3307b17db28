package fernwort.core.road;

import fernwort.core.describe.RigEdit;
import fernwort.core.hydraulics.Carried;
import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Rank;
import fernwort.core.kind.line.AirAdmittanceValve;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.Landmarks;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * What a drive loses through overflows and vents.
 *
 * <p>A steady acceleration a tips the water by atan(a/g), a climb by its angle; each stretch is run
 * with the surface so tipped, siphons going on from one stretch to the next. Slosh is not modelled,
 * so the loss is a range: with the tips a fifth less and a quarter more than given, and with tails
 * that siphon late or early where both happen.
 *
 * @param words what it is
 * @param stretches its stretches, in order
 */
public record Drive(String words, List<Stretch> stretches) {

  private static final double GRAVITY = 9.80665;
  private static final double MILDER = 0.8;
  private static final double HARDER = 1.25;
  private static final double RISE = 0.3;

  /** Less than this has not left (m³): far less than a drop. */
  private static final double NOTHING = 1e-9;

  /**
   * A stretch of road.
   *
   * @param seconds how long it lasts (s)
   * @param climb how much it climbs, rise over length; negative downhill (1)
   * @param camber how much the left side stands higher (degrees)
   * @param forward acceleration forwards, negative for braking (m/s²)
   * @param left acceleration to the left, as in a left-hand bend (m/s²)
   */
  public record Stretch(double seconds, double climb, double camber, double forward, double left) {

    /** A day is the longest stretch, one in two the steepest road. */
    private static final double LONGEST = 86_400;

    private static final double STEEPEST = 0.5;

    /**
     * Makes a stretch.
     *
     * @throws Refusal when no road is like that
     */
    public Stretch {
      if (!(seconds > 0 && seconds <= LONGEST && Math.abs(climb) <= STEEPEST)) {
        throw new Refusal(Says.NO_ROAD_IS_LIKE.with());
      }
    }

    Slope slope(double share) {
      double pitch = Math.toDegrees(Math.atan(climb) + Math.atan(forward / GRAVITY));
      double roll = camber + Math.toDegrees(Math.atan(left / GRAVITY));
      return new Slope(Math.clamp(share * pitch, -40, 40), Math.clamp(share * roll, -40, 40));
    }
  }

  /** Drives made up for a start. */
  public static final List<Drive> READY =
      List.of(
          new Drive(
              Says.OVER_A_PASS.text(),
              List.of(
                  new Stretch(600, 0.09, 0, 0, 0),
                  new Stretch(8, 0.09, 0, 0, 2.5),
                  new Stretch(8, 0.09, 0, 0, -2.5),
                  new Stretch(60, 0, 0, 0, 0),
                  new Stretch(600, -0.09, 0, 0, 0),
                  new Stretch(5, -0.09, 0, -3, 0))),
          new Drive(
              Says.ACROSS_A_TOWN.text(),
              List.of(
                  new Stretch(6, 0, 0, 1.8, 0),
                  new Stretch(40, 0, 1, 0, 0),
                  new Stretch(4, 0, 0, -3.5, 0),
                  new Stretch(7, 0, 0, 0.5, 2.2),
                  new Stretch(7, 0, 0, 0.5, -2.2),
                  new Stretch(40, 0.03, 1, 0, 0),
                  new Stretch(5, 0, 0, -3, 0))),
          new Drive(
              Says.FERRY_RAMP_AND_FOREST_TRACK.text(),
              List.of(
                  new Stretch(25, -0.16, 0, 0, 0),
                  new Stretch(25, 0.16, 0, 0, 0),
                  new Stretch(300, 0.05, 4, 0, 0),
                  new Stretch(300, -0.04, -5, 0, 0),
                  new Stretch(10, 0.2, 0, 0, 0))));

  public Drive {
    stretches = List.copyOf(stretches);
  }

  /**
   * What is lost.
   *
   * @param low with milder tips, and tails that do not siphon where they need not (m³)
   * @param expected with the tips as given (m³)
   * @param high with harder ones, and tails that siphon where they may (m³)
   */
  public record Lost(double low, double expected, double high) {}

  /**
   * What a drive loses.
   *
   * @param ends what leaves at each open end, by the part's id
   * @param tanks what each tank loses, by its id
   */
  public record Losses(Map<PartId, Lost> ends, Map<PartId, Lost> tanks) {}

  /**
   * Returns what is lost on this drive, with pumps off and taps closed.
   *
   * @throws IllegalStateException when the flow on a stretch does not settle
   */
  public Losses losses(Network network, State start) {
    return losses(Road.of(Landmarks.of(network)), start);
  }

  /**
   * Returns the same of a rig that was driven before.
   *
   * @throws IllegalStateException when the flow on a stretch does not settle
   */
  public Losses losses(Road road, State start) {
    State parked = shutDown(road.network().rig(), start);
    Gone least = run(road, road.late(), parked, MILDER);
    Gone middle = run(road, road.late(), parked, 1);
    List<Gone> most =
        List.of(
            middle,
            run(road, road.early(), parked, 1),
            run(road, road.late(), parked, HARDER),
            run(road, road.early(), parked, HARDER));
    return new Losses(
        ranges(least.ends(), middle.ends(), most.stream().map(Gone::ends).toList()),
        ranges(least.tanks(), middle.tanks(), most.stream().map(Gone::tanks).toList()));
  }

  /** Returns what is lost at each end as is expected, and no range with it, by id (m³). */
  public Map<PartId, Double> loses(Road road, State start) {
    return run(road, road.late(), shutDown(road.network().rig(), start), 1).ends();
  }

  private static Map<PartId, Lost> ranges(
      Map<PartId, Double> least, Map<PartId, Double> middle, List<Map<PartId, Double>> most) {
    Set<PartId> ids = new HashSet<>(least.keySet());
    most.forEach(m -> ids.addAll(m.keySet()));
    Map<PartId, Lost> ranges = new TreeMap<>();
    for (PartId id : ids) {
      double expected = middle.getOrDefault(id, 0.0);
      ranges.put(
          id,
          new Lost(
              Math.min(least.getOrDefault(id, 0.0), expected),
              expected,
              most.stream().mapToDouble(m -> m.getOrDefault(id, 0.0)).max().orElse(expected)));
    }
    return ranges;
  }

  /** Returns a state with everything shut down that runs, gives water or stands open. */
  public static State shutDown(Rig rig, State start) {
    State state = start;
    for (Map.Entry<PartId, PositionId> shut : rig.shutDown().entrySet()) {
      state = state.with(shut.getKey(), shut.getValue());
    }
    return state;
  }

  /** What has left at each end and from each tank, by id (m³). */
  private record Gone(Map<PartId, Double> ends, Map<PartId, Double> tanks) {}

  private Gone run(Road road, Hydraulics hydraulics, State start, double share) {
    Map<PartId, Double> ends = new TreeMap<>();
    Conditions conditions = Conditions.ORDINARY;
    State state = start;
    for (Stretch stretch : stretches) {
      State tipped = new State(state.setting(), state.volumes(), stretch.slope(share));
      Simulation run = Simulation.start(road.landmarks(), hydraulics, tipped, conditions);
      run.runTo(stretch.seconds());
      Moment end = run.moment();
      end.totals()
          .out()
          .forEach((id, volume) -> {
            if (volume > NOTHING) {
              ends.merge(id, volume, Double::sum);
            }
          });
      state = end.state();
      conditions = conditions.carrying(Carried.runningFull(end.flows().runningFull()));
    }
    Map<PartId, Double> tanks = new TreeMap<>();
    for (Part tank : road.network().tanks()) {
      double lost = start.volume(tank.id()) - state.volume(tank.id());
      if (lost > NOTHING) {
        tanks.put(tank.id(), lost);
      }
    }
    return new Gone(ends, tanks);
  }

  // --- what would help ---------------------------------------------------------------------------

  /** Returns the state with every valve on an overflow or vent line shut, where there is one. */
  public static Optional<State> travelValvesShut(Rig rig, State state) {
    Map<PartId, PositionId> valves = travelValves(rig);
    State shut = state;
    for (Map.Entry<PartId, PositionId> valve : valves.entrySet()) {
      shut = shut.with(valve.getKey(), valve.getValue());
    }
    return valves.isEmpty() ? Optional.empty() : Optional.of(shut);
  }

  /** Returns the valves on overflow lines with the position that shuts them, by id. */
  public static Map<PartId, PositionId> travelValves(Rig rig) {
    Map<PartId, PositionId> valves = new TreeMap<>();
    Map<PortRef, Line> lines = rig.linesByPort();
    for (Part end : overflows(rig)) {
      Line line = lines.get(end.port(PortId.IN));
      PortRef at = end.port(PortId.IN);
      for (int i = 0; line != null && i < 6; i++) {
        Part part = rig.part(line.other(at).part());
        if (!(part.kind() instanceof TwoWayValve valve)) {
          break;
        }
        valve.shut().ifPresent(stop -> valves.put(part.id(), stop.id()));
        at = part.port(line.other(at).port().equals(PortId.A) ? PortId.B : PortId.A);
        line = lines.get(at);
      }
    }
    return valves;
  }

  /** Returns the valves on overflow lines with the position that opens them, by id. */
  public static Map<PartId, PositionId> travelValvesOpen(Rig rig) {
    Map<PartId, PositionId> open = new TreeMap<>();
    for (PartId id : travelValves(rig).keySet()) {
      Kind valve = rig.part(id).kind();
      valve.positions().stream()
          .filter(p -> valve.rank(p.id()) == Rank.WAY_OPEN)
          .findFirst()
          .ifPresent(p -> open.put(id, p.id()));
    }
    return open;
  }

  /** Returns the rig with every overflow raised over its tank and open to air at its crest. */
  public static Rig withRaisedVents(Rig rig) {
    Rig changed = rig;
    for (Part end : overflows(rig)) {
      List<Line> way = RigEdit.of(changed).linesAt(end.id());
      if (!way.isEmpty()) {
        Line line = way.getFirst();
        double top = changed.tanks().mapToDouble(t -> t.height() + RISE).max().orElse(end.height());
        double crest = Math.max(top, end.height()) + RISE;
        RigEdit edit = RigEdit.of(changed);
        Part air =
            new Part(
                edit.freePart("raised-air"),
                Says.RAISED_AIR_VALVE.text(),
                end.place(),
                end.x(),
                end.y(),
                crest + 0.05,
                0,
                new AirAdmittanceValve());
        ProfilePoint over = new ProfilePoint(line.length() / 2, crest);
        changed = edit.teeOff(line.id(), air, PortId.IN, 0.1, over);
      }
    }
    return changed;
  }

  private static List<Part> overflows(Rig rig) {
    List<Part> ends = new ArrayList<>();
    for (Part part : rig.parts()) {
      if (part.kind().is(Purpose.OVERFLOWS)) {
        ends.add(part);
      }
    }
    return ends;
  }
}
