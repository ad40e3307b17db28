package fernwort.core.jobs.wait;

import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Step;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.run.Event;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import fernwort.core.say.Message;
import fernwort.core.ways.OpenWays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;

/** What to wait for at the end of a stage: how long, how much, and how one knows. */
public final class Waits {

  /** Nobody waits longer than this (s). */
  static final double LONGEST = 12 * 3600;

  /** A run is looked at so often (s). */
  private static final double SLICE = 120;

  /** As long as it takes from a sign to the switch (s). */
  private static final double SOON = 15;

  /** Water that warms less than this from look to look does not warm (K). */
  private static final double WARMER = 0.02;

  /** A run with more events than this gurgles without an end. */
  static final int MOST_EVENTS = 5000;

  private static final double STEP = 5;

  /** A tank that runs over stands so near to its opening (share of its mark); own choice. */
  private static final double NEARLY = 0.97;

  /** It takes no more of what comes (share of it); own choice. */
  private static final double HARDLY = 0.1;

  /** A mark is looked for in steps no shorter than this (s). */
  private static final double SHORTEST = 0.2;

  /** A tank that changes less than this has not changed (m³). */
  static final double NOTICEABLE = 1e-4;

  /** A job that moves less than this has moved nothing (m³). */
  public static final double WORTHWHILE = 5e-4;

  /** A float that lets less than this through has shut (m³/s). */
  private static final double SHUT = 1e-8;

  private final Network network;
  private final WaitWords say;
  private final ByHand byHand;
  private final Hydraulics smoother;
  private final Hydraulics rougher;
  private final WaitJudge judge;
  private final Overrun overrun;

  /** Whether only the expected time is asked for, and nothing of what comes after. */
  private final boolean brief;

  private final NarrowVent vent;

  /** Prepares the waits of a rig; brief ones are not run with other fittings. */
  public Waits(Network network, Hydraulics hydraulics, boolean brief) {
    this.network = network;
    this.brief = brief;
    say = new WaitWords(network);
    byHand = new ByHand(network);
    smoother = hydraulics.withFittings(Hydraulics.SMOOTHER);
    rougher = hydraulics.withFittings(Hydraulics.ROUGHER);
    vent = new NarrowVent(network, hydraulics);
    judge = new WaitJudge(network);
    overrun = new Overrun(network, hydraulics.primingEarly(), say);
  }

  /** Waits in a run for what a stage of a job waits for. */
  public Step.Wait wait(Job job, Job.Until until, StageRun stage) {
    return switch (until.what()) {
      case PRESSURE -> pressure(job, until, stage.run().moment().state());
      case SLACK, RUNS, RUNS_HOT -> check(job, until, stage.run().moment());
      case FULL, FIRST_FULL, MARK, RUNS_OVER, LEVEL -> run(job, until, Event.Kind.FULL, stage);
      case DRY -> run(job, until, Event.Kind.DRY, stage);
      case HOT -> run(job, until, Event.Kind.HOT, stage);
      case POURED_OUT -> poured(job, until, stage);
      case HOSE_IN -> byHand.hoseIn(until);
      case POURED_FULL ->
          byHand.pour(until, job.tanks(network.rig()), stage.run().moment().state());
      case HOSE_OUT -> byHand.hoseOut(until);
      case CARRIED_OUT -> byHand.carryOut(until, stage.run().moment().state());
      case PRIMED, LET_OUT ->
          throw new IllegalArgumentException("no stage waits for " + until.what());
    };
  }

  /**
   * Primes a pump by hand.
   *
   * @param until which pump
   * @param inlet where its suction hose begins
   */
  public Step.Wait prime(Job.Until until, PartId inlet) {
    return byHand.prime(until, inlet);
  }

  /** Pours a jug out, saying how many more there is room for. */
  private Step.Wait poured(Job job, Job.Until until, StageRun stage) {
    Message words =
        byHand.jugs(
            network.rig().part(until.part()), job.tanks(network.rig()), stage.before().state());
    return run(job, until, Event.Kind.POURED_OUT, stage).saying(words);
  }

  // --- what is run through the simulation --------------------------------------------------------

