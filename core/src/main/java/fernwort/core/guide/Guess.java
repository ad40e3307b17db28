package fernwort.core.guide;

import fernwort.core.say.Message;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

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
    CAPACITY(QuestionPage.TANKS),
    SAME_PLACE(QuestionPage.TANKS),
    AXLES(QuestionPage.VEHICLE),
    FLOOR(QuestionPage.VEHICLE),
    DIMENSIONS(QuestionPage.TANKS),
    HEATER(QuestionPage.PUMP),
    /** What stands on plates that no page asks for; the editor does. */
    PLATES(null),
    /** Only a tape settles these, in the editor. */
    LENGTHS(null);

    private final @Nullable QuestionPage page;

    About(@Nullable QuestionPage page) {
      this.page = page;
    }

    /** Returns the page of questions that settles it; none where only a tape does. */
    public Optional<QuestionPage> page() {
      return Optional.ofNullable(page);
    }
  }
}
