package fernwort.core.ways;

/**
 * Where water comes from.
 *
 * @param kind what sort of source
 * @param part id of the part it enters by
 */
public record Source(Kind kind, String part) {

  /** The sorts of source. */
  public enum Kind {
    MAINS,
    OUTSIDE,
    TANK,
    JUG,
    /** What runs away from a fixture in use. */
    WASTE
  }
}
