package fernwort.core.guide;

import fernwort.core.describe.TankResize;
import fernwort.core.kind.end.Tank;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;

/**
 * Tanks that lie in each other as their spots, heights and sizes were given: a field of the plan is
 * larger than a tank, so two that stand side by side may be put on the same one.
 */
final class Overlap {

  /** Tanks that lie in each other by less stand beside each other (m). */
  private static final double NOTHING = 0.01;

  private Overlap() {}

  /** Returns what is guessed of such tanks of a rig: pairs of boxes, each against each. */
  static List<Guess> in(Rig rig) {
    List<Part> tanks = rig.tanks().toList();
    List<Guess> guesses = new ArrayList<>();
    for (int i = 0; i < tanks.size(); i++) {
      for (Part other : tanks.subList(i + 1, tanks.size())) {
        if (overlaps(tanks.get(i), other)) {
          guesses.add(
              new Guess(
                  Guess.About.SAME_PLACE,
                  Says.AND_IN_THE_SAME_PLACE_FOR_THEIR.with(tanks.get(i).label(), other.label()),
                  Says.WEIGHT_ON_EACH_AXLE_AND_EVERY.with()));
        }
      }
    }
    return guesses;
  }

  private static boolean overlaps(Part a, Part b) {
    Tank first = (Tank) a.kind();
    Tank second = (Tank) b.kind();
    return overlaps(a.x(), TankResize.length(first), b.x(), TankResize.length(second))
        && overlaps(a.y(), TankResize.width(first), b.y(), TankResize.width(second))
        && overlaps(a.height(), TankResize.height(first), b.height(), TankResize.height(second));
  }

  private static boolean overlaps(double from, double extent, double other, double otherExtent) {
    return Math.min(from + extent, other + otherExtent) - Math.max(from, other) > NOTHING;
  }
}
