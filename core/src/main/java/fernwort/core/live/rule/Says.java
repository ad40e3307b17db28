package fernwort.core.live.rule;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Rule: when something holds for long enough, it does this, and puts back that.
  SAY_WHEN("Say when the rule begins: give at least one test"),
  SAY_WHAT_IT_DOES("Say what the rule does: give at least one step"),
  SAY_UNTIL_WHEN("Say until when the rule waits: give at least one test"),
  SAY_ONE_OF_WHICH(
      "Say which of the tests has to hold: give at least one, and none inside another"),
  SAY_HOW_LONG("Say how long the rule waits, in seconds, up to {} hours"),
  TOO_MANY_STEPS("A rule has at most {} tests and steps of each sort; take some away"),
  SAY_AT_MOST("Say how long the rule may take at most, in seconds, up to {} hours"),
  HAS_NO_MOTOR("{} has no motor, so no rule can turn it; choose a motor valve or a pump"),
  A_TEST_HAS_NUMBERS("The test of “{}” needs an amount, and a margin and time not below 0"),
  THERE_IS_NO_SIGNAL("The rig has no signal “{}”; add it on Devices first"),
  THE_SIGNAL_IS_OF_ANOTHER_FORM(
      "“{}” is another sort of signal; test it as on or off, or by amount"),

  // RuleFault: one thing that goes wrong while a rule is tried.
  NOTHING_GOES_WRONG("nothing else goes wrong"),
  A_SENSOR_STICKS("a sensor sticks"),
  A_SENSOR_DRIFTS("a sensor drifts"),
  A_SENSOR_FALLS_SILENT("a sensor falls silent"),
  A_MOTOR_STICKS("a motor sticks"),
  A_TAP_IS_LEFT_OPEN("a tap is left open"),
  THE_POWER_FAILS("the power fails"),
  THE_LINK_IS_LOST("the link is lost"),
  FERNWORT_STOPS("Fernwort stops and starts again"),

  // RuleProof: tries a rule on the simulated rig before it may act.
  IS_AT("{}: {}"),
  THE_RULE_BEGINS("The rule begins"),
  THE_RULE_ENDS("The rule has ended"),
  THE_RULE_IS_BROKEN_OFF("The rule is broken off and puts safe what it can"),
  IT_TURNS("It turns {}"),

  // RulePurpose: what a rule is for and did not come about, after "when nothing else goes wrong,".
  IT_DRAWS_AIR_BEFORE("{} draws air before the rule begins; set its mark higher"),
  IT_DRAWS_AIR_AFTER("{} still draws air when the rule is done; see what it turns, and which way"),
  NOTHING_COMES_BEFORE("no more water comes at {} before the rule begins; set its mark higher"),
  NOTHING_COMES_AFTER(
      "no water comes at {} when the rule is done, though {} has some; see what it turns"),
  IT_FILLS_ON("{} goes on filling when the rule is done; see which valve it turns"),
  IT_COMES_STILL("water still comes at {} when the rule is done; see which valve it turns"),

  // ReadyRules: rules made from what a rig can do.
  NO_LEVEL_OF("There is no level sensor on {}; add one on Devices first"),
  NO_LEAK_SENSOR("There is no leak sensor; add one on Devices first"),
  NO_TEMPERATURE("There is no temperature sensor; add one on Devices first"),
  A_HAND_IS_NEEDED("{} is turned by hand, so no rule can do this job"),
  HANDS_DO_THIS("Hands are needed for this job: {}"),
  THE_JOB_TURNS_NOTHING("The job turns nothing as things are; close all first, then make the rule"),
  OPEN_A_TAP_UNTIL_NO_AIR("Changed to {}. Open a cold tap until no air comes, then a hot one."),
  HOT_WATER_IS_AT_THE_TAPS("Hot water is in the loop. The loop pump is off."),
  THE_FROST_DRAIN_IS_OPEN("{} is open for the frost. Close it before you fill or pump."),
  NOTHING_TO_SHUT("This rig has no motor valve and no pump that can be switched");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
