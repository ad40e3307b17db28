package fernwort.core.describe;

import fernwort.core.kind.tank.Point;
import fernwort.core.rig.Vehicle;

/**
 * The plan of a vehicle, seen from above, in five fields along it and three across: as closely as
 * somebody can point without a tape.
 *
 * @param rear its rear end, ahead of the rear axle (m)
 * @param length its length without a drawbar (m)
 * @param width its width (m)
 */
public record FloorGrid(double rear, double length, double width) {

  private static final int ALONG = 5;
  private static final int ACROSS = 3;

  /** From the middle to the fields at the sides, as a share of the width. */
  private static final double SIDE = 0.32;

  private static final double DRAWBAR = 1;

  /**
   * A field of the plan.
   *
   * @param along the fifth of the length, 0 at the rear to 4 at the nose
   * @param side 0 left, 1 in the middle, 2 right
   */
  public record Cell(int along, int side) {}

  /** Returns the plan of a vehicle. */
  public static FloorGrid of(Vehicle vehicle) {
    double drawbar = vehicle.hitch().isPresent() ? DRAWBAR : 0;
    return new FloorGrid(
        vehicle.rear(), vehicle.nose() - vehicle.rear() - drawbar, vehicle.width());
  }

  /** Returns the middle of a field at some height above the ground (m). */
  public Point point(Cell cell, double height) {
    return new Point(
        rear + (cell.along() + 0.5) / ALONG * length, (1 - cell.side()) * SIDE * width, height);
  }

  /**
   * Returns the field in which a point is, or the one that is nearest to it.
   *
   * @param x ahead of the rear axle (m)
   * @param y to the left of the middle (m)
   */
  public Cell cell(double x, double y) {
    int along = (int) Math.floor((x - rear) / length * ALONG);
    int side = (int) Math.round(1 - y / (SIDE * width));
    return new Cell(Math.clamp(along, 0, ALONG - 1), Math.clamp(side, 0, ACROSS - 1));
  }
}
