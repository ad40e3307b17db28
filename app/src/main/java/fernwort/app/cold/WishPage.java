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
            "winter-cold", "Down to", Measure.TEMPERATURE, usual.cold(), "The coldest you expect.");
    double air =
        form.amount(
            "winter-air",
            "Compressor gives",
            Measure.FLOW,
            usual.air(),
            "Free air, on its plate; a hand pump gives 20.");
    double pressure =
        form.amount(
            "winter-pressure",
            "Its regulator at",
            Measure.PRESSURE,
            usual.pressure(),
            "Never over 2 bar, nor over the weakest part.");
    double strength =
        form.number(
            "winter-strength", "Antifreeze", 100 * usual.strength(), "% glycol", "On its label.");
    double jug = form.amount("winter-jug", "A jug holds", Measure.VOLUME, usual.jug(), "");
    double price =
        form.number(
            "winter-price",
            "and costs",
            usual.price(),
            trip.units().currency(),
            "Choose the currency under Rigs.");
    boolean blown =
        form.choice(
                "winter-lines",
                "Combined method: pipes",
                List.of(
                    new Field.Option("fall", "run out by gravity"),
                    new Field.Option("air", "are blown out, too")))
            .equals("air");
    boolean cups =
        form.choice(
                "winter-traps",
                "Its traps",
                List.of(
                    new Field.Option("cup", "get a cup of antifreeze"),
                    new Field.Option("open", "get their plugs taken out")))
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
            "What you have and want",
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
