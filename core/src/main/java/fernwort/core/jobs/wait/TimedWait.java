package fernwort.core.jobs.wait;

import fernwort.core.effort.Effort;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.jobs.goal.Step;
import fernwort.core.run.Event;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import java.util.ArrayList;
import java.util.List;

/** A wait as it was run, to be run again with fittings that lose less or more. */
public final class TimedWait {

  private final Waits.Aim aim;
  private final Event.Kind kind;
  private final Simulation start;
  private final WaitEnd end;
  private final double seconds;

  /**
   * Keeps a wait.
   *
   * @param kind what has to happen
   * @param start how things stood when it began
   * @param end how it ended
   * @param seconds after how long (s)
   */
  TimedWait(Waits.Aim aim, Event.Kind kind, Simulation start, WaitEnd end, double seconds) {
    this.aim = aim;
    this.kind = kind;
    this.start = start;
    this.end = end;
    this.seconds = seconds;
  }

  /**
   * Returns how long each of some waits takes, as it was run and with other fittings. Those are run
   * side by side.
   */
  static List<Step.Span> spans(List<TimedWait> waits, Hydraulics smoother, Hydraulics rougher) {
    List<List<Double>> others =
        List.of(smoother, rougher).parallelStream()
            .map(Effort.carried(h -> waits.stream().map(w -> w.with(h)).toList()))
            .toList();
    List<Step.Span> spans = new ArrayList<>();
    for (int i = 0; i < waits.size(); i++) {
      double middle = waits.get(i).seconds;
      double low = Math.min(others.getFirst().get(i), middle);
      double high = Math.max(others.getLast().get(i), middle);
      spans.add(new Step.Span(low, middle, high));
    }
    return spans;
  }

  /** Returns when another run ends so, or the same as this one where it ends otherwise (s). */
  private double with(Hydraulics other) {
    Simulation run = start.with(other);
    double began = run.time();
    int events = 0;
    while (run.time() < began + Waits.LONGEST && events < Waits.MOST_EVENTS) {
      Moment before = run.moment();
      List<Event> found = run.runToNext(run.time() + aim.slice(before));
      if (Waits.ended(run, found, kind, aim).isPresent()) {
        return run.time() - began;
      }
      if (found.isEmpty() && Waits.isSteady(before, run.moment())) {
        return end == WaitEnd.SETTLED ? before.time() - began : seconds;
      }
      events += found.isEmpty() ? 0 : 1;
    }
    return seconds;
  }
}
