package fernwort.app.store;

import static fernwort.app.store.db.Tables.PRACTICE;

import fernwort.app.store.db.tables.records.PracticeRecord;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What each person practised on a rig. */
@Repository
public class PracticeStore {

  private final DSLContext db;

  PracticeStore(DSLContext db) {
    this.db = db;
  }

  /**
   * Something that was practised.
   *
   * @param what which exercise
   * @param box how often it was passed in a row, from 0
   * @param due when it comes back
   * @param passedOn when it was passed last, if it ever was
   */
  public record Kept(String what, int box, LocalDate due, Optional<LocalDate> passedOn) {}

  /** Returns what a person practised, what comes back first before the rest. */
  public List<Kept> of(String rig, String person) {
    return db.selectFrom(PRACTICE)
        .where(PRACTICE.RIG.eq(rig).and(PRACTICE.PERSON.eq(person)))
        .orderBy(PRACTICE.DUE, PRACTICE.WHAT)
        .fetch(PracticeStore::kept);
  }

  static Kept kept(PracticeRecord r) {
    return new Kept(
        r.getWhat(),
        r.getBox(),
        LocalDate.parse(r.getDue()),
        Optional.ofNullable(r.getPassedOn()).map(LocalDate::parse));
  }

  /** Keeps what came of practising something, in the place of what was kept of it. */
  @Transactional
  public void keep(String rig, String person, Kept kept) {
    db.deleteFrom(PRACTICE)
        .where(
            PRACTICE.RIG.eq(rig).and(PRACTICE.PERSON.eq(person)).and(PRACTICE.WHAT.eq(kept.what())))
        .execute();
    db.insertInto(PRACTICE)
        .set(PRACTICE.RIG, rig)
        .set(PRACTICE.PERSON, person)
        .set(PRACTICE.WHAT, kept.what())
        .set(PRACTICE.BOX, kept.box())
        .set(PRACTICE.DUE, kept.due().toString())
        .set(PRACTICE.PASSED_ON, kept.passedOn().map(LocalDate::toString).orElse(null))
        .execute();
  }
}
