package fernwort.core.hazard;

import fernwort.core.id.ElementId;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Set;

/**
 * One thing that would go wrong.
 *
 * @param code what sort of warning it is
 * @param severity how bad it is
 * @param title the warning in a few words
 * @param what what would happen
 * @param why why it would
 * @param fix what to do
 * @param parts ids of the parts it is about, the most telling first
 */
public record Warning(
    Code code,
    Severity severity,
    Message title,
    Message what,
    Message why,
    Message fix,
    List<ElementId> parts) {

  /** The sorts of warning. */
  public enum Code {
    /** A tank fills and its air cannot get out. */
    NO_AIR_OUT(Is.BULGES),
    /** A tank empties and air cannot get in. */
    NO_AIR_IN(Is.SUCKS_IN),
    /** A pump is on and has no water. */
    PUMP_DRY(Is.DRAWS_AIR, Is.LACKS_WATER),
    /** A pump draws air beside its water. */
    PUMP_SUCKS_AIR(Is.DRAWS_AIR, Is.LACKS_WATER),
    /** A pump only turns the water of a tank round. */
    PUMP_STIRS,
    /** A tank fills, and nothing stops it. */
    FILLING_UNWATCHED(Is.MEANT_BY_RULES),
    /** A tank fills, and stops by itself or by who watches. */
    FILLING(Is.STANDING, Is.MEANT_BY_RULES),
    /** Tank water can get back into the public pipe. */
    BACKFLOW(Is.UNSEEN, Is.BETWEEN_TWO, Is.LEFT_TO_CARE),
    /** Water runs onto the ground. */
    OPEN_TO_GROUND(Is.OF_A_WAY),
    /** A tank runs over. */
    OVERFLOWING(Is.OF_A_WAY),
    /** Gray is full. */
    GRAY_FULL(Is.STANDING),
    /** Gray will be full before fresh is empty. */
    GRAY_NEARLY_FULL(Is.STANDING, Is.MEANT_BY_RULES),
    /** Water that is not for drinking gets where people drink. */
    UNSAFE_WATER(Is.UNSEEN, Is.BETWEEN_TWO),
    /** A heater is on without water. */
    HEATER_DRY(Is.UNSEEN, Is.LACKS_WATER),
    /** A check valve stands the wrong way round. */
    CHECK_VALVE_REVERSED(Is.STANDING, Is.MEANT_BY_RULES),
    /** Something goes wrong if the power fails. */
    POWER_LOSS(Is.MEANT_BY_RULES),
    /** A tank that is drawn from is nearly empty. */
    TANK_RUNS_OUT,
    /** A pump without a switch presses against closed valves. */
    PUMP_SHUT_IN(Is.STANDING),
    /** An open tap gets next to nothing. */
    TAP_STARVES,
    /** A shut tank has no room for its water once it warms. */
    NO_ROOM(Is.STANDING, Is.BULGES),
    /** A vent is too narrow for the fill. */
    VENT_NARROW(Is.BULGES),
    /** A pump will draw air before long. */
    PUMP_DRY_SOON,
    /** A tank will run over before long. */
    RUNS_OVER_SOON,
    /** The drawbar is too light. */
    HITCH_LIGHT(Is.STANDING),
    /** The drawbar is too heavy. */
    HITCH_HEAVY(Is.STANDING),
    /** An axle carries too much. */
    AXLE_OVER(Is.STANDING),
    /** One side carries much more than the other. */
    SIDE(Is.STANDING),
    /** Two automations work against each other. */
    RULES_FIGHT,
    /** An automation does not reach what it is for. */
    RULE_MISSES;

    private final Set<Is> is;

    Code(Is... is) {
      this.is = Set.of(is);
    }

    /** Tells whether it is one of these. */
    public boolean is(Is what) {
      return is.contains(what);
    }
  }

  /** What a warning is for those who work with warnings. */
  public enum Is {
    /** No handle makes it or takes it away, or it is only worth a word: no plan is judged by it. */
    STANDING,
    /** An automation that does what it should brings it: no automation is judged by it. */
    MEANT_BY_RULES,
    /** A danger that no run shows, since it is of what water it is. */
    UNSEEN,
    /**
     * A danger that people meet with care where the rig lacks the part against it: a plan says it
     * on top, and is shown.
     */
    LEFT_TO_CARE,
    /** It tells that a tank will bulge. */
    BULGES,
    /** It tells that a tank will be sucked in. */
    SUCKS_IN,
    /** It tells that a pump will draw air. */
    DRAWS_AIR,
    /** It is of one way, that from its last part to its first. */
    OF_A_WAY,
    /** It is of what lies between its first part and its last. */
    BETWEEN_TWO,
    /** Its first part runs without water, or without enough of it from its last. */
    LACKS_WATER
  }

  public Warning {
    parts = List.copyOf(parts);
  }

  /** What makes two warnings the same to people: their sort and the parts they are about. */
  public record Key(Code code, List<ElementId> parts) {}

  /** Returns sort and parts, without the words. */
  public Key key() {
    return new Key(code, parts);
  }
}
