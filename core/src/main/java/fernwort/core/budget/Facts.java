package fernwort.core.budget;

import fernwort.core.diary.Entry;
import fernwort.core.id.PartId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
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

  /** What may have gone from a tank that nobody looked into (m³ a person-day, our estimate). */
  private static final double STALE = 0.004;

  private final Network network;
  private final Slope slope;
  private final Crew crew;
  private final GaugeDoubt gauges;
  private final List<Part> tanks;
  private final List<Fact> facts = new ArrayList<>();
  private final Map<PartId, Fact.Seen> last = new HashMap<>();
  private final Map<PartId, Double> fulls = new HashMap<>();
  private final Set<PartId> read = new HashSet<>();

  /** When somebody looked last. */
  private double looked = Double.NaN;

  private Facts(Network network, Contents contents, Slope slope, Crew crew) {
    this.network = network;
    this.slope = slope;
    this.crew = crew;
    gauges = new GaugeDoubt(network);
    tanks = network.rig().tanks(contents).toList();
  }

  /**
   * Returns what entries tell about the fresh or the gray water of a rig, in order of time.
   *
   * @param slope as it is parked, which decides what full and empty mean
   * @param crew who is on board when
   */
  static List<Fact> of(
      Network network, Contents contents, Slope slope, Crew crew, Collection<Entry> entries) {
    Facts found = new Facts(network, contents, slope, crew);
    List<Entry> order =
        entries.stream()
            .sorted(
                Comparator.comparing(Entry::at)
                    .thenComparing(e -> e.what().kind())
                    .thenComparing(e -> e.what().toString()))
            .toList();
    order.forEach(found::begin);
    for (int i = 0; i < order.size(); ) {
      int j = i + 1;
      while (j < order.size() && order.get(j).at().equals(order.get(i).at())) {
        j++;
      }
      found.moment(order.subList(i, j));
      i = j;
    }
    return found.facts;
  }

  /** Returns who is on board when, by what was noted. */
  static Crew crew(DayShape shape, int people, Collection<Entry> entries) {
    List<Fact> facts = new ArrayList<>();
    for (Entry entry : entries) {
      switch (entry.what()) {
        case Entry.People w -> facts.add(new Fact.People(seconds(entry.at()), w.people()));
        case Entry.Away w -> facts.add(new Fact.Away(seconds(entry.at()), seconds(w.until())));
        case Entry.Reading _,
            Entry.Fill _,
            Entry.Dump _,
            Entry.Haul _,
            Entry.Sanitize _,
            Entry.Upkeep _,
            Entry.Note _ -> {}
      }
    }
    return Crew.of(shape, people, facts);
  }

  /**
   * What was noted at one moment: people look, fill and look again within a minute. A look counts
   * as one after the fill where it is nearer to what was in it then.
   */
  private void moment(List<Entry> entries) {
    List<Entry> before = new ArrayList<>();
    List<Entry> later = new ArrayList<>();
    for (Entry entry : entries) {
      if (entry.what() instanceof Entry.Reading reading) {
        (isAfter(reading, entries) ? later : before).add(entry);
      }
    }
    look(before);
    entries.forEach(this::take);
    look(later);
  }

  /** Looks into several tanks at one moment are one look at the store. */
  private void look(List<Entry> readings) {
    boolean any = false;
    boolean reckoned = true;
    boolean coarse = false;
    double at = 0;
    for (Entry entry : readings) {
      Entry.Reading reading = (Entry.Reading) entry.what();
      Optional<Part> tank = tank(reading.tank());
      if (tank.isPresent()) {
        at = seconds(entry.at());
        Fact.Seen own = seen(tank.get(), at, reading);
        last.put(reading.tank(), own);
        any = true;
        reckoned &= reading.reckoned();
        coarse = own.coarse() && last.size() == 1;
      }
    }
    if (any) {
      facts.add(
          reckoned
              ? new Fact.Set(at, total(), doubt(at))
              : new Fact.Seen(at, total(), doubt(at), coarse));
      looked = at;
    }
  }

  private boolean isAfter(Entry.Reading reading, List<Entry> entries) {
    Fact.Seen before = last.get(reading.tank());
    if (before == null) {
      return false;
    }
    double after = before.volume();
    for (Entry entry : entries) {
      if (entry.what().part().equals(reading.tank())) {
        switch (entry.what()) {
          case Entry.Fill w -> after = w.volume().map(v -> before.volume() + v).orElse(full(w));
          case Entry.Haul w -> after += w.volume();
          case Entry.Dump w -> after = w.volume().map(v -> before.volume() - v).orElse(0.0);
          case Entry.Reading _,
              Entry.People _,
              Entry.Away _,
              Entry.Sanitize _,
              Entry.Upkeep _,
              Entry.Note _ -> {}
        }
      }
    }
    return Math.abs(reading.volume() - after) < Math.abs(reading.volume() - before.volume());
  }

  private double full(Entry.Fill fill) {
    return full(network.rig().part(fill.tank()));
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

  private Optional<Part> tank(PartId id) {
    return tanks.stream().filter(t -> t.id().equals(id)).findFirst();
  }

  private Fact.Seen seen(Part tank, double at, Entry.Reading reading) {
    return gauges.seen(tank, at, reading);
  }

  private void take(Entry entry) {
    double at = seconds(entry.at());
    switch (entry.what()) {
      case Entry.Fill fill ->
          tank(fill.tank())
              .ifPresent(t ->
                  fill.volume().ifPresentOrElse(v -> add(at, t, v), () -> set(at, t, full(t))));
      case Entry.Haul haul -> tank(haul.tank()).ifPresent(t -> add(at, t, haul.volume()));
      case Entry.Dump dump ->
          tank(dump.tank())
              .ifPresent(
                  t -> dump.volume().ifPresentOrElse(v -> add(at, t, -v), () -> set(at, t, 0)));
      // Looks are taken together; after sanitizing, a tank is filled by an entry of its own.
      case Entry.Reading _, Entry.Sanitize _, Entry.Upkeep _, Entry.Note _ -> {}
      case Entry.People people -> {
        facts.add(new Fact.People(at, people.people()));
        people.perPersonDay().ifPresent(v -> facts.add(new Fact.Estimate(at, v)));
      }
      case Entry.Away away -> facts.add(new Fact.Away(at, seconds(away.until())));
    }
  }

  private void set(double at, Part tank, double volume) {
    last.put(
        tank.id(),
        new Fact.Seen(at, volume, GaugeDoubt.FULL * network.room(tank.id()).capacity(), false));
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
    return fulls.computeIfAbsent(tank.id(), id -> filled(tank));
  }

  private double filled(Part tank) {
    return network.figures(tank, slope).full();
  }

  private double total() {
    return last.values().stream().mapToDouble(Fact.Seen::volume).sum();
  }

  /**
   * How far off a look at all of it is. What may have gone unseen from the other tanks counts once:
   * since the look before.
   */
  private double doubt(double at) {
    double stale = Double.isNaN(looked) ? 0 : STALE * crew.days(looked, at);
    double variance = 0;
    for (Fact.Seen seen : last.values()) {
      double unseen = seen.at() < at ? Math.min(seen.volume(), stale) : 0;
      variance += seen.doubt() * seen.doubt() + unseen * unseen;
    }
    return Math.sqrt(variance);
  }
}
