package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.answers.PumpAnswers;
import fernwort.core.guide.answers.PumpAnswers.Heat;
import fernwort.core.guide.answers.PumpAnswers.HeaterDrain;
import fernwort.core.guide.answers.PumpAnswers.Hot;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.LeakTray;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Heater;
import fernwort.core.rig.PortRef;
import java.util.Optional;

/** The heater with its drain, its bypass, its relief tube and the loop that keeps taps hot. */
final class HeaterSide {

  /** A relief valve of a heater opens at this (Pa). */
  private static final double RELIEF = 6e5;

  /** What the tray under a heater holds (m³). */
  private static final double TRAY = 0.005;

  private final Assembly rig;
  private final RigAnswers answers;
  private final double bore;
  private PartId heater = PartId.NONE;

  HeaterSide(Assembly rig, RigAnswers answers) {
    this.rig = rig;
    this.answers = answers;
    bore = answers.bores().supply();
  }

  /**
   * The ports by which cold water comes to the heater and its valves, and hot water leaves; where
   * the hot lines end in a loop, the port by which it comes back.
   */
  record Heated(PartId heater, PortRef cold, PortRef hot, Optional<PortRef> loop) {}

  /** Adds the heater and what is around it; returns what it is and where its lines begin. */
  Heated join() {
    PumpAnswers pumps = answers.pump();
    boolean store = pumps.hot() == Hot.STORAGE;
    Heat heat = pumps.heat().orElse(PumpAnswers.Heat.beside(pumps));
    heater =
        rig.part(
            QuestionPage.PUMP,
            "Heater",
            heat.spot(),
            heat.height(),
            pumps.heaterVolume(),
            new Heater(store ? Heater.Type.STORAGE : Heater.Type.INSTANT, store, 0.02));
    PortRef cold = rig.get(heater).port(PortId.COLD);
    PortRef hot = rig.get(heater).port(PortId.HOT);
    if (heat.drain() == HeaterDrain.VALVE) {
      cold = drained(cold, heat);
    }
    if (heat.parts().relief()) {
      cold = relieved(cold, heat);
    }
    if (heat.parts().tray()) {
      rig.part(
          QuestionPage.PUMP,
          Says.HEATER_TRAY.text(),
          heat.spot(),
          rig.below(heat.height(), 2 * Assembly.STEP),
          0,
          new LeakTray(TRAY, true));
    }
    Optional<PortRef> loop = Optional.empty();
    if (heat.parts().loop()) {
      PartId tee =
          rig.part(
              QuestionPage.PUMP, Says.RETURN_TEE.text(), heat.spot(), heat.height(), 0, new Tee());
      rig.join(rig.get(tee).port(PortId.B), cold, bore);
      loop = Optional.of(loop(rig.get(tee).port(PortId.C), heat));
      cold = rig.get(tee).port(PortId.A);
    }
    if (!heat.bypass()) {
      return new Heated(heater, cold, hot, loop);
    }
    return switch (heat.parts().bypass()) {
      case THREE_VALVES -> bypassed(cold, hot, heat, loop, true);
      case TWO_VALVES -> bypassed(cold, hot, heat, loop, false);
      case TWO_THREE_WAYS -> ledPast(cold, hot, heat, loop);
    };
  }

  /** A pump that keeps hot water going round; returns the port by which it is fed. */
  private PortRef loop(PortRef into, Heat heat) {
    double at = heat.height() + 5 * Assembly.STEP;
    PartId round =
        rig.part(
            QuestionPage.PUMP,
            Says.LOOP_PUMP.text(),
            heat.spot(),
            at,
            Run.PUMP,
            Fittings.circulationPump(6, 0.3));
    PartId check =
        rig.part(
            QuestionPage.PUMP,
            Says.LOOP_CHECK_VALVE.text(),
            heat.spot(),
            at,
            Run.VALVE,
            Fittings.check());
    rig.join(rig.get(round).port(PortId.OUT), rig.get(check).port(PortId.IN), bore);
    rig.join(rig.get(check).port(PortId.OUT), into, bore);
    return rig.get(round).port(PortId.IN);
  }

  /** A relief valve whose tube leads outside. */
  private PortRef relieved(PortRef cold, Heat heat) {
    PartId tee =
        rig.part(
            QuestionPage.PUMP, Says.RELIEF_TEE.text(), heat.spot(), heat.height(), 0, new Tee());
    PartId valve =
        rig.part(
            QuestionPage.PUMP,
            Says.RELIEF_VALVE.text(),
            heat.spot(),
            heat.height() + 2 * Assembly.STEP,
            Run.VALVE,
            new CheckValve(RELIEF));
    PartId tube =
        rig.part(
            QuestionPage.PUMP,
            Says.RELIEF_TUBE.text(),
            heat.spot(),
            rig.overGround(),
            0,
            Fittings.end(Role.DRAIN));
    rig.join(rig.get(tee).port(PortId.B), cold, bore);
    rig.join(rig.get(tee).port(PortId.C), rig.get(valve).port(PortId.IN), bore);
    rig.join(rig.get(valve).port(PortId.OUT), rig.get(tube).port(PortId.IN), bore);
    return rig.get(tee).port(PortId.A);
  }