  /** How a wait ended and when (s), and the pump that got no more water where one did. */
  record Ended(WaitEnd end, double at, Optional<ElementId> pump) {
    static Ended of(WaitEnd end, double at) {
      return new Ended(end, at, Optional.empty());
    }
  }

  /**
   * Runs a wait; a fill that its vent does not bear goes slowly, or stops in good time, or both.
   */
  private Step.Wait run(Job job, Job.Until until, Event.Kind kind, StageRun stage) {
    Simulation start = stage.run().copy();
    Ran ran = runOn(job, until, kind, stage);
    if (until.what() != Job.Until.What.FULL
        || vent.bulges(until.part(), stage, ran.on()).isEmpty()) {
      return ran.step();
    }
    Message less = Message.NOTHING;
    if (stage.harm().isPresent()) {
      Optional<NarrowVent.Slow> slow = vent.slowly(until.part(), start);
      if (slow.isEmpty()) {
        return ran.step();
      }
      start = slow.get().start();
      less = say.openLess(slow.get().flow());
      stage.goBackTo(start.copy());
      ran = runOn(job, until, kind, stage);
    }
    OptionalDouble bulges = vent.bulges(until.part(), stage, ran.on());
    Optional<Job.Until> early =
        bulges.isEmpty()
            ? Optional.empty()
            : vent.inTime(until.part(), start, bulges.getAsDouble());
    if (early.isEmpty()) {
      return ran.step().after(less);
    }
    stage.goBackTo(start);
    return runOn(job, early.get(), kind, stage)
        .step()
        .after(say.stopShort(early.get()))
        .after(less);
  }

  /** A wait that was run, and how it goes on by itself. */
  private record Ran(Step.Wait step, Onward on) {}

  private Ran runOn(Job job, Job.Until until, Event.Kind kind, StageRun stage) {
    Simulation start = stage.run().copy();
    State from = start.moment().state();
    Aim aim = new Aim(until, job.tanks(network.rig()));
    double began = start.time();
    Ended ended =
        Marks.isReached(network, from, job, until)
            ? Ended.of(WaitEnd.REACHED, began)
            : reach(stage, kind, aim);
    WaitEnd end = ended.end();
    double seconds = ended.at() - began;
    // What runs while the last handles are turned counts, too: the gauge shows all of it.
    double moved = moved(job, until, stage.before(), stage.run().moment());
    judge.look(job, until, end, moved, stage);
    boolean known = end != WaitEnd.ENDLESS && seconds > 0 && stage.harm().isEmpty();
    boolean warms = kind == Event.Kind.HOT && end == WaitEnd.SETTLED;
    boolean levels = until.what() == Job.Until.What.LEVEL;
    stage.timed(
        known && !warms && !brief
            ? Optional.of(new TimedWait(aim, kind, start, end, seconds))
            : Optional.empty());
    Onward on = new Onward(stage.run());
    List<Step.Then> then =
        stage.harm().isEmpty() && !brief ? overrun.of(until, stage, on) : List.of();
    Step.Wait step =
        new Step.Wait(
            until,
            say.words(until, ended.pump(), end == WaitEnd.SETTLED && !warms && !levels),
            say.notice(
                    until,
                    overrun.sign(until, stage.run(), then),
                    end == WaitEnd.DRY_PUMP,
                    stage.run().moment())
                + trapped(job, until),
            known && !warms ? new Step.Span(seconds, seconds, seconds) : Step.Span.UNKNOWN,
            moved,
            changed(stage.before().state(), stage.run().moment().state()),
            then);
    return new Ran(step, on);
  }

  /** Where one tank fills from the next, air may be shut in and the last run over too early. */
  private static String trapped(Job job, Job.Until until) {
    boolean cascade =
        until.what() == Job.Until.What.FULL
            && job.stages().stream()
                .flatMap(s -> s.until().stream())
                .anyMatch(u -> u.what() == Job.Until.What.RUNS_OVER);
    return cascade ? WaitWords.TRAPPED : "";
  }

  /** What a run is waited for. */
  record Aim(Job.Until until, Set<PartId> tanks) {

    /** Tells whether something that happens to a part is what is waited for. */
    boolean concerns(ElementId subject) {
      return switch (until.what()) {
        case FIRST_FULL -> tanks.contains(subject);
        case LEVEL -> false;
        default -> until.part().equals(subject);
      };
    }

