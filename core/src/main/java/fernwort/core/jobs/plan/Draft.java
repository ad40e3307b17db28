package fernwort.core.jobs.plan;

import fernwort.core.hazard.Warning;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.ConditionEvaluator;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Harm;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Need;
import fernwort.core.jobs.goal.Objection;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Seen;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.wait.Losses;
import fernwort.core.jobs.wait.StageRun;
import fernwort.core.jobs.wait.TimedWait;
import fernwort.core.jobs.wait.Waits;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Rank;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import fernwort.core.run.Landmarks;
import fernwort.core.run.Simulation;
import fernwort.core.run.water.Dry;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.ways.OpenWays;
import fernwort.core.ways.Source;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;

/**
 * One plan in the making: each stage is planned, run, and planned again with what went wrong as a
 * condition.
 */
final class Draft {

  /** A tank with less than this share in it is said to be empty before a job that draws from it. */
  private static final double LITTLE = 0.1;

  /** A stage that went wrong so often is given up. */
  private static final int MOST_ATTEMPTS = 12;

  /** So often it is looked for as hard as can be. */
  private static final int HARD = 4;

  /** What it is made with. */
  record Kit(
      Landmarks landmarks, Planner planner, Hydraulics hydraulics, Waits waits, boolean bears) {}

  private final Network network;
  private final Planner planner;
  private final Waits waits;
  private final boolean bears;
  private final Troubles troubles;
  private final LearnedConstraints learnt;
  private final Job job;
  private final Already already;
  private final Set<PartId> stuck;
  private final Set<PartId> concerned;

  /** Whether lines hold air that has to come out at the taps. */
  private final boolean aired;

  private final List<Step> steps = new ArrayList<>();
  private final List<Integer> stages = new ArrayList<>();
  private final List<Message> notes = new ArrayList<>();
  private final List<Message> full = new ArrayList<>();
  private final State from;

  /** Waits as they were run, which are told apart though they be alike. */
  private final Map<Step, TimedWait> timed = new IdentityHashMap<>();

  /** What tanks hold that somebody lets a little out of before a drive, by id (m³). */
  private final Map<PartId, Double> letOut = new TreeMap<>();

  private Simulation run;
  private Losses losses;

  Draft(Kit kit, Job job, State from, Dry dry, Set<PartId> stuck) {
    network = kit.landmarks().network();
    planner = kit.planner();
    waits = kit.waits();
    bears = kit.bears();
    troubles = new Troubles(network);
    learnt = new LearnedConstraints(network);
    this.job = job;
    already = new Already(network, job);
    this.stuck = stuck;
    this.from = from;
    concerned = job.tanks(network.rig());
    aired = !dry.equals(Dry.NOTHING);
    run = StageRun.start(kit.landmarks(), kit.hydraulics(), from, dry);
    losses = Losses.at(run.moment());
  }

  private State state() {
    return run.moment().state();
  }

  /** Plans the job from one of its stages on. */
  Plan from(int first) {
    Optional<Plan.Trouble> nothing = already.nothingToDo(state());
    if (first == 0 && nothing.isPresent()) {
      return plan(nothing);
    }
    Map<Integer, List<Condition>> ahead = new HashMap<>();
    Optional<Done> before = Optional.empty();
    for (int i = first; i < job.stages().size(); i++) {
      Job.Stage stage = job.stages().get(i);
      if (isDone(stage)) {
        continue;
      }
      Done here = new Done(i, steps.size(), notes.size(), full.size(), run.copy(), losses);
      Optional<Plan.Trouble> trouble = sparing(i, stage, ahead.getOrDefault(i, List.of()));
      if (trouble.isPresent() && !ahead.getOrDefault(i, List.of()).isEmpty()) {
        ahead.put(i, List.of());
        goBackTo(here);
        i--;
        continue;
      }
      if (trouble.isPresent()) {
        return plan(trouble);
      }
      List<Condition> late = new Ahead(network).of(stage, steps, here.steps());
      if (before.isPresent() && !late.isEmpty() && !ahead.containsKey(before.get().stage())) {
        ahead.put(before.get().stage(), late);
        goBackTo(before.get());
        i = before.get().stage() - 1;
        before = Optional.empty();
        continue;
      }
      before = Optional.of(here);
    }
    putBack();
    beforeDriving();
    new NetUse(network, job).said(run).ifPresent(notes::add);
    Optional<Plan.Trouble> onTheWay = nothingToDo(first);
    return onTheWay.isPresent()
        ? new Plan(job, List.of(), List.of(), notes, from, onTheWay)
        : plan(Optional.empty());
  }

