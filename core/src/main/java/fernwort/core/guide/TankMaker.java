package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankAnswers.Drain;
import fernwort.core.guide.answers.TankAnswers.Fill;
import fernwort.core.guide.answers.TankAnswers.Size;
import fernwort.core.guide.answers.TankTies;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.PortableContainer;
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
  PartId add(TankAnswers tank, List<PortId> inlets) {
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
    PartId id = rig.part(QuestionPage.TANKS, tank.label(), tank.spot(), box.corner(), 0, kind);
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

  private void fills(TankAnswers tank, PartId id) {
    if (tank.fills().contains(Fill.BARREL) && tank.contents() == Contents.FRESH) {
      barrel(tank, id);
    }
    if (!TankTies.hasNeck(tank)) {
      return;
    }
    PartId neck =
        rig.part(
            QuestionPage.FILL,
            tank.label() + " neck",
            tank.neck(),
            tank.neckHeight(),
            0,
            new GravityFiller());
    Run run =
        new Run(
            rig,
            QuestionPage.FILL,
            tank.spot(),
            answers.bores().fill(),
            rig.get(neck).port(PortId.OUT));
    if (TankTies.comesIntoFiller(answers, tank)) {
      double over = rig.get(id).at(PortId.of("neck")).z() + 5 * Assembly.STEP;
      fillers.put(tank.id(), run.branch(Says.FILLER_TEE.filled(tank.label()), over));
    }
    run.to(rig.get(id).port(PortId.of("neck")));
    if (tank.fills().contains(Fill.JUG)) {
      PartId jug =
          rig.part(
              QuestionPage.FILL,
              Says.JUG_FOR.filled(tank.label()),
              tank.neck(),
              tank.neckHeight() + 20 * Assembly.STEP,
              0,
              new PortableContainer(0.015, true));
      rig.join(
          rig.get(jug).port(PortId.of("spout")),
          rig.get(neck).port(PortId.of("mouth")),
          answers.bores().fill());
    }
  }

  /** A pump that hangs in a barrel beside the vehicle, on a port of its own; a float stops it. */
  private void barrel(TankAnswers tank, PartId id) {
    double bore = answers.bores().supply();
    double port = answers.mains().height();
    PartId inlet =
        rig.part(
            QuestionPage.FILL,
            Says.BARREL_PORT.filled(tank.label()),
            tank.neck(),
            port,
            0,
            new HoseInlet(0, Assembly.IN_A_BUCKET));
    PortRef from = rig.get(inlet).port(PortId.OUT);
    Run run = new Run(rig, QuestionPage.FILL, tank.neck(), bore, from);
    run.through(
        Says.BARREL_PUMP.filled(tank.label()),
        port + 2 * Assembly.STEP,
        Run.PUMP,
        Fittings.barrelPump());
    run.to(rig.get(id).port(TankOpenings.BARREL));
  }

  /** Returns where water from another tank comes into a tank. */
  PortRef entry(TankAnswers tank, PartId id) {
    return fillers.getOrDefault(tank.id(), new PortRef(id, TankOpenings.TRANSFER));
  }

  // --- how it is emptied -----------------------------------------------------------------------

  private void drain(TankAnswers tank, PartId id) {
    if (tank.contents() == Contents.GRAY) {
      if (tank.drain() == Drain.CARRIED) {
        cap(tank, Says.SPOUT_CAP.filled(tank.label()), rig.get(id).port(TankOpenings.SPOUT));
      }
      return;
    }
    boolean below = tank.fills().contains(Fill.OUTLET);
    boolean out = tank.drain() == Drain.HOSE || tank.drain() == Drain.VALVE;
    if (!below && tank.drain() == Drain.CAP) {
      cap(tank, Says.DRAIN_CAP.filled(tank.label()), rig.get(id).port(PortId.of("drain")));
    }
    if (!below && !out) {
      return;
    }
    double low = rig.get(id).at(PortId.of("drain")).z();
    Run run =
        new Run(rig, QuestionPage.TANKS, tank.spot(), DRAIN, rig.get(id).port(PortId.of("drain")));
    run.through(tank.label() + " drain", low - 2 * Assembly.STEP, Run.VALVE, Fittings.twoWay(0));
    if (!out) {
      station(tank, run.at(), low);
      return;
    }
    if (below) {
      station(tank, run.branch(Says.OUTLET_TEE.text(), low - 4 * Assembly.STEP), low);
      run.through(
          Says.OUTLET_VALVE_OF.filled(tank.label()),
          low - 6 * Assembly.STEP,
          Run.VALVE,
          Fittings.twoWay(0));
    }
    boolean hose = tank.drain() == Drain.HOSE;
    run.endsIn(
        (hose ? Says.OUTLET_HOSE_OF : Says.DRAIN_TAIL_OF).filled(tank.label()),
        rig.tail(low),
        hose ? Fittings.fixture(Fixture.Type.HOSE_POINT, false, 20) : Fittings.end(Role.DRAIN));
  }

  /** An inlet by which a tank is filled from below. */
  private void station(TankAnswers tank, PortRef from, double low) {
    new Run(rig, QuestionPage.FILL, tank.spot(), DRAIN, from)
        .endsIn(
            Says.INLET_BELOW.filled(tank.label()),
            Math.max(rig.overGround(), low - 8 * Assembly.STEP),
            Fittings.inlet(4));
  }

  private void cap(TankAnswers tank, String label, PortRef at) {
    double low = rig.get(at.part()).at(at.port()).z();
    new Run(rig, QuestionPage.TANKS, tank.spot(), DRAIN, at).endsIn(label, low, new Plug(true));
  }
}
