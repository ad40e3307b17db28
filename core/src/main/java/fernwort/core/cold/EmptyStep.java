package fernwort.core.cold;

/**
 * One thing to do.
 *
 * @param part id of the part to set
 * @param position id of the position to set it to
 * @param why what it is for
 */
public record EmptyStep(String part, String position, Why why) {

  /** What a step is for. */
  public enum Why {
    SWITCH_OFF,
    TAKE_PRESSURE_OFF,
    KEEP_IN,
    LET_WATER_OUT,
    LET_AIR_IN
  }
}
