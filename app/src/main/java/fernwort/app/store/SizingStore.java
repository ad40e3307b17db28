package fernwort.app.store;

import static fernwort.app.store.db.Tables.SIZING_ENTRY;

import fernwort.core.say.Refusal;
import java.util.HashMap;
import java.util.Map;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What people last entered on the Sizing screen. */
@Repository
public class SizingStore {

  private static final int LONGEST = 400;

  private final DSLContext db;

  SizingStore(DSLContext db) {
    this.db = db;
  }

  /**
   * One entry.
   *
   * @param text as it was typed
   * @param units signs of the units that its writer used
   */
  public record Kept(String text, String units) {}

  /** Returns everything that was entered for a rig, by field. */
  public Map<String, Kept> entries(String rig) {
    Map<String, Kept> entries = new HashMap<>();
    db.selectFrom(SIZING_ENTRY)
        .where(SIZING_ENTRY.RIG.eq(rig))
        .forEach(r -> entries.put(r.getField(), new Kept(r.getEntry(), r.getUnits())));
    return entries;
  }

  /**
   * Keeps what was entered in some fields; an empty text gives the default back.
   *
   * @throws Refusal when a text is longer than anything a field needs
   */
  @Transactional
  public void keep(String rig, Map<String, String> texts, String units) {
    texts.forEach((field, text) -> keep(rig, field, text.strip(), units));
  }

  private void keep(String rig, String field, String text, String units) {
    if (text.length() > LONGEST || field.length() > 64) {
      throw new Refusal(Says.AN_ENTRY_OF_MORE_THAN_CHARACTERS.filled(LONGEST));
    }
    db.deleteFrom(SIZING_ENTRY)
        .where(SIZING_ENTRY.RIG.eq(rig))
        .and(SIZING_ENTRY.FIELD.eq(field))
        .execute();
    if (!text.isEmpty()) {
      db.insertInto(SIZING_ENTRY)
          .set(SIZING_ENTRY.RIG, rig)
          .set(SIZING_ENTRY.FIELD, field)
          .set(SIZING_ENTRY.ENTRY, text)
          .set(SIZING_ENTRY.UNITS, units)
          .execute();
    }
  }
}
