package fernwort.core.hydraulics;

import fernwort.core.say.Refusal;

/** The flow of a rig was not found; the sentence names the part around which it does not settle. */
public final class UnsettledFlowException extends Refusal {

  private static final long serialVersionUID = 1L;

  UnsettledFlowException(String sentence, Throwable cause) {
    super(sentence, cause);
  }
}
