package fernwort.app.jobs;

import fernwort.app.rigs.OpenRig;
import fernwort.core.effort.Effort;
import fernwort.core.effort.EffortExceededException;
import fernwort.core.jobs.Job;
import fernwort.core.jobs.Slip;
import fernwort.core.rig.State;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** All slips of all jobs of a rig, tried job by job while somebody watches how far it is. */
final class SlipRound {

  private static final Logger LOG = LoggerFactory.getLogger(SlipRound.class);

  /** A slip with the job it belongs to. */
  record Found(Job job, Slip slip) {}

  /** As long as this somebody may look away before it ends. */
  private static final Duration LOOKED_AWAY = Duration.ofSeconds(20);

  private static final Duration LONGEST = Duration.ofMinutes(3);

  private final Effort effort = Effort.of(LONGEST);
  private final List<Found> found = new CopyOnWriteArrayList<>();
  private final int jobs;
  private volatile int done;
  private volatile String trouble = "";
  private volatile long looked = System.nanoTime();

  private SlipRound(int jobs) {
    this.jobs = jobs;
  }

  /** Begins a round in the background. */
  static SlipRound begin(OpenRig rig, JobBook book, State from) {
    SlipRound round = new SlipRound(book.offered().size());
    Thread.ofPlatform().daemon().name("slips of " + rig.id()).start(() -> round.run(book, from));
    Thread.ofVirtual().name("who waits for slips of " + rig.id()).start(round::endWhenNobodyLooks);
    return round;
  }

  /** Somebody looks how far it is. */
  void look() {
    looked = System.nanoTime();
  }

  private void endWhenNobodyLooks() {
    try {
      while (!isOver()) {
        TimeUnit.MILLISECONDS.sleep(500);
        if (System.nanoTime() - looked > LOOKED_AWAY.toNanos()) {
          effort.cancel();
          return;
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Tells whether it was ended before it was done; another begins anew. */
  boolean isEnded() {
    return effort.isOver() && done < jobs || !trouble.isEmpty();
  }

  private void run(JobBook book, State from) {
    try {
      effort.spend(() -> {
        for (Job job : book.offered()) {
          book.slips().of(job, from).stream()
              .filter(s -> s.grade() != Slip.Grade.HARMLESS)
              .map(s -> new Found(job, s))
              .forEach(found::add);
          done++;
        }
        return found;
      });
    } catch (EffortExceededException e) {
      trouble =
          "It was ended after %d of %d jobs, for it took long or nobody looked. Load the page to begin anew."
              .formatted(done, jobs);
    } catch (Exception e) {
      LOG.warn("trying slips broke off", e);
      trouble = "It broke off after %d of %d jobs; the log says more.".formatted(done, jobs);
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
