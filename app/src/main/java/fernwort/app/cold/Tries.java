package fernwort.app.cold;

import fernwort.app.garage.OpenRig;
import fernwort.core.drain.Wintering;
import fernwort.core.plumbing.Turn;
import fernwort.core.rig.Slope;
import fernwort.core.rig.Vehicle;
import fernwort.core.say.Refusal;
import fernwort.core.winter.Opening;
import fernwort.core.winter.sheets.Act;
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
  static String write(Act act) {
    return switch (act) {
      case Act.Put put -> put.part() + ":" + put.position();
      case Act.Tilt tilt ->
          String.format(Locale.ROOT, "%s:%.0f:%.0f", LEAN, tilt.pitch(), tilt.roll());
      case Act.Blown blown ->
          AIR + ":" + (blown.lines().isEmpty() ? blown.bodies() : blown.lines()).getFirst();
      case Act.Filled filled -> {
        Map.Entry<String, Double> cup = filled.strengths().entrySet().iterator().next();
        yield String.format(Locale.ROOT, "%s:%s:%.2f", CUP, cup.getKey(), cup.getValue());
      }
      case Act.Emptied _, Act.RunDry _, Act.Heed _ -> "";
    };
  }

  /**
   * Reads what an address keeps.
   *
   * @throws Refusal when it names nothing that can be tried on this rig
   */
  static Act read(OpenRig rig, String text) {
    String[] words = text.split(":");
    try {
      return switch (words[0]) {
        case LEAN ->
            new Act.Tilt(
                Math.clamp(Double.parseDouble(words[1]), -Slope.STEEPEST, Slope.STEEPEST),
                Math.clamp(Double.parseDouble(words[2]), -Slope.STEEPEST, Slope.STEEPEST));
        case AIR -> air(rig, words[1]);
        case CUP ->
            new Act.Filled(
                Map.of(
                    rig.rig().part(words[1]).id(), Math.clamp(Double.parseDouble(words[2]), 0, 1)));
        default -> new Act.Put(words[0], words[1]);
      };
    } catch (ArrayIndexOutOfBoundsException | NumberFormatException e) {
      throw new Refusal(
          "“%s” cannot be tried; write it as part:position, such as drain:open".formatted(text));
    }
  }

  private static Act air(OpenRig rig, String id) {
    boolean line = rig.rig().lines().stream().anyMatch(l -> l.id().equals(id));
    return line
        ? new Act.Blown(List.of(id), List.of())
        : new Act.Blown(List.of(), List.of(rig.rig().part(id).id()));
  }

  /** Returns a rig after an act; a pump that is switched on with nothing to draw runs dry. */
  static Wintering on(OpenRig rig, Wintering now, Act act) {
    return act instanceof Act.Put put
        ? Procedure.run(rig.plumbing(), now, List.of(new Turn(put.part(), put.position())))
        : act.on(rig.plumbing(), now);
  }

  /** Returns what is done, in words. */
  static String words(OpenRig rig, Act act) {
    return switch (act) {
      case Act.Put put -> LeftView.turned(rig, put.part(), put.position());
      case Act.Tilt tilt -> {
        String slope = Opening.said(new Slope(tilt.pitch(), tilt.roll()));
        boolean jack = rig.rig().vehicle().body() == Vehicle.Body.TRAILER && tilt.pitch() != 0;
        yield (jack ? "Jack at the coupling, wheels chocked: " : "Lean it: ") + slope;
      }
      case Act.Blown blown ->
          "A burst of air through "
              + LeftView.label(
                  rig, (blown.lines().isEmpty() ? blown.bodies() : blown.lines()).getFirst());
      case Act.Filled filled ->
          "A cup of antifreeze into "
              + LeftView.label(rig, filled.strengths().keySet().iterator().next());
      case Act.Emptied _, Act.RunDry _, Act.Heed _ -> "";
    };
  }
}
