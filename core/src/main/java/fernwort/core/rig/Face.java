package fernwort.core.rig;

import fernwort.core.kind.tank.Point;
import java.util.Locale;

/**
 * A side of a tank, and where a point of its inside lies as seen on it: how far across (from the
 * rear, on rear and front from the right) and how far up (from the bottom, on top and bottom from
 * the right).
 */
public enum Face {
  TOP,
  LEFT,
  REAR,
  BOTTOM,
  RIGHT,
  FRONT;

  /** Returns the side that lies over against it. */
  public Face opposite() {
    return switch (this) {
      case TOP -> BOTTOM;
      case BOTTOM -> TOP;
      case LEFT -> RIGHT;
      case RIGHT -> LEFT;
      case REAR -> FRONT;
      case FRONT -> REAR;
    };
  }

  /** Returns what it is called. */
  public String words() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Returns what of a point, or of a size, lies across this side (m). */
  public double across(Point at) {
    return this == REAR || this == FRONT ? at.y() : at.x();
  }

  /** Returns what of a point, or of a size, lies up this side (m). */
  public double up(Point at) {
    return this == TOP || this == BOTTOM ? at.y() : at.z();
  }

  /**
   * Returns how far a point is from this side (m).
   *
   * @param size the tank's inside length, width and height (m)
   */
  public double away(Point at, Point size) {
    return switch (this) {
      case TOP -> size.z() - at.z();
      case BOTTOM -> at.z();
      case LEFT -> size.y() - at.y();
      case RIGHT -> at.y();
      case REAR -> at.x();
      case FRONT -> size.x() - at.x();
    };
  }

  /**
   * Returns the point of this side that lies so far across and up (m).
   *
   * @param size the tank's inside length, width and height (m)
   * @param across along the face from its corner (m)
   * @param up up the face from its corner (m)
   */
  public Point point(double across, double up, Point size) {
    return switch (this) {
      case TOP -> new Point(across, up, size.z());
      case BOTTOM -> new Point(across, up, 0);
      case LEFT -> new Point(across, size.y(), up);
      case RIGHT -> new Point(across, 0, up);
      case REAR -> new Point(0, across, up);
      case FRONT -> new Point(size.x(), across, up);
    };
  }
}
