package fernwort.core.tank;

import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Point;
import fernwort.core.rig.Slope;
import fernwort.core.say.Amount;
import fernwort.core.say.Refusal;

/**
 * A level as somebody read it: the ways people read tanks, each turned into litres on the slope the
 * vehicle stood on.
 */
public sealed interface Reading {

  /**
   * Returns the volume that this reading stands for.
   *
   * @throws Refusal in one sentence, when the tank cannot show such a reading
   */
  double volume(Tank tank, TankRoom room, Slope slope);

  /** A share of the whole tank (percent). */
  record Percent(double percent) implements Reading {
    @Override
    public double volume(Tank tank, TankRoom room, Slope slope) {
      within(Says.THE_PERCENTAGE.text(), percent / 100, Amount.share(0), Amount.share(1));
      return percent / 100 * room.capacity();
    }
  }

  /** A volume (m³), as from a jug count or a flow meter. */
  record Volume(double volume) implements Reading {
    @Override
    public double volume(Tank tank, TankRoom room, Slope slope) {
      within(
          Says.THE_AMOUNT.text(),
          volume,
          Amount.volume(0),
          Amount.volume(Math.ceil(room.capacity() * 1e4) / 1e4));
      return Math.min(volume, room.capacity());
    }
  }

  /** The wet length on a stick held upright to the floor of the tank, at the gauge (m). */
  record Stick(double wet) implements Reading {
    @Override
    public double volume(Tank tank, TankRoom room, Slope slope) {
      double depth = room.highest(Slope.LEVEL);
      within(
          Says.THE_HEIGHT_ON_THE_STICK.text(),
          wet,
          Amount.length(0),
          Amount.length(Math.ceil(depth * 1000) / 1000));
      Gauge gauge = tank.gauge();
      double along = slope.up().z() * wet;
      return room.volumeBelow(slope.heightOf(new Point(gauge.x(), gauge.y(), 0)) + along, slope);
    }
  }

  /**
   * The steps that a sender shows, which is the nearest to the level, or the lamps that light: the
   * level is anywhere between the highest of them and the next.
   */
  record Steps(int lit) implements Reading {
    @Override
    public double volume(Tank tank, TankRoom room, Slope slope) {
      Gauge gauge = tank.gauge();
      if (!gauge.showsSteps()) {
        throw new Refusal(Says.THIS_TANK_HAS_NO_SENDER.with());
      }
      if (lit < 0 || lit > gauge.steps()) {
        throw new Refusal(Says.THE_SENDERS_STEPS_MUST_BE_FROM_0.with(gauge.steps()));
      }
      double depth = room.highest(Slope.LEVEL);
      double wet =
          gauge.hasLamps()
              ? (gauge.from(lit, depth) + gauge.upTo(lit, depth)) / 2
              : Math.min(depth, depth * lit / gauge.steps());
      return new Stick(wet).volume(tank, room, slope);
    }
  }

  private static void within(String what, double value, Amount lowest, Amount highest) {
    if (!(value >= lowest.si() && value <= highest.si())) {
      throw new Refusal(Says.MUST_BE_FROM_TO_FOR_THIS_TANK.with(what, lowest, highest));
    }
  }
}
