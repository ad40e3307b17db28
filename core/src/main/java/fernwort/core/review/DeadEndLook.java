package fernwort.core.review;

import fernwort.core.kind.Purpose;
import fernwort.core.plumbing.Beyond;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.say.Saying;
import java.util.List;
import java.util.Optional;

/** Hoses from a valve that lead to nothing: a position of the handle that does nothing. */
final class DeadEndLook implements Look {

  @Override
  public void over(Plumbed plan, List<Finding> found) {
    for (Part valve : plan.rig().parts()) {
      if (!valve.kind().is(Purpose.TURNS)) {
        continue;
      }
      valve.kind().ports().stream()
          .filter(port -> leadsNowhere(plan, valve, port))
          .flatMap(port -> plan.lineAt(valve, port).stream())
          .distinct()
          .forEach(line -> found.add(deadEnd(valve, line)));
    }
  }

  private static boolean leadsNowhere(Plumbed plan, Part valve, String port) {
    return Beyond.of(plan.rig(), valve, port).stream()
        .noneMatch(p -> Beyond.isEnd(plan.part(p).kind()));
  }

  private static Finding deadEnd(Part valve, Line line) {
    return new Finding(
        Finding.Code.LEADS_NOWHERE,
        Finding.Risk.LOSS,
        Saying.of("{}: its line “{}” leads nowhere", valve.label(), line.label()),
        Saying.of("Nothing that gives or takes water is at its far end."),
        Saying.of("A position that does nothing, and water that stands in it and goes stale."),
        Saying.of("Join its far end to what it was meant for, or take it off and plug the port."),
        List.of(valve.id(), line.id()),
        Optional.empty());
  }
}
