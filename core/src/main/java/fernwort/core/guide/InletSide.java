package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.answers.InletBranches;
import fernwort.core.guide.answers.InletBranches.ChosenBy;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.Spot;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankAnswers.Fill;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Motor;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.ThreeWayValve;
import fernwort.core.rig.PortRef;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** From the hose inlet, or two of them, to the tanks, the taps and the pump. */
final class InletSide {

  /** What a regulator in a camper is usually set to (bar). */
  private static final double REGULATED = 2.8;

  private final Assembly rig;
  private final RigAnswers.Mains mains;
  private final List<Message> ways;
  private final double bore;

  InletSide(Assembly rig, RigAnswers answers, List<Message> ways) {
    this.rig = rig;
    this.ways = ways;
    mains = answers.mains();
    bore = answers.bores().supply();
  }

  /** Where the inlet's water can go: a tank, the taps, or the pump. */
  private record Target(String words, PortRef port, boolean tank) {}

  /**
   * Joins the inlet to what it fills (tanks by their answers), to the taps, and to the port before
   * the pump that its diverter leads to.
   */
  void join(Map<TankAnswers, PartId> tanks, PressureSide pressure, Optional<PortRef> beforePump) {
    List<Target> targets = new ArrayList<>();
    tanks.forEach((tank, id) -> {
      boolean low = tank.fills().contains(Fill.LOW_FLOAT);
      if (tank.fills().contains(Fill.MAINS) || tank.fills().contains(Fill.FLOAT)) {
        String words = low ? Says.THE_HIGH_FLOAT_OF.filled(tank.label()) : tank.label();
        targets.add(new Target(words, new PortRef(id, PortId.of("mains")), true));
      }
      if (low) {
        String words = Says.THE_LOW_FLOAT_OF.filled(tank.label());
        targets.add(new Target(words, new PortRef(id, TankOpenings.LOW_FLOAT), true));
      }
    });
    beforePump.ifPresent(port -> targets.add(new Target(Says.THE_PUMP.text(), port, false)));
    if (mains.toTaps()) {
      targets.add(new Target(Says.THE_TAPS.text(), pressure.mains(), false));
    }
    if (!targets.isEmpty()) {
      List<String> passed = new ArrayList<>(List.of(Says.HOSE_INLET.text()));
      branch(inlet(passed), targets, passed);
    }
  }

  /** Leads the inlet's water to each of some targets. */
  private void branch(PortRef from, List<Target> targets, List<String> passed) {
    ChosenBy chosen = mains.branches().chosenBy();
    PortRef at = from;
    List<Target> left = new ArrayList<>(targets);
    // A three-way valve leads to two; with more of them the others have a valve each before it.
    int before = chosen.diverts() ? Math.max(0, targets.size() - 2) : targets.size() - 1;
    for (int i = 0; i < before; i++) {
      Run run = run(at);
      PortRef aside = run.branch(Says.INLET_TEE.text(), up(10));
      lead(aside, left.removeFirst(), passed, true);
      at = run.at();
    }
    if (left.size() == 2) {
      PartId valve = diverter(left);
      rig.join(at, rig.get(valve).port(PortId.A), bore);
      lead(rig.get(valve).port(PortId.B), left.getFirst(), passed, false);
      lead(rig.get(valve).port(PortId.C), left.getLast(), passed, false);
    } else {
      lead(at, left.getFirst(), passed, targets.size() > 1);
    }
  }

  /** Leads a branch to its target, past a valve of its own where it has one. */
  private void lead(PortRef from, Target target, List<String> passed, boolean several) {
    InletBranches branches = mains.branches();
    Run run = run(from);
    if (several && (target.tank() || branches.chosenBy() != ChosenBy.TANK_VALVES)) {
      run.through(
          Says.MAINS_TO.filled(target.words()), up(15), Run.VALVE, Run.valve(branches.motor()));
    }
    if (target.tank() && mains.check() && branches.checkAtTank()) {
      run.through(Says.CHECK_TO.filled(target.words()), up(16), Run.VALVE, Fittings.check());
    }
    run.to(target.port());
    ways.add(Message.words(String.join(" → ", passed) + " → " + target.words()));
  }

