package fernwort.core.sizing;

import fernwort.core.kind.tank.Contents;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.HashMap;
import java.util.Map;

/**
 * What a rig holds with every tank filled to the brim, and how long the fresh water lasts then.
 *
 * @param fresh in all fresh tanks (m³)
 * @param gray in all gray tanks (m³)
 * @param lasts with all fresh tanks full and all gray ones empty
 */
public record Holds(double fresh, double gray, Lasts lasts) {

  /** Reckons it. */
  public static Holds of(Plumbing plumbing, Habits habits) {
    Map<String, Double> full = new HashMap<>();
    plumbing
        .rig()
        .tanks(Contents.FRESH)
        .forEach(t -> full.put(t.id(), plumbing.room(t.id()).capacity()));
    return new Holds(
        capacity(plumbing, Contents.FRESH),
        capacity(plumbing, Contents.GRAY),
        Lasts.of(plumbing, new State(plumbing.rig().atRest(), full, Slope.LEVEL), habits));
  }

  private static double capacity(Plumbing plumbing, Contents contents) {
    return plumbing.rig().tanks(contents).mapToDouble(t -> plumbing.room(t.id()).capacity()).sum();
  }
}