    /** How long to run on until it is looked again, for a mark that is crossed without an event. */
    double slice(Moment now) {
      double rate = now.gains().getOrDefault(until.part(), 0.0);
      double left = until.mark() - now.state().volume(until.part());
      return until.hasMark() && rate > SHUT ? Math.clamp(left / rate, SHORTEST, SLICE) : SLICE;
    }

    boolean isMet(Moment now) {
      return isAtMark(now) || until.what() == Job.Until.What.RUNS_OVER && goesOn(now);
    }

    /** Tells whether what comes goes on to the next tank: air that is shut in may hold it lower. */
    private boolean goesOn(Moment now) {
      double most = now.gains().values().stream().mapToDouble(Double::doubleValue).max().orElse(0);
      return now.state().volume(until.part()) > NEARLY * until.mark()
          && now.gains().getOrDefault(until.part(), 0.0) < HARDLY * most;
    }

    private boolean isAtMark(Moment now) {
      return until.hasMark() && now.state().volume(until.part()) > until.mark() - Marks.AT;
    }
  }

  private Ended reach(StageRun stage, Event.Kind kind, Aim aim) {
    Simulation run = stage.run();
    double until = run.time() + LONGEST;
    int events = 0;
    Predicate<Event> meant = meant(run.moment().state(), kind, aim);
    while (run.time() < until - 1) {
      Moment before = run.moment();
      double slice = aim.slice(before);
      List<Event> found = run.runToNext(Math.min(until, run.time() + slice));
      Optional<Ended> end = ended(run, found, kind, aim);
      stage.note(found, meant);
      if (stage.harm().isPresent()) {
        return Ended.of(WaitEnd.HARMED, run.time());
      }
      if (end.isPresent()) {
        return end.get();
      }
      if (found.isEmpty() && isSteady(before, run.moment())) {
        return Ended.of(WaitEnd.SETTLED, before.time());
      }
      events += found.isEmpty() ? 0 : 1;
      if (events > MOST_EVENTS) {
        return Ended.of(WaitEnd.ENDLESS, run.time());
      }
    }
    return Ended.of(WaitEnd.ENDLESS, run.time());
  }

  /**
   * Tells of what happens whether it is what a wait is for: air at a pump, but for one that runs
   * beside a tank that is emptied and draws from another. That one only comes to harm.
   */
  private Predicate<Event> meant(State from, Event.Kind kind, Aim aim) {
    return switch (kind) {
      case HOT -> h -> false;
      case DRY -> {
        Set<PartId> pumps = new HashSet<>();
        OpenWays.find(network, from.setting(), Levels.of(network, from)).ways().stream()
            .filter(w -> aim.concerns(w.source().part()))
            .forEach(w -> w.drive().pump().ifPresent(pumps::add));
        yield h -> h.kind() == Event.Kind.DRAWS_AIR && pumps.contains(h.subject().part());
      }
      default -> h -> h.kind() == Event.Kind.DRAWS_AIR;
    };
  }

  static Optional<Ended> ended(Simulation run, List<Event> found, Event.Kind kind, Aim aim) {
    if (aim.isMet(run.moment())) {
      return Optional.of(Ended.of(WaitEnd.REACHED, run.time()));
    }
    for (Event h : found) {
      boolean floats =
          kind == Event.Kind.FULL
              && !aim.until().hasMark()
              && h.kind() == Event.Kind.FLOAT_SHUTS
              && run.moment().gains().getOrDefault(h.subject(), 0.0) < SHUT;
      boolean so = h.kind() == kind && !aim.until().hasMark();
      if (h.begins()
          && aim.concerns(h.subject())
          && (floats || so && !isPumpedDry(run, found, kind))) {
        return Optional.of(Ended.of(WaitEnd.REACHED, run.time()));
      }
    }
    return found.stream()
        .filter(h -> h.begins() && h.kind() == Event.Kind.DRAWS_AIR)
        .filter(h -> kind != Event.Kind.HOT)
        .findFirst()
        .map(h -> new Ended(WaitEnd.DRY_PUMP, run.time(), Optional.of(h.subject())));
  }

