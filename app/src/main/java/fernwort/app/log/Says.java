package fernwort.app.log;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // BudgetView: what is learnt from the log, in words and pictures.
  FRESH_WATER_ENDS("Fresh water ends {}"),
  GRAY_IS_FULL("Gray is full {}"),
  BE_AT_A_WATER_POINT("Be at a water point by {} to be safe."),
  NOT_WITHIN_A_YEAR("not within a year, as it is used"),
  LIKELY_BETWEEN_AND("{}; likely between {} and {}"),
  NEXT_YEAR("next year"),
  AS_ENTERED("as entered"),
  THAN_ENTERED("{} {} than entered"),
  YOU_USE_EACH_A_DAY_TO("You use {} each a day ({} to {}), {}."),
  SINCE_IT_WAS_TIMES_AS_MUCH("Since %s it was %.1f times as much as before."),
  SINCE_IT_WAS_LESS_OF_BEFORE("Since %s it was less: %.0f %% of before."),
  MORNINGS_TAKE_MORE_OF_YOUR_DAYS("Mornings take more of your days than evenings."),
  EVENINGS_TAKE_MORE_OF_YOUR_DAYS("Evenings take more of your days than usual, mornings less."),
  ON_BOARD_OF_FRESH_WATER("{} on board; {} of fresh water (±{})."),
  FOR_1_PERSON("1 person"),
  IT_REACHES("It reaches {}."),
  IT_PROBABLY_REACHES("It probably reaches {}; at the earliest it ends {}."),
  IT_PROBABLY_DOES_NOT_REACH("It probably does not reach {}: it should end about {}."),
  IT_DOES_NOT_REACH_IT_ENDS("It does not reach {}: it ends {} at the latest."),
  A_MINUTE_SHORTER("{} a minute shorter"),
  A_JUG_OF_MORE("A jug of {} more"),
  GRAY_DUMPED_NOW("Gray dumped now"),
  ALL_OF_THEM("all of them"),
  H_LATER("%.0f h later"),
  DAYS_LATER("%.1f days later"),
  AS_READ("{}, as read"),
  LOW_LIKELY("low, likely"),
  HIGH_LIKELY("high, likely"),
  DAYS_FROM_NOW("days from now"),
  WHAT_WATER_COST("What water cost"),
  IN_ALL_BY_THEN("in all by then"),
  EACH_TIME("each time"),
  FRESH_WATER_USED_DAY_BY_DAY("Fresh water used day by day"),
  WATER_A_DAY("water a day"),
  ALL_TOGETHER("all together"),

  // CareController: maintenance, and water that is not to be trusted.
  IS_DUE("{} is due."),
  THINGS_ARE_DUE("{} things are due."),
  SAY_ONCE_WHEN_THESE_WERE_LAST("Say once when these were last done."),
  NOTHING_ON_THIS_RIG_NEEDS("Nothing on this rig needs maintenance."),
  NOTHING_IS_DUE_NEXT("Nothing is due. Next: {}, {}."),
  NOT_KNOWN_WHEN("not known when"),
  LAST_DONE("last done {}"),
  IS_NOT_A_DATE_WRITE("{}: “{}” is not a date; write it as 2026-05-31"),
  NEVER_NOTED("never noted"),
  PUT_OFF("put off: {}"),
  NO_REASON_GIVEN("no reason given"),
  EVERY_DAYS("every {} days. {}"),
  IT_RAN_ABOUT_H_OF_H_SINCE("It ran about %.1f h of %.0f h since, for %s, by the log"),
  OF_PASSED_SINCE_BY_THE_LOG("{} of {} passed since, by the log{}"),
  IT_TAKES_ABOUT_TIMES_ITS_CLEAN("; it takes about %.1f times its clean loss by now"),
  FULL_OF_PLAIN_BLEACH_OF_6_G(
      "Full, {} of plain bleach of 6 g in 100 mL make 50 mg/L; run it to each tap, 4 h, then {}"
          + " changes of water. Carbon filters bypassed or out; never with acids or other"
          + " cleaners; the product's label first."),
  EVERY_DAYS_STOP("Every {} days. {}."),
  ONLY_A_FILL_CAN_BE_FOLLOWED_OPEN("Only a fill can be followed; open the entry of one"),

  // DiaryCsv: the diary as a table for other programs: one row an entry, units in the header,
  // times in UTC.
  VOLUME_L("volume (L)"),
  PER_PERSON_AND_DAY_L("per person and day (L)"),
  PITCH("pitch (°)"),
  ROLL("roll (°)"),
  THE_FILE_HAS_MORE_THAN_ROWS("The file has more than {} rows; split it"),
  THE_FILE_IS_NO_CSV("The file is no CSV: {}"),
  THE_FILE_HAS_NO_ROWS_UNDER("The file has no rows under its header; nothing was imported"),
  THE_FIRST_LINE_HAS_NO_COLUMN("The first line has no column “{}”; it needs at least {}"),
  LINE_NOTHING_WAS_IMPORTED("Line {}, “{}”: {}. Nothing was imported"),
  IT_IS_EMPTY_AND_THIS_KIND_NEEDS("it is empty, and this kind needs a {}"),
  NUMBER_OF_LITRES("number of litres"),
  TIME_IN_UTC_SUCH_AS_2026_05("time in UTC, such as 2026-05-04T18:30:00Z"),
  NOTHING_WAS_IMPORTED("{}: {}. Nothing was imported"),
  IS_NOT_A_KIND_OF_ENTRY("“{}” is not a kind of entry"),
  A_READING_NEEDS_ONE("a reading needs one"),
  A_HAUL_NEEDS_ONE("a haul needs one"),
  WHOLE_NUMBER("whole number"),

  // EntryWords: entries of the log in words.
  UNTIL_FULL(" until full"),
  NOT_TO_BE_TRUSTED(", not to be trusted"),
  HAULED_TO_IN("{} hauled to {} in {}{}"),
  ONE_TRIP("one trip"),
  ON_BOARD("{} on board{}{}"),
  AND_1_PET(" and 1 pet"),
  AND_PETS(" and {} pets"),
  TAKEN_TO_USE_EACH_A_DAY(", taken to use {} each a day"),
  NOBODY_ON_BOARD_UNTIL("Nobody on board until {}"),
  PUT_OFF_UNTIL("{} put off until {}"),
  NOT_TREATED("not treated"),

  // GaugesController: gauges: calibrated by jugs, and scales for sticks at true size.
  LEVEL_WHATEVER_IS_IN_IT_READ(
      "Level, whatever is in it: read, pour in what you know, read again. What it held before"
          + " is taken from the tank's shape."),
  OR_TWO_READINGS_AND_A_FILL("Or two readings and a fill"),
  BEGIN_EMPTY_AND_LEVEL(
      "Begin empty and level. Pour a known jug, let it settle, read; a row for each."),
  POURED_IN_AND_WHAT_IT_SHOWED("Poured in, and what it showed"),
  IN_IT_BY_THEN("in it by then"),
  IT_SHOWS("it shows"),
  BEFORE_IT_SHOWS("before it shows"),
  POURED_IN("poured in"),
  AFTER_IT_SHOWS("after it shows"),
  THE_CURVE_ONLY_RISES(
      "The curve only rises, and is smooth between what was seen; readings out of order are"
          + " averaged. A step that is further off the tank's shape than half a step lies:"
          + " trust the jugs."),
  STEPS("{}, steps"),
  WET_ON_THE_STICK("{}, wet on the stick"),
  IT_LIES_HERE("it lies here"),
  A_READING_IS_OFF_BY("A reading is off by"),
  ROOT_OF_THE_MEAN_SQUARE("root of the mean square from the curve"),
  AGAINST_THE_TANK_AS_DRAWN("Against the tank as drawn"),
  OF_ITS_READINGS_LIE("{} of its readings lie"),
  HALF_A_STEP_OF_EIGHT("half a step of eight, or of the sender's, is allowed"),
  WHAT_IT_STANDS_FOR("What it stands for"),
  BY_WHAT_WAS_POURED("by what was poured"),
  BY_THE_TANKS_SHAPE("by the tank's shape"),
  IS_NOT_A_TANK_A_STICK_GOES("{} is not a tank; a stick goes into a tank"),
  NOBODY_PARKS_LIKE("Nobody parks like that; give up to 20° for pitch and roll"),
  DAYS_FOR("; days (d) for {}"),
  PITCH_ROLL("pitch %.1f°, roll %.1f°"),

  // HaulsController: water runs: how many cans it takes, what they cost, and what water cost
  // before.
  TO_FETCH_DAYS_TAKE("{} to fetch: {} days take up to {}, and you have {}."),
  A_CAN("A can"),
  WHAT_YOU_CAN_CARRY("What you can carry"),
  THE_PRICE_PER("The price per {}"),
  THE_PRICE_OF_A_TRIP("The price of a trip"),
  CANS_IN_AT_A_TIME("{} cans in {}, {} at a time: {} on the fullest."),
  IT_COSTS("It costs {}."),
  THE_TANKS_HAVE_ROOM_FOR_NOW_KEEP("The tanks have room for {} now: keep the rest in its cans."),
  THE_TANKS_HAVE_ROOM_FOR_IT("The tanks have room for it."),
  POURING_IT_IN_TAKES_IN_ALL_AT("Pouring it in takes {} in all, at {}."),
  MUST_BE_A_NUMBER_SUCH_AS_3("{} must be a number, such as 3"),
  NOT_NOTED("not noted"),

  // LogController: the Log: what was noted, and what is learnt from it.
  FRESH_WATER("Fresh water"),
  GRAY_WATER("Gray water"),
  NOTED_BY("Noted {} by {}"),

  // LogLines: the log as a list: what was noted, handles and jobs, steps of the description, in
  // one order.
  ON_BOARD_FIRST("On board"),
  CARE_AND_NOTES("Care and notes"),
  HANDLES_AND_JOBS("Handles and jobs"),
  THE_RIG("The rig"),
  FROM_TO("{}: from “{}” to “{}”"),
  UNDID_A_CHANGE_OF("Undid a change of {}"),
  REDID_A_CHANGE_OF("Redid a change of {}"),

  // NoteForm: what somebody typed to note something.
  IS_NOT_A_TIME_GIVE_DAY("“{}” is not a time; give day and hour, such as 2026-05-04T18:30"),
  CHOOSE_WHAT_TO_NOTE_READ_FILLED("Choose what to note: read, filled, dumped or another"),
  HOW_MUCH_WAS_HAULED_GIVE_LITRES("How much was hauled? Give litres"),
  HOW_MANY_ARE_ON_BOARD("How many are on board?"),
  UNTIL_WHEN_IS_NOBODY_ON_BOARD("Until when is nobody on board?"),
  NOTHING_TO_NOTE_WAS_WRITTEN("Nothing to note was written; write it, or leave it"),
  THE_AMOUNT("The amount"),
  MUST_BE_A_WHOLE_NUMBER("{} must be a whole number, such as 3"),
  IS_NOT_A_PRICE_TYPE("“{}” is not a price; type it as 3.50, without a sign"),

  // WaitingImports: tables that were read and looked at, until they are to go in.
  THAT_FILE_WAITS_NO_LONGER(
      "That took too long, and the file was let go. Nothing was added; choose it once more.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
