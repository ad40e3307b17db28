package fernwort.core.jobs.wait;

import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Step;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.run.Event;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What follows when nobody ends a wait: what to see in time, and what is lost. */
final class Overrun {

  /** How long is looked on after what was waited for (s). */
  private static final double OVERRUN = 900;

  /** After that it is looked so often whether anything still changes (s). */
  private static final double LOOK = 45;

  private static final int MOST_THEN = 3;

  private static final int MOST_EVENTS_AFTER = 200;

  /** In so short a time no tail loses what would be worth a word (s). */
  private static final double JUST = 0.2;

  /** First water is a sign when it comes so soon (s). */
  private static final double SOON = 180;

  private final Network network;
  private final Hydraulics primingEarly;
  private final WaitWords say;

  Overrun(Network network, Hydraulics primingEarly, WaitWords say) {
    this.network = network;
    this.primingEarly = primingEarly;
    this.say = say;
  }

  /** Where the first water shows soon after a tank is full, unless it gives way before. */
  Optional<Part> sign(Job.Until until, Simulation reached, List<Step.Then> then) {
    boolean full = until.what() == Job.Until.What.FULL || until.what() == Job.Until.What.FIRST_FULL;
    if (!full || then.isEmpty()) {
      return Optional.empty();
    }
    Step.Then first = then.getFirst();
    return first
        .shows()
        .filter(p -> first.seconds() < reached.time() + SOON)
        .map(network.rig()::part);
  }

  /**
   * Returns what follows, in order of time.
   *
   * @param on how the stage goes on by itself
   */
  List<Step.Then> of(Job.Until until, StageRun stage, Onward on) {
    List<Step.Then> then = new ArrayList<>();
    Set<Message> said = new HashSet<>();
    boolean siphons = false;
    for (PartId end : stage.runningOut()) {
      Event begun = new Event(on.time(), Event.Kind.RUNS_OUT, end, true);
      say.overrun(begun)
          .filter(said::add)
          .ifPresent(words -> then.add(new Step.Then(on.time(), words, shows(begun))));
    }
    double end = on.time() + OVERRUN;
    for (int i = 0; on.time() < end - 1 && i < MOST_EVENTS_AFTER && then.size() < MOST_THEN; i++) {
      Moment before = on.moment();
      List<Event> found = on.toNext(Math.min(end, on.time() + LOOK));
      siphons |= found.stream().anyMatch(h -> h.kind() == Event.Kind.SIPHONS && h.begins());
      for (Event h : found) {
        if (h.begins() && !(h.subject().equals(until.part()) && h.kind() == Event.Kind.FULL)) {
          say.overrun(h)
              .filter(said::add)
              .ifPresent(words -> then.add(new Step.Then(h.at(), words, shows(h))));
        }
        if (siphons && h.kind() == Event.Kind.SUCKED_IN && h.begins()) {
          then.add(
              new Step.Then(h.at(), say.runsOn(h.subject().part(), on.moment()), Optional.empty()));
          siphons = false;
        }
      }
      if (found.isEmpty() && on.moment().isSettledSince(before, Waits.NOTICEABLE)) {
        break;
      }
    }
    double sure = on.time() - JUST;
    if (then.stream().anyMatch(t -> t.shows().isPresent() && t.seconds() < sure)) {
      maySiphon(stage.run(), on.time(), on.moment().totals().out(), then);
    }
    return then;
  }

  /**
   * What a tail that runs over loses more when it siphons at once, which happens as well as not
   * between the speeds at which it surely does either.
   */
  private void maySiphon(
      Simulation reached, double end, Map<PartId, Double> out, List<Step.Then> then) {
    Simulation early = reached.with(primingEarly);
    early.runTo(end);
    early
        .moment()
        .totals()
        .out()
        .forEach((part, volume) -> {
          double more = volume - out.getOrDefault(part, 0.0);
          if (more > Waits.WORTHWHILE) {
            then.add(new Step.Then(end, say.maySiphon(part, more), Optional.empty()));
          }
        });
  }

  private static Optional<PartId> shows(Event h) {
    return h.kind() == Event.Kind.RUNS_OUT ? Optional.of(h.subject().part()) : Optional.empty();
  }
}
