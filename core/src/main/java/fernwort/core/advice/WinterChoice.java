package fernwort.core.advice;

import fernwort.core.rig.Rig;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.winter.sheets.FrostHarm;
import fernwort.core.winter.sheets.WinterPlan;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The method to winterize a rig by: one that leaves nothing that breaks, and of those the least
 * work.
 *
 * @param plan how it is done
 * @param why the reason, in a sentence
 */
public record WinterChoice(WinterPlan plan, Message why) {

  /** Chooses among what several methods make of a rig; the first of those that are alike. */
  public static Optional<WinterChoice> among(List<WinterPlan> plans, Rig rig) {
    return plans.stream()
        .min(
            Comparator.comparingLong((WinterPlan p) -> p.count(FrostHarm.DANGER))
                .thenComparingDouble(WinterChoice::work))
        .map(best -> new WinterChoice(best, why(best, plans, rig)));
  }

  private static Message why(WinterPlan best, List<WinterPlan> plans, Rig rig) {
    long breaks = best.count(FrostHarm.DANGER);
    if (breaks > 0) {
      return AdviceWords.LEAVES_LEAST.with(breaks);
    }
    if (!best.verdict().isCalm()) {
      return AdviceWords.MAY_BREAK_LEAST_WORK.with(
          best.verdict().words(rig).capitalised(), Amount.time(best.seconds()));
    }
    long whole = plans.stream().filter(p -> p.verdict().isCalm()).count();
    return whole == 1
        ? AdviceWords.ONLY_WHOLE.with()
        : AdviceWords.LEAST_WORK.with(Amount.time(best.seconds()));
  }

  /** What there is to do, to buy, and to be uneasy about in spring, in acts. */
  static double work(WinterPlan plan) {
    return ShorterWinter.acts(plan)
        + plan.litres() / ShorterWinter.AN_ACT
        + plan.count(FrostHarm.WARNING);
  }
}
