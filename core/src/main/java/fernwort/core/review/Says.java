package fernwort.core.review;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // AirCheck: vents: none at all, too low, sagging, or a tail that can siphon.
  HAS_NO_WAY_FOR_AIR("{} has no way for air"),
  FILLING_PRESSES_ITS_AIR_TOGETHER("Filling presses its air together, drawing sucks its walls in."),
  A_BURST_OR_CAVED_TANK_AND_TAPS("A burst or caved tank, and taps that die while there is water."),
  ADD_A_VENT_FROM_ITS_TOP("Add a vent from its top to the open."),
  ITS_VENT_LEAVES_BELOW_ITS_TOP("{}: its vent leaves {} below its top"),
  AIR_ABOVE_THE_VENT_CANNOT_GET("Air above the vent cannot get out, so water never gets there."),
  OF_ITS_ROOM_IS_NEVER_FILLED("{} of its room is never filled."),
  LEAD_THE_VENT_FROM_THE_VERY_TOP("Lead the vent from the very top."),
  SAGS_BY("{} sags by {}{}"),
  AND_SERVES_TWO_TANKS(" and serves two tanks"),
  WATER_THAT_GETS_INTO_IT_STAYS("Water that gets into it stays in the low spot and locks the air."),
  IT_HOLDS_BACK_EARLY_OVERFLOW("It holds back {}: early overflow, and “full” that is not full."),
  LET_IT_RISE_ALL_THE_WAY("Let it rise all the way, or give each tank a vent of its own."),
  LET_IT_RISE_ALL_THE_WAY_STOP("Let it rise all the way."),
  CAN_SIPHON_OUT_THROUGH("{} can siphon out through {}"),
  ITS_TAIL_HANGS_LOWER(
      "Its tail hangs lower than the tank's port: once full of water it goes on drawing."),
  UP_TO_FROM_A_FULL_TANK(
      "Up to {} from a full tank on a slope of {}° while air comes in elsewhere. Where none does:"
          + " {}."),
  LEAD_IT_OVER_A_CREST(
      "Lead it over a crest with an air valve, which stays safe when a handle is forgotten; or"
          + " fit a hand valve and remember it."),
  AIR_VALVE("{} air valve"),

  // DeadEndCheck: hoses from a valve that lead to nothing: a position of the handle that does
  // nothing.
  ITS_LINE_LEADS_NOWHERE("{}: its line “{}” leads nowhere"),
  NOTHING_THAT_GIVES_OR_TAKES("Nothing that gives or takes water is at its far end."),
  A_POSITION_THAT_DOES_NOTHING(
      "A position that does nothing, and water that stands in it and goes stale."),
  JOIN_ITS_FAR_END("Join its far end to what it was meant for, or take it off and plug the port."),

  // DrainCheck: lines that no drain reaches: what stays in them freezes.
  THESE_PIPES_HAVE_NO_LOW_POINT("These pipes have no low-point drain"),
  THEY_LIE_LOWER_THAN_ANY_DRAIN(
      "They lie lower than any drain on their way, or no air gets in behind the water: {}."),
  STAYS_IN_THE_LINES("{} stays in the lines and can freeze."),
  PUT_A_DRAIN_CAP_AT_THE_LOWEST(
      "Put a drain cap at the lowest point of “{}”, and one beside {} that lets air in."),
  PUT_A_DRAIN_CAP_AT_THE_LOWEST_POINT("Put a drain cap at the lowest point of “{}”."),
  DRAIN_OF("Drain of {}"),
  AIR_FOR("Air for {}"),

  // HeaterCheck: heaters without relief, without a way round them, or with a drain where none can
  // be.
  HAS_NO_PRESSURE_RELIEF_VALVE("{} has no pressure relief valve"),
  HEATED_WATER_GROWS_TRAPPED(
      "Heated water grows; trapped, it bursts the heater or the weakest joint."),
  SCALDING_AND_THE_HEATER("Scalding, and the heater."),
  HAVE_A_RELIEF_VALVE_FITTED(
      "Have a relief valve fitted that its maker and your local code call for; then say so in its"
          + " form."),
  CANNOT_BE_BYPASSED("{} cannot be bypassed"),
  ANTIFREEZE_OR_A_FLUSH(
      "Antifreeze or a flush has to fill the whole heater on its way to the hot taps."),
  OF_ANTIFREEZE_EACH_WINTER("{} of antifreeze each winter, and as much to flush out."),
  FIT_A_BYPASS_WITH_A_VALVE("Fit a bypass: a valve on each side of it, and one past it."),
  BYPASS_OF("{} bypass"),
  VALVE_INTO("{} in"),
  VALVE_OUT_OF("{} out"),
  ITS_DRAIN_IS_ENTERED_ABOVE("{}: its drain is entered above its top"),
  ITS_DRAIN_IS_ENTERED_ABOVE_ITS_BOTTOM(
      "Its drain is entered {} above its bottom; a heater of {} is about {} high."),
  WINTER_PLANS_THEN_COUNT("Winter plans then count the heater as staying full."),
  MEASURE_FROM_THE_BOTTOM(
      "Measure from the bottom of the heater to its drain plug, and correct it in its form."),
  BYPASS_TEE("Bypass tee"),

  // LobeCheck: tanks of lobes that meet only higher up: a lobe without an opening keeps its water,
  // and two that each have one run out one by one unless a line joins them.
  ITS_LOBE_HAS_NO_OUTLET("{}: its {} lobe has no outlet"),
  WATER_GETS_OUT_OF_THAT_LOBE_ONLY(
      "Water gets out of that lobe only over the bridge; below it, it stays."),
  OF_THE_TANK_IS_NEVER_DRAWN_NOR(
      "{}, {} of the tank, is never drawn nor drained, grows stale, and freezes there."),
  FIT_AN_OUTLET_AT_THE_BOTTOM(
      "Fit an outlet at the bottom of the {} lobe, and lead it by a tee to the other."),
  NOTHING_JOINS_ITS_LOBES_BELOW("{}: nothing joins its lobes below the bridge"),
  THE_OUTLET_LETS_OUT_THE_LOBE(
      "The outlet \"{}\" lets out the {} lobe alone, and \"{}\" the {} one; Fernwort treats both"
          + " as one level."),
  THE_TAPS_RUN_DRY_WHILE(
      "The taps run dry while the other lobe still holds water, and a drain empties one alone."),
  JOIN_THE_TWO_OUTLETS_BY_A_TEE("Join the two outlets by a tee or a line of full bore, low down."),

  // OutletCheck: outlets at the very bottom, where sediment lies, or so high that they strand
  // much.
  ITS_OUTLET_LIES_ABOVE_THE_FLOOR("{}: its outlet lies {} above the floor"),
  IT_DRAWS_IN_WHATEVER_HAS_SETTLED(
      "It draws in whatever has settled, and blocks strainer and filters."),
  FILTERS_CLOG_EARLY_GRIT_REACHES("Filters clog early; grit reaches pump and taps."),
  RAISE_IT_TO_ABOUT_OR_STRAIN("Raise it to about {}, or strain it and clean the tank often."),
  WATER_BELOW_THE_OUTLET("Water below the outlet is carried but never drawn."),
  OF_THE_TANK_IS_STRANDED_ON_LEVEL("{}, {} of the tank, is stranded on level ground."),
  LOWER_IT_TO_ABOUT_ABOVE("Lower it to about {} above the floor."),

  // PlaceCheck: parts too low, inlets in the dirt, handles and switches behind a panel.
  HANGS_LOWER_THAN_ALLOWED("{} hangs {} lower than allowed"),
  A_BRANCH_A_KERB_OR_A_RAMP("A branch, a kerb or a ramp meets it first."),
  THE_PART_AND_THE_WATER_BEHIND_IT("The part, and the water behind it."),
  HANG_IT_AT_OR_HIGHER("Hang it at {} or higher."),
  SITS_WHERE_ROAD_DIRT_LANDS("{} sits where road dirt lands"),
  SPRAY_FROM_THE_WHEEL_DRIES(
      "Spray from the wheel dries on it and is washed into the tank at the next fill."),
  DRINKING_WATER("Drinking water."),
  MOVE_IT_TO_ABOUT("Move it to about {}, or give it a cover that closes."),
  HAS_NO_SWITCH_IN_REACH(" has no switch in reach"),
  IS_ONLY_REACHED_BY_REMOVING(" is only reached by removing a panel"),
  TO_GET_AT_IT_SOMEBODY_HAS_TO("To get at it somebody has to “{}”."),
  A_PUMP_OR_HEATER_THAT_RUNS_DRY("A pump or heater that runs dry goes on running."),
  MINUTES_EACH_TIME_AND_A_HANDLE(
      "Minutes each time, and a handle that is not turned because of it."),
  MOVE_IT_OR_CUT_A_HATCH("Move it, or cut a hatch; this goes once its reach note names no tool."),

  // PortCheck: ports that are neither used nor plugged.
  PORTS_ARE_OPEN("{}: ports {} are open"),
  PORT_IS_OPEN("{}: port {} is open"),
  AN_END_IS_OPEN("an end is open"),
  ENDS_ARE_OPEN("ends are open"),
  NOTHING_IS_JOINED("Nothing is joined to it and nothing closes it."),
  NOTHING_IS_JOINED_TO_THEM("Nothing is joined to them and nothing closes them."),
  ALL_THE_WATER_ABOVE_IT_THE_FIRST("All the water above it, the first time the tank is filled."),
  WHATEVER_REACHES_IT_RUNS_OUT("Whatever reaches it runs out."),
  PLUG_IT_OR_JOIN_A_LINE("Plug it, or join a line to it."),
  PLUG_THEM_OR_JOIN_LINES_TO_THEM("Plug them, or join lines to them."),

  // SupplyCheck: backflow into the mains, fresh water that gray can reach, pumps without a
  // strainer, one leak.
  HAS_NO_BACKFLOW_PROTECTION("{} has no backflow protection"),
  WHEN_MAINS_PRESSURE_DROPS_TANK(
      "When mains pressure drops, tank water is drawn into the public pipe."),
  OTHER_PEOPLES_DRINKING_WATER("Other people's drinking water."),
  FIT_A_CHECK_VALVE_BEHIND("Fit a check valve behind it; your local code may ask for more."),
  CHECK_VALVE(" check valve"),
  GIVES_AND_NO_REGULATOR_IS_BEHIND("{} gives {}, and no regulator is behind it"),
  FITTINGS_FILTERS_AND_HEATERS(
      "Fittings, filters and heaters are often made for less, and a tap gives more at night than"
          + " by day."),
  FIRST_OR_THE_JOINT_NEXT("{} first, or the joint next to it, while nobody is there."),
  FIT_A_REGULATOR_RIGHT_BEHIND(
      "Fit a regulator right behind it, set below what the weakest part is made for: its plate or"
          + " leaflet says."),
  HAS_NO_STRAINER_BEFORE_IT("{} has no strainer before it"),
  A_DRILLING_CHIP_OR_A_GRAIN(
      "A drilling chip or a grain of sand in its valves and it no longer holds pressure."),
  A_PUMP_AND_AN_AFTERNOON("A pump, and an afternoon."),
  FIT_A_STRAINER_ON_ITS_SUCTION(
      "Fit a strainer on its suction side, where it can be opened and rinsed."),
  CAN_REACH("{} can reach {}"),
  WITH_SOME_SETTING_OF_THE_HANDLES(
      "With some setting of the handles gray water gets where people drink."),
  SOMEBODYS_HEALTH("Somebody's health."),
  SEPARATE_THE_TWO_FOR_GOOD(
      "Separate the two for good: no line, no valve, no shared hose between them."),
  AND_CANNOT_BE_CLOSED_OFF("{} and {} cannot be closed off from each other"),
  NO_VALVE_IS_BETWEEN_THEM(
      "No valve is between them, so they are at one level and run out together."),
  ONE_SPLIT_HOSE_LOSES_BOTH("One split hose loses both."),
  PUT_A_VALVE_BETWEEN_THEM("Put a valve between them and keep it closed on the road."),
  THE_LINE_BETWEEN_THEM_IS_GONE("The line between them is gone; look again"),

  // VentCheck: vents that let out less water than a hose or transfer pump brings: once the tank is
  // full, what the water loses on its way out stands as pressure in the tank.
  ITS_VENT_IS_TOO_NARROW("{}: its vent is too narrow for the fill"),
  UP_TO_COME_IN_TO_PUSH(
      "Up to {} come in. To push that out through a vent of {} once the tank is full takes {};"
          + " the tank bears {}."),
  IT_BULGES_AND_CAN_BURST("It bulges, and can burst, when somebody is late to the tap."),
  FIT_A_VENT_OF_OR_OPEN("Fit a vent of {}, or open the tap less and stop before it is full."),
  ITS_FLOAT_VALVE_PASSES("{}: its float valve passes less than the hose gives"),
  IT_PASSES_ABOUT_FULLY_OPEN("It passes about {} fully open; the hose gives {}."),
  FILLING_TAKES_LONGER("Filling takes longer, and less comes while water is drawn."),
  FIT_A_LARGER_FLOAT_VALVE_OR_PLAN("Fit a larger float valve, or plan with its flow."),

  // WiringCheck: lines that are joined to the wrong side: of a three-way valve, or of a pump.
  NEVER_JOINS_WITH("{} never joins {} with {}"),
  NO_POSITION_OF_ITS_HANDLE_LEADS(
      "No position of its handle leads water from the one to the other."),
  CANNOT_DRAW_FROM_HOWEVER("{} cannot draw from {}, however the handle stands."),
  LOOK_WHICH_LINE_IS_JOINED(
      "Look which line is joined to which side of {}; change its lines, or what its positions"
          + " join."),
  PUSHES_INTO("{} pushes into {}"),
  HANGS_ON_THE_LINE_BEHIND("{} hangs on the line behind {}, where water is pushed, not drawn."),
  NOTHING_IS_DRAWN("Nothing is drawn from it, and it runs over when the pump runs."),
  HANG_BEFORE_OR_POUR("Hang {} before {}, or pour it into a tank filler.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
