package fernwort.app.store;

import static fernwort.app.store.db.Tables.HANDLE;
import static fernwort.app.store.db.Tables.JOURNAL;
import static fernwort.app.store.db.Tables.LEVEL;
import static fernwort.app.store.db.Tables.RIG;

import fernwort.app.store.db.tables.records.JournalRecord;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/**
 * Handles and readings as they stand, and the journal of how they came to.
 *
 * <p>Each change and its journal line are one transaction. Undo takes back the newest line that
 * stands; redo puts back the oldest line taken back since; a new change closes what was taken back.
 */
@Repository
public class Logbook {

  private static final double MOST_VOLUME = 1000;
  private static final Instant LATEST = Instant.parse("3000-01-01T00:00:00Z");
  private static final String STANDS = "stands";
  private static final String UNDONE = "undone";
  private static final String CLOSED = "closed";

  private final DSLContext db;
  private final Clock clock;

  Logbook(DSLContext db, Clock clock) {
    this.db = db;
    this.clock = clock;
  }

  /** What a journal line is about. */
  public enum Kind {
    TURN,
    READING,
    UNDO,
    REDO,
    /** A job that was done. */
    JOB
  }

  /**
   * A line of the journal.
   *
   * @param subject id of the part or tank
   * @param before position or reading before; empty for none
   * @param after position or reading after
   * @param standing whether it stands, was undone, or closed for good
   */
  public record Entry(
      long seq,
      Instant at,
      String who,
      Kind kind,
      String subject,
      String before,
      String after,
      String standing) {

    /** Tells whether this change was taken back. */
    public boolean undone() {
      return !standing.equals(STANDS);
    }
  }

  /**
   * What a tank held when somebody looked.
   *
   * @param volume the water (m³)
   * @param at when
   * @param shown the reading as it was given, such as "62 %"
   */
  public record Level(double volume, Instant at, String shown) {

    String text() {
      return volume + "|" + at + "|" + shown;
    }

    /** Tells whether it can be reckoned with and shown: some earlier rows could not. */
    boolean isSound() {
      return volume >= 0
          && volume < MOST_VOLUME
          && !at.isBefore(Instant.EPOCH)
          && at.isBefore(LATEST);
    }

    /** Reads the form in which the journal keeps a level; unreadable text is no level. */
    public static Optional<Level> parse(String text) {
      String[] fields = text.split("\\|", 3);
      if (fields.length < 3) {
        return Optional.empty();
      }
      try {
        return Optional.of(
                new Level(Double.parseDouble(fields[0]), Instant.parse(fields[1]), fields[2]))
            .filter(Level::isSound);
      } catch (NumberFormatException | DateTimeParseException e) {
        return Optional.empty();
      }
    }
  }

  /** Returns the position of every handle that was ever turned. */
  public Map<String, String> handles(String rig) {
    return db.selectFrom(HANDLE)
        .where(HANDLE.RIG.eq(rig))
        .fetchMap(HANDLE.PART, HANDLE.POSITION_ID);
  }

  /** Returns the newest reading of every tank that has one that can be shown. */
  public Map<String, Level> levels(String rig) {
    return readings(rig).sound();
  }

  /**
   * The newest reading of every tank.
   *
   * @param sound those that can be shown
   * @param setAside the tanks whose reading cannot be shown, and is set aside
   */
  public record Readings(Map<String, Level> sound, List<String> setAside) {

    private static Readings of(Map<String, Level> all) {
      Map<String, Level> sound = new HashMap<>(all);
      sound.values().removeIf(level -> !level.isSound());
      return new Readings(
          sound, all.keySet().stream().filter(tank -> !sound.containsKey(tank)).sorted().toList());
    }
  }

  /** Returns the newest reading of every tank. */
  public Readings readings(String rig) {
    // As seconds, for a time of many digits or before year 1 is read by no driver.
    Field<BigDecimal> seconds =
        DSL.field("extract(epoch from {0})", BigDecimal.class, LEVEL.READ_AT);
    return Readings.of(
        db.select(LEVEL.TANK, LEVEL.VOLUME, seconds, LEVEL.SHOWN)
            .from(LEVEL)
            .where(LEVEL.RIG.eq(rig))
            .fetchMap(
                r -> r.value1(), r -> new Level(r.value2(), instant(r.value3()), r.value4())));
  }

  private static Instant instant(BigDecimal seconds) {
    BigDecimal whole = seconds.setScale(0, RoundingMode.FLOOR);
    return Instant.ofEpochSecond(
        whole.longValue(), seconds.subtract(whole).movePointRight(9).longValue());
  }

