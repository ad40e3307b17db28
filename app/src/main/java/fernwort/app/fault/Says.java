package fernwort.app.fault;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // SeenText: what was seen, as it stands in the address of a page.
  BEGIN_ANEW("This page was left half way, and the rig has changed since; begin again"),

  // Complaints: what somebody sees first.
  SENSORS("Your sensors tell"),
  TAPS("Water at a tap"),
  PUMPS("A pump"),
  TANKS("A tank"),
  HOSES("A hose or an outlet"),
  PLACES("Something is wet"),
  NO_WATER("no water"),
  LITTLE_WATER("little water"),
  WATER_AND_AIR("water and air by turns"),
  NOT_WARM("not warm"),
  LUKEWARM("lukewarm"),
  RUNS_OFF_BADLY("the waste comes back up"),
  RUNS_ON("runs on and on"),
  SILENT("is silent"),
  STARTS_AGAIN("starts now and then with all taps closed"),
  HUMS("hums and does not turn"),
  FALLS("falls by itself"),
  RISES("rises by itself"),
  IT_STAYS("stays as it is"),
  SMELLS("it smells"),
  AROUND_IT("The place around it"),
  NOTHING_OF_THIS_NAME("This rig has nothing called “{}”; pick it on the drawing"),
  IS_WET("is wet"),
  FILLS_SLOWLY("little goes in"),
  NOTHING_GOES_IN("nothing goes in"),
  RUNS_OUT("water runs out"),
  NOTHING_RUNS_OUT("nothing runs out"),

  // FaultController: what is likely, and what to look at next.
  FOUND("Found: {}. {}"),
  IT_IS_IN_THE_LOG("It is in the log."),
  SPEAKS_FOR("points to: {}"),
  TELLS_NOTHING("tells nothing"),
  NOT_SURE("not sure");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
