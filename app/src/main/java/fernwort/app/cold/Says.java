package fernwort.app.cold;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // ColdPages: the Cold screen.
  OF_TICKED("{} of {} ticked"),
  LEFT_AFTER_OF("left after {} of {}"),
  IN_USE_PIPES_FULL_OF_WATER("In use, pipes full of water."),
  ON_BY_OF_STEPS_TICKED("{} on {} by {}, {} of {} steps ticked"),
  YOU_HAVE_NOT_WINTERIZED_THIS_RIG(
      "You have not winterized this rig yet: begin a sheet under Winter first"),
  THERE_IS_NO_METHOD_PICK_ONE("There is no method “{}”; pick one"),

  // LeftView: the water that is still in a rig, in words.
  LEFT_IN_IT("{} · {} left in it"),
  WITH_WATER("{} with water"),
  AT_RISK("at risk"),
  LINE("Line “%s”"),

  // PlanView: what one school makes of a rig.
  ABOUT("{} {}, about {}"),
  WEAKEST_IN_FREEZES_AT("weakest in %s: %.0f %%, freezes at %s"),
  BELOW_THAT("{}; below that, {}"),
  TO_SPARE("{}, {} {} to spare"),
  HOW_IT_IS("{}. {}."),
  ANY_COLD("any cold"),
  STRONG_ENOUGH("strong enough"),
  TOO_WEAK_SOMEWHERE("too weak somewhere (%.1f)"),

  // Reminders: what falls due in the cold, as a calendar (iCalendar, RFC 5545).
  UNDER_WINTER_WINTERIZE_PICK("Under Winter, Winterize: pick a method and go through its sheet."),
  FIRST_FROST_FOR_SIMULATED("First frost for {} (simulated forecast)"),
  UNDER_WINTER_TONIGHT("Under Winter, Tonight: what freezes first, and what holds it."),
  UNDER_WINTER_DE_WINTERIZE_CLOSE(
      "Under Winter, De-winterize: close, flush, look, sanitize, fill."),

  // TonightPage: tonight's frost: what freezes first, and what holds it.
  DRAIN_WHAT_FREEZES("Drain what freezes …"),
  USABLE_BATTERY_IN_THE_COLD("Usable battery in the cold"),
  ABOUT_HALF_ITS_RATING("About half its rating."),
  THE_HEATER_INSIDE_TAKES("The heater inside takes"),
  G_OF_GAS_AN_HOUR("g of gas an hour"),
  ITS_PLATE("Its plate."),
  GAS_IN_THE_BOTTLE("Gas in the bottle"),
  WEIGHED_LESS_ITS_TARE("Weighed, less its tare."),
  WHICH_PART_FREEZES_FIRST_TONIGHT("Which part freezes first tonight"),
  WORKED_OUT_FROM_THE_WARMTH_EACH(
      "Worked out from the warmth each place keeps. Until you enter yours under Rig that is a"
          + " guess: 60 % inside, none under the floor. Two thermometers measure it: share"
          + " = (place − outside) ÷ (inside − outside). Nobody knows how warm the water was in the"
          + " evening: it begins as cold as its place, so each hour is the earliest it can be."
          + " Leave the gray valve open in frost"
          + " only where local rules permit it. Gas heaters need air, and licensed hands."),
  IN_THE_PLACE("In the place"),
  HOW_WARM_A_PLACE_STAYS("How warm a place stays, by thermometers"),
  READ_ALL_THREE_AT_THE_COLDEST(
      "Read all three at the coldest hour, doors as they are at night. Enter the share in the"
          + " place's form under Rig."),
  INSIDE_AND_OUTSIDE_ARE_TOO_CLOSE(
      "Inside and outside are too close to each other; read them on a colder night"),
  IT_KEEPS("It keeps"),
  PLACE_OUTSIDE_INSIDE_OUTSIDE("(place − outside) ÷ (inside − outside)"),
  DOWN_TO("Down to {}:"),
  NOTHING_FREEZES("nothing freezes"),
  FREEZES_FIRST_FROM("{} freezes first, at {} at the earliest"),
  ALL_OF_IT_STAYS_ABOVE_0_C("all of it stays above 0 °C"),
  A_FIFTH_OF_IT_IS_ICE("a fifth of it is ice {}"),
  ANY_NIGHT("any night"),
  NO_NIGHT_FREEZES_IT("nothing comes to 0 °C in one night, however cold it was tried"),
  SAFE_DOWN_TO_AS_IT_IS("Safe down to, as it is"),
  OUTSIDE_AT_THE_LOWEST("outside at the lowest, for a night like this one"),
  HEAT_NEEDED_TO_KEEP_IT_AT_2("Heat needed to keep it at 2 °C"),
  AT_THE_COLDEST_HOUR_WH(
      "at the coldest hour; %.0f Wh over the night, against %.0f Wh of the battery"),
  HELD_BY_THE_BATTERY("Held by the battery"),
  THEN_THE_FIRST_PART_IS_AT_0("then the first part is at 0 °C at {}"),
  WHAT_IS_LEFT_THEN_LASTS_TILL("what is left then lasts till morning"),
  SAFE_WITH_CUPBOARD_DOORS_OPEN("Safe with cupboard doors open, down to"),
  SAFE_WITH_INSULATION("Safe with {} of insulation round every line, down to"),
  SAFE_WITH_THE_FIRST_DRAINED("Safe with the first three drained, down to"),
  A_TAP_LEFT_DRIPPING("A tap left dripping through the first three"),
  AN_HOUR("{} an hour"),
  OVER_THE_NIGHT_GRAY_HAS_TO_TAKE("{} over the night; gray has to take it"),
  AT_0_C_FROM("at 0 °C at {} at the earliest"),
  WHAT_FREEZES_TONIGHT_EACH("what freezes tonight, each with its hour"),
  GAS_FOR_THE_NIGHT("Gas for the night"),
  AT_G_AN_HOUR_THE_KG(
      "at %.0f g an hour; the %.1f kg there end after %.0f h: then it is as cold as it gets"),
  AT_G_AN_HOUR_OF_KG(
      "at %.0f g an hour, of %.1f kg there, which last %.0f h; a bottle out in frost gives less"),
  OPENS_AT("opens at {}"),
  STAYS_CLOSED_TONIGHT("stays closed tonight"),
  OPENS_WITHOUT_POWER("opens without power"),
  OPENS_BELOW_OR_WITHOUT_POWER("opens below {} or without power"),
  AND_LETS_OUT_FROM_TANKS_HEATER("{}, and lets out {} from tanks, heater and lines"),
  NOTHING_FREEZES_TONIGHT_THEN("nothing freezes tonight then"),
  STILL_FREEZING_TONIGHT_THEN("still freezing tonight then: {}"),
  IN_THE_ORDER("In the order in which they freeze"),
  A_FIFTH_ICE("a fifth ice"),
  HELD_BY("held by"),
  GUESSED(", guessed"),
  TEMPERATURE_OF_EACH_PLACE("Temperature of each place through the night"),
  AND_MORE_PLACES("{} and {} more places"),
  NOT_TONIGHT("not tonight"),

  // Tries: what may be tried on a rig that is being drained, as an address keeps it: "drain:open"
  // for a turn, "~lean:2:0", "~air:LINE-OR-PART" and "~cup:PART:0.4" for the rest.
  CANNOT_BE_TRIED_WRITE_IT_AS_PART(
      "“{}” cannot be tried; write it as part:position, such as drain:open"),
  LEAN_IT_WHEELS_CHOCKED("Lean it, wheels chocked: {}."),
  A_BURST_OF_AIR_THROUGH("A burst of air through {}"),
  A_CUP_OF_ANTIFREEZE_INTO("A cup of antifreeze into {}"),

  // WishPage: what somebody has and wants for the winter, kept with the rig.
  DOWN_TO_FIRST("Down to"),
  THE_COLDEST_YOU_EXPECT("The coldest you expect."),
  COMPRESSOR_GIVES("Compressor gives"),
  FREE_AIR_ON_ITS_PLATE_A_HAND("Free air, on its plate; a hand pump gives 20."),
  ITS_REGULATOR_AT("Its regulator at"),
  NEVER_OVER_2_BAR_NOR("Never over 2 bar, nor over the weakest part."),
  GLYCOL("% glycol"),
  ON_ITS_LABEL("On its label."),
  A_JUG_HOLDS("A jug holds"),
  AND_COSTS("and costs"),
  CHOOSE_THE_CURRENCY_UNDER_RIGS("Choose the currency under Rigs."),
  COMBINED_METHOD_PIPES("Combined method: pipes"),
  RUN_OUT_BY_GRAVITY("run out by gravity"),
  ARE_BLOWN_OUT_TOO("are blown out, too"),
  ITS_TRAPS("Its traps"),
  GET_A_CUP_OF_ANTIFREEZE("get a cup of antifreeze"),
  GET_THEIR_PLUGS_TAKEN_OUT("get their plugs taken out"),
  WHAT_YOU_HAVE_AND_WANT("What you have and want");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
