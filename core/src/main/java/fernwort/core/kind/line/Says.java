package fernwort.core.kind.line;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // DrainTrap: a water seal against smell.
  PLUG_IN("plug in"),
  PLUG_OUT("plug out"),

  // Valve: a kind whose handle joins some of its ports.
  AT_A_STOP("at a stop"),
  HALF_WAY_OPEN("half way open");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
