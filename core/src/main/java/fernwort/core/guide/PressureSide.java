package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.RigAnswers.Heat;
import fernwort.core.guide.RigAnswers.HeaterDrain;
import fernwort.core.guide.RigAnswers.Hot;
import fernwort.core.guide.RigAnswers.Spot;
import fernwort.core.guide.RigAnswers.Tap;
import fernwort.core.guide.RigAnswers.Use;
import fernwort.core.guide.RigAnswers.Water;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Moved;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.Accumulator;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.LeakTray;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.GangSwitch;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Pump;
import fernwort.core.rig.PortRef;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** From the pump to the taps, cold and hot. */
final class PressureSide {

  private static final double FILTER_BODY = 5e-4;
  private static final double VALVE_BODY = 2e-5;

  /** Strokes of a foot in a minute. */
  private static final double STROKES = 40;

  /** A pump in line adds so much (bar). */
  private static final double BOOST = 1;

  /** A relief valve of a heater opens at this (Pa). */
  private static final double RELIEF = 6e5;

  /** What the tray under a heater holds (m³). */
  private static final double TRAY = 0.005;

  private final Assembly rig;
  private final RigAnswers answers;
  private final List<Message> ways;
  private final double bore;
  private final Spot spot;
  private final double height;
  private final List<Made> taps = new ArrayList<>();
  private String pump = "";
  private String house = "";
  private String heater = "";
  private Optional<PortRef> source = Optional.empty();
  private Optional<Sent> back = Optional.empty();

  /** A tap that was answered, and the part that it became. */
  record Made(Tap tap, String id) {}

  /** The tank that the pump sends water back to, and its opening. */
  private record Sent(String words, PortRef port) {}

  PressureSide(Assembly rig, RigAnswers answers, List<Message> ways) {
    this.rig = rig;
    this.answers = answers;
    this.ways = ways;
    bore = answers.bores().supply();
    spot = answers.pump().spot();
    height = answers.pump().height();
  }

  /** Returns the taps with their parts, in the order of the answers; known once they are joined. */
  List<Made> taps() {
    return taps;
  }

  /** Draws from a port: by a pump that is made for it, or by the water's own weight. */
  void draw(PortRef from) {
    if (answers.pump().mover() == PumpParts.Mover.NONE) {
      source = Optional.of(from);
      return;
    }
    pump = rig.part(QuestionPage.PUMP, "Pump", spot, height, 1e-4, kind());
    rig.runsWith(pump, Kind.ON);
    rig.join(from, rig.get(pump).port("in"), bore);
    source = Optional.of(rig.get(pump).port("out"));
  }

  /** Has the pump send water back into a tank, where somebody said that it can. */
  void sendsBackTo(RigAnswers.Tank tank, String id) {
    if (TankMaker.returns(answers, tank)) {
      back = Optional.of(new Sent(tank.label(), new PortRef(id, TankMaker.RETURN)));
    }
  }

  /** Returns the port by which the mains come to the taps, of a tee that is made for it. */
  PortRef mains() {
    if (house.isEmpty()) {
      house = rig.part(QuestionPage.FILL, Says.HOUSE_TEE.text(), spot, height + 0.15, 0, new Tee());
    }
    return rig.get(house).port("b");
  }

  private Kind kind() {
    RigAnswers.Pump plate = answers.pump();
    double bar = plate.cutOut() / 1e5;
    double litres = plate.flow() * 60_000;
    return switch (plate.mover()) {
      case FOOT, HAND ->
          Fittings.footPump(plate.parts().stroke().map(v -> v * 1e3 * STROKES).orElse(litres), 1.2);
      case PRESSURE_SWITCH, NONE -> Fittings.pressurePump(litres, bar);
      case SWITCHED -> unswitched(plate, plate.cutOut(), 1.8);
      case SUBMERSIBLE, INLINE -> unswitched(plate, plate.cutOut() * 1.2, 0);
      case IMPELLER -> unswitched(plate, plate.cutOut() * 1.2, 1.5);
      case ENGINE ->
          new Pump(
              Pump.Duty.TRANSFER,
              Pump.Type.CENTRIFUGAL,
              plate.cutOut(),
              plate.flow(),
              0,
              plate.cutOut(),
              0,
              Optional.empty(),
              Optional.of(Pump.Drive.ENGINE));
    };
  }

