package fernwort.core.sizing;

import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Shape;
import fernwort.core.say.Amount;
import fernwort.core.say.Refusal;
import fernwort.core.tank.TankRoom;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** The largest tank of each shape that a measured space takes. */
public final class WhatFits {

  /** Less than this between its walls is no tank (m); own choice. */
  private static final double ROOM = 0.01;

  private WhatFits() {}

  /** A space in the vehicle, as a tape measures it; length along, width across. All in metres. */
  public sealed interface Space {

    /** Returns its outline from the side, length along x; corners in metres. */
    default List<Shape.Corner> outline() {
      return SideView.of(this);
    }

    /** A space with square corners. */
    record Square(double length, double width, double height) implements Space {}

    /**
     * A space over a wheel arch.
     *
     * @param before length between its rear end and the arch
     * @param arch length of the arch
     * @param archHeight height of the arch above the floor of the space
     */
    record OverArch(
        double length, double width, double height, double before, double arch, double archHeight)
        implements Space {}

    /**
     * A space whose floor rises or whose ceiling falls evenly from one end to the other.
     *
     * @param lowHeight height at its low end
     */
    record Tapering(double length, double width, double height, double lowHeight)
        implements Space {}
  }

  /**
   * What has to stay free.
   *
   * @param around on every side, for padding and straps (m)
   * @param above over the tank, for its vent and what is screwed in there (m)
   * @param end at one end, for fittings and the hands that turn them (m)
   * @param wall wall thickness of the tank (m)
   */
  public record Margins(double around, double above, double end, double wall) {}

  /**
   * A tank that fits.
   *
   * @param words what it is
   * @param shape its outside shape
   * @param volume what it holds to the brim (m³)
   * @param x how far its rear end stands from that of the space (m)
   * @param z how far its lowest point stands over the floor of the space (m)
   */
  public record Fit(String words, Shape shape, double volume, double x, double z) {

    /** Returns its outline from the side, within the space; corners in metres. */
    public List<Shape.Corner> outline() {
      return SideView.of(shape).stream().map(c -> new Shape.Corner(x + c.x(), z + c.z())).toList();
    }
  }

  /**
   * Returns the largest tank of each shape, the one that holds most first.
   *
   * @throws Refusal when the space is used up by what has to stay free
   */
  public static List<Fit> of(Space space, Margins margins) {
    List<Fit> fits =
        switch (space) {
          case Space.Square s -> square(inner(s, margins), margins);
          case Space.OverArch s -> overArch(s, margins);
          case Space.Tapering s -> tapering(s, margins);
        };
    return fits.stream().sorted(Comparator.comparingDouble(Fit::volume).reversed()).toList();
  }

  private static Space.Square inner(Space.Square s, Margins m) {
    Space.Square inner =
        new Space.Square(
            s.length() - 2 * m.around() - m.end(),
            s.width() - 2 * m.around(),
            s.height() - m.around() - m.above());
    double least = 2 * m.wall() + ROOM;
    if (inner.length() < least || inner.width() < least || inner.height() < least) {
      throw new Refusal(
          Says.NOTHING_IS_LEFT_OF_ONCE_PADDING.with(
              Amount.length(s.length()), Amount.length(s.width()), Amount.length(s.height())));
    }
    return inner;
  }

  private static List<Fit> square(Space.Square s, Margins m) {
    List<Fit> fits = new ArrayList<>();
    double x = m.around();
    double z = m.around();
    fits.add(fit("box", new Shape.Box(s.length(), s.width(), s.height()), m, x, z));
    double along = Math.min(s.width(), s.height());
    fits.add(
        fit(
            Says.CYLINDER_LYING_ALONG.text(),
            new Shape.LyingCylinder(along, s.length(), false),
            m,
            x,
            z));
    double across = Math.min(s.length(), s.height());
    fits.add(
        fit(
            Says.CYLINDER_LYING_ACROSS.text(),
            new Shape.LyingCylinder(across, s.width(), true),
            m,
            x,
            z));
    double round = Math.min(s.length(), s.width());
    fits.add(
        fit(Says.UPRIGHT_CYLINDER.text(), new Shape.UprightCylinder(round, s.height()), m, x, z));
    return fits;
  }

