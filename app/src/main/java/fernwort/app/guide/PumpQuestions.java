package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.guide.RigAnswers;
import fernwort.core.guide.RigAnswers.Hot;
import fernwort.core.guide.RigAnswers.Pump;
import fernwort.core.kind.line.Filter;
import java.util.ArrayList;
import java.util.List;

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
            "The pump",
            "As on its plate.",
            List.of(
                Field.choice(
                    "type",
                    "What moves the water",
                    pump.type().name(),
                    List.of(
                        new Field.Option("DIAPHRAGM", "Pump with a pressure switch"),
                        new Field.Option("CENTRIFUGAL", "Submersible pump"),
                        new Field.Option("IMPELLER", "Impeller pump"),
                        new Field.Option("FOOT", "a foot"),
                        new Field.Option("HAND", "a hand"))),
                Field.spot("spot", "Where it is", FilledPage.spot(pump.spot())),
                GuidePage.amount(
                    "height",
                    "The pump above the ground",
                    units,
                    Measure.LENGTH,
                    pump.height(),
                    ""),
                GuidePage.amount(
                    "flow", "Its flow", units, Measure.FLOW, pump.flow(), "On its plate."),
                GuidePage.amount(
                    "cut-out",
                    "The pressure at which it stops",
                    units,
                    Measure.PRESSURE,
                    pump.cutOut(),
                    "On its plate, as cut-off or cut-out."))),
        new Card(
            "after",
            "After the pump",
            "In this order, as most have it.",
            List.of(
                Field.tick(
                    "accumulator",
                    "An accumulator",
                    pump.accumulator(),
                    "A small round vessel, also called surge tank: the pump runs less often."),
                filter(pump, Filter.Grade.SEDIMENT, "A sediment filter"),
                filter(pump, Filter.Grade.CARBON, "A carbon filter"),
                filter(pump, Filter.Grade.PURIFIER, "A purifier"),
                Field.choice(
                    "hot",
                    "Hot water",
                    pump.hot().name(),
                    List.of(
                        new Field.Option("NONE", "there is none"),
                        new Field.Option("STORAGE", "a heater that stores it"),
                        new Field.Option("INSTANT", "a heater that makes it as it runs"))),
                GuidePage.amount(
                    "heater",
                    "What the heater holds",
                    units,
                    Measure.VOLUME,
                    pump.heaterVolume(),
                    "On its label."),
                Field.tick(
                    "manifolds",
                    "Each tap has a line of its own from a manifold",
                    pump.manifolds(),
                    "If not, one line goes from tap to tap, with tees."))));
  }

  private static Field filter(Pump pump, Filter.Grade grade, String label) {
    return Field.tick("filter-" + grade.name(), label, pump.filters().contains(grade), "");
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
            sheet.amount("height", "The pump", Measure.LENGTH, was.height(), 0.05, 4),
            sheet.amount("flow", "Its flow", Measure.FLOW, was.flow(), 5e-6, 2e-3),
            sheet.amount("cut-out", "Its pressure", Measure.PRESSURE, was.cutOut(), 2e4, 8e5),
            sheet.tick("accumulator"),
            filters,
            sheet.choice("hot", Hot.class).orElse(was.hot()),
            sheet.amount("heater", "The heater", Measure.VOLUME, was.heaterVolume(), 2e-4, 0.2),
            sheet.tick("manifolds")));
  }
}
