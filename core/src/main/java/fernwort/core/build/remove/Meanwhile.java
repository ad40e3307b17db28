package fernwort.core.build.remove;

import fernwort.core.id.PortId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Beyond;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a rig still does while some of its parts are out and the ends of their lines capped.
 *
 * @param works jobs of the whole rig that can be done all the same
 * @param lost those that cannot; running the taps is one where the waste of all ends in caps
 * @param backsUp taps down whose waste nothing may run: it ends in a cap
 */
public record Meanwhile(List<Job> works, List<Job> lost, List<Part> backsUp) {

  public Meanwhile {
    works = List.copyOf(works);
    lost = List.copyOf(lost);
    backsUp = List.copyOf(backsUp);
  }

  /**
   * Looks at a rig without its parts.
   *
   * @param rig the whole rig
   * @param usual its jobs
   */
  public static Meanwhile of(TakeApart plan, Rig rig, List<Job> usual) {
    Rig without = plan.meanwhile(rig);
    Network network = Network.of(without);
    // A cap on an open end makes jobs of its own, which nobody means.
    Set<String> found =
        Plans.of(network).offered(Jobs.of(network)).stream()
            .map(j -> j.name().toString())
            .collect(Collectors.toSet());
    List<Part> backsUp = without.parts().stream().filter(p -> backsUp(without, p)).toList();
    boolean none =
        !backsUp.isEmpty()
            && without.parts().stream()
                .filter(p -> !ends(without, p).isEmpty())
                .allMatch(backsUp::contains);
    List<Job> works =
        usual.stream()
            .filter(j -> found.contains(j.name().toString()))
            .filter(j -> !none || !j.kind().is(Job.Is.RUNS_TAPS))
            .toList();
    return new Meanwhile(works, usual.stream().filter(j -> !works.contains(j)).toList(), backsUp);
  }

  private static boolean backsUp(Rig rig, Part part) {
    List<Part> ends = ends(rig, part);
    return !ends.isEmpty() && ends.stream().allMatch(p -> p.kind().is(Purpose.CLOSES));
  }

  /** Where the waste of a tap goes; other taps that drain the same way take nothing up. */
  private static List<Part> ends(Rig rig, Part part) {
    return part.kind().ports().contains(PortId.WASTE)
        ? Beyond.of(rig, part, PortId.WASTE).stream()
            .map(rig::part)
            .filter(p -> Beyond.isEnd(p.kind()) && !p.kind().is(Purpose.USE))
            .toList()
        : List.of();
  }
}
