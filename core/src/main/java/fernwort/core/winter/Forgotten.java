package fernwort.core.winter;

import fernwort.core.drain.Wintering;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.winter.sheets.Act;
import fernwort.core.winter.sheets.Harm;
import fernwort.core.winter.sheets.Remaining;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterStep;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What it leads to when one step of a winter's sheet is forgotten and all others are done.
 *
 * @param step its number from 0
 * @param keeps what then stays that would not, or does more harm, the most dangerous first
 */
public record Forgotten(int step, List<Remaining> keeps) {

  /** Less more than before is the same (m³). */
  private static final double SAME = 2e-6;

  public Forgotten {
    keeps = List.copyOf(keeps);
  }

  /** Returns how many things then break that would not. */
  public long dangers() {
    return keeps.stream().filter(r -> r.harm() == Harm.DANGER).count();
  }

  private double volume() {
    return keeps.stream().mapToDouble(Remaining::volume).sum();
  }

  /**
   * Tries every step of a plan: it is left out and the rest is done. Steps whose omission changes
   * nothing are not among the answers. O(steps²) drainings.
   *
   * @param cold what the rig shall stand (K)
   * @return the worst first
   */
  public static List<Forgotten> of(Plumbing plumbing, WinterPlan plan, double cold) {
    Map<String, Remaining> meant =
        Leftovers.of(plumbing, plan.after(), cold).stream()
            .collect(Collectors.toMap(Remaining::id, Function.identity()));
    List<Forgotten> found = new ArrayList<>();
    Wintering before = plan.before();
    for (int i = 0; i < plan.steps().size(); i++) {
      Act act = plan.steps().get(i).act();
      if (!(act instanceof Act.Heed)) {
        Wintering now = before;
        for (WinterStep step : plan.steps().subList(i + 1, plan.steps().size())) {
          now = step.act().on(plumbing, now);
        }
        List<Remaining> keeps =
            Leftovers.of(plumbing, now, cold).stream().filter(r -> isWorse(r, meant)).toList();
        if (!keeps.isEmpty()) {
          found.add(new Forgotten(i, keeps));
        }
      }
      before = act.on(plumbing, before);
    }
    found.sort(
        Comparator.comparingLong(Forgotten::dangers)
            .thenComparingDouble(Forgotten::volume)
            .reversed());
    return found;
  }

  private static boolean isWorse(Remaining now, Map<String, Remaining> meant) {
    Remaining was = meant.get(now.id());
    return was == null
        || now.harm().compareTo(was.harm()) < 0
        || now.volume() > was.volume() + SAME;
  }
}
