package fernwort.core.jobs.mistake;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.jobs.goal.Trial.Act;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import fernwort.core.say.Refusal;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Judges what somebody did for a job: it is run as it was done, left alone for a while, and held
 * against the job done right.
 */
public final class Attempts {

  private final Network network;
  private final Plans plans;
  private final Trial trial;
  private final SlipMaker maker;
  private final SlipJudge judge;

  private Attempts(Network network, Plans plans) {
    this.network = network;
    this.plans = plans;
    trial = new Trial(network, plans.hydraulics());
    maker = new SlipMaker(network.rig(), false);
    judge = new SlipJudge(network, trial);
  }

  /** Prepares a rig. */
  public static Attempts of(Network network, Plans plans) {
    return new Attempts(network, plans);
  }

  /**
   * What came of it.
   *
   * @param reached whether the job is done, and what it turned is put back
   * @param grade how bad what else came of it is
   * @param leads what it led to, as a sentence; empty for nothing
   * @param turns how many turns it took (1)
   * @param best how many it takes (1)
   * @param astray the first turn that the job done right does not have, from 0
   * @param left the parts that stand otherwise than after the job done right
   * @param right what to do, in order
   */
  public record Verdict(
      boolean reached,
      Slip.Grade grade,
      Message leads,
      int turns,
      int best,
      Optional<Integer> astray,
      List<String> left,
      List<Act> right) {

    /** Tells whether it was done, and nothing else came of it. */
    public boolean passed() {
      return reached && grade == Slip.Grade.HARMLESS;
    }
  }

  /**
   * Judges some acts.
   *
   * @param from how things stood
   * @throws Refusal when the job cannot be done from there
   */
  public Verdict judge(Job job, State from, List<Act> acts) {
    Plan plan = plans.plan(job, from);
    if (plan.trouble().isPresent()) {
      throw new Refusal(plan.trouble().get().words());
    }
    List<Act> best = Trial.acts(plan);
    Trial.Course meant = trial.run(from, maker.ended(best), job.taps());
    Trial.Outcome came = trial.run(meant, maker.ended(acts));
    Slip slip =
        judge.judge(new Try(Slip.Kind.MISSED, -1, job.title(), acts), meant.outcome(), came, from);
    List<String> left = left(best, meant.outcome().end(), came.end());
    boolean done =
        !judge.isUndone(meant.outcome(), came, from)
            && (endTells(best, meant, from) || acts.containsAll(turned(best)));
    return new Verdict(
        done && (left.isEmpty() || plans.isSo(job, came.end())),
        slip.grade(),
        slip.leads(),
        turns(acts),
        turns(best),
        astray(acts, best),
        left,
        best);
  }

  /**
   * Tells whether one sees at the end that the job was done. Water that only passes through a
   * filter, or round a loop, leaves all as it was: then every turn has to have been made.
   */
  private boolean endTells(List<Act> best, Trial.Course meant, State from) {
    Trial.Outcome idle = trial.run(meant, maker.ended(List.of()));
    return judge.isUndone(meant.outcome(), idle, from)
        || !left(best, meant.outcome().end(), idle.end()).isEmpty();
  }

  private static List<Act> turned(List<Act> acts) {
    return acts.stream().filter(Trial.Turned.class::isInstance).toList();
  }

  private static int turns(List<Act> acts) {
    return turned(acts).size();
  }

  private static Optional<Integer> astray(List<Act> acts, List<Act> best) {
    Set<Act> right = new HashSet<>(best);
    for (int i = 0; i < acts.size(); i++) {
      if (acts.get(i) instanceof Trial.Turned turned && !right.contains(turned)) {
        return Optional.of(i);
      }
    }
    return Optional.empty();
  }

  /** What the job turns, and stands otherwise at the end. */
  private List<String> left(List<Act> best, State meant, State came) {
    Map<PartId, PositionId> should = new TreeMap<>();
    for (Act act : best) {
      if (act instanceof Trial.Turned turned) {
        should.put(turned.part(), meant.setting().of(turned.part()));
      }
    }
    return should.entrySet().stream()
        .filter(e -> !came.setting().has(e.getKey(), e.getValue()))
        .map(e -> network.rig().part(e.getKey()).label())
        .toList();
  }
}
