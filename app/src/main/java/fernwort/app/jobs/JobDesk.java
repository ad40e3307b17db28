package fernwort.app.jobs;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.app.rigs.OpenRig;
import fernwort.app.store.backup.Backups;
import fernwort.core.jobs.Plan;
import fernwort.core.jobs.Plans;
import fernwort.core.jobs.Slip;
import fernwort.core.rig.State;
import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Hands out the book of jobs of each rig. */
@Component
public class JobDesk {

  private final Cache<String, JobBook> books = Caffeine.newBuilder().maximumSize(10).build();
  private final Cache<Asked, List<Slip>> slips = Caffeine.newBuilder().maximumSize(50).build();

  /** What slips were asked of. */
  private record Asked(String rig, int version, String job, State from) {}

  /** After a restore nothing is as it was at hand. */
  @EventListener
  void restored(Backups.Restored restored) {
    books.invalidateAll();
    slips.invalidateAll();
  }

  /** Returns every job that a rig's layout allows, with what stands in its way. */
  public List<Plans.Offer> offers(OpenRig rig) {
    return book(rig).offers();
  }

  /**
   * Plans a job from how things stand.
   *
   * @throws fernwort.app.Refusal when the rig has no such job
   */
  public Plan plan(OpenRig rig, String job, State from) {
    return book(rig).plans().plan(book(rig).job(job), from);
  }

  /**
   * Returns what every single slip of a job leads to, the worst first.
   *
   * @throws fernwort.app.Refusal when the rig has no such job
   */
  public List<Slip> slips(OpenRig rig, String job, State from) {
    return slips.get(
        new Asked(rig.id(), rig.version(), job, from),
        asked -> book(rig).slips().of(book(rig).job(job), from));
  }

  /** Returns the jobs of a rig, found once for each version of it. */
  JobBook book(OpenRig rig) {
    return books.get(rig.id() + "@" + rig.version(), key -> JobBook.of(rig));
  }
}
