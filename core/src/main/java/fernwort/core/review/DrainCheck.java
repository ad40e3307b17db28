package fernwort.core.review;

import fernwort.core.describe.RigEdit;
import fernwort.core.drain.Wetness;
import fernwort.core.id.LineId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.end.Plug;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.LineCourse;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.say.Amount;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Lines that no drain reaches: what stays in them freezes. */
final class DrainCheck implements LayoutCheck {

  /** A line that keeps more than this share of all that stays is named. */
  private static final double MUCH_OF_ALL = 0.1;

  /** How far under the low point of a line a drain ends (m); own choice. */
  private static final double UNDER = 0.05;

  /** Less than this in all the lines is a matter of a few drops (m³). */
  private static final double WORTH_SAYING = 1e-4;

  /** How far from the end of a line a cap is put that lets air in (m); own choice. */
  private static final double BESIDE = 0.02;

  /** How long the spur to a new cap is (m); own choice. */
  private static final double SPUR = 0.1;

  @Override
  public void over(Plumbed plan, List<Finding> found) {
    List<Wet> wet =
        plan.rig().lines().stream()
            .map(line -> new Wet(line, plan.stays().volume(line)))
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
            .filter(w -> w.stays() > MUCH_OF_ALL * all)
            .map(w -> w.line().label())
            .collect(Collectors.joining(", "));
    Rig drained = withDrain(plan.rig(), worst, end, lowest);
    Optional<Line> airless = airless(drained, worst, wet.getFirst().stays());
    found.add(
        new Finding(
            Finding.Code.NO_LOW_DRAIN,
            Finding.Risk.LOSS,
            Says.THESE_PIPES_HAVE_NO_LOW_POINT.with(),
            Says.THEY_LIE_LOWER_THAN_ANY_DRAIN.with(named),
            Says.STAYS_IN_THE_LINES.with(Amount.volume(all)),
            airless
                .map(piece ->
                    Says.PUT_A_DRAIN_CAP_AT_THE_LOWEST.with(
                        worst.label(), outer(drained, worst, piece).label()))
                .orElseGet(() -> Says.PUT_A_DRAIN_CAP_AT_THE_LOWEST_POINT.with(worst.label())),
            List.of(end.id()),
            Optional.of(rig -> {
              Rig lower = withDrain(rig, worst, end, lowest);
              return airless.map(piece -> withAir(lower, worst, piece)).orElse(lower);
            })));
  }

  /**
   * The piece of a line that keeps its water though a drain is below it now, if there is one: no
   * air comes in at its other end.
   *
   * @param before what the line kept without the drain (m³)
   */
  private static Optional<Line> airless(Rig drained, Line whole, double before) {
    Wetness stays = Plumbed.of(Network.of(drained)).stays();
    return drained.lines().stream()
        .filter(l -> l.from().equals(whole.from()) || l.to().equals(whole.to()))
        .filter(l -> stays.volume(l) > before / 10)
        .max(Comparator.comparingDouble(stays::volume));
  }

  /** The part at the end of a piece of a line at which the whole line ends, too. */
  private static Part outer(Rig rig, Line whole, Line piece) {
    return rig.part((piece.from().equals(whole.from()) ? piece.from() : piece.to()).part());
  }

  /** A rig with a drain at the lowest point of a line. */
  private static Rig withDrain(Rig rig, Line line, Part end, ProfilePoint lowest) {
    return capped(
        rig,
        line.id(),
        Says.DRAIN_OF.filled(line.label()),
        end.place(),
        drainHeight(rig, lowest.height()),
        lowest);
  }

  /** A rig with a cap beside the outer end of a piece of a line. */
  private static Rig withAir(Rig rig, Line whole, Line piece) {
    boolean atStart = piece.from().equals(whole.from());
    double near = Math.min(BESIDE, piece.length() / 4);
    double height = LineCourse.of(rig, piece).heightAt(atStart ? 0 : piece.length());
    return capped(
        rig,
        piece.id(),
        Says.AIR_FOR.filled(whole.label()),
        outer(rig, whole, piece).place(),
        height,
        new ProfilePoint(atStart ? near : piece.length() - near, height));
  }

  private static Rig capped(
      Rig rig, LineId line, String label, PlaceId place, double height, ProfilePoint at) {
    RigEdit edit = RigEdit.of(rig);
    Part near = rig.part(edit.line(line).from().part());
    return edit.teeOff(
        line,
        new Part(
            edit.freePart(line + "-drain"),
            RigEdit.shortened(label),
            place,
            near.x(),
            near.y(),
            height,
            0,
            new Plug(true)),
        PortId.IN,
        SPUR,
        at);
  }

  /** A little under the low point, but no lower than the vehicle may hang (m). */
  private static double drainHeight(Rig rig, double lowest) {
    return Math.max(lowest - UNDER, Math.min(lowest, rig.vehicle().clearance()));
  }

  /** A line and the water that stays in it (m³). */
  private record Wet(Line line, double stays) {}

  private static Part lower(Plumbed plan, Line line) {
    Part a = plan.part(line.from().part());
    Part b = plan.part(line.to().part());
    return a.at(line.from().port()).z() <= b.at(line.to().port()).z() ? a : b;
  }
}
