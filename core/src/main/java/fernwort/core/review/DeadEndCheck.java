package fernwort.core.review;

import fernwort.core.id.PortId;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Beyond;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
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

  private static boolean leadsNowhere(Plumbed plan, Part valve, PortId port) {
    return Beyond.of(plan.rig(), valve, port).stream()
        .noneMatch(p -> Beyond.isEnd(plan.part(p).kind()));
  }

  private static Finding deadEnd(Part valve, Line line) {
    return new Finding(
        Finding.Code.LEADS_NOWHERE,
        Finding.Risk.LOSS,
        Says.ITS_LINE_LEADS_NOWHERE.with(valve.label(), line.label()),
        Says.NOTHING_THAT_GIVES_OR_TAKES.with(),
        Says.A_POSITION_THAT_DOES_NOTHING.with(),
        Says.JOIN_ITS_FAR_END.with(),
        List.of(valve.id(), line.id()),
        Optional.empty());
  }
}
