package fernwort.core.fault;

import fernwort.core.id.ElementId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.fault.FaultKind;
import java.util.Optional;

/**
 * One thing that is wrong.
 *
 * @param on id of the part or line
 * @param kind what is wrong with it
 * @param position where it really stands, if it stands elsewhere than noted
 */
public record Fault(ElementId on, FaultKind kind, Optional<PositionId> position) {

  /** A fault that is not about where something stands. */
  public Fault(ElementId on, FaultKind kind) {
    this(on, kind, Optional.empty());
  }
}
