package fernwort.core.jobs.goal;

import fernwort.core.plumbing.End;
import fernwort.core.ways.DrivenBy;
import fernwort.core.ways.Source;
import fernwort.core.ways.Turns;
import fernwort.core.ways.Way;
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
public record Need(Source source, End end, Set<DrivenBy.Kind> drives, Optional<String> via) {

  public Need {
    drives = Set.copyOf(drives);
  }

  /** Asks for water from a source to an end, driven in one of some ways. */
  public static Need of(Source source, End end, Set<DrivenBy.Kind> drives) {
    return new Need(source, end, drives, Optional.empty());
  }

  /** Tells whether a way is the one asked for. */
  public boolean isMetBy(Way way) {
    return way.source().equals(source)
        && way.end().equals(end)
        && drives.contains(way.drive().kind())
        && via.map(way.parts()::contains).orElse(true);
  }

  /** Returns whether a pump is on the way. */
  public Turns.Pumped pumped() {
    if (!drives.contains(DrivenBy.Kind.PUMP)) {
      return Turns.Pumped.NO;
    }
    return drives.size() == 1 ? Turns.Pumped.YES : Turns.Pumped.EITHER;
  }
}
