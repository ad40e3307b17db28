package fernwort.core.network;

import fernwort.core.id.PortId;
import fernwort.core.kind.tank.Point;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.tank.TankFigures;

/** Where the ports and lines of a rig stand on one slope (m), however much water there is. */
final class Heights {

  /** A port lies at least so far under the ceiling of its tank, whatever was measured (m). */
  private static final double CEILING = 1e-4;

  private final Slope slope;

  /** Of each port's lower edge. */
  private final double[] lower;

  /** Of each port's upper edge. */
  private final double[] upper;

  /** Along each line, from its first end to its second. */
  private final double[][] profiles;

  private final double[] crests;

  /** Of each tank, by the number of its part, once somebody asked. */
  private final TankFigures[] figures;

  private final Network network;

  Heights(Network network, Slope slope) {
    this.network = network;
    this.slope = slope;
    figures = new TankFigures[network.rig().parts().size()];
    Point up = slope.up();
    lower = new double[network.size()];
    upper = new double[network.size()];
    for (int v = 0; v < lower.length; v++) {
      double middle = network.point(v).along(up);
      lower[v] = middle - network.half(v);
      upper[v] = middle + network.half(v);
    }
    network.tanks().forEach(this::belowCeiling);
    profiles = new double[network.rig().lines().size()][];
    crests = new double[profiles.length];
    for (int line = 0; line < profiles.length; line++) {
      profiles[line] = profile(network, line, up);
      crests[line] = highest(profiles[line]);
    }
  }

  /**
   * Water that fills a tank to its ceiling stands over a port there, too: it leaves by it, and
   * takes nothing more to get there.
   */
  private void belowCeiling(Part tank) {
    double corner = slope.heightOf(new Point(tank.x(), tank.y(), tank.height()));
    double ceiling = corner + network.room(tank.id()).highest(slope) - CEILING;
    for (PortId port : tank.kind().ports()) {
      int v = network.vertex(tank.port(port));
      lower[v] = Math.min(lower[v], ceiling);
      upper[v] = Math.min(upper[v], ceiling);
    }
  }

  private double[] profile(Network network, int line, Point up) {
    Point[] run = network.run(line);
    double[] heights = new double[run.length];
    for (int i = 0; i < run.length; i++) {
      heights[i] = run[i].along(up);
    }
    heights[0] = lower[network.lineFrom(line)];
    heights[run.length - 1] = lower[network.lineTo(line)];
    return heights;
  }

  private static double highest(double[] heights) {
    double highest = heights[0];
    for (double height : heights) {
      highest = Math.max(highest, height);
    }
    return highest;
  }

  Slope slope() {
    return slope;
  }

  double lower(int port) {
    return lower[port];
  }

  double upper(int port) {
    return upper[port];
  }

  double crest(int line) {
    return crests[line];
  }

  double[] profile(int line) {
    return profiles[line].clone();
  }

  /** What a tank takes and gives. Two who ask at once may both work it out, to the same end. */
  TankFigures figures(Part tank) {
    int part = network.index(tank.id());
    if (figures[part] == null) {
      figures[part] = TankFigures.of(network.joined(tank), network.room(tank.id()), slope);
    }
    return figures[part];
  }
}
