package fernwort.app.services;

import fernwort.app.store.DiaryStore;
import fernwort.app.store.Remembered;
import fernwort.core.budget.Budget;
import fernwort.core.diary.Entry;
import fernwort.core.hygiene.Upkeep;
import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.Lasts;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people note of their water, and what is learnt from it. */
@Service
public class Diary {

  /** What has been is noted no later than this ahead: clocks and time zones differ. */
  private static final Duration AHEAD = Duration.ofDays(1);

  /** Begins what is due on a gauge, before the id of its tank. */
  private static final String GAUGE = "gauge:";

  /** Who will be on board is planned no further ahead. */
  private static final Duration PLANNED = Duration.ofDays(400);

  /** What is learnt says days and not minutes. */
  private static final Duration GOOD_FOR = Duration.ofMinutes(1);

  private final DiaryStore store;
  private final States states;
  private final Clock clock;
  private final Remembered<Learnt> learnt;

  Diary(DiaryStore store, States states, Clock clock) {
    this.store = store;
    learnt = store.remembered();
    this.states = states;
    this.clock = clock;
  }

  /**
   * Notes something.
   *
   * @param at when it was so
   * @return its entry
   * @throws Refusal naming what cannot be
   */
  @Transactional
  public Entry add(OpenRig rig, Entry.What what, Instant at, String who) {
    Entry entry = entry(UUID.randomUUID().toString(), what, at);
    add(rig, entry, who);
    return entry;
  }

  /**
   * Keeps an entry that has an id; one that is there already adds nothing. Tells whether it did.
   */
  @Transactional
  public boolean add(OpenRig rig, Entry entry, String who) {
    check(rig, entry);
    knows(rig, entry);
    boolean added = store.add(rig.id(), entry, states.parked(rig), who);
    if (added) {
      relevel(rig, entry, who);
    }
    return added;
  }

  /**
   * Takes entries in with their traces, all or none; those that are there already add nothing.
   * Entries of another rig come in as copies.
   *
   * @return how many were new
   */
  @Transactional
  public int restore(OpenRig rig, List<DiaryStore.Kept> all, String who) {
    Map<String, String> rigs =
        store.rigsOf(all.stream().map(k -> k.entry().id()).distinct().toList());
    Map<String, DiaryStore.Kept> own = new LinkedHashMap<>();
    for (DiaryStore.Kept kept : all) {
      check(rig, kept.entry());
      DiaryStore.Kept mine =
          rigs.getOrDefault(kept.entry().id(), rig.id()).equals(rig.id()) ? kept : copy(rig, kept);
      own.putIfAbsent(mine.entry().id(), mine);
    }
    own.keySet().removeAll(store.rigsOf(List.copyOf(own.keySet())).keySet());
    int added = store.restore(rig.id(), List.copyOf(own.values()));
    rig.rig().tanks().forEach(t -> states.relevel(rig, t.id(), who));
    return added;
  }

  /** Returns the ids of those entries that are in the log already, as they are or as copies. */
  public Set<String> known(OpenRig rig, List<DiaryStore.Kept> all) {
    List<String> ids = all.stream().map(k -> k.entry().id()).distinct().toList();
    Map<String, String> rigs = store.rigsOf(ids);
    Map<String, String> copies = new LinkedHashMap<>();
    rigs.forEach((id, owner) -> {
      if (!owner.equals(rig.id())) {
        copies.put(id, copy(rig, id));
      }
    });
    Set<String> copied = store.rigsOf(List.copyOf(copies.values())).keySet();
    return rigs.keySet().stream()
        .filter(id -> !copies.containsKey(id) || copied.contains(copies.get(id)))
        .collect(Collectors.toSet());
  }

  private static DiaryStore.Kept copy(OpenRig rig, DiaryStore.Kept kept) {
    return new DiaryStore.Kept(
        new Entry(copy(rig, kept.entry().id()), kept.entry().at(), kept.entry().what()),
        kept.who(),
        kept.made(),
        kept.slope(),
        kept.standing(),
        kept.replaces().isEmpty() ? "" : copy(rig, kept.replaces()));
  }

