package fernwort.core.winter.sheets;

/** The ways people take a rig through the winter. */
public enum WinterizingMethod {
  FALL(
      "By fall, everything left open",
      "No tools and nothing to buy. Low spots and bodies keep what the list says.",
      "Rigs whose lines fall to drains, people who have an hour and no compressor."),
  AIR(
      "Drained, then blown out",
      "Clears low spots and check valves. Needs a compressor or a strong hand pump, and patience.",
      "Lines with low spots; mind the pressure."),
  ANTIFREEZE(
      "Drained, then filled with antifreeze",
      "Pump, valves and traps are safe to a known cold. Costs jugs, and flushing in spring.",
      "Pumps that do not run dry, hard winters, no compressor."),
  MIX(
      "A mix: drained, and antifreeze where it helps",
      "Chosen above: lines by fall or blown, traps with a cup or open; nothing in drinking lines.",
      "Most rigs: lines that fall, traps that cannot be opened.");

  private final String title;
  private final String gives;
  private final String whom;

  WinterizingMethod(String title, String gives, String whom) {
    this.title = title;
    this.gives = gives;
    this.whom = whom;
  }

  /** Returns what it is called. */
  public String title() {
    return title;
  }

  /** Returns what it gives and takes. */
  public String gives() {
    return gives;
  }

  /** Returns for whom it is. */
  public String whom() {
    return whom;
  }
}
