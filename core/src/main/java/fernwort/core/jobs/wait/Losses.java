package fernwort.core.jobs.wait;

import fernwort.core.id.PartId;
import fernwort.core.run.Moment;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * Water that leaves at open ends while a plan is done: where it may, and what has left so far where
 * it should not.
 *
 * @param running ends at which water ran before the first step, or runs since a stage meant it to
 * @param soFar what the stages that are done lost where none of them meant to, by end (m³)
 */
public record Losses(Set<PartId> running, Map<PartId, Double> soFar) {

  /** A flow that is smaller than this does not run (m³/s). */
  private static final double RUNS = 1e-7;

  public Losses {
    running = Set.copyOf(running);
    soFar = Map.copyOf(soFar);
  }

  /** Begins a plan. */
  public static Losses at(Moment start) {
    return new Losses(running(start), Map.of());
  }

  /** Returns the ends at which water runs out. */
  static Set<PartId> running(Moment now) {
    Set<PartId> running = new HashSet<>();
    now.flows()
        .ends()
        .forEach((end, q) -> {
          if (q > RUNS) {
            running.add(end);
          }
        });
    return running;
  }

  /**
   * Returns the same after a stage.
   *
   * @param meant ends at which it meant to lose water
   */
  public Losses after(Moment began, Moment ended, Set<PartId> meant) {
    Set<PartId> goesOn = running(ended);
    goesOn.retainAll(meant);
    goesOn.addAll(running);
    Map<PartId, Double> lost = new HashMap<>(soFar);
    ended.totals().out().keySet().stream()
        .filter(end -> !meant.contains(end))
        .forEach(end -> lost.put(end, lost(end, began, ended)));
    return new Losses(goesOn, lost);
  }

  /** Returns the same, with what runs out now blamed on no step to come. */
  public Losses excusing(Moment now) {
    Set<PartId> excused = running(now);
    excused.addAll(running);
    return new Losses(excused, soFar);
  }

  /** Returns what left at an end by now that no stage meant to (m³). */
  double lost(PartId end, Moment began, Moment now) {
    double more =
        now.totals().out().getOrDefault(end, 0.0) - began.totals().out().getOrDefault(end, 0.0);
    return soFar.getOrDefault(end, 0.0) + more;
  }
}
