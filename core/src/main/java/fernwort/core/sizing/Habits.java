package fernwort.core.sizing;

import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
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

  private static final String OURS = "Our own estimate; count a day of yours";

  /** Cautious defaults for saving travellers. */
  public static final Habits DEFAULT =
      new Habits(
          2,
          0,
          Season.MILD,
          List.of(
              new Habit(
                  "drinking",
                  "Drinking and cooking",
                  Habit.Per.PERSON,
                  1,
                  4,
                  Optional.empty(),
                  0.2,
                  1.5,
                  "Survival figures of WHO/WEDC Technical Note 9 (2013): 2.5 to 3 L to drink, more"
                      + " to cook; half as much again in heat is our estimate"),
              habit("dishes", "Washing up", Habit.Per.PERSON, 2, 1.75, 1, 1),
              new Habit(
                  "hands",
                  "Hands and face",
                  Habit.Per.PERSON,
                  6,
                  0.5,
                  Optional.empty(),
                  1,
                  1.2,
                  "Within basic hygiene of WHO/WEDC Technical Note 9 (2013), 2 to 6 L a day"),
              new Habit(
                  "shower",
                  "Shower",
                  Habit.Per.PERSON,
                  0.5,
                  0,
                  Optional.of(new Habit.Running(4, 5, 0.5)),
                  1,
                  1.4,
                  "Our own estimate: every other day, 4 minutes, off for half of them to soap"),
              habit("toilet", "Toilet flush", Habit.Per.PERSON, 3, 0.5, 0, 1),
              habit("cleaning", "Cleaning", Habit.Per.RIG, 0.5, 2, 1, 1),
              habit("rinse", "Rinse outside", Habit.Per.RIG, 0, 6, 0, 1.5),
              new Habit(
                  "pets",
                  "Pet drinking",
                  Habit.Per.PET,
                  1,
                  1.2,
                  Optional.empty(),
                  0,
                  1.6,
                  "About 60 mL for each kilogram of a dog (National Research Council 2006), here for"
                      + " 20 kg")));

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
      throw new Refusal("People must be a whole number from 1 to 50");
    }
    if (pets < 0 || pets > 20) {
      throw new Refusal("Pets must be a whole number from 0 to 20");
    }
    if (season == null || habits == null) {
      throw new Refusal(
          "Habits need a season, MILD or HOT, and a list of habits, which may be empty");
    }
    if (habits.stream().anyMatch(Objects::isNull)
        || habits.stream().map(Habit::id).distinct().count() < habits.size()) {
      throw new Refusal("Each habit needs an id of its own");
    }
    if (habits.size() > MOST) {
      throw new Refusal(
          String.format(Locale.ROOT, "There is room for %d habits; leave some out", MOST));
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
