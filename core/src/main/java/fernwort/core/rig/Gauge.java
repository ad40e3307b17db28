package fernwort.core.rig;

/**
 * How somebody can tell what a tank holds.
 *
 * @param kind the way of looking
 * @param steps how many lamps or steps a sender shows; 0 for the other kinds
 * @param x where the stick or sender stands, from the tank's inside rear right corner (m)
 * @param y where it stands, to the left (m)
 */
public record Gauge(GaugeKind kind, int steps, double x, double y) {

  /** The ways of looking into a tank. */
  public enum GaugeKind {
    NONE,
    SIGHT,
    STICK,
    SENDER
  }

  /** Tells whether it shows steps. */
  public boolean showsSteps() {
    return kind == GaugeKind.SENDER;
  }
}
