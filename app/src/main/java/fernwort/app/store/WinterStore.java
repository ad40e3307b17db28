package fernwort.app.store;

import static fernwort.app.store.db.Tables.WINTER_SHEET;
import static fernwort.app.store.db.Tables.WINTER_TICK;

import fernwort.app.Missing;
import fernwort.app.store.db.tables.records.WinterSheetRecord;
import fernwort.app.store.db.tables.records.WinterTickRecord;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Sheets of winter and spring with their ticks, kept at each tick. */
@Repository
public class WinterStore {

  private final DSLContext db;
  private final Clock clock;

  WinterStore(DSLContext db, Clock clock) {
    this.db = db;
    this.clock = clock;
  }

  /** What a sheet is for. */
  public enum Season {
    AUTUMN,
    SPRING,
    /** No season: what is done now and then in between. */
    CARE
  }

  /** How a sheet ended. */
  public enum Outcome {
    RUNNING,
    DONE,
    LEFT
  }

  /**
   * A sheet.
   *
   * @param text the sheet as text
   * @param ticks when each step was ticked, by its number from 0
   * @param begun when a wait was begun, by the same
   */
  public record Kept(
      String id,
      String rig,
      Season season,
      String title,
      String who,
      Instant started,
      Optional<Instant> ended,
      Outcome outcome,
      String text,
      Map<Integer, Instant> ticks,
      Map<Integer, Instant> begun) {}

  /** Begins a sheet and returns its address. */
  @Transactional
  public String begin(String rig, Season season, String title, String text, String who) {
    String id = UUID.randomUUID().toString();
    db.insertInto(WINTER_SHEET)
        .set(WINTER_SHEET.ID, id)
        .set(WINTER_SHEET.RIG, rig)
        .set(WINTER_SHEET.SEASON, season.name())
        .set(WINTER_SHEET.TITLE, title)
        .set(WINTER_SHEET.WHO, who)
        .set(WINTER_SHEET.STARTED_AT, clock.instant().atOffset(ZoneOffset.UTC))
        .set(WINTER_SHEET.OUTCOME, Outcome.RUNNING.name())
        .set(WINTER_SHEET.SHEET, text)
        .execute();
    return id;
  }

  /**
   * Returns a sheet of a rig.
   *
   * @throws Missing when there is none with this address
   */
  public Kept get(String rig, String id) {
    return db.selectFrom(WINTER_SHEET)
        .where(WINTER_SHEET.ID.eq(id).and(WINTER_SHEET.RIG.eq(rig)))
        .fetchOptional(this::kept)
        .orElseThrow(() -> new Missing(Says.THERE_IS_NO_SUCH_SHEET.text()));
  }

  /** Returns the sheets of a rig, the newest first. */
  public List<Kept> newest(String rig, int most) {
    return db.selectFrom(WINTER_SHEET)
        .where(WINTER_SHEET.RIG.eq(rig))
        .orderBy(WINTER_SHEET.STARTED_AT.desc(), WINTER_SHEET.ID)
        .limit(most)
        .fetch(this::kept);
  }

  private Kept kept(WinterSheetRecord r) {
    Map<Integer, Instant> ticks = new TreeMap<>();
    Map<Integer, Instant> begun = new TreeMap<>();
    for (WinterTickRecord t : db.selectFrom(WINTER_TICK).where(WINTER_TICK.SHEET.eq(r.getId()))) {
      if (t.getTickedAt() != null) {
        ticks.put(t.getSeq(), t.getTickedAt().toInstant());
      }
      if (t.getBegunAt() != null) {
        begun.put(t.getSeq(), t.getBegunAt().toInstant());
      }
    }
    return kept(r, ticks, begun);
  }

  /** A sheet of which no tick is known. */
  static Kept named(WinterSheetRecord r) {
    return kept(r, Map.of(), Map.of());
  }

  private static Kept kept(
      WinterSheetRecord r, Map<Integer, Instant> ticks, Map<Integer, Instant> begun) {
    return new Kept(
        r.getId(),
        r.getRig(),
        Season.valueOf(r.getSeason()),
        r.getTitle(),
        r.getWho(),
        r.getStartedAt().toInstant(),
        Optional.ofNullable(r.getEndedAt()).map(t -> t.toInstant()),
        Outcome.valueOf(r.getOutcome()),
        r.getSheet(),
        ticks,
        begun);
  }

  /** Returns who ticked a step, if somebody did. */
  public Optional<String> whoTicked(String sheet, int seq) {
    return db.select(WINTER_TICK.WHO)
        .from(WINTER_TICK)
        .where(at(sheet, seq).and(WINTER_TICK.TICKED_AT.isNotNull()))
        .fetchOptional(WINTER_TICK.WHO);
  }

  /** Ticks a step, done at some moment; a second tick changes nothing. */
  @Transactional
  public void tick(String sheet, int seq, Instant at, String who) {
    row(sheet, seq, who);
    db.update(WINTER_TICK)
        .set(WINTER_TICK.TICKED_AT, at.atOffset(ZoneOffset.UTC))
        .where(at(sheet, seq).and(WINTER_TICK.TICKED_AT.isNull()))
        .execute();
  }

  /** Begins the wait of a step; a second time changes nothing. */
  @Transactional
  public void beginWait(String sheet, int seq, String who) {
    row(sheet, seq, who);
    db.update(WINTER_TICK)
        .set(WINTER_TICK.BEGUN_AT, clock.instant().atOffset(ZoneOffset.UTC))
        .where(at(sheet, seq).and(WINTER_TICK.BEGUN_AT.isNull()))
        .execute();
  }

  /** Takes a tick back. */
  @Transactional
  public void untick(String sheet, int seq) {
    db.deleteFrom(WINTER_TICK).where(at(sheet, seq)).execute();
  }

  private static Condition at(String sheet, int seq) {
    return WINTER_TICK.SHEET.eq(sheet).and(WINTER_TICK.SEQ.eq(seq));
  }

  private void row(String sheet, int seq, String who) {
    if (!db.fetchExists(WINTER_TICK, at(sheet, seq))) {
      db.insertInto(WINTER_TICK)
          .set(WINTER_TICK.SHEET, sheet)
          .set(WINTER_TICK.SEQ, seq)
          .set(WINTER_TICK.WHO, who)
          .execute();
    }
  }

  /** Ends a sheet, unless it has ended. */
  @Transactional
  public void end(String sheet, Outcome outcome) {
    db.update(WINTER_SHEET)
        .set(WINTER_SHEET.OUTCOME, outcome.name())
        .set(WINTER_SHEET.ENDED_AT, clock.instant().atOffset(ZoneOffset.UTC))
        .where(WINTER_SHEET.ID.eq(sheet).and(WINTER_SHEET.OUTCOME.eq(Outcome.RUNNING.name())))
        .execute();
  }
}
