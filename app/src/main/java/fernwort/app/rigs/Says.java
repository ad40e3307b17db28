package fernwort.app.rigs;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // RigsController: the Rig screen: which rigs there are, rig files in and out.
  THE_FILE_IS_LARGER_THAN_2_MB(
      "The file is larger than 2 MB; rigs are far smaller, check that it is the right file"),
  COPY_OF("Copy of {}"),
  COPIED_FROM("Copied from {}");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
