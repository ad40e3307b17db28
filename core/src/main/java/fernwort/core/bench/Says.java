package fernwort.core.bench;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // DrainedTank: a tank by itself, vented, that runs out by gravity through a drain line.
  HAS_NEITHER_DRAIN_NOR_OUTLET(
      "{} has neither drain nor outlet; describe the opening that it runs out by"),

  // NarrowFitting: what a fitting narrower than its line costs: sudden narrowing ½(1 − β²) and
  // widening (1 − β²)² after Borda and Carnot, on the speed inside the fitting, β being its bore
  // over the line's.
  THE_FITTING_MUST_BE_NARROWER("The fitting must be narrower than the line, and more than nothing"),
  GIVE_A_FLOW_AND_HOW_MANY("Give a flow, and how many fittings there are"),

  // Obstacle: what water meets on its way through a line, with the loss coefficient it usually
  // has: what it takes in velocity heads.
  WIDE_BENDS("wide bends"),
  TEES_STRAIGHT_THROUGH("tees, straight through"),
  TEES_THROUGH_THE_BRANCH("tees, through the branch"),
  OPEN_BALL_VALVES("open ball valves"),
  SHARP_ENTRANCES("sharp entrances"),
  FREE_ENDS("free ends"),

  // PiecedLine: pieces of pipe and hose in a row, and what runs through them from a pressure into
  // the open.
  NO_PIPE_HAS_THESE_FIGURES(
      "No pipe has these figures; give a bore of 1 to 300 mm, a length up to 200 m, and no losses"
          + " below nothing"),
  GIVE_A_PRESSURE_AND_AT_LEAST("Give a pressure and at least one piece");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
