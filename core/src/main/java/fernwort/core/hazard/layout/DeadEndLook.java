package fernwort.core.hazard.layout;

import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Hoses from a valve that lead to nothing: a position of the handle that does nothing. */
final class DeadEndLook implements Look {

  @Override
  public void over(Plan plan, List<Finding> found) {
    for (Part valve : plan.rig().parts()) {
      if (!(valve.kind() instanceof Kind.Valve)) {
        continue;
      }
      for (String port : valve.kind().ports()) {
        plan.lineAt(valve, port)
            .filter(line -> leadsNowhere(plan, valve, line))
            .ifPresent(line -> found.add(deadEnd(valve, line)));
      }
    }
  }

  /** Looks along a line from a valve, not back through it, for anything that gives or takes. */
  private static boolean leadsNowhere(Plan plan, Part valve, Line first) {
    Set<String> seen = new HashSet<>(Set.of(valve.id()));
    Deque<String> front = new ArrayDeque<>();
    front.add(first.from().part().equals(valve.id()) ? first.to().part() : first.from().part());
    while (!front.isEmpty()) {
      String at = front.remove();
      if (!seen.add(at)) {
        continue;
      }
      if (isSomething(plan.part(at))) {
        return false;
      }
      for (Line line : plan.rig().lines()) {
        if (line.from().part().equals(at)) {
          front.add(line.to().part());
        } else if (line.to().part().equals(at)) {
          front.add(line.from().part());
        }
      }
    }
    return true;
  }

  private static boolean isSomething(Part part) {
    return switch (part.kind()) {
      case Kind.Tank k -> true;
      case Kind.Fixture k -> true;
      case Kind.OpenEnd k -> true;
      case Kind.HoseInlet k -> true;
      case Kind.GravityFiller k -> true;
      case Kind.PortableContainer k -> true;
      case Kind.Macerator k -> true;
      case Kind.AirAdmittanceValve k -> true;
      case Kind.Heater k -> true;
      case Kind.Accumulator k -> true;
      case Kind.Plug k -> k.removable();
      case Kind.Valve k -> false;
      case Kind.CheckValve k -> false;
      case Kind.Regulator k -> false;
      case Kind.Strainer k -> false;
      case Kind.Filter k -> false;
      case Kind.Pump k -> false;
      case Kind.Tee k -> false;
      case Kind.Manifold k -> false;
      case Kind.DrainTrap k -> false;
    };
  }

  private static Finding deadEnd(Part valve, Line line) {
    return new Finding(
        Finding.Code.LEADS_NOWHERE,
        Finding.Risk.LOSS,
        "%s: its line “%s” leads nowhere".formatted(valve.label(), line.label()),
        "Nothing that gives or takes water is at its far end.",
        "A position that does nothing, and water that stands in it and goes stale.",
        "Join its far end to what it was meant for, or take it off and plug the port.",
        List.of(valve.id(), line.id()),
        Optional.empty());
  }
}
