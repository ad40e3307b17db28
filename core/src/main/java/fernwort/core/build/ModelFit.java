package fernwort.core.build;

import fernwort.core.bench.JugAgainstModel;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import java.util.Map;
import java.util.TreeMap;

/**
 * The losses of a rig's fittings, fitted to timed jugs: by how much all of them are to be
 * multiplied so that the flows of the model come nearest, by the least squares of the logarithms of
 * measured over modelled flow.
 *
 * @param times by how much (1 leaves them as they are)
 * @param low as little as would still do
 * @param high as much as would still do
 * @param off how far the flows are off with it, root of the mean square of their logarithms
 * @param offBefore the same as described
 * @param flows flow of each fixture with it (m³/s)
 */
public record ModelFit(
    double times,
    double low,
    double high,
    double off,
    double offBefore,
    Map<String, Double> flows) {

  /** Nobody times a jug better than this (share). */
  private static final double JUG = 0.05;

  private static final double LEAST = 0.125;
  private static final double MOST = 8;
  private static final int STEPS = 48;
  private static final double NOTHING = 1e-8;

  /**
   * Fits.
   *
   * @param state handles so that water runs to the taps; each tap is opened alone
   * @param timed measured flow by fixture (m³/s)
   * @throws Refusal when nothing was timed, or the model lets nothing run where something ran
   */
  public static ModelFit of(Plumbing plumbing, State state, Map<String, Double> timed) {
    if (timed.isEmpty()) {
      throw new Refusal("Time a jug at one tap at least, then the model is held against it");
    }
    Hydraulics hydraulics = Hydraulics.of(plumbing);
    double[] errors = new double[STEPS + 1];
    int best = 0;
    for (int i = 0; i <= STEPS; i++) {
      errors[i] = error(plumbing, hydraulics.withFittings(times(i)), state, timed);
      best = errors[i] < errors[best] ? i : best;
    }
    double floor = JUG * JUG / timed.size();
    int low = best;
    int high = best;
    while (low > 0 && errors[low - 1] <= errors[best] + floor) {
      low--;
    }
    while (high < STEPS && errors[high + 1] <= errors[best] + floor) {
      high++;
    }
    return new ModelFit(
        times(best),
        times(low),
        times(high),
        Math.sqrt(errors[best]),
        Math.sqrt(error(plumbing, hydraulics, state, timed)),
        flows(plumbing, hydraulics.withFittings(times(best)), state, timed));
  }

  private static double times(int step) {
    return LEAST * Math.pow(MOST / LEAST, (double) step / STEPS);
  }

  private static Map<String, Double> flows(
      Plumbing plumbing, Hydraulics hydraulics, State state, Map<String, Double> timed) {
    Map<String, Double> flows = new TreeMap<>();
    for (String fixture : timed.keySet()) {
      State alone = JugAgainstModel.alone(plumbing, state, fixture);
      flows.put(fixture, hydraulics.solve(alone).fixture(fixture));
    }
    return flows;
  }

  private static double error(
      Plumbing plumbing, Hydraulics hydraulics, State state, Map<String, Double> timed) {
    double squares = 0;
    for (Map.Entry<String, Double> flow : flows(plumbing, hydraulics, state, timed).entrySet()) {
      double measured = timed.getOrDefault(flow.getKey(), 0.0);
      if (flow.getValue() < NOTHING || measured < NOTHING) {
        throw new Refusal(
            "%s: the model lets nothing run there as the handles stand; set them so that the taps run"
                .formatted(plumbing.rig().part(flow.getKey()).label()));
      }
      squares += Math.pow(Math.log(measured / flow.getValue()), 2);
    }
    return squares / timed.size();
  }
}
