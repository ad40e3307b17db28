package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankAnswers.Drain;
import fernwort.core.guide.answers.TankAnswers.Fill;
import fernwort.core.guide.answers.TankAnswers.Size;
import fernwort.core.guide.answers.TankTies;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.PortRef;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Makes a tank with the openings that its answers ask for, its neck, its vent and its drain. */
final class TankMaker {

  /** How wide a drain is (m). */
  private static final double DRAIN = 0.019;

  private final Assembly rig;
  private final RigAnswers answers;
  private final List<Guess> guesses;
  private final TankOpenings openings;
  private final TankVents vents;
  private final List<Box> placed = new ArrayList<>();

  /** Where water from another tank comes into the hose of a tank's filler. */
  private final Map<String, PortRef> fillers = new HashMap<>();

  TankMaker(Assembly rig, RigAnswers answers, List<Guess> guesses) {
    this.rig = rig;
    this.answers = answers;
    this.guesses = guesses;
    openings = new TankOpenings(answers);
    vents = new TankVents(rig, answers);
  }

  /**
   * Adds a tank; returns its id.
   *
   * @param inlets ids of openings through which something else runs in, such as wastes
   */
  String add(TankAnswers tank, List<String> inlets) {
    TankSizes sizes = TankSizes.of(tank, rig.vehicle());
    sizes.guess().ifPresent(guesses::add);
    Size size = sizes.outside();
    Kind kind =
        Fittings.tank(
            tank.contents(),
            tank.form().shape(size),
            sizes.wall(),
            Fittings.sender(4, size.length() / 2, size.width() / 2),
            openings.of(tank, sizes, inlets).toArray(TankPort[]::new));
    Box box = beside(new Box(corner(tank, size, sizes.wall()), size));
    placed.add(box);
    String id = rig.part(QuestionPage.TANKS, tank.label(), tank.spot(), box.corner(), 0, kind);
    vents.add(tank, id);
    fills(tank, id);
    drain(tank, id);
    return id;
  }

