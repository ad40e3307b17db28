package fernwort.core.jobs.plan;

import fernwort.core.effort.Effort;
import fernwort.core.id.PartId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Need;
import fernwort.core.jobs.goal.Objection;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.network.End;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.ways.Source;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What a rig offers of its jobs, whatever the handles. To see that a job can be done takes a search
 * over the settings of the handles, so each is looked at once, when it is first asked for. Safe to
 * share.
 */
public final class Offers {

  /** A tank that is drawn from at first (share of it); own choice. */
  private static final double NEARLY_FULL = 0.9;

  /** A tank that is filled from nearly nothing (share of it); own choice. */
  private static final double NEARLY_EMPTY = 0.1;

  /** One that is drawn from at the same time (share of it); own choice. */
  private static final double DRAWN = 0.3;

  private final Plans plans;
  private final Plans brief;
  private final List<Job> jobs;
  private final State rest;
  private final Map<String, Offer> known = new ConcurrentHashMap<>();

  private AtLevels last;

  Offers(Plans plans, Jobs jobs) {
    this.plans = plans;
    brief = plans.brief();
    this.jobs = jobs.all();
    Network network = plans.network();
    rest = new State(network.rig().atRest(), network.halfFull(), Slope.LEVEL);
    last = new AtLevels(rest, new ConcurrentHashMap<>());
  }

  /** Returns the jobs that are asked about, grouped as people meet them. */
  public List<Job> jobs() {
    return jobs;
  }

  /** Looks whether a job can be done. */
  public Offer of(Job job) {
    return known.computeIfAbsent(job.id(), id -> new Looked(plans.forJob(job), true).offer(job));
  }

  /**
   * What was found with some levels, by job. Who asks with other levels meanwhile gets another, so
   * that no answer is kept for levels that it is not of.
   */
  private record AtLevels(State levels, Map<String, Offer> offers) {}

  /**
   * Looks whether a job can be done with what the tanks hold, wherever the handles are: what the
   * plan from there says.
   *
   * @param now what the tanks hold, and how the vehicle stands
   */
  public Offer of(Job job, State now) {
    Offer ever = of(job);
    if (!ever.isPossible() && job.stages().size() == 1) {
      return ever;
    }
    State levels = now.with(rest.setting());
    return at(levels).offers().computeIfAbsent(job.id(), id -> at(job, levels));
  }

  private synchronized AtLevels at(State levels) {
    if (!levels.equals(last.levels())) {
      last = new AtLevels(levels, new ConcurrentHashMap<>());
    }
    return last;
  }

  private Offer at(Job job, State levels) {
    Already already = new Already(plans.network(), job);
    Optional<Plan.Trouble> nothing = already.nothingToDo(levels);
    if (nothing.isPresent()) {
      return new Offer(job, nothing, false);
    }
    Offer offer = new Looked(plans.forJob(job), false).offer(job, levels);
    return offer.isPossible() || job.stages().size() == 1 ? offer : planned(offer, levels);
  }

  /** A stage that is done already is left out, and a later one finds what others have left. */
  private Offer planned(Offer offer, State levels) {
    Optional<Plan.Trouble> trouble = brief.plan(offer.job(), levels).trouble();
    return new Offer(offer.job(), trouble, trouble.isPresent() && offer.wanting());
  }

  /** Looks at every job with what the tanks hold. */
  public List<Offer> all(State now) {
    return jobs.parallelStream().map(Effort.carried((Job job) -> of(job, now))).toList();
  }

  /** The same, one after the other, so that who does something else meanwhile hardly notices. */
  public List<Offer> oneByOne(State now) {
    return jobs.stream().map(job -> of(job, now)).toList();
  }

  /** Tells whether some setting of the handles does a job, whatever they are now. */
  public boolean isPossible(Job job) {
    return of(job).isPossible();
  }

  /** Looks at every job at once, with what stands in its way. */
  public List<Offer> all() {
    return jobs.parallelStream().map(Effort.carried(this::of)).toList();
  }

  /** Looks at every job and returns those that can be done. */
  public List<Job> possible() {
    return all().stream().filter(Offer::isPossible).map(Offer::job).toList();
  }

  /** Looks with what plans a job, which may be a rig with a pump primed or a hose laid out. */
  private final class Looked {

    private final Plans by;

    /** Whether only what surely cannot be done counts; else what a plan does not find. */
    private final boolean surely;

    Looked(Plans by, boolean surely) {
      this.by = by;
      this.surely = surely;
    }

    /**
     * Free where some levels let it be done: a float may have shut, a tank stand at its overflow.
     */
    Offer offer(Job job) {
      Offer offer = offer(job, full(job));
      for (State levels : List.of(low(job), middling())) {
        Offer next = offer.isPossible() ? offer : offer(job, levels);
        offer = next.isPossible() ? next : offer;
      }
      return offer;
    }

    /** Every tank a third full: where one runs over into another, neither does. */
    private State middling() {
      State third = rest;
      for (Part tank : by.network().tanks()) {
        third = holding(third, tank.id(), DRAWN);
      }
      return third;
    }

    /** At rest, with the tank that a job first draws from nearly full, so that it falls. */
    private State full(Job job) {
      State full = rest;
      for (Need need : needs(job)) {
        if (need.source().kind() == Source.Kind.TANK) {
          full = holding(full, need.source().part(), NEARLY_FULL);
        }
      }
      return full;
    }

    /** The same, with the tanks that a job first fills nearly empty. */
    private State low(Job job) {
      State low = full(job);
      for (Need need : needs(job)) {
        PartId tank = need.end().part();
        boolean drawn = needs(job).stream().anyMatch(n -> n.source().part().equals(tank));
        if (need.end().kind() == End.Kind.TANK) {
          low = holding(low, tank, drawn ? DRAWN : NEARLY_EMPTY);
        }
      }
      return low;
    }

    private State holding(State state, PartId tank, double share) {
      return state.withVolume(tank, share * by.network().room(tank).capacity());
    }

    private static List<Need> needs(Job job) {
      return job.stages().getFirst().goal().needs();
    }

    /** Looks at each stage that has to be gone through; the first that cannot be tells why. */
    private Offer offer(Job job, State from) {
      for (Job.Stage stage : job.stages()) {
        if (!stage.optional()) {
          State assumed = Job.assumed(by.network(), from, stage.goal());
          Offer offer = offer(job, assumed, stage.goal());
          offer =
              offer
                  .trouble()
                  .flatMap(Plan.Trouble::leftToCare)
                  .filter(danger -> by.bears())
                  .map(danger -> offer(job, assumed, stage.goal().accepting(danger.code())))
                  .orElse(offer);
          if (!offer.isPossible()) {
            return offer;
          }
        }
      }
      return new Offer(job, Optional.empty(), false);
    }

    private Offer offer(Job job, State from, Goal goal) {
      return by.blocked(from, goal, surely)
          .map(blocked ->
              new Offer(
                  job,
                  Optional.of(by.said(goal, blocked)),
                  blocked.objection().filter(Looked::isWanting).isPresent()))
          .orElseGet(() -> new Offer(job, Optional.empty(), false));
    }

    private static boolean isWanting(Objection objection) {
      return objection instanceof Objection.Missing
          || objection instanceof Objection.Apart
          || objection instanceof Objection.Unlinked
          || objection instanceof Objection.NotRound;
    }
  }
}
