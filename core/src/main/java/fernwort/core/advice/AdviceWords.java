package fernwort.core.advice;

import fernwort.core.say.Message;
import java.util.Locale;

/** What is advised, with {} for what is filled in. */
enum AdviceWords {
  /** A job was begun and not ended; its name. */
  GO_ON(Says.YOU_ARE_IN_THE_MIDDLE_OF.text()),
  /** Frost tonight by the demo's weather: how cold, what freezes first, and when. */
  SIMULATED_FROST(Says.FROST_TONIGHT_SIMULATED.text()),
  /** Something freezes tonight; the lowest outside, the first thing, and when. */
  FROST(Says.FROST_TONIGHT_DOWN_TO_FREEZES.text()),
  /** Nothing ends soon; how long, and what ends it. */
  WATER_FOR(Says.WATER_FOR_THEN.text()),
  /** Gray is full before long; the tank, and how long. */
  DUMP(Says.DUMP_IT_IS_FULL_IN.text()),
  /** Gray is full. */
  DUMP_NOW(Says.DUMP_IT_IS_FULL.text()),
  /** Why a winterizing method is recommended: how long it takes. */
  LEAST_WORK(Says.NO_WATER_IS_LEFT_THAT_BREAKS.text()),
  /** The same, where no other does as well. */
  ONLY_WHOLE(Says.IT_IS_THE_ONLY_ONE_THAT_LEAVES.text()),
  /** The same, where something may break; what, and how long it takes. */
  MAY_BREAK_LEAST_WORK(Says.NOTHING_IS_SURE_TO_BREAK.text()),
  /** The same, where none does; how many parts break. */
  LEAVES_LEAST(Says.EVERY_METHOD_LEAVES_SOMETHING.text()),
  /** Something has to be looked after; what, and how many more. */
  MAINTAIN(Says.MAINTENANCE_IS_DUE.text()),
  /** Fresh water ends before long; how long. */
  FILL(Says.FILL_UP_FRESH_WATER_LASTS.text()),
  /** There is none. */
  FILL_NOW(Says.FILL_UP_THERE_IS_NO_FRESH_WATER.text());

  private static final double DAY = 24;

  private final String text;

  AdviceWords(String text) {
    this.text = text;
  }

  Message with(Object... filled) {
    return Message.of(text, filled);
  }

  /** Says so many days as people do: "about 9 hours", "about 2 days". */
  static String about(double days) {
    if (days < 1) {
      long hours = Math.max(1, Math.round(days * DAY));
      return Says.ABOUT_HOUR.filled(hours, hours == 1 ? "" : "s");
    }
    return days < 1.25 ? Says.ABOUT_A_DAY.text() : Says.ABOUT_DAYS.filled(halves(days));
  }

  private static String halves(double days) {
    double half = Math.round(2 * days) / 2.0;
    return half == Math.rint(half)
        ? String.format(Locale.ROOT, "%.0f", half)
        : String.format(Locale.ROOT, "%.1f", half);
  }
}
