package fernwort.core.guide.answers;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // RigAnswers: what somebody has answered about a rig so far.
  POINTS_RIGHT("points right"),
  POINTS_UP("points up"),
  POINTS_LEFT("points left"),
  POINTS_DOWN("points down");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
