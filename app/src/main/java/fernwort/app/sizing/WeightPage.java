package fernwort.app.sizing;

import fernwort.app.questions.Chart;
import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.Trip;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.hazard.LoadCheck;
import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.load.Bearing;
import fernwort.core.load.DrawOrders;
import fernwort.core.load.LightFill;
import fernwort.core.load.Loads;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Part;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.Demand;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What the water weighs, where, and how little of it will do. */
final class WeightPage {

  private static final int ORDERS_SHOWN = 6;

  private final Trip trip;

  private WeightPage(Trip trip) {
    this.trip = trip;
  }

  static List<Question> of(Trip trip) {
    WeightPage page = new WeightPage(trip);
    return List.of(page.weight(), page.lightFill(), page.orders());
  }

  private Question weight() {
    Form form = trip.form();
    Map<PartId, Double> tried = new HashMap<>();
    for (Part tank : trip.network().tanks()) {
      double capacity = trip.network().room(tank.id()).capacity();
      double percent =
          form.number(
              "load-" + tank.id(),
              "Try " + tank.label() + " at",
              Math.rint(100 * trip.now().volume(tank.id()) / capacity),
              "%",
              "");
      tried.put(tank.id(), capacity * Math.clamp(percent, 0, 100) / 100);
    }
    return Question.of(
        "weight",
        "Weight",
        form,
        Says.LEVEL_GROUND_MEASURED_EMPTY.text(),
        () -> {
          Loads now = Loads.of(trip.network(), trip.now().volumes());
          Loads full = Loads.of(trip.network(), trip.full().volumes());
          Loads any = Loads.of(trip.network(), tried);
          List<List<String>> rows = new ArrayList<>();
          rows.add(row(now.supports().get(0), now.onRear(), any.onRear(), full.onRear()));
          rows.add(row(now.supports().get(1), now.onFront(), any.onFront(), full.onFront()));
          rows.add(
              List.of(
                  Says.LEFT_HEAVIER_THAN_RIGHT_BY.text(),
                  mass(now.left()),
                  mass(any.left()),
                  mass(full.left()),
                  "",
                  ""));
          return Question.Answer.tables(
              withWarnings(
                  trip.units(), payload(full), LoadCheck.of(trip.network(), trip.now().volumes())),
              List.of(
                  new Question.Table(
                      "Loads",
                      List.of(
                          "on",
                          Says.AS_READ_INSIDE.text(),
                          "tried",
                          "full",
                          "limit",
                          Says.MARGIN_FULL.text()),
                      rows)));
        });
  }

  /** What is wrong with the loads as the tanks are read comes first. */
  private static List<Question.Row> withWarnings(
      Units units, List<Question.Row> rows, List<Warning> warnings) {
    List<Question.Row> all = new ArrayList<>();
    warnings.forEach(w ->
        all.add(
            new Question.Row(
                "△ " + units.say(w.title()), units.say(w.what()), units.say(w.fix()))));
    all.addAll(rows);
    return all;
  }

  /** Returns a mass; one without end is a limit that nobody read from the plate. */
  private String mass(double kilograms) {
    return Double.isInfinite(kilograms) ? Says.LIMIT_NOT_KNOWN.text() : trip.mass(kilograms);
  }

  private List<Question.Row> payload(Loads full) {
    List<Axle> axles = trip.rig().vehicle().axles();
    if (axles.stream().anyMatch(a -> Double.isInfinite(a.bears()))) {
      return List.of(
          new Question.Row(
              Says.AXLE_LIMITS.text(),
              Says.NOT_KNOWN_IT_IS_ON_THE_PLATE.text(),
              Says.READ_THE_PLATE_AND_ENTER.text()));
    }
    double spare = axles.stream().mapToDouble(a -> a.limit() - a.emptyLoad()).sum();
    return List.of(
        new Question.Row(
            Says.WHAT_THE_AXLES_LEAVE.text(),
            mass(spare),
            Says.THEIR_LIMITS_LESS_THEIR_EMPTY.text()),
        new Question.Row(
            Says.OF_IT_TAKES_FULL_FRESH_WATER.text(),
            String.format(
                Locale.ROOT, "%s, %.0f %%", mass(full.total()), 100 * full.total() / spare),
            Says.PEOPLE_FOOD_AND_TOOLS_NEED.text()));
  }

  private List<String> row(Bearing support, double now, double tried, double full) {
    double margin = support.highest() - full;
    return List.of(
        called(support) + (support.empty() == 0 ? Says.WATER_ALONE.text() : ""),
        mass(now),
        mass(tried),
        mass(full),
        mass(support.highest()),
        margin(support, full, margin));
  }

  private String margin(Bearing support, double full, double margin) {
    if (margin < 0) {
      return Says.OVER_BY.filled(mass(-margin));
    }
    boolean light = support.lowest() > 0 && support.empty() > 0 && full < support.lowest();
    return light ? Says.TOO_LIGHT_BY.filled(mass(support.lowest() - full)) : mass(margin);
  }

  private static String called(Bearing support) {
    if (support.label().equals("drawbar")) {
      return support.label();
    }
    return support.label() + (support.label().contains("+") ? " axles" : " axle");
  }

  // --- the smallest fill -----------------------------------------------------------------------

