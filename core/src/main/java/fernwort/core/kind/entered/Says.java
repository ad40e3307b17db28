package fernwort.core.kind.entered;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Asked: what can be entered of parts: what it is called, in which unit, what is possible and
  // usual.
  MAINS_PRESSURE("Mains pressure"),
  MAINS_PRESSURE_INSIDE("mains pressure"),
  MEASURED_AT_A_TAP_WITH_NOTHING(
      "Measured at a tap with nothing running; 0 when it only draws. Default 4 bar."),
  SURFACE_OF_OUTSIDE_WATER("Surface of outside water over the ground"),
  OUTSIDE_HEIGHT("outside height"),
  BELOW_THE_GROUND_IS_NEGATIVE("Below the ground is negative."),
  TAP_AND_HOSE_GIVE_INTO_A_BUCKET("Tap and hose give into a bucket"),
  TAP_FLOW("tap flow"),
  TIME_A_BUCKET_AT_THE_END("Time a bucket at the end of your hose; default 18 L/min, an estimate."),
  OUTSIDE_WATER_IS_FIT_TO_DRINK("Outside water is fit to drink"),
  A_BLADDER_OR_BARREL_FILLED("A bladder or barrel filled at a drinking tap is; a stream is not."),
  THE_TAP_HAS_A_BACKFLOW_PREVENTER("The tap has a backflow preventer"),
  MANY_OUTDOOR_TAPS_HAVE_ONE_BUILT(
      "Many outdoor taps have one built in; ask, or look for a vented cap above the thread."),
  PRESSURE_IT_TAKES_TO_OPEN("Pressure it takes to open"),
  CRACKING_PRESSURE("cracking pressure"),
  DEFAULT_0_02_BAR_ONE_THAT_OPENS(
      "Default 0.02 bar. One that opens above 1 bar only is a relief valve."),
  SET_PRESSURE("Set pressure"),
  SET_PRESSURE_INSIDE("set pressure"),
  TAKES_OUT("Takes out"),
  WHAT_IT_TAKES_OUT("what it takes out"),
  RATED_FLOW("Rated flow"),
  RATED_FLOW_INSIDE("rated flow"),
  PRESSURE_LOST_AT_THAT_FLOW_CLEAN("Pressure lost at that flow, clean"),
  RATED_LOSS("rated loss"),
  DATA_SHEET_DEFAULT_0_35_BAR("Data sheet; default 0.35 bar."),
  ITS_LOSS_HAS_DOUBLED_AFTER("Its loss has doubled after"),
  LITRES_UNTIL_ITS_LOSS_DOUBLES("litres until its loss doubles"),
  WHAT_PASSES_UNTIL_THE_FLOW_DROPS("What passes until the flow drops; empty if nobody knows."),
  WHAT_IT_IS_FOR("What it is for"),
  WHAT_IT_IS_THERE_FOR("what it is there for"),
  WORKS_AS("Works as"),
  HOW_IT_WORKS("how it works"),
  DRIVEN_BY("Driven by"),
  WHAT_DRIVES_IT("what drives it"),
  PRESSURE_AT_NO_FLOW("Pressure at no flow"),
  SHUT_OFF_PRESSURE("shut-off pressure"),
  PLATE_AS_MAX_PRESSURE_OR_HEAD(
      "Plate, as max. pressure or head. Empty: half a bar over its cut-out."),
  FLOW_WITH_ITS_OUTLET_OPEN("Flow with its outlet open"),
  FREE_FLOW("free flow"),
  SWITCH_CUTS_IN_AT("Switch cuts in at"),
  CUT_IN_PRESSURE("cut-in pressure"),
  SWITCH_CUTS_OUT_AT("Switch cuts out at"),
  CUT_OUT_PRESSURE("cut-out pressure"),
  PRIMES_ITSELF_UP_TO("Primes itself up to"),
  SELF_PRIMING_LIFT("self-priming lift"),
  MAY_RUN_DRY_FOR("May run dry for"),
  DRY_RUN("dry run"),
  AIR_PRESSURE_WITHOUT_WATER("Air pressure without water"),
  TYRE_GAUGE_PUMP_OFF_AND_A_TAP("Tyre gauge, pump off and a tap open."),
  HOW_IT_HEATS("how it heats"),
  HAS_ITS_OWN_PRESSURE_RELIEF("Has its own pressure relief valve"),
  DRAIN_ABOVE_ITS_BOTTOM("Drain above its bottom"),
  DRAIN_HEIGHT("drain height"),
  HEAT_INTO_THE_WATER("Heat into the water"),
  PLATE_EMPTY_IF_IT_SAYS_NOTHING(
      "Plate; empty if it says nothing. With it a rehearsal knows when water is hot."),
  THERMOSTAT_SET_TO("Thermostat set to"),
  DEFAULT_60_C_COOLER_WATER_BREEDS("Default 60 °C: cooler water breeds legionella, hotter scalds."),
  WHAT_IT_IS("what it is"),
  PEOPLE_DRINK_OR_COOK_FROM_IT("People drink or cook from it"),
  A_JUG_AND_A_WATCH_AT_FULL("A jug and a watch at full pressure."),
  RATED_PRESSURE("rated pressure"),
  DEFAULT_2_BAR("Default 2 bar."),
  RESTRICTOR_LETS_THROUGH_AT_MOST("Restrictor lets through at most"),
  RESTRICTED_FLOW("restricted flow"),
  PRINTED_ON_THE_AERATOR_OR_SHOWER("Printed on the aerator or shower head; empty for none."),
  ITS_WATER_IS_FIT_TO_DRINK("Its water is fit to drink"),
  A_CAP_THAT_A_HAND_TAKES_OFF("A cap that a hand takes off"),
  IT_HOLDS("It holds"),
  WHAT_IT_HOLDS("what it holds"),
  A_CONTACT_TELLS_WHEN_WATER("A contact tells when water is in it"),
  TEST_IT_WITH_A_WET_FINGER_TWICE("Test it with a wet finger twice a year."),
  MIXES_TO("Mixes to"),
  TEMPERATURE_IT_MIXES_TO("temperature it mixes to"),
  DEFAULT_38_C_ABOVE_49_C("Default 38 °C. Above 49 °C it scalds."),
  ON_ITS_PLATE_DEFAULT_AN_ORDINARY("On its plate. Default: an ordinary one of its kind.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
