package fernwort.core.jobs;

import fernwort.core.effort.Effort;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.jobs.Trial.Act;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What every single slip in a job leads to: each is done in the simulation as it would be done by
 * hand, left alone for twenty minutes, and held against the job done right.
 */
public final class Slips {

  private final Plumbing plumbing;
  private final Plans plans;
  private final Trial trial;
  private final SlipMaker maker;
  private final SlipJudge judge;

  private Slips(Plumbing plumbing, Plans plans, boolean lastLook) {
    this.plumbing = plumbing;
    this.plans = plans;
    trial = new Trial(plumbing, Hydraulics.of(plumbing));
    maker = new SlipMaker(plumbing.rig(), lastLook);
    judge = new SlipJudge(plumbing);
  }

  /** Prepares a rig. */
  public static Slips of(Plumbing plumbing, Plans plans) {
    return new Slips(plumbing, plans, false);
  }

  /** The same, by somebody who looks round before leaving: pumps off, taps shut, hoses off. */
  public Slips withLastLook() {
    return new Slips(plumbing, plans, true);
  }

  /**
   * Returns every slip of a job from how things stand, the worst first. Taps are taken to be shut
   * before the job begins, so that what they do is not put down to a slip.
   */
  public List<Slip> of(Job job, State stands) {
    State from = stands;
    for (Part part : plumbing.rig().parts()) {
      if (part.kind() instanceof Kind.Fixture) {
        from = from.with(part.id(), part.rest().id());
      }
    }
    Plan plan = plans.plan(job, from);
    if (plan.trouble().isPresent()) {
      // What cannot be done right cannot be done wrong either: there is nothing to hold it against.
      return List.of();
    }
    List<Act> right = maker.right(plan);
    Set<List<Act>> tried = new HashSet<>();
    tried.add(right);
    List<Try> tries = maker.of(plan, from).stream().filter(t -> tried.add(t.acts())).toList();
    return judged(tries, trial.run(from, right, job.taps()), from);
  }

  /** Returns what each handle, bumped while the rig is at rest as it stands, leads to. */
  public List<Slip> bumps(State rest) {
    return judged(maker.bumps(rest), trial.run(rest, maker.alone(), Map.of()), rest);
  }

  /** Tries them all, side by side; the worst comes first. */
  private List<Slip> judged(List<Try> tries, Trial.Course meant, State from) {
    return tries.parallelStream()
        .map(
            Effort.carried(
                (Try t) -> judge.judge(t, meant.outcome(), trial.run(meant, t.acts()), from)))
        .sorted(
            Comparator.comparing(Slip::grade)
                .thenComparing(Comparator.comparingDouble(Slip::lost).reversed())
                .thenComparingInt(Slip::step))
        .toList();
  }
}
