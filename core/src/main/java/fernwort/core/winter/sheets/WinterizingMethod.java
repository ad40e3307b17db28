package fernwort.core.winter.sheets;

import java.util.Optional;
import java.util.stream.Stream;

/** The ways people take a rig through the winter. */
public enum WinterizingMethod {
  FALL(
      "gravity",
      Says.DRAIN_BY_GRAVITY.text(),
      Says.NO_TOOLS_NOTHING_TO_BUY_LOW.text(),
      Says.PIPES_THAT_FALL_TO_DRAINS.text()),
  AIR(
      "blow-out",
      Says.DRAIN_AND_BLOW_OUT.text(),
      Says.CLEARS_LOW_SPOTS_AND_CHECK.text(),
      Says.PIPES_WITH_LOW_SPOTS_WATCH.text()),
  ANTIFREEZE(
      "antifreeze",
      Says.DRAIN_AND_ANTIFREEZE.text(),
      Says.PUMP_VALVES_AND_TRAPS_ARE_SAFE.text(),
      Says.PUMPS_THAT_MUST_NOT_RUN_DRY_HARD.text()),
  MIX(
      "combined",
      "Combined",
      Says.PIPES_BY_GRAVITY_OR_AIR_TRAPS.text(),
      Says.MOST_RIGS_PIPES_THAT_FALL_TRAPS.text());

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
