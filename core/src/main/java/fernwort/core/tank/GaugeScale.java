package fernwort.core.tank;

import fernwort.core.kind.end.Tank;
import fernwort.core.rig.Slope;

/**
 * What the gauge of a tank stands for by the tank's shape, on level ground: a sender shows steps,
 * as high as each other; into any other tank one looks with a stick, whose wet length counts (m).
 *
 * @param tank the tank
 * @param room its inside
 */
public record GaugeScale(Tank tank, TankRoom room) {

  /** A stick, or a sender of fewer steps, is read as if it had so many. */
  private static final int FINEST = 8;

  /** Returns what the gauge shows when the tank is full: its steps, or a wet stick (m). */
  public double most() {
    return tank.gauge().showsSteps() ? tank.gauge().steps() : room.highest(Slope.LEVEL);
  }

  /** Returns what the tank holds (m³) when the gauge shows so many steps, or so wet a stick (m). */
  public double volume(double shows) {
    double highest = room.highest(Slope.LEVEL);
    if (tank.gauge().hasLamps()) {
      int lit = Math.clamp(Math.round(shows), 0, tank.gauge().steps());
      return new Reading.Steps(lit).volume(tank, room, Slope.LEVEL);
    }
    double wet = most() > 0 ? highest * shows / most() : 0;
    return new Reading.Stick(Math.clamp(wet, 0, highest)).volume(tank, room, Slope.LEVEL);
  }

  /** Tells whether what was found there is off the tank's shape by more than half a step. */
  public boolean liesAt(GaugeCurve.Point found) {
    double step = room.capacity() / Math.max(FINEST, tank.gauge().steps());
    return Math.abs(found.holds() - volume(found.shows())) > step / 2;
  }
}
