package fernwort.core.budget;

import fernwort.core.diary.Entry;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Contents;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.tank.TankFigures;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Entries as facts about one store of water, all its tanks together. Where a rig has several tanks,
 * a look into one counts with what the others held when somebody last looked, the less sure the
 * longer ago.
 */
final class Facts {

  /** What may have gone from a tank that nobody looked into (m³ a day, our estimate). */
  private static final double STALE = 0.015;

  private static final double DAY = 86_400;

  private final Plumbing plumbing;
  private final Slope slope;
  private final List<Part> tanks;
  private final List<Fact> facts = new ArrayList<>();
  private final Map<String, Fact.Seen> last = new HashMap<>();
  private final Set<String> read = new HashSet<>();

  private Facts(Plumbing plumbing, Contents contents, Slope slope) {
    this.plumbing = plumbing;
    this.slope = slope;
    tanks = plumbing.rig().tanks(contents).toList();
  }

  /**
   * Returns what entries tell about the fresh or the gray water of a rig.
   *
   * @param slope as it is parked, which decides what full and empty mean
   */
  static List<Fact> of(
      Plumbing plumbing, Contents contents, Slope slope, Collection<Entry> entries) {
    Facts found = new Facts(plumbing, contents, slope);
    List<Entry> order =
        entries.stream()
            .sorted(Comparator.comparing(Entry::at).thenComparing(e -> e.what().kind()))
            .toList();
    order.forEach(found::begin);
    order.forEach(found::take);
    return found.facts;
  }

  static double seconds(Instant at) {
    return at.getEpochSecond() + at.getNano() * 1e-9;
  }

  /** A tank held before the first look what that look showed. */
  private void begin(Entry entry) {
    if (entry.what() instanceof Entry.Reading reading && read.add(reading.tank())) {
      tank(reading.tank())
          .ifPresent(t -> last.putIfAbsent(t.id(), seen(t, seconds(entry.at()), reading)));
    }
  }

  private Optional<Part> tank(String id) {
    return tanks.stream().filter(t -> t.id().equals(id)).findFirst();
  }

  private Fact.Seen seen(Part tank, double at, Entry.Reading reading) {
    return GaugeDoubt.seen(plumbing, tank, at, reading.volume(), reading.reckoned());
  }

  private void take(Entry entry) {
    double at = seconds(entry.at());
    switch (entry.what()) {
      case Entry.Reading reading -> tank(reading.tank()).ifPresent(t -> read(at, t, reading));
      case Entry.Fill fill ->
          tank(fill.tank())
              .ifPresent(t ->
                  fill.volume().ifPresentOrElse(v -> add(at, t, v), () -> set(at, t, full(t))));
      case Entry.Haul haul -> tank(haul.tank()).ifPresent(t -> add(at, t, haul.volume()));
      case Entry.Dump dump ->
          tank(dump.tank())
              .ifPresent(
                  t -> dump.volume().ifPresentOrElse(v -> add(at, t, -v), () -> set(at, t, 0)));
      // After the last change of water it is drained, or filled by an entry of its own.
      case Entry.Sanitize _, Entry.Upkeep _, Entry.Note _ -> {}
      case Entry.People people -> {
        facts.add(new Fact.People(at, people.people()));
        people.perPersonDay().ifPresent(v -> facts.add(new Fact.Estimate(at, v)));
      }
      case Entry.Away away -> facts.add(new Fact.Away(at, seconds(away.until())));
    }
  }

  private void read(double at, Part tank, Entry.Reading reading) {
    Fact.Seen own = seen(tank, at, reading);
    last.put(tank.id(), own);
    double volume = total();
    double doubt = doubt(at);
    facts.add(
        reading.reckoned()
            ? new Fact.Set(at, volume, doubt)
            : new Fact.Seen(at, volume, doubt, own.coarse() && last.size() == 1));
  }

  private void set(double at, Part tank, double volume) {
    last.put(
        tank.id(),
        new Fact.Seen(at, volume, GaugeDoubt.FULL * plumbing.room(tank.id()).capacity(), false));
    facts.add(new Fact.Set(at, total(), doubt(at)));
  }

  private void add(double at, Part tank, double volume) {
    Fact.Seen before = last.get(tank.id());
    double doubt = GaugeDoubt.POURED * Math.abs(volume);
    if (before != null) {
      double holds = Math.clamp(before.volume() + volume, 0, full(tank));
      last.put(
          tank.id(), new Fact.Seen(before.at(), holds, Math.hypot(before.doubt(), doubt), false));
    }
    facts.add(new Fact.Added(at, volume, doubt));
  }

  private double full(Part tank) {
    TankFigures figures = TankFigures.of(plumbing.joined(tank), plumbing.room(tank.id()), slope);
    return figures.capacity() - figures.unreachable();
  }

  private double total() {
    return last.values().stream().mapToDouble(Fact.Seen::volume).sum();
  }

  private double doubt(double at) {
    double variance = 0;
    for (Fact.Seen seen : last.values()) {
      double stale = Math.min(seen.volume(), STALE * (at - seen.at()) / DAY);
      variance += seen.doubt() * seen.doubt() + stale * stale;
    }
    return Math.sqrt(variance);
  }
}
