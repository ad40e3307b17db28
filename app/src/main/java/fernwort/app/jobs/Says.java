package fernwort.app.jobs;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // AutomationsController: what motor valves do by themselves: entered, checked for hazards, run
  // on the simulated rig.
  THAT_AUTOMATION_IS_GONE("That automation is gone; choose another"),
  THE_RULE_TELLS_ONLY("“{}” is a rule now, and tells only what it would do."),
  KEEP_BETWEEN_AND_WITH("Keep %s between %.0f and %.0f %% with %s"),
  CLOSE_WHEN_HAS_COME_TO("Close %s when %s has come to %.0f %%"),
  TURN_TO_WHEN_HAS_FALLEN_TO("Turn %s to %s when %s has fallen to %.0f %%"),
  CHANGE_FROM_TO_WHEN_HAS_FALLEN("Change from %s to %s when %s has fallen to %.0f %%"),
  TOP_UP_FROM_WITH_FROM_TO("Top %s up from %s with %s, from %.0f to %.0f %%"),
  CLOSE_EVERY_MOTOR_VALVE_AND_STOP(
      "Close every motor valve and stop every pump when a leak sensor is wet"),
  ALL_THAT_IT_TAKES("all that it takes"),
  A_PART_THAT_IS_GONE("a part that is gone"),
  KEEP_A_TANK_BETWEEN_TWO_MARKS("Keep a tank between two marks"),
  VALVE_OR_PUMP_THAT_FILLS_IT("Valve or pump that fills it"),
  STOP_FILLING_WHEN_FULL("Stop filling when full"),
  CHANGE_TANK_WHEN_ONE_RUNS_DRY("Change tank when one runs dry"),
  TANK_THAT_RUNS_DRY("Tank that runs dry"),
  TANK_TO_CHANGE_TO("Tank to change to"),
  ITS_VALVE("Its valve"),
  VALVE_OF_THE_OTHER_THE_SAME("Valve of the other (the same, for one selector)"),
  TOP_ONE_TANK_UP_FROM_ANOTHER("Top one tank up from another"),
  TANK_TO_TOP_UP("Tank to top up"),
  TANK_TO_TAKE_FROM("Tank to take from"),
  VALVE_OR_PUMP_BETWEEN_THEM("Valve or pump between them"),
  CLOSE_AND_STOP_ALL_ON_A_LEAK("Close and stop all on a leak"),
  IT_NO_LONGER_FITS_THE_RIG("It no longer fits the rig: {}."),
  THE_RIG_HAS_NO_JOB_CHOOSE("The rig has no job “{}”; choose another"),
  HELD_TO("{} held {} to {}"),
  FILL_ONE_TANK_THEN_THE_NEXT("Fill one tank, then the next"),
  STOP_THE_PUMP_WHEN_EMPTY("Stop the pump when a tank is empty"),
  PUMP_TO_STOP("Pump to stop"),
  ONLY_WHILE_THIS_IS_OPEN("Only while this is open to the tank"),
  STOP_WHEN_HAS_FALLEN_TO("Stop %s when %s has fallen to %.0f %%"),
  TANK_TO_FILL_FIRST("Tank to fill first"),
  TANK_TO_FILL_THEN("Tank to fill then"),
  VALVE_THAT_FILLS_THE_FIRST("Valve that fills the first"),
  VALVE_THAT_FILLS_THE_OTHER("Valve that fills the other (the same where one selector does both)"),
  WHAT_LETS_THE_AIR_OUT("What lets the air out after it"),
  HOT_WATER_ROUND_AT_A_BUTTON("Hot water round before a shower"),
  LOOP_PUMP("Loop pump"),
  OPEN_A_DRAIN_IN_FROST("Open a drain in frost"),
  FROST_DRAIN("Frost drain"),
  BELOW_CELSIUS("When colder than (°C)"),
  TANK("Tank"),
  LOWER_MARK_PERCENT("Lower mark (%)"),
  FILL_THEN_EACH_TO("Fill %s, then %s, each to %.0f %%"),
  RUN_UNTIL_HOT_WATER_HAS("Run {} at a button until hot water has come round"),
  OPEN_BELOW("Open %s when it is colder than %.0f °C for ten minutes; pumps stop first"),
  LOWER_MARK("Lower mark"),
  UPPER_MARK("Upper mark"),

  // CardsController: cards for people who borrow a rig: made and withdrawn by its owner, read by
  // whoever has one.
  THE_DAY_IS_NOT_READABLE("The day is not readable; give it as 2026-12-24"),
  THIS_CARD_WAS_WITHDRAWN(
      "This card was withdrawn, is over, or was never made. Ask whoever lent you the rig."),

  // JobRuns: jobs as they are done: each tick is kept, turns the handle on the Board with it, and
  // what cannot be done is planned anew from where the handles really are.
  THERE_IS_NO_OTHER_WAY_FROM_HERE("There is no other way from here: {}"),
  THIS_SHEET_IS_NOT_FINISHED_YET("This sheet is not finished yet; tick its steps first"),
  DONE_IN("{}: done in {}{}"),
  ABOUT(", about {}"),
  THIS_RUN_HAS_ENDED_AND_STAYS("This run has ended and stays as it is; begin the job again"),
  THIS_STEP_HAS_BEEN_PLANNED_ANEW("This step has been planned anew since; look at the sheet again"),

  // JobView: a job with its plan from how things stand.
  STEP("Step {}: "),
  TIMES_ARE_WORKED_OUT_FROM_EVERY("Times are worked out from every tank half full: "),
  NOTHING_TO_DO("nothing to do"),
  THING_TO_DO("{} thing{} to do{}"),
  IN_1_PLACE(" in 1 place"),
  IN_PLACES(" in {} places"),
  WAIT(" · {} wait"),

  // JobsController: the jobs of a rig, and the plan of one from how the handles stand.
  DUMP_AND_DRAIN("Dump and drain"),
  HOT_WATER("Hot water"),
  DRIVE_AND_PARK("Drive and park"),
  THE_MARK("The mark"),
  THE_MARK_HAS_TO_BE_ABOVE_NOTHING(
      "The mark has to be above nothing; type how much the tank is to hold"),
  NOT_NOW("not now"),
  THE_JOBS_ARE_STILL_BEING_CHECKED(
      "The jobs are still being checked. Load the page again in a moment."),

  // LabelsController: small labels to cut out, for each handle and each line; as a page to print
  // and as SVG.
  BORE_LONG("{} bore, {} long"),

  // RunView: a run sheet as it stands.
  IS_NOT("{} is “{}”, not “{}”"),

  // SlipRound: all slips of all jobs of a rig, tried job by job while somebody watches how far it
  // is.
  IT_WAS_ENDED_AFTER_OF_JOBS(
      "It was ended after {} of {} jobs, for it took long or nobody looked. Load the page to"
          + " begin anew."),
  IT_BROKE_OFF_AFTER_OF_JOBS("It broke off after {} of {} jobs; the log says more."),

  // Stays: the water that stays after something was emptied, in words.
  ITS_BODY("{} (its body)"),

  // StepView: a step in words and a drawing.
  THE_RIG_HAS_NO_SUCH_PART(
      "The rig has no such part any more; tick it or leave it, nothing is turned."),

  // JobRuns: jobs as they are done.
  ALSO_TICKED_BY("Also ticked by {} on {}, without a network."),
  TURNED_AGAIN_SINCE(
      "Done without a network on {}; the handle was turned again since, and stays as it is."),

  // Pocket and PocketController: the copy for a phone, and the pack of a borrower.
  THE_POCKET_COPY_IS_BEING_MADE(
      "The copy is being made; on a large rig that takes half a minute. Press again in a moment."),
  WHO_BORROWS_IT("Write who borrows it: the name stands on the copy and in the log."),
  TICK_AT_LEAST_ONE_JOB("Tick at least one job: the copy holds the steps of those.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
