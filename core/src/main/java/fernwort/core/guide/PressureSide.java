package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.answers.PumpAnswers;
import fernwort.core.guide.answers.PumpAnswers.Hot;
import fernwort.core.guide.answers.PumpParts;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.Spot;
import fernwort.core.guide.answers.RigAnswers.Tap;
import fernwort.core.guide.answers.RigAnswers.Use;
import fernwort.core.guide.answers.RigAnswers.Water;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.TankTies;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Moved;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.Accumulator;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.GangSwitch;
import fernwort.core.kind.machine.Pump;
import fernwort.core.rig.PortRef;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** From the pump to the taps, cold and hot. */
final class PressureSide {

  /** What an accumulator holds of water (m³). */
  private static final double VESSEL = 1e-3;

  /** It is charged to a little below the pressure at which the pump stops, but to this (Pa). */
  private static final double LEAST_CHARGE = 5e4;

  private static final double BELOW_CUT_OUT = 7e4;

  /** A wheel gives no water at so many times the pressure at which it is stopped. */
  private static final double OVER = 1.2;

  /** How high pumps draw water up while they are dry (m). */
  private static final double BY_FOOT = 1.2;

  private static final double BY_DIAPHRAGM = 1.8;

  private static final double BY_IMPELLER = 1.5;

  /** Strokes of a foot in a minute. */
  private static final double STROKES = 40;

  /** A pump in line adds so much (bar). */
  private static final double BOOST = 1;

  private final Assembly rig;
  private final RigAnswers answers;
  private final List<Message> ways;
  private final double bore;
  private final Spot spot;
  private final double height;
  private final List<Made> taps = new ArrayList<>();
  private PartId pump = PartId.NONE;
  private PartId house = PartId.NONE;
  private PartId heater = PartId.NONE;
  private Optional<PortRef> source = Optional.empty();
  private Optional<Sent> back = Optional.empty();

