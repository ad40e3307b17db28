package fernwort.core.kind.end;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // GravityFiller: a neck with a cap, into which water is poured.
  CAP_ON("cap on"),
  CAP_OFF("cap off"),

  // HoseInlet: where a hose from outside is joined: a tap under pressure, or water that something
  // must draw.
  HOSE_ON_TAP_CLOSED("hose on, tap closed"),
  HOSE_FROM_A_TAP("hose from a tap"),
  HOSE_IN_OUTSIDE_WATER("hose in outside water"),
  CAP_OFF_NO_HOSE("cap off, no hose"),

  // OpenEnd: the free end of a line.
  DUMP_HOSE_TO_THE_DRAIN("dump hose to the drain"),

  // PortableContainer: a jug, can or bladder that is carried to the rig.
  HELD_AND_POURING("held and pouring"),

  // Tap: what people take water from: it has a supply of cold water, maybe of hot, and maybe a
  // waste.
  OPEN_COLD("open, cold"),
  OPEN_MIXED("open, mixed"),
  OPEN_HOT("open, hot");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
