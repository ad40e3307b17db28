package fernwort.core.sizing;

import fernwort.core.say.Refusal;
import java.util.List;

/**
 * What so many days need, low, expected and high.
 *
 * @param days how long (days)
 * @param fresh fresh water needed
 * @param gray gray water that comes of it
 */
public record Demand(double days, Range fresh, Range gray) {

  /** People who save use about so much of what they expect to, and in heat so much more. */
  public static final double LOW = 0.75;

  /** See {@link #LOW}; both are our own estimates. */
  public static final double HIGH = 1.4;

  /**
   * A figure with its bounds (m³).
   *
   * @param low one in ten needs less (m³)
   * @param expected half need less (m³)
   * @param high nine in ten need less (m³)
   */
  public record Range(double low, double expected, double high) {

    static Range around(double expected) {
      return new Range(LOW * expected, expected, HIGH * expected);
    }
  }

  /**
   * Works out what is needed.
   *
   * @param habits who travels and what they use
   * @param days how long, at least a quarter of a day (days)
   * @param reserve share kept back on top, 0 to 1
   */
  public static Demand of(Habits habits, double days, double reserve) {
    if (!(days >= 0.25 && days <= 365)) {
      throw new Refusal(Says.DAYS_MUST_BE_FROM_0_25.with());
    }
    if (!(reserve >= 0 && reserve <= 1)) {
      throw new Refusal(Says.THE_RESERVE_MUST_BE_FROM_0.with());
    }
    return new Demand(
        days,
        Range.around(habits.freshPerDay() * days * (1 + reserve)),
        Range.around(habits.grayPerDay() * days));
  }

  /**
   * Returns days that one more litre of fresh and of gray room is worth; nothing for the one that
   * does not end the stay.
   *
   * @param lasts how long the water lasts, and what is used a day
   */
  public static List<Double> worthOfALitre(Lasts lasts) {
    boolean gray = lasts.ends() == Lasts.Ends.GRAY;
    return List.of(gray ? 0 : 1e-3 / lasts.freshPerDay(), gray ? 1e-3 / lasts.grayPerDay() : 0);
  }
}
