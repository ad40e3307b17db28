package fernwort.core.network;

import fernwort.core.rig.Part;
import fernwort.core.rig.Point;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.tank.TankRoom;
import java.util.Map;

/**
 * Heights on the slope a vehicle stands on: of every port, of every line's crest and of the water
 * in every tank. Made once per state of the tanks and used for any setting of the handles.
 */
public final class Levels {

  /** Less room than this is none (m³). */
  private static final double BRIM = 1e-9;

  private final Plumbing plumbing;
  private final double[] height;
  private final double[] crest;
  private final double[] surface;
  private final double[] volume;

  private Levels(Plumbing plumbing, Map<String, Double> volumes, Slope slope) {
    this.plumbing = plumbing;
    height = new double[plumbing.size()];
    for (int v = 0; v < height.length; v++) {
      height[v] = slope.heightOf(plumbing.point(v));
    }
    crest = new double[plumbing.rig().lines().size()];
    for (int i = 0; i < crest.length; i++) {
      crest[i] = slope.heightOf(plumbing.crest(i));
    }
    int parts = plumbing.rig().parts().size();
    surface = new double[parts];
    volume = new double[parts];
    plumbing.rig().tanks().forEach(tank -> fill(tank, volumes, slope));
  }

  /** Works the heights out for the tanks and slope of a state. */
  public static Levels of(Plumbing plumbing, State state) {
    return new Levels(plumbing, state.volumes(), state.slope());
  }

  private void fill(Part tank, Map<String, Double> volumes, Slope slope) {
    int index = plumbing.index(tank.id());
    TankRoom room = plumbing.room(tank.id());
    volume[index] = volumes.getOrDefault(tank.id(), 0.0);
    double corner = slope.heightOf(new Point(tank.x(), tank.y(), tank.height()));
    surface[index] = corner + room.level(volume[index], slope);
  }

  /** Returns the height of the water surface in a tank (m). */
  public double surface(String tank) {
    return surface[plumbing.index(tank)];
  }

  /** Returns the water in a tank (m³). */
  public double volume(String tank) {
    return volume[plumbing.index(tank)];
  }

  /** Tells whether a tank is as full as it gets, to a thousandth. */
  public boolean isFull(String tank) {
    return volume(tank) >= 0.999 * plumbing.room(tank).capacity();
  }

  /** Tells whether not a drop more fits into a tank. */
  boolean isBrimFull(String tank) {
    return volume(tank) >= plumbing.room(tank).capacity() - BRIM;
  }

  /** Returns the height of a port (m). */
  public double height(PortRef port) {
    return height[plumbing.vertex(port)];
  }

  /** Returns the height of the highest point of a line (m). */
  public double crest(String line) {
    return crest[plumbing.lineNumber(line)];
  }

  double height(int vertex) {
    return height[vertex];
  }

  double crest(int line) {
    return crest[line];
  }

  /** Tells whether the water of a tank stands over one of its ports and may leave by it. */
  boolean wet(int tankPort) {
    return covered(tankPort) && !plumbing.onlyIn(tankPort);
  }

  /** Tells whether a port is a float valve that the water has shut. */
  boolean floatShut(int tankPort) {
    return covered(tankPort) && plumbing.onlyIn(tankPort);
  }

  /** Tells whether the air of a tank passes one of its ports. */
  boolean breathes(int tankPort) {
    return !covered(tankPort) && !plumbing.onlyIn(tankPort);
  }

  private boolean covered(int tankPort) {
    int index = plumbing.index(plumbing.part(tankPort).id());
    return volume[index] > 1e-9 && surface[index] > height[tankPort] + 1e-6;
  }
}
