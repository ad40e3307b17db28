package fernwort.app.store;

import static fernwort.app.store.db.Tables.ANSWERS;

import java.util.Optional;
import org.jooq.DSLContext;
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

  /**
   * Answers as they were kept.
   *
   * @param seq their number
   * @param given the answers
   * @param made the version of the rig that they made; none where an earlier Fernwort kept them
   */
  public record Kept(int seq, String given, Optional<Integer> made) {}

  /** Tells whether a rig was ever described by answers. */
  public boolean knows(String rig) {
    return db.fetchExists(ANSWERS, ANSWERS.RIG.eq(rig));
  }

  /** Returns the newest answers about a rig. */
  public Optional<Kept> newest(String rig) {
    return before(rig, Integer.MAX_VALUE);
  }

  /** Returns the newest answers about a rig of a lower number. */
  public Optional<Kept> before(String rig, int seq) {
    return db.select(ANSWERS.SEQ, ANSWERS.GIVEN, ANSWERS.MADE)
        .from(ANSWERS)
        .where(ANSWERS.RIG.eq(rig).and(ANSWERS.SEQ.lt(seq)))
        .orderBy(ANSWERS.SEQ.desc())
        .limit(1)
        .fetchOptional(r -> new Kept(r.value1(), r.value2(), Optional.ofNullable(r.value3())));
  }

  /** Keeps the answers as they are now, with the version of the rig that they made. */
  @Transactional
  public void keep(String rig, String given, int made) {
    int next = newest(rig).map(Kept::seq).orElse(0) + 1;
    db.insertInto(ANSWERS)
        .set(ANSWERS.RIG, rig)
        .set(ANSWERS.SEQ, next)
        .set(ANSWERS.GIVEN, given)
        .set(ANSWERS.MADE, made)
        .execute();
    db.deleteFrom(ANSWERS).where(ANSWERS.RIG.eq(rig).and(ANSWERS.SEQ.le(next - MOST))).execute();
  }
}
