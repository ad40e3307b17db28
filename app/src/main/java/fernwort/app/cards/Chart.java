package fernwort.app.cards;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * A line chart as plain coordinates.
 *
 * @param title what it shows, for a screen reader
 * @param lines its lines
 * @param bottom what stands under its axis at the left and right end
 * @param top what the upper edge stands for
 * @param limitY height of a limit's line (px from the top); negative for none
 */
public record Chart(
    String title, List<Line> lines, List<String> bottom, String top, double limitY) {

  public static final double WIDTH = 480;
  public static final double HEIGHT = 150;
  private static final double EDGE = 6;

  /**
   * A line of a chart.
   *
   * @param name what it stands for
   * @param style how it is drawn: expected, low, high or other
   * @param path its course
   */
  public record Line(String name, String style, String path) {}

  /** Returns the line of values spread evenly over the width. */
  public static Line line(
      String name, String style, List<Double> values, double lowest, double highest) {
    return new Line(name, style, path(values, lowest, highest));
  }

  /** Returns the path of values spread evenly over the width, between a lowest and a highest. */
  public static String path(List<Double> values, double lowest, double highest) {
    int last = Math.max(1, values.size() - 1);
    return "M"
        + IntStream.range(0, values.size())
            .mapToObj(i ->
                String.format(
                    Locale.ROOT,
                    "%.1f %.1f",
                    EDGE + (WIDTH - 2 * EDGE) * i / last,
                    y(values.get(i), lowest, highest)))
            .collect(Collectors.joining("L"));
  }

  /** Returns the height at which a value stands (px from the top). */
  public static double y(double value, double lowest, double highest) {
    double share = (value - lowest) / (highest - lowest);
    // A course without any extent lies at its lowest.
    double within = Double.isNaN(share) ? 0 : Math.clamp(share, 0, 1);
    return HEIGHT - EDGE - (HEIGHT - 2 * EDGE) * within;
  }
}
