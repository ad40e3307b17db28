package fernwort.core.frost;

import java.util.OptionalDouble;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * How something cools through a night.
 *
 * <p>Over a straight piece of the air's curve, T_a = a + b·t, with k = UA/(m·c): T = T_a + P/UA −
 * b/k + C·e^(−kt). Down to 0 °C the water cools, then ice grows at 0 °C with what is lost, and
 * melts with what is gained, until all of it is water again.
 *
 * @param lowest the lowest temperature were there no ice (K)
 * @param zero when it is at 0 °C first (s from the start), if ever
 * @param stops when a fifth of it is ice first (s from the start), if ever
 * @param ice the most of it that is ice at once (0 to 1)
 */
public record Night(double lowest, OptionalDouble zero, OptionalDouble stops, double ice) {

  private static final double ACCURACY = 1e-3;
  private static final int MOST_TRIES = 200;

  /**
   * Returns the night of something.
   *
   * @param body what cools
   * @param air the air round it
   * @param start its temperature at the start (K)
   */
  public static Night of(Cooling body, Curve air, double start) {
    double k = body.rate();
    double lowest = start;
    double t = start;
    OptionalDouble zero = start <= ColdWater.ZERO ? OptionalDouble.of(0) : OptionalDouble.empty();
    double begin = air.times().getFirst();
    for (int i = 1; i < air.times().size(); i++) {
      double from = air.times().get(i - 1);
      double length = air.times().get(i) - from;
      double a = body.settles(air.temperatures().get(i - 1));
      double b = (air.temperatures().get(i) - air.temperatures().get(i - 1)) / length;
      double c = t - a + b / k;
      UnivariateFunction temperature = x -> a + b * x - b / k + c * Math.exp(-k * x);
      // It turns once at most: where it meets the air, b = k·C·e^(−kx).
      double turn = b / (k * c) > 0 ? -Math.log(b / (k * c)) / k : Double.NaN;
      boolean turns = turn > 0 && turn < length;
      double middle = turns ? turn : length;
      if (zero.isEmpty()) {
        zero = crossing(temperature, 0, middle, from - begin);
      }
      if (zero.isEmpty() && turns) {
        zero = crossing(temperature, middle, length, from - begin);
      }
      lowest = Math.min(lowest, Math.min(temperature.value(middle), temperature.value(length)));
      t = temperature.value(length);
    }
    Ice ice = zero.isEmpty() ? Ice.NONE : Ice.of(body, air, zero.getAsDouble() + begin);
    return new Night(
        lowest,
        zero,
        ice.stops().isEmpty()
            ? OptionalDouble.empty()
            : OptionalDouble.of(ice.stops().getAsDouble() - begin),
        ice.most());
  }

  private static OptionalDouble crossing(
      UnivariateFunction temperature, double from, double to, double offset) {
    double a = temperature.value(from) - ColdWater.ZERO;
    double b = temperature.value(to) - ColdWater.ZERO;
    if (a <= 0) {
      return OptionalDouble.of(offset + from);
    }
    if (b > 0) {
      return OptionalDouble.empty();
    }
    double at =
        b == 0
            ? to
            : new BracketingNthOrderBrentSolver(ACCURACY, 5)
                .solve(MOST_TRIES, x -> temperature.value(x) - ColdWater.ZERO, from, to);
    return OptionalDouble.of(offset + at);
  }
}
