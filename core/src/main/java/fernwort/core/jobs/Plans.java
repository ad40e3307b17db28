package fernwort.core.jobs;

import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Warning;
import fernwort.core.network.Hydraulics;
import fernwort.core.network.Plumbing;
import fernwort.core.network.Source;
import fernwort.core.network.Turns.Turn;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Makes run sheets: for each stage of a job the turns, each with its reason, and what to wait for,
 * run through the simulation. Made once per rig; safe to share.
 */
public final class Plans {

  /** A tank with less than this share in it is said to be empty before a job that draws from it. */
  private static final double LITTLE = 0.1;

  private final Plumbing plumbing;
  private final Planner planner;
  private final Hazards hazards;
  private final Waits waits;

  private Plans(Plumbing plumbing) {
    this.plumbing = plumbing;
    planner = Planner.of(plumbing);
    hazards = Hazards.of(plumbing);
    waits = new Waits(plumbing, Hydraulics.of(plumbing));
  }

  /** Prepares a rig. */
  public static Plans of(Plumbing plumbing) {
    return new Plans(plumbing);
  }

  /**
   * Returns the jobs that some setting of the handles can do, whatever they are now, with half-full
   * tanks; a danger that stands in every way counts as not.
   */
  public List<Job> offered(Jobs jobs) {
    Map<String, Double> half = new HashMap<>();
    plumbing.tanks().forEach(t -> half.put(t.id(), plumbing.room(t.id()).capacity() / 2));
    State rest = new State(plumbing.rig().atRest(), half, Slope.LEVEL);
    return jobs.all().stream()
        .filter(j -> planner.isWithinReach(full(j, rest), j.stages().getFirst().goal()))
        .toList();
  }

  /**
   * A state with the tank that a job first draws from nearly full, so that it falls where it may.
   */
  private State full(Job job, State rest) {
    State full = rest;
    for (Need need : job.stages().getFirst().goal().needs()) {
      String tank = need.source().part();
      if (need.source().kind() == Source.Kind.TANK) {
        full = full.withVolume(tank, 0.9 * plumbing.room(tank).capacity());
      }
    }
    return full;
  }

  /** Plans a job from how things stand. */
  public Plan plan(Job job, State from) {
    return plan(job, from, 0, Set.of());
  }

  /**
   * Plans what is left of a job from how things stand.
   *
   * @param job the job
   * @param from handles and levels as they are
   * @param stage the stage to begin with
   * @param stuck ids of parts that have to stay as they are
   */
  public Plan plan(Job job, State from, int stage, Set<String> stuck) {
    List<Step> steps = new ArrayList<>();
    List<Integer> stages = new ArrayList<>();
    List<String> notes = new ArrayList<>();
    State state = from;
    for (int i = stage; i < job.stages().size(); i++) {
      Job.Stage next = job.stages().get(i);
      Optional<Turn> held = next.goal().stuck(state.setting(), stuck);
      if (held.isPresent()) {
        return new Plan(job, steps, stages, notes, state, held.map(this::needed));
      }
      Goal goal = next.goal().keeping(state.setting(), stuck);
      note(goal, state, notes);
      State assumed = Job.assumed(plumbing, state, goal);
      switch (planner.plan(assumed, goal)) {
        case Planner.Blocked blocked -> {
          if (!next.optional()) {
            Plan.Trouble trouble = trouble(goal, blocked);
            return new Plan(job, steps, stages, notes, state, Optional.of(trouble));
          }
          notes.add("No valve shuts the water off before the hose: shut it at the tap outside.");
        }
        case Planner.Found found -> {
          state = move(goal, state, assumed, found, steps);
          if (next.until().isPresent()) {
            Waits.Waited waited = waits.wait(next.until().get(), state);
            steps.add(waited.step());
            state = waited.after();
          }
          while (stages.size() < steps.size()) {
            stages.add(i);
          }
        }
      }
    }
    return new Plan(job, steps, stages, notes, state, Optional.empty());
  }

  /** Returns how many turns a job takes from how things stand, its waits not run through. */
  public int turns(Job job, State from) {
    State state = from;
    int turns = 0;
    for (Job.Stage next : job.stages()) {
      State assumed = Job.assumed(plumbing, state, next.goal());
      if (planner.plan(assumed, next.goal()) instanceof Planner.Found found) {
        turns += found.turns().size();
        state = state.with(found.after());
      }
    }
    return turns;
  }

  private State move(Goal goal, State state, State assumed, Planner.Found found, List<Step> steps) {
    Reasons reasons = new Reasons(new Scout(plumbing, hazards, assumed, goal));
    State at = state;
    for (Turn turn : found.turns()) {
      String before = at.setting().of(turn.part());
      steps.add(
          new Step.Move(
              turn.part(),
              before,
              turn.position(),
              reasons.why(turn, before, found.after()),
              Reasons.notice(plumbing.rig().part(turn.part()), turn.position())));
      at = at.with(turn.part(), turn.position());
    }
    return at;
  }

  private void note(Goal goal, State state, List<String> notes) {
    for (Need need : goal.needs()) {
      String tank = need.source().part();
      if (need.source().kind() == Source.Kind.TANK
          && state.volume(tank) < LITTLE * plumbing.room(tank).capacity()) {
        String words =
            plumbing.rig().part(tank).label() + " is nearly empty: little or nothing will come.";
        if (!notes.contains(words)) {
          notes.add(words);
        }
      }
    }
  }

  private Plan.Trouble needed(Turn turn) {
    return new Plan.Trouble(
        "%s has to be “%s” for it. Leave the job here, and have it mended first."
            .formatted(
                plumbing.rig().part(turn.part()).label(),
                plumbing.rig().position(turn.part(), turn.position()).words()),
        Optional.empty());
  }

  private Plan.Trouble trouble(Goal goal, Planner.Blocked blocked) {
    Optional<Warning> hazard = blocked.hazard();
    String words =
        hazard
            .map(h -> "Every way there leads through a danger: " + h.title() + ". " + h.mend())
            .orElseGet(() -> noWay(goal));
    return new Plan.Trouble(words, hazard);
  }

  private String noWay(Goal goal) {
    return goal.needs().stream()
        .findFirst()
        .map(n ->
            "No position of the handles leads water from %s to %s and nowhere else, as the levels stand."
                .formatted(
                    n.source().kind() == Source.Kind.MAINS
                        ? "the mains"
                        : plumbing.rig().part(n.source().part()).label(),
                    plumbing.rig().part(n.end().part()).label()))
        .orElse("No position of the handles does it.");
  }
}
