package fernwort.app.jobs;

import fernwort.core.id.PartId;
import fernwort.core.jobs.find.EmptyingJob;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.run.Event;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Does what a run sheet says, step by step, and judges by its own rules what comes of it: it knows
 * the steps and the kind of job, and nothing of how the plan was found.
 */
final class PlanJudge {

  private static final double TURN = 5;

  /** Of a turn, an end has neither its cap nor its hose for so long (s). */
  private static final double BARE = 4;

  private static final double SPLASH = 5e-4;
  private static final double MOVED = 1e-3;
  private static final double TRICKLE = 2.5e-6;

  private final Network network;
  private final Job job;
  private final Simulation run;
  private final Moment before;
  private final Set<String> leaking = new HashSet<>();
  private final Set<String> moving = new HashSet<>();
  private final List<Event> seen = new ArrayList<>();

  PlanJudge(Network network, Job job, State from) {
    this.network = network;
    this.job = job;
    run = Simulation.start(network, from);
    before = run.moment();
    before
        .flows()
        .ends()
        .forEach((end, q) -> {
          if (q > 1e-7) {
            leaking.add(end.value());
          }
        });
    before
        .gains()
        .forEach((tank, q) -> {
          if (Math.abs(q) > 1e-7) {
            moving.add(tank.value());
          }
        });
  }

  /** Returns what is wrong with a plan, if anything is. */
  Optional<String> judge(Plan plan) {
    for (Step step : plan.steps()) {
      Optional<String> wrong =
          switch (step) {
            case Step.Move m -> turn(m);
            case Step.Wait w -> wait(w);
          };
      if (wrong.isPresent()) {
        return wrong;
      }
    }
    return lost().or(this::disturbed).or(this::dry);
  }

  private Optional<String> turn(Step.Move move) {
    if (!run.moment().state().setting().of(move.part()).equals(move.from())) {
      return Optional.of(move.part() + " is not where the sheet says it is");
    }
    seen.clear();
    double done = run.time() + TURN;
    network
        .rig()
        .part(move.part())
        .kind()
        .bare(move.from(), move.to())
        .ifPresent(open -> {
          seen.addAll(run.set(move.part(), open));
          seen.addAll(run.runTo(run.time() + BARE));
        });
    seen.addAll(run.set(move.part(), move.to()));
    seen.addAll(run.runTo(done));
    return broken(false);
  }

  private Optional<String> wait(Step.Wait wait) {
    seen.clear();
    PartId part = wait.until().part();
    boolean untilDry = wait.words().toString().contains("draws air");
    switch (wait.until().what()) {
      case FULL, FIRST_FULL, MARK, RUNS_OVER, LEVEL, DRY, POURED_OUT, HOT -> {
        if (wait.seconds().isKnown()) {
          seen.addAll(run.runTo(run.time() + wait.seconds().expected() + 1e-6));
        }
      }
      case PRESSURE,
          SLACK,
          RUNS,
          RUNS_HOT,
          HOSE_IN,
          POURED_FULL,
          HOSE_OUT,
          CARRIED_OUT,
          LET_OUT,
          PRIMED -> {}
    }
    Optional<String> reached =
        switch (wait.until().what()) {
          case FULL ->
              untilDry || settles(wait) || isFull(part)
                  ? none()
                  : wrong(part, "not full: %.2f mm short".formatted(1000 * shortBy(part)));
          case DRY -> untilDry || settles(wait) || isDry(part) ? none() : wrong(part, "not empty");
          case FIRST_FULL ->
              network.tanks().stream().anyMatch(t -> isFull(t.id()))
                  ? none()
                  : wrong(part, "not full, nor any other");
          case RUNS_OVER ->
              run.moment().state().volume(part) > NEARLY * wait.until().mark()
                  ? none()
                  : wrong(part, "does not run over");
          case MARK ->
              Math.abs(run.moment().state().volume(part) - wait.until().mark()) < AT_MARK
                  ? none()
                  : wrong(part, "not at its mark");
          case LEVEL,
              POURED_OUT,
              HOT,
              PRESSURE,
              SLACK,
              RUNS,
              RUNS_HOT,
              HOSE_IN,
              POURED_FULL,
              HOSE_OUT,
              CARRIED_OUT,
              LET_OUT,
              PRIMED ->
              none();
        };
    return broken(untilDry).or(() -> reached);
  }

  /** A level this far off is no other level to people (m). */
  private static final double NOBODY_SEES = 1e-3;

  /** Air that is shut in holds a tank that runs over lower than its opening (share). */
  private static final double NEARLY = 0.97;

  /** As near as a gauge shows (m³). */
  private static final double AT_MARK = 5e-4;

  private static Optional<String> none() {
    return Optional.empty();
  }

  private static Optional<String> wrong(PartId part, String what) {
    return Optional.of(part + " is " + what);
  }

  private static boolean settles(Step.Wait wait) {
    return wait.words().toString().contains("nothing moves any more");
  }

