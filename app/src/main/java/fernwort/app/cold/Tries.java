package fernwort.app.cold;

import fernwort.app.services.OpenRig;
import fernwort.app.units.Units;
import fernwort.core.drain.Wintering;
import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.network.Turn;
import fernwort.core.rig.Slope;
import fernwort.core.say.Refusal;
import fernwort.core.winter.Leaning;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.Procedure;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * What may be tried on a rig that is being drained, as an address keeps it: "drain:open" for a
 * turn, "~lean:2:0", "~air:LINE-OR-PART" and "~cup:PART:0.4" for the rest.
 */
final class Tries {

  private static final String LEAN = "~lean";
  private static final String AIR = "~air";
  private static final String CUP = "~cup";

  private Tries() {}

  /** Returns how an address keeps an act; empty for one that nobody tries by itself. */
  static String write(Operation act) {
    return switch (act) {
      case Operation.Put put -> put.part() + ":" + put.position();
      case Operation.Tilt tilt ->
          String.format(Locale.ROOT, "%s:%.0f:%.0f", LEAN, tilt.pitch(), tilt.roll());
      case Operation.Blown blown ->
          AIR
              + ":"
              + (blown.lines().isEmpty() ? blown.bodies().getFirst() : blown.lines().getFirst());
      case Operation.Filled filled -> {
        Map.Entry<ElementId, Double> cup = filled.strengths().entrySet().iterator().next();
        yield String.format(Locale.ROOT, "%s:%s:%.2f", CUP, cup.getKey(), cup.getValue());
      }
      case Operation.Emptied _, Operation.RunDry _, Operation.DrawnDry _, Operation.Heed _ -> "";
    };
  }

  /**
   * Reads what an address keeps.
   *
   * @throws Refusal when it names nothing that can be tried on this rig
   */
  static Operation read(OpenRig rig, String text) {
    String[] words = text.split(":");
    try {
      return switch (words[0]) {
        case LEAN ->
            new Operation.Tilt(
                Math.clamp(Double.parseDouble(words[1]), -Slope.STEEPEST, Slope.STEEPEST),
                Math.clamp(Double.parseDouble(words[2]), -Slope.STEEPEST, Slope.STEEPEST));
        case AIR -> air(rig, words[1]);
        case CUP ->
            new Operation.Filled(
                Map.of(
                    rig.rig().part(PartId.of(words[1])).id(),
                    Math.clamp(Double.parseDouble(words[2]), 0, 1)));
        default -> new Operation.Put(PartId.of(words[0]), PositionId.of(words[1]));
      };
    } catch (ArrayIndexOutOfBoundsException | NumberFormatException e) {
      throw new Refusal(Says.CANNOT_BE_TRIED_WRITE_IT_AS_PART.with(text));
    }
  }

  private static Operation air(OpenRig rig, String id) {
    boolean line = rig.rig().lines().stream().anyMatch(l -> l.id().value().equals(id));
    return line
        ? new Operation.Blown(List.of(LineId.of(id)), List.of())
        : new Operation.Blown(List.of(), List.of(rig.rig().part(PartId.of(id)).id()));
  }

  /** Returns a rig after an act; a pump that is switched on with nothing to draw runs dry. */
  static Wintering on(OpenRig rig, Wintering now, Operation act) {
    return act instanceof Operation.Put put
        ? Procedure.run(rig.network(), now, List.of(new Turn(put.part(), put.position())))
        : act.on(rig.network(), now);
  }

  /** Returns what is done, in words. */
  static String words(OpenRig rig, Operation act, Units units) {
    return switch (act) {
      case Operation.Put put -> LeftView.turned(rig, put.part(), put.position());
      case Operation.Tilt tilt ->
          units.say(
              Says.LEAN_IT_WHEELS_CHOCKED.with(
                  Leaning.of(rig.rig().vehicle(), new Slope(tilt.pitch(), tilt.roll()))));
      case Operation.Blown blown ->
          Says.A_BURST_OF_AIR_THROUGH.filled(
              LeftView.label(
                  rig,
                  blown.lines().isEmpty() ? blown.bodies().getFirst() : blown.lines().getFirst()));
      case Operation.Filled filled ->
          Says.A_CUP_OF_ANTIFREEZE_INTO.filled(
              LeftView.label(rig, filled.strengths().keySet().iterator().next()));
      case Operation.Emptied _, Operation.RunDry _, Operation.DrawnDry _, Operation.Heed _ -> "";
    };
  }
}
