package fernwort.core.run;

import fernwort.core.hydraulics.Flows;
import fernwort.core.rig.State;
import fernwort.core.run.water.Rates;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What begins and ends in a run: what is the case now, against when that was last asked. */
final class Events {

  /** What begins so often within so long (s) flickers, as a level that hovers at a port does. */
  private static final int OFTEN = 4;

  private static final double WITHIN = 300;

  /** What flickers has ended once it has stayed away so long (s). */
  private static final double CALM = 60;

  /** What begins at the same moment. */
  private static final Comparator<EventMonitor.Standing> ORDER =
      Comparator.comparing(EventMonitor.Standing::kind)
          .thenComparing(EventMonitor.Standing::subject)
          .thenComparing(s -> s.port().value());

  /** How often something has begun since a time, and when it was last the case (s). */
  private record Flicker(int times, double since, double seen) {
    Flicker begins(double time) {
      return time - since > WITHIN
          ? new Flicker(1, time, time)
          : new Flicker(times + 1, since, time);
    }

    Flicker goesOn(double time) {
      return new Flicker(times, since, time);
    }

    boolean goesOnAt(double time) {
      return times >= OFTEN && time - seen < CALM;
    }
  }

  private final Progress progress;
  private final Map<EventMonitor.Standing, Flicker> flickers = new HashMap<>();
  private Set<EventMonitor.Standing> standing;

  Events(Progress progress) {
    this.progress = progress;
    standing = look();
    standing.removeIf(s -> s.kind().isHarm());
  }

  Events(Events other, Progress progress) {
    this.progress = progress;
    standing = other.standing;
    flickers.putAll(other.flickers);
  }

  /** Returns what has begun and ended since this was last asked; what flickers goes on. */
  List<Event> changes() {
    progress.remember();
    double time = progress.time();
    Set<EventMonitor.Standing> before = standing;
    standing = look();
    for (EventMonitor.Standing s : standing) {
      Flicker known = flickers.getOrDefault(s, new Flicker(0, time, time));
      flickers.put(s, before.contains(s) ? known.goesOn(time) : known.begins(time));
    }
    before.stream()
        .filter(s -> flickers.containsKey(s) && flickers.get(s).goesOnAt(time))
        .forEach(standing::add);
    List<Event> changes = new ArrayList<>();
    add(standing, before, true, changes);
    add(before, standing, false, changes);
    return changes;
  }

  /** Returns what is the case now, whenever it began. */
  List<Event> standing() {
    List<Event> now = new ArrayList<>();
    add(look(), Set.of(), true, now);
    return now;
  }

  /** Adds what is among those but not among others, in an order that no run changes. */
  private void add(
      Set<EventMonitor.Standing> those,
      Set<EventMonitor.Standing> but,
      boolean begins,
      List<Event> to) {
    those.stream()
        .filter(s -> !but.contains(s))
        .sorted(ORDER)
        .map(s -> new Event(progress.time(), s.kind(), s.subject(), begins))
        .forEach(to::add);
  }

  private Set<EventMonitor.Standing> look() {
    Flows flows = progress.flows();
    State now = progress.now();
    Set<EventMonitor.Standing> found = progress.watch.look(now, flows, progress.jugs);
    progress
        .warmth
        .hot(now.setting())
        .forEach(h -> found.add(new EventMonitor.Standing(Event.Kind.HOT, h)));
    progress
        .fronts
        .awaited(flows)
        .forEach(p -> found.add(new EventMonitor.Standing(Event.Kind.AWAITED, p)));
    flows
        .fixtures()
        .forEach((fixture, q) -> {
          if (q > Rates.STILL && progress.wastes.backsUp(fixture)) {
            found.add(new EventMonitor.Standing(Event.Kind.BACKS_UP, fixture));
          }
        });
    return found;
  }
}
