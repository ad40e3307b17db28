package fernwort.core.rig;

import fernwort.core.kind.tank.Point;

/**
 * How the vehicle stands: pitch lifts its nose, then roll lifts its left side.
 *
 * @param pitch nose up (degrees)
 * @param roll left side up (degrees)
 */
public record Slope(double pitch, double roll) {

  /** Level ground. */
  public static final Slope LEVEL = new Slope(0, 0);

  /** How far a pitch is pushed over when somebody parks it better on purpose (degrees). */
  public static final double PARKING = 3;

  /** A steep road, or a pitch that few would stay on (degrees). */
  public static final double ROAD = 6;

  /** Nobody parks at more (degrees). */
  public static final double STEEPEST = 20;

  /** Tells whether somebody may park so. */
  public boolean canBeParked() {
    return Math.abs(pitch) <= STEEPEST && Math.abs(roll) <= STEEPEST;
  }

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
