package fernwort.app.sizing;

import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.Trip;
import fernwort.app.units.Measure;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.tank.Contents;
import fernwort.core.load.Restraint;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.Demand;
import fernwort.core.sizing.Hauling;
import fernwort.core.sizing.TimedJug;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** How water comes aboard: timed, filled, buffered and hauled. */
final class SupplyPage {

  private static final double LITRES_PER_MINUTE = 1e-3 / 60;

  /** Newtons in the kilograms that straps are stamped with. */
  private static final double NEWTONS = 9.80665;

  private final Trip trip;

  private SupplyPage(Trip trip) {
    this.trip = trip;
  }

  static List<Question> of(Trip trip) {
    SupplyPage page = new SupplyPage(trip);
    return List.of(page.jug(), page.filling(), page.buffer(), page.hauling());
  }

  // --- timed jug -----------------------------------------------------------------------------

  private Question jug() {
    Form form = trip.form();
    double jug = form.amount("jug", "The jug holds", Measure.VOLUME, 5e-3, "");
    List<Double> near =
        form.numbers(
            "jug-near", "Seconds, each go", "At the tap or pump. Three goes show the spread.");
    List<Double> far =
        form.numbers(
            "jug-far", "Seconds farther on", "At the far end, same supply, if you timed it.");
    return Question.of(
        "jug",
        "Timed jug",
        form,
        "Between two points the lost share of the pressure is 1 − (far ÷ near)². Flow goes with the"
            + " root of pressure.",
        () -> {
          if (near.isEmpty()) {
            throw new Refusal("Fill the jug and enter how long it took");
          }
          TimedJug first = TimedJug.of(jug, near);
          List<Question.Row> rows = new ArrayList<>();
          rows.add(timed("Flow", first));
          if (!far.isEmpty()) {
            TimedJug second = TimedJug.of(jug, far);
            double lost = TimedJug.lostBetween(first, second);
            rows.add(timed("Flow farther on", second));
            rows.add(
                new Question.Row(
                    "Lost between the two",
                    String.format(Locale.ROOT, "%.0f %% of the pressure", 100 * lost),
                    lost > 0.5
                        ? "the bottleneck lies between the two points"
                        : "the bottleneck lies before the first point"));
          }
          for (Part tank : freshTanks()) {
            double volume = fills(tank);
            rows.add(
                new Question.Row(
                    "Fills " + tank.label(),
                    minutes(first.fill(volume)),
                    "%s ÷ %s".formatted(volume(volume), trip.flow(first.flow()))));
          }
          return Question.Answer.rows(rows);
        });
  }

  private Question.Row timed(String what, TimedJug jug) {
    return new Question.Row(
        what,
        trip.flow(jug.flow()),
        jug.goes() > 1
            ? String.format(
                Locale.ROOT, "mean of %d goes, spread %s", jug.goes(), trip.flow(jug.spread()))
            : "one go; time it three times to see its spread");
  }

  // --- filling -------------------------------------------------------------------------------

  private Question filling() {
    Form form = trip.form();
    double tap =
        form.amount(
            "fill-tap",
            "Tap through a hose",
            Measure.FLOW,
            tap(),
            "As timed for the hose inlet, if it was; sites give 5 to 25 L/min.");
    double filler =
        form.amount(
            "fill-filler",
            "Gravity fill takes",
            Measure.FLOW,
            15 * LITRES_PER_MINUTE,
            "Until it spits; an estimate for a 38 mm filler.");
    double jug = form.amount("fill-jug", "A jug holds", Measure.VOLUME, 10e-3, "");
    double seconds =
        form.number(
            "fill-jug-seconds",
            "Seconds for each jug",
            75,
            "s",
            "Fetch, lift, pour. Lift with care.");
    double pump =
        form.amount(
            "fill-pump",
            "Pump from outside",
            Measure.FLOW,
            pump(),
            "By its plate, if one is on board; it moves less than that through a long line.");
    return Question.of(
        "filling",
        "How long filling takes",
        form,
        "From empty to the vent. Stay with it: fill slowly with a drinking-water hose, vent open, and"
            + " watch the overflow. Outside water is not drinking water.",
        () -> {
          double[] flows = {tap, filler, jug / seconds, pump};
          List<List<String>> rows =
              freshTanks().stream()
                  .map(t -> {
                    List<String> row = new ArrayList<>(List.of(t.label(), volume(fills(t))));
                    for (double flow : flows) {
                      row.add(minutes(fills(t) / flow));
                    }
                    row.add(String.format(Locale.ROOT, "%.0f", Math.ceil(fills(t) / jug - 1e-9)));
                    return row;
                  })
                  .toList();
          return Question.Answer.tables(
              List.of(),
              List.of(
                  new Question.Table(
                      "Minutes for each tank",
                      List.of("tank", "takes", "tap", "filler", "jug", "pump", "jugs"),
                      rows)));
        });
  }

  /** What the strongest hose inlet was timed to give (m³/s), else an ordinary tap. */
  private double tap() {
    return trip.rig().parts().stream()
        .flatMap(p -> p.kind().gives().stream())
        .flatMap(given -> given.flow().stream())
        .max(Double::compare)
        .orElse(HoseInlet.TAP);
  }

  /** What the strongest transfer pump on board gives (m³/s), else an ordinary one. */
  private double pump() {
    return trip.rig().parts().stream()
        .filter(p -> p.kind().is(Purpose.PUMPS) && p.kind().brings() > 0)
        .map(p -> p.kind().brings())
        .max(Double::compare)
        .orElse(10 * LITRES_PER_MINUTE);
  }

