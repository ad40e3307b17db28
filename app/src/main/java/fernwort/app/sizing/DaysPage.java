package fernwort.app.sizing;

import fernwort.app.cards.Card;
import fernwort.app.cards.Chart;
import fernwort.app.cards.Form;
import fernwort.app.cards.Trip;
import fernwort.app.units.Measure;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.Demand;
import fernwort.core.sizing.Habit;
import fernwort.core.sizing.Habits;
import fernwort.core.sizing.Itinerary;
import fernwort.core.sizing.Lasts;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** How long the water lasts, and how much so many days need. */
final class DaysPage {

  private static final int POINTS = 20;

  private final Trip trip;
  private final Lasts full;

  private DaysPage(Trip trip) {
    this.trip = trip;
    this.full = trip.lastsFromFull();
  }

  static List<Card> of(Trip trip) {
    DaysPage page = new DaysPage(trip);
    return List.of(page.stay(), page.need(), page.stops(), page.sizes());
  }

  // --- these tanks, how long -----------------------------------------------------------------

  private Card stay() {
    return Card.of(
        "stay",
        "These tanks, how long",
        trip.form(),
        "",
        () -> Card.Answer.rows(stayRows(Lasts.of(trip.plumbing(), trip.now(), trip.habits()))));
  }

  private List<Card.Row> stayRows(Lasts now) {
    List<Double> worth = Demand.worthOfALitre(trip.habits(), full);
    String ends = full.ends() == Lasts.Ends.GRAY ? "gray room" : "fresh water";
    double more = Math.max(worth.get(0), worth.get(1));
    var unit = trip.units().unit(Measure.VOLUME);
    return List.of(
        new Card.Row("As read", days(now.days()), working(now)),
        new Card.Row("From full, gray empty", days(full.days()), working(full)),
        new Card.Row(
            "One %s more of %s".formatted(unit.sign(), ends),
            Double.isFinite(more)
                ? String.format(
                    Locale.ROOT, "%.2f days", more * Measure.VOLUME.toSi(1, unit) * 1000)
                : "no end",
            "from full; more of the other gives nothing"));
  }

  private String working(Lasts lasts) {
    String fresh =
        "fresh %s ÷ %s a day = %s"
            .formatted(
                volume(lasts.freshLeft()), volume(lasts.freshPerDay()), days(lasts.freshDays()));
    return fresh
        + lasts
            .grayDays()
            .map(d ->
                "; gray room %s ÷ %s a day = %s"
                    .formatted(volume(lasts.grayRoom()), volume(lasts.grayPerDay()), days(d)))
            .orElse("");
  }

  // --- so many days, how much ----------------------------------------------------------------

  private Card need() {
    Form form = trip.form();
    double days = form.number("days", "Days", 5, "", "");
    double reserve =
        form.number("reserve", "Reserve", 15, "%", "On top of fresh, for the day that goes wrong.");
    return Card.of(
        "need",
        "So many days, how much",
        form,
        "Low and high are 0.75 and 1.4 times what is expected: our own estimate of thrift and of a"
            + " bad day.",
        () -> {
          Demand demand = Demand.of(trip.habits(), days, reserve / 100);
          return new Card.Answer(needRows(demand), List.of(), List.of(litres(days), byHabit(days)));
        });
  }

  private List<Card.Row> needRows(Demand demand) {
    List<Card.Row> rows = new ArrayList<>();
    rows.add(needRow("Fresh", demand.fresh(), full.freshLeft(), "usable in the tanks"));
    rows.add(
        full.gray().isEmpty()
            ? new Card.Row(
                "Gray",
                range(demand.gray()),
                "no gray tank: catch it and empty it where that is permitted")
            : needRow("Gray", demand.gray(), full.grayRoom(), "room in the tanks"));
    return rows;
  }

