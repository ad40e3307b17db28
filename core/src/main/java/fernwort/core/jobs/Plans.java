package fernwort.core.jobs;

import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.Dry;
import fernwort.core.run.Simulation;
import fernwort.core.say.Amount;
import fernwort.core.say.Saying;
import fernwort.core.ways.Source;
import fernwort.core.ways.Turns.Turn;
import fernwort.core.ways.Way;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Makes run sheets: for each stage of a job the turns, each with its reason, and what to wait for.
 * Every stage is run in the simulation from how things really stand before it is shown; what goes
 * wrong becomes a condition, and it is planned again. Made once per rig; safe to share.
 */
public final class Plans {

  /** A tank with less than this share in it is said to be empty before a job that draws from it. */
  private static final double LITTLE = 0.1;

  /** A stage that went wrong so often is given up. */
  private static final int MOST_ATTEMPTS = 12;

  /** So often it is looked for as hard as can be. */
  private static final int HARD = 4;

  private final Plumbing plumbing;
  private final Planner planner;
  private final Hydraulics hydraulics;
  private final Waits waits;
  private final Troubles troubles;

  private Plans(Plumbing plumbing, Planner planner, Hydraulics hydraulics, boolean brief) {
    this.plumbing = plumbing;
    this.planner = planner;
    this.hydraulics = hydraulics;
    waits = new Waits(plumbing, hydraulics, brief);
    troubles = new Troubles(plumbing);
  }

  /** Prepares a rig. */
  public static Plans of(Plumbing plumbing) {
    return new Plans(plumbing, Planner.of(plumbing), Hydraulics.of(plumbing), false);
  }

  /** Prepares a rig with its hydraulics, such as one whose filters have been used. */
  public static Plans of(Plumbing plumbing, Hydraulics hydraulics) {
    return new Plans(plumbing, Planner.of(plumbing), hydraulics, false);
  }

  /** Returns what plans the same, in a third of the time: waits without a span or a sequel. */
  public Plans brief() {
    return new Plans(plumbing, planner, hydraulics, true);
  }

  /** Returns the prepared rig. */
  public Plumbing plumbing() {
    return plumbing;
  }

  /**
   * A job that the layout allows.
   *
   * @param job the job
   * @param trouble why no safe way leads there from rest with half-full tanks, if none does
   * @param wanting whether no position of the handles does it at all, safe or not
   */
  public record Offer(Job job, Optional<Plan.Trouble> trouble, boolean wanting) {}

  /** Returns every job that the layout allows, with what stands in its way whatever the handles. */
  public List<Offer> offers(Jobs jobs) {
    Map<String, Double> half = new HashMap<>();
    plumbing.tanks().forEach(t -> half.put(t.id(), plumbing.room(t.id()).capacity() / 2));
    State rest = new State(plumbing.rig().atRest(), half, Slope.LEVEL);
    return jobs.all().stream().map(j -> offer(j, full(j, rest))).toList();
  }

  private Offer offer(Job job, State rest) {
    Goal goal = job.stages().getFirst().goal();
    if (planner.within(rest, goal) instanceof Planner.Blocked blocked && blocked.proven()) {
      boolean wanting =
          blocked
              .fault()
              .filter(f ->
                  f instanceof Fault.Missing
                      || f instanceof Fault.Apart
                      || f instanceof Fault.Unlinked
                      || f instanceof Fault.NotRound)
              .isPresent();
      return new Offer(job, Optional.of(troubles.blocked(goal, blocked.fault())), wanting);
    }
    return new Offer(job, Optional.empty(), false);
  }

  /** Returns the jobs that some setting of the handles can do, whatever they are now. */
  public List<Job> offered(Jobs jobs) {
    return offers(jobs).stream().filter(o -> o.trouble().isEmpty()).map(Offer::job).toList();
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
  public Plan plan(Job job, State from, Dry dry, int stage, Set<String> stuck) {
    return new Draft(job, from, dry, stuck).from(stage);
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
                    .scout(Job.assumed(plumbing, from, goal), goal)
                    .fault(from.setting())
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
      State assumed = Job.assumed(plumbing, state, next.goal());
      if (planner.plan(assumed, next.goal()) instanceof Planner.Found found) {
        turns += found.turns().size();
        state = state.with(found.after());
      }
    }
    return turns;
  }

  /** One plan in the making. */
  private final class Draft {