  /** A tap that was answered, and the part that it became. */
  record Made(Tap tap, PartId id) {}

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
    pump = rig.part(QuestionPage.PUMP, "Pump", spot, height, Run.PUMP, kind());
    rig.runsWith(pump, Kind.ON);
    rig.join(from, rig.get(pump).port(PortId.IN), bore);
    source = Optional.of(rig.get(pump).port(PortId.OUT));
  }

  /** Has the pump send water back into a tank, where somebody said that it can. */
  void sendsBackTo(TankAnswers tank, PartId id) {
    if (TankTies.returns(answers, tank)) {
      back = Optional.of(new Sent(tank.label(), new PortRef(id, TankOpenings.RETURN)));
    }
  }

  /** Returns the port by which the mains come to the taps, of a tee that is made for it. */
  PortRef mains() {
    if (house.isEmpty()) {
      house = rig.part(QuestionPage.FILL, Says.HOUSE_TEE.text(), spot, up(15), 0, new Tee());
    }
    return rig.get(house).port(PortId.B);
  }

  private Kind kind() {
    PumpAnswers plate = answers.pump();
    double bar = plate.cutOut() / 1e5;
    double litres = plate.flow() * 60_000;
    return switch (plate.mover()) {
      case FOOT, HAND ->
          Fittings.footPump(
              plate.parts().stroke().map(v -> v * 1e3 * STROKES).orElse(litres), BY_FOOT);
      case PRESSURE_SWITCH, NONE -> Fittings.pressurePump(litres, bar);
      case SWITCHED -> unswitched(plate, plate.cutOut(), BY_DIAPHRAGM);
      case SUBMERSIBLE, INLINE -> unswitched(plate, plate.cutOut() * OVER, 0);
      case IMPELLER -> unswitched(plate, plate.cutOut() * OVER, BY_IMPELLER);
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
  private static Pump unswitched(PumpAnswers plate, double most, double lift) {
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
        PartId plug =
            rig.part(QuestionPage.FILL, Says.TEE_PLUG.text(), spot, up(15), 0, new Plug(false));
        rig.join(rig.get(house).port(PortId.A), rig.get(plug).port(PortId.IN), bore);
      } else {
        rig.join(at.orElseThrow(), rig.get(house).port(PortId.A), bore);
      }
      at = Optional.of(rig.get(house).port(PortId.C));
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
    Run run = run(from);
    if (answers.pump().parts().second()) {
      Kind booster = Fittings.boosterPump(answers.pump().flow() * 60_000, BOOST);
      rig.runsWith(run.through(Says.SECOND_PUMP.text(), up(1), Run.PUMP, booster), Kind.ON);
      passed.add(Says.SECOND_PUMP_INSIDE.text());
    }
    if (answers.pump().parts().check()) {
      run.through(Says.PUMP_CHECK_VALVE.text(), up(3), Run.VALVE, Fittings.check());
      passed.add(Says.CHECK_VALVE_INSIDE.text());
    }
    if (answers.pump().accumulator()) {
      accumulator(run);
      passed.add("accumulator");
    }
    return run.at();
  }

  /** A branch or a three-way valve by which the pump fills its tank; returns where it goes on. */
  private PortRef sentBack(PortRef from, List<String> passed) {
    if (back.isEmpty()) {
      return from;
    }
    Sent to = back.orElseThrow();
    ways.add(Says.SENT_BACK_TO.with(String.join(" → ", passed), to.words()));
    double at = up(12);
    boolean motor = answers.pump().parts().motor();
    PumpParts.Back how = answers.pump().parts().back();
    if (how.diverts()) {
      PartId valve =
          rig.part(
              QuestionPage.PUMP,
              Says.DELIVERY_VALVE.text(),
              spot,
              at,
              Run.VALVE,
              InletSide.diverter(
                  Says.DIVERTER_TO.filled(to.words()),
                  Says.DIVERTER_TO.filled(Says.THE_TAPS.text()),
                  how == PumpParts.Back.THREE_WAY_WITH_OFF,
                  motor));
      rig.join(from, rig.get(valve).port(PortId.A), bore);
      rig.join(rig.get(valve).port(PortId.B), to.port(), bore);
      rig.runsWith(valve, PositionId.of("second"));
      return rig.get(valve).port(PortId.C);
    }
    Run run = run(from);
    Run aside = run(run.branch(Says.DELIVERY_TEE.text(), at));
    double above = at + 2 * Assembly.STEP;
    aside.through(Says.BACK_TO.filled(to.words()), above, Run.VALVE, Run.valve(motor));
    aside.to(to.port());
    if (how == PumpParts.Back.TWO_VALVES) {
      run.openValve(Says.TO_THE_TAPS.text(), above, Run.valve(motor));
    }
    return run.at();
  }

  /** One switch that turns pump and heater on. */
  private void together() {
    boolean one = answers.pump().heat().filter(h -> h.parts().oneSwitch()).isPresent();
    if (one && !pump.isEmpty() && !heater.isEmpty() && !answers.pump().mover().type().byHand()) {
      rig.part(
          QuestionPage.PUMP,
          Says.PUMP_AND_HEATER_SWITCH.text(),
          spot,
          up(40),
          0,
          new GangSwitch(List.of(new Moved(pump, Kind.ON), new Moved(heater, Kind.ON))));
    }
  }

  private void accumulator(Run run) {
    PortRef aside = run.branch(Says.ACCUMULATOR_TEE.text(), up(5));
    double charge = Math.max(LEAST_CHARGE, answers.pump().cutOut() - BELOW_CUT_OUT);
    PartId vessel =
        rig.part(QuestionPage.PUMP, "Accumulator", spot, up(10), VESSEL, new Accumulator(charge));
    rig.join(aside, rig.get(vessel).port(PortId.IN), bore);
  }

  private Run run(PortRef from) {
    return new Run(rig, QuestionPage.PUMP, spot, bore, from);
  }

  /** Returns so many steps above the pump (m). */
  private double up(int steps) {
    return height + steps * Assembly.STEP;
  }

  private PortRef filtered(PortRef from, List<String> passed) {
    Run run = run(from);
    for (Filter.Grade grade : answers.pump().filters()) {
      String label =
          switch (grade) {
            case SEDIMENT -> Says.SEDIMENT_FILTER.text();
            case CARBON -> Says.CARBON_FILTER.text();
            case PURIFIER -> "Purifier";
          };
      run.through(label, up(20), Run.FILTER, Fittings.filter(grade));
      passed.add(label.toLowerCase(Locale.ROOT));
    }
    return run.at();
  }

  // --- distribution ----------------------------------------------------------------------------

  private void distribute(PortRef from, List<String> passed) {
    List<PortRef> cold = new ArrayList<>();
    List<PortRef> hot = new ArrayList<>();
    List<String> hotWords = new ArrayList<>();
    List<String> coldWords = new ArrayList<>();
    for (Tap tap : answers.taps()) {
      PartId id = tap(tap);
      cold.add(rig.get(id).port(PortId.COLD));
      coldWords.add(rig.get(id).label());
      if (rig.get(id).kind().ports().contains(PortId.HOT)) {
        hot.add(rig.get(id).port(PortId.HOT));
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
      HeaterSide.Heated heated = new HeaterSide(rig, answers).join();
      heater = heated.heater();
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
   * What opens at the lowest spot of a run: under the floor by the pump, where it can be got at.
   */
  private PortRef low(boolean hot) {
    double low = Math.min(height, rig.vehicle().floor()) - 8 * Assembly.STEP;
    if (answers.lows().by() != TankAnswers.Drain.VALVE) {
      String label = (hot ? Says.HOT_DRAIN_CAP : Says.COLD_DRAIN_CAP).text();
      return rig.get(rig.part(QuestionPage.LOWS, label, spot, low, 0, new Plug(true)))
          .port(PortId.IN);
    }
    PartId valve =
        rig.part(
            QuestionPage.LOWS,
            (hot ? Says.HOT_DRAIN : Says.COLD_DRAIN).text(),
            spot,
            low,
            Run.VALVE,
            Fittings.twoWay(0));
    PartId tail =
        rig.part(
            QuestionPage.LOWS,
            (hot ? Says.HOT_DRAIN_TAIL : Says.COLD_DRAIN_TAIL).text(),
            spot,
            Math.min(low, rig.overGround() + 5 * Assembly.STEP),
            0,
            Fittings.end(Role.DRAIN));
    rig.join(rig.get(valve).port(PortId.B), rig.get(tail).port(PortId.IN), bore);
    return rig.get(valve).port(PortId.A);
  }

  /** Leads a line to some ports: from a manifold, or by one tee after another. */
  private void spread(String which, PortRef from, List<PortRef> to) {
    if (to.isEmpty()) {
      // Nothing is said yet of where it leads: it ends in a plug until then.
      PartId plug =
          rig.part(QuestionPage.TAPS, Says.LINE_PLUG.text(), spot, up(30), 0, new Plug(false));
      rig.join(from, rig.get(plug).port(PortId.IN), bore);
      return;
    }
    if (answers.pump().manifolds() && to.size() > 1) {
      String label = which.equals("hot") ? Says.HOT_MANIFOLD.text() : Says.COLD_MANIFOLD.text();
      PartId id =
          rig.part(QuestionPage.PUMP, label, spot, up(35), Run.PUMP, new Manifold(to.size()));
      rig.join(from, rig.get(id).port(PortId.IN), bore);
      for (int i = 0; i < to.size(); i++) {
        rig.join(rig.get(id).port(PortId.of(Integer.toString(i + 1))), to.get(i), bore);
      }
      return;
    }
    PortRef at = from;
    for (PortRef port : to.subList(0, to.size() - 1)) {
      String label = which.equals("hot") ? Says.HOT_TEE.text() : Says.COLD_TEE.text();
      PartId tee = rig.part(QuestionPage.PUMP, label, spot, up(30), 0, new Tee());
      rig.join(at, rig.get(tee).port(PortId.A), bore);
      rig.join(rig.get(tee).port(PortId.C), port, bore);
      at = rig.get(tee).port(PortId.B);
    }
    rig.join(at, to.getLast(), bore);
  }

  /** A hose on wide lines gives more, as its cross-section does (1). */
  private double widened() {
    double wider = Math.max(1, bore / RigAnswers.Bores.USUAL.supply());
    return wider * wider;
  }

  private PartId tap(Tap tap) {
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
    PartId id = rig.part(QuestionPage.TAPS, label, tap.spot(), tap.height(), 0, kind);
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
