package fernwort.core.sizing;

import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * Who travels and what they use.
 *
 * @param people how many
 * @param pets how many animals drink too
 * @param season what the weather is like
 * @param habits what water is used for
 */
public record Habits(int people, int pets, Season season, List<Habit> habits) {

  /** What the weather is like. */
  public enum Season {
    MILD,
    HOT
  }

  private static final int MOST = 60;

  private static final String OURS = Says.OUR_OWN_ESTIMATE_COUNT_A_DAY.text();

  /** Cautious defaults for saving travellers. */
  public static final Habits DEFAULT =
      new Habits(
          2,
          0,
          Season.MILD,
          List.of(
              new Habit(
                  "drinking",
                  Says.DRINKING_AND_COOKING.text(),
                  Habit.Per.PERSON,
                  1,
                  4,
                  Optional.empty(),
                  0.2,
                  1.5,
                  Says.SURVIVAL_FIGURES_OF_WHO_WEDC.text()),
              habit("dishes", Says.WASHING_UP.text(), Habit.Per.PERSON, 2, 1.75, 1, 1),
              new Habit(
                  "hands",
                  Says.HANDS_AND_FACE.text(),
                  Habit.Per.PERSON,
                  6,
                  0.5,
                  Optional.empty(),
                  1,
                  1.2,
                  Says.WITHIN_BASIC_HYGIENE_OF_WHO_WEDC.text()),
              new Habit(
                  "shower",
                  "Shower",
                  Habit.Per.PERSON,
                  0.5,
                  0,
                  Optional.of(new Habit.Running(4, 5, 0.5)),
                  1,
                  1.4,
                  Says.OUR_OWN_ESTIMATE_EVERY_OTHER_DAY.text()),
              habit("toilet", Says.TOILET_FLUSH.text(), Habit.Per.PERSON, 3, 0.5, 0, 1),
              habit("cleaning", "Cleaning", Habit.Per.RIG, 0.5, 2, 1, 1),
              habit("rinse", Says.RINSE_OUTSIDE.text(), Habit.Per.RIG, 0, 6, 0, 1.5),
              new Habit(
                  "pets",
                  Says.PET_DRINKING.text(),
                  Habit.Per.PET,
                  1,
                  1.2,
                  Optional.empty(),
                  0,
                  1.6,
                  Says.ABOUT_60_ML_FOR_EACH_KILOGRAM.text())));

  private static Habit habit(
      String id,
      String label,
      Habit.Per per,
      double times,
      double litres,
      double grayShare,
      double heat) {
    return new Habit(id, label, per, times, litres, Optional.empty(), grayShare, heat, OURS);
  }

  public Habits {
    if (people < 1 || people > 50) {
      throw new Refusal(Says.PEOPLE_MUST_BE_A_WHOLE_NUMBER.with());
    }
    if (pets < 0 || pets > 20) {
      throw new Refusal(Says.PETS_MUST_BE_A_WHOLE_NUMBER.with());
    }
    if (season == null || habits == null) {
      throw new Refusal(Says.HABITS_NEED_A_SEASON_MILD_OR_HOT.with());
    }
    if (habits.stream().anyMatch(Objects::isNull)
        || habits.stream().map(Habit::id).distinct().count() < habits.size()) {
      throw new Refusal(Says.EACH_HABIT_NEEDS_AN_ID.with());
    }
    if (habits.size() > MOST) {
      throw new Refusal(Says.THERE_IS_ROOM_FOR_HABITS_LEAVE.filled(MOST));
    }
    habits = List.copyOf(habits);
  }

  /** Returns these habits with so many people. */
  public Habits of(int others) {
    return new Habits(others, pets, season, habits);
  }

  /** Returns the fresh water that all use in a day (m³). */
  public double freshPerDay() {
    return sum(this::perDay);
  }

  /** Returns the gray water that comes of it in a day (m³). */
  public double grayPerDay() {
    return sum(h -> perDay(h) * h.grayShare());
  }

  /** Returns what all use for one habit in a day (m³). */
  public double perDay(Habit habit) {
    int count =
        switch (habit.per()) {
          case PERSON -> people;
          case PET -> pets;
          case RIG -> 1;
        };
    return count * habit.litresADay(season) / 1000;
  }

  private double sum(ToDoubleFunction<Habit> of) {
    return habits.stream().mapToDouble(of).sum();
  }

  /**
   * Returns these without the habits that a rig has nothing for, and with the usual ones for what
   * it has; what somebody entered of the others stays.
   *
   * @param fitting ids of habits that a rig may have something for, with whether it has
   */
  public Habits fitting(Map<String, Boolean> fitting) {
    List<Habit> kept = new ArrayList<>();
    for (Habit habit : habits) {
      if (fitting.getOrDefault(habit.id(), true)) {
        kept.add(habit);
      }
    }
    for (Habit usual : DEFAULT.habits()) {
      boolean missing = kept.stream().noneMatch(h -> h.id().equals(usual.id()));
      if (missing && fitting.getOrDefault(usual.id(), false)) {
        kept.add(usual);
      }
    }
    return new Habits(people, pets, season, kept);
  }
}
