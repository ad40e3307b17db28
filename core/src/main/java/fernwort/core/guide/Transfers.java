package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankTies;
import fernwort.core.id.PartId;
import fernwort.core.rig.PortRef;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Water from one tank to another: by a pump of its own, a link at the bottom, or the overflow. */
final class Transfers {

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
  void join(TankAnswers tank, PartId id, Map<TankAnswers, PartId> tanks) {
    Optional<TankAnswers> source = TankTies.source(answers, tank);
    if (source.isEmpty()) {
      return;
    }
    TankAnswers from = source.orElseThrow();
    PortRef outlet =
        branches.getOrDefault(
            tank.id(), new PortRef(tanks.getOrDefault(from, PartId.NONE), TankTies.toward(tank)));
    PortRef entry = maker.entry(tank, id);
    switch (tank.passages().by()) {
      case PUMP -> pumped(tank, from, outlet, entry);
      case LINK -> {
        Run run = new Run(rig, QuestionPage.FILL, from.spot(), answers.bores().fill(), outlet);
        run.openValve(
            Says.LINK_TO.filled(tank.label()),
            from.bottom() + 2 * Assembly.STEP,
            Run.valve(tank.passages().motor()));
        run.to(entry);
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
    double low = from.bottom();
    Run run = new Run(rig, QuestionPage.FILL, from.spot(), bore, outlet);
    run.through(
        "Valve" + toward, low + 3 * Assembly.STEP, Run.VALVE, Run.valve(tank.passages().motor()));
    run.through(
        "Pump" + toward,
        low + 2 * Assembly.STEP,
        Run.PUMP,
        Fittings.transferPump(TRANSFER_FLOW, TRANSFER_PRESSURE));
    run.through(
        Says.CHECK_VALVE.filled(toward), low + 4 * Assembly.STEP, Run.VALVE, Fittings.check());
    run.to(entry);
    ways.add(Says.VALVE_PUMP_CHECK_VALVE.with(from.label(), tank.label()));
  }
}
