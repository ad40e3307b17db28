package fernwort.app.web;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.rig.Point;
import java.util.Comparator;
import java.util.List;

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
    List<Face> faces,
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

  /** The sides of a tank, each with what lies along it and up it. */
  public enum Side {
    TOP,
    LEFT,
    REAR,
    BOTTOM,
    RIGHT,
    FRONT;

    private double across(Point inner) {
      return this == REAR || this == FRONT ? inner.y() : inner.x();
    }

    private double up(Point inner) {
      return this == TOP || this == BOTTOM ? inner.y() : inner.z();
    }

    private double across(Point at, Point inner) {
      return across(at) / across(inner);
    }

    private double up(Point at, Point inner) {
      return up(at) / up(inner);
    }

    /** How far a point is from this side (m). */
    private double away(Point at, Point inner) {
      return switch (this) {
        case TOP -> inner.z() - at.z();
        case BOTTOM -> at.z();
        case LEFT -> inner.y() - at.y();
        case RIGHT -> at.y();
        case REAR -> at.x();
        case FRONT -> inner.x() - at.x();
      };
    }
  }

  /**
   * A face where it is drawn (px).
   *
   * @param across how far it goes along the drawing (m)
   * @param up how far it goes up (m)
   */
  public record Face(
      Side side, String label, double x, double y, double w, double h, double across, double up) {}

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
    List<Face> faces =
        List.of(
            face(Side.TOP, "top", xs[0], GAP, scale, inner),
            face(Side.LEFT, "left", xs[1], GAP, scale, inner),
            face(Side.REAR, "rear", xs[2], GAP, scale, inner),
            face(Side.BOTTOM, "bottom", xs[0], lower, scale, inner),
            face(Side.RIGHT, "right", xs[1], lower, scale, inner),
            face(Side.FRONT, "front", xs[2], lower, scale, inner));
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

  private static Face face(Side side, String label, double x, double y, double scale, Point inner) {
    double across = side.across(inner);
    double up = side.up(inner);
    return new Face(side, label, x, y, scale * across, scale * up, across, up);
  }

  private static Mark mark(Opening opening, List<Face> faces, Point inner) {
    Face on =
        faces.stream()
            .min(Comparator.comparingDouble(f -> f.side().away(opening.at(), inner)))
            .orElseThrow();
    double across = on.side().across(opening.at(), inner);
    double up = on.side().up(opening.at(), inner);
    return new Mark(
        opening.key(), opening.label(), on.x() + across * on.w(), on.y() + (1 - up) * on.h());
  }
}
