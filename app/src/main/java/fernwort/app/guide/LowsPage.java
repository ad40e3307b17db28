package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.guide.answers.PumpAnswers.Hot;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.Bores;
import fernwort.core.guide.answers.RigAnswers.Lows;
import fernwort.core.guide.answers.TankAnswers.Drain;
import java.util.ArrayList;
import java.util.List;

/** Low points of the lines, and the bores of all of them. */
final class LowsPage implements GuidePage {

  /** Bores of lines to taps and of vents lie between these (m). */
  private static final double NARROWEST = 0.004;

  private static final double WIDEST_LINE = 0.06;

  /** Bores of fillers and wastes lie between these (m). */
  private static final double NARROW_HOSE = 0.01;

  private static final double WIDEST_HOSE = 0.1;

  @Override
  public String id() {
    return "lows";
  }

  @Override
  public String title() {
    return Says.LOW_POINTS.text();
  }

  @Override
  public List<Card> cards(RigAnswers answers, Units units) {
    List<Field> lows = new ArrayList<>();
    lows.add(
        Field.tick("cold", Says.THE_COLD_LINES_HAVE_A_DRAIN.text(), answers.lows().cold(), ""));
    if (answers.pump().hot() != Hot.NONE) {
      lows.add(Field.tick("hot", Says.THE_HOT_LINES_HAVE_ONE.text(), answers.lows().hot(), ""));
    }
    lows.add(
        Field.choice(
            "low-by",
            Says.WHAT_OPENS_THERE.text(),
            answers.lows().by() == Drain.VALVE ? "VALVE" : "CAP",
            List.of(
                new Field.Option("CAP", Says.A_CAP.text()),
                new Field.Option("VALVE", Says.A_VALVE_AND_A_TAIL.text()))));
    Bores bores = answers.bores();
    return List.of(
        new Card(
            "lows",
            Says.THE_LOWEST_SPOT_OF_EACH_RUN.text(),
            Says.WATER_THAT_STANDS_THERE_FREEZES.text(),
            lows),
        new Card(
            "bores",
            Says.HOW_WIDE_THE_LINES_ARE.text(),
            Says.INSIDE_THE_USUAL_SIZE_IS_FILLED.text(),
            List.of(
                bore("supply", Says.LINES_TO_PUMP_AND_TAPS.text(), units, bores.supply()),
                bore("fill", Says.THE_FILLERS_HOSE.text(), units, bores.fill()),
                bore("waste", Says.WASTE_LINES.text(), units, bores.waste()),
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
            before.pump().hot() == Hot.NONE ? before.lows().hot() : sheet.tick("hot"),
            sheet.choice("low-by", before.lows().by())),
        new Bores(
            sheet.amount(
                "supply",
                Says.LINES_TO_TAPS.text(),
                Measure.LENGTH,
                was.supply(),
                NARROWEST,
                WIDEST_LINE),
            sheet.amount(
                "fill",
                Says.THE_FILLERS_HOSE.text(),
                Measure.LENGTH,
                was.fill(),
                NARROW_HOSE,
                WIDEST_HOSE),
            sheet.amount(
                "waste",
                Says.WASTE_LINES.text(),
                Measure.LENGTH,
                was.waste(),
                NARROW_HOSE,
                WIDEST_HOSE),
            sheet.amount("vent", "Vents", Measure.LENGTH, was.vent(), NARROWEST, WIDEST_LINE)));
  }
}
