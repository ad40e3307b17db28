package fernwort.core.review;

import fernwort.core.kind.Purpose;
import fernwort.core.network.Beyond;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Optional;

/** Hoses from a valve that lead to nothing: a position of the handle that does nothing. */
final class DeadEndCheck implements LayoutCheck {

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
        Message.of("{}: its line “{}” leads nowhere", valve.label(), line.label()),
        Message.of("Nothing that gives or takes water is at its far end."),
        Message.of("A position that does nothing, and water that stands in it and goes stale."),
        Message.of("Join its far end to what it was meant for, or take it off and plug the port."),
        List.of(valve.id(), line.id()),
        Optional.empty());
  }
}
