package fernwort.core.jobs;

import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.run.Happening;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import fernwort.core.say.Amount;
import fernwort.core.say.Saying;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** What to wait for at the end of a stage: how long, how much, and how one knows. */
final class Waits {

  private static final double LONGEST = 12 * 3600;

  /** A run is looked at so often (s). */
  private static final double SLICE = 120;

  /** Water that warms less than this from look to look does not warm (K). */
  private static final double WARMER = 0.02;

  /** How long is looked on after what was waited for (s). */
  private static final double OVERRUN = 900;

  /** After that it is looked so often whether anything still changes (s). */
  private static final double LOOK = 45;

  private static final int MOST_THEN = 3;

  /** A run with more events than this gurgles without an end. */
  private static final int MOST_EVENTS = 5000;

  private static final int MOST_EVENTS_AFTER = 200;

  /** First water is a sign when it comes so soon (s). */
  private static final double SOON = 180;

  private static final double STEP = 5;

  /** A mark is looked for in steps no shorter than this (s). */
  private static final double SHORTEST = 0.2;

  /** A tank that changes less than this has not changed (m³). */
  private static final double NOTICEABLE = 1e-4;

  /** Nearer to a mark than this nobody can tell (m³). */
  private static final double NEAR = 5e-4;

  /** A job that moves less than this has moved nothing (m³). */
  private static final double WORTHWHILE = 5e-4;

  /** A float that lets less than this through has shut (m³/s). */
  private static final double SHUT = 1e-8;

  private final Plumbing plumbing;
  private final WaitWords say;
  private final Hydraulics smoother;
  private final Hydraulics rougher;
  private final Hydraulics primingEarly;

  /** Whether only the expected time is asked for, and nothing of what comes after. */
  private final boolean brief;

  Waits(Plumbing plumbing, Hydraulics hydraulics, boolean brief) {
    this.plumbing = plumbing;
    this.brief = brief;
    say = new WaitWords(plumbing);
    smoother = hydraulics.withFittings(Hydraulics.SMOOTHER);
    rougher = hydraulics.withFittings(Hydraulics.ROUGHER);
    primingEarly = hydraulics.primingEarly();
  }

  /** Waits in a run for what a stage of a job waits for. */
  Step.Wait wait(Job job, Job.Until until, StageRun stage) {
    return switch (until.what()) {
      case PRESSURE -> pressure(until, stage.run().moment().state());
      case SLACK, RUNS -> check(until);
      case FULL, FIRST_FULL, MARK, LEVEL -> run(job, until, Happening.Kind.FULL, stage);
      case DRY -> run(job, until, Happening.Kind.DRY, stage);
      case HOT -> run(job, until, Happening.Kind.HOT, stage);
      case POURED_OUT -> run(job, until, Happening.Kind.POURED_OUT, stage);
    };
  }

  // --- what is run through the simulation --------------------------------------------------------

  /** How a wait ended and when (s), and the pump that got no more water where one did. */
  private record Ended(End end, double at, Optional<String> pump) {
    static Ended of(End end, double at) {
      return new Ended(end, at, Optional.empty());
    }
  }

  /** How a wait ended. */
  private enum End {
    /** What was waited for happened. */
    REACHED,
    /** A pump got no more water. */
    DRY_PUMP,
    /** Nothing moves any more. */
    SETTLED,
    /** It goes on without an end. */
    ENDLESS,
    /** Something went wrong first. */
    HARMED
  }

  private Step.Wait run(Job job, Job.Until until, Happening.Kind kind, StageRun stage) {
    Simulation start = stage.run().copy();
    State from = start.moment().state();
    double began = start.time();
    Ended ended =
        Marks.isReached(plumbing, from, job, until)
            ? Ended.of(End.REACHED, began)
            : reach(stage, kind, new Aim(until, job.tanks(plumbing.rig())));
    End end = ended.end();
    double seconds = ended.at() - began;
    // What runs while the last handles are turned counts, too: the gauge shows all of it.
    double moved = moved(until, stage.before(), stage.run().moment());
    judge(job, until, end, moved, stage);
    boolean known = end != End.ENDLESS && seconds > 0 && stage.harm().isEmpty();
    boolean warms = kind == Happening.Kind.HOT && end == End.SETTLED;
    boolean levels = until.what() == Job.Until.What.LEVEL;
    List<Step.Then> then = stage.harm().isEmpty() && !brief ? after(until, stage) : List.of();
    return new Step.Wait(
        until,
        say.words(until, ended.pump(), end == End.SETTLED && !warms && !levels),
        say.notice(
            until, sign(until, stage.run(), then), end == End.DRY_PUMP, stage.run().moment()),
        known && !warms
            ? span(new Aim(until, job.tanks(plumbing.rig())), kind, start, end, seconds)
            : Step.Span.UNKNOWN,
        moved,
        changed(stage.before().state(), stage.run().moment().state()),
        then);
  }

