package fernwort.core.network;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * A walk along the lines of a rig, whichever way water runs and however the handles stand: from
 * ports outward, on through some parts and up to the others. O(V + E).
 */
public final class Walk {

  private final Map<PortRef, Line> lines;
  private final Map<PartId, Part> parts;
  private final Predicate<Part> passes;

  /**
   * Prepares walks.
   *
   * @param rig the rig, which may be half built
   * @param passes the parts that a walk goes on through
   */
  public Walk(Rig rig, Predicate<Part> passes) {
    lines = rig.linesByPort();
    parts = rig.partsById();
    this.passes = passes;
  }

  /** One line of a walk, with the end at which it comes to a part. */
  private record Met(Line line, PortRef far) {}

  /** Returns the ids of the lines that are met from some ports, the nearest first. */
  public Set<LineId> lines(Collection<PortRef> from) {
    Set<LineId> ids = new LinkedHashSet<>();
    met(from).forEach(m -> ids.add(m.line().id()));
    return ids;
  }

  /** Returns the ids of the parts that the lines from some ports come to, the nearest first. */
  public Set<PartId> parts(Collection<PortRef> from) {
    Set<PartId> ids = new LinkedHashSet<>();
    met(from).forEach(m -> ids.add(m.far().part()));
    return ids;
  }

  private Set<Met> met(Collection<PortRef> from) {
    Set<Met> met = new LinkedHashSet<>();
    Set<PortRef> seen = new LinkedHashSet<>(from);
    Deque<PortRef> front = new ArrayDeque<>(from);
    while (!front.isEmpty()) {
      PortRef port = front.remove();
      @Nullable Line line = lines.get(port);
      if (line == null) {
        continue;
      }
      PortRef far = line.other(port);
      met.add(new Met(line, far));
      for (PortRef next : onward(far)) {
        if (seen.add(next)) {
          front.add(next);
        }
      }
    }
    return met;
  }

  private List<PortRef> onward(PortRef far) {
    @Nullable Part part = parts.get(far.part());
    return part == null || !passes.test(part)
        ? List.of()
        : part.kind().ports().stream().map(part::port).toList();
  }
}
