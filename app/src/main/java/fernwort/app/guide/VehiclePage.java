package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.describe.RigEdit;
import fernwort.core.guide.RigAnswers;
import fernwort.core.rig.Vehicle;
import java.util.List;

/** The vehicle, and who travels. */
final class VehiclePage implements GuidePage {

  private static final int MOST_PEOPLE = 20;

  @Override
  public String id() {
    return "vehicle";
  }

  @Override
  public String title() {
    return "Vehicle";
  }

  @Override
  public List<Card> cards(RigAnswers answers, Units units) {
    return List.of(
        new Card(
            "vehicle",
            "The vehicle",
            "",
            List.of(
                Field.text("name", "What you call it", answers.name(), ""),
                Field.choice(
                    "body",
                    "What it is",
                    answers.vehicle().body().name(),
                    List.of(
                        new Field.Option("VAN", "van, with two axles"),
                        new Field.Option("TRUCK", "bus or truck, with two axles"),
                        new Field.Option("TRAILER", "trailer, with a coupling"))),
                GuidePage.amount(
                    "length",
                    "How long it is",
                    units,
                    Measure.LENGTH,
                    answers.vehicle().length(),
                    "From bumper to bumper, roughly; a trailer without its drawbar."),
                Field.number(
                    "people", "How many travel", Integer.toString(answers.people()), "", ""),
                UnitChoice.field(units))),
        new Card("own-units", "Units of your own", "", UnitChoice.own(units)));
  }

  @Override
  public RigAnswers read(RigAnswers before, FilledPage sheet) {
    return before.on(
        RigEdit.shortened(sheet.words("name", before.name())),
        people(before, sheet),
        new RigAnswers.Van(
            sheet.choice("body", Vehicle.Body.class).orElse(before.vehicle().body()),
            sheet.amount(
                "length", "Its length", Measure.LENGTH, before.vehicle().length(), 1.5, 20)));
  }

  private static int people(RigAnswers before, FilledPage sheet) {
    String text = sheet.text("people");
    if (text.matches("[0-9]{1,2}") && Integer.parseInt(text) <= MOST_PEOPLE) {
      return Integer.parseInt(text);
    }
    if (!text.isEmpty()) {
      sheet.error("people", "How many travel: “" + text + "” is not a number from 0 to 20");
    }
    return before.people();
  }
}
