package fernwort.app.jobs;

import fernwort.app.services.JobBook;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.services.StepText;
import fernwort.app.store.Logbook;
import fernwort.app.store.RunStore;
import fernwort.app.store.RunStore.Mark;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.When;
import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.say.Refusal;
import fernwort.core.tank.Reading;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Jobs as they are done: each tick is kept, turns the handle on the Board with it, and what cannot
 * be done is planned anew from where the handles really are.
 */
@Service
class JobRuns {

  private final States states;
  private final RunStore store;
  private final JobDesk desk;
  private final StepText text;
  private final Logbook logbook;
  private final Clock clock;

  JobRuns(
      States states, RunStore store, JobDesk desk, StepText text, Logbook logbook, Clock clock) {
    this.states = states;
    this.store = store;
    this.desk = desk;
    this.text = text;
    this.logbook = logbook;
    this.clock = clock;
  }

  /** Begins a job from how things stand and returns the run's address. */
  String begin(OpenRig rig, String job, String who) {
    JobBook book = desk.book(rig);
    Job found = book.job(job);
    Plan plan = desk.plan(rig, job, states.of(rig).state());
    if (plan.trouble().isPresent()) {
      throw new Refusal(plan.trouble().get().words());
    }
    return store.begin(rig.id(), job, found.name().keep(), who, text.planned(plan));
  }

  /** Ticks a step: the handle it is about stands there from now on. */
  @Transactional
  void done(OpenRig rig, String run, int seq, boolean record, String who) {
    done(rig, run, seq, record, clock.instant(), who);
  }

  private void done(OpenRig rig, String run, int seq, boolean record, Instant at, String who) {
    RunStore.Row row = row(rig, run, seq);
    switch (text.read(row.step())) {
      case Step.Move move -> {
        if (Gone.has(rig.rig(), move.part(), move.to())) {
          states.turn(rig, move.part().value(), move.to(), who);
        }
      }
      case Step.Wait wait -> {
        if (record) {
          record(rig, wait, who);
        }
      }
    }
    store.mark(run, seq, Mark.DONE, at, who);
    endIfDone(rig, run, who);
  }

  /**
   * Ticks a step that was done a while ago, where there was no network. What somebody else ticked
   * or turned since stays as it is; that both did it stands in the step's note.
   *
   * @param record whether the levels that a wait has led to are kept
   * @param at when it was done
   */
  @Transactional
  void doneBefore(OpenRig rig, String run, int seq, boolean record, Instant at, String who) {
    RunStore.Row row = row(rig, run, seq);
    Instant then = at.isAfter(clock.instant()) ? clock.instant() : at;
    if (row.mark() != Mark.OPEN) {
      if (!row.who().equals(who)) {
        String both = Says.ALSO_TICKED_BY.filled(who, When.full(then));
        store.note(run, seq, row.note().isEmpty() ? both : row.note() + " " + both);
      }
      return;
    }
    boolean turned =
        text.read(row.step()) instanceof Step.Move move
            && logbook.turnedSince(rig.id(), move.part().value(), then);
    if (turned) {
      store.mark(run, seq, Mark.DONE, then, who);
      store.note(run, seq, Says.TURNED_AGAIN_SINCE.filled(When.full(then)));
      endIfDone(rig, run, who);
    } else {
      done(rig, run, seq, record, then, who);
    }
  }

  /** Keeps the levels that a wait has led to, as they were reckoned. */
  private void record(OpenRig rig, Step.Wait wait, String who) {
    wait.levels().entrySet().stream()
        .filter(level -> rig.rig().partsById().containsKey(level.getKey()))
        .forEach(level -> states.reckon(rig, level.getKey(), level.getValue(), who));
  }

  /**
   * Marks a step: left out for now, which is asked about before the run ends; left out and meant;
   * or open again, its handle staying where it is until it is ticked again.
   */
  @Transactional
  void mark(OpenRig rig, String run, int seq, Mark mark, String who) {
    row(rig, run, seq);
    store.mark(run, seq, mark, who);
    endIfDone(rig, run, who);
  }

  @Transactional
  void note(OpenRig rig, String run, int seq, String note) {
    row(rig, run, seq);
    store.note(run, seq, note);
  }

  /** Begins the wait of a step. */
  @Transactional
  void beginWait(OpenRig rig, String run, int seq) {
    row(rig, run, seq);
    store.beginWait(run, seq);
  }

