package fernwort.core.rig;

/**
 * How the vehicle stands: pitch lifts its nose, then roll lifts its left side.
 *
 * @param pitch nose up (degrees)
 * @param roll left side up (degrees)
 */
public record Slope(double pitch, double roll) {

  /** Level ground. */
  public static final Slope LEVEL = new Slope(0, 0);

  /** Returns the direction away from the ground, as a unit vector of the vehicle frame. */
  public Point up() {
    double p = Math.toRadians(pitch);
    double r = Math.toRadians(roll);
    return new Point(Math.sin(p), Math.cos(p) * Math.sin(r), Math.cos(p) * Math.cos(r));
  }

  /** Returns the height of a point of the vehicle over the vehicle's origin on this slope (m). */
  public double heightOf(Point point) {
    return point.along(up());
  }
}
