package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.answers.PumpAnswers;
import fernwort.core.guide.answers.PumpParts;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.Joins;
import fernwort.core.guide.answers.RigAnswers.Piece;
import fernwort.core.guide.answers.RigAnswers.Spot;
import fernwort.core.guide.answers.RigAnswers.Third;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankTies;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Motor;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.ThreeWayValve;
import fernwort.core.rig.PortRef;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** From the tanks to the pump, and from one tank to another. */
final class FreshSide {

  private static final double VALVE_BODY = 2e-5;
  private static final double STRAINER_BODY = 4e-5;
  private static final double FILTER_BODY = 5e-4;

  /** What a can that is carried usually holds (m³). */
  private static final double CAN = 0.015;

  /** How long a motor takes from stop to stop (s). */
  static final double MOTOR = 5;

  private final Assembly rig;
  private final RigAnswers answers;
  private final List<Message> ways;
  private final double bore;
  private final TankMaker maker;
  private Optional<PortRef> fromInlet = Optional.empty();

  /** Where a tank's outlet line branches off to another tank, by the other's short name. */
  private final Map<String, PortRef> branches = new HashMap<>();

  FreshSide(Assembly rig, RigAnswers answers, TankMaker maker, List<Message> ways) {
    this.rig = rig;
    this.maker = maker;
    this.answers = answers;
    this.ways = ways;
    bore = answers.bores().supply();
  }

  /** Joins the fresh tanks (ids by their answers) to the pump, and to one another. */
  void join(Map<TankAnswers, String> tanks, PressureSide pressure) {
    List<TankAnswers> drawn =
        tanks.keySet().stream().filter(t -> TankTies.isDrawnFrom(answers, t)).toList();
    boolean pumps = answers.pump().mover() != PumpParts.Mover.NONE;
    if (!drawn.isEmpty()) {
      suction(drawn, tanks, pressure);
      pressure.sendsBackTo(drawn.getFirst(), tanks.getOrDefault(drawn.getFirst(), ""));
    } else if (pumps && answers.pump().parts().source() != PumpParts.Source.NOTHING) {
      drawnFromOutside(pressure);
    }
    Transfers transfers = new Transfers(rig, answers, maker, branches, ways);
    tanks.forEach((tank, id) -> transfers.join(tank, id, tanks));
  }

  // --- suction ---------------------------------------------------------------------------------

  private void suction(
      List<TankAnswers> named, Map<TankAnswers, String> tanks, PressureSide pressure) {
    boolean chooses =
        (answers.suction().contains(Piece.THREE_WAY)
                || answers.suction().contains(Piece.TWO_VALVES))
            && answers.selector().third() == Third.OTHER_TANK
            && named.size() > 1;
    List<TankAnswers> first = new ArrayList<>(named);
    Optional<PortRef> other = Optional.empty();
    if (chooses) {
      List<TankAnswers> others = List.copyOf(named.subList(1, named.size()));
      first = named.subList(0, 1);
      other = Optional.of(together(others, tanks));
      ways.add(Says.THREE_WAY_VALVE_PUMP.with(others.getFirst().label()));
    }
    PortRef at = together(first, tanks);
    List<String> passed = new ArrayList<>(List.of(named.getFirst().label()));
    draw(at, pressure, passed, other, Optional.of(named.getFirst()));
  }

  /** Water that no tank gives: from a can that stands there, or a hose that is laid out. */
  private void drawnFromOutside(PressureSide pressure) {
    boolean can = answers.pump().parts().source() == PumpParts.Source.CAN;
    PumpAnswers pump = answers.pump();
    String label = can ? Says.WATER_CAN.text() : Says.SUCTION_HOSE.text();
    Kind kind = can ? new PortableContainer(CAN, true) : new HoseInlet(0, Assembly.IN_A_BUCKET);
    double height = rig.below(pump.height(), 10 * Assembly.STEP);
    String id = rig.part(QuestionPage.SUCTION, label, pump.spot(), height, 0, kind);
    draw(
        rig.get(id).port(can ? "spout" : "out"),
        pressure,
        new ArrayList<>(List.of(label)),
        Optional.empty(),
        Optional.empty());
  }

