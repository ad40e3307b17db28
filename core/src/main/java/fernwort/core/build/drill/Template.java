package fernwort.core.build.drill;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A face of a tank at true size on sheets of paper, as lines, rings and words in millimetres of
 * each sheet from its upper left corner.
 *
 * @param paper the paper
 * @param pages the sheets, row by row
 */
public record Template(Paper paper, List<Page> pages) {

  /** A paper, upright (mm). */
  public enum Paper {
    A4(210, 297),
    LETTER(215.9, 279.4);

    private final double width;
    private final double height;

    Paper(double width, double height) {
      this.width = width;
      this.height = height;
    }

    /** Returns its width (mm). */
    public double width() {
      return width;
    }

    /** Returns its height (mm). */
    public double height() {
      return height;
    }
  }

  /**
   * A sheet.
   *
   * @param title which of how many
   */
  public record Page(String title, List<Mark> marks) {}

  /** Something drawn on a sheet (mm). */
  public sealed interface Mark {}

  /**
   * A straight line.
   *
   * @param x1 first end, from the left edge of the paper (mm)
   * @param y1 first end, from the upper edge of the paper (mm)
   * @param x2 second end, from the left edge of the paper (mm)
   * @param y2 second end, from the upper edge of the paper (mm)
   */
  public record Segment(double x1, double y1, double x2, double y2, boolean bold) implements Mark {}

  /**
   * A circle.
   *
   * @param x middle, from the left edge of the paper (mm)
   * @param y middle, from the upper edge of the paper (mm)
   * @param radius its radius (mm)
   */
  public record Ring(double x, double y, double radius, boolean dashed) implements Mark {}

  /**
   * Words, their left end on this line of writing.
   *
   * @param x where it begins, from the left edge of the paper (mm)
   * @param y its line, from the upper edge of the paper (mm)
   * @param size of its letters (mm)
   */
  public record Words(double x, double y, double size, String text) implements Mark {}

  /** The line by which the printer is checked (mm). */
  public static final double CHECK = 100;

  private static final double MARGIN = 12;

  /** The head of each sheet with its title and the check (mm). */
  private static final double HEAD = 18;

  private static final double MM = 1000;
  private static final double CROSS = 6;
  private static final int MOST = 60;

  /**
   * Returns the template of a face; at most sixty sheets.
   *
   * @param all whether sheets without a hole are there too, to join all of them
   */
  public static Template of(String title, FaceSheet face, Paper paper, boolean all) {
    double w = paper.width() - 2 * MARGIN;
    double h = paper.height() - 2 * MARGIN - HEAD;
    int columns = (int) Math.ceil(MM * face.width() / w - 1e-9);
    int rows = (int) Math.ceil(MM * face.height() / h - 1e-9);
    List<Page> pages = new ArrayList<>();
    for (int row = 0; row < rows; row++) {
      for (int column = 0; column < columns && pages.size() < MOST; column++) {
        String which = Says.ROW_OF_SHEET_OF.filled(title, row + 1, rows, column + 1, columns);
        Tile tile = new Tile(column * w, row * h, w, h);
        if (all || face.holes().stream().anyMatch(o -> isOn(face, o, tile))) {
          pages.add(page(which, face, tile));
        }
      }
    }
    return new Template(paper, pages);
  }

  /** A piece of the face, from its upper left corner (mm). */
  private record Tile(double left, double top, double width, double height) {

    double x(double across) {
      return MARGIN + across - left;
    }

    double y(double down) {
      return MARGIN + HEAD + down - top;
    }

    boolean meets(double across, double down, double reach) {
      return across + reach >= left
          && across - reach <= left + width
          && down + reach >= top
          && down - reach <= top + height;
    }
  }

  private static Page page(String title, FaceSheet face, Tile tile) {
    List<Mark> marks = new ArrayList<>();
    marks.add(new Words(MARGIN, MARGIN, 3.5, title));
    double line = MARGIN + 8;
    marks.add(new Segment(MARGIN, line, MARGIN + CHECK, line, false));
    marks.add(new Segment(MARGIN, line - 2, MARGIN, line + 2, false));
    marks.add(new Segment(MARGIN + CHECK, line - 2, MARGIN + CHECK, line + 2, false));
    marks.add(
        new Words(MARGIN + CHECK + 3, line + 1, 3, Says.FOR_100_MM_MEASURE_IT_PRINT_AT_100.text()));
    corners(marks, tile);
    edges(marks, face, tile);
    for (Hole hole : face.holes()) {
      hole(marks, face, hole, tile);
    }
    return new Page(title, marks);
  }

  /** Crosses at the corners of a sheet's piece, which lie on those of its neighbours. */
  private static void corners(List<Mark> marks, Tile tile) {
    for (double x : new double[] {MARGIN, MARGIN + tile.width()}) {
      for (double y : new double[] {MARGIN + HEAD, MARGIN + HEAD + tile.height()}) {
        marks.add(new Segment(x - 3, y, x + 3, y, false));
        marks.add(new Segment(x, y - 3, x, y + 3, false));
      }
    }
  }

  private static void edges(List<Mark> marks, FaceSheet face, Tile tile) {
    double width = MM * face.width();
    double height = MM * face.height();
    double right = Math.min(tile.left() + tile.width(), width);
    double below = Math.min(tile.top() + tile.height(), height);
    for (double across : new double[] {0, width}) {
      if (across >= tile.left() && across <= tile.left() + tile.width()) {
        marks.add(
            new Segment(tile.x(across), tile.y(tile.top()), tile.x(across), tile.y(below), true));
      }
    }
    for (double down : new double[] {0, height}) {
      if (down >= tile.top() && down <= tile.top() + tile.height()) {
        marks.add(
            new Segment(tile.x(tile.left()), tile.y(down), tile.x(right), tile.y(down), true));
      }
    }
  }

  /** Nobody saws a hole of a size that is not known: its middle is marked, and no more. */
  private static double radius(Hole hole) {
    return hole.diameter().map(d -> MM * d / 2).orElse(0.0);
  }

  private static boolean isOn(FaceSheet face, Hole hole, Tile tile) {
    return tile.meets(
        MM * hole.across(), MM * (face.height() - hole.up()), Math.max(radius(hole), CROSS));
  }

  private static void hole(List<Mark> marks, FaceSheet face, Hole hole, Tile tile) {
    if (!isOn(face, hole, tile)) {
      return;
    }
    double across = MM * hole.across();
    double down = MM * (face.height() - hole.up());
    double radius = radius(hole);
    double x = tile.x(across);
    double y = tile.y(down);
    if (radius > 0) {
      marks.add(new Ring(x, y, radius, hole.there()));
    }
    marks.add(new Segment(x - CROSS, y, x + CROSS, y, false));
    marks.add(new Segment(x, y - CROSS, x, y + CROSS, false));
    marks.add(
        new Words(
            x + radius + 2,
            y - 1,
            3.5,
            hole.diameter()
                .map(d -> String.format(Locale.ROOT, "%s, %.0f mm", hole.port(), MM * d))
                .orElseGet(() -> Says.SIZE_NOT_KNOWN.filled(hole.port()))));
    marks.add(
        new Words(
            x + radius + 2,
            y + 4,
            3,
            String.format(
                Locale.ROOT,
                Says.FROM_FROM.text(),
                across,
                face.fromLeft().words(),
                MM * hole.up(),
                face.fromBelow().words(),
                hole.there()
                    ? Says.IS_THERE.text()
                    : hole.late().isEmpty() ? "" : Says.LATER.text())));
  }
}
