package fernwort.app.compute;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Turnstile: lets heavy computations in: one at a time for each rig, and as many in all as there
  // are processors.
  FERNWORT_IS_STILL_COMPUTING(
      "Fernwort is still computing what was asked before. Nothing is lost; ask again in a moment.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
