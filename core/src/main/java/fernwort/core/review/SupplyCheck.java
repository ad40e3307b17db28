package fernwort.core.review;

import fernwort.core.describe.Fittings;
import fernwort.core.describe.RigEdit;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.say.Amount;
import fernwort.core.say.Refusal;
import fernwort.core.tank.TankRoom;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Backflow into the mains, fresh water that gray can reach, pumps without a strainer, one leak. */
final class SupplyCheck implements LayoutCheck {

  /** A link that lies lower than what is above this share of a tank brings it to one level. */
  private static final double MUCH = 0.8;

  private static final double BAR = 1e5;

  /** Parts for vehicles are often made for no more; a cautious estimate (Pa). */
  private static final double STRONG = 3.5 * BAR;

  /** Where a regulator is usually set (bar). */
  private static final double USUAL = 2.8;

  @Override
  public void over(Plumbed plan, List<Finding> found) {
    for (Part part : plan.rig().parts()) {
      if (part.kind() instanceof HoseInlet inlet && inlet.mainsPressure() > 0) {
        if (!inlet.holdsBack()) {
          backflow(plan, part, found);
        }
        tooStrong(plan, part, inlet, found);
      } else if (part.kind().is(Purpose.PUMPS)) {
        strainer(plan, part, found);
      } else if (part.kind().holds(Contents.GRAY)) {
        mixes(plan, part, found);
      }
    }
    oneLeak(plan, found);
  }

  private static void backflow(Plumbed plan, Part inlet, List<Finding> found) {
    boolean reachable =
        plan.network().tanks().stream()
            .anyMatch(t ->
                plan.free().route(t.id(), p -> false, p -> p.id().equals(inlet.id())).isPresent());
    if (reachable) {
      found.add(
          new Finding(
              Finding.Code.NO_BACKFLOW,
              Finding.Risk.HARM,
              Says.HAS_NO_BACKFLOW_PROTECTION.with(inlet.label()),
              Says.WHEN_MAINS_PRESSURE_DROPS_TANK.with(),
              Says.OTHER_PEOPLES_DRINKING_WATER.with(),
              Says.FIT_A_CHECK_VALVE_BEHIND.with(),
              List.of(inlet.id()),
              behind(plan, inlet, "check", Says.CHECK_VALVE.text(), new CheckValve(2_000))));
    }
  }

  /** Mains that press harder than what hangs on them is made for, with nothing to tame them. */
  private static void tooStrong(Plumbed plan, Part inlet, HoseInlet kind, List<Finding> found) {
    if (kind.mainsPressure() <= STRONG) {
      return;
    }
    plan.free()
        .route(inlet.id(), p -> p.kind().is(Purpose.REGULATES), p -> p.kind().bursts())
        .ifPresent(route ->
            found.add(
                new Finding(
                    Finding.Code.NO_REGULATOR,
                    Finding.Risk.LOSS,
                    Says.GIVES_AND_NO_REGULATOR_IS_BEHIND.with(
                        inlet.label(), Amount.pressure(kind.mainsPressure())),
                    Says.FITTINGS_FILTERS_AND_HEATERS.with(),
                    Says.FIRST_OR_THE_JOINT_NEXT.with(plan.part(route.getLast()).label()),
                    Says.FIT_A_REGULATOR_RIGHT_BEHIND.with(),
                    List.of(inlet.id(), route.getLast()),
                    behind(plan, inlet, "regulator", " regulator", Fittings.regulator(USUAL)))));
  }

  private static void strainer(Plumbed plan, Part pump, List<Finding> found) {
    boolean unstrained =
        plan.network().sources().stream()
            .anyMatch(s ->
                plan.free()
                    .route(s.id(), SupplyCheck::strains, p -> p.id().equals(pump.id()))
                    .filter(route -> throughSuction(plan, route, pump))
                    .isPresent());
    boolean circulates = pump.kind().is(Purpose.CIRCULATES);
    if (unstrained && !circulates) {
      found.add(
          new Finding(
              Finding.Code.PUMP_STRAINER,
              Finding.Risk.BOTHER,
              Says.HAS_NO_STRAINER_BEFORE_IT.with(pump.label()),
              Says.A_DRILLING_CHIP_OR_A_GRAIN.with(),
              Says.A_PUMP_AND_AN_AFTERNOON.with(),
              Says.FIT_A_STRAINER_ON_ITS_SUCTION.with(),
              List.of(pump.id()),
              plan.lineAt(pump, PortId.IN)
                  .map(line ->
                      putIn(
                          line,
                          pump,
                          PortId.IN,
                          "strainer",
                          pump.label() + " strainer",
                          new Strainer()))));
    }
  }

  private static boolean strains(Part part) {
    return part.kind().is(Purpose.STRAINS);
  }

  /** Tells whether a route comes to a pump by its inlet, not backwards by its outlet. */
  private static boolean throughSuction(Plumbed plan, List<PartId> route, Part pump) {
    return plan.lineAt(pump, PortId.IN)
        .map(line -> line.other(pump.port(PortId.IN)).part())
        .filter(before -> route.size() > 1 && route.get(route.size() - 2).equals(before))
        .isPresent();
  }

  /** The step that fits a part right behind an inlet, where a line is there to take it. */
  private static Optional<UnaryOperator<Rig>> behind(
      Plumbed plan, Part inlet, String id, String name, Kind kind) {
    return plan.lineAt(inlet, PortId.OUT)
        .map(line -> putIn(line, inlet, PortId.OUT, id, inlet.label() + name, kind));
  }

