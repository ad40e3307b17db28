package fernwort.core.review;

import fernwort.core.describe.PortNames;
import fernwort.core.id.PortId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.ThreeWayValve;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import java.util.List;
import java.util.Optional;

/** Lines that are joined to the wrong side: of a three-way valve, or of a pump. */
final class WiringCheck implements LayoutCheck {

  @Override
  public void over(Plumbed plan, List<Finding> found) {
    PortNames names = PortNames.of(plan.rig());
    for (Part part : plan.rig().parts()) {
      if (part.kind() instanceof ThreeWayValve valve) {
        neverJoined(plan, names, part, valve, found);
      } else if (part.kind().is(Purpose.CARRIED)) {
        pushedInto(plan, names, part, found);
      }
    }
  }

  /** A source at one port and a pump at another that no position of the handle joins. */
  private static void neverJoined(
      Plumbed plan, PortNames names, Part part, ThreeWayValve valve, List<Finding> found) {
    for (PortId drawn : valve.ports()) {
      Optional<Part> pump = first(names, part.port(drawn), plan, WiringCheck::isIntake);
      for (PortId port : valve.ports()) {
        Optional<Part> source = first(names, part.port(port), plan, WiringCheck::isSource);
        boolean apart =
            !port.equals(drawn)
                && valve.stops().stream().noneMatch(stop -> joins(stop, port, drawn));
        if (pump.isPresent() && source.isPresent() && apart) {
          found.add(finding(part, source.orElseThrow(), pump.orElseThrow()));
        }
      }
    }
  }

  private interface End {
    boolean is(Part part, PortId port);
  }

  private static Optional<Part> first(PortNames names, PortRef from, Plumbed plan, End wanted) {
    return names.ends(from).stream()
        .filter(end -> wanted.is(plan.part(end.part()), end.port()))
        .map(end -> plan.part(end.part()))
        .findFirst();
  }

  private static boolean isIntake(Part part, PortId port) {
    return part.kind().is(Purpose.PUMPS) && port.equals(PortId.IN);
  }

  /** Something that a pump draws from: a fresh tank by its outlet, a jug, an outside hose. */
  private static boolean isSource(Part part, PortId port) {
    return part.kind()
        .opening(port)
        .map(p -> part.kind().forDrinking() && p.use().givesToPumps())
        .orElse(part.kind().is(Purpose.SOURCE));
  }

  private static boolean joins(Stop stop, PortId one, PortId other) {
    return stop.joins().stream().anyMatch(group -> group.contains(one) && group.contains(other));
  }

  private static Finding finding(Part valve, Part source, Part pump) {
    return new Finding(
        Finding.Code.NEVER_JOINED,
        Finding.Risk.LOSS,
        Says.NEVER_JOINS_WITH.with(valve.label(), source.label(), pump.label()),
        Says.NO_POSITION_OF_ITS_HANDLE_LEADS.with(),
        Says.CANNOT_DRAW_FROM_HOWEVER.with(pump.label(), source.label()),
        Says.LOOK_WHICH_LINE_IS_JOINED.with(valve.label()),
        List.of(valve.id(), source.id(), pump.id()),
        Optional.empty());
  }

  /** A jug that hangs where a pump pushes instead of where one draws. */
  private static void pushedInto(Plumbed plan, PortNames names, Part jug, List<Finding> found) {
    List<PortRef> ends = names.ends(jug.port(PortId.of("spout")));
    Optional<Part> pushing =
        ends.stream()
            .map(end -> plan.part(end.part()))
            .filter(p -> ends.contains(p.port(PortId.OUT)) && p.kind().is(Purpose.PUMPS))
            .findFirst();
    boolean drawn = ends.stream().anyMatch(e -> isIntake(plan.part(e.part()), e.port()));
    if (pushing.isPresent() && !drawn) {
      String pump = pushing.orElseThrow().label();
      found.add(
          new Finding(
              Finding.Code.JUG_PUSHED_INTO,
              Finding.Risk.LOSS,
              Says.PUSHES_INTO.with(pump, jug.label()),
              Says.HANGS_ON_THE_LINE_BEHIND.with(jug.label(), pump),
              Says.NOTHING_IS_DRAWN.with(),
              Says.HANG_BEFORE_OR_POUR.with(jug.label(), pump),
              List.of(jug.id(), pushing.orElseThrow().id()),
              Optional.empty()));
    }
  }
}
