package fernwort.app.store;

import static fernwort.app.store.db.Tables.AUTOMATION;

import java.util.List;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What motor valves are told to do by themselves, as it was entered. */
@Repository
public class AutomationStore {

  private final DSLContext db;

  AutomationStore(DSLContext db) {
    this.db = db;
  }

  /** An automation as it was entered. */
  public record Kept(String id, String rule) {}

  /** Returns the automations of a rig. */
  public List<Kept> all(String rig) {
    return db.selectFrom(AUTOMATION)
        .where(AUTOMATION.RIG.eq(rig))
        .orderBy(AUTOMATION.ID)
        .fetch(r -> new Kept(r.getId(), r.getRule()));
  }

  /** Keeps an automation. */
  @Transactional
  public void add(String rig, String rule) {
    db.insertInto(AUTOMATION)
        .set(AUTOMATION.ID, UUID.randomUUID().toString())
        .set(AUTOMATION.RIG, rig)
        .set(AUTOMATION.RULE, rule)
        .execute();
  }

  /** Takes an automation away. */
  @Transactional
  public void remove(String rig, String id) {
    db.deleteFrom(AUTOMATION).where(AUTOMATION.RIG.eq(rig).and(AUTOMATION.ID.eq(id))).execute();
  }
}
