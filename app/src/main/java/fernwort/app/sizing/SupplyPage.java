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
    double jug = form.amount("jug", Says.THE_JUG_HOLDS.text(), Measure.VOLUME, 5e-3, "");
    List<Double> near =
        form.numbers(
            "jug-near", Says.SECONDS_EACH_GO.text(), Says.AT_THE_TAP_OR_PUMP_THREE_GOES.text());
    List<Double> far =
        form.numbers(
            "jug-far", Says.SECONDS_FARTHER_ON.text(), Says.AT_THE_FAR_END_SAME_SUPPLY.text());
    return Question.of(
        "jug",
        Says.TIMED_JUG.text(),
        form,
        Says.BETWEEN_TWO_POINTS_THE_LOST.text(),
        () -> {
          if (near.isEmpty()) {
            throw new Refusal(Says.FILL_THE_JUG_AND_ENTER_HOW_LONG.with());
          }
          TimedJug first = TimedJug.of(jug, near);
          List<Question.Row> rows = new ArrayList<>();
          rows.add(timed("Flow", first));
          if (!far.isEmpty()) {
            TimedJug second = TimedJug.of(jug, far);
            double lost = TimedJug.lostBetween(first, second);
            rows.add(timed(Says.FLOW_FARTHER_ON.text(), second));
            rows.add(
                new Question.Row(
                    Says.LOST_BETWEEN_THE_TWO.text(),
                    String.format(Locale.ROOT, Says.OF_THE_PRESSURE.text(), 100 * lost),
                    lost > 0.5
                        ? Says.THE_BOTTLENECK_LIES_BETWEEN.text()
                        : Says.THE_BOTTLENECK_LIES.text()));
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
            ? Says.MEAN_OF_GOES_SPREAD.filled(jug.goes(), trip.flow(jug.spread()))
            : Says.ONE_GO_TIME_IT_THREE_TIMES.text());
  }

  // --- filling -------------------------------------------------------------------------------

  private Question filling() {
    Form form = trip.form();
    double tap =
        form.amount(
            "fill-tap",
            Says.TAP_THROUGH_A_HOSE.text(),
            Measure.FLOW,
            tap(),
            Says.AS_TIMED_FOR_THE_HOSE_INLET.text());
    double filler =
        form.amount(
            "fill-filler",
            Says.GRAVITY_FILL_TAKES.text(),
            Measure.FLOW,
            15 * LITRES_PER_MINUTE,
            Says.UNTIL_IT_SPITS_AN_ESTIMATE.text());
    double jug = form.amount("fill-jug", Says.A_JUG_HOLDS.text(), Measure.VOLUME, 10e-3, "");
    double seconds =
        form.number(
            "fill-jug-seconds",
            Says.SECONDS_FOR_EACH_JUG.text(),
            75,
            "s",
            Says.FETCH_LIFT_POUR_LIFT_WITH_CARE.text());
    double pump =
        form.amount(
            "fill-pump",
            Says.PUMP_FROM_OUTSIDE.text(),
            Measure.FLOW,
            pump(),
            Says.BY_ITS_PLATE.text());
    return Question.of(
        "filling",
        Says.HOW_LONG_FILLING_TAKES.text(),
        form,
        Says.FROM_EMPTY_TO_THE_VENT_STAY.text(),
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
                      Says.MINUTES_FOR_EACH_TANK.text(),
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
        form.amount(
            "buffer-supply", Says.THE_SUPPLY_GIVES.text(), Measure.FLOW, 4 * LITRES_PER_MINUTE, "");
    double demand =
        form.amount("buffer-demand", Says.YOU_WANT.text(), Measure.FLOW, 8 * LITRES_PER_MINUTE, "");
    double minutes = form.number("buffer-minutes", Says.FOR_SO_MANY_MINUTES.text(), 10, "min", "");
    return Question.of(
        "buffer",
        Says.A_SUPPLY_SLOWER_THAN_YOU_WANT.text(),
        form,
        Says.A_TANK_BETWEEN_A_SLOW_SUPPLY.text(),
        () -> {
          if (!(supply >= 0 && demand > 0 && minutes > 0)) {
            throw new Refusal(Says.THE_SUPPLY_GIVES_NOTHING.with());
          }
          double needs = new TimedJug(supply, 0, 1).buffer(demand, minutes * 60);
          List<Question.Row> rows = new ArrayList<>();
          rows.add(
              new Question.Row(
                  "Buffer",
                  volume(needs),
                  Says.MIN.filled(trip.flow(demand), trip.flow(supply), Form.shown(minutes))));
          if (supply > 0) {
            rows.add(
                new Question.Row(
                    Says.FULL_AGAIN_AFTER.text(),
                    minutes(needs / supply),
                    Says.AT_THE_SUPPLYS_OWN_PACE.text()));
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
            Says.WATER_TO_FETCH.text(),
            Measure.VOLUME,
            Demand.of(trip.habits(), 5, 0.15).fresh().expected(),
            Says.DEFAULT_FIVE_DAYS_OF_YOUR_HABITS.text());
    double holds =
        form.amount("haul-holds", Says.A_CONTAINER_HOLDS.text(), Measure.VOLUME, 20e-3, "");
    double empty = form.amount("haul-empty", Says.IT_WEIGHS_EMPTY.text(), Measure.MASS, 1.2, "");
    double count = form.number("haul-count", Says.HOW_MANY_THERE_ARE.text(), 6, "", "");
    double payload =
        form.amount(
            "haul-payload",
            Says.MAY_BE_CARRIED_ON_A_TRIP.text(),
            Measure.MASS,
            200,
            Says.PAYLOAD_OF_THE_VEHICLE.text());
    double price =
        form.number(
            "haul-price",
            Says.PRICE_OF_ONE_FILLING.text(),
            0,
            trip.units().currency(),
            Says.CHOOSE_THE_CURRENCY_UNDER_RIGS.text());
    double trips =
        form.number("haul-trip", Says.PRICE_OF_ONE_TRIP.text(), 0, "", Says.FUEL_TOLL_ENTRY.text());
    double straps = form.number("haul-straps", Says.STRAPS_THAT_HOLD_IT_FORWARDS.text(), 2, "", "");
    double rating =
        form.amount(
            "haul-rating",
            Says.RATING_OF_ONE_STRAP.text(),
            Measure.MASS,
            250,
            Says.LASHING_CAPACITY_OR_WORKING_LOAD.text());
    double angle =
        form.number(
            "haul-angle",
            Says.ANGLE_TO_STRAIGHT_AHEAD.text(),
            45,
            "°",
            Says.FOR_0_PULLS_STRAIGHT_BACK.text());
    double braking =
        form.number(
            "haul-braking",
            Says.BRAKING_TO_DESIGN_FOR.text(),
            Restraint.FORWARD,
            "g",
            Says.EN_12195_1_2010_YOUR_OWN_CODE.text());
    return Question.of(
        "hauling",
        Says.HAULING_WATER.text(),
        form,
        Says.FRICTION_IS_NOT_COUNTED.text(),
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
                  Says.FILLINGS_ON_A_TRIP.filled(hauling.containers(), hauling.perTrip())));
          rows.add(
              new Question.Row(
                  Says.A_FULL_TRIP_WEIGHS.text(),
                  trip.mass(hauling.load()),
                  Says.OF_THAT_MAY_BE_CARRIED.filled(trip.mass(payload))));
          if (price > 0 || trips > 0) {
            rows.add(
                new Question.Row(
                    "Costs",
                    trip.units().price(BigDecimal.valueOf(hauling.price())),
                    Says.FILLINGS_AND_TRIPS.filled(hauling.containers(), hauling.trips())));
          }
          rows.add(
              new Question.Row(
                  "Tie-down",
                  ties.enough() ? "holds" : Says.DOES_NOT_HOLD.text(),
                  Says.G_PULLS_WITH_THE_STRAPS_HOLD.filled(
                      trip.mass(hauling.load()),
                      Form.shown(braking),
                      trip.mass(ties.load() / NEWTONS),
                      trip.mass(ties.holds() / NEWTONS),
                      ties.enough()
                          ? ""
                          : Says.TAKE_LIKE_THESE.filled(ties.needed((int) straps)))));
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
