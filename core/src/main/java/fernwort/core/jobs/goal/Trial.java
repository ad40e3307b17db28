package fernwort.core.jobs.goal;

import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Severity;
import fernwort.core.hazard.Warning;
import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.State;
import fernwort.core.road.Drive;
import fernwort.core.road.Road;
import fernwort.core.run.Actor;
import fernwort.core.run.Event;
import fernwort.core.run.Landmarks;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import fernwort.core.ways.OpenWays;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** A row of turns and waits, done as it is written and then left alone, run through in time. */
public final class Trial {

  /** One thing after another: a turn, or a wait (s). */
  public sealed interface Act {}

  public record Turned(PartId part, PositionId position) implements Act {}

  /**
   * A wait.
   *
   * @param seconds how long (s)
   * @param full the tank that is watched, if one is: the wait ends when it is full
   */
  public record Pause(double seconds, Optional<ElementId> full) implements Act {
    public Pause(double seconds) {
      this(seconds, Optional.empty());
    }
  }

  /** A drive as it comes, everything else as it stands. */
  public record Driven(Drive drive) implements Act {}

  /** Each tap that the job is for is opened for a moment, to see what comes. */
  public record Serve() implements Act {}

  /**
   * So many things happen to a rig that is left alone until it is looked no further; own choice.
   */
  private static final int MOST_EVENTS = 500;

  /** A run is looked at so often (s). */
  private static final double SLICE = 45;

  /** A tank that changes less than this from look to look has settled (m³). */
  private static final double STEADY = 1e-4;

  /** A turn takes so long (s). */
  public static final double TURN = 5;

  /** Of a turn, an end stands bare for so long between its cap and its hose (s); own choice. */
  public static final double BARE = 4;

  /** What is asked how long it lasted. */
  private static final Set<Event.Kind> TIMED = EnumSet.of(Event.Kind.DRAWS_AIR, Event.Kind.RESTS);

  private final Network network;
  private final Hydraulics hydraulics;
  private final Landmarks landmarks;
  private final Road road;
  private final Hazards hazards;

  /** Prepares trials of a rig. */
  public Trial(Network network, Hydraulics hydraulics) {
    this.network = network;
    this.hydraulics = hydraulics;
    landmarks = Landmarks.of(network);
    road = Road.of(landmarks);
    hazards = Hazards.of(network);
  }

  /**
   * What came of it.
   *
   * @param happenings the first of each thing that began, by what and to what
   * @param dangers dangers of what water it is, with when they began (s)
   * @param end how things stand at the end
   * @param out water that left at each end (m³)
   * @param served what each tap gave that the job is for, by id (m³/s)
   * @param lasted how long pumps drew air or stood still in all, by what and to what (s)
   * @param spilt water that ran over the hands at each end between its cap and its hose (m³)
   */
  public record Outcome(
      Map<Thing, Double> happenings,
      Map<Warning.Key, Double> dangers,
      State end,
      Map<PartId, Double> out,
      Map<PartId, Double> served,
      Map<Thing, Double> lasted,
      Map<PartId, Double> spilt) {}

  /** Something that began, and to what. */
  public record Thing(Event.Kind kind, ElementId subject) {}

  /**
   * Acts that were run, with how things stood before each, so that others which begin alike need
   * not be run from the start.
   */
  public record Course(List<Act> acts, List<Going> before, Outcome outcome) {}

  /**
   * Runs some acts.
   *
   * @param from how things stand
   * @param acts what is done
   * @param taps taps that the job is for, with the position to try each in
   */
  public Course run(State from, List<Act> acts, Map<PartId, PositionId> taps) {
    Going going = new Going(from, taps);
    List<Going> before = new ArrayList<>();
    for (Act act : acts) {
      before.add(new Going(going));
      going.act(act);
    }
    return new Course(List.copyOf(acts), before, going.outcome());
  }

