package fernwort.core.jobs.mistake;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Remedy: a change of plumbing or habit that may make slips harmless, to be tried on a copy of
  // the rig.
  MAKE_IT_A_HABIT_TO_LOOK_ROUND(
      "Make it a habit to look round before you leave: pumps off, taps closed, hose off."),
  PUT_A_CAP("Put a cap on {}, so that a drain valve left open loses nothing."),
  PUT_A_FLOAT_VALVE_AT_THE_FILL(
      "Put a float valve at the fill of {}: it closes by itself when the water comes up to it."),
  RAISE_THE_OVERFLOW_OVER_ITS_TANK(
      "Raise the overflow over its tank with an air valve at the top, and take {} out: nobody can"
          + " forget it closed."),

  // SlipJudge: what a slip led to, held against the job done right: how bad it is, how soon, what
  // was lost.
  THE_JOB_DOES_NOT_GET_DONE("the job does not get done"),

  // SlipMaker: the single slips of a job, each as what is done in its place: a step forgotten,
  // turned too far, swapped, done at a neighbour, waited for too long, or met by a failing power.
  GETS_KNOCKED("{} gets knocked: {}."),
  THE_CAP_STAYS_OFF("The hose comes off {}, and nobody puts its cap on."),
  OR_UNDONE_AGAIN(", or undone again."),
  IS_LEFT_OUT("{} is left out{}"),
  THE_NEXT_STEP_FIRST("The next step at {} is done before this one."),
  IS_DONE_BEFORE("{} is done before {}."),
  IS_TURNED_IN_PLACE_OF("{} is turned in place of {}."),
  IS_TURNED_TOO_FAR("{} is turned too far: {}."),
  NOBODY_COMES_BACK("Nobody comes back, and this is never stopped: “{}”"),
  BEFORE_IT_BEGINS("before it begins."),
  AT_THIS_POINT("at this point."),
  THE_POWER_FAILS("The power fails {}"),
  WAS_LEFT_OPEN_ALL_THE_WHILE("{} was left open all the while."),

  // SlipWords: what is said of a slip: what it leads to, and whether it can be undone.
  WATER_THAT_IS_NOT_FIT_TO_DRINK("water that is not fit to drink gets from {} to {}"),
  CAN_RUN_BACK_INTO_THE_PUBLIC_TAP("{} can run back into the public tap"),
  HEATS_WITHOUT_WATER("{} heats without water"),
  NO_WATER_COMES_AT("no water comes at {}"),
  GIVES_IN_PLACE_OF("{} gives {} in place of {}"),
  RUNS_DRY_FOR("{} runs dry for {}"),
  PUSHES_AGAINST_A_CLOSED_OUTLET("{} pushes against a closed outlet for {}"),
  RUN_OVER_YOUR_HANDS("{} run over your hands and feet at {} in {}"),
  RUN_OUT_AT("{} run out at {}"),
  RUN_OUT_ON_THE_DRIVE("{} run out at {} on the next drive over a pass"),
  RUN_OUT_OVERNIGHT("{} run out at {} overnight"),
  NOTHING_HAPPENS("Nothing happens."),
  YES_SET_IT_RIGHT_AND_GO_ON("Yes: set it right and go on."),
  NO_THE_WATER_IS_GONE("No: the water is gone."),
  YES_EXCEPT_FOR_THE_WATER("Yes, except for the water that was spilt."),
  ONLY_IF_IT_IS_CAUGHT_AT_ONCE(
      "Only if it is caught at once: what broke or overheated stays damaged."),
  NO_DO_NOT_DRINK_FLUSH("No: do not drink; flush and sanitize, and tell whoever shares the tap.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
