package fernwort.core.jobs.wait;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // ByHand: what hands do beside the handles of a rig: hose, jug, priming.
  PUT_THE_DRINKING_WATER_HOSE("Put the drinking-water hose into {}. Open its tap a little."),
  WATER_RUNS_INTO_THE_FILLER("Water runs into the filler and does not come back up."),
  CLOSE_THE_TAP_OUTSIDE_TAKE("Close the tap outside. Take the hose out of {} and drain it."),
  BOTH_ENDS_OF_THE_HOSE_ARE_JOINED("Both ends of the hose are joined and off the ground."),
  FILL_SLOWLY_MORE_ABOUT_IF_A_JUG(
      "Fill slowly: {} more, about {} if a {} jug fills in {}. Stay with it."),
  STOP_AT_FULL_ON_THE_GAUGE("Stop at full on the gauge, or at the first water at vent or filler."),
  IS_NEARLY_EMPTY_ALREADY_CHECK("{} is nearly empty already. Check it, and leave it."),
  UNHOOK_AND_CARRY_IT_OUT_EMPTY(
      "Unhook {} and carry it out: {}, {}. Empty it where local rules permit, rinse it, and put"
          + " it back."),
  THE_WASTE_HOSE_IS_BACK("The waste hose is back in its opening."),
  POUR_IN_SLOWLY("Pour {} in slowly: {}, {}."),
  THERE_IS_ROOM_FOR_OF_THESE("{} There is room for {} of these; repeat this step."),
  PRIME_POUR_IN_WATER(
      "Prime {}: pour in water until its head and the suction hose are full, about {}. Close its"
          + " plug and start it at once: it draws within about {}."),
  NO_BUBBLES_COME(
      "No bubbles come up any more. If it does not draw in a minute, stop it and prime it again."),

  // StageRun: a stage of a plan, done in the simulation as it is written: its turns one after
  // another, then what is waited for.
  LEAVE_THE_REST_IN_ITS_TANK("Leave the rest in its tank, or lean that to where it is drawn from."),
  OPEN_ITS_VENT_OR_OVERFLOW_OR_FIT(
      "Open its vent or overflow, or fit one that is wide and low enough."),
  OPEN_ITS_VENT_OR_FIT("Open its vent, or fit one that is wide enough."),
  FILL_THE_TANK_THAT_IT_DRAWS("Fill the tank that it draws from first."),
  EMPTY_GRAY_FIRST("Empty gray first."),
  WATER_RUNS_OUT_AT("water runs out at {}"),
  A_TANK_IS_TOO_FULL("A tank is too full for it as it is parked: let some out, or park level."),
  CLOSE_A_VALVE_THERE_OR_CATCH_IT("Close a valve there, or catch it."),
  FILLS_AS_WELL(" fills as well"),
  RUNS_OUT_AS_WELL(" runs out as well"),
  FIT_A_VALVE_THAT_CLOSES_IT_OFF("Fit a valve that closes it off from the rest."),
  NO_WATER_COMES_AT("no water comes at {}"),
  FILL_FIRST_AS_IT_IS_PARKED(
      "Fill {} first: as it is parked, its water does not come to an outlet."),
  SEE_WHAT_HOLDS_IT_BACK_HEIGHT(
      "See what holds it back: height, pressure, or another way that takes it."),

  // WaitJudge: tells what is wrong with how a wait ended, when it is not how the job should end.
  DOES_NOT_FILL("{} does not fill"),
  DOES_NOT_COME_TO("{} does not come to {}"),
  DOES_NOT_EMPTY("{} does not empty"),
  DOES_NOT_POUR_OUT("{} does not pour out"),
  THE_PUMP_DRAWS_AIR_AT_ONCE("the pump draws air at once"),
  TOO_LITTLE_COMES_OR_IT_RUNS(
      "Too little comes, or it runs out as fast elsewhere: find what holds it back."),
  HOLDS_BEFORE_ANYBODY_CAN_STOP_AT("{} holds {} before anybody can stop at {}"),
  CHOOSE_A_HIGHER_MARK_OR_LET("Choose {} or more as its mark, or let it in more slowly."),
  IT_IS_EMPTY_ALREADY("It is empty already."),
  AS_IT_IS_PARKED("As it is parked, the {} in it do not come to its outlet: lean it that way."),
  IT_STOPS_AT_BY_ITSELF("It stops at {} by itself."),
  NOTHING_MOVES_AT_THESE_LEVELS(
      "Nothing moves at these levels: check what lies higher, and the pressure."),

  // WaitWords: what a run sheet says where something is waited for.
  IT_RATTLES_AND_SPITS("It rattles and spits: there is no more water to draw."),
  IF_IT_RUNS_OVER_MUCH_EARLIER_AIR(
      " If it runs over much earlier, air is trapped: close the tap, wait 5 min until no more"
          + " bubbles come, then fill the rest."),
  LET_IT_RUN_UNTIL_DRAWS_AIR("Let it run until {} draws air, then switch it off at once."),
  LET_IT_RUN_UNTIL_NOTHING_MOVES("Let it run until nothing moves any more."),
  FILL_SLOWLY_AND_STAY("Fill slowly and stay with it until {} is full."),
  FILL_SLOWLY_AND_STAY_WITH_IT_UNTIL_THE_FIRST(
      "Fill slowly and stay with it until the first tank is full."),
  FILL_AND_STAY("Fill and stay with it until {} holds {}."),
  STAY_WITH_IT_UNTIL_RUNS("Stay with it until {} runs over into the next tank."),
  LET_THE_TANKS_COME_TO_ONE_LEVEL("Let the tanks come to one level."),
  LET_IT_RUN_UNTIL_IS_EMPTY("Let it run until {} is empty."),
  WAIT_UNTIL_IS_HOT("Wait until {} is hot."),
  POUR_SLOWLY_UNTIL_IS_EMPTY("Pour slowly until {} is empty."),
  LISTEN_TO("Listen to {}."),
  WATCH("Watch {}."),
  IT_RATTLES_AND_SPITS_THE_TANK("It rattles and spits: the tank is empty."),
  THE_FIRST_WATER_SHOWS_AT("The first water shows at {}."),
  WATCH_ITS_GAUGE_IT_SHOULD_SHOW("Watch its gauge: it should show {}."),
  THE_GAUGE_OF_STANDS("The gauge of {} stands still, and that of the next begins to rise."),
  NOTHING_IS_HEARD_IN_THE_LINE("Nothing is heard in the line between them."),
  THE_FLOW_GURGLES_THEN_STOPS("The flow gurgles, then stops."),
  IT_FALLS_SILENT_OR_ITS_LAMP_GOES("It falls silent, or its lamp goes out."),
  IS_LIGHT("{} is light."),
  THE_FLOW_STOPS_BY_ITSELF("The flow stops by itself: the float has closed."),
  WATCH_ITS_GAUGE_NO_WATER_SHOWS("Watch its gauge: no water shows in time."),
  IS_FULL_TOO("{} is full too"),
  MAY_SIPHON_UP_TO_MORE_RUN("{} may siphon: up to {} more run out there"),
  OPEN_THE_TAP_ONLY("Open the tap only to {}, until a {} jug takes {}: the vent takes no more."),
  STOP_AT_THE_VENT(
      "Stop at {}: once {} is full, the water in its vent presses more than it bears."),
  SWITCH_ON_WHEN_YOU_WANT_WATER("Switch {} on when you want water. "),
  UNTIL_IT_RUNS_WITHOUT_SPITTING("until it runs without spitting, then close it and listen."),
  OPEN_THE_COLD_SIDE_OF_EACH_TAP(
      "{}Open the cold side of each tap once, the nearest first, {} ({})"),
  A_COLD_TAP("a cold tap"),
  NO_SWITCH_STOPS_IT_HUMS_DEEPER(
      "No switch stops {}: it hums deeper when nothing runs. Do not leave it on so."),
  STOPS_WITHIN_S_IF_IT_RUNS(
      "%s stops within %.0f s. If it runs on, a tap is open or a line leaks."),
  LET_THE_PRESSURE_OFF_OPEN_A_TAP(
      "Let the pressure off: open a tap on board, or loosen the hose at {} a turn."),
  LET_THE_PRESSURE_OFF_LOOSEN("Let the pressure off: loosen the hose at {} a turn."),
  OPEN_THE_HOT_SIDE("Open the hot side of {} until it runs without spitting, then close it."),
  OPEN("Open {}."),
  FILL_SLOWLY_TAKES_MORE_STOP(
      "Fill slowly: {} takes {} more. Stop when its gauge shows full or water comes up."),
  EACH_TAP_ONE_AFTER_ANOTHER("each tap, one after another ({}),"),
  LET_IT_RUN_FOR_THE_PUMP_NEEDS(
      "Let it run for {}: the pump needs that long for what is in {}. Twice that if it was"
          + " cloudy."),
  THE_HOSE_GOES_SOFT_NOTHING("The hose goes soft; nothing hisses."),
  WATER_RUNS_WITHOUT_SPITTING("Water runs without spitting."),
  THE_LEVEL_MOVES_AS_YOU_EXPECT("The level moves as you expect.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
