package fernwort.app.compute;

/** Something takes longer to compute than anybody should wait, or too much is asked at once. */
public final class TooBusy extends RuntimeException {

  private static final long serialVersionUID = 1;

  /** After so long (s) it is worth asking again. */
  public static final String ASK_AGAIN = "5";

  public TooBusy(String sentence) {
    super(sentence);
  }
}
