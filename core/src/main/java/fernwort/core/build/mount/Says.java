package fernwort.core.build.mount;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Hanging: what each support of a tank bears, standing and moving.
  NOTHING_CARRIES_IT_YET_ADD("Nothing carries it yet: add a support, with where it stands"),
  ITS_MASS_MUST("Its mass must be more than nothing; give tank and water together");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
