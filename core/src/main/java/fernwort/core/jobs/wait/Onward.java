package fernwort.core.jobs.wait;

import fernwort.core.id.PartId;
import fernwort.core.run.Event;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * How a run goes on by itself after what was waited for: run as far as anybody asks, and remembered
 * for the next who does.
 */
final class Onward {

  private final Simulation run;
  private final List<Event> met = new ArrayList<>();

  Onward(Simulation reached) {
    run = reached.copy();
  }

  /** Returns how far it has been run (s). */
  double time() {
    return run.time();
  }

  /** Returns how things stand there. */
  Moment moment() {
    return run.moment();
  }

  /** Runs on until something begins or ends, which is returned, or to a time (s). */
  List<Event> toNext(double until) {
    List<Event> found = run.runToNext(until);
    met.addAll(found);
    return found;
  }

  /**
   * Returns when something begins, if it does before a time (s).
   *
   * @param until the time (s)
   */
  OptionalDouble begins(Event.Kind kind, PartId subject, double until) {
    int looked = 0;
    while (looked < met.size() || run.isBefore(until)) {
      if (looked == met.size()) {
        toNext(until);
      }
      for (; looked < met.size(); looked++) {
        Event h = met.get(looked);
        if (h.at() > until) {
          return OptionalDouble.empty();
        }
        if (h.kind() == kind && h.subject().equals(subject) && h.begins()) {
          return OptionalDouble.of(h.at());
        }
      }
    }
    return OptionalDouble.empty();
  }
}
