package fernwort.core.tank;

import fernwort.core.rig.Kind;
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

  private static final double[] STEPS = {1e-3, 2e-3, 5e-3, 10e-3, 20e-3, 50e-3, 100e-3};

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

  /** Returns the scale of a tank on a slope. */
  public static Dipstick of(Kind.Tank tank, TankRoom room, Slope slope) {
    double length = room.highest(Slope.LEVEL);
    double least = volume(tank, room, slope, 0);
    double most = volume(tank, room, slope, length);
    double step = step((most - least) / (length / NEAREST));
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

  private static double volume(Kind.Tank tank, TankRoom room, Slope slope, double wet) {
    return new Reading.Stick(wet).volume(tank, room, slope);
  }

  /** By halving: the more is wet, the more is in it. */
  private static double wet(
      Kind.Tank tank, TankRoom room, Slope slope, double length, double volume) {
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
