package fernwort.app.store;

import static fernwort.app.store.db.Tables.JOB_RUN;
import static fernwort.app.store.db.Tables.RUN_STEP;

import fernwort.app.Missing;
import fernwort.app.store.db.tables.records.JobRunRecord;
import fernwort.app.store.db.tables.records.RunStepRecord;
import fernwort.core.say.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Runs of jobs with their steps, kept at each tick. */
@Repository
public class RunStore {

  private static final int LONGEST_NOTE = 400;

  private final DSLContext db;
  private final Clock clock;

  RunStore(DSLContext db, Clock clock) {
    this.db = db;
    this.clock = clock;
  }

  /** How a run ended. */
  public enum Outcome {
    RUNNING,
    DONE,
    LEFT
  }

  /** How a step stands. */
  public enum Mark {
    OPEN,
    DONE,
    SKIPPED,
    /** Skipped, and somebody has said that it was meant. */
    MEANT,
    /** A newer plan has taken its place. */
    REPLACED
  }

  /**
   * A run.
   *
   * @param job id of the job
   * @param moved water that it moved as reckoned (m³)
   */
  public record Run(
      String id,
      String rig,
      String job,
      String title,
      String who,
      Instant started,
      Optional<Instant> ended,
      Outcome outcome,
      double moved) {}

  /**
   * A step of a run.
   *
   * @param seq its number, in the order of the sheet
   * @param stage the stage of the job it belongs to
   * @param step what to do, as text
   * @param begun when a wait was begun
   */
  public record Row(
      int seq,
      int stage,
      String step,
      Mark mark,
      Optional<Instant> marked,
      String who,
      String note,
      Optional<Instant> begun) {}

  /** A step to be added: its stage and what to do, as text. */
  public record Planned(int stage, String step) {}

  /** Begins a run and returns its address. */
  @Transactional
  public String begin(String rig, String job, String title, String who, List<Planned> steps) {
    String id = UUID.randomUUID().toString();
    db.insertInto(JOB_RUN)
        .set(JOB_RUN.ID, id)
        .set(JOB_RUN.RIG, rig)
        .set(JOB_RUN.JOB, job)
        .set(JOB_RUN.TITLE, title)
        .set(JOB_RUN.WHO, who)
        .set(JOB_RUN.STARTED_AT, clock.instant().atOffset(ZoneOffset.UTC))
        .set(JOB_RUN.OUTCOME, Outcome.RUNNING.name())
        .set(JOB_RUN.MOVED, 0.0)
        .execute();
    append(id, steps);
    return id;
  }

  private void append(String run, List<Planned> steps) {
    Integer last =
        db.select(org.jooq.impl.DSL.max(RUN_STEP.SEQ))
            .from(RUN_STEP)
            .where(RUN_STEP.RUN.eq(run))
            .fetchOne(0, Integer.class);
    int seq = last == null ? 1 : last + 1;
    for (Planned planned : steps) {
      db.insertInto(RUN_STEP)
          .set(RUN_STEP.RUN, run)
          .set(RUN_STEP.SEQ, seq++)
          .set(RUN_STEP.STAGE, planned.stage())
          .set(RUN_STEP.STEP, planned.step())
          .set(RUN_STEP.MARK, Mark.OPEN.name())
          .set(RUN_STEP.WHO, "")
          .set(RUN_STEP.NOTE, "")
          .execute();
    }
  }

  /**
   * Returns a run.
   *
   * @throws Refusal when the rig has none with this address
   */
  public Run get(String rig, String id) {
    return db.selectFrom(JOB_RUN)
        .where(JOB_RUN.ID.eq(id).and(JOB_RUN.RIG.eq(rig)))
        .fetchOptional(RunStore::run)
        .orElseThrow(() -> new Missing(Says.THERE_IS_NO_SUCH_RUN_SHEET_BEGIN.text()));
  }

  /** Returns the newest runs of a rig, newest first. */
  public List<Run> newest(String rig, int most) {
    return db.selectFrom(JOB_RUN)
        .where(JOB_RUN.RIG.eq(rig))
        .orderBy(JOB_RUN.STARTED_AT.desc())
        .limit(most)
        .fetch(RunStore::run);
  }

