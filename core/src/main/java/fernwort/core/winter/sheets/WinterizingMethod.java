package fernwort.core.winter.sheets;

import java.util.Optional;
import java.util.stream.Stream;

/** The ways people take a rig through the winter. */
public enum WinterizingMethod {
  FALL(
      "Drain by gravity",
      "No tools, nothing to buy. Low spots keep what the list says.",
      "Pipes that fall to drains, an hour's time, no compressor."),
  AIR(
      "Drain and blow out",
      "Clears low spots and check valves. Needs a compressor or a strong hand pump, and patience.",
      "Pipes with low spots. Watch the pressure."),
  ANTIFREEZE(
      "Drain and antifreeze",
      "Pump, valves and traps are safe to a known cold. Costs antifreeze, and flushing in spring.",
      "Pumps that must not run dry, hard winters, no compressor."),
  MIX(
      "Combined",
      "Pipes by gravity or air, traps with antifreeze or open; nothing in the drinking lines.",
      "Most rigs: pipes that fall, traps that cannot be opened.");

  private final String title;
  private final String gives;
  private final String whom;

  WinterizingMethod(String title, String gives, String whom) {
    this.title = title;
    this.gives = gives;
    this.whom = whom;
  }

  /** Returns the method whose name in an address this is, if there is one. */
  public static Optional<WinterizingMethod> named(String name) {
    return Stream.of(values()).filter(m -> m.name().equalsIgnoreCase(name)).findFirst();
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
