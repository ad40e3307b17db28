package fernwort.core.review;

import fernwort.core.describe.RigEdit;
import fernwort.core.id.LineId;
import fernwort.core.id.PortId;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.AirAdmittanceValve;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.OverflowTail;
import fernwort.core.network.Water;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.run.HappeningWords;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.say.Scale;
import fernwort.core.streams.LineService;
import fernwort.core.tank.TankRoom;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Vents: none at all, too low, sagging, or a tail that can siphon. */
final class AirCheck implements LayoutCheck {

  /** How far under the top a new vent leaves (m); own choice. */
  private static final double UNDER_THE_TOP = 0.005;

  /** How far above the tank a new vent ends (m); own choice. */
  private static final double ABOVE = 0.4;

  private static final double VENT_BORE = 0.016;
  private static final double VENT_LENGTH = 0.6;

  /** How far under the top a vent is that was raised (m); own choice. */
  private static final double RAISED = 0.004;

  /** How far above the vent the line that is let have air is led (m); own choice. */
  private static final double CREST = 0.25;

  /** How far above it the air valve stands, on a spur as long (m); own choice. */
  private static final double SPUR = 0.05;

  /** Capacity that a low vent may cost before it is worth saying. */
  private static final double SHARE_WORTH_SAYING = 0.03;

  private static final double SAG_WORTH_SAYING = 0.005;

  @Override
  public void over(Plumbed plan, List<Finding> found) {
    for (Part part : plan.rig().parts()) {
      if (part.kind() instanceof Tank tank) {
        air(plan, part, tank, found);
        low(plan, part, found);
      }
    }
    OverflowTail.of(plan.network()).forEach(tail -> siphon(plan, tail, found));
    sags(plan, found);
  }

  // --- none ------------------------------------------------------------------------------------

  private static void air(Plumbed plan, Part part, Tank tank, List<Finding> found) {
    boolean breathes =
        plan.free()
            .leaving(part, port -> takesAir(tank.port(port)), AirCheck::isOpening)
            .isPresent();
    if (!breathes) {
      found.add(
          new Finding(
              Finding.Code.NO_AIR,
              Finding.Risk.HARM,
              Says.HAS_NO_WAY_FOR_AIR.with(part.label()),
              Says.FILLING_PRESSES_ITS_AIR_TOGETHER.with(),
              Says.A_BURST_OR_CAVED_TANK_AND_TAPS.with(),
              Says.ADD_A_VENT_FROM_ITS_TOP.with(),
              List.of(part.id()),
              Optional.of(vent(part, tank))));
    }
  }

  /** A drain opens below, and what it lets in bubbles through what it should let out. */
  private static boolean takesAir(TankPort port) {
    return port.use() != TankPort.Use.DRAIN;
  }

  private static boolean isOpening(Part part) {
    return part.kind().is(Purpose.OUTLET)
            && !part.kind().is(Purpose.DUMPS)
            && !part.kind().is(Purpose.DRAINS)
        || part.kind().is(Purpose.BREATHES)
        || part.kind().is(Purpose.POURED_INTO);
  }

  private static UnaryOperator<Rig> vent(Part part, Tank tank) {
    return rig -> {
      TankRoom room = TankRoom.of(tank);
      double top = room.highest(Slope.LEVEL);
      Point middle = room.centroid(top, Slope.LEVEL);
      PortId port = freePort(tank);
      List<TankPort> ports = new ArrayList<>(tank.tankPorts());
      ports.add(
          new TankPort(
              port, TankPort.Use.VENT, new Point(middle.x(), middle.y(), top - UNDER_THE_TOP)));
      Rig drilled = RigEdit.of(rig).change(part.id(), p -> p.with(tank.withPorts(ports)));
      Part end =
          new Part(
              RigEdit.of(drilled).freePart(part.id() + "-vent"),
              RigEdit.shortened(part.label() + " vent"),
              part.place(),
              part.x(),
              part.y(),
              part.height() + top + ABOVE,
              0,
              new OpenEnd(OpenEnd.Role.VENT));
      return RigEdit.of(drilled).addAt(end, PortId.IN, part.port(port), VENT_BORE, VENT_LENGTH);
    };
  }

  private static PortId freePort(Tank tank) {
    PortId port = PortId.of("vent");
    for (int n = 2; tank.ports().contains(port); n++) {
      port = PortId.of("vent-" + n);
    }
    return port;
  }

  // --- too low ---------------------------------------------------------------------------------

