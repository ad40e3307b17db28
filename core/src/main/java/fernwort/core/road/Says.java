package fernwort.core.road;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Drive: what a drive loses through overflows and vents.
  NO_ROAD_IS_LIKE(
      "No road is like that: give a stretch up to a day, and a climb or descent up to 50 %"),
  OVER_A_PASS("Over a pass"),
  ACROSS_A_TOWN("Across a town"),
  FERRY_RAMP_AND_FOREST_TRACK("Ferry ramp and forest track"),
  RAISED_AIR_VALVE("Raised air valve");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
