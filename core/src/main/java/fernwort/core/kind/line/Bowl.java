package fernwort.core.kind.line;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Link;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Position;
import java.util.List;
import java.util.Optional;

/** A fitting whose bowl screws off, to clean it and to let its water out. */
public interface Bowl extends Fitting {

  @Override
  default List<PortId> ports() {
    return IN_OUT;
  }

  @Override
  default List<Link> links(PositionId position) {
    return Link.both(0, 1, Link.Law.FREE);
  }

  @Override
  default List<Position> service() {
    return BOWL;
  }

  @Override
  default Keeps keeps() {
    return Keeps.UNTIL_OFF;
  }

  @Override
  default Optional<PositionId> drained() {
    return Optional.of(OFF);
  }

  @Override
  default Frost frost() {
    return Frost.CRACKS_WHEN_FULL;
  }

  @Override
  default String frozen(boolean little) {
    return KindWords.BOWL_FULL.text();
  }

  @Override
  default List<String> takenOut() {
    return List.of(KindWords.BUCKET_FOR_BOWL.text());
  }

  @Override
  default Optional<String> wayRound() {
    return Optional.of(KindWords.ARROW.text());
  }

  @Override
  default boolean appliance() {
    return true;
  }

  @Override
  default PortEnd end(PortId port) {
    return PortEnd.THREAD;
  }

  @Override
  default String act(String label, PositionId from, PositionId to) {
    return switch (to.value()) {
      case "on" -> KindWords.BOWL_ON.with(label);
      case "off" -> KindWords.BOWL_OFF.with(label);
      default -> Fitting.super.act(label, from, to);
    };
  }
}
