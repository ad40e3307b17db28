package fernwort.app.rig;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // AddForm: the one form by which something is added where somebody tapped: at a line, a port, a
  // place.
  ADD_A_PART("Add a part"),
  IT_IS_JOINED_TO_NOTHING_YET("It is joined to nothing yet; then pick one of its free ends."),
  WATER_GOES_ON_TOWARDS("Water goes on towards"),
  FOR_A_BRANCH_EMPTY_IF_NOBODY("For a branch; empty if nobody measured."),
  WHAT_LETS_WATER_PASS_IS_PUT(
      "What lets water pass is put into the line; what ends one gets a tee and a branch."),
  INTO_THE_LINE("into the line"),
  ON_A_BRANCH("on a branch"),
  SOMETHING_NEW("something new"),
  A_LINE_TO("a line to"),
  WHAT_YOU_CONNECT_GETS_A_LINE("What you connect gets a line between."),
  OF_THE_LINE_EMPTY_IF_NOBODY("Of the line; empty if nobody measured."),
  ITS_NAME("Its name"),
  HEIGHT_OVER_THE_GROUND("Height over the ground"),
  EMPTY_AS_HIGH_AS_THE_PLACE("Empty: as high as the place, {}."),
  NOTHING_WAS_PICKED_PICK_A_LINE(
      "Nothing was picked; pick a line, a free end or a place, and add it there"),
  IS_NO_LONGER_A_FREE_END_PICK("“{}” is no longer a free end; pick another one"),
  IS_NOT_A_PORT_PICK("“{}” is not a port; pick one of the list"),

  // CompareController: two rigs, or two versions of one, side by side.
  FRESH_WATER_FULL("Fresh water, full"),
  GRAY_WATER_FULL("Gray water, full"),
  DAYS_FROM_FULL_FOR("Days from full, for {}"),
  FINDINGS_OF_THE_REVIEW("Findings of the review"),
  PARTS_GONE("Parts gone"),
  PARTS_NEW("Parts new"),
  PARTS_CHANGED("Parts changed"),
  LINES_GONE("Lines gone"),
  LINES_NEW("Lines new"),
  LINES_CHANGED("Lines changed"),
  FINDINGS_GONE("Findings gone"),
  FINDINGS_NEW("Findings new"),

  // DescribeController: describing a rig: shows it with one part or line to look at, and takes one
  // step at a time.
  HAS_NO_PLACE_FOR_THE_PIPE(
      "{} has no place for the pipe “{}” then. Keep it as typed to remove that pipe too."),
  THAT_FINDING_IS_GONE_OR_CANNOT(
      "That finding is gone, or cannot be fixed with a click; look again"),

  // Describing: puts the describing screen together, and reads its forms for lines and parts.
  INSIDE_BOTTOM_OVER_THE_GROUND("Inside bottom over the ground"),
  TAPE_FROM_LEVEL_GROUND("Tape from level ground."),
  WATER_ITS_BODY_HOLDS("Water its body holds"),
  WINTER_HAS_TO_GET_IT_OUT_EMPTY(
      "Winter has to get it out. Empty: what is usual for its kind, {}."),
  WINTER_HAS_TO_GET_IT_OUT("Winter has to get it out."),
  WHERE_IT_IS_ON_THE_PLAN("Where it is on the plan"),
  REAR_EDGE_AHEAD_OF_THE_REAR_AXLE("Rear edge ahead of the rear axle"),
  AHEAD_OF_THE_REAR_AXLE("Ahead of the rear axle"),
  BEHIND_IT_IS_NEGATIVE("Behind it is negative."),
  RIGHT_EDGE_LEFT_OF_THE_MIDDLE("Right edge left of the middle"),
  LEFT_OF_THE_MIDDLE("Left of the middle"),
  TO_THE_RIGHT_IS_NEGATIVE("To the right is negative."),

  // HandleForm: the handle of a valve: how it looks in each position, what it joins there, its
  // motor.
  HANDLE_WHEN_IT("Handle when it {}"),
  AS_IT_LOOKS("As it looks to you, such as “across the pipe”."),
  THE_LEVER_POINTS("The lever points"),
  ONE_MORE_POSITION_WHICH("One more position, which"),
  ITS_HANDLE("Its handle"),
  A_POSITION_LEFT_EMPTY_IS_REMOVED("A position left empty is removed."),
  ITS_FREE_END_POINTS("Its free end points"),
  CLOSED_BY_A("Closed by a"),
  HAS_A_MOTOR("Has a motor"),
  STAYS_AS_IT_IS("stays as it is"),
  WITHOUT_POWER_THE_MOTOR("Without power the motor"),
  TAKES_THAT_POSITION_BY_ITSELF("Takes that position by itself near 5 °C, as a frost valve"),
  IT_LETS_HEATER_AND_TANK_RUN("It lets heater and tank run out in the cold or without power."),
  BALL_AS_MOST_ARE("ball, as most are"),
  CLOSES_ALL("closes all"),
  AND(", and "),
  BETWEEN_AT("between, at {}°"),
  NONE_MORE("none more"),
  JOINS_ALL("joins all"),
  WHERE_THE_HANDLE_POINTS("Where the handle points"),
  ONE_MORE_POSITION_CANNOT("One more position: “{}” cannot be chosen; pick one of the list"),
  WHERE_THE_NEW_POSITIONS_HANDLE("Where the new position's handle points"),

  // KindForm: what a form asks for each kind of part, and the kind that its answers make.
  OUTSIDE_RINSE("outside rinse"),

  // LineForm: a line as people see it: bore, length, what it is made of, what stands in it, how it
  // runs.
  A_ROW_FOR_EACH_LOW_OR_HIGH_SPOT(
      "A row for each low or high spot: how far along the line, how high over the ground."),
  FITTINGS_IN_IT("Fittings in it"),
  HOW_THICK_IT_IS_ROUND_THE_PIPE("How thick it is round the pipe; empty for none."),
  WHAT_YOU_WRITE("What you write on it before you take it off."),
  INSIDE_PRINTED_ON_THE_PIPE("Inside; printed on the pipe."),
  ALONG_THE_RUN("Along the run."),
  COUNT_THE_FITTINGS(
      "Count the fittings; what is entered now loses as much as {} elbows. Leave all empty to"
          + " keep that."),
  ALONG_IT("Along it"),
  RISES_AND_SAGS("Rises and sags ({})"),
  ALONG_IT_INSIDE("along it"),
  OVER_THE_GROUND("over the ground"),
  HOW_MANY("How many {}"),
  RISES_AND_SAGS_ALONG_THE_LINE("Rises and sags, along the line"),
  RISES_AND_SAGS_HEIGHT("Rises and sags, height"),

  // NewRigController: starting a rig from a ready layout.
  THERE_IS_NO_LAYOUT_PICK("There is no layout “{}”; pick one of the pictures"),
  STARTED_FROM("Started from “{}”"),

  // PlaceForm: a place of a rig: its name, how one gets at it, where it is on the plan, how high.
  HOW_YOU_GET_AT_IT("How you get at it"),
  AS_IN_KNEEL_AT_THE_REAR_DOOR("As in “kneel at the rear door”."),
  WHERE_IT_IS("Where it is"),
  HOW_MUCH_OF_THE_INSIDES_WARMTH("How much of the inside's warmth it keeps"),
  FOR_0_UNDER_THE_OPEN_FLOOR_100(
      "0 under the open floor, 100 in the heated room; empty if nobody knows."),
  WARM_AIR_OR_A_PAD_PUTS_IN("Warm air or a pad puts in"),
  EMPTY_FOR_NONE("Empty for none."),
  HOW_MUCH_WARMTH_IT_KEEPS("How much warmth it keeps"),
  HOW_MUCH_WARMTH_IT_KEEPS_LIES("How much warmth it keeps lies between 0 and 100 %"),
  WARM_AIR_OR_A_PAD("Warm air or a pad"),
  WARM_AIR_OR_A_PAD_GIVES_BETWEEN("Warm air or a pad gives between 0 and 10000 W"),

  // PortRows: the openings of a tank as rows: name, use, where from two edges and the bottom,
  // bore.
  INSIDE_TO_THE_MIDDLE_OF_THE_HOLE(
      "Inside, to the middle of the hole. A bore starts as that of its line; leave it out for"
          + " a mere point. A float is a fill whose valve closes when the water comes up to it."),
  FROM_THE_REAR("from the rear"),
  FROM_THE_RIGHT("from the right"),
  FROM_THE_BOTTOM("from the bottom"),
  FLOAT_PASSES_AT_1_BAR("float passes at 1 bar"),
  IN_FULLY_OPEN("in {}, fully open"),
  OPENINGS("Openings ({})"),
  A_NEW_OPENING("a new opening"),
  ITS_NAME_OF("{}, its name"),
  ITS_USE("{}, its use"),
  FROM_THE_REAR_OF("{}, from the rear"),
  FROM_THE_RIGHT_OF("{}, from the right"),
  FROM_THE_BOTTOM_OF("{}, from the bottom"),
  ITS_BORE("{}, its bore"),
  ITS_FLOAT_PASSES("{}, its float passes"),
  WITHOUT_A_NAME("without a name"),
  IS_CUT_WHERE_ANOTHER_IS("{} is at the very spot of “{}”: measure where its own hole goes"),
  IS_NOT_A_USE_CHOOSE_FILL_FEED(
      "{}: “{}” is not a use; choose fill, feed, vent, drain, gauge, link or float"),

  // TankForm: a tank as people measure it: outside shape, wall, each port from two edges and the
  // bottom.
  CYLINDER_STANDING("cylinder, standing"),
  CYLINDER_LYING_ALONG_THE_VEHICLE("cylinder, lying along the vehicle"),
  CYLINDER_LYING_ACROSS("cylinder, lying across"),
  ANY_SIDE_VIEW_STRAIGHT_THROUGH("any side view, straight through"),
  BOXES_JOINED_OVER_AN_ARCH("boxes joined over an arch"),
  MEASURED_BY_FILLING("measured by filling"),
  OUTSIDE_SIZES("Outside sizes ({})"),
  BOX_LENGTH_X_WIDTH_X_HEIGHT(
      "Box: length x width x height. Cylinder: diameter x length. Any side view: width, then a"
          + " line for each corner: forward, up. Boxes: a line each: x, y, z, length,"
          + " width, height. By filling: length, then a line each: depth, litres."),
  IT_HOLDS_TO_THE_BRIM("It holds, to the brim"),
  FOLLOWS_FROM_ITS_SIZES_TYPE(
      "Follows from its sizes. Type what its label says, such as 45 L, and its sizes follow."),
  WALL_THICKNESS("Wall thickness"),
  CALLIPERS_AT_A_PORT_DEFAULT_5_MM("Callipers at a port; default 5 mm."),
  OPENINGS_COME_ALONG("Openings come along when its sizes change"),
  EACH_KEEPS_ITS_DISTANCE("Each keeps its distance to the nearer wall."),
  MEASURED_UPSIDE_DOWN("Measured upside down"),
  THEN_RIGHT_BECOMES_LEFT(
      "Then right becomes left and bottom becomes top; Fernwort mirrors the ports."),
  LEVEL_IS_READ_BY("Level is read by"),
  STEPS_OR_LAMPS_IT_SHOWS("Steps or lamps it shows"),
  A_SENDER_SHOWS_THE_STEP_NEAREST(
      "A sender shows the step nearest to the level; a lamp lights once the water is up to it."),
  LAMPS_LIGHT_AT("Lamps light at ({})"),
  HEIGHTS_OVER_THE_INSIDE_FLOOR(
      "Heights over the inside floor, the lowest first, with semicolons between them. Left empty,"
          + " they stand evenly."),
  THE_HEIGHT_OF_A_LAMP("The height of a lamp"),
  HOW_ITS_LEVEL_IS_READ("How its level is read"),
  WHAT_IT_HOLDS("What it holds"),
  ITS_SIZES_MAKE(
      "Its sizes make {}, not {}; are they measured outside? If you keep them, the sizes are used"),
  OUTSIDE_SIZES_ARE_EMPTY_TYPE("Outside sizes are empty; type length x width x height"),
  DEPTH_TABLE("Depth table"),
  OUTSIDE_SIZES_FIRST("Outside sizes"),
  OUTSIDE_SIZE("Outside size"),
  HAS_TOO_FEW_NUMBERS_SEE_THE_NOTE("“{}” has too few numbers; see the note below the field"),

  // TankPicture: a tank seen from the left, to scale, with its ports and its figures.
  TO_THE_BRIM("{} to the brim"),
  STRANDED_BELOW_THE_OUTLET("{} stranded below the outlet"),
  UNREACHABLE_ABOVE_THE_VENT("{} unreachable above the vent"),
  M_H_V_H_Z("M%.1f %.1fh%.1fv%.1fh%.1fZ"),

  // Values: what a form holds, read in one person's units.
  OF_IS_UNUSUAL_DID_YOU_MEAN("{} of {} is unusual; did you mean {}?"),
  CANNOT_BE_CHOSEN_PICK("{}: “{}” cannot be chosen; pick one of the list"),

  // VehicleForm: the vehicle as a form, and back.
  LIMIT_0_NOT_KNOWN("limit; 0 is not known"),
  AXLES_REAR_FIRST("Axles, rear first"),
  REAR_END("Rear end"),
  AHEAD_OF_THE_REAR_AXLE_BEHIND("Ahead of the rear axle; behind it is negative."),
  FRONT_END("Front end"),
  DRAWBAR_INCLUDED("Drawbar included."),
  FLOOR_OVER_THE_GROUND("Floor over the ground"),
  ROOF_OVER_THE_GROUND("Roof over the ground"),
  LOWEST_THAT_A_PART_MAY_HANG("Lowest that a part may hang"),
  YOUR_RULE_OR_YOUR_RAMPS_MEASURED("Your rule, or your ramp's; measured laden."),
  COUPLING_AHEAD_OF_THE_REAR_AXLE("Coupling ahead of the rear axle"),
  FOR_A_TRAILER_EMPTY_FOR_NONE("For a trailer; empty for none."),
  LEAST_IT_SHOULD_CARRY("Least it should carry"),
  MOST_IT_MAY_CARRY("Most it may carry"),
  ITS_PLATE("Its plate."),
  IT_CARRIES_WITH_EMPTY_TANKS("It carries with empty tanks"),
  A_BATHROOM_SCALE_UNDER("A bathroom scale under the jockey wheel; empty if nobody weighed it."),
  ONE_MORE("one more"),
  ITS_NAME_OF_2("{}its name"),
  AHEAD_OF_THE_REAR_AXLE_OF("{}ahead of the rear axle"),
  ITS_LIMIT("{}its limit"),
  WITH_EMPTY_TANKS("{}with empty tanks"),
  AHEAD_OF_THE_REAR_AXLE_IN_LIMIT(
      "Ahead of the rear axle in {}; limit on its plate and load with empty tanks in {}. One left"
          + " without a name is removed."),
  AHEAD_OF_THE_REAR("ahead of the rear"),
  WITH_EMPTY_TANKS_INSIDE("with empty tanks"),
  WHAT_IT_IS("What it is"),
  AN_AXLE_HAS_NO_NAME("An axle has no name; give it one, such as rear"),
  PLACE_OF_AXLE("Place of axle {}"),
  LIMIT_OF_AXLE("Limit of axle {}"),
  EMPTY_LOAD_OF_AXLE("Empty load of axle {}"),
  LEAST_ON_THE_COUPLING("Least on the coupling"),
  MOST_ON_THE_COUPLING("Most on the coupling"),
  EMPTY_LOAD_OF_THE_COUPLING("Empty load of the coupling");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
