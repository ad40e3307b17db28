package fernwort.core.tank;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // GaugeCurve: what a gauge shows against what a tank holds, as found by jugs poured in, or by
  // readings before and after known fills.
  A_FILL_TELLS_OF_A_GAUGE(
      "A fill tells of a gauge that rose: give what it showed before, what it showed after, which"
          + " is more, and what was poured in"),
  A_GAUGE_IS_CALIBRATED_BY_THREE(
      "A gauge is calibrated by three readings or more, with water poured in between; add a row"),

  // Reading: a level as somebody read it: the ways people read tanks, each turned into litres on
  // the slope the vehicle stood on.
  THE_PERCENTAGE("The percentage"),
  THE_AMOUNT("The amount"),
  THE_HEIGHT_ON_THE_STICK("The height on the stick"),
  THIS_TANK_HAS_NO_SENDER(
      "This tank has no sender with steps; give percent, litres or the height on a stick"),
  THE_SENDERS_STEPS_MUST_BE_FROM_0("The sender's steps must be from 0 to {} for this tank"),
  MUST_BE_FROM_TO_FOR_THIS_TANK(
      "{} must be from {} to {} for this tank; check the number and its unit");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