    private final Job job;
    private final Set<String> stuck;
    private final Set<String> concerned;
    private final List<Step> steps = new ArrayList<>();
    private final List<Integer> stages = new ArrayList<>();
    private final List<Saying> notes = new ArrayList<>();
    private final List<Saying> full = new ArrayList<>();
    private final State from;
    private Simulation run;

    private Draft(Job job, State from, Dry dry, Set<String> stuck) {
      this.job = job;
      this.stuck = stuck;
      this.from = from;
      concerned = job.tanks(plumbing.rig());
      run = StageRun.start(plumbing, hydraulics, from, dry);
    }

    private State state() {
      return run.moment().state();
    }

    private Plan from(int first) {
      Map<Integer, List<Condition>> ahead = new HashMap<>();
      Optional<Done> before = Optional.empty();
      for (int i = first; i < job.stages().size(); i++) {
        Job.Stage stage = job.stages().get(i);
        if (isDone(stage)) {
          continue;
        }
        Done here = new Done(i, steps.size(), notes.size(), full.size(), run.copy());
        Optional<Plan.Trouble> trouble = stage(i, stage, ahead.getOrDefault(i, List.of()));
        if (trouble.isPresent() && !ahead.getOrDefault(i, List.of()).isEmpty()) {
          ahead.put(i, List.of());
          goBackTo(here);
          i--;
          continue;
        }
        if (trouble.isPresent()) {
          return plan(trouble);
        }
        List<Condition> late = beforeTheStop(stage, here.steps());
        if (before.isPresent() && !late.isEmpty() && !ahead.containsKey(before.get().stage())) {
          ahead.put(before.get().stage(), late);
          goBackTo(before.get());
          i = before.get().stage() - 1;
          before = Optional.empty();
          continue;
        }
        before = Optional.of(here);
      }
      Optional<Plan.Trouble> nothing = nothingToDo(first);
      return nothing.isPresent()
          ? new Plan(job, List.of(), List.of(), notes, from, nothing)
          : plan(Optional.empty());
    }

    /** How things stood when a stage began. */
    private record Done(int stage, int steps, int notes, int full, Simulation run) {}

    private void goBackTo(Done done) {
      run = done.run().copy();
      steps.subList(done.steps(), steps.size()).clear();
      stages.subList(done.steps(), stages.size()).clear();
      notes.subList(done.notes(), notes.size()).clear();
      full.subList(done.full(), full.size()).clear();
    }

    /**
     * What a stage turns after a fill before it stops the water, which runs over meanwhile: better
     * done before the fill.
     */
    private List<Condition> beforeTheStop(Job.Stage stage, int firstStep) {
      boolean filled =
          firstStep > 0
              && firstStep < steps.size()
              && steps.get(firstStep - 1) instanceof Step.Wait wait
              && wait.until().fills();
      if (!filled) {
        return List.of();
      }
      Set<String> stops = stage.goal().musts().keySet();
      List<Condition> late = new ArrayList<>();
      for (Step step : steps.subList(firstStep, steps.size())) {
        if (!(step instanceof Step.Move move)) {
          return List.of();
        }
        if (stops.contains(move.part())) {
          return late;
        }
        late.add(new Condition.Placed(move.part(), move.to()));
      }
      return List.of();
    }

    private Plan plan(Optional<Plan.Trouble> trouble) {
      return new Plan(job, steps, stages, notes, state(), trouble);
    }

    /** A tank that is full already is not filled. */
    private boolean isDone(Job.Stage stage) {
      boolean done =
          job.kind() != Job.Kind.MOVE
              && stage.until().filter(u -> Marks.isReached(plumbing, state(), job, u)).isPresent();
      if (done) {
        notes.add(already(stage.until().orElseThrow()));
      }
      return done;
    }

    private Saying already(Job.Until until) {
      Saying words =
          until.what() == Job.Until.What.MARK
              ? Saying.of(
                  "{} holds {} already.",
                  label(until.part()),
                  Amount.volume(state().volume(until.part())))
              : Saying.of("{} is full already.", label(until.part()));
      full.add(words);
      return words;
    }

    private Optional<Plan.Trouble> nothingToDo(int first) {
      long waits =
          job.stages().stream()
              .skip(first)
              .filter(s -> s.until().filter(Job.Until::fills).isPresent())
              .count();
      boolean all = first == 0 && waits > 0 && full.size() >= waits;
      boolean fills = steps.stream().anyMatch(s -> s instanceof Step.Wait w && w.moved() > 0);
      return all && !fills
          ? Optional.of(
              new Plan.Trouble(
                  Saying.of("{} There is nothing to fill.", full.getLast()), Optional.empty()))
          : Optional.empty();
    }

