package fernwort.core.network;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.kind.tank.Point;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.tank.TankFigures;
import fernwort.core.tank.TankRoom;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;

/**
 * Heights on the slope a vehicle stands on: of every port, of every line's crest and of the water
 * in every tank. Made once per state of the tanks and used for any setting of the handles.
 */
public final class Levels {

  /** Less room, or less water, than this is none (m³): a microlitre, far less than a drop. */
  private static final double NONE = 1e-9;

  /**
   * A port is covered once water stands so far above its lower edge (m). It is no more than a
   * rounding error of a level, so that a tank filled to a port's very height leaves it free.
   */
  public static final double COVERED = 1e-6;

  /** Over how much of its rise below its mark a float valve closes (m). */
  public static final double THROTTLES = 0.010;

  private final Network network;

  private final Heights heights;
  private final double[] surface;
  private final double[] volume;

  private Levels(Network network, Map<PartId, Double> volumes, Slope slope) {
    this.network = network;
    heights = network.heights(slope);
    int parts = network.rig().parts().size();
    surface = new double[parts];
    volume = new double[parts];
    network.tanks().forEach(tank -> fill(tank, volumes, slope));
  }

  /** Works the heights out for the tanks and slope of a state. */
  public static Levels of(Network network, State state) {
    return new Levels(network, state.volumes(), state.slope());
  }

  private void fill(Part tank, Map<PartId, Double> volumes, Slope slope) {
    int index = network.index(tank.id());
    TankRoom room = network.room(tank.id());
    volume[index] = volumes.getOrDefault(tank.id(), 0.0);
    double corner = slope.heightOf(new Point(tank.x(), tank.y(), tank.height()));
    surface[index] = corner + room.level(volume[index], slope);
  }

  /** Returns the state that these are the levels of, with some setting. */
  public State state(Setting setting) {
    Map<PartId, Double> volumes = new HashMap<>();
    network.tanks().forEach(t -> volumes.put(t.id(), volume(t.id())));
    return new State(setting, volumes, slope());
  }

  /** Returns the slope. */
  public Slope slope() {
    return heights.slope();
  }

  /** Returns what a tank takes and gives on this slope. */
  public TankFigures figures(Part tank) {
    return heights.figures(tank);
  }

  /** Returns the height of the water surface in a tank (m). */
  public double surface(PartId tank) {
    return surface[network.index(tank)];
  }

  /** Returns the water in a tank (m³). */
  public double volume(PartId tank) {
    return volume[network.index(tank)];
  }

  /** Tells whether a tank is as full as it gets, to a thousandth. */
  public boolean isFull(PartId tank) {
    return volume(tank) >= 0.999 * network.room(tank).capacity();
  }

  /** Tells whether not a drop more fits into a tank. */
  public boolean isBrimFull(PartId tank) {
    return volume(tank) >= network.room(tank).capacity() - NONE;
  }

  /** Tells whether there is not a drop in a tank. */
  public boolean isEmpty(PartId tank) {
    return volume(tank) <= NONE;
  }

  /** Tells whether the water of a tank covers one of its ports. */
  public boolean isCovered(PortRef tankPort) {
    return covered(network.vertex(tankPort));
  }

  /** Returns the height of a port's upper edge, where it closes to air (m). */
  public double top(PortRef port) {
    return heights.upper(network.vertex(port));
  }

  /** Returns the height of a port, of its lower edge where it is wide (m). */
  public double height(PortRef port) {
    return heights.lower(network.vertex(port));
  }

  /** Returns the height of the highest point of a line (m). */
  public double crest(LineId line) {
    return heights.crest(network.lineNumber(line));
  }

  /** Returns the heights along a line on the slope, from its first end to its second (m). */
  public double[] profile(int line) {
    return heights.profile(line);
  }

  /** Returns how far a line sags below the lower of the heights to both sides of the sag (m). */
  public double sag(LineId line) {
    double[] run = profile(network.lineNumber(line));
    double deepest = 0;
    for (int i = 1; i < run.length - 1; i++) {
      double before = Arrays.stream(run, 0, i).max().orElse(run[i]);
      double after = Arrays.stream(run, i + 1, run.length).max().orElse(run[i]);
      deepest = Math.max(deepest, Math.min(before, after) - run[i]);
    }
    return deepest;
  }

  /** Returns the height of a part on the slope (m). */
  public double height(Part part) {
    return slope().heightOf(new Point(part.x(), part.y(), part.height()));
  }

  /** Returns the height of a port (m). */
  public double height(int vertex) {
    return heights.lower(vertex);
  }

  /** Returns the highest height that a line passes (m). */
  public double crest(int line) {
    return heights.crest(line);
  }

  /** Tells whether the water of a tank stands over one of its ports and may leave by it. */
  public boolean wet(int tankPort) {
    return covered(tankPort) && !network.onlyIn(tankPort);
  }

  /** Tells whether a port is a float valve that the water has shut. */
  public boolean floatShut(int tankPort) {
    return covered(tankPort) && network.onlyIn(tankPort);
  }

  /** Returns how far a float valve is open at a tank's level: from 1, free, to 0, closed. */
  public double floatOpening(int tankPort) {
    double below = heights.lower(tankPort) - surface[network.owner(tankPort)];
    return Math.clamp(below / THROTTLES, 0, 1);
  }

  /** Tells whether the air of a tank passes one of its ports. */
  public boolean breathes(int tankPort) {
    return !stands(tankPort, heights.upper(tankPort)) && !network.onlyIn(tankPort);
  }

  private boolean covered(int tankPort) {
    return stands(tankPort, heights.lower(tankPort));
  }

  private boolean stands(int tankPort, double over) {
    int index = network.owner(tankPort);
    return volume[index] > NONE && surface[index] > over + COVERED;
  }
}