  private static String copy(OpenRig rig, String id) {
    byte[] name = (rig.id() + ":" + id).getBytes(StandardCharsets.UTF_8);
    return UUID.nameUUIDFromBytes(name).toString();
  }

  /** Puts another in the place of an entry. Both keep their trace. */
  @Transactional
  public Entry correct(OpenRig rig, String id, Entry.What what, Instant at, String who) {
    DiaryStore.Kept old = standing(rig, id);
    Entry entry = entry(UUID.randomUUID().toString(), what, at);
    check(rig, entry);
    knows(rig, entry);
    store.correct(rig.id(), id, entry, old.slope(), who);
    relevel(rig, old.entry(), who);
    relevel(rig, entry, who);
    return entry;
  }

  private DiaryStore.Kept standing(OpenRig rig, String id) {
    DiaryStore.Kept kept = store.get(rig.id(), id);
    if (kept.standing() != DiaryStore.Standing.STANDS) {
      throw new Refusal(Says.THAT_ENTRY_WAS_ALREADY_LOAD.with(kept.standing().words()));
    }
    return kept;
  }

  /** Takes an entry back; it stays readable as such. */
  @Transactional
  public void takeBack(OpenRig rig, String id, String who) {
    DiaryStore.Kept kept = standing(rig, id);
    store.stand(rig.id(), id, DiaryStore.Standing.TAKEN_BACK);
    relevel(rig, kept.entry(), who);
  }

  /** Returns up to when entries are dated ahead of the clock, though they have happened. */
  public Optional<Instant> ahead(OpenRig rig) {
    return store.lastAhead(rig.id());
  }

  /** Dates what stands ahead of the clock back to now, in the order in which it came. */
  @Transactional
  public void dateBack(OpenRig rig, String who) {
    List<Entry> ahead = store.ahead(rig.id());
    Instant at = clock.instant().minusMillis(ahead.size());
    for (Entry entry : ahead) {
      at = at.plusMillis(1);
      correct(rig, entry.id(), entry.what(), at, who);
    }
  }

  /** Puts an entry that was taken back into force again. */
  @Transactional
  public void putBack(OpenRig rig, String id, String who) {
    DiaryStore.Kept kept = store.get(rig.id(), id);
    if (kept.standing() == DiaryStore.Standing.TAKEN_BACK) {
      store.stand(rig.id(), id, DiaryStore.Standing.STANDS);
      relevel(rig, kept.entry(), who);
    }
  }

  private void relevel(OpenRig rig, Entry entry, String who) {
    switch (entry.what()) {
      case Entry.Reading _, Entry.Fill _, Entry.Dump _, Entry.Haul _ ->
          states.relevel(rig, entry.what().part(), who);
      case Entry.People _, Entry.Away _, Entry.Sanitize _, Entry.Upkeep _, Entry.Note _ -> {}
    }
  }

  private static Entry entry(String id, Entry.What what, Instant at) {
    return new Entry(id, at.truncatedTo(ChronoUnit.MICROS), what);
  }

  private void check(OpenRig rig, Entry entry) {
    boolean plans =
        entry.what() instanceof Entry.People
            || entry.what() instanceof Entry.Away
            || entry.what() instanceof Entry.Upkeep;
    Instant latest = clock.instant().plus(plans ? PLANNED : AHEAD);
    if (entry.at().isBefore(Instant.EPOCH) || entry.at().isAfter(latest)) {
      throw new Refusal(
          plans
              ? Says.THE_TIME_IS_BEFORE_1970.text()
              : Says.THE_TIME_IS_BEFORE_1970_OR_MORE_THAN_A_DAY.text());
    }
    switch (entry.what()) {
      case Entry.Reading w -> tank(rig, w.tank(), w.volume());
      case Entry.Fill w -> tank(rig, w.tank(), w.volume().orElse(0.0));
      case Entry.Dump w -> tank(rig, w.tank(), w.volume().orElse(0.0));
      case Entry.Haul w -> tank(rig, w.tank(), 0);
      case Entry.Sanitize w -> tank(rig, w.tank(), 0);
      case Entry.People _, Entry.Away _, Entry.Upkeep _, Entry.Note _ -> {}
    }
  }

