package fernwort.app.board.layout;

/**
 * A rectangle in cells.
 *
 * @param x left
 * @param y top
 * @param width extent to the right
 * @param height extent down
 */
public record Box(int x, int y, int width, int height) {

  int right() {
    return x + width;
  }

  int bottom() {
    return y + height;
  }

  /** Returns this rectangle in pixels: left, top, width, height. */
  public double[] pixels() {
    return new double[] {
      x * (double) Grid.CELL,
      y * (double) Grid.CELL,
      width * (double) Grid.CELL,
      height * (double) Grid.CELL
    };
  }
}
