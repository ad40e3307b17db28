package fernwort.core.kind.line;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Position;
import java.util.List;

/**
 * One position of a valve handle and the ports that the body joins in it.
 *
 * @param id unique name within the valve
 * @param words how the handle looks, such as "across the pipe"
 * @param angle where the handle's free end points: 0 right, 90 up, seen from in front (degrees)
 * @param joins groups of ports that are joined to each other; a port in no group is shut
 */
public record Stop(PositionId id, String words, double angle, List<List<PortId>> joins) {

  public Stop {
    joins = joins.stream().map(List::copyOf).toList();
  }

  Position position() {
    return new Position(id, words);
  }
}
