package fernwort.core.jobs;

import fernwort.core.hazard.Warning;
import fernwort.core.network.Source;
import fernwort.core.network.Turns.Turn;
import fernwort.core.network.Way;
import fernwort.core.rig.Setting;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * When a stage of a job is reached, whatever the rig.
 *
 * @param musts positions that parts have to be in, by part id
 * @param needs ways that have to be open
 * @param probe positions of taps with which to look whether they are, by part id
 * @param breathing ids of tanks whose air must come and go
 * @param circulating id of a pump whose water must run round, if any
 * @param joined parts that open passages have to join, from the first to the second
 * @param quiet ids of sources and tanks that may give nothing
 * @param still whether no water at all may move
 * @param inherent hazards that belong to the job, such as water on the ground where a tank is
 *     drained
 */
public record Goal(
    Map<String, String> musts,
    List<Need> needs,
    Map<String, String> probe,
    Set<String> breathing,
    Optional<String> circulating,
    Map<String, String> joined,
    Set<String> quiet,
    boolean still,
    Set<Warning.Code> inherent) {

  public Goal {
    musts = Map.copyOf(musts);
    needs = List.copyOf(needs);
    probe = Map.copyOf(probe);
    breathing = Set.copyOf(breathing);
    joined = Map.copyOf(joined);
    quiet = Set.copyOf(quiet);
    inherent = Set.copyOf(inherent);
  }

  private static final Goal NOTHING =
      new Goal(
          Map.of(),
          List.of(),
          Map.of(),
          Set.of(),
          Optional.empty(),
          Map.of(),
          Set.of(),
          false,
          Set.of());

  /** Returns a goal of positions. */
  static Goal of(Map<String, String> musts) {
    return NOTHING.with(musts, List.of(), Map.of());
  }

  /** Returns a goal of positions and ways. */
  static Goal of(Map<String, String> musts, List<Need> needs) {
    return NOTHING.with(musts, needs, Map.of());
  }

  /** Returns a goal of positions and ways, looked at with taps open. */
  static Goal of(Map<String, String> musts, List<Need> needs, Map<String, String> probe) {
    return NOTHING.with(musts, needs, probe);
  }

  private Goal with(Map<String, String> musts, List<Need> needs, Map<String, String> probe) {
    return new Goal(musts, needs, probe, breathing, circulating, joined, quiet, still, inherent);
  }

  /**
   * Returns this goal with some parts staying as they are in a setting; what the goal itself asks
   * of a part stands above that.
   */
  Goal keeping(Setting setting, Set<String> parts) {
    Map<String, String> kept = new TreeMap<>(musts);
    parts.forEach(p -> kept.putIfAbsent(p, setting.of(p)));
    return with(kept, needs, probe);
  }

  /** Returns where the goal wants a part that has to stay elsewhere, if there is one. */
  Optional<Turn> stuck(Setting setting, Set<String> parts) {
    return musts.entrySet().stream()
        .filter(m -> parts.contains(m.getKey()) && !setting.of(m.getKey()).equals(m.getValue()))
        .map(m -> new Turn(m.getKey(), m.getValue()))
        .findFirst();
  }

  Goal breathing(String... tanks) {
    return new Goal(
        musts,
        needs,
        probe,
        Set.copyOf(List.of(tanks)),
        circulating,
        joined,
        quiet,
        still,
        inherent);
  }

  Goal circulating(String pump) {
    return new Goal(
        musts, needs, probe, breathing, Optional.of(pump), joined, quiet, still, inherent);
  }

  Goal joining(String from, String to) {
    return new Goal(
        musts, needs, probe, breathing, circulating, Map.of(from, to), quiet, still, inherent);
  }

  Goal quiet(String... sources) {
    return new Goal(
        musts, needs, probe, breathing, circulating, joined, Set.of(sources), still, inherent);
  }

  Goal allStill() {
    return new Goal(musts, needs, probe, breathing, circulating, joined, quiet, true, inherent);
  }

  Goal accepting(Warning.Code... hazards) {
    return new Goal(
        musts, needs, probe, breathing, circulating, joined, quiet, still, Set.of(hazards));
  }

  /** Tells whether a way is in the way: it takes from the job's source or ends where it ends. */
  boolean isStray(Way way) {
    if (way.source().kind() == Source.Kind.WASTE) {
      return false;
    }
    if (still || quiet.contains(way.source().part())) {
      return true;
    }
    boolean touches =
        needs.stream().anyMatch(n -> n.source().equals(way.source()) || n.end().equals(way.end()));
    return touches && needs.stream().noneMatch(n -> n.isMetBy(way));
  }
}
