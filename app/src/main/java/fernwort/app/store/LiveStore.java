package fernwort.app.store;

import static fernwort.app.store.db.Tables.LIVE_ALARM;
import static fernwort.app.store.db.Tables.LIVE_RULE;
import static fernwort.app.store.db.Tables.LIVE_SIGNAL;

import fernwort.app.store.db.tables.records.LiveAlarmRecord;
import fernwort.core.live.Alarm;
import fernwort.core.live.AlarmCode;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What is bound to sensors and motors, the alarms there were, and the rules that act. */
@Repository
public class LiveStore {

  private final DSLContext db;

  LiveStore(DSLContext db) {
    this.db = db;
  }

  /** Returns the rigs to which something is bound. */
  public List<String> rigs() {
    return db.selectDistinct(LIVE_SIGNAL.RIG).from(LIVE_SIGNAL).fetch(LIVE_SIGNAL.RIG);
  }

  /** Returns what is bound to a rig, by name. */
  public Map<String, String> signals(String rig) {
    return new TreeMap<>(
        db.select(LIVE_SIGNAL.NAME, LIVE_SIGNAL.BOUND)
            .from(LIVE_SIGNAL)
            .where(LIVE_SIGNAL.RIG.eq(rig))
            .fetchMap(LIVE_SIGNAL.NAME, LIVE_SIGNAL.BOUND));
  }

  /** Keeps what is bound under a name, in the place of what was. */
  @Transactional
  public void bind(String rig, String name, String bound) {
    unbind(rig, name);
    db.insertInto(LIVE_SIGNAL)
        .set(LIVE_SIGNAL.RIG, rig)
        .set(LIVE_SIGNAL.NAME, name)
        .set(LIVE_SIGNAL.BOUND, bound)
        .execute();
  }

  /** Binds a name no longer. */
  @Transactional
  public boolean unbind(String rig, String name) {
    return db.deleteFrom(LIVE_SIGNAL)
            .where(LIVE_SIGNAL.RIG.eq(rig).and(LIVE_SIGNAL.NAME.eq(name)))
            .execute()
        > 0;
  }

  /** Returns the newest alarms of a rig, the newest first. */
  public List<Alarm> alarms(String rig, int most) {
    return db.selectFrom(LIVE_ALARM)
        .where(LIVE_ALARM.RIG.eq(rig))
        .orderBy(LIVE_ALARM.SINCE_AT.desc(), LIVE_ALARM.ID)
        .limit(most)
        .fetch(LiveStore::alarm);
  }

  /** Returns the alarms of a rig that are not over. */
  public List<Alarm> asking(String rig) {
    return db.selectFrom(LIVE_ALARM)
        .where(LIVE_ALARM.RIG.eq(rig))
        .and(LIVE_ALARM.GONE_AT.isNull().or(LIVE_ALARM.SEEN_AT.isNull()))
        .orderBy(LIVE_ALARM.SINCE_AT)
        .fetch(LiveStore::alarm);
  }

  /** Keeps an alarm as it is now. */
  @Transactional
  public void keep(String rig, Alarm alarm) {
    LiveAlarmRecord record =
        Optional.ofNullable(db.fetchOne(LIVE_ALARM, LIVE_ALARM.ID.eq(alarm.id())))
            .orElseGet(() -> db.newRecord(LIVE_ALARM));
    record.setId(alarm.id());
    record.setRig(rig);
    record.setCode(alarm.code().name());
    record.setPart(alarm.about());
    record.setWords(alarm.words());
    record.setSinceAt(alarm.since().atOffset(ZoneOffset.UTC));
    record.setGoneAt(time(alarm.gone()));
    record.setSeenAt(time(alarm.seen()));
    record.setSeenBy(alarm.by());
    record.setQuietUntil(time(alarm.quietUntil()));
    record.store();
  }

  static Alarm alarm(LiveAlarmRecord r) {
    return new Alarm(
        r.getId(),
        AlarmCode.valueOf(r.getCode()),
        r.getPart(),
        r.getWords(),
        r.getSinceAt().toInstant(),
        instant(r.getGoneAt()),
        instant(r.getSeenAt()),
        r.getSeenBy(),
        instant(r.getQuietUntil()));
  }

  private static @Nullable OffsetDateTime time(Optional<Instant> at) {
    return at.map(t -> t.atOffset(ZoneOffset.UTC)).orElse(null);
  }

  private static Optional<Instant> instant(@Nullable OffsetDateTime at) {
    return Optional.ofNullable(at).map(OffsetDateTime::toInstant);
  }

  /**
   * A rule as it is kept.
   *
   * @param name one for each rule of a rig
   * @param state whether it is off, tells only, or acts
   * @param rule what it does, as it was entered
   * @param doing what it is in the middle of; empty for nothing
   */
  public record Rule(String name, String state, String rule, String doing) {}

  /** Returns the rules of a rig, by name. */
  public List<Rule> rules(String rig) {
    return db.selectFrom(LIVE_RULE)
        .where(LIVE_RULE.RIG.eq(rig))
        .orderBy(LIVE_RULE.NAME)
        .fetch(r -> new Rule(r.getName(), r.getState(), r.getRule(), r.getDoing()));
  }

  /** Returns the rigs that have rules. */
  public List<String> ruled() {
    return db.selectDistinct(LIVE_RULE.RIG).from(LIVE_RULE).fetch(LIVE_RULE.RIG);
  }

  /** Keeps a rule, in the place of what had its name. */
  @Transactional
  public void keep(String rig, Rule rule) {
    remove(rig, rule.name());
    db.insertInto(LIVE_RULE)
        .set(LIVE_RULE.RIG, rig)
        .set(LIVE_RULE.NAME, rule.name())
        .set(LIVE_RULE.STATE, rule.state())
        .set(LIVE_RULE.RULE, rule.rule())
        .set(LIVE_RULE.DOING, rule.doing())
        .execute();
  }

  /** Takes a rule away. */
  @Transactional
  public boolean remove(String rig, String name) {
    return db.deleteFrom(LIVE_RULE)
            .where(LIVE_RULE.RIG.eq(rig).and(LIVE_RULE.NAME.eq(name)))
            .execute()
        > 0;
  }
}
