package fernwort.core.frost;

import java.util.OptionalDouble;

/**
 * Ice in water that stays at 0 °C: dm/dt = (UA·(0 − T_a) − P)/L, quadratic over each straight piece
 * of the air's curve. Water that has thawed wholly is taken to stay at 0 °C until the night ends.
 *
 * @param stops when a fifth is ice first (s on the curve), if ever
 * @param most the most that is ice at once (0 to 1)
 */
record Ice(OptionalDouble stops, double most) {

  static final Ice NONE = new Ice(OptionalDouble.empty(), 0);

  static Ice of(Cooling body, Curve air, double since) {
    double all = ColdWater.freezing(body.volume(), 1);
    double goal = ColdWater.STOPS * all;
    double frozen = 0;
    double most = 0;
    OptionalDouble stops = OptionalDouble.empty();
    for (int i = 1; i < air.times().size(); i++) {
      double from = Math.max(air.times().get(i - 1), since);
      double length = air.times().get(i) - from;
      if (length <= 0) {
        continue;
      }
      double before = loss(body, air.at(from));
      double after = loss(body, air.at(air.times().get(i)));
      double slope = (after - before) / length;
      double turn = slope == 0 ? -1 : -before / slope;
      double peak = turn > 0 && turn < length ? turn : length;
      if (stops.isEmpty()) {
        OptionalDouble when = reaches(frozen, before, slope, goal, length);
        if (when.isPresent()) {
          stops = OptionalDouble.of(from + when.getAsDouble());
        }
      }
      most = Math.max(most, grown(frozen, before, slope, peak));
      frozen = Math.clamp(grown(frozen, before, slope, length), 0, all);
      most = Math.max(most, frozen);
    }
    return new Ice(stops, Math.min(1, most / all));
  }

  private static double loss(Cooling body, double air) {
    return body.conductance() * (ColdWater.ZERO - air) - body.heating();
  }

  private static double grown(double frozen, double loss, double slope, double time) {
    return Math.max(0, frozen + loss * time + slope * time * time / 2);
  }

  /** The first root of frozen + loss·t + slope·t²/2 = goal within a piece. */
  private static OptionalDouble reaches(
      double frozen, double loss, double slope, double goal, double length) {
    double missing = goal - frozen;
    if (Math.abs(slope) < 1e-12) {
      double t = loss > 0 ? missing / loss : -1;
      return t >= 0 && t <= length ? OptionalDouble.of(t) : OptionalDouble.empty();
    }
    double under = loss * loss + 2 * slope * missing;
    if (under < 0) {
      return OptionalDouble.empty();
    }
    double root = Math.sqrt(under);
    double one = (-loss + root) / slope;
    double other = (-loss - root) / slope;
    double first = Math.min(one, other);
    double second = Math.max(one, other);
    double t = first >= 0 ? first : second;
    return t >= 0 && t <= length ? OptionalDouble.of(t) : OptionalDouble.empty();
  }
}
