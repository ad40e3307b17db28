package fernwort.core.winter.routes;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * A way for air or antifreeze from where it is let in to an outlet.
 *
 * @param outlet the outlet
 * @param position the position of the outlet that opens this way
 * @param legs what it passes, in order
 * @param needs the positions it needs of valves, by part id
 */
public record Route(
    Part outlet, PositionId position, List<Leg> legs, Map<PartId, PositionId> needs) {

  /** Returns ways outlet by outlet, in the order in which each outlet comes first. */
  public static List<Route> byOutlet(List<Route> routes) {
    List<Part> order = routes.stream().map(Route::outlet).distinct().toList();
    return routes.stream()
        .sorted(Comparator.comparingInt((Route r) -> order.indexOf(r.outlet())))
        .toList();
  }

  /** A line, or the body of a part. */
  public sealed interface Leg {
    /** A line. */
    record Through(Line line) implements Leg {}

    /** A body. */
    record Body(Part part) implements Leg {}
  }

  /** Returns the lines. */
  public List<Line> lines() {
    return legs.stream()
        .filter(Leg.Through.class::isInstance)
        .map(l -> ((Leg.Through) l).line())
        .toList();
  }

  /** Returns the parts it passes through, the outlet last. */
  public List<Part> bodies() {
    return legs.stream()
        .filter(Leg.Body.class::isInstance)
        .map(l -> ((Leg.Body) l).part())
        .toList();
  }

  /** Returns how the outlet stands then, in words. */
  public String words() {
    return outlet.kind().positions().stream()
        .filter(p -> p.id().equals(position))
        .findFirst()
        .orElseThrow()
        .words();
  }

  /** Returns how long it is (m). */
  public double length() {
    return lines().stream().mapToDouble(Line::length).sum();
  }
}
