package fernwort.core.run;

import fernwort.core.hydraulics.Flows;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** What begins and ends in a run: what is the case now, against when that was last asked. */
final class Events {

  private final Progress progress;
  private Set<Watch.Standing> standing;

  Events(Progress progress) {
    this.progress = progress;
    standing = look();
    standing.removeIf(s -> s.kind().isHarm());
  }

  Events(Events other, Progress progress) {
    this.progress = progress;
    standing = other.standing;
  }

  /** Returns what has begun and ended since this was last asked. */
  List<Happening> changes() {
    progress.remember();
    Set<Watch.Standing> before = standing;
    standing = look();
    List<Happening> changes = new ArrayList<>();
    add(standing, before, true, changes);
    add(before, standing, false, changes);
    return changes;
  }

  private void add(
      Set<Watch.Standing> those, Set<Watch.Standing> but, boolean begins, List<Happening> to) {
    for (Watch.Standing s : those) {
      if (!but.contains(s)) {
        to.add(new Happening(progress.time(), s.kind(), s.subject(), begins));
      }
    }
  }

  private Set<Watch.Standing> look() {
    Flows flows = progress.flows();
    State now = progress.now();
    Set<Watch.Standing> found = progress.watch.look(now, flows, progress.jugs);
    progress
        .warmth
        .hot(now.setting())
        .forEach(h -> found.add(new Watch.Standing(Happening.Kind.HOT, h)));
    progress
        .fronts
        .awaited(flows)
        .forEach(p -> found.add(new Watch.Standing(Happening.Kind.AWAITED, p)));
    flows
        .fixtures()
        .forEach((fixture, q) -> {
          if (q > Rates.STILL && progress.wastes.backsUp(fixture)) {
            found.add(new Watch.Standing(Happening.Kind.BACKS_UP, fixture));
          }
        });
    return found;
  }
}
