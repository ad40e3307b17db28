package fernwort.core.practice;

import java.time.LocalDate;

/**
 * When something that is practised comes back: after longer and longer, and soon where it was
 * missed.
 *
 * @param box how often it was passed in a row, from 0
 * @param due when it comes back
 */
public record Leitner(int box, LocalDate due) {

  /** After so many days in each box; own choice. */
  private static final int[] DAYS = {1, 3, 7, 21};

  /** What was never practised. */
  public static Leitner fresh(LocalDate today) {
    return new Leitner(0, today);
  }

  /** Returns what comes of practising it on a day. */
  public Leitner after(boolean passed, LocalDate today) {
    int next = passed ? Math.min(box + 1, DAYS.length - 1) : 0;
    return new Leitner(next, today.plusDays(DAYS[next]));
  }

  /** Tells whether it is to be practised again on a day. */
  public boolean isDue(LocalDate today) {
    return !due.isAfter(today);
  }
}
