package fernwort.app.sim;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package. */
enum Says implements Phrase {
  // SimulatedDevice: a simulated rig as a device that speaks MQTT.
  SIMULATED("{}, simulated"),

  // SimProgram: a simulated rig as a program of its own.
  THERE_IS_NO_RIG("There is no rig “{}”; give a demo rig's name, or a file that Fernwort wrote");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
