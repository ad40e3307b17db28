package fernwort.core.flow;

import java.util.Arrays;
import org.ejml.data.DMatrixSparseCSC;

/** Which cells the equations of a reduced network have, and where among them each link adds. */
final class Pattern {

  /** The nodes at the ends of each live link. */
  final int[] from;

  final int[] to;

  /** The rows of these nodes; −1 for none. */
  final int[] rowFrom;

  final int[] rowTo;

  /** Where each live link adds: its two diagonal and its two mixed cells; −1 for none. */
  final int[] spots;

  private final int rows;
  private final int[] rowsOfCells;
  private final int[] firstOfColumn;

  /**
   * Finds the cells.
   *
   * @param live the links in which water can move
   * @param row the row of each junction, −1 for none
   * @param rows how many rows there are
   */
  Pattern(FlowNetwork network, int[] live, int[] row, int rows) {
    this.rows = rows;
    from = new int[live.length];
    to = new int[live.length];
    rowFrom = new int[live.length];
    rowTo = new int[live.length];
    long[] cells = new long[rows + 2 * live.length];
    int count = 0;
    for (int r = 0; r < rows; r++) {
      cells[count++] = cell(r, r);
    }
    for (int i = 0; i < live.length; i++) {
      from[i] = network.from[live[i]];
      to[i] = network.to[live[i]];
      int a = row[from[i]];
      int b = row[to[i]];
      rowFrom[i] = a;
      rowTo[i] = b;
      if (a >= 0 && b >= 0 && a != b) {
        cells[count++] = cell(a, b);
        cells[count++] = cell(b, a);
      }
    }
    cells = Arrays.stream(cells, 0, count).sorted().distinct().toArray();
    rowsOfCells = new int[cells.length];
    firstOfColumn = new int[rows + 1];
    for (int k = 0; k < cells.length; k++) {
      rowsOfCells[k] = (int) (cells[k] % rows);
      firstOfColumn[(int) (cells[k] / rows) + 1] = k + 1;
    }
    spots = spots();
  }

  /** The number of a cell, column by column. */
  private long cell(int row, int column) {
    return (long) column * rows + row;
  }

  private int[] spots() {
    int[] found = new int[4 * from.length];
    Arrays.fill(found, -1);
    for (int i = 0; i < from.length; i++) {
      int a = rowFrom[i];
      int b = rowTo[i];
      if (a == b) {
        continue;
      }
      if (a >= 0) {
        found[4 * i] = spot(a, a);
      }
      if (b >= 0) {
        found[4 * i + 1] = spot(b, b);
      }
      if (a >= 0 && b >= 0) {
        found[4 * i + 2] = spot(a, b);
        found[4 * i + 3] = spot(b, a);
      }
    }
    return found;
  }

  private int spot(int row, int column) {
    return Arrays.binarySearch(rowsOfCells, firstOfColumn[column], firstOfColumn[column + 1], row);
  }

  /** Returns a matrix of these cells, to be filled. */
  DMatrixSparseCSC matrix() {
    DMatrixSparseCSC made = new DMatrixSparseCSC(rows, rows, rowsOfCells.length);
    System.arraycopy(rowsOfCells, 0, made.nz_rows, 0, rowsOfCells.length);
    System.arraycopy(firstOfColumn, 0, made.col_idx, 0, firstOfColumn.length);
    made.nz_length = rowsOfCells.length;
    made.indicesSorted = true;
    return made;
  }
}
