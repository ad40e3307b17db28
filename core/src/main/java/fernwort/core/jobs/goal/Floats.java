package fernwort.core.jobs.goal;

import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.tank.TankRoom;
import java.util.Comparator;
import java.util.List;

/** The float valves of a tank, each of which stops what comes in by it at its own height. */
public final class Floats {

  /** Far enough from where a float shuts that it is surely open, or shut (m). */
  static final double CLEAR = 0.01;

  /** Volumes that differ by less are the same (m³). */
  private static final double SAME = 1e-9;

  private Floats() {}

  /** Returns a tank's float valves, lowest first. */
  public static List<TankPort> of(Part tank) {
    return ((Tank) tank.kind())
        .tankPorts().stream()
            .filter(p -> p.use() == TankPort.Use.FLOAT)
            .sorted(Comparator.comparingDouble(p -> p.at().z()))
            .toList();
  }

  /**
   * Returns what a tank holds, as it is parked, when its water stands at the opening at which it
   * stands on level ground with a volume (m³).
   */
  public static double leaned(Network network, Part tank, double level, Slope slope) {
    TankRoom room = network.room(tank.id());
    return tank.kind().tankPorts().stream()
        .filter(p -> Math.abs(room.volumeBelow(p.at(), Slope.LEVEL) - level) < SAME)
        .findFirst()
        .map(p -> room.volumeBelow(p.at(), slope))
        .orElse(level);
  }

  /** Returns what a tank holds on level ground when a float shuts (m³). */
  public static double shutsAt(Network network, Part tank, TankPort port) {
    return network.room(tank.id()).volumeBelow(port.at().z(), Slope.LEVEL);
  }
}
