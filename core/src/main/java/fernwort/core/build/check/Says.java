package fernwort.core.build.check;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Mistake: one way of putting a rig together wrongly: two ends of lines are at each other's
  // ports.
  IS_THE_WRONG_WAY_ROUND("{} is the wrong way round"),
  THE_ENDS_OF_AND_ARE_SWAPPED("the ends of {} and {} are swapped, at {} and {}"),

  // ModelFit: what nobody measures of a rig, fitted to timed jugs: by how much the losses of all
  // fittings are to be multiplied and, from three taps on, the free flow of its supply pumps, so
  // that the flows of the model come nearest, by the least squares of the logarithms of measured
  // over modelled flow.
  TIME_A_JUG_AT_ONE_TAP("Time a jug at one tap at least, then the model is held against it"),
  NOTHING_RUNS_THERE_IN_THE_MODEL(
      "{}: nothing runs there in the model; set the handles so that the taps run"),

  // PressureHold: a pressure that was shut in for a while: what temperature alone explains of its
  // change, and what leaked for the rest.
  BEGIN_WITH_PRESSURE("Begin with pressure on, and give both temperatures");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
