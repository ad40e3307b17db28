package fernwort.core.diary;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Entry: something that was noted about the water of a rig.
  ON_BOARD("On board"),
  THE_READING("The reading"),
  THE_PRICE_CANNOT_BE_RIGHT("The price cannot be right; give what was paid, 0 for nothing"),
  THE_FILL("The fill"),
  THE_DUMP("The dump"),
  THE_HAUL("The haul"),
  TRIPS_MUST_BE_A_WHOLE_NUMBER("Trips must be a whole number from 1 to 1000"),
  PEOPLE_MUST_BE_A_WHOLE_NUMBER("People must be a whole number from 0 to 50"),
  PETS_MUST_BE_A_WHOLE_NUMBER("Pets must be a whole number from 0 to 20"),
  WHAT_A_PERSON_USES_IN_A_DAY(
      "What a person uses in a day must be above 0 and no more than 1000 L; check the number"),
  AWAY_ENDS_BEFORE_IT_BEGINS("Away ends before it begins; give the later time as “until”"),
  IS_NOT_AN_AMOUNT_THAT_A_RIG(
      "{} is not an amount that a rig holds; check the number and its unit"),

  // Entry: what a sensor read.
  BY_SENSOR("{}, by sensor");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
