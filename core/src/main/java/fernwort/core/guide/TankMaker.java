package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.RigAnswers.Drain;
import fernwort.core.guide.RigAnswers.Fill;
import fernwort.core.guide.RigAnswers.Size;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.kind.tank.TankPort.Use;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Makes a tank with the openings that its answers ask for, its neck, its vent and its drain. */
final class TankMaker {

  /** From an opening to the edges of its wall (m). */
  private static final double EDGE = 0.06;

  /** How far inside of its wall an opening is taken to be at most (m). */
  private static final double SKIN = 0.002;

  /** The opening by which another tank fills one. */
  static final String TRANSFER = "transfer";

  private final Assembly rig;
  private final RigAnswers answers;
  private final List<Guess> guesses;
  private final List<Box> placed = new ArrayList<>();

  TankMaker(Assembly rig, RigAnswers answers, List<Guess> guesses) {
    this.rig = rig;
    this.answers = answers;
    this.guesses = guesses;
  }

  /**
   * Adds a tank; returns its id.
   *
   * @param inlets ids of openings through which something else runs in, such as wastes
   */
  String add(RigAnswers.Tank tank, List<String> inlets) {
    TankSizes sizes = TankSizes.of(tank, rig.vehicle());
    sizes.guess().ifPresent(guesses::add);
    Size size = sizes.outside();
    Kind kind =
        Fittings.tank(
            tank.contents(),
            new Shape.Box(size.length(), size.width(), size.height()),
            sizes.wall(),
            Fittings.sender(4, size.length() / 2, size.width() / 2),
            ports(tank, sizes, inlets).toArray(TankPort[]::new));
    Box box = beside(new Box(corner(tank, size, sizes.wall()), size));
    placed.add(box);
    String id = rig.part(QuestionPage.TANKS, tank.label(), tank.spot(), box.corner(), 0, kind);
    vent(tank, id);
    fills(tank, id);
    drain(tank, id);
    return id;
  }

  /** Where a tank stands, by its rear right lower corner. */
  private record Box(Point corner, Size size) {

    Box moved(double along, double across) {
      return new Box(new Point(corner.x() + along, corner.y() + across, corner.z()), size);
    }

    boolean meets(Box other) {
      return meets(corner.x(), size.length(), other.corner.x(), other.size.length())
          && meets(corner.y(), size.width(), other.corner.y(), other.size.width())
          && meets(corner.z(), size.height(), other.corner.z(), other.size.height());
    }

    private static boolean meets(double from, double extent, double other, double otherExtent) {
      return Math.min(from + extent, other + otherExtent) > Math.max(from, other);
    }
  }

  /** Between two tanks side by side (m). */
  private static final double BESIDE = 0.02;

  /**
   * Returns a tank beside those that stand on its spot already, for a spot of the plan is larger
   * than a tank: ahead of them, behind, to the left or right, the nearest first; where it was when
   * the vehicle has no room for that.
   */
  private Box beside(Box box) {
    List<Box> free = new ArrayList<>();
    for (Box other : placed) {
      double ahead = other.corner().x() + other.size().length() + BESIDE - box.corner().x();
      double behind = other.corner().x() - BESIDE - box.size().length() - box.corner().x();
      double left = other.corner().y() + other.size().width() + BESIDE - box.corner().y();
      double right = other.corner().y() - BESIDE - box.size().width() - box.corner().y();
      free.add(box.moved(ahead, 0));
      free.add(box.moved(behind, 0));
      free.add(box.moved(0, left));
      free.add(box.moved(0, right));
    }
    if (placed.stream().noneMatch(box::meets)) {
      return box;
    }
    return free.stream()
        .filter(this::isWithin)
        .filter(b -> placed.stream().noneMatch(b::meets))
        .min(
            Comparator.comparingDouble(b ->
                Math.abs(b.corner().x() - box.corner().x())
                    + Math.abs(b.corner().y() - box.corner().y())))
        .orElse(box);
  }

  private boolean isWithin(Box box) {
    double half = rig.vehicle().width() / 2;
    return box.corner().x() >= rig.vehicle().rear()
        && box.corner().x() + box.size().length() <= rig.vehicle().nose()
        && box.corner().y() >= -half
        && box.corner().y() + box.size().width() <= half;
  }

