package fernwort.core.jobs.automation;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Automation: what motor valves do by themselves: rules that watch tanks or a leak sensor and
  // turn valves.
  THE_JOB_TURNS_NOTHING_AS_THINGS(
      "The job turns nothing as things are; set the handles at rest first"),
  IS_NOTHING_THAT_AN_AUTOMATION(
      "“{}” is nothing that an automation can be for; choose one from the list"),
  THE_LOWER_MARK_MUST_LIE_UNDER(
      "The lower mark must lie under the upper one, both between 0 and 100 %; change one"),
  HAS_NO_OPEN_POSITION_CHOOSE("{} has no open position; choose another valve"),
  HAS_NO_CLOSED_POSITION_NOR(
      "{} has no closed position, nor one that leads away from {}; choose another valve"),
  IS_NO_PUMP_CHOOSE_THE_LOOP("{} takes no hot water round; choose the loop pump"),
  IS_NO_PUMP_CHOOSE_THE_PUMP("{} is no pump; choose the pump that draws from the tank"),
  ONLY_TAKES_WATER_ROUND("{} only takes water round; choose a motor valve or another pump"),
  IS_NO_VALVE_CHOOSE_THE_DRAIN("{} is no valve; choose the frost drain"),
  IS_NOT_A_TANK_CHOOSE_A_TANK("“{}” is not a tank; choose a tank"),
  IS_NOTHING_THAT_CAN_ACT_CHOOSE("“{}” is nothing that can act; choose a motor valve or a pump"),
  HAS_NO_MOTOR_CHOOSE_A_MOTOR("{} has no motor; choose a motor valve or a pump"),

  // AutomationCheck: looks for hazards in every setting that an automation can bring about from
  // how things stand: its rules in any order, each broken off after any of its turns, and the
  // power lost at any moment.
  WHEN_THE_POWER_FAILS_WITH("when the power fails with {}"),
  DOES_NOT_FILL("{} does not fill"),
  WHAT_THE_RULE_TURNS_LETS("What the rule turns lets no water into {}."),
  IT_WAS_RUN_FOR_AN_HOUR("It was run for an hour from just under its lower mark."),
  SEE_WHAT_ELSE_HAS_TO_BE_TURNED(
      "See what else has to be turned, such as a selector; or choose a job that turns all of it."),
  WHEN_IT_IS_RUN_FROM_ITS_LOWER("when it is run from its lower mark"),
  IS_TURNED_BACK_AND_FORTH("{} is turned back and forth"),
  ONE_RULE_UNDOES_WHAT_ANOTHER("One rule undoes what another has done, again and again."),
  IT_WAS_TURNED_TIMES_IN_AN_HOUR("It was turned {} times in an hour when they were run together."),
  TAKE_ONE_OF_THEM_AWAY_OR_SET("Take one of them away, or set their marks further apart."),
  WHEN_THEY_ARE_RUN_TOGETHER("when they are run together"),
  WHEN_IT_IS_RUN_AFTER("when it is run, after {}"),
  OPEN_ITS_VENT_OR_LET_IT_STOP("Open its vent, or let it stop sooner."),
  LET_IT_CHANGE_OVER_SOONER("Let it change over sooner."),
  LET_IT_STOP_BEFORE_GRAY_IS_FULL("Let it stop before gray is full."),
  LET_IT_STOP_SOONER_OR_CLOSE("Let it stop sooner, or close a valve there."),
  WHEN_IT_DOES_WHAT_IT_IS_TOLD("{} when it does what it is told."),
  IT_WAS_RUN_ON_THE_SIMULATED_RIG("It was run on the simulated rig."),
  THE_VALVES_AS_THEY_ARE("the valves as they are");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
