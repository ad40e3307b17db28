package fernwort.core.jobs;

import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Severity;
import fernwort.core.hazard.Warning;
import fernwort.core.network.Conditions;
import fernwort.core.network.Hydraulics;
import fernwort.core.network.Levels;
import fernwort.core.network.OpenWays;
import fernwort.core.network.Plumbing;
import fernwort.core.network.run.Happening;
import fernwort.core.network.run.Moment;
import fernwort.core.network.run.Simulation;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** A row of turns and waits, done as it is written and then left alone, run through in time. */
final class Trial {

  /** One thing after another: a turn, or a wait (s). */
  sealed interface Act {}

  record Turned(String part, String position) implements Act {}

  record Pause(double seconds) implements Act {}

  /** Each tap that the job is for is opened for a moment, to see what comes. */
  record Serve() implements Act {}

  /** A run is looked at so often (s). */
  private static final double SLICE = 45;

  /** A tank that changes less than this from look to look has settled (m³). */
  private static final double STEADY = 1e-4;

  /** A turn takes so long (s). */
  private static final double TURN = 5;

  /** Dangers that no run shows, since they are of what water it is. */
  static final Set<Warning.Code> UNSEEN =
      Set.of(Warning.Code.UNSAFE_WATER, Warning.Code.BACKFLOW, Warning.Code.HEATER_DRY);

  private final Plumbing plumbing;
  private final Hydraulics hydraulics;
  private final Hazards hazards;

  Trial(Plumbing plumbing, Hydraulics hydraulics) {
    this.plumbing = plumbing;
    this.hydraulics = hydraulics;
    hazards = Hazards.of(plumbing);
  }

  /**
   * What came of it.
   *
   * @param happenings the first of each thing that began, by what and to what
   * @param dangers dangers of what water it is, with when they began (s)
   * @param end how things stand at the end
   * @param out water that left at each end (m³)
   * @param served what each tap gave that the job is for, by id (m³/s)
   */
  record Outcome(
      Map<Thing, Double> happenings,
      Map<Warning.Key, Double> dangers,
      State end,
      Map<String, Double> out,
      Map<String, Double> served) {}

  /** Something that began, and to what. */
  record Thing(Happening.Kind kind, String subject) {}

  /**
   * Runs some acts.
   *
   * @param from how things stand
   * @param acts what is done
   * @param taps taps that the job is for, with the position to try each in
   */
  Outcome run(State from, List<Act> acts, Map<String, String> taps) {
    Map<String, Double> served = new TreeMap<>();
    Simulation run = Simulation.start(plumbing, hydraulics, from, Conditions.ORDINARY);
    Map<Thing, Double> found = new LinkedHashMap<>();
    Map<Warning.Key, Double> dangers = new LinkedHashMap<>();
    Map<String, Double> goneOn = new TreeMap<>();
    look(run, dangers);
    for (Act act : acts) {
      switch (act) {
        case Turned s -> {
          note(run.set(s.part(), s.position()), found);
          look(run, dangers);
          pass(run, TURN, found, goneOn);
        }
        case Pause p -> pass(run, p.seconds(), found, goneOn);
        case Serve s -> served.putAll(served(run, taps));
      }
    }
    Moment end = run.moment();
    end.totals().out().forEach((id, volume) -> goneOn.merge(id, volume, Double::sum));
    return new Outcome(found, dangers, end.state(), goneOn, served);
  }

  private static Map<String, Double> served(Simulation run, Map<String, String> taps) {
    Map<String, Double> served = new TreeMap<>();
    taps.forEach((tap, position) -> {
      Simulation tried = run.copy();
      tried.set(tap, position);
      served.put(tap, tried.moment().flows().fixture(tap));
    });
    return served;
  }

  /**
   * Lets time pass. Once no tank changes any more, what runs out is taken to go on at the same
   * rate.
   */
  private static void pass(
      Simulation run, double seconds, Map<Thing, Double> found, Map<String, Double> goneOn) {
    double until = run.time() + seconds;
    while (run.time() < until - 1e-6) {
      Moment before = run.moment();
      note(run.runTo(Math.min(until, run.time() + SLICE)), found);
      Moment after = run.moment();
      boolean whole = after.time() - before.time() >= SLICE - 1e-6;
      if (whole && after.isSettledSince(before, STEADY)) {
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

  private static void note(List<Happening> happenings, Map<Thing, Double> found) {
    for (Happening h : happenings) {
      if (h.begins()) {
        found.putIfAbsent(new Thing(h.kind(), h.subject()), h.at());
      }
    }
  }

  private void look(Simulation run, Map<Warning.Key, Double> dangers) {
    State now = run.moment().state();
    Levels levels = Levels.of(plumbing, now);
    hazards.warnings(now.setting(), levels, OpenWays.find(plumbing, now.setting(), levels)).stream()
        .filter(w -> w.severity() == Severity.DANGER && UNSEEN.contains(w.code()))
        .forEach(w -> dangers.putIfAbsent(w.key(), run.time()));
  }

  /** Returns the acts of a plan. */
  static List<Act> acts(Plan plan) {
    List<Act> acts = new ArrayList<>();
    for (Step step : plan.steps()) {
      acts.add(
          switch (step) {
            case Step.Move m -> new Turned(m.part(), m.to());
            case Step.Wait w -> new Pause(w.seconds().isKnown() ? w.seconds().expected() : 60);
          });
    }
    return acts;
  }
}
