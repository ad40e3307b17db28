package fernwort.app.store;

import static fernwort.app.store.db.Tables.ANSWERS;

import java.util.List;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What somebody has answered about a rig, as it was after each page of questions. */
@Repository
public class AnswerStore {

  /** So many are kept: as far back as anybody takes steps of a description back. */
  private static final int MOST = 100;

  private final DSLContext db;

  AnswerStore(DSLContext db) {
    this.db = db;
  }

  /** Returns the answers about a rig, the newest first; empty when it was not described so. */
  public List<String> newest(String rig) {
    return db.select(ANSWERS.GIVEN)
        .from(ANSWERS)
        .where(ANSWERS.RIG.eq(rig))
        .orderBy(ANSWERS.SEQ.desc())
        .fetch(ANSWERS.GIVEN);
  }

  /** Keeps the answers as they are now. */
  @Transactional
  public void keep(String rig, String given) {
    int next =
        db.select(DSL.coalesce(DSL.max(ANSWERS.SEQ), 0))
                .from(ANSWERS)
                .where(ANSWERS.RIG.eq(rig))
                .fetchOptional(0, int.class)
                .orElse(0)
            + 1;
    db.insertInto(ANSWERS)
        .set(ANSWERS.RIG, rig)
        .set(ANSWERS.SEQ, next)
        .set(ANSWERS.GIVEN, given)
        .execute();
    db.deleteFrom(ANSWERS).where(ANSWERS.RIG.eq(rig).and(ANSWERS.SEQ.le(next - MOST))).execute();
  }
}
