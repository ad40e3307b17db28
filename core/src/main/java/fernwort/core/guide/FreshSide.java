package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.RigAnswers.Fill;
import fernwort.core.guide.RigAnswers.Joins;
import fernwort.core.guide.RigAnswers.Piece;
import fernwort.core.guide.RigAnswers.Spot;
import fernwort.core.guide.RigAnswers.Third;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.ThreeWayValve;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** From the tanks to the pump, and from the hose inlet to the tanks and the taps. */
final class FreshSide {

  private static final double VALVE_BODY = 2e-5;
  private static final double STRAINER_BODY = 4e-5;
  private static final double PUMP_BODY = 1e-4;

  /** A small submersible or in-line pump, as it is sold for this (L/min, bar). */
  private static final double TRANSFER_FLOW = 10;

  private static final double TRANSFER_PRESSURE = 0.5;

  private final Assembly rig;
  private final RigAnswers answers;
  private final List<Message> ways;
  private final double bore;

  FreshSide(Assembly rig, RigAnswers answers, List<Message> ways) {
    this.rig = rig;
    this.answers = answers;
    this.ways = ways;
    bore = answers.bores().supply();
  }

  /** Joins the fresh tanks (ids by their answers) to the pump, and the inlet to what it fills. */
  void join(Map<RigAnswers.Tank, String> tanks, PressureSide pressure) {
    List<RigAnswers.Tank> named = List.copyOf(tanks.keySet());
    List<RigAnswers.Tank> drawn =
        named.stream().filter(t -> TankMaker.isDrawnFrom(answers, t)).toList();
    if (!drawn.isEmpty()) {
      suction(drawn, tanks, pressure);
    }
    mains(named, tanks, pressure);
    tanks.forEach((tank, id) -> transfer(tank, id, tanks));
  }

  // --- from tank to tank -----------------------------------------------------------------------

  /** A pump of its own, with a valve and a check valve, from the tank that fills another. */
  private void transfer(RigAnswers.Tank tank, String id, Map<RigAnswers.Tank, String> tanks) {
    Optional<RigAnswers.Tank> source = TankMaker.source(answers, tank);
    if (source.isEmpty()) {
      return;
    }
    RigAnswers.Tank from = source.orElseThrow();
    String toward = " for " + tank.label();
    String valve =
        rig.part(
            QuestionPage.FILL,
            "Valve" + toward,
            from.spot(),
            from.bottom() + 0.03,
            VALVE_BODY,
            Fittings.twoWay(0));
    String pump =
        rig.part(
            QuestionPage.FILL,
            "Pump" + toward,
            from.spot(),
            from.bottom() + 0.02,
            PUMP_BODY,
            Fittings.transferPump(TRANSFER_FLOW, TRANSFER_PRESSURE));
    PortRef outlet = new PortRef(tanks.getOrDefault(from, ""), TankMaker.toward(tank));
    rig.join(outlet, rig.get(valve).port("a"), bore);
    rig.join(rig.get(valve).port("b"), rig.get(pump).port("in"), bore);
    String check =
        rig.part(
            QuestionPage.FILL,
            Says.CHECK_VALVE.filled(toward),
            from.spot(),
            from.bottom() + 0.04,
            VALVE_BODY,
            Fittings.check());
    rig.join(rig.get(pump).port("out"), rig.get(check).port("in"), bore);
    rig.join(rig.get(check).port("out"), new PortRef(id, TankMaker.TRANSFER), bore);
    ways.add(Says.VALVE_PUMP_CHECK_VALVE.with(from.label(), tank.label()));
  }

  // --- suction ---------------------------------------------------------------------------------

