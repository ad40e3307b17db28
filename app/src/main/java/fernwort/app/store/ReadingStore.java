package fernwort.app.store;

import static fernwort.app.store.db.Tables.LIVE_MEAN;
import static fernwort.app.store.db.Tables.LIVE_MINUTE;

import fernwort.app.store.db.tables.records.LiveMeanRecord;
import fernwort.app.store.db.tables.records.LiveMinuteRecord;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/**
 * What sensors told: every value for two days, a minute of a rig in one row; means of ten minutes
 * for sixty days; means of hours for good.
 */
@Repository
public class ReadingStore {

  /** How long every value is kept; own choice. */
  public static final Duration VALUES = Duration.ofDays(2);

  /** How long means of ten minutes are kept; own choice. */
  public static final Duration MEANS = Duration.ofDays(60);

  /** Ten minutes (s). */
  public static final int TEN_MINUTES = 600;

  /** An hour (s). */
  public static final int HOUR = 3600;

  private final DSLContext db;

  ReadingStore(DSLContext db) {
    this.db = db;
  }

  /** A minute of a rig, packed. */
  public record Minute(Instant from, byte[] packed) {}

  /**
   * A mean of one signal.
   *
   * @param name of the signal
   * @param span how long it is of (s)
   * @param from when it began
   * @param mean in the unit of the signal's kind
   * @param least in the unit of the signal's kind
   * @param most in the unit of the signal's kind
   * @param counted of how many values
   */
  public record Mean(
      String name, int span, Instant from, double mean, double least, double most, int counted) {}

  /** Keeps what was told since it was kept last, and forgets what is old enough: one write. */
  @Transactional
  public void keep(String rig, List<Minute> minutes, List<Mean> means, Instant now) {
    minutes.forEach(minute -> keep(rig, minute));
    means.forEach(mean -> keep(rig, mean));
    db.deleteFrom(LIVE_MINUTE)
        .where(LIVE_MINUTE.RIG.eq(rig))
        .and(LIVE_MINUTE.FROM_AT.lt(now.minus(VALUES).atOffset(ZoneOffset.UTC)))
        .execute();
    if (!means.isEmpty()) {
      db.deleteFrom(LIVE_MEAN)
          .where(LIVE_MEAN.RIG.eq(rig))
          .and(LIVE_MEAN.SPAN.eq(TEN_MINUTES))
          .and(LIVE_MEAN.FROM_AT.lt(now.minus(MEANS).atOffset(ZoneOffset.UTC)))
          .execute();
    }
  }

  /** A minute that was begun before the clock was set back is told anew: the newer counts. */
  private void keep(String rig, Minute minute) {
    OffsetDateTime from = minute.from().atOffset(ZoneOffset.UTC);
    LiveMinuteRecord record =
        Optional.ofNullable(
                db.fetchOne(LIVE_MINUTE, LIVE_MINUTE.RIG.eq(rig).and(LIVE_MINUTE.FROM_AT.eq(from))))
            .orElseGet(() -> db.newRecord(LIVE_MINUTE));
    record.setRig(rig);
    record.setFromAt(from);
    record.setPacked(minute.packed());
    record.store();
  }

  /** A mean that was half told when Fernwort stopped is completed by its other half. */
  private void keep(String rig, Mean mean) {
    OffsetDateTime from = mean.from().atOffset(ZoneOffset.UTC);
    Optional<LiveMeanRecord> known =
        Optional.ofNullable(
            db.fetchOne(
                LIVE_MEAN,
                LIVE_MEAN
                    .RIG
                    .eq(rig)
                    .and(LIVE_MEAN.NAME.eq(mean.name()))
                    .and(LIVE_MEAN.SPAN.eq(mean.span()))
                    .and(LIVE_MEAN.FROM_AT.eq(from))));
    Mean all = known.map(k -> both(mean(k), mean)).orElse(mean);
    LiveMeanRecord record = known.orElseGet(() -> db.newRecord(LIVE_MEAN));
    record.setRig(rig);
    record.setName(all.name());
    record.setSpan(all.span());
    record.setFromAt(from);
    record.setMean(all.mean());
    record.setLeast(all.least());
    record.setMost(all.most());
    record.setCounted(all.counted());
    record.store();
  }

  private static Mean both(Mean one, Mean other) {
    int counted = one.counted() + other.counted();
    return new Mean(
        one.name(),
        one.span(),
        one.from(),
        (one.mean() * one.counted() + other.mean() * other.counted()) / counted,
        Math.min(one.least(), other.least()),
        Math.max(one.most(), other.most()),
        counted);
  }

  static Mean mean(LiveMeanRecord r) {
    return new Mean(
        r.getName(),
        r.getSpan(),
        r.getFromAt().toInstant(),
        r.getMean(),
        r.getLeast(),
        r.getMost(),
        r.getCounted());
  }

  /** Returns the minutes of a rig from one time to another. */
  public List<Minute> minutes(String rig, Instant from, Instant to) {
    return db.select(LIVE_MINUTE.FROM_AT, LIVE_MINUTE.PACKED)
        .from(LIVE_MINUTE)
        .where(LIVE_MINUTE.RIG.eq(rig))
        .and(LIVE_MINUTE.FROM_AT.ge(from.minusSeconds(60).atOffset(ZoneOffset.UTC)))
        .and(LIVE_MINUTE.FROM_AT.le(to.atOffset(ZoneOffset.UTC)))
        .orderBy(LIVE_MINUTE.FROM_AT)
        .fetch(r -> new Minute(r.value1().toInstant(), r.value2()));
  }

  /**
   * Returns the means of a signal from one time to another.
   *
   * @param span of how long (s)
   */
  public List<Mean> means(String rig, String name, int span, Instant from, Instant to) {
    return db.selectFrom(LIVE_MEAN)
        .where(LIVE_MEAN.RIG.eq(rig))
        .and(LIVE_MEAN.NAME.eq(name))
        .and(LIVE_MEAN.SPAN.eq(span))
        .and(LIVE_MEAN.FROM_AT.ge(from.atOffset(ZoneOffset.UTC)))
        .and(LIVE_MEAN.FROM_AT.le(to.atOffset(ZoneOffset.UTC)))
        .orderBy(LIVE_MEAN.FROM_AT)
        .fetch(ReadingStore::mean);
  }
}
