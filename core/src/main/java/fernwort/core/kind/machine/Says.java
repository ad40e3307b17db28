package fernwort.core.kind.machine;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Heater: a water heater.
  DRAIN_PLUG_OUT("drain plug out"),
  DRAIN_PLUG_IN("drain plug in"),

  // Pump: a pump.
  BEING_WORKED("being worked"),
  SWITCHED_ON("switched on");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
