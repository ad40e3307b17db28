package fernwort.app.board.layout;

import java.util.List;

/**
 * The measures of a place's parts as bare numbers, to try many rooms quickly.
 *
 * <p>Gives the same figures as a {@link Packing} without making one: O(parts) for each number of
 * rows.
 */
final class Shelves {

  private final int[] width;
  private final int[] up;
  private final int[] down;
  private final double total;

  private Shelves(List<Packing.Piece> ordered) {
    width = ordered.stream().mapToInt(p -> p.glyph().width()).toArray();
    up = ordered.stream().mapToInt(p -> p.glyph().up()).toArray();
    down = ordered.stream().mapToInt(p -> p.glyph().down()).toArray();
    double sum = 0;
    for (int w : width) {
      sum += w + Packing.BETWEEN;
    }
    total = sum;
  }

  static Shelves of(List<Packing.Piece> ordered) {
    return new Shelves(ordered);
  }

  /** Returns the number of rows that leaves the most air in a room of this size. */
  int bestRows(int roomWidth, int roomHeight) {
    int best = 1;
    double most = air(1, roomWidth, roomHeight);
    for (int rows = 2; rows <= width.length; rows++) {
      double air = air(rows, roomWidth, roomHeight);
      if (air > most) {
        most = air;
        best = rows;
      }
    }
    return best;
  }

  /** Returns the most air that any number of rows leaves. */
  double air(int roomWidth, int roomHeight) {
    return air(bestRows(roomWidth, roomHeight), roomWidth, roomHeight);
  }

  private double air(int rows, int roomWidth, int roomHeight) {
    int done = 0;
    int used = 0;
    int count = 0;
    int rowUp = 0;
    int rowDown = 0;
    int heights = 0;
    double filled = 0;
    double across = Double.POSITIVE_INFINITY;
    for (int i = 0; i < width.length; i++) {
      double w = width[i] + Packing.BETWEEN;
      if (count > 0 && done < rows - 1 && filled + w / 2 > total * (done + 1) / rows) {
        across = Math.min(across, (roomWidth - 2.0 * Packing.MARGIN - used) / count);
        heights += rowUp + rowDown;
        done++;
        used = 0;
        count = 0;
        rowUp = 0;
        rowDown = 0;
      }
      used += width[i];
      count++;
      rowUp = Math.max(rowUp, up[i]);
      rowDown = Math.max(rowDown, down[i]);
      filled += w;
    }
    across = Math.min(across, (roomWidth - 2.0 * Packing.MARGIN - used) / Math.max(count, 1));
    heights += rowUp + rowDown;
    double gapDown = (roomHeight - Packing.TITLE - Packing.MARGIN - (double) heights) / (done + 1);
    return Math.min(across, gapDown);
  }
}
