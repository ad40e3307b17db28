package fernwort.core.winter;

import fernwort.core.drain.Wintering;
import fernwort.core.id.ElementId;
import fernwort.core.network.Network;
import fernwort.core.winter.sheets.FrostHarm;
import fernwort.core.winter.sheets.FrostRisk;
import fernwort.core.winter.sheets.Operation;
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
public record Forgotten(int step, List<FrostRisk> keeps) {

  /** Less more than before is the same (m³). */
  private static final double SAME = 2e-6;

  public Forgotten {
    keeps = List.copyOf(keeps);
  }

  /** Returns how many things then break that would not. */
  public long dangers() {
    return keeps.stream().filter(r -> r.harm() == FrostHarm.DANGER).count();
  }

  private double volume() {
    return keeps.stream().mapToDouble(FrostRisk::volume).sum();
  }

  /**
   * Tries every step of a plan: it is left out and the rest is done. Steps whose omission changes
   * nothing are not among the answers. O(steps²) drainings.
   *
   * @param cold what the rig shall stand (K)
   * @return the worst first
   */
  public static List<Forgotten> of(Network network, WinterPlan plan, double cold) {
    Map<ElementId, FrostRisk> meant =
        FrostRisks.of(network, plan.after(), cold).stream()
            .collect(Collectors.toMap(FrostRisk::id, Function.identity()));
    List<Forgotten> found = new ArrayList<>();
    Wintering before = plan.before();
    for (int i = 0; i < plan.steps().size(); i++) {
      Operation act = plan.steps().get(i).act();
      if (!(act instanceof Operation.Heed)) {
        Wintering now = before;
        for (WinterStep step : plan.steps().subList(i + 1, plan.steps().size())) {
          now = step.act().on(network, now);
        }
        List<FrostRisk> keeps =
            FrostRisks.of(network, now, cold).stream().filter(r -> isWorse(r, meant)).toList();
        if (!keeps.isEmpty()) {
          found.add(new Forgotten(i, keeps));
        }
      }
      before = act.on(network, before);
    }
    found.sort(
        Comparator.comparingLong(Forgotten::dangers)
            .thenComparingDouble(Forgotten::volume)
            .reversed());
    return found;
  }

  private static boolean isWorse(FrostRisk now, Map<ElementId, FrostRisk> meant) {
    FrostRisk was = meant.get(now.id());
    return was == null
        || now.harm().compareTo(was.harm()) < 0
        || now.volume() > was.volume() + SAME;
  }
}
