package fernwort.core.advice;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // AdviceWords: what is advised, with {} for what is filled in.
  YOU_ARE_IN_THE_MIDDLE_OF("You are in the middle of: {}."),
  FROST_TONIGHT_DOWN_TO_FREEZES("Frost tonight, down to {}: {} freezes first, not before {}."),
  FROST_TONIGHT_SIMULATED(
      "Frost tonight (simulated weather), down to {}: {} freezes first, not before {}."),
  WATER_FOR_THEN("Water for {}; then {}."),
  DUMP_IT_IS_FULL_IN("Dump {}: it is full in {}."),
  DUMP_IT_IS_FULL("Dump {}: it is full."),
  NO_WATER_IS_LEFT_THAT_BREAKS(
      "No water is left that breaks anything, and it is the least work ({})."),
  NOTHING_IS_SURE_TO_BREAK("{}; each of the others leaves more or is more work ({})."),
  IT_IS_THE_ONLY_ONE_THAT_LEAVES("It is the only one that leaves no water that breaks anything."),
  EVERY_METHOD_LEAVES_SOMETHING(
      "Every method leaves something that breaks, this one the fewest parts ({})."),
  MAINTENANCE_IS_DUE("Maintenance: {} is due{}."),
  FILL_UP_FRESH_WATER_LASTS("Fill up: fresh water lasts {}."),
  FILL_UP_THERE_IS_NO_FRESH_WATER("Fill up: there is no fresh water left to draw."),
  ABOUT_HOUR("about {} hour{}"),
  ABOUT_A_DAY("about a day"),
  ABOUT_DAYS("about {} days"),

  // Advisor: says what to do next: the water that ends soonest first, with the job that helps.
  GRAY_IS_FULL("gray is full"),
  FRESH_WATER_ENDS("fresh water ends"),
  AND_MORE(", and {} more"),

  // ShorterWinter: finds the one part that would shorten a rig's winter most: each is put in and
  // the sheet worked out again.
  FIT_AN_ANTIFREEZE_PORT(
      "Fit an antifreeze port before {}: a three-way valve with a hose for the jug."),
  ANTIFREEZE_PORT("Antifreeze port"),
  POINTS_TO_THE_TANK("points to the tank"),
  POINTS_TO_THE_JUG("points to the jug"),
  ANTIFREEZE_HOSE("Antifreeze hose"),
  FIT_A_DRAIN_VALVE_AT_THE_LOWEST("Fit a drain valve at the lowest point beside {}."),
  FOR_1_THING_TO_DO("1 thing to do"),
  THINGS_TO_DO("{} things to do"),
  OF_ANTIFREEZE("{} of antifreeze"),
  IT_SAVES("It saves {}.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