  /** Returns the steps of a run in order. */
  public List<Row> steps(String run) {
    return db.selectFrom(RUN_STEP)
        .where(RUN_STEP.RUN.eq(run))
        .orderBy(RUN_STEP.SEQ)
        .fetch(RunStore::row);
  }

  /** Marks a step. A step that is marked so already keeps its time. */
  @Transactional
  public void mark(String run, int seq, Mark mark, String who) {
    mark(run, seq, mark, clock.instant(), who);
  }

  /** Marks a step as of some moment. */
  @Transactional
  public void mark(String run, int seq, Mark mark, Instant at, String who) {
    db.update(RUN_STEP)
        .set(RUN_STEP.MARK, mark.name())
        .set(RUN_STEP.MARKED_AT, at.atOffset(ZoneOffset.UTC))
        .set(RUN_STEP.WHO, who)
        .where(RUN_STEP.RUN.eq(run).and(RUN_STEP.SEQ.eq(seq)))
        .and(RUN_STEP.MARK.ne(mark.name()))
        .execute();
  }

  /** Begins the wait of a step; one that runs already goes on. */
  @Transactional
  public void beginWait(String run, int seq) {
    db.update(RUN_STEP)
        .set(RUN_STEP.BEGUN_AT, clock.instant().atOffset(ZoneOffset.UTC))
        .where(RUN_STEP.RUN.eq(run).and(RUN_STEP.SEQ.eq(seq)))
        .and(RUN_STEP.BEGUN_AT.isNull())
        .execute();
  }

  /**
   * Keeps a note to a step.
   *
   * @throws Refusal when it is too long
   */
  @Transactional
  public void note(String run, int seq, String text) {
    if (text.length() > LONGEST_NOTE) {
      throw new Refusal(Says.A_NOTE_HAS_ROOM_FOR_CHARACTERS.filled(LONGEST_NOTE));
    }
    db.update(RUN_STEP)
        .set(RUN_STEP.NOTE, text)
        .where(RUN_STEP.RUN.eq(run).and(RUN_STEP.SEQ.eq(seq)))
        .execute();
  }

  /** Puts newly planned steps in place of all that are open or were left out. */
  @Transactional
  public void replan(String run, List<Planned> steps) {
    db.update(RUN_STEP)
        .set(RUN_STEP.MARK, Mark.REPLACED.name())
        .where(RUN_STEP.RUN.eq(run).and(RUN_STEP.MARK.in(Mark.OPEN.name(), Mark.SKIPPED.name())))
        .execute();
    append(run, steps);
  }

  /** Ends a run; one that has ended keeps how it did. */
  @Transactional
  public void end(String run, Outcome outcome, double moved) {
    db.update(JOB_RUN)
        .set(JOB_RUN.OUTCOME, outcome.name())
        .set(JOB_RUN.ENDED_AT, clock.instant().atOffset(ZoneOffset.UTC))
        .set(JOB_RUN.MOVED, moved)
        .where(JOB_RUN.ID.eq(run).and(JOB_RUN.OUTCOME.eq(Outcome.RUNNING.name())))
        .execute();
  }

  static Run run(JobRunRecord r) {
    return new Run(
        r.getId(),
        r.getRig(),
        r.getJob(),
        r.getTitle(),
        r.getWho(),
        r.getStartedAt().toInstant(),
        Optional.ofNullable(r.getEndedAt()).map(t -> t.toInstant()),
        Outcome.valueOf(r.getOutcome()),
        r.getMoved());
  }

  static Row row(RunStepRecord r) {
    return new Row(
        r.getSeq(),
        r.getStage(),
        r.getStep(),
        Mark.valueOf(r.getMark()),
        Optional.ofNullable(r.getMarkedAt()).map(t -> t.toInstant()),
        r.getWho(),
        r.getNote(),
        Optional.ofNullable(r.getBegunAt()).map(t -> t.toInstant()));
  }
}