  /** From where water comes to the pump, piece by piece. */
  private void draw(
      PortRef from,
      PressureSide pressure,
      List<String> passed,
      Optional<PortRef> other,
      Optional<TankAnswers> first) {
    PortRef at = from;
    boolean chosen = first.isEmpty();
    for (Piece piece : answers.suction()) {
      boolean chooses = piece == Piece.THREE_WAY || piece == Piece.TWO_VALVES;
      if (chooses && chosen) {
        continue;
      }
      chosen |= chooses;
      at =
          switch (piece) {
            case SHUT_OFF -> {
              PortRef on =
                  through(Says.TANK_SHUT_OFF.text(), Fittings.twoWay(0), VALVE_BODY, at, "a", "b");
              rig.runsWith(on.part(), "open");
              yield on;
            }
            case STRAINER -> through("Strainer", new Strainer(), STRAINER_BODY, at, "in", "out");
            case FILTER ->
                through(
                    Says.FILTER_BEFORE_THE_PUMP.text(),
                    Fittings.filter(Filter.Grade.SEDIMENT),
                    FILTER_BODY,
                    at,
                    "in",
                    "out");
            case ANTIFREEZE_PORT -> antifreezePort(at);
            case THREE_WAY -> selector(at, other, first.orElseThrow());
            case TWO_VALVES -> twoValves(at, other, first.orElseThrow());
          };
      passed.add(
          switch (piece) {
            case SHUT_OFF -> "shut-off";
            case THREE_WAY -> Says.THREE_WAY_VALVE.text();
            case STRAINER -> "strainer";
            case TWO_VALVES -> "valve";
            case FILTER -> "filter";
            case ANTIFREEZE_PORT -> Says.TEE_FOR_ANTIFREEZE.text();
          });
    }
    pressure.draw(at);
    boolean pumps = answers.pump().mover() != PumpParts.Mover.NONE;
    passed.add(pumps ? "pump" : Says.THE_TAPS.text());
    ways.add(Message.words(String.join(" → ", passed)));
  }

  /** A tee with a valve and a short hose, closed but when antifreeze is drawn. */
  private PortRef antifreezePort(PortRef from) {
    PortRef at = through(Says.ANTIFREEZE_TEE.text(), new Tee(), 0, from, "a", "c");
    double height = rig.below(answers.pump().height(), 10 * Assembly.STEP);
    Spot spot = answers.pump().spot();
    String valve =
        rig.part(
            QuestionPage.SUCTION,
            Says.ANTIFREEZE_VALVE.text(),
            spot,
            height,
            VALVE_BODY,
            Fittings.twoWay(0));
    String hose =
        rig.part(
            QuestionPage.SUCTION,
            Says.ANTIFREEZE_HOSE.text(),
            spot,
            height,
            0,
            new HoseInlet(0, Assembly.IN_A_BUCKET));
    rig.join(rig.get(at.part()).port("b"), rig.get(valve).port("a"), bore);
    rig.join(rig.get(valve).port("b"), rig.get(hose).port("out"), bore);
    return at;
  }

  /** A valve on the tank's line and one on the other, which meet in a tee. */
  private PortRef twoValves(PortRef tank, Optional<PortRef> other, TankAnswers first) {
    PumpAnswers pump = answers.pump();
    double height = rig.below(pump.height(), 12 * Assembly.STEP);
    PortRef own = through(Says.TANK_VALVE.text(), turned("shut"), VALVE_BODY, tank, "a", "b");
    rig.runsWith(own.part(), "open");
    PortRef at = through(Says.OUTLET_TEE.text(), new Tee(), 0, own, "a", "c");
    String valve =
        rig.part(
            QuestionPage.SUCTION,
            Says.OUTSIDE_VALVE.text(),
            pump.spot(),
            height,
            VALVE_BODY,
            turned("shut"));
    rig.join(rig.get(at.part()).port("b"), rig.get(valve).port("b"), bore);
    joinThird(rig.get(valve).port("a"), other, first, height);
    return at;
  }

  private Kind turned(String unpowered) {
    return answers.pump().parts().motor()
        ? Fittings.motorised(0, unpowered, MOTOR)
        : Fittings.twoWay(0);
  }

  /** The outlets of tanks as one: each of several has a valve, so that no leak empties them all. */
  private PortRef together(List<TankAnswers> some, Map<TankAnswers, String> tanks) {
    PortRef at = outlet(some.getFirst(), tanks, some.size() > 1);
    for (TankAnswers tank : some.subList(1, some.size())) {
      Spot spot = some.getFirst().spot();
      String tee =
          rig.part(
              QuestionPage.SUCTION,
              Says.OUTLET_TEE.text(),
              spot,
              some.getFirst().bottom() + 5 * Assembly.STEP,
              0,
              new Tee());
      rig.join(at, rig.get(tee).port("a"), bore);
      rig.join(outlet(tank, tanks, true), rig.get(tee).port("b"), bore);
      at = rig.get(tee).port("c");
      ways.add(Says.ITS_OUTLET_VALVE_THE_SAME_LINE.with(tank.label()));
    }
    return at;
  }

  private PortRef outlet(TankAnswers tank, Map<TankAnswers, String> tanks, boolean valved) {
    PortRef feed = branched(tank, new PortRef(tanks.getOrDefault(tank, ""), "feed"));
    if (!valved) {
      return feed;
    }
    String valve =
        rig.part(
            QuestionPage.SUCTION,
            tank.label() + " outlet",
            tank.spot(),
            tank.bottom() + 3 * Assembly.STEP,
            VALVE_BODY,
            Fittings.twoWay(0));
    rig.runsWith(valve, "open");
    rig.join(feed, rig.get(valve).port("a"), bore);
    return rig.get(valve).port("b");
  }