  /** Runs other acts from where they part from those of a course. */
  public Outcome run(Course like, List<Act> acts) {
    int same = 0;
    while (same < acts.size() - 1
        && same < like.acts().size() - 1
        && acts.get(same).equals(like.acts().get(same))) {
      same++;
    }
    Going going = new Going(like.before().get(same));
    acts.subList(same, acts.size()).forEach(going::act);
    return going.outcome();
  }

  /**
   * Returns what leaves at each end while nobody touches anything for so long (s), in m³; at least
   * so much where a pump starts so often that it is looked no further.
   */
  public Map<PartId, Double> leftAlone(State from, double seconds) {
    Simulation run = Simulation.start(landmarks, hydraulics, from, Conditions.ORDINARY);
    for (int events = 0; run.isBefore(seconds) && events < MOST_EVENTS; events++) {
      run.runToNext(seconds);
    }
    return run.moment().totals().out();
  }

  /** A run with what was noted of it so far. */
  final class Going {

    private final Simulation run;
    private final Map<PartId, PositionId> taps;
    private final Map<PartId, Double> served;
    private final Map<Thing, Double> found;
    private final Map<Warning.Key, Double> dangers;
    private final Map<PartId, Double> goneOn;
    private final Map<Thing, Double> begun;
    private final Map<Thing, Double> lasted;
    private final Map<PartId, Double> spilt;

    private Going(State from, Map<PartId, PositionId> taps) {
      run = Simulation.start(landmarks, hydraulics, from, Conditions.ORDINARY);
      this.taps = taps;
      served = new TreeMap<>();
      found = new LinkedHashMap<>();
      dangers = new LinkedHashMap<>();
      goneOn = new TreeMap<>();
      begun = new HashMap<>();
      lasted = new HashMap<>();
      spilt = new TreeMap<>();
      look();
    }

    private Going(Going other) {
      run = other.run.copy();
      taps = other.taps;
      served = new TreeMap<>(other.served);
      found = new LinkedHashMap<>(other.found);
      dangers = new LinkedHashMap<>(other.dangers);
      goneOn = new TreeMap<>(other.goneOn);
      begun = new HashMap<>(other.begun);
      lasted = new HashMap<>(other.lasted);
      spilt = new TreeMap<>(other.spilt);
    }

    private void act(Act act) {
      switch (act) {
        case Turned s -> {
          double bare = bared(s).map(open -> uncover(s.part(), open)).orElse(0.0);
          note(run.set(s.part(), s.position()));
          look();
          pass(new Pause(TURN - bare));
        }
        case Driven d -> drive(d.drive());
        case Pause p -> pass(p);
        case Serve s -> serve();
      }
    }

    /** Returns how an end stands while its cap or hose is changed; empty where nothing is. */
    private Optional<PositionId> bared(Turned turned) {
      PositionId before = run.moment().state().setting().of(turned.part());
      return network.rig().part(turned.part()).kind().bare(before, turned.position());
    }

    /** Takes the cap or hose off an end; returns how long it stands bare (s). */
    private double uncover(PartId outlet, PositionId open) {
      Kind kind = network.rig().part(outlet).kind();
      boolean pressed =
          kind.gives(run.moment().state().setting().of(outlet))
              .filter(given -> given.pressure() > 0)
              .isPresent();
      // A hose whose tap is still on goes on running, whatever it is taken off.
      double sprays = pressed ? kind.brings() * BARE : 0;
      double before = run.moment().totals().out().getOrDefault(outlet, 0.0);
      note(run.set(outlet, open));
      pass(new Pause(BARE));
      double after = run.moment().totals().out().getOrDefault(outlet, 0.0);
      spilt.merge(outlet, after - before + sprays, Double::sum);
      return BARE;
    }

    /** Drives off as things stand; what sloshes out is lost on the way. */
    private void drive(Drive drive) {
      double at = run.time();
      drive
          .losses(road, run.moment().state())
          .ends()
          .forEach((end, lost) -> {
            goneOn.merge(end, lost.expected(), Double::sum);
            found.putIfAbsent(new Thing(Event.Kind.RUNS_OUT, end), at);
          });
    }

