package fernwort.core.kind.line;

import fernwort.core.id.PortId;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Position;
import java.util.List;
import java.util.Optional;

/** A fitting with a seat that a spring or disc shuts: water passes it one way. */
public interface Seated extends Fitting {

  @Override
  default List<PortId> ports() {
    return IN_OUT;
  }

  @Override
  default List<Position> service() {
    return FITTED;
  }

  @Override
  default Keeps keeps() {
    return Keeps.ALL;
  }

  @Override
  default Frost frost() {
    return Frost.CRACKS;
  }

  @Override
  default boolean blowsClear() {
    return true;
  }

  @Override
  default String frozen(boolean little) {
    return KindWords.BEFORE_SEAT.text();
  }

  @Override
  default String fix() {
    return KindWords.BURST_OF_AIR_OR_UNDO.text();
  }

  @Override
  default Optional<String> wayRound() {
    return Optional.of(KindWords.ARROW.text());
  }

  @Override
  default PortEnd end(PortId port) {
    return PortEnd.FEMALE_THREAD;
  }
}