  /** Closes what waits for a vent that was joined to nothing in the end. */
  void closeOpenVents() {
    vents.closeOpen();
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
  private Point corner(TankAnswers tank, Size size, double wall) {
    double inside = tank.bottom() + (tank.inside() ? 0 : wall);
    Point middle = rig.point(tank.spot(), inside);
    double half = rig.vehicle().width() / 2;
    double lowest = -half + 2 * Assembly.STEP;
    double y =
        Math.clamp(middle.y() - size.width() / 2, lowest, Math.max(lowest, half - size.width()));
    double rear = rig.vehicle().rear() + 5 * Assembly.STEP;
    double x = Math.max(rear, middle.x() - size.length() / 2);
    return new Point(x, y, inside);
  }

  // --- how it is filled ------------------------------------------------------------------------

  private void fills(TankAnswers tank, String id) {
    if (tank.fills().contains(Fill.BARREL) && tank.contents() == Contents.FRESH) {
      barrel(tank, id);
    }
    if (!TankTies.hasNeck(tank)) {
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
    PortRef at = rig.get(neck).port("out");
    if (tank.passages().intoFiller() && TankTies.source(answers, tank).isPresent()) {
      String tee =
          rig.part(
              QuestionPage.FILL,
              Says.FILLER_TEE.filled(tank.label()),
              tank.spot(),
              rig.get(id).at("neck").z() + 5 * Assembly.STEP,
              0,
              new Tee());
      rig.join(at, rig.get(tee).port("a"), answers.bores().fill());
      fillers.put(tank.id(), rig.get(tee).port("b"));
      at = rig.get(tee).port("c");
    }
    rig.join(at, rig.get(id).port("neck"), answers.bores().fill());
    if (tank.fills().contains(Fill.JUG)) {
      String jug =
          rig.part(
              QuestionPage.FILL,
              Says.JUG_FOR.filled(tank.label()),
              tank.neck(),
              tank.neckHeight() + 20 * Assembly.STEP,
              0,
              new PortableContainer(0.015, true));
      rig.join(rig.get(jug).port("spout"), rig.get(neck).port("mouth"), answers.bores().fill());
    }
  }

  /** A pump that hangs in a barrel beside the vehicle, on a port of its own; a float stops it. */
  private void barrel(TankAnswers tank, String id) {
    double bore = answers.bores().supply();
    double port = answers.mains().height();
    String inlet =
        rig.part(
            QuestionPage.FILL,
            Says.BARREL_PORT.filled(tank.label()),
            tank.neck(),
            port,
            0,
            new HoseInlet(0, Assembly.IN_A_BUCKET));
    String pump =
        rig.part(
            QuestionPage.FILL,
            Says.BARREL_PUMP.filled(tank.label()),
            tank.neck(),
            port + 2 * Assembly.STEP,
            Run.PUMP,
            Fittings.barrelPump());
    rig.join(rig.get(inlet).port("out"), rig.get(pump).port("in"), bore);
    rig.join(rig.get(pump).port("out"), rig.get(id).port(TankOpenings.BARREL), bore);
  }

  /** Returns where water from another tank comes into a tank. */
  PortRef entry(TankAnswers tank, String id) {
    return fillers.getOrDefault(tank.id(), new PortRef(id, TankOpenings.TRANSFER));
  }

  // --- how it is emptied -----------------------------------------------------------------------

  private void drain(TankAnswers tank, String id) {
    if (tank.contents() == Contents.GRAY) {
      if (tank.drain() == Drain.CARRIED) {
        cap(tank, Says.SPOUT_CAP.filled(tank.label()), rig.get(id).port(TankOpenings.SPOUT));
      }
      return;
    }
    boolean below = tank.fills().contains(Fill.OUTLET);
    if (!below && (tank.drain() == Drain.NONE || tank.drain() == Drain.CARRIED)) {
      return;
    }
    PortRef at = rig.get(id).port("drain");
    if (tank.drain() == Drain.CAP && !below) {
      cap(tank, Says.DRAIN_CAP.filled(tank.label()), at);
      return;
    }
    double low = rig.get(id).at("drain").z();
    at =
        rig.valved(
            QuestionPage.TANKS,
            tank.label() + " drain",
            tank.spot(),
            low - 2 * Assembly.STEP,
            at,
            DRAIN);
    if (below) {
      at = station(tank, at, low);
    }
    boolean out = tank.drain() == Drain.HOSE || tank.drain() == Drain.VALVE;
    if (out) {
      double under =
          Math.max(
              rig.vehicle().clearance() + 2 * Assembly.STEP,
              Math.min(low - 10 * Assembly.STEP, Assembly.KNEE));
      boolean hose = tank.drain() == Drain.HOSE;
      String tail =
          rig.part(
              QuestionPage.TANKS,
              (hose ? Says.OUTLET_HOSE_OF : Says.DRAIN_TAIL_OF).filled(tank.label()),
              tank.spot(),
              under,
              0,
              hose
                  ? Fittings.fixture(Fixture.Type.HOSE_POINT, false, 20)
                  : Fittings.end(Role.DRAIN));
      rig.join(at, rig.get(tail).port(hose ? "cold" : "in"), DRAIN);
    }
  }

  /**
   * An inlet on the outlet of a tank, by which it is filled from below; returns where it goes on.
   */
  private PortRef station(TankAnswers tank, PortRef from, double low) {
    String inlet =
        rig.part(
            QuestionPage.FILL,
            Says.INLET_BELOW.filled(tank.label()),
            tank.spot(),
            Math.max(rig.overGround(), low - 8 * Assembly.STEP),
            0,
            Fittings.inlet(4));
    boolean out = tank.drain() == Drain.HOSE || tank.drain() == Drain.VALVE;
    if (!out) {
      rig.join(from, rig.get(inlet).port("out"), DRAIN);
      return from;
    }
    String tee =
        rig.part(
            QuestionPage.FILL,
            Says.OUTLET_TEE.text(),
            tank.spot(),
            low - 4 * Assembly.STEP,
            0,
            new Tee());
    rig.join(from, rig.get(tee).port("a"), DRAIN);
    rig.join(rig.get(tee).port("b"), rig.get(inlet).port("out"), DRAIN);
    return rig.valved(
        QuestionPage.TANKS,
        Says.OUTLET_VALVE_OF.filled(tank.label()),
        tank.spot(),
        low - 6 * Assembly.STEP,
        rig.get(tee).port("c"),
        DRAIN);
  }

  private void cap(TankAnswers tank, String label, PortRef at) {
    double low = rig.get(at.part()).at(at.port()).z();
    String cap = rig.part(QuestionPage.TANKS, label, tank.spot(), low, 0, new Plug(true));
    rig.join(at, rig.get(cap).port("in"), DRAIN);
  }
}
