package fernwort.core.jobs;

import fernwort.core.network.Conditions;
import fernwort.core.network.Hydraulics;
import fernwort.core.network.Levels;
import fernwort.core.network.OpenWays;
import fernwort.core.network.Plumbing;
import fernwort.core.network.TankAir;
import fernwort.core.network.run.Happening;
import fernwort.core.network.run.Moment;
import fernwort.core.network.run.Simulation;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
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

  private static final int MOST_THEN = 3;
  private static final int MOST_EVENTS = 12;

  private static final String DRAWS_AIR =
      "It rattles and spits: there is no more to be had before the tank is where it should be.";

  /** How far an estimate may be out. */
  private static final double ROUGHLY = 0.25;

  private static final double STEP = 5;

  /** A tank that changes less than this has not changed (m³). */
  private static final double NOTICEABLE = 1e-4;

  private final Plumbing plumbing;
  private final Hydraulics expected;
  private final Hydraulics smoother;
  private final Hydraulics rougher;

  Waits(Plumbing plumbing, Hydraulics hydraulics) {
    this.plumbing = plumbing;
    expected = hydraulics;
    smoother = hydraulics.withFittings(Hydraulics.SMOOTHER);
    rougher = hydraulics.withFittings(Hydraulics.ROUGHER);
  }

  /** A wait, with how things stand after it. */
  record Waited(Step.Wait step, State after) {}

  Waited wait(Job.Until until, State state) {
    return switch (until.what()) {
      case PRESSURE -> pressure(until, state);
      case RUNS -> runs(until, state);
      case FULL -> run(until, Happening.Kind.FULL, state);
      case DRY -> run(until, Happening.Kind.DRY, state);
      case HOT -> run(until, Happening.Kind.HOT, state);
      case POURED_OUT -> run(until, Happening.Kind.POURED_OUT, state);
    };
  }

  // --- what is run through the simulation --------------------------------------------------------

  private Waited run(Job.Until until, Happening.Kind kind, State state) {
    Optional<Reached> reached = reach(expected, kind, until.part(), state);
    if (reached.isEmpty()) {
      return new Waited(
          new Step.Wait(
              until, words(until), notice(until, state), Step.Span.UNKNOWN, 0, Map.of(), List.of()),
          state);
    }
    Step.Span span = span(until, kind, state, reached.get());
    Step.Wait step =
        new Step.Wait(
            until,
            reached.get().dry().map(this::untilDry).orElseGet(() -> words(until)),
            reached.get().dry().isPresent() ? DRAWS_AIR : notice(until, state),
            span,
            moved(until, state, reached.get()),
            changed(state, after(until.part(), reached.get())),
            reached.get().estimated() ? List.of() : after(until, reached.get()));
    return new Waited(step, after(until.part(), reached.get()));
  }

  private Step.Span span(Job.Until until, Happening.Kind kind, State state, Reached reached) {
    double middle = reached.at();
    if (reached.estimated()) {
      return new Step.Span((1 - ROUGHLY) * middle, middle, (1 + ROUGHLY) * middle);
    }
    double low = reach(smoother, kind, until.part(), state).map(Reached::at).orElse(middle);
    double high = reach(rougher, kind, until.part(), state).map(Reached::at).orElse(middle);
    return new Step.Span(Math.min(low, middle), middle, Math.max(high, middle));
  }

  /**
   * Where a run was broken off.
   *
   * @param at when it happened (s)
   * @param estimated whether that is an estimate
   * @param dry the pump that got no more water before it could happen, if one did
   */
  private record Reached(double at, Simulation run, boolean estimated, Optional<String> dry) {}

  /** Runs until it happens, or until a pump gets no more water. */
  private Optional<Reached> reach(
      Hydraulics hydraulics, Happening.Kind kind, String part, State state) {
    try {
      Simulation run = Simulation.start(plumbing, hydraulics, state, Conditions.ORDINARY);
      int events = 0;
      while (run.time() < LONGEST) {
        Moment before = run.moment();
        List<Happening> found = run.runToNext(Math.min(LONGEST, run.time() + SLICE));
        Optional<Reached> reached = ended(run, found, kind, part);
        if (reached.isPresent()) {
          return reached;
        }
        if (found.isEmpty() && isSteady(before, run.moment())) {
          return Optional.empty();
        }
        events += found.isEmpty() ? 0 : 1;
        if (events > MOST_EVENTS) {
          return estimate(run, part);
        }
      }
    } catch (IllegalStateException e) {
      // The flow does not settle: the time stays unknown and the sheet says so.
      return Optional.empty();
    }
    return Optional.empty();
  }

  private static Optional<Reached> ended(
      Simulation run, List<Happening> found, Happening.Kind kind, String part) {
    for (Happening h : found) {
      boolean floats = kind == Happening.Kind.FULL && h.kind() == Happening.Kind.FLOAT_SHUTS;
      if (h.begins() && h.subject().equals(part) && (h.kind() == kind || floats)) {
        return Optional.of(new Reached(h.at(), run, false, Optional.empty()));
      }
    }
    return found.stream()
        .filter(h -> h.begins() && h.kind() == Happening.Kind.DRAWS_AIR)
        .filter(h -> kind != Happening.Kind.HOT)
        .findFirst()
        .map(h -> new Reached(h.at(), run, false, Optional.of(h.subject())));
  }

  /** Tells whether nothing has changed that is waited for, so that it never comes. */
  private static boolean isSteady(Moment before, Moment after) {
    return after.time() - before.time() >= SLICE - 1
        && after.isSettledSince(before, NOTICEABLE)
        && after.warmth().entrySet().stream()
            .allMatch(t ->
                Math.abs(t.getValue() - before.warmth().getOrDefault(t.getKey(), 0.0)) < WARMER);
  }

  /** A run that gurgles from event to event is broken off: the rest is room over inflow. */
  private Optional<Reached> estimate(Simulation run, String part) {
    Moment now = run.moment();
    double inflow = now.flows().supplies().values().stream().mapToDouble(Double::doubleValue).sum();
    if (!(plumbing.rig().part(part).kind() instanceof Kind.Tank) || inflow <= 0) {
      return Optional.empty();
    }
    double room = plumbing.room(part).capacity() - now.state().volume(part);
    return Optional.of(new Reached(now.time() + room / inflow, run, true, Optional.empty()));
  }

  private State after(String part, Reached reached) {
    State after = reached.run().moment().state();
    return reached.estimated() ? after.withVolume(part, plumbing.room(part).capacity()) : after;
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

  private double moved(Job.Until until, State before, Reached reached) {
    Map<String, Double> after = after(until.part(), reached).volumes();
    return before.volumes().containsKey(until.part()) || after.containsKey(until.part())
        ? Math.abs(after.getOrDefault(until.part(), 0.0) - before.volume(until.part()))
        : reached.run().moment().totals().supplied().values().stream()
            .mapToDouble(Double::doubleValue)
            .sum();
  }

  private List<Step.Then> after(Job.Until until, Reached reached) {
    Simulation on = reached.run().copy();
    List<Step.Then> then = new ArrayList<>();
    Set<String> said = new HashSet<>();
    double end = on.time() + OVERRUN;
    try {
      for (int i = 0; on.time() < end - 1 && i < MOST_EVENTS && then.size() < MOST_THEN; i++) {
        for (Happening h : on.runToNext(end)) {
          if (h.begins() && !h.subject().equals(until.part())) {
            overrun(h).filter(said::add).ifPresent(words -> then.add(new Step.Then(h.at(), words)));
          }
        }
      }
    } catch (IllegalStateException e) {
      // The flow does not settle: what is known until then is told.
      return then;
    }
    return then;
  }

  private Optional<String> overrun(Happening h) {
    return switch (h.kind()) {
      case FULL -> Optional.of(label(h.subject()) + " is full too");
      case RUNS_OUT -> Optional.of("water runs out at " + spot(plumbing.rig().part(h.subject())));
      case BULGES -> Optional.of(label(h.subject()) + " bulges");
      case SUCKED_IN -> Optional.of(label(h.subject()) + " is sucked in");
      case DRAWS_AIR -> Optional.of(label(h.subject()) + " draws air");
      case BACKS_UP -> Optional.of(label(h.subject()) + " backs up");
      case DRY, SIPHONS, CYCLES, RESTS, POURED_OUT, FLOAT_SHUTS, HOT, HAND -> Optional.empty();
    };
  }

  private String untilDry(String pump) {
    return "Let it run until %s draws air, then switch it off at once.".formatted(label(pump));
  }

  private String words(Job.Until until) {
    String label = label(until.part());
    return switch (until.what()) {
      case FULL -> "Fill slowly and stay with it until " + label + " is full.";
      case DRY -> "Let it run until " + label + " is empty.";
      case HOT -> "Wait until " + label + " is hot.";
      case POURED_OUT -> "Pour slowly until " + label + " is empty.";
      case PRESSURE -> "Listen to " + label + ".";
      case RUNS -> "Check that water runs at " + label + ".";
    };
  }

  private String notice(Job.Until until, State state) {
    String label = label(until.part());
    return switch (until.what()) {
      case FULL ->
          vent(until.part(), state)
              .map(v -> "The first water shows at " + v + ".")
              .orElse("Watch its gauge.");
      case DRY -> "The flow gurgles, then stops.";
      case HOT -> "It falls silent, or its lamp goes out.";
      case POURED_OUT -> label + " is light.";
      case PRESSURE, RUNS -> "";
    };
  }

  /** Where a tank's air leaves, and so its first water. */
  private Optional<String> vent(String tank, State state) {
    return OpenWays.find(plumbing, state.setting(), Levels.of(plumbing, state))
        .airOf(tank)
        .flatMap(TankAir::out)
        .map(route -> plumbing.rig().part(route.opening()))
        .filter(opening -> opening.kind() instanceof Kind.OpenEnd)
        .map(this::spot);
  }

  private String spot(Part part) {
    return "%s (%s)".formatted(part.label(), plumbing.rig().place(part.place()).label());
  }

  private String label(String part) {
    return plumbing.rig().part(part).label();
  }

  // --- checks ----------------------------------------------------------------------------------

  /** A pump falls silent when it has filled the lines behind it and its accumulators. */
  private Waited pressure(Job.Until until, State state) {
    Kind.Pump pump = (Kind.Pump) plumbing.rig().part(until.part()).kind();
    double lines = plumbing.rig().lines().stream().mapToDouble(Line::volume).sum();
    double vessels =
        plumbing.rig().parts().stream()
            .filter(p -> p.kind() instanceof Kind.Accumulator)
            .mapToDouble(Part::volume)
            .sum();
    double seconds = STEP * Math.ceil((lines / 2 + vessels) / pump.freeFlow() / STEP);
    String on =
        state.setting().of(until.part()).equals("on")
            ? ""
            : "Switch " + label(until.part()) + " on when you want water. ";
    return new Waited(
        new Step.Wait(
            until,
            on + "Open a cold tap until it runs without spitting, then shut it and listen.",
            "The pump stops within %.0f s. If it runs on, a tap is open or a line leaks."
                .formatted(Math.max(STEP, seconds)),
            new Step.Span(0, Math.max(STEP, seconds), 0),
            0,
            Map.of(),
            List.of()),
        state);
  }

  private Waited runs(Job.Until until, State state) {
    boolean fixture = plumbing.rig().part(until.part()).kind() instanceof Kind.Fixture;
    return new Waited(
        new Step.Wait(
            until,
            fixture
                ? "Open " + label(until.part()) + "."
                : "Let it run as long as you need; watch the gauge of " + label(until.part()) + ".",
            fixture ? "Water runs without spitting." : "The level moves as you expect.",
            Step.Span.UNKNOWN,
            0,
            Map.of(),
            List.of()),
        state);
  }
}
