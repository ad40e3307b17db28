package fernwort.app.store;

import static fernwort.app.store.db.Tables.RIG;
import static fernwort.app.store.db.Tables.RIG_VERSION;

import fernwort.app.Missing;
import fernwort.app.store.db.tables.records.RigVersionRecord;
import fernwort.core.say.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.jooq.DSLContext;
import org.jooq.Records;
import org.jooq.impl.DSL;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** The rigs as they were described. */
@Repository
public class RigStore {

  private final Changes changes = new Changes();
  private final Remembered<Optional<Stored>> stored = new Remembered<>(changes);
  private final DSLContext db;
  private final Clock clock;

  RigStore(DSLContext db, Clock clock) {
    this.db = db;
    this.clock = clock;
  }

  /** A rig's address and name, and whether it is put away. */
  public record Summary(String id, String name, boolean archived) {}

  /** One version of a rig's description: when, by whom, and what was done to get there. */
  public record Version(int version, Instant at, String who, String what) {}

  /**
   * A rig as it is kept, without its description: every page asks for this.
   *
   * @param id its address
   * @param version counts up with every change of the description
   * @param people how many travel
   * @param habits what they use, as JSON
   * @param pitch how it is parked, nose up (degrees)
   * @param roll how it is parked, left side up (degrees)
   */
  public record Stored(
      String id, int version, int people, String habits, double pitch, double roll) {}

  /** What a rig's description says in one version: its rig file. */
  public record Described(int version, String file) {}

  /** Returns all rigs by name, those put away last. */
  public List<Summary> all() {
    return db.select(RIG.ID, RIG.NAME, RIG.ARCHIVED)
        .from(RIG)
        .orderBy(RIG.ARCHIVED, RIG.NAME)
        .fetch(r -> new Summary(r.value1(), r.value2(), r.value3()));
  }

  /** Returns a rig. */
  public Optional<Stored> find(String id) {
    return stored.of(id, () -> read(id));
  }

  private Optional<Stored> read(String id) {
    return db.select(RIG.ID, RIG.VERSION, RIG.PEOPLE, RIG.HABITS, RIG.PITCH, RIG.ROLL)
        .from(RIG)
        .where(RIG.ID.eq(id))
        .fetchOptional(Records.mapping(Stored::new));
  }

  /**
   * Returns a rig.
   *
   * @throws Refusal when there is none
   */
  public Stored get(String id) {
    return find(id).orElseThrow(() -> none(id));
  }

  /**
   * Returns how a rig is described now.
   *
   * @throws Refusal when there is none
   */
  public Described described(String id) {
    return db.select(RIG.VERSION, RIG.DESCRIPTION)
        .from(RIG)
        .where(RIG.ID.eq(id))
        .fetchOptional(Records.mapping(Described::new))
        .orElseThrow(() -> none(id));
  }

  private static Missing none(String id) {
    return new Missing(Says.THERE_IS_NO_RIG_HERE_CHOOSE.filled(id));
  }

  /** Keeps a new rig and returns its address, made from its name. */
  @Transactional
  public String add(
      String name, String description, int people, String habits, String who, String what) {
    String base = address(name);
    String id = base;
    Set<String> taken = db.select(RIG.ID).from(RIG).where(RIG.ID.startsWith(base)).fetchSet(RIG.ID);
    for (int n = 2; taken.contains(id); n++) {
      id = base + "-" + n;
    }
    db.insertInto(RIG)
        .set(RIG.ID, id)
        .set(RIG.NAME, name)
        .set(RIG.VERSION, 1)
        .set(RIG.DESCRIPTION, description)
        .set(RIG.PEOPLE, people)
        .set(RIG.HABITS, habits)
        .set(RIG.CREATED_AT, now())
        .execute();
    changes.add(id);
    keep(id, 1, description, who, what, new Step(1, 0));
    return id;
  }

  /**
   * Keeps a changed description as the next version.
   *
   * @param seen the version that the change was made to
   * @throws StaleVersion when somebody changed the rig since
   */
  @Transactional
  public void change(
      String id, int seen, String name, String description, String who, String what) {
    lock(id);
    int current = get(id).version();
    if (seen != current) {
      throw new StaleVersion(current, version(id, current));
    }
    int next = newest(id) + 1;
    keep(id, next, description, who, what, new Step(next, shown(id, current).step()));
    show(id, next, name, description);
  }

  /**
   * Takes the last step back (−1) or puts it back (1), which is a version more: what stood is never
   * taken away, and no version's number is used twice.
   *
   * @param name reads a rig's name from a description
   * @return what was taken back or put back, in its own words; empty when there was nothing
   */
  @Transactional
  public Optional<String> step(String id, int by, String who, UnaryOperator<String> name) {
    lock(id);
    Step now = shown(id, get(id).version());
    Optional<Integer> to = by < 0 ? before(now) : after(id, now);
    return to.map(step -> {
      RigVersionRecord target = row(id, step).orElseThrow();
      String what = by < 0 ? row(id, now.step()).orElseThrow().getWhat() : target.getWhat();
      int next = newest(id) + 1;
      keep(
          id,
          next,
          target.getDescription(),
          who,
          (by < 0 ? "Undid: " : "Redid: ") + what,
          new Step(step, target.getCameFrom()));
      show(id, next, name.apply(target.getDescription()), target.getDescription());
      return what;
    });
  }

  /**
   * Where a version stands among the steps.
   *
   * @param step the step it shows; a step bears the number of the version that made it
   * @param before the step that stood before that one; 0 for none
   */
  private record Step(int step, int before) {}

