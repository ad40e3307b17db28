package fernwort.app.jobs;

import fernwort.app.services.JobBook;
import fernwort.app.services.OpenRig;
import fernwort.app.units.Units;
import fernwort.core.jobs.goal.Job;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/**
 * A job in the pocket copy, on the card on which it stands among all jobs: from the rig at rest,
 * and from how the handles stood when the copy was made where that is another way.
 *
 * @param card what a person comes for
 * @param rest from rest, tanks half full
 * @param now from how things stood
 * @param same whether both are the same steps
 */
record PocketJob(String card, JobView rest, JobView now, boolean same) {

  /** Plans every job that a rig offers, or those that were chosen. */
  static List<PocketJob> of(OpenRig rig, JobBook book, State now, Set<String> chosen, Units units) {
    List<PocketJob> all = new ArrayList<>();
    for (Job job : book.offered()) {
      if (chosen.isEmpty() || chosen.contains(job.id())) {
        JobView rest = JobView.fromRest(rig, book, job.id(), units);
        JobView as = JobView.of(rig, book, book.plans().plan(job, now), List.of(), units);
        all.add(new PocketJob(job.kind().group(), rest, as, rest.steps().equals(as.steps())));
      }
    }
    all.sort(Comparator.comparing(job -> JobsController.Card.ORDER.indexOf(job.card())));
    return all;
  }
}
