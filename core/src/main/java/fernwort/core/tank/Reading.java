package fernwort.core.tank;

import fernwort.core.rig.Gauge;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Point;
import fernwort.core.rig.Slope;
import java.util.Locale;

/**
 * A level as somebody read it: the ways people read tanks, each turned into litres on the slope the
 * vehicle stood on.
 */
public sealed interface Reading {

  /**
   * Returns the volume that this reading stands for.
   *
   * @throws IllegalArgumentException in one sentence, when the tank cannot show such a reading
   */
  double volume(Kind.Tank tank, TankRoom room, Slope slope);

  /** A share of the whole tank (percent). */
  record Percent(double percent) implements Reading {
    @Override
    public double volume(Kind.Tank tank, TankRoom room, Slope slope) {
      within("The percentage", percent, 0, 100, "%");
      return percent / 100 * room.capacity();
    }
  }

  /** A volume (m³), as from a jug count or a flow meter. */
  record Volume(double volume) implements Reading {
    @Override
    public double volume(Kind.Tank tank, TankRoom room, Slope slope) {
      within("The amount", volume * 1000, 0, Math.ceil(room.capacity() * 1e4) / 10, "L");
      return Math.min(volume, room.capacity());
    }
  }

  /** The wet length on a stick held upright to the floor of the tank, at the gauge (m). */
  record Stick(double wet) implements Reading {
    @Override
    public double volume(Kind.Tank tank, TankRoom room, Slope slope) {
      double depth = room.highest(Slope.LEVEL);
      within("The height on the stick", wet * 1000, 0, Math.ceil(depth * 1000), "mm");
      Gauge gauge = tank.gauge();
      double along = slope.up().z() * wet;
      return room.volumeBelow(slope.heightOf(new Point(gauge.x(), gauge.y(), 0)) + along, slope);
    }
  }

  /** The steps or lamps that a sender shows. */
  record Steps(int lit) implements Reading {
    @Override
    public double volume(Kind.Tank tank, TankRoom room, Slope slope) {
      Gauge gauge = tank.gauge();
      if (gauge.kind() != Gauge.GaugeKind.SENDER) {
        throw new IllegalArgumentException(
            "This tank has no sender with steps; give percent, litres or the height on a stick");
      }
      within("The sender's steps", lit, 0, gauge.steps(), "steps");
      double depth = room.highest(Slope.LEVEL) * lit / gauge.steps();
      return new Stick(depth).volume(tank, room, slope);
    }
  }

  private static void within(
      String what, double value, double lowest, double highest, String unit) {
    if (!(value >= lowest && value <= highest)) {
      throw new IllegalArgumentException(
          String.format(
              Locale.ROOT,
              "%s must be from %.0f to %.1f %s for this tank; check the number and its unit",
              what,
              lowest,
              highest,
              unit));
    }
  }
}
