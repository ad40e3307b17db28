package fernwort.app.workbench;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // LinePage: lines on the bench: pieces in a row, a timed jug against the model, and vents.
  A_ROW_FOR_EACH_SIZE_ON_THE_WAY("A row for each size on the way; how many of each stand in it."),
  PIECES_IN_THE_ORDER_OF_THE_WATER("Pieces, in the order of the water"),
  PRESSURE_AVAILABLE("Pressure available"),
  FLOW_THROUGH_A_LINE_OF_GIVEN("Flow through a line of given pieces"),
  WHAT_ELBOWS_AND_TEES_TAKE(
      "What elbows and tees take is rounded from handbooks; small moulded ones take up to half as"
          + " much again."),
  WHERE_ALL_PIECES_TOGETHER_TAKE("where all pieces together take {}"),
  PIECE_BY_PIECE("Piece by piece"),
  ONE_SIZE_UP_GIVES("one size up gives"),
  LONG("{}, {} long"),
  THE_BOTTLENECK(", the bottleneck"),
  TIMED_AT("Timed at"),
  THE_JUG_HOLDS("The jug holds"),
  SECONDS_EACH_GO("Seconds, each go"),
  ONLY_THIS_TAP_OPEN("Only this tap open."),
  A_TIMED_JUG_AGAINST_THE_MODEL("A timed jug against the model"),
  HANDLES_AS_THEY_ARE_ON_THE_BOARD(
      "Handles are as on Today, this tap alone opened cold, supply pumps on. The model"
          + " does not know kinks, scale or a weak battery: that is what the difference is for."),
  TIME_A_JUG_AT_A_TAP("Time a jug at a tap and enter its seconds"),
  GOES_SPREAD("{} goes, spread {}"),
  THE_MODEL_EXPECTS("The model expects"),
  NO_PRESSURE_SET_THE_HANDLES("no pressure: set the handles for this tap"),
  WITH_THESE_HANDLES_NOTHING("with these handles nothing should come: look at Today first"),
  SOMETHING_IS_NEARLY_CLOSED(
      "something is nearly closed: a kink, a clogged strainer or aerator, a handle half way, a"
          + " filter due"),
  LOOK_AT_THE_FILTER_THE_AERATOR(
      "look at the filter, the aerator and the voltage at the pump, then at the fittings"),
  AS_NEAR_AS_MEASURED_FIGURES_COME("as near as measured figures come"),
  THE_PUMP_GIVES(
      "the pump gives more than its plate here says, or the tap is larger: correct them"),
  FILLED_AT("Filled at"),
  THE_STRONGEST_TAP("The strongest tap."),
  LENGTH_OF_THE_VENT("Length of the vent"),
  IT_RISES_OVER_THE_TANKS_TOP_BY("It rises over the tank's top by"),
  ITS_CREST("Its crest."),
  THE_TANK_BEARS("The tank bears"),
  DEFAULT_0_1_BAR_FOR_A_FLAT(
      "Default 0.1 bar for a flat-sided plastic tank: an estimate; ask its maker."),
  HOW_WIDE_A_VENT("How wide a vent"),
  HOLDS("holds"),
  NONE_OF_THESE("None of these"),
  IS_THE_NARROWEST_THAT_HOLDS("is the narrowest that holds"),
  IN_THE_TANK_ONCE_WATER_LEAVES("{} in the tank once water leaves by it."),
  LOWER_THE_VENT("Lead the vent out lower, or fill more slowly."),
  AIR_WHILE_IT_FILLS_WATER_ONCE(
      "Air while it fills, water once it is full and somebody is late to the tap: then the tank"
          + " bears the rise and what the water loses on its way. Three elbows are counted."),
  PRESSURE_IN_THE_TANK("Pressure in the tank"),
  AIR_LEAVING("air leaving"),
  WATER_LEAVING("water leaving"),
  ONLY_WITH_AIR("△ only with air"),
  TOO_NARROW("△ too narrow"),
  NEXT_TO_NONE("next to none"),

  // SlopePage: slopes, drains and drives: where the water goes when the ground is not level.
  DOWNHILL_IS_NEGATIVE("Downhill is negative."),
  MY_OWN_STRETCH_BY_STRETCH("My own, stretch by stretch"),
  GENTLY_LEFT("gently left"),
  GENTLY_RIGHT("gently right"),
  BRISKLY_LEFT("briskly left"),
  BRISKLY_RIGHT("briskly right"),
  PULLING_AWAY("pulling away"),
  BRAKING_HARD("braking hard"),
  CLIMBS("climbs (%)"),
  LEFT_SIDE_UP("left side up (°)"),
  NOSE_UP("Nose up"),
  NEGATIVE_FOR_NOSE_DOWN("Negative for nose down."),
  LEFT_SIDE_UP_FIRST("Left side up"),
  A_LEVEL_APP_OR_A_MARBLE("A level app, or a marble."),
  PARKED_ON_A_SLOPE("Parked on a slope"),
  THE_WAY_TO_PARK_THAT_LEAVES(
      "The way to park that leaves least below the drain was looked for up to 3° each way."),
  NOBODY_PARKS_AT_MORE_THAN_30("Nobody parks at more than 30°; check the degrees"),
  EACH_TANK_THERE("Each tank there"),
  GAUGE_WOULD_READ("gauge would read"),
  LEFT_AFTER_DRAINING("left after draining"),
  PARK_TO_EMPTY("park to empty"),
  INSTEAD_OF("{} instead of {}"),
  NO_DRAIN("no drain"),
  NOSE_LEFT_LEAVES("nose {}°, left {}°: leaves {}"),
  INSIDE_DIAMETER_OF_THE_DRAIN("Inside diameter of the drain line"),
  ITS_LENGTH("Its length"),
  ITS_END_BELOW_THE_PORT("Its end below the port"),
  HOW_LONG_DRAINING_TAKES("How long draining takes"),
  BY_GRAVITY_VENTED_TWO_ELBOWS(
      "By gravity, vented, two elbows and a valve counted. Drain only where it is permitted; gray"
          + " water goes into a dump point."),
  THE_RIG_HAS_NO_TANK_TO_DRAIN("The rig has no tank to drain"),
  RUNS_FOR("Runs for"),
  FROM_AS_READ_THROUGH("from {} as read, through {}"),
  ITS_DRAIN("its drain"),
  ITS_OUTLET("its outlet"),
  AT_FIRST("At first"),
  SLOWER_AS_THE_LEVEL_FALLS("slower as the level falls"),
  BELOW_THE_PORT_ON_THE_SLOPE("below the port, on the slope as it stands"),
  DOES_AN_OVERFLOW_SIPHON("Does an overflow siphon"),
  EACH_TANK_BRIM_FULL(
      "Each tank brim-full but for a glass, handles as they are, pumps off and taps closed, left"
          + " for six hours; as it stands, or after a hose has run it over for two minutes."
          + " A wide hose lets air up beside the water, and may run on."),
  LOSES_NOTHING("loses nothing"),
  IT_SIPHONS_ADMIT_AIR("△ it siphons: admit air at the crest, or close its travel valve"),
  IT_SIPHONS_AND("△ it siphons; {}. Admit air at the crest, or close its travel valve"),
  IN_THE_FIRST("{} in the first {}"),
  IT_RUNS_OVER_IN_GULPS_AND_WAS("it runs over in gulps, and was not watched to its end"),
  NOTHING_RUNS_OUT("nothing runs out"),
  IT_RUNS_OVER_AND_STOPS_BY_ITSELF("it runs over, and stops by itself"),
  MY_OWN("my own"),
  THE_DRIVE("The drive"),
  WHAT_A_DRIVE_LOSES("What a drive loses"),
  FROM_FULL_TANKS_THE_RANGE(
      "From full tanks. The range: it tips a fifth less or a quarter more than given, and tails"
          + " siphon late or early. Slosh is not modelled and adds to it."),
  LEAVES_AT("leaves at"),
  THE_SAME_BY_TANK("The same by tank"),
  LOST_FROM("lost from"),
  AT_ANY_END_IN_ANY_VARIANT("at any end, in any variant"),
  NO_VALVE("no valve"),
  AS_IT_STANDS("as it stands"),
  TRAVEL_VALVES_CLOSED("travel valves closed"),
  RAISED_WITH_AIR("raised, with air"),
  GIVE_AT_LEAST_ONE_STRETCH_HOW("Give at least one stretch: how long, and how steep"),
  MY_OWN_FIRST("My own");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
