package fernwort.app.rehearse;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // RehearsalAnswers: what people ask before they start: how long until, how much here, and what
  // if I open this too.
  ITS_PRESSURE("its pressure"),
  AT_THE_RANGE_ALLOWS_FOR_FITTINGS(
      "at {}; the range allows for fittings half or twice as restrictive"),
  AT_THE_RANGE_IS_FOR_FITTINGS("at {}; the range is for fittings that lose half as much, or twice"),
  THE_RANGE_IS_FOR_FITTINGS(". The range is for fittings that lose half as much, or twice"),
  FROM_THE_SAME_RUN("from the same run"),
  FROM_AT_TO_BEGIN_WITH_THE_FLOW("from {}, at {} to begin with; the flow changes with the level"),
  THEN_INSTEAD_OF("{} then {} instead of {}"),
  WITH_NOTHING_ELSE_OPEN_AT("with nothing else open; at {}"),
  NO_PRESSURE("no pressure"),

  // RehearsalRoom: all rehearsals that somebody watches.
  REHEARSALS_ARE_RUNNING_CLOSE("{} rehearsals are running; close one of them first"),
  THIS_REHEARSAL_HAS_ENDED_START("This rehearsal has ended; start another from Today"),

  // RehearseController: rehearsing on the Board.
  LEVELS_AND_HANDLES("Levels and handles are as rehearsed now."),

  // Snapshot: what the page shows of one moment, in one person's units.
  AIR(", air {}"),
  PLAY_ON_SET_SOMETHING_OR_GO_BACK("{}. Play on, set something, or go back."),
  DRAWS_AIR("draws air");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
