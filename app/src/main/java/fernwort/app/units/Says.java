package fernwort.app.units;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Units: the units one person reads and writes.
  IS_NOT_A_UNIT_FOR_IT_LEAVE("{}: “{}” is not a unit for it; leave it out, or use {}"),
  IS_NOT_A_SHARE_TYPE_PERCENT(
      "{}: “{}” is not a share; type percent, such as 62, or a fraction, such as 3/4");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
