package fernwort.core.budget;

import fernwort.core.diary.Entry;
import fernwort.core.id.PartId;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.tank.TankRoom;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * How far off a look into a tank is, by what one looks with. Made once for many looks into the
 * tanks of a rig: what a millimetre holds is found once for each of a hundred levels.
 */
final class GaugeDoubt {

  /** Of a stick or a sight tube (m, standard deviation; our estimate). */
  static final double STICK = 5e-3;

  /** Of a tank that was filled until it ran over, as a share of it. */
  static final double FULL = 0.01;

  /** Of what was poured in by can or meter, as a share of it. */
  static final double POURED = 0.05;

  /** Of a level that nobody saw, only reckoned, as a share of the tank. */
  static final double RECKONED = 0.05;

  /** Of a share guessed by eye or by a gauge of unknown kind, as a share of the tank. */
  static final double GUESSED = 0.05;

  /** Of a level sensor whose slosh is filtered out, as a share of the tank; our estimate. */
  static final double SENSED = 0.01;

  private static final double SAME = 0.02;

  /** So the words of a reading end that was given in steps of the sender. */
  private static final String STEPS = " steps";

  private static final int LEVELS = 100;

  private final Network network;
  private final Map<PartId, double[]> sticks = new HashMap<>();
  private final Map<PartId, double[]> steps = new HashMap<>();

  GaugeDoubt(Network network) {
    this.network = network;
  }

  /** Returns the standard deviation of what a step of a sender stands for: anything within it. */
  static double step(double step) {
    return step / Math.sqrt(12);
  }

  /**
   * Returns a look into a tank.
   *
   * @param at when (s since 1970)
   * @param reading what was seen; one that was reckoned was seen by nobody
   */
  Fact.Seen seen(Part tank, double at, Entry.Reading reading) {
    double volume = reading.volume();
    Tank kind = (Tank) tank.kind();
    TankRoom room = network.room(tank.id());
    double capacity = room.capacity();
    Gauge gauge = kind.gauge();
    if (reading.isBySensor()) {
      return new Fact.Seen(at, volume, SENSED * capacity, false);
    }
    if (reading.reckoned()) {
      return new Fact.Seen(at, volume, RECKONED * capacity, false);
    }
    return switch (gauge.kind().shows()) {
      case STEPS, LAMPS -> {
        Fact.Seen step =
            gauge.hasLamps()
                ? lamps(at, room, gauge, volume)
                : new Fact.Seen(at, volume, step(capacity / gauge.steps()), true);
        boolean isStep =
            reading.shown().endsWith(STEPS)
                || Math.abs(nearestStep(tank.id(), room, gauge, volume) - volume) < SAME * capacity;
        yield isStep ? step : new Fact.Seen(at, volume, stick(tank.id(), room, volume), false);
      }
      case LEVEL -> new Fact.Seen(at, volume, stick(tank.id(), room, volume), false);
      case NOTHING -> new Fact.Seen(at, volume, GUESSED * capacity, false);
    };
  }

  /** Everything at which as many lamps light as at a volume (m³). */
  private static Fact.Seen lamps(double at, TankRoom room, Gauge gauge, double volume) {
    double depth = room.highest(Slope.LEVEL);
    int shows = gauge.shows(room.level(volume, Slope.LEVEL), depth);
    double low = room.volumeBelow(gauge.from(shows, depth), Slope.LEVEL);
    double high = room.volumeBelow(gauge.upTo(shows, depth), Slope.LEVEL);
    return new Fact.Seen(at, (low + high) / 2, Math.max(step(high - low), 1e-4), true);
  }

  /** What a reading of some steps is taken to hold, the one nearest to a volume (m³). */
  private double nearestStep(PartId tank, TankRoom room, Gauge gauge, double volume) {
    double[] shown =
        steps.computeIfAbsent(
            tank,
            id ->
                IntStream.rangeClosed(0, gauge.steps())
                    .mapToDouble(step -> held(room, gauge, step))
                    .toArray());
    double nearest = shown[0];
    for (double step : shown) {
      nearest = Math.abs(step - volume) < Math.abs(nearest - volume) ? step : nearest;
    }
    return nearest;
  }

  private static double held(TankRoom room, Gauge gauge, int step) {
    double depth = room.highest(Slope.LEVEL);
    double height =
        gauge.hasLamps()
            ? (gauge.from(step, depth) + gauge.upTo(step, depth)) / 2
            : depth * step / gauge.steps();
    return room.volumeBelow(height, Slope.LEVEL);
  }

  /** What a few millimetres on a stick are at some level (m³). */
  private double stick(PartId tank, TankRoom room, double volume) {
    double[] known =
        sticks.computeIfAbsent(
            tank,
            id -> {
              double[] unknown = new double[LEVELS + 1];
              Arrays.fill(unknown, Double.NaN);
              return unknown;
            });
    int level = Math.clamp(Math.round(LEVELS * volume / room.capacity()), 0, LEVELS);
    if (Double.isNaN(known[level])) {
      known[level] = stick(room, level * room.capacity() / LEVELS);
    }
    return known[level];
  }

  private static double stick(TankRoom room, double volume) {
    double level = room.level(volume, Slope.LEVEL);
    double above = room.volumeBelow(level + STICK, Slope.LEVEL);
    double below = room.volumeBelow(level - STICK, Slope.LEVEL);
    return Math.max((above - below) / 2, 1e-4);
  }
}
