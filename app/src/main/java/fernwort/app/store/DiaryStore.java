package fernwort.app.store;

import static fernwort.app.store.db.Tables.DIARY;

import fernwort.app.Missing;
import fernwort.app.store.db.tables.records.DiaryRecord;
import fernwort.core.diary.Entry;
import fernwort.core.id.PartId;
import fernwort.core.rig.Slope;
import fernwort.core.say.Refusal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What people noted of their water, each entry with its trace: nothing is ever deleted. */
@Repository
public class DiaryStore {

  /** A volume from before and one now are the same within this (m³). */
  private static final double SAME = 1e-9;

  /** So many rows are asked for or written at once. */
  private static final int AT_ONCE = 500;

  private final Changes changes = new Changes();
  private final Remembered<Recent> recent = new Remembered<>(changes);

  /** So far ahead a clock may be without anybody speaking of it. */
  private static final Duration AHEAD = Duration.ofMinutes(10);

  private static final Duration A_MOMENT = Duration.ofMillis(1);

  /** What is noted once it has happened, and never planned. */
  private static final Set<Entry.Kind> HAPPENED =
      EnumSet.of(
          Entry.Kind.READING,
          Entry.Kind.FILL,
          Entry.Kind.DUMP,
          Entry.Kind.HAUL,
          Entry.Kind.SANITIZE);

  private final DSLContext db;
  private final Clock clock;

  DiaryStore(DSLContext db, Clock clock) {
    this.db = db;
    this.clock = clock;
  }

  /** Whether an entry counts. */
  public enum Standing {
    STANDS("stands", "counts"),
    /** Another one stands in its place. */
    CORRECTED("corrected", "corrected"),
    TAKEN_BACK("taken back", "undone");

    private final String kept;
    private final String words;

    Standing(String kept, String words) {
      this.kept = kept;
      this.words = words;
    }

    /** Returns it as files and the database keep it. */
    public String kept() {
      return kept;
    }

    /** Returns it in words. */
    public String words() {
      return words;
    }
  }

  /**
   * An entry as it is kept.
   *
   * @param made when it was entered
   * @param slope how the vehicle stood
   * @param replaces id of the one that it corrects; empty for none
   */
  public record Kept(
      Entry entry, String who, Instant made, Slope slope, Standing standing, String replaces) {}

  /**
   * What to look for.
   *
   * @param kinds kinds; empty for all
   * @param parts ids of parts that the words are a label of
   * @param words a part of its words; empty for any
   * @param standing whether only what counts
   * @param before only what was before
   */
  public record Filter(
      Set<Entry.Kind> kinds,
      Set<String> parts,
      String words,
      boolean standing,
      Optional<Instant> before) {
    public Filter {
      kinds = Set.copyOf(kinds);
      parts = Set.copyOf(parts);
    }
  }

  /** Keeps an entry. One with an id that is there already adds nothing; tells whether it did. */
  @Transactional
  public boolean add(String rig, Entry entry, Slope slope, String who) {
    return add(rig, entry, slope, who, "");
  }

  private boolean add(String rig, Entry entry, Slope slope, String who, String replaces) {
    if (db.fetchExists(DIARY, DIARY.ID.eq(entry.id()))) {
      return false;
    }
    Entry placed = replaces.isEmpty() ? afterTheLast(rig, entry) : entry;
    record(rig, placed, slope, who, replaces).insert();
    changes.add(rig);
    return true;
  }

  /**
   * Where the clock was put back, what is noted as of now comes after what was noted before, though
   * that is dated ahead: the order in which things came is the one that is known.
   */
  private Entry afterTheLast(String rig, Entry entry) {
    boolean now = Duration.between(entry.at(), clock.instant()).abs().compareTo(AHEAD) < 0;
    return now && HAPPENED.contains(entry.what().kind())
        ? lastAhead(rig)
            .map(last -> new Entry(entry.id(), last.plus(A_MOMENT), entry.what()))
            .orElse(entry)
        : entry;
  }

  /** Returns up to when entries are dated ahead of now though they have happened. */
  public Optional<Instant> lastAhead(String rig) {
    List<Entry> ahead = ahead(rig);
    return ahead.isEmpty() ? Optional.empty() : Optional.of(ahead.getLast().at());
  }

