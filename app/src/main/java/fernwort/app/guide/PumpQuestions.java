package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.guide.answers.HeaterParts;
import fernwort.core.guide.answers.PumpAnswers;
import fernwort.core.guide.answers.PumpAnswers.Heat;
import fernwort.core.guide.answers.PumpAnswers.Hot;
import fernwort.core.guide.answers.PumpParts;
import fernwort.core.guide.answers.PumpParts.Mover;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.kind.line.Filter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The pump by its plate, and what follows it on the way to the taps. */
final class PumpQuestions implements GuidePage {

  /** Nothing is lower over the ground (m). */
  private static final double LOWEST = 0.05;

  /** Strokes of pumps give between these (m³). */
  private static final double LEAST_STROKE = 1e-5;

  private static final double MOST_STROKE = 5e-3;

  /** Pumps give between these at no pressure (m³/s). */
  private static final double LEAST_FLOW = 5e-6;

  private static final double MOST_FLOW = 2e-2;

  /** Switches stop pumps between these (Pa). */
  private static final double LEAST_PRESSURE = 2e4;

  private static final double MOST_PRESSURE = 8e5;

  /** Heaters hold between these (m³). */
  private static final double SMALLEST = 2e-4;

  private static final double LARGEST = 0.2;

  /** What a stroke of a foot pump usually gives (m³). */
  private static final double USUAL_STROKE = 1.2e-4;

  @Override
  public String id() {
    return "pump";
  }

  @Override
  public String title() {
    return "Pump";
  }

  @Override
  public List<Card> cards(RigAnswers answers, Units units) {
    PumpAnswers pump = answers.pump();
    return List.of(
        new Card(
            "pump",
            Says.THE_PUMP.text(),
            Says.AS_ON_ITS_PLATE.text(),
            List.of(
                Field.choice(
                    "type", Says.WHAT_MOVES_THE_WATER.text(), pump.mover().name(), movers()),
                Field.spot("spot", Says.WHERE_IT_IS.text(), FilledPage.spot(pump.spot())),
                GuidePage.amount(
                    "height",
                    Says.THE_PUMP_ABOVE_THE_GROUND.text(),
                    units,
                    Measure.LENGTH,
                    pump.height(),
                    ""),
                GuidePage.amount(
                    "flow",
                    Says.ITS_FLOW.text(),
                    units,
                    Measure.FLOW,
                    pump.flow(),
                    Says.ON_ITS_PLATE.text()),
                GuidePage.amount(
                    "stroke",
                    Says.WHAT_ONE_STROKE_GIVES.text(),
                    units,
                    Measure.VOLUME,
                    pump.parts().stroke().orElse(USUAL_STROKE),
                    Says.COUNT_STROKES_INTO_A_JUG.text()),
                GuidePage.amount(
                    "cut-out",
                    Says.THE_PRESSURE_AT_WHICH_IT_STOPS.text(),
                    units,
                    Measure.PRESSURE,
                    pump.cutOut(),
                    Says.ON_ITS_PLATE_AS_CUT_OFF.text()))),
        new Card(
                "after",
                Says.AFTER_THE_PUMP.text(),
                Says.IN_THIS_ORDER_AS_MOST_HAVE_IT.text(),
                List.of(
                    Field.tick(
                        "accumulator",
                        Says.AN_ACCUMULATOR.text(),
                        pump.accumulator(),
                        Says.A_SMALL_ROUND_VESSEL_ALSO_CALLED.text()),
                    filter(pump, Filter.Grade.SEDIMENT, Says.A_SEDIMENT_FILTER.text()),
                    filter(pump, Filter.Grade.CARBON, Says.A_CARBON_FILTER.text()),
                    filter(pump, Filter.Grade.PURIFIER, Says.A_PURIFIER.text()),
                    Field.tick(
                        "manifolds",
                        Says.EACH_TAP_HAS_A_LINE.text(),
                        pump.manifolds(),
                        Says.IF_NOT_ONE_LINE_GOES_FROM_TAP.text())))
            .with(more(pump)),
        new Card(
                "heater",
                Says.HOT_WATER.text(),
                "",
                List.of(
                    Field.choice(
                        "hot",
                        Says.HOW_WATER_IS_HEATED.text(),
                        pump.hot().name(),
                        List.of(
                            new Field.Option("NONE", Says.THERE_IS_NONE.text()),
                            new Field.Option("STORAGE", Says.A_HEATER_THAT_STORES_IT.text()),
                            new Field.Option("INSTANT", Says.A_HEATER_THAT_MAKES.text()))),
                    GuidePage.amount(
                        "heater",
                        Says.WHAT_THE_HEATER_HOLDS.text(),
                        units,
                        Measure.VOLUME,
                        pump.heaterVolume(),
                        Says.ON_ITS_LABEL.text()),
                    Field.spot(
                        "heater-spot",
                        Says.WHERE_THE_HEATER_IS.text(),
                        FilledPage.spot(heat(pump).spot())),
                    GuidePage.amount(
                        "heater-height",
                        Says.THE_HEATER_ABOVE_THE_GROUND.text(),
                        units,
                        Measure.LENGTH,
                        heat(pump).height(),
                        ""),
                    Field.choice(
                        "heater-drain",
                        Says.HOW_THE_HEATER_IS_DRAINED.text(),
                        heat(pump).drain().name(),
                        List.of(
                            new Field.Option("PLUG", Says.A_PLUG_AT_ITS_BOTTOM.text()),
                            new Field.Option("VALVE", Says.A_VALVE_BELOW_IT.text()))),
                    Field.choice(
                        "heater-bypass",
                        Says.VALVES_LEAD_THE_WATER_PAST_IT.text(),
                        heat(pump).bypass() ? heat(pump).parts().bypass().name() : "",
                        List.of(
                            new Field.Option("", Says.NO_VALVES.text()),
                            new Field.Option("THREE_VALVES", Says.THREE_VALVES.text()),
                            new Field.Option("TWO_VALVES", Says.TWO_PLAIN_VALVES.text()),
                            new Field.Option("TWO_THREE_WAYS", Says.TWO_THREE_WAY_VALVES.text())))))
            .with(more(heat(pump).parts())));
  }

