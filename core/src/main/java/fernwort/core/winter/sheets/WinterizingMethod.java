package fernwort.core.winter.sheets;

import java.util.Optional;
import java.util.stream.Stream;

/** The ways people take a rig through the winter. */
public enum WinterizingMethod {
  FALL(
      "gravity",
      "Drain by gravity",
      "No tools, nothing to buy. Low spots keep what the list says.",
      "Pipes that fall to drains, an hour's time, no compressor."),
  AIR(
      "blow-out",
      "Drain and blow out",
      "Clears low spots and check valves. Needs a compressor or a strong hand pump, and patience.",
      "Pipes with low spots. Watch the pressure."),
  ANTIFREEZE(
      "antifreeze",
      "Drain and antifreeze",
      "Pump, valves and traps are safe to a known cold. Costs antifreeze, and flushing in spring.",
      "Pumps that must not run dry, hard winters, no compressor."),
  MIX(
      "combined",
      "Combined",
      "Pipes by gravity or air, traps with antifreeze or open; nothing in the drinking lines.",
      "Most rigs: pipes that fall, traps that cannot be opened.");

  private final String word;
  private final String title;
  private final String gives;
  private final String whom;

  WinterizingMethod(String word, String title, String gives, String whom) {
    this.word = word;
    this.title = title;
    this.gives = gives;
    this.whom = whom;
  }

  /** Returns the method that this word, or an older name, stands for in an address, if any. */
  public static Optional<WinterizingMethod> named(String name) {
    return Stream.of(values())
        .filter(m -> m.word.equals(name) || m.name().equalsIgnoreCase(name))
        .findFirst();
  }

  /** Returns its word in addresses and for programs. */
  public String word() {
    return word;
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
