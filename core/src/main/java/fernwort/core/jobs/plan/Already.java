package fernwort.core.jobs.plan;

import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Floats;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.wait.Marks;
import fernwort.core.jobs.wait.Waits;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Optional;

/**
 * What leaves nothing to do for a job as tanks stand: the list of jobs and the plan both ask it.
 */
record Already(Network network, Job job) {

  /** Returns why there is nothing to do at all, if there is not. */
  Optional<Plan.Trouble> nothingToDo(State state) {
    return empty(state).or(() -> full(state));
  }

  /** An empty tank has nothing to let out; a job that does more than that goes on all the same. */
  private Optional<Plan.Trouble> empty(State state) {
    if (!job.kind().is(Job.Is.LETS_A_TANK_OUT)) {
      return Optional.empty();
    }
    return job.stages().stream()
        .flatMap(stage -> stage.until().stream())
        .filter(until -> until.what() == Job.Until.What.DRY)
        .filter(until -> state.volume(until.part()) < Waits.WORTHWHILE)
        .findFirst()
        .map(until -> trouble(Says.IS_EMPTY_ALREADY.with(label(until.part()))));
  }

  /** Nothing is to be filled where each tank that is filled is full, or at its mark. */
  private Optional<Plan.Trouble> full(State state) {
    List<Job.Until> fills =
        job.stages().stream()
            .flatMap(stage -> stage.until().stream())
            .filter(Job.Until::fills)
            .toList();
    boolean all = !fills.isEmpty() && fills.stream().allMatch(until -> isReached(until, state));
    return all
        ? Optional.of(trouble(Says.THERE_IS_NOTHING_TO_FILL.with(said(fills.getLast(), state))))
        : Optional.empty();
  }

  /** Tells whether what is waited for has come: a tank that is full is not filled. */
  boolean isReached(Job.Until until, State state) {
    return !job.kind().is(Job.Is.MOVES)
        && Marks.isReached(network, state, job, leaned(until, state));
  }

  /** A tank runs over where its opening comes as it is parked. */
  Job.Until leaned(Job.Until until, State state) {
    if (until.what() != Job.Until.What.RUNS_OVER) {
      return until;
    }
    Part tank = network.rig().part(until.part());
    double mark = Floats.leaned(network, tank, until.mark(), state.slope());
    return new Job.Until(until.what(), tank.id(), mark);
  }

  Message said(Job.Until until, State state) {
    return until.what() == Job.Until.What.MARK
        ? Says.HOLDS_ALREADY.with(label(until.part()), Amount.volume(state.volume(until.part())))
        : Says.IS_FULL_ALREADY.with(label(until.part()));
  }

  private static Plan.Trouble trouble(Message words) {
    return new Plan.Trouble(words, Optional.empty());
  }

  private String label(PartId part) {
    return network.rig().part(part).label();
  }
}
