package fernwort.core.sizing;

import fernwort.core.id.PartId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
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
  public static Holds of(Network network, Habits habits) {
    Map<PartId, Double> full = new HashMap<>();
    network
        .rig()
        .tanks(Contents.FRESH)
        .forEach(t -> full.put(t.id(), network.room(t.id()).capacity()));
    return new Holds(
        capacity(network, Contents.FRESH),
        capacity(network, Contents.GRAY),
        Lasts.of(network, new State(network.rig().atRest(), full, Slope.LEVEL), habits));
  }

  private static double capacity(Network network, Contents contents) {
    return network.rig().tanks(contents).mapToDouble(t -> network.room(t.id()).capacity()).sum();
  }
}
