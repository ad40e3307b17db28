package fernwort.core.jobs.goal;

import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.network.Turn;
import fernwort.core.rig.Setting;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * When a stage of a job is reached, whatever the rig.
 *
 * @param conditions what has to be so
 * @param probe positions of taps with which to look whether it is, by part id
 * @param inherent hazards that belong to the job, such as water on the ground where a tank is
 *     drained
 */
public record Goal(
    List<Condition> conditions, Map<PartId, PositionId> probe, Set<Warning.Code> inherent) {

  public Goal {
    conditions = List.copyOf(conditions);
    probe = Map.copyOf(probe);
    inherent = Set.copyOf(inherent);
  }

  /** Returns a goal of positions. */
  public static Goal of(Map<PartId, PositionId> musts) {
    return of(musts, List.of(), Map.of());
  }

  /** Returns a goal of positions and ways. */
  public static Goal of(Map<PartId, PositionId> musts, List<Need> needs) {
    return of(musts, needs, Map.of());
  }

  /** Returns a goal of positions and ways, looked at with taps open. */
  public static Goal of(
      Map<PartId, PositionId> musts, List<Need> needs, Map<PartId, PositionId> probe) {
    List<Condition> conditions = new ArrayList<>();
    // In one order, whatever the map: the same goal is planned the same way each time.
    new TreeMap<>(musts)
        .forEach((part, position) -> conditions.add(new Condition.Placed(part, position)));
    needs.forEach(n -> conditions.add(new Condition.Runs(n)));
    conditions.add(new Condition.Alone(needs));
    return new Goal(conditions, probe, Set.of());
  }

  /** Returns this goal with more conditions. */
  public Goal and(Condition... more) {
    return and(List.of(more));
  }

  /** Returns this goal with more conditions. */
  public Goal and(List<? extends Condition> more) {
    List<Condition> all = new ArrayList<>(conditions);
    all.addAll(more);
    return new Goal(all, probe, inherent);
  }

  /** Returns this goal with more ways that may run along with those that have to. */
  public Goal letting(List<Need> more) {
    List<Condition> all = new ArrayList<>();
    for (Condition condition : conditions) {
      if (condition instanceof Condition.Alone alone) {
        List<Need> needs = new ArrayList<>(alone.needs());
        needs.addAll(more);
        all.add(new Condition.Alone(needs));
      } else {
        all.add(condition);
      }
    }
    return new Goal(all, probe, inherent);
  }

  /** Returns this where some warnings are accepted, too. */
  public Goal accepting(Warning.Code... hazards) {
    Set<Warning.Code> all = new HashSet<>(inherent);
    all.addAll(List.of(hazards));
    return new Goal(conditions, probe, all);
  }

  /** Returns where parts have to be, by id. */
  public Map<PartId, PositionId> musts() {
    Map<PartId, PositionId> musts = new TreeMap<>();
    of(Condition.Placed.class).forEach(p -> musts.put(p.part(), p.position()));
    return musts;
  }

  /** Returns the ways that have to be open. */
  public List<Need> needs() {
    return of(Condition.Runs.class).stream().map(Condition.Runs::need).toList();
  }

  /** Returns the conditions of one sort. */
  public <C extends Condition> List<C> of(Class<C> sort) {
    return conditions.stream().filter(sort::isInstance).map(sort::cast).toList();
  }

  /**
   * Returns this goal with some parts staying as they are in a setting; what the goal itself asks
   * of a part stands above that.
   */
  public Goal keeping(Setting setting, Set<PartId> parts) {
    Map<PartId, PositionId> musts = musts();
    List<Condition> kept = new ArrayList<>();
    parts.stream()
        .filter(p -> !musts.containsKey(p))
        .forEach(p -> kept.add(new Condition.Placed(p, setting.of(p))));
    kept.addAll(conditions);
    return new Goal(kept, probe, inherent);
  }

  /** Returns where the goal wants a part that has to stay elsewhere, if there is one. */
  public Optional<Turn> stuck(Setting setting, Set<PartId> parts) {
    return musts().entrySet().stream()
        .filter(m -> parts.contains(m.getKey()) && !setting.of(m.getKey()).equals(m.getValue()))
        .map(m -> new Turn(m.getKey(), m.getValue()))
        .findFirst();
  }
}