  /** Sets a handle. Setting it where it stands already is no change. */
  @Transactional
  public void turn(String rig, String part, String from, String to, String who) {
    lock(rig);
    String before = handles(rig).getOrDefault(part, from);
    if (!before.equals(to)) {
      setHandle(rig, part, to);
      write(rig, who, Kind.TURN, part, before, to);
    }
  }

  /** Tells whether a handle was turned after a moment. */
  public boolean turnedSince(String rig, String part, Instant at) {
    return db.fetchExists(
        db.selectFrom(JOURNAL)
            .where(JOURNAL.RIG.eq(rig))
            .and(JOURNAL.KIND.eq(Kind.TURN.name()))
            .and(JOURNAL.SUBJECT.eq(part))
            .and(JOURNAL.STANDING.eq(STANDS))
            .and(JOURNAL.MADE_AT.gt(at.atOffset(ZoneOffset.UTC))));
  }

  /** Keeps a reading of a tank. */
  @Transactional
  public void read(String rig, String tank, Level level, String who) {
    lock(rig);
    String before = Optional.ofNullable(levels(rig).get(tank)).map(Level::text).orElse("");
    setLevel(rig, tank, level.text());
    write(rig, who, Kind.READING, tank, before, level.text());
  }

  /** Writes that a job was done. */
  @Transactional
  public void job(String rig, String run, String words, String who) {
    lock(rig);
    insert(rig, who, Kind.JOB, run, "", words);
  }

  /** Takes the newest standing change back; empty when there is none. */
  @Transactional
  public Optional<Entry> undo(String rig, String who) {
    lock(rig);
    return revert(rig, who, false);
  }

  /** Puts the change that was taken back last into force again; empty when there is none. */
  @Transactional
  public Optional<Entry> redo(String rig, String who) {
    lock(rig);
    return revert(rig, who, true);
  }

  /** Returns the change that is taken back next, or put into force again; empty for none. */
  public Optional<Entry> next(String rig, boolean forward) {
    return db.selectFrom(JOURNAL)
        .where(JOURNAL.RIG.eq(rig))
        .and(JOURNAL.STANDING.eq(forward ? UNDONE : STANDS))
        .and(JOURNAL.KIND.in(Kind.TURN.name(), Kind.READING.name()))
        // By all columns of the index: the database would sort all that stands by the last alone.
        .orderBy(JOURNAL.RIG, JOURNAL.STANDING, forward ? JOURNAL.SEQ.asc() : JOURNAL.SEQ.desc())
        .limit(1)
        .fetchOptional(Logbook::entry);
  }

  private Optional<Entry> revert(String rig, String who, boolean forward) {
    Optional<Entry> found = next(rig, forward);
    found.ifPresent(entry -> {
      apply(rig, entry, forward ? entry.after() : entry.before());
      db.update(JOURNAL)
          .set(JOURNAL.STANDING, forward ? STANDS : UNDONE)
          .where(JOURNAL.RIG.eq(rig).and(JOURNAL.SEQ.eq(entry.seq())))
          .execute();
      Kind kind = forward ? Kind.REDO : Kind.UNDO;
      insert(rig, who, kind, entry.subject(), entry.before(), entry.after());
    });
    return found;
  }

  private void apply(String rig, Entry entry, String value) {
    if (entry.kind() == Kind.TURN) {
      setHandle(rig, entry.subject(), value);
    } else {
      setLevel(rig, entry.subject(), value);
    }
  }

  /** Returns the changes of handles and levels since a time, and what was taken back, in order. */
  public List<Entry> changesSince(String rig, Instant since) {
    return db.selectFrom(JOURNAL)
        .where(JOURNAL.RIG.eq(rig))
        .and(JOURNAL.KIND.ne(Kind.JOB.name()))
        .and(JOURNAL.MADE_AT.gt(utc(since)))
        .orderBy(JOURNAL.SEQ.asc())
        .fetch(Logbook::entry);
  }

  /** Returns the newest lines of the journal, newest first. */
  public List<Entry> journal(String rig, int most) {
    return journal(rig, most, Optional.empty());
  }

  /** Returns the newest lines of the journal before a time, newest first. */
  public List<Entry> journal(String rig, int most, Optional<Instant> before) {
    Condition which =
        before
            .map(at -> JOURNAL.MADE_AT.lt(utc(at)))
            // They are numbered one by one: a long journal is not sorted for the end of it.
            .orElseGet(() -> JOURNAL.SEQ.gt(newest(rig).minus(most)));
    return db.selectFrom(JOURNAL)
        .where(JOURNAL.RIG.eq(rig).and(which))
        .orderBy(JOURNAL.SEQ.desc())
        .limit(most)
        .fetch(Logbook::entry);
  }

