package fernwort.core.build.remove;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // ApartWords: what is said to somebody who takes parts out: what to mind, what to renew, which
  // way round.
  A_CLAMP_CUT_THE_HOSES_END_FRESH("a clamp; cut the hose's end fresh"),
  THE_O_RING_OF_THE_PUSH_FIT("the O-ring of the push-fit; the tube's end smooth and square"),
  CEMENTED_IT_IS_CUT_AND_JOINED("cemented: it is cut, and joined with a new socket"),
  ITS_WASHER_OR_TAPE("its washer or tape"),
  STAYS_OPEN_NO_JOINT_SPITS("{} stays open: no joint spits, and air comes in above what runs out"),
  IN_IT_AS_IT_STANDS_TWO_PEOPLE(
      "{}: {} in it as it stands. Two people or a jack under it; never under a vehicle on a jack"
          + " alone."),
  EDGES_OF_CUT_TUBE_AND_CLAMPS(
      "Edges of cut tube and clamps are sharp: gloves. Ends capped at once, against dirt as much"
          + " as against drips."),

  // TakeApart: how to take parts out: what to switch off and shut, what to empty, the joints in
  // the order of undoing with the litres that come at each, and how it goes together again.
  CHOOSE_WHAT_HAS_TO_COME("Choose what has to come out; a line must lead from it to what stays"),
  THAT_IS_JOINTS_REMOVE("That is {} joints; remove it in parts of up to {}, one place at a time"),

  // Undoing: rigs some of whose joints stand apart: each half open to the air where it was, or
  // capped.
  UNDONE_END("Undone end");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
