package fernwort.core.jobs.plan;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // BeforeDriving: what is done with the water itself before a drive.
  LET_ABOUT_OUT_OF_AT_A_TAP(
      "Let about {} out of {}, at a tap or its drain: full to the top it has no room for water"
          + " that warms or sloshes."),

  // Draft: one plan in the making: each stage is planned, run, and planned again with what went
  // wrong as a condition.
  BACK_TO_HOW_IT_WAS("Back to how it was."),
  HOLDS_ALREADY("{} holds {} already."),
  IS_FULL_ALREADY("{} is full already."),
  IS_EMPTY_ALREADY("{} is empty already. There is nothing to let out."),
  THERE_IS_NOTHING_TO_FILL("{} There is nothing to fill."),
  DANGER("Danger: {}. {}"),
  IS_NEARLY_EMPTY_LITTLE("{} is nearly empty: little or nothing will come."),
  DRY_LINES_TAKE("Dry lines take {} before this is done."),
  THE_FIRST_WATER_COMES("The first water comes to {} after {}; it spits before."),

  // NetUse: what a tank gains or loses while it is used and filled at once, and how long that
  // lasts.
  WHILE_RUNS_STAYS("While {} runs, {} stays near {}: as much comes in as goes out, {}."),
  WHILE_RUNS_NET_COME_IN_AND_GO("While {} runs, {} {} {} net: {} come in and {} go out."),
  IT_LASTS("{} It lasts {}."),

  // Reasons: why a turn belongs to a plan: what would be wrong at its end if this one handle had
  // stayed.
  IT_KEEPS_THE_STEPS_AROUND("It keeps the steps around it safe."),
  OPENS_THE_WAY_FROM_TO("Opens the way from {} to {}."),
  STOPS_THE_FLOW_FROM("Stops the flow from {}."),
  SO_NOTHING_RUNS_OUT_AT("So nothing runs out at {} when the hose comes off."),
  KEEPS_WATER_FROM_RUNNING("Keeps water from running from {} as well."),
  SO_THAT_THIS_DOES_NOT_HAPPEN("So that this does not happen: {}."),
  LETS_AIR_IN_AND_OUT_OF("Lets air in and out of {}."),
  JOINS_AND_BELOW_THEIR_WATER("Joins {} and {} below their water."),
  SO_THAT_CIRCULATES_THE_WATER("So that {} circulates the water through {}."),
  SO_THAT_CIRCULATES_THE_WATER_STOP("So that {} circulates the water."),
  CLOSES_OFF_FROM("Closes off {} from {}."),
  SO_THAT_WHAT_GOES("So that what goes into {} does not run out at {}."),
  SO_THAT_THE_LOWER_FLOAT("So that the lower float of {} does not stop the fill too soon."),
  LETS_OUT_WHAT_STILL_COMES_ONCE("Lets out what still comes once {} is full."),
  MUST_NOT_PUSH_AGAINST_THE_HOSE("{} must not push against the hose."),
  SO_THAT_DOES_NOT_DRAW_AIR("So that {} does not draw air."),
  SO_THAT_NO_WATER_GOES_ROUND("So that no water goes round {}."),
  LETS_RUN_OUT("Lets {} run out."),
  THE_LINES("the lines"),
  MAINS_WATER("mains water"),
  OUTSIDE_WATER("outside water"),
  THE_WASTE_OF("the waste of {}"),

  // Troubles: why a job cannot be done, in words, with its fix.
  THIS_NEEDS_TO_BE_STOP_HERE("This needs {} to be “{}”. Stop here, and have it repaired first."),
  NOTHING_LETS_OUT_BY_ITSELF_PUMP("Nothing lets {} out by itself: pump it out, or fit a drain."),
  NO_VALVE_SEPARATES_FROM_MIND("No valve separates {} from {}: mind what still runs, and fit one."),
  NO_VALVE_CLOSES_THE_WATER_OFF("No valve closes the water off here: mind what still runs."),
  IT_DOES_NOT_WORK_AS_THINGS("It does not work as things are now: {}. {}"),
  NOT_EVERY_POSITION_WAS_TRIED(
      "No way was found, though not every position of the handles was tried. {}"),
  NO_POSITION_OF_THE_HANDLES_LETS(
      "No position of the handles lets %s breathe. Fit a vent, or open the one it has."),
  ONCE_IS_FULL_NOTHING_LETS(
      "Once %s is full, nothing lets out what still comes in, and it bulges. Fit an overflow that"
          + " no handle closes."),
  THE_FLOAT_THAT_IS_OPEN_CLOSES(
      "The float that is open closes before {} holds {}, and no position of the handles leads on."
          + " Open the way to its higher float."),
  WHAT_GOES_INTO_RUNS_OUT_AGAIN(
      "What goes into %s runs out again at %s. Fit a valve or cap there."),
  WATER_OF_WOULD_RUN_ROUND(
      "Water of %s would run round and back into it as well, and nothing stops it there. Fit a"
          + " valve in the way back."),
  WATER_WOULD_RUN_FROM_TO_AS_WELL(
      "Water would run from %s to %s as well, and nothing stops it there. Fit a valve between"
          + " them."),
  NOTHING_CLOSES_OFF_FROM_FIT("Nothing closes off %s from %s. Fit a valve between them."),
  CANNOT_BE_CLOSED_OFF("%s cannot be closed off from the water of the hose."),
  HAS_NOTHING_TO_DRAW_FILL("%s has nothing to draw. Fill its tank first."),
  WATER_COMES_BACK_WITHOUT_PASSING(
      "Water comes back without passing %s. Fit a valve in the bypass."),
  CIRCULATES_ITS_WATER_PAST(
      "%s circulates its water past %s, or not at all. Fit a valve in the line that leads past"
          + " it."),
  HAS_NO_LOOP_TO_CIRCULATE("%s has no loop to circulate its water in."),
  WATER_STAYS_IN_THE_LINES("Water stays in the lines that no handle lets out."),
  NOTHING_LETS_OUT_BY_ITSELF_PUMP_IT_OUT_OR_FIT(
      "Nothing lets %s out by itself. Pump it out, or fit a drain."),
  NO_POSITION_OF_THE_HANDLES_LINKS("No position of the handles links %s with %s."),
  NO_POSITION_OF_THE_HANDLES_JOINS("No position of the handles joins %s with %s."),
  EVERY_WAY_THERE_LEADS("Every way there leads through a danger: {}. {}"),
  NO_POSITION_OF_THE_HANDLES("No position of the handles does it."),
  NO_POSITION_OF_THE_HANDLES_SENDS(
      "No position of the handles sends the water of {} round and back at these levels."),
  CANNOT_DRAW_WATER_UP_FROM_SO_FAR(
      "{} cannot draw water up from so far below. Bring it nearer to the water, or fit one that"
          + " draws higher."),
  NO_POSITION_OF_THE_HANDLES_LEADS(
      "No position of the handles leads water from {} to {} and nowhere else at these levels.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
