package fernwort.core.guide;

import fernwort.core.say.Message;

/**
 * Something that nobody said and was taken as is usual.
 *
 * @param about what it is about
 * @param what what is taken
 * @param matters what it matters for
 */
public record Guess(About about, Message what, Message matters) {

  /** What a guess is about, the weightiest first, with the page of questions that settles it. */
  public enum About {
    CAPACITY("tanks"),
    SAME_PLACE("tanks"),
    AXLES("vehicle"),
    FLOOR("vehicle"),
    DIMENSIONS("tanks"),
    HEATER("pump"),
    LENGTHS("");

    private final String page;

    About(String page) {
      this.page = page;
    }

    /** Returns the page of questions that settles it; empty where only a tape does. */
    public String page() {
      return page;
    }
  }
}
