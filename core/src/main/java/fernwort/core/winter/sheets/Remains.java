package fernwort.core.winter.sheets;

import fernwort.core.drain.Draining;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wetness;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/** What stays in a rig that has run out by fall alone, its handles as they are left. */
public final class Remains {

  /** Less than this is nothing worth a word (m³). */
  private static final double WORTHWHILE = 1e-6;

  private Remains() {}

  /**
   * Returns what stays, the most first.
   *
   * @param plumbing the prepared rig
   * @param state how it is left
   * @param tanks ids of the tanks that were to be emptied
   * @param lines whether the lines were, too
   */
  public static List<Leftover> of(
      Plumbing plumbing, State state, Set<String> tanks, boolean lines) {
    List<Leftover> left = new ArrayList<>();
    for (Part tank : plumbing.tanks()) {
      if (tanks.contains(tank.id())) {
        add(left, tank.id(), Leftover.Kind.TANK, state.volume(tank.id()));
      }
    }
    if (lines) {
      Wetness wet = Draining.of(plumbing, Filled.of(plumbing, state)).wetness();
      for (Line line : plumbing.rig().lines()) {
        add(left, line.id(), Leftover.Kind.LINE, wet.volume(line));
      }
      for (Part part : plumbing.rig().parts()) {
        add(left, part.id(), Leftover.Kind.BODY, wet.body(part.id()));
      }
    }
    left.sort(Comparator.comparingDouble(Leftover::volume).reversed());
    return left;
  }

  private static void add(List<Leftover> left, String id, Leftover.Kind kind, double volume) {
    if (volume > WORTHWHILE) {
      left.add(new Leftover(id, kind, volume));
    }
  }
}
