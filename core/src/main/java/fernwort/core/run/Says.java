package fernwort.core.run;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // HappeningWords: what happens in a run, in the words of the people it happens to.
  IS_FULL_TO_ITS_VENT(" is full to its vent"),
  IS_BELOW_ITS_VENT_AGAIN(" is below its vent again"),
  IS_DOWN_TO_ITS_OUTLET(" is down to its outlet"),
  HAS_WATER_OVER_ITS_OUTLET(" has water over its outlet"),
  WATER_RUNS_OUT_AT("Water runs out at {}"),
  STOPS_RUNNING("{} stops running"),
  SIPHONS_IT_DRAINS_ON_BY_ITSELF(" siphons: it drains on by itself"),
  STOPS_SIPHONING(" stops siphoning"),
  DRAWS_AIR(" draws air"),
  HAS_WATER_AGAIN(" has water again"),
  STARTS_AND_STOPS_ON_ITS_SWITCH(" starts and stops on its switch"),
  RUNS_EVENLY(" runs evenly"),
  STOPS_NOTHING_IS_DRAWN(" stops: nothing is drawn"),
  BULGES_ITS_AIR_CANNOT_GET_OUT(" bulges: it is pressed to more than it bears"),
  MAY_BURST(" may burst"),
  IS_PRESSED_LESS_AGAIN(" is pressed less again"),
  STOPS_BULGING(" stops bulging"),
  IS_SUCKED_IN_NO_AIR_COMES_IN(" is sucked in: no air comes in"),
  GETS_AIR_AGAIN(" gets air again"),
  IS_POURED_OUT(" is poured out"),
  IS_FULL_AGAIN(" is full again"),
  WASTE_OF_BACKS_UP_ITS_TANK("Waste of {} backs up: its tank is full"),
  DRAINS_AGAIN("{} drains again"),
  THE_FLOAT_VALVE_OF("The float valve of {}{}"),
  IS_HOT_ITS_THERMOSTAT_TURNS(" is hot: its thermostat turns it off"),
  HEATS_AGAIN(" heats again"),
  THE_LINES_TO_FILL_FIRST("The lines to {} fill first"),
  THE_FIRST_WATER_COMES_TO("The first water comes to {}"),
  WAS_SET("{} was set"),
  WATER_RUNS_OUT_AT_INSIDE("water runs out at {}"),
  IS_SUCKED_IN("{} is sucked in"),
  ITS_WALLS_FOLD("if the walls of {} fold, the siphon goes on: up to {} more run out"),
  DRAWS_AIR_OF("{} draws air"),
  WASTE_OF_COMES_BACK_UP("waste of {} comes back up"),
  MIN_S("%d min %02d s"),
  H_MIN("%d h %02d min");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
