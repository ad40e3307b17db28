package fernwort.core.frost;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Curve: a temperature over time, straight between its points.
  A_NIGHT_NEEDS_TWO_HOURS("A night needs two hours or more, and a temperature for each"),
  THE_HOURS_OF_A_NIGHT_FOLLOW("The hours of a night follow one another; put them in order");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