    private Optional<Plan.Trouble> stage(int number, Job.Stage stage, List<Condition> ahead) {
      State state = state();
      Optional<Turn> held = stage.goal().stuck(state.setting(), stuck);
      if (held.isPresent()) {
        return held.map(troubles::needed);
      }
      Goal goal = stage.goal().keeping(state.setting(), stuck).and(ahead);
      note(goal, state);
      List<Condition> lessons = new ArrayList<>();
      Optional<Harm> last = Optional.empty();
      for (int attempt = 0; attempt < MOST_ATTEMPTS; attempt++) {
        Goal wiser = goal.and(lessons);
        State assumed = Job.assumed(plumbing, state, wiser);
        // What took several lessons is looked for less hard, so that nobody waits for long.
        Planner.Result result =
            attempt < HARD ? planner.plan(assumed, wiser) : planner.within(assumed, wiser);
        switch (result) {
          case Planner.Blocked blocked -> {
            if (stage.optional() && last.isEmpty()) {
              notes.add(troubles.without(stage.goal()));
              return Optional.empty();
            }
            return last.isPresent()
                ? unless(stage, last.get())
                : Optional.of(troubles.blocked(goal, blocked.fault()));
          }
          case Planner.Found found -> {
            Scout scout = planner.scout(assumed, wiser);
            Attempt tried = attempt(stage, scout, found);
            if (tried.run().harm().isEmpty()) {
              scout.fault(found.after()).filter(Targets::isBearable).ifPresent(this::noteBorne);
              take(number, tried);
              return Optional.empty();
            }
            last = tried.run().harm();
            Harm harm = last.orElseThrow();
            lessons.addAll(lessons(found.after(), harm, tried.run(), scout, lessons));
          }
        }
      }
      return last.flatMap(harm -> unless(stage, harm));
    }

    /** What went wrong with a stage that may be left out is noted only. */
    private Optional<Plan.Trouble> unless(Job.Stage stage, Harm harm) {
      Plan.Trouble trouble = troubles.disproved(harm);
      if (stage.optional()) {
        notes.add(
            stage.goal().of(Condition.RunsOut.class).isEmpty()
                ? trouble.words()
                : troubles.without(stage.goal()));
        return Optional.empty();
      }
      return Optional.of(trouble);
    }

    private void noteBorne(Fault fault) {
      if (fault instanceof Fault.Danger danger) {
        notes.add(Saying.of("{}. {}", danger.warning().title(), danger.warning().mend()));
      }
    }

    private void note(Goal goal, State state) {
      for (Need need : goal.needs()) {
        String tank = need.source().part();
        if (need.source().kind() == Source.Kind.TANK
            && state.volume(tank) < LITTLE * plumbing.room(tank).capacity()) {
          Saying words = Saying.of("{} is nearly empty: little or nothing will come.", label(tank));
          if (!notes.contains(words)) {
            notes.add(words);
          }
        }
      }
    }

    /** A stage as it was tried. */
    private record Attempt(List<Step> steps, StageRun run) {}

    private Attempt attempt(Job.Stage stage, Scout scout, Planner.Found found) {
      List<Step> tried = new ArrayList<>();
      StageRun stageRun =
          new StageRun(plumbing, run.copy(), job.losing(plumbing.rig(), stage), concerned);
      Reasons reasons = new Reasons(scout);
      Setting at = state().setting();
      for (Turn turn : found.turns()) {
        String before = at.of(turn.part());
        Part part = plumbing.rig().part(turn.part());
        tried.add(
            new Step.Move(
                turn.part(),
                before,
                turn.position(),
                reasons.why(turn, before, found.after()),
                Reasons.notice(part, turn.position())));
        stageRun.turn(turn.part(), turn.position());
        at = at.with(turn.part(), turn.position());
        if (before.equals(Kind.HoseInlet.MAINS.id()) && !isSlackAwaited(stage, part)) {
          tried.add(waits.wait(job, new Job.Until(Job.Until.What.SLACK, turn.part()), stageRun));
        }
      }
      if (stageRun.harm().isEmpty()) {
        stage.until().ifPresent(until -> tried.add(waits.wait(job, until, stageRun)));
      }
      stageRun.tryTaps(stage.goal());
      stageRun.look(scout);
      return new Attempt(tried, stageRun);
    }