  /**
   * A step cannot be done: its handle is stuck where it stands, and the rest is planned anew.
   *
   * @throws Refusal when nothing else leads there, saying why
   */
  @Transactional
  void cannot(OpenRig rig, String run, int seq) {
    RunStore.Row row = row(rig, run, seq);
    Set<PartId> stuck =
        text.read(row.step()) instanceof Step.Move move ? Set.of(move.part()) : Set.of();
    replan(rig, run, stuck);
  }

  /** Plans what is left from where the handles really are. */
  @Transactional
  void replan(OpenRig rig, String run, Set<PartId> stuck) {
    RunStore.Run going = store.get(rig.id(), run);
    List<RunStore.Row> rows = store.steps(run);
    int stage =
        rows.stream()
            .filter(r -> r.mark() == Mark.OPEN || r.mark() == Mark.SKIPPED)
            .mapToInt(RunStore.Row::stage)
            .min()
            .orElse(0);
    State now = states.of(rig).state();
    Plan plan = desk.plan(rig, going.job(), now, stage, stuck);
    if (plan.trouble().isPresent()) {
      throw new Refusal(Says.THERE_IS_NO_OTHER_WAY_FROM_HERE.with(plan.trouble().get().words()));
    }
    store.replan(run, text.planned(plan));
  }

  /** Leaves a run as it is: what was ticked stays so. */
  @Transactional
  void leave(OpenRig rig, String run) {
    store.get(rig.id(), run);
    store.end(run, RunStore.Outcome.LEFT, 0);
  }

  /**
   * Records where the tanks stand after a run that is done: what was expected and left so as
   * expected, what somebody typed otherwise as read.
   *
   * @param typed by id of the tank, in the reader's units
   * @throws Refusal in one sentence, when a tank cannot hold that; then nothing is recorded
   */
  @Transactional
  void stands(OpenRig rig, String run, Map<PartId, String> typed, Units units, String who) {
    RunStore.Run going = store.get(rig.id(), run);
    if (going.outcome() != RunStore.Outcome.DONE) {
      throw new Refusal(Says.THIS_SHEET_IS_NOT_FINISHED_YET.with());
    }
    Map<PartId, Double> expected = RunView.levels(rig, store.steps(run), text);
    for (Map.Entry<PartId, Double> tank : expected.entrySet()) {
      String answer = typed.getOrDefault(tank.getKey(), "").strip();
      if (answer.isEmpty() || answer.equals(RunView.shown(tank.getValue(), units))) {
        states.reckon(rig, tank.getKey(), tank.getValue(), who);
      } else {
        String label = rig.rig().part(tank.getKey()).label();
        double volume = units.parse(label, Measure.VOLUME, answer);
        states.record(
            rig,
            tank.getKey(),
            new Reading.Volume(volume),
            units.show(Measure.VOLUME, volume),
            clock.instant(),
            who);
      }
    }
  }

  private void endIfDone(OpenRig rig, String run, String who) {
    List<RunStore.Row> rows = store.steps(run);
    boolean over = rows.stream().noneMatch(r -> r.mark() == Mark.OPEN || r.mark() == Mark.SKIPPED);
    RunStore.Run going = store.get(rig.id(), run);
    if (over && going.outcome() == RunStore.Outcome.RUNNING) {
      double moved =
          rows.stream()
              .filter(r -> r.mark() == Mark.DONE)
              .map(r -> text.read(r.step()))
              .mapToDouble(s -> s instanceof Step.Wait wait ? wait.moved() : 0)
              .sum();
      store.end(run, RunStore.Outcome.DONE, moved);
      Duration took = Duration.between(going.started(), clock.instant());
      logbook.job(
          rig.id(),
          run,
          Says.DONE_IN
              .with(
                  Message.kept(going.title()),
                  Amount.time(took.toSeconds()),
                  moved > 0 ? Says.ABOUT.with(Amount.volume(moved)) : Message.NOTHING)
              .keep(),
          who);
    }
  }

  /** A step of a run that is under way. */
  private RunStore.Row row(OpenRig rig, String run, int seq) {
    if (store.get(rig.id(), run).outcome() != RunStore.Outcome.RUNNING) {
      throw new Refusal(Says.THIS_RUN_HAS_ENDED_AND_STAYS.with());
    }
    return store.steps(run).stream()
        .filter(r -> r.seq() == seq && r.mark() != Mark.REPLACED)
        .findFirst()
        .orElseThrow(() -> new Refusal(Says.THIS_STEP_HAS_BEEN_PLANNED_ANEW.with()));
  }
}