  private void suction(
      List<RigAnswers.Tank> named, Map<RigAnswers.Tank, String> tanks, PressureSide pressure) {
    boolean chooses =
        answers.suction().contains(Piece.THREE_WAY)
            && answers.selector().third() == Third.OTHER_TANK
            && named.size() > 1;
    List<RigAnswers.Tank> first = new ArrayList<>(named);
    Optional<PortRef> other = Optional.empty();
    if (chooses) {
      List<RigAnswers.Tank> others = List.copyOf(named.subList(1, named.size()));
      first = named.subList(0, 1);
      other = Optional.of(together(others, tanks));
      ways.add(Says.THREE_WAY_VALVE_PUMP.with(others.getFirst().label()));
    }
    PortRef at = together(first, tanks);
    List<String> passed = new ArrayList<>(List.of(named.getFirst().label()));
    for (Piece piece : answers.suction()) {
      at =
          switch (piece) {
            case SHUT_OFF -> {
              PortRef on =
                  through(Says.TANK_SHUT_OFF.text(), Fittings.twoWay(0), VALVE_BODY, at, "a", "b");
              rig.runsWith(on.part(), "open");
              yield on;
            }
            case STRAINER -> through("Strainer", new Strainer(), STRAINER_BODY, at, "in", "out");
            case THREE_WAY -> selector(at, other, named.getFirst());
          };
      passed.add(
          switch (piece) {
            case SHUT_OFF -> "shut-off";
            case THREE_WAY -> Says.THREE_WAY_VALVE.text();
            case STRAINER -> "strainer";
          });
    }
    rig.join(at, pressure.suction(), bore);
    passed.add("pump");
    ways.add(Message.words(String.join(" → ", passed)));
  }

  /** The outlets of tanks as one: each of several has a valve, so that no leak empties them all. */
  private PortRef together(List<RigAnswers.Tank> some, Map<RigAnswers.Tank, String> tanks) {
    PortRef at = outlet(some.getFirst(), tanks, some.size() > 1);
    for (RigAnswers.Tank tank : some.subList(1, some.size())) {
      Spot spot = some.getFirst().spot();
      String tee =
          rig.part(
              QuestionPage.SUCTION,
              Says.OUTLET_TEE.text(),
              spot,
              some.getFirst().bottom() + 0.05,
              0,
              new Tee());
      rig.join(at, rig.get(tee).port("a"), bore);
      rig.join(outlet(tank, tanks, true), rig.get(tee).port("b"), bore);
      at = rig.get(tee).port("c");
      ways.add(Says.ITS_OUTLET_VALVE_THE_SAME_LINE.with(tank.label()));
    }
    return at;
  }

  private PortRef outlet(RigAnswers.Tank tank, Map<RigAnswers.Tank, String> tanks, boolean valved) {
    PortRef feed = new PortRef(tanks.getOrDefault(tank, ""), "feed");
    if (!valved) {
      return feed;
    }
    String valve =
        rig.part(
            QuestionPage.SUCTION,
            tank.label() + " outlet",
            tank.spot(),
            tank.bottom() + 0.03,
            VALVE_BODY,
            Fittings.twoWay(0));
    rig.runsWith(valve, "open");
    rig.join(feed, rig.get(valve).port("a"), bore);
    return rig.get(valve).port("b");
  }

  /** Puts a part between a port and what follows; at the pump's spot, just below it. */
  private PortRef through(
      String label, Kind kind, double body, PortRef from, String in, String out) {
    RigAnswers.Pump pump = answers.pump();
    String id =
        rig.part(
            QuestionPage.SUCTION, label, pump.spot(), rig.below(pump.height(), 0.1), body, kind);
    rig.join(from, rig.get(id).port(in), bore);
    return rig.get(id).port(out);
  }

