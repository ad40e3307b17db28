package fernwort.core.run;

import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.water.Thresholds;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;

/**
 * What the water of a rig meets in a run: ports, crests and wastes, worked out once for each slope.
 * Safe to share.
 *
 * <pre>{@code
 * Landmarks landmarks = Landmarks.of(network);
 * Simulation run = Simulation.start(landmarks, hydraulics, state, Conditions.ORDINARY);
 * }</pre>
 */
public final class Landmarks {

  /** More slopes than all drives have stretches; beyond that they are worked out anew. */
  private static final int MOST = 100;

  /**
   * Those of one slope.
   *
   * @param ports the volumes of each tank at which a port of it is covered or comes free
   * @param crests those at which its water comes to another line, which cut no step
   * @param heights of those ports and crests (m)
   */
  record OnSlope(
      EventMonitor watch,
      List<Thresholds> ports,
      List<Thresholds> crests,
      List<double[]> heights) {}

  private final Network network;
  private final Map<Slope, OnSlope> known = new ConcurrentHashMap<>();

  private Landmarks(Network network) {
    this.network = network;
  }

  /** Prepares a rig. */
  public static Landmarks of(Network network) {
    return new Landmarks(network);
  }

  /** Returns the prepared rig. */
  public Network network() {
    return network;
  }

  OnSlope on(Slope slope) {
    if (known.size() >= MOST) {
      known.clear();
    }
    return known.computeIfAbsent(slope, this::look);
  }

  private OnSlope look(Slope slope) {
    EventMonitor watch = new EventMonitor(network, slope);
    Levels levels = Levels.of(network, new State(new Setting(Map.of()), Map.of(), slope));
    List<double[]> crests = network.tanks().stream().map(t -> watch.crests(t, levels)).toList();
    List<double[]> ports = network.tanks().stream().map(t -> watch.heights(t, levels)).toList();
    return new OnSlope(watch, thresholds(slope, ports), thresholds(slope, crests), crests);
  }

  private List<Thresholds> thresholds(Slope slope, List<double[]> heights) {
    return IntStream.range(0, heights.size())
        .mapToObj(i -> Thresholds.of(network, network.tanks().get(i), heights.get(i), slope))
        .toList();
  }
}
