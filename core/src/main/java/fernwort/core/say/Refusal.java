package fernwort.core.say;

/**
 * Thrown on purpose when something cannot be done, with a sentence that names the thing and the
 * mend. Whatever else is thrown is a fault of ours.
 */
public class Refusal extends RuntimeException {

  private static final long serialVersionUID = 1L;

  private final transient Saying saying;

  /** Refuses in a sentence without amounts. */
  public Refusal(String sentence) {
    this(Saying.words(sentence));
  }

  /** Refuses in a sentence. */
  public Refusal(Saying saying) {
    super(saying.toString());
    this.saying = saying;
  }

  /** Refuses for a reason that is worth keeping. */
  public Refusal(String sentence, Throwable cause) {
    super(sentence, cause);
    saying = Saying.words(sentence);
  }

  /** Returns the sentence. */
  public Saying saying() {
    return saying;
  }

  @Override
  public String getMessage() {
    return saying.toString();
  }
}
