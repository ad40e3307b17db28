package fernwort.app.cold;

import fernwort.app.services.OpenRig;
import fernwort.app.units.Units;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterWish;
import java.util.List;

/**
 * One winterizing method beside the others.
 *
 * @param plan what it makes of the rig
 * @param share how long it takes, of the longest (0 to 100)
 */
record Compared(PlanView plan, double share) {

  /** Returns methods beside each other, in the order in which they come. */
  static List<Compared> all(OpenRig rig, List<WinterPlan> plans, WinterWish wish, Units units) {
    double longest = plans.stream().mapToDouble(WinterPlan::seconds).max().orElse(0);
    return plans.stream()
        .map(p ->
            new Compared(
                PlanView.of(rig, p, wish, units), longest > 0 ? 100 * p.seconds() / longest : 0))
        .toList();
  }
}
