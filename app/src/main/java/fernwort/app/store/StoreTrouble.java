package fernwort.app.store;

/** What is kept cannot be changed, or not be read, for now; one sentence says why and the fix. */
public final class StoreTrouble extends RuntimeException {

  private static final long serialVersionUID = 1;

  public StoreTrouble(String sentence) {
    super(sentence);
  }

  public StoreTrouble(String sentence, Throwable cause) {
    super(sentence, cause);
  }
}
