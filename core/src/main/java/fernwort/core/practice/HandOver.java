package fernwort.core.practice;

import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.mistake.Slip;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Picks what a borrower of a rig practises: the jobs in which the worst mistakes lie. */
public final class HandOver {

  /** So many jobs are practised; own choice. */
  private static final int JOBS = 5;

  /** A mistake that another job teaches already counts so much (1); own choice. */
  private static final double KNOWN = 0.2;

  private HandOver() {}

  /**
   * A job to practise, and the mistake that it prevents.
   *
   * @param worst the worst that is easily made
   */
  public record Lesson(Job job, Slip worst) {}

  /**
   * Picks the lessons, the most needed first.
   *
   * @param mistakes of each job all that can be done wrong
   */
  public static List<Lesson> pick(Map<Job, List<Slip>> mistakes) {
    List<Lesson> picked = new ArrayList<>();
    Set<String> known = new HashSet<>();
    List<Job> left = new ArrayList<>(mistakes.keySet());
    while (picked.size() < JOBS) {
      Optional<Lesson> next =
          left.stream()
              .flatMap(j -> worst(j, mistakes.getOrDefault(j, List.of()), known).stream())
              .max(Comparator.comparingDouble(l -> weight(l.worst(), known)));
      if (next.isEmpty()) {
        break;
      }
      picked.add(next.get());
      left.remove(next.get().job());
      known.addAll(taught(next.get().worst()));
    }
    return picked;
  }

  private static Optional<Lesson> worst(Job job, List<Slip> slips, Set<String> known) {
    return slips.stream()
        .filter(s -> s.grade() != Slip.Grade.HARMLESS)
        .max(Comparator.comparingDouble(s -> weight(s, known)))
        .map(s -> new Lesson(job, s));
  }

  /** How bad a mistake is, times how easily it is made (1); estimates of our own. */
  private static double weight(Slip slip, Set<String> known) {
    double bad =
        switch (slip.grade()) {
          case GRAVE -> 100;
          case BAD -> 10;
          case NUISANCE -> 1;
          case HARMLESS -> 0;
        };
    double easy =
        switch (slip.kind()) {
          case MISSED, OVERRUN -> 1;
          case TAP_OPEN -> 0.8;
          case NEIGHBOUR, SWAPPED -> 0.6;
          case TOO_FAR -> 0.4;
          case BUMPED, POWER_LOST -> 0.2;
        };
    return bad * easy * (taught(slip).stream().anyMatch(known::contains) ? KNOWN : 1);
  }

  /** What somebody learns from a mistake: what not to do, and what it leads to, however much. */
  private static Set<String> taught(Slip slip) {
    return Set.of(
        "do " + slip.words(),
        "leads " + slip.leads().toString().replaceAll("\\d+([.,]\\d+)?", "#"));
  }
}
