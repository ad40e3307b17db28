package fernwort.core.jobs.plan;

import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Primed;
import fernwort.core.jobs.goal.TransferHose;
import fernwort.core.jobs.wait.Waits;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import fernwort.core.run.Landmarks;
import fernwort.core.run.water.Dry;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * Makes run sheets: for each stage of a job the turns, each with its reason, and what to wait for.
 * Every stage is run in the simulation from how things really stand before it is shown; what goes
 * wrong becomes a condition, and it is planned again. Made once per rig; safe to share.
 */
public final class Plans {

  private final Network network;
  private final Landmarks landmarks;
  private final Planner planner;
  private final Hydraulics hydraulics;
  private final Waits waits;
  private final Troubles troubles;
  private final boolean brief;

  /** Whether a danger that is left to care is said on top of a plan rather than refused. */
  private final boolean bears;

  private @Nullable Plans primed;

  /** What plans with a loose hose laid out, by its ends. */
  private final Map<TransferHose, Plans> hoses = new ConcurrentHashMap<>();

  private Plans(
      Landmarks landmarks, Planner planner, Hydraulics hydraulics, boolean brief, boolean bears) {
    network = landmarks.network();
    this.landmarks = landmarks;
    this.planner = planner;
    this.hydraulics = hydraulics;
    waits = new Waits(network, hydraulics, brief);
    troubles = new Troubles(network);
    this.brief = brief;
    this.bears = bears;
  }

  /** Prepares a rig. */
  public static Plans of(Network network) {
    return of(network, Hydraulics.of(network));
  }

  /** Prepares a rig with its hydraulics, such as one whose filters have been used. */
  public static Plans of(Network network, Hydraulics hydraulics) {
    return new Plans(Landmarks.of(network), Planner.of(network), hydraulics, false, true);
  }

  /** Returns what plans the same, in a third of the time: waits without a span or a sequel. */
  public Plans brief() {
    return new Plans(landmarks, planner, hydraulics, true, bears);
  }

  /** Returns what plans the same, and nothing with a danger that is left to care. */
  public Plans careful() {
    return new Plans(landmarks, planner, hydraulics, brief, false);
  }

  /**
   * Returns what plans a job: these; or the same once somebody has primed the pumps, for a job that
   * draws outside water through one that does not draw it up by itself; or with a loose hose laid
   * out, for a job that needs one.
   */
  public Plans forJob(Job job) {
    Optional<TransferHose> hose = TransferHose.of(network, job);
    if (hose.isPresent()) {
      return laidOut(hose.get(), job);
    }
    return job.stages().stream()
            .flatMap(s -> s.goal().needs().stream())
            .anyMatch(n -> Priming.unprimed(network, n).isPresent())
        ? primed()
        : this;
  }

  private Plans laidOut(TransferHose hose, Job job) {
    PositionId opened =
        job.stages().getFirst().goal().musts().getOrDefault(hose.outlet().id(), PositionId.NONE);
    return hoses.computeIfAbsent(
        hose,
        h -> {
          Network laid = h.laidOut(network, opened);
          return new Plans(Landmarks.of(laid), Planner.of(laid), Hydraulics.of(laid), brief, bears);
        });
  }

  private synchronized Plans primed() {
    Plans known = primed;
    if (known == null) {
      Network filled = Primed.of(network);
      known =
          filled == network
              ? this
              : new Plans(
                  Landmarks.of(filled), Planner.of(filled), Hydraulics.of(filled), brief, bears);
      primed = known;
    }
    return known;
  }

  /** Returns the prepared rig. */
  public Network network() {
    return network;
  }

  /** Returns what the rig offers of some jobs, each looked at when it is first asked for. */
  public Offers offers(Jobs jobs) {
    return new Offers(this, jobs);
  }

  /** Returns the jobs that some setting of the handles can do, whatever they are now. */
  public List<Job> offered(Jobs jobs) {
    return offers(jobs).possible();
  }

  /** What stands in the way of a goal that is begun with, wherever the handles are. */
  Optional<Planner.Blocked> blocked(State rest, Goal goal, boolean surely) {
    return surely ? planner.surelyBlocked(rest, goal) : planner.blocked(rest, goal);
  }

  /** How it is said. */
  Plan.Trouble said(Goal goal, Planner.Blocked blocked) {
    return troubles.blocked(goal, blocked);
  }

  /** Tells whether a danger that is left to care is said on top of a plan. */
  boolean bears() {
    return bears;
  }

  /** Plans a job from how things stand. */
  public Plan plan(Job job, State from) {
    return plan(job, from, Dry.NOTHING);
  }

  /** Plans a job in a rig whose lines are not all full. */
  public Plan plan(Job job, State from, Dry dry) {
    return plan(job, from, dry, 0, Set.of());
  }

  /**
   * Plans what is left of a job from how things stand.
   *
   * @param job the job
   * @param from handles and levels as they are
   * @param dry what its lines lack
   * @param stage the stage to begin with
   * @param stuck ids of parts that have to stay as they are
   */
  public Plan plan(Job job, State from, Dry dry, int stage, Set<PartId> stuck) {
    Plans primed = forJob(job);
    if (primed != this) {
      Plan plan = primed.plan(job, from, dry, stage, stuck);
      return TransferHose.of(network, job)
          .map(hose -> hose.byHand(primed.network(), plan))
          .orElseGet(() -> Priming.steps(network, plan, waits::prime));
    }
    return new Draft(
            new Draft.Kit(landmarks, planner, hydraulics, waits, bears), job, from, dry, stuck)
        .from(stage);
  }

  /** Returns the hydraulics that plans are run with. */
  public Hydraulics hydraulics() {
    return hydraulics;
  }

  /**
   * Tells whether nothing has to be done for a job as things stand. It is run through only where
   * its handles stand right.
   */
  public boolean isSo(Job job, State from) {
    boolean stands =
        job.stages().stream()
            .map(Job.Stage::goal)
            .allMatch(goal ->
                planner
                    .scout(Job.assumed(network, from, goal), goal)
                    .objection(from.setting())
                    .filter(f -> !Targets.isBearable(f))
                    .isEmpty());
    if (!stands) {
      return false;
    }
    Plan plan = plan(job, from);
    return plan.trouble().isEmpty() && plan.steps().isEmpty();
  }

  /** Returns how many turns a job takes from how things stand, its waits not run through. */
  public int turns(Job job, State from) {
    State state = from;
    int turns = 0;
    for (Job.Stage next : job.stages()) {
      State assumed = Job.assumed(network, state, next.goal());
      if (planner.plan(assumed, next.goal()) instanceof Planner.Found found) {
        turns += found.turns().size();
        state = state.with(found.after());
      }
    }
    return turns;
  }
}
