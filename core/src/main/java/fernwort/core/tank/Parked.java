package fernwort.core.tank;

import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Slope;

/**
 * One tank on a slope.
 *
 * @param figures what of it can be used there
 * @param senderSteps what a sender with steps shows of the water in it; 0 for none
 * @param senderSays what the tank would hold if that were read on level ground (m³)
 * @param leftAfterDraining what stays below its drain (m³); all of it without a drain
 */
public record Parked(
    TankFigures figures, int senderSteps, double senderSays, double leftAfterDraining) {

  private static final double GRID = 0.5;

  /** What is left in a tank is alike within so much (m³): a millilitre. */
  private static final double ALIKE = 1e-6;

  /** Looks at a tank that holds so much (m³) on a slope. */
  public static Parked of(Tank tank, TankRoom room, double volume, Slope slope) {
    Gauge gauge = tank.gauge();
    double depth = room.highest(Slope.LEVEL);
    double floor = slope.heightOf(new Point(gauge.x(), gauge.y(), 0));
    double along = (room.level(volume, slope) - floor) / slope.up().z();
    double wet = Math.clamp(along, 0, depth);
    int steps = gauge.showsSteps() ? gauge.shows(wet, depth) : 0;
    return new Parked(
        TankFigures.of(tank, room, slope),
        steps,
        room.volumeBelow(wet, Slope.LEVEL),
        Math.min(volume, undrained(tank, room, slope)));
  }

  private static double undrained(Tank tank, TankRoom room, Slope slope) {
    return tank.tankPorts().stream()
        .filter(p -> p.use() == TankPort.Use.DRAIN)
        .mapToDouble(p -> room.volumeBelow(slope.heightOf(p.at()) - p.half(), slope))
        .min()
        .orElse(room.capacity());
  }

  /**
   * Returns the way of parking, within {@link Slope#PARKING} each way, that leaves least in a tank
   * below its drain; the flattest of equals.
   */
  public static Slope bestToDrain(Tank tank, TankRoom room) {
    Slope best = Slope.LEVEL;
    double least = undrained(tank, room, best);
    for (double pitch = -Slope.PARKING; pitch <= Slope.PARKING; pitch += GRID) {
      for (double roll = -Slope.PARKING; roll <= Slope.PARKING; roll += GRID) {
        Slope slope = new Slope(pitch, roll);
        double left = undrained(tank, room, slope);
        boolean flatter = Math.hypot(pitch, roll) < Math.hypot(best.pitch(), best.roll());
        if (left < least - ALIKE || left < least + ALIKE && flatter) {
          best = slope;
          least = Math.min(least, left);
        }
      }
    }
    return best;
  }
}
