package fernwort.core.jobs.find;

import fernwort.core.jobs.goal.Job;
import fernwort.core.network.Network;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Finds the jobs of a rig from what it is made of: each source with each end that its passages let
 * it come to.
 */
public final class Jobs {

  /**
   * What a rig cannot do.
   *
   * @param what the job
   * @param why which part is missing
   */
  public record Cannot(String what, String why) {}

  private final List<Job> jobs = new ArrayList<>();
  private final List<Cannot> cannot = new ArrayList<>();
  private final Network network;

  private Jobs(Network network) {
    this.network = network;
    Distances distances = Distances.of(network);
    List.of(
            new RunFinder(network, distances, jobs, cannot),
            new FillFinder(network, distances, jobs, cannot),
            new RowFinder(network, distances, jobs, cannot),
            new MoveFinder(network, distances, jobs, cannot),
            new UseFinder(network, distances, jobs, cannot),
            new EmptyFinder(network, distances, jobs, cannot),
            new RoadFinder(network, distances, jobs, cannot))
        .forEach(Finder::find);
  }

  /** Finds the jobs of a rig. */
  public static Jobs of(Network network) {
    return new Jobs(network);
  }

  /** Returns the jobs, grouped as people meet them. */
  public List<Job> all() {
    return jobs.stream().sorted(Comparator.comparing(Job::kind)).toList();
  }

  /**
   * Returns the job with this id, if the rig has it; also one of filling to a mark.
   *
   * @throws Refusal when a tank does not take what is to be filled in
   */
  public Optional<Job> byId(String id) {
    return jobs.stream()
        .filter(j -> j.id().equals(id))
        .findFirst()
        .or(() -> FillToMark.named(network, this, id));
  }

  /** Returns the other means to the same end. */
  public List<Job> alternatives(Job job) {
    return all().stream()
        .filter(j -> j.title().equals(job.title()) && !j.id().equals(job.id()))
        .toList();
  }

  /** Returns what the rig cannot do, and for want of which part. */
  public List<Cannot> cannot() {
    return List.copyOf(cannot);
  }
}
