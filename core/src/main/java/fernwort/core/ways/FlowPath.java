package fernwort.core.ways;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.network.End;
import java.util.List;

/**
 * A way that water can move now.
 *
 * @param source where from
 * @param end where to
 * @param drive what moves it
 * @param parts ids of the parts it passes on its route with the fewest passages, ends included
 * @param lines ids of the lines on that route, in order
 */
public record FlowPath(
    Source source, End end, DrivenBy drive, List<PartId> parts, List<LineId> lines) {

  public FlowPath {
    parts = List.copyOf(parts);
    lines = List.copyOf(lines);
  }

  /** What makes two ways the same to people: from where to where, and driven by what. */
  public record Key(Source source, End end, DrivenBy drive) {}

  /** Returns source, end and drive, without the route. */
  public Key key() {
    return new Key(source, end, drive);
  }
}
