package fernwort.app.sizing;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.load.DrawOrders;
import fernwort.core.load.Loads;
import fernwort.core.load.Support;
import fernwort.core.rig.Rig;
import fernwort.core.sizing.Demand;
import fernwort.core.sizing.Habits;
import fernwort.core.sizing.Lasts;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What the Sizing screen shows, in one person's units.
 *
 * @param rig the rig's address
 * @param name its name
 * @param stay how long today's water and full tanks last
 * @param need what the days asked for need
 * @param litres fresh water over the days
 * @param weight loads now and full; empty when they cannot be reckoned
 * @param weightProblem why they cannot; empty when they can
 * @param orders the best orders of drawing
 * @param course loads over the trip in the best order and the worst
 */
public record SizingView(
    String rig,
    String name,
    List<Row> stay,
    List<Row> need,
    Chart litres,
    List<Weight> weight,
    String weightProblem,
    List<Row> orders,
    List<Chart> course) {

  /** A figure with its working. */
  public record Row(String what, String figure, String working) {}

  /** What one support carries. */
  public record Weight(String support, String now, String full, String limit, boolean over) {}

  static List<Row> stay(Lasts now, Lasts full, Habits habits, Units units) {
    List<Double> worth = Demand.worthOfALitre(habits, now);
    String ends = now.ends() == Lasts.Ends.GRAY ? "gray room" : "fresh water";
    double more = Math.max(worth.get(0), worth.get(1));
    return List.of(
        new Row("As read", days(now.days()), working(now, units)),
        new Row("From full, gray empty", days(full.days()), working(full, units)),
        new Row(
            "One %s more of %s".formatted(units.unit(Measure.VOLUME).sign(), ends),
            "%.2f days".formatted(more * Measure.VOLUME.toSi(1, units.unit(Measure.VOLUME)) * 1000),
            "more of the other gives nothing"));
  }

  private static String working(Lasts lasts, Units units) {
    String fresh =
        "fresh %s ÷ %s a day = %s"
            .formatted(
                units.show(Measure.VOLUME, lasts.freshLeft()),
                units.show(Measure.VOLUME, lasts.freshPerDay()),
                days(lasts.freshDays()));
    return fresh
        + lasts
            .grayDays()
            .map(d ->
                "; gray room %s ÷ %s a day = %s"
                    .formatted(
                        units.show(Measure.VOLUME, lasts.grayRoom()),
                        units.show(Measure.VOLUME, lasts.grayPerDay()),
                        days(d)))
            .orElse("");
  }

  private static String days(double days) {
    return Double.isFinite(days) ? "%.1f days".formatted(days) : "no end";
  }

  static List<Row> need(Demand demand, Lasts full, Units units) {
    List<Row> rows = new ArrayList<>();
    rows.add(need("Fresh", demand.fresh(), full.freshLeft(), "usable in the tanks", units));
    rows.add(
        full.gray().isEmpty()
            ? new Row(
                "Gray",
                range(demand.gray(), units),
                "no gray tank: catch it and empty it where that is permitted")
            : need("Gray", demand.gray(), full.grayRoom(), "room in the tanks", units));
    return rows;
  }

  private static String range(Demand.Range range, Units units) {
    return "%s (%s to %s)"
        .formatted(
            units.show(Measure.VOLUME, range.expected()),
            units.show(Measure.VOLUME, range.low()),
            units.show(Measure.VOLUME, range.high()));
  }

  private static Row need(String what, Demand.Range range, double has, String word, Units units) {
    double missing = range.expected() - has;
    return new Row(
        what,
        range(range, units),
        missing > 0
            ? "%s %s: %s too little"
                .formatted(
                    units.show(Measure.VOLUME, has), word, units.show(Measure.VOLUME, missing))
            : "%s %s: enough".formatted(units.show(Measure.VOLUME, has), word));
  }

  static Chart litres(Lasts full, double days, Units units) {
    double start = full.freshLeft();
    List<Chart.Line> lines = new ArrayList<>();
    double[] factors = {Demand.LOW, 1, Demand.HIGH};
    String[] names = {"low", "expected", "high"};
    for (int f = 0; f < factors.length; f++) {
      double perDay = full.freshPerDay() * factors[f];
      List<Double> values =
          IntStream.rangeClosed(0, 20)
              .mapToObj(i -> Math.max(0, start - perDay * days * i / 20))
              .toList();
      lines.add(new Chart.Line(names[f], names[f], Chart.path(values, 0, Math.max(start, 1e-6))));
    }
    return new Chart(
        "Fresh water over the days, from full: low, expected and high use",
        lines,
        List.of("day 0", "day %.0f".formatted(days)),
        units.show(Measure.VOLUME, start),
        -1);
  }

  static List<Weight> weight(Loads now, Loads full, Units units) {
    return List.of(
        weight(now.supports().get(0), now.onRear(), full.onRear(), units),
        weight(now.supports().get(1), now.onFront(), full.onFront(), units),
        new Weight(
            "left heavier than right by",
            units.show(Measure.MASS, now.left()),
            units.show(Measure.MASS, full.left()),
            "",
            false));
  }

  private static Weight weight(Support support, double now, double full, Units units) {
    return new Weight(
        called(support) + (support.empty() == 0 ? " (water alone)" : ""),
        units.show(Measure.MASS, now),
        units.show(Measure.MASS, full),
        units.show(Measure.MASS, support.highest()),
        full > support.highest());
  }

  private static String called(Support support) {
    if (support.label().equals("drawbar")) {
      return support.label();
    }
    return support.label() + (support.label().contains("+") ? " axles" : " axle");
  }

  static List<Row> orders(Rig rig, List<DrawOrders.Order> orders, Units units) {
    return orders.stream()
        .limit(6)
        .map(o ->
            new Row(
                o.tanks().stream()
                    .map(t -> rig.part(t).label())
                    .collect(Collectors.joining(", then ")),
                units.show(Measure.MASS, o.worst()) + " to spare",
                "side to side at most " + units.show(Measure.MASS, o.side())))
        .toList();
  }

  static List<Chart> course(DrawOrders.Order best, DrawOrders.Order worst, Units units) {
    List<Chart> charts = new ArrayList<>();
    for (int s = 0; s < 2; s++) {
      boolean rear = s == 0;
      Support support = best.course().getFirst().supports().get(s);
      double lowest = 0.95 * support.empty();
      double highest = 1.05 * support.highest();
      charts.add(
          new Chart(
              "Load on %s over the trip, best and worst order".formatted(called(support)),
              List.of(
                  new Chart.Line(
                      "best order", "expected", Chart.path(loads(best, rear), lowest, highest)),
                  new Chart.Line(
                      "worst order", "high", Chart.path(loads(worst, rear), lowest, highest))),
              List.of("full", "drawn"),
              "%s, bottom %s"
                  .formatted(units.show(Measure.MASS, highest), units.show(Measure.MASS, lowest)),
              Chart.y(support.highest(), lowest, highest)));
    }
    return charts;
  }

  private static List<Double> loads(DrawOrders.Order order, boolean rear) {
    return order.course().stream().map(l -> rear ? l.onRear() : l.onFront()).toList();
  }
}
