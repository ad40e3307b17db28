package fernwort.core.review;

import fernwort.core.id.ElementId;
import fernwort.core.rig.Rig;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * One thing about a plan that will cost something one day.
 *
 * @param code what sort of finding it is
 * @param risk how much it matters
 * @param title the finding in a few words
 * @param why what happens because of it
 * @param cost what that costs, in litres, minutes or risk
 * @param fix what to change
 * @param parts ids of the parts it is about, the most telling first
 * @param change the fix as a step, where Fernwort can take it
 */
public record Finding(
    Code code,
    Risk risk,
    Message title,
    Message why,
    Message cost,
    Message fix,
    List<ElementId> parts,
    Optional<UnaryOperator<Rig>> change) {

  /** The sorts of finding. */
  public enum Code {
    PORT_OPEN,
    LEADS_NOWHERE,
    NO_AIR,
    VENT_LOW,
    VENT_SAG,
    VENT_NARROW,
    FLOAT_SLOW,
    OVERFLOW_SIPHON,
    OUTLET_LOW,
    OUTLET_HIGH,
    LOBE_KEEPS,
    LOBES_APART,
    NO_BACKFLOW,
    NO_REGULATOR,
    FRESH_MEETS_GRAY,
    HEATER_RELIEF,
    HEATER_BYPASS,
    HEATER_DRAIN,
    PUMP_STRAINER,
    SWITCH_REACH,
    NO_LOW_DRAIN,
    ONE_LEAK,
    CLEARANCE,
    INLET_DIRT,
    BEHIND_PANEL,
    NEVER_JOINED,
    JUG_PUSHED_INTO
  }

  /** How much a finding matters, most first. */
  public enum Risk {
    /** People, drinking water or the rig may come to harm. */
    HARM,
    /** Water, room or time is lost. */
    LOSS,
    /** It makes life harder. */
    BOTHER
  }

  public Finding {
    parts = List.copyOf(parts);
  }

  /** Returns what tells this finding from others of the same rig. */
  public String key() {
    return code + ":" + parts.stream().map(ElementId::value).collect(Collectors.joining(","));
  }
}
