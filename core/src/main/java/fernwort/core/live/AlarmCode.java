package fernwort.core.live;

import fernwort.core.hazard.Severity;
import fernwort.core.say.Message;
import fernwort.core.say.Phrase;

/** What an alarm can be about. */
public enum AlarmCode {
  /** Water is where none should be. */
  LEAK(Severity.DANGER, 0, Says.LEAK),
  /** A fresh tank is full and water still runs to it. */
  FRESH_FULL(Severity.WARNING, 5, Says.FRESH_FULL),
  /** Something has come up to a mark that somebody set. */
  ABOVE_MARK(Severity.WARNING, 30, Says.ABOVE_MARK),
  /** Something has come down to a mark that somebody set. */
  BELOW_MARK(Severity.WARNING, 30, Says.BELOW_MARK),
  /** A gray tank is nearly full. */
  GRAY_HIGH(Severity.WARNING, 10, Says.GRAY_HIGH),
  /** A pump runs longer than a tap is ever open, and no tap is known to be. */
  PUMP_LONG(Severity.WARNING, 0, Says.PUMP_LONG),
  /** A pump runs and its tank has nothing left for it. */
  PUMP_AIR(Severity.WARNING, 10, Says.PUMP_AIR),
  /** A place, tank or line is near freezing. */
  FROST(Severity.WARNING, 30, Says.FROST),
  /** A motor valve did not arrive. */
  VALVE_FAILED(Severity.DANGER, 0, Says.VALVE_FAILED),
  /** A sensor tells nothing any more. */
  SIGNAL_LOST(Severity.NOTE, 0, Says.SIGNAL_LOST),
  /** There is no link to any sensor. */
  LINK_LOST(Severity.WARNING, 0, Says.LINK_LOST),
  /** A level falls though everything is closed. */
  LEVEL_FALLS(Severity.WARNING, 0, Says.LEVEL_FALLS),
  /** Sensors and handles say things that cannot all be so. */
  CONTRADICTION(Severity.NOTE, 60, Says.SWITCH_CONTRADICTION),
  /** A rule was broken off in the middle. */
  RULE_BROKEN_OFF(Severity.WARNING, 0, Says.RULE_BROKEN_OFF);

  private final Severity grade;
  private final double goneAfter;
  private final Phrase words;

  AlarmCode(Severity grade, double goneAfter, Phrase words) {
    this.grade = grade;
    this.goneAfter = goneAfter;
    this.words = words;
  }

  /** Returns what it is called where it is switched on or off. */
  public String label() {
    return switch (this) {
      case LEAK -> Says.SWITCH_LEAK.text();
      case FRESH_FULL -> Says.SWITCH_FRESH_FULL.text();
      case ABOVE_MARK -> Says.SWITCH_ABOVE_MARK.text();
      case BELOW_MARK -> Says.SWITCH_BELOW_MARK.text();
      case GRAY_HIGH -> Says.SWITCH_GRAY_HIGH.text();
      case PUMP_LONG -> Says.SWITCH_PUMP_LONG.text();
      case PUMP_AIR -> Says.SWITCH_PUMP_AIR.text();
      case FROST -> Says.SWITCH_FROST.text();
      case VALVE_FAILED -> Says.SWITCH_VALVE_FAILED.text();
      case SIGNAL_LOST -> Says.SWITCH_SIGNAL_LOST.text();
      case LINK_LOST -> Says.LINK_LOST.text();
      case LEVEL_FALLS -> Says.SWITCH_LEVEL_FALLS.text();
      case CONTRADICTION -> Says.SWITCH_CONTRADICTION.text();
      case RULE_BROKEN_OFF -> Says.SWITCH_RULE_BROKEN_OFF.text();
    };
  }

  /** Returns the cause of an alarm for want of a link to the sensors. */
  public static AlarmCause noLink() {
    return new AlarmCause(LINK_LOST, "", LINK_LOST.words());
  }

  /** Tells whether it is shown and makes no noise: whoever pours in by can turns no handle. */
  public boolean isQuiet() {
    return this == CONTRADICTION;
  }

  /** Returns how bad it is. */
  public Severity grade() {
    return grade;
  }

  /** Returns how long its cause has to be away before it counts as gone (s); own choice. */
  public double goneAfter() {
    return goneAfter;
  }

  /**
   * Says it.
   *
   * @param arguments what fills its places
   */
  public Message words(Object... arguments) {
    return words.with(arguments);
  }
}
