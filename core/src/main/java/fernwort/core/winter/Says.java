package fernwort.core.winter;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // BlowingOut: lines blown out, one open outlet at a time, the farthest first.
  NO_PLACE_TO_LET_AIR_IN_FIT(
      "No place to let air in: fit a hose inlet, or a cap on a tee behind the pump, and blow from"
          + " there."),
  AIR_LET_IN_AT_REACHES_NO_TAP(
      "Air let in at {} reaches no tap; fit a cap or inlet behind the pump."),
  SO_THAT_NO_AIR_GOES_OUT_HERE("So that no air goes out here."),
  REGULATOR_AT_NO_MORE("{}: {}; regulator at {}, no more"),
  NEVER_OVER_2_BAR_NOR(
      "Never over 2 bar, nor over what the weakest line takes or a part's plate says. Eye"
          + " protection on. Air goes through lines, never into a closed tank or heater,"
          + " and the pressure comes off before the hose."),
  AIR_OFF_PRESSURE_LET_OFF_THEN("{}: air off, pressure let off, then {}"),
  WHAT_IS_UNDER_PRESSURE_FLIES_OFF(
      "What is under pressure flies off as it comes loose: open a tap until it hisses no more."),
  COMPRESSOR_OR_ANTIFREEZE_THERE("{} compressor, or antifreeze there."),
  AIR_IS_TOO_SLOW_FOR_LOW_SPOTS(
      "Air is too slow for low spots on the way to {}: they keep water. Use a stronger"),
  BLOW_SHORT_BURSTS_WITH("Blow {} short bursts with {} still open"),
  LOW_SPOTS_EMPTY_BY_THE_DRAINS("Low spots empty by the drains first; the taps come one by one."),
  SO_THAT_THE_AIR_GOES_THIS_WAY("So that the air goes this way."),
  THE_ONLY_ONE_THAT_IS_OPEN("The only one that is open."),
  BLOW_BURSTS_TO_UNTIL_ONLY_MIST("Blow {} bursts to {}, until only mist comes"),
  BLOW_BURSTS_TO_LOW_SPOTS_KEEP("Blow {} bursts to {}; low spots on the way keep some water"),
  LEAVE_IT_OPEN_ALL_WINTER("Leave it open all winter, so that no water is held in."),
  OF_AIR_AT_THE_OUTLET("{} of air, {} at the outlet"),
  THEN_THE_NEXT("Then the next."),
  LEAVE_IT_OPEN_AND_LET_GRAVITY("{} leave it open and let gravity drain it."),
  AIR_FROM_THERE_DOES_NOT_REACH(
      "Air from there does not reach {}: blow into it with a rag round the nozzle, or"),

  // DrainingPoints: everything opened that lets air in or water out, on the slope that leaves
  // least.
  PARK_IT("Park it {}."),
  THEN_LEAN_IT("Then lean it {}."),
  CHOCK_THE_WHEELS_NEVER_GO_UNDER("{}Chock the wheels. Never go under a vehicle on a jack."),
  THAT_DRAINS_MORE("That drains {} more. "),
  LESS_STAYS_BEHIND("Less stays behind. "),
  ON_FOR_SECONDS_THEN_OFF("{}: on for {} seconds, then off"),
  IT_THROWS_OUT_WHAT_ITS_HEAD("It throws out what its head holds; longer wears it."),
  ONLY_WHERE_LOCAL_RULES_PERMIT("Only where local rules permit. The hose falls all the way."),
  SO_NOTHING_RUNS_OUT_WHILE("So nothing runs out while the cap is off."),
  IT_HAS_NO_OTHER_DRAIN_FITTING(
      "It has no other drain; fitting one beside it would save this step. Rag under it."),
  SO_THAT_THIS_SIDE_RUNS("So that this side runs out, too; wait until it drips no more."),

  // FillingUp: antifreeze drawn or pushed in, outlet by outlet, until each runs coloured.
  TIPPED_OUT_AND_BACK_ON("Tipped out and back on."),
  NO_PLACE_TO_LET_ANTIFREEZE(
      "No place to let antifreeze in: fit a valve with a hose before the pump, or a cap on a tee"
          + " behind it."),
  SO_THAT_NONE_RUNS_OUT_HERE("So that none runs out here."),
  PREMIXED_GLYCOL_FOR_DRINKING(
      "Premixed glycol for drinking-water systems only, never motor coolant, never into the tank."),
  IT_DRAWS_FROM_THE_JUG_OFF("It draws from the jug; off before the jug is empty."),
  ALL_LINES_ARE_FILLED("All lines are filled."),
  SO_IT_IS_NOT_FORGOTTEN("So it is not forgotten until spring."),
  ANTIFREEZE_FROM("Antifreeze from there does not reach {}: it keeps what gravity leaves."),
  SO_THAT_IT_GOES_THIS_WAY("So that it goes this way."),
  A_BUCKET_UNDER_IT("A bucket under it."),
  RUN_IT_UNTIL_IT_COMES_COLOURED("{}, {}: run it until it comes coloured, about {}"),
  THEN_IT_IS_NINE_TENTHS_AS_STRONG("Then it is nine tenths as strong as in the jug."),
  DOES_NOT_COME_COLOURED_WITHIN(
      "{} does not come coloured within {}: a big body on the way dilutes it. Drain that first,"
          + " or fit a way round it."),
  LET_IT_RUN_UNTIL_IT_COMES("{}: let it run until it comes coloured, about {}"),
  SO_THAT_NOTHING_IN_THE_PIPE("So that nothing in the pipe to it stays diluted."),
  THEN_CLOSE_IT("Then close it."),
  NO_ANTIFREEZE_COMES_INTO_LINE("No antifreeze comes into line {}: it keeps what gravity leaves."),

  // FrostRisks: the water that is still in a rig, most dangerous first, each with how to get it
  // out.
  FULL_BETWEEN_CLOSED_ENDS_ICE("full between closed ends: ice has no room"),
  OPEN_SOMETHING_AT_BOTH("Open something at both of its ends, so that air follows; or blow it out"),
  HELD_FULL_UP_TO_A_CLOSED_END("held full up to a closed end: no air gets in behind it"),
  OPEN_ITS_CLOSED_END_OR_ADD("Open its closed end; or add a drain there, or blow it out"),
  FILLED_FROM_A_TANK("filled from a tank that still holds water"),
  EMPTY_THE_TANK_FIRST("Empty the tank first"),
  WITH_AIR_BESIDE_IT("{} with air beside it; {}"),
  A_POCKET_IN_A_LOW_SPOT("a pocket in a low spot"),
  SOME_WATER_IN_IT("some water in it"),
  THIS_LINE_STRETCHES("this line stretches"),
  A_RIGID_LINE_MAY_SPLIT_THERE("a rigid line may split there"),
  LIFT_THE_LOW_SPOT_PARK("Lift the low spot, park the other way, or blow it out"),
  BLOW_IT_OUT_OR_PARK("Blow it out, or park so that it falls to an open end"),
  MORE_THAN_HALF_FULL_ICE_CLOSES("more than half full: ice closes over the top and then pushes"),
  LESS_THAN_HALF_FULL_SO_ICE("less than half full, so ice has room to expand"),
  DUMP_IT_WHERE_LOCAL_RULES_PERMIT("Dump it where local rules permit"),
  LET_IT_OUT_OR_AT_LEAST_DOWN("Let it out, or at least down to half"),
  LEAVE_ITS_OUTLETS_OPEN("Leave its outlets open"),
  LEAVE_IT_OPEN_ICE_THERE_HAS_AIR("Leave it open: ice there has air to grow into"),

  // Leaning: how a vehicle is leaned, in words people use: so high under which wheels or at the
  // coupling.
  LEFT_WHEELS_UP_BY("left wheels up by {}"),
  RIGHT_WHEELS_UP_BY("right wheels up by {}"),
  NOSE_UP_COUPLING_UP_BY("nose up, coupling up by {}"),
  NOSE_DOWN_COUPLING_DOWN_BY("nose down, coupling down by {}"),
  NOSE_UP_FRONT_WHEELS_UP_BY("nose up, front wheels up by {}"),
  NOSE_DOWN_REAR_WHEELS_UP_BY("nose down, rear wheels up by {}"),

  // OnlyWhatPays: leaves out of a winter sheet what breaks nothing when it is left out.
  NOT_NEEDED_HERE_BECAUSE("Not needed here, because what stays breaks nothing: {}."),

  // Shutdown: what every school begins with: everything off, the heater cold, the tanks empty.
  GO_ON_WITH_WHAT_FOLLOWS(" Go on with what follows meanwhile."),
  LET_IT_COOL_UNTIL_A_HOT_TAP("{}: let it cool until a hot tap runs cold"),
  HOT_WATER_SCALDS_AN_HOUR(
      "Hot water scalds. An hour or more. Meanwhile empty the tanks and open what is cold; no hot"
          + " tap, hot drain or heater drain before it is cold."),
  DRAW_BY_THE_TAPS_UNTIL_THE_PUMP("Draw {} by the taps until the pump sucks air: {}"),
  GRAVITY_DOES_NOT_DRAIN_IT_CATCH(
      "Gravity does not drain it. Catch it in cans, or dump the gray tank in between."),
  THE_TANKS_DO_NOT_ALL_RUN(
      "The tanks do not all run out by themselves: {}. Draw the rest by a tap, or pump it out."),

  // Spring: a rig woken: what the autumn's record says is off or open is closed, flushed,
  // sanitized.
  UNTIL_THEN_NOBODY_DRINKS_IT("Until then, nobody drinks it."),
  LOOK_FOR_LEAKS("Look for leaks"),
  AS_IT_WAS("As it was."),
  AS_IT_WAS_BEFORE_THE_WINTER("As it was before the winter."),
  FROM_HALF_WAY("From half way."),
  LOOK_AT_ITS_SEAL_A_NEW("Look at its seal; a new one costs little."),
  OPEN_SINCE_THE_AUTUMN("Open since the autumn."),
  LEAVE_THE_CARTRIDGE_OUT_BOWL_ON("{}: leave the cartridge out, bowl on"),
  CHLORINE_AND_ANTIFREEZE_SPOIL("Chlorine and antifreeze spoil it; it comes back last."),
  FILL_A_THIRD_WITH_DRINKING_WATER("Fill {} a third, with drinking water"),
  BY_THE_WAY_YOU_ALWAYS_FILL(
      "By the way you always fill it. Look under it and at its fittings meanwhile."),
  THE_TAPS_RUN_FROM_NO_TANK("The taps run from no tank by themselves: flush them as you use them."),
  UNTIL_IT_RUNS_CLEAR_A_CUP("Until it runs clear, a cup or two."),
  NO_PUMP_OR_INLET_LEADS("No pump or inlet leads to a tap: flush each by hand, from its tank."),
  SLOWLY_IT_SPITS_AIR_AT_FIRST("Slowly: it spits air at first."),
  UNTIL_NO_MORE_AIR_COMES("{}: until no more air comes"),
  UNTIL_IT_RUNS_CLEAR("{}: until it runs clear and no longer foams, about {}"),
  FIRST_WATER_AFTER_GO("{}: first water after {}, {} go into the lines"),
  THEN_CLOSE_IT_AND_THE_NEXT("Then close it, and the next."),
  FLUSHING_TAKES_IN_ALL_THE_GRAY(
      "Flushing takes {} in all; the gray tank needs room for it, or empty it in between where"
          + " local rules permit."),
  CLOSED_LOOK_AT_EVERY_JOINT("{} closed: look at every joint with a dry tissue"),
  PRESSURE_ON_EVERYTHING("Pressure on, everything"),
  A_QUARTER_OF_AN_HOUR_THE_PUMP(
      "A quarter of an hour; the pump must not start by itself meanwhile."),
  A_QUARTER_OF_AN_HOUR("A quarter of an hour; there is no pressure here, so leaks drip slowly.{}"),
  LOOK_BEHIND_THE_PUMP_AGAIN_WHILE(" Look behind the pump again while somebody works it."),
  OF_PLAIN_BLEACH_OF_6_G_100(
      "{}: {} of plain bleach of 6 g/100 mL with a jug of water, then fill it up"),
  FOR_50_MG_L_THE_PRODUCTS_LABEL(
      "50 mg/L: the product's label and local rules first. Never with acids or other cleaners."),
  RUN_EACH_TAP_UNTIL_IT_SMELLS("Run each tap{} until it smells of it; then wait 4 hours"),
  COLD_AND_HOT(", cold and hot,"),
  CARTRIDGES_STAY_OUT("Cartridges stay out. "),
  THE_HEATER_STAYS_OFF("The heater stays off. "),
  DRAIN_AND_FILL_IT_RUNNING_EVERY("{}: drain and fill it {}, running every tap each time"),
  THEN_NO_MORE_THAN_0_5_MG("Then no more than 0.5 mg/L is left of it."),
  CARTRIDGE_BACK_IN("{}: cartridge back in"),
  RINSE_IT_AS_ITS_MAKER_SAYS("Rinse it as its maker says."),
  FULL_BEFORE_IT_IS_LIT_A_HOT("{}: full before it is lit; a hot tap runs without air"),
  GAS_AND_MAINS_ELECTRICITY("Gas and mains electricity are for licensed hands."),

  // TrapDosing: a cup of antifreeze for every trap, toilet and macerator, undiluted.
  POUR_A_CUP_OF_ANTIFREEZE("pour a cup of antifreeze through and run it for two seconds"),
  POUR_A_CUP_OF_ANTIFREEZE_INTO_THE_DRAIN("pour a cup of antifreeze into the drain above it"),
  A_CUP_OF_ANTIFREEZE("a cup of antifreeze into the bowl and over its seal"),
  DRINKING_WATER_GLYCOL_ONLY_NEVER("Drinking-water glycol only, never motor coolant."),

  // WinterizingMethods: finds for a rig how each school takes it through the winter, by doing it
  // step by step.
  THE_HOSE_AND_HEAD_OF("the hose and head of {}"),
  CARRY_INDOORS("Carry indoors: {}"),
  CARTRIDGES_AND_SHOWER_HOSES("Cartridges and shower hoses split with what they hold."),
  KEEPS_WHAT_IS_IN_IT_TAKE(
      "{} keeps what is in it: take it off and tip it out, or run a cup of antifreeze through it."),
  OPENS_BY_ITSELF_IN_THE_COLD(
      "{} opens by itself in the cold or without power, and lets heater and tank run out: count"
          + " on it, and do not fill before it is warm."),
  KEEPS("{} keeps {}: {}. {}.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
