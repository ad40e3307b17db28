package fernwort.app.sizing;

import fernwort.app.questions.Form;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.Habit;
import fernwort.core.sizing.Habits;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The habits as a form, and back.
 *
 * @param people how many travel
 * @param pets how many animals
 * @param hot whether the season is hot
 * @param rows the habits
 * @param total what all use in a day
 */
record HabitsForm(int people, int pets, boolean hot, List<Row> rows, String total) {

  private static final double LITRE = 1e-3;
  private static final String BY_HAND = Says.ENTERED_BY_HAND.text();

  /**
   * One habit; where the water runs, each is its minutes, its flow and the share that it runs.
   *
   * @param runs whether the water runs for a while
   * @param unit unit of what one time takes, or of the flow
   * @param share percentage of the time that it runs
   * @param day what it takes in a day
   */
  record Row(
      String id,
      String label,
      String per,
      String times,
      boolean runs,
      String each,
      String minutes,
      String unit,
      String share,
      String gray,
      String heat,
      String day,
      String source) {}

  static HabitsForm of(Habits habits, Units units) {
    return new HabitsForm(
        habits.people(),
        habits.pets(),
        habits.season() == Habits.Season.HOT,
        habits.habits().stream().map(h -> row(habits, h, units)).toList(),
        Says.A_DAY_OF_IT_TO_GRAY.filled(
            units.show(Measure.VOLUME, habits.freshPerDay()),
            units.show(Measure.VOLUME, habits.grayPerDay())));
  }

  private static Row row(Habits habits, Habit habit, Units units) {
    Optional<Habit.Running> running = habit.running();
    return new Row(
        habit.id(),
        habit.label(),
        switch (habit.per()) {
          case PERSON -> Says.EACH_PERSON.text();
          case PET -> Says.EACH_PET.text();
          case RIG -> Says.THE_RIG.text();
        },
        Form.shown(habit.times()),
        running.isPresent(),
        running
            .map(r -> units.number(Measure.FLOW, r.flow() * LITRE / 60))
            .orElse(units.number(Measure.VOLUME, habit.litres() * LITRE)),
        running.map(r -> Form.shown(r.minutes())).orElse(""),
        units.unit(running.isPresent() ? Measure.FLOW : Measure.VOLUME).sign(),
        running.map(r -> Form.shown(100 * r.on())).orElse(""),
        Form.shown(100 * habit.grayShare()),
        Form.shown(habit.heat()),
        units.show(Measure.VOLUME, habits.perDay(habit)),
        habit.source());
  }

  /**
   * Reads the form.
   *
   * @throws Refusal naming field and fix
   */
  static Habits read(Habits before, Map<String, String> form, Units units) {
    List<Habit> habits = new ArrayList<>();
    for (Habit habit : before.habits()) {
      Habit read = read(habit, form, units);
      habits.add(same(habit, read) ? habit : read);
    }
    String name = form.getOrDefault("new-label", "").strip();
    if (!name.isEmpty()) {
      habits.add(added(name, habits.size(), form, units));
    }
    return new Habits(
        Form.whole("People", form.getOrDefault("people", "")),
        Form.whole("Pets", form.getOrDefault("pets", "0")),
        form.getOrDefault("season", "").equals("hot") ? Habits.Season.HOT : Habits.Season.MILD,
        habits);
  }

  private static Habit read(Habit habit, Map<String, String> form, Units units) {
    Values of = new Values(habit.id(), habit.label(), form, units);
    Optional<Habit.Running> running =
        habit
            .running()
            .map(r ->
                new Habit.Running(
                    of.plain("minutes"),
                    of.amount("each", Measure.FLOW, r.flow() * LITRE / 60) * 60 / LITRE,
                    of.plain("share") / 100));
    double litres =
        running.isPresent()
            ? habit.litres()
            : of.amount("each", Measure.VOLUME, habit.litres() * LITRE) / LITRE;
    return new Habit(
        habit.id(),
        habit.label(),
        habit.per(),
        of.plain("times"),
        litres,
        running,
        of.plain("gray") / 100,
        of.plain("heat"),
        BY_HAND);
  }

  /** Rounding on the way through a form is no change, and keeps the source. */
  private static boolean same(Habit a, Habit b) {
    return Math.abs(a.each() - b.each()) < 1e-4
        && a.times() == b.times()
        && Math.abs(a.grayShare() - b.grayShare()) < 1e-6
        && a.heat() == b.heat();
  }

  private static Habit added(String name, int index, Map<String, String> form, Units units) {
    Values of = new Values("new", name, form, units);
    Habit.Per per =
        Arrays.stream(Habit.Per.values())
            .filter(p -> p.name().equals(form.getOrDefault("new-per", "")))
            .findFirst()
            .orElse(Habit.Per.PERSON);
    return new Habit(
        "own-" + index,
        name,
        per,
        of.plain("times"),
        of.amount("each", Measure.VOLUME) / LITRE,
        Optional.empty(),
        of.plain("gray") / 100,
        1,
        BY_HAND);
  }

  private record Values(String id, String label, Map<String, String> form, Units units) {
    double plain(String field) {
      return Form.plain(label + ", " + field, text(field));
    }

    double amount(String field, Measure measure) {
      return units.parse(label, measure, text(field));
    }

    double amount(String field, Measure measure, double was) {
      return units.parse(label, measure, text(field), was);
    }

    private String text(String field) {
      return form.getOrDefault(field + "-" + id, "").strip();
    }
  }
}
