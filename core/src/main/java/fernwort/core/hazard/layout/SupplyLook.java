package fernwort.core.hazard.layout;

import fernwort.core.describe.RigEdit;
import fernwort.core.rig.Contents;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Backflow into the mains, fresh water that gray can reach, pumps without a strainer, one leak. */
final class SupplyLook implements Look {

  @Override
  public void over(Plan plan, List<Finding> found) {
    for (Part part : plan.rig().parts()) {
      switch (part.kind()) {
        case Kind.HoseInlet inlet when inlet.mainsPressure() > 0 -> backflow(plan, part, found);
        case Kind.Pump pump -> strainer(plan, part, found);
        case Kind.Tank tank when tank.contents() == Contents.GRAY -> mixes(plan, part, found);
        default -> {}
      }
    }
    oneLeak(plan, found);
  }

  private static void backflow(Plan plan, Part inlet, List<Finding> found) {
    boolean reachable =
        plan.plumbing().tanks().stream()
            .anyMatch(t ->
                plan.free().route(t.id(), p -> false, p -> p.id().equals(inlet.id())).isPresent());
    if (reachable) {
      found.add(
          new Finding(
              Finding.Code.NO_BACKFLOW,
              Finding.Risk.HARM,
              inlet.label() + " has no backflow protection",
              "When mains pressure drops, tank water is drawn into the public pipe.",
              "Other people's drinking water.",
              "Fit a check valve behind it; your local code may ask for more.",
              List.of(inlet.id()),
              plan.lineAt(inlet, "out")
                  .map(line ->
                      putIn(
                          line,
                          inlet,
                          "out",
                          "check",
                          inlet.label() + " check valve",
                          new Kind.CheckValve(2_000)))));
    }
  }

  private static void strainer(Plan plan, Part pump, List<Finding> found) {
    boolean unstrained =
        plan.plumbing().sources().stream()
            .anyMatch(s ->
                plan.free()
                    .route(s.id(), SupplyLook::strains, p -> p.id().equals(pump.id()))
                    .filter(route -> throughSuction(plan, route, pump))
                    .isPresent());
    boolean circulates =
        pump.kind() instanceof Kind.Pump p && p.duty() == Kind.Pump.Duty.CIRCULATION;
    if (unstrained && !circulates) {
      found.add(
          new Finding(
              Finding.Code.PUMP_STRAINER,
              Finding.Risk.BOTHER,
              pump.label() + " has no strainer before it",
              "A drilling chip or a grain of sand in its valves and it no longer holds pressure.",
              "A pump, and an afternoon.",
              "Fit a strainer on its suction side, where it can be opened and rinsed.",
              List.of(pump.id()),
              plan.lineAt(pump, "in")
                  .map(line ->
                      putIn(
                          line,
                          pump,
                          "in",
                          "strainer",
                          pump.label() + " strainer",
                          new Kind.Strainer()))));
    }
  }

  private static boolean strains(Part part) {
    return part.kind() instanceof Kind.Strainer
        || part.kind() instanceof Kind.Filter f && f.grade() == Kind.Filter.Grade.SEDIMENT;
  }

  /** Tells whether a route comes to a pump by its inlet, not backwards by its outlet. */
  private static boolean throughSuction(Plan plan, List<String> route, Part pump) {
    return plan.lineAt(pump, "in")
        .map(line -> line.other(pump.port("in")).part())
        .filter(before -> route.size() > 1 && route.get(route.size() - 2).equals(before))
        .isPresent();
  }

  /** Puts a two-ended part into a line, its out port away from one end of the line. */
  private static UnaryOperator<Rig> putIn(
      Line line, Part near, String port, String id, String label, Kind kind) {
    boolean inlet = port.equals("out");
    boolean nearIsFirst = line.from().equals(near.port(port));
    String towardsFirst = nearIsFirst == inlet ? "in" : "out";
    String towardsSecond = towardsFirst.equals("in") ? "out" : "in";
    return rig -> {
      Part part =
          new Part(
              RigEdit.of(rig).freeId(near.id() + "-" + id),
              RigEdit.shortened(label),
              near.place(),
              near.x(),
              near.y(),
              near.height(),
              2e-5,
              kind);
      return RigEdit.of(rig).insert(line.id(), part, towardsFirst, towardsSecond);
    };
  }

