package fernwort.core.rig;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // BuiltRules: what makes a description of joints and supports a sound one.
  JOINT("joint {}.{}"),
  THERE_IS_NO_SUCH_PORT("there is no such port"),
  NAME_A_PART_OF_THE_RIG("Name a part of the rig and one of its ports"),
  IT_IS_DESCRIBED_TWICE("it is described twice"),
  LEAVE_ONE_OF_THE_TWO_OUT("Leave one of the two out"),
  IS_NOT_A_SIZE_OF_A_THREAD("“{}” is not a size of a thread"),
  GIVE_ONE_SUCH_AS_1_2("Give one such as 1/2 or M22x1.5"),
  ITS_SIZE_IS_NOT_ABOVE_0("its size is not above 0 and up to half a metre"),
  GIVE_ITS_DIAMETER_IN_METRES("Give its diameter in metres"),
  A_SUPPORT_OF("a support of {}"),
  THERE_IS_NO_SUCH_TANK("there is no such tank"),
  NAME_A_TANK_OF_THE_RIG("Name a tank of the rig"),
  ITS_IS_NOT_FROM_TO("its {} is not from {} to {}"),
  CHECK_THE_NUMBER_AND_ITS_UNIT("Check the number and its unit"),

  // Line: a hose or pipe between two ports.
  PVC_HOSE("PVC hose"),
  SILICONE_HOSE("silicone hose"),
  RIGID_PVC("rigid PVC"),

  // Part: one thing in the water system.
  HAS_NOTHING_THAT_CAN_BE_SET("{} has nothing that can be set"),

  // Rig: a whole rig.
  HAS_NOTHING_TO_TURN_OR_SWITCH("{} has nothing to turn or switch; pick a part that has a handle"),
  HAS_NO_POSITION_IT_CAN_BE("{} has no position \"{}\"; it can be {}"),

  // RigBuilder: describes a rig step by step, in the units people measure with: metres for places,
  // millimetres for bores, litres for volumes.
  THE_RIG("the rig"),
  IT_HAS_NO_VEHICLE("it has no vehicle"),
  DESCRIBE_ONE("Describe one"),

  // RigFaults: every fault that is found in a description, and the questions that most of them
  // come from.
  THE_ID_IS_NOT_USABLE("the id \"{}\" is not usable"),
  USE_A_Z_0_9_AND_HYPHENS("Use a-z, 0-9 and hyphens, up to 64"),
  ITS_LABEL_OR_WORDS_ARE_EMPTY("its label or words are empty or longer than 60 letters"),
  NAME_IT_IN_FEW_WORDS("Name it in few words"),
  ITS_OF_IS_NOT_POSSIBLE("its {} of {} is not possible"),
  GIVE_A_NUMBER_FROM_TO("Give a number from {} to {}"),

  // RigLimits: what is asked of a description when it is taken in or changed, beyond being a sound
  // rig: bounds on how much there is of anything, and slips that no computation survives.
  POINTS_OF_LINES("points of lines"),
  ITS_NOTE_IS_LONGER_THAN_LETTERS("its note is longer than {} letters"),
  SHORTEN_IT("Shorten it"),
  WAY_TO_REACH_IT("way to reach it"),
  AN_AXLE("an axle"),
  ITS_HAS_A_SIGN_THAT_CANNOT("its {} has a sign that cannot be printed"),
  TYPE_IT_ANEW("Type it anew"),
  THE_VEHICLE("the vehicle"),
  IT_STANDS_WHERE_AXLE_STANDS("it stands where axle {} stands"),
  MEASURE_BOTH_FROM_THE_REAR_AXLE("Measure both from the rear axle, or leave one out"),
  WORDS_OF_A_POSITION("words of a position"),
  ITS_SECTION_IS_FLAT("its section is flat"),
  LIST_ITS_CORNERS_IN_ORDER_ONCE("List its corners in order, once round"),
  IT_HAS("it has {} {}"),
  KEEP_TO("Keep to {}"),

  // RigRules: what makes a description a sound rig.
  ITS_NAME_IS_EMPTY_OR_LONGER("its name is empty or longer than 60 letters"),
  GIVE_IT_A_SHORT_NAME("Give it a short name"),
  IT_HAS_PARTS("it has {} parts"),
  ITS_NOSE_IS_NOT_AHEAD("its nose is not ahead of its rear"),
  MAKE_NOSE_LARGER_THAN_REAR_X("Make nose larger than rear; x is forward"),
  ITS_ROOF_IS_NOT_ABOVE_ITS_FLOOR("its roof is not above its floor"),
  MAKE_ROOF_LARGER_THAN_FLOOR("Make roof larger than floor"),
  IT_HAS_NO_AXLE("it has no axle"),
  ADD_AT_LEAST_ONE_AXLE("Add at least one axle"),
  EMPTY_LOAD("empty load"),
  THE_HITCH("the hitch"),
  THE_ID_IS_USED_TWICE("the id is used twice"),
  GIVE_ONE_OF_THEM_ANOTHER_ID("Give one of them another id"),
  SHARE_OF_WARMTH("share of warmth"),
  IT_HAS_PLACES("it has {} places"),
  IT_HAS_NO_PLACE("it has no place"),
  ADD_A_PLACE_FOR_ITS_PARTS("Add a place for its parts to be in"),
  THERE_IS_NO_PLACE("there is no place \"{}\""),
  ADD_THE_PLACE_OR_NAME_ANOTHER("Add the place or name another"),
  IT_MOVES_WHICH_IS_NO_PART("it moves \"{}\", which is no part"),
  NAME_A_PART_OF_THE_RIG_FIRST("Name a part of the rig"),
  IT_MOVES_TO_WHICH_IT_HAS_NOT("it moves {} to \"{}\", which it has not"),
  USE_ONE_OF("Use one of {}"),
  A_VALVE_NEEDS_TWO_POSITIONS("a valve needs two positions or more"),
  DESCRIBE_EACH_STOP_OF_ITS_HANDLE("Describe each stop of its handle"),
  POSITION("{}, position {}"),
  THE_POSITION_IS_LISTED_TWICE("the position is listed twice"),
  IT_JOINS_FEWER_THAN_TWO_PORTS("it joins fewer than two ports"),
  NAME_TWO_PORTS_OR_LEAVE("Name two ports, or leave the group out"),
  THE_VALVE_HAS_NO_PORT("the valve has no port \"{}\""),
  IT_JOINS_PORT_TWICE("it joins port \"{}\" twice"),
  NAME_EACH_PORT_ONCE("Name each port once"),
  TRAVEL_TIME("travel time"),
  TEMPERATURE_IT_OPENS_AT("temperature it opens at"),
  WITHOUT_POWER_IT_WOULD_TAKE(
      "without power it would take a position \"{}\" that it does not have"),
  NAME_ONE_OF_ITS_OWN_POSITIONS("Name one of its own positions"),
  PORT_IS_ALREADY_JOINED_TO_LINE("port {} is already joined to line {}"),
  PUT_A_TEE_BETWEEN_THEM_OR_USE("Put a tee between them, or use another port"),
  MINOR_LOSS("minor loss"),
  PROFILE_HEIGHT("profile height"),
  ITS_PROFILE_LEAVES_THE_LINE("its profile leaves the line"),
  KEEP_ALONG_BETWEEN_0("Keep along between 0 and its length"),
  THERE_IS_NO_PART("there is no part \"{}\""),
  ADD_THE_PART_OR_JOIN_ANOTHER("Add the part or join another"),
  PART_HAS_NO_PORT("part {} has no port \"{}\""),

  // Setting: the position of every handle, switch, cap and hose of a rig.
  HAS_NOTHING_THAT_CAN_BE_SET_OF("\"{}\" has nothing that can be set"),

  // TankRules: what makes a tank a sound one: its shape, and openings that lie in it.
  HIGHEST_PRESSURE("highest pressure"),
  LOWEST_PRESSURE("lowest pressure"),
  GAUGE_STEPS("gauge steps"),
  GAUGE_X("gauge x"),
  GAUGE_Y("gauge y"),
  ITS_SENDER_SHOWS_FEWER("its sender shows fewer than two steps"),
  GIVE_THE_NUMBER_OF_STEPS("Give the number of steps it shows"),
  PORT("{}, port {}"),
  THE_PORT_IS_NAMED_TWICE("the port is named twice or not at all"),
  GIVE_EACH_PORT_ITS_OWN_ID("Give each port its own id"),
  FLOATS_FLOW_AT_1_BAR("float's flow at 1 bar"),
  IT_LIES_OUTSIDE_ITS_TANK("it lies outside its tank"),
  MEASURE_IT_AGAIN_FROM_THE_INSIDE("Measure it again from the inside rear right corner"),
  IT_HAS_HEIGHTS_FOR_LAMPS("it has heights for {} lamps and shows {}"),
  GIVE_ONE_HEIGHT_FOR_EACH_LAMP("Give one height for each lamp, or none"),
  HEIGHT_OF_A_LAMP("height of a lamp"),
  ITS_LAMPS_DO_NOT_LIGHT("its lamps do not light from the lowest up"),
  SORT_THEIR_HEIGHTS("Sort their heights"),
  ITS_WALLS_LEAVE_NO_ROOM_IN_ITS("its walls leave no room in its {}"),
  CHECK_WALL_AND("Check wall and {}"),
  ITS_SECTION_HAS_FEWER_THAN_THREE("its section has fewer than three corners"),
  LIST_THE_CORNERS_IN_ORDER("List the corners in order"),
  THE_SIDES_OF_ITS_SECTION_CROSS("the sides of its section cross"),
  LIST_THE_CORNERS_IN_ORDER_ONCE("List the corners in order, once round"),
  IT_HAS_NO_BLOCKS("it has no blocks"),
  GIVE_EACH_LOBE_AND_THE_BRIDGE("Give each lobe and the bridge as a block"),
  BLOCK_X("block x"),
  BLOCK_Y("block y"),
  BLOCK_Z("block z"),
  ITS_DEPTH_TABLE_HAS_FEWER("its depth table has fewer than two rows"),
  ADD_THE_DEPTH_AND_LITRES("Add the depth and litres when full"),
  ITS_DEPTH_TABLE_DOES_NOT_RISE("its depth table does not rise from row to row"),
  SORT_IT_FROM_EMPTY_TO_FULL("Sort it from empty to full");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
