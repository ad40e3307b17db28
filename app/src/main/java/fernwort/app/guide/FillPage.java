package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.guide.RigAnswers;
import fernwort.core.guide.RigAnswers.Fill;
import fernwort.core.guide.RigAnswers.Mains;
import fernwort.core.guide.RigAnswers.Tank;
import fernwort.core.kind.tank.Contents;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** How the fresh tanks are filled: neck, jug, mains, float; and the hose inlet. */
final class FillPage implements GuidePage {

  @Override
  public String id() {
    return "fill";
  }

  @Override
  public String title() {
    return "Filling";
  }

  @Override
  public List<Card> cards(RigAnswers answers, Units units) {
    List<Card> cards = new ArrayList<>();
    for (Tank tank : answers.tanks(Contents.FRESH)) {
      String t = tank.id() + "-";
      List<Field> fields = new ArrayList<>();
      fields.add(tick(tank, Fill.NECK, Says.THROUGH_A_FILLER_WITH_A_CAP.text()));
      fields.add(tick(tank, Fill.JUG, Says.FROM_A_JUG_POURED.text()));
      fields.add(tick(tank, Fill.MAINS, Says.FROM_THE_HOSE_INLET_UNDER.text()));
      fields.add(tick(tank, Fill.FLOAT, Says.FROM_THE_HOSE_INLET_WITH_A_FLOAT.text()));
      List<Field.Option> others = others(answers, tank);
      if (others.size() > 1) {
        fields.add(
            Field.choice(
                t + "from",
                Says.FROM_ANOTHER_TANK_BY_A_PUMP.text(),
                tank.from().orElse(""),
                others));
      }
      fields.add(
          Field.spot(t + "neck", Says.WHERE_ITS_FILLER_IS.text(), FilledPage.spot(tank.neck())));
      fields.add(
          GuidePage.amount(
              t + "neck-height",
              Says.THE_FILLER_ABOVE_THE_GROUND.text(),
              units,
              Measure.LENGTH,
              tank.neckHeight(),
              Says.LEFT_AS.text()));
      cards.add(
          new Card(
              tank.id(),
              Says.IS_FILLED.filled(tank.label()),
              Says.TICK_ALL_THAT_APPLY.text(),
              fields));
    }
    Mains mains = answers.mains();
    cards.add(
        new Card(
            "mains",
            Says.THE_HOSE_INLET.text(),
            Says.WHERE_A_HOSE_FROM_A_TAP.text(),
            List.of(
                Field.tick("taps", Says.IT_LEADS_TO_THE_TAPS_AS_WELL.text(), mains.toTaps(), ""),
                Field.spot("inlet", Says.WHERE_IT_IS.text(), FilledPage.spot(mains.spot())),
                GuidePage.amount(
                    "inlet-height",
                    Says.THE_INLET_ABOVE_THE_GROUND.text(),
                    units,
                    Measure.LENGTH,
                    mains.height(),
                    ""),
                Field.tick(
                    "regulator",
                    Says.A_PRESSURE_REGULATOR_FOLLOWS_IT.text(),
                    mains.regulator(),
                    Says.A_ROUND_OR_BELL_SHAPED_FITTING.text()),
                Field.tick(
                    "check",
                    Says.A_CHECK_VALVE_FOLLOWS_IT.text(),
                    mains.check(),
                    Says.A_SHORT_FITTING_WITH_AN_ARROW.text()),
                Field.tick("shut-off", Says.A_VALVE_CLOSES_IT.text(), mains.shutOff(), ""))));
    return cards;
  }

  private static List<Field.Option> others(RigAnswers answers, Tank tank) {
    List<Field.Option> others = new ArrayList<>();
    others.add(new Field.Option("", "no"));
    answers.tanks(Contents.FRESH).stream()
        .filter(t -> !t.id().equals(tank.id()))
        .forEach(t -> others.add(new Field.Option(t.id(), t.label())));
    return others;
  }

  private static Field tick(Tank tank, Fill fill, String label) {
    return Field.tick(tank.id() + "-" + fill.name(), label, tank.fills().contains(fill), "");
  }

  @Override
  public RigAnswers read(RigAnswers before, FilledPage sheet) {
    List<Tank> tanks = new ArrayList<>();
    for (Tank tank : before.tanks()) {
      tanks.add(sheet.has(tank.id() + "-neck-height") ? tank(tank, sheet) : tank);
    }
    Mains was = before.mains();
    Mains mains =
        new Mains(
            sheet.spot("inlet", was.spot()),
            sheet.amount(
                "inlet-height", Says.THE_INLET.text(), Measure.LENGTH, was.height(), 0.05, 4),
            sheet.tick("check"),
            sheet.tick("regulator"),
            sheet.tick("shut-off"),
            sheet.tick("taps"));
    return before.with(tanks).filledBy(mains);
  }

  private static Tank tank(Tank was, FilledPage sheet) {
    String t = was.id() + "-";
    Set<Fill> fills = EnumSet.noneOf(Fill.class);
    for (Fill fill : Fill.values()) {
      if (sheet.tick(t + fill.name())) {
        fills.add(fill);
      }
    }
    Optional<String> from =
        sheet.has(t + "from")
            ? Optional.of(sheet.text(t + "from")).filter(id -> !id.isEmpty())
            : was.from();
    return was.filled(
            fills,
            sheet.spot(t + "neck", was.neck()),
            sheet.amount(
                t + "neck-height",
                Says.FILLER.filled(was.label()),
                Measure.LENGTH,
                was.neckHeight(),
                0.1,
                4))
        .filledFrom(from);
  }
}
