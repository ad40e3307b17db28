package fernwort.core.run.water;

import fernwort.core.kind.tank.Point;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.tank.TankRoom;
import java.util.Arrays;

/** The volumes of one tank at which something changes: its ports are covered, or it is full. */
public final class Thresholds {

  /** Water this far past a port counts as past it (m). */
  private static final double PAST = 3e-6;

  /** A volume this near to a threshold is at it (m³). */
  private static final double AT = 1e-12;

  private static final double SAME = 1e-5;

  private final double[] middle;
  private final double[] rising;
  private final double[] falling;

  private Thresholds(double[] middle, double[] rising, double[] falling) {
    this.middle = middle;
    this.rising = rising;
    this.falling = falling;
  }

  /**
   * Returns the thresholds of a tank.
   *
   * @param heights heights on the slope that matter, in the frame of the ground (m)
   */
  public static Thresholds of(Network network, Part tank, double[] heights, Slope slope) {
    TankRoom room = network.room(tank.id());
    double corner = slope.heightOf(new Point(tank.x(), tank.y(), tank.height()));
    double low = room.lowest(slope);
    double high = room.highest(slope);
    double[] levels =
        Arrays.stream(heights).map(h -> h - corner).filter(l -> l > low && l < high).toArray();
    Arrays.sort(levels);
    double[] kept = new double[levels.length];
    int count = 0;
    for (double level : levels) {
      if (count == 0 || level > kept[count - 1] + SAME) {
        kept[count++] = level;
      }
    }
    double[] middle = new double[count + 1];
    double[] rising = new double[count + 1];
    double[] falling = new double[count + 1];
    for (int i = 0; i < count; i++) {
      middle[i] = room.volumeBelow(kept[i] + Levels.COVERED, slope);
      rising[i] = room.volumeBelow(kept[i] + PAST, slope);
      falling[i] = room.volumeBelow(kept[i] - PAST, slope);
    }
    middle[count] = room.capacity();
    rising[count] = room.capacity();
    falling[count] = 0;
    Arrays.sort(falling);
    return new Thresholds(middle, rising, falling);
  }

  /**
   * Returns a number that differs between volumes with a threshold between them.
   *
   * @param volume of the tank's water (m³)
   */
  public int part(double volume) {
    int part = 0;
    for (double threshold : middle) {
      if (threshold <= volume) {
        part++;
      }
    }
    return part;
  }

  /** Returns the next threshold above a volume; infinite for none (m³). */
  public double above(double volume) {
    for (double threshold : rising) {
      if (threshold > volume + AT) {
        return threshold;
      }
    }
    return Double.POSITIVE_INFINITY;
  }

  /** Returns the next threshold below a volume; minus infinity for none (m³). */
  double below(double volume) {
    for (int i = falling.length - 1; i >= 0; i--) {
      if (falling[i] < volume - AT) {
        return falling[i];
      }
    }
    return Double.NEGATIVE_INFINITY;
  }
}
