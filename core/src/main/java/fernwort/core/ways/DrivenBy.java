package fernwort.core.ways;

import fernwort.core.id.PartId;
import java.util.Optional;

/**
 * What moves water along a way.
 *
 * @param kind mains pressure, a pump, or a fall
 * @param pump id of the pump, when it is one
 */
public record DrivenBy(Kind kind, Optional<PartId> pump) {

  /** The sorts of drive. */
  public enum Kind {
    MAINS,
    PUMP,
    FALL
  }

  static final DrivenBy MAINS = new DrivenBy(Kind.MAINS, Optional.empty());
  static final DrivenBy FALL = new DrivenBy(Kind.FALL, Optional.empty());

  static DrivenBy pump(PartId id) {
    return new DrivenBy(Kind.PUMP, Optional.of(id));
  }
}
