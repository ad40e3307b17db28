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

  /** Returns the path for an SVG drawing (px), its corners rounded a little. */
  public String path() {
    StringBuilder path = new StringBuilder();
    for (int i = 0; i < corners.size(); i++) {
      int[] c = corners.get(i);
      double x = c[0] * (double) Grid.CELL;
      double y = c[1] * (double) Grid.CELL;
      if (i == 0) {
        path.append("M%s %s".formatted(number(x), number(y)));
      } else if (i == corners.size() - 1) {
        path.append("L%s %s".formatted(number(x), number(y)));
      } else {
        double[] before = towards(c, corners.get(i - 1));
        double[] after = towards(c, corners.get(i + 1));
        path.append(
            "L%s %sQ%s %s %s %s"
                .formatted(
                    number(before[0]),
                    number(before[1]),
                    number(x),
                    number(y),
                    number(after[0]),
                    number(after[1])));
      }
    }
    return path.toString();
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
