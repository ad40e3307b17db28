package fernwort.core.live.rule;

import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Need;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.tank.Contents;
import fernwort.core.live.Signal;
import fernwort.core.live.SignalKind;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import fernwort.core.run.Acted;
import fernwort.core.run.Event;
import fernwort.core.run.Simulation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Whether a rule does what it is for, tried in use: a tap runs or a tank fills until the rule acts,
 * and for an hour after that. That a rule came to its end and did no harm says nothing of this: one
 * that turns to the empty tank does both.
 */
final class RulePurpose {

  /** It is looked so often (s). */
  private static final double SLICE = 30;

  /** Ordinary use goes on for so long after it (s). */
  private static final double AFTER = 3600;

  /** What is on its way when a rule ends has so long to stop, or to come (s); own choice. */
  private static final double SETTLES = 120;

  /** The level is so far on this side of the mark when it is begun (share of the tank). */
  private static final double BEFORE = 0.03;

  private static final double FULL = 0.85;
  private static final double LITTLE = 0.1;

  /** A tank that gains more in a slice goes on filling (m³). */
  private static final double GAINS = 0.0005;

  /** So many jobs are tried: each takes a plan and a run. */
  private static final int MOST = 3;

  private static final Set<Job.Kind> RUNS = Set.of(Job.Kind.RUN_FROM_TANK, Job.Kind.RUN_FROM_MAINS);

  private static final Set<Job.Kind> FILLS =
      Set.of(Job.Kind.FILL_FROM_MAINS, Job.Kind.FILL_FROM_OUTSIDE, Job.Kind.MOVE);

  private final RuleProof proof;
  private final Network network;
  private final Map<String, Signal> signals;
  private final Set<String> leaks;

  RulePurpose(RuleProof proof, Network network, Map<String, Signal> signals) {
    this.proof = proof;
    this.network = network;
    this.signals = signals;
    leaks =
        signals.values().stream()
            .filter(s -> s.kind() == SignalKind.LEAK)
            .map(Signal::name)
            .collect(Collectors.toSet());
  }

  /** Tells how a rule missed what it is for; empty where it did not, or where nobody can tell. */
  Optional<RuleProof.Story> missed(Rule rule, State now) {
    if (rule.isBegunBy(leaks)) {
      return comesStill(rule, now);
    }
    if (rule.acts().stream().anyMatch(Rule.Until.class::isInstance)) {
      // It waits for what it is for, and has not ended before that.
      return Optional.empty();
    }
    return rule.when().stream()
        .filter(Rule.Amount.class::isInstance)
        .map(Rule.Amount.class::cast)
        .filter(a ->
            Optional.ofNullable(signals.get(a.signal()))
                .filter(s -> s.kind() == SignalKind.LEVEL)
                .isPresent())
        .findFirst()
        .flatMap(mark -> mark.above() ? fillsOn(rule, mark, now) : runsDry(rule, mark, now));
  }

  /** A use of the rig, under way. */
  private record Use(Job job, State state) {}

  // --- a tank that runs dry ---------------------------------------------------------------------

  private Optional<RuleProof.Story> runsDry(Rule rule, Rule.Amount mark, State now) {
    PartId tank = tank(mark);
    Predicate<Job> drawsFromIt =
        job -> job.kind() == Job.Kind.RUN_FROM_TANK && drawsFrom(job, tank);
    return uses(rule, levels(mark, now), drawsFromIt).stream()
        .findFirst()
        .flatMap(use -> runsDry(rule, tank, use));
  }

  /** Tells whether a job draws from a tank, and from no other. */
  private static boolean drawsFrom(Job job, PartId tank) {
    List<Need> needs = job.stages().getFirst().goal().needs();
    return !needs.isEmpty() && needs.stream().allMatch(n -> n.source().part().equals(tank));
  }

  private Optional<RuleProof.Story> runsDry(Rule rule, PartId tank, Use use) {
    PartId tap = tap(use);
    Trying trying = new Trying(rule, use.state());
    double dry = Double.NaN;
    while (trying.time() < trying.ended().orElse(RuleProof.LONGEST) + AFTER) {
      trying.goOn();
      List<Part> others = others(tank);
      Optional<Part> fullest =
          others.stream()
              .max(Comparator.comparing(o -> share(o, trying)))
              .filter(o -> share(o, trying) > LITTLE);
      Optional<PartId> air = trying.drawsAir();
      if (air.isPresent() && !trying.begun()) {
        return trying.story(Says.IT_DRAWS_AIR_BEFORE.filled(label(air.get())));
      }
      boolean done = trying.ended().isPresent();
      if (air.isPresent() && done && (fullest.isPresent() || stopsAPump(rule))) {
        return trying.story(Says.IT_DRAWS_AIR_AFTER.filled(label(air.get())));
      }
      dry = trying.flow(tap) > Flows.TRICKLE ? Double.NaN : Double.isNaN(dry) ? trying.time() : dry;
      boolean stays = trying.time() - dry > SETTLES;
      if (stays && !trying.begun()) {
        return trying.story(Says.NOTHING_COMES_BEFORE.filled(label(tap)));
      }
      if (stays && done && fullest.isPresent() && !stopsAPump(rule)) {
        return trying.story(Says.NOTHING_COMES_AFTER.filled(label(tap), fullest.get().label()));
      }
      if (others.stream().anyMatch(o -> share(o, trying) < LITTLE)) {
        // The tank that it changed to has been used up as well.
        return Optional.empty();
      }
    }
    return Optional.empty();
  }

