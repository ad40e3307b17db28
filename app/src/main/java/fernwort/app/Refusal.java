package fernwort.app;

/** Thrown when something cannot be done, with one sentence for the person who asked. */
public class Refusal extends RuntimeException {

  private static final long serialVersionUID = 1L;

  public Refusal(String sentence) {
    super(sentence);
  }
}
