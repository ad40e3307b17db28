package fernwort.app.cold;

import fernwort.app.services.OpenRig;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.glycol.FreezingPoint;
import fernwort.core.say.Amount;
import fernwort.core.winter.sheets.Blow;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterWish;
import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * What one school makes of a rig.
 *
 * @param id the school, as it stands in an address
 * @param safe to which cold nothing breaks, in words
 * @param down the same in a word
 * @param cost jugs and money, empty for none
 */
record PlanView(
    String id,
    String title,
    String gives,
    String whom,
    int count,
    String minutes,
    long places,
    LeftView left,
    String safe,
    String down,
    String litres,
    String cost,
    String weakest,
    List<String> notes,
    StepsView steps,
    List<Air> air) {

  /** At which water freezes (K). */
  private static final double FREEZING = 273.15;

  /** Air blown to one outlet, in words. */
  record Air(
      String outlet, String length, String pressure, int bursts, String slowest, String stays) {}

  static PlanView of(OpenRig rig, WinterPlan plan, WinterWish wish, Units units) {
    int jugs = plan.jugs(wish.jug());
    LeftView left = LeftView.of(rig, plan.left(), units);
    StepsView steps = StepsView.of(rig, plan.steps(), Map.of(), Map.of(), units);
    return new PlanView(
        plan.school().name().toLowerCase(Locale.ROOT),
        plan.school().title(),
        plan.school().gives(),
        plan.school().whom(),
        steps.acts(),
        units.show(Amount.time(plan.seconds())),
        plan.places(),
        left,
        safe(plan, left, wish, units),
        down(plan, left, wish, units),
        plan.litres() > 0 ? units.show(Measure.VOLUME, plan.litres()) : "",
        jugs == 0
            ? ""
            : Says.ABOUT.filled(
                jugs,
                jugs == 1 ? "jug" : "jugs",
                units.price(BigDecimal.valueOf(jugs * wish.price()))),
        plan.weakest().isEmpty()
            ? ""
            : String.format(
                Locale.ROOT,
                Says.WEAKEST_IN_FREEZES_AT.text(),
                plan.weakestAt(),
                100 * plan.weakest().getAsDouble(),
                units.show(Measure.TEMPERATURE, FreezingPoint.of(plan.weakest().getAsDouble()))),
        plan.notes().stream().map(units::say).toList(),
        steps,
        plan.air().stream().map(b -> air(rig, b, units)).toList());
  }

  private static String safe(WinterPlan plan, LeftView left, WinterWish wish, Units units) {
    String down = down(plan, left, wish, units);
    if (!left.calm()) {
      return Says.BELOW_THAT.filled(down, left.verdict());
    }
    if (plan.weakest().isEmpty()) {
      return down;
    }
    double spare =
        units.in(Measure.TEMPERATURE, wish.cold())
            - units.in(Measure.TEMPERATURE, wish.cold() - FreezingPoint.MARGIN);
    return Says.TO_SPARE.filled(down, Math.round(spare), units.unit(Measure.TEMPERATURE).sign());
  }

  /** How cold it may get, as a cell of a table says it. */
  private static String down(WinterPlan plan, LeftView left, WinterWish wish, Units units) {
    if (!left.calm()) {
      return units.show(Measure.TEMPERATURE, FREEZING);
    }
    return plan.weakest().isEmpty()
        ? Says.ANY_COLD.text()
        : units.show(Measure.TEMPERATURE, wish.cold());
  }

  private static Air air(OpenRig rig, Blow blow, Units units) {
    double slowest = blow.lines().stream().mapToDouble(Blow.Swept::wallis).min().orElse(0);
    double low = blow.lines().stream().mapToDouble(Blow.Swept::low).sum();
    double high = blow.lines().stream().mapToDouble(Blow.Swept::high).sum();
    return new Air(
        rig.rig().part(blow.outlet()).label(),
        units.show(Measure.LENGTH, blow.length()),
        units.show(Measure.PRESSURE, blow.pressure()),
        blow.bursts(),
        slowest >= 1
            ? Says.STRONG_ENOUGH.text()
            : String.format(Locale.ROOT, Says.TOO_WEAK_SOMEWHERE.text(), slowest),
        "%s to %s".formatted(units.show(Measure.VOLUME, low), units.show(Measure.VOLUME, high)));
  }
}
