package fernwort.core.cold;

import fernwort.core.rig.Setting;
import java.util.List;

/**
 * How to empty what was chosen.
 *
 * @param steps what to set, in order
 * @param after the setting when all is done
 * @param leftovers the water that stays, most first
 * @param stuck ids of chosen tanks that nothing lets out
 */
public record EmptyPlan(
    List<EmptyStep> steps, Setting after, List<Leftover> leftovers, List<String> stuck) {

  public EmptyPlan {
    steps = List.copyOf(steps);
    leftovers = List.copyOf(leftovers);
    stuck = List.copyOf(stuck);
  }

  /** Returns all the water that stays (m³). */
  public double left() {
    return leftovers.stream().mapToDouble(Leftover::volume).sum();
  }
}
