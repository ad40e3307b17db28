package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.answers.Passages.By;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankAnswers.Drain;
import fernwort.core.guide.answers.TankAnswers.Fill;
import fernwort.core.guide.answers.TankTies;
import fernwort.core.guide.answers.Venting.Second;
import fernwort.core.id.PortId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.kind.tank.TankPort.Use;
import java.util.ArrayList;
import java.util.List;

/**
 * The openings that a tank needs for what its answers say, each where it usually is or was shown.
 */
final class TankOpenings {

  /** The opening by which another tank fills one. */
  static final PortId TRANSFER = PortId.of("transfer");

  /** The opening of a float valve lower down. */
  static final PortId LOW_FLOAT = PortId.of("low-float");

  /** The opening by which the pump sends water back. */
  static final PortId RETURN = PortId.of("return");

  static final PortId OVERFLOW = PortId.of("overflow");

  static final PortId BARREL = PortId.of("barrel");

  static final PortId SPOUT = PortId.of("spout");

  /** From an opening to the edges of its wall (m). */
  private static final double EDGE = 0.06;

  /** How far inside of its wall an opening is taken to be at most (m). */
  private static final double SKIN = 0.002;

  /** A millimetre (m). */
  private static final double MM = 1e-3;

  private final RigAnswers answers;

  TankOpenings(RigAnswers answers) {
    this.answers = answers;
  }

  /**
   * Returns the openings of a tank.
   *
   * @param inlets ids of openings through which something else runs in, such as wastes
   */
  List<TankPort> of(TankAnswers tank, TankSizes sizes, List<PortId> inlets) {
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
    ports.add(Fittings.port(PortId.of("vent"), Use.VENT, far, left, high - 5 * MM * small));
    if (tank.venting().second() != Second.NONE) {
      ports.add(Fittings.port(OVERFLOW, Use.VENT, far * 0.8, left, high - 12 * MM * small));
    }
    if (TankTies.hasNeck(tank)) {
      ports.add(Fittings.port(PortId.of("neck"), Use.FILL, near, left, high - 20 * MM * small));
    }
    if (tank.fills().contains(Fill.FLOAT)) {
      ports.add(
          Fittings.port(PortId.of("mains"), Use.FLOAT, far / 2, left, high - 25 * MM * small));
    } else if (tank.fills().contains(Fill.MAINS)) {
      ports.add(Fittings.port(PortId.of("mains"), Use.FILL, far / 2, left, high - 20 * MM * small));
    }
    if (tank.fills().contains(Fill.LOW_FLOAT)) {
      ports.add(Fittings.port(LOW_FLOAT, Use.FLOAT, far * 0.6, left, high * 0.4));
    }
    if (tank.fills().contains(Fill.BARREL)) {
      ports.add(Fittings.port(BARREL, Use.FLOAT, far * 0.4, right, high - 25 * MM * small));
    }
    if (TankTies.returns(answers, tank)) {
      ports.add(Fittings.port(RETURN, Use.FILL, far * 0.7, right, high - 20 * MM * small));
    }
    for (int i = 0; i < inlets.size(); i++) {
      double along = near + (far - near) * (i + 0.5) / inlets.size();
      ports.add(Fittings.port(inlets.get(i), Use.FILL, along, right, high - 30 * MM * small));
    }
    if (tank.contents() == Contents.FRESH) {
      if (TankTies.isDrawnFrom(answers, tank)) {
        Use use = TankTies.givesByOutlet(answers, tank).isEmpty() ? Use.FEED : Use.LINK;
        ports.add(Fittings.port(PortId.of("feed"), use, near, right, 20 * MM * small));
      }
      List<TankAnswers> fed = new ArrayList<>(TankTies.fedBy(answers, tank));
      fed.removeAll(TankTies.givesByOutlet(answers, tank));
      for (int i = 0; i < fed.size(); i++) {
        double along = near + (far - near) * (i + 1) / (fed.size() + 1);
        ports.add(
            switch (fed.get(i).passages().by()) {
              case PUMP ->
                  Fittings.port(
                      TankTies.toward(fed.get(i)), Use.FEED, along, right, 20 * MM * small);
              case LINK ->
                  Fittings.port(
                      TankTies.toward(fed.get(i)), Use.LINK, along, right, 10 * MM * small);
              case OVERFLOW ->
                  Fittings.port(
                      TankTies.toward(fed.get(i)), Use.LINK, along, right, high - 25 * MM * small);
            });
      }
    }
    if (TankTies.source(answers, tank).isPresent() && !TankTies.comesIntoFiller(answers, tank)) {
      ports.add(
          tank.passages().by() == By.LINK
              ? Fittings.port(TRANSFER, Use.LINK, far, right, 10 * MM * small)
              : Fittings.port(TRANSFER, Use.FILL, far, right, high - 20 * MM * small));
    }
    if (tank.drain() == Drain.CARRIED && tank.contents() == Contents.GRAY) {
      // A can has a spout that is closed, not a drain: it is tipped out.
      ports.add(Fittings.port(SPOUT, Use.FEED, far, right, 20 * MM * small));
    } else if (tank.contents() == Contents.GRAY
        || tank.drain() != Drain.NONE && tank.drain() != Drain.CARRIED
        || tank.fills().contains(Fill.OUTLET)) {
      Use both = tank.fills().contains(Fill.OUTLET) ? Use.LINK : Use.DRAIN;
      ports.add(Fittings.port(PortId.of("drain"), both, far, right, 5 * MM * small));
    }
    Point inner = new Point(lengthwise, wide, high);
    double wall = tank.inside() ? 0 : sizes.wall();
    return ports.stream()
        .map(p -> shown(tank, p, inner, wall))
        .map(p -> p.movedTo(tank.form().moved(p.at(), inner)))
        .toList();
  }

  /** An opening where somebody has shown it to be, else where it usually is. */
  private static TankPort shown(TankAnswers tank, TankPort usual, Point inner, double wall) {
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
  private static Point at(TankAnswers.Opening o, Point inner, double wall) {
    Point shown = o.face().point(o.across() - wall, o.up() - wall, inner);
    return new Point(
        within(shown.x(), inner.x()), within(shown.y(), inner.y()), within(shown.z(), inner.z()));
  }

  private static double within(double at, double extent) {
    double skin = Math.min(SKIN, extent / 10);
    return Math.clamp(at, skin, extent - skin);
  }
}