  /** What a run is waited for. */
  private record Aim(Job.Until until, Set<String> tanks) {

    /** Tells whether something that happens to a part is what is waited for. */
    boolean concerns(String subject) {
      return switch (until.what()) {
        case FIRST_FULL -> tanks.contains(subject);
        case LEVEL -> false;
        case FULL, MARK, DRY, HOT, POURED_OUT, PRESSURE, SLACK, RUNS ->
            until.part().equals(subject);
      };
    }

    /** How long to run on until it is looked again, for a mark that is crossed without an event. */
    double slice(Moment now) {
      double rate = now.gains().getOrDefault(until.part(), 0.0);
      double left = until.mark() - now.state().volume(until.part());
      return until.what() == Job.Until.What.MARK && rate > SHUT
          ? Math.clamp(left / rate, SHORTEST, SLICE)
          : SLICE;
    }

    boolean isMet(Moment now) {
      return until.what() == Job.Until.What.MARK
          && now.state().volume(until.part()) > until.mark() - Marks.AT;
    }
  }

  /** Says what went wrong when it is not how the job should end. */
  private void judge(Job job, Job.Until until, End end, double moved, StageRun stage) {
    String label = plumbing.rig().part(until.part()).label();
    boolean little = moved < WORTHWHILE;
    Saying never =
        switch (until.what()) {
          case FULL, FIRST_FULL -> Saying.of("{} does not fill", label);
          case MARK -> Saying.of("{} does not come to {}", label, Amount.volume(until.mark()));
          case DRY -> Saying.of("{} does not empty", label);
          case POURED_OUT -> Saying.of("{} does not pour out", label);
          case LEVEL, HOT, PRESSURE, SLACK, RUNS -> Saying.NOTHING;
        };
    boolean mains = job.kind() == Job.Kind.FILL_FROM_MAINS || job.kind() == Job.Kind.FILL_ALL;
    boolean filling = mains && until.fills();
    switch (end) {
      case HARMED -> {}
      case REACHED -> tooFast(until, stage);
      case DRY_PUMP -> {
        if (little) {
          stage.fail(
              Harm.Kind.DREW_AIR,
              until.part(),
              "the pump draws air at once",
              "Fill the tank that it draws from first.");
        }
      }
      case SETTLED -> {
        if (!isPatient(until) && (little || filling)) {
          stage.fail(Harm.Kind.NOT_REACHED, until.part(), never, reason(until, stage));
        }
      }
      case ENDLESS -> {
        if (!isPatient(until)) {
          stage.fail(
              Harm.Kind.NOT_REACHED,
              until.part(),
              Saying.of("{} within {}", never, Amount.time(LONGEST)),
              Saying.of(
                  "Too little comes, or it runs out as fast elsewhere: look for what holds it back."));
        }
      }
    }
  }

  /** A mark that is passed while the last handle is still being turned cannot be stopped at. */
  private void tooFast(Job.Until until, StageRun stage) {
    double holds = stage.run().moment().state().volume(until.part());
    if (until.what() == Job.Until.What.MARK && holds > until.mark() + NEAR) {
      stage.fail(
          Harm.Kind.NOT_REACHED,
          until.part(),
          Saying.of(
              "{} holds {} before anybody can stop at {}",
              plumbing.rig().part(until.part()).label(),
              Amount.volume(holds),
              Amount.volume(until.mark())),
          Saying.of("Choose a higher mark, or let it in more slowly."));
    }
  }

  /** What comes in its own time, or is so already. */
  private static boolean isPatient(Job.Until until) {
    return until.what() == Job.Until.What.HOT || until.what() == Job.Until.What.LEVEL;
  }

