package fernwort.core.build.joints;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Adapter: a fitting that one can buy: between two forms.
  BULKHEAD_WITH_THREAD_FEMALE("bulkhead with {} {} thread, female"),
  CRIMP_FOR_PEX("crimp for {} PEX tube"),
  BARB_FOR_HOSE("barb for {} hose"),
  TAIL_FOR_HOSE("tail for {} hose"),
  FOR_TUBE("{} for {} tube"),
  GROMMET_FOR("grommet for {}"),
  NOTHING_TO_JOIN("nothing to join"),
  BSP_PARALLEL("BSP parallel"),
  BSP_TAPERED("BSP tapered"),
  GARDEN_HOSE("garden hose"),

  // BuyList: all that has to be bought for a rig: parts, fittings, adapters, clamps, seals,
  // cement, tape, tools, and hose by the metre.
  CRIMP_RING_FOR("crimp ring for {} PEX tube"),
  CRIMP_TOOL_WITH_ITS_GAUGE("crimp tool with its gauge"),
  PLUG_FOR_AN_OPENING("plug for an opening"),
  AS_ITS_LINE("as its line"),
  HOSE_CLAMP_STAINLESS_FOR("hose clamp, stainless, for {}"),
  FLAT_WASHER_FOR_A_PARALLEL("flat washer for a parallel thread"),
  CEMENT_AND_CLEANER_FOR("cement and cleaner for {}"),
  PTFE_TAPE_FOR_DRINKING_WATER("PTFE tape for drinking water"),
  MM_WIDE("{}, {} mm wide"),
  BOLT_WITH_NUT_WASHERS_AND_LOCK("bolt with nut, washers and lock, working load {} in pull"),
  HOLE_SAW("hole saw, {}"),
  TUBE_CUTTER_AND_DEBURRER("tube cutter and deburrer"),

  // JointCheck: what does not mate in a rig as somebody described its ends, and what would.
  NO_CHAIN_OF_ADAPTERS_IS_KNOWN("No chain of adapters is known from {} to {}"),
  MEASURE_BOTH_DESCRIBE_THEM("Measure both, describe them, or take a line of another size here"),
  PUT_BETWEEN_THEM("Put between them: {}"),
  NO_ADAPTER_IS_KNOWN_THAT_JOINS("No adapter is known that joins them: take another fitting"),
  IS_TIGHT_ON_IT_GOES("{} is tight on {}: it goes on when the hose is warmed in hot water"),
  NO_FLAME_IF_IT_WILL_NOT_GO("No flame. If it will not go on whole, take the right tail"),
  NO_CEMENT_HOLDS_ON_POLYETHYLENE("No cement holds on polyethylene or polypropylene: it comes off"),
  A_GROMMET_A_BULKHEAD("A grommet, a bulkhead, a compression fitting, or welded"),
  AND_WANT_CEMENTS_OF_THEIR_OWN("{} and {} want cements of their own"),
  A_THREADED_JOINT_BETWEEN_THEM("A threaded joint between them, or fittings of one plastic"),
  DOES_NOT_JOIN("{} does not join {}{}"),
  THE_FIRST_TURNS_GO(": the first turns go on, then it jams and leaks"),
  BOTH_ARE_THE_SAME_HALF(": both are the same half"),
  NO_CLAMP_MAKES_UP_FOR_A_TAIL(": no clamp makes up for a tail that small"),
  IT_SPLITS_THE_HOSE(": it splits the hose"),
  THE_SIZES_DIFFER(": the sizes differ"),
  PLAIN_BRASS_STANDS_IN_DRINKING(
      "Plain brass stands in drinking water: lead and zinc go into what stands in it overnight"),
  PLASTIC_STAINLESS_OR_BRASS_SOLD(
      "Plastic, stainless or brass sold as lead-free; local rules first"),
  TAPE_WHERE_A_RING_OR_WASHER(
      "Tape where a ring or washer seals already holds the joint off its ring"),
  LEAVE_THE_TAPE_OFF_THE_RING("Leave the tape off; the ring clean, greased with what water allows"),
  WHAT_LETS_OUT_PASSES(
      "What {} lets out passes {}, which can be closed: then nothing relieves the pressure"),
  LEAD_ITS_TUBE_BY_ITSELF_FALLING(
      "Lead its tube by itself, falling, to an end that nobody can close or cap"),
  THEN(", then ");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
