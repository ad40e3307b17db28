package fernwort.core.run;

import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import fernwort.core.run.water.Dry;
import fernwort.core.run.water.Rates;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * One run of a rig from a state. Not for use by several threads; a copy can be kept to go back to.
 */
public final class Simulation {

  /** A time this close to another has come (s). */
  private static final double NOW = 1e-9;

  private final Progress progress;
  private final TimeStep step;
  private final Events events;

  private int steps;

  /** Whether it was told what does harm from the beginning. */
  private boolean begun;

  private Simulation(Progress progress, Events events) {
    this.progress = progress;
    this.events = events;
    step = new TimeStep(progress);
  }

  /** Starts a run from a state, with clean filters and water at 15 °C. */
  public static Simulation start(Network network, State state) {
    return start(network, Hydraulics.of(network), state, Conditions.ORDINARY);
  }

  /**
   * Starts a run.
   *
   * @param network the prepared rig
   * @param hydraulics its hydraulics, which many runs may share
   * @param state where it starts
   * @param conditions water and filters
   */
  public static Simulation start(
      Network network, Hydraulics hydraulics, State state, Conditions conditions) {
    return start(network, hydraulics, state, conditions, Dry.NOTHING);
  }

  /**
   * Starts a run in a rig that was drained: what is dry fills before water passes it.
   *
   * @param dry what lines and bodies lack
   */
  public static Simulation start(
      Network network, Hydraulics hydraulics, State state, Conditions conditions, Dry dry) {
    return start(Landmarks.of(network), hydraulics, state, conditions, dry);
  }

  /**
   * Starts a run of a rig whose landmarks are known from others.
   *
   * @param landmarks what its water meets
   */
  public static Simulation start(
      Landmarks landmarks, Hydraulics hydraulics, State state, Conditions conditions) {
    return start(landmarks, hydraulics, state, conditions, Dry.NOTHING);
  }

  /**
   * Does the same in a rig that was drained.
   *
   * @param dry what lines and bodies lack
   */
  public static Simulation start(
      Landmarks landmarks, Hydraulics hydraulics, State state, Conditions conditions, Dry dry) {
    Progress progress = new Progress(landmarks, hydraulics, state, conditions, dry);
    return new Simulation(progress, new Events(progress));
  }

  /** Returns a copy that runs on by itself, to go back to. */
  public Simulation copy() {
    Progress copy = new Progress(progress, progress.hydraulics());
    return new Simulation(copy, new Events(events, copy));
  }

  /** Returns a copy that runs on through the same rig with other losses. */
  public Simulation with(Hydraulics other) {
    Progress copy = new Progress(progress, other);
    copy.lookAround();
    return new Simulation(copy, new Events(events, copy));
  }

  /** Fills every line that is dry still, at once. */
  public void fillLines() {
    progress.fronts.fill();
    progress.settle();
  }

  /** Returns how things stand. */
  public Moment moment() {
    Rates rates = progress.rates();
    Map<PartId, Double> gains = new TreeMap<>(progress.tanks.byId(rates.gains()));
    return new Moment(
        progress.time(),
        progress.now(),
        rates.flows(),
        gains,
        rates.flows().air(),
        progress.warmth.temperatures(),
        progress.totals.copy(),
        progress.fronts.lacking());
  }

  /** Returns what is the case now, whenever it began, as if it began now. */
  public List<Event> standing() {
    return events.standing();
  }

  /** Returns the time since the run began (s). */
  public double time() {
    return progress.time();
  }

  /**
   * Sets a handle, switch, cap or tap now.
   *
   * @return what begins and ends with it
   * @throws Refusal when the part or position does not exist
   */
  public List<Event> set(PartId part, PositionId position) {
    progress.network.rig().position(part, position);
    progress.set(part, position);
    List<Event> happenings = new ArrayList<>();
    happenings.add(new Event(time(), Event.Kind.HAND, part, true));
    happenings.addAll(events.changes());
    return happenings;
  }

  /** Tells whether a time is yet to come (s). */
  public boolean isBefore(double until) {
    return time() < until - Actor.SAME;
  }

  /** Runs on to a time (s) and returns what begins and ends on the way. */
  public List<Event> runTo(double until) {
    List<Event> all = new ArrayList<>();
    while (time() < until - NOW) {
      all.addAll(advance(until));
    }
    return all;
  }

  /**
   * Runs on until something begins or ends, or to a time (s).
   *
   * @return what begins and ends then; empty at the time
   */
  public List<Event> runToNext(double until) {
    return runToNext(until, Integer.MAX_VALUE);
  }

  /**
   * Runs on until one thing begins, or to a time (s).
   *
   * @return when it begins (s), if it does before then
   */
  public Optional<Double> runUntil(Event.Kind kind, PartId subject, double until) {
    return runUntil(kind, subject, true, until);
  }

  /**
   * Runs on until one thing begins or ends, or to a time (s).
   *
   * @return when it does (s), if it does before then
   */
  public Optional<Double> runUntil(Event.Kind kind, PartId subject, boolean begins, double until) {
    while (time() < until - NOW) {
      for (Event h : advance(until)) {
        if (h.kind() == kind && h.subject().equals(subject) && h.begins() == begins) {
          return Optional.of(h.at());
        }
      }
    }
    return Optional.empty();
  }

  private List<Event> advance(double until) {
    if (!begun) {
      begun = true;
      List<Event> already = events.changes();
      if (!already.isEmpty()) {
        return already;
      }
    }
    steps++;
    return step.take(until) ? events.changes() : List.of();
  }

  /** Returns how many steps it has taken. */
  public int steps() {
    return steps;
  }

  /**
   * Runs on until something begins or ends, to a time (s), or until it has taken so many steps.
   *
   * @return what begins and ends then; empty at the time, or when the steps are used up
   */
  public List<Event> runToNext(double until, int mostSteps) {
    List<Event> found = List.of();
    while (found.isEmpty() && steps < mostSteps && time() < until - NOW) {
      found = advance(until);
    }
    return found;
  }
}
