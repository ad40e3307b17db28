package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.guide.RigAnswers;
import fernwort.core.guide.RigAnswers.Bores;
import fernwort.core.guide.RigAnswers.Hot;
import fernwort.core.guide.RigAnswers.Lows;
import java.util.ArrayList;
import java.util.List;

/** Low points of the lines, and the bores of all of them. */
final class LowsPage implements GuidePage {

  @Override
  public String id() {
    return "lows";
  }

  @Override
  public String title() {
    return "Low points";
  }

  @Override
  public List<Card> cards(RigAnswers answers, Units units) {
    List<Field> lows = new ArrayList<>();
    lows.add(Field.tick("cold", "The cold lines have a drain there", answers.lows().cold(), ""));
    if (answers.pump().hot() != Hot.NONE) {
      lows.add(Field.tick("hot", "The hot lines have one", answers.lows().hot(), ""));
    }
    Bores bores = answers.bores();
    return List.of(
        new Card(
            "lows", "The lowest spot of each run", "Water that stands there freezes first.", lows),
        new Card(
            "bores",
            "How wide the lines are",
            "Inside; the usual size is filled in. They matter for flow, and for what stays in"
                + " them.",
            List.of(
                bore("supply", "Lines to pump and taps", units, bores.supply()),
                bore("fill", "The filler's hose", units, bores.fill()),
                bore("waste", "Waste lines", units, bores.waste()),
                bore("vent", "Vents", units, bores.vent()))));
  }

  private static Field bore(String name, String label, Units units, double si) {
    return GuidePage.amount(name, label, units, Measure.LENGTH, si, "");
  }

  @Override
  public RigAnswers read(RigAnswers before, FilledPage sheet) {
    Bores was = before.bores();
    return before.low(
        new Lows(
            sheet.tick("cold"),
            before.pump().hot() == Hot.NONE ? before.lows().hot() : sheet.tick("hot")),
        new Bores(
            sheet.amount("supply", "Lines to taps", Measure.LENGTH, was.supply(), 0.004, 0.06),
            sheet.amount("fill", "The filler's hose", Measure.LENGTH, was.fill(), 0.01, 0.1),
            sheet.amount("waste", "Waste lines", Measure.LENGTH, was.waste(), 0.01, 0.1),
            sheet.amount("vent", "Vents", Measure.LENGTH, was.vent(), 0.004, 0.06)));
  }
}