    private void serve() {
      taps.forEach((tap, position) -> {
        Simulation tried = run.copy();
        tried.set(tap, position);
        served.put(tap, tried.moment().flows().fixture(tap));
      });
    }

    /**
     * Lets time pass. Once no tank changes any more, what runs out is taken to go on at the same
     * rate.
     */
    private void pass(Pause pause) {
      double until = run.time() + pause.seconds();
      while (run.isBefore(until)) {
        Moment before = run.moment();
        if (isFullBefore(Math.min(until, run.time() + SLICE), pause.full())) {
          return;
        }
        Moment after = run.moment();
        boolean whole = after.time() - before.time() >= SLICE - Actor.SAME;
        if (whole && after.isSettledSince(before, STEADY)) {
          begun.keySet().forEach(t -> lasted.merge(t, until - after.time(), Double::sum));
          double left = (until - after.time()) / (after.time() - before.time());
          after
              .totals()
              .out()
              .forEach((id, volume) ->
                  goneOn.merge(
                      id,
                      left * (volume - before.totals().out().getOrDefault(id, 0.0)),
                      Double::sum));
          return;
        }
      }
    }

    /** Runs on to a time, or until the tank that is watched is full; tells whether it is. */
    private boolean isFullBefore(double limit, Optional<ElementId> watched) {
      while (run.isBefore(limit)) {
        List<Event> next = run.runToNext(limit);
        note(next);
        if (next.stream().anyMatch(h -> isFull(h, watched))) {
          return true;
        }
      }
      return false;
    }

    private static boolean isFull(Event h, Optional<ElementId> watched) {
      return h.begins()
          && h.kind() == Event.Kind.FULL
          && watched.filter(h.subject()::equals).isPresent();
    }

    private void note(List<Event> happenings) {
      for (Event h : happenings) {
        Thing thing = new Thing(h.kind(), h.subject());
        if (h.begins()) {
          found.putIfAbsent(thing, h.at());
        }
        if (TIMED.contains(h.kind()) && h.begins()) {
          begun.put(thing, h.at());
        } else if (begun.containsKey(thing)) {
          lasted.merge(thing, h.at() - begun.remove(thing), Double::sum);
        }
      }
    }

    private void look() {
      State now = run.moment().state();
      Levels levels = Levels.of(network, now);
      hazards
          .withPower(now.setting(), levels, OpenWays.find(network, now.setting(), levels))
          .stream()
          .filter(w -> w.severity() == Severity.DANGER && w.code().is(Warning.Is.UNSEEN))
          .forEach(w -> dangers.putIfAbsent(w.key(), run.time()));
    }

    private Outcome outcome() {
      Moment end = run.moment();
      Map<PartId, Double> out = new TreeMap<>(goneOn);
      end.totals().out().forEach((id, volume) -> out.merge(id, volume, Double::sum));
      Map<Thing, Double> all = new HashMap<>(lasted);
      begun.forEach((thing, since) -> all.merge(thing, run.time() - since, Double::sum));
      return new Outcome(found, dangers, end.state(), out, served, all, spilt);
    }
  }

  /** Returns the acts of a plan. */
  public static List<Act> acts(Plan plan) {
    List<Act> acts = new ArrayList<>();
    for (Step step : plan.steps()) {
      acts.add(
          switch (step) {
            case Step.Move m -> new Turned(m.part(), m.to());
            case Step.Wait w ->
                new Pause(
                    w.seconds().isKnown() && !w.until().what().isByHand()
                        ? w.seconds().expected()
                        : 60,
                    Optional.of(w.until())
                        .filter(u -> u.what() == Job.Until.What.FULL)
                        .map(Job.Until::part));
          });
    }
    return acts;
  }
}
