package fernwort.app.log;

import fernwort.app.questions.Chart;
import fernwort.app.services.OpenRig;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.When;
import fernwort.core.budget.Budget;
import fernwort.core.budget.ConsumptionFilter;
import fernwort.core.budget.Daily;
import fernwort.core.budget.Fact;
import fernwort.core.budget.Range;
import fernwort.core.diary.Entry;
import fernwort.core.diary.Paid;
import fernwort.core.id.PartId;
import fernwort.core.sizing.Habit;
import fernwort.core.sizing.Habits;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What is learnt from the log, in words and pictures.
 *
 * @param enough whether enough was read to go by it
 * @param ends when fresh water ends, in a sentence
 * @param gray when gray is full, in a sentence; empty where the rig has no tank for it or none was
 *     read
 * @param turn by when to turn back for water
 * @param why why it thinks so
 * @param reach whether it reaches the day that was asked for; empty where none was
 * @param woulds what would change it
 * @param habits what each habit takes, scaled to what is learnt
 * @param oddities what does not fit
 */
record BudgetView(
    boolean enough,
    String ends,
    String gray,
    String turn,
    List<String> why,
    String reach,
    List<Would> woulds,
    List<Habitual> habits,
    List<Odd> oddities) {

  private static final Duration FAR = Duration.ofDays(300);
  private static final double A_JUG = 0.02;
  private static final double LITRES = 1000;
  private static final double MUCH = 1.4;

  /** A rate this near to what was entered is as entered. */
  private static final double AS_ENTERED = 0.05;

  private static final DateTimeFormatter WEEKDAY =
      DateTimeFormatter.ofPattern("EEEE", Locale.ENGLISH);

  /** What would change it: what, and when it would end then. */
  record Would(String what, String ends, String gains) {}

  /** A habit: what was entered, that scaled to what is learnt, and the days it costs. */
  record Habitual(String label, String entered, String learnt, String costs) {}

  /** Something that does not fit. */
  record Odd(String when, String words, String look) {}

  static BudgetView of(
      Budget budget, List<Daily> days, Habits habits, Optional<Instant> wish, Units units) {
    ConsumptionFilter fresh = budget.fresh();
    return new BudgetView(
        budget.enough(),
        fresh.isKnown() ? Says.FRESH_WATER_ENDS.filled(span(fresh.ends(), budget.at())) : "",
        budget
            .gray()
            .filter(ConsumptionFilter::isKnown)
            .map(g -> Says.GRAY_IS_FULL.filled(span(g.ends(), budget.at())))
            .orElse(""),
        fresh.isKnown() && !isFar(fresh.ends().low(), budget.at())
            ? Says.BE_AT_A_WATER_POINT.filled(When.hour(fresh.ends().low()))
            : "",
        why(budget, days, units),
        wish.map(at -> reach(budget, at)).orElse(""),
        woulds(budget, habits, units),
        habitual(budget, habits, units),
        budget.oddities().stream()
            .map(o ->
                new Odd(
                    "%s to %s".formatted(When.hour(o.from()), When.hour(o.to())),
                    units.say(o.words()),
                    units.say(o.look())))
            .toList());
  }

  private static String span(Range ends, double now) {
    if (isFar(ends.expected(), now)) {
      return Says.NOT_WITHIN_A_YEAR.text();
    }
    return Says.LIKELY_BETWEEN_AND.filled(
        When.hour(ends.expected()),
        When.hour(ends.low()),
        isFar(ends.high(), now) ? Says.NEXT_YEAR.text() : When.hour(ends.high()));
  }

  private static boolean isFar(double at, double now) {
    return at - now > FAR.toSeconds();
  }

  private static List<String> why(Budget budget, List<Daily> days, Units units) {
    List<String> why = new ArrayList<>();
    Range rate = budget.fresh().rate();
    double more = rate.expected() - budget.entered();
    String than =
        Math.abs(more) < AS_ENTERED * budget.entered()
            ? Says.AS_ENTERED.text()
            : Says.THAN_ENTERED.filled(
                units.show(Measure.VOLUME, Math.abs(more)), more > 0 ? "more" : "less");
    why.add(
        Says.YOU_USE_EACH_A_DAY_TO.filled(
            units.show(Measure.VOLUME, rate.expected()),
            units.show(Measure.VOLUME, rate.low()),
            units.show(Measure.VOLUME, rate.high()),
            than));
    Daily.trend(days)
        .filter(t -> t.times() > MUCH || t.times() < 1 / MUCH)
        .ifPresent(t ->
            why.add(
                t.times() > 1
                    ? String.format(
                        Locale.ROOT,
                        Says.SINCE_IT_WAS_TIMES_AS_MUCH.text(),
                        t.since().format(WEEKDAY),
                        t.times())
                    : String.format(
                        Locale.ROOT,
                        Says.SINCE_IT_WAS_LESS_OF_BEFORE.text(),
                        t.since().format(WEEKDAY),
                        100 * t.times())));
    switch (budget.crew().lean()) {
      case EVEN -> {}
      case MORNINGS -> why.add(Says.MORNINGS_TAKE_MORE_OF_YOUR_DAYS.text());
      case EVENINGS -> why.add(Says.EVENINGS_TAKE_MORE_OF_YOUR_DAYS.text());
    }
    int people = budget.crew().at(budget.at());
    why.add(
        Says.ON_BOARD_OF_FRESH_WATER.filled(
            EntryWords.people(people),
            units.show(Measure.VOLUME, budget.fresh().volume()),
            units.show(Measure.VOLUME, budget.fresh().doubt())));
    return why;
  }

  private static String reach(Budget budget, Instant wish) {
    Range ends = budget.ends();
    double at = wish.getEpochSecond();
    String words = When.day(wish);
    if (ends.low() >= at) {
      return Says.IT_REACHES.filled(words);
    }
    if (ends.expected() >= at) {
      return Says.IT_PROBABLY_REACHES.filled(words, When.hour(ends.low()));
    }
    return ends.high() >= at
        ? Says.IT_PROBABLY_DOES_NOT_REACH.filled(words, When.hour(ends.expected()))
        : Says.IT_DOES_NOT_REACH_IT_ENDS.filled(words, When.hour(ends.high()));
  }

  private static List<Would> woulds(Budget budget, Habits habits, Units units) {
    List<Would> woulds = new ArrayList<>();
    ConsumptionFilter fresh = budget.fresh();
    if (!fresh.isKnown()) {
      return woulds;
    }
    for (Habit habit : habits.habits()) {
      habit
          .running()
          .filter(run -> habit.per() == Habit.Per.PERSON)
          .ifPresent(run -> {
            double saved = habit.times() * run.flow() * run.on() / LITRES;
            double factor = 1 - saved / fresh.rate().expected();
            if (factor > 0 && factor < 1) {
              woulds.add(
                  would(
                      Says.A_MINUTE_SHORTER.filled(habit.label()),
                      fresh.ends(),
                      fresh.ends(factor, 0)));
            }
          });
    }
    woulds.add(
        would(
            Says.A_JUG_OF_MORE.filled(units.show(Measure.VOLUME, A_JUG)),
            fresh.ends(),
            fresh.ends(1, A_JUG)));
    budget
        .gray()
        .filter(ConsumptionFilter::isKnown)
        .ifPresent(gray -> {
          double room = gray.volume();
          woulds.add(would(Says.GRAY_DUMPED_NOW.text(), gray.ends(), gray.ends(1, room)));
        });
    return woulds;
  }

  /** What is learnt is spread over the habits as they were entered: no reading tells them apart. */
  private static List<Habitual> habitual(Budget budget, Habits habits, Units units) {
    double all = habits.freshPerDay();
    ConsumptionFilter fresh = budget.fresh();
    if (!fresh.isKnown() || !(all > 0)) {
      return List.of();
    }
    int people = Math.max(1, budget.crew().at(budget.at()));
    double now = people * fresh.rate().expected();
    double ends = fresh.ends().expected();
    return habits.habits().stream()
        .filter(h -> habits.perDay(h) > 0)
        .map(h -> {
          double share = habits.perDay(h) / all;
          double later =
              share < 1 ? (fresh.ends(1 - share, 0).expected() - ends) / DAY : Double.NaN;
          return new Habitual(
              h.label(),
              units.show(Measure.VOLUME, habits.perDay(h)),
              units.show(Measure.VOLUME, share * now),
              Double.isFinite(later)
                  ? String.format(Locale.ROOT, "%.1f days", later)
                  : Says.ALL_OF_THEM.text());
        })
        .toList();
  }

  private static Would would(String what, Range before, Range after) {
    double hours = (after.expected() - before.expected()) / 3600;
    return new Would(
        what,
        When.hour(after.expected()),
        hours < 48
            ? String.format(Locale.ROOT, Says.H_LATER.text(), hours)
            : String.format(Locale.ROOT, Says.DAYS_LATER.text(), hours / 24));
  }

  // --- pictures --------------------------------------------------------------------------------

  private static final double DAY = 86_400;

  /** Standard deviations to the tenth and nine tenths of a normal distribution. */
  private static final double NINE_IN_TEN = 1.2816;

  private static final double BACK = 10 * DAY;
  private static final int AHEAD = 24;
  private static final double FORWARD = 14 * DAY;

  /** Returns what was read and what is expected of one store. */
  static Chart levels(
      String title,
      OpenRig rig,
      List<String> tanks,
      ConsumptionFilter learnt,
      double now,
      List<Entry> entries,
      List<Fact.Seen> looks,
      Units units) {
    double end = Math.min(now + FORWARD, Math.max(now + DAY, learnt.ends().high()));
    List<Double> at = new ArrayList<>();
    List<Double> marks = new ArrayList<>();
    for (Entry entry : entries) {
      double when = entry.at().getEpochSecond();
      if (when >= now - BACK && when <= now && tanks.contains(entry.what().part().value())) {
        switch (entry.what()) {
          case Entry.Reading _ -> at.add(when);
          case Entry.Fill _, Entry.Dump _, Entry.Haul _ -> marks.add((when - now) / DAY);
          case Entry.People _, Entry.Away _, Entry.Sanitize _, Entry.Upkeep _, Entry.Note _ -> {}
        }
      }
    }
    for (int i = 0; i <= AHEAD; i++) {
      at.add(now + i * (end - now) / AHEAD);
    }
    List<Double> times = at.stream().distinct().sorted().toList();
    List<Chart.Course> courses = new ArrayList<>();
    for (String tank : tanks) {
      courses.add(
          new Chart.Course(
              Says.AS_READ.filled(rig.rig().part(PartId.of(tank)).label()),
              Chart.Style.DOTS,
              times.stream().map(t -> read(entries, tank, t, units)).toList()));
    }
    List<Range> ahead = times.stream().map(t -> t >= now ? learnt.at(t) : seen(looks, t)).toList();
    courses.add(
        course(
            Says.LOW_LIKELY.text(),
            Chart.Style.LOW,
            ahead.stream().map(Range::low).toList(),
            units));
    courses.add(
        course(
            "expected", Chart.Style.EXPECTED, ahead.stream().map(Range::expected).toList(), units));
    courses.add(
        course(
            Says.HIGH_LIKELY.text(),
            Chart.Style.HIGH,
            ahead.stream().map(Range::high).toList(),
            units));
    return new Chart(
        title,
        new Chart.Axis(Says.DAYS_FROM_NOW.text(), ""),
        new Chart.Axis("water", units.unit(Measure.VOLUME).sign()),
        times.stream().map(t -> (t - now) / DAY).toList(),
        courses,
        marks);
  }

  /** What was seen of all tanks at a time, with the error of such a look; nothing without one. */
  private static Range seen(List<Fact.Seen> looks, double at) {
    return looks.stream()
        .filter(l -> Math.abs(l.at() - at) < 1)
        .findFirst()
        .map(l ->
            new Range(
                Math.max(0, l.volume() - NINE_IN_TEN * l.doubt()),
                l.volume(),
                l.volume() + NINE_IN_TEN * l.doubt()))
        .orElse(new Range(Double.NaN, Double.NaN, Double.NaN));
  }

  private static double read(List<Entry> entries, String tank, double at, Units units) {
    double read = Double.NaN;
    for (Entry entry : entries) {
      if (entry.at().getEpochSecond() == at
          && entry.what() instanceof Entry.Reading reading
          && reading.tank().value().equals(tank)) {
        read = units.in(Measure.VOLUME, reading.volume());
      }
    }
    return read;
  }

  private static Chart.Course course(
      String name, Chart.Style style, List<Double> volumes, Units units) {
    return new Chart.Course(
        name,
        style,
        volumes.stream()
            .map(v -> Double.isFinite(v) ? units.in(Measure.VOLUME, v) : Double.NaN)
            .toList());
  }

  /** Returns what water cost over time: each price, and the sum by then. */
  static Optional<Chart> paid(List<Paid.Step> steps, double now) {
    if (steps.size() < 2) {
      return Optional.empty();
    }
    return Optional.of(
        new Chart(
            Says.WHAT_WATER_COST.text(),
            new Chart.Axis(Says.DAYS_FROM_NOW.text(), ""),
            new Chart.Axis("paid", ""),
            steps.stream().map(s -> (s.at().getEpochSecond() - now) / DAY).toList(),
            List.of(
                new Chart.Course(
                    Says.IN_ALL_BY_THEN.text(),
                    Chart.Style.EXPECTED,
                    steps.stream().map(s -> s.sum().doubleValue()).toList()),
                new Chart.Course(
                    Says.EACH_TIME.text(),
                    Chart.Style.DOTS,
                    steps.stream().map(s -> s.price().doubleValue()).toList()))));
  }

  /** Returns what went day by day. */
  static Optional<Chart> daily(List<Daily> days, double now, Units units) {
    if (days.size() < 2) {
      return Optional.empty();
    }
    List<Double> at =
        days.stream()
            .map(d ->
                (d.day().atStartOfDay(ZoneId.systemDefault()).toEpochSecond() + DAY / 2 - now)
                    / DAY)
            .toList();
    return Optional.of(
        new Chart(
            Says.FRESH_WATER_USED_DAY_BY_DAY.text(),
            new Chart.Axis(Says.DAYS_FROM_NOW.text(), ""),
            new Chart.Axis(Says.WATER_A_DAY.text(), units.unit(Measure.VOLUME).sign()),
            at,
            List.of(
                course(
                    Says.ALL_TOGETHER.text(),
                    Chart.Style.EXPECTED,
                    days.stream().map(Daily::used).toList(),
                    units),
                course(
                    "each",
                    Chart.Style.LOW,
                    days.stream().map(d -> d.each().orElse(Double.NaN)).toList(),
                    units))));
  }
}
