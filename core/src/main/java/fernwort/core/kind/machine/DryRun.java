package fernwort.core.kind.machine;

/**
 * How long pumps may run dry, or against a closed outlet, where nobody has read it off their
 * papers. Own choice throughout, on the cautious side of what makers allow.
 */
public enum DryRun {
  /** Its valves and diaphragm run without water; it warms slowly. */
  DIAPHRAGM(900),
  /** Its seal is cooled by the water alone. */
  CENTRIFUGAL(30),
  /** Its rubber vanes tear as soon as they rub dry. */
  IMPELLER(10),
  /** Its seal and cutter are cooled by what it pumps. */
  MACERATOR(20),
  /** A hand feels it at once. */
  BY_HAND(Double.POSITIVE_INFINITY);

  private final double seconds;

  DryRun(double seconds) {
    this.seconds = seconds;
  }

  /** Returns how long it may be (s). */
  public double seconds() {
    return seconds;
  }

  /** Returns how long a pump or macerator may run dry (s): as its papers say, else as usual. */
  public static double of(Driven driven) {
    return driven.dryRun().orElse(driven.usualDryRun().seconds);
  }
}
