package fernwort.app.sizing;

import fernwort.app.questions.Chart;
import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.Trip;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.hazard.LoadCheck;
import fernwort.core.hazard.Warning;
import fernwort.core.load.Bearing;
import fernwort.core.load.DrawOrders;
import fernwort.core.load.LightFill;
import fernwort.core.load.Loads;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Part;
import fernwort.core.sizing.Demand;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

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
    Map<String, Double> tried = new HashMap<>();
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
        "Level ground, measured empty loads, water alone on top. A weighbridge has the last word.",
        () -> {
          Loads now = Loads.of(trip.network(), trip.now().volumes());
          Loads full = Loads.of(trip.network(), trip.full().volumes());
          Loads any = Loads.of(trip.network(), tried);
          List<List<String>> rows = new ArrayList<>();
          rows.add(row(now.supports().get(0), now.onRear(), any.onRear(), full.onRear()));
          rows.add(row(now.supports().get(1), now.onFront(), any.onFront(), full.onFront()));
          rows.add(
              List.of(
                  "left heavier than right by",
                  trip.mass(now.left()),
                  trip.mass(any.left()),
                  trip.mass(full.left()),
                  "",
                  ""));
          return Question.Answer.tables(
              withWarnings(
                  trip.units(), payload(full), LoadCheck.of(trip.network(), trip.now().volumes())),
              List.of(
                  new Question.Table(
                      "Loads",
                      List.of("on", "as read", "tried", "full", "limit", "margin full"),
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
                "△ " + units.say(w.title()), units.say(w.what()), units.say(w.mend()))));
    all.addAll(rows);
    return all;
  }

  private List<Question.Row> payload(Loads full) {
    List<Axle> axles = trip.rig().vehicle().axles();
    double spare = axles.stream().mapToDouble(a -> a.limit() - a.emptyLoad()).sum();
    return List.of(
        new Question.Row(
            "What the axles leave for everything",
            trip.mass(spare),
            "their limits less their empty loads; the vehicle's plated maximum may be less"),
        new Question.Row(
            "Of it takes full fresh water",
            String.format(
                Locale.ROOT, "%s, %.0f %%", trip.mass(full.total()), 100 * full.total() / spare),
            "people, food and tools need the rest"));
  }

  private List<String> row(Bearing support, double now, double tried, double full) {
    double margin = support.highest() - full;
    return List.of(
        called(support) + (support.empty() == 0 ? " (water alone)" : ""),
        trip.mass(now),
        trip.mass(tried),
        trip.mass(full),
        trip.mass(support.highest()),
        margin(support, full, margin));
  }

  private String margin(Bearing support, double full, double margin) {
    if (margin < 0) {
      return "△ over by " + trip.mass(-margin);
    }
    boolean light = support.lowest() > 0 && support.empty() > 0 && full < support.lowest();
    return light ? "△ too light by " + trip.mass(support.lowest() - full) : trip.mass(margin);
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
    double days = form.number("leg-days", "Days to the next fill", 2, "", "");
    double reserve = form.number("leg-reserve", "Reserve", 20, "%", "");
    return Question.of(
        "light",
        "Carry only what the next leg needs",
        form,
        "Every order of filling was tried; this one keeps most to spare. Mark the height on the tank"
            + " or gauge. A second, lower vent or overflow at that height, with a valve, stops the"
            + " filling there by itself; with its valve closed the tank fills to the top as before.",
        () -> {
          Demand demand = Demand.of(trip.habits(), days, reserve / 100);
          LightFill fill = LightFill.of(trip.network(), demand.fresh().expected());
          List<Question.Row> rows = new ArrayList<>();
          rows.add(
              new Question.Row(
                  "Needed to draw",
                  volume(demand.fresh().expected()),
                  "%s a day × %s days + %s %%"
                      .formatted(
                          volume(trip.habits().freshPerDay()),
                          Form.shown(days),
                          Form.shown(reserve))));
          for (LightFill.Filled tank : fill.tanks()) {
            rows.add(
                new Question.Row(
                    trip.label(tank.tank()),
                    volume(tank.volume()),
                    "stands %s above the tank's floor; with what cannot be drawn"
                        .formatted(trip.show(Measure.LENGTH, tank.level()))));
          }
          if (fill.missing() > 1e-6) {
            rows.add(
                new Question.Row(
                    "Does not fit", volume(fill.missing()), "fill on the way, or use less"));
          }
          Loads full = Loads.of(trip.network(), trip.full().volumes());
          rows.add(
              new Question.Row(
                  "Saves",
                  trip.mass(full.total() - fill.loads().total()),
                  "against full tanks; smallest margin %s instead of %s"
                      .formatted(trip.mass(fill.loads().margin()), trip.mass(full.margin()))));
          return Question.Answer.rows(rows);
        });
  }

  // --- which tank first ------------------------------------------------------------------------

  private Question orders() {
    return Question.of(
        "orders",
        "Which tank first",
        trip.form(),
        "Every order was tried from full, gray filling meanwhile. First stands the one that keeps most"
            + " to spare on axles and drawbar.",
        () -> {
          double share = trip.habits().grayPerDay() / trip.habits().freshPerDay();
          List<DrawOrders.Order> all = DrawOrders.of(trip.network(), trip.full().volumes(), share);
          return new Question.Answer(
              all.stream().limit(ORDERS_SHOWN).map(this::orderRow).toList(),
              List.of(),
              course(all.getFirst(), all.getLast()));
        });
  }

  private Question.Row orderRow(DrawOrders.Order order) {
    return new Question.Row(
        order.tanks().stream().map(trip::label).collect(Collectors.joining(", then ")),
        trip.mass(order.worst()) + " to spare",
        "side to side at most " + trip.mass(order.side()));
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
              "Load on %s as the fresh tanks empty, best and worst order"
                  .formatted(called(support)),
              trip.axis("drawn", Measure.VOLUME),
              trip.axis("load", Measure.MASS),
              at,
              List.of(
                  course("best order", Chart.Style.EXPECTED, best, drawn, rear),
                  course("worst order", Chart.Style.HIGH, worst, drawn, rear),
                  Chart.Course.level(
                      "allowed",
                      Chart.Style.LIMIT,
                      trip.units().in(Measure.MASS, support.highest()),
                      at.size()))));
    }
    return charts;
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
