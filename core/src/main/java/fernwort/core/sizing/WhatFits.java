package fernwort.core.sizing;

import fernwort.core.rig.Contents;
import fernwort.core.rig.Gauge;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Shape;
import fernwort.core.say.Amount;
import fernwort.core.say.Refusal;
import fernwort.core.say.Saying;
import fernwort.core.tank.TankRoom;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** The largest tank of each shape that a measured space takes. */
public final class WhatFits {

  private WhatFits() {}

  /** A space in the vehicle, as a tape measures it; length along, width across. All in metres. */
  public sealed interface Space {

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
   */
  public record Fit(String words, Shape shape, double volume) {}

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
    double least = 2 * m.wall() + 0.01;
    if (inner.length() < least || inner.width() < least || inner.height() < least) {
      throw new Refusal(
          Saying.of(
              "Nothing is left of {} × {} × {} once padding, fittings and walls have their room;"
                  + " check the figures",
              Amount.length(s.length()),
              Amount.length(s.width()),
              Amount.length(s.height())));
    }
    return inner;
  }

  private static List<Fit> square(Space.Square s, Margins m) {
    List<Fit> fits = new ArrayList<>();
    fits.add(fit("box", new Shape.Box(s.length(), s.width(), s.height()), m));
    double along = Math.min(s.width(), s.height());
    fits.add(fit("cylinder lying along", new Shape.LyingCylinder(along, s.length(), false), m));
    double across = Math.min(s.length(), s.height());
    fits.add(fit("cylinder lying across", new Shape.LyingCylinder(across, s.width(), true), m));
    double round = Math.min(s.length(), s.width());
    fits.add(fit("upright cylinder", new Shape.UprightCylinder(round, s.height()), m));
    return fits;
  }

  private static List<Fit> overArch(Space.OverArch s, Margins m) {
    double after = s.length() - s.before() - s.arch();
    if (after < 0 || s.archHeight() >= s.height()) {
      throw new Refusal(
          "The wheel arch does not lie within the space; check its length, place and height");
    }
    Space.Square whole = inner(new Space.Square(s.length(), s.width(), s.height()), m);
    List<Fit> fits = new ArrayList<>();
    double rear = s.before() - 2 * m.around();
    double front = after - 2 * m.around() - m.end();
    double over = s.height() - s.archHeight() - m.around() - m.above();
    double least = 2 * m.wall() + 0.01;
    double floor = whole.height() - over;
    if (rear > least && front > least && over > least) {
      double bridge = whole.length() - rear - front;
      fits.add(
          fit(
              "two lobes and a bridge over the arch",
              new Shape.Straddling(
                  List.of(
                      new Shape.Block(0, 0, 0, rear, whole.width(), whole.height()),
                      new Shape.Block(rear, 0, floor, bridge, whole.width(), over),
                      new Shape.Block(rear + bridge, 0, 0, front, whole.width(), whole.height()))),
              m));
    }
    if (over > least) {
      fits.add(fit("box above the arch", new Shape.Box(whole.length(), whole.width(), over), m));
    }
    if (rear > least) {
      fits.add(fit("box behind the arch", new Shape.Box(rear, whole.width(), whole.height()), m));
    }
    if (front > least) {
      fits.add(fit("box before the arch", new Shape.Box(front, whole.width(), whole.height()), m));
    }
    return fits;
  }

  private static List<Fit> tapering(Space.Tapering s, Margins m) {
    Space.Square high = inner(new Space.Square(s.length(), s.width(), s.height()), m);
    double low = s.lowHeight() - m.around() - m.above();
    if (!(s.lowHeight() > 0 && s.lowHeight() <= s.height())) {
      throw new Refusal("The low end must be higher than nothing and no higher than the high end");
    }
    double drop = (s.height() - s.lowHeight()) / s.length();
    List<Fit> fits = new ArrayList<>();
    double lowEnd = high.height() - drop * high.length();
    if (low > 2 * m.wall() + 0.01 && lowEnd > 2 * m.wall() + 0.01) {
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
              m));
    }
    double best = drop > 0 ? Math.min(high.length(), high.height() / (2 * drop)) : high.length();
    fits.add(
        fit(
            "box at the high end",
            new Shape.Box(best, high.width(), high.height() - drop * best),
            m));
    return fits;
  }

  private static Fit fit(String words, Shape shape, Margins m) {
    Gauge none = new Gauge(Gauge.GaugeKind.NONE, 0, 0, 0);
    Kind.Tank tank = new Kind.Tank(Contents.FRESH, shape, m.wall(), List.of(), none, 1, -1);
    return new Fit(words, shape, TankRoom.of(tank).capacity());
  }
}
