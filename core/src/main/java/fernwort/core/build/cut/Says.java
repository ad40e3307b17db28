package fernwort.core.build.cut;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Cutting: pieces cut from coils or sticks of one length with the fewest of them, and so the
  // least waste.
  IS_LONG_AND_A_COIL_OR_STICK(
      "{} is {} long, and a coil or stick {}: take a longer one, or join it");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
