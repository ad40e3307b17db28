package fernwort.core.load;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Bearing: something the vehicle stands on: an axle, a group of axles, or the hitch.
  THE_VEHICLE_HAS_ONE_AXLE(
      "The vehicle has one axle and no hitch; describe the hitch to work out its loads"),
  THE_VEHICLE_STANDS(
      "The vehicle stands on more than two groups of axles; loads need a weighbridge"),

  // DrawOrders: every order in which the fresh tanks can be drawn over a trip, with the loads it
  // gives.
  TANKS_CAN_BE_DRAWN_IN_TOO_MANY("{} tanks can be drawn in too many orders; empty some first"),

  // LightFill: the smallest fill that a leg needs, in the tanks where it weighs least on the
  // weakest axle.
  TANKS_CAN_BE_FILLED_IN_TOO_MANY("{} tanks can be filled in too many orders"),
  THE_RIG_HAS_NO_FRESH_TANK("The rig has no fresh tank to fill"),

  // Restraint: what holds a load when the vehicle brakes and swerves.
  A_LASHING_MUST_RUN_AT_0("A lashing must run at 0 to 89° to what it holds");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
