package fernwort.app.board.layout;

/** The square grid that everything stands on. */
public final class Grid {

  /** Width and height of a cell (px). */
  public static final int CELL = 8;

  private Grid() {}

  /** Returns how many cells cover this many pixels. */
  static int cells(double pixels) {
    return (int) Math.ceil(pixels / CELL);
  }
}
