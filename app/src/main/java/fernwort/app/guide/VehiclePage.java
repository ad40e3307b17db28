package fernwort.app.guide;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.describe.RigEdit;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.StandsOn;
import java.util.List;
import java.util.Optional;

/** The vehicle, and who travels. */
final class VehiclePage implements GuidePage {

  private static final int MOST_PEOPLE = 20;

  /** Floors of vehicles lie between these (m). */
  private static final double LOWEST_FLOOR = 0.2;

  private static final double HIGHEST_FLOOR = 2;

  /** Axles of vehicles carry between these (kg). */
  private static final double LIGHTEST_AXLE = 100;

  private static final double HEAVIEST_AXLE = 20_000;

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
            Says.THE_VEHICLE.text(),
            "",
            List.of(
                Field.text("name", Says.WHAT_YOU_CALL_IT.text(), answers.name(), ""),
                Field.choice(
                    "body",
                    Says.WHAT_IT_IS.text(),
                    answers.vehicle().standsOn().name(),
                    List.of(
                        new Field.Option("VAN", Says.VAN_WITH_TWO_AXLES.text()),
                        new Field.Option("TRUCK", Says.BUS_OR_TRUCK_WITH_TWO_AXLES.text()),
                        new Field.Option("SLIDE_IN", Says.A_SLIDE_IN_ON_A_TRUCK.text()),
                        new Field.Option("TRAILER", Says.TRAILER_WITH_A_COUPLING.text()),
                        new Field.Option("TANDEM", Says.A_TRAILER_WITH_TWO_AXLES.text()),
                        new Field.Option("WAGON", Says.A_WAGON_THAT_STEERS.text()))),
                GuidePage.amount(
                    "length",
                    Says.HOW_LONG_IT_IS.text(),
                    units,
                    Measure.LENGTH,
                    answers.vehicle().length(),
                    Says.FROM_BUMPER_TO_BUMPER_ROUGHLY.text()),
                optional(
                    "floor",
                    Says.ITS_FLOOR_ABOVE_THE_GROUND.text(),
                    units,
                    Measure.LENGTH,
                    answers.vehicle().floor(),
                    Says.LEAVE_IT_EMPTY_IF_NOT_MEASURED.text()),
                optional(
                    "rear-limit",
                    Says.THE_REAR_AXLE_MAY_CARRY.text(),
                    units,
                    Measure.MASS,
                    answers.vehicle().rearLimit(),
                    Says.AS_THE_PLATE_SAYS.text()),
                optional(
                    "front-limit",
                    Says.THE_FRONT_AXLE_MAY_CARRY.text(),
                    units,
                    Measure.MASS,
                    answers.vehicle().frontLimit(),
                    Says.AS_THE_PLATE_SAYS_FRONT.text()),
                Field.number(
                    "people",
                    Says.HOW_MANY_TRAVEL.text(),
                    Integer.toString(answers.people()),
                    "",
                    ""),
                UnitChoice.field(units))),
        new Card("own-units", Says.UNITS_OF_YOUR_OWN.text(), "", UnitChoice.own(units)));
  }

  private static Field optional(
      String name, String label, Units units, Measure measure, Optional<Double> si, String hint) {
    return Field.number(
        name,
        label,
        si.map(v -> units.number(measure, v)).orElse(""),
        units.unit(measure).sign(),
        hint);
  }

  @Override
  public RigAnswers read(RigAnswers before, FilledPage sheet) {
    StandsOn stands = sheet.choice("body", before.vehicle().standsOn());
    return before.on(
        RigEdit.shortened(sheet.words("name", before.name())),
        people(before, sheet),
        new RigAnswers.Van(
            stands.body(),
            sheet.amount(
                "length",
                Says.ITS_LENGTH.text(),
                Measure.LENGTH,
                before.vehicle().length(),
                1.5,
                20),
            sheet.optional(
                "floor",
                Says.ITS_FLOOR.text(),
                Measure.LENGTH,
                before.vehicle().floor(),
                LOWEST_FLOOR,
                HIGHEST_FLOOR),
            limit(sheet, "rear-limit", Says.THE_REAR_AXLE.text(), before.vehicle().rearLimit()),
            limit(sheet, "front-limit", Says.THE_FRONT_AXLE.text(), before.vehicle().frontLimit()),
            Optional.of(stands)));
  }

  private static Optional<Double> limit(
      FilledPage sheet, String field, String label, Optional<Double> before) {
    return sheet.optional(field, label, Measure.MASS, before, LIGHTEST_AXLE, HEAVIEST_AXLE);
  }

  private static int people(RigAnswers before, FilledPage sheet) {
    String text = sheet.text("people");
    if (text.matches("[0-9]{1,2}") && Integer.parseInt(text) <= MOST_PEOPLE) {
      return Integer.parseInt(text);
    }
    if (!text.isEmpty()) {
      sheet.error("people", Says.HOW_MANY_TRAVEL_IS_NOT_A_NUMBER.filled(text));
    }
    return before.people();
  }
}
