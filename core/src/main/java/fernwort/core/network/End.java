package fernwort.core.network;

/**
 * Where water goes.
 *
 * @param kind what sort of end
 * @param part id of the part it ends in or leaves by
 */
public record End(Kind kind, String part) {

  /** The sorts of end. */
  public enum Kind {
    FIXTURE,
    TANK,
    GROUND,
    DUMP
  }
}
