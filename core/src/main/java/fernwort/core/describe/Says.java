package fernwort.core.describe;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Alteration: one step of describing a rig, which can be undone: it is made on a rig, and says
  // what it does.
  CHANGED_REMOVED("Changed {}, removed {}"),
  RENAMED_TO("Renamed to {}"),
  CHANGED_THE_VEHICLE("Changed the vehicle"),
  CHANGED_PLACE("Changed place "),
  ADDED_PLACE("Added place "),
  DESCRIBED_THE_JOINT_AT("Described the joint at {}"),
  CHANGED_WHAT_CARRIES("Changed what carries {}"),
  FITTED_LOSSES_AND_PUMPS_TO_TIMED("Fitted losses and pumps to timed jugs"),
  PUT_INTO("Put {} into {}"),
  TEED_OFF("Teed {} off {}"),
  CONNECTED_TO("Connected {} to {}"),
  CHANGED_LINE("Changed line {}"),

  // CalledByLabel: faults of a description in the words of who draws it: a file calls parts, lines
  // and places by their ids, a person by what stands beside them.
  THE_NEW("the new {}"),
  WHEN_IT("when it {}"),
  ITS_NEW_POSITION("its new position"),

  // Fittings: ordinary fittings with plausible plate figures, in the units that stand on plates.
  ACROSS_THE_PIPE("across the pipe"),
  ALONG_THE_PIPE("along the pipe"),
  MARK_ACROSS_THE_PIPE("mark across the pipe"),
  MARK_ALONG_THE_PIPE("mark along the pipe"),

  // NewParts: ready parts that can be added, each as an ordinary one of its kind.
  A_HANDLE_THAT_OPENS_AND_CLOSES(
      "A handle that opens and closes one line, with the short pipe through it."),
  THREE_WAY_VALVE("Three-way valve"),
  ONE_HANDLE_THREE_ENDS("One handle, three ends: what it joins in each position is asked next."),
  MOTOR_VALVE("Motor valve"),
  A_VALVE_THAT_A_MOTOR_TURNS("A valve that a motor turns, with its switch."),
  CHECK_VALVE("Check valve"),
  A_SHORT_FITTING_WITH_AN_ARROW("A short fitting with an arrow: water goes one way."),
  RELIEF_VALVE("Relief valve"),
  A_SPRING_THAT_LETS_WATER(
      "A spring that lets water out above its pressure, with its tube on the outlet."),
  THREE_ENDS_JOINED_NO_HANDLE("Three ends joined, no handle."),
  A_BAR_WITH_ONE_END("A bar with one end in and several out."),
  FRESH_TANK("Fresh tank"),
  A_TANK_FOR_DRINKING_WATER(
      "A tank for drinking water with its openings; what is screwed into them is a part of its"
          + " own."),
  GRAY_TANK("Gray tank"),
  A_TANK_FOR_WASTE_WATER(
      "A tank for waste water with its openings; its valve and outlet are parts of their own."),
  THE_PUMP_WITH_ITS_HEAD("The pump with its head and its pressure switch."),
  FOOT_PUMP("Foot pump"),
  A_PUMP_THAT_A_FOOT_WORKS("A pump that a foot works."),
  CIRCULATION_PUMP("Circulation pump"),
  A_SMALL_PUMP_THAT_CIRCULATES_HOT("A small pump that circulates hot water."),
  A_PUMP_THAT_CUTS_UP_AND_PUSHES("A pump that cuts up and pushes out waste."),
  A_SCREEN_BEFORE_A_PUMP("A screen before a pump, with its bowl."),
  SEDIMENT_FILTER("Sediment filter"),
  HOUSING_AND_CARTRIDGE_AGAINST("Housing and cartridge against grit."),
  CARBON_FILTER("Carbon filter"),
  HOUSING_AND_CARTRIDGE_AGAINST_TASTE("Housing and cartridge against taste and chlorine."),
  HOUSING_AND_CARTRIDGE_THAT_MAKE("Housing and cartridge that make unsafe water fit to drink."),
  A_FITTING_THAT_LIMITS("A fitting that limits the pressure after it."),
  A_SMALL_VESSEL_WITH_AIR(
      "A small vessel with air on one side, also called surge tank: the pump runs less often."),
  THE_HEATER_WITH_ITS_STORE(
      "The heater with its store and its relief valve; its bypass is a part of its own."),
  HOSE_INLET("Hose inlet"),
  WHERE_A_HOSE_IS_SCREWED("Where a hose is screwed on, with its cap."),
  TANK_FILLER("Tank filler"),
  A_FILLER_WITH_ITS_CAP("A filler with its cap, into which water is poured."),
  A_TAP_WITH_COLD_WATER_ONLY("A tap with cold water only."),
  MIXER_TAP("Mixer tap"),
  A_TAP_WITH_COLD_AND_HOT_WATER("A tap with cold and hot water."),
  A_SHOWER_WITH_ITS_MIXER("A shower with its mixer."),
  A_TOILET_THAT_IS_FLUSHED(
      "A toilet that is flushed, with its valve; its bowl keeps what it takes."),
  OUTSIDE_SHOWER("Outside shower"),
  A_TAP_OR_SHOWER_OUTSIDE_ALSO("A tap or shower outside, also called hose point."),
  DRAIN_TRAP("Drain trap"),
  THE_BEND_OR_BOTTLE_THAT_HOLDS("The bend or bottle that holds water against smell."),
  LEAK_TRAY("Leak tray"),
  A_TRAY_UNDER_A_TANK_OR_PUMP(
      "A tray under a tank or pump, with a contact that tells when water is in it."),
  VENT_END("Vent end"),
  THE_OPEN_END_OF_A_VENT("The open end of a vent."),
  OVERFLOW_TAIL("Overflow tail"),
  THE_OPEN_END_BY_WHICH_A_FULL("The open end by which a full tank runs over."),
  DRAIN_TAIL("Drain tail"),
  AN_OPEN_END_UNDER_THE_VEHICLE("An open end under the vehicle."),
  DUMP_OUTLET("Dump outlet"),
  AN_OUTLET_WITH_ITS_CAP("An outlet with its cap, for the dump hose."),
  AIR_VALVE("Air valve"),
  A_SMALL_VALVE_THAT_LETS_AIR("A small valve that lets air in and no water out."),
  DRAIN_CAP("Drain cap"),
  A_CAP_THAT_A_HAND_TAKES_OFF("A cap that a hand takes off, to drain."),
  A_PLUG_THAT_NEEDS_A_TOOL("A plug that needs a tool."),
  A_JUG_CAN_OR_BLADDER("A jug, can or bladder that is carried to the rig."),
  CANNOT_BE_ADDED_PICK("“{}” cannot be added; pick one of the list"),
  POINTS_UP("points up"),
  POINTS_RIGHT("points right"),
  POINTS_LEFT("points left"),

  // PortNames: ports by what they lead to, as one finds them on the rig: nobody knows which end of
  // a valve is "b".
  FREE("{}, free"),
  FREE_END("free end {}"),
  AND_MORE("{} and {} more"),

  // RigEdit: one rig under change.
  IS_NEEDED_BY_REMOVE_ITS_LINES("{} is needed by {}; remove its lines first"),
  IS_IN_MOVE_IT_TO_ANOTHER_PLACE("{} is in {}; move it to another place first"),
  HAS_NO_PORT_IT_HAS("{} has no port \"{}\"; it has {}"),

  // TankResize: a tank of other sizes: what becomes of its openings, and how large it is for so
  // many litres.
  A_TANK_OF_THIS_SHAPE("A tank of this shape does not hold {}; give its sizes");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
