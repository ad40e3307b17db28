package fernwort.core.budget;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Anomaly: something in the log that does not fit the rest.
  GRAY_GAINS_EACH_A_DAY_WHERE_WAS("Gray gains {} each a day, where {} was expected"),
  LOOK_UNDER_SINKS_TRAPS(
      "Look under sinks, traps and the gray tank for a leak, at a valve that drips; or more is"
          + " used outside, drunk or dried away than the habits say."),
  OF_GRAY_WENT_AND_NO_DUMP("{} of gray went, and no dump is noted"),
  CAME_IN_AND_NO_FILL_IS_NOTED("{} came in, and no fill is noted"),
  NOTE_IT_SO_THAT_ITS_COST(
      "Note it, so that its cost and source are known. Or the rig stood on a slope, or the water"
          + " sloshed."),
  WENT_WHILE_NOBODY_SHOULD_HAVE("{} went while nobody should have used any"),
  CHECK_FIRST_FOR_TAPS_OR_A_TOILET(
      "Check first for taps or a toilet that run, then under the tank's drain, the pump and its"
          + " joints. A hose that hangs lower than the tank siphons. A reading on another"
          + " slope, or after a drive, shows the same."),
  STANDS_AT_WHILE_AT_LEAST("The gauge stays at {} while at least {} must have been used."),
  CHECK_THE_GAUGE_AGAINST_A_STICK(
      "Check the gauge with a stick or a look inside; until then days are told by your habits."),
  WERE_FILLED_IN_AND_THE_GAUGE("{} were filled in, and the gauge shows {} more"),
  CALIBRATE_THE_GAUGE_BY_KNOWN(
      "Calibrate the gauge by known jugs, level the rig, or look for where the water went while"
          + " it was filled.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
