package fernwort.core.hazard;

import fernwort.core.say.Saying;
import java.util.List;

/**
 * One thing that would go wrong.
 *
 * @param code what sort of warning it is
 * @param severity how bad it is
 * @param title the warning in a few words
 * @param what what would happen
 * @param why why it would
 * @param mend what to do
 * @param parts ids of the parts it is about, the most telling first
 */
public record Warning(
    Code code,
    Severity severity,
    Saying title,
    Saying what,
    Saying why,
    Saying mend,
    List<String> parts) {

  /** The sorts of warning. */
  public enum Code {
    NO_AIR_OUT,
    NO_AIR_IN,
    PUMP_DRY,
    PUMP_SUCKS_AIR,
    PUMP_STIRS,
    FILLING_UNWATCHED,
    FILLING,
    BACKFLOW,
    OPEN_TO_GROUND,
    OVERFLOWING,
    GRAY_FULL,
    GRAY_NEARLY_FULL,
    UNSAFE_WATER,
    HEATER_DRY,
    CHECK_VALVE_REVERSED,
    POWER_LOSS,
    TANK_RUNS_OUT,
    PUMP_SHUT_IN,
    TAP_STARVES,
    NO_ROOM,
    VENT_NARROW,
    PUMP_DRY_SOON,
    RUNS_OVER_SOON,
    HITCH_LIGHT,
    HITCH_HEAVY,
    AXLE_OVER,
    SIDE,
    RULES_FIGHT
  }

  public Warning {
    parts = List.copyOf(parts);
  }

  /** What makes two warnings the same to people: their sort and the parts they are about. */
  public record Key(Code code, List<String> parts) {}

  /** Returns sort and parts, without the words. */
  public Key key() {
    return new Key(code, parts);
  }
}
