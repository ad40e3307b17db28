package fernwort.core.drain;

/**
 * A stretch of a line that is full of water.
 *
 * @param from where it begins, along the line (m)
 * @param to where it ends (m)
 */
public record Stretch(double from, double to) {

  /** Returns how long it is (m). */
  public double length() {
    return to - from;
  }
}