  /** Tells whether it is for a pump to stop, and not for one to go on. */
  private boolean stopsAPump(Rule rule) {
    return moves(rule)
        .anyMatch(t ->
            network.rig().part(t.part()).kind().is(Purpose.DRIVES)
                && t.position().equals(Position.OFF.id()));
  }

  private static Stream<Turn> moves(Rule rule) {
    return Stream.concat(
        rule.acts().stream().filter(Rule.Move.class::isInstance).map(a -> ((Rule.Move) a).turn()),
        rule.then().stream());
  }

  private List<Part> others(PartId tank) {
    return network.tanks().stream()
        .filter(t -> !t.id().equals(tank) && t.kind().holds(Contents.FRESH))
        .toList();
  }

  private double share(Part tank, Trying trying) {
    return trying.state().volume(tank.id()) / network.room(tank.id()).capacity();
  }

  // --- a tank that is full ----------------------------------------------------------------------

  private Optional<RuleProof.Story> fillsOn(Rule rule, Rule.Amount mark, State now) {
    PartId tank = tank(mark);
    boolean fresh = network.rig().part(tank).kind().holds(Contents.FRESH);
    Predicate<Job> fillsIt =
        job ->
            fresh
                ? FILLS.contains(job.kind()) && filled(job).filter(tank::equals).isPresent()
                : RUNS.contains(job.kind());
    List<Use> uses = uses(rule, levels(mark, now), fillsIt);
    List<Trying> tried = new ArrayList<>();
    for (Use use : uses) {
      Trying trying = settled(rule, use);
      if (hasStopped(trying, tank)) {
        return Optional.empty();
      }
      tried.add(trying);
    }
    return tried.stream().findFirst().flatMap(t -> t.story(Says.IT_FILLS_ON.filled(label(tank))));
  }

  /** Tells whether a tank gains no more once a rule has acted, and never came to run over. */
  private static boolean hasStopped(Trying trying, PartId tank) {
    double before = trying.state().volume(tank);
    trying.goOn();
    return trying.ended().isPresent()
        && !trying.full.contains(tank)
        && trying.state().volume(tank) - before < GAINS;
  }

  private Trying settled(Rule rule, Use use) {
    Trying trying = new Trying(rule, use.state());
    while (trying.isBefore(SETTLES)) {
      trying.goOn();
    }
    return trying;
  }

  // --- a leak -----------------------------------------------------------------------------------

  /** Something stops: a tap, or a tank that fills. What has no motor no rule can stop. */
  private Optional<RuleProof.Story> comesStill(Rule rule, State now) {
    Optional<RuleProof.Story> missed = Optional.empty();
    for (Use use : uses(rule, levels(now), job -> RUNS.contains(job.kind()))) {
      Trying trying = settled(rule, use);
      if (trying.ended().isPresent() && trying.flow(tap(use)) <= Flows.TRICKLE) {
        return Optional.empty();
      }
      missed = missed.or(() -> trying.story(Says.IT_COMES_STILL.filled(label(tap(use)))));
    }
    for (Use use : uses(rule, levels(now), job -> FILLS.contains(job.kind()))) {
      Trying trying = settled(rule, use);
      if (filled(use.job()).filter(t -> hasStopped(trying, t)).isPresent()) {
        return Optional.empty();
      }
    }
    return missed;
  }

  private static PartId tap(Use use) {
    return use.job().taps().keySet().iterator().next();
  }

  private static Optional<PartId> filled(Job job) {
    return first(job).map(n -> n.end().part());
  }

  // --- how it is tried --------------------------------------------------------------------------

  /**
   * The first jobs of this sort that go as things stand, each in the middle: those in which a rule
   * has something to turn, if there are such.
   */
  private List<Use> uses(Rule rule, State from, Predicate<Job> such) {
    Plans plans = Plans.of(network).brief();
    List<Use> touched = new ArrayList<>();
    List<Use> others = new ArrayList<>();
    for (Job job : Jobs.of(network).all()) {
      boolean taps = job.kind().is(Job.Is.RUNS_TAPS);
      if (!such.test(job) || taps && job.taps().isEmpty() || touched.size() == MOST) {
        continue;
      }
      Plan plan = plans.plan(job, from);
      if (plan.trouble().isEmpty()) {
        State state = from.with(underWay(plan, from.setting(), taps));
        Use use = new Use(job, taps ? opened(job, state) : state);
        if (mayBegin(rule, use.state())) {
          (turns(rule, use.state()) ? touched : others).add(use);
        }
      }
    }
    return touched.isEmpty() ? others.stream().limit(MOST).toList() : touched;
  }

