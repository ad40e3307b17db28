package fernwort.app.board;

import fernwort.app.web.When;
import fernwort.core.budget.Budget;
import fernwort.core.budget.Range;
import fernwort.core.rig.Rig;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.sizing.Habits;
import fernwort.core.sizing.Lasts;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * How long the water lasts, in words, with its working.
 *
 * @param headline days until the first end, such as "4.6 days"
 * @param ends what ends it
 * @param drinks whether there is a tank for drinking water, without which no days are counted
 * @param other the other end in a sentence; empty when the rig has no gray tank
 * @param learnt when it ends by what was read, in a sentence; empty until enough was
 * @param working the sums, line by line
 * @param people how many travel
 * @param habits what is used for what in a day
 */
public record LastsView(
    String headline,
    String ends,
    boolean drinks,
    String other,
    String learnt,
    List<Message> working,
    int people,
    List<HabitRow> habits) {

  /** One habit: what it takes in a day, and the percentage of it that becomes gray. */
  public record HabitRow(String label, Message litres, String grayPercent) {}

  /**
   * Puts in words how long the water lasts.
   *
   * @param unread names of the tanks that nobody has read: days are not counted without the fresh
   *     ones
   * @param budget what is learnt from the log
   */
  static LastsView of(Rig rig, Lasts lasts, Habits habits, List<String> unread, Budget budget) {
    boolean grayEnds = lasts.ends() == Lasts.Ends.GRAY;
    int crew = budget.people();
    String people = crew == 1 ? Says.FOR_1_PERSON.text() : crew + " people";
    String other =
        lasts
            .grayDays()
            .map(gray ->
                grayEnds
                    ? Says.FRESH_WOULD_LAST.filled(days(lasts.freshDays()))
                    : Says.GRAY_HAS_ROOM_FOR.filled(days(gray)))
            .orElse("");
    boolean known = unread.isEmpty();
    return new LastsView(
        known ? days(lasts.days()) : Says.NOT_KNOWN.text(),
        known
            ? (grayEnds ? Says.UNTIL_GRAY_IS_FULL.text() : Says.UNTIL_FRESH_ENDS.text()) + people
            : Says.UNTIL_IS_READ_PICK_IT_AND_SAY.filled(String.join(" and ", unread)),
        !lasts.fresh().isEmpty(),
        known ? other : "",
        known && budget.enough() ? learnt(budget) : "",
        working(rig, lasts, habits),
        crew,
        habits.habits().stream()
            .map(h ->
                new HabitRow(
                    h.label(),
                    Message.of("{}", Amount.volume(habits.perDay(h))),
                    plain(h.grayShare() * 100)))
            .toList());
  }

  private static String learnt(Budget budget) {
    Range ends = budget.ends();
    return Says.FROM_YOUR_READINGS_UNTIL_ABOUT.filled(
        When.hour(ends.expected()), When.hour(ends.low()), When.hour(ends.high()));
  }

  private static List<Message> working(Rig rig, Lasts lasts, Habits habits) {
    List<Message> lines = new ArrayList<>();
    for (Lasts.Share share : lasts.fresh()) {
      lines.add(
          Says.HOLDS_OF_IT_BELOW_THE_OUTLET.with(
              rig.part(share.tank()).label(),
              Amount.volume(share.holds()),
              Amount.volume(share.lost()),
              Amount.volume(share.counts())));
    }
    lines.add(
        Says.ALL_HABITS_TOGETHER_A_DAY.with(
            Amount.volume(lasts.freshPerDay()), Amount.volume(lasts.grayPerDay())));
    lines.add(
        Says.FRESH_A_DAY.with(
            Amount.volume(lasts.freshLeft()),
            Amount.volume(lasts.freshPerDay()),
            days(lasts.freshDays())));
    lasts
        .grayDays()
        .ifPresent(gray ->
            lines.add(
                Says.GRAY_ROOM_FOR_A_DAY.with(
                    Amount.volume(lasts.grayRoom()),
                    Amount.volume(lasts.grayPerDay()),
                    days(gray))));
    return lines;
  }

  private static String days(double days) {
    if (Double.isInfinite(days) || Double.isNaN(days)) {
      return Says.NO_END.text();
    }
    return String.format(Locale.ROOT, "%.1f days", days);
  }

  private static String plain(double value) {
    return value == Math.rint(value)
        ? Long.toString((long) value)
        : String.format(Locale.ROOT, "%.2f", value).replaceAll("0+$", "");
  }
}