  /** Puts a two-ended part into a line, its out port away from one end of the line. */
  private static UnaryOperator<Rig> putIn(
      Line line, Part near, PortId port, String id, String label, Kind kind) {
    boolean inlet = port.equals(PortId.OUT);
    boolean nearIsFirst = line.from().equals(near.port(port));
    PortId towardsFirst = nearIsFirst == inlet ? PortId.IN : PortId.OUT;
    PortId towardsSecond = towardsFirst.equals(PortId.IN) ? PortId.OUT : PortId.IN;
    return rig -> {
      Part part =
          new Part(
              RigEdit.of(rig).freePart(near.id() + "-" + id),
              RigEdit.shortened(label),
              near.place(),
              near.x(),
              near.y(),
              near.height(),
              Plumbed.VALVE_BODY,
              kind);
      return RigEdit.of(rig).insert(line.id(), part, towardsFirst, towardsSecond);
    };
  }

  private static void mixes(Plumbed plan, Part gray, List<Finding> found) {
    plan.free()
        .route(gray.id(), SupplyCheck::purifies, SupplyCheck::isDrinking)
        .ifPresent(route ->
            found.add(
                new Finding(
                    Finding.Code.FRESH_MEETS_GRAY,
                    Finding.Risk.HARM,
                    Says.CAN_REACH.with(gray.label(), plan.part(route.getLast()).label()),
                    Says.WITH_SOME_SETTING_OF_THE_HANDLES.with(),
                    Says.SOMEBODYS_HEALTH.with(),
                    Says.SEPARATE_THE_TWO_FOR_GOOD.with(),
                    List.of(gray.id(), route.getLast()),
                    Optional.empty())));
  }

  private static boolean purifies(Part part) {
    return part.kind().is(Purpose.PURIFIES);
  }

  private static boolean isDrinking(Part part) {
    return part.kind().forDrinking();
  }

  private static void oneLeak(Plumbed plan, List<Finding> found) {
    List<Part> fresh =
        plan.network().tanks().stream().filter(t -> Plumbed.isTank(t, Contents.FRESH)).toList();
    for (int i = 0; i < fresh.size(); i++) {
      for (Part other : fresh.subList(i + 1, fresh.size())) {
        joined(plan, fresh.get(i), other).ifPresent(found::add);
      }
    }
  }

  /** Water can run from one tank to the other and nothing a hand turns is between them. */
  private static Optional<Finding> joined(Plumbed plan, Part one, Part other) {
    return plan.free()
        .route(one.id(), SupplyCheck::parts, p -> p.id().equals(other.id()))
        .filter(route -> isWater(plan, one, route) && isLow(plan, one, other, route))
        .map(route ->
            new Finding(
                Finding.Code.ONE_LEAK,
                Finding.Risk.LOSS,
                Says.AND_CANNOT_BE_CLOSED_OFF.with(one.label(), other.label()),
                Says.NO_VALVE_IS_BETWEEN_THEM.with(),
                Says.ONE_SPLIT_HOSE_LOSES_BOTH.with(),
                Says.PUT_A_VALVE_BETWEEN_THEM.with(),
                List.of(one.id(), other.id()),
                Optional.of(rig -> partThem(rig, route))));
  }

  private static boolean parts(Part part) {
    return part.kind().is(Purpose.TURNS)
        || part.kind().is(Purpose.CHECKS)
        || part.kind().is(Purpose.PUMPS);
  }

  /** A shared vent joins tanks for air only; what counts leaves the first tank by another port. */
  private static boolean isWater(Plumbed plan, Part one, List<PartId> route) {
    return plan.rig().lines().stream()
        .filter(l -> joins(l, route.get(0), route.get(1)))
        .map(l -> l.from().part().equals(one.id()) ? l.from().port() : l.to().port())
        .anyMatch(
            port -> one.kind().opening(port).filter(p -> p.use() != TankPort.Use.VENT).isPresent());
  }

  /** What only runs over from one into the other does not bring them to one level. */
  private static boolean isLow(Plumbed plan, Part one, Part other, List<PartId> route) {
    double crest = Double.NEGATIVE_INFINITY;
    for (int i = 1; i < route.size(); i++) {
      PartId a = route.get(i - 1);
      PartId b = route.get(i);
      crest =
          Math.max(
              crest,
              plan.rig().lines().stream()
                  .filter(l -> joins(l, a, b))
                  .mapToDouble(l -> plan.level().crest(l.id()))
                  .min()
                  .orElse(Double.POSITIVE_INFINITY));
    }
    return isMuchAbove(plan, one, crest) && isMuchAbove(plan, other, crest);
  }

  private static boolean isMuchAbove(Plumbed plan, Part tank, double height) {
    TankRoom room = plan.network().room(tank.id());
    return room.volumeBelow(height - tank.height(), Slope.LEVEL) < MUCH * room.capacity();
  }

  private static Rig partThem(Rig rig, List<PartId> route) {
    Line line =
        rig.lines().stream()
            .filter(l -> joins(l, route.get(0), route.get(1)))
            .findFirst()
            .orElseThrow(() -> new Refusal(Says.THE_LINE_BETWEEN_THEM_IS_GONE.with()));
    Part near = rig.part(route.get(0));
    Part valve =
        new Part(
            RigEdit.of(rig).freePart(near.id() + "-valve"),
            RigEdit.shortened(near.label() + " valve"),
            near.place(),
            near.x(),
            near.y(),
            near.height(),
            Plumbed.VALVE_BODY,
            Fittings.twoWay(0));
    return RigEdit.of(rig).insert(line.id(), valve, PortId.A, PortId.B);
  }

  private static boolean joins(Line line, PartId a, PartId b) {
    return line.from().part().equals(a) && line.to().part().equals(b)
        || line.from().part().equals(b) && line.to().part().equals(a);
  }
}
