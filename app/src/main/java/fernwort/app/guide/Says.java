package fernwort.app.guide;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // FillPage: how the fresh tanks are filled: neck, jug, mains, float; and the hose inlet.
  THROUGH_A_FILLER_WITH_A_CAP("Through a filler with a cap"),
  FROM_A_JUG_POURED("From a jug, poured into the filler"),
  FROM_THE_HOSE_INLET_UNDER("From the hose inlet, under pressure"),
  FROM_THE_HOSE_INLET_WITH_A_FLOAT("From the hose inlet, with a float that closes"),
  FROM_ANOTHER_TANK_BY_A_PUMP(
      "From another tank, by a pump of its own; that one then gives its water here"),
  WHERE_ITS_FILLER_IS("Where its filler is"),
  THE_FILLER_ABOVE_THE_GROUND("The filler above the ground"),
  LEFT_AS("Left as it is where there is no filler."),
  IS_FILLED("{} is filled"),
  TICK_ALL_THAT_APPLY("Tick all that apply."),
  THE_HOSE_INLET("The hose inlet"),
  WHERE_A_HOSE_FROM_A_TAP(
      "Where a hose from a tap is screwed on. Nothing here matters without one."),
  IT_LEADS_TO_THE_TAPS_AS_WELL("It leads to the taps as well"),
  WHERE_IT_IS("Where it is"),
  THE_INLET_ABOVE_THE_GROUND("The inlet above the ground"),
  A_PRESSURE_REGULATOR_FOLLOWS_IT("A pressure regulator follows it"),
  A_ROUND_OR_BELL_SHAPED_FITTING("A round or bell-shaped fitting, often with a dial."),
  A_CHECK_VALVE_FOLLOWS_IT("A check valve follows it"),
  A_SHORT_FITTING_WITH_AN_ARROW(
      "A short fitting with an arrow: nothing goes back into the public tap."),
  A_VALVE_CLOSES_IT("A valve closes it"),
  THE_INLET("The inlet"),
  FILLER("{}, filler"),

  // FilledPage: a page as somebody filled it in.
  OF_FROM_TO_IS_POSSIBLE("{} of {}: from {} to {} is possible"),

  // GuideController: the pages of questions about a rig, with the rig growing beside them.
  MY_RIG("My rig"),
  FRESH_GRAY("{} fresh, {} gray"),
  FULL_THE_FRESH_WATER_LASTS_DAYS("%s; full, the fresh water lasts %.1f days"),
  NOW("{}, now"),
  THERE_IS_NO_PAGE_OF_QUESTIONS("There is no page “{}” of questions."),

  // Guides: the answers about each rig, and the rig that they make.
  BEGUN_WITH_QUESTIONS("Begun with questions"),
  THIS_RIG_WAS_NOT_DESCRIBED(
      "This rig was not described by questions; change it under Rig, or begin a new one with"
          + " questions"),
  THIS_RIG_WAS_CHANGED(
      "This rig was changed in the editor since; tick that you want it made anew from your"
          + " answers, or go on in the editor"),

  // LowsPage: low points of the lines, and the bores of all of them.
  LOW_POINTS("Low points"),
  THE_COLD_LINES_HAVE_A_DRAIN("The cold lines have a drain there"),
  THE_HOT_LINES_HAVE_ONE("The hot lines have one"),
  THE_LOWEST_SPOT_OF_EACH_RUN("The lowest spot of each run"),
  WATER_THAT_STANDS_THERE_FREEZES("Water that stands there freezes first."),
  HOW_WIDE_THE_LINES_ARE("How wide the lines are"),
  INSIDE_THE_USUAL_SIZE_IS_FILLED(
      "Inside; the usual size is filled in. They matter for flow, and for what stays in them."),
  LINES_TO_PUMP_AND_TAPS("Lines to pump and taps"),
  THE_FILLERS_HOSE("The filler's hose"),
  WASTE_LINES("Waste lines"),
  LINES_TO_TAPS("Lines to taps"),

  // PumpQuestions: the pump by its plate, and what follows it on the way to the taps.
  HOW_WATER_IS_HEATED("How water is heated"),
  WHERE_THE_HEATER_IS("Where the heater is"),
  THE_HEATER_ABOVE_THE_GROUND("The heater's bottom above the ground"),
  HOW_THE_HEATER_IS_DRAINED("How the heater is drained"),
  A_PLUG_AT_ITS_BOTTOM("a plug at its bottom"),
  A_VALVE_BELOW_IT("a valve below it"),
  VALVES_LEAD_THE_WATER_PAST_IT("Valves lead the water past the heater"),
  THREE_VALVES_BEHIND_IT_A_WINTER_BYPASS("Three valves behind it: a winter bypass."),
  THE_PUMP("The pump"),
  AS_ON_ITS_PLATE("As on its plate."),
  WHAT_MOVES_THE_WATER("What moves the water"),
  PUMP_WITH_A_PRESSURE_SWITCH("Pump with a pressure switch"),
  SUBMERSIBLE_PUMP("Submersible pump"),
  IMPELLER_PUMP("Impeller pump"),
  A_FOOT("a foot"),
  A_HAND("a hand"),
  THE_PUMP_ABOVE_THE_GROUND("The pump above the ground"),
  ITS_FLOW("Its flow"),
  ON_ITS_PLATE("On its plate."),
  THE_PRESSURE_AT_WHICH_IT_STOPS("The pressure at which it stops"),
  ON_ITS_PLATE_AS_CUT_OFF("On its plate, as cut-off or cut-out."),
  AFTER_THE_PUMP("After the pump"),
  IN_THIS_ORDER_AS_MOST_HAVE_IT("In this order, as most have it."),
  AN_ACCUMULATOR("An accumulator"),
  A_SMALL_ROUND_VESSEL_ALSO_CALLED(
      "A small round vessel, also called surge tank: the pump runs less often."),
  A_SEDIMENT_FILTER("A sediment filter"),
  A_CARBON_FILTER("A carbon filter"),
  A_PURIFIER("A purifier"),
  HOT_WATER("Hot water"),
  THERE_IS_NONE("there is none"),
  A_HEATER_THAT_STORES_IT("a heater that stores it"),
  A_HEATER_THAT_MAKES("a heater that makes it as it runs"),
  WHAT_THE_HEATER_HOLDS("What the heater holds"),
  ON_ITS_LABEL("On its label."),
  EACH_TAP_HAS_A_LINE("Each tap has a line of its own from a manifold"),
  IF_NOT_ONE_LINE_GOES_FROM_TAP("If not, one line goes from tap to tap, with tees."),
  ITS_PRESSURE("Its pressure"),
  THE_HEATER("The heater"),

  // SuctionPage: what the water passes between tank and pump, and what a three-way valve joins.
  THE_THREE_WAY_VALVE_ITS_HANDLE(
      "The three-way valve: its handle stands somewhere; say what it joins there"),
  TANK_TO_PUMP("Tank to pump"),
  FIRST_AFTER_THE_TANK("First after the tank"),
  THEN_BEFORE_THE_PUMP("Then, before the pump"),
  NOTHING_MORE("nothing more"),
  A_SHUT_OFF_VALVE("a shut-off valve"),
  A_THREE_WAY_VALVE("a three-way valve"),
  A_STRAINER("a strainer"),
  ON_THE_WAY_FROM_THE_TANK("On the way from the tank to the pump"),
  FOLLOW_THE_HOSE_WITH_A_FINGER("Follow the hose with a finger."),
  ITS_THIRD_PORT_LEADS_TO("Its third port leads to"),
  A_HOSE_THAT_DRAWS_FROM_OUTSIDE("a hose that draws from outside"),
  THE_OTHER_TANK("the other tank"),
  A_DRAIN_UNDER_THE_VEHICLE("a drain under the vehicle"),
  WHEN_ITS_HANDLE("When its handle {}"),
  IT_CANNOT_STAND_SO("it cannot stand so"),
  TANK_AND_PUMP_ARE_JOINED("tank and pump are joined"),
  THE_THIRD_PORT_AND_THE_PUMP("the third port and the pump are joined"),
  TANK_AND_THIRD_PORT_ARE_JOINED("tank and third port are joined"),
  ALL_THREE_ARE_JOINED("all three are joined"),
  IT_IS_CLOSED("it is closed"),
  WHAT_DOES_THE_THREE_WAY_VALVE("What does the three-way valve join?"),
  TURN_IT_WITH_THE_PUMP_OFF(
      "Turn it with the pump off and look where its handle points; the picture shows what you"
          + " say."),

  // TanksPage: the tanks: litres or sizes, where each stands, what it is emptied by.
  INSIDE_OR_UNDERNEATH("Inside or underneath"),
  NOT_SAID_YET("not said yet"),
  INSIDE_ON_THE_FLOOR_OR_A_BENCH("inside, on the floor or under a bench"),
  UNDERNEATH_BELOW_THE_FLOOR("underneath, below the floor"),
  ITS_BOTTOM_AND_THE_FLOOR_DISAGREE(
      "Its bottom is {} and the floor {} above the ground: check both, or change inside and"
          + " underneath."),
  WHICH_TANKS_DOES_IT_HAVE("Which tanks does it have?"),
  ANOTHER_TANK("Another tank"),
  A_CAN_THAT_IS_CARRIED("A can that is carried in and out counts as a tank."),
  A_FRESH_TANK("A fresh tank"),
  A_GRAY_TANK("A gray tank"),
  ITS_NAME("Its name"),
  CAPACITY_ON_THE_LABEL("Capacity on the label"),
  ENOUGH_TO_GO_ON_ITS_SIZES("Enough to go on; its sizes are guessed then."),
  ITS_DIMENSIONS_IF_YOU_HAVE("Its dimensions, if you have measured"),
  ALONG_THE_VEHICLE_X_ACROSS_X("Along the vehicle x across x high, as in {}."),
  MEASURED_INSIDE("Measured inside"),
  WHERE_IT_STANDS("Where it stands"),
  ITS_BOTTOM_ABOVE_THE_GROUND("Its bottom above the ground"),
  THE_VEHICLE_ON_LEVEL_GROUND("The vehicle on level ground."),
  HOW_IT_IS_EMPTIED("How it is emptied"),
  NOTHING_OF_ITS_OWN("nothing of its own"),
  A_CAP_AT_ITS_BOTTOM("a cap at its bottom"),
  A_VALVE_AT_ITS_BOTTOM("a valve at its bottom"),
  FRESH_WATER("Fresh water."),
  GRAY_WATER("Gray water."),
  REMOVE_THIS_TANK("Remove this tank"),
  THERE_IS_ROOM_FOR_TANKS_REMOVE("There is room for {} tanks; remove one first"),
  BOTTOM("{}, bottom"),
  SIZES("{}, sizes"),
  GIVE_THREE_SIZES_SUCH_AS_900_X(
      "{}: give three sizes, such as 900 x 400 x 290, or two and the litres of its label"),
  A_SIDE_OF_IS_NOT_POSSIBLE("{}: a side of {} is not possible"),
  LITRES("{}, litres"),

  // TapsPage: where water is used.
  WHAT_COMES_TO_IT("What comes to it"),
  COLD_WATER_ONLY("cold water only"),
  COLD_AND_HOT_WATER("cold and hot water"),
  A_SINK("A sink"),
  IN_THE_KITCHEN("In the kitchen."),
  A_BASIN("A basin"),
  TO_WASH_HANDS_AND_FACE("To wash hands and face."),
  A_SHOWER("A shower"),
  INSIDE_WITH_A_TRAY("Inside, with a tray."),
  A_TOILET_THAT_IS_FLUSHED("A toilet that is flushed"),
  A_TAP_FOR_DRINKING_ONLY("A tap for drinking only"),
  OUTSIDE_SHOWER_OR_TAP("Outside shower or tap"),
  A_TAP_OR_SHOWER_OUTSIDE("A tap or shower outside."),
  THERE_IS_ONE("There is one"),
  ITS_SPOUT_ABOVE_THE_GROUND("Its spout above the ground"),
  ITS_WASTE_RUNS("Its waste runs"),
  INTO_THE_GRAY_TANK("into the gray tank"),
  ONTO_THE_GROUND("onto the ground"),
  HEIGHT("{}, height"),

  // UnitChoice: the units in one choice: metric, US, imperial, or a mix of one's own, measure by
  // measure.
  LITRES_MILLIMETRES_BAR_C("litres, millimetres, bar, °C"),
  US_GALLONS_INCHES_PSI_F("US gallons, inches, psi, °F"),
  US_GAL_IN_PSI_LB_F("US gal,in,psi,lb,°F"),
  IMPERIAL_GALLONS_INCHES_PSI_C("imperial gallons, inches, psi, °C"),
  IMP_GAL_IN_PSI_LB_C("imp gal,in,psi,lb,°C"),
  A_MIX_OF_MY_OWN("a mix of my own"),
  UNITS_ON_ALL_PAGES("Units on all pages"),

  // ValvePicture: a three-way valve in one position of its handle, its ports named by where their
  // lines go.
  OTHER_TANK("other tank"),
  TANK_TO_PUMP_INSIDE("tank to pump"),
  TO_PUMP("{} to pump"),
  TANK_TO("tank to {}"),
  ALL_THREE("all three"),

  // VehiclePage: the vehicle, and who travels.
  ITS_FLOOR_ABOVE_THE_GROUND("Its floor above the ground"),
  LEAVE_IT_EMPTY_IF_NOT_MEASURED("Where you walk inside. Leave it empty if you have not measured."),
  THE_REAR_AXLE_MAY_CARRY("The rear axle may carry"),
  THE_FRONT_AXLE_MAY_CARRY("The front axle may carry"),
  AS_THE_PLATE_SAYS(
      "As the plate says; leave it empty if you do not know. On a trailer, its axle."),
  AS_THE_PLATE_SAYS_FRONT("As the plate says; leave it empty if you do not know."),
  ITS_FLOOR("Its floor"),
  THE_REAR_AXLE("The rear axle"),
  THE_FRONT_AXLE("The front axle"),
  THE_VEHICLE("The vehicle"),
  WHAT_YOU_CALL_IT("What you call it"),
  WHAT_IT_IS("What it is"),
  VAN_WITH_TWO_AXLES("van, with two axles"),
  BUS_OR_TRUCK_WITH_TWO_AXLES("bus or truck, with two axles"),
  TRAILER_WITH_A_COUPLING("trailer, with a coupling"),
  HOW_LONG_IT_IS("How long it is"),
  FROM_BUMPER_TO_BUMPER_ROUGHLY("From bumper to bumper, roughly; a trailer without its drawbar."),
  HOW_MANY_TRAVEL("How many travel"),
  UNITS_OF_YOUR_OWN("Units of your own"),
  ITS_LENGTH("Its length"),
  HOW_MANY_TRAVEL_IS_NOT_A_NUMBER("How many travel: “{}” is not a number from 0 to 20"),

  // VentsPage: the openings of each tank, shown on a sketch of its faces; where its vent ends.
  VENTS_AND_OPENINGS("Vents and openings"),
  ITS_VENT_ENDS_ABOVE_THE_GROUND("Its vent ends above the ground"),
  THE_THIN_LINE_FROM_ITS_TOP(
      "The thin line from its top, which lets air in and out. Water runs out there when the tank"
          + " is full."),
  THE_VENT_HOSE_LOOPS_HIGHER("The vent hose loops higher before it ends"),
  ITS_OPENINGS("Its openings are where they usually are; pick those that are elsewhere."),
  TANK_FILLER("tank filler"),
  FROM_MAINS_WATER("from mains water"),
  TO_THE_PUMP("to the pump"),
  FROM_ANOTHER_TANK("from another tank"),
  ITS_FACE("{}, its face"),
  ACROSS("{}, across"),
  MEASURED_FROM_TWO_EDGES("Measured from two edges, where you want ({})"),
  TO_THE_MIDDLE_OF_THE_HOLE(
      "{}, to the middle of the hole: from the rear edge and from the lower one; on top and"
          + " bottom from the right one instead, on rear and front across from the right."),
  AS_USUAL("as usual"),
  VENT("{}, vent"),

  // WastePage: how waste runs off: shared traps, the dump valve and its outlet.
  WHICH_SHARE_A_TRAP("Which share a trap?"),
  THE_BEND_OR_BOTTLE_UNDER("The bend or bottle under the sink that holds water against smell."),
  EMPTYING_THE_GRAY_TANK("Emptying the gray tank"),
  THERE_IS_NO_GRAY_TANK("There is no gray tank"),
  ITS_OUTLET_HAS_A_CAP_AND_TAKES("Its outlet has a cap and takes a dump hose."),
  EVERY_WASTE_RUNS_ONTO_THE_GROUND(
      "Every waste runs onto the ground; add a gray tank under Tanks if there is one."),
  A_VALVE_BEFORE_THE_OUTLET("A valve before the outlet");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
