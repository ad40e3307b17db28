package fernwort.core.live.rule;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.live.Value;
import fernwort.core.network.Turn;
import java.util.Optional;

/** What a rule can see: the real signals and motors, or simulated ones. */
public interface Sight {

  /** Returns what a signal tells; nothing where it cannot be trusted. */
  Optional<Value> value(String signal);

  /** Returns the position in which a handle is, as far as anybody knows. */
  PositionId position(PartId part);

  /** Tells whether a motor is on its way to another position than this one; none by itself. */
  default boolean leaves(Turn turn) {
    return false;
  }

  /** Tells whether a motor that was told to move has failed to arrive. */
  boolean failed(PartId part);
}
