package fernwort.core.practice;

import fernwort.core.fault.FaultFinder;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;

/** Draws drills: jobs that can be done, from handles that somebody may have left. */
public final class Drills {

  /** So often another drill is drawn where one cannot be done. */
  private static final int TRIES = 30;

  /** A drill has at least so many turns (1). */
  private static final int FEWEST = 2;

  /** Tanks hold at least and at most so much (share); own choice. */
  private static final double LEAST = 0.2;

  private static final double MOST = 0.7;

  private final Network network;
  private final Plans plans;
  private final List<Job> jobs;

  private Drills(Network network, Plans plans, List<Job> jobs) {
    this.network = network;
    this.plans = plans;
    this.jobs = List.copyOf(jobs);
  }

  /**
   * Prepares a rig.
   *
   * @param jobs those that can be done
   */
  public static Drills of(Network network, Plans plans, List<Job> jobs) {
    return new Drills(network, plans, jobs);
  }

  /**
   * Draws a drill.
   *
   * @param hard how many handles stand otherwise than at rest (1)
   * @return nothing where no job of the rig is worth a drill
   */
  public Optional<Drill> draw(int hard, Random random) {
    return draw(hard, FEWEST, random);
  }

  private Optional<Drill> draw(int hard, int fewest, Random random) {
    for (int i = 0; i < TRIES && !jobs.isEmpty(); i++) {
      Job job = jobs.get(random.nextInt(jobs.size()));
      State from = left(hard, random);
      Plan plan = plans.plan(job, from);
      long turns = plan.steps().stream().filter(Step.Move.class::isInstance).count();
      if (plan.trouble().isEmpty() && turns >= fewest) {
        return Optional.of(new Drill(job, from, (int) turns));
      }
    }
    return Optional.empty();
  }

  /**
   * Draws a drill of one job, though it be short.
   *
   * @param hard how many handles stand otherwise than at rest (1)
   */
  public Optional<Drill> draw(Job job, int hard, Random random) {
    return of(network, plans, List.of(job)).draw(hard, 1, random);
  }

  /**
   * Draws a setting of which somebody has to say where the water goes.
   *
   * @param hard how many handles stand otherwise than a job leaves them (1)
   */
  public Optional<WhatIf> whatIf(int hard, Random random) {
    for (int i = 0; i < TRIES && !jobs.isEmpty(); i++) {
      Optional<WhatIf> drawn =
          inUse(random)
              .map(s -> muddled(s, hard, random))
              .flatMap(s -> WhatIf.of(network, plans.hydraulics(), s));
      if (drawn.isPresent()) {
        return drawn;
      }
    }
    return Optional.empty();
  }

  /** Draws water that runs where it should not while the rig is in use. */
  public Optional<Emergency> emergency(Random random) {
    Emergency.Mishap[] all = Emergency.Mishap.values();
    for (int i = 0; i < TRIES && !jobs.isEmpty(); i++) {
      Emergency.Mishap mishap = all[random.nextInt(all.length)];
      Optional<Emergency> drawn = inUse(random).flatMap(s -> emergency(mishap, s, random));
      if (drawn.isPresent()) {
        return drawn;
      }
    }
    return Optional.empty();
  }

  private Optional<Emergency> emergency(Emergency.Mishap mishap, State state, Random random) {
    List<Line> lines = network.rig().lines();
    return switch (mishap) {
      case COMES_OFF, LEAKS ->
          Emergency.of(network.rig(), state, mishap, lines.get(random.nextInt(lines.size())).id());
      case RUNS_OVER -> {
        List<Part> tanks = network.tanks();
        yield tanks.isEmpty()
            ? Optional.empty()
            : Emergency.over(
                network, plans.hydraulics(), state, tanks.get(random.nextInt(tanks.size())).id());
      }
    };
  }

  /** Hides a fault in a rig that is in use. */
  public Optional<FindIt> findIt(FaultFinder finder, Random random) {
    for (int i = 0; i < TRIES && !jobs.isEmpty(); i++) {
      Optional<FindIt> drawn = inUse(random).flatMap(s -> FindIt.draw(finder, s, random));
      if (drawn.isPresent()) {
        return drawn;
      }
    }
    return Optional.empty();
  }

  /** As some job leaves the rig, its taps open where it is for them. */
  private Optional<State> inUse(Random random) {
    Job job = jobs.get(random.nextInt(jobs.size()));
    State from = left(0, random);
    Plan plan = plans.plan(job, from);
    if (plan.trouble().isPresent()) {
      return Optional.empty();
    }
    State state = from;
    for (Step step : plan.steps()) {
      if (step instanceof Step.Move move) {
        state = state.with(network.rig().turned(state.setting(), move.part(), move.to()));
      } else if (!plan.job().kind().is(Job.Is.RUNS_TAPS)) {
        // In the middle of a job that moves water it is as it is during its first wait.
        break;
      }
    }
    for (Map.Entry<PartId, PositionId> tap : job.taps().entrySet()) {
      state = state.with(tap.getKey(), tap.getValue());
    }
    return Optional.of(state);
  }

  private State muddled(State state, int hard, Random random) {
    List<Part> handles = network.rig().handles().toList();
    State muddled = state;
    for (int i = 0; i < hard && !handles.isEmpty(); i++) {
      Part part = handles.get(random.nextInt(handles.size()));
      List<Position> ways = part.kind().positions();
      muddled = muddled.with(part.id(), ways.get(random.nextInt(ways.size())).id());
    }
    return muddled;
  }

  /** The rig at rest, but for some handles, with some water in its tanks. */
  private State left(int hard, Random random) {
    TreeMap<PartId, Double> volumes = new TreeMap<>();
    network
        .rig()
        .tanks()
        .forEach(t -> volumes.put(t.id(), share(random) * network.room(t.id()).capacity()));
    State state = new State(network.rig().atRest(), volumes, Slope.LEVEL);
    List<Part> valves =
        new ArrayList<>(
            network.rig().parts().stream()
                .filter(p -> p.kind().is(Purpose.TURNS) && p.hasHandle())
                .toList());
    Collections.shuffle(valves, random);
    for (Part valve : valves.subList(0, Math.min(hard, valves.size()))) {
      List<Position> ways = valve.kind().positions();
      state = state.with(valve.id(), ways.get(random.nextInt(ways.size())).id());
    }
    return state;
  }

  private static double share(Random random) {
    return LEAST + (MOST - LEAST) * random.nextDouble();
  }
}
