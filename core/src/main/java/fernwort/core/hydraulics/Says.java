package fernwort.core.hydraulics;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Hydraulics: steady flow and pressure everywhere in a rig, for any state.
  THE_FLOW_THROUGH_DOES_NOT_SETTLE(
      "The flow through {} does not settle; check its figures and those of its neighbours");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