  /** A pump that empties a tank is heard to draw air before anybody sees that it is empty. */
  private static boolean isPumpedDry(Simulation run, List<Event> found, Event.Kind kind) {
    return kind == Event.Kind.DRY && (isHeard(found) || drawsAirSoon(run));
  }

  private static boolean drawsAirSoon(Simulation run) {
    Simulation ahead = run.copy();
    double until = run.time() + SOON;
    for (int events = 0; ahead.isBefore(until) && events < MOST_EVENTS; events++) {
      if (isHeard(ahead.runToNext(until))) {
        return true;
      }
    }
    return false;
  }

  private static boolean isHeard(List<Event> found) {
    return found.stream().anyMatch(h -> h.begins() && h.kind() == Event.Kind.DRAWS_AIR);
  }

  /** Returns how much shorter or longer waits may be, for nobody knows what fittings lose. */
  public List<Step.Span> spans(List<TimedWait> waits) {
    return TimedWait.spans(waits, smoother, rougher);
  }

  /** Tells whether nothing has changed that is waited for, so that it never comes. */
  static boolean isSteady(Moment before, Moment after) {
    return after.time() - before.time() >= SLICE - 1
        && after.isSettledSince(before, NOTICEABLE)
        && after.warmth().entrySet().stream()
            .allMatch(t ->
                Math.abs(t.getValue() - before.warmth().getOrDefault(t.getKey(), 0.0)) < WARMER);
  }

  private Map<PartId, Double> changed(State before, State after) {
    Map<PartId, Double> changed = new TreeMap<>();
    for (Part tank : network.tanks()) {
      double volume = after.volume(tank.id());
      if (Math.abs(volume - before.volume(tank.id())) > NOTICEABLE) {
        changed.put(tank.id(), volume);
      }
    }
    return changed;
  }

  private double moved(Job job, Job.Until until, Moment before, Moment after) {
    if (job.kind() == Job.Kind.FILL_ALL) {
      // All that comes from the hose counts, whichever of the tanks it ends in.
      return job.tanks(network.rig()).stream()
          .mapToDouble(t -> after.state().volume(t) - before.state().volume(t))
          .sum();
    }
    if (network.rig().part(until.part()).kind().is(Purpose.HOLDS)) {
      double change = after.state().volume(until.part()) - before.state().volume(until.part());
      return Math.abs(change);
    }
    return supplied(after) - supplied(before);
  }

  private static double supplied(Moment moment) {
    return moment.totals().supplied().values().stream().mapToDouble(Double::doubleValue).sum();
  }

  // --- checks ----------------------------------------------------------------------------------

  /** How long the pumps take for what is in a tank (s); 0 where none of it runs. */
  private static double onceRound(PartId tank, Moment now) {
    double flow = now.flows().pumps().values().stream().mapToDouble(p -> p.flow()).max().orElse(0);
    return flow > SHUT ? now.state().volume(tank) / flow : 0;
  }

  /** A pump falls silent when it has filled the lines behind it and its accumulators. */
  private Step.Wait pressure(Job job, Job.Until until, State state) {
    Pump pump = (Pump) network.rig().part(until.part()).kind();
    double lines = network.rig().lines().stream().mapToDouble(Line::volume).sum();
    double vessels =
        network.rig().parts().stream()
            .filter(p -> p.kind().is(Purpose.CUSHIONS))
            .mapToDouble(Part::volume)
            .sum();
    double seconds =
        Math.max(STEP, STEP * Math.ceil((lines / 2 + vessels) / pump.freeFlow() / STEP));
    return new Step.Wait(
        until,
        say.pressure(
            until.part(), state.setting().of(until.part()).equals(Kind.ON), job.taps().keySet()),
        say.silence(until.part(), pump, seconds),
        new Step.Span(0, seconds, 0),
        0,
        Map.of(),
        List.of());
  }

  private Step.Wait check(Job job, Job.Until until, Moment now) {
    double round = job.kind() == Job.Kind.FILTER_AGAIN ? onceRound(until.part(), now) : 0;
    return new Step.Wait(
        until,
        round > 0 ? say.round(until.part(), round) : say.check(until, now.state()),
        say.checked(until),
        round > 0 ? new Step.Span(round, round, 2 * round) : Step.Span.UNKNOWN,
        0,
        Map.of(),
        List.of());
  }
}
