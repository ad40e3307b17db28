package fernwort.core.fault;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What can be looked at, and what can be seen there. */
public enum Look {
  WATER("none", "weak", "normal", "spitting", "runs"),
  WARMTH("cold", "lukewarm", "hot"),
  PUMP("silent", "runs", "starts-again", "hums", "trips"),
  LEVEL("falls", "steady", "rises", "jumps"),
  DRAIN("normal", "slow", "backs-up", "gurgles", "smells"),
  WET("dry", "wet"),
  BUCKET("none", "weak", "normal"),
  DIP("as-shown", "emptier", "fuller"),
  HANDLE(),
  POWER("yes", "no"),
  INSPECT();

  private final List<String> values;

  Look(String... values) {
    this.values = List.of(values);
  }

  /** Returns what can be seen; nothing where that depends on the part. */
  public List<String> choices() {
    return values;
  }

  /** Tells whether it is a look at one part, and not at what the rig does. */
  boolean isOfOne() {
    return this == INSPECT || this == HANDLE || this == DIP || this == POWER || this == BUCKET;
  }

  /** Returns its name as programs write it. */
  public String written() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Returns the look of this name, if there is one. */
  public static Optional<Look> of(String written) {
    return Arrays.stream(values()).filter(l -> l.written().equals(written)).findFirst();
  }
}
