package fernwort.app.questions;

import fernwort.core.kind.tank.Shape;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * Something that lies in something else, from the side and to scale.
 *
 * @param title what it is
 * @param sizes what it measures, in the person's units
 * @param width of the picture (mm of the thing itself)
 * @param height of the picture (mm of the thing itself)
 * @param around course of what it lies in, as a path
 * @param within its own course, as a path
 * @param arrows what pushes or pulls at it, as a path
 * @param labels what stands beside, where
 */
public record Sketch(
    String title,
    String sizes,
    double width,
    double height,
    String around,
    String within,
    String arrows,
    List<Label> labels) {

  /**
   * Words in the picture.
   *
   * @param x of their middle (mm of the thing itself)
   * @param y of their foot (mm of the thing itself)
   */
  public record Label(double x, double y, String words) {}

  /** Makes a sketch without arrows or labels. */
  public Sketch(
      String title, String sizes, double width, double height, String around, String within) {
    this(title, sizes, width, height, around, within, "", List.of());
  }

  /** Returns how large letters are in it, so that they are read at any scale (mm). */
  public double letters() {
    return LETTERS * Math.max(width, height);
  }

  private static final double MILLIMETRES = 1000;

  /** How large letters are, as a share of the larger side. */
  private static final double LETTERS = 0.045;

  /** Returns the sketch of one outline (m) within another (m), which decides how large it is. */
  public static Sketch of(
      String title, String sizes, List<Shape.Corner> within, List<Shape.Corner> around) {
    double width = around.stream().mapToDouble(Shape.Corner::x).max().orElse(0);
    double height = around.stream().mapToDouble(Shape.Corner::z).max().orElse(0);
    return new Sketch(
        title,
        sizes,
        MILLIMETRES * width,
        MILLIMETRES * height,
        path(around, height),
        path(within, height));
  }

  private static String path(List<Shape.Corner> corners, double height) {
    return corners.stream()
        .map(c ->
            String.format(
                Locale.ROOT, "%.1f %.1f", MILLIMETRES * c.x(), MILLIMETRES * (height - c.z())))
        .collect(Collectors.joining("L", "M", "Z"));
  }

  /** Tells whether it is so long and low that it wants the whole width and little height. */
  public boolean wide() {
    return width > 4 * height;
  }

  /** Returns the part of the thing that the picture shows, with an edge around it. */
  public String viewBox() {
    double edge = 0.02 * Math.max(width, height);
    return String.format(
        Locale.ROOT, "%.1f %.1f %.1f %.1f", -edge, -edge, width + 2 * edge, height + 2 * edge);
  }
}