  private Saying reason(Job.Until until, StageRun stage) {
    State now = stage.run().moment().state();
    if (until.what() == Job.Until.What.DRY) {
      double held = now.volume(until.part());
      if (held < WORTHWHILE) {
        return Saying.of("It is empty already.");
      }
      if (Marks.isDry(plumbing, now, until.part())) {
        return Saying.of(
            "As it is parked, the {} in it do not come to its outlet: lean it that way.",
            Amount.volume(held));
      }
    }
    if (until.what() == Job.Until.What.MARK && now.volume(until.part()) > WORTHWHILE) {
      return Saying.of("It stops at {} by itself.", Amount.volume(now.volume(until.part())));
    }
    return Saying.of(
        "Nothing moves as the levels stand: look at what lies higher, and at the pressure.");
  }

  private Ended reach(StageRun stage, Happening.Kind kind, Aim aim) {
    Simulation run = stage.run();
    double until = run.time() + LONGEST;
    int events = 0;
    Set<Happening.Kind> meant = Set.of(Happening.Kind.DRAWS_AIR);
    while (run.time() < until - 1) {
      Moment before = run.moment();
      double slice = aim.slice(before);
      List<Happening> found = run.runToNext(Math.min(until, run.time() + slice));
      Optional<Ended> end = ended(run, found, kind, aim);
      stage.note(found, kind == Happening.Kind.HOT ? Set.of() : meant);
      if (stage.harm().isPresent()) {
        return Ended.of(End.HARMED, run.time());
      }
      if (end.isPresent()) {
        return end.get();
      }
      if (found.isEmpty() && isSteady(before, run.moment())) {
        return Ended.of(End.SETTLED, before.time());
      }
      events += found.isEmpty() ? 0 : 1;
      if (events > MOST_EVENTS) {
        return Ended.of(End.ENDLESS, run.time());
      }
    }
    return Ended.of(End.ENDLESS, run.time());
  }

  private static Optional<Ended> ended(
      Simulation run, List<Happening> found, Happening.Kind kind, Aim aim) {
    if (aim.isMet(run.moment())) {
      return Optional.of(Ended.of(End.REACHED, run.time()));
    }
    for (Happening h : found) {
      boolean floats =
          kind == Happening.Kind.FULL
              && aim.until().what() != Job.Until.What.MARK
              && h.kind() == Happening.Kind.FLOAT_SHUTS
              && run.moment().gains().getOrDefault(h.subject(), 0.0) < SHUT;
      boolean so = h.kind() == kind && aim.until().what() != Job.Until.What.MARK;
      if (h.begins() && aim.concerns(h.subject()) && (so || floats)) {
        return Optional.of(Ended.of(End.REACHED, run.time()));
      }
    }
    return found.stream()
        .filter(h -> h.begins() && h.kind() == Happening.Kind.DRAWS_AIR)
        .filter(h -> kind != Happening.Kind.HOT)
        .findFirst()
        .map(h -> new Ended(End.DRY_PUMP, run.time(), Optional.of(h.subject())));
  }

  private Step.Span span(Aim aim, Happening.Kind kind, Simulation start, End end, double middle) {
    if (brief) {
      return new Step.Span(middle, middle, middle);
    }
    double low = seconds(start.with(smoother), kind, aim, end, middle);
    double high = seconds(start.with(rougher), kind, aim, end, middle);
    return new Step.Span(Math.min(low, middle), middle, Math.max(high, middle));
  }

  /** Returns when another run ends so, or the same as this one where it ends otherwise (s). */
  private static double seconds(
      Simulation run, Happening.Kind kind, Aim aim, End end, double otherwise) {
    double began = run.time();
    int events = 0;
    while (run.time() < began + LONGEST && events < MOST_EVENTS) {
      Moment before = run.moment();
      List<Happening> found = run.runToNext(run.time() + aim.slice(before));
      if (ended(run, found, kind, aim).isPresent()) {
        return run.time() - began;
      }
      if (found.isEmpty() && isSteady(before, run.moment())) {
        return end == End.SETTLED ? before.time() - began : otherwise;
      }
      events += found.isEmpty() ? 0 : 1;
    }
    return otherwise;
  }

  /** Tells whether nothing has changed that is waited for, so that it never comes. */
  private static boolean isSteady(Moment before, Moment after) {
    return after.time() - before.time() >= SLICE - 1
        && after.isSettledSince(before, NOTICEABLE)
        && after.warmth().entrySet().stream()
            .allMatch(t ->
                Math.abs(t.getValue() - before.warmth().getOrDefault(t.getKey(), 0.0)) < WARMER);
  }

  private Map<String, Double> changed(State before, State after) {
    Map<String, Double> changed = new TreeMap<>();
    for (Part tank : plumbing.tanks()) {
      double volume = after.volume(tank.id());
      if (Math.abs(volume - before.volume(tank.id())) > NOTICEABLE) {
        changed.put(tank.id(), volume);
      }
    }
    return changed;
  }

