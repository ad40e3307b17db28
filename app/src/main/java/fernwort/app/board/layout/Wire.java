package fernwort.app.board.layout;

import java.util.List;

/**
 * A line as it is drawn.
 *
 * @param line id of the line
 * @param corners its corners from its first end to its second, each x and y (cells)
 */
public record Wire(String line, List<int[]> corners) {

  public Wire {
    corners = List.copyOf(corners);
  }

  /**
   * Returns the path for an SVG drawing (px), its corners rounded a little.
   *
   * @param intoFirst how far the path goes on into the part at its first end (px)
   * @param intoLast how far it goes on into the part at its second end (px)
   */
  public String path(double intoFirst, double intoLast) {
    int last = corners.size() - 1;
    StringBuilder path = new StringBuilder("M");
    add(path, beyond(corners.get(0), corners.get(1), intoFirst));
    for (int i = 1; i < last; i++) {
      int[] c = corners.get(i);
      add(path.append('L'), towards(c, corners.get(i - 1)));
      add(path.append('Q'), c[0] * (double) Grid.CELL, c[1] * (double) Grid.CELL);
      add(path.append(' '), towards(c, corners.get(i + 1)));
    }
    add(path.append('L'), beyond(corners.get(last), corners.get(last - 1), intoLast));
    return path.toString();
  }

  private static void add(StringBuilder path, double... point) {
    path.append(number(point[0])).append(' ').append(number(point[1]));
  }

  private static double[] beyond(int[] end, int[] before, double by) {
    return new double[] {
      end[0] * Grid.CELL + by * Integer.signum(end[0] - before[0]),
      end[1] * Grid.CELL + by * Integer.signum(end[1] - before[1])
    };
  }

  private static double[] towards(int[] from, int[] to) {
    double radius = 3;
    return new double[] {
      from[0] * Grid.CELL + radius * Integer.signum(to[0] - from[0]),
      from[1] * Grid.CELL + radius * Integer.signum(to[1] - from[1])
    };
  }

  private static String number(double value) {
    return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
  }
}
