package fernwort.core.tank;

import fernwort.core.rig.Kind;
import fernwort.core.rig.Slope;
import fernwort.core.rig.TankPort;
import java.util.Collection;
import java.util.List;
import java.util.function.DoubleBinaryOperator;

/**
 * What of a tank can be used on a slope.
 *
 * @param capacity filled to the last corner (m³)
 * @param stranded below the lowest outlet, which only a drain or a tilt gets out (m³)
 * @param unreachable above the lowest vent or overflow, which cannot be filled (m³)
 */
public record TankFigures(double capacity, double stranded, double unreachable) {

  /** Returns the figures of a tank. A tank without vent or outlet loses nothing to it. */
  public static TankFigures of(Kind.Tank tank, TankRoom room, Slope slope) {
    double filled =
        extreme(tank, room, slope, List.of(TankPort.Use.VENT), room.capacity(), Math::min);
    Collection<TankPort.Use> outlets = List.of(TankPort.Use.FEED, TankPort.Use.DRAIN);
    double stranded = extreme(tank, room, slope, outlets, room.capacity(), Math::min);
    boolean outlet = tank.tankPorts().stream().anyMatch(p -> outlets.contains(p.use()));
    return new TankFigures(
        room.capacity(), outlet ? stranded : 0, Math.max(0, room.capacity() - filled));
  }

  /** Returns what can be filled in and drawn again (m³). */
  public double usable() {
    return Math.max(0, capacity - unreachable - stranded);
  }

  private static double extreme(
      Kind.Tank tank,
      TankRoom room,
      Slope slope,
      Collection<TankPort.Use> uses,
      double start,
      DoubleBinaryOperator choose) {
    return tank.tankPorts().stream()
        .filter(p -> uses.contains(p.use()))
        .mapToDouble(p -> room.volumeBelow(p.at(), slope))
        .reduce(start, choose);
  }
}
