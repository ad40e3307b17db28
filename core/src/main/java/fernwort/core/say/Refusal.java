package fernwort.core.say;

/**
 * Thrown on purpose when something cannot be done, with a sentence that names the thing and the
 * fix. Whatever else is thrown is a fault of ours.
 */
public class Refusal extends RuntimeException {

  private static final long serialVersionUID = 1L;

  private final transient Message saying;

  /** Refuses in a sentence without amounts. */
  public Refusal(String sentence) {
    this(Message.words(sentence));
  }

  /** Refuses in a sentence. */
  public Refusal(Message saying) {
    super(saying.toString());
    this.saying = saying;
  }

  /** Refuses for a reason that is worth keeping. */
  public Refusal(String sentence, Throwable cause) {
    super(sentence, cause);
    saying = Message.words(sentence);
  }

  /** Returns the sentence. */
  public Message saying() {
    return saying;
  }

  @Override
  public String getMessage() {
    return saying.toString();
  }
}