  /** Before a drive what warms and sloshes gets room, and loads are told. */
  private void beforeDriving() {
    if (job.kind().is(Job.Is.DRIVES_OFF)) {
      BeforeDriving driving = new BeforeDriving(network, state());
      for (Step.Wait out : driving.lettingOut()) {
        steps.addFirst(out);
        stages.addFirst(0);
        letOut.putAll(out.levels());
      }
      notes.addAll(driving.loads());
    }
  }

  /**
   * What was turned for the job goes back to where it stood, as far as that is safe: all of it, or
   * else what was shut before.
   */
  private void putBack() {
    if (!job.kind().is(Job.Is.PUTS_BACK)) {
      return;
    }
    Set<PartId> left = job.stages().getLast().goal().musts().keySet();
    Map<PartId, PositionId> stood = new TreeMap<>();
    Map<PartId, PositionId> shut = new TreeMap<>();
    for (Step step : steps) {
      if (step instanceof Step.Move move && !left.contains(move.part())) {
        Part part = network.rig().part(move.part());
        boolean dry = job.kind().is(Job.Is.LETS_A_TANK_OUT) && part.kind().is(Purpose.DRIVES);
        if (part.kind().is(Purpose.HEATS) || dry) {
          // Switched on again by whoever has looked that there is water for it.
          continue;
        }
        PositionId before = from.setting().of(move.part());
        if (!before.equals(state().setting().of(move.part()))) {
          stood.put(move.part(), before);
          if (part.kind().rank(before) == Rank.WAY_SHUT) {
            shut.put(move.part(), before);
          }
        }
      }
    }
    if (!isPutBack(stood) && !shut.equals(stood)) {
      isPutBack(shut);
    }
  }

  private boolean isPutBack(Map<PartId, PositionId> stood) {
    if (stood.isEmpty()) {
      return true;
    }
    int step = steps.size();
    int note = notes.size();
    Job.Stage back = Job.Stage.ifPossible(Goal.of(stood));
    Optional<Plan.Trouble> trouble = stage(job.stages().size() - 1, back, List.of());
    boolean done = trouble.isEmpty() && notes.size() == note;
    notes.subList(note, notes.size()).clear();
    for (int i = step; i < steps.size(); i++) {
      if (steps.get(i) instanceof Step.Move move
          && move.to().equals(from.setting().of(move.part()))) {
        steps.set(i, move.because(Says.BACK_TO_HOW_IT_WAS.with()));
      }
    }
    return done;
  }

  /** How things stood when a stage began. */
  private record Done(int stage, int steps, int notes, int full, Simulation run, Losses losses) {}

  private void goBackTo(Done done) {
    run = done.run().copy();
    losses = done.losses();
    steps.subList(done.steps(), steps.size()).clear();
    stages.subList(done.steps(), stages.size()).clear();
    notes.subList(done.notes(), notes.size()).clear();
    full.subList(done.full(), full.size()).clear();
  }

  /** Says of each wait how much shorter or longer it may be. */
  private void span() {
    List<Integer> waits =
        IntStream.range(0, steps.size())
            .filter(i -> timed.containsKey(steps.get(i)))
            .boxed()
            .toList();
    List<Step.Span> spans =
        this.waits.spans(waits.stream().map(steps::get).map(timed::get).toList());
    for (int i = 0; i < waits.size(); i++) {
      int step = waits.get(i);
      steps.set(step, ((Step.Wait) steps.get(step)).lasting(spans.get(i)));
    }
  }

  private Plan plan(Optional<Plan.Trouble> trouble) {
    span();
    State after = state();
    for (Map.Entry<PartId, Double> tank : letOut.entrySet()) {
      after = after.withVolume(tank.getKey(), tank.getValue());
    }
    return new Plan(job, steps, stages, notes, after, trouble);
  }

