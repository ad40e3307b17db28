package fernwort.app.board;

import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.List;

/**
 * The Board as plain coordinates and words, ready for a template.
 *
 * @param width width of the drawing (px)
 * @param height height of the drawing (px)
 * @param roof room above it for the roof (px)
 * @param vehicle the vehicle around the places
 * @param floorY height of the floor line (px)
 * @param groundY height of the ground line (px)
 * @param rooms the places
 * @param wires the lines
 * @param parts the parts
 */
public record Drawing(
    int width,
    int height,
    int roof,
    Silhouette vehicle,
    double floorY,
    double groundY,
    List<Room> rooms,
    List<Pipe> wires,
    List<Figure> parts) {

  /** A place's rectangle with its name. */
  public record Room(
      String id, String label, String reach, double x, double y, double width, double height) {

    /** What a letter of its name takes (px). */
    private static final double LETTER = 6.2;

    private static final double MARGIN = 16;

    /** Returns its name, in two lines where it is wider than the place. */
    public List<String> lines() {
      int fits = (int) ((width - MARGIN) / LETTER);
      int cut = label.lastIndexOf(' ', Math.max(1, fits));
      return label.length() <= fits || cut < 0
          ? List.of(label)
          : List.of(label.substring(0, cut), label.substring(cut + 1));
    }
  }

  /**
   * A line.
   *
   * @param id its address in the page
   * @param line id of the line
   * @param label what its tag says
   * @param path its course
   * @param stream what it carries, in small letters
   * @param moving "forward", "back" or empty when the water stands
   */
  public record Pipe(
      String id, String line, String label, String path, String stream, String moving) {

    /** Tells whether water moves in it. */
    public boolean isFlowing() {
      return !moving.isEmpty();
    }

    /** Returns the classes that say what it carries and whether that moves. */
    public String classes() {
      return isFlowing()
          ? classed("pipe", "pipe-" + stream, "is-moving", "flows-" + moving)
          : classed("pipe", "pipe-" + stream);
    }
  }

  /** A line of a label. */
  public record Text(String words, double x, double y) {}

  /**
   * A part.
   *
   * @param id its address in the page
   * @param part id of the part
   * @param figure how it is drawn
   * @param x centre (px)
   * @param y centre (px)
   * @param halfWidth half the width of its drawing (px)
   * @param halfHeight half the height of its drawing (px)
   * @param label its name
   * @param texts the lines of its label
   * @param anchor how the label's lines stand: start or middle
   * @param spoken what a screen reader says
   * @param next position that a click turns it to; empty when there is nothing to turn
   * @param position id of its position; empty for none
   * @param angle where a lever points (degrees clockwise from the right)
   * @param live whether something moves in it
   * @param alarm worst severity of the warnings about it, in small letters; empty for none
   * @param fill for a tank: height of the water in its drawing (px)
   * @param amount for a tank: what it holds, in words
   * @param age for a tank: how old the reading is
   * @param water for a tank: fresh or gray
   */
  public record Figure(
      String id,
      String part,
      String figure,
      double x,
      double y,
      double halfWidth,
      double halfHeight,
      String label,
      List<Text> texts,
      String anchor,
      Message spoken,
      String next,
      String position,
      double angle,
      boolean live,
      String alarm,
      double fill,
      Message amount,
      Message age,
      String water) {

    /** Returns the classes that say what it is, how it stands and what is wrong about it. */
    public String classes() {
      List<String> classes = new ArrayList<>(List.of("part"));
      if (figure.equals("tank")) {
        classes.add("tank");
        classes.add("water-" + water);
      } else {
        classes.add("figure-" + figure);
        if (isTurned()) {
          classes.add("handle");
          classes.add("is-" + position);
        }
        if (live) {
          classes.add("is-live");
        }
      }
      if (!alarm.isEmpty()) {
        classes.add("alarm-" + alarm);
      }
      return classed(classes.toArray(String[]::new));
    }

    /** Tells whether a click turns it. */
    public boolean isTurned() {
      return !next.isEmpty();
    }

    /** Returns where a mark stands beside its label: at its right, or where that begins there. */
    public double markX() {
      return anchor.equals("start") ? x - halfWidth : x + halfWidth;
    }

    /** Returns where a mark stands beside its label: above, or below where the label is above. */
    public double markY() {
      boolean under = texts.stream().anyMatch(t -> t.y() < y - halfHeight);
      return under ? y + halfHeight : y - halfHeight;
    }
  }

  private static String classed(String... classes) {
    return String.join(" ", classes);
  }
}
