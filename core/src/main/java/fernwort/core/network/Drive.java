package fernwort.core.network;

import java.util.Optional;

/**
 * What moves water along a way.
 *
 * @param kind mains pressure, a pump, or a fall
 * @param pump id of the pump, when it is one
 */
public record Drive(Kind kind, Optional<String> pump) {

  /** The sorts of drive. */
  public enum Kind {
    MAINS,
    PUMP,
    FALL
  }

  static final Drive MAINS = new Drive(Kind.MAINS, Optional.empty());
  static final Drive FALL = new Drive(Kind.FALL, Optional.empty());

  static Drive pump(String id) {
    return new Drive(Kind.PUMP, Optional.of(id));
  }
}
