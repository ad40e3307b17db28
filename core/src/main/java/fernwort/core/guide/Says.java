package fernwort.core.guide;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Assembly: a rig as it grows: parts at spots of the vehicle, and lines between them whose
  // lengths are worked out from where their ends are.
  KNEEL_BESIDE_IT("kneel beside it"),
  REACH_IN_FROM_INSIDE("reach in from inside"),

  // FlowRange: what it matters that the lengths of lines were worked out from places: how much the
  // flow at a tap changes when they are a fifth shorter, or a third longer.
  GIVES_TO("{} gives {} to {}"),

  // FreshSide: from the tanks to the pump, and from the hose inlet to the tanks and the taps.
  CHECK_VALVE("Check valve{}"),
  VALVE_PUMP_CHECK_VALVE("{} → valve → pump → check valve → {}"),
  THREE_WAY_VALVE_PUMP("{} → three-way valve → pump"),
  TANK_SHUT_OFF("Tank shut-off"),
  THREE_WAY_VALVE("three-way valve"),
  OUTLET_TEE("Outlet tee"),
  ITS_OUTLET_VALVE_THE_SAME_LINE("{} → its outlet valve → the same line"),
  TANK_VALVE("Tank valve"),
  SUCTION_HOSE_THREE_WAY_VALVE("Suction hose → three-way valve → pump"),
  SUCTION_HOSE("Suction hose"),
  THREE_WAY_VALVE_A_PLUG("three-way valve → a plug, until there is another tank"),
  VALVE_PLUG("Valve plug"),
  THREE_WAY_VALVE_DRAIN_TAIL("{} → three-way valve → drain tail"),
  DRAIN_TAIL("Drain tail"),
  LINK_TO("Link to {}"),
  LINK_VALVE("{} → link with a valve → {}"),
  RUNS_OVER_INTO("{} → overflow → {}"),
  WATER_CAN("Water can"),
  FILTER_BEFORE_THE_PUMP("Filter before the pump"),
  TEE_FOR_ANTIFREEZE("tee for antifreeze"),
  ANTIFREEZE_TEE("Antifreeze tee"),
  ANTIFREEZE_VALVE("Antifreeze valve"),
  ANTIFREEZE_HOSE("Antifreeze hose"),
  OUTSIDE_VALVE("Outside valve"),
  HOSE_STRAINER("Hose strainer"),
  HOSE_INLET_TO_PUMP("Hose inlet → diverter → three-way valve → pump"),

  // Guided: the rig that somebody's answers describe, as far as they go.
  LENGTHS_OF_LINES("The lengths of {} lines are worked out from where their ends are"),
  WHAT_THE_AXLES_MAY_CARRY("What the axles may carry is not known; it is on the plate"),
  WHETHER_WATER_IS_TOO_HEAVY("knowing when full tanks are too heavy"),
  THE_FLOOR_ABOVE_THE_GROUND("The floor is {} above the ground"),
  WHAT_HANGS_UNDER_IT_AND_FREEZES("what hangs under it, and freezes first"),
  THE_HEATER_BESIDE_THE_PUMP("The heater is beside the pump, with a drain plug and no bypass"),
  HOW_IT_IS_DRAINED_BEFORE_FROST("how it is drained before frost, and how soon hot water comes"),
  PLATES_THAT_WERE_NOT_ASKED(
      "Flow and pressure of taps, valves, filters and small pumps, {} in all, are as usual"),
  FLOW_AND_PRESSURE_AT_THE_TAPS("flow and pressure at the taps; the editor takes what plates say"),
  FLOW_AT_THE_TAPS_AND_WHAT_STAYS("flow at the taps, and what stays in them"),

  // InletSide: from the hose inlet, or two of them, to the tanks, the taps and the pump.
  THE_TAPS("the taps"),
  THE_PUMP("the pump"),
  HOSE_INLET("Hose inlet"),
  SECOND_INLET("Second inlet"),
  INLET_SELECTOR("Inlet selector"),
  FROM_THE_FIRST_INLET("from the first inlet"),
  FROM_THE_SECOND_INLET("from the second inlet"),
  INLET_TEE("Inlet tee"),
  INLET_DIVERTER("Inlet diverter"),
  DIVERTER_TO("to {}"),
  DIVERTER_CLOSED("closed"),
  INLET_FILTER("Inlet filter"),
  MAINS_TO("Mains to {}"),
  CHECK_TO("Check valve to {}"),
  THE_HIGH_FLOAT_OF("{} high float"),
  THE_LOW_FLOAT_OF("{} low float"),
  INLET_CHECK_VALVE("Inlet check valve"),
  CHECK_VALVE_INSIDE("check valve"),
  MAINS_SHUT_OFF("Mains shut-off"),

  // Overlap: tanks that lie in each other as their spots, heights and sizes were given: a field of
  // the plan is larger than a tank, so two that stand side by side may be put on the same one.
  AND_IN_THE_SAME_PLACE_FOR_THEIR("{} and {} in the same place, for their spots and heights are"),
  WEIGHT_ON_EACH_AXLE_AND_EVERY(
      "weight on each axle, and every figure on a slope; show where each stands"),

  // PressureSide: from the pump to the taps, cold and hot.
  HEATER_IN("Heater in"),
  HEATER_OUT("Heater out"),
  HEATER_BYPASS("Heater bypass"),
  HEATER_TEE("Heater tee"),
  HEATER_DRAIN("Heater drain"),
  HEATER_DRAIN_TAIL("Heater drain tail"),
  LOOP_PUMP("Hot loop pump"),
  LOOP_CHECK_VALVE("Hot loop check valve"),
  RETURN_TEE("Hot return tee"),
  RELIEF_TEE("Relief tee"),
  RELIEF_VALVE("Relief valve"),
  RELIEF_TUBE("Relief tube"),
  HEATER_TRAY("Heater tray"),
  THROUGH_THE_HEATER("through the heater"),
  PAST_THE_HEATER("past the heater"),
  THE_TANK("The tank"),
  SECOND_PUMP("Second pump"),
  SECOND_PUMP_INSIDE("second pump"),
  PUMP_CHECK_VALVE("Pump check valve"),
  DELIVERY_VALVE("Delivery valve"),
  DELIVERY_TEE("Delivery tee"),
  BACK_TO("Back to {}"),
  TO_THE_TAPS("To the taps"),
  SENT_BACK_TO("{} → valve → {}"),
  PUMP_AND_HEATER_SWITCH("Pump and heater switch"),
  HOUSE_TEE("House tee"),
  THE_MAINS("The mains"),
  TEE_PLUG("Tee plug"),
  ACCUMULATOR_TEE("Accumulator tee"),
  SEDIMENT_FILTER("Sediment filter"),
  CARBON_FILTER("Carbon filter"),
  COLD_DRAIN_CAP("Cold drain cap"),
  HOT_DRAIN_CAP("Hot drain cap"),
  COLD_DRAIN("Cold drain"),
  COLD_DRAIN_TAIL("Cold drain tail"),
  HOT_DRAIN("Hot drain"),
  HOT_DRAIN_TAIL("Hot drain tail"),
  HEATER("{} → heater → {}"),
  LINE_PLUG("Line plug"),
  HOT_MANIFOLD("Hot manifold"),
  COLD_MANIFOLD("Cold manifold"),
  HOT_TEE("Hot tee"),
  COLD_TEE("Cold tee"),
  DRINKING_TAP("Drinking tap"),
  OUTSIDE_SHOWER("Outside shower"),

  // TankMaker: makes a tank with the openings that its answers ask for, its neck, its vent and its
  // drain.
  JUG_FOR("Jug for {}"),
  DRAIN_CAP("{} drain cap"),
  DRAIN_TAIL_OF("{} drain tail"),
  SPOUT_CAP("{} cap"),
  OUTLET_HOSE_OF("{} hose"),
  OUTLET_VALVE_OF("{} outlet valve"),
  INLET_BELOW("{} lower inlet"),
  BARREL_PORT("{} barrel port"),
  BARREL_PUMP("{} barrel pump"),
  FILLER_TEE("{} filler tee"),
  VENT_OF("{} vent"),
  VENT_TEE("Vent tee"),
  VENT_VALVE("{} vent valve"),
  OVERFLOW_OF("{} overflow"),
  OVERFLOW_VALVE("{} overflow valve"),

  // TankSizes: the sizes of a tank from what somebody knows of it: the litres on its label, its
  // sizes, or both, which are then held against each other.
  ITS_SIZES_MAKE_ITS_LABEL_SAYS("{}: its sizes make {}, its label says {}; the sizes are used"),
  HOW_MUCH_IT_HOLDS_MEASURE_AGAIN(
      "how much it holds; measure again, or change whether inside or outside"),
  LONG_WIDE_AND_HIGH("{}: {} long, {} wide and {} high"),
  ITS_WEIGHT_ON_EACH_AXLE("its weight on each axle, and every figure on a slope"),

  // WasteSide: from the taps to the gray tank, and out of it.
  WASTE_TEE("Waste tee"),
  GRAY_TEE("{} tee"),
  SEPARATOR("Urine separator"),
  SEPARATOR_TRAP("Separator trap"),
  SEPARATOR_INTO("Urine separator → trap → {}"),
  RINSE_INLET("Rinse inlet"),
  RINSE_CHECK_VALVE("Rinse check valve"),
  IT_IS_CARRIED_OUT("{} → carried out and tipped"),
  TRAP("{} → trap → {}"),
  STRAIGHT_INTO("{} → {}"),
  THE_GROUND("{} → the ground"),
  PUSHED_IN("pushed in"),
  PULLED_OUT("pulled out"),
  DUMP_VALVE(" → dump valve"),
  OUTLET_WITH_ITS_CAP("{} → outlet with its cap");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