  private static List<Field.Option> movers() {
    return List.of(
        new Field.Option("PRESSURE_SWITCH", Says.PUMP_WITH_A_PRESSURE_SWITCH.text()),
        new Field.Option("SWITCHED", Says.PUMP_WITH_A_SWITCH.text()),
        new Field.Option("SUBMERSIBLE", Says.SUBMERSIBLE_PUMP.text()),
        new Field.Option("INLINE", Says.PUMP_IN_THE_LINE.text()),
        new Field.Option("IMPELLER", Says.IMPELLER_PUMP.text()),
        new Field.Option("ENGINE", Says.PUMP_ON_AN_ENGINE.text()),
        new Field.Option("FOOT", Says.A_FOOT.text()),
        new Field.Option("HAND", Says.A_HAND.text()),
        new Field.Option("NONE", Says.NOTHING_IT_RUNS_DOWN.text()));
  }

  /** What follows few pumps. */
  private static More more(PumpAnswers pump) {
    PumpParts parts = pump.parts();
    List<Field> fields =
        List.of(
            Field.tick("check-after", Says.A_CHECK_VALVE_AFTER_IT.text(), parts.check(), ""),
            Field.tick("second-pump", Says.A_SECOND_PUMP_IN_THE_LINE.text(), parts.second(), ""),
            Field.choice(
                "back",
                Says.HOW_IT_SENDS_WATER_BACK.text(),
                parts.back().name(),
                List.of(
                    new Field.Option("NONE", Says.IT_DOES_NOT.text()),
                    new Field.Option("VALVE", Says.A_BRANCH_WITH_A_VALVE.text()),
                    new Field.Option("TWO_VALVES", Says.TWO_BRANCHES_WITH_A_VALVE_EACH.text()),
                    new Field.Option("THREE_WAY", Says.A_THREE_WAY_VALVE.text()),
                    new Field.Option(
                        "THREE_WAY_WITH_OFF", Says.A_THREE_WAY_VALVE_THAT_CLOSES.text()))));
    boolean open = parts.check() || parts.second() || parts.back() != PumpParts.Back.NONE;
    return new More(Says.A_SECOND_PUMP_OR_A_WAY_BACK.text(), fields, open);
  }

