package fernwort.app.web;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.kind.tank.Point;
import fernwort.core.rig.Face;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * The six faces of a tank beside each other, to scale, on which its openings are shown by a tap:
 * top, left and rear in the upper row, bottom, right and front below. The rear is at the left of
 * the long faces, the right side at the left of the short ones and at the bottom of top and bottom.
 *
 * @param width width of the drawing (px)
 * @param height height of the drawing (px)
 * @param faces the faces
 * @param marks its openings
 * @param perMetre how many of a person's unit make a metre
 * @param step how finely a tap tells (in that unit)
 * @param prefix what the names of the fields begin with
 * @param byFace whether the fields ask for a face and two edges, rather than for three
 */
public record FaceSketch(
    double width,
    double height,
    List<Drawn> faces,
    List<Mark> marks,
    double perMetre,
    double step,
    String prefix,
    boolean byFace) {

  private static final double WIDEST = 330;
  private static final double TALLEST = 240;
  private static final double GAP = 16;

  private static final double QUARTER_INCH = 0.25;
  private static final double FIVE_MILLIMETRES = 5;

  /**
   * A side where it is drawn (px).
   *
   * @param across how far it goes along the drawing (m)
   * @param up how far it goes up (m)
   */
  public record Drawn(Face side, double x, double y, double w, double h, double across, double up) {

    /** Returns what it is called. */
    public String label() {
      return side.name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * An opening where it is drawn (px).
   *
   * @param key its part of the names of its fields
   * @param label what it is
   */
  public record Mark(String key, String label, double x, double y) {}

  /** An opening: its part of the names of the fields, what it is, where it is (m, inside). */
  public record Opening(String key, String label, Point at) {}

  /**
   * Draws the faces of a tank.
   *
   * @param inner its inside length, width and height (m)
   */
  public static FaceSketch of(
      Point inner, List<Opening> openings, Units units, String prefix, boolean byFace) {
    boolean inches = units.lengthSign().equals("in");
    double high = Math.max(inner.y(), inner.z()) + inner.z();
    double scale =
        Math.min((WIDEST - 4 * GAP) / (2 * inner.x() + inner.y()), (TALLEST - 3 * GAP) / high);
    double[] xs = {GAP, 2 * GAP + scale * inner.x(), 3 * GAP + 2 * scale * inner.x()};
    double lower = 2 * GAP + scale * Math.max(inner.y(), inner.z());
    List<Drawn> faces =
        List.of(
            drawn(Face.TOP, xs[0], GAP, scale, inner),
            drawn(Face.LEFT, xs[1], GAP, scale, inner),
            drawn(Face.REAR, xs[2], GAP, scale, inner),
            drawn(Face.BOTTOM, xs[0], lower, scale, inner),
            drawn(Face.RIGHT, xs[1], lower, scale, inner),
            drawn(Face.FRONT, xs[2], lower, scale, inner));
    return new FaceSketch(
        xs[2] + scale * inner.y() + GAP,
        lower + scale * Math.max(inner.y(), inner.z()) + 4,
        faces,
        openings.stream().map(o -> mark(o, faces, inner)).toList(),
        units.in(Measure.LENGTH, 1),
        inches ? QUARTER_INCH : FIVE_MILLIMETRES,
        prefix,
        byFace);
  }

  private static Drawn drawn(Face side, double x, double y, double scale, Point inner) {
    double across = side.across(inner);
    double up = side.up(inner);
    return new Drawn(side, x, y, scale * across, scale * up, across, up);
  }

  private static Mark mark(Opening opening, List<Drawn> faces, Point inner) {
    Point at = opening.at();
    Drawn on =
        faces.stream().min(Comparator.comparingDouble(f -> f.side().away(at, inner))).orElseThrow();
    double across = on.side().across(at) / on.across();
    double up = on.side().up(at) / on.up();
    return new Mark(
        opening.key(), opening.label(), on.x() + across * on.w(), on.y() + (1 - up) * on.h());
  }
}
