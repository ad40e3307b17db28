package fernwort.core.sizing;

import java.util.List;

/**
 * Who travels and what they use.
 *
 * @param people how many
 * @param habits what each of them uses in a day
 */
public record Habits(int people, List<Habit> habits) {

  /**
   * Cautious defaults for saving travellers. Drinking, cooking and basic hygiene follow the
   * survival and basic figures of WHO/WEDC, Technical Notes on Drinking-Water, Sanitation and
   * Hygiene in Emergencies no. 9 (2013); shower and toilet are our own estimates.
   */
  public static final Habits DEFAULT =
      new Habits(
          2,
          List.of(
              new Habit("drinking", "Drinking and cooking", 4, 0.2),
              new Habit("dishes", "Washing up", 3.5, 1),
              new Habit("hands", "Hands and face", 3, 1),
              new Habit("shower", "Shower", 5, 1),
              new Habit("toilet", "Toilet flush", 1.5, 0)));

  public Habits {
    if (people < 1 || people > 50) {
      throw new IllegalArgumentException("People must be a whole number from 1 to 50");
    }
    habits = List.copyOf(habits);
  }

  /** Returns the fresh water that all use in a day (m³). */
  public double freshPerDay() {
    return people * habits.stream().mapToDouble(Habit::litresPerPersonDay).sum() / 1000;
  }

  /** Returns the gray water that comes of it in a day (m³). */
  public double grayPerDay() {
    return people
        * habits.stream().mapToDouble(h -> h.litresPerPersonDay() * h.grayShare()).sum()
        / 1000;
  }
}
