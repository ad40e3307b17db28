package fernwort.app.api;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // DrillApiController: jobs to practise.
  NAME_THE_FAULT(
      "Say what is wrong: fault with part and fault, as the call that finds faults has them"),
  NOTHING_IS_HIDDEN(
      "Only in find is something looked at: give kind and part, as the fault call does"),
  AN_ACT_TURNS_OR_WAITS("Each act needs part and position, or seconds to wait"),
  SO_MANY_ACTS("Give {} acts at most"),
  A_WAIT_IS_WITHIN_A_DAY("A wait is from 0 to 86400 seconds"),

  // FaultApiController: what is wrong with a rig, from what was seen.
  AN_OBSERVATION_NEEDS("Each observation needs kind, part and value"),
  SEEN_WITHIN_A_DAY("seconds is from 0 to 86400"),
  SO_MANY_OBSERVATIONS("Give {} observations at most"),
  NOT_SURE("not sure"),

  // ApiController: what the pages show and do, as JSON in SI units.
  THE_FIELD_POSITION_IS_MISSING("The field “position” is missing; name one of the part"),
  THE_FIELD_UNIT_IS_MISSING("The field “unit” is missing; give percent, litres, stick or steps"),
  THE_FIELD_AMOUNT_IS_NOT_A_NUMBER("The field “amount” is not a number that a tank can hold"),

  // ApiProblems: errors as JSON: a sentence, and for a rig file every fault with its fix.
  THE_FILE_WAS_NOT_IMPORTED("The file was not imported; nothing was changed."),
  THE_FIELD_IS_MISSING("The field “{}” is missing or of another kind than asked for; see /api."),
  THE_BODY_IS_NOT_JSON_AT_LINE("The body is not JSON at line {}, column {}."),
  THE_BODY_IS_NOT_THE_JSON("The body is not the JSON that is asked for; see /api."),
  SEND_JSON_WITH_CONTENT_TYPE("Send JSON, with Content-Type: application/json."),

  // BuildApiController: building as JSON in SI units: ends, holes, supports, lists, taking apart,
  // the check.
  UNITS_ARE_METRIC_OR_US("“{}” is not a choice of units; give metric or us"),
  IS_NOT_A_TANK_NAME("{} is not a tank; name one of the rig's tanks"),
  THE_STOCK_IS_FROM_0_TO_1000(
      "The stock is from 0 to 1000 m long and a cut takes less than 0.1 m; check both"),
  MUST_BE_A_TAP_WITH_A_FLOW("{} must be a tap, with a flow above 0"),
  NO_TAP_OF_THIS_RIG_RUNS("No tap of this rig runs by itself, so there is nothing to fit"),
  NAME_THE_PARTS_THAT_COME("Name the parts that come out, as \"out\": [\"pump\"]"),

  // ColdController: what stays in a rig that is drained.
  A_PROCEDURE_HAS_AT_MOST_STEPS("A procedure has at most {} steps; split it"),
  IS_NOT_A_TANK_NAME_TANKS("{} is not a tank; name tanks to be empty"),
  THERE_IS_NO_METHOD_USE_GRAVITY(
      "There is no method \"{}\"; use gravity, blow-out, antifreeze or combined"),

  // ColdSumsController: the sums of winter without a rig: antifreeze, frost, doses.
  THE_FIELD_CHAIN_LITRES_NEEDS("The field “chain_litres” needs from 1 to 500 elements"),
  AN_ELEMENT_IS_A_LINE("An element is a “line” or a “body”, not “{}”"),
  THE_FIELDS_HOURS_AND_OUTSIDE_C(
      "The fields “hours” and “outside_c” need from 2 to 500 numbers each"),
  THE_FIELD_LIES_BETWEEN_AND("The field “{}” lies between {} and {}"),

  // LogApiController: the log of water, and what is learnt from it.
  THE_FIELD_KIND_IS_MISSING("The field “kind” is missing or unknown; give one of {}"),
  THE_FIELD_TANK_IS_MISSING_NAME("The field “tank” is missing; name one of the rig's tanks: {}"),
  THE_FIELD_IS_MISSING_THIS_KIND("The field “{}” is missing; this kind needs it"),
  THE_LOG_HAS_NO_KIND("The log has no kind “{}”"),

  // Overlay: what a question takes to be otherwise than recorded; nothing of it is kept.
  NO_VEHICLE_IS_PARKED("No vehicle is parked at more than %.0f°; check pitch and roll"),
  IS_NOT_A_TANK_GIVE_LITRES("{} is not a tank; give litres of tanks only"),
  HOLDS_FROM_0_TO_GIVE_ITS_LITRES("{} holds from 0 to {}; give its litres"),

  // RunAsked: a run in time that a program asks for: an overlay, with how long and what hands do
  // meanwhile.
  AN_ACT_LACKS_ITS_PART("An act lacks its “part” or its “position”; give both"),
  THE_FIELD_SECONDS_IS_MISSING("The field “seconds” is missing or out of range; give up to %.0f"),
  TOO_MANY_ACTS_GIVE_UP_TO("Too many acts; give up to {}"),
  AN_ACT_IS_OUTSIDE_THE_RUN("An act is outside the run; give “at” from 0 to “seconds”"),
  EVERY_MAKES_MORE_THAN_SAMPLES("“every” makes more than {} samples; give a longer time"),

  // LiveApiController: a signal's past as a table.
  SPAN_S("span (s)");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
