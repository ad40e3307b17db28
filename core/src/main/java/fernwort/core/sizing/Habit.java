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
      throw new Refusal(
          "A habit needs an id, a label, a source, and whom it counts for: PERSON, PET or RIG");
    }
    within(label, "litres each time", litres, 500);
    within(label, "times a day", times, 100);
    within(label, "minutes", running.map(Running::minutes).orElse(0.0), 120);
    within(label, "litres a minute", running.map(Running::flow).orElse(0.0), 60);
    within(label, "share of the time that it runs", running.map(Running::on).orElse(0.0), 1);
    within(label, "factor for heat", heat, 5);
    if (!(grayShare >= 0 && grayShare <= 1)) {
      throw new Refusal("\"%s\" needs a share that becomes gray from 0 to 100 %%".formatted(label));
    }
  }

  private static void within(String label, String what, double value, double highest) {
    if (!(value >= 0 && value <= highest)) {
      throw new Refusal(
          String.format(Locale.ROOT, "\"%s\" needs %s from 0 to %.0f", label, what, highest));
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
        id, label, Per.PERSON, 1, litres, Optional.empty(), grayShare, 1, "Entered by hand");
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