  /** The tank's rear right lower corner, about the middle of its spot and within the vehicle. */
  private Point corner(RigAnswers.Tank tank, Size size, double wall) {
    double inside = tank.bottom() + (tank.inside() ? 0 : wall);
    Point middle = rig.point(tank.spot(), inside);
    double half = rig.vehicle().width() / 2;
    double lowest = -half + 0.02;
    double y =
        Math.clamp(middle.y() - size.width() / 2, lowest, Math.max(lowest, half - size.width()));
    double rear = rig.vehicle().rear() + 0.05;
    double x = Math.max(rear, middle.x() - size.length() / 2);
    return new Point(x, y, inside);
  }

  private List<TankPort> ports(RigAnswers.Tank tank, TankSizes sizes, List<String> inlets) {
    double inside = 2 * sizes.wall();
    double lengthwise = sizes.outside().length() - inside;
    double wide = sizes.outside().width() - inside;
    double high = sizes.outside().height() - inside;
    double near = Math.min(EDGE, lengthwise / 4);
    double right = Math.min(EDGE, wide / 4);
    double far = lengthwise - near;
    double left = wide - right;
    // In a tank as flat as a hand the openings still stand in their order.
    double small = Math.min(1, high / 0.1);
    List<TankPort> ports = new ArrayList<>();
    ports.add(Fittings.port("vent", Use.VENT, far, left, high - 0.005 * small));
    if (tank.fills().contains(Fill.NECK) || tank.fills().contains(Fill.JUG)) {
      ports.add(Fittings.port("neck", Use.FILL, near, left, high - 0.02 * small));
    }
    if (tank.fills().contains(Fill.FLOAT)) {
      ports.add(Fittings.port("mains", Use.FLOAT, far / 2, left, high - 0.025 * small));
    } else if (tank.fills().contains(Fill.MAINS)) {
      ports.add(Fittings.port("mains", Use.FILL, far / 2, left, high - 0.02 * small));
    }
    for (int i = 0; i < inlets.size(); i++) {
      double along = near + (far - near) * (i + 0.5) / inlets.size();
      ports.add(Fittings.port(inlets.get(i), Use.FILL, along, right, high - 0.03 * small));
    }
    if (tank.contents() == Contents.FRESH) {
      if (isDrawnFrom(answers, tank)) {
        ports.add(Fittings.port("feed", Use.FEED, near, right, 0.02 * small));
      }
      List<RigAnswers.Tank> fed = fedBy(answers, tank);
      for (int i = 0; i < fed.size(); i++) {
        double along = near + (far - near) * (i + 1) / (fed.size() + 1);
        ports.add(Fittings.port(toward(fed.get(i)), Use.FEED, along, right, 0.02 * small));
      }
    }
    if (source(answers, tank).isPresent()) {
      ports.add(Fittings.port(TRANSFER, Use.FILL, far, right, high - 0.02 * small));
    }
    if (tank.contents() == Contents.GRAY || tank.drain() != Drain.NONE) {
      ports.add(Fittings.port("drain", Use.DRAIN, far, right, 0.005 * small));
    }
    Point inner = new Point(lengthwise, wide, high);
    double wall = tank.inside() ? 0 : sizes.wall();
    return ports.stream().map(p -> shown(tank, p, inner, wall)).toList();
  }

  /** An opening where somebody has shown it to be, else where it usually is. */
  private static TankPort shown(RigAnswers.Tank tank, TankPort usual, Point inner, double wall) {
    return tank.openings().stream()
        .filter(o -> o.port().equals(usual.id()))
        .findFirst()
        .map(o -> new TankPort(usual.id(), usual.use(), at(o, inner, wall), usual.bore()))
        .orElse(usual);
  }

  /**
   * The inside point of an opening on a face; none lies in a corner of the walls.
   *
   * @param wall what was measured over beside the inside (m)
   */
  private static Point at(RigAnswers.Opening o, Point inner, double wall) {
    Point shown = o.face().point(o.across() - wall, o.up() - wall, inner);
    return new Point(
        within(shown.x(), inner.x()), within(shown.y(), inner.y()), within(shown.z(), inner.z()));
  }

