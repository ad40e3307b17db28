package fernwort.core.drain;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Wintering: a rig on its way into the winter or out of it: its handles, what is off or out
  // beside them, and where water is.
  HAS_NO_POSITION("{} has no position \"{}\"; {}"),
  NOTHING_ABOUT_IT_CAN_BE_SET("nothing about it can be set"),
  IT_CAN_BE("it can be {}");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