  /** What is around few heaters. */
  private static More more(HeaterParts parts) {
    List<Field> fields =
        List.of(
            Field.tick("heater-loop", Says.A_PUMP_KEEPS_HOT_WATER_ROUND.text(), parts.loop(), ""),
            Field.tick(
                "one-switch", Says.ONE_SWITCH_FOR_PUMP_AND_HEATER.text(), parts.oneSwitch(), ""),
            Field.tick("relief-tube", Says.ITS_RELIEF_VALVE_HAS_A_TUBE.text(), parts.relief(), ""),
            Field.tick("heater-tray", Says.IT_STANDS_IN_A_TRAY.text(), parts.tray(), ""));
    boolean open = parts.loop() || parts.oneSwitch() || parts.relief() || parts.tray();
    return new More(Says.A_HOT_LOOP_A_RELIEF_TUBE.text(), fields, open);
  }

  /** The heater as somebody said it is, else where it is taken to be. */
  private static Heat heat(PumpAnswers pump) {
    return pump.heat().orElse(Heat.beside(pump));
  }

  private static Field filter(PumpAnswers pump, Filter.Grade grade, String label) {
    return Field.tick("filter-" + grade.name(), label, pump.filters().contains(grade), "");
  }

  /** Where there is no heater, or nobody was asked, it stays as it was. */
  private static Optional<Heat> heated(PumpAnswers was, FilledPage sheet) {
    Hot hot = sheet.choice("hot", Hot.class).orElse(was.hot());
    Heat before = heat(was);
    if (hot == Hot.NONE || !sheet.has("heater-drain")) {
      return was.heat();
    }
    return Optional.of(
        new Heat(
            sheet.spot("heater-spot", before.spot()),
            sheet.amount(
                "heater-height",
                Says.THE_HEATER.text(),
                Measure.LENGTH,
                before.height(),
                LOWEST,
                4),
            sheet.choice("heater-drain", before.drain()),
            !sheet.text("heater-bypass").isEmpty(),
            new HeaterParts(
                sheet.choice("heater-bypass", before.parts().bypass()),
                sheet.tick("heater-loop"),
                sheet.tick("one-switch"),
                sheet.tick("relief-tube"),
                sheet.tick("heater-tray"))));
  }

  /** What one sees of the pump, and what follows it. */
  private static PumpParts parts(PumpAnswers was, Mover mover, FilledPage sheet) {
    PumpParts before = was.parts();
    double stroke = before.stroke().orElse(USUAL_STROKE);
    double now =
        sheet.amount(
            "stroke",
            Says.WHAT_ONE_STROKE_GIVES.text(),
            Measure.VOLUME,
            stroke,
            LEAST_STROKE,
            MOST_STROKE);
    boolean asked = sheet.has("back");
    return new PumpParts(
        Optional.of(mover),
        mover.type().byHand() ? Optional.of(now) : before.stroke(),
        before.source(),
        before.strained(),
        asked ? sheet.tick("check-after") : before.check(),
        asked ? sheet.tick("second-pump") : before.second(),
        sheet.choice("back", before.back()),
        before.motor());
  }

  @Override
  public RigAnswers read(RigAnswers before, FilledPage sheet) {
    PumpAnswers was = before.pump();
    List<Filter.Grade> filters = new ArrayList<>();
    for (Filter.Grade grade : Filter.Grade.values()) {
      if (sheet.tick("filter-" + grade.name())) {
        filters.add(grade);
      }
    }
    Mover mover = sheet.choice("type", was.mover());
    return before.pumping(
        new PumpAnswers(
            mover.type(),
            sheet.spot("spot", was.spot()),
            sheet.amount("height", Says.THE_PUMP.text(), Measure.LENGTH, was.height(), LOWEST, 4),
            sheet.amount(
                "flow", Says.ITS_FLOW.text(), Measure.FLOW, was.flow(), LEAST_FLOW, MOST_FLOW),
            sheet.amount(
                "cut-out",
                Says.ITS_PRESSURE.text(),
                Measure.PRESSURE,
                was.cutOut(),
                LEAST_PRESSURE,
                MOST_PRESSURE),
            sheet.tick("accumulator"),
            filters,
            sheet.choice("hot", Hot.class).orElse(was.hot()),
            sheet.amount(
                "heater",
                Says.THE_HEATER.text(),
                Measure.VOLUME,
                was.heaterVolume(),
                SMALLEST,
                LARGEST),
            sheet.tick("manifolds"),
            heated(was, sheet),
            parts(was, mover, sheet)));
  }
}
