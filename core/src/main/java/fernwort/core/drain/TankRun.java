package fernwort.core.drain;

import fernwort.core.graph.LowestCrest;
import fernwort.core.id.PartId;
import fernwort.core.kind.tank.Point;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import java.util.Arrays;
import java.util.Map;
import java.util.TreeMap;

/**
 * Down to where the tanks of a rig run out by themselves: each over the lowest crest between it and
 * the open air, through other tanks where the way leads there ({@link LowestCrest}). A tank that no
 * air gets into keeps what it holds.
 */
final class TankRun {

  /** So far below its crest that rounding leaves the port free (m). */
  private static final double FREE = 2 * Levels.COVERED;

  private static final int[] NONE = {};

  private final Network network;
  private final Wintering now;
  private final Levels levels;
  private final Passages passages;
  private final double[] spill;

  TankRun(Network network, Wintering now, Levels levels, Passages passages) {
    this.network = network;
    this.now = now;
    this.levels = levels;
    this.passages = passages;
    spill = spill();
  }

  private double[] spill() {
    double[] starts = new double[passages.points()];
    double[] heights = new double[passages.points()];
    for (int v = 0; v < starts.length; v++) {
      heights[v] = passages.height(v);
      starts[v] = passages.isOpenEnd(v) ? heights[v] : Double.POSITIVE_INFINITY;
    }
    return LowestCrest.of(
        passages,
        e -> passages.lets(e ^ 1) ? passages.high(e) : Double.POSITIVE_INFINITY,
        starts,
        v -> v < network.size() ? network.tankPortsAt(v) : NONE,
        heights);
  }

  /** Returns what stays in each tank that holds water and breathes, by its id (m³). */
  Map<PartId, Double> left() {
    Map<PartId, Double> left = new TreeMap<>();
    for (int i = 0; i < network.tanks().size(); i++) {
      Part tank = network.tanks().get(i);
      int[] ports = network.tankVertices(i);
      boolean breathes = Arrays.stream(ports).anyMatch(passages::letsAirIn);
      double lowest =
          Arrays.stream(ports)
              .filter(levels::wet)
              .mapToDouble(v -> spill[v])
              .min()
              .orElse(Double.POSITIVE_INFINITY);
      if (breathes && lowest < levels.surface(tank.id())) {
        double corner = levels.slope().heightOf(new Point(tank.x(), tank.y(), tank.height()));
        double volume = network.room(tank.id()).volumeBelow(lowest - corner, levels.slope());
        left.put(tank.id(), Math.min(volume, now.state().volume(tank.id())));
      }
    }
    return left;
  }
}