  private static void low(Plumbed plan, Part part, List<Finding> found) {
    TankRoom room = plan.network().room(part.id());
    double top = room.highest(Slope.LEVEL);
    double fills = room.volumeBelow(top, Slope.LEVEL);
    plan.network().joined(part).tankPorts().stream()
        .filter(p -> p.use() == TankPort.Use.VENT)
        .max((a, b) -> Double.compare(a.at().z(), b.at().z()))
        .filter(p ->
            fills - room.volumeBelow(p.at(), Slope.LEVEL) > SHARE_WORTH_SAYING * room.capacity())
        .ifPresent(vent -> {
          double lost = fills - room.volumeBelow(vent.at(), Slope.LEVEL);
          found.add(
              new Finding(
                  Finding.Code.VENT_LOW,
                  Finding.Risk.LOSS,
                  Says.ITS_VENT_LEAVES_BELOW_ITS_TOP.with(
                      part.label(), Amount.length(top - vent.at().z())),
                  Says.AIR_ABOVE_THE_VENT_CANNOT_GET.with(),
                  Says.OF_ITS_ROOM_IS_NEVER_FILLED.with(Amount.volume(lost)),
                  Says.LEAD_THE_VENT_FROM_THE_VERY_TOP.with(),
                  List.of(part.id()),
                  Optional.of(raise(part, vent, top - RAISED))));
        });
  }

  private static UnaryOperator<Rig> raise(Part part, TankPort port, double z) {
    return rig -> RigEdit.of(rig).change(part.id(), p -> OutletCheck.movePort(p, port.id(), z));
  }

  // --- sagging ---------------------------------------------------------------------------------

  private static void sags(Plumbed plan, List<Finding> found) {
    Map<LineId, LineService.Stream> streams = LineService.of(plan.rig());
    for (Line line : plan.rig().lines()) {
      double sag = plan.level().sag(line.id());
      if (streams.get(line.id()) == LineService.Stream.AIR && sag > SAG_WORTH_SAYING) {
        boolean shared = vents(plan, line) > 1;
        found.add(
            new Finding(
                Finding.Code.VENT_SAG,
                shared ? Finding.Risk.HARM : Finding.Risk.LOSS,
                Says.SAGS_BY.with(
                    line.label(),
                    Amount.length(sag),
                    shared ? Says.AND_SERVES_TWO_TANKS.text() : ""),
                Says.WATER_THAT_GETS_INTO_IT_STAYS.with(),
                Says.IT_HOLDS_BACK_EARLY_OVERFLOW.with(
                    Amount.pressure(Water.DENSITY * Water.GRAVITY * sag)),
                Message.words(
                    shared
                        ? Says.LET_IT_RISE_ALL_THE_WAY.text()
                        : Says.LET_IT_RISE_ALL_THE_WAY_STOP.text()),
                List.of(line.from().part(), line.to().part()),
                Optional.of(
                    rig -> RigEdit.of(rig).changeLine(line.id(), l -> l.along(List.of())))));
      }
    }
  }

  private static long vents(Plumbed plan, Line line) {
    return plan.network().tanks().stream()
        .filter(t ->
            plan.free()
                .route(
                    t.id(),
                    p -> p.kind().is(Purpose.PUMPS) || p.kind().is(Purpose.USE),
                    p -> p.id().equals(line.to().part()) || p.id().equals(line.from().part()))
                .isPresent())
        .count();
  }

  // --- siphon ----------------------------------------------------------------------------------

  private static void siphon(Plumbed plan, OverflowTail tail, List<Finding> found) {
    Part tank = tail.tank();
    TankRoom room = plan.network().room(tank.id());
    found.add(
        new Finding(
            Finding.Code.OVERFLOW_SIPHON,
            Finding.Risk.LOSS,
            Says.CAN_SIPHON_OUT_THROUGH.with(tank.label(), tail.end().label()),
            Says.ITS_TAIL_HANGS_LOWER.with(),
            Says.UP_TO_FROM_A_FULL_TANK.with(
                Amount.volume(lostOnSlope(room, tail.port())),
                Scale.rounded(Slope.ROAD, 0),
                HappeningWords.runsOn(tank.label(), room.capacity())),
            Says.LEAD_IT_OVER_A_CREST.with(),
            List.of(tank.id(), tail.end().id()),
            Optional.of(airAtCrest(tank, tail.port(), tail.line()))));
  }

  /** The most that lies above a port when a full tank is tipped one way or another (m³). */
  private static double lostOnSlope(TankRoom room, TankPort port) {
    double full = room.volumeBelow(port.at(), Slope.LEVEL);
    double kept = full;
    for (double[] tip :
        new double[][] {{Slope.ROAD, 0}, {-Slope.ROAD, 0}, {0, Slope.ROAD}, {0, -Slope.ROAD}}) {
      kept = Math.min(kept, room.volumeBelow(port.at(), new Slope(tip[0], tip[1])));
    }
    return full - kept;
  }

  private static UnaryOperator<Rig> airAtCrest(Part tank, TankPort port, Line line) {
    return rig -> {
      double crest = tank.at(port.id()).z() + CREST;
      Part valve =
          new Part(
              RigEdit.of(rig).freePart(tank.id() + "-air"),
              RigEdit.shortened(Says.AIR_VALVE.filled(tank.label())),
              tank.place(),
              tank.x(),
              tank.y(),
              crest + SPUR,
              0,
              new AirAdmittanceValve());
      ProfilePoint over = new ProfilePoint(line.length() / 2, crest);
      return RigEdit.of(rig).teeOff(line.id(), valve, PortId.IN, SPUR, over);
    };
  }
}
