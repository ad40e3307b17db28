package fernwort.core.kind;

/** What a body keeps of its water while the lines around it run out. */
public enum Keeps {
  /** All of it, however the lines run. */
  ALL,
  /** None: nothing stands in it. */
  NOTHING,
  /** None, once its last port runs out. */
  UNTIL_ITS_LINE_LEAVES,
  /** None, once its middle, in which its ports meet, runs out. */
  UNTIL_ITS_MIDDLE_LEAVES,
  /** None, once water leaves from a way through it. */
  UNTIL_RUN_THROUGH,
  /** What a ball holds, once water leaves from a way through it, unless it stands half way. */
  ROUND_A_BALL,
  /** All of it until its bowl or plug is off. */
  UNTIL_OFF,
  /** What stands under its drain once that is out; none once water leaves from a way through it. */
  UNDER_ITS_DRAIN,
  /** None, once its line is dry: its air pushes the water out. */
  UNTIL_ITS_LINE_IS_DRY
}