  /**
   * Returns what counts and is dated ahead of now though it has happened, in order: the clock was
   * wrong then, or is now.
   */
  public List<Entry> ahead(String rig) {
    return standing(
        rig,
        DIARY
            .HAPPENED_AT
            .gt(utc(clock.instant().plus(AHEAD)))
            .and(DIARY.KIND.in(HAPPENED.stream().map(Enum::name).toList())));
  }

  private DiaryRecord record(String rig, Entry entry, Slope slope, String who, String replaces) {
    DiaryRecord r = db.newRecord(DIARY);
    r.setId(entry.id());
    r.setRig(rig);
    r.setHappenedAt(utc(entry.at()));
    r.setMadeAt(utc(clock.instant()));
    r.setWho(who);
    r.setKind(entry.what().kind().name());
    r.setPart(entry.what().part().value());
    r.setNote(entry.what().note());
    r.setShown("");
    r.setReckoned(false);
    r.setPlace("");
    r.setDoubtful(false);
    r.setPitch(slope.pitch());
    r.setRoll(slope.roll());
    r.setStanding(Standing.STANDS.kept());
    if (!replaces.isEmpty()) {
      r.setReplaces(replaces);
    }
    switch (entry.what()) {
      case Entry.Reading w -> {
        r.setVolume(w.volume());
        r.setShown(w.shown());
        r.setReckoned(w.reckoned());
      }
      case Entry.Fill w -> {
        w.volume().ifPresent(r::setVolume);
        bought(r, w.bought());
        r.setDoubtful(w.doubtful());
      }
      case Entry.Dump w -> w.volume().ifPresent(r::setVolume);
      case Entry.Haul w -> {
        r.setVolume(w.volume());
        r.setTrips(w.trips());
        bought(r, w.bought());
      }
      case Entry.People w -> {
        r.setPeople(w.people());
        r.setPets(w.pets());
        w.perPersonDay().ifPresent(r::setPerPersonDay);
      }
      case Entry.Away w -> r.setUntilAt(utc(w.until()));
      case Entry.Upkeep w -> {
        r.setPart(w.part().value());
        w.putOff().ifPresent(until -> r.setUntilAt(utc(until)));
      }
      case Entry.Sanitize _, Entry.Note _ -> {}
    }
    return r;
  }

  private static void bought(DiaryRecord r, Entry.Bought bought) {
    bought.price().ifPresent(r::setPrice);
    r.setPlace(bought.place());
    bought.treated().ifPresent(r::setTreated);
  }

  /** Keeps entries with their traces as they were kept elsewhere, and returns how many. */
  @Transactional
  public int restore(String rig, List<Kept> all) {
    List<DiaryRecord> rows = new ArrayList<>();
    for (Kept kept : all) {
      DiaryRecord r = record(rig, kept.entry(), kept.slope(), kept.who(), kept.replaces());
      r.setMadeAt(utc(kept.made()));
      r.setStanding(kept.standing().kept());
      rows.add(r);
    }
    for (int i = 0; i < rows.size(); i += AT_ONCE) {
      db.batchInsert(rows.subList(i, Math.min(rows.size(), i + AT_ONCE))).execute();
    }
    changes.add(rig);
    return rows.size();
  }

  /** Returns the rigs that entries belong to, by id; an id that is none's is missing. */
  public Map<String, String> rigsOf(List<String> ids) {
    Map<String, String> rigs = new HashMap<>();
    for (int i = 0; i < ids.size(); i += AT_ONCE) {
      rigs.putAll(
          db.select(DIARY.ID, DIARY.RIG)
              .from(DIARY)
              .where(DIARY.ID.in(ids.subList(i, Math.min(ids.size(), i + AT_ONCE))))
              .fetchMap(DIARY.ID, DIARY.RIG));
    }
    return rigs;
  }

  /**
   * Returns an entry of a rig.
   *
   * @throws Missing when there is none with this id
   */
  public Kept get(String rig, String id) {
    return db.selectFrom(DIARY)
        .where(DIARY.RIG.eq(rig).and(DIARY.ID.eq(id)))
        .fetchOptional(DiaryStore::kept)
        .orElseThrow(() -> new Missing(Says.THE_LOG_HAS_NO_SUCH_ENTRY_LOAD.text()));
  }

