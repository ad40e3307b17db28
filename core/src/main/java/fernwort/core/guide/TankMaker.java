package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.Passages.By;
import fernwort.core.guide.RigAnswers.Drain;
import fernwort.core.guide.RigAnswers.Fill;
import fernwort.core.guide.RigAnswers.Size;
import fernwort.core.guide.RigAnswers.Spot;
import fernwort.core.guide.Venting.Second;
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
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.kind.tank.TankPort.Use;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Makes a tank with the openings that its answers ask for, its neck, its vent and its drain. */
final class TankMaker {

  /** From an opening to the edges of its wall (m). */
  private static final double EDGE = 0.06;

  /** How far inside of its wall an opening is taken to be at most (m). */
  private static final double SKIN = 0.002;

  /** The opening by which another tank fills one. */
  static final String TRANSFER = "transfer";

  /** The opening of a float valve lower down. */
  static final String LOW_FLOAT = "low-float";

  /** The opening by which the pump sends water back. */
  static final String RETURN = "return";

  private static final String OVERFLOW = "overflow";
  private static final String BARREL = "barrel";
  private static final String SPOUT = "spout";

  private static final double VALVE_BODY = 2e-5;
  private static final double PUMP_BODY = 1e-4;

  /** How wide a drain is (m). */
  private static final double DRAIN = 0.019;

  private final Assembly rig;
  private final RigAnswers answers;
  private final List<Guess> guesses;
  private final List<Box> placed = new ArrayList<>();

  /** Free branches of each tank's vent, for the vents that run into it. */
  private final Map<String, Deque<PortRef>> vents = new HashMap<>();

