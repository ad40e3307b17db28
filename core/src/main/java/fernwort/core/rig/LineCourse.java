package fernwort.core.rig;

import fernwort.core.kind.ProfilePoint;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The heights of a line from its first end to its second, with the vehicle level; between two
 * points it rises or falls evenly.
 *
 * @param points its ends and what its profile tells between them, in their order along the line
 */
public record LineCourse(List<ProfilePoint> points) {

  public LineCourse {
    points = List.copyOf(points);
  }

  /** Returns the course of a line of a rig. */
  public static LineCourse of(Rig rig, Line line) {
    List<ProfilePoint> points = new ArrayList<>();
    points.add(new ProfilePoint(0, height(rig, line.from())));
    points.addAll(line.profile());
    points.add(new ProfilePoint(line.length(), height(rig, line.to())));
    return new LineCourse(points);
  }

  private static double height(Rig rig, PortRef end) {
    return rig.part(end.part()).at(end.port()).z();
  }

  /** Returns the height at a distance from the first end (m); beyond an end that of the end. */
  public double heightAt(double along) {
    ProfilePoint before = points.getFirst();
    for (ProfilePoint point : points) {
      if (point.along() >= along) {
        double way = point.along() - before.along();
        double share = way > 0 ? (along - before.along()) / way : 1;
        return before.height() + Math.max(0, share) * (point.height() - before.height());
      }
      before = point;
    }
    return before.height();
  }

  /** Returns the lowest point; of several that are as low, the first. */
  public ProfilePoint lowest() {
    return points.stream().min(Comparator.comparingDouble(ProfilePoint::height)).orElseThrow();
  }
}
