package fernwort.core.ways;

import fernwort.core.id.LineId;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import java.util.AbstractMap;
import java.util.AbstractSet;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** The lines in which water moves, true when from the line's first end to its second. */
final class Moving extends AbstractMap<LineId, Boolean> {

  private final Network network;
  private final int[] directions;

  /**
   * Makes the map of what moves.
   *
   * @param directions of each line, in the order of the rig: 1 from its first end, −1 to it, 0
   *     where its water stands; not to be changed from then on
   */
  Moving(Network network, int[] directions) {
    this.network = network;
    this.directions = directions;
  }

  @Override
  public @Nullable Boolean get(@Nullable Object id) {
    int direction =
        id instanceof LineId line && network.has(line) ? directions[network.lineNumber(line)] : 0;
    return direction == 0 ? null : direction > 0;
  }

  @Override
  public boolean containsKey(@Nullable Object id) {
    return get(id) != null;
  }

  @Override
  public Set<Map.Entry<LineId, Boolean>> entrySet() {
    return new AbstractSet<>() {
      @Override
      public Iterator<Map.Entry<LineId, Boolean>> iterator() {
        List<Line> lines = network.rig().lines();
        return moving().mapToObj(i -> Map.entry(lines.get(i).id(), directions[i] > 0)).iterator();
      }

      @Override
      public int size() {
        return (int) moving().count();
      }
    };
  }

  private IntStream moving() {
    return IntStream.range(0, directions.length).filter(i -> directions[i] != 0);
  }
}
