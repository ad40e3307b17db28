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
        Says.THESE_TANKS_HOW_LONG.text(),
        trip.form(),
        "",
        () -> Question.Answer.rows(stayRows(trip.lasts())));
  }

  private List<Question.Row> stayRows(Lasts now) {
    Lasts fromFull = full.usedLike(now);
    List<Double> worth = Demand.worthOfALitre(fromFull);
    String ends =
        fromFull.ends() == Lasts.Ends.GRAY ? Says.GRAY_ROOM.text() : Says.FRESH_WATER.text();
    double more = Math.max(worth.get(0), worth.get(1));
    var unit = trip.units().unit(Measure.VOLUME);
    return List.of(
        new Question.Row(Says.AS_READ.text(), days(now.days()), working(now)),
        new Question.Row(
            Says.FROM_FULL_GRAY_EMPTY.text(), days(fromFull.days()), working(fromFull)),
        new Question.Row(
            Says.ONE_MORE_OF.filled(unit.sign(), ends),
            Double.isFinite(more)
                ? String.format(
                    Locale.ROOT, "%.2f days", more * Measure.VOLUME.toSi(1, unit) * 1000)
                : Says.NO_END.text(),
            Says.FROM_FULL.text()));
  }

  private String working(Lasts lasts) {
    String fresh =
        Says.FRESH_A_DAY.filled(
            volume(lasts.freshLeft()), volume(lasts.freshPerDay()), days(lasts.freshDays()));
    return fresh
        + lasts
            .grayDays()
            .map(d ->
                Says.GRAY_ROOM_A_DAY.filled(
                    volume(lasts.grayRoom()), volume(lasts.grayPerDay()), days(d)))
            .orElse("");
  }

  // --- so many days, how much ----------------------------------------------------------------

  private Question need() {
    Form form = trip.form();
    double days = form.number("days", "Days", 5, "", "");
    double reserve =
        form.number("reserve", "Reserve", 15, "%", Says.ON_TOP_OF_FRESH_FOR_THE_DAY.text());
    return Question.of(
        "need",
        Says.TANKS_FOR_THE_DAYS_YOU_WANT.text(),
        form,
        Says.LOW_AND_HIGH_ARE_0_75.text(),
        () -> {
          Demand demand = Demand.of(trip.habits(), days, reserve / 100);
          return new Question.Answer(
              needRows(demand), List.of(), List.of(litres(days), byHabit(days)));
        });
  }

  private List<Question.Row> needRows(Demand demand) {
    List<Question.Row> rows = new ArrayList<>();
    rows.add(needRow("Fresh", demand.fresh(), full.freshLeft(), Says.USABLE_IN_THE_TANKS.text()));
    rows.add(
        full.gray().isEmpty()
            ? new Question.Row(
                "Gray", range(demand.gray()), Says.NO_GRAY_TANK_CATCH_IT_AND_EMPTY.text())
            : needRow("Gray", demand.gray(), full.grayRoom(), Says.ROOM_IN_THE_TANKS.text()));
    return rows;
  }

  private Question.Row needRow(String what, Demand.Range range, double has, String word) {
    double missing = range.expected() - has;
    return new Question.Row(
        what,
        range(range),
        missing > 0
            ? Says.TOO_LITTLE.filled(volume(has), word, volume(missing))
            : Says.ENOUGH.filled(volume(has), word));
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
        Says.FRESH_WATER_OVER_THE_DAYS.text(),
        DAY,
        trip.axis("left", Measure.VOLUME),
        at,
        List.of(
            left(Says.LOW_USE.text(), Chart.Style.LOW, at, start, Demand.LOW),
            left(Says.EXPECTED_USE.text(), Chart.Style.EXPECTED, at, start, 1),
            left(Says.HIGH_USE.text(), Chart.Style.HIGH, at, start, Demand.HIGH)));
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
        Says.WHAT_IS_DRAWN_OVER_THE_DAYS.text(),
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
    double days = form.number("trip-days", Says.DAYS_OF_THE_TRIP.text(), 10, "", "");
    List<Double> fills =
        form.numbers("fill-days", Says.DAYS_YOU_CAN_FILL.text(), Says.SUCH_AS_3_6_5_9.text());
    List<Double> dumps =
        form.numbers("dump-days", Says.DAYS_YOU_CAN_DUMP_GRAY.text(), Says.SUCH_AS_6_5.text());
    return Question.of(
        "stops",
        Says.A_TRIP_WITH_STOPS.text(),
        form,
        Says.STARTS_FULL_OF_FRESH_WATER.text(),
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
              Says.DAY_TO.filled(plain(leg.from()), plain(leg.to())),
              "%s → %s"
                  .formatted(volume(leg.freshAtStart()), volume(Math.max(0, leg.freshAtEnd()))),
              full.gray().isEmpty()
                  ? Says.NO_TANK.text()
                  : "%s → %s"
                      .formatted(volume(leg.roomAtStart()), volume(Math.max(0, leg.roomAtEnd()))),
              verdict(leg)));
    }
    Question.Row verdict =
        new Question.Row(
            Says.THE_TRIP.text(),
            trip.works() ? "works" : Says.DOES_NOT_WORK.text(),
            trip.works()
                ? Says.FRESH_WATER_AND_GRAY_ROOM_LAST.text()
                : Says.SEE_WHICH_STRETCH_FILL_DUMP.text());
    return Question.Answer.tables(
        List.of(verdict),
        List.of(
            new Question.Table(
                Says.STRETCH_BY_STRETCH.text(),
                List.of("stretch", "fresh", Says.GRAY_ROOM.text(), "verdict"),
                rows)));
  }

  private String verdict(Itinerary.Leg leg) {
    List<String> faults = new ArrayList<>();
    if (Double.isFinite(leg.dry())) {
      faults.add(
          String.format(
              Locale.ROOT, Says.DRY_ON_DAY_MISSING.text(), leg.dry(), volume(-leg.freshAtEnd())));
    }
    if (Double.isFinite(leg.full()) && !full.gray().isEmpty()) {
      faults.add(
          String.format(
              Locale.ROOT,
              Says.GRAY_FULL_ON_DAY_TOO_MUCH.text(),
              leg.full(),
              volume(-leg.roomAtEnd())));
    }
    return faults.isEmpty() ? "lasts" : "△ " + String.join("; ", faults);
  }

  // --- days against tank size ----------------------------------------------------------------

  private Question sizes() {
    return Question.of(
        "sizes",
        Says.WHAT_A_LARGER_TANK_WOULD_GIVE.text(),
        trip.form(),
        Says.WHERE_THE_CURVE_IS_FLAT.text(),
        () -> {
          Habits habits = trip.habits();
          if (!(habits.freshPerDay() > 0)) {
            throw new Refusal(Says.NOBODY_USES_ANY_WATER_WITH_THESE.with());
          }
          double fresh = full.freshLeft();
          double room = full.gray().isEmpty() ? Double.POSITIVE_INFINITY : full.grayRoom();
          double most = 2 * Math.max(fresh, full.gray().isEmpty() ? 0 : room);
          if (!(most > 0)) {
            throw new Refusal(Says.NO_TANK_OF_THIS_RIG_HOLDS.with());
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
                  Says.FRESH_TANKS_OF_THIS_SIZE.text(),
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
                    Says.GRAY_TANKS_OF_THIS_SIZE.text(),
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
                  Says.DAYS_AGAINST_THE_SIZE.text(),
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
            Says.GRAY_THAT_MATCHES_THE_FRESH.text(),
            volume(full.freshLeft() * share),
            String.format(
                Locale.ROOT,
                Says.USABLE_THAT_BECOMES_GRAY.text(),
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
    return Double.isFinite(days)
        ? String.format(Locale.ROOT, "%.1f days", days)
        : Says.NO_END.text();
  }
}
