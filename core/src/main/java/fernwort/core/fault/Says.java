package fernwort.core.fault;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // FaultWords: what is wrong.
  STANDS_AT("{} really is at “{}”"),
  DID_NOT_ARRIVE("{} did not arrive: it is at “{}”"),
  HAS_NO_POWER("{} has no power"),
  LETS_WATER_PAST("{} lets water past though it is closed"),
  NO_LONGER_CLOSES("{} no longer closes"),
  DOES_NOT_OPEN("{} does not open"),
  WRONG_WAY_ROUND("{} is in the wrong way round"),
  IS_CLOGGED("{} is clogged"),
  LEAKS("{} leaks"),
  IS_KINKED("{} is kinked"),
  IS_FROZEN("{} is frozen"),
  IS_BLOCKED("{} is blocked"),
  AIR_STANDS_IN("Air stands in {}"),
  IS_OFF("{} is off its fitting"),
  SIPHONS("{} siphons: it draws its tank down, and the walls draw in"),
  DRAWS_AIR("{} draws air at a joint"),
  IS_DEAD("{} is dead"),
  SWITCH_DOES_NOT_START("The pressure switch of {} does not start it"),
  IS_WORN("{} is worn: it presses half as much as it should"),
  SWITCH_DOES_NOT_STOP("The pressure switch of {} does not stop it"),
  RUNS_BACK("The valves of {} let water run back"),
  IS_JAMMED("{} is jammed"),
  NO_WATER_COMES("No water comes to {}"),
  LITTLE_WATER_COMES("Little water comes to {}"),
  IS_STUCK_LOW("{} is stuck and lets too little pressure through"),
  IS_EMPTIER("{} is emptier than its gauge shows"),
  IS_FULLER("{} is fuller than its gauge shows"),
  GAUGE_IS_STUCK("The gauge of {} is stuck"),
  DOES_NOT_HEAT("{} does not heat"),
  MIXES_INSIDE("Cold and hot mix inside {}"),
  HAS_NO_AIR("{} has lost its air"),
  IS_DRY("{} is dry"),

  // FaultWords: what mends it.
  NEEDS_A_MOTOR("a spare motor for the valve, if it is dead; its handle works by hand until then"),
  NEEDS_A_FUSE("a fuse of the same size, and a meter"),
  NEEDS_THE_SAME_VALVE("the same valve anew, with its seals"),
  NEEDS_A_CARTRIDGE(
      "a new cartridge, or a brush for a screen, and grease for the seal of its bowl"),
  NEEDS_HOSE_AND_CLIPS("a piece of the same hose or pipe, two clips or fittings"),
  NEEDS_WARMTH("warm air or warm cloths, never a flame"),
  NEEDS_A_BRUSH("a bottle brush or a flexible rod"),
  NEEDS_A_SEAL("a clip and a new seal for the joint"),
  NEEDS_AN_AIR_VALVE("an air valve for the highest point of the line, and hose to lead it there"),
  NEEDS_A_PUMP("a pump of the same size, or the repair set of this one"),
  NEEDS_A_SWITCH("the pressure switch for this pump"),
  NEEDS_A_HEAD("the valve set of this pump’s head"),
  NEEDS_A_SENDER("a gauge sender of the same length, once the dip stick has shown that it sticks"),
  NEEDS_WHO_IS_LICENSED("somebody licensed for its gas or mains side"),
  NEEDS_A_MIXER("the cartridge of this mixer"),
  NEEDS_AN_AIR_PUMP("a bicycle pump with a gauge"),
  PUT_IT_RIGHT("Turn it to where it belongs, and note it on Today."),
  CHECK_ITS_MOTOR("Turn it by hand if it can be; check its plug, then its motor."),
  CHECK_ITS_FUSE(
      "Check its fuse, its plug and its switch. Leave the wiring to somebody who knows it."),
  RENEW_THE_VALVE("Close what is before it, let the pressure off, and put a new one in."),
  TURN_IT_ROUND(
      "Take it out and put it in the other way round: its arrow shows the way of the water."),
  CLEAN_IT("Let the pressure off, undo it and clean it; a cartridge is replaced."),
  MEND_THE_LEAK("Turn the pump off, let the pressure off, and tighten or replace the joint."),
  STRAIGHTEN_IT("Lay it without a tight bend, or put an elbow in."),
  THAW_IT(
      "Warm the place slowly, never with a flame; look for splits before you turn the pump on."),
  FREE_IT("Take its end off and clear it."),
  LET_THE_AIR_OUT("Open the tap at its end and fill it slowly, until no more air comes."),
  PUT_IT_BACK_ON("Turn the pump off; cut the end straight, push it on fully and clamp it."),
  BREAK_THE_SIPHON(
      "Let air in: open the filler, or lift the end of the line above the tank. It stops. Then lead"
          + " the line over a point above the tank, with an air valve on it."),
  TIGHTEN_THE_SUCTION(
      "Tighten every clamp and bowl between the tank and the pump; replace a cracked washer."),
  RENEW_THE_PUMP("Check its fuse and plug once more; then replace the pump, or its motor."),
  RENEW_THE_SWITCH("Replace the pressure switch, or the head of the pump that it is part of."),
  RENEW_THE_HEAD("Replace the valves and the membrane: most pumps have a kit for it."),
  CLEAR_THE_BLADES("Take its power off first. Then open it and clear the blades."),
  LOOK_AT_THE_TAP("Open the tap outside fully; try another tap or hose."),
  FILL_IT("Fill it, and fix its gauge: clean the sender, check its plug."),
  DRAIN_IT("Empty it, and fix its gauge: clean the sender, check its plug."),
  CHECK_THE_HEATER(
      "Check its gas or power, and its thermostat. Leave gas to somebody licensed for it."),
  RENEW_THE_MIXER("Replace its cartridge."),
  PUMP_IT_UP("Pump it up to the pressure on its label, with the water off."),
  POUR_WATER_IN("Pour a cup of water into it."),

  // FaultWords: what there is to look at.
  LINE_BETWEEN("{} ({} to {})"),
  OPEN_AND_LOOK("Open {}, with all other taps closed. What comes out?"),
  LOOK_HOW_IT_RUNS("Look at {}. How does the water run?"),
  FEEL_HOW_WARM("Let {} run hot for two minutes. How warm is it?"),
  LISTEN_WITH("Listen to {} while {} is open. What does it do?"),
  LISTEN_CLOSED("Close all taps and listen to {}. What does it do?"),
  LISTEN("Listen to {}. What does it do?"),
  WATCH_LEVEL("Look at the gauge of {}, and again after {} min. What does it do?"),
  WATCH_LEVEL_CLOSED(
      "Close all taps. Look at the gauge of {}, and again after {} min. What does it do?"),
  WATCH_THE_DRAIN("Let {} run for a while. Does the waste water run off?"),
  FEEL_FOR_WATER("Feel for water at {}. Is it wet?"),
  RUN_INTO_BUCKET("Take the hose off {} and let it run into a bucket. What comes?"),
  DIP_IT("Put a stick into {}, or look in. Does its gauge tell the truth?"),
  LOOK_AT_HANDLE("Go and look at {}. Where does it really stand?"),
  MEASURE_POWER("Is there power at the plug of {}?"),
  MEASURE_LAMP("Does the lamp or panel of {} say that it has power? Leave its wiring alone."),
  OPEN_IT("Open or undo {}. What do you find?"),
  FEEL_ALONG("Feel along {}, from end to end. What do you find?"),
  FEEL_ALONG_ALL("Feel along every line in {}. What do you find?"),
  AS_NOTED(
      "That is what a sound rig does with its handles as Today has them. Look first whether they"
          + " stand like that."),
  IS_NOTED_OFF(
      "Today has {} switched off, and then that is what a sound rig does. Switch it on and look"
          + " again; if it was on all the while, note that on Today first."),

  // BeforeUndoing.
  SWITCH_OFF_FIRST("First switch off: {}."),
  CLOSE_OUTSIDE_TAP("Close the tap outside that feeds {}."),
  CLOSE_BEFORE("Close {}."),
  SET_BEFORE("Set {} to {}."),
  NOTHING_HOLDS_BACK("No valve holds back the water of {}: drain it lower than this first."),
  LET_IT_OFF("Let the pressure off: open {} until nothing more comes."),
  LET_IT_COOL("Let it cool: what comes may scald."),

  // FaultWords: what can be seen.
  NOTHING("nothing"),
  LITTLE("little"),
  AS_USUAL("as usual"),
  WATER_AND_AIR("water and air by turns"),
  IT_RUNS("it runs, and should not"),
  RUNS_ON_AND_ON("it runs on and on"),
  STARTS_AGAIN("it is silent, and starts now and then"),
  SILENT("it is silent"),
  HUMS("it hums and does not turn"),
  TRIPS("its fuse goes"),
  FALLS("it falls"),
  STEADY("it stays"),
  RISES("it rises"),
  JUMPS("it jumps about"),
  GOES_AWAY("it runs off"),
  GOES_SLOWLY("it runs off slowly"),
  COMES_BACK("it comes back up"),
  GURGLES("it gurgles"),
  SMELLS("it smells"),
  DRY_THERE("dry"),
  WET_THERE("wet"),
  IT_TELLS_THE_TRUTH("it tells the truth"),
  THERE_IS_LESS("there is less"),
  THERE_IS_MORE("there is more"),
  YES("yes"),
  NO("no"),
  COLD("cold"),
  LUKEWARM("lukewarm"),
  HOT("hot"),
  ALL_IS_WELL("all is well"),
  SOMETHING_WITH("something is wrong with {}"),

  // How likely.
  VERY_LIKELY("very likely"),
  LIKELY("likely"),
  POSSIBLE("possible"),
  NOT_EXCLUDED("not excluded"),

  // Observations that cannot be.
  NO_SUCH_LOOK("“{}” is nothing that can be looked at; use one of {}"),
  NO_SUCH_VALUE("“{}” cannot be seen there; use one of {}, or unsure"),
  CANNOT_BE_LOOKED_AT("“{}” cannot be looked at so; give a part of the right kind");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