  /** A pump that no pressure switch starts. */
  private static Pump unswitched(RigAnswers.Pump plate, double most, double lift) {
    return new Pump(
        Pump.Duty.SUPPLY, plate.mover().type(), most, plate.flow(), 0, plate.cutOut(), lift);
  }

  /** Joins everything after the pump. */
  void join() {
    List<String> passed = new ArrayList<>();
    Optional<PortRef> at = source.map(from -> afterPump(from, passed));
    boolean filtered = !answers.pump().filters().isEmpty();
    if (at.isPresent() && !filtered) {
      at = at.map(from -> sentBack(from, passed));
    }
    if (!house.isEmpty()) {
      if (at.isEmpty()) {
        passed.add(Says.THE_MAINS.text());
        String plug =
            rig.part(
                QuestionPage.FILL, Says.TEE_PLUG.text(), spot, height + 0.15, 0, new Plug(false));
        rig.join(rig.get(house).port("a"), rig.get(plug).port("in"), bore);
      } else {
        rig.join(at.orElseThrow(), rig.get(house).port("a"), bore);
      }
      at = Optional.of(rig.get(house).port("c"));
    }
    if (at.isEmpty()) {
      answers.taps().forEach(this::tap);
      return;
    }
    PortRef on = filtered(at.orElseThrow(), passed);
    distribute(filtered && source.isPresent() ? sentBack(on, passed) : on, passed);
    together();
  }

  /** What follows the pump itself: another pump, a check valve, an accumulator. */
  private PortRef afterPump(PortRef from, List<String> passed) {
    if (pump.isEmpty()) {
      passed.add(Says.THE_TANK.text());
      return from;
    }
    passed.add("Pump");
    PortRef at = from;
    if (answers.pump().parts().second()) {
      String second =
          rig.part(
              QuestionPage.PUMP,
              Says.SECOND_PUMP.text(),
              spot,
              height + 0.01,
              1e-4,
              Fittings.boosterPump(answers.pump().flow() * 60_000, BOOST));
      rig.join(at, rig.get(second).port("in"), bore);
      at = rig.get(second).port("out");
      rig.runsWith(second, Kind.ON);
      passed.add(Says.SECOND_PUMP_INSIDE.text());
    }
    if (answers.pump().parts().check()) {
      String check =
          rig.part(
              QuestionPage.PUMP,
              Says.PUMP_CHECK_VALVE.text(),
              spot,
              height + 0.03,
              VALVE_BODY,
              Fittings.check());
      rig.join(at, rig.get(check).port("in"), bore);
      at = rig.get(check).port("out");
      passed.add(Says.CHECK_VALVE_INSIDE.text());
    }
    if (answers.pump().accumulator()) {
      at = accumulator(at);
      passed.add("accumulator");
    }
    return at;
  }

