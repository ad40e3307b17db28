package fernwort.app.services;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.app.Missing;
import fernwort.core.jobs.goal.Trial.Act;
import fernwort.core.jobs.mistake.Attempts;
import fernwort.core.practice.Drill;
import fernwort.core.practice.Drills;
import fernwort.core.say.Refusal;
import java.time.Duration;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Drills that were handed out, and what came of them. Nothing of it touches a rig. */
@Service
public class PracticeDesk {

  /** So many drills are open at once; own choice. */
  private static final int MOST = 500;

  private static final Duration KEPT = Duration.ofHours(3);

  /** A drill gets harder up to so many handles (1). */
  private static final int HARDEST = 4;

  private final JobDesk jobs;
  private final Cache<String, Open> open =
      Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(KEPT).build();

  PracticeDesk(JobDesk jobs) {
    this.jobs = jobs;
  }

  /**
   * A drill that was handed out.
   *
   * @param id its name
   * @param person who practises
   * @param version the version of the rig it was drawn for
   */
  public record Open(String id, String rig, int version, String person, Drill drill) {}

  /**
   * Hands out a drill.
   *
   * @param hard how many handles stand otherwise than at rest (1)
   * @throws Refusal when the rig has no job worth a drill
   */
  public Open draw(OpenRig rig, String person, int hard) {
    JobBook book = jobs.book(rig);
    Drill drill =
        Drills.of(rig.network(), book.plans(), book.offered())
            .draw(Math.clamp(hard, 0, HARDEST), new Random())
            .orElseThrow(() -> new Refusal(Says.NO_JOB_TO_PRACTISE.with()));
    Open made = new Open(UUID.randomUUID().toString(), rig.id(), rig.version(), person, drill);
    open.put(made.id(), made);
    return made;
  }

  /**
   * Returns a drill of a rig.
   *
   * @throws Missing when it was not handed out, or long ago, or the rig has changed since
   */
  public Open drill(OpenRig rig, String id) {
    Open found = open.getIfPresent(id);
    if (found == null || !found.rig().equals(rig.id()) || found.version() != rig.version()) {
      throw new Missing(Says.NO_SUCH_DRILL.text());
    }
    return found;
  }

  /** Judges what somebody did. */
  public Attempts.Verdict judge(OpenRig rig, Open drill, List<Act> acts) {
    return Attempts.of(rig.network(), jobs.book(rig).plans())
        .judge(drill.drill().job(), drill.drill().from(), acts);
  }
}