  /** What is noted now is of a part that is there; an old log may have others. */
  private static void knows(OpenRig rig, Entry entry) {
    if (entry.what() instanceof Entry.Upkeep w && !w.part().equals(Upkeep.LEAKS)) {
      rig.rig()
          .part(
              w.part().value().startsWith(GAUGE)
                  ? PartId.of(w.part().value().substring(GAUGE.length()))
                  : w.part());
    }
  }

  private static void tank(OpenRig rig, PartId id, double volume) {
    Part part = rig.rig().part(id);
    if (!part.kind().is(Purpose.HOLDS)) {
      throw new Refusal(Says.IS_NOT_A_TANK_NAME.with(part.label()));
    }
    double capacity = rig.network().room(id).capacity();
    if (volume > capacity + 1e-4) {
      throw new Refusal(Says.HOLDS_L_THE_AMOUNT.with(part.label(), Math.round(capacity * 1000)));
    }
  }

  /** Returns entries, the newest first, from the given place on. */
  public List<DiaryStore.Kept> page(OpenRig rig, DiaryStore.Filter filter, int from, int most) {
    return store.page(rig.id(), filter, from, most);
  }

  /** Returns an entry with its trace. */
  public DiaryStore.Kept get(OpenRig rig, String id) {
    return store.get(rig.id(), id);
  }

  /** Returns all entries with their trace, in order of time. */
  public List<DiaryStore.Kept> all(OpenRig rig) {
    return store.all(rig.id());
  }

  /** Returns what counts of the last time, in order. */
  public List<Entry> recent(OpenRig rig, Instant since) {
    return store.standing(rig.id(), since);
  }

  /** Returns the places where water came from before. */
  public List<String> places(OpenRig rig) {
    return store.places(rig.id());
  }

  /** Returns what is asked of a log: how the rig stands, who uses it, where, and by when. */
  public Budget.Asked asked(OpenRig rig, Instant at) {
    return new Budget.Asked(states.parked(rig), states.habits(rig), ZoneId.systemDefault(), at);
  }

  /** What was learnt from the log of a rig. */
  private record Learnt(Network network, Budget.Asked asked, Budget budget) {

    boolean serves(OpenRig rig, Budget.Asked other) {
      return rig.network() == network
          && other.slope().equals(asked.slope())
          && other.habits().equals(asked.habits())
          && other.zone().equals(asked.zone())
          && !other.at().isBefore(asked.at())
          && other.at().isBefore(asked.at().plus(GOOD_FOR));
    }
  }

  /** Returns what is learnt from the log by a time, or was within the last minute. */
  public Budget budget(OpenRig rig, Instant at) {
    Budget.Asked asked = asked(rig, at);
    return learnt.of(rig.id(), l -> l.serves(rig, asked), () -> learn(rig, asked)).budget();
  }

  private Learnt learn(OpenRig rig, Budget.Asked asked) {
    List<Entry> entries = recent(rig, asked.at().minus(Budget.MEMORY));
    return new Learnt(rig.network(), asked, Budget.of(rig.network(), entries, asked));
  }

  /** Returns how long the water of a rig lasts from now on: the one answer, whoever asks. */
  public Lasts lasts(OpenRig rig) {
    Lasts worked = Lasts.of(rig.network(), states.of(rig).state(), states.habits(rig));
    return budget(rig, clock.instant()).lasting(worked);
  }

  /** Returns what is learnt from entries that were asked for already. */
  public Budget budget(OpenRig rig, Instant at, List<Entry> entries) {
    return Budget.of(rig.network(), entries, asked(rig, at));
  }
}
