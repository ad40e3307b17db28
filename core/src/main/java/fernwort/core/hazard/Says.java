package fernwort.core.hazard;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // CheckValveCheck: check valves that face the wrong way; found once per rig, since no handle
  // changes it.
  FACES_THE_WRONG_WAY("{} faces the wrong way"),
  NO_WATER_EVER_PASSES_IT_WHATEVER("No water ever passes it, whatever the handles."),
  NO_SOURCE_REACHES_THE_SIDE(
      "No source reaches the side it lets water in by, but one reaches its other side."),
  TURN_IT_ROUND_ITS_ARROW_POINTS(
      "Turn it round: its arrow points from the source to where the water is used."),

  // FlowCheck: what only the solved flow tells: whether the pressure behind a pump keeps its
  // switch open, how much of its water a pump only stirs, and which open tap gets none.
  NO_WATER_COMES_AT("No water comes at {}"),
  IT_IS_OPEN_AND_OTHERS_TAKE_ALL("It is open, and others take all there is."),
  WHAT_DRIVES_ITS_WATER("What drives its water is too weak for all that is open at once."),
  CLOSE_ANOTHER_TAP_OR_WHATEVER("Close another tap, or whatever else runs."),

  // Foretold: what goes wrong within three hours if nobody touches anything, found by running the
  // rig from the state.
  IN_ABOUT("in about {}"),
  THAT_IS_IN_ABOUT("That is in about {}."),
  THE_VENT_OF_IS_TOO_NARROW("{} bulges once water stands in its vent"),
  PRESSURE_BUILDS_UP_THE_TANK("Pressure builds up: the tank bulges {}, and can burst."),
  MORE_COMES_IN_THAN_ITS_VENT(
      "Its vent and overflow are too narrow for the fill, or rise too far above it."),
  OPEN_THE_TAP_LESS_OR_STOP_WELL(
      "Open the tap less, or stop well before the tank is full. Fit a wider vent, or a lower one."),
  FILLS_AND_ITS_AIR_CANNOT_GET_OUT("{} fills and its air cannot get out"),
  ITS_VENT_AND_OVERFLOW_ARE_CLOSED("Its vent and overflow are closed, or let out air only."),
  OPEN_ITS_VENT_OR_OVERFLOW_FIRST("Open its vent or overflow first, then go on filling."),
  EMPTIES_AND_NOT_ENOUGH_AIR_GETS("{} empties and not enough air gets in"),
  ITS_WALLS_ARE_SUCKED("Its walls are sucked in {}, and the flow dies."),
  MORE_LEAVES_THAN_ITS_VENT_LETS("More leaves than its vent lets in."),
  OPEN_ITS_VENT_OR_TRAVEL_VALVE("Open its vent or travel valve, or draw more slowly."),
  DRAWS_AIR("{} draws air {}"),
  NO_MORE_WATER_COMES_THEN("No more water comes then."),
  IT_RUNS_DRY("It runs dry from then on, and wears out."),
  THE_TANK_THAT_IT_DRAWS("The tank that it draws from is down to its outlet then."),
  SWITCH_IT_OFF("Switch it off before that, or change to a tank that has water."),
  WATER_RUNS_OUT_AT("Water runs out at {} {}"),
  GRAY_WATER_GOES_ONTO_THE_GROUND("Gray water goes onto the ground."),
  WHAT_COMES("What comes in from then on is lost onto the ground."),
  A_TANK_IS_FULL("A tank is full then, and its overflow or vent leads there."),
  STOP_BEFORE_THAT("Stop before that."),
  WATER_RUNS_OUT_AT_STOP("Water runs out at {} {}."),
  GRAY_WATER_COMES_BACK_UP_AT("Gray water comes back up at {} {}"),
  THE_GRAY_TANK_IS_FULL_THEN("The gray tank is full then."),
  MORE_RUNS_IN_THAN_IT_HAS_ROOM("More runs in than it has room for."),
  DUMP_GRAY_FIRST_OR_CLOSE_THE_TAP("Dump gray first, or close the tap before that."),

  // LoadCheck: loads beyond their limits, on level ground; what the vehicle carries beside its
  // water is in its measured empty loads.
  CARRIES_TOO_MUCH("{} carries {}, {} too much"),
  THE_COUPLING_OR_WHAT_PULLS("The coupling or what pulls it gives way."),
  TYRES_SPRINGS_OR_AXLE_GIVE_WAY("Tyres, springs or axle give way."),
  THE_WATER_IS_TOO_CLOSE_TO_IT("The water is too close to it."),
  CARRY_LESS_OR_DRAW_THE_TANKS("Carry less, or draw the tanks nearest to it first."),
  CARRY_LESS_WATER_OR_OTHER_LOAD("Carry less water or other load."),
  CARRIES_TOO_LITTLE("{} carries {}, {} too little"),
  THE_TRAILER_SWAYS_AND_CAN_THROW("The trailer sways, and can throw what pulls it off the road."),
  TOO_MUCH_WEIGHT_LIES_BEHIND(
      "Too much weight lies behind the axle, or too little in front of it."),
  FILL_THE_TANKS_IN_FRONT("Fill the tanks in front of the axle, or draw those behind it first."),
  FILL_MORE_WATER_OR_LOAD("Fill more water, or load something heavy in front of the axle."),
  CARRY_LESS_WATER_OR_LOAD("Carry less water, or load something heavy in front of the axle."),
  THE_COUPLING("The coupling"),
  THE_AXLE("The axle"),
  THE_AXLE_OF("The {} axle"),
  AXLE("Axle “{}”"),
  THE_WATER_LIES_HEAVIER_ON_THE("The water lies {} heavier on the {}"),
  IT_LEANS_AND_PULLS_TO_THAT_SIDE("It leans, and pulls to that side when braking."),
  THE_TANKS_ON_THAT_SIDE_HOLD_MORE("The tanks on that side hold more."),
  FILL_OR_DRAW_THE_SIDES_EVENLY("Fill or draw the sides evenly."),

  // PowerCheck: motor valves that open a way when the power fails.
  ONTO_THE_GROUND_AT("onto the ground at {}"),
  OUT_AT("out at {}"),
  OPENS_WHEN_THE_POWER_FAILS("{} opens when the power fails"),
  WATER_THEN_RUNS_WITH_NOBODY("Water then runs {} with nobody at the handle."),
  ITS_MOTOR_FALLS_BACK("Its motor falls back to a position that opens this way."),
  CLOSE_A_HAND_VALVE_IN_THAT_LINE(
      "Close a hand valve in that line before you leave it, or use a motor that stays put."),

  // PumpCheck: pumps that run dry, suck air, or only stir.
  IS_ON_AND_HAS_NOTHING_TO_DRAW("{} is on and has nothing to draw"),
  IT_ONLY_MOVES_AIR("It only moves air."),
  IT_RUNS_DRY_AND_BURNS_OUT("It runs dry and burns out."),
  NO_TANK_WITH_WATER(
      "No tank with water over its outlet, and no other source, is open to its inlet."),
  SWITCH_IT_OFF_OPEN_A_TANK("Switch it off; open a tank that has water, then switch it on again."),
  SUCKS_AIR_THROUGH("{} sucks air through {}"),
  IT_RATTLES_SPITS("It rattles, spits and does not build up pressure."),
  IS_OPEN_TO_ITS_INLET("{} is open to its inlet and is dry."),
  CLOSE_A_VALVE_TOWARDS("Close a valve towards {}."),
  PRESSES_AGAINST_CLOSED_VALVES("{} presses against closed valves"),
  IT_RUNS_AT_ITS_SHUT_OFF_PRESSURE(
      "It runs at its shut-off pressure, {}, and heats the water in it until a seal gives."),
  IT_HAS_NO_SWITCH_THAT_STOPS(
      "It has no switch that stops it, and no way from its outlet is open."),
  OPEN_WHAT_IT_SHOULD_DELIVER("Open what it should deliver to, or switch it off."),
  PUSHES_PART_OF_ITS_WATER_ROUND(" pushes part of its water round in a loop"),
  ONLY_CIRCULATES_ITS_WATER(" only circulates its water"),
  THE_WATER_COMES_STRAIGHT_BACK(
      "The water comes straight back to its inlet: little or no pressure, and it never stops."),
  A_WAY_FROM_ITS_OUTLET_BACK("A way from its outlet back to its inlet is open{}"),
  THROUGH(" through {}."),
  CLOSE_THE_LOOP("Close the loop."),
  CLOSE("Close {}."),

  // SupplyCheck: drinking water that can be spoilt, tap water that can be fouled, water that runs
  // to the ground.
  CAN_RUN_BACK_INTO_THE_TAP("{} can run back into the tap"),
  WHEN_THE_MAINS_WATER_PRESSURE(
      "When the mains water pressure drops, tank water is drawn into the public pipe."),
  WHEN_THE_TANK_FILLS(
      "When the tank fills and the mains water pressure drops, tank water is drawn into the"
          + " public pipe. The water is not that high now."),
  THERE_IS_NO_CHECK_VALVE_BETWEEN("There is no check valve between them."),
  CLOSE_A_VALVE_BETWEEN_THEM(
      "Close a valve between them, or fit a check valve or the backflow preventer that your local"
          + " code asks for."),
  OUTSIDE_WATER("Outside water"),
  RUNS_TO(" runs to "),
  CAN_REACH(" can reach "),
  WATER_THAT_IS_NOT_FIT_TO_DRINK("Water that is not fit to drink gets where people drink."),
  THE_WAY_BETWEEN_THEM_IS_OPEN("The way between them is open and has no purifying filter."),
  CLOSE_A_VALVE_BETWEEN_THEM_IF_IT_HAS_HAPPENED(
      "Close a valve between them. If it has happened, do not drink; flush and sanitize first."),
  TAP_WATER("Tap water"),
  WASTE_OF("Waste of {}"),
  BY_GRAVITY("by gravity"),
  UNDER_PRESSURE("under pressure"),
  RUNS_ONTO_THE_GROUND_AT("{} runs onto the ground at {}"),
  IT_RUNS_OUT_UNTIL_IT_IS_STOPPED("It runs out {} until it is stopped or empty."),
  THE_WAY_TO_IS_OPEN("The way to {} is open."),
  CLOSE_IT_UNLESS_YOU_MEAN(
      "Close it, unless you mean to empty here and local rules permit gray on the ground."),
  CLOSE_IT_UNLESS_YOU_MEAN_TO_DRAIN("Close it, unless you mean to drain."),
  RUNS_OUT_THROUGH_THE_HOSE_AT("{} runs out through the hose at {}"),
  IT_RUNS_INTO_THE_OUTSIDE_WATER(
      "It runs into the outside water until it is stopped or the levels are equal."),
  THE_WAY_THERE_IS_OPEN("The way there is open, and nothing holds the water back."),
  CLOSE_A_VALVE_ON_THE_WAY("Close a valve on the way before the pump stops, or fit a check valve."),
  HEATS_AND_NO_WATER_CAN_REACH_IT("{} heats and no water can reach it"),
  WHAT_IS_LEFT_IN_IT_BOILS_OFF("What is left in it boils off, and it burns dry."),
  NOTHING_THAT_HAS_WATER(
      "Nothing that has water or pressure is open to it: it may be bypassed or drained."),
  SWITCH_IT_OFF_FILL("Switch it off; fill it until water runs from a hot tap, then switch it on."),

  // TankCheck: tanks that fill or empty without air, or without anybody watching; gray with no
  // room left.
  PRESSURE_BUILDS_UP_IN_THE_TANK("Pressure builds up in the tank: it bulges, and can burst."),
  FILLING_STOPS_BEFORE_THE_TANK("Filling stops before the tank is full, and can spit back."),
  EVERY_WAY_FOR_AIR("Every way for air out of it is closed or under water."),
  HAS_NO_OVERFLOW_OPEN_ONCE("{} has no overflow open once it is full"),
  WHEN_THE_WATER_COMES(
      "When the water comes up to its vent, pressure builds up: it bulges, and can burst."),
  ITS_OVERFLOW_IS_CLOSED_OR_LETS("Its overflow is closed, or lets out air only."),
  OPEN_ITS_OVERFLOW_OR_TRAVEL("Open its overflow or travel valve first, then go on filling."),
  HAS_NO_VENT_OPEN_WHILE_IT_FILLS("{} has no vent open while it fills"),
  AS_WATER_COVERS_ITS_OUTLETS(
      "As water covers its outlets, and more comes than they let out, pressure builds up: it"
          + " bulges, and can burst."),
  ITS_AIR_GETS_OUT_ONLY("Its air gets out only by its outlets, or back by the line that fills it."),
  WHAT_GOES_INTO_RUNS_OUT_AT("What goes into {} runs out at {}"),
  IT_NEVER_FILLS_THE_WATER_RUNS(
      "It never fills: the water runs onto the ground as soon as it stands high enough."),
  THE_WAY_FROM_THE_TANK("The way from the tank to {} is open."),
  CLOSE_IT_BEFORE_THE_TANK_FILLS("Close it before the tank fills."),
  IS_FULL_AND_CLOSED_NO_ROOM("{} is full and closed: no room for warm water"),
  ITS_WATER_GROWS_BY_AS_IT_WARMS("Its water grows by {} as it warms, and the tank bulges."),
  HARDLY_ANY_AIR_IS_LEFT("Hardly any air is left in it, and every vent is closed."),
  LET_ABOUT_OUT_OR_OPEN_ITS_VENT("Let about {} out, or open its vent."),
  EMPTIES_AND_NO_AIR_CAN_GET_IN("{} empties and no air can get in"),
  THE_PUMP_SUCKS_THE_TANK("The pump sucks the tank in: its walls cave, and the flow dies."),
  THE_FLOW_SLOWS_TO_GULPS("The flow slows to gulps and stops with water still in the tank."),
  EVERY_WAY_FOR_AIR_INTO_IT_IS_CLOSED("Every way for air into it is closed or under water."),
  OPEN_ITS_VENT_OR_TRAVEL_VALVE_BEFORE_DRAWING("Open its vent or travel valve before drawing."),
  FILLS_FROM_MAINS_WATER("{} fills from mains water until its float closes"),
  IT_STOPS_BY_ITSELF_A_FLOAT("It stops by itself; a float that sticks lets it run over."),
  A_FLOAT_VALVE_CLOSES_THE_LINE("A float valve closes the line when the water reaches it."),
  LOOK_AT_ITS_OVERFLOW_THE_FIRST(
      "Look at its overflow the first time after a winter, and close the tap when away."),
  MAINS_WATER_PUSHES("Mains water pushes into {}, which nobody watches"),
  IT_FILLS_UNTIL_IT_RUNS("It fills until it runs over, or until something gives."),
  THE_HANDLES_LET_THE_TAPS(
      "The handles let the taps and the tank run from mains water at the same time."),
  MAINS_WATER_DOES_NOT_STOP("Mains water does not stop by itself, and this tank has no gauge."),
  CLOSE_A_VALVE_INTO_OR_STAY("Close a valve into {}, or stay at its overflow until it is full."),
  FILLS_FROM_MAINS_WATER_OF("{} fills from mains water"),
  IT_RUNS_OVER_AT_ITS_OVERFLOW("It runs over at its overflow when it is full."),
  MAINS_WATER_DOES_NOT_STOP_BY_ITSELF("Mains water does not stop by itself."),
  STAY_WITH_IT_AND_CLOSE_THE_TAP(
      "Stay with it, and close the tap at the first water from the overflow."),
  GRAY_WILL_BE_FULL_BEFORE_FRESH("Gray will be full before fresh is used up"),
  GRAY_IS_FULL_AFTER_YOU_USE_ABOUT("Gray is full after you use about {} more."),
  THERE_IS_ROOM_FOR_OF_GRAY(
      "There is room for {} of gray, and about {} will come from the fresh on board."),
  PLAN_TO_DUMP_GRAY_FIRST_FILLING("Plan to dump gray first; filling more fresh does not help."),
  IS_FULL("{} is full"),
  GRAY_WATER_COMES_BACK("Gray water comes back up the lowest drain, or leaves by the vent."),
  WATER_IS_RUNNING_INTO_IT_NOW("Water is running into it now."),
  THERE_IS_NO_ROOM("There is no room for what is used next."),
  DUMP_IT_WHERE_THAT_IS_PERMITTED("Dump it where that is permitted before using more water.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