  /** Puts another entry in the place of one, which keeps its row. */
  @Transactional
  public void correct(String rig, String id, Entry by, Slope slope, String who) {
    stand(rig, id, Standing.CORRECTED);
    add(rig, by, slope, who, id);
  }

  /** Takes an entry back, or puts it into force again. */
  @Transactional
  public void stand(String rig, String id, Standing standing) {
    db.update(DIARY)
        .set(DIARY.STANDING, standing.kept())
        .where(DIARY.RIG.eq(rig).and(DIARY.ID.eq(id)))
        .execute();
    changes.add(rig);
  }

  /** Begins to remember something that is worked out from logs, until they change. */
  public <T> Remembered<T> remembered() {
    return new Remembered<>(changes);
  }

  @EventListener
  void restored(Restored restored) {
    changes.addToAll();
  }

  /** Finds the reading that a line of the journal speaks of. */
  public Optional<String> reading(String rig, String tank, Logbook.Level level) {
    return db.select(DIARY.ID)
        .from(DIARY)
        .where(DIARY.RIG.eq(rig))
        .and(DIARY.PART.eq(tank))
        .and(DIARY.KIND.eq(Entry.Kind.READING.name()))
        .and(DIARY.HAPPENED_AT.eq(utc(level.at())))
        .and(DIARY.VOLUME.between(level.volume() - SAME, level.volume() + SAME))
        .orderBy(DIARY.MADE_AT.desc())
        .limit(1)
        .fetchOptional(DIARY.ID);
  }

  /** Returns entries, the newest first, from the given place on. */
  public List<Kept> page(String rig, Filter filter, int from, int most) {
    return db.selectFrom(DIARY)
        .where(matching(rig, filter))
        .orderBy(DIARY.HAPPENED_AT.desc(), DIARY.MADE_AT.desc(), DIARY.ID)
        .offset(from)
        .limit(most)
        .fetch(DiaryStore::kept);
  }

  private static Condition matching(String rig, Filter filter) {
    Condition condition = DIARY.RIG.eq(rig);
    if (filter.before().isPresent()) {
      condition = condition.and(DIARY.HAPPENED_AT.lt(utc(filter.before().get())));
    }
    if (filter.standing()) {
      condition = condition.and(DIARY.STANDING.eq(Standing.STANDS.kept()));
    }
    if (!filter.kinds().isEmpty()) {
      condition = condition.and(DIARY.KIND.in(filter.kinds().stream().map(Enum::name).toList()));
    }
    if (!filter.words().isBlank()) {
      String words = filter.words().strip();
      condition =
          condition.and(
              DSL.or(
                  DIARY.NOTE.containsIgnoreCase(words),
                  DIARY.PLACE.containsIgnoreCase(words),
                  DIARY.SHOWN.containsIgnoreCase(words),
                  DIARY.WHO.containsIgnoreCase(words),
                  DIARY.PART.containsIgnoreCase(words),
                  DIARY.PART.in(filter.parts())));
    }
    return condition;
  }

  /** What counts since a time, with who was on board before. */
  private record Recent(Instant since, List<Entry> entries) {

    List<Entry> from(Instant later) {
      return entries.stream()
          .filter(e -> e.at().isAfter(later) || isOnBoard(e.what().kind()))
          .toList();
    }
  }

  private static boolean isOnBoard(Entry.Kind kind) {
    return kind == Entry.Kind.PEOPLE || kind == Entry.Kind.AWAY;
  }

  /** Returns what counts since a time, and who was on board however long ago, in order of time. */
  public List<Entry> standing(String rig, Instant since) {
    return recent
        .of(rig, r -> !r.since().isAfter(since), () -> new Recent(since, read(rig, since)))
        .from(since);
  }

  private List<Entry> read(String rig, Instant since) {
    // Two questions, for one with an "or" in it would be answered by no index.
    List<Entry> all =
        new ArrayList<>(
            standing(
                rig,
                DIARY
                    .KIND
                    .in(Entry.Kind.PEOPLE.name(), Entry.Kind.AWAY.name())
                    .and(DIARY.HAPPENED_AT.le(utc(since)))));
    all.addAll(standing(rig, DIARY.HAPPENED_AT.gt(utc(since))));
    return all;
  }

