package fernwort.core.jobs.goal;

import fernwort.core.id.PartId;
import fernwort.core.network.End;
import fernwort.core.ways.DrivenBy;
import fernwort.core.ways.FlowPath;
import fernwort.core.ways.HandleDistance;
import fernwort.core.ways.Source;
import java.util.Optional;
import java.util.Set;

/**
 * A way that a job needs.
 *
 * @param source where the water comes from
 * @param end where it goes
 * @param drives what may move it
 * @param via id of a part that it has to pass, if any
 */
public record Need(Source source, End end, Set<DrivenBy.Kind> drives, Optional<PartId> via) {

  public Need {
    drives = Set.copyOf(drives);
  }

  /** Asks for water from a source to an end, driven in one of some ways. */
  public static Need of(Source source, End end, Set<DrivenBy.Kind> drives) {
    return new Need(source, end, drives, Optional.empty());
  }

  /** Tells whether a way is the one asked for. */
  public boolean isMetBy(FlowPath way) {
    return way.source().equals(source)
        && way.end().equals(end)
        && drives.contains(way.drive().kind())
        && via.map(way.parts()::contains).orElse(true);
  }

  /** Returns whether a pump is on the way. */
  public HandleDistance.Pumped pumped() {
    if (!drives.contains(DrivenBy.Kind.PUMP)) {
      return HandleDistance.Pumped.NO;
    }
    return drives.size() == 1 ? HandleDistance.Pumped.YES : HandleDistance.Pumped.EITHER;
  }
}