  /** A branch or a three-way valve by which the pump fills its tank; returns where it goes on. */
  private PortRef sentBack(PortRef from, List<String> passed) {
    if (back.isEmpty()) {
      return from;
    }
    Sent to = back.orElseThrow();
    ways.add(Says.SENT_BACK_TO.with(String.join(" → ", passed), to.words()));
    double at = height + 0.12;
    boolean motor = answers.pump().parts().motor();
    PumpParts.Back how = answers.pump().parts().back();
    if (how.diverts()) {
      String valve =
          rig.part(
              QuestionPage.PUMP,
              Says.DELIVERY_VALVE.text(),
              spot,
              at,
              VALVE_BODY,
              InletSide.diverter(
                  Says.DIVERTER_TO.filled(to.words()),
                  Says.DIVERTER_TO.filled(Says.THE_TAPS.text()),
                  how == PumpParts.Back.THREE_WAY_WITH_OFF,
                  motor));
      rig.join(from, rig.get(valve).port("a"), bore);
      rig.join(rig.get(valve).port("b"), to.port(), bore);
      rig.runsWith(valve, "second");
      return rig.get(valve).port("c");
    }
    String tee = rig.part(QuestionPage.PUMP, Says.DELIVERY_TEE.text(), spot, at, 0, new Tee());
    rig.join(from, rig.get(tee).port("a"), bore);
    String valve =
        rig.part(
            QuestionPage.PUMP,
            Says.BACK_TO.filled(to.words()),
            spot,
            at + 0.02,
            VALVE_BODY,
            motor ? Fittings.motorised(0, "shut", FreshSide.MOTOR) : Fittings.twoWay(0));
    rig.join(rig.get(tee).port("b"), rig.get(valve).port("a"), bore);
    rig.join(rig.get(valve).port("b"), to.port(), bore);
    if (how == PumpParts.Back.VALVE) {
      return rig.get(tee).port("c");
    }
    String on =
        rig.part(
            QuestionPage.PUMP,
            Says.TO_THE_TAPS.text(),
            spot,
            at + 0.02,
            VALVE_BODY,
            motor ? Fittings.motorised(0, "shut", FreshSide.MOTOR) : Fittings.twoWay(0));
    rig.runsWith(on, "open");
    rig.join(rig.get(tee).port("c"), rig.get(on).port("a"), bore);
    return rig.get(on).port("b");
  }

  /** One switch that turns pump and heater on. */
  private void together() {
    boolean one = answers.pump().heat().filter(h -> h.parts().oneSwitch()).isPresent();
    if (one && !pump.isEmpty() && !heater.isEmpty() && !answers.pump().mover().type().byHand()) {
      rig.part(
          QuestionPage.PUMP,
          Says.PUMP_AND_HEATER_SWITCH.text(),
          spot,
          height + 0.4,
          0,
          new GangSwitch(List.of(new Moved(pump, Kind.ON), new Moved(heater, Kind.ON))));
    }
  }

  private PortRef accumulator(PortRef from) {
    String tee =
        rig.part(QuestionPage.PUMP, Says.ACCUMULATOR_TEE.text(), spot, height + 0.05, 0, new Tee());
    String vessel =
        rig.part(
            QuestionPage.PUMP,
            "Accumulator",
            spot,
            height + 0.1,
            1e-3,
            new Accumulator(Math.max(5e4, answers.pump().cutOut() - 7e4)));
    rig.join(from, rig.get(tee).port("a"), bore);
    rig.join(rig.get(tee).port("b"), rig.get(vessel).port("in"), bore);
    return rig.get(tee).port("c");
  }

  private PortRef filtered(PortRef from, List<String> passed) {
    PortRef at = from;
    for (Filter.Grade grade : answers.pump().filters()) {
      String label =
          switch (grade) {
            case SEDIMENT -> Says.SEDIMENT_FILTER.text();
            case CARBON -> Says.CARBON_FILTER.text();
            case PURIFIER -> "Purifier";
          };
      String id =
          rig.part(
              QuestionPage.PUMP, label, spot, height + 0.2, FILTER_BODY, Fittings.filter(grade));
      rig.join(at, rig.get(id).port("in"), bore);
      at = rig.get(id).port("out");
      passed.add(label.toLowerCase(Locale.ROOT));
    }
    return at;
  }

  // --- distribution ----------------------------------------------------------------------------

  private void distribute(PortRef from, List<String> passed) {
    List<PortRef> cold = new ArrayList<>();
    List<PortRef> hot = new ArrayList<>();
    List<String> hotWords = new ArrayList<>();
    List<String> coldWords = new ArrayList<>();
    for (Tap tap : answers.taps()) {
      String id = tap(tap);
      cold.add(rig.get(id).port("cold"));
      coldWords.add(rig.get(id).label());
      if (rig.get(id).kind().ports().contains("hot")) {
        hot.add(rig.get(id).port("hot"));
        hotWords.add(rig.get(id).label());
      }
    }
    boolean heats = answers.pump().hot() != Hot.NONE && !hot.isEmpty();
    if (answers.lows().cold()) {
      cold.add(low(false));
    }
    String words = String.join(" → ", passed);
    if (heats) {
      if (answers.lows().hot()) {
        hot.add(low(true));
      }
      Heated heated = heater();
      cold.add(heated.cold());
      heated.loop().ifPresent(hot::add);
      spread("hot", heated.hot(), hot);
      ways.add(Says.HEATER.with(words, String.join(", ", hotWords)));
    }
    spread("cold", from, cold);
    if (!coldWords.isEmpty()) {
      ways.add(Message.words(words + " → " + String.join(", ", coldWords)));
    }
  }

