package fernwort.core.sizing;

/**
 * Something people use water for every day.
 *
 * @param id unique name
 * @param label what people call it
 * @param litresPerPersonDay litres one person uses for it in a day
 * @param grayShare share of it that ends in the gray tank, 0 to 1
 */
public record Habit(String id, String label, double litresPerPersonDay, double grayShare) {

  public Habit {
    if (!(litresPerPersonDay >= 0 && litresPerPersonDay <= 500)) {
      throw new IllegalArgumentException(
          "\"%s\" needs litres per person and day from 0 to 500".formatted(label));
    }
    if (!(grayShare >= 0 && grayShare <= 1)) {
      throw new IllegalArgumentException(
          "\"%s\" needs a share that becomes gray from 0 to 100 %%".formatted(label));
    }
  }
}
