package fernwort.app.rehearse;

import fernwort.app.services.OpenRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.run.Event;
import fernwort.core.run.HappeningWords;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import java.util.ArrayList;
import java.util.List;

/**
 * One rehearsal: a run that plays at some speed, stops at events and can go back. All methods may
 * be called from any thread.
 */
final class Rehearsal {

  /** How far back one can go. */
  private static final int MOST_MARKS = 100;

  private static final int MOST_EVENTS = 60;
  private static final long BUDGET = 25_000_000;

  /** A gurgling overflow begins and ends many times; within so long it is told once (s). */
  private static final double GURGLE = 20;

  /** An event with its time. */
  record Told(double at, String words) {}

  private final OpenRig rig;
  private final List<Simulation> marks = new ArrayList<>();
  private final List<Told> events = new ArrayList<>();
  private Simulation run;
  private double speed = 10;
  private boolean playing;
  private boolean stopsAtEvents = true;
  private String stopped = "";

  Rehearsal(OpenRig rig, Simulation start) {
    this.rig = rig;
    run = start;
    marks.add(start.copy());
  }

  OpenRig rig() {
    return rig;
  }

  /** Sets the speed (simulated seconds per second), and whether to stop at events. */
  synchronized void pace(double atSpeed, boolean stopping) {
    speed = Math.clamp(atSpeed, 1, 600);
    stopsAtEvents = stopping;
  }

  /** Plays on. */
  synchronized void play() {
    playing = true;
    stopped = "";
  }

  synchronized void pause() {
    playing = false;
  }

  /** Sets a handle, switch, cap or tap now. */
  synchronized void set(String part, String position) {
    note(run.set(PartId.of(part), PositionId.of(position)));
    mark();
  }

  /** Goes back to the start, or to the last mark before now. */
  synchronized void back(boolean toStart) {
    playing = false;
    stopped = "";
    int last = marks.size() - 1;
    while (last > 0 && (toStart || marks.get(last).time() >= run.time() - 0.5)) {
      marks.remove(last--);
    }
    run = marks.get(last).copy();
    events.removeIf(e -> e.at() > run.time());
  }

  /**
   * Lets so many seconds of the clock pass. A run that cannot keep up within its share of the
   * processor falls behind rather than holding up the others.
   */
  synchronized void tick(double seconds) {
    double until = run.time() + speed * seconds;
    long end = System.nanoTime() + BUDGET;
    while (playing && run.time() < until - 1e-9 && System.nanoTime() < end) {
      List<Event> found = next(until);
      note(found);
      found.stream()
          .filter(HappeningWords::isSerious)
          .findFirst()
          .filter(h -> stopsAtEvents)
          .ifPresent(h -> {
            playing = false;
            stopped = HappeningWords.of(rig.rig(), h) + " at " + HappeningWords.time(h.at());
            mark();
          });
    }
  }

  /** Runs on to what happens next; a flow that cannot be found stops the rehearsal and is told. */
  private List<Event> next(double until) {
    try {
      return run.runToNext(until);
    } catch (IllegalStateException e) {
      playing = false;
      stopped = String.valueOf(e.getMessage());
      return List.of();
    }
  }

  private void note(List<Event> found) {
    for (Event h : found) {
      String words = HappeningWords.of(rig.rig(), h);
      boolean repeated =
          events.stream().anyMatch(e -> e.words().equals(words) && e.at() > h.at() - GURGLE);
      if (!repeated) {
        events.add(new Told(h.at(), words));
      }
      if (events.size() > MOST_EVENTS) {
        events.removeFirst();
      }
    }
  }

  private void mark() {
    if (marks.size() < MOST_MARKS) {
      marks.add(run.copy());
    }
  }

  synchronized Moment moment() {
    return run.moment();
  }

  /** Returns a copy of the run, to look ahead. */
  synchronized Simulation ahead() {
    return run.copy();
  }

  synchronized boolean isPlaying() {
    return playing;
  }

  synchronized double speed() {
    return speed;
  }

  synchronized boolean stopsAtEvents() {
    return stopsAtEvents;
  }

  /** Returns what it stopped at, empty when it did not. */
  synchronized String stopped() {
    return stopped;
  }

  synchronized List<Told> events() {
    return List.copyOf(events);
  }
}
