package fernwort.core.kind.tank;

/**
 * A point in the vehicle frame or, for tank ports, in the tank's own frame.
 *
 * @param x forward (m)
 * @param y left (m)
 * @param z up (m)
 */
public record Point(double x, double y, double z) {

  /** Returns this point moved by another one's coordinates. */
  public Point plus(Point other) {
    return new Point(x + other.x, y + other.y, z + other.z);
  }

  /** Returns how far it is from this point to another (m). */
  public double distanceTo(Point other) {
    return Math.hypot(Math.hypot(x - other.x, y - other.y), z - other.z);
  }

  /** Returns how far this point lies along a direction, which is a unit vector (m). */
  public double along(Point direction) {
    return x * direction.x + y * direction.y + z * direction.z;
  }
}
