package fernwort.app.sizing;

import fernwort.app.questions.Chart;
import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.Trip;
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
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Stream;

/** How long the water lasts, and how much so many days need. */
final class DaysPage {

  private static final Chart.Axis DAY = new Chart.Axis("day", "");

  private final Trip trip;
  private final Lasts full;

  private DaysPage(Trip trip) {
    this.trip = trip;
    this.full = trip.lastsFromFull();
  }

  static List<Question> of(Trip trip) {
    DaysPage page = new DaysPage(trip);
    return List.of(page.stay(), page.need(), page.stops(), page.sizes());
  }

  // --- these tanks, how long -----------------------------------------------------------------

  private Question stay() {
    return Question.of(
        "stay",
        "These tanks, how long",
        trip.form(),
        "",
        () -> Question.Answer.rows(stayRows(Lasts.of(trip.network(), trip.now(), trip.habits()))));
  }

  private List<Question.Row> stayRows(Lasts now) {
    List<Double> worth = Demand.worthOfALitre(trip.habits(), full);
    String ends = full.ends() == Lasts.Ends.GRAY ? "gray room" : "fresh water";
    double more = Math.max(worth.get(0), worth.get(1));
    var unit = trip.units().unit(Measure.VOLUME);
    return List.of(
        new Question.Row("As read", days(now.days()), working(now)),
        new Question.Row("From full, gray empty", days(full.days()), working(full)),
        new Question.Row(
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

  private Question need() {
    Form form = trip.form();
    double days = form.number("days", "Days", 5, "", "");
    double reserve =
        form.number("reserve", "Reserve", 15, "%", "On top of fresh, for the day that goes wrong.");
    return Question.of(
        "need",
        "Tanks for the days you want",
        form,
        "Low and high are 0.75 and 1.4 times what is expected: our own estimate of thrift and of a"
            + " bad day.",
        () -> {
          Demand demand = Demand.of(trip.habits(), days, reserve / 100);
          return new Question.Answer(
              needRows(demand), List.of(), List.of(litres(days), byHabit(days)));
        });
  }

  private List<Question.Row> needRows(Demand demand) {
    List<Question.Row> rows = new ArrayList<>();
    rows.add(needRow("Fresh", demand.fresh(), full.freshLeft(), "usable in the tanks"));
    rows.add(
        full.gray().isEmpty()
            ? new Question.Row(
                "Gray",
                range(demand.gray()),
                "no gray tank: catch it and empty it where that is permitted")
            : needRow("Gray", demand.gray(), full.grayRoom(), "room in the tanks"));
    return rows;
  }

  private Question.Row needRow(String what, Demand.Range range, double has, String word) {
    double missing = range.expected() - has;
    return new Question.Row(
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
    double lasts = start / full.freshPerDay();
    List<Double> at =
        Chart.with(Chart.rounds(days), lasts / Demand.LOW, lasts, lasts / Demand.HIGH);
    return new Chart(
        "Fresh water over the days, from full",
        DAY,
        trip.axis("left", Measure.VOLUME),
        at,
        List.of(
            left("low use", Chart.Style.LOW, at, start, Demand.LOW),
            left("expected use", Chart.Style.EXPECTED, at, start, 1),
            left("high use", Chart.Style.HIGH, at, start, Demand.HIGH)));
  }

  private Chart.Course left(
      String name, Chart.Style style, List<Double> at, double start, double factor) {
    double perDay = full.freshPerDay() * factor;
    return new Chart.Course(name, style, volumes(at, day -> Math.max(0, start - perDay * day)));
  }

  /** What is drawn for one habit after another, piled up. */
  private Chart byHabit(double days) {
    List<Double> at = Chart.rounds(days);
    List<Chart.Course> courses = new ArrayList<>();
    double below = 0;
    for (Habit habit : trip.habits().habits()) {
      double perDay = trip.habits().perDay(habit);
      if (perDay > 0) {
        below += perDay;
        double together = below;
        String name = courses.isEmpty() ? habit.label() : "with " + habit.label();
        courses.add(new Chart.Course(name, Chart.Style.UPON, volumes(at, day -> together * day)));
      }
    }
    return new Chart(
        "What is drawn over the days, habit upon habit",
        DAY,
        trip.axis("drawn", Measure.VOLUME),
        at,
        courses);
  }

  private List<Double> volumes(List<Double> at, DoubleUnaryOperator course) {
    return trip.in(Measure.VOLUME, Chart.over(at, course));
  }

  // --- stops ---------------------------------------------------------------------------------

  private Question stops() {
    Form form = trip.form();
    double days = form.number("trip-days", "Days of the trip", 10, "", "");
    List<Double> fills = form.numbers("fill-days", "Days you can fill", "Such as 3 6.5 9.");
    List<Double> dumps = form.numbers("dump-days", "Days you can dump gray", "Such as 6.5.");
    return Question.of(
        "stops",
        "A trip with stops",
        form,
        "Starts full of fresh water with gray empty. Filling and dumping are taken to be complete."
            + " Dump only where it is permitted.",
        () -> itinerary(days, fills, dumps));
  }

  private Question.Answer itinerary(double days, List<Double> fills, List<Double> dumps) {
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
    Question.Row verdict =
        new Question.Row(
            "The trip",
            trip.works() ? "works" : "does not work",
            trip.works()
                ? "fresh water and gray room last on every stretch"
                : "see which stretch; fill, dump or save more");
    return Question.Answer.tables(
        List.of(verdict),
        List.of(
            new Question.Table(
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

  private Question sizes() {
    return Question.of(
        "sizes",
        "What a larger tank would give",
        trip.form(),
        "Where the curve is flat the other tank is the limit: more of this one alone gives nothing.",
        () -> {
          Habits habits = trip.habits();
          if (!(habits.freshPerDay() > 0)) {
            throw new Refusal(
                "Nobody uses any water with these habits, so that no tank ever ends; enter some above");
          }
          double fresh = full.freshLeft();
          double room = full.gray().isEmpty() ? Double.POSITIVE_INFINITY : full.grayRoom();
          double most = 2 * Math.max(fresh, full.gray().isEmpty() ? 0 : room);
          if (!(most > 0)) {
            throw new Refusal(
                "No tank of this rig holds anything that could be used; describe one with a capacity");
          }
          List<Double> rounds = Chart.rounds(trip.units().in(Measure.VOLUME, most));
          DoubleUnaryOperator si = v -> v * most / rounds.getLast();
          double gray = habits.grayPerDay() / habits.freshPerDay();
          List<Double> at =
              full.gray().isEmpty()
                  ? rounds
                  : Chart.with(
                      rounds,
                      trip.units().in(Measure.VOLUME, room / gray),
                      trip.units().in(Measure.VOLUME, fresh * gray));
          List<Chart.Course> courses = new ArrayList<>();
          courses.add(
              new Chart.Course(
                  "fresh tanks of this size",
                  Chart.Style.EXPECTED,
                  Chart.over(
                      at,
                      v ->
                          Math.min(
                              si.applyAsDouble(v) / habits.freshPerDay(),
                              room / habits.grayPerDay()))));
          if (!full.gray().isEmpty()) {
            courses.add(
                new Chart.Course(
                    "gray tanks of this size",
                    Chart.Style.HIGH,
                    Chart.over(
                        at,
                        v ->
                            Math.min(
                                fresh / habits.freshPerDay(),
                                si.applyAsDouble(v) / habits.grayPerDay()))));
          }
          Chart chart =
              new Chart(
                  "Days against the size of the tanks, the other tanks as they are",
                  trip.axis("size", Measure.VOLUME),
                  new Chart.Axis("days", ""),
                  at,
                  courses);
          return new Question.Answer(sizeRows(), List.of(), List.of(chart));
        });
  }

  private List<Question.Row> sizeRows() {
    if (full.gray().isEmpty()) {
      return List.of();
    }
    Habits habits = trip.habits();
    double share = habits.grayPerDay() / habits.freshPerDay();
    return List.of(
        new Question.Row(
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
