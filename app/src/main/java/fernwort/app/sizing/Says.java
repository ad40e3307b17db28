package fernwort.app.sizing;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // DaysPage: how long the water lasts, and how much so many days need.
  THESE_TANKS_HOW_LONG("These tanks, how long"),
  GRAY_ROOM("gray room"),
  FRESH_WATER("fresh water"),
  AS_READ("As read"),
  FROM_FULL_GRAY_EMPTY("From full, gray empty"),
  ONE_MORE_OF("One {} more of {}"),
  NO_END("no end"),
  FROM_FULL("from full; more of the other gives nothing"),
  FRESH_A_DAY("fresh {} ÷ {} a day = {}"),
  GRAY_ROOM_A_DAY("; gray room {} ÷ {} a day = {}"),
  ON_TOP_OF_FRESH_FOR_THE_DAY("On top of fresh, for the day that goes wrong."),
  TANKS_FOR_THE_DAYS_YOU_WANT("Tanks for the days you want"),
  LOW_AND_HIGH_ARE_0_75(
      "Low and high are 0.75 and 1.4 times what is expected: our own estimate of thrift and of a"
          + " bad day."),
  USABLE_IN_THE_TANKS("usable in the tanks"),
  NO_GRAY_TANK_CATCH_IT_AND_EMPTY("no gray tank: catch it and empty it where that is permitted"),
  ROOM_IN_THE_TANKS("room in the tanks"),
  TOO_LITTLE("{} {}: {} too little"),
  ENOUGH("{} {}: enough"),
  FRESH_WATER_OVER_THE_DAYS("Fresh water over the days, from full"),
  LOW_USE("low use"),
  EXPECTED_USE("expected use"),
  HIGH_USE("high use"),
  WHAT_IS_DRAWN_OVER_THE_DAYS("What is drawn over the days, habit upon habit"),
  DAYS_OF_THE_TRIP("Days of the trip"),
  DAYS_YOU_CAN_FILL("Days you can fill"),
  SUCH_AS_3_6_5_9("Such as 3 6.5 9."),
  DAYS_YOU_CAN_DUMP_GRAY("Days you can dump gray"),
  SUCH_AS_6_5("Such as 6.5."),
  A_TRIP_WITH_STOPS("A trip with stops"),
  STARTS_FULL_OF_FRESH_WATER(
      "Starts full of fresh water with gray empty. Filling and dumping are taken to be complete."
          + " Dump only where it is permitted."),
  DAY_TO("day {} to {}"),
  NO_TANK("no tank"),
  THE_TRIP("The trip"),
  DOES_NOT_WORK("does not work"),
  FRESH_WATER_AND_GRAY_ROOM_LAST("fresh water and gray room last on every stretch"),
  SEE_WHICH_STRETCH_FILL_DUMP("see which stretch; fill, dump or save more"),
  STRETCH_BY_STRETCH("Stretch by stretch"),
  DRY_ON_DAY_MISSING("dry on day %.1f, %s missing"),
  GRAY_FULL_ON_DAY_TOO_MUCH("gray full on day %.1f, %s too much"),
  WHAT_A_LARGER_TANK_WOULD_GIVE("What a larger tank would give"),
  WHERE_THE_CURVE_IS_FLAT(
      "Where the curve is flat the other tank is the limit: more of this one alone gives nothing."),
  NOBODY_USES_ANY_WATER_WITH_THESE(
      "Nobody uses any water with these habits, so that no tank ever ends; enter some above"),
  NO_TANK_OF_THIS_RIG_HOLDS(
      "No tank of this rig holds anything that could be used; describe one with a capacity"),
  FRESH_TANKS_OF_THIS_SIZE("fresh tanks of this size"),
  GRAY_TANKS_OF_THIS_SIZE("gray tanks of this size"),
  DAYS_AGAINST_THE_SIZE("Days against the size of the tanks, the other tanks as they are"),
  GRAY_THAT_MATCHES_THE_FRESH("Gray that matches the fresh tanks"),
  USABLE_THAT_BECOMES_GRAY("%s usable × %.0f %% that becomes gray; the tanks have room for %s"),

  // HabitsForm: the habits as a form, and back.
  ENTERED_BY_HAND("Entered by hand"),
  A_DAY_OF_IT_TO_GRAY("{} a day, {} of it to gray"),
  EACH_PERSON("each person"),
  EACH_PET("each pet"),
  THE_RIG("the rig"),

  // PumpPage: what pump and lines give at the fixtures, and what would do better.
  AT_THE_TAPS("At the taps"),
  WITH_NONE_TICKED(
      "With none ticked, the two that take most indoors are open together. Handles are as on Today,"
          + " supply pumps on, mains water off, near-empty tanks half full. △ marks less than 60 %"
          + " of the rated flow: our own mark."),
  ALONE_AND_WITH_OPEN("Alone, and with {} open"),
  PRESSURE_THERE("pressure there"),
  PRESSURE_NEEDED("pressure needed"),
  TOGETHER_THEY_NEED("Together they need"),
  THE_PUMP_ADDS_AT_THAT_FLOW("the pump adds {} at that flow: enough"),
  THE_PUMP_ADDS_ONLY_AT_THAT_FLOW("the pump adds only {} at that flow"),
  MORE_THAN_THE_PUMPS_FREE_FLOW(
      "more than the pump's free flow: it cannot give each its rated flow at once"),
  ABOVE_THE_OUTLET_OF_BY_ITSELF("above the outlet of {}; by itself it lifts water dry by {}: {}"),
  IT_PRIMES_ITSELF("it primes itself"),
  IT_WILL_NOT_HANG_IT_LOWER("△ it will not; hang it lower"),
  WHICH_PUMP_DOES_IT("Which pump does it"),
  PLATES_ARE_TYPICAL_SIZES(
      "Plates are typical sizes, not products: read the one on the pump you can get. A stronger"
          + " pump needs thicker cable and its own fuse, and a regulator where fittings"
          + " hold less."),
  OTHER_PUMPS_ON_THESE_LINES_OPEN("Other pumps on these lines, {} open"),
  FREE_FLOW("free flow"),
  GIVES_TOGETHER("gives together"),
  WORST_TAP_GETS("worst tap gets"),
  WHAT_THE_PUMP_GIVES("What the pump gives and what the taps need"),
  THE_PUMP_GIVES("the pump gives"),
  THE_TAPS_NEED("the taps need"),
  OF_RATED("%s%.0f %% of rated"),
  WHICH_PIPE_SIZE_IS_ENOUGH("Which pipe size is enough"),
  INSIDE_DIAMETERS_AS_WATER_MEETS(
      "Inside diameters, as water meets them; pipe is often sold by its outside."),
  WHAT_TAKES_THE_PRESSURE("What takes the pressure"),
  ONE_SIZE_UP("One size up"),
  THE_WHOLE_WAY_AT_ONE_SIZE("The whole way at one size"),
  AS_DESCRIBED_ON_THIS_RIG("As described on this rig."),
  A_USUAL_SMALL_ONE("A usual small one."),
  ITS_AIR_WITHOUT_WATER("Its air without water"),
  A_LITTLE_UNDER_THE_PUMPS_CUT_IN("A little under the pump's cut-in."),
  STARTS_OF_THE_PUMP("Starts of the pump"),
  MORE_THAN_ABOUT_10_STARTS(
      "More than about 10 starts a minute is heard and wears the switch: our own mark. A pump"
          + " with an inner bypass starts once and runs on. It takes full current while the"
          + " tap is open. Without either, hoses give way by about 25 mL: an estimate."),
  NO_PUMP_WITH_A_PRESSURE_SWITCH("No pump with a pressure switch is described"),
  RUNS_THROUGH("runs through"),
  THE_ACCUMULATOR_GIVES("The accumulator gives"),
  BETWEEN_CUT_IN_AND_CUT("between cut-in {} and cut-out {}, by Boyle's law"),
  WITH_THE_TAP_HALF_OPEN("With the tap half open"),
  PUMP_WITH_BYPASS("pump with bypass"),
  A_MINUTE("%s%.0f a minute"),
  INSIDE_DIAMETER_OF_THE_LINE("Inside diameter of the line"),
  INSIDE_DIAMETER_OF_THE_FITTING("Inside diameter of the fitting"),
  LOOK_THROUGH_IT("Look through it."),
  HOW_MANY_OF_THEM("How many of them"),
  WHAT_A_NARROW_FITTING_COSTS("What a narrow fitting costs"),
  SUDDEN_NARROWING_1_2(
      "Sudden narrowing ½(1 − β²) and widening (1 − β²)², after Borda and Carnot, on the speed"
          + " inside the fitting; β is fitting over line."),
  THEY_TAKE("They take"),
  AS_MUCH_AS_M_OF_THE_LINE("as much as %.1f m of the line itself, which takes %s a metre"),
  DRAIN_LINES("Drain lines"),
  A_SMALL_DRAIN_FALLS_AT_LEAST_1(
      "A small drain falls at least 1 in 48, as plumbing codes ask of pipes to 65 mm; your local"
          + " code comes first. It should run no more than half full, or it gulps air and"
          + " empties its trap."),
  NO_TAPS_WASTE_IS_JOINED("No tap's waste is joined to a line"),
  FROM_EACH_WASTE_TO_ITS_TANK("From each waste to its tank or end"),
  CARRIES_HALF_FULL("carries half full"),
  STRAIGHT_DOWN("straight down"),
  DOES_NOT_FALL("△ does not fall"),
  TOO_FLAT("△ too flat"),
  NARROWER_THAN("△ narrower than {}"),

  // SizingApiController: the pages of Sizing as JSON.
  THERE_IS_NO_PAGE_OF_SIZING_ASK(
      "There is no page “{}” of Sizing; ask for days, space, weight, pump or supply"),

  // SizingController: the Sizing screen: five pages of questions with their answers.
  FROM_THE_LOG_EACH_A_DAY_LIKELY("From the log: {} each a day, likely {} to {}."),
  THE_HABITS_ARE_SAVED_AND_USED("The habits are saved and used from now on."),

  // SpacePage: which tank fits a space that somebody measured.
  THE_SPACE("The space"),
  HAS_SQUARE_CORNERS("has square corners"),
  LIES_OVER_A_WHEEL_ARCH("lies over a wheel arch"),
  GETS_LOWER_TOWARDS_ONE_END("gets lower towards one end"),
  ALONG_THE_VEHICLE("Along the vehicle."),
  AT_ITS_HIGHEST("At its highest."),
  FROM_THE_REAR_END_TO_THE_ARCH("From the rear end to the arch"),
  LENGTH_OF_THE_ARCH("Length of the arch"),
  HEIGHT_OF_THE_ARCH("Height of the arch"),
  HEIGHT_AT_THE_LOW_END("Height at the low end"),
  FREE_ON_EVERY_SIDE("Free on every side"),
  PADDING_STRAPS_FROST_MAT("Padding, straps, frost mat."),
  FREE_ABOVE("Free above"),
  VENT_AND_WHAT_IS_SCREWED("Vent and what is screwed in on top."),
  FREE_AT_ONE_END("Free at one end"),
  FITTINGS_AND_A_HAND_TO_TURN_THEM("Fittings, and a hand to turn them."),
  WALL_OF_THE_TANK("Wall of the tank"),
  ROTO_MOULDED_TANKS_6_TO_8_MM("Roto-moulded tanks: 6 to 8 mm."),
  WHAT_FITS_THIS_SPACE("What fits this space"),
  LITRES_TO_THE_BRIM(
      "Litres to the brim; where the vent leaves and where the outlet sits decide what of it can"
          + " be used. Keep clear of brakes, exhaust, wiring and wheel travel. Never work"
          + " under a vehicle on a jack alone."),
  THE_LARGEST_OF_EACH_SHAPE("The largest of each shape"),
  WEIGHS_FULL("weighs full"),
  DAYS_OF_FRESH("%.1f days of fresh"),

  // SupplyPage: how water comes aboard: timed, filled, buffered and hauled.
  THE_JUG_HOLDS("The jug holds"),
  SECONDS_EACH_GO("Seconds, each go"),
  AT_THE_TAP_OR_PUMP_THREE_GOES("At the tap or pump. Three goes show the spread."),
  SECONDS_FARTHER_ON("Seconds farther on"),
  AT_THE_FAR_END_SAME_SUPPLY("At the far end, same supply, if you timed it."),
  TIMED_JUG("Timed jug"),
  BETWEEN_TWO_POINTS_THE_LOST(
      "Between two points the lost share of the pressure is 1 − (far ÷ near)². Flow goes with the"
          + " root of pressure."),
  FILL_THE_JUG_AND_ENTER_HOW_LONG("Fill the jug and enter how long it took"),
  FLOW_FARTHER_ON("Flow farther on"),
  LOST_BETWEEN_THE_TWO("Lost between the two"),
  OF_THE_PRESSURE("%.0f %% of the pressure"),
  THE_BOTTLENECK_LIES_BETWEEN("the bottleneck lies between the two points"),
  THE_BOTTLENECK_LIES("the bottleneck lies before the first point"),
  MEAN_OF_GOES_SPREAD("mean of {} goes, spread {}"),
  ONE_GO_TIME_IT_THREE_TIMES("one go; time it three times to see its spread"),
  TAP_THROUGH_A_HOSE("Tap through a hose"),
  AS_TIMED_FOR_THE_HOSE_INLET("As timed for the hose inlet, if it was; sites give 5 to 25 L/min."),
  GRAVITY_FILL_TAKES("Gravity fill takes"),
  UNTIL_IT_SPITS_AN_ESTIMATE("Until it spits; an estimate for a 38 mm filler."),
  A_JUG_HOLDS("A jug holds"),
  SECONDS_FOR_EACH_JUG("Seconds for each jug"),
  FETCH_LIFT_POUR_LIFT_WITH_CARE("Fetch, lift, pour. Lift with care."),
  PUMP_FROM_OUTSIDE("Pump from outside"),
  BY_ITS_PLATE("By its plate, if one is on board; it moves less than that through a long line."),
  HOW_LONG_FILLING_TAKES("How long filling takes"),
  FROM_EMPTY_TO_THE_VENT_STAY(
      "From empty to the vent. Stay with it: fill slowly with a drinking-water hose, vent open,"
          + " and watch the overflow. Outside water is not drinking water."),
  MINUTES_FOR_EACH_TANK("Minutes for each tank"),
  THE_SUPPLY_GIVES("The supply gives"),
  YOU_WANT("You want"),
  FOR_SO_MANY_MINUTES("For so many minutes"),
  A_SUPPLY_SLOWER_THAN_YOU_WANT("A supply slower than you want"),
  A_TANK_BETWEEN_A_SLOW_SUPPLY(
      "A tank between a slow supply and the pump holds what the supply cannot give in time."),
  THE_SUPPLY_GIVES_NOTHING(
      "The supply gives nothing or more; what you want and its minutes are more than nothing"),
  MIN("({} − {}) × {} min"),
  FULL_AGAIN_AFTER("Full again after"),
  AT_THE_SUPPLYS_OWN_PACE("at the supply's own pace"),
  WATER_TO_FETCH("Water to fetch"),
  DEFAULT_FIVE_DAYS_OF_YOUR_HABITS("Default: five days of your habits and 15 %."),
  A_CONTAINER_HOLDS("A container holds"),
  IT_WEIGHS_EMPTY("It weighs empty"),
  HOW_MANY_THERE_ARE("How many there are"),
  MAY_BE_CARRIED_ON_A_TRIP("May be carried on a trip"),
  PAYLOAD_OF_THE_VEHICLE("Payload of the vehicle less people and cargo."),
  PRICE_OF_ONE_FILLING("Price of one filling"),
  CHOOSE_THE_CURRENCY_UNDER_RIGS("Choose the currency under Rigs."),
  PRICE_OF_ONE_TRIP("Price of one trip"),
  FUEL_TOLL_ENTRY("Fuel, toll, entry."),
  STRAPS_THAT_HOLD_IT_FORWARDS("Straps that hold it forwards"),
  RATING_OF_ONE_STRAP("Rating of one strap"),
  LASHING_CAPACITY_OR_WORKING_LOAD(
      "Lashing capacity or working load limit on its tag: 1 daN is about 1 kg."),
  ANGLE_TO_STRAIGHT_AHEAD("Angle to straight ahead"),
  FOR_0_PULLS_STRAIGHT_BACK("0 pulls straight back."),
  BRAKING_TO_DESIGN_FOR("Braking to design for"),
  EN_12195_1_2010_YOUR_OWN_CODE("EN 12195-1:2010; your own code first."),
  HAULING_WATER("Hauling water"),
  FRICTION_IS_NOT_COUNTED(
      "Friction is not counted, which is on the safe side. Against swerving take half as much:"
          + " 0.5 g to each side. Loose water weighs more on a bend than full containers"
          + " do. Carry drinking water in food-grade containers."),
  FILLINGS_ON_A_TRIP("{} fillings, {} on a trip"),
  A_FULL_TRIP_WEIGHS("A full trip weighs"),
  OF_THAT_MAY_BE_CARRIED("of {} that may be carried"),
  FILLINGS_AND_TRIPS("{} fillings and {} trips"),
  DOES_NOT_HOLD("△ does not hold"),
  G_PULLS_WITH_THE_STRAPS_HOLD("{} × {} g pulls with {}; the straps hold {}{}"),
  TAKE_LIKE_THESE("; take {} like these"),

  // WeakestTap: why the weakest tap is weak: the pressure on the way to it, and what would help.
  WHY_IS_THE_WEAKEST("Why is {} the weakest?"),
  WITH_OPEN_WHAT_A_PART_TAKES("With {} open. What a part takes shows as a step where it stands."),
  OF_WHAT_IT_IS_MADE_FOR("of what it is made for"),
  OF_THAT_ARE_LOST_ON_THE_WAY("of {} that are lost on the way"),
  HEIGHT_TAKES("Height takes"),
  THE_TAP_IS_SO_MUCH_ABOVE("the tap is so much above the pump"),
  WITH_ONE_SIZE_UP_IN("With one size up in {}"),
  WITH_A_PUMP_OF("With a pump of {}, {}"),
  WITH_ALL_LINES_AT("With all lines at {}"),
  AT_THE_WEAKEST_TAP_INSTEAD_OF("at the weakest tap, instead of {}"),
  PRESSURE_ON_THE_WAY_TO("Pressure on the way to {}"),
  FROM_THE_PUMP("from the pump"),
  THE_WAY_OF_THE_WATER("the way of the water to the weakest tap, with its pressure"),

  // WeightPage: what the water weighs, where, and how little of it will do.
  LIMIT_NOT_KNOWN("not known"),
  AXLE_LIMITS("Axle limits"),
  NOT_KNOWN_IT_IS_ON_THE_PLATE("not known: see the plate"),
  AGAINST_FULL_TANKS("against full tanks"),
  READ_THE_PLATE_AND_ENTER(
      "Enter what the axles may carry first, under Rig, The vehicle: it is on the plate"),
  LEVEL_GROUND_MEASURED_EMPTY(
      "Level ground, measured empty loads, water alone on top. A weighbridge has the last word."),
  LEFT_HEAVIER_THAN_RIGHT_BY("left heavier than right by"),
  AS_READ_INSIDE("as read"),
  MARGIN_FULL("margin full"),
  WHAT_THE_AXLES_LEAVE("What the axles leave for everything"),
  THEIR_LIMITS_LESS_THEIR_EMPTY(
      "their limits less their empty loads; the vehicle's plated maximum may be less"),
  OF_IT_TAKES_FULL_FRESH_WATER("Of it takes full fresh water"),
  PEOPLE_FOOD_AND_TOOLS_NEED("people, food and tools need the rest"),
  WATER_ALONE(" (water alone)"),
  OVER_BY("△ over by {}"),
  TOO_LIGHT_BY("△ too light by {}"),
  DAYS_TO_THE_NEXT_FILL("Days to the next fill"),
  CARRY_ONLY_WHAT_THE_NEXT_LEG("Carry only what the next leg needs"),
  EVERY_ORDER_OF_FILLING_WAS_TRIED(
      "Every order of filling was tried; this one keeps most to spare. Mark the height on the"
          + " tank or gauge. A second, lower vent or overflow at that height, with a valve,"
          + " stops the filling there by itself; with its valve closed the tank fills to"
          + " the top as before."),
  NEEDED_TO_DRAW("Needed to draw"),
  A_DAY_DAYS("{} a day × {} days + {} %"),
  STANDS_ABOVE_THE_TANKS_FLOOR("stands {} above the tank's floor; with what cannot be drawn"),
  DOES_NOT_FIT("Does not fit"),
  FILL_ON_THE_WAY_OR_USE_LESS("fill on the way, or use less"),
  AGAINST_FULL_TANKS_SMALLEST("against full tanks; smallest margin {} instead of {}"),
  WHICH_TANK_FIRST("Which tank first"),
  EVERY_ORDER_WAS_TRIED_FROM_FULL(
      "Every order was tried from full, gray filling meanwhile. First stands the one that keeps"
          + " most to spare on axles and drawbar."),
  THEN(", then "),
  TO_SPARE("{} to spare"),
  SIDE_TO_SIDE_AT_MOST("side to side at most {}"),
  LOAD_ON_AS_THE_FRESH_TANKS_EMPTY("Load on {} as the fresh tanks empty, best and worst order"),
  BEST_ORDER("best order"),
  WORST_ORDER("worst order");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