  /** The three-way valve: a leads to the pump, b to the tank, c to whatever is third. */
  private PortRef selector(PortRef tank, Optional<PortRef> other, RigAnswers.Tank first) {
    List<Stop> stops = new ArrayList<>();
    for (RigAnswers.Position p : answers.selector().positions()) {
      stops.add(
          new Stop(stop(p.points()), p.points().words(), p.points().angle(), joins(p.joins())));
    }
    RigAnswers.Pump pump = answers.pump();
    double height = rig.below(pump.height(), 0.12);
    String id =
        rig.part(
            QuestionPage.SUCTION,
            Says.TANK_VALVE.text(),
            pump.spot(),
            height,
            3e-5,
            new ThreeWayValve(stops, Optional.empty()));
    answers.selector().positions().stream()
        .filter(p -> p.joins() == Joins.TANK_AND_PUMP)
        .findFirst()
        .ifPresent(p -> rig.runsWith(id, stop(p.points())));
    rig.join(tank, rig.get(id).port("b"), bore);
    PortRef third = other.orElseGet(() -> third(first, height));
    rig.join(rig.get(id).port("c"), third, bore);
    return rig.get(id).port("a");
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

  private PortRef third(RigAnswers.Tank first, double height) {
    return switch (answers.selector().third()) {
      case HOSE -> {
        ways.add(Says.SUCTION_HOSE_THREE_WAY_VALVE.with());
        Part hose =
            rig.get(
                rig.part(
                    QuestionPage.SUCTION,
                    Says.SUCTION_HOSE.text(),
                    answers.pump().spot(),
                    height,
                    0,
                    new HoseInlet(0, 0.2)));
        yield hose.port("out");
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
            Math.max(rig.vehicle().clearance() + 0.02, Math.min(first.bottom() - 0.1, 0.35));
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

  // --- mains -----------------------------------------------------------------------------------

  private record Target(String words, PortRef port) {}

  private void mains(
      List<RigAnswers.Tank> named, Map<RigAnswers.Tank, String> tanks, PressureSide pressure) {
    RigAnswers.Mains mains = answers.mains();
    List<Target> targets = new ArrayList<>();
    for (RigAnswers.Tank tank : named) {
      if (tank.fills().contains(Fill.MAINS) || tank.fills().contains(Fill.FLOAT)) {
        targets.add(new Target(tank.label(), new PortRef(tanks.getOrDefault(tank, ""), "mains")));
      }
    }
    if (mains.toTaps()) {
      targets.add(new Target(Says.THE_TAPS.text(), pressure.mains()));
    }
    if (targets.isEmpty()) {
      return;
    }
    List<String> passed = new ArrayList<>(List.of(Says.HOSE_INLET.text()));
    PortRef at = inlet(mains, passed);
    for (int i = 0; i < targets.size(); i++) {
      Target target = targets.get(i);
      PortRef branch = at;
      if (i + 1 < targets.size()) {
        String tee =
            rig.part(
                QuestionPage.FILL,
                Says.INLET_TEE.text(),
                mains.spot(),
                mains.height() + 0.1,
                0,
                new Tee());
        rig.join(at, rig.get(tee).port("a"), bore);
        branch = rig.get(tee).port("b");
        at = rig.get(tee).port("c");
      }
      if (targets.size() > 1) {
        String valve =
            rig.part(
                QuestionPage.FILL,
                Says.MAINS_TO.filled(target.words()),
                mains.spot(),
                mains.height() + 0.15,
                VALVE_BODY,
                Fittings.twoWay(0));
        rig.join(branch, rig.get(valve).port("a"), bore);
        branch = rig.get(valve).port("b");
      }
      rig.join(branch, target.port(), bore);
      ways.add(Message.words(String.join(" → ", passed) + " → " + target.words()));
    }
  }

  private PortRef inlet(RigAnswers.Mains mains, List<String> passed) {
    String inlet =
        rig.part(
            QuestionPage.FILL,
            Says.HOSE_INLET.text(),
            mains.spot(),
            mains.height(),
            0,
            Fittings.inlet(4));
    PortRef at = rig.get(inlet).port("out");
    if (mains.regulator()) {
      at = after(at, mains, "Regulator", Fittings.regulator(2.8), "in", "out", 0.02);
      passed.add("regulator");
    }
    if (mains.check()) {
      at = after(at, mains, Says.INLET_CHECK_VALVE.text(), Fittings.check(), "in", "out", 0.04);
      passed.add(Says.CHECK_VALVE_INSIDE.text());
    }
    if (mains.shutOff()) {
      at = after(at, mains, Says.MAINS_SHUT_OFF.text(), Fittings.twoWay(0), "a", "b", 0.06);
      passed.add("shut-off");
    }
    return at;
  }

  private PortRef after(
      PortRef at,
      RigAnswers.Mains mains,
      String label,
      Kind kind,
      String in,
      String out,
      double up) {
    String id =
        rig.part(QuestionPage.FILL, label, mains.spot(), mains.height() + up, VALVE_BODY, kind);
    rig.join(at, rig.get(id).port(in), bore);
    return rig.get(id).port(out);
  }
}