  private Card.Row needRow(String what, Demand.Range range, double has, String word) {
    double missing = range.expected() - has;
    return new Card.Row(
        what,
        range(range),
        missing > 0
            ? "%s %s: %s too little".formatted(volume(has), word, volume(missing))
            : "%s %s: enough".formatted(volume(has), word));
  }

  private String range(Demand.Range range) {
    return "%s (%s to %s)"
        .formatted(volume(range.expected()), volume(range.low()), volume(range.high()));
  }

  private Chart litres(double days) {
    double start = full.freshLeft();
    double top = Math.max(start, 1e-6);
    List<Chart.Line> lines = new ArrayList<>();
    double[] factors = {Demand.LOW, 1, Demand.HIGH};
    String[] names = {"low", "expected", "high"};
    for (int f = 0; f < factors.length; f++) {
      double perDay = full.freshPerDay() * factors[f];
      List<Double> left = over(days, day -> Math.max(0, start - perDay * day));
      lines.add(Chart.line(names[f], names[f], left, 0, top));
    }
    return new Chart(
        "Fresh water over the days, from full: low, expected and high use",
        lines,
        List.of("day 0", String.format(Locale.ROOT, "day %.0f", days)),
        volume(start),
        -1);
  }

  /** Litres drawn for one habit after another, piled up. */
  private Chart byHabit(double days) {
    List<Habit> used =
        trip.habits().habits().stream().filter(h -> trip.habits().perDay(h) > 0).toList();
    double top = Math.max(trip.habits().freshPerDay() * days, 1e-6);
    List<Chart.Line> lines = new ArrayList<>();
    double below = 0;
    for (Habit habit : used) {
      below += trip.habits().perDay(habit);
      double perDay = below;
      String name = "%s %s".formatted(habit.label(), volume(trip.habits().perDay(habit) * days));
      lines.add(Chart.line(name, "other", over(days, day -> perDay * day), 0, top));
    }
    return new Chart(
        "What is drawn over the days, habit upon habit",
        lines,
        List.of("day 0", String.format(Locale.ROOT, "day %.0f", days)),
        volume(top),
        -1);
  }

  private interface Course {
    double at(double day);
  }

  private static List<Double> over(double days, Course course) {
    return IntStream.rangeClosed(0, POINTS).mapToObj(i -> course.at(days * i / POINTS)).toList();
  }

  // --- stops ---------------------------------------------------------------------------------

  private Card stops() {
    Form form = trip.form();
    double days = form.number("trip-days", "Days of the trip", 10, "", "");
    List<Double> fills = form.numbers("fill-days", "Days you can fill", "Such as 3 6.5 9.");
    List<Double> dumps = form.numbers("dump-days", "Days you can dump gray", "Such as 6.5.");
    return Card.of(
        "stops",
        "A trip with stops",
        form,
        "Starts full of fresh water with gray empty. Filling and dumping are taken to be complete."
            + " Dump only where it is permitted.",
        () -> itinerary(days, fills, dumps));
  }

  private Card.Answer itinerary(double days, List<Double> fills, List<Double> dumps) {
    List<Itinerary.Chance> chances =
        Stream.concat(fills.stream(), dumps.stream())
            .distinct()
            .map(d -> new Itinerary.Chance(d, fills.contains(d), dumps.contains(d)))
            .toList();
    double room = full.gray().isEmpty() ? 1e3 : full.grayRoom();
    Itinerary trip = Itinerary.of(this.trip.habits(), full.freshLeft(), room, days, chances);
    List<List<String>> rows = new ArrayList<>();
    for (Itinerary.Leg leg : trip.legs()) {
      rows.add(
          List.of(
              "day %s to %s".formatted(plain(leg.from()), plain(leg.to())),
              "%s → %s"
                  .formatted(volume(leg.freshAtStart()), volume(Math.max(0, leg.freshAtEnd()))),
              full.gray().isEmpty()
                  ? "no tank"
                  : "%s → %s"
                      .formatted(volume(leg.roomAtStart()), volume(Math.max(0, leg.roomAtEnd()))),
              verdict(leg)));
    }
    Card.Row verdict =
        new Card.Row(
            "The trip",
            trip.works() ? "works" : "does not work",
            trip.works()
                ? "fresh water and gray room last on every stretch"
                : "see which stretch; fill, dump or save more");
    return Card.Answer.tables(
        List.of(verdict),
        List.of(
            new Card.Table(
                "Stretch by stretch", List.of("stretch", "fresh", "gray room", "verdict"), rows)));
  }

