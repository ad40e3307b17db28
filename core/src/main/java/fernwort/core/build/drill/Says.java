package fernwort.core.build.drill;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // DrillSheet: where to drill a tank: each face with its holes, what is wrong with where they
  // are, and in which order.
  ITS_TOP_COMES_CLOSE_UNDER(
      "Its top comes close under the floor: mark it now, drill it when the tank hangs and you see"
          + " what beam is over it"),
  LEFT_EDGE_OF_THE_DRAWING("left edge of the drawing"),
  RIGHT_EDGE_OF_THE_DRAWING("right edge of the drawing"),
  LOWER_EDGE_OF_THE_DRAWING("lower edge of the drawing"),
  UPPER_EDGE_OF_THE_DRAWING("upper edge of the drawing"),
  FROM_THE_NUTS_AND_A_HAND_NEED("{} from {}: the nuts and a hand need {}; move one by {}"),
  OVER_THE_WELD_OR_SEAM_KEEP("Over the weld or seam: keep {} from it"),
  FROM_THE_ITS_NUT_NEEDS_TO_SIT(
      "{} from the {}: its nut needs {} to sit flat beside the rounded edge; move it by {}"),
  MEASURE_THE_FITTINGS(
      "Measure the fittings in your hand: body and nut. The sizes here are usual ones."),
  LOOK_WHICH_WAY_UP_THE_TANK_LIES(
      "Look which way up the tank lies, and write TOP and REAR on it, large, before anything"
          + " else."),
  MARK_EACH_MIDDLE(
      "Mark each middle from the two edges named, then hold the template over it: both must"
          + " agree."),
  DRILL_A_PILOT_HOLE_THEN_THE_SAWS(
      "Drill a pilot hole, then the saws from the smallest to the largest, slowly, no heat. Eye"
          + " protection; the tank held so that it cannot turn."),
  LEAVE_UNTIL_THE_TANK_HANGS_MARK("Leave until the tank hangs: {}. Mark where it goes."),
  ALL_CHIPS_OUT_VACUUM_RINSE_LOOK(
      "All chips out: vacuum, rinse, look with a lamp. Deburr inside and outside by hand; a burr"
          + " cuts the seal."),
  FIT_WITH_THE_SEAL_ON_THE_WET(
      "Fit with the seal on the wet side, by hand and half a turn. Fill and look before it hangs."),

  // Template: a face of a tank at true size on sheets of paper, as lines, rings and words in
  // millimetres of each sheet from its upper left corner.
  ROW_OF_SHEET_OF("{}, row {} of {}, sheet {} of {}"),
  FOR_100_MM_MEASURE_IT_PRINT_AT_100("100 mm: measure it; print at 100 %, no fitting"),
  SIZE_NOT_KNOWN("{}: size not known, measure its fitting"),
  FROM_FROM("%.0f from %s, %.0f from %s%s"),
  IS_THERE(", is there"),
  LATER(", later");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