  /** Where water from another tank comes into the hose of a tank's filler. */
  private final Map<String, PortRef> fillers = new HashMap<>();

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
    if (tank.venting().second() != Second.NONE) {
      ports.add(Fittings.port(OVERFLOW, Use.VENT, far * 0.8, left, high - 0.012 * small));
    }
    if (hasNeck(tank)) {
      ports.add(Fittings.port("neck", Use.FILL, near, left, high - 0.02 * small));
    }
    if (tank.fills().contains(Fill.FLOAT)) {
      ports.add(Fittings.port("mains", Use.FLOAT, far / 2, left, high - 0.025 * small));
    } else if (tank.fills().contains(Fill.MAINS)) {
      ports.add(Fittings.port("mains", Use.FILL, far / 2, left, high - 0.02 * small));
    }
    if (tank.fills().contains(Fill.LOW_FLOAT)) {
      ports.add(Fittings.port(LOW_FLOAT, Use.FLOAT, far * 0.6, left, high * 0.4));
    }
    if (tank.fills().contains(Fill.BARREL)) {
      ports.add(Fittings.port(BARREL, Use.FLOAT, far * 0.4, right, high - 0.025 * small));
    }
    if (returns(answers, tank)) {
      ports.add(Fittings.port(RETURN, Use.FILL, far * 0.7, right, high - 0.02 * small));
    }
    for (int i = 0; i < inlets.size(); i++) {
      double along = near + (far - near) * (i + 0.5) / inlets.size();
      ports.add(Fittings.port(inlets.get(i), Use.FILL, along, right, high - 0.03 * small));
    }
    if (tank.contents() == Contents.FRESH) {
      if (isDrawnFrom(answers, tank)) {
        Use use = givesByOutlet(answers, tank).isEmpty() ? Use.FEED : Use.LINK;
        ports.add(Fittings.port("feed", use, near, right, 0.02 * small));
      }
      List<RigAnswers.Tank> fed = new ArrayList<>(fedBy(answers, tank));
      fed.removeAll(givesByOutlet(answers, tank));
      for (int i = 0; i < fed.size(); i++) {
        double along = near + (far - near) * (i + 1) / (fed.size() + 1);
        ports.add(
            switch (fed.get(i).passages().by()) {
              case PUMP -> Fittings.port(toward(fed.get(i)), Use.FEED, along, right, 0.02 * small);
              case LINK -> Fittings.port(toward(fed.get(i)), Use.LINK, along, right, 0.01 * small);
              case OVERFLOW ->
                  Fittings.port(toward(fed.get(i)), Use.LINK, along, right, high - 0.025 * small);
            });
      }
    }
    if (source(answers, tank).isPresent() && !(tank.passages().intoFiller() && hasNeck(tank))) {
      ports.add(
          tank.passages().by() == By.LINK
              ? Fittings.port(TRANSFER, Use.LINK, far, right, 0.01 * small)
              : Fittings.port(TRANSFER, Use.FILL, far, right, high - 0.02 * small));
    }
    if (tank.drain() == Drain.CARRIED && tank.contents() == Contents.GRAY) {
      // A can has a spout that is closed, not a drain: it is tipped out.
      ports.add(Fittings.port(SPOUT, Use.FEED, far, right, 0.02 * small));
    } else if (tank.contents() == Contents.GRAY
        || tank.drain() != Drain.NONE && tank.drain() != Drain.CARRIED
        || tank.fills().contains(Fill.OUTLET)) {
      Use both = tank.fills().contains(Fill.OUTLET) ? Use.LINK : Use.DRAIN;
      ports.add(Fittings.port("drain", both, far, right, 0.005 * small));
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

  /** Tells whether a tank has a filler. */
  static boolean hasNeck(RigAnswers.Tank tank) {
    return tank.fills().contains(Fill.NECK) || tank.fills().contains(Fill.JUG);
  }

  /** Tells whether the pump sends water back into a tank: the first that it draws from. */
  static boolean returns(RigAnswers answers, RigAnswers.Tank tank) {
    return answers.pump().parts().back() != PumpParts.Back.NONE
        && answers.pump().mover() != PumpParts.Mover.NONE
        && answers.tanks(Contents.FRESH).stream()
            .filter(t -> isDrawnFrom(answers, t))
            .findFirst()
            .filter(tank::equals)
            .isPresent();
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

  /** Returns the tanks that a tank gives to by the line through which the supply draws from it. */
  static List<RigAnswers.Tank> givesByOutlet(RigAnswers answers, RigAnswers.Tank tank) {
    return isDrawnFrom(answers, tank)
        ? fedBy(answers, tank).stream()
            .filter(fed -> fed.passages().fromOutlet() && fed.passages().by() != By.OVERFLOW)
            .toList()
        : List.of();
  }

  /**
   * Tells whether the supply draws from a tank, as somebody said, else as is usual: one that gives
   * its water to another by a pump is not drawn from, nor one that is linked to another, unless
   * nothing would be left.
   */
  static boolean isDrawnFrom(RigAnswers answers, RigAnswers.Tank tank) {
    boolean nothingLeft =
        answers.tanks(Contents.FRESH).stream().noneMatch(t -> isUsuallyDrawn(answers, t));
    return drawsAtAll(answers)
        && tank.passages().drawn().orElse(nothingLeft || isUsuallyDrawn(answers, tank));
  }

  private static boolean isUsuallyDrawn(RigAnswers answers, RigAnswers.Tank tank) {
    boolean linked = source(answers, tank).isPresent() && tank.passages().by() == By.LINK;
    return !linked
        && fedBy(answers, tank).stream().noneMatch(fed -> fed.passages().by() == By.PUMP);
  }

  /** Tells whether there is anything that draws: a pump, or taps that water runs down to. */
  private static boolean drawsAtAll(RigAnswers answers) {
    return answers.pump().mover() != PumpParts.Mover.NONE || !answers.taps().isEmpty();
  }

  /** The opening by which a tank gives to another. */
  static String toward(RigAnswers.Tank fed) {
    return "to-" + fed.id();
  }

  // --- how it breathes -------------------------------------------------------------------------

  private void vent(RigAnswers.Tank tank, String id) {
    Venting venting = tank.venting();
    PortRef at = rig.get(id).port("vent");
    if (venting.valve()) {
      at =
          valved(
              QuestionPage.VENTS,
              Says.VENT_VALVE.filled(tank.label()),
              tank.spot(),
              rig.get(id).at("vent").z() + 0.02,
              at,
              answers.bores().vent());
    }
    at = shared(tank, id, at);
    Optional<PortRef> other =
        venting.joins().map(joined -> vents.getOrDefault(joined, new ArrayDeque<>()).pollFirst());
    if (other.isPresent()) {
      rig.join(at, other.orElseThrow(), answers.bores().vent());
    } else {
      end(tank, at, tank.ventEnd(), tank.ventRises());
    }
    if (venting.second() != Second.NONE) {
      overflow(tank, id);
    }
  }

  /** A tee for each tank whose vent runs into this one's. */
  private PortRef shared(RigAnswers.Tank tank, String id, PortRef from) {
    PortRef at = from;
    Deque<PortRef> free = new ArrayDeque<>();
    double high = rig.get(id).at("vent").z() + 0.05;
    for (RigAnswers.Tank other : answers.tanks()) {
      if (other.venting().joins().filter(tank.id()::equals).isPresent() && !other.equals(tank)) {
        String tee =
            rig.part(QuestionPage.VENTS, Says.VENT_TEE.text(), tank.spot(), high, 0, new Tee());
        rig.join(at, rig.get(tee).port("a"), answers.bores().vent());
        free.add(rig.get(tee).port("b"));
        at = rig.get(tee).port("c");
      }
    }
    vents.put(tank.id(), free);
    return at;
  }

  /** Closes the branches that wait for a vent which was joined to nothing in the end. */
  void closeOpenVents() {
    vents.forEach((tank, free) ->
        free.forEach(port -> {
          Part tee = rig.get(port.part());
          String plug =
              rig.part(
                  QuestionPage.VENTS,
                  Says.TEE_PLUG.text(),
                  answers.tanks().getFirst().spot(),
                  tee.height(),
                  0,
                  new Plug(false));
          rig.join(port, rig.get(plug).port("in"), answers.bores().vent());
        }));
  }

  private void end(RigAnswers.Tank tank, PortRef at, double end, boolean rises) {
    boolean over = tank.venting().overflow();
    String vent =
        rig.part(
            QuestionPage.VENTS,
            (over ? Says.OVERFLOW_OF : Says.VENT_OF).filled(tank.label()),
            tank.spot(),
            end,
            0,
            Fittings.end(over ? Role.OVERFLOW : Role.VENT));
    double loop = rises ? Math.max(end, rig.get(at.part()).at(at.port()).z()) + 0.25 : Double.NaN;
    rig.join(at, rig.get(vent).port("in"), answers.bores().vent(), loop);
  }

  /** An overflow of its own, which lets water out under the vehicle. */
  private void overflow(RigAnswers.Tank tank, String id) {
    double bore = answers.bores().vent();
    PortRef at = rig.get(id).port(OVERFLOW);
    if (tank.venting().second() == Second.VALVED) {
      at =
          valved(
              QuestionPage.VENTS,
              Says.OVERFLOW_VALVE.filled(tank.label()),
              tank.spot(),
              rig.get(id).at(OVERFLOW).z() + 0.02,
              at,
              bore);
    }
    String end =
        rig.part(
            QuestionPage.VENTS,
            Says.OVERFLOW_OF.filled(tank.label()),
            tank.spot(),
            Math.min(rig.overGround() + 0.05, rig.get(id).at(OVERFLOW).z()),
            0,
            Fittings.end(Role.OVERFLOW));
    rig.join(at, rig.get(end).port("in"), bore);
  }

  /** Puts a valve at the end of a line; returns where it goes on. */
  private PortRef valved(
      QuestionPage page, String label, Spot spot, double height, PortRef from, double bore) {
    String valve = rig.part(page, label, spot, height, VALVE_BODY, Fittings.twoWay(0));
    if (page == QuestionPage.VENTS) {
      rig.runsWith(valve, "open");
    }
    rig.join(from, rig.get(valve).port("a"), bore);
    return rig.get(valve).port("b");
  }

  // --- how it is filled ------------------------------------------------------------------------

  private void fills(RigAnswers.Tank tank, String id) {
    if (tank.fills().contains(Fill.BARREL) && tank.contents() == Contents.FRESH) {
      barrel(tank, id);
    }
    if (!hasNeck(tank)) {
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
    if (tank.passages().intoFiller() && source(answers, tank).isPresent()) {
      String tee =
          rig.part(
              QuestionPage.FILL,
              Says.FILLER_TEE.filled(tank.label()),
              tank.spot(),
              rig.get(id).at("neck").z() + 0.05,
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
              tank.neckHeight() + 0.2,
              0,
              new PortableContainer(0.015, true));
      rig.join(rig.get(jug).port("spout"), rig.get(neck).port("mouth"), answers.bores().fill());
    }
  }

  /** A pump that hangs in a barrel beside the vehicle, on a port of its own; a float stops it. */
  private void barrel(RigAnswers.Tank tank, String id) {
    double bore = answers.bores().supply();
    double port = answers.mains().height();
    String inlet =
        rig.part(
            QuestionPage.FILL,
            Says.BARREL_PORT.filled(tank.label()),
            tank.neck(),
            port,
            0,
            new HoseInlet(0, 0.2));
    String pump =
        rig.part(
            QuestionPage.FILL,
            Says.BARREL_PUMP.filled(tank.label()),
            tank.neck(),
            port + 0.02,
            PUMP_BODY,
            Fittings.barrelPump());
    rig.join(rig.get(inlet).port("out"), rig.get(pump).port("in"), bore);
    rig.join(rig.get(pump).port("out"), rig.get(id).port(BARREL), bore);
  }

  /** Returns where water from another tank comes into a tank. */
  PortRef entry(RigAnswers.Tank tank, String id) {
    return fillers.getOrDefault(tank.id(), new PortRef(id, TRANSFER));
  }

  // --- how it is emptied -----------------------------------------------------------------------

  private void drain(RigAnswers.Tank tank, String id) {
    if (tank.contents() == Contents.GRAY) {
      if (tank.drain() == Drain.CARRIED) {
        cap(tank, Says.SPOUT_CAP.filled(tank.label()), rig.get(id).port(SPOUT));
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
    at = valved(QuestionPage.TANKS, tank.label() + " drain", tank.spot(), low - 0.02, at, DRAIN);
    if (below) {
      at = station(tank, at, low);
    }
    boolean out = tank.drain() == Drain.HOSE || tank.drain() == Drain.VALVE;
    if (out) {
      double under = Math.max(rig.vehicle().clearance() + 0.02, Math.min(low - 0.1, 0.35));
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
  private PortRef station(RigAnswers.Tank tank, PortRef from, double low) {
    String inlet =
        rig.part(
            QuestionPage.FILL,
            Says.INLET_BELOW.filled(tank.label()),
            tank.spot(),
            Math.max(rig.overGround(), low - 0.08),
            0,
            Fittings.inlet(4));
    boolean out = tank.drain() == Drain.HOSE || tank.drain() == Drain.VALVE;
    if (!out) {
      rig.join(from, rig.get(inlet).port("out"), DRAIN);
      return from;
    }
    String tee =
        rig.part(QuestionPage.FILL, Says.OUTLET_TEE.text(), tank.spot(), low - 0.04, 0, new Tee());
    rig.join(from, rig.get(tee).port("a"), DRAIN);
    rig.join(rig.get(tee).port("b"), rig.get(inlet).port("out"), DRAIN);
    return valved(
        QuestionPage.TANKS,
        Says.OUTLET_VALVE_OF.filled(tank.label()),
        tank.spot(),
        low - 0.06,
        rig.get(tee).port("c"),
        DRAIN);
  }

  private void cap(RigAnswers.Tank tank, String label, PortRef at) {
    double low = rig.get(at.part()).at(at.port()).z();
    String cap = rig.part(QuestionPage.TANKS, label, tank.spot(), low, 0, new Plug(true));
    rig.join(at, rig.get(cap).port("in"), DRAIN);
  }
}