  private static double within(double at, double extent) {
    double skin = Math.min(SKIN, extent / 10);
    return Math.clamp(at, skin, extent - skin);
  }

  /** Returns the fresh tank that another is filled from, where there is one. */
  static Optional<RigAnswers.Tank> source(RigAnswers answers, RigAnswers.Tank tank) {
    return answers.tanks(Contents.FRESH).stream()
        .filter(t -> tank.contents() == Contents.FRESH)
        .filter(t -> tank.from().filter(t.id()::equals).isPresent() && !t.id().equals(tank.id()))
        .findFirst();
  }

  /** Returns the tanks that are filled from a tank. */
  static List<RigAnswers.Tank> fedBy(RigAnswers answers, RigAnswers.Tank tank) {
    return answers.tanks(Contents.FRESH).stream()
        .filter(t -> source(answers, t).filter(tank::equals).isPresent())
        .toList();
  }

  /**
   * Tells whether the supply pump draws from a tank: one that fills another gives its water there,
   * unless every tank does.
   */
  static boolean isDrawnFrom(RigAnswers answers, RigAnswers.Tank tank) {
    return fedBy(answers, tank).isEmpty()
        || answers.tanks(Contents.FRESH).stream().noneMatch(t -> fedBy(answers, t).isEmpty());
  }

  /** The opening by which a tank gives to another. */
  static String toward(RigAnswers.Tank fed) {
    return "to-" + fed.id();
  }

  private void vent(RigAnswers.Tank tank, String id) {
    double end = tank.ventEnd();
    String vent =
        rig.part(
            QuestionPage.VENTS,
            tank.label() + " vent",
            tank.spot(),
            end,
            0,
            Fittings.end(Role.VENT));
    double over = tank.ventRises() ? Math.max(end, rig.get(id).at("vent").z()) + 0.25 : Double.NaN;
    rig.join(rig.get(id).port("vent"), rig.get(vent).port("in"), answers.bores().vent(), over);
  }

  private void fills(RigAnswers.Tank tank, String id) {
    if (!tank.fills().contains(Fill.NECK) && !tank.fills().contains(Fill.JUG)) {
      return;
    }
    String neck =
        rig.part(
            QuestionPage.FILL,
            tank.label() + " neck",
            tank.neck(),
            tank.neckHeight(),
            0,
            new GravityFiller());
    rig.join(rig.get(neck).port("out"), rig.get(id).port("neck"), answers.bores().fill());
    if (tank.fills().contains(Fill.JUG)) {
      String jug =
          rig.part(
              QuestionPage.FILL,
              Says.JUG_FOR.filled(tank.label()),
              tank.neck(),
              tank.neckHeight() + 0.2,
              0,
              new PortableContainer(0.015, true));
      rig.join(rig.get(jug).port("spout"), rig.get(neck).port("mouth"), answers.bores().fill());
    }
  }

  private void drain(RigAnswers.Tank tank, String id) {
    if (tank.contents() == Contents.GRAY || tank.drain() == Drain.NONE) {
      return;
    }
    double low = rig.get(id).at("drain").z();
    if (tank.drain() == Drain.CAP) {
      String cap =
          rig.part(
              QuestionPage.TANKS,
              Says.DRAIN_CAP.filled(tank.label()),
              tank.spot(),
              low,
              0,
              new Plug(true));
      rig.join(rig.get(id).port("drain"), rig.get(cap).port("in"), 0.019);
      return;
    }
    String valve =
        rig.part(
            QuestionPage.TANKS,
            tank.label() + " drain",
            tank.spot(),
            low - 0.02,
            2e-5,
            Fittings.twoWay(0));
    double under = Math.max(rig.vehicle().clearance() + 0.02, Math.min(low - 0.1, 0.35));
    String tail =
        rig.part(
            QuestionPage.TANKS,
            Says.DRAIN_TAIL_OF.filled(tank.label()),
            tank.spot(),
            under,
            0,
            Fittings.end(Role.DRAIN));
    rig.join(rig.get(id).port("drain"), rig.get(valve).port("a"), 0.019);
    rig.join(rig.get(valve).port("b"), rig.get(tail).port("in"), 0.019);
  }
}
