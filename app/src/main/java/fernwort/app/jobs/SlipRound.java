package fernwort.app.jobs;

import fernwort.app.rigs.OpenRig;
import fernwort.core.jobs.Job;
import fernwort.core.jobs.Slip;
import fernwort.core.rig.State;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;

/** All slips of all jobs of a rig, tried job by job while somebody watches how far it is. */
final class SlipRound {

  /** A slip with the job it belongs to. */
  record Found(Job job, Slip slip) {}

  private final List<Found> found = new CopyOnWriteArrayList<>();
  private final int jobs;
  private volatile int done;
  private volatile String trouble = "";

  private SlipRound(int jobs) {
    this.jobs = jobs;
  }

  /** Begins a round in the background. */
  static SlipRound begin(OpenRig rig, JobBook book, State from) {
    SlipRound round = new SlipRound(book.offered().size());
    Thread.ofPlatform().daemon().name("slips of " + rig.id()).start(() -> round.run(book, from));
    return round;
  }

  private void run(JobBook book, State from) {
    try {
      for (Job job : book.offered()) {
        book.slips().of(job, from).stream()
            .filter(s -> s.grade() != Slip.Grade.HARMLESS)
            .map(s -> new Found(job, s))
            .forEach(found::add);
        done++;
      }
    } catch (RuntimeException e) {
      trouble = "It broke off: " + e.getMessage();
      done = jobs;
    }
  }

  /** Returns how many jobs have been tried. */
  int done() {
    return done;
  }

  int jobs() {
    return jobs;
  }

  boolean isOver() {
    return done >= jobs;
  }

  /** Returns what broke it off; empty when nothing did. */
  String trouble() {
    return trouble;
  }

  /** Returns what was found so far, the worst first. */
  List<Found> found() {
    return found.stream()
        .sorted(
            Comparator.comparing((Found f) -> f.slip().grade())
                .thenComparing(Comparator.comparingDouble((Found f) -> f.slip().lost()).reversed()))
        .toList();
  }
}