  /**
   * What a journal has come to.
   *
   * @param newest its newest line, if there is one
   * @param canUndo whether there is something to undo
   * @param canRedo whether there is something to redo
   */
  public record End(Optional<Entry> newest, boolean canUndo, boolean canRedo) {}

  /** Returns what a journal has come to. */
  public End end(String rig) {
    Optional<Entry> newest = journal(rig, 1).stream().findFirst();
    // A change can be undone, and has closed what could be put back.
    return newest.filter(Logbook::isChange).isPresent()
        ? new End(newest, true, false)
        : asked(rig, newest);
  }

  private static boolean isChange(Entry entry) {
    return !entry.undone() && (entry.kind() == Kind.TURN || entry.kind() == Kind.READING);
  }

  private End asked(String rig, Optional<Entry> newest) {
    Condition change =
        JOURNAL.RIG.eq(rig).and(JOURNAL.KIND.in(Kind.TURN.name(), Kind.READING.name()));
    return db.select(
            any(change.and(JOURNAL.STANDING.eq(STANDS))),
            any(change.and(JOURNAL.STANDING.eq(UNDONE))))
        .fetchSingle(can -> new End(newest, can.value1(), can.value2()));
  }

  private static Field<Boolean> any(Condition which) {
    return DSL.field(DSL.exists(DSL.selectOne().from(JOURNAL).where(which)));
  }

  /** One change at a time per rig, so that undo never meets a half-made one. */
  private void lock(String rig) {
    db.select(RIG.ID).from(RIG).where(RIG.ID.eq(rig)).forUpdate().fetch();
  }

  private void setHandle(String rig, String part, String position) {
    db.insertInto(HANDLE)
        .set(HANDLE.RIG, rig)
        .set(HANDLE.PART, part)
        .set(HANDLE.POSITION_ID, position)
        .onDuplicateKeyUpdate()
        .set(HANDLE.POSITION_ID, position)
        .execute();
  }

  private void setLevel(String rig, String tank, String text) {
    Optional<Level> level = Level.parse(text);
    if (level.isEmpty()) {
      db.deleteFrom(LEVEL).where(LEVEL.RIG.eq(rig).and(LEVEL.TANK.eq(tank))).execute();
      return;
    }
    db.insertInto(LEVEL)
        .set(LEVEL.RIG, rig)
        .set(LEVEL.TANK, tank)
        .set(LEVEL.VOLUME, level.get().volume())
        .set(LEVEL.READ_AT, utc(level.get().at()))
        .set(LEVEL.SHOWN, level.get().shown())
        .onDuplicateKeyUpdate()
        .set(LEVEL.VOLUME, level.get().volume())
        .set(LEVEL.READ_AT, utc(level.get().at()))
        .set(LEVEL.SHOWN, level.get().shown())
        .execute();
  }

  private void write(
      String rig, String who, Kind kind, String subject, String before, String after) {
    db.update(JOURNAL)
        .set(JOURNAL.STANDING, CLOSED)
        .where(JOURNAL.RIG.eq(rig).and(JOURNAL.STANDING.eq(UNDONE)))
        .execute();
    insert(rig, who, kind, subject, before, after);
  }

  private void insert(
      String rig, String who, Kind kind, String subject, String before, String after) {
    db.insertInto(JOURNAL)
        .set(JOURNAL.RIG, rig)
        .set(JOURNAL.SEQ, newest(rig).plus(1))
        .set(JOURNAL.MADE_AT, utc(clock.instant()))
        .set(JOURNAL.WHO, who)
        .set(JOURNAL.KIND, kind.name())
        .set(JOURNAL.SUBJECT, subject)
        .set(JOURNAL.BEFORE_VALUE, before)
        .set(JOURNAL.AFTER_VALUE, after)
        .set(JOURNAL.STANDING, STANDS)
        .execute();
  }

  /** The number of the newest line, 0 before the first. */
  private static Field<Long> newest(String rig) {
    return DSL.coalesce(
        DSL.field(
            DSL.select(JOURNAL.SEQ)
                .from(JOURNAL)
                .where(JOURNAL.RIG.eq(rig))
                .orderBy(JOURNAL.RIG, JOURNAL.SEQ.desc())
                .limit(1)),
        0L);
  }

  private static OffsetDateTime utc(Instant at) {
    return at.atOffset(ZoneOffset.UTC);
  }

  static Entry entry(JournalRecord r) {
    return new Entry(
        r.getSeq(),
        r.getMadeAt().toInstant(),
        r.getWho(),
        Kind.valueOf(r.getKind()),
        r.getSubject(),
        r.getBeforeValue(),
        r.getAfterValue(),
        r.getStanding());
  }
}
