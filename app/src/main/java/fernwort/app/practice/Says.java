package fernwort.app.practice;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // ActText: what was done, as it stands in the address of a page.
  BEGIN_ANEW("This drill was left half way, and the rig has changed since; take a new one"),

  // ExercisePages: where water goes, a hidden fault, a hose that is off.
  HOLDS("{}: {}"),
  IS_OFF("{} is off, and water runs out"),
  LEAKS("{} leaks, and water runs out"),
  RUNS_OVER("{} is full and runs over"),
  LINE_FROM_TO("“{}” from {} to {}"),
  RIGHT("right: water goes there"),
  WATER_GOES_THERE("missed: water goes there"),
  NONE_GOES("wrong: none goes there"),
  STOPPED_IN_TIME("{}: that stops it. You took {} s."),
  STOPPED_LATE("{}: that stops it, but you took {} s. Be there within 30 s."),
  RUNS_ON("{}: it runs on. You took {} s."),
  LOOKS_TAKEN("You took {} looks."),
  LOOKS_AND_BEST("You took {} looks; Fernwort takes {}."),
  OPEN_A_TAP("Open a tap"),
  FEEL_HOW_WARM("Feel how warm it is"),
  LISTEN_TO_A_PUMP("Listen to a pump"),
  WATCH_A_LEVEL("Watch a level"),
  SEE_HOW_IT_DRAINS("See how it drains"),
  LOOK_FOR_WATER("Look for water on the floor"),
  TAKE_THE_HOSE_OFF("Take the hose off"),
  DIP_A_TANK("Look into a tank"),
  LOOK_AT_A_HANDLE("Look where a handle stands"),
  MEASURE_POWER("Measure power"),
  UNDO_OR_FEEL("Undo it, or feel along it"),
  CANNOT_BE_TOLD("cannot be told here"),

  // PracticeController: what was practised, and what is.
  WHERE_THE_WATER_GOES("Where does the water go?"),
  SOMETHING_IS_WRONG("Something is wrong"),
  WATER_RUNS_OUT("Water runs out: stop it"),
  PASSED_ON("passed on {}, again from {}"),
  MISSED_SO_FAR("not passed yet, again from {}"),
  PASSED_THE("passed on {}"),

  // PracticeController: a drill, and what came of it.
  WAITED("Waited {} min"),
  WAITED_UNTIL_FULL("Waited until {} was full"),
  TURNED("{}: {}"),
  PASSED("Done right, in {} turns; it takes {}."),
  DONE_WITH_HARM("The job is done, but not well."),
  NOT_DONE("The job is not done."),
  STANDS_WRONG("Not where it belongs at the end: {}."),
  WENT_ASTRAY("It went astray with “{}”.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
