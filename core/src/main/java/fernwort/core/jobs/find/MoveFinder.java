package fernwort.core.jobs.find;

import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Caution;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Job.Stage;
import fernwort.core.jobs.goal.Job.Until;
import fernwort.core.jobs.goal.Need;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.Tap;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.ways.DrivenBy;
import fernwort.core.ways.HandleDistance;
import fernwort.core.ways.HandleDistance.Pumped;
import fernwort.core.ways.OneSetting;
import java.util.Comparator;
import java.util.LinkedHashMap;
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
          move(from, to, PUMPED, Says.BY_PUMP.text());
          move(from, to, FALLING, Says.BY_GRAVITY.text());
          byLooseHose(from, to);
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
        Says.MOVE_WATER_FROM_TO.filled(from.label(), to.label()),
        by,
        List.of(Stage.of(goal, new Until(Until.What.FULL, to.id())), Stage.of(end)),
        Caution.STAY);
  }

  /**
   * A tank that no line of the rig joins with another: a loose hose from its outlet to the inlet by
   * which a pump draws.
   */
  private void byLooseHose(Part from, Part to) {
    if (joins(from.id(), to.id(), Pumped.EITHER)) {
      return;
    }
    Optional<Part> outlet =
        parts(p -> p.kind().is(Purpose.OUTSIDE) || p.kind().is(Purpose.CAP)).stream()
            .filter(p -> joins(from.id(), p.id(), Pumped.NO))
            .min(
                Comparator.comparing((Part p) -> !p.kind().is(Purpose.OUTSIDE))
                    .thenComparingInt(p -> turns.from(from.id(), rest).to(p.id(), Pumped.NO)));
    if (outlet.isEmpty()) {
      return;
    }
    for (Part inlet : inlets) {
      if (joins(inlet.id(), to.id(), Pumped.YES) && !inlet.equals(outlet.get())) {
        byLooseHose(from, outlet.get(), inlet, to);
      }
    }
  }

  private void byLooseHose(Part from, Part outlet, Part inlet, Part to) {
    Map<PartId, PositionId> on = new LinkedHashMap<>();
    on.put(outlet.id(), outlet.kind() instanceof Tap tap ? tap.cold().id() : Plug.OUT.id());
    on.put(inlet.id(), HoseInlet.OUTSIDE.id());
    Map<PartId, PositionId> off = new LinkedHashMap<>(pumpsOff());
    on.keySet().forEach(p -> off.put(p, rig.part(p).rest().id()));
    // Both ends are on before the water comes, and it is shut off before one comes off.
    Map<PartId, PositionId> shut = new LinkedHashMap<>(pumpsOff());
    shut.putAll(on);
    Condition parted = new Condition.Parted(from.id(), outlet.id());
    Need need = Need.of(tank(from), into(to), PUMPED);
    Goal goal =
        Goal.of(on, List.of(need))
            .and(
                new Condition.Breathes(from.id()),
                new Condition.Breathes(to.id()),
                new Condition.Relieved(to.id(), from.id()));
    add(
        Job.Kind.MOVE,
        "hose-" + from.id() + "-" + to.id() + "-" + inlet.id(),
        Says.MOVE_WATER_FROM_TO.filled(from.label(), to.label()),
        Says.BY_A_LOOSE_HOSE_TO.filled(inlet.label()),
        List.of(
            Stage.ifPossible(Goal.of(on).and(parted)),
            Stage.of(goal, new Until(Until.What.FULL, to.id())),
            Stage.ifPossible(Goal.of(shut).and(parted)),
            Stage.of(Goal.of(off))),
        Caution.DRINKING_HOSE,
        Caution.STAY);
  }

  private void filterAgain(Part tank, FilterRow row) {
    PartId first = row.first().id();
    if (joins(tank.id(), first, Pumped.YES)
        && joins(tank.id(), tank.id(), Pumped.YES)
        && turns.behind(row.last().id(), PortId.OUT, rest).to(tank.id(), Pumped.EITHER)
            < HandleDistance.NEVER) {
      Need need = new Need(tank(tank), into(tank), PUMPED, Optional.of(first));
      Goal goal =
          Goal.of(Map.of(), List.of(need))
              .and(new Condition.Breathes(tank.id()), new Condition.Filtered(tank.id(), row.ids()))
              .accepting(Warning.Code.PUMP_STIRS);
      add(
          Job.Kind.FILTER_AGAIN,
          "filter-" + tank.id() + "-" + first,
          Says.FILTER_THE_WATER_OF_AGAIN.filled(tank.label()),
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
          Says.BY_PUMP.text(),
          List.of(
              Stage.of(goal, new Until(Until.What.RUNS, tank.id())),
              Stage.of(Goal.of(pumpsOff()))));
    }
  }
}
