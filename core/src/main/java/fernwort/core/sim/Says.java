package fernwort.core.sim;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package. */
enum Says implements Phrase {
  A_LINE_LEAKS("A line leaks, a litre a minute"),
  A_VALVE_STICKS("A motor valve sticks"),
  A_SENSOR_STICKS("A sensor is stuck"),
  A_SENSOR_DRIFTS("A sensor reads lower and lower"),
  A_SENSOR_IS_SILENT("A sensor falls silent"),
  A_PUMP_IS_WORN("A pump is worn"),
  THE_MAINS_ARE_LOW("The tap outside gives little"),
  THE_POWER_IS_CUT("The power is cut"),
  THE_LINK_IS_CUT("The link to the broker is cut"),
  IT_FREEZES_OUTSIDE("It freezes outside"),
  IT_IS_DRIVEN("It is driven, and water slops about"),

  THERE_IS_NOTHING_CALLED("There is nothing called “{}” that can go wrong so; choose another");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