  /** A tank that is full already is not filled. */
  private boolean isDone(Job.Stage stage) {
    Optional<Job.Until> reached = stage.until().filter(u -> already.isReached(u, state()));
    reached.ifPresent(until -> {
      Message words = already.said(already.leaned(until, state()), state());
      full.add(words);
      notes.add(words);
    });
    return reached.isPresent();
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
            new Plan.Trouble(Says.THERE_IS_NOTHING_TO_FILL.with(full.getLast()), Optional.empty()))
        : Optional.empty();
  }

  /**
   * Plans a stage that stops at once what runs over since the stage before it; or else one that
   * lets it run while other handles are turned first.
   */
  private Optional<Plan.Trouble> sparing(int number, Job.Stage stage, List<Condition> ahead) {
    Optional<Plan.Trouble> trouble = stage(number, stage, ahead);
    Losses excused = losses.excusing(run.moment());
    if (trouble.isEmpty() || excused.equals(losses)) {
      return trouble;
    }
    losses = excused;
    return stage(number, stage, ahead);
  }

  /** Plans a stage; where only what is left to care stands in the way, that is said on top. */
  private Optional<Plan.Trouble> stage(int number, Job.Stage stage, List<Condition> ahead) {
    State state = state();
    Optional<Turn> held = stage.goal().stuck(state.setting(), stuck);
    if (held.isPresent()) {
      return held.map(troubles::needed);
    }
    Goal goal =
        stage.goal().keeping(state.setting(), stuck).and(dryWhereCapped(stage.goal())).and(ahead);
    note(goal, state);
    Optional<Plan.Trouble> trouble = stage(number, stage, goal);
    Optional<Warning> minded = trouble.flatMap(Plan.Trouble::leftToCare);
    if (minded.isEmpty() || !bears) {
      return trouble;
    }
    Goal bearing = goal.accepting(minded.get().code());
    Optional<Plan.Trouble> still = stage(number, stage, bearing);
    if (still.isEmpty()) {
      noteFirst(minded.get());
    }
    return still;
  }

  /** Where a hose comes off in a stage, what would run out meanwhile is shut off. */
  private List<Condition> dryWhereCapped(Goal goal) {
    List<Condition> dry = new ArrayList<>();
    goal.musts()
        .forEach((part, to) -> {
          Kind kind = network.rig().part(part).kind();
          boolean capped =
              kind.is(Purpose.INLET)
                  && kind.rests(to)
                  && kind.bare(state().setting().of(part), to).isPresent();
          if (capped && planner.isHeld(part)) {
            dry.add(new Condition.Dry(part));
          }
        });
    return dry;
  }

  private void noteFirst(Warning danger) {
    Message words = Says.DANGER.with(danger.title(), danger.fix());
    if (!notes.contains(words)) {
      notes.addFirst(words);
    }
  }

  private Optional<Plan.Trouble> stage(int number, Job.Stage stage, Goal goal) {
    State state = state();
    List<Condition> lessons = new ArrayList<>();
    // What the nearest setting did is told: others were tried for want of it.
    Optional<Harm> first = Optional.empty();
    Seen seen = planner.seen(state);
    for (int attempt = 0; attempt < MOST_ATTEMPTS; attempt++) {
      Goal wiser = goal.and(lessons);
      // What runs out while a hose comes off does so at the level that is there.
      boolean asItIs = !wiser.of(Condition.Dry.class).isEmpty();
      State assumed = asItIs ? state : Job.assumed(network, state, wiser);
      seen = seen.at(assumed);
      ConditionEvaluator scout = planner.scout(seen, assumed, wiser);
      // What took several lessons is looked for less hard, so that nobody waits for long.
      Planner.Result result =
          attempt < HARD ? planner.plan(assumed, scout) : planner.within(assumed, scout);
      switch (result) {
        case Planner.Blocked blocked -> {
          Optional<List<Condition>> eased = LearnedConstraints.eased(lessons);
          if (eased.isPresent()) {
            lessons = new ArrayList<>(eased.get());
            continue;
          }
          if (stage.optional() && first.isEmpty()) {
            notes.add(troubles.without(stage.goal()));
            return Optional.empty();
          }
          return first.isPresent()
              ? unless(stage, first.get())
              : Optional.of(troubles.blocked(goal, blocked));
        }
        case Planner.Found found -> {
          Attempt tried = attempt(stage, scout, found);
          if (tried.run().harm().isEmpty()) {
            scout.objection(found.after()).filter(Targets::isBearable).ifPresent(this::noteBorne);
            take(number, tried);
            return Optional.empty();
          }
          Harm harm = tried.run().harm().orElseThrow();
          first = first.or(() -> Optional.of(harm));
          lessons.addAll(learnt.of(found.after(), harm, tried.run(), scout, lessons));
        }
      }
    }
    return first.flatMap(harm -> unless(stage, harm));
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

  private void noteBorne(Objection objection) {
    if (objection instanceof Objection.Danger danger) {
      notes.add(Message.of("{}. {}", danger.warning().title(), danger.warning().fix()));
    }
  }

  private void note(Goal goal, State state) {
    for (Need need : goal.needs()) {
      PartId tank = need.source().part();
      if (need.source().kind() == Source.Kind.TANK
          && state.volume(tank) < LITTLE * network.room(tank).capacity()) {
        Message words = Says.IS_NEARLY_EMPTY_LITTLE.with(label(tank));
        if (!notes.contains(words)) {
          notes.add(words);
        }
      }
    }
  }

  /** A stage as it was tried. */
  private record Attempt(List<Step> steps, StageRun run) {}

  private Attempt attempt(Job.Stage stage, ConditionEvaluator scout, Planner.Found asPlanned) {
    List<Step> tried = new ArrayList<>();
    StageRun stageRun = new StageRun(network, run.copy(), losing(stage), losses, concerned);
    Reasons reasons = new Reasons(scout);
    Setting at = state().setting();
    Planner.Found found = together(asPlanned);
    for (Turn turn : found.turns()) {
      PositionId before = at.of(turn.part());
      Part part = network.rig().part(turn.part());
      tried.add(
          new Step.Move(
              turn.part(),
              before,
              turn.position(),
              reasons.why(turn, before, found.after()),
              part.kind().notice(turn.position()),
              network.rig().act(part, before, turn.position())));
      stageRun.turn(turn.part(), turn.position());
      at = network.rig().turned(at, turn.part(), turn.position());
      if (before.equals(HoseInlet.MAINS.id())
          && !isSlackAwaited(stage, part)
          && isPressureShutIn(part.id(), at, stageRun.levels())) {
        tried.add(waits.wait(job, new Job.Until(Job.Until.What.SLACK, turn.part()), stageRun));
      }
    }
    if (stageRun.harm().isEmpty()) {
      stage
          .until()
          .filter(until -> isAwaited(until, found, stageRun.levels()))
          .map(until -> heard(until, found))
          .map(until -> already.leaned(until, state()))
          .ifPresent(until -> tried.add(waits.wait(job, until, stageRun)));
    }
    stageRun.tryTaps(stage.goal());
    stageRun.look(scout);
    return new Attempt(tried, stageRun);
  }

  /** Where a stage may lose water: where it means to, and where no valve keeps it in. */
  private Set<PartId> losing(Job.Stage stage) {
    Set<PartId> losing = new HashSet<>(job.losing(network.rig(), stage));
    losing.addAll(planner.unheld());
    return losing;
  }

  /** What hangs on one switch is moved by it in one turn. */
  private Planner.Found together(Planner.Found found) {
    List<Turn> turns = new ArrayList<>();
    Setting at = state().setting();
    for (Turn turn : found.turns()) {
      if (!at.has(turn.part(), turn.position())) {
        turns.add(turn);
        at = network.rig().turned(at, turn.part(), turn.position());
      }
    }
    return new Planner.Found(turns, at);
  }

  /**
   * Where a way was open already, nobody listens or waits for hot water: nothing has to be done,
   * unless there is air in the lines.
   */
  private boolean isAwaited(Job.Until until, Planner.Found found, Levels levels) {
    return switch (until.what()) {
      case SLACK -> isPressureShutIn(until.part(), found.after(), levels);
      case PRESSURE -> aired || !found.turns().isEmpty();
      case RUNS_HOT -> aired || !found.turns().isEmpty() || !steps.isEmpty();
      default -> true;
    };
  }

  /** Tells whether a hose stays hard once its tap is off: nothing lets out what it pressed in. */
  private boolean isPressureShutIn(PartId inlet, Setting setting, Levels levels) {
    Setting pressed = setting.with(inlet, HoseInlet.MAINS.id());
    return OpenWays.find(network, pressed, levels).from(inlet).findAny().isEmpty();
  }

  /** The pump that is listened to is one that was switched on for it, where there are several. */
  private Job.Until heard(Job.Until until, Planner.Found found) {
    if (until.what() != Job.Until.What.PRESSURE || found.after().of(until.part()).equals(Kind.ON)) {
      return until;
    }
    return network.pumps().stream()
        .filter(p -> p.kind().is(Purpose.SUPPLIES) && found.after().of(p.id()).equals(Kind.ON))
        .findFirst()
        .map(p -> new Job.Until(Job.Until.What.PRESSURE, p.id()))
        .orElse(until);
  }

  private boolean isSlackAwaited(Job.Stage stage, Part part) {
    return !part.kind().is(Purpose.INLET)
        || stage.until().filter(u -> u.what() == Job.Until.What.SLACK).isPresent();
  }

  private void take(int number, Attempt tried) {
    run = tried.run().run();
    losses = tried.run().losses();
    noteFirstWater(tried.run());
    steps.addAll(tried.steps());
    tried.run().timed().ifPresent(wait -> timed.put(tried.steps().getLast(), wait));
    while (stages.size() < steps.size()) {
      stages.add(number);
    }
  }

  private void noteFirstWater(StageRun stage) {
    if (stage.wetted() > StageRun.SPLASH) {
      notes.add(Says.DRY_LINES_TAKE.with(Amount.volume(stage.wetted())));
    }
    stage
        .arrivals()
        .forEach((part, seconds) ->
            notes.add(Says.THE_FIRST_WATER_COMES.with(label(part.part()), Amount.time(seconds))));
  }

  private String label(PartId part) {
    return network.rig().part(part).label();
  }
}
