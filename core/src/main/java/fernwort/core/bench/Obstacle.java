package fernwort.core.bench;

/**
 * What water meets on its way through a line, with the loss coefficient it usually has: what it
 * takes in velocity heads. Rounded from handbooks such as Idelchik, Handbook of Hydraulic
 * Resistance; moulded fittings of small bores scatter by half as much again.
 */
public enum Obstacle {
  ELBOW("elbows", 0.9),
  BEND(Says.WIDE_BENDS.text(), 0.3),
  TEE_THROUGH(Says.TEES_STRAIGHT_THROUGH.text(), 0.4),
  TEE_BRANCH(Says.TEES_THROUGH_THE_BRANCH.text(), 1.5),
  BALL_VALVE(Says.OPEN_BALL_VALVES.text(), 0.1),
  ENTRANCE(Says.SHARP_ENTRANCES.text(), 0.5),
  FREE_END(Says.FREE_ENDS.text(), 1);

  private final String words;
  private final double coefficient;

  Obstacle(String words, double coefficient) {
    this.words = words;
    this.coefficient = coefficient;
  }

  /** Returns what they are called. */
  public String words() {
    return words;
  }

  /** Returns its loss coefficient. */
  public double coefficient() {
    return coefficient;
  }
}
