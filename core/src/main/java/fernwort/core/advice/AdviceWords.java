package fernwort.core.advice;

import fernwort.core.say.Message;
import java.util.Locale;

/** What is advised, with {} for what is filled in. */
enum AdviceWords {
  /** A job was begun and not ended; its name. */
  GO_ON("You are in the middle of: {}."),
  /** Something freezes tonight; the lowest outside, the first thing, and when. */
  FROST("Frost tonight, down to {}: {} freezes first, about {}."),
  /** Nothing ends soon; how long, and what ends it. */
  WATER_FOR("Water for {}; then {}."),
  /** Gray is full before long; the tank, and how long. */
  DUMP("Dump {}: it is full in {}."),
  /** Gray is full. */
  DUMP_NOW("Dump {}: it is full."),
  /** Why a winterizing method is recommended: how long it takes. */
  LEAST_WORK("No water is left that breaks anything, and it is the least work ({})."),
  /** The same, where no other does as well. */
  ONLY_WHOLE("It is the only one that leaves no water that breaks anything."),
  /** The same, where none does; how many parts break. */
  LEAVES_LEAST("Every method leaves something that breaks, this one the fewest parts ({})."),
  /** Something has to be looked after; what, and how many more. */
  MAINTAIN("Maintenance: {} is due{}."),
  /** Fresh water ends before long; how long. */
  FILL("Fill up: fresh water lasts {}."),
  /** There is none. */
  FILL_NOW("Fill up: there is no fresh water left to draw.");

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
      return String.format(Locale.ROOT, "about %d hour%s", hours, hours == 1 ? "" : "s");
    }
    return days < 1.25 ? "about a day" : String.format(Locale.ROOT, "about %s days", halves(days));
  }

  private static String halves(double days) {
    double half = Math.round(2 * days) / 2.0;
    return half == Math.rint(half)
        ? String.format(Locale.ROOT, "%.0f", half)
        : String.format(Locale.ROOT, "%.1f", half);
  }
}
