package fernwort.core.jobs;

import fernwort.core.jobs.Job.Stage;
import fernwort.core.jobs.Job.Until;
import fernwort.core.network.Drive;
import fernwort.core.network.Plumbing;
import fernwort.core.network.Turns;
import fernwort.core.network.Turns.Pumped;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Finds the ways to move water from tank to tank, and through a filter again. */
final class MoveFinder extends Finder {

  MoveFinder(Plumbing plumbing, List<Job> jobs, List<Jobs.Cannot> cannot) {
    super(plumbing, jobs, cannot);
  }

  @Override
  void find() {
    moves();
  }

  private void moves() {
    for (Part from : fresh) {
      for (Part to : fresh) {
        if (!from.equals(to)) {
          move(from, to, PUMPED, "by pump");
          move(from, to, FALLING, "by fall");
        }
      }
      parts(p -> p.kind() instanceof Kind.Filter).forEach(f -> filterAgain(from, f));
    }
  }

  private void move(Part from, Part to, Set<Drive.Kind> drives, String by) {
    Need need = Need.of(tank(from), into(to), drives);
    if (!joins(from.id(), to.id(), need.pumped())
        || drives == FALLING && from.height() <= to.height()) {
      return;
    }
    Goal goal = Goal.of(Map.of(), List.of(need)).breathing(from.id(), to.id());
    Goal end = Goal.of(drives == PUMPED ? pumpsOff() : Map.of()).quiet(from.id());
    add(
        Job.Kind.MOVE,
        "move-" + from.id() + "-" + to.id() + (drives == PUMPED ? "-pump" : "-fall"),
        "Move water from %s to %s".formatted(from.label(), to.label()),
        by,
        List.of(Stage.of(goal, new Until(Until.What.FULL, to.id())), Stage.of(end)),
        Caution.STAY);
  }

  private void filterAgain(Part tank, Part filter) {
    if (joins(tank.id(), filter.id(), Pumped.YES)
        && joins(tank.id(), tank.id(), Pumped.YES)
        && turns.behind(filter.id(), "out", rest).to(tank.id(), Pumped.EITHER) < Turns.NEVER) {
      Need need = new Need(tank(tank), into(tank), PUMPED, Optional.of(filter.id()));
      Goal goal = Goal.of(Map.of(), List.of(need)).breathing(tank.id());
      add(
          Job.Kind.FILTER_AGAIN,
          "filter-" + tank.id() + "-" + filter.id(),
          "Filter the water of %s again".formatted(tank.label()),
          "through " + filter.label(),
          List.of(
              Stage.of(goal, new Until(Until.What.RUNS, tank.id())),
              Stage.of(Goal.of(pumpsOff()))));
    }
  }
}
