package fernwort.core.id;

import fernwort.core.say.Phrase;

/** The sentences of this package. */
enum Says implements Phrase {
  // ElementId: what a rig has nothing of.
  THE_RIG_HAS_NO_LINE_CHECK("The rig has no line \"{}\"; check its id"),
  THE_RIG_HAS_NO_PART_CHECK("The rig has no part \"{}\"; check its id"),
  THE_RIG_HAS_NO_PLACE("The rig has no place \"{}\"");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
