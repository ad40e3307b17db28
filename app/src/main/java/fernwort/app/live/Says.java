package fernwort.app.live;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // SignalText: a signal as programs and the database write it.
  SAY_WHAT_IT_TELLS_OF("Say what “{}” is of: give part, place, line or tray"),
  A_LEVEL_IS_TOLD_AS("A level is told as volume, height, share or raw, not as “{}”"),

  // LiveEvents: tells pages and programs what changes.
  TOO_MANY_WATCH("{} pages watch this rig already; close one"),

  // LiveDesk: what is bound, told and commanded.
  NO_ANSWER_IN_TIME("Live is busy and did not answer in time; nothing was done, try again"),
  BEGUN_AND_NOT_DONE("Live has begun and is not done yet; look again in a moment"),
  THERE_IS_NO_SIGNAL("The rig has no signal “{}”; see which there are"),
  THERE_IS_NO_ALARM("There is no such alarm; it may be over"),
  SO_MANY_SIGNALS("A rig can have {} signals; take one away first"),
  NO_CONNECTION_AT_ALL("There is no connection to the broker; do it by hand, or see Devices"),
  NO_CONNECTION("There is no connection to the broker; turn {} by hand"),
  QUIET_FOR("Quiet can be from 1 minute to a day; choose a time"),
  SEEN_BY_THE_SENSOR("seen by the level sensor"),
  ALARM_SEEN("Alarm seen: {}, since {}"),
  // RuleText: a rule as programs and the database write it.
  A_TEST_IS_OF("A test needs a signal with above, below or is, or a part with its position"),
  A_LIST_HAS_A_HOLE("A list of the rule has an empty place; take it out"),
  THE_RULE_HAS_NO_BUTTON("“{}” has no button, or is off; see what it waits for"),
  IT_COULD_NOT_BEGIN(
      "It could not begin: another rule is at work on the same parts, or not all it needs is so"),
  A_MOVE_IS("A step that turns something needs the part as turn and its position as to"),

  // RuleBook: the rules of one rig as they go on.
  IT_WOULD_TURN("It would turn {}"),
  TURNS("{} to “{}”"),
  TRY_IT_ANEW("the rig or its sensors changed since it was tried; let it act anew"),
  THE_RULE_HAS_BEGUN("It has begun"),
  THE_RULE_HAS_ENDED("It has ended"),
  BROKEN_OFF_SIGNAL("Broken off: a sensor cannot be trusted any more"),
  BROKEN_OFF_BECAUSE("Broken off: {}"),
  BROKEN_OFF_MOTOR("Broken off: a motor did not arrive, or could not be told to move"),
  BROKEN_OFF_TIME("Broken off: it took longer than it may"),
  BROKEN_OFF_STOP("Broken off: it was stopped in the middle"),
  BROKEN_OFF_LEAK("Broken off: a leak was told, and that comes first"),
  THERE_IS_NO_RULE("The rig has no rule “{}”; see which there are"),
  A_RULE_IS("A rule is off, tells or live, not “{}”"),
  IT_STAYS("“{}” stays at tells only: {}"),
  IT_NEVER_CAME_TO_ITS_END(
      "in the simulation it never came to its end; see what else has to be open"),
  IT_ENDS_IN_HARM("when {}, {}"),
  IT_CANNOT_BE_TRIED("a signal that it watches cannot be tried in the simulation"),
  THE_RULE_SAYS("Rule “{}”: {}"),

  // BrokerSettings: where the broker is, and who may connect.
  GIVE_THE_ADDRESS("Give the address of the broker, such as mqtt://192.168.1.20"),
  A_PASSWORD_IS_NO_LONGER("User and password can have {} characters each; shorten them"),
  THE_PASSWORD_CANNOT_BE_KEPT("The password cannot be kept in the data folder; check its room"),
  THE_CA_CANNOT_BE_READ(
      "That is no certificate (PEM); copy the text of your broker's CA file, with its first line");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