  private List<Entry> standing(String rig, Condition condition) {
    return db.selectFrom(DIARY)
        .where(DIARY.RIG.eq(rig))
        .and(condition)
        .and(DIARY.STANDING.eq(Standing.STANDS.kept()))
        .orderBy(DIARY.HAPPENED_AT, DIARY.MADE_AT, DIARY.ID)
        .fetch(r -> kept(r).entry());
  }

  /** Returns the places that are named, in order. */
  public List<String> places(String rig) {
    return db.selectDistinct(DIARY.PLACE)
        .from(DIARY)
        .where(DIARY.RIG.eq(rig).and(DIARY.PLACE.ne("")))
        .orderBy(DIARY.PLACE)
        .fetch(DIARY.PLACE);
  }

  /** Returns what counts of one tank, the newest first. */
  public List<Entry> ofTank(String rig, String tank, int most) {
    return db.selectFrom(DIARY)
        .where(DIARY.RIG.eq(rig))
        .and(DIARY.PART.eq(tank))
        .and(DIARY.STANDING.eq(Standing.STANDS.kept()))
        .orderBy(DIARY.HAPPENED_AT.desc(), DIARY.MADE_AT.desc(), DIARY.ID)
        .limit(most)
        .fetch(r -> kept(r).entry());
  }

  /** Returns all entries of a rig with their trace, in order of time. */
  public List<Kept> all(String rig) {
    return db.selectFrom(DIARY)
        .where(DIARY.RIG.eq(rig))
        .orderBy(DIARY.HAPPENED_AT, DIARY.MADE_AT, DIARY.ID)
        .fetch(DiaryStore::kept);
  }

  static Kept kept(DiaryRecord r) {
    String replaces = r.getReplaces();
    return new Kept(
        new Entry(r.getId(), r.getHappenedAt().toInstant(), what(r)),
        r.getWho(),
        r.getMadeAt().toInstant(),
        new Slope(r.getPitch(), r.getRoll()),
        standing(r.getStanding()),
        replaces == null ? "" : replaces);
  }

  /**
   * Returns the standing that is called so.
   *
   * @throws Refusal when there is none
   */
  public static Standing standing(String kept) {
    for (Standing standing : Standing.values()) {
      if (standing.kept().equals(kept)) {
        return standing;
      }
    }
    throw new Refusal(Says.IS_NO_STANDING_OF_AN_ENTRY.with(kept));
  }

  private static Entry.What what(DiaryRecord r) {
    Optional<Double> volume = Optional.ofNullable(r.getVolume());
    return switch (Entry.Kind.valueOf(r.getKind())) {
      case READING ->
          new Entry.Reading(
              PartId.of(r.getPart()),
              volume.orElse(0.0),
              r.getShown(),
              r.getReckoned(),
              r.getNote());
      case FILL ->
          new Entry.Fill(PartId.of(r.getPart()), volume, bought(r), r.getDoubtful(), r.getNote());
      case DUMP -> new Entry.Dump(PartId.of(r.getPart()), volume, r.getNote());
      case HAUL ->
          new Entry.Haul(
              PartId.of(r.getPart()),
              volume.orElse(0.0),
              Optional.ofNullable(r.getTrips()).orElse(1),
              bought(r),
              r.getNote());
      case PEOPLE ->
          new Entry.People(
              Optional.ofNullable(r.getPeople()).orElse(0),
              Optional.ofNullable(r.getPets()).orElse(0),
              Optional.ofNullable(r.getPerPersonDay()),
              r.getNote());
      case AWAY ->
          new Entry.Away(
              Optional.ofNullable(r.getUntilAt())
                  .map(OffsetDateTime::toInstant)
                  .orElse(r.getHappenedAt().toInstant().plusSeconds(1)),
              r.getNote());
      case SANITIZE -> new Entry.Sanitize(PartId.of(r.getPart()), r.getNote());
      case UPKEEP ->
          new Entry.Upkeep(
              PartId.of(r.getPart()),
              Optional.ofNullable(r.getUntilAt()).map(OffsetDateTime::toInstant),
              r.getNote());
      case NOTE -> new Entry.Note(r.getNote());
    };
  }

  private static Entry.Bought bought(DiaryRecord r) {
    return new Entry.Bought(
        Optional.ofNullable(r.getPrice()), r.getPlace(), Optional.ofNullable(r.getTreated()));
  }

  private static OffsetDateTime utc(Instant at) {
    return at.atOffset(ZoneOffset.UTC);
  }
}