  /** A valve below the heater lets it run out onto the ground. */
  private PortRef drained(PortRef cold, Heat heat) {
    double low = rig.below(heat.height(), 3 * Assembly.STEP);
    double hand = rig.below(heat.height(), 6 * Assembly.STEP);
    PartId tee =
        rig.part(QuestionPage.PUMP, Says.HEATER_TEE.text(), heat.spot(), low, 0, new Tee());
    PartId valve =
        rig.part(
            QuestionPage.PUMP,
            Says.HEATER_DRAIN.text(),
            heat.spot(),
            hand,
            Run.VALVE,
            Fittings.twoWay(0));
    double under =
        Math.min(low - 10 * Assembly.STEP, rig.vehicle().clearance() + 15 * Assembly.STEP);
    PartId tail =
        rig.part(
            QuestionPage.PUMP,
            Says.HEATER_DRAIN_TAIL.text(),
            heat.spot(),
            under,
            0,
            Fittings.end(Role.DRAIN));
    rig.join(rig.get(tee).port(PortId.B), cold, bore);
    rig.join(rig.get(tee).port(PortId.C), rig.get(valve).port(PortId.A), bore);
    rig.join(rig.get(valve).port(PortId.B), rig.get(tail).port(PortId.IN), bore);
    return rig.get(tee).port(PortId.A);
  }

  /** Valves lead the water past the heater, so that no antifreeze goes into it. */
  private Heated bypassed(
      PortRef cold, PortRef hot, Heat heat, Optional<PortRef> loop, boolean three) {
    PartId before =
        rig.part(QuestionPage.PUMP, Says.COLD_TEE.text(), heat.spot(), heat.height(), 0, new Tee());
    PartId after =
        rig.part(
            QuestionPage.PUMP,
            Says.HOT_TEE.text(),
            heat.spot(),
            heat.height() + 10 * Assembly.STEP,
            0,
            new Tee());
    PartId in = valve(Says.HEATER_IN.text(), heat, Fittings.twoWay(0), PositionId.of("open"));
    rig.join(rig.get(before).port(PortId.B), rig.get(in).port(PortId.A), bore);
    rig.join(rig.get(in).port(PortId.B), cold, bore);
    PortRef left = hot;
    if (three) {
      PartId out = valve(Says.HEATER_OUT.text(), heat, Fittings.twoWay(0), PositionId.of("open"));
      rig.join(hot, rig.get(out).port(PortId.A), bore);
      left = rig.get(out).port(PortId.B);
    }
    rig.join(left, rig.get(after).port(PortId.A), bore);
    PartId past = valve(Says.HEATER_BYPASS.text(), heat, Fittings.twoWay(0), PositionId.of("shut"));
    rig.join(rig.get(before).port(PortId.C), rig.get(past).port(PortId.A), bore);
    rig.join(rig.get(past).port(PortId.B), rig.get(after).port(PortId.B), bore);
    return new Heated(heater, rig.get(before).port(PortId.A), rig.get(after).port(PortId.C), loop);
  }

  /** Two three-way valves do the same: one before the heater, one after it. */
  private Heated ledPast(PortRef cold, PortRef hot, Heat heat, Optional<PortRef> loop) {
    PartId in = past(Says.HEATER_IN.text(), heat);
    PartId out = past(Says.HEATER_OUT.text(), heat);
    rig.join(rig.get(in).port(PortId.B), cold, bore);
    rig.join(hot, rig.get(out).port(PortId.B), bore);
    rig.join(rig.get(in).port(PortId.C), rig.get(out).port(PortId.C), bore);
    return new Heated(heater, rig.get(in).port(PortId.A), rig.get(out).port(PortId.A), loop);
  }

  private PartId past(String label, Heat heat) {
    Kind kind =
        InletSide.diverter(
            Says.THROUGH_THE_HEATER.text(), Says.PAST_THE_HEATER.text(), false, false);
    return valve(label, heat, kind, PositionId.of("first"));
  }

  private PartId valve(String label, Heat heat, Kind kind, PositionId running) {
    double height = heat.height() + 5 * Assembly.STEP;
    PartId id = rig.part(QuestionPage.PUMP, label, heat.spot(), height, Run.VALVE, kind);
    rig.runsWith(id, running);
    return id;
  }
}
