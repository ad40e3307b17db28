package fernwort.core.review;

import fernwort.core.describe.RigEdit;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** Parts too low, inlets in the dirt, handles and switches behind a panel. */
final class PlaceCheck implements LayoutCheck {

  /** Spray from a wheel reaches about so high and so far; an estimate (m). */
  private static final double SPRAY_HEIGHT = 0.6;

  private static final double SPRAY_REACH = 1.1;
  private static final double CLEAN = 0.9;

  /** Words in a reach note that speak of tools. */
  private static final Pattern PANEL =
      Pattern.compile(
          "\\b(unscrew|screw|panel off|remove|take off|dismantle)", Pattern.CASE_INSENSITIVE);

  @Override
  public void over(Plumbed plan, List<Finding> found) {
    double clearance = plan.rig().vehicle().clearance();
    for (Part part : plan.rig().parts()) {
      if (part.height() < clearance && !hangs(part)) {
        found.add(low(part, clearance));
      }
      if (takesIn(part) && part.height() < SPRAY_HEIGHT && nearWheel(plan, part)) {
        found.add(dirt(part));
      }
      Place place = plan.rig().place(part.place());
      if (part.hasHandle() && PANEL.matcher(place.reach()).find()) {
        found.add(behindPanel(part, place));
      }
    }
  }

  /** A hose tail may hang lower than hard parts: it gives way. */
  private static boolean hangs(Part part) {
    return part.kind().is(Purpose.OUTLET) && !part.kind().is(Purpose.DUMPS);
  }

  private static Finding low(Part part, double clearance) {
    return new Finding(
        Finding.Code.CLEARANCE,
        Finding.Risk.HARM,
        Says.HANGS_LOWER_THAN_ALLOWED.with(part.label(), Amount.length(clearance - part.height())),
        Says.A_BRANCH_A_KERB_OR_A_RAMP.with(),
        Says.THE_PART_AND_THE_WATER_BEHIND_IT.with(),
        Says.HANG_IT_AT_OR_HIGHER.with(Amount.length(clearance)),
        List.of(part.id()),
        Optional.of(rig -> RigEdit.of(rig).change(part.id(), p -> p.atHeight(clearance))));
  }

  private static boolean takesIn(Part part) {
    return part.kind().is(Purpose.INLET) || part.kind().is(Purpose.POURED_INTO);
  }

  private static boolean nearWheel(Plumbed plan, Part part) {
    return plan.rig().vehicle().axles().stream()
        .anyMatch(a -> Math.abs(a.x() - part.x()) < SPRAY_REACH);
  }

  private static Finding dirt(Part part) {
    return new Finding(
        Finding.Code.INLET_DIRT,
        Finding.Risk.HARM,
        Says.SITS_WHERE_ROAD_DIRT_LANDS.with(part.label()),
        Says.SPRAY_FROM_THE_WHEEL_DRIES.with(),
        Says.DRINKING_WATER.with(),
        Says.MOVE_IT_TO_ABOUT.with(Amount.length(CLEAN)),
        List.of(part.id()),
        Optional.of(rig -> RigEdit.of(rig).change(part.id(), p -> p.atHeight(CLEAN))));
  }

  private static Finding behindPanel(Part part, Place place) {
    boolean isSwitch = part.kind().is(Purpose.PUMPS) || part.kind().is(Purpose.HEATS);
    return new Finding(
        isSwitch ? Finding.Code.SWITCH_REACH : Finding.Code.BEHIND_PANEL,
        isSwitch ? Finding.Risk.LOSS : Finding.Risk.BOTHER,
        Message.words(
            part.label()
                + (isSwitch
                    ? Says.HAS_NO_SWITCH_IN_REACH.text()
                    : Says.IS_ONLY_REACHED_BY_REMOVING.text())),
        Says.TO_GET_AT_IT_SOMEBODY_HAS_TO.with(place.reach()),
        Message.words(
            isSwitch
                ? Says.A_PUMP_OR_HEATER_THAT_RUNS_DRY.text()
                : Says.MINUTES_EACH_TIME_AND_A_HANDLE.text()),
        Says.MOVE_IT_OR_CUT_A_HATCH.with(),
        List.of(part.id()),
        Optional.empty());
  }
}
