package fernwort.app.build;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // ApartController: taking parts out and putting them back the same way.
  WOULD_RUN_OUT("{}: {} would run out"),
  KEEPS_BACK("keeps back {}"),
  A_TOWEL_FOR_DRIPS("a towel, for drips"),
  A_TOWEL("a towel"),
  A_BUCKET("a bucket"),
  MORE_THAN_A_BUCKET_EMPTY("△ more than a bucket: empty the tank first"),
  CHOOSE_WHAT_WAS("Choose what was out, then its joints are checked"),
  WATER_THROUGH_THE_HEATER("water through the heater"),

  // BuyController: what to buy, and how to cut it.
  A_STICK_IS("A stick is"),
  A_COIL_IS("A coil is"),
  EACH_CUT_TAKES("Each cut takes"),
  LENGTHS_ALONG_THE_RUN(
      "Lengths along the run with what goes into each fitting, 2 % long: cut, hold it in place,"
          + " shorten. Write the mark on both ends before it is cut off."),
  IN_IS_LEFT_OVER("{} in {}; {} is left over{}"),
  ONE_PIECE("one piece"),
  FEWER_ARE_NOT_ENOUGH(", fewer are not enough"),
  CUT_FROM_EACH("Cut from each"),
  EACH_STICK_WITH_ITS_CUTS("{}, each stick with its cuts"),
  M_H_V_H_Z("M%.1f %.1fh%.1fv%.1fh%.1fZ"),
  PRICE_EACH("price each"),
  LENGTH_M("length (m)"),

  // CommissionController: the first filling: looks, a pressure that holds, jugs against the model.
  TIME_A_JUG_AT_ONE_TAP("Time a jug at one tap at least; nothing was changed"),
  THE_RIG_IS_DESCRIBED("The rig is described with the fitted losses now; undo it under Rig."),
  FILLED_TO_EVERY_JOINT("{}: filled to {}, every joint and support looked at with a dry tissue"),
  SIPHONS_ON("{} siphons on"),
  FILLED_UNTIL_IT_RAN(
      "{}: filled until it ran over; the overflow stopped when the fill did, nothing"),
  ITS_GAUGE_CALIBRATED_UNDER_LOG("{}: its gauge calibrated, under Log, Gauges"),
  EVERY_LINE_AND_HANDLE_LABELLED("Every line and handle labelled, under Jobs, Labels"),
  PHOTOGRAPHS_OF_EVERY_PLACE("Photographs of every place, before panels go on, with the tags"),
  FLUSHED_AND_SANITIZED_UNDER_LOG("Flushed and sanitized, under Log, Maintenance"),
  FILL_IN_THIRDS_AND_CHECK("Fill in thirds and check"),
  STAND_BY_THE_TAP_WHILE_IT_FILLS(
      "Stand by the tap while it fills. A vehicle fills up by its axles, too: level, on wheels,"
          + " nobody under it."),
  PROGRESS_IS_SAVED("progress is saved"),
  PRESSURE_AT_FIRST_ALL_TAPS("Pressure at first, all taps closed, pump off"),
  AFTER_HALF_AN_HOUR("After half an hour"),
  TEMPERATURE_AT_FIRST("Temperature at first"),
  TEMPERATURE_THEN("Temperature then"),
  AIR_TRAPPED_WITH_IT("Air trapped with it"),
  THE_ACCUMULATOR_OR_A_LITTLE("The accumulator, or a little in the lines."),
  DOES_THE_PRESSURE_HOLD("Does the pressure hold"),
  TRAPPED_AIR_FOLLOWS(
      "Trapped air follows its temperature at one volume. A soft hose loses a little at first:"
          + " check again after ten minutes. Never above what the weakest part bears, and"
          + " never air instead of water."),
  BY_TEMPERATURE_ALONE("By temperature alone"),
  P_1_013_BAR_T_T_1("(p + 1.013 bar) · T₂/T₁ − 1.013 bar"),
  IT_HOLDS("It holds"),
  IT_DROPS_MORE_THAN_THAT("△ It drops more than that"),
  WITHIN_WHAT_A_GAUGE_SHOWS("within what a gauge shows"),
  ABOUT_WENT_A_JOINT_A_TAP("about {} went: a joint, a tap that drips, a leaking check valve"),
  EACH_TAP_AGAINST_THE_MODEL("Each tap against the model"),
  TIME_A_JUG_AT_EACH_TAP_COLD(
      "Time a jug at each tap, cold, full open, the others closed, as the taps run from the tank;"
          + " 0 leaves one out. The fit multiplies the losses of all fittings, which nobody"
          + " measures, until the flows come nearest."),
  NO_TAP_OF_THIS_RIG_RUNS("No tap of this rig runs by itself, so there is nothing to time"),
  LOSSES_OF_FITTINGS_FITTED("Losses of fittings, fitted"),
  PUMPS_FREE_FLOW_FITTED("Pumps' free flow, fitted"),
  FLOWS_ARE_OFF_BY("Flows are off by"),
  AS_DESCRIBED_A_JUG_TELLS_5("%.0f %% as described; a jug tells 5 %%"),
  FLOW_AT_EACH_TAP("Flow at each tap"),
  THE_MODEL("the model"),
  THREE_TAPS_OR_MORE_TELL("three taps or more tell it; until then it stays"),
  TO_WOULD_FIT_AS_WELL("%.2f to %.2f would fit as well"),
  NOT_TIMED_YET("not timed yet"),
  NOTHING_SHOULD_COME_HERE_LOOK("nothing should come here: look at the handles first"),
  SOMETHING_IS_NEARLY_CLOSED(
      "△ something is nearly closed: a kink, a cap left in, an aerator full of chips"),
  LESS_LOOK_AT_THE_STRAINER("less: look at the strainer, the filter, the voltage at the pump"),
  AS_EXPECTED("as expected"),
  MORE_THAN_DESCRIBED_PUMP_OR_TAP("more than described: pump or tap are larger"),

  // DrillController: where to drill: sheets to look at and templates at true size.
  SIZE_NOT_KNOWN_MEASURE("Its size is not known: measure the fitting in hand."),
  NOT_KNOWN_MEASURE("not known: measure"),
  NONE_ALL_HOLES_ARE_THERE("none: all holes are there"),
  WHAT_YOU_MEASURED("What you measured"),
  THE_USUAL_SIZES_ARE_FILLED(
      "The usual sizes are filled in until you type the hole for the fitting in your hand."),
  HOLE("{}, hole"),
  IS_IN_IT_ALREADY("{} is in it already"),
  A_WELD_OR_SEAM_RUNS_ROUND("A weld or seam runs round it, above its bottom, at"),
  FOR_0_FOR_NONE("0 for none."),
  USUAL(", usual"),
  YOURS(", yours"),
  IS_THERE("is there"),
  THROUGH_THE_WALL(", through the wall"),
  THROUGH_THE_FLOOR(", through the floor"),
  FORWARD_TO_THE("{} forward, {} to the {}"),
  NOTHING_DESCRIBED("nothing described"),
  IS_NOT_A_TANK_HOLES_ARE_DRILLED("{} is not a tank; holes are drilled in tanks"),
  THAT_SIDE_OF_HAS_NO_HOLES("That side of {} has no holes"),
  FROM_BEHIND(", from behind"),
  TANK_UPSIDE_DOWN(", tank upside down"),
  A_TANK_HAS_NO_SUCH_SIDE_PICK("A tank has no such side; pick one from the list"),
  THE_TEMPLATE_HAS_SHEETS_1_TO_ASK("The template has sheets 1 to {}; ask for one of them"),

  // EndsController: ends that fit: what meets where, what goes between, and what does not mate.
  NO_CHAIN_OF_ADAPTERS_IS_KNOWN("no chain of adapters is known"),
  IS_NARROWER_THAN_IT_COSTS_OF("{} is narrower than {}: it costs {} of {}"),
  A_FITTING_OF_THE_NEXT_SIZE("A fitting of the next size; or leave it where that is enough"),
  THE_PORT("The port"),
  THE_END_OF_THE_LINE("The end of the line"),
  HAS_NO_SUCH_PORT_PICK("{} has no such port; pick one from the list"),
  AS_USUAL_FOR_ITS_KIND("as usual for its kind"),
  MADE_OF("{}: made of"),
  SEALED_BY("{}: sealed by"),
  NOT_SAID("not said"),
  THE_ENDS_AT_ARE_SAVED_UNDO("The ends at {} are saved; undo it under Rig."),
  IS_NOT_A_CONNECTION("“{}” is not a connection from the list; pick one"),

  // HangController: what carries the tanks, and whether it holds.
  WORKING_LOADS_AS_THEIR_MAKER(
      "Working loads as their maker rates them, in what they hold in; the defaults are bolts"
          + " M8 in thin sheet with plates, an estimate."),
  WHAT_CARRIES_IT("What carries it"),
  IS_NOT_A_TANK_SUPPORTS_CARRY("{} is not a tank; supports carry tanks"),
  THE_SUPPORTS_OF_ARE_SAVED_UNDO("The supports of {} are saved; undo it under Rig."),
  A_RIGID_TANK_ON_EQUAL_SPRINGS_F(
      "A rigid tank on equal springs: F = W/n + W·(x_c − x̄)(x − x̄)/Σ(x − x̄)². Defaults: EN"
          + " 12195-1 for 0.8 g along and 0.5 g across, twice its weight on a bump is ours;"
          + " your country's code comes first. What holds up a tank under a vehicle is for"
          + " people licensed for its structure and registration. Never under a vehicle"
          + " that stands on a jack alone."),
  TANK_AND_WATER_FULL("Tank and water, full"),
  WATER_TO_THE_BRIM("Water to the brim and {} % for the tank, an estimate."),
  ITS_CENTRE_OF_MASS("Its centre of mass, from its inside rear"),
  OF_A_FULL_TANK_BY_ITS_SHAPE("Of a full tank, by its shape."),
  BUMP_LOAD("Bump load"),
  BRAKING_TIMES_ITS_WEIGHT("Braking, times its weight"),
  IN_A_BEND_TIMES_ITS_WEIGHT("In a bend, times its weight"),
  SUPPORT_REACHES_BELOW_THE_TANK("Support reaches below the tank by"),
  THE_VEHICLE_SINKS_WHEN_LOADED_BY("The vehicle sinks when loaded by"),
  MEASURE_IT_EMPTY_THEN_LOADED("Measure it: empty, then loaded."),
  FROM_THE_REAR("from the rear"),
  WIDTH_OF_THE_SUPPORT("width of the support"),
  EACH_IN_PULL_KN("each in pull, kN"),
  EACH_IN_SHEAR_KN("each in shear, kN"),
  WHAT_EACH_CARRIES("What each carries"),
  BUMP_OR_BRAKING("bump while braking"),
  WITH_ONE_SLACK("with one slack"),
  PULL_EACH_BOLT("pull, each bolt"),
  SHEAR_EACH_BOLT("shear, each bolt"),
  OF_ITS_LIMIT("of its limit"),
  ON_THE_TANKS_WALL("on the tank's wall"),
  TIMES_THE_LOAD("%.1f times the load"),
  FASTENERS_HOLD("Fasteners hold"),
  OF_THE_MOST_LOADED_PULL(
      "of the most loaded, pull and shear together, moving, with the worst slack"),
  FASTENERS_DO_NOT_HOLD("△ Fasteners do not hold"),
  AT_OF_THE_SAME_WOULD_DO("at {}: {} of the same would do, or stronger ones; {}"),
  THEY_STAND_EVENLY_ABOUT("they stand evenly about its centre already"),
  ALL_OF_THEM_FURTHER_WOULD_SHARE("all of them {} further {} would share it evenly"),
  IT_TIPS("△ It tips"),
  TIPS_SIDEWAYS("△ It tips to the side"),
  IN_A_BEND("in a bend"),
  A_STRAP_OVER_IT_OR_A_WALL(
      "it is taller than its width holds: strap it to a wall, or over its top"),
  ITS_CENTRE_LIES_BEYOND_THE_LAST(
      "its centre lies beyond the last support: one of them is lifted; move one past it"),
  ONE_SLACK_SUPPORT_LETS_IT_FALL("One slack support lets it fall"),
  OF_THEM("{} of them"),
  A_THIRD_OR_A_SHELF_UNDER("a third, or a shelf under it, holds it when a strap or bolt fails"),
  BRAKING_LIFTS_IT_AT("Braking lifts it at {}"),
  ITS_BOLTS_OR_A_STRAP("its bolts or a strap over the tank must hold it down"),
  IT_PRESSES_THE_TANKS_WALL("△ It presses the tank's wall"),
  ITS_WALL_IS_TAKEN_TO_BEAR("its wall is taken to bear {}: {}"),
  A_BOARD_OR_TRAY_WIDE_BETWEEN("a board or tray {} wide between spreads it"),
  CARRY_IT_ON_A_SHELF_OR_TRAY(
      "carry it on a shelf or tray under its whole floor, or by more straps"),
  TOO_LOW("△ Too low"),
  OVER_THE_LOWEST_PERMITTED_LINE("Over the lowest permitted line"),
  BELOW_THE_FRAME_A_GUARD("{} below the frame: a guard, and nothing soft"),
  ITS_LOWEST_POINT(
      "its lowest point is {} over the ground, loaded; a branch or a rut reaches what hangs"),
  HARDLY_ROOM_ABOVE_IT("△ Hardly room above it"),
  ROOM_ABOVE_IT("Room above it"),
  TO_THE_FLOOR_FOR_FITTINGS("to the floor, for fittings and the vent; a bend needs some 50 mm"),
  NO_BOLT("no bolt"),

  // LoadPicture: what each support of a tank carries, as arrows on a side view.
  ON_ITS_SUPPORTS_ON_A_BUMP("{} on its supports, on a bump"),
  REAR_AT_THE_LEFT("rear at the left");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
