package fernwort.core.network;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import java.util.Objects;

/**
 * One turn of a handle, or one thing put somewhere.
 *
 * @param part id of the part
 * @param position the position that it comes to, of those in use or of {@link
 *     fernwort.core.kind.Kind#service}
 */
public record Turn(PartId part, PositionId position) {

  public Turn {
    Objects.requireNonNull(part, "part");
    Objects.requireNonNull(position, "position");
  }
}