    private boolean isSlackAwaited(Job.Stage stage, Part part) {
      return !(part.kind() instanceof Kind.HoseInlet)
          || stage.until().filter(u -> u.what() == Job.Until.What.SLACK).isPresent();
    }

    private void take(int number, Attempt tried) {
      run = tried.run().run();
      noteFirstWater(tried.run());
      steps.addAll(tried.steps());
      while (stages.size() < steps.size()) {
        stages.add(number);
      }
    }

    private void noteFirstWater(StageRun stage) {
      if (stage.wetted() > StageRun.SPLASH) {
        notes.add(
            Saying.of("Dry lines take {} before this is done.", Amount.volume(stage.wetted())));
      }
      stage
          .arrivals()
          .forEach((part, seconds) ->
              notes.add(
                  Saying.of(
                      "The first water comes to {} after {}; it spits before.",
                      label(part),
                      Amount.time(seconds))));
    }

    /** What is learnt from a stage that went wrong; the setting itself where nothing else is. */
    private List<Condition> lessons(
        Setting after, Harm harm, StageRun tried, Scout scout, List<Condition> known) {
      Setting at = tried.run().moment().state().setting();
      List<Condition> taps = tapsShut(at, scout.goal());
      boolean drawn =
          switch (harm.kind()) {
            case DREW_AIR, BACKED_UP, LOST, GAINED, DRAINED, NOT_REACHED -> true;
            case STRAINED, SPOILT, NO_WATER -> false;
          };
      return drawn && !taps.isEmpty() && !known.containsAll(taps)
          ? taps
          : List.of(lesson(after, harm, tried, scout));
    }

    /** The way that was not there before, by which a tank was drained or gained in passing. */
    private Optional<Way> harmful(Setting at, Harm harm, Levels met, Scout scout) {
      return scout.ways(at, met).ways().stream()
          .filter(scout::isNew)
          .filter(w ->
              switch (harm.kind()) {
                case DRAINED -> w.source().part().equals(harm.part());
                case GAINED, LOST -> w.end().part().equals(harm.part());
                case STRAINED, DREW_AIR, BACKED_UP, SPOILT, NO_WATER, NOT_REACHED -> false;
              })
          .filter(w -> scout.goal().needs().stream().noneMatch(n -> n.isMetBy(w)))
          .findFirst();
    }

    /** Taps that stand open, and that the job has not opened, are the first to be shut. */
    private List<Condition> tapsShut(Setting at, Goal goal) {
      Map<String, String> musts = goal.musts();
      List<Condition> shut = new ArrayList<>();
      plumbing
          .rig()
          .handles()
          .filter(p -> p.kind() instanceof Kind.Fixture && !musts.containsKey(p.id()))
          .filter(p -> !at.of(p.id()).equals(p.rest().id()))
          .forEach(p -> shut.add(new Condition.Placed(p.id(), p.rest().id())));
      return shut;
    }

    private Condition lesson(Setting after, Harm harm, StageRun tried, Scout scout) {
      Setting at = tried.run().moment().state().setting();
      return at.equals(after)
          ? lesson(at, harm, tried.levels(), scout)
          : new Condition.Passing(
              harmful(at, harm, tried.levels(), scout)
                  .map(w ->
                      (Condition)
                          new Condition.Then(tried.levels(), new Condition.Without(w.key())))
                  .orElseGet(() -> new Condition.Other(at, harm)));
    }

    private Condition lesson(Setting after, Harm harm, Levels met, Scout scout) {
      Optional<Condition> condition =
          switch (harm.kind()) {
            case STRAINED -> Optional.of(new Condition.Breathes(harm.part()));
            case DREW_AIR -> Optional.of(new Condition.Fed(harm.part()));
            case LOST, GAINED -> Optional.of(new Condition.NothingTo(harm.part()));
            case DRAINED -> Optional.of(new Condition.Quiet(harm.part()));
            case SPOILT, BACKED_UP, NO_WATER, NOT_REACHED -> Optional.empty();
          };
      return condition
          .map(c -> (Condition) new Condition.Then(met, c))
          .filter(c -> c.fault(scout, after, met).isPresent())
          .orElseGet(() -> new Condition.Other(after, harm));
    }

    private String label(String part) {
      return plumbing.rig().part(part).label();
    }
  }
}