  private static List<Fit> overArch(Space.OverArch s, Margins m) {
    double after = s.length() - s.before() - s.arch();
    if (after < 0 || s.archHeight() >= s.height()) {
      throw new Refusal(Says.THE_WHEEL_ARCH_DOES_NOT_LIE.with());
    }
    Space.Square whole = inner(new Space.Square(s.length(), s.width(), s.height()), m);
    List<Fit> fits = new ArrayList<>();
    double rear = s.before() - 2 * m.around();
    double front = after - 2 * m.around() - m.end();
    double over = s.height() - s.archHeight() - m.around() - m.above();
    double least = 2 * m.wall() + ROOM;
    double floor = whole.height() - over;
    if (rear > least && front > least && over > least) {
      double bridge = whole.length() - rear - front;
      fits.add(
          fit(
              Says.TWO_LOBES_AND_A_BRIDGE.text(),
              new Shape.Straddling(
                  List.of(
                      new Shape.Block(0, 0, 0, rear, whole.width(), whole.height()),
                      new Shape.Block(rear, 0, floor, bridge, whole.width(), over),
                      new Shape.Block(rear + bridge, 0, 0, front, whole.width(), whole.height()))),
              m,
              m.around(),
              m.around()));
    }
    if (over > least) {
      Shape above = new Shape.Box(whole.length(), whole.width(), over);
      fits.add(
          fit(Says.BOX_ABOVE_THE_ARCH.text(), above, m, m.around(), s.archHeight() + m.around()));
    }
    if (rear > least) {
      Shape behind = new Shape.Box(rear, whole.width(), whole.height());
      fits.add(fit(Says.BOX_BEHIND_THE_ARCH.text(), behind, m, m.around(), m.around()));
    }
    if (front > least) {
      Shape before = new Shape.Box(front, whole.width(), whole.height());
      double start = s.before() + s.arch() + m.around();
      fits.add(fit(Says.BOX_BEFORE_THE_ARCH.text(), before, m, start, m.around()));
    }
    return fits;
  }

  private static List<Fit> tapering(Space.Tapering s, Margins m) {
    double low = s.lowHeight() - m.around() - m.above();
    if (!(s.lowHeight() > 0 && s.lowHeight() <= s.height())) {
      throw new Refusal(Says.THE_LOW_END_MUST_BE_HIGHER.with());
    }
    double drop = (s.height() - s.lowHeight()) / s.length();
    // What stays free at the high end is lower by then, too.
    double highest = s.height() - drop * m.around();
    Space.Square high = inner(new Space.Square(s.length(), s.width(), highest), m);
    List<Fit> fits = new ArrayList<>();
    double lowEnd = high.height() - drop * high.length();
    if (low > 2 * m.wall() + ROOM && lowEnd > 2 * m.wall() + ROOM) {
      fits.add(
          fit(
              "wedge",
              new Shape.Prism(
                  List.of(
                      new Shape.Corner(0, 0),
                      new Shape.Corner(high.length(), 0),
                      new Shape.Corner(high.length(), lowEnd),
                      new Shape.Corner(0, high.height())),
                  high.width()),
              m,
              m.around(),
              m.around()));
    }
    double best = drop > 0 ? Math.min(high.length(), high.height() / (2 * drop)) : high.length();
    fits.add(
        fit(
            Says.BOX_AT_THE_HIGH_END.text(),
            new Shape.Box(best, high.width(), high.height() - drop * best),
            m,
            m.around(),
            m.around()));
    return fits;
  }

  private static Fit fit(String words, Shape shape, Margins m, double x, double z) {
    Gauge none = new Gauge(Gauge.GaugeKind.NONE, 0, 0, 0);
    Tank tank = new Tank(Contents.FRESH, shape, m.wall(), List.of(), none, 1, -1);
    return new Fit(words, shape, TankRoom.of(tank).capacity(), x, z);
  }
}