  private Question lightFill() {
    Form form = trip.form();
    double days = form.number("leg-days", Says.DAYS_TO_THE_NEXT_FILL.text(), 2, "", "");
    double reserve = form.number("leg-reserve", "Reserve", 20, "%", "");
    return Question.of(
        "light",
        Says.CARRY_ONLY_WHAT_THE_NEXT_LEG.text(),
        form,
        Says.EVERY_ORDER_OF_FILLING_WAS_TRIED.text(),
        () -> {
          Demand demand = Demand.of(trip.habits(), days, reserve / 100);
          LightFill fill = LightFill.of(trip.network(), demand.fresh().expected());
          List<Question.Row> rows = new ArrayList<>();
          rows.add(
              new Question.Row(
                  Says.NEEDED_TO_DRAW.text(),
                  volume(demand.fresh().expected()),
                  Says.A_DAY_DAYS.filled(
                      volume(trip.habits().freshPerDay()), Form.shown(days), Form.shown(reserve))));
          for (LightFill.Filled tank : fill.tanks()) {
            rows.add(
                new Question.Row(
                    trip.label(tank.tank()),
                    volume(tank.volume()),
                    Says.STANDS_ABOVE_THE_TANKS_FLOOR.filled(
                        trip.show(Measure.LENGTH, tank.level()))));
          }
          if (fill.missing() > 1e-6) {
            rows.add(
                new Question.Row(
                    Says.DOES_NOT_FIT.text(),
                    volume(fill.missing()),
                    Says.FILL_ON_THE_WAY_OR_USE_LESS.text()));
          }
          Loads full = Loads.of(trip.network(), trip.full().volumes());
          rows.add(
              new Question.Row(
                  "Saves",
                  mass(full.total() - fill.loads().total()),
                  Double.isInfinite(full.margin())
                      ? Says.AGAINST_FULL_TANKS.text()
                      : Says.AGAINST_FULL_TANKS_SMALLEST.filled(
                          trip.mass(fill.loads().margin()), trip.mass(full.margin()))));
          return Question.Answer.rows(rows);
        });
  }

  // --- which tank first ------------------------------------------------------------------------

  private Question orders() {
    return Question.of(
        "orders",
        Says.WHICH_TANK_FIRST.text(),
        trip.form(),
        Says.EVERY_ORDER_WAS_TRIED_FROM_FULL.text(),
        () -> {
          double share = trip.habits().grayPerDay() / trip.habits().freshPerDay();
          List<DrawOrders.Order> all = DrawOrders.of(trip.network(), trip.full().volumes(), share);
          if (Double.isInfinite(all.getFirst().worst())) {
            // Without a limit every order keeps as much to spare as any other.
            throw new Refusal(Says.READ_THE_PLATE_AND_ENTER.with());
          }
          return new Question.Answer(
              all.stream().limit(ORDERS_SHOWN).map(this::orderRow).toList(),
              List.of(),
              course(all.getFirst(), all.getLast()));
        });
  }

  private Question.Row orderRow(DrawOrders.Order order) {
    return new Question.Row(
        order.tanks().stream().map(trip::label).collect(Collectors.joining(Says.THEN.text())),
        Says.TO_SPARE.filled(trip.mass(order.worst())),
        Says.SIDE_TO_SIDE_AT_MOST.filled(mass(order.side())));
  }

  private List<Chart> course(DrawOrders.Order best, DrawOrders.Order worst) {
    List<Chart> charts = new ArrayList<>();
    for (int s = 0; s < 2; s++) {
      boolean rear = s == 0;
      Bearing support = best.course().getFirst().supports().get(s);
      List<Double> drawn = Chart.with(best.drawn(), values(worst.drawn()));
      List<Double> at = trip.in(Measure.VOLUME, drawn);
      charts.add(
          new Chart(
              Says.LOAD_ON_AS_THE_FRESH_TANKS_EMPTY.filled(called(support)),
              trip.axis("drawn", Measure.VOLUME),
              trip.axis("load", Measure.MASS),
              at,
              Stream.concat(
                      Stream.of(
                          course(Says.BEST_ORDER.text(), Chart.Style.EXPECTED, best, drawn, rear),
                          course(Says.WORST_ORDER.text(), Chart.Style.HIGH, worst, drawn, rear)),
                      limit(support, at.size()))
                  .toList()));
    }
    return charts;
  }

  /** What a support may carry as a level, where somebody read the plate. */
  private Stream<Chart.Course> limit(Bearing support, int points) {
    return Double.isInfinite(support.highest())
        ? Stream.of()
        : Stream.of(
            Chart.Course.level(
                "allowed",
                Chart.Style.LIMIT,
                trip.units().in(Measure.MASS, support.highest()),
                points));
  }

  private Chart.Course course(
      String name, Chart.Style style, DrawOrders.Order order, List<Double> drawn, boolean rear) {
    List<Double> loads = Chart.over(drawn, rear ? order::onRear : order::onFront);
    return new Chart.Course(name, style, trip.in(Measure.MASS, loads));
  }

  private static double[] values(List<Double> list) {
    return list.stream().mapToDouble(Double::doubleValue).toArray();
  }

  private String volume(double si) {
    return trip.show(Measure.VOLUME, si);
  }
}
