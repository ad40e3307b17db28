package fernwort.core.sizing;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Demand: what so many days need, low, expected and high.
  DAYS_MUST_BE_FROM_0_25("Days must be from 0.25 to 365"),
  THE_RESERVE_MUST_BE_FROM_0("The reserve must be from 0 to 100 %"),

  // Habit: something that water is used for.
  A_HABIT_NEEDS_AN_ID_A_LABEL(
      "A habit needs an id, a label, a source, and whom it counts for: PERSON, PET or RIG"),
  LITRES_EACH_TIME("litres each time"),
  TIMES_A_DAY("times a day"),
  LITRES_A_MINUTE("litres a minute"),
  SHARE_OF_THE_TIME_THAT_IT_RUNS("share of the time that it runs"),
  FACTOR_FOR_HEAT("factor for heat"),
  NEEDS_A_SHARE_THAT_BECOMES_GRAY("\"{}\" needs a share that becomes gray from 0 to 100 %"),
  NEEDS_FROM_0_TO("\"%s\" needs %s from 0 to %.0f"),
  ENTERED_BY_HAND("Entered by hand"),

  // Habits: who travels and what they use.
  OUR_OWN_ESTIMATE_COUNT_A_DAY("Our own estimate; count a day of yours"),
  DRINKING_AND_COOKING("Drinking and cooking"),
  SURVIVAL_FIGURES_OF_WHO_WEDC(
      "Survival figures of WHO/WEDC Technical Note 9 (2013): 2.5 to 3 L to drink, more to cook;"
          + " half as much again in heat is our estimate"),
  WASHING_UP("Washing up"),
  HANDS_AND_FACE("Hands and face"),
  WITHIN_BASIC_HYGIENE_OF_WHO_WEDC(
      "Within basic hygiene of WHO/WEDC Technical Note 9 (2013), 2 to 6 L a day"),
  OUR_OWN_ESTIMATE_EVERY_OTHER_DAY(
      "Our own estimate: every other day, 4 minutes, off for half of them to soap"),
  TOILET_FLUSH("Toilet flush"),
  RINSE_OUTSIDE("Rinse outside"),
  PET_DRINKING("Pet drinking"),
  ABOUT_60_ML_FOR_EACH_KILOGRAM(
      "About 60 mL for each kilogram of a dog (National Research Council 2006), here for 20 kg"),
  PEOPLE_MUST_BE_A_WHOLE_NUMBER("People must be a whole number from 1 to 50"),
  PETS_MUST_BE_A_WHOLE_NUMBER("Pets must be a whole number from 0 to 20"),
  HABITS_NEED_A_SEASON_MILD_OR_HOT(
      "Habits need a season, MILD or HOT, and a list of habits, which may be empty"),
  EACH_HABIT_NEEDS_AN_ID("Each habit needs an id of its own"),
  THERE_IS_ROOM_FOR_HABITS_LEAVE("There is room for {} habits; leave some out"),

  // Hauling: fetching water in containers.
  SAY_WHAT_A_CONTAINER_HOLDS("Say what a container holds and how many there are"),
  ONE_FULL_CONTAINER_WEIGHS(
      "One full container weighs {}, more than the {} that may be carried; take a smaller one"),

  // Itinerary: a trip with chances to fill and to dump at different stops.
  A_STOP_ON_DAY_LIES_OUTSIDE("A stop on day %.1f lies outside a trip of %.1f days"),

  // PumpAndLines: what pump and lines give at the fixtures, what the fixtures need, and what a
  // wider line or another pump would change.
  WITH_THE_HANDLES(
      "With the handles as they are, no pump brings water to a tap; set them for running from a"
          + " tank, then look again"),

  // TimedJug: a flow measured with a jug and a watch, several times.
  TIME_AT_LEAST_ONE_JUG_AND_SAY("Time at least one jug, and say what it holds"),
  A_JUG_TAKES_MORE_THAN_NO_TIME("A jug takes more than no time; check the seconds"),
  MORE_CAME_OUT_FARTHER(
      "More came out farther on than nearer to the supply; check which is which, and time both"
          + " with the same taps open"),

  // WhatFits: the largest tank of each shape that a measured space takes.
  NOTHING_IS_LEFT_OF_ONCE_PADDING(
      "Nothing is left of {} × {} × {} once padding, fittings and walls have their room; check"
          + " the figures"),
  CYLINDER_LYING_ALONG("cylinder lying along"),
  CYLINDER_LYING_ACROSS("cylinder lying across"),
  UPRIGHT_CYLINDER("upright cylinder"),
  THE_WHEEL_ARCH_DOES_NOT_LIE(
      "The wheel arch does not lie within the space; check its length, place and height"),
  TWO_LOBES_AND_A_BRIDGE("two lobes and a bridge over the arch"),
  BOX_ABOVE_THE_ARCH("box above the arch"),
  BOX_BEHIND_THE_ARCH("box behind the arch"),
  BOX_BEFORE_THE_ARCH("box before the arch"),
  THE_LOW_END_MUST_BE_HIGHER(
      "The low end must be higher than nothing and no higher than the high end"),
  BOX_AT_THE_HIGH_END("box at the high end");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
