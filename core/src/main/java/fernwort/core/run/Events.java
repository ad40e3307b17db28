package fernwort.core.run;

import fernwort.core.hydraulics.Flows;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** What begins and ends in a run: what is the case now, against when that was last asked. */
final class Events {

  private final Course course;
  private Set<Watch.Standing> standing;

  Events(Course course) {
    this.course = course;
    standing = look();
  }

  Events(Events other, Course course) {
    this.course = course;
    standing = other.standing;
  }

  /** Returns what has begun and ended since this was last asked. */
  List<Happening> changes() {
    course.remember();
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
        to.add(new Happening(course.time(), s.kind(), s.subject(), begins));
      }
    }
  }

  private Set<Watch.Standing> look() {
    Flows flows = course.flows();
    Set<Watch.Standing> found = new HashSet<>(course.watch.look(course.now(), flows, course.jugs));
    course
        .warmth
        .hot(course.now().setting())
        .forEach(h -> found.add(new Watch.Standing(Happening.Kind.HOT, h)));
    flows
        .fixtures()
        .forEach((fixture, q) -> {
          if (q > Rates.STILL && course.wastes.backsUp(fixture)) {
            found.add(new Watch.Standing(Happening.Kind.BACKS_UP, fixture));
          }
        });
    return found;
  }
}
