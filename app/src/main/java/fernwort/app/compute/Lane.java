package fernwort.app.compute;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Where a request stands in line. Whatever is about a rig and is named nowhere here is bounded as
 * {@link Way#LOOK} is.
 *
 * @param way how it waits
 * @param rig the rig that it computes for, or all cards; empty where that does not matter
 */
record Lane(Way way, String rig) {

  /** How a request waits. */
  enum Way {
    /** What computes nothing, or only waits for what others compute. */
    BY,
    /** What somebody notes, turns or ticks, and Today: never behind what computes. */
    SOON,
    /** All else about a rig. */
    LOOK,
    /** What is known to compute for seconds: one at a time for each rig. */
    HEAVY
  }

  private static final Pattern RIG =
      Pattern.compile("(?:/api/v1)?/(?:rigs(?:/([^/]+)(?:/(.*))?)?|c/(.+)|cold/.+)");

  /** What tells as it happens, and what workers compute once for all who ask. */
  private static final Pattern WAITS =
      Pattern.compile(
          "(?:.+/)?(?:stream|events)|jobs/list|jobs/[^/]+/(?:mistakes|slips)|(?:winter|cold)/shorter/.+");

  private static final Pattern SOON =
      Pattern.compile(
          "board|next|now|state|undo|redo|people|parked|handles/.+|tanks/[^/]+/reading|log.*"
              + "|runs/(?!.+/replan$).+|alarms.*|live/(?!rules).+|signals.*");

  private static final Pattern HEAVY =
      Pattern.compile(
          "jobs/.+|slips|plan|run|sizing.*|workbench.*|build.*|empty|drain|cold.*|winter.*|compare"
              + "|rehearse/answers|flows|fault.*|practise.*|drills.*|pocket.*|hand-over.*|review");

  /** Whoever has a card waits for others who have one, and keeps no page of the owner waiting. */
  private static final String CARDS = "cards";

  private static final Lane BY = new Lane(Way.BY, "");

  /**
   * Returns where a request stands.
   *
   * @param path its path, without what it asks for behind a question mark
   */
  static Lane of(String path) {
    Matcher about = RIG.matcher(path);
    if (!about.matches()) {
      return BY;
    }
    if (about.group(3) != null) {
      return new Lane(Way.HEAVY, CARDS);
    }
    String rig = Optional.ofNullable(about.group(1)).orElse("");
    String what = Optional.ofNullable(about.group(2)).orElse("");
    if (WAITS.matcher(what).matches()) {
      return BY;
    }
    if (SOON.matcher(what).matches()) {
      return new Lane(Way.SOON, rig);
    }
    return new Lane(HEAVY.matcher(what).matches() ? Way.HEAVY : Way.LOOK, rig);
  }
}