  /**
   * The ports by which cold water comes to the heater and its valves, and hot water leaves; where
   * the hot lines end in a loop, the port by which it comes back.
   */
  private record Heated(PortRef cold, PortRef hot, Optional<PortRef> loop) {}

  private Heated heater() {
    RigAnswers.Pump pumps = answers.pump();
    boolean store = pumps.hot() == Hot.STORAGE;
    Heat heat = pumps.heat().orElse(new Heat(spot, height + 0.1, HeaterDrain.PLUG, false));
    heater =
        rig.part(
            QuestionPage.PUMP,
            "Heater",
            heat.spot(),
            heat.height(),
            pumps.heaterVolume(),
            new Heater(store ? Heater.Type.STORAGE : Heater.Type.INSTANT, store, 0.02));
    PortRef cold = rig.get(heater).port("cold");
    PortRef hot = rig.get(heater).port("hot");
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
          rig.below(heat.height(), 0.02),
          0,
          new LeakTray(TRAY, true));
    }
    Optional<PortRef> loop = Optional.empty();
    if (heat.parts().loop()) {
      String tee =
          rig.part(
              QuestionPage.PUMP, Says.RETURN_TEE.text(), heat.spot(), heat.height(), 0, new Tee());
      rig.join(rig.get(tee).port("b"), cold, bore);
      loop = Optional.of(loop(rig.get(tee).port("c"), heat));
      cold = rig.get(tee).port("a");
    }
    if (!heat.bypass()) {
      return new Heated(cold, hot, loop);
    }
    return switch (heat.parts().bypass()) {
      case THREE_VALVES -> bypassed(cold, hot, heat, loop, true);
      case TWO_VALVES -> bypassed(cold, hot, heat, loop, false);
      case TWO_THREE_WAYS -> ledPast(cold, hot, heat, loop);
    };
  }

  /** A pump that keeps hot water going round; returns the port by which it is fed. */
  private PortRef loop(PortRef into, Heat heat) {
    double at = heat.height() + 0.05;
    String round =
        rig.part(
            QuestionPage.PUMP,
            Says.LOOP_PUMP.text(),
            heat.spot(),
            at,
            1e-4,
            Fittings.circulationPump(6, 0.3));
    String check =
        rig.part(
            QuestionPage.PUMP,
            Says.LOOP_CHECK_VALVE.text(),
            heat.spot(),
            at,
            VALVE_BODY,
            Fittings.check());
    rig.join(rig.get(round).port("out"), rig.get(check).port("in"), bore);
    rig.join(rig.get(check).port("out"), into, bore);
    return rig.get(round).port("in");
  }

  /** A relief valve whose tube leads outside. */
  private PortRef relieved(PortRef cold, Heat heat) {
    String tee =
        rig.part(
            QuestionPage.PUMP, Says.RELIEF_TEE.text(), heat.spot(), heat.height(), 0, new Tee());
    String valve =
        rig.part(
            QuestionPage.PUMP,
            Says.RELIEF_VALVE.text(),
            heat.spot(),
            heat.height() + 0.02,
            VALVE_BODY,
            new CheckValve(RELIEF));
    String tube =
        rig.part(
            QuestionPage.PUMP,
            Says.RELIEF_TUBE.text(),
            heat.spot(),
            rig.overGround(),
            0,
            Fittings.end(Role.DRAIN));
    rig.join(rig.get(tee).port("b"), cold, bore);
    rig.join(rig.get(tee).port("c"), rig.get(valve).port("in"), bore);
    rig.join(rig.get(valve).port("out"), rig.get(tube).port("in"), bore);
    return rig.get(tee).port("a");
  }

  /** A valve below the heater lets it run out onto the ground. */
  private PortRef drained(PortRef cold, Heat heat) {
    double low = rig.below(heat.height(), 0.03);
    double hand = rig.below(heat.height(), 0.06);
    String tee =
        rig.part(QuestionPage.PUMP, Says.HEATER_TEE.text(), heat.spot(), low, 0, new Tee());
    String valve =
        rig.part(
            QuestionPage.PUMP,
            Says.HEATER_DRAIN.text(),
            heat.spot(),
            hand,
            VALVE_BODY,
            Fittings.twoWay(0));
    double under = Math.min(low - 0.1, rig.vehicle().clearance() + 0.15);
    String tail =
        rig.part(
            QuestionPage.PUMP,
            Says.HEATER_DRAIN_TAIL.text(),
            heat.spot(),
            under,
            0,
            Fittings.end(Role.DRAIN));
    rig.join(rig.get(tee).port("b"), cold, bore);
    rig.join(rig.get(tee).port("c"), rig.get(valve).port("a"), bore);
    rig.join(rig.get(valve).port("b"), rig.get(tail).port("in"), bore);
    return rig.get(tee).port("a");
  }

  /** Valves lead the water past the heater, so that no antifreeze goes into it. */
  private Heated bypassed(
      PortRef cold, PortRef hot, Heat heat, Optional<PortRef> loop, boolean three) {
    String before =
        rig.part(QuestionPage.PUMP, Says.COLD_TEE.text(), heat.spot(), heat.height(), 0, new Tee());
    String after =
        rig.part(
            QuestionPage.PUMP, Says.HOT_TEE.text(), heat.spot(), heat.height() + 0.1, 0, new Tee());
    String in = valve(Says.HEATER_IN.text(), heat, "open");
    rig.join(rig.get(before).port("b"), rig.get(in).port("a"), bore);
    rig.join(rig.get(in).port("b"), cold, bore);
    PortRef left = hot;
    if (three) {
      String out = valve(Says.HEATER_OUT.text(), heat, "open");
      rig.join(hot, rig.get(out).port("a"), bore);
      left = rig.get(out).port("b");
    }
    rig.join(left, rig.get(after).port("a"), bore);
    String past = valve(Says.HEATER_BYPASS.text(), heat, "shut");
    rig.join(rig.get(before).port("c"), rig.get(past).port("a"), bore);
    rig.join(rig.get(past).port("b"), rig.get(after).port("b"), bore);
    return new Heated(rig.get(before).port("a"), rig.get(after).port("c"), loop);
  }

  /** Two three-way valves do the same: one before the heater, one after it. */
  private Heated ledPast(PortRef cold, PortRef hot, Heat heat, Optional<PortRef> loop) {
    String in = past(Says.HEATER_IN.text(), heat);
    String out = past(Says.HEATER_OUT.text(), heat);
    rig.join(rig.get(in).port("b"), cold, bore);
    rig.join(hot, rig.get(out).port("b"), bore);
    rig.join(rig.get(in).port("c"), rig.get(out).port("c"), bore);
    return new Heated(rig.get(in).port("a"), rig.get(out).port("a"), loop);
  }

  private String past(String label, Heat heat) {
    String id =
        rig.part(
            QuestionPage.PUMP,
            label,
            heat.spot(),
            heat.height() + 0.05,
            VALVE_BODY,
            InletSide.diverter(
                Says.THROUGH_THE_HEATER.text(), Says.PAST_THE_HEATER.text(), false, false));
    rig.runsWith(id, "first");
    return id;
  }

  private String valve(String label, Heat heat, String running) {
    String id =
        rig.part(
            QuestionPage.PUMP,
            label,
            heat.spot(),
            heat.height() + 0.05,
            VALVE_BODY,
            Fittings.twoWay(0));
    rig.runsWith(id, running);
    return id;
  }

  /**
   * What opens at the lowest spot of a run: under the floor by the pump, where it can be got at.
   */
  private PortRef low(boolean hot) {
    double low = Math.min(height, rig.vehicle().floor()) - 0.08;
    if (answers.lows().by() != RigAnswers.Drain.VALVE) {
      String label = (hot ? Says.HOT_DRAIN_CAP : Says.COLD_DRAIN_CAP).text();
      return rig.get(rig.part(QuestionPage.LOWS, label, spot, low, 0, new Plug(true))).port("in");
    }
    String valve =
        rig.part(
            QuestionPage.LOWS,
            (hot ? Says.HOT_DRAIN : Says.COLD_DRAIN).text(),
            spot,
            low,
            VALVE_BODY,
            Fittings.twoWay(0));
    String tail =
        rig.part(
            QuestionPage.LOWS,
            (hot ? Says.HOT_DRAIN_TAIL : Says.COLD_DRAIN_TAIL).text(),
            spot,
            Math.min(low, rig.overGround() + 0.05),
            0,
            Fittings.end(Role.DRAIN));
    rig.join(rig.get(valve).port("b"), rig.get(tail).port("in"), bore);
    return rig.get(valve).port("a");
  }

  /** Leads a line to some ports: from a manifold, or by one tee after another. */
  private void spread(String which, PortRef from, List<PortRef> to) {
    if (to.isEmpty()) {
      // Nothing is said yet of where it leads: it ends in a plug until then.
      String plug =
          rig.part(
              QuestionPage.TAPS, Says.LINE_PLUG.text(), spot, height + 0.3, 0, new Plug(false));
      rig.join(from, rig.get(plug).port("in"), bore);
      return;
    }
    if (answers.pump().manifolds() && to.size() > 1) {
      String label = which.equals("hot") ? Says.HOT_MANIFOLD.text() : Says.COLD_MANIFOLD.text();
      String id =
          rig.part(QuestionPage.PUMP, label, spot, height + 0.35, 1e-4, new Manifold(to.size()));
      rig.join(from, rig.get(id).port("in"), bore);
      for (int i = 0; i < to.size(); i++) {
        rig.join(rig.get(id).port(Integer.toString(i + 1)), to.get(i), bore);
      }
      return;
    }
    PortRef at = from;
    for (PortRef port : to.subList(0, to.size() - 1)) {
      String label = which.equals("hot") ? Says.HOT_TEE.text() : Says.COLD_TEE.text();
      String tee = rig.part(QuestionPage.PUMP, label, spot, height + 0.3, 0, new Tee());
      rig.join(at, rig.get(tee).port("a"), bore);
      rig.join(rig.get(tee).port("c"), port, bore);
      at = rig.get(tee).port("b");
    }
    rig.join(at, to.getLast(), bore);
  }

  /** A hose on wide lines gives more, as its cross-section does (1). */
  private double widened() {
    double wider = Math.max(1, bore / RigAnswers.Bores.USUAL.supply());
    return wider * wider;
  }

  private String tap(Tap tap) {
    boolean warm = answers.pump().hot() != Hot.NONE && tap.gives() == Water.COLD_AND_HOT;
    Kind kind =
        switch (tap.use()) {
          case SINK, BASIN -> Fittings.fixture(warm ? Type.MIXER : Type.TAP, true, 6);
          case SHOWER -> Fittings.fixture(warm ? Type.SHOWER : Type.TAP, false, 7);
          case TOILET -> Fittings.fixture(Type.TOILET, false, 5);
          case DRINKING -> Fittings.fixture(warm ? Type.MIXER : Type.TAP, true, 3);
          case OUTSIDE ->
              Fittings.fixture(warm ? Type.SHOWER : Type.HOSE_POINT, false, 8 * widened());
        };
    long same = taps.stream().filter(t -> t.tap().use() == tap.use()).count();
    String label = name(tap.use()) + (same == 0 ? "" : " " + (same + 1));
    String id = rig.part(QuestionPage.TAPS, label, tap.spot(), tap.height(), 0, kind);
    taps.add(new Made(tap, id));
    return id;
  }

  private static String name(Use use) {
    return switch (use) {
      case SINK -> "Sink";
      case BASIN -> "Basin";
      case SHOWER -> "Shower";
      case TOILET -> "Toilet";
      case DRINKING -> Says.DRINKING_TAP.text();
      case OUTSIDE -> Says.OUTSIDE_SHOWER.text();
    };
  }
}
