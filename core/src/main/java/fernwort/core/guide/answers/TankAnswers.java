package fernwort.core.guide.answers;

import fernwort.core.guide.answers.RigAnswers.Spot;
import fernwort.core.id.PortId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.Shape;
import fernwort.core.rig.Face;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * What somebody has answered about a tank.
 *
 * @param id short name, unique among the tanks
 * @param label what people call it
 * @param contents the water it is for
 * @param litres what its label says (m³)
 * @param size its sizes, if somebody measured
 * @param inside whether they were measured inside
 * @param stands whether it stands inside or hangs underneath, if somebody said so
 * @param spot where it stands
 * @param bottom its bottom above the ground (m)
 * @param fills how it is filled
 * @param neck where its neck is
 * @param neckHeight the mouth of the neck above the ground (m)
 * @param ventEnd where its vent ends above the ground (m)
 * @param ventRises whether the vent rises above that first
 * @param drain what it is emptied by
 * @param from the tank that it is filled from by a pump of its own, by short name
 * @param openings openings that somebody has shown; the others stand where they usually do
 * @param venting how it breathes
 * @param passages how water comes from another tank, and whether the pump draws from this one
 * @param form a box, unless somebody said otherwise
 */
public record TankAnswers(
    String id,
    String label,
    Contents contents,
    Optional<Double> litres,
    Optional<Size> size,
    boolean inside,
    Optional<Stands> stands,
    Spot spot,
    double bottom,
    Set<Fill> fills,
    Spot neck,
    double neckHeight,
    double ventEnd,
    boolean ventRises,
    Drain drain,
    Optional<String> from,
    List<Opening> openings,
    Venting venting,
    Passages passages,
    Form form) {
  /** A wall as rotomoulded tanks have it (m). */
  public static final double USUAL_WALL = 0.005;

  public TankAnswers {
    fills = Set.copyOf(fills);
    stands = Objects.requireNonNullElse(stands, Optional.empty());
    // Answers of an earlier Fernwort know nothing of these.
    venting = Objects.requireNonNullElse(venting, Venting.USUAL);
    passages = Objects.requireNonNullElse(passages, Passages.USUAL);
    form = Objects.requireNonNullElse(form, Form.BOX);
    from = Objects.requireNonNullElse(from, Optional.empty());
    openings = List.copyOf(Objects.requireNonNullElse(openings, List.of()));
  }

  /** Returns the litres that are filled in before anybody has said any (m³); own choice. */
  public static double start(Contents contents) {
    return contents == Contents.FRESH ? 0.08 : 0.06;
  }

  /** Returns what its label says: what was filled in for a start is nobody's once it has sizes. */
  public Optional<Double> litresOnLabel() {
    return size.isPresent() ? litres.filter(v -> v != start(contents)) : litres;
  }

  /**
   * Makes a tank that is filled from no other, its openings where they usually are.
   *
   * @param bottom its bottom above the ground (m)
   * @param neckHeight its filler neck above the ground (m)
   * @param ventEnd the end of its vent above the ground (m)
   */
  public TankAnswers(
      String id,
      String label,
      Contents contents,
      Optional<Double> litres,
      Optional<Size> size,
      boolean inside,
      Spot spot,
      double bottom,
      Set<Fill> fills,
      Spot neck,
      double neckHeight,
      double ventEnd,
      boolean ventRises,
      Drain drain) {
    this(
        id,
        label,
        contents,
        litres,
        size,
        inside,
        Optional.empty(),
        spot,
        bottom,
        fills,
        neck,
        neckHeight,
        ventEnd,
        ventRises,
        drain,
        Optional.empty(),
        List.of(),
        Venting.USUAL,
        Passages.USUAL,
        Form.BOX);
  }

  /** Returns this tank filled from another one, too. */
  public TankAnswers filledFrom(Optional<String> other) {
    return like(other, venting, passages, form);
  }

  /** Returns this tank filled from another one, too, by something that brings the water. */
  public TankAnswers filledFrom(Optional<String> other, Passages how) {
    return like(other, venting, how, form);
  }

  /** Returns this tank drawn from, or not. */
  public TankAnswers drawn(boolean is) {
    return filledFrom(from, passages.drawing(is));
  }

  /** Returns this tank in another form. */
  public TankAnswers formed(Form other) {
    return like(from, venting, passages, other);
  }

  /** Returns this tank breathing otherwise. */
  public TankAnswers breathing(Venting how) {
    return like(from, how, passages, form);
  }

  private TankAnswers like(Optional<String> other, Venting breath, Passages ways, Form shape) {
    return new TankAnswers(
        id,
        label,
        contents,
        litres,
        size,
        inside,
        stands,
        spot,
        bottom,
        fills,
        neck,
        neckHeight,
        ventEnd,
        ventRises,
        drain,
        other,
        openings,
        breath,
        ways,
        shape);
  }

  /** Returns this tank with openings that were shown. */
  public TankAnswers opened(List<Opening> shown) {
    return with(fills, neck, neckHeight, ventEnd, ventRises, shown);
  }

  /** Returns this tank filled otherwise, its neck at a spot and height (m). */
  public TankAnswers filled(Set<Fill> ways, Spot neckAt, double height) {
    return with(ways, neckAt, height, ventEnd, ventRises, openings);
  }

  /** Returns this tank with a vent that ends elsewhere (m above the ground). */
  public TankAnswers vented(double end, boolean rises) {
    return with(fills, neck, neckHeight, end, rises, openings);
  }

  private TankAnswers with(
      Set<Fill> ways, Spot neckAt, double height, double end, boolean rises, List<Opening> shown) {
    return new TankAnswers(
        id, label, contents, litres, size, inside, stands, spot, bottom, ways, neckAt, height, end,
        rises, drain, from, shown, venting, passages, form);
  }

  /** Returns this tank inside or underneath. */
  public TankAnswers standing(Stands where) {
    return new TankAnswers(
        id,
        label,
        contents,
        litres,
        size,
        inside,
        Optional.of(where),
        spot,
        bottom,
        fills,
        neck,
        neckHeight,
        ventEnd,
        ventRises,
        drain,
        from,
        openings,
        venting,
        passages,
        form);
  }

  /** Where a tank stands: over the floor, or under it in wind and frost. */
  public enum Stands {
    INSIDE,
    UNDERNEATH
  }

  /** How water comes into a tank. */
  public enum Fill {
    NECK,
    JUG,
    MAINS,
    FLOAT,
    /** A second float valve, lower down. */
    LOW_FLOAT,
    /** From a barrel beside the vehicle, by a pump that hangs in it. */
    BARREL,
    /** Through its outlet, from below. */
    OUTLET
  }

  /** The form of a tank. */
  public enum Form {
    BOX,
    /** A cylinder that lies along the vehicle. */
    LYING,
    /** A cylinder that lies across it. */
    LYING_ACROSS,
    /** A barrel that stands. */
    UPRIGHT;

    /** What a cylinder holds of the box around it. */
    private static final double ROUND = Math.PI / 4;

    /** Returns what it holds of the box around it. */
    public double share() {
      return this == BOX ? 1 : ROUND;
    }

    /** Returns the shape of this form with some sizes outside; a cylinder takes the smaller. */
    public Shape shape(Size size) {
      return switch (this) {
        case BOX -> new Shape.Box(size.length(), size.width(), size.height());
        case LYING ->
            new Shape.LyingCylinder(Math.min(size.width(), size.height()), size.length(), false);
        case LYING_ACROSS ->
            new Shape.LyingCylinder(Math.min(size.length(), size.height()), size.width(), true);
        case UPRIGHT ->
            new Shape.UprightCylinder(Math.min(size.length(), size.width()), size.height());
      };
    }

    /** Returns a size as even as a cylinder has it. */
    public Size even(Size size) {
      return switch (this) {
        case BOX -> size;
        case LYING -> {
          double d = Math.min(size.width(), size.height());
          yield new Size(size.length(), d, d);
        }
        case LYING_ACROSS -> {
          double d = Math.min(size.length(), size.height());
          yield new Size(d, size.width(), d);
        }
        case UPRIGHT -> {
          double d = Math.min(size.length(), size.width());
          yield new Size(d, d, size.height());
        }
      };
    }

    /** An opening this share of the way from the middle lies in a round lid. */
    private static final double IN_THE_LID = 0.65;

    /** Returns where an opening of a box is in this form (inside, m). */
    public Point moved(Point at, Point inner) {
      double x = inner.x() / 2;
      double y = inner.y() / 2;
      return switch (this) {
        case BOX -> at;
        case LYING -> new Point(at.x(), y, at.z());
        case LYING_ACROSS -> new Point(x, at.y(), at.z());
        case UPRIGHT ->
            new Point(x + (at.x() - x) * IN_THE_LID, y + (at.y() - y) * IN_THE_LID, at.z());
      };
    }
  }

  /** What a tank is emptied by. */
  public enum Drain {
    NONE,
    CAP,
    VALVE,
    /** A valve with a hose on it. */
    HOSE,
    /** The tank itself is carried out and tipped. */
    CARRIED
  }

  /**
   * An opening that somebody has shown on a face of a tank.
   *
   * @param port what it is, as the tank's opening is called
   * @param face the face
   * @param across from the rear edge; on the rear and front face from the right one (m), outside or
   *     inside as the tank was measured
   * @param up from the lower edge; on top and bottom from the right one (m)
   */
  public record Opening(PortId port, Face face, double across, double up) {}

  /**
   * Sizes of a tank from outside (m): along the vehicle, across it, and high.
   *
   * @param length along the vehicle, outside (m)
   * @param width across the vehicle, outside (m)
   * @param height outside (m)
   */
  public record Size(double length, double width, double height) {

    /**
     * Returns a size as high as it must be to hold a volume (m³) at a length and width.
     *
     * @param length outside (m)
     * @param width outside (m)
     * @param volume what it holds (m³)
     */
    public static Size holding(double length, double width, double volume, boolean inside) {
      double walls = inside ? 0 : 2 * USUAL_WALL;
      return new Size(length, width, volume / ((length - walls) * (width - walls)) + walls);
    }
  }
}
