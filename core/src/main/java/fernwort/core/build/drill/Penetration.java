package fernwort.core.build.drill;

import fernwort.core.build.joints.JointEnds;
import fernwort.core.build.joints.Region;
import fernwort.core.build.joints.Sizes;
import fernwort.core.kind.Connection;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.tank.Point;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A hole through the vehicle itself: where a line passes the floor, or where an inlet or a filler
 * sits in the wall.
 *
 * @param what what goes through
 * @param wall whether it is a wall, and not the floor
 * @param at about where (m)
 * @param diameter what the saw cuts (m)
 * @param inside parts inside near it, the nearest first
 * @param outside parts outside near it, the nearest first
 */
public record Penetration(
    String what,
    boolean wall,
    Point at,
    double diameter,
    List<String> inside,
    List<String> outside) {

  /** What lies within so far of a hole is named (m). */
  private static final double NEAR = 0.4;

  private static final double INLET = 0.075;

  /** Returns all holes of a rig, floor first, for lines in metric sizes. */
  public static List<Penetration> of(Rig rig) {
    return of(rig, Region.METRIC);
  }

  /**
   * Returns all holes of a rig, floor first.
   *
   * @param region whose sizes of tube, hose and pipe are usual
   */
  public static List<Penetration> of(Rig rig, Region region) {
    List<Penetration> holes = new ArrayList<>();
    double floor = rig.vehicle().floor();
    for (Line line : rig.lines()) {
      Point from = rig.part(line.from().part()).at(line.from().port());
      Point to = rig.part(line.to().part()).at(line.to().port());
      if (from.z() < floor != to.z() < floor) {
        double part = (floor - from.z()) / (to.z() - from.z());
        Point at =
            new Point(
                from.x() + part * (to.x() - from.x()),
                from.y() + part * (to.y() - from.y()),
                floor);
        holes.add(hole(rig, line.label(), false, at, Sizes.grommetHole(outside(line, region))));
      }
    }
    for (Part part : rig.parts()) {
      boolean mouth = part.kind().is(Purpose.INLET) || part.kind().is(Purpose.POURED_INTO);
      // Under the floor there is no wall to cut: its line goes through the floor.
      if (mouth && part.height() >= floor) {
        Point at = new Point(part.x(), part.y(), part.height());
        holes.add(hole(rig, part.label(), true, at, INLET));
      }
    }
    return holes;
  }

  private static double outside(Line line, Region region) {
    return switch (JointEnds.usualEnd(line, region)) {
      case Connection.TubeEnd t -> t.outside();
      case Connection.Spigot s -> Sizes.pipeOutside(s.nominal());
      case Connection.HoseEnd h -> 1.4 * h.bore();
      case Connection.Thread _,
          Connection.Bulkhead _,
          Connection.HoseTail _,
          Connection.TubeSocket _,
          Connection.Socket _,
          Connection.Grommet _,
          Connection.Open _ ->
          line.bore();
    };
  }

  private static Penetration hole(Rig rig, String what, boolean wall, Point at, double diameter) {
    return new Penetration(
        what, wall, at, diameter, near(rig, what, at, true), near(rig, what, at, false));
  }

  private static List<String> near(Rig rig, String what, Point at, boolean inside) {
    return rig.parts().stream()
        .filter(p -> !p.label().equals(what))
        .filter(p -> p.height() >= rig.vehicle().floor() == inside)
        .filter(p -> Math.hypot(p.x() - at.x(), p.y() - at.y()) < NEAR)
        .sorted(Comparator.comparingDouble(p -> Math.hypot(p.x() - at.x(), p.y() - at.y())))
        .map(Part::label)
        .limit(6)
        .toList();
  }
}
