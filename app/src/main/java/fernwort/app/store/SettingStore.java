package fernwort.app.store;

import static fernwort.app.store.db.Tables.SETTING;

import fernwort.core.say.Refusal;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What holds for this whole copy. */
@Repository
public class SettingStore {

  /** The name of the entry that says where the broker is: what leaves this machine goes there. */
  public static final String BROKER = "live:url";

  private static final int LONGEST = 400;

  private final DSLContext db;

  public SettingStore(DSLContext db) {
    this.db = db;
  }

  /** Returns an entry, if there is one. */
  public Optional<String> get(String name) {
    return db.select(SETTING.ENTRY)
        .from(SETTING)
        .where(SETTING.NAME.eq(name))
        .fetchOptional(SETTING.ENTRY);
  }

  /**
   * Keeps an entry; an empty one takes it away.
   *
   * @throws Refusal when it is too long
   */
  @Transactional
  public void set(String name, String entry) {
    if (entry.length() > LONGEST) {
      throw new Refusal(Says.THERE_IS_ROOM_FOR_LETTERS.filled(LONGEST));
    }
    db.deleteFrom(SETTING).where(SETTING.NAME.eq(name)).execute();
    if (!entry.isEmpty()) {
      db.insertInto(SETTING).set(SETTING.NAME, name).set(SETTING.ENTRY, entry).execute();
    }
  }
}