  private Optional<String> broken(boolean airIsMeant) {
    return seen.stream()
        .filter(Event::begins)
        .filter(h ->
            switch (h.kind()) {
              case BULGES, BURSTS, SUCKED_IN, BACKS_UP -> true;
              case DRAWS_AIR -> !airIsMeant;
              default -> false;
            })
        .findFirst()
        .map(h -> h.kind() + " " + h.subject() + " at " + h.at());
  }

  /** How far a tank's water stands below its lowest vent (m). */
  private double shortBy(PartId tank) {
    Part part = network.rig().part(tank);
    Levels levels = Levels.of(network, run.moment().state());
    return ((Tank) part.kind())
        .tankPorts().stream()
            .filter(p -> p.use() == TankPort.Use.VENT)
            .mapToDouble(p -> levels.height(part.port(p.id())) - levels.surface(tank))
            .min()
            .orElse(0);
  }

  private boolean isFull(PartId tank) {
    Part part = network.rig().part(tank);
    State now = run.moment().state();
    Levels levels = Levels.of(network, now);
    Tank kind = (Tank) part.kind();
    boolean vent =
        kind.tankPorts().stream()
            .filter(p -> p.use() == TankPort.Use.VENT)
            .anyMatch(p -> levels.surface(tank) > levels.height(part.port(p.id())) - NOBODY_SEES);
    boolean floats =
        kind.tankPorts().stream()
            .filter(p -> p.use() == TankPort.Use.FLOAT)
            .anyMatch(p ->
                run.moment().gains().getOrDefault(tank, 0.0) < 1e-7
                    || levels.surface(tank) > levels.height(part.port(p.id())) - NOBODY_SEES);
    return vent || floats || now.volume(tank) > 0.999 * network.room(tank).capacity();
  }

  private boolean isDry(PartId tank) {
    Part part = network.rig().part(tank);
    Levels levels = Levels.of(network, run.moment().state());
    return ((Tank) part.kind())
        .tankPorts().stream()
            .filter(p -> p.use() == TankPort.Use.FEED || p.use() == TankPort.Use.DRAIN)
            .noneMatch(p -> levels.surface(tank) > levels.height(part.port(p.id())) + NOBODY_SEES);
  }

  /** Only emptying and shedding lose water, and taps by their waste. */
  private Optional<String> lost() {
    boolean meant =
        switch (job.kind()) {
          case EMPTY_OUT, SHED, EMPTY_GRAY, DELIVER -> true;
          default -> false;
        };
    for (Map.Entry<PartId, Double> out : run.moment().totals().out().entrySet()) {
      boolean own =
          leaking.contains(out.getKey().value())
              || network.rig().part(out.getKey()).kind() instanceof Fixture;
      if (!meant && !own && out.getValue() > SPLASH) {
        return Optional.of("%.2f L lost at %s".formatted(1000 * out.getValue(), out.getKey()));
      }
    }
    return Optional.empty();
  }

  /** Tanks that neither the title nor the waits speak of keep what they would hold untouched. */
  private Optional<String> disturbed() {
    if (job.kind() == Job.Kind.FILL_ALL) {
      return Optional.empty();
    }
    Set<PartId> emptied = EmptyingJob.tanksOf(job);
    for (Part tank : network.tanks()) {
      boolean concerned =
          emptied.contains(tank.id())
              || moving.contains(tank.id().value())
              || job.id().contains(tank.id().value())
              || (job.title() + job.by()).contains(tank.label());
      double change = run.moment().state().volume(tank.id()) - before.state().volume(tank.id());
      boolean waste = ((Tank) tank.kind()).contents() == Contents.GRAY && change > 0;
      boolean together = job.id().equals("run-together") || job.id().startsWith("empty-all");
      if (!concerned && !waste && !together && isMore(tank.id(), change)) {
        return Optional.of("%s changes by %.2f L".formatted(tank.id(), 1000 * change));
      }
    }
    return Optional.empty();
  }

  /**
   * Tells whether a tank has gained or lost more than it does untouched in the same time, or the
   * other way.
   *
   * @param change what it gained (m³)
   */
  private boolean isMore(PartId tank, double change) {
    if (Math.abs(change) <= MOVED) {
      return false;
    }
    Simulation untouched = Simulation.start(network, before.state());
    untouched.runTo(run.time());
    double byItself = untouched.moment().state().volume(tank) - before.state().volume(tank);
    return change > Math.max(0, byItself) + MOVED || change < Math.min(0, byItself) - MOVED;
  }

  /** Taps that are run from somewhere give water at the end. */
  private Optional<String> dry() {
    switch (job.kind()) {
      case RUN_FROM_TANK, RUN_FROM_MAINS, DRAW_OUTSIDE, RINSE -> {}
      default -> {
        return Optional.empty();
      }
    }
    Set<PartId> taps = new HashSet<>();
    job.stages().forEach(s -> taps.addAll(s.goal().probe().keySet()));
    for (PartId tap : taps) {
      Simulation tried = run.copy();
      tried.set(tap, ((Fixture) network.rig().part(tap).kind()).cold().id());
      if (tried.moment().flows().fixture(tap) < TRICKLE) {
        return Optional.of("no water at " + tap);
      }
    }
    return Optional.empty();
  }
}
