package fernwort.core.hygiene;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Upkeep: something about the water that falls due: by days, and for filters and pumps by use as
  // well.
  LOOK_FOR_LEAKS_WITH_THE_PRESSURE("Look for leaks with the pressure on");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
