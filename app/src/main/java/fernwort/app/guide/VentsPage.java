package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.guide.Answers;
import fernwort.core.guide.Answers.Tank;
import java.util.List;

/** Where each tank's vent ends, and whether it rises first. */
final class VentsPage implements GuidePage {

  @Override
  public String id() {
    return "vents";
  }

  @Override
  public String title() {
    return "Vents";
  }

  @Override
  public List<Card> cards(Answers answers, Units units) {
    return answers.tanks().stream()
        .map(tank ->
            new Card(
                tank.id(),
                tank.label(),
                "The thin line from its top, which lets air in and out.",
                List.of(
                    GuidePage.amount(
                        tank.id() + "-vent",
                        "Its vent ends above the ground",
                        units,
                        Measure.LENGTH,
                        tank.ventEnd(),
                        "Water runs out there when the tank is full."),
                    Field.tick(
                        tank.id() + "-rises", "It rises above that first", tank.ventRises(), ""))))
        .toList();
  }

  @Override
  public Answers read(Answers before, Sheet sheet) {
    return before.with(
        before.tanks().stream()
            .map(tank -> sheet.has(tank.id() + "-vent") ? read(tank, sheet) : tank)
            .toList());
  }

  private static Tank read(Tank tank, Sheet sheet) {
    return tank.vented(
        sheet.amount(
            tank.id() + "-vent", tank.label() + ", vent", Measure.LENGTH, tank.ventEnd(), 0.05, 5),
        sheet.tick(tank.id() + "-rises"));
  }
}
