package fernwort.app.services;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // PracticeDesk: drills that were handed out.
  NO_SUCH_EXERCISE("There is no exercise “{}”; the sorts are job, what-if, find and emergency"),
  NO_JOB_TO_PRACTISE("This rig has no job that takes more than a turn; describe more of it first"),
  NO_SUCH_DRILL("There is no such drill any more; take a new one"),

  // Calibrations: what the steps of senders stand for, where somebody poured jugs in, or read
  // before and after a fill, and wrote down what they showed.
  THE_AMOUNT("The amount"),

  // DemoData: puts the three demo rigs into a data folder that has no rig yet, as their people
  // left them.
  CAME_WITH_THE_DEMO("Came with the demo"),

  // Descriptions: what rigs there are and how each is described, version by version.
  IMPORTED_FROM_A_FILE("Imported from a file"),
  THE_RIG_WOULD_BE_D_BYTES_LARGE(
      "The rig would be %,d bytes large, and there is room for %,d; leave out parts, lines or"
          + " points"),
  THIS_RIG_HAS_NO_VERSION("This rig has no version {}."),

  // Diary: what people note of their water, and what is learnt from it.
  THAT_ENTRY_WAS_ALREADY_LOAD("That entry was {} already; load the log anew"),
  THE_TIME_IS_BEFORE_1970("The time is before 1970 or more than a year ahead; give when it is so"),
  THE_TIME_IS_BEFORE_1970_OR_MORE_THAN_A_DAY(
      "The time is before 1970 or more than a day ahead; give when it was so"),
  IS_NOT_A_TANK_NAME("{} is not a tank; name one of the rig's tanks"),
  HOLDS_L_THE_AMOUNT("{} holds {} L; the amount is more than that"),

  // JobBook: the jobs of a rig with what plans them, made once for a description.
  THIS_RIG_HAS_NO_SUCH_JOB("This rig has no such job any more; pick one from the list"),

  // JobDesk: hands out the book of jobs of each rig.
  LOOKING_AT_JOBS("looking at jobs"),
  PLANNING_CARDS("planning cards"),
  THE_MISTAKES_ARE_STILL_BEING(
      "The mistakes are still being tried. Nothing is lost; ask again in a moment."),

  // Levelling: what a tank holds by what was noted of it.
  L_AS_LOGGED("%.0f L, as logged"),

  // Sleep: how rigs stand after what was ticked on their sheets of winter, and what came since.
  IT_IS_WINTERIZED_ITS_LINES_TAKE(
      "It is winterized{}. Its lines take {} before water comes. De-winterize it first, under"
          + " Winter, De-winterize."),
  OFF_OUT_OR_HALF_WAY("; off, out or half way: {}"),

  // Workers: where slips are tried: a few at a time for everybody, the others in a queue that is
  // not long.
  MUCH_IS_BEING_TRIED("Much is being tried already. Nothing is lost; ask again in a moment."),

  // States: what stands with each rig: its handles, levels and slope, the journal of them, who
  // travels.
  NOBODY_PARKS_AT_MORE_THAN_CHECK("Nobody parks at more than %.0f°; check the degrees"),
  L_AS_EXPECTED("%.0f L, as expected"),
  THE_TIME_OF_THE_READING("The time of the reading is before 1970; give when you looked"),
  THE_TIME_OF_THE_READING_IS_MORE_THAN_A_DAY(
      "The time of the reading is more than a day ahead; give when you looked"),
  IS_NOT_A_TANK_PICK_A_TANK("{} is not a tank; pick a tank to read"),
  THE_RIG_WAS_CHANGED_SINCE(
      "The rig was changed since: it has no “{}” that can stand so any more. Nothing was kept;"
          + " rehearse again"),

  // Winters: rigs on their way into the winter and out of it: what is planned, ticked, and still
  // wet.
  BY_ITS_SHEET("by its sheet"),
  YOU_HAVE_NOT_WINTERIZED_THIS_RIG("You have not winterized this rig here yet"),
  IT_IS_WINTERIZED_DE_WINTERIZE(
      "It is winterized; de-winterize it first, under Winter, De-winterize: that sanitizes it and"
          + " looks for leaks"),
  THE_SHEET_HAS_NO_SUCH_STEP_LOAD("The sheet has no such step; load it anew"),
  DOWN_TO("{} down to {}"),
  OF_STEPS_TICKED("{}: {} of {} steps ticked{}"),

  STILL_TRYING_PARTS(
      "Fernwort is still trying which part would save most. It goes on; ask again in a moment."),

  // Winters: sheets of winter and spring as they are done.
  ALSO_TICKED_BY("Step {} of “{}” was also ticked by {}, without a network.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