  /** A tee for each tank that is filled from this one by its outlet line. */
  private PortRef branched(TankAnswers tank, PortRef feed) {
    PortRef at = feed;
    for (TankAnswers fed : TankTies.givesByOutlet(answers, tank)) {
      String tee =
          rig.part(
              QuestionPage.FILL,
              Says.OUTLET_TEE.text(),
              tank.spot(),
              tank.bottom() + 2 * Assembly.STEP,
              0,
              new Tee());
      rig.join(at, rig.get(tee).port("a"), bore);
      branches.put(fed.id(), rig.get(tee).port("b"));
      at = rig.get(tee).port("c");
    }
    return at;
  }

  /** Puts a part between a port and what follows; at the pump's spot, just below it. */
  private PortRef through(
      String label, Kind kind, double body, PortRef from, String in, String out) {
    PumpAnswers pump = answers.pump();
    String id =
        rig.part(
            QuestionPage.SUCTION,
            label,
            pump.spot(),
            rig.below(pump.height(), 10 * Assembly.STEP),
            body,
            kind);
    rig.join(from, rig.get(id).port(in), bore);
    return rig.get(id).port(out);
  }

  /** The three-way valve: a leads to the pump, b to the tank, c to whatever is third. */
  private PortRef selector(PortRef tank, Optional<PortRef> other, TankAnswers first) {
    List<Stop> stops = new ArrayList<>();
    for (RigAnswers.Position p : answers.selector().positions()) {
      stops.add(
          new Stop(stop(p.points()), p.points().words(), p.points().angle(), joins(p.joins())));
    }
    PumpAnswers pump = answers.pump();
    double height = rig.below(pump.height(), 12 * Assembly.STEP);
    String id =
        rig.part(
            QuestionPage.SUCTION,
            Says.TANK_VALVE.text(),
            pump.spot(),
            height,
            3e-5,
            new ThreeWayValve(stops, motor(stops)));
    answers.selector().positions().stream()
        .filter(p -> p.joins() == Joins.TANK_AND_PUMP)
        .findFirst()
        .ifPresent(p -> rig.runsWith(id, stop(p.points())));
    rig.join(tank, rig.get(id).port("b"), bore);
    joinThird(rig.get(id).port("c"), other, first, height);
    return rig.get(id).port("a");
  }

  private Optional<Motor> motor(List<Stop> stops) {
    return answers.pump().parts().motor()
        ? Optional.of(new Motor(Optional.of(stops.getFirst().id()), MOTOR))
        : Optional.empty();
  }

  /** The id of the position in which the handle points so. */
  private static String stop(RigAnswers.Points points) {
    return points.name().toLowerCase(Locale.ROOT);
  }

  private static List<List<String>> joins(Joins joins) {
    return switch (joins) {
      case NOTHING -> List.of();
      case TANK_AND_PUMP -> List.of(List.of("a", "b"));
      case THIRD_AND_PUMP -> List.of(List.of("a", "c"));
      case TANK_AND_THIRD -> List.of(List.of("b", "c"));
      case ALL -> List.of(List.of("a", "b", "c"));
    };
  }

  private void joinThird(PortRef at, Optional<PortRef> other, TankAnswers first, double height) {
    if (other.isEmpty() && answers.selector().third() == Third.INLET) {
      fromInlet = Optional.of(at);
      ways.add(Says.HOSE_INLET_TO_PUMP.with());
    } else {
      rig.join(at, other.orElseGet(() -> third(first, height)), bore);
    }
  }

  /** Returns the port before the pump that the hose inlet's diverter leads to, where one does. */
  Optional<PortRef> fromInlet() {
    return fromInlet;
  }

  private PortRef third(TankAnswers first, double height) {
    return switch (answers.selector().third()) {
      case INLET -> throw new IllegalStateException("the inlet is joined by its own side");
      case HOSE -> {
        ways.add(Says.SUCTION_HOSE_THREE_WAY_VALVE.with());
        PortRef hose =
            rig.get(
                    rig.part(
                        QuestionPage.SUCTION,
                        Says.SUCTION_HOSE.text(),
                        answers.pump().spot(),
                        height,
                        0,
                        new HoseInlet(0, Assembly.IN_A_BUCKET)))
                .port("out");
        yield answers.pump().parts().strained()
            ? through(Says.HOSE_STRAINER.text(), new Strainer(), STRAINER_BODY, hose, "in", "out")
            : hose;
      }
      case OTHER_TANK -> {
        ways.add(Says.THREE_WAY_VALVE_A_PLUG.with());
        String plug =
            rig.part(
                QuestionPage.SUCTION,
                Says.VALVE_PLUG.text(),
                answers.pump().spot(),
                height,
                0,
                new Plug(false));
        yield rig.get(plug).port("in");
      }
      case DRAIN -> {
        ways.add(Says.THREE_WAY_VALVE_DRAIN_TAIL.with(first.label()));
        double low =
            Math.max(
                rig.vehicle().clearance() + 2 * Assembly.STEP,
                Math.min(first.bottom() - 10 * Assembly.STEP, Assembly.KNEE));
        String tail =
            rig.part(
                QuestionPage.SUCTION,
                Says.DRAIN_TAIL.text(),
                answers.pump().spot(),
                low,
                0,
                Fittings.end(Role.DRAIN));
        yield rig.get(tail).port("in");
      }
    };
  }
}
