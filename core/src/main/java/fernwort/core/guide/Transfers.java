package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankTies;
import fernwort.core.rig.PortRef;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Water from one tank to another: by a pump of its own, a link at the bottom, or the overflow. */
final class Transfers {

  private static final double VALVE_BODY = 2e-5;
  private static final double PUMP_BODY = 1e-4;

  /** A small submersible or in-line pump, as it is sold for this (L/min, bar). */
  private static final double TRANSFER_FLOW = 10;

  private static final double TRANSFER_PRESSURE = 0.5;

  private final Assembly rig;
  private final RigAnswers answers;
  private final TankMaker maker;
  private final Map<String, PortRef> branches;
  private final List<Message> ways;
  private final double bore;

  /**
   * Makes these of a rig.
   *
   * @param branches where a tank's outlet line branches off to another, by the other's short name
   */
  Transfers(
      Assembly rig,
      RigAnswers answers,
      TankMaker maker,
      Map<String, PortRef> branches,
      List<Message> ways) {
    this.rig = rig;
    this.answers = answers;
    this.maker = maker;
    this.branches = branches;
    this.ways = ways;
    bore = answers.bores().supply();
  }

  /** Joins a tank (its part) to the one that it is filled from, if it is. */
  void join(TankAnswers tank, String id, Map<TankAnswers, String> tanks) {
    Optional<TankAnswers> source = TankTies.source(answers, tank);
    if (source.isEmpty()) {
      return;
    }
    TankAnswers from = source.orElseThrow();
    PortRef outlet =
        branches.getOrDefault(
            tank.id(), new PortRef(tanks.getOrDefault(from, ""), TankTies.toward(tank)));
    PortRef entry = maker.entry(tank, id);
    switch (tank.passages().by()) {
      case PUMP -> pumped(tank, from, outlet, entry);
      case LINK -> {
        String valve =
            rig.part(
                QuestionPage.FILL,
                Says.LINK_TO.filled(tank.label()),
                from.spot(),
                from.bottom() + 2 * Assembly.STEP,
                VALVE_BODY,
                tank.passages().motor()
                    ? Fittings.motorised(0, "shut", FreshSide.MOTOR)
                    : Fittings.twoWay(0));
        rig.runsWith(valve, "open");
        rig.join(outlet, rig.get(valve).port("a"), answers.bores().fill());
        rig.join(rig.get(valve).port("b"), entry, answers.bores().fill());
        ways.add(Says.LINK_VALVE.with(from.label(), tank.label()));
      }
      case OVERFLOW -> {
        rig.join(outlet, entry, answers.bores().fill());
        ways.add(Says.RUNS_OVER_INTO.with(from.label(), tank.label()));
      }
    }
  }

  /** A pump of its own, with a valve and a check valve, from the tank that fills another. */
  private void pumped(TankAnswers tank, TankAnswers from, PortRef outlet, PortRef entry) {
    String toward = " for " + tank.label();
    String valve =
        rig.part(
            QuestionPage.FILL,
            "Valve" + toward,
            from.spot(),
            from.bottom() + 3 * Assembly.STEP,
            VALVE_BODY,
            tank.passages().motor()
                ? Fittings.motorised(0, "shut", FreshSide.MOTOR)
                : Fittings.twoWay(0));
    String pump =
        rig.part(
            QuestionPage.FILL,
            "Pump" + toward,
            from.spot(),
            from.bottom() + 2 * Assembly.STEP,
            PUMP_BODY,
            Fittings.transferPump(TRANSFER_FLOW, TRANSFER_PRESSURE));
    rig.join(outlet, rig.get(valve).port("a"), bore);
    rig.join(rig.get(valve).port("b"), rig.get(pump).port("in"), bore);
    String check =
        rig.part(
            QuestionPage.FILL,
            Says.CHECK_VALVE.filled(toward),
            from.spot(),
            from.bottom() + 4 * Assembly.STEP,
            VALVE_BODY,
            Fittings.check());
    rig.join(rig.get(pump).port("out"), rig.get(check).port("in"), bore);
    rig.join(rig.get(check).port("out"), entry, bore);
    ways.add(Says.VALVE_PUMP_CHECK_VALVE.with(from.label(), tank.label()));
  }
}