  private Step shown(String id, int version) {
    return row(id, version)
        .map(r -> new Step(r.getShows(), r.getCameFrom()))
        .orElseThrow(() -> new IllegalStateException("rig " + id + " lacks its own version"));
  }

  private static Optional<Integer> before(Step now) {
    return now.before() > 0 ? Optional.of(now.before()) : Optional.empty();
  }

  /** The newest step that was made from the one shown. */
  private Optional<Integer> after(String id, Step now) {
    return db.select(RIG_VERSION.SHOWS)
        .from(RIG_VERSION)
        .where(RIG_VERSION.RIG.eq(id).and(RIG_VERSION.CAME_FROM.eq(now.step())))
        .and(RIG_VERSION.SHOWS.eq(RIG_VERSION.VERSION))
        .orderBy(RIG_VERSION.VERSION.desc())
        .limit(1)
        .fetchOptional(RIG_VERSION.SHOWS);
  }

  /** Tells whether there is a step to take back (first) and one to put back (second). */
  public boolean[] canStep(String id) {
    Step now = shown(id, get(id).version());
    return new boolean[] {before(now).isPresent(), after(id, now).isPresent()};
  }

  private int newest(String id) {
    return db.select(DSL.max(RIG_VERSION.VERSION))
        .from(RIG_VERSION)
        .where(RIG_VERSION.RIG.eq(id))
        .fetchSingle()
        .value1();
  }

  private Optional<RigVersionRecord> row(String id, int version) {
    return db.selectFrom(RIG_VERSION)
        .where(RIG_VERSION.RIG.eq(id).and(RIG_VERSION.VERSION.eq(version)))
        .fetchOptional();
  }

  /** Returns the description that a rig had in a version. */
  public Optional<String> description(String id, int version) {
    return db.select(RIG_VERSION.DESCRIPTION)
        .from(RIG_VERSION)
        .where(RIG_VERSION.RIG.eq(id).and(RIG_VERSION.VERSION.eq(version)))
        .fetchOptional(RIG_VERSION.DESCRIPTION);
  }

  /** Returns the step by which a rig came to be as it is. */
  public Optional<String> last(String id) {
    return db.select(RIG_VERSION.WHAT)
        .from(RIG_VERSION)
        .where(RIG_VERSION.RIG.eq(id))
        .orderBy(RIG_VERSION.VERSION.desc())
        .limit(1)
        .fetchOptional(RIG_VERSION.WHAT);
  }

  /** Returns all versions of a rig, the newest first. */
  public List<Version> versions(String id) {
    return db.select(RIG_VERSION.VERSION, RIG_VERSION.MADE_AT, RIG_VERSION.WHO, RIG_VERSION.WHAT)
        .from(RIG_VERSION)
        .where(RIG_VERSION.RIG.eq(id))
        .orderBy(RIG_VERSION.VERSION.desc())
        .fetch(r -> new Version(r.value1(), r.value2().toInstant(), r.value3(), r.value4()));
  }

  private Version version(String id, int version) {
    return versions(id).stream()
        .filter(v -> v.version() == version)
        .findFirst()
        .orElse(new Version(version, Instant.EPOCH, "somebody", Says.A_CHANGE.text()));
  }

  /** Puts a rig away, or takes it out again. */
  @Transactional
  public void archive(String id, boolean away) {
    get(id);
    db.update(RIG).set(RIG.ARCHIVED, away).where(RIG.ID.eq(id)).execute();
  }

  private void keep(
      String id, int version, String description, String who, String what, Step step) {
    db.insertInto(RIG_VERSION)
        .set(RIG_VERSION.RIG, id)
        .set(RIG_VERSION.VERSION, version)
        .set(RIG_VERSION.DESCRIPTION, description)
        .set(RIG_VERSION.MADE_AT, now())
        .set(RIG_VERSION.WHO, who)
        .set(RIG_VERSION.WHAT, what.length() > 200 ? what.substring(0, 200) : what)
        .set(RIG_VERSION.SHOWS, step.step())
        .set(RIG_VERSION.CAME_FROM, step.before())
        .execute();
  }

  private void show(String id, int version, String name, String description) {
    db.update(RIG)
        .set(RIG.VERSION, version)
        .set(RIG.NAME, name)
        .set(RIG.DESCRIPTION, description)
        .where(RIG.ID.eq(id))
        .execute();
    changes.add(id);
  }

  /** One change at a time per rig. */
  private void lock(String id) {
    db.select(RIG.ID).from(RIG).where(RIG.ID.eq(id)).forUpdate().fetch();
  }

  private OffsetDateTime now() {
    return clock.instant().atOffset(ZoneOffset.UTC);
  }

  private static String address(String name) {
    String plain =
        name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
    String shortened = plain.length() > 40 ? plain.substring(0, 40) : plain;
    return shortened.isEmpty() ? "rig" : shortened;
  }

  /** Keeps how a rig is parked (degrees). */
  @Transactional
  public void park(String id, double pitch, double roll) {
    db.update(RIG).set(RIG.PITCH, pitch).set(RIG.ROLL, roll).where(RIG.ID.eq(id)).execute();
    changes.add(id);
  }

  /** Keeps who travels and what they use. */
  @Transactional
  public void setHabits(String id, int people, String habits) {
    db.update(RIG).set(RIG.PEOPLE, people).set(RIG.HABITS, habits).where(RIG.ID.eq(id)).execute();
    changes.add(id);
  }

  @EventListener
  void restored(Restored restored) {
    changes.addToAll();
  }
}
