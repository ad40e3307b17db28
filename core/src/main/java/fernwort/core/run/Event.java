package fernwort.core.run;

import fernwort.core.id.ElementId;

/**
 * Something that begins, or ends, at a moment of a run.
 *
 * @param at when (s)
 * @param kind what
 * @param subject id of the part or line
 * @param begins whether it begins, or ends
 */
public record Event(double at, Kind kind, ElementId subject, boolean begins) {

  /** What can begin and end. */
  public enum Kind {
    /** A tank's lowest vent is under water, or not a drop more fits. */
    FULL,
    /** No outlet of a tank is under water. */
    DRY,
    /** Water leaves at an open end. */
    RUNS_OUT,
    /** A line drains on over its crest. */
    SIPHONS,
    /** A pump draws air. */
    DRAWS_AIR,
    /** A pump's switch turns it on and off. */
    CYCLES,
    /** A pump that is on stands still against its switch or the pressure behind it. */
    RESTS,
    /** The air in a tank is pressed beyond the tank's limit. */
    BULGES,
    /** The air in a tank is pressed to so much more than its limit that it may burst. */
    BURSTS,
    /** The air in a tank is thinned beyond the tank's limit. */
    SUCKED_IN,
    /** A portable container has been poured out. */
    POURED_OUT,
    /** Waste backs up: its tank is full. */
    BACKS_UP,
    /** The float valve of a tank has shut. */
    FLOAT_SHUTS,
    /** A heater has brought its water to where its thermostat is set. */
    HOT,
    /** Water is on its way to an outlet or tank through lines that are dry. */
    AWAITED,
    /** A hand sets something. */
    HAND;

    /** Tells whether it does harm, so that a run says it also when it is so from the beginning. */
    public boolean isHarm() {
      return switch (this) {
        case DRAWS_AIR, BULGES, BURSTS, SUCKED_IN, BACKS_UP -> true;
        case FULL,
            DRY,
            RUNS_OUT,
            SIPHONS,
            CYCLES,
            RESTS,
            POURED_OUT,
            FLOAT_SHUTS,
            HOT,
            AWAITED,
            HAND ->
            false;
      };
    }
  }
}