  private List<Part> freshTanks() {
    return trip.rig().tanks(Contents.FRESH).toList();
  }

  /** What a tank takes from empty to its lowest vent (m³). */
  private double fills(Part part) {
    return trip.network().figures(part, Slope.LEVEL).full();
  }

  // --- buffer --------------------------------------------------------------------------------

  private Question buffer() {
    Form form = trip.form();
    double supply =
        form.amount("buffer-supply", "The supply gives", Measure.FLOW, 4 * LITRES_PER_MINUTE, "");
    double demand =
        form.amount("buffer-demand", "You want", Measure.FLOW, 8 * LITRES_PER_MINUTE, "");
    double minutes = form.number("buffer-minutes", "For so many minutes", 10, "min", "");
    return Question.of(
        "buffer",
        "A supply slower than you want",
        form,
        "A tank between a slow supply and the pump holds what the supply cannot give in time.",
        () -> {
          if (!(supply >= 0 && demand > 0 && minutes > 0)) {
            throw new Refusal(
                "The supply gives nothing or more; what you want and its minutes are more than nothing");
          }
          double needs = new TimedJug(supply, 0, 1).buffer(demand, minutes * 60);
          List<Question.Row> rows = new ArrayList<>();
          rows.add(
              new Question.Row(
                  "Buffer",
                  volume(needs),
                  "(%s − %s) × %s min"
                      .formatted(trip.flow(demand), trip.flow(supply), Form.shown(minutes))));
          if (supply > 0) {
            rows.add(
                new Question.Row(
                    "Full again after", minutes(needs / supply), "at the supply's own pace"));
          }
          return Question.Answer.rows(rows);
        });
  }

  // --- hauling -------------------------------------------------------------------------------

  private Question hauling() {
    Form form = trip.form();
    double needed =
        form.amount(
            "haul-volume",
            "Water to fetch",
            Measure.VOLUME,
            Demand.of(trip.habits(), 5, 0.15).fresh().expected(),
            "Default: five days of your habits and 15 %.");
    double holds = form.amount("haul-holds", "A container holds", Measure.VOLUME, 20e-3, "");
    double empty = form.amount("haul-empty", "It weighs empty", Measure.MASS, 1.2, "");
    double count = form.number("haul-count", "How many there are", 6, "", "");
    double payload =
        form.amount(
            "haul-payload",
            "May be carried on a trip",
            Measure.MASS,
            200,
            "Payload of the vehicle less people and cargo.");
    double price =
        form.number(
            "haul-price",
            "Price of one filling",
            0,
            trip.units().currency(),
            "Choose the currency under Rigs.");
    double trips = form.number("haul-trip", "Price of one trip", 0, "", "Fuel, toll, entry.");
    double straps = form.number("haul-straps", "Straps that hold it forwards", 2, "", "");
    double rating =
        form.amount(
            "haul-rating",
            "Rating of one strap",
            Measure.MASS,
            250,
            "Lashing capacity or working load limit on its tag: 1 daN is about 1 kg.");
    double angle =
        form.number("haul-angle", "Angle to straight ahead", 45, "°", "0 pulls straight back.");
    double braking =
        form.number(
            "haul-braking",
            "Braking to design for",
            Restraint.FORWARD,
            "g",
            "EN 12195-1:2010; your own code first.");
    return Question.of(
        "hauling",
        "Hauling water",
        form,
        "Friction is not counted, which is on the safe side. Against swerving take half as much: 0.5 g"
            + " to each side. Loose water weighs more on a bend than full containers do. Carry"
            + " drinking water in food-grade containers.",
        () -> {
          Hauling hauling =
              Hauling.of(
                  needed,
                  new Hauling.Container(holds, empty, (int) count),
                  payload,
                  price / holds,
                  trips);
          Restraint ties =
              Restraint.of(hauling.load(), braking, (int) straps, rating * NEWTONS, angle);
          List<Question.Row> rows = new ArrayList<>();
          rows.add(
              new Question.Row(
                  "Trips",
                  Integer.toString(hauling.trips()),
                  String.format(
                      Locale.ROOT,
                      "%d fillings, %d on a trip",
                      hauling.containers(),
                      hauling.perTrip())));
          rows.add(
              new Question.Row(
                  "A full trip weighs",
                  trip.mass(hauling.load()),
                  "of %s that may be carried".formatted(trip.mass(payload))));
          if (price > 0 || trips > 0) {
            rows.add(
                new Question.Row(
                    "Costs",
                    trip.units().price(BigDecimal.valueOf(hauling.price())),
                    String.format(
                        Locale.ROOT,
                        "%d fillings and %d trips",
                        hauling.containers(),
                        hauling.trips())));
          }
          rows.add(
              new Question.Row(
                  "Tie-down",
                  ties.enough() ? "holds" : "△ does not hold",
                  "%s × %s g pulls with %s; the straps hold %s%s"
                      .formatted(
                          trip.mass(hauling.load()),
                          Form.shown(braking),
                          trip.mass(ties.load() / NEWTONS),
                          trip.mass(ties.holds() / NEWTONS),
                          ties.enough()
                              ? ""
                              : String.format(
                                  Locale.ROOT,
                                  "; take %d like these",
                                  ties.needed((int) straps)))));
          return Question.Answer.rows(rows);
        });
  }

  private String volume(double si) {
    return trip.show(Measure.VOLUME, si);
  }

  private static String minutes(double seconds) {
    if (!Double.isFinite(seconds)) {
      return "never";
    }
    return seconds < 7200
        ? String.format(Locale.ROOT, "%.0f min", Math.ceil(seconds / 60))
        : String.format(Locale.ROOT, "%.1f h", seconds / 3600);
  }
}