  private String verdict(Itinerary.Leg leg) {
    List<String> faults = new ArrayList<>();
    if (Double.isFinite(leg.dry())) {
      faults.add(
          String.format(
              Locale.ROOT, "dry on day %.1f, %s missing", leg.dry(), volume(-leg.freshAtEnd())));
    }
    if (Double.isFinite(leg.full()) && !full.gray().isEmpty()) {
      faults.add(
          String.format(
              Locale.ROOT,
              "gray full on day %.1f, %s too much",
              leg.full(),
              volume(-leg.roomAtEnd())));
    }
    return faults.isEmpty() ? "lasts" : "△ " + String.join("; ", faults);
  }

  // --- days against tank size ----------------------------------------------------------------

  private Card sizes() {
    return Card.of(
        "sizes",
        "What a larger tank would give",
        trip.form(),
        "A curve that lies flat has met the other limit: more of this tank alone gives nothing.",
        () -> {
          Habits habits = trip.habits();
          if (!(habits.freshPerDay() > 0)) {
            throw new Refusal(
                "Nobody uses any water with these habits, so that no tank ever ends; enter some above");
          }
          double fresh = full.freshLeft();
          double room = full.gray().isEmpty() ? Double.POSITIVE_INFINITY : full.grayRoom();
          double most = 2 * Math.max(fresh, full.gray().isEmpty() ? 0 : room);
          List<Double> byFresh =
              over(most, v -> Math.min(v / habits.freshPerDay(), room / habits.grayPerDay()));
          List<Double> byGray =
              over(most, v -> Math.min(fresh / habits.freshPerDay(), v / habits.grayPerDay()));
          double top =
              Stream.concat(byFresh.stream(), byGray.stream())
                  .mapToDouble(Double::doubleValue)
                  .filter(Double::isFinite)
                  .max()
                  .orElse(1);
          List<Chart.Line> lines = new ArrayList<>();
          lines.add(Chart.line("fresh tanks of this size", "expected", byFresh, 0, top));
          if (!full.gray().isEmpty()) {
            lines.add(Chart.line("gray tanks of this size", "high", byGray, 0, top));
          }
          Chart chart =
              new Chart(
                  "Days against the size of the tanks, the other tanks as they are",
                  lines,
                  List.of(volume(0), volume(most)),
                  days(top),
                  -1);
          return new Card.Answer(sizeRows(), List.of(), List.of(chart));
        });
  }

  private List<Card.Row> sizeRows() {
    if (full.gray().isEmpty()) {
      return List.of();
    }
    Habits habits = trip.habits();
    double share = habits.grayPerDay() / habits.freshPerDay();
    return List.of(
        new Card.Row(
            "Gray that matches the fresh tanks",
            volume(full.freshLeft() * share),
            String.format(
                Locale.ROOT,
                "%s usable × %.0f %% that becomes gray; the tanks have room for %s",
                volume(full.freshLeft()),
                100 * share,
                volume(full.grayRoom()))));
  }

  // --- words ---------------------------------------------------------------------------------

  private String volume(double si) {
    return trip.show(Measure.VOLUME, si);
  }

  private static String plain(double value) {
    return Form.shown(value);
  }

  private static String days(double days) {
    return Double.isFinite(days) ? String.format(Locale.ROOT, "%.1f days", days) : "no end";
  }
}
