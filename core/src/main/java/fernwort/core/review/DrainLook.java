package fernwort.core.review;

import fernwort.core.describe.RigEdit;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.end.Plug;
import fernwort.core.rig.Line;
import fernwort.core.rig.LineCourse;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.say.Amount;
import fernwort.core.say.Saying;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Lines that no drain reaches: what stays in them freezes. */
final class DrainLook implements Look {

  /** Less than this in all the lines is a matter of a few drops (m³). */
  private static final double WORTH_SAYING = 1e-4;

  @Override
  public void over(Plumbed plan, List<Finding> found) {
    List<Wet> wet =
        plan.rig().lines().stream()
            .map(line -> new Wet(line, plan.flood().stays(line)))
            .sorted(Comparator.comparingDouble(Wet::stays).reversed())
            .toList();
    double all = wet.stream().mapToDouble(Wet::stays).sum();
    if (all < WORTH_SAYING) {
      return;
    }
    Line worst = wet.getFirst().line();
    Part end = lower(plan, worst);
    ProfilePoint lowest = LineCourse.of(plan.rig(), worst).lowest();
    String named =
        wet.stream()
            .limit(3)
            .filter(w -> w.stays() > 0.1 * all)
            .map(w -> w.line().label())
            .collect(Collectors.joining(", "));
    found.add(
        new Finding(
            Finding.Code.NO_LOW_DRAIN,
            Finding.Risk.LOSS,
            Saying.of("No drain lets these lines run empty"),
            Saying.words(
                "They lie lower than every drain they can reach, so water stays in: "
                    + named
                    + "."),
            Saying.of("{} stays in the lines and can freeze.", Amount.volume(all)),
            Saying.of(
                "Put a drain cap at the lowest point of “{}”, and look again.", worst.label()),
            List.of(end.id()),
            Optional.of(rig ->
                RigEdit.of(rig)
                    .teeOff(
                        worst.id(),
                        new Part(
                            RigEdit.of(rig).freeId(worst.id() + "-drain"),
                            RigEdit.shortened("Drain of " + worst.label()),
                            end.place(),
                            end.x(),
                            end.y(),
                            drainHeight(rig, lowest.height()),
                            0,
                            new Plug(true)),
                        "in",
                        0.1,
                        lowest))));
  }

  /** A little under the low point, but no lower than the vehicle may hang (m). */
  private static double drainHeight(Rig rig, double lowest) {
    return Math.max(lowest - 0.05, Math.min(lowest, rig.vehicle().clearance()));
  }

  /** A line and the water that stays in it (m³). */
  private record Wet(Line line, double stays) {}

  private static Part lower(Plumbed plan, Line line) {
    Part a = plan.part(line.from().part());
    Part b = plan.part(line.to().part());
    return a.at(line.from().port()).z() <= b.at(line.to().port()).z() ? a : b;
  }
}
