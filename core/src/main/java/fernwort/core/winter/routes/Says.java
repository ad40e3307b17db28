package fernwort.core.winter.routes;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // InjectionPoint: where air or antifreeze can be let into a rig.
  SUCTION_HOSE_OFF("suction hose off and into the jug"),
  SUCTION_HOSE_OUT_OF_THE_JUG("suction hose out of the jug and back on"),
  HOSE_INTO_THE_JUG("hose into the jug"),
  HOSE_OUT_OF_THE_JUG_CAP_ON("hose out of the jug, cap on"),
  A_HAND_PUMP_BEFORE_IT_THAT_DRAWS("{}, a hand pump before it that draws from the jug");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
