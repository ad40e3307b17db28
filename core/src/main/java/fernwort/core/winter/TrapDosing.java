package fernwort.core.winter;

import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tap;
import fernwort.core.rig.Part;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterSheet;
import fernwort.core.winter.sheets.WinterStep;
import fernwort.core.winter.sheets.WinterWish;
import java.util.Map;

/** A cup of antifreeze for every trap, toilet and macerator, undiluted. */
final class TrapDosing {

  /** A trap gets so many times what it holds, which pushes its water on. */
  private static final double TIMES = 1.5;

  /** At least (m³). */
  private static final double LEAST = 2e-4;

  private static final double POURING = 60;

  private final WinterSheet sheet;
  private final WinterWish wish;

  TrapDosing(WinterSheet sheet, WinterWish wish) {
    this.sheet = sheet;
    this.wish = wish;
  }

  void pour() {
    for (Part part : sheet.byPlace(sheet.network().rig().parts().stream())) {
      boolean macerator = part.kind().is(Purpose.CUTS);
      if ((part.kind().is(Purpose.TRAPS) || macerator)
          && sheet.now().wetness().body(part.id()) > 0) {
        cup(
            part,
            macerator
                ? Says.POUR_A_CUP_OF_ANTIFREEZE.text()
                : Says.POUR_A_CUP_OF_ANTIFREEZE_INTO_THE_DRAIN.text());
      }
      if (part.kind() instanceof Tap f && f.flushes() && sheet.now().strength(part.id()) <= 0) {
        cup(part, Says.A_CUP_OF_ANTIFREEZE.text());
      }
    }
  }

  private void cup(Part part, String what) {
    double volume = Math.max(LEAST, TIMES * part.volume());
    // What stood in it mixes with what is poured, as a well-mixed body does.
    double stood = sheet.now().wetness().body(part.id());
    double strength =
        stood <= 0 ? wish.strength() : wish.strength() * (1 - Math.exp(-volume / stood));
    sheet.add(
        new WinterStep(
                new Operation.Filled(Map.of(part.id(), strength)),
                part.place(),
                Message.of("{}: {}, {}", part.label(), what, Amount.volume(volume)),
                Says.DRINKING_WATER_GLYCOL_ONLY_NEVER.with(),
                POURING,
                false,
                volume)
            .by(WinterStep.Hand.of(part.id(), WinterStep.Sort.CUP).running(volume)));
  }
}
