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
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.Accumulator;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.PortRef;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** From the pump to the taps, cold and hot. */
final class PressureSide {

  private static final double FILTER_BODY = 5e-4;
  private static final double VALVE_BODY = 2e-5;

  private final Assembly rig;
  private final RigAnswers answers;
  private final List<Message> ways;
  private final double bore;
  private final Spot spot;
  private final double height;
  private final boolean pumped;
  private final Map<Tap, String> taps = new LinkedHashMap<>();
  private String pump = "";
  private String house = "";

  PressureSide(Assembly rig, RigAnswers answers, List<Message> ways) {
    this.rig = rig;
    this.answers = answers;
    this.ways = ways;
    bore = answers.bores().supply();
    spot = answers.pump().spot();
    height = answers.pump().height();
    pumped = !answers.tanks(Contents.FRESH).isEmpty();
  }

  /** Returns the ids of the taps, by their answers; known once they are joined. */
  Map<Tap, String> taps() {
    return taps;
  }

  /** Returns the port that draws, of a pump that is made for it. */
  PortRef suction() {
    if (pump.isEmpty()) {
      pump = rig.part(QuestionPage.PUMP, "Pump", spot, height, 1e-4, kind());
      rig.runsWith(pump, Kind.ON);
    }
    return rig.get(pump).port("in");
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
    return switch (plate.type()) {
      case FOOT, HAND -> Fittings.footPump(litres, 1.2);
      case DIAPHRAGM -> Fittings.pressurePump(litres, bar);
      case CENTRIFUGAL, IMPELLER, SUBMERSIBLE ->
          new Pump(
              Pump.Duty.SUPPLY,
              plate.type(),
              plate.cutOut() * 1.2,
              plate.flow(),
              0,
              plate.cutOut(),
              plate.type() == Pump.Type.IMPELLER ? 1.5 : 0);
    };
  }

  /** Joins everything after the pump. */
  void join() {
    List<PortRef> starts = new ArrayList<>();
    List<String> passed = new ArrayList<>();
    if (pumped) {
      suction();
      passed.add("Pump");
      starts.add(rig.get(pump).port("out"));
      if (answers.pump().accumulator()) {
        starts.set(0, accumulator(starts.getFirst()));
        passed.add("accumulator");
      }
    }
    if (!house.isEmpty()) {
      if (starts.isEmpty()) {
        passed.add(Says.THE_MAINS.text());
        String plug =
            rig.part(
                QuestionPage.FILL, Says.TEE_PLUG.text(), spot, height + 0.15, 0, new Plug(false));
        rig.join(rig.get(house).port("a"), rig.get(plug).port("in"), bore);
      } else {
        rig.join(starts.getFirst(), rig.get(house).port("a"), bore);
      }
      starts = new ArrayList<>(List.of(rig.get(house).port("c")));
    }
    if (!starts.isEmpty()) {
      distribute(filtered(starts.getFirst(), passed), passed);
    } else {
      answers.taps().forEach(this::tap);
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
      cold.add(low(Says.COLD_DRAIN_CAP.text()));
    }
    String words = String.join(" → ", passed);
    if (heats) {
      if (answers.lows().hot()) {
        hot.add(low(Says.HOT_DRAIN_CAP.text()));
      }
      Heated heated = heater();
      cold.add(heated.cold());
      spread("hot", heated.hot(), hot);
      ways.add(Says.HEATER.with(words, String.join(", ", hotWords)));
    }
    spread("cold", from, cold);
    if (!coldWords.isEmpty()) {
      ways.add(Message.words(words + " → " + String.join(", ", coldWords)));
    }
  }

  /** The ports by which cold water comes to the heater and its valves, and hot water leaves. */
  private record Heated(PortRef cold, PortRef hot) {}

  private Heated heater() {
    RigAnswers.Pump pump = answers.pump();
    boolean store = pump.hot() == Hot.STORAGE;
    Heat heat = pump.heat().orElse(new Heat(spot, height + 0.1, HeaterDrain.PLUG, false));
    String heater =
        rig.part(
            QuestionPage.PUMP,
            "Heater",
            heat.spot(),
            heat.height(),
            pump.heaterVolume(),
            new Heater(store ? Heater.Type.STORAGE : Heater.Type.INSTANT, store, 0.02));
    PortRef cold = rig.get(heater).port("cold");
    PortRef hot = rig.get(heater).port("hot");
    if (heat.drain() == HeaterDrain.VALVE) {
      cold = drained(cold, heat);
    }
    return heat.bypass() ? bypassed(cold, hot, heat) : new Heated(cold, hot);
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

  /** Three valves lead the water past the heater, so that no antifreeze goes into it. */
  private Heated bypassed(PortRef cold, PortRef hot, Heat heat) {
    String before =
        rig.part(QuestionPage.PUMP, Says.COLD_TEE.text(), heat.spot(), heat.height(), 0, new Tee());
    String after =
        rig.part(
            QuestionPage.PUMP, Says.HOT_TEE.text(), heat.spot(), heat.height() + 0.1, 0, new Tee());
    String in = valve(Says.HEATER_IN.text(), heat, "open");
    String out = valve(Says.HEATER_OUT.text(), heat, "open");
    String past = valve(Says.HEATER_BYPASS.text(), heat, "shut");
    rig.join(rig.get(before).port("b"), rig.get(in).port("a"), bore);
    rig.join(rig.get(in).port("b"), cold, bore);
    rig.join(hot, rig.get(out).port("a"), bore);
    rig.join(rig.get(out).port("b"), rig.get(after).port("a"), bore);
    rig.join(rig.get(before).port("c"), rig.get(past).port("a"), bore);
    rig.join(rig.get(past).port("b"), rig.get(after).port("b"), bore);
    return new Heated(rig.get(before).port("a"), rig.get(after).port("c"));
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

  /** A cap at the lowest spot of a run: under the floor by the pump, where it can be got at. */
  private PortRef low(String label) {
    double low = Math.min(height, rig.vehicle().floor()) - 0.08;
    return rig.get(rig.part(QuestionPage.LOWS, label, spot, low, 0, new Plug(true))).port("in");
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

  private String tap(Tap tap) {
    boolean warm = answers.pump().hot() != Hot.NONE && tap.gives() == Water.COLD_AND_HOT;
    Kind kind =
        switch (tap.use()) {
          case SINK, BASIN -> Fittings.fixture(warm ? Type.MIXER : Type.TAP, true, 6);
          case SHOWER -> Fittings.fixture(warm ? Type.SHOWER : Type.TAP, false, 7);
          case TOILET -> Fittings.fixture(Type.TOILET, false, 5);
          case DRINKING -> Fittings.fixture(warm ? Type.MIXER : Type.TAP, true, 3);
          case OUTSIDE -> Fittings.fixture(warm ? Type.SHOWER : Type.HOSE_POINT, false, 8);
        };
    String id = rig.part(QuestionPage.TAPS, name(tap.use()), tap.spot(), tap.height(), 0, kind);
    taps.put(tap, id);
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