  private static void mixes(Plan plan, Part gray, List<Finding> found) {
    plan.free()
        .route(gray.id(), SupplyLook::purifies, SupplyLook::isDrinking)
        .ifPresent(route ->
            found.add(
                new Finding(
                    Finding.Code.FRESH_MEETS_GRAY,
                    Finding.Risk.HARM,
                    gray.label() + " can reach " + plan.part(route.getLast()).label(),
                    "With some setting of the handles gray water gets where people drink.",
                    "Somebody's health.",
                    "Part the two for good: no line, no valve, no shared hose between them.",
                    List.of(gray.id(), route.getLast()),
                    Optional.empty())));
  }

  private static boolean purifies(Part part) {
    return part.kind() instanceof Kind.Filter f && f.grade() == Kind.Filter.Grade.PURIFIER;
  }

  private static boolean isDrinking(Part part) {
    return part.kind() instanceof Kind.Fixture f && f.drinking()
        || Plan.isTank(part, Contents.FRESH);
  }

  private static void oneLeak(Plan plan, List<Finding> found) {
    List<Part> fresh =
        plan.plumbing().tanks().stream().filter(t -> Plan.isTank(t, Contents.FRESH)).toList();
    for (int i = 0; i < fresh.size(); i++) {
      for (Part other : fresh.subList(i + 1, fresh.size())) {
        joined(plan, fresh.get(i), other).ifPresent(found::add);
      }
    }
  }

  /** Water can run from one tank to the other and nothing a hand turns is between them. */
  private static Optional<Finding> joined(Plan plan, Part one, Part other) {
    return plan.free()
        .route(one.id(), SupplyLook::parts, p -> p.id().equals(other.id()))
        .filter(route -> isWater(plan, one, route))
        .map(route ->
            new Finding(
                Finding.Code.ONE_LEAK,
                Finding.Risk.LOSS,
                "%s and %s cannot be parted".formatted(one.label(), other.label()),
                "No valve is between them, so they stand at one level and run out together.",
                "One split hose loses both.",
                "Put a valve between them and keep it shut on the road.",
                List.of(one.id(), other.id()),
                Optional.of(rig -> partThem(rig, route))));
  }

  private static boolean parts(Part part) {
    return part.kind() instanceof Kind.Valve
        || part.kind() instanceof Kind.CheckValve
        || part.kind() instanceof Kind.Pump;
  }

  /** A shared vent joins tanks for air only; what counts leaves the first tank by another port. */
  private static boolean isWater(Plan plan, Part one, List<String> route) {
    return plan.rig().lines().stream()
        .filter(l -> joins(l, route.get(0), route.get(1)))
        .map(l -> l.from().part().equals(one.id()) ? l.from().port() : l.to().port())
        .anyMatch(port ->
            one.kind() instanceof Kind.Tank tank
                && tank.port(port).use() != fernwort.core.rig.TankPort.Use.VENT);
  }

  private static Rig partThem(Rig rig, List<String> route) {
    Line line =
        rig.lines().stream()
            .filter(l -> joins(l, route.get(0), route.get(1)))
            .findFirst()
            .orElseThrow(
                () -> new IllegalArgumentException("The line between them is gone; look again"));
    Part near = rig.part(route.get(0));
    Part valve =
        new Part(
            RigEdit.of(rig).freeId(near.id() + "-valve"),
            RigEdit.shortened(near.label() + " valve"),
            near.place(),
            near.x(),
            near.y(),
            near.height(),
            2e-5,
            fernwort.core.describe.Fittings.twoWay(0));
    return RigEdit.of(rig).insert(line.id(), valve, "a", "b");
  }

  private static boolean joins(Line line, String a, String b) {
    return line.from().part().equals(a) && line.to().part().equals(b)
        || line.from().part().equals(b) && line.to().part().equals(a);
  }
}
