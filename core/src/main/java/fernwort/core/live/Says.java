package fernwort.core.live;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Signal: one property of a device, bound to one thing of a rig.
  NO_SUCH_KIND("“{}” is no kind of signal; the kinds are {}"),
  A_NAME_IS_LETTERS(
      "“{}” cannot be the name of a signal; use letters, digits, dots and dashes, at most {}"),
  GIVE_THE_TOPIC("Give the topic that the device writes to, at most {} characters"),
  A_TOPIC_WITH_WILDCARDS("“{}” has a wildcard; give the whole topic without # and +"),
  A_TOPIC_OF_THE_BROKER("“{}” belongs to the broker; give the topic of a device"),
  CANNOT_BE_TOLD("{} cannot be told to move; bind its motor on Devices first"),
  SENDS_NOTHING_FOR("Nothing is sent for “{}” of {}; give its text on Devices"),
  A_POINTER_BEGINS_WITH("“{}” is no JSON pointer; it begins with /, such as /wet"),
  THE_POINTER_IS_TOO_LONG("The JSON pointer is too long; the most is {} characters"),
  THE_SCALE_MUST_BE_A_NUMBER("Scale and offset must be numbers, and the scale not 0"),
  SAY_WHAT_IS_SENT_FOR("Say what is sent for “{}”, in at most {} characters"),
  TWO_POSITIONS_SEND_THE_SAME("Two positions send the same text; give each its own"),
  A_MARK_IS_AN_AMOUNT(
      "A mark must be an amount that a sensor can tell; “{}” has none, or the mark is beyond it"),
  THE_LOWER_MARK_LIES_UNDER("The lower mark must lie under the upper one; change one"),
  CANNOT_TELL_OF("A signal of kind “{}” cannot be of this: {}; see which kind fits"),
  THE_RIG_HAS_NO_LINE("The rig has no line “{}”; check its id"),
  IS_NOT_A_TANK("{} is not a tank; choose a tank"),
  SAY_HOW_HIGH_THE_SWITCH_IS("Say how high the float switch is above the inside floor of {}"),
  IS_NOT_A_PUMP("{} is not a pump; choose a pump"),
  HAS_NO_POSITIONS("{} has no positions; choose a valve or a switch"),
  HAS_NO_MOTOR("{} has no motor in this rig; give it one in Rig first"),
  HAS_NO_POSITION("{} has no position “{}”; use the ids of its positions"),

  // AlarmWatch: finds what is a reason for an alarm.
  LEAK("Water at {}"),
  FRESH_FULL("{} is full and still filling"),
  ABOVE_MARK("{} is up to {}, at or over your mark"),
  BELOW_MARK("{} is down to {}, at or under your mark"),
  GRAY_HIGH("{} is nearly full: {}"),
  PUMP_LONG("{} runs on and no tap is open"),
  PUMP_AIR("{} draws air"),
  FROST("{} is near freezing: {}"),
  VALVE_FAILED("{} did not reach “{}”"),
  SIGNAL_LOST("Sensor “{}” tells nothing any more"),
  LINK_LOST("No link to the sensors"),
  LEVEL_FALLS("{} has lost {} with everything closed"),
  RISES_THOUGH_CLOSED(
      "{} has risen by {}, though nothing that is open leads into it. See whether a handle is not "
          + "as noted; if all are, its sensor drifts"),
  FLOWS_THOUGH_CLOSED(
      "{} carries {}, though nothing open leads there. See whether a handle is not as noted; if all "
          + "are, look for a leak"),
  MOVED_WITHOUT_A_COMMAND(
      "{} says “{}”, though it was told “{}” and had arrived. Somebody turned it by hand, it lost "
          + "power, or another program moved it"),
  LEVEL_STANDS_THOUGH_DRAWN(
      "{} stands still, though {} went through {}. Its level sensor sticks, or another tank is "
          + "open"),
  RULE_BROKEN_OFF("Rule “{}” was broken off"),
  OUTSIDE("Outside"),

  // AlarmCode: what an alarm is called where it is switched on or off.
  SWITCH_LEAK("Water where none should be"),
  SWITCH_FRESH_FULL("Fresh is full and still filling"),
  SWITCH_ABOVE_MARK("Up to a mark of your own"),
  SWITCH_BELOW_MARK("Down to a mark of your own"),
  SWITCH_GRAY_HIGH("Gray is nearly full"),
  SWITCH_PUMP_LONG("A pump runs on and no tap is open"),
  SWITCH_PUMP_AIR("A pump draws air"),
  SWITCH_FROST("Near freezing"),
  SWITCH_VALVE_FAILED("A motor did not arrive"),
  SWITCH_SIGNAL_LOST("A sensor tells nothing any more"),
  SWITCH_LEVEL_FALLS("A level falls with everything closed"),
  SWITCH_CONTRADICTION("Sensors and handles say different things"),
  SWITCH_RULE_BROKEN_OFF("A rule was broken off");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
