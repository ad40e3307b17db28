package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.guide.RigAnswers;
import fernwort.core.guide.RigAnswers.Heat;
import fernwort.core.guide.RigAnswers.HeaterDrain;
import fernwort.core.guide.RigAnswers.Hot;
import fernwort.core.guide.RigAnswers.Pump;
import fernwort.core.kind.line.Filter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The pump by its plate, and what follows it on the way to the taps. */
final class PumpQuestions implements GuidePage {

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
    Pump pump = answers.pump();
    return List.of(
        new Card(
            "pump",
            Says.THE_PUMP.text(),
            Says.AS_ON_ITS_PLATE.text(),
            List.of(
                Field.choice(
                    "type",
                    Says.WHAT_MOVES_THE_WATER.text(),
                    pump.type().name(),
                    List.of(
                        new Field.Option("DIAPHRAGM", Says.PUMP_WITH_A_PRESSURE_SWITCH.text()),
                        new Field.Option("CENTRIFUGAL", Says.SUBMERSIBLE_PUMP.text()),
                        new Field.Option("IMPELLER", Says.IMPELLER_PUMP.text()),
                        new Field.Option("FOOT", Says.A_FOOT.text()),
                        new Field.Option("HAND", Says.A_HAND.text()))),
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
                    Says.IF_NOT_ONE_LINE_GOES_FROM_TAP.text()))),
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
                Field.tick(
                    "heater-bypass",
                    Says.VALVES_LEAD_THE_WATER_PAST_IT.text(),
                    heat(pump).bypass(),
                    Says.THREE_VALVES_BEHIND_IT_A_WINTER_BYPASS.text()))));
  }

  /** The heater as somebody said it is, else where it is taken to be. */
  private static Heat heat(Pump pump) {
    return pump.heat().orElse(new Heat(pump.spot(), pump.height() + 0.1, HeaterDrain.PLUG, false));
  }

  private static Field filter(Pump pump, Filter.Grade grade, String label) {
    return Field.tick("filter-" + grade.name(), label, pump.filters().contains(grade), "");
  }

  /** Where there is no heater, or nobody was asked, it stays as it was. */
  private static Optional<Heat> heated(Pump was, FilledPage sheet) {
    Hot hot = sheet.choice("hot", Hot.class).orElse(was.hot());
    Heat before = heat(was);
    if (hot == Hot.NONE || !sheet.has("heater-drain")) {
      return was.heat();
    }
    return Optional.of(
        new Heat(
            sheet.spot("heater-spot", before.spot()),
            sheet.amount(
                "heater-height", Says.THE_HEATER.text(), Measure.LENGTH, before.height(), 0.05, 4),
            sheet.choice("heater-drain", before.drain()),
            sheet.tick("heater-bypass")));
  }

  @Override
  public RigAnswers read(RigAnswers before, FilledPage sheet) {
    Pump was = before.pump();
    List<Filter.Grade> filters = new ArrayList<>();
    for (Filter.Grade grade : Filter.Grade.values()) {
      if (sheet.tick("filter-" + grade.name())) {
        filters.add(grade);
      }
    }
    return before.pumping(
        new Pump(
            sheet.choice("type", fernwort.core.kind.machine.Pump.Type.class).orElse(was.type()),
            sheet.spot("spot", was.spot()),
            sheet.amount("height", Says.THE_PUMP.text(), Measure.LENGTH, was.height(), 0.05, 4),
            sheet.amount("flow", Says.ITS_FLOW.text(), Measure.FLOW, was.flow(), 5e-6, 2e-3),
            sheet.amount(
                "cut-out", Says.ITS_PRESSURE.text(), Measure.PRESSURE, was.cutOut(), 2e4, 8e5),
            sheet.tick("accumulator"),
            filters,
            sheet.choice("hot", Hot.class).orElse(was.hot()),
            sheet.amount(
                "heater", Says.THE_HEATER.text(), Measure.VOLUME, was.heaterVolume(), 2e-4, 0.2),
            sheet.tick("manifolds"),
            heated(was, sheet)));
  }
}