  /** One tap runs, as it mostly does. */
  private static State opened(Job job, State state) {
    Map.Entry<PartId, PositionId> tap = job.taps().entrySet().iterator().next();
    return state.with(tap.getKey(), tap.getValue());
  }

  private static boolean turns(Rule rule, State state) {
    return moves(rule).anyMatch(t -> !state.setting().has(t.part(), t.position()));
  }

  /**
   * How handles stand when the water runs: after all turns, or after those before the first wait.
   */
  private static Setting underWay(Plan plan, Setting from, boolean all) {
    if (all) {
      return plan.after().setting();
    }
    Setting at = from;
    for (Step step : plan.steps()) {
      if (!(step instanceof Step.Move move)) {
        return at;
      }
      at = at.with(move.part(), move.to());
    }
    return at;
  }

  private static boolean mayBegin(Rule rule, State state) {
    return rule.onlyIf().stream()
        .filter(Rule.Handle.class::isInstance)
        .map(Rule.Handle.class::cast)
        .allMatch(h -> state.setting().has(h.part(), h.position()));
  }

  /** The tank that is watched a little before its mark, the other fresh ones nearly full. */
  private State levels(Rule.Amount mark, State now) {
    double capacity = network.room(tank(mark)).capacity();
    double volume = mark.amount() + (mark.above() ? -BEFORE : BEFORE) * capacity;
    return levels(now).withVolume(tank(mark), Math.clamp(volume, 0, capacity));
  }

  private State levels(State now) {
    State levels = now;
    for (Part tank : network.tanks()) {
      double share = tank.kind().holds(Contents.FRESH) ? FULL : LITTLE;
      levels = levels.withVolume(tank.id(), share * network.room(tank.id()).capacity());
    }
    return levels;
  }

  private PartId tank(Rule.Amount mark) {
    return Objects.requireNonNull(signals.get(mark.signal())).on().id().part();
  }

  private static Optional<Need> first(Job job) {
    return job.stages().getFirst().goal().needs().stream().findFirst();
  }

  private String label(PartId part) {
    return network.rig().part(part).label();
  }

  /** One run with the rule at work. */
  private final class Trying {

    private final RuleTrial trial;
    private final Simulation run;
    private final Acted acted;
    private final List<Event> events = new ArrayList<>();
    private final List<RuleProof.Line> turns = new ArrayList<>();
    private final Map<PartId, Double> air = new HashMap<>();
    private final Set<PartId> full = new HashSet<>();

    Trying(Rule rule, State from) {
      trial = new RuleTrial(network, signals, rule, RuleFault.NONE, 0, true);
      run = Simulation.start(network, Hydraulics.of(network), from, Conditions.ORDINARY);
      acted = new Acted(run, List.of(trial), this::note, proof.noting(turns));
    }

    private void note(Event event) {
      events.add(event);
      if (event.kind() == Event.Kind.DRAWS_AIR && event.begins()) {
        air.put(event.subject().part(), event.at());
      } else if (event.kind() == Event.Kind.DRAWS_AIR) {
        air.remove(event.subject().part());
      } else if (event.kind() == Event.Kind.FULL && event.begins()) {
        full.add(event.subject().part());
      }
    }

    Optional<RuleProof.Story> story(String harm) {
      return Optional.of(
          new RuleProof.Story(RuleFault.NONE, harm, proof.story(trial.told(), turns, events)));
    }

    void goOn() {
      acted.runTo(run.time() + SLICE);
    }

    double time() {
      return run.time();
    }

    State state() {
      return run.moment().state();
    }

    double flow(PartId tap) {
      return run.moment().flows().fixture(tap);
    }

    /** The pump that has drawn air for longer than one that sputters. */
    Optional<PartId> drawsAir() {
      return air.entrySet().stream()
          .filter(e -> run.time() - e.getValue() > RuleProof.SPUTTERS)
          .map(Map.Entry::getKey)
          .findFirst();
    }

    boolean begun() {
      return trial.told().stream().anyMatch(t -> t.deed() instanceof RuleRun.Begun);
    }

    /** Returns when the rule came to its end (s), if it has. */
    Optional<Double> ended() {
      return trial.told().stream()
          .filter(t -> t.deed() instanceof RuleRun.Ended)
          .map(RuleTrial.Told::at)
          .findFirst();
    }

    /** Tells whether the rule has not come to its end so long ago, and still may. */
    boolean isBefore(double after) {
      return ended()
          .map(e -> run.time() < e + after)
          .orElseGet(() -> run.time() < RuleProof.LONGEST);
    }
  }
}
