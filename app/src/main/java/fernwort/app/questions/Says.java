package fernwort.app.questions;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Form: what one question asks: each call asks one thing and returns what was entered for it, or
  // its default.
  ROW("{}, row {}"),
  IS_NOT_A_WHOLE_NUMBER_TYPE("{}: “{}” is not a whole number; type one, such as 2"),

  // NightAir: the air of tonight: the forecast, or what somebody entered; the same for every page.
  OUTSIDE_AIR("Outside air"),
  THE_FORECAST_FOR_TONIGHT("the forecast for tonight (simulated)"),
  AS_I_ENTER_IT("as I enter it"),
  LOWEST_6_H("Lowest (6 h)"),
  IN_THE_EVENING_18_H("In the evening (18 h)"),
  COUNTS_UNDER_THE_OPEN_FLOOR("Counts under the open floor."),

  // Question: one question of the Sizing screen with its answer, in one person's units.
  THIS_TAKES_TOO_LONG_TO_WORK(
      "This takes too long to work out: the rig has very many parts, or its water never comes to"
          + " rest; ask it of a smaller part of the rig"),
  WORKED_OUT_FOR("Worked out for: {}.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
