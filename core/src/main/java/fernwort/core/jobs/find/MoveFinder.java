package fernwort.core.jobs.find;

import fernwort.core.hazard.Warning;
import fernwort.core.jobs.goal.Caution;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Job.Stage;
import fernwort.core.jobs.goal.Job.Until;
import fernwort.core.jobs.goal.Need;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.ways.DrivenBy;
import fernwort.core.ways.HandleDistance;
import fernwort.core.ways.HandleDistance.Pumped;
import fernwort.core.ways.OneSetting;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Finds the ways to move water from tank to tank, and through a filter again. */
final class MoveFinder extends Finder {

  MoveFinder(Network network, Distances distances, List<Job> jobs, List<Jobs.Cannot> cannot) {
    super(network, distances, jobs, cannot);
  }

  @Override
  void find() {
    moves();
  }

  private void moves() {
    for (Part from : filled) {
      for (Part to : filled) {
        if (!from.equals(to) && holdsTheSame(from, to)) {
          move(from, to, PUMPED, "by pump");
          move(from, to, FALLING, "by gravity");
        }
      }
      FilterRow.of(network).forEach(row -> filterAgain(from, row));
      sendRound(from);
    }
  }

  private void move(Part from, Part to, Set<DrivenBy.Kind> drives, String by) {
    Need need = Need.of(tank(from), into(to), drives);
    if (!joins(from.id(), to.id(), need.pumped())
        || drives == FALLING
            && (from.height() <= to.height() || !OneSetting.joins(network, from, to))) {
      return;
    }
    Goal goal =
        Goal.of(Map.of(), List.of(need))
            .and(
                new Condition.Breathes(from.id()),
                new Condition.Breathes(to.id()),
                new Condition.Tight(to.id()));
    if (drives == PUMPED) {
      goal =
          goal.and(
              new Condition.Relieved(to.id(), from.id()),
              new Condition.NoReturn(from.id(), to.id()));
    }
    Goal end =
        Goal.of(drives == PUMPED ? pumpsOff() : Map.of()).and(new Condition.Quiet(from.id()));
    add(
        Job.Kind.MOVE,
        "move-" + from.id() + "-" + to.id() + (drives == PUMPED ? "-pump" : "-fall"),
        "Move water from %s to %s".formatted(from.label(), to.label()),
        by,
        List.of(Stage.of(goal, new Until(Until.What.FULL, to.id())), Stage.of(end)),
        Caution.STAY);
  }

  private void filterAgain(Part tank, FilterRow row) {
    String first = row.first().id();
    if (joins(tank.id(), first, Pumped.YES)
        && joins(tank.id(), tank.id(), Pumped.YES)
        && turns.behind(row.last().id(), "out", rest).to(tank.id(), Pumped.EITHER)
            < HandleDistance.NEVER) {
      Need need = new Need(tank(tank), into(tank), PUMPED, Optional.of(first));
      Goal goal =
          Goal.of(Map.of(), List.of(need))
              .and(new Condition.Breathes(tank.id()), new Condition.Filtered(tank.id(), row.ids()))
              .accepting(Warning.Code.PUMP_STIRS);
      add(
          Job.Kind.FILTER_AGAIN,
          "filter-" + tank.id() + "-" + first,
          "Filter the water of %s again".formatted(tank.label()),
          "through " + row.label(),
          List.of(
              Stage.of(goal, new Until(Until.What.RUNS, tank.id())),
              Stage.of(Goal.of(pumpsOff()))));
    }
  }

  /** Round by a pump and back into the tank, to mix what was put in. */
  private void sendRound(Part tank) {
    if (joins(tank.id(), tank.id(), Pumped.YES)) {
      Need need = Need.of(tank(tank), into(tank), PUMPED);
      Goal goal =
          Goal.of(Map.of(), List.of(need))
              .and(new Condition.Breathes(tank.id()))
              .accepting(Warning.Code.PUMP_STIRS);
      add(
          Job.Kind.FILTER_AGAIN,
          "stir-" + tank.id(),
          "Circulate %s".formatted(tank.label()),
          "by pump",
          List.of(
              Stage.of(goal, new Until(Until.What.RUNS, tank.id())),
              Stage.of(Goal.of(pumpsOff()))));
    }
  }
}
