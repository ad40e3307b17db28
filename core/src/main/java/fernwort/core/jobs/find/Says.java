package fernwort.core.jobs.find;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // EmptyFinder: finds the ways to empty gray tanks and to shed fresh water.
  IT_NEEDS_A_DRAIN_VALVE("It needs a drain valve and a dump outlet with a cap below {}."),
  HAS_NO_DRAIN_FIT_A_DRAIN(
      "{} has no drain. Fit a drain, a valve and a dump outlet with a cap below it."),
  CARRIED_OUT("carried out"),
  DUMP_ALL_GRAY_TANKS("Dump all gray tanks"),
  BY_PUMP_OUT_OF("by pump out of {}"),
  BY_GRAVITY_OUT_OF("by gravity out of {}"),
  IT_NEEDS_A_DRAIN_THAT_LIES_LOWER("It needs a drain that lies lower than {}."),
  DELIVER_WATER_FROM("Deliver water from {}"),
  BY_PUMP_OUT_OF_INSIDE("by pump out of "),
  BY_GRAVITY_OUT_OF_INSIDE("by gravity out of "),

  // EmptyingJob: emptying what somebody chooses, tanks and lines, by gravity alone: a job like any
  // other, whose name holds the choice.
  IS_NOT_A_TANK_CHOOSE_TANKS("{} is not a tank; choose tanks to drain"),
  NOTHING_IS_CHOSEN_TICK_A_TANK("Nothing is chosen; tick a tank or the lines"),
  BY_GRAVITY("by gravity"),
  ALL_LINES("all lines"),

  // FillFinder: finds the ways to fill one tank.
  NO_PUMP_ON_THE_WAY_FROM_LIFTS(
      "No pump on the way from {} lifts water to {}. It needs a pump that lifts the water, a hose"
          + " inlet for mains water, or a filler."),
  IT_NEEDS_A_HOSE_INLET(
      "It needs a hose inlet or a filler with a line to {}, or another tank that overflows into"
          + " it."),
  FROM_MAINS_WATER("from mains water{}"),
  FILL_TO_ITS_LOWER_STOP("Fill {} to its lower stop, {}"),
  BY_HAND_AT("by hand at {}"),

  // FillToMark: filling a tank no further than to a mark that somebody chooses, for the axle's
  // sake or the hill's: a job like the one that fills it, whose name holds the litres.
  TAKES_NO_MORE_THAN_CHOOSE("{} takes no more than {}; choose a lower mark"),

  // Filling: what finders of fills share: how water is let in, and which tanks fill one from the
  // next.
  BY_PUMP_FROM_A_LOW_SUPPLY_AT("by pump from a low supply at {}"),
  BY_PUMP_FROM("by pump from {}"),

  // MoveFinder: finds the ways to move water from tank to tank, and through a filter again.
  BY_PUMP("by pump"),
  MOVE_WATER_FROM_TO("Move water from {} to {}"),
  BY_A_LOOSE_HOSE_TO("by a loose hose to {}"),
  FILTER_THE_WATER_OF_AGAIN("Filter the water of {} again"),

  // RoadFinder: finds what is done before a drive, after it, and before the rig is handed over.
  GET_READY_TO_DRIVE("Get ready to drive"),
  ON_ARRIVAL_OPEN_THE_TANK_VENTS("On arrival: open the tank vents"),
  LEAVE_IT_SAFE_EVERYTHING_OFF("Leave it safe: everything off and closed"),

  // RowFinder: finds the ways to fill several tanks, at once or one from the next.
  BY_HAND_AT_INSIDE("by hand at {}: {}"),
  FROM("from {}: {}"),
  FILL_TANKS_TOGETHER("Fill tanks together through their link"),
  FILL_ALL_FRESH_TANKS("Fill all fresh tanks, one after another"),
  THEN(", then "),
  FROM_MAINS_WATER_INSIDE("from mains water"),
  FILL_ALL_FRESH_TANKS_TOGETHER("Fill all fresh tanks together"),

  // RunFinder: finds the ways to run the taps.
  RUN_THE_TAPS_WHILE_MAINS_FILLS("Run the taps from {} while mains water fills it"),
  USE_FROM_WHILE_MAINS_FILLS("Use {} from {} while mains water fills it"),
  RUN_THE_TAPS_FROM("Run the taps from {}"),
  NO_LINE_LEADS_FROM_TO_A_TAP("No line leads from {} to a tap."),
  RUN_THE_TAPS_FROM_MAINS_WATER("Run the taps from mains water"),
  IT_NEEDS_A_HOSE_INLET_WITH_A_LINE(
      "It needs a hose inlet with a line to the taps, best with a regulator and a check valve."),
  RUN_THE_TAPS_FROM_ALL_FRESH("Run the taps from all fresh tanks together"),
  PUMP_OUTSIDE_WATER_AT_TO("Pump outside water at {} to {}"),
  RUN_THE_TAPS_FROM_A_BLADDER("Run the taps from a bladder, stream or low supply"),

  // UseFinder: finds rinsing outside, heating and sending round.
  USE_AN_OUTSIDE_SHOWER("Use an outside shower"),
  IT_NEEDS_AN_OUTSIDE_SHOWER(
      "It needs an outside shower or tap with a line to the pump or to mains water."),
  BY_GRAVITY_INSIDE(" by gravity"),
  USE_THE_OUTSIDE_SHOWER_AT("Use the outside shower at {}"),
  HEAT_WATER("Heat water"),
  IT_NEEDS_A_HEATER_BETWEEN("It needs a heater between the cold line and a mixer."),
  HEAT_WATER_IN("Heat water in {}"),
  MAINS_WATER("mains water"),
  CIRCULATE_HOT_WATER_WITH("Circulate hot water with {}");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