  private double moved(Job.Until until, Moment before, Moment after) {
    if (plumbing.rig().part(until.part()).kind() instanceof Kind.Tank) {
      double change = after.state().volume(until.part()) - before.state().volume(until.part());
      return Math.abs(change);
    }
    return supplied(after) - supplied(before);
  }

  private static double supplied(Moment moment) {
    return moment.totals().supplied().values().stream().mapToDouble(Double::doubleValue).sum();
  }

  /** Where the first water shows soon after a tank is full, unless it gives way before. */
  private Optional<Part> sign(Job.Until until, Simulation reached, List<Step.Then> then) {
    boolean full = until.what() == Job.Until.What.FULL || until.what() == Job.Until.What.FIRST_FULL;
    if (!full || then.isEmpty()) {
      return Optional.empty();
    }
    Step.Then first = then.getFirst();
    return first
        .shows()
        .filter(p -> first.seconds() < reached.time() + SOON)
        .map(plumbing.rig()::part);
  }

  private List<Step.Then> after(Job.Until until, StageRun stage) {
    Simulation reached = stage.run();
    Simulation on = reached.copy();
    List<Step.Then> then = new ArrayList<>();
    Set<Saying> said = new HashSet<>();
    for (String end : stage.runningOut()) {
      Happening begun = new Happening(on.time(), Happening.Kind.RUNS_OUT, end, true);
      say.overrun(begun)
          .filter(said::add)
          .ifPresent(words -> then.add(new Step.Then(on.time(), words, shows(begun))));
    }
    double end = on.time() + OVERRUN;
    for (int i = 0; on.time() < end - 1 && i < MOST_EVENTS_AFTER && then.size() < MOST_THEN; i++) {
      Moment before = on.moment();
      List<Happening> found = on.runToNext(Math.min(end, on.time() + LOOK));
      for (Happening h : found) {
        if (h.begins() && !(h.subject().equals(until.part()) && h.kind() == Happening.Kind.FULL)) {
          say.overrun(h)
              .filter(said::add)
              .ifPresent(words -> then.add(new Step.Then(h.at(), words, shows(h))));
        }
      }
      if (found.isEmpty() && on.moment().isSettledSince(before, NOTICEABLE)) {
        break;
      }
    }
    if (then.stream().anyMatch(t -> t.shows().isPresent())) {
      maySiphon(reached, on.time(), on.moment().totals().out(), then);
    }
    return then;
  }

  /**
   * What a tail that runs over loses more when it siphons at once, which happens as well as not
   * between the speeds at which it surely does either.
   */
  private void maySiphon(
      Simulation reached, double end, Map<String, Double> out, List<Step.Then> then) {
    Simulation early = reached.with(primingEarly);
    early.runTo(end);
    early
        .moment()
        .totals()
        .out()
        .forEach((part, volume) -> {
          double more = volume - out.getOrDefault(part, 0.0);
          if (more > WORTHWHILE) {
            then.add(new Step.Then(end, say.maySiphon(part, more), Optional.empty()));
          }
        });
  }

  private static Optional<String> shows(Happening h) {
    return h.kind() == Happening.Kind.RUNS_OUT ? Optional.of(h.subject()) : Optional.empty();
  }

  // --- checks ----------------------------------------------------------------------------------

  /** A pump falls silent when it has filled the lines behind it and its accumulators. */
  private Step.Wait pressure(Job.Until until, State state) {
    Kind.Pump pump = (Kind.Pump) plumbing.rig().part(until.part()).kind();
    double lines = plumbing.rig().lines().stream().mapToDouble(Line::volume).sum();
    double vessels =
        plumbing.rig().parts().stream()
            .filter(p -> p.kind() instanceof Kind.Accumulator)
            .mapToDouble(Part::volume)
            .sum();
    double seconds =
        Math.max(STEP, STEP * Math.ceil((lines / 2 + vessels) / pump.freeFlow() / STEP));
    return new Step.Wait(
        until,
        say.pressure(until.part(), state.setting().of(until.part()).equals(Kind.ON)),
        say.silence(seconds),
        new Step.Span(0, seconds, 0),
        0,
        Map.of(),
        List.of());
  }

  private Step.Wait check(Job.Until until) {
    return new Step.Wait(
        until, say.check(until), say.checked(until), Step.Span.UNKNOWN, 0, Map.of(), List.of());
  }
}
