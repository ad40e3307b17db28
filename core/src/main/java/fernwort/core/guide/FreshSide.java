package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.answers.PumpAnswers;
import fernwort.core.guide.answers.PumpParts;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.Joins;
import fernwort.core.guide.answers.RigAnswers.Piece;
import fernwort.core.guide.answers.RigAnswers.Third;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankTies;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Motor;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.Strainer;
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

  private static final double STRAINER_BODY = 4e-5;

  /** What a can that is carried usually holds (m³). */
  private static final double CAN = 0.015;

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
  void join(Map<TankAnswers, PartId> tanks, PressureSide pressure) {
    List<TankAnswers> drawn =
        tanks.keySet().stream().filter(t -> TankTies.isDrawnFrom(answers, t)).toList();
    boolean pumps = answers.pump().mover() != PumpParts.Mover.NONE;
    if (!drawn.isEmpty()) {
      suction(drawn, tanks, pressure);
      pressure.sendsBackTo(drawn.getFirst(), tanks.getOrDefault(drawn.getFirst(), PartId.NONE));
    } else if (pumps && answers.pump().parts().source() != PumpParts.Source.NOTHING) {
      drawnFromOutside(pressure);
    }
    Transfers transfers = new Transfers(rig, answers, maker, branches, ways);
    tanks.forEach((tank, id) -> transfers.join(tank, id, tanks));
  }

  // --- suction ---------------------------------------------------------------------------------

  private void suction(
      List<TankAnswers> named, Map<TankAnswers, PartId> tanks, PressureSide pressure) {
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
    PartId id = rig.part(QuestionPage.SUCTION, label, pump.spot(), below(), 0, kind);
    draw(
        rig.get(id).port(can ? PortId.of("spout") : PortId.OUT),
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
    Run run = run(from);
    boolean chosen = first.isEmpty();
    for (Piece piece : answers.suction()) {
      boolean chooses = piece == Piece.THREE_WAY || piece == Piece.TWO_VALVES;
      if (chooses && chosen) {
        continue;
      }
      chosen |= chooses;
      switch (piece) {
        case SHUT_OFF -> run.openValve(Says.TANK_SHUT_OFF.text(), below(), Fittings.twoWay(0));
        case STRAINER -> run.through("Strainer", below(), STRAINER_BODY, new Strainer());
        case FILTER ->
            run.through(
                Says.FILTER_BEFORE_THE_PUMP.text(),
                below(),
                Run.FILTER,
                Fittings.filter(Filter.Grade.SEDIMENT));
        case ANTIFREEZE_PORT -> antifreezePort(run);
        case THREE_WAY -> run = run(selector(run.at(), other, first.orElseThrow()));
        case TWO_VALVES -> twoValves(run, other, first.orElseThrow());
      }
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
    pressure.draw(run.at());
    boolean pumps = answers.pump().mover() != PumpParts.Mover.NONE;
    passed.add(pumps ? "pump" : Says.THE_TAPS.text());
    ways.add(Message.words(String.join(" → ", passed)));
  }

  /** A tee with a valve and a short hose, closed but when antifreeze is drawn. */
  private void antifreezePort(Run run) {
    Run port = run(run.branch(Says.ANTIFREEZE_TEE.text(), below()));
    port.through(Says.ANTIFREEZE_VALVE.text(), below(), Run.VALVE, Fittings.twoWay(0));
    port.endsIn(Says.ANTIFREEZE_HOSE.text(), below(), new HoseInlet(0, Assembly.IN_A_BUCKET));
  }

  /** A valve on the tank's line and one on the other, which meet in a tee. */
  private void twoValves(Run run, Optional<PortRef> other, TankAnswers first) {
    double height = rig.below(answers.pump().height(), 12 * Assembly.STEP);
    boolean motor = answers.pump().parts().motor();
    run.openValve(Says.TANK_VALVE.text(), below(), Run.valve(motor));
    PortRef aside = run.branch(Says.OUTLET_TEE.text(), below());
    PartId valve =
        rig.part(
            QuestionPage.SUCTION,
            Says.OUTSIDE_VALVE.text(),
            answers.pump().spot(),
            height,
            Run.VALVE,
            Run.valve(motor));
    rig.join(aside, rig.get(valve).port(PortId.B), bore);
    joinThird(rig.get(valve).port(PortId.A), other, first, height);
  }

  /** The outlets of tanks as one: each of several has a valve, so that no leak empties them all. */
  private PortRef together(List<TankAnswers> some, Map<TankAnswers, PartId> tanks) {
    PortRef at = outlet(some.getFirst(), tanks, some.size() > 1);
    double height = some.getFirst().bottom() + 5 * Assembly.STEP;
    for (TankAnswers tank : some.subList(1, some.size())) {
      Run run = new Run(rig, QuestionPage.SUCTION, some.getFirst().spot(), bore, at);
      PortRef aside = run.branch(Says.OUTLET_TEE.text(), height);
      rig.join(outlet(tank, tanks, true), aside, bore);
      at = run.at();
      ways.add(Says.ITS_OUTLET_VALVE_THE_SAME_LINE.with(tank.label()));
    }
    return at;
  }

  private PortRef outlet(TankAnswers tank, Map<TankAnswers, PartId> tanks, boolean valved) {
    PortRef feed =
        branched(tank, new PortRef(tanks.getOrDefault(tank, PartId.NONE), PortId.of("feed")));
    if (!valved) {
      return feed;
    }
    Run run = new Run(rig, QuestionPage.SUCTION, tank.spot(), bore, feed);
    run.openValve(tank.label() + " outlet", tank.bottom() + 3 * Assembly.STEP, Fittings.twoWay(0));
    return run.at();
  }

  /** A tee for each tank that is filled from this one by its outlet line. */
  private PortRef branched(TankAnswers tank, PortRef feed) {
    Run run = new Run(rig, QuestionPage.FILL, tank.spot(), bore, feed);
    for (TankAnswers fed : TankTies.givesByOutlet(answers, tank)) {
      branches.put(fed.id(), run.branch(Says.OUTLET_TEE.text(), tank.bottom() + 2 * Assembly.STEP));
    }
    return run.at();
  }

  private Run run(PortRef from) {
    return new Run(rig, QuestionPage.SUCTION, answers.pump().spot(), bore, from);
  }

  /** Returns a little below the pump (m). */
  private double below() {
    return rig.below(answers.pump().height(), 10 * Assembly.STEP);
  }

  /** The three-way valve: a leads to the pump, b to the tank, c to whatever is third. */
  private PortRef selector(PortRef tank, Optional<PortRef> other, TankAnswers first) {
    List<Stop> stops = new ArrayList<>();
    for (RigAnswers.Position p : answers.selector().positions()) {
      stops.add(
          new Stop(stop(p.points()), p.points().words(), p.points().angle(), p.joins().groups()));
    }
    PumpAnswers pump = answers.pump();
    double height = rig.below(pump.height(), 12 * Assembly.STEP);
    PartId id =
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
    rig.join(tank, rig.get(id).port(PortId.B), bore);
    joinThird(rig.get(id).port(PortId.C), other, first, height);
    return rig.get(id).port(PortId.A);
  }

  private Optional<Motor> motor(List<Stop> stops) {
    return answers.pump().parts().motor()
        ? Optional.of(new Motor(Optional.of(stops.getFirst().id()), Run.MOTOR))
        : Optional.empty();
  }

  /** The id of the position in which the handle points so. */
  private static PositionId stop(RigAnswers.Points points) {
    return PositionId.of(points.name().toLowerCase(Locale.ROOT));
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
                .port(PortId.OUT);
        Run run = run(hose);
        if (answers.pump().parts().strained()) {
          run.through(Says.HOSE_STRAINER.text(), below(), STRAINER_BODY, new Strainer());
        }
        yield run.at();
      }
      case OTHER_TANK -> {
        ways.add(Says.THREE_WAY_VALVE_A_PLUG.with());
        PartId plug =
            rig.part(
                QuestionPage.SUCTION,
                Says.VALVE_PLUG.text(),
                answers.pump().spot(),
                height,
                0,
                new Plug(false));
        yield rig.get(plug).port(PortId.IN);
      }
      case DRAIN -> {
        ways.add(Says.THREE_WAY_VALVE_DRAIN_TAIL.with(first.label()));
        PartId tail =
            rig.part(
                QuestionPage.SUCTION,
                Says.DRAIN_TAIL.text(),
                answers.pump().spot(),
                rig.tail(first.bottom()),
                0,
                Fittings.end(Role.DRAIN));
        yield rig.get(tail).port(PortId.IN);
      }
    };
  }
}
