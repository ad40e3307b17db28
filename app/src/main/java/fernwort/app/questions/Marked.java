package fernwort.app.questions;

import java.util.Locale;
import java.util.Map;

/**
 * The rig's drawing as an answer: what is worth looking at is marked on it.
 *
 * @param says what the drawing shows, in words
 * @param marks by id of the line or part
 */
public record Marked(String says, Map<String, Mark> marks) {

  public Marked {
    marks = Map.copyOf(marks);
  }

  /** How much a mark matters; each has its own colour and dash. */
  public enum Weight {
    DANGER,
    WARNING,
    NONE;

    /** Returns its name in the style sheet. */
    public String style() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * A mark.
   *
   * @param weight how much it matters
   * @param text what stands on it, short
   * @param words the same in words
   */
  public record Mark(Weight weight, String text, String words) {}
}
