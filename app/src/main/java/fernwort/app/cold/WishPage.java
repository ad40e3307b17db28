package fernwort.app.cold;

import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.Trip;
import fernwort.app.units.Measure;
import fernwort.app.web.Field;
import fernwort.core.say.Refusal;
import fernwort.core.winter.sheets.WinterWish;
import java.util.List;
import java.util.Optional;

/** What somebody has and wants for the winter, kept with the rig. */
final class WishPage {

  private WishPage() {}

  /** The question, and the wish as far as it was understood. */
  record Asked(Question question, WinterWish wish) {}

  static Asked of(Trip trip) {
    Form form = trip.form();
    WinterWish usual = WinterWish.USUAL;
    double cold =
        form.amount(
            "winter-cold",
            Says.DOWN_TO_FIRST.text(),
            Measure.TEMPERATURE,
            usual.cold(),
            Says.THE_COLDEST_YOU_EXPECT.text());
    double air =
        form.amount(
            "winter-air",
            Says.COMPRESSOR_GIVES.text(),
            Measure.FLOW,
            usual.air(),
            Says.FREE_AIR_ON_ITS_PLATE_A_HAND.text());
    double pressure =
        form.amount(
            "winter-pressure",
            Says.ITS_REGULATOR_AT.text(),
            Measure.PRESSURE,
            usual.pressure(),
            Says.NEVER_OVER_2_BAR_NOR.text());
    double strength =
        form.number(
            "winter-strength",
            "Antifreeze",
            100 * usual.strength(),
            Says.GLYCOL.text(),
            Says.ON_ITS_LABEL.text());
    double jug =
        form.amount("winter-jug", Says.A_JUG_HOLDS.text(), Measure.VOLUME, usual.jug(), "");
    double price =
        form.number(
            "winter-price",
            Says.AND_COSTS.text(),
            usual.price(),
            trip.units().currency(),
            Says.CHOOSE_THE_CURRENCY_UNDER_RIGS.text());
    boolean blown =
        form.choice(
                "winter-lines",
                Says.COMBINED_METHOD_PIPES.text(),
                List.of(
                    new Field.Option("fall", Says.RUN_OUT_BY_GRAVITY.text()),
                    new Field.Option("air", Says.ARE_BLOWN_OUT_TOO.text())))
            .equals("air");
    boolean cups =
        form.choice(
                "winter-traps",
                Says.ITS_TRAPS.text(),
                List.of(
                    new Field.Option("cup", Says.GET_A_CUP_OF_ANTIFREEZE.text()),
                    new Field.Option("open", Says.GET_THEIR_PLUGS_TAKEN_OUT.text())))
            .equals("cup");
    WinterWish wish = usual;
    String problem = form.problem();
    if (problem.isEmpty()) {
      try {
        wish = new WinterWish(cold, air, pressure, strength / 100, jug, price, blown, cups);
      } catch (Refusal e) {
        problem = e.getMessage();
      }
    }
    return new Asked(
        new Question(
            "wish",
            Says.WHAT_YOU_HAVE_AND_WANT.text(),
            form.fields(),
            problem,
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            Optional.empty(),
            ""),
        wish);
  }
}
