package fernwort.core.sizing;

import fernwort.core.say.Refusal;
import java.util.Locale;
import java.util.Optional;

/**
 * Something that water is used for.
 *
 * @param id unique name
 * @param label what people call it
 * @param per whom it is counted for
 * @param times how often a day (1)
 * @param litres what one time takes (L), unless the water runs
 * @param running how long the water runs each time, where it does; then litres do not count
 * @param grayShare share of it that ends in the gray tank, 0 to 1
 * @param heat times as much of it in a hot season, 1 for no change
 * @param source where the figures come from
 */
public record Habit(
    String id,
    String label,
    Per per,
    double times,
    double litres,
    Optional<Running> running,
    double grayShare,
    double heat,
    String source) {

  /** Whom a habit is counted for. */
  public enum Per {
    PERSON,
    PET,
    RIG
  }

  /**
   * Water that runs for a while.
   *
   * @param minutes how long it takes (min)
   * @param flow flow while it runs (L/min)
   * @param on share of the time that it runs, 0 to 1; less than 1 for who shuts it to soap
   */
  public record Running(double minutes, double flow, double on) {
    double litres() {
      return minutes * flow * on;
    }
  }

  public Habit {
    if (id == null || per == null || running == null || source == null || label == null) {
      throw new Refusal(Says.A_HABIT_NEEDS_AN_ID_A_LABEL.with());
    }
    within(label, Says.LITRES_EACH_TIME.text(), litres, 500);
    within(label, Says.TIMES_A_DAY.text(), times, 100);
    within(label, "minutes", running.map(Running::minutes).orElse(0.0), 120);
    within(label, Says.LITRES_A_MINUTE.text(), running.map(Running::flow).orElse(0.0), 60);
    within(
        label, Says.SHARE_OF_THE_TIME_THAT_IT_RUNS.text(), running.map(Running::on).orElse(0.0), 1);
    within(label, Says.FACTOR_FOR_HEAT.text(), heat, 5);
    if (!(grayShare >= 0 && grayShare <= 1)) {
      throw new Refusal(Says.NEEDS_A_SHARE_THAT_BECOMES_GRAY.with(label));
    }
  }

  private static void within(String label, String what, double value, double highest) {
    if (!(value >= 0 && value <= highest)) {
      throw new Refusal(
          String.format(Locale.ROOT, Says.NEEDS_FROM_0_TO.text(), label, what, highest));
    }
  }

  /**
   * Makes a habit of so many litres a day for each person, whatever the season.
   *
   * @param litres for each of a day (L)
   * @param grayShare what of it runs to the gray tank (0 to 1)
   */
  public static Habit daily(String id, String label, double litres, double grayShare) {
    return new Habit(
        id,
        label,
        Per.PERSON,
        1,
        litres,
        Optional.empty(),
        grayShare,
        1,
        Says.ENTERED_BY_HAND.text());
  }

  /** Returns what one time takes (L). */
  public double each() {
    return running.map(Running::litres).orElse(litres);
  }

  /** Returns what one person, pet or the rig uses for it in a day (L). */
  public double litresADay(Habits.Season season) {
    return times * each() * (season == Habits.Season.HOT ? heat : 1);
  }
}
