package fernwort.core.live.rule;

import fernwort.core.say.Phrase;

/** One thing that goes wrong while a rule is tried. */
public enum RuleFault {
  NONE(Says.NOTHING_GOES_WRONG),
  SENSOR_STUCK(Says.A_SENSOR_STICKS),
  SENSOR_DRIFTS(Says.A_SENSOR_DRIFTS),
  SENSOR_LOST(Says.A_SENSOR_FALLS_SILENT),
  MOTOR_STUCK(Says.A_MOTOR_STICKS),
  TAP_OPEN(Says.A_TAP_IS_LEFT_OPEN),
  POWER_LOST(Says.THE_POWER_FAILS),
  LINK_LOST(Says.THE_LINK_IS_LOST),
  FERNWORT_STOPPED(Says.FERNWORT_STOPS);

  private final Phrase words;

  RuleFault(Phrase words) {
    this.words = words;
  }

  /** Tells whether it changes what a rig does that nobody watches; sensors alone do not. */
  boolean isOfTheRig() {
    return switch (this) {
      case TAP_OPEN, POWER_LOST, LINK_LOST -> true;
      case NONE, SENSOR_STUCK, SENSOR_DRIFTS, SENSOR_LOST, MOTOR_STUCK, FERNWORT_STOPPED -> false;
    };
  }

  /** Returns it as people say it, after "when". */
  public String words() {
    return words.text();
  }
}
