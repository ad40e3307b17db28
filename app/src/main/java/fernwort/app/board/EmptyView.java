package fernwort.app.board;

import fernwort.core.cold.EmptyPlan;
import fernwort.core.cold.EmptyStep;
import fernwort.core.cold.Leftover;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.util.List;

/**
 * How to empty what was chosen, in words.
 *
 * @param steps what to do, in order
 * @param leftovers the water that stays
 * @param total all of it, in words
 * @param stuck tanks that nothing lets out
 */
public record EmptyView(List<Step> steps, List<Stay> leftovers, String total, List<String> stuck) {

  /** One thing to do. */
  public record Step(String place, String reach, String what, String why) {}

  /** Water that stays. */
  public record Stay(String where, String amount) {}

  static EmptyView of(Rig rig, EmptyPlan plan) {
    return new EmptyView(
        plan.steps().stream().map(s -> step(rig, s)).toList(),
        plan.leftovers().stream().map(l -> new Stay(where(rig, l), amount(l.volume()))).toList(),
        amount(plan.left()),
        plan.stuck().stream().map(t -> rig.part(t).label()).toList());
  }

  private static Step step(Rig rig, EmptyStep step) {
    Part part = rig.part(step.part());
    String words = rig.position(step.part(), step.position()).words();
    String why =
        switch (step.why()) {
          case SWITCH_OFF ->
              part.kind() instanceof Kind.Heater
                  ? "then let it cool: what drains from it scalds"
                  : "so that nothing pumps or runs dry";
          case KEEP_IN -> "so that a tank that is not to be emptied keeps its water";
          case TAKE_PRESSURE_OFF -> "tap shut first, then the hose off";
          case LET_AIR_IN -> "so that air follows the water";
          case LET_WATER_OUT -> "water leaves here, or passes";
        };
    return new Step(
        rig.place(part.place()).label(),
        rig.place(part.place()).reach(),
        part.label() + ": " + words,
        why);
  }

  private static String where(Rig rig, Leftover left) {
    return switch (left.kind()) {
      case TANK -> rig.part(left.id()).label();
      case BODY -> rig.part(left.id()).label() + " (its body)";
      case LINE ->
          "line "
              + rig.lines().stream()
                  .filter(l -> l.id().equals(left.id()))
                  .findFirst()
                  .map(Line::label)
                  .orElse(left.id());
    };
  }

  private static String amount(double volume) {
    return volume >= 1e-3 ? "%.1f L".formatted(volume * 1e3) : "%.0f mL".formatted(volume * 1e6);
  }
}
