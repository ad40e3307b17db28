package fernwort.app;

import fernwort.core.say.Refusal;

/** Thrown when what somebody asks for by its address is not there. */
public final class Missing extends Refusal {

  private static final long serialVersionUID = 1L;

  /** Says what is missing, and where to look instead. */
  public Missing(String sentence) {
    super(sentence);
  }
}
