package fernwort.core.jobs.plan;

import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import java.util.Optional;

/**
 * A job that the layout allows.
 *
 * @param job the job
 * @param trouble why no safe way leads there from rest with half-full tanks, or with those that are
 *     filled nearly empty, if none does
 * @param wanting whether no position of the handles does it at all, safe or not
 */
public record Offer(Job job, Optional<Plan.Trouble> trouble, boolean wanting) {

  /** Tells whether some setting of the handles does it, whatever they are now. */
  public boolean isPossible() {
    return trouble.isEmpty();
  }
}
