package fernwort.app.jobs;

import fernwort.app.services.Awaited;
import fernwort.app.services.JobBook;
import fernwort.app.services.Workers;
import fernwort.core.effort.EffortExceededException;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.mistake.Slip;
import fernwort.core.rig.State;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** All slips of all jobs of a rig, tried job by job while somebody watches how far it is. */
final class SlipRound {

  private static final Logger LOG = LoggerFactory.getLogger(SlipRound.class);

  /** A slip with the job it belongs to. */
  record Found(Job job, Slip slip) {}

  private static final Duration LONGEST = Duration.ofMinutes(3);

  private final List<Found> found = new CopyOnWriteArrayList<>();
  private final int jobs;
  private final Awaited<List<Found>> trying;
  private volatile int done;
  private volatile String trouble = "";

  private SlipRound(Workers workers, JobBook book, State from) {
    jobs = book.offered().size();
    trying = workers.begin(LONGEST, () -> run(book, from));
  }

  /** Begins a round in the background. */
  static SlipRound begin(Workers workers, JobBook book, State from) {
    return new SlipRound(workers, book, from);
  }

  /** Somebody looks how far it is. */
  void look() {
    trying.look();
  }

  /** Tells whether it was ended before it was done; another begins anew. */
  boolean isEnded() {
    return trying.isEnded() || !trouble.isEmpty();
  }

  private List<Found> run(JobBook book, State from) {
    try {
      for (Job job : book.offered()) {
        book.slips().of(job, from).stream()
            .filter(s -> s.grade() != Slip.Grade.HARMLESS)
            .map(s -> new Found(job, s))
            .forEach(found::add);
        done++;
      }
    } catch (EffortExceededException e) {
      trouble = Says.IT_WAS_ENDED_AFTER_OF_JOBS.filled(done, jobs);
    } catch (RuntimeException e) {
      LOG.warn("trying slips broke off", e);
      trouble = Says.IT_BROKE_OFF_AFTER_OF_JOBS.filled(done, jobs);
    }
    return found;
  }

  /** Returns how many jobs have been tried. */
  int done() {
    return done;
  }

  int jobs() {
    return jobs;
  }

  boolean isOver() {
    return done >= jobs || !trouble.isEmpty();
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
