package fernwort.app.services;

import fernwort.app.Missing;
import fernwort.core.jobs.find.EmptyingJob;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.mistake.Remedy;
import fernwort.core.jobs.mistake.Slips;
import fernwort.core.jobs.plan.Offers;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.say.Refusal;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * The jobs of a rig with what plans them, made once for a description.
 *
 * @param jobs all jobs, and what the rig cannot do
 * @param offers what it offers of them; each is looked at when it is first asked for
 * @param plans makes run sheets
 * @param slips tries slips
 * @param remedies changes of plumbing to try against them
 */
public record JobBook(Jobs jobs, Offers offers, Plans plans, Slips slips, List<Remedy> remedies) {

  /** Finds the jobs of a rig. */
  public static JobBook of(OpenRig rig) {
    Jobs jobs = Jobs.of(rig.network());
    Plans plans = Plans.of(rig.network(), rig.hydraulics());
    return new JobBook(
        jobs, plans.offers(jobs), plans, Slips.of(rig.network(), plans), Remedy.of(rig.network()));
  }

  /** Returns the jobs that some setting of the handles can do. */
  public List<Job> offered() {
    return offers.possible();
  }

  /** Returns those of them that are meant; the others are not looked at. */
  public Stream<Job> offered(Predicate<Job> meant) {
    return offers.jobs().stream().filter(meant).filter(offers::isPossible);
  }

  /**
   * Returns a job.
   *
   * @throws Refusal when the rig has none with this id
   * @throws Refusal when a tank does not take what is to be filled in
   */
  public Job job(String id) {
    return jobs.byId(id)
        .or(() -> EmptyingJob.named(plans.network(), id))
        .orElseThrow(() -> new Missing(Says.THIS_RIG_HAS_NO_SUCH_JOB.text()));
  }

  /** Returns the other means to the same end, as far as the rig can do them. */
  public List<Job> alternatives(Job job) {
    return jobs.alternatives(job).stream().filter(offers::isPossible).toList();
  }
}
