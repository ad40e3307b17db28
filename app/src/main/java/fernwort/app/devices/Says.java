package fernwort.app.devices;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Things: what a sensor can tell of.
  LEVELS("Level of a tank"),
  LEAKS("Water where none should be"),
  MOTORS("Position of a motor valve"),
  PUMPS("Whether a pump runs"),
  TEMPERATURES("Temperature"),
  SWITCHES("Float switch in a tank"),
  FLOWS("Flow in a line"),
  TOTALS("Meter in a line"),
  PRESSURES("Pressure in a line"),
  LEAN("How the vehicle leans"),
  OUTSIDE("Outside"),
  US_GALLONS("US gal"),
  NOSE_UP("Nose up"),
  LEFT_UP("Left side up"),
  CHOOSE_WHAT_IT_TELLS_OF("Choose what the sensor tells of"),

  // SignalRow: a signal as a row of the page.
  LEVEL_OF("Level of {}"),
  SWITCH_OF("Float switch in {}"),
  LEAK_AT("Leak at {}"),
  FLOW_IN("Flow in {}"),
  TOTAL_OF("Meter in {}"),
  PRESSURE_IN("Pressure in {}"),
  TEMPERATURE_OF("Temperature: {}"),
  PUMP_RUNS("{} runs"),
  POSITION_OF("Position of {}"),
  WET("wet"),
  DRY("dry"),
  RUNS("runs"),
  OFF("off"),
  LIVE("live"),
  MOVING("moving"),
  OLD("old"),
  LOST("lost"),
  NOTHING_YET("nothing yet"),
  SECONDS_AGO("{} s ago"),
  MINUTES_AGO("{} min ago"),
  HOURS_AGO("{} h ago"),
  DAYS_AGO("{} days ago"),

  // SimulatedController: the page on which a simulated rig is made to go wrong.
  DAY_AND_TIME("day {}, {}"),
  IT_IS_TOLD("The simulated rig was told."),
  NO_SUCH_MISHAP("“{}” is nothing that can go wrong; choose one of {}"),

  // RigDevicesController: the page on which sensors and motors are found and bound.
  FERNWORTS_OWN_BROKER("Fernwort’s own broker, port {}"),
  CONNECTING_TO("Fernwort connects to {}."),
  DISCONNECTED("Fernwort listens to no broker any more."),
  IS_BOUND("{} is added."),
  IS_NOT_BOUND("{} is removed."),
  ALARMS_ARE_SAVED("The alarms are saved."),
  COMMAND("{} to “{}”: {}"),
  MOVES("{} was told to move: {}."),
  GIVE_THE_HEIGHT("Height of the switch"),

  // RuleRow: a rule as its card shows it.
  STANDS_AT("{} is at “{}”"),
  IS_BELOW("{} is below {}"),
  IS_ABOVE("{} is above {}"),
  WAIT_UNTIL("Wait until {}"),
  MARKS_ARE_SAVED("{}: the marks are saved."),
  THE_MARK("The mark"),
  AT_OR_OVER("at or over {}"),
  AT_OR_UNDER("at or under {}"),
  ITS_SENSOR_ALONE(
      "A level sensor alone ends the filling: where it drifts for hours, the tank runs over. A "
          + "float switch, added on Devices before the rule is made, ends it all the same."),
  WAIT_FOR("Wait for {}"),
  YOU_PRESS_ITS_BUTTON("you press its button"),
  PRESSED("{}: pressed."),
  OR(" or "),
  SAY("Say: {}"),
  TURN("Turn {} to “{}”"),
  IS_BEING_TRIED("It is being tried in the simulation. Look again in a minute."),
  HELD_IN("It held in {} simulated runs, with each single fault. It may act."),
  NEVER_ENDED(
      "In the simulation it never came to its end, as the handles are now. See what has to be open."),
  ENDED_IN_HARM(
      "It may not act yet. In the simulation it did harm, or not what it is for: see below."),
  WHEN("When {}: {}"),
  IS_NOW("{} is now {}."),
  TELLS_ONLY("tells only"),
  LIVE_NOW("live"),

  // AlarmsController: alarms, and that somebody has seen one.
  QUIET("It is quiet for {} minutes."),
  SEEN("Seen: {}");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
