package fernwort.core.jobs;

import fernwort.core.hazard.Warning;
import fernwort.core.jobs.Job.Stage;
import fernwort.core.jobs.Job.Until;
import fernwort.core.network.Drive;
import fernwort.core.network.End;
import fernwort.core.network.Plumbing;
import fernwort.core.network.Turns.Pumped;
import fernwort.core.rig.Contents;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/** Finds the ways to empty gray tanks and to shed fresh water. */
final class EmptyFinder extends Finder {

  /** Drains that are offered for each tank. */
  private static final int MOST_DRAINS = 2;

  EmptyFinder(Plumbing plumbing, List<Job> jobs, List<Jobs.Cannot> cannot) {
    super(plumbing, jobs, cannot);
  }

  @Override
  void find() {
    empty();
  }

  private void empty() {
    List<Part> dumps =
        parts(p -> p.kind() instanceof Kind.OpenEnd e && e.role() == Kind.OpenEnd.Role.DUMP);
    rig.tanks(Contents.GRAY)
        .forEach(gray -> {
          int before = found();
          dumps.forEach(d -> emptyGray(gray, d));
          if (found() == before) {
            missing(
                "Empty " + gray.label(),
                "It needs a drain valve and a dump outlet with a cap below " + gray.label() + ".");
          }
        });
    fresh.forEach(this::shed);
  }

  private void emptyGray(Part gray, Part dump) {
    for (Set<Drive.Kind> drives : List.of(FALLING, PUMPED)) {
      Need need = Need.of(tank(gray), new End(End.Kind.DUMP, dump.id()), drives);
      if (joins(gray.id(), dump.id(), need.pumped())) {
        Map<String, String> shut = new LinkedHashMap<>();
        shut.put(dump.id(), "hose");
        if (drives == PUMPED) {
          shut.putAll(allTo("off", p -> p.kind() instanceof Kind.Macerator));
        }
        add(
            Job.Kind.EMPTY_GRAY,
            "empty-" + gray.id() + "-" + dump.id() + (drives == PUMPED ? "-pump" : ""),
            "Empty " + gray.label(),
            drives == PUMPED ? "by pump out of " + dump.label() : "by fall out of " + dump.label(),
            List.of(
                Stage.of(
                    Goal.of(Map.of(dump.id(), "hose"), List.of(need)).breathing(gray.id()),
                    new Until(Until.What.DRY, gray.id())),
                Stage.ifPossible(Goal.of(shut).quiet(gray.id())),
                Stage.of(Goal.of(Map.of(dump.id(), "capped")).quiet(gray.id()))),
            Caution.SEWAGE,
            Caution.LOCAL_RULES);
      }
    }
  }

  private void shed(Part tank) {
    Stream<Part> drains =
        rig.parts().stream()
            .filter(p -> isDrain(p) && p.height() < top(tank))
            .filter(p -> joins(tank.id(), p.id(), Pumped.NO))
            .sorted(
                Comparator.comparingInt(p -> turns.from(tank.id(), rest).to(p.id(), Pumped.NO)));
    List<Part> nearest = drains.limit(MOST_DRAINS).toList();
    if (nearest.isEmpty()) {
      missing(
          "Shed the water of " + tank.label(),
          "It needs a drain that lies lower than " + tank.label() + ".");
    }
    nearest.forEach(drain -> shed(tank, drain));
  }

  private double top(Part tank) {
    return tank.height() + plumbing.room(tank.id()).highest(Slope.LEVEL);
  }

  private static boolean isDrain(Part part) {
    return part.kind() instanceof Kind.Plug plug && plug.removable()
        || part.kind() instanceof Kind.OpenEnd end && end.role() == Kind.OpenEnd.Role.DRAIN;
  }

  private void shed(Part tank, Part drain) {
    Need need = Need.of(tank(tank), new End(End.Kind.GROUND, drain.id()), FALLING);
    boolean capped = drain.hasHandle();
    Goal goal =
        Goal.of(capped ? Map.of(drain.id(), "off") : Map.of(), List.of(need))
            .breathing(tank.id())
            .accepting(Warning.Code.OPEN_TO_GROUND);
    Map<String, String> shut = new LinkedHashMap<>(tailShut(drain));
    if (capped) {
      shut.put(drain.id(), "on");
    }
    add(
        Job.Kind.SHED,
        "shed-" + tank.id() + "-" + drain.id(),
        "Shed the water of " + tank.label(),
        "at " + drain.label(),
        List.of(
            Stage.of(goal, new Until(Until.What.DRY, tank.id())),
            Stage.of(Goal.of(shut).quiet(tank.id()))),
        Caution.LOCAL_RULES,
        Caution.UNDER_VEHICLE);
  }

  /** The valve that stands next to a drain's tail, shut; nothing where none does. */
  private Map<String, String> tailShut(Part drain) {
    Line line = rig.linesByPort().get(drain.port("in"));
    if (line == null) {
      return Map.of();
    }
    Part next = rig.part(line.other(drain.port("in")).part());
    return next.kind() instanceof Kind.Valve valve
        ? valve.shut().map(s -> Map.of(next.id(), s.id())).orElse(Map.of())
        : Map.of();
  }
}