  private PartId diverter(List<Target> two) {
    boolean off = mains.branches().chosenBy() == ChosenBy.DIVERTER_WITH_OFF;
    return rig.part(
        QuestionPage.FILL,
        Says.INLET_DIVERTER.text(),
        mains.spot(),
        up(12),
        Run.VALVE,
        diverter(
            Says.DIVERTER_TO.filled(two.getFirst().words()),
            Says.DIVERTER_TO.filled(two.getLast().words()),
            off,
            mains.branches().motor()));
  }

  /** A three-way valve that joins port a to b or to c, and to neither where it can be closed. */
  static Kind diverter(String first, String second, boolean off, boolean motor) {
    List<Stop> stops = new ArrayList<>();
    stops.add(new Stop(PositionId.of("first"), first, 180, List.of(List.of(PortId.A, PortId.B))));
    stops.add(new Stop(PositionId.of("second"), second, 0, List.of(List.of(PortId.A, PortId.C))));
    if (off) {
      stops.add(new Stop(PositionId.of("off"), Says.DIVERTER_CLOSED.text(), 90, List.of()));
    }
    return new ThreeWayValve(
        stops,
        motor
            ? Optional.of(new Motor(Optional.of(PositionId.of("first")), Run.MOTOR))
            : Optional.empty());
  }

  private PortRef inlet(List<String> passed) {
    Run run = run(mouths());
    if (mains.regulator()) {
      run.through("Regulator", up(2), Run.VALVE, Fittings.regulator(REGULATED));
      passed.add("regulator");
    }
    if (mains.check() && !mains.branches().checkAtTank()) {
      run.through(Says.INLET_CHECK_VALVE.text(), up(4), Run.VALVE, Fittings.check());
      passed.add(Says.CHECK_VALVE_INSIDE.text());
    }
    if (mains.branches().filter()) {
      Kind filter = Fittings.filter(Filter.Grade.SEDIMENT);
      run.through(Says.INLET_FILTER.text(), up(5), Run.FILTER, filter);
      passed.add("filter");
    }
    if (mains.shutOff()) {
      run.through(Says.MAINS_SHUT_OFF.text(), up(6), Run.VALVE, Fittings.twoWay(0));
      passed.add("shut-off");
    }
    return run.at();
  }

  /** The inlet, or two of them with a diverter that chooses one. */
  private PortRef mouths() {
    PortRef first = mouth(Says.HOSE_INLET.text(), mains.spot(), mains.height());
    if (mains.branches().second().isEmpty()) {
      return first;
    }
    InletBranches.SecondInlet other = mains.branches().second().orElseThrow();
    PortRef second = mouth(Says.SECOND_INLET.text(), other.spot(), other.height());
    PartId diverter =
        rig.part(
            QuestionPage.FILL,
            Says.INLET_SELECTOR.text(),
            mains.spot(),
            up(1),
            Run.VALVE,
            diverter(
                Says.FROM_THE_FIRST_INLET.text(), Says.FROM_THE_SECOND_INLET.text(), false, false));
    rig.join(first, rig.get(diverter).port(PortId.B), bore);
    rig.join(second, rig.get(diverter).port(PortId.C), bore);
    return rig.get(diverter).port(PortId.A);
  }

  private PortRef mouth(String label, Spot spot, double height) {
    PartId inlet = rig.part(QuestionPage.FILL, label, spot, height, 0, Fittings.inlet(4));
    return rig.get(inlet).port(PortId.OUT);
  }

  private Run run(PortRef from) {
    return new Run(rig, QuestionPage.FILL, mains.spot(), bore, from);
  }

  /** Returns so many steps above the inlet (m). */
  private double up(int steps) {
    return mains.height() + steps * Assembly.STEP;
  }
}
