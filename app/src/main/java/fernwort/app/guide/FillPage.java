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
      fields.add(tick(tank, Fill.NECK, "Through a filler with a cap"));
      fields.add(tick(tank, Fill.JUG, "From a jug, poured into the filler"));
      fields.add(tick(tank, Fill.MAINS, "From the hose inlet, under pressure"));
      fields.add(tick(tank, Fill.FLOAT, "From the hose inlet, with a float that closes"));
      List<Field.Option> others = others(answers, tank);
      if (others.size() > 1) {
        fields.add(
            Field.choice(
                t + "from",
                "From another tank, by a pump of its own; that one then gives its water here",
                tank.from().orElse(""),
                others));
      }
      fields.add(Field.spot(t + "neck", "Where its filler is", FilledPage.spot(tank.neck())));
      fields.add(
          GuidePage.amount(
              t + "neck-height",
              "The filler above the ground",
              units,
              Measure.LENGTH,
              tank.neckHeight(),
              "Left as it is where there is no filler."));
      cards.add(new Card(tank.id(), tank.label() + " is filled", "Tick all that apply.", fields));
    }
    Mains mains = answers.mains();
    cards.add(
        new Card(
            "mains",
            "The hose inlet",
            "Where a hose from a tap is screwed on. Nothing here matters without one.",
            List.of(
                Field.tick("taps", "It leads to the taps as well", mains.toTaps(), ""),
                Field.spot("inlet", "Where it is", FilledPage.spot(mains.spot())),
                GuidePage.amount(
                    "inlet-height",
                    "The inlet above the ground",
                    units,
                    Measure.LENGTH,
                    mains.height(),
                    ""),
                Field.tick(
                    "regulator",
                    "A pressure regulator follows it",
                    mains.regulator(),
                    "A round or bell-shaped fitting, often with a dial."),
                Field.tick(
                    "check",
                    "A check valve follows it",
                    mains.check(),
                    "A short fitting with an arrow: nothing goes back into the public tap."),
                Field.tick("shut-off", "A valve closes it", mains.shutOff(), ""))));
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
            sheet.amount("inlet-height", "The inlet", Measure.LENGTH, was.height(), 0.05, 4),
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
                was.label() + ", filler",
                Measure.LENGTH,
                was.neckHeight(),
                0.1,
                4))
        .filledFrom(from);
  }
}
