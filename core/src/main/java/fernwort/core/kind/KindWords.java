package fernwort.core.kind;

import fernwort.core.say.Message;

/** What is said of kinds of part, with {} for what is filled in. */
public enum KindWords {
  /** A step: any handle; its label and how it stands then. */
  SET_TO("Set {}: {}."),
  /** A step: a valve, tap or cap that is opened; its label. */
  OPEN_IT(Says.OPEN.text()),
  /** A step: one that is closed; its label. */
  CLOSE_IT(Says.CLOSE.text()),
  /** A step: a valve whose ball is drained; its label. */
  HALF_OPEN(Says.TURN_HALF_OPEN.text()),
  /** A step: a valve that stood half open; its label. */
  TO_A_STOP(Says.TURN_TO_ITS_STOP.text()),
  /** A step: a mixer; its label. */
  OPEN_COLD(Says.OPEN_COLD.text()),
  /** A step: a mixer in the middle; its label. */
  OPEN_WARM(Says.OPEN_HANDLE_IN_THE_MIDDLE.text()),
  /** A step: a mixer; its label. */
  OPEN_HOT(Says.OPEN_HOT.text()),
  /** A step: what runs by itself is switched on; its label. */
  TURN_ON(Says.TURN_ON.text()),
  /** A step: it is switched off; its label. */
  TURN_OFF(Says.TURN_OFF.text()),
  /** A step: a pump by foot or hand; its label. */
  WORK_IT(Says.WORK.text()),
  /** A step: an engine; its label. */
  START_IT(Says.START.text()),
  /** A step: an engine, or a pump by foot or hand; its label. */
  STOP_IT(Says.STOP.text()),
  /** A step: what a spanner takes off; its label. */
  UNDO_IT(Says.TAKE_OFF_AND_TIP_THE_WATER_OUT.text()),
  /** A step: what a spanner took off goes back; its label. */
  PUT_BACK(Says.PUT_BACK.text()),
  /** A step: a heater is drained; its label. */
  OPEN_ITS_DRAIN(Says.OPEN_THE_DRAIN_OF.text()),
  /** A step: a heater's drain is closed; its label. */
  CLOSE_ITS_DRAIN(Says.CLOSE_THE_DRAIN_OF.text()),
  /** A step: a cap; the label of what it closes. */
  CAP_OFF(Says.TAKE_THE_CAP_OFF.text()),
  /** A step: a hose goes on in place of a cap; the label of its inlet. */
  CAP_OFF_CONNECT_CLOSED(Says.CAP_OFF_CONNECT_THE_HOSE.text()),
  /** A step: a hose goes on in place of a cap and gives water; the label of its inlet. */
  CAP_OFF_CONNECT_AND_OPEN(Says.CAP_OFF_CONNECT_AND_OPEN.text()),
  /** A step: a suction hose goes on in place of a cap; the label of its inlet. */
  CAP_OFF_LAY_IN(Says.CAP_OFF_COUPLE_THE_SUCTION_HOSE.text()),
  /** A step: a dump hose goes on in place of a cap; the label of its outlet. */
  CAP_OFF_CONNECT_DUMP_HOSE(Says.CAP_OFF_CONNECT_THE_DUMP_HOSE.text()),
  /** A step: a cap; the label of what it closes. */
  CAP_ON(Says.PUT_THE_CAP_ON.text()),
  /** A step: a hose comes off; the label of what it hung on. */
  HOSE_OFF_CAP_ON(Says.TAKE_THE_HOSE_OFF_AND_PUT.text()),
  /** A step: a hose goes on; the label of its inlet. */
  CONNECT_CLOSED(Says.CONNECT_THE_HOSE_TO_LEAVE.text()),
  /** A step: a hose goes on and gives water; the label of its inlet. */
  CONNECT_AND_OPEN(Says.CONNECT_THE_DRINKING_WATER_HOSE.text()),
  /** A step: the tap of a hose that is on; the label of its inlet. */
  OPEN_HOSE_TAP(Says.OPEN_THE_TAP_OF_THE_HOSE.text()),
  /** A step: the tap of a hose that stays on; the label of its inlet. */
  CLOSE_HOSE_TAP(Says.CLOSE_THE_TAP_OUTSIDE_LEAVE.text()),
  /** A step: a suction hose; the label of its inlet. */
  SWITCH(Says.SWITCH_FOR_SEVERAL_PARTS.text()),
  WHAT_A_SWITCH_IS(Says.ONE_SWITCH_THAT_MOVES_SEVERAL.text()),
  SWITCH_FOR("Switch: {}"),
  TRANSFER_HOSE_ON(Says.CONNECT_THE_LOOSE_TRANSFER_HOSE.text()),
  TRANSFER_HOSE_OFF(Says.TAKE_THE_TRANSFER_HOSE_OFF.text()),
  TOWEL_UNDER(Says.WHAT_IS_IN_THE_HOSE_RUNS.text()),
  FEEL_THE_HOSE(Says.FEEL_THE_HOSE_WHILE_IT_RUNS.text()),
  LAY_IN(Says.COUPLE_THE_SUCTION_HOSE.text()),
  /** A step: a dump hose; the label of its outlet. */
  CONNECT_DUMP_HOSE(Says.CONNECT_THE_DUMP_HOSE_TO_LET.text()),
  /** A step: a jug; its label. */
  POUR_IT(Says.HOLD_UP_AND_POUR.text()),
  /** A step: a jug; its label. */
  STOW_IT(Says.CLOSE_AND_STOW_IT.text()),
  /** A step: a bowl; its label. */
  BOWL_OFF(Says.UNSCREW_THE_BOWL_OF.text()),
  /** A step: a bowl; its label. */
  BOWL_ON(Says.SCREW_THE_BOWL_OF_ON.text()),
  /** A step: a trap; its label. */
  PLUG_OUT(Says.TAKE_THE_PLUG_OUT_OF.text()),
  /** A step: a trap; its label. */
  PLUG_IN(Says.PUT_THE_PLUG_BACK_INTO.text()),
  /** A step: a vent with a cap; its label. */
  LOOSEN_CAP(Says.LOOSEN_THE_CAP_OF.text()),
  /** A step: a vent with a cap; its label. */
  TIGHTEN_CAP(Says.TIGHTEN_THE_CAP_OF.text()),
  /** When a heater is switched off. */
  HEATER_RESTS(Says.NOTHING_MAY_HEAT_WHILE_ITS_WATER.text()),
  /** When a heater is switched on. */
  HEATER_HAS_WATER(Says.THERE_IS_WATER_IN_IT_NOW.text()),
  /** When a pump is switched off. */
  PUMP_RESTS(Says.NOTHING_MAY_PUSH_WHILE_YOU_TURN.text()),
  /** When an engine pump is stopped. */
  ENGINE_STOPS(Says.THE_ENGINE_STOPS_THE_HOSES_GO.text()),
  /** When an engine pump is started. */
  ENGINE_RUNS(Says.IT_FIRES_AND_THE_HOSE_FILLS.text()),
  /** When a pump is switched on. */
  WAY_IS_OPEN(Says.THE_VALVES_ARE_SET_FOR_IT.text()),
  /** When a macerator is switched off. */
  MUST_NOT_RUN_DRY(Says.IT_MUST_NOT_RUN_DRY.text()),
  /** When a hose is taken off. */
  DONE_WITH_HOSE(Says.THE_HOSE_IS_NO_LONGER_NEEDED.text()),
  /** When the tap outside is shut. */
  TAP_SHUT_FIRST(Says.A_HOSE_COMES_OFF_ONLY.text()),
  /** When the tap outside is opened. */
  READY_FOR_WATER(Says.THE_VALVES_BEHIND_IT_ARE_SET.text()),
  /** When the cap of an outlet goes on. */
  NOTHING_DRIPS(Says.SO_THAT_NOTHING_DRIPS_ON_THE_WAY.text()),
  /** When a dump hose goes on. */
  HOSE_FIRST(Says.THE_HOSE_COMES_FIRST.text()),
  /** When the cap of an outlet comes off. */
  LEAVES_HERE(Says.THE_WATER_RUNS_OUT_HERE.text()),
  /** When a jug is put away. */
  DONE_WITH(Says.SO_IT_DOES_NOT_TIP_OVER.text()),
  /** When a jug is poured. */
  WATER_CAN_GO_IN(Says.NOW_THE_WATER_CAN_GO_IN.text()),
  /** When the cap of a neck goes on. */
  NO_DIRT_GETS_IN(Says.SO_THAT_NO_DIRT_GETS_IN.text()),
  /** When the cap of a neck comes off. */
  GOES_IN_HERE(Says.THIS_IS_WHERE_IT_GOES_IN.text()),
  /** When a drain cap goes on. */
  NOTHING_RUNS_OUT(Says.SO_THAT_NOTHING_RUNS_OUT.text()),
  /** When a drain cap comes off. */
  WATER_LEAVES_HERE(Says.THE_WATER_LEAVES_HERE.text()),
  /** When a tap is shut. */
  WATER_COMES_OUT(Says.THE_WATER_COMES_OUT_HERE.text()),
  TAP_WASTES_NOTHING(Says.A_CLOSED_TAP_WASTES_NOTHING.text()),
  /** When a handle goes back. */
  LEFT_SO(Says.THIS_IS_HOW_IT_IS_LEFT.text()),
  /** When a heater is switched off. */
  LAMP_OUT(Says.ITS_LAMP_IS_OUT.text()),
  /** When a heater is switched on. */
  LAMP_ON(Says.ITS_LAMP_IS_ON_IT_TICKS.text()),
  /** When a foot pump is left. */
  STAYS_STILL(Says.IT_STAYS_STILL.text()),
  /** When a foot pump is worked. */
  FEW_STROKES(Says.A_FEW_STROKES_UNTIL_WATER_COMES.text()),
  /** When a pump is switched off. */
  FALLS_SILENT(Says.IT_FALLS_SILENT.text()),
  /** When a pump is switched on. */
  HUMS(Says.IT_HUMS_AND_SLOWS_AS_PRESSURE.text()),
  /** When a macerator is switched on. */
  GROWLS(Says.IT_GROWLS_EVENLY.text()),
  /** When the tap outside is opened. */
  HISS_IN_HOSE(Says.A_HISS_IN_THE_HOSE_NO_DRIP.text()),
  /** When a hose lies in outside water. */
  HOSE_END_UNDER_WATER(Says.THE_HOSE_END_IS_UNDER_WATER_OFF.text()),
  /** When the tap outside is shut. */
  TAP_OUTSIDE_SHUT(Says.THE_TAP_OUTSIDE_IS_CLOSED.text()),
  /** When the cap of an inlet comes off. */
  CAP_LOOSENS(Says.AIR_OR_WATER_COMES_AS_THE_CAP.text()),
  /** When a hose is taken off. */
  HOSE_DRAINED(Says.HOSE_DRAINED_ITS_ENDS_JOINED_CAP.text()),
  /** When a motor valve turns; seconds. */
  MOTOR_TURNS(Says.THE_MOTOR_TURNS_IT_WITHIN_S.text()),
  /** When a handle is turned. */
  GOES_TO_STOP(Says.THE_HANDLE_REACHES_ITS_STOP.text()),
  /** When a cap goes on. */
  CAP_SITS(Says.THE_CAP_SITS_NO_DRIP.text()),
  /** When a dump hose goes on. */
  HOSE_LOCKED(Says.THE_HOSE_IS_LOCKED_ON_AND_FALLS.text()),
  /** When the cap of an outlet comes off. */
  CAP_OFF_NO_HOSE(Says.THE_CAP_IS_OFF_AND_NO_HOSE.text()),
  /** When a drain cap comes off. */
  COMES_AS_IT_LOOSENS(Says.AIR_OR_WATER_COMES_AS_IT_LOOSENS.text()),
  /** When a jug is put away. */
  EMPTY_AND_SHUT(Says.EMPTY_AND_CLOSED.text()),
  /** When a jug is poured. */
  GLUGS(Says.IT_GLUGS.text()),
  /** When the cap of a neck goes on. */
  CAP_CLICKS(Says.THE_CAP_CLICKS.text()),
  /** When the cap of a neck comes off. */
  LOOK_IN(Says.LOOK_IN_NO_DIRT.text()),
  /** When a tap is shut. */
  NO_DRIP(Says.NO_DRIP.text()),
  /** When a tap is opened. */
  RUNS_WITHOUT_SPITTING(Says.WATER_RUNS_WITHOUT_SPITTING.text()),
  /** When a heater rests for the winter. */
  GAS_OFF_TOO(Says.GAS_AND_ELECTRICITY_OFF.text()),
  /** When a pump rests for the winter. */
  WOULD_RUN_DRY(Says.IT_WOULD_RUN_DRY_BY_ITSELF.text()),
  /** When an inlet rests for the winter. */
  HOSE_OFF(Says.TAP_OUTSIDE_CLOSED_HOSE_OFF.text()),
  /** When a jug rests for the winter. */
  CARRY_INDOORS(Says.CARRY_IT_INDOORS.text()),
  /** What is left in a part. */
  IN_ITS_BODY(Says.WATER_IN_ITS_BODY.text()),
  /** What is left in a valve. */
  ROUND_BALL_OR_DISC(Says.WATER_ROUND_ITS_BALL_OR_DISC.text()),
  /** What is left in a pump. */
  LITTLE_IN_HEAD(Says.A_LITTLE_IN_ITS_HEAD_WITH_AIR.text()),
  /** What is left in a pump. */
  HEAD_FULL(Says.ITS_HEAD_IS_FULL_IT_CRACKS.text()),
  /** What is left in an instant heater. */
  COIL_FULL(Says.ITS_COIL_IS_FULL_IT_CRACKS.text()),
  /** What is left in a heater. */
  LITTLE_UNDER_DRAIN(Says.A_LITTLE_UNDER_ITS_DRAIN.text()),
  /** What is left in a heater. */
  FULL(Says.IT_IS_FULL.text()),
  /** What is left in a filter. */
  BOWL_FULL(Says.ITS_BOWL_IS_FULL.text()),
  /** What is left in a trap. */
  SEAL_STANDS(Says.ITS_SEAL_IS_IN_IT.text()),
  /** What is left in a check valve. */
  BEFORE_SEAT(Says.WATER_BEFORE_ITS_SEAT_IT_CRACKS.text()),
  /** What is left in a regulator. */
  ROUND_SEAT(Says.WATER_ROUND_ITS_SEAT_IT_CRACKS.text()),
  /** What is left in an accumulator. */
  UNDER_MEMBRANE(Says.WATER_UNDER_ITS_MEMBRANE.text()),
  /** What is left in a tap. */
  IN_ITS_VALVE(Says.WATER_IN_ITS_VALVE_IT_CRACKS.text()),
  /** How a part gets dry. */
  OPEN_ABOVE_AND_BELOW(Says.OPEN_SOMETHING_ABOVE.text()),
  /** How a valve without a ball gets dry. */
  LEAVE_OPEN(Says.LEAVE_IT_OPEN_WHILE_THE_LINES.text()),
  /** How a motor valve gets dry. */
  OPEN_AND_BLOW(Says.OPEN_IT_AND_BLOW.text()),
  /** How a ball valve gets dry. */
  LEAVE_HALF_WAY(Says.LEAVE_ITS_HANDLE_HALF_WAY_ONCE.text()),
  /** How a foot pump gets dry. */
  WORK_IT_EMPTY(Says.WORK_IT_WITH_NOTHING_TO_DRAW.text()),
  /** How a pump gets dry; seconds. */
  RUN_DRY_FOR(Says.LET_IT_RUN_DRY_FOR_S.text()),
  /** How a macerator gets dry. */
  TIP_OUT_OR_ANTIFREEZE(Says.TAKE_IT_OFF_AND_TIP.text()),
  /** How an instant heater gets dry. */
  BLOW_OR_ANTIFREEZE(Says.BLOW_IT_OUT_OR_RUN_ANTIFREEZE.text()),
  /** How a heater gets dry. */
  DRAIN_PLUG_OUT(Says.COLD_AND_OFF_TAKE_ITS_DRAIN_PLUG.text()),
  /** How a filter gets dry. */
  CARTRIDGE_INDOORS(Says.UNSCREW_ITS_BOWL_CARRY.text()),
  /** How a strainer gets dry. */
  UNSCREW_AND_RINSE(Says.UNSCREW_ITS_BOWL_AND_RINSE_IT.text()),
  /** How a trap gets dry. */
  PLUG_OUT_OR_ANTIFREEZE(Says.TAKE_ITS_PLUG_OUT_OR_POUR.text()),
  /** How a check valve gets dry. */
  BURST_OF_AIR_OR_UNDO(Says.BLOW_A_BURST_OF_AIR.text()),
  /** How a regulator gets dry. */
  BURST_OR_UNDO(Says.BLOW_A_BURST_OF_AIR_THROUGH_IT_OR_UNDO.text()),
  /** How an accumulator gets dry. */
  ITS_AIR_PUSHES(Says.LET_ITS_LINE_RUN_OUT_ITS_AIR.text()),
  /** How a tap gets dry. */
  OPEN_OR_BLOW(Says.OPEN_IT_SO_THAT_ITS_LINE_RUNS.text()),
  /** When a toilet is opened to drain. */
  CUPFUL_FORGOTTEN(Says.ITS_VALVE_HOLDS_A_CUPFUL.text()),
  /** When a tap is opened to drain. */
  AIR_COMES_IN_HERE(Says.AIR_COMES_IN_HERE.text()),
  /** When a drain cap is opened to drain. */
  BUCKET_UNDER(Says.BUCKET_UNDER_IT.text()),
  /** When an inlet is opened to drain. */
  BEHIND_IT_RUNS_OUT(Says.WHAT_IS_BEHIND_IT_RUNS.text()),
  /** When a neck is opened to drain. */
  AIR_FOR_TANK(Says.AIR_FOR_THE_TANK_AND_ITS_FILL.text()),
  /** When a dump outlet is opened to drain. */
  WHERE_PERMITTED(Says.ONLY_WHERE_LOCAL_RULES_PERMIT.text()),
  /** When a heater is drained. */
  RUNS_FOR_MINUTES(Says.OFF_AND_COLD_IT_RUNS_FOR_SOME.text()),
  /** When a ball valve is opened to drain. */
  NONE_IN_BALL(Says.SO_NO_WATER_IS_TRAPPED.text()),
  /** When another valve is opened to drain. */
  RUNS_OUT_WITH_LINE(Says.SO_IT_RUNS_OUT_WITH_ITS_LINE.text()),
  /** When a filter is opened to drain. */
  BOWL_INTO_BUCKET(Says.BOWL_INTO_A_BUCKET_CARTRIDGE.text()),
  /** When a strainer is opened to drain. */
  RINSE_SCREEN(Says.RINSE_THE_SCREEN_KEEP_THE_BOWL.text()),
  /** When a trap is opened to drain. */
  SMELL_COMES_IN(Says.BUCKET_UNDER_IT_SMELL_COMES.text()),
  /** When air is let in at an inlet. */
  SCREW_ADAPTER_ON(Says.SCREW_THE_ADAPTER_ON.text()),
  /** When air was let in at an inlet or outside tap. */
  ADAPTER_OFF(Says.ADAPTER_OFF.text()),
  /** When air is let in at a cap. */
  INSTEAD_OF_CAP(Says.ADAPTER_IN_THE_PLACE_OF_ITS_CAP.text()),
  /** When air was let in at a cap. */
  CAP_BACK_ON(Says.ADAPTER_OFF_ITS_CAP_BACK_ON.text()),
  /** When air is let in behind a pump. */
  INTO_OUTLET_HOSE(Says.TAKE_ITS_OUTLET_HOSE_OFF_ADAPTER.text()),
  /** When air was let in behind a pump. */
  OUTLET_HOSE_BACK(Says.ADAPTER_OFF_ITS_OUTLET_HOSE_BACK.text()),
  /** When air is let in at an outside tap. */
  SCREW_ON_AND_OPEN(Says.SCREW_THE_ADAPTER_ON_AND_OPEN_IT.text()),
  /** When a heater is taken out. */
  OFF_SINCE_YESTERDAY(Says.OFF_SINCE_YESTERDAY_OR_RUN_COLD.text()),
  /** When a pump is taken out. */
  FUSE_OUT(Says.ITS_FUSE_OUT_BEFORE_ITS_WIRES.text()),
  /** When something with waste in it is taken out. */
  GLOVES(Says.GLOVES_AND_WASH_AFTER.text()),
  /** When a filter or strainer is taken out. */
  BUCKET_FOR_BOWL(Says.ITS_BOWL_IS_FULL_A_BUCKET_UNDER.text()),
  /** What lets water one way goes back. */
  ARROW(Says.ITS_ARROW_OR_IN_THE_WAY.text()),
  /** When a pump goes back. */
  IN_TO_TANK(Says.IN_TO_THE_TANK.text()),
  /** When a valve goes back; the words of that position. */
  HANDLE_AT_REST(Says.ITS_HANDLE_AS_IT_IS_AT_REST.text()),
  /** When a heater goes back. */
  COLD_IN_HOT_OUT(Says.COLD_IN_HOT_OUT.text()),
  /** What to buy; the label. */
  TANK("Tank: {}"),
  /** What to buy; the size of its line. */
  TEE("tee, {}"),
  /** What to buy; how many, and the size of its line. */
  MANIFOLD(Says.MANIFOLD_OUTLETS.text()),
  /** What to buy; the size of its line. */
  RELIEF_VALVE(Says.RELIEF_VALVE.text()),
  /** What to buy; the size of its line. */
  CHECK_VALVE(Says.CHECK_VALVE.text()),
  /** What to buy; the size of its line. */
  VALVE("valve, {}"),
  /** What to buy; the size of its line. */
  MOTOR_VALVE(Says.MOTOR_VALVE.text()),
  /** What to buy; the size of its line. */
  THREE_WAY(Says.THREE_WAY_VALVE.text()),
  /** What to buy; the size of its line. */
  MOTOR_THREE_WAY(Says.MOTOR_THREE_WAY_VALVE.text()),
  /** What to buy. */
  INSECT_SCREEN(Says.INSECT_SCREEN_FOR_A_VENT.text()),
  /** What to buy; the size of its line. */
  END_FOR_A_LINE(Says.END_FOR_A_LINE.text()),
  /** What to buy; the label. */
  LEAK_TRAY(Says.LEAK_TRAY.text()),
  /** What to buy; the label. */
  LEAK_TRAY_WITH_CONTACT(Says.LEAK_TRAY_WITH_CONTACT.text()),
  /** What to buy; the size of its line. */
  PLUG("plug, {}"),
  /** Care of a fresh tank; its label. */
  SANITIZE("Sanitize {}"),
  /** Care of a gauge with steps; the tank's label. */
  CHECK_GAUGE(Says.CHECK_THE_GAUGE_OF_AGAINST.text()),
  /** Care of a filter; its label. */
  CHANGE_CARTRIDGE(Says.CHANGE_THE_CARTRIDGE_OF.text()),
  /** Care of a strainer; its label. */
  RINSE_THE_SCREEN(Says.RINSE_THE_SCREEN_OF.text()),
  /** Care of a heater with a store; its label. */
  LOOK_AT_ANODE(Says.CHECK_THE_ANODE.text()),
  /** Care of a leak tray; its label. */
  WET_THE_CONTACT(Says.WET_THE_CONTACT_OF_AND_WAIT.text()),
  /** Care of an accumulator; its label. */
  CHECK_AIR(Says.CHECK_THE_AIR_OF.text()),
  /** Care of an inlet; its label. */
  LOOK_AT_HOSE(Says.CHECK_THE_DRINKING_WATER_HOSE.text()),
  /** Care of a pump; its label. */
  LISTEN_TO_PUMP(Says.LISTEN_TO_CHECK_ITS_JOINTS.text()),
  /** Where an interval is from. */
  OUR_DEFAULT(Says.OUR_OWN_DEFAULT_FOLLOW_THE_MAKER.text()),
  /** Where a filter's interval is from. */
  LITRES_AS_ENTERED(Says.DAYS_OUR_OWN_DEFAULT_FOLLOW.text()),
  /** Where a pump's interval is from. */
  HOURS_OF_PUMP(Says.DAYS_OUR_OWN_DEFAULT_FOLLOW_THE_MAKER.text()),
  /** A pump's switch, entered the wrong way round. */
  CUTS_IN_ABOVE(Says.ITS_SWITCH_CUTS_IN_ABOVE.text()),
  /** What to do about that. */
  SWAP_PRESSURES(Says.SWAP_THE_TWO_PRESSURES.text()),
  /** How long a pump worked by hand may run dry. */
  DRY_RUN_BY_HAND(Says.WORKED_BY_HAND_IT_DOES_NO_HARM.text()),
  /** How long another may; seconds. */
  DRY_RUN_USUAL(Says.IN_ITS_PAPERS_LEFT_EMPTY_S_OUR.text()),
  /** The name of a bottle filler. */
  BOTTLE_FILLER(Says.BOTTLE_FILLER.text()),
  /** What is part of it. */
  WHAT_A_BOTTLE_FILLER_IS(Says.A_SPOUT_FOR_DRINKING_BOTTLES.text()),
  /** How it stands while somebody holds it. */
  HELD_OPEN(Says.HELD_OPEN.text()),
  /** The name of a float air vent. */
  FLOAT_VENT(Says.FLOAT_AIR_VENT.text()),
  /** What is part of it. */
  WHAT_A_FLOAT_VENT_IS(Says.A_SMALL_POT_WITH_A_FLOAT.text()),
  /** How its cap stands in use. */
  CAP_LOOSE(Says.CAP_LOOSE.text()),
  /** How its cap stands when it is to let nothing by. */
  CAP_TIGHT(Says.CAP_TIGHT.text()),
  /** What is left in a float air vent. */
  ROUND_ITS_FLOAT(Says.WATER_ROUND_ITS_FLOAT_IT_CRACKS.text()),
  /** When the cap of a float air vent is loosened. */
  HISSES_THEN_STILL(Says.IT_HISSES_WHILE_AIR_LEAVES.text()),
  /** Care of a float air vent; its label. */
  LOOK_FOR_DRIP(Says.LOOK_AT_A_DRIP_MEANS_DIRT_UNDER.text()),
  /** The name of a vacuum breaker. */
  VACUUM_BREAKER(Says.VACUUM_BREAKER.text()),
  /** What is part of it. */
  WHAT_A_VACUUM_BREAKER_IS(Says.LETS_WATER_ONE_WAY_AND_AIR.text()),
  /** When a vacuum breaker goes back. */
  ARROW_AND_UPRIGHT(Says.ITS_ARROW_THE_WAY_THE_WATER_GOES.text()),
  /** Care of a vacuum breaker; its label. */
  TRY_VACUUM_BREAKER(Says.CLOSE_THE_WATER_AHEAD.text()),
  /** The name of a mixing valve. */
  MIXING_VALVE(Says.MIXING_VALVE.text()),
  /** What is part of it. */
  WHAT_A_MIXING_VALVE_IS(Says.COLD_AND_HOT_IN_MIXED.text()),
  /** When a mixing valve goes back. */
  COLD_HOT_AND_MIXED(Says.COLD_TO_C_HOT_TO_H.text()),
  /** Care of a mixing valve; its label. */
  TRY_MIXING_VALVE(Says.HOLD_A_THERMOMETER_UNDER_A_TAP.text()),
  /** What to buy; the size of its line. */
  BUY_VACUUM_BREAKER(Says.VACUUM_BREAKER_INSIDE.text()),
  /** What to buy; the size of its line. */
  BUY_MIXING_VALVE(Says.THERMOSTATIC_MIXING_VALVE.text()),
  /** What to buy; the size of its line. */
  BUY_FLOAT_VENT(Says.FLOAT_AIR_VENT_INSIDE.text()),
  /** What to buy; the size of its line. */
  BUY_BOTTLE_FILLER(Says.BOTTLE_FILLER_INSIDE.text());

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
