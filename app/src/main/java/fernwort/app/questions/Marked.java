package fernwort.app.questions;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * The rig's drawing as an answer: what is worth looking at is marked on it.
 *
 * @param says what the drawing shows, in words
 * @param marks by id of the line or part
 * @param act what to do about what is marked, if there is something
 */
public record Marked(String says, Map<String, Mark> marks, Optional<Act> act) {

  public Marked {
    marks = Map.copyOf(marks);
  }

  /** A drawing that leads nowhere else. */
  public Marked(String says, Map<String, Mark> marks) {
    this(says, marks, Optional.empty());
  }

  /**
   * What to do next.
   *
   * @param words what the button says
   * @param path where it is done, from the rig's address
   */
  public record Act(String words, String path) {}

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
