package fernwort.app.board;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Ages: how long ago something was, in words.
  JUST_NOW("just now"),
  MIN_AGO("{} min ago"),
  H_AGO("{} h ago"),
  DAYS_AGO("{} days ago"),

  // BoardController: the Board: shows it, and takes turns of handles, readings, undo and redo.
  THE_TIME_IS_NOT_READABLE(
      "The time is not readable; give date and time, such as 2026-11-24 18:40"),
  NOSE_UP("Nose up"),
  LEFT_SIDE_UP("Left side up"),
  BOARD_BOARD("board :: board"),
  WINTERIZED_OF_STEPS_TICKED(
      "Winterized: {} of {} steps ticked. Winter lists what is open or off."),
  THE_LAST_READING_OF_CANNOT(
      "The last reading of {} cannot be shown and is set aside; read it again."),
  EVERYTHING_AT_REST("everything at rest"),
  LAST_CHANGE_BY("Last change: {}, by {}"),
  IS_MOVING("{} is moving to “{}”."),
  DID_NOT_ARRIVE("{} did not reach “{}”. Look at it, and turn it by hand."),

  // Drafter: draws one state of a rig onto its layout.
  TURN_TO("{}: {}. Turn to: {}"),
  RECORD("{}: {}. Record"),
  NOT_READ("not read"),
  NOT_TO_DRINK("{} · {}, not to drink"),
  RECORD_IT("record it"),
  LIVE("live · {} to full"),

  // FirstLook: prepares the rig that people will look at first while the rest is still starting,
  // for which the other processor has nothing to do.
  FIRST_LOOK("first look"),

  // LastsView: how long the water lasts, in words, with its working.
  FOR_1_PERSON("1 person"),
  FRESH_WOULD_LAST("Fresh would last {}."),
  GRAY_HAS_ROOM_FOR("Gray has room for {}."),
  NOT_KNOWN("Not known"),
  UNTIL_GRAY_IS_FULL("until gray is full, "),
  UNTIL_FRESH_ENDS("until fresh ends, "),
  UNTIL_IS_READ_PICK_IT_AND_SAY("until {} is read: pick it and say what it holds"),
  FROM_YOUR_READINGS_UNTIL_ABOUT("From your readings: until about {} (likely {} to {})."),
  HOLDS_OF_IT_BELOW_THE_OUTLET("{} holds {}, {} of it below the outlet: {} to draw"),
  ALL_HABITS_TOGETHER_A_DAY("All habits together: {} a day, {} of it to gray"),
  FRESH_A_DAY("Fresh: {} ÷ {} a day = {}"),
  GRAY_ROOM_FOR_A_DAY("Gray: room for {} ÷ {} a day = {}"),
  NO_END("no end"),

  // NextController: what to do next, beside the Board; fetched once the Board is there, for jobs
  // are planned.
  LASTS_UNTIL("lasts until "),
  FULL_ABOUT("full about "),

  // NextLines: what to do next on a rig, as Today and Jobs say it.
  PLAN_IT("Plan it"),

  // ParkedView: how the rig is parked.
  PARKED_LEVEL("Parked level"),
  NOSE("nose {} {}°"),
  LEFT_SIDE("left side {} {}°"),

  // ReadingText: a tank reading as people type it.
  THE_READING("The reading"),
  ON_THE_STICK("{} on the stick"),
  A_SENDER_SHOWS_WHOLE_STEPS("A sender shows whole steps; give a whole number"),
  IS_NOT_A_WAY_TO_READ("\"{}\" is not a way to read a tank; use percent, litres, stick or steps"),
  IS_NOT_A_NUMBER_TYPE_DIGITS("\"{}\" is not a number; type digits, such as 62 or 7,5"),

  // Sentences: what goes on now, in plain sentences: what runs, from where to where, driven by
  // what.
  EVERYTHING_IS_CLOSED_NO_WATER("Everything is closed. No water is moving."),
  MAINS_WATER_PUSHES_WATER_TO("Mains water pushes water to {}."),
  DRAWS_FROM_AND_PUSHES_TO("{} draws from {} and pushes to {}."),
  WASTE_OF_RUNS_TO("Waste of {} runs to {}."),
  BY_GRAVITY_WATER_RUNS_FROM_TO("By gravity, water runs from {} to {}."),
  IS_ON_BUT_RESTS_MAINS_WATER("{} is on but rests: mains water holds its pressure switch open."),
  IS_ON_AND_KEEPS_THE_LINES_UNDER(
      "{} is on and keeps the lines under pressure from {}; nothing is open."),
  AIR_ENTERS_BY("Air enters {} by {}."),
  AIR_LEAVES_BY("Air leaves {} by {}."),
  MAINS_TO("mains to {}"),
  TO_BY_GRAVITY("{} to {}, by gravity"),
  MAINS_WATER("mains water"),
  OUTSIDE_WATER("outside water"),
  THE_GROUND_AT("the ground at {}"),
  THE_DRAIN_AT("the drain at {}"),
  COLD(", cold"),
  HOT(", hot"),
  COLD_AND_HOT(", cold and hot");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
