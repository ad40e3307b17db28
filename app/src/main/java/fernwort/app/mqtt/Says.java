package fernwort.app.mqtt;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // BrokerAddress: where a broker is.
  AN_ADDRESS_IS(
      "“{}” is no address of a broker; write it as mqtt://192.168.1.20 or mqtts://name:8883"),

  // HouseBroker: the broker inside Fernwort.
  IT_CANNOT_LISTEN("Fernwort’s own broker cannot listen on port {}; another program may use it");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
