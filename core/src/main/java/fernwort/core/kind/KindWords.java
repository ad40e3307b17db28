package fernwort.core.kind;

import fernwort.core.say.Message;

/** What is said of kinds of part, with {} for what is filled in. */
public enum KindWords {
  /** A step: any handle; its label and how it stands then. */
  SET_TO("Set {}: {}."),
  /** A step: a valve, tap or cap that is opened; its label. */
  OPEN_IT("Open {}."),
  /** A step: one that is closed; its label. */
  CLOSE_IT("Close {}."),
  /** A step: a valve whose ball is drained; its label. */
  HALF_OPEN("Leave {} half open."),
  /** A step: a valve that stood half open; its label. */
  TO_A_STOP("Turn {} to its stop."),
  /** A step: a mixer; its label. */
  OPEN_COLD("Open {}, cold."),
  /** A step: a mixer in the middle; its label. */
  OPEN_WARM("Open {}, handle in the middle."),
  /** A step: a mixer; its label. */
  OPEN_HOT("Open {}, hot."),
  /** A step: what runs by itself is switched on; its label. */
  TURN_ON("Turn on {}."),
  /** A step: it is switched off; its label. */
  TURN_OFF("Turn off {}."),
  /** A step: a pump by foot or hand; its label. */
  WORK_IT("Work {}."),
  /** A step: an engine; its label. */
  START_IT("Start {}."),
  /** A step: an engine, or a pump by foot or hand; its label. */
  STOP_IT("Stop {}."),
  /** A step: what a spanner takes off; its label. */
  UNDO_IT("Take {} off and tip the water out."),
  /** A step: what a spanner took off goes back; its label. */
  PUT_BACK("Put {} back."),
  /** A step: a heater is drained; its label. */
  OPEN_ITS_DRAIN("Open the drain of {}."),
  /** A step: a heater's drain is closed; its label. */
  CLOSE_ITS_DRAIN("Close the drain of {}."),
  /** A step: a cap; the label of what it closes. */
  CAP_OFF("Take the cap off {}."),
  /** A step: a cap; the label of what it closes. */
  CAP_ON("Put the cap on {}."),
  /** A step: a hose comes off; the label of what it hung on. */
  HOSE_OFF_CAP_ON("Take the hose off {} and put the cap on."),
  /** A step: a hose goes on; the label of its inlet. */
  CONNECT_CLOSED("Connect the hose to {}; leave its tap closed."),
  /** A step: a hose goes on and gives water; the label of its inlet. */
  CONNECT_AND_OPEN("Connect the drinking-water hose to {} and open its tap slowly."),
  /** A step: the tap of a hose that is on; the label of its inlet. */
  OPEN_HOSE_TAP("Open the tap of the hose at {} slowly."),
  /** A step: the tap of a hose that stays on; the label of its inlet. */
  CLOSE_HOSE_TAP("Close the tap outside; leave the hose on {}."),
  /** A step: a suction hose; the label of its inlet. */
  SWITCH("Switch for several parts"),
  WHAT_A_SWITCH_IS("One switch that moves several parts, such as pump and heater."),
  SWITCH_FOR("Switch: {}"),
  TRANSFER_HOSE_ON("Connect the loose transfer hose to {}."),
  TRANSFER_HOSE_OFF("Take the transfer hose off {} and close it; put the hose's ends together."),
  TOWEL_UNDER("What is in the hose runs out: a towel under it."),
  FEEL_THE_HOSE("Feel the hose while it runs: it shakes when air comes. Stay with it."),
  LAY_IN("Couple the suction hose to {} and lay its end under water."),
  /** A step: a dump hose; the label of its outlet. */
  CONNECT_DUMP_HOSE("Connect the dump hose to {}; let it fall all the way."),
  /** A step: a jug; its label. */
  POUR_IT("Hold {} up and pour."),
  /** A step: a jug; its label. */
  STOW_IT("Close {} and stow it."),
  /** A step: a bowl; its label. */
  BOWL_OFF("Unscrew the bowl of {}."),
  /** A step: a bowl; its label. */
  BOWL_ON("Screw the bowl of {} on."),
  /** A step: a trap; its label. */
  PLUG_OUT("Take the plug out of {}."),
  /** A step: a trap; its label. */
  PLUG_IN("Put the plug back into {}."),
  /** A step: a vent with a cap; its label. */
  LOOSEN_CAP("Loosen the cap of {}."),
  /** A step: a vent with a cap; its label. */
  TIGHTEN_CAP("Tighten the cap of {}."),
  /** When a heater is switched off. */
  HEATER_RESTS("Nothing may heat while its water is touched."),
  /** When a heater is switched on. */
  HEATER_HAS_WATER("There is water in it now."),
  /** When a pump is switched off. */
  PUMP_RESTS("Nothing may push while you turn or leave."),
  /** When an engine pump is stopped. */
  ENGINE_STOPS("The engine stops; the hoses go soft."),
  /** When an engine pump is started. */
  ENGINE_RUNS(
      "It fires, and the hose fills and jumps; keep the exhaust away from people and the hatch."),
  /** When a pump is switched on. */
  WAY_IS_OPEN("The valves are set for it."),
  /** When a macerator is switched off. */
  MUST_NOT_RUN_DRY("It must not run dry."),
  /** When a hose is taken off. */
  DONE_WITH_HOSE("The hose is no longer needed."),
  /** When the tap outside is shut. */
  TAP_SHUT_FIRST("A hose comes off only when its tap is closed."),
  /** When the tap outside is opened. */
  READY_FOR_WATER("The valves behind it are set; water can come in."),
  /** When the cap of an outlet goes on. */
  NOTHING_DRIPS("So that nothing drips on the way."),
  /** When a dump hose goes on. */
  HOSE_FIRST("The hose comes first."),
  /** When the cap of an outlet comes off. */
  LEAVES_HERE("The water runs out here."),
  /** When a jug is put away. */
  DONE_WITH("So it does not tip over."),
  /** When a jug is poured. */
  WATER_CAN_GO_IN("Now the water can go in."),
  /** When the cap of a neck goes on. */
  NO_DIRT_GETS_IN("So that no dirt gets in."),
  /** When the cap of a neck comes off. */
  GOES_IN_HERE("This is where it goes in."),
  /** When a drain cap goes on. */
  NOTHING_RUNS_OUT("So that nothing runs out."),
  /** When a drain cap comes off. */
  WATER_LEAVES_HERE("The water leaves here."),
  /** When a tap is shut. */
  WATER_COMES_OUT("The water comes out here."),
  TAP_WASTES_NOTHING("A closed tap wastes nothing."),
  /** When a handle goes back. */
  LEFT_SO("This is how it is left."),
  /** When a heater is switched off. */
  LAMP_OUT("Its lamp is out."),
  /** When a heater is switched on. */
  LAMP_ON("Its lamp is on; it ticks as it warms."),
  /** When a foot pump is left. */
  STAYS_STILL("It stays still."),
  /** When a foot pump is worked. */
  FEW_STROKES("A few strokes until water comes."),
  /** When a pump is switched off. */
  FALLS_SILENT("It falls silent."),
  /** When a pump is switched on. */
  HUMS("It hums, and slows as pressure builds up."),
  /** When a macerator is switched on. */
  GROWLS("It growls evenly."),
  /** When the tap outside is opened. */
  HISS_IN_HOSE("A hiss in the hose, no drip at the fitting."),
  /** When a hose lies in outside water. */
  HOSE_END_UNDER_WATER("The hose end is under water, off the ground."),
  /** When the tap outside is shut. */
  TAP_OUTSIDE_SHUT("The tap outside is closed; nothing hisses any more."),
  /** When the cap of an inlet comes off. */
  CAP_LOOSENS("Air or water comes as the cap loosens."),
  /** When a hose is taken off. */
  HOSE_DRAINED("Hose drained, its ends joined; cap hand-tight."),
  /** When a motor valve turns; seconds. */
  MOTOR_TURNS("The motor turns it within {} s."),
  /** When a handle is turned. */
  GOES_TO_STOP("The handle reaches its stop easily."),
  /** When a cap goes on. */
  CAP_SITS("The cap sits, no drip."),
  /** When a dump hose goes on. */
  HOSE_LOCKED("The hose is locked on and falls all the way."),
  /** When the cap of an outlet comes off. */
  CAP_OFF_NO_HOSE("The cap is off, and no hose on it."),
  /** When a drain cap comes off. */
  COMES_AS_IT_LOOSENS("Air or water comes as it loosens."),
  /** When a jug is put away. */
  EMPTY_AND_SHUT("Empty and closed."),
  /** When a jug is poured. */
  GLUGS("It glugs."),
  /** When the cap of a neck goes on. */
  CAP_CLICKS("The cap clicks."),
  /** When the cap of a neck comes off. */
  LOOK_IN("Look in: no dirt."),
  /** When a tap is shut. */
  NO_DRIP("No drip."),
  /** When a tap is opened. */
  RUNS_WITHOUT_SPITTING("Water runs without spitting."),
  /** When a heater rests for the winter. */
  GAS_OFF_TOO("Gas and electricity off at the heater, too."),
  /** When a pump rests for the winter. */
  WOULD_RUN_DRY("It would run dry by itself."),
  /** When an inlet rests for the winter. */
  HOSE_OFF("Tap outside closed, hose off."),
  /** When a jug rests for the winter. */
  CARRY_INDOORS("Carry it indoors."),
  /** What is left in a part. */
  IN_ITS_BODY("water in its body"),
  /** What is left in a valve. */
  ROUND_BALL_OR_DISC("water round its ball or disc: it cracks with little"),
  /** What is left in a pump. */
  LITTLE_IN_HEAD("a little in its head, with air beside it"),
  /** What is left in a pump. */
  HEAD_FULL("its head is full: it cracks with little"),
  /** What is left in an instant heater. */
  COIL_FULL("its coil is full: it cracks with little"),
  /** What is left in a heater. */
  LITTLE_UNDER_DRAIN("a little under its drain"),
  /** What is left in a heater. */
  FULL("it is full"),
  /** What is left in a filter. */
  BOWL_FULL("its bowl is full"),
  /** What is left in a trap. */
  SEAL_STANDS("its seal is in it"),
  /** What is left in a check valve. */
  BEFORE_SEAT("water before its seat: it cracks with little"),
  /** What is left in a regulator. */
  ROUND_SEAT("water round its seat: it cracks with little"),
  /** What is left in an accumulator. */
  UNDER_MEMBRANE("water under its membrane"),
  /** What is left in a tap. */
  IN_ITS_VALVE("water in its valve: it cracks with little"),
  /** How a part gets dry. */
  OPEN_ABOVE_AND_BELOW("Open something above it and below it; or blow it out"),
  /** How a valve without a ball gets dry. */
  LEAVE_OPEN("Leave it open while the lines run out: it runs out with them"),
  /** How a motor valve gets dry. */
  OPEN_AND_BLOW("Open it and blow it out, or undo it: a motor does not leave its ball half way"),
  /** How a ball valve gets dry. */
  LEAVE_HALF_WAY("Leave its handle half way once the lines have run out"),
  /** How a foot pump gets dry. */
  WORK_IT_EMPTY("Work it with nothing to draw until it gives only air, then undo its hose"),
  /** How a pump gets dry; seconds. */
  RUN_DRY_FOR("Let it run dry for {} s; the rest goes with air or antifreeze"),
  /** How a macerator gets dry. */
  TIP_OUT_OR_ANTIFREEZE("Take it off and tip it out, or run a cup of antifreeze through it"),
  /** How an instant heater gets dry. */
  BLOW_OR_ANTIFREEZE("Blow it out, or run antifreeze through it if its maker permits"),
  /** How a heater gets dry. */
  DRAIN_PLUG_OUT("Cold and off: take its drain plug out and open a hot tap above it"),
  /** How a filter gets dry. */
  CARTRIDGE_INDOORS("Unscrew its bowl, carry the cartridge indoors"),
  /** How a strainer gets dry. */
  UNSCREW_AND_RINSE("Unscrew its bowl and rinse it"),
  /** How a trap gets dry. */
  PLUG_OUT_OR_ANTIFREEZE("Take its plug out, or pour a cup of drinking-water antifreeze into it"),
  /** How a check valve gets dry. */
  BURST_OF_AIR_OR_UNDO("Blow a burst of air through it the way it opens, or undo it"),
  /** How a regulator gets dry. */
  BURST_OR_UNDO("Blow a burst of air through it, or undo it"),
  /** How an accumulator gets dry. */
  ITS_AIR_PUSHES("Let its line run out; its air then pushes the water after it"),
  /** How a tap gets dry. */
  OPEN_OR_BLOW("Open it, so that its line runs out; or blow it out"),
  /** When a toilet is opened to drain. */
  CUPFUL_FORGOTTEN("Its valve holds a cupful that is left out."),
  /** When a tap is opened to drain. */
  AIR_COMES_IN_HERE("Air comes in here; leave it in the middle."),
  /** When a drain cap is opened to drain. */
  BUCKET_UNDER("Bucket under it."),
  /** When an inlet is opened to drain. */
  BEHIND_IT_RUNS_OUT("What is behind it runs out or gets air."),
  /** When a neck is opened to drain. */
  AIR_FOR_TANK("Air for the tank and its fill line."),
  /** When a dump outlet is opened to drain. */
  WHERE_PERMITTED("Only where local rules permit; leave its cap off."),
  /** When a heater is drained. */
  RUNS_FOR_MINUTES("Off and cold. It runs for some minutes."),
  /** When a ball valve is opened to drain. */
  NONE_IN_BALL("So no water is trapped in the ball."),
  /** When another valve is opened to drain. */
  RUNS_OUT_WITH_LINE("So it runs out with its line."),
  /** When a filter is opened to drain. */
  BOWL_INTO_BUCKET("Bowl into a bucket, cartridge indoors."),
  /** When a strainer is opened to drain. */
  RINSE_SCREEN("Rinse the screen, keep the bowl beside it."),
  /** When a trap is opened to drain. */
  SMELL_COMES_IN("Bucket under it; smell comes in until it is filled again."),
  /** When air is let in at an inlet. */
  SCREW_ADAPTER_ON("screw the adapter on"),
  /** When air was let in at an inlet or outside tap. */
  ADAPTER_OFF("adapter off"),
  /** When air is let in at a cap. */
  INSTEAD_OF_CAP("adapter in the place of its cap"),
  /** When air was let in at a cap. */
  CAP_BACK_ON("adapter off, its cap back on"),
  /** When air is let in behind a pump. */
  INTO_OUTLET_HOSE("take its outlet hose off, adapter into it"),
  /** When air was let in behind a pump. */
  OUTLET_HOSE_BACK("adapter off, its outlet hose back on"),
  /** When air is let in at an outside tap. */
  SCREW_ON_AND_OPEN("screw the adapter on and open it"),
  /** When a heater is taken out. */
  OFF_SINCE_YESTERDAY(
      "off since yesterday or run cold first, it scalds. Gas and mains electricity are "
          + "for licensed hands."),
  /** When a pump is taken out. */
  FUSE_OUT("its fuse out before its wires"),
  /** When something with waste in it is taken out. */
  GLOVES("gloves, and wash after"),
  /** When a filter or strainer is taken out. */
  BUCKET_FOR_BOWL("its bowl is full; a bucket under it"),
  /** What lets water one way goes back. */
  ARROW("its arrow, or IN, the way the water goes"),
  /** When a pump goes back. */
  IN_TO_TANK("IN to the tank, OUT to the taps"),
  /** When a valve goes back; the words of that position. */
  HANDLE_AT_REST("its handle as it is at rest, {}"),
  /** When a heater goes back. */
  COLD_IN_HOT_OUT("cold in, hot out"),
  /** What to buy; the label. */
  TANK("Tank: {}"),
  /** What to buy; the size of its line. */
  TEE("tee, {}"),
  /** What to buy; how many, and the size of its line. */
  MANIFOLD("manifold, {} outlets, {}"),
  /** What to buy; the size of its line. */
  RELIEF_VALVE("relief valve, {}"),
  /** What to buy; the size of its line. */
  CHECK_VALVE("check valve, {}"),
  /** What to buy; the size of its line. */
  VALVE("valve, {}"),
  /** What to buy; the size of its line. */
  MOTOR_VALVE("motor valve, {}"),
  /** What to buy; the size of its line. */
  THREE_WAY("three-way valve, {}"),
  /** What to buy; the size of its line. */
  MOTOR_THREE_WAY("motor three-way valve, {}"),
  /** What to buy. */
  INSECT_SCREEN("insect screen for a vent"),
  /** What to buy; the size of its line. */
  END_FOR_A_LINE("end for a line, {}"),
  /** What to buy; the label. */
  LEAK_TRAY("leak tray: {}"),
  /** What to buy; the label. */
  LEAK_TRAY_WITH_CONTACT("leak tray with contact: {}"),
  /** What to buy; the size of its line. */
  PLUG("plug, {}"),
  /** Care of a fresh tank; its label. */
  SANITIZE("Sanitize {}"),
  /** Care of a gauge with steps; the tank's label. */
  CHECK_GAUGE("Check the gauge of {} against a stick or jugs"),
  /** Care of a filter; its label. */
  CHANGE_CARTRIDGE("Change the cartridge of {}"),
  /** Care of a strainer; its label. */
  RINSE_THE_SCREEN("Rinse the screen of {}"),
  /** Care of a heater with a store; its label. */
  LOOK_AT_ANODE("Check the anode of {}, if it has one, and flush it"),
  /** Care of a leak tray; its label. */
  WET_THE_CONTACT("Wet the contact of {} and wait for its alarm"),
  /** Care of an accumulator; its label. */
  CHECK_AIR("Check the air of {}"),
  /** Care of an inlet; its label. */
  LOOK_AT_HOSE("Check the drinking-water hose of {}, renew it when stiff"),
  /** Care of a pump; its label. */
  LISTEN_TO_PUMP("Listen to {}, check its joints and its strainer"),
  /** Where an interval is from. */
  OUR_DEFAULT("Our own default; follow the maker and local rules first"),
  /** Where a filter's interval is from. */
  LITRES_AS_ENTERED(
      "Days: Our own default; follow the maker and local rules first. Litres: until "
          + "its loss has doubled, as entered"),
  /** Where a pump's interval is from. */
  HOURS_OF_PUMP(
      "Days: Our own default; follow the maker and local rules first. Hours: litres "
          + "used over six tenths of its free flow, a new head after 500 h"),
  /** A pump's switch, entered the wrong way round. */
  CUTS_IN_ABOVE("its switch cuts in above where it cuts out"),
  /** What to do about that. */
  SWAP_PRESSURES("Swap the two pressures"),
  /** How long a pump worked by hand may run dry. */
  DRY_RUN_BY_HAND("Worked by hand: it does no harm."),
  /** How long another may; seconds. */
  DRY_RUN_USUAL("In its papers. Left empty: {} s, our own cautious choice for its kind."),
  /** The name of a bottle filler. */
  BOTTLE_FILLER("Bottle filler"),
  /** What is part of it. */
  WHAT_A_BOTTLE_FILLER_IS(
      "A spout for drinking bottles, with its button; it stops when you let go."),
  /** How it stands while somebody holds it. */
  HELD_OPEN("held open"),
  /** The name of a float air vent. */
  FLOAT_VENT("Float air vent"),
  /** What is part of it. */
  WHAT_A_FLOAT_VENT_IS(
      "A small pot with a float at the top of a line: lets air out and in, but no water."),
  /** How its cap stands in use. */
  CAP_LOOSE("cap loose"),
  /** How its cap stands when it is to let nothing by. */
  CAP_TIGHT("cap tight"),
  /** What is left in a float air vent. */
  ROUND_ITS_FLOAT("water round its float: it cracks with little"),
  /** When the cap of a float air vent is loosened. */
  HISSES_THEN_STILL("It hisses while air leaves, then goes quiet; no drip."),
  /** Care of a float air vent; its label. */
  LOOK_FOR_DRIP("Look at {}: a drip means dirt under its float"),
  /** The name of a vacuum breaker. */
  VACUUM_BREAKER("Vacuum breaker"),
  /** What is part of it. */
  WHAT_A_VACUUM_BREAKER_IS(
      "Lets water one way, and air in when the pressure goes;"
          + " fit it 150 mm higher than every tap after it."),
  /** When a vacuum breaker goes back. */
  ARROW_AND_UPRIGHT("its arrow the way the water goes, its cap upward"),
  /** Care of a vacuum breaker; its label. */
  TRY_VACUUM_BREAKER(
      "Close the water ahead of {} and open a tap after it: you must hear air hiss in"),
  /** The name of a mixing valve. */
  MIXING_VALVE("Mixing valve"),
  /** What is part of it. */
  WHAT_A_MIXING_VALVE_IS(
      "Cold and hot in, mixed out at the set temperature; a check valve in each inlet."),
  /** When a mixing valve goes back. */
  COLD_HOT_AND_MIXED("cold to C, hot to H, the taps to MIX"),
  /** Care of a mixing valve; its label. */
  TRY_MIXING_VALVE("Hold a thermometer under a tap after {}, and turn its knob from end to end"),
  /** What to buy; the size of its line. */
  BUY_VACUUM_BREAKER("vacuum breaker, {}"),
  /** What to buy; the size of its line. */
  BUY_MIXING_VALVE("thermostatic mixing valve with check valves, {}"),
  /** What to buy; the size of its line. */
  BUY_FLOAT_VENT("float air vent, {}"),
  /** What to buy; the size of its line. */
  BUY_BOTTLE_FILLER("bottle filler, {}");

  private final String text;

  KindWords(String text) {
    this.text = text;
  }

  /** Returns the words of one in which nothing is filled in. */
  public String text() {
    return text;
  }

  /** Returns the words with what is filled in. */
  public String with(Object... filled) {
    return Message.of(text, filled).toString();
  }
}
