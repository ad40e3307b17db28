package fernwort.core.hydraulics;

/** The flow of a rig was not found; the sentence names the part around which it does not settle. */
public final class UnsettledFlowException extends IllegalStateException {

  private static final long serialVersionUID = 1L;

  UnsettledFlowException(String sentence, Throwable cause) {
    super(sentence, cause);
  }
}
