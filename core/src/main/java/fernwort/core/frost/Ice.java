package fernwort.core.frost;

import java.util.OptionalDouble;

/**
 * Ice in water that stays at 0 °C: dm/dt = (UA·(0 − T_a) − P)/L, quadratic over each straight piece
 * of the air's curve. Water that has thawed wholly is taken to stay at 0 °C until the night ends,
 * so that the next frost finds it there.
 *
 * @param stops when a fifth is ice first (s on the curve), if ever
 * @param most the most that is ice at once (0 to 1)
 */
record Ice(OptionalDouble stops, double most) {

  static final Ice NONE = new Ice(OptionalDouble.empty(), 0);

  static Ice of(Cooling body, Curve air, double since) {
    Growth growth = new Growth(body);
    for (int i = 1; i < air.times().size(); i++) {
      double from = Math.max(air.times().get(i - 1), since);
      double to = air.times().get(i);
      if (to <= from) {
        continue;
      }
      double before = loss(body, air.at(from));
      double after = loss(body, air.at(to));
      // Where freezing turns into thawing or thawing into freezing the piece is two.
      double turn = before * after < 0 ? from + (to - from) * before / (before - after) : from;
      if (turn > from) {
        growth.piece(from, turn, before, 0);
        growth.piece(turn, to, 0, after);
      } else {
        growth.piece(from, to, before, after);
      }
    }
    return new Ice(growth.stops, growth.most / growth.all);
  }

  /** Ice as it grows and melts, none or all at its ends. */
  private static final class Growth {

    private final double all;
    private double frozen;
    private double most;
    private OptionalDouble stops = OptionalDouble.empty();

    private Growth(Cooling body) {
      all = ColdWater.freezing(body.volume(), 1);
    }

    /** Lets the loss go straight from one figure to another of the same sign (W). */
    private void piece(double from, double to, double before, double after) {
      double length = to - from;
      double slope = (after - before) / length;
      double grown = frozen + length * (before + after) / 2;
      double goal = ColdWater.STOPS * all;
      if (stops.isEmpty() && grown >= goal) {
        stops = OptionalDouble.of(from + Math.min(length, reaches(goal - frozen, before, slope)));
      }
      frozen = Math.clamp(grown, 0, all);
      most = Math.max(most, frozen);
    }
  }

  private static double loss(Cooling body, double air) {
    return body.conductance() * (ColdWater.ZERO - air) - body.heating();
  }

  /** The first time at which loss·t + slope·t²/2 is what is missing, of a loss that freezes. */
  private static double reaches(double missing, double loss, double slope) {
    return 2 * missing / (loss + Math.sqrt(Math.max(0, loss * loss + 2 * slope * missing)));
  }
}
