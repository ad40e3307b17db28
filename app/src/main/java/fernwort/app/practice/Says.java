package fernwort.app.practice;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // ActText: what was done, as it stands in the address of a page.
  BEGIN_ANEW("This drill was left half way, and the rig has changed since; take a new one"),

  // PracticeController: a drill, and what came of it.
  WAITED("Waited {} min"),
  WAITED_UNTIL_FULL("Waited until {} was full"),
  TURNED("{}: {}"),
  PASSED("Done right, in {} turns; it takes {}."),
  DONE_WITH_HARM("The job is done, but not well."),
  NOT_DONE("The job is not done."),
  STANDS_WRONG("Not where it belongs at the end: {}."),
  WENT_ASTRAY("It went astray with “{}”.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
