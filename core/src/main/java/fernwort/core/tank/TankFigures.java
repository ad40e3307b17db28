package fernwort.core.tank;

import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Slope;
import java.util.List;

/**
 * What of a tank can be used on a slope.
 *
 * @param capacity filled to the last corner (m³)
 * @param stranded below the lowest outlet, which only a drain or a tilt gets out (m³)
 * @param unreachable above the lowest vent or overflow, which cannot be filled (m³)
 */
public record TankFigures(double capacity, double stranded, double unreachable) {

  /**
   * Returns the figures of a tank. A tank without vent or outlet loses nothing to it. A drain
   * counts as the outlet only of a tank that has no other: nobody draws by a drain.
   */
  public static TankFigures of(Tank tank, TankRoom room, Slope slope) {
    List<TankPort> vents = ports(tank, TankPort.Use.VENT);
    List<TankPort> feeds = ports(tank, TankPort.Use.FEED);
    List<TankPort> outlets = feeds.isEmpty() ? ports(tank, TankPort.Use.DRAIN) : feeds;
    double filled = vents.isEmpty() ? room.capacity() : room.filledBy(vents, slope);
    double stranded = outlets.isEmpty() ? 0 : room.strandedBy(outlets, slope);
    return new TankFigures(room.capacity(), stranded, Math.max(0, room.capacity() - filled));
  }

  private static List<TankPort> ports(Tank tank, TankPort.Use use) {
    return tank.tankPorts().stream().filter(p -> p.use() == use).toList();
  }

  /** Returns what it takes up to its lowest vent (m³). */
  public double full() {
    return capacity - unreachable;
  }

  /** Returns what can be filled in and drawn again (m³). */
  public double usable() {
    return Math.max(0, full() - stranded);
  }
}
