package fernwort.core.flow;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Fluid: water at one temperature, or air.
  WATER_FLOWS_BETWEEN_0_AND_100_C("Water flows between 0 and 100 °C; %.1f °C is outside"),

  // UnsettledException: the steps towards a steady flow did not settle.
  THE_FLOW_DOES_NOT_SETTLE_LINK("The flow does not settle; link {} moves most");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
