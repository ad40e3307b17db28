package fernwort.core.jobs.mistake;

import fernwort.core.effort.Effort;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
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
import java.util.TreeMap;

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
    judge = new SlipJudge(network, trial);
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
    Next next = next(job, plan);
    SlipMaker maker = this.maker.followedBy(next.acts(), !job.taps().isEmpty());
    List<Act> right = maker.right(plan);
    Set<List<Act>> tried = new HashSet<>();
    tried.add(right);
    List<Try> tries = maker.of(plan, from).stream().filter(t -> tried.add(t.acts())).toList();
    return judged(tries, trial.run(from, right, next.taps()), from);
  }

  /**
   * What a person does next, whatever the job: a mistake often shows only then.
   *
   * @param acts what is done, with a look at what the taps give
   * @param taps the taps that are looked at, with the position to try each in
   */
  private record Next(List<Act> acts, Map<PartId, PositionId> taps) {}

  /**
   * Opens a tap that the job is for, or one that runs from a tank; drives off once the rig is ready
   * to drive; draws water and fills on arrival.
   */
  private Next next(Job job, Plan plan) {
    if (job.kind().is(Job.Is.ARRIVES)) {
      return atCamp(plan.after());
    }
    List<Act> acts = new ArrayList<>();
    acts.add(new Trial.Serve());
    if (job.kind().is(Job.Is.RUNS_TAPS)) {
      acts.addAll(used(job));
    }
    if (job.kind().is(Job.Is.DRIVES_OFF)) {
      acts.add(new Trial.Driven(Drive.READY.getFirst()));
    }
    return job.taps().isEmpty() && job.kind().is(Job.Is.PUTS_BACK)
        ? nextUse(plan.after())
        : new Next(acts, job.taps());
  }

  /** The first way to run the taps from a tank that goes as things stand. */
  private Next nextUse(State stands) {
    for (Job use : Jobs.of(network).all()) {
      if (use.kind() == Job.Kind.RUN_FROM_TANK) {
        Plan plan = plans.plan(use, stands);
        if (plan.trouble().isEmpty()) {
          List<Act> acts = new ArrayList<>(Trial.acts(plan));
          acts.add(new Trial.Serve());
          return new Next(acts, use.taps());
        }
      }
    }
    return new Next(List.of(new Trial.Serve()), Map.of());
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
  private Next atCamp(State arrived) {
    List<Act> acts = new ArrayList<>();
    Map<PartId, PositionId> taps = new TreeMap<>();
    State at = arrived;
    List<Job> all = Jobs.of(network).all();
    for (Job.Kind kind : List.of(Job.Kind.RUN_FROM_TANK, Job.Kind.FILL_FROM_MAINS)) {
      for (Job next : all) {
        if (next.kind() == kind) {
          Plan plan = plans.plan(next, at);
          if (plan.trouble().isEmpty()) {
            acts.addAll(Trial.acts(plan));
            if (taps.isEmpty() && !next.taps().isEmpty()) {
              taps.putAll(next.taps());
              acts.add(new Trial.Serve());
            }
            acts.addAll(used(next));
            at = plan.after();
            break;
          }
        }
      }
    }
    return new Next(acts, taps);
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
