package fernwort.core.sim;

import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** People on board who open a tap now and then: mornings, at noon, and in the evening. */
final class Household {

  private static final double HOUR = 3600;
  private static final double DAY = 24 * HOUR;

  /** Between two draws while people are about (s), on average; own choice. */
  private static final double PAUSE = 900;

  private static final double SHORTEST_DRAW = 4;
  private static final double LONGEST_DRAW = 40;
  private static final double SHOWER = 150;

  private final List<Part> taps;
  private final Random random;
  private double nextOpen;
  private double nextShut = Double.POSITIVE_INFINITY;
  private Optional<Part> open = Optional.empty();

  Household(Rig rig, Random random) {
    this.random = random;
    taps = rig.parts().stream().filter(p -> p.kind().is(Purpose.USE) && p.hasHandle()).toList();
    nextOpen = taps.isEmpty() ? Double.POSITIVE_INFINITY : pause(0);
  }

  /** Returns when somebody turns a tap next (s). */
  double next() {
    return Math.min(nextOpen, nextShut);
  }

  /**
   * Returns what is turned at a time (s).
   *
   * @param mayDraw whether there is water, and room for what runs off
   */
  Optional<Turn> act(double time, boolean mayDraw) {
    if (time >= nextShut) {
      nextShut = Double.POSITIVE_INFINITY;
      nextOpen = time + pause(time);
      Part shut = open.orElseThrow();
      open = Optional.empty();
      return Optional.of(new Turn(shut.id(), shut.rest().id()));
    }
    if (time < nextOpen) {
      return Optional.empty();
    }
    if (!mayDraw || !areAbout(time)) {
      nextOpen = time + pause(time);
      return Optional.empty();
    }
    Part tap = taps.get(random.nextInt(taps.size()));
    nextOpen = Double.POSITIVE_INFINITY;
    nextShut = time + length(tap);
    open = Optional.of(tap);
    List<Position> ways =
        tap.kind().positions().stream().filter(p -> !p.equals(tap.rest())).toList();
    return Optional.of(new Turn(tap.id(), ways.get(random.nextInt(ways.size())).id()));
  }

  private double length(Part tap) {
    boolean showers = tap.kind().figure().equals("shower");
    return showers ? SHOWER : SHORTEST_DRAW + random.nextDouble() * (LONGEST_DRAW - SHORTEST_DRAW);
  }

  private double pause(double time) {
    return areAbout(time) ? -Math.log(1 - random.nextDouble()) * PAUSE : PAUSE;
  }

  private static boolean areAbout(double time) {
    double hour = time % DAY / HOUR;
    return hour >= 7 && hour < 9.5 || hour >= 12 && hour < 13.5 || hour >= 18 && hour < 22;
  }
}
