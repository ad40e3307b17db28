package fernwort.core.jobs.mistake;

import fernwort.core.effort.Effort;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.TransferHose;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.jobs.goal.Trial.Act;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.road.Drive;
import java.util.ArrayList;
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

  /** A tap is used for so long (s); own choice, a basin of washing up. */
  private static final double IN_USE = 90;

  private final Network network;
  private final Plans plans;
  private final Trial trial;
  private final SlipMaker maker;
  private final SlipJudge judge;
  private final boolean lastLook;

  private Slips(Network network, Plans plans, Hydraulics hydraulics, boolean lastLook) {
    this.network = network;
    this.plans = plans;
    trial = new Trial(network, hydraulics);
    maker = new SlipMaker(network.rig(), lastLook);
    judge = new SlipJudge(network);
    this.lastLook = lastLook;
  }

  /** Prepares a rig; how long a wait may last at most is not asked of its plans. */
  public static Slips of(Network network, Plans plans) {
    return new Slips(network, plans.brief(), plans.hydraulics(), false);
  }

  /** The same, by somebody who looks round before leaving: pumps off, taps shut, hoses off. */
  public Slips withLastLook() {
    return new Slips(network, plans, plans.hydraulics(), true);
  }

  /**
   * Returns every slip of a job from how things stand, the worst first. Taps are taken to be shut
   * before the job begins, so that what they do is not put down to a slip.
   */
  public List<Slip> of(Job job, State stands) {
    Plans primed = plans.forJob(job);
    if (primed == plans) {
      return tried(job, stands);
    }
    // With a loose hose the steps are held against its rig; a primed pump changes none of them.
    boolean hose = TransferHose.of(network, job).isPresent();
    return new Slips(primed.network(), hose ? primed : plans, primed.hydraulics(), lastLook)
        .tried(job, stands);
  }

  private List<Slip> tried(Job job, State stands) {
    State from = stands;
    for (Part part : network.rig().parts()) {
      if (part.kind().is(Purpose.USE)) {
        from = from.with(part.id(), part.rest().id());
      }
    }
    Plan plan = plans.plan(job, from);
    if (plan.trouble().isPresent()) {
      // What cannot be done right cannot be done wrong either: there is nothing to hold it against.
      return List.of();
    }
    SlipMaker maker = this.maker.followedBy(next(job, plan));
    List<Act> right = maker.right(plan);
    Set<List<Act>> tried = new HashSet<>();
    tried.add(right);
    List<Try> tries = maker.of(plan, from).stream().filter(t -> tried.add(t.acts())).toList();
    return judged(tries, trial.run(from, right, job.taps()), from);
  }

  /**
   * What a person does next: opens a tap that the job is for, drives off once the rig is ready to
   * drive, draws water and fills on arrival.
   */
  private List<Act> next(Job job, Plan plan) {
    if (job.kind().is(Job.Is.RUNS_TAPS)) {
      return used(job);
    }
    if (job.kind().is(Job.Is.DRIVES_OFF)) {
      return List.of(new Trial.Driven(Drive.READY.getFirst()));
    }
    return job.kind().is(Job.Is.ARRIVES) ? atCamp(plan.after()) : List.of();
  }

  /** A tap of a job is opened for a while and shut again. */
  private List<Act> used(Job job) {
    return job.taps().entrySet().stream()
        .findFirst()
        .map(tap ->
            List.<Act>of(
                new Trial.Turned(tap.getKey(), tap.getValue()),
                new Trial.Pause(IN_USE),
                new Trial.Turned(tap.getKey(), network.rig().part(tap.getKey()).rest().id())))
        .orElse(List.of());
  }

  /** The first way to run the taps and the first to fill that go from there. */
  private List<Act> atCamp(State arrived) {
    List<Act> acts = new ArrayList<>();
    State at = arrived;
    List<Job> all = Jobs.of(network).all();
    for (Job.Kind kind : List.of(Job.Kind.RUN_FROM_TANK, Job.Kind.FILL_FROM_MAINS)) {
      for (Job next : all) {
        if (next.kind() == kind) {
          Plan plan = plans.plan(next, at);
          if (plan.trouble().isEmpty()) {
            acts.addAll(Trial.acts(plan));
            acts.addAll(used(next));
            at = plan.after();
            break;
          }
        }
      }
    }
    return acts;
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
                .thenComparing(Comparator.comparingLong(Slips::litres).reversed())
                .thenComparingInt(Slip::step))
        .toList();
  }

  /** What is lost as it is told: less does not put one before another. */
  private static long litres(Slip slip) {
    return Math.round(slip.lost() * 1000);
  }
}
