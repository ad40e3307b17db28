package fernwort.core.winter.sheets;

/**
 * Water that nothing lets out.
 *
 * @param id id of the tank, line or part that keeps it
 * @param kind what keeps it
 * @param volume how much (m³)
 */
public record Leftover(String id, Kind kind, double volume) {

  /** What can keep water. */
  public enum Kind {
    TANK,
    LINE,
    BODY
  }
}
