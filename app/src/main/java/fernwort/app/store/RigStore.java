package fernwort.app.store;

import static fernwort.app.store.db.Tables.RIG;

import fernwort.app.Refusal;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** The rigs as they were described. */
@Repository
public class RigStore {

  private final DSLContext db;

  RigStore(DSLContext db) {
    this.db = db;
  }

  /** A rig's address and name. */
  public record Summary(String id, String name) {}

  /**
   * A rig as it is kept.
   *
   * @param id its address
   * @param version counts up with every change of the description
   * @param description its rig file
   * @param people how many travel
   * @param habits what they use, as JSON
   */
  public record Stored(String id, int version, String description, int people, String habits) {}

  /** Returns all rigs by name. */
  public List<Summary> all() {
    return db.select(RIG.ID, RIG.NAME)
        .from(RIG)
        .orderBy(RIG.NAME)
        .fetch(r -> new Summary(r.value1(), r.value2()));
  }

  /** Returns a rig. */
  public Optional<Stored> find(String id) {
    return db.selectFrom(RIG)
        .where(RIG.ID.eq(id))
        .fetchOptional(r ->
            new Stored(
                r.getId(), r.getVersion(), r.getDescription(), r.getPeople(), r.getHabits()));
  }

  /**
   * Returns a rig.
   *
   * @throws Refusal when there is none
   */
  public Stored get(String id) {
    return find(id)
        .orElseThrow(() -> new Refusal("There is no rig \"" + id + "\" here. Choose one on Rig."));
  }

  /** Keeps a new rig and returns its address, made from its name. */
  @Transactional
  public String add(String name, String description, int people, String habits) {
    String base = address(name);
    String id = base;
    for (int n = 2; find(id).isPresent(); n++) {
      id = base + "-" + n;
    }
    db.insertInto(RIG)
        .set(RIG.ID, id)
        .set(RIG.NAME, name)
        .set(RIG.VERSION, 1)
        .set(RIG.DESCRIPTION, description)
        .set(RIG.PEOPLE, people)
        .set(RIG.HABITS, habits)
        .set(RIG.CREATED_AT, OffsetDateTime.now())
        .execute();
    return id;
  }

  private static String address(String name) {
    String plain =
        name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
    String shortened = plain.length() > 40 ? plain.substring(0, 40) : plain;
    return shortened.isEmpty() ? "rig" : shortened;
  }

  /** Keeps who travels and what they use. */
  @Transactional
  public void setHabits(String id, int people, String habits) {
    db.update(RIG).set(RIG.PEOPLE, people).set(RIG.HABITS, habits).where(RIG.ID.eq(id)).execute();
  }
}
