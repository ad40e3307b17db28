package fernwort.core.tank;

import fernwort.core.kind.end.Tank;
import fernwort.core.rig.Slope;
import java.util.ArrayList;
import java.util.List;

/**
 * A scale for a stick held upright to the floor of a tank at its gauge.
 *
 * @param length what of the stick may get wet (m)
 * @param marks the marks, from below
 */
public record Dipstick(double length, List<Mark> marks) {

  private static final int HALVINGS = 50;

  /** Marks nearer than this cannot be told apart (m). */
  private static final double NEAREST = 2e-3;

  /** What marks may be apart, in the unit of the scale. */
  private static final double[] STEPS = {0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100};

  /**
   * A mark.
   *
   * @param wet how much of the stick is wet (m)
   * @param volume what the tank holds then (m³)
   * @param main whether it has its number
   */
  public record Mark(double wet, double volume, boolean main) {}

  public Dipstick {
    marks = List.copyOf(marks);
  }

  /**
   * Returns the scale of a tank on a slope.
   *
   * @param unit what the scale counts in (m³): a litre, a gallon
   */
  public static Dipstick of(Tank tank, TankRoom room, Slope slope, double unit) {
    double length = room.highest(Slope.LEVEL);
    double least = volume(tank, room, slope, 0);
    double most = volume(tank, room, slope, length);
    double step = unit * step((most - least) / (length / NEAREST) / unit);
    List<Mark> marks = new ArrayList<>();
    for (int i = (int) Math.ceil(least / step); i * step <= most; i++) {
      double wet = wet(tank, room, slope, length, i * step);
      marks.add(new Mark(wet, i * step, i % 5 == 0));
    }
    return new Dipstick(length, marks);
  }

  private static double step(double least) {
    for (double step : STEPS) {
      if (step >= least) {
        return step;
      }
    }
    return STEPS[STEPS.length - 1];
  }

  private static double volume(Tank tank, TankRoom room, Slope slope, double wet) {
    return new Reading.Stick(wet).volume(tank, room, slope);
  }

  /** By halving: the more is wet, the more is in it. */
  private static double wet(Tank tank, TankRoom room, Slope slope, double length, double volume) {
    double low = 0;
    double high = length;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (low + high) / 2;
      if (volume(tank, room, slope, middle) < volume) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return high;
  }
}
