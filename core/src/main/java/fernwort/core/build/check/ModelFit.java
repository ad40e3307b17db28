package fernwort.core.build.check;

import fernwort.core.bench.JugAgainstModel;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Network;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What nobody measures of a rig, fitted to timed jugs: by how much the losses of all fittings are
 * to be multiplied and, from three taps on, the free flow of its supply pumps, so that the flows of
 * the model come nearest, by the least squares of the logarithms of measured over modelled flow. A
 * grid of both is gone through; what would fit as well within what a jug tells is the range of
 * each.
 *
 * @param losses by how much the losses of fittings
 * @param pump by how much the pumps' free flow; 1 where too few taps tell
 * @param off how far the flows are off with it, root of the mean square of their logarithms (share
 *     of a flow)
 * @param offBefore the same as described (share of a flow)
 * @param flows flow of each fixture with it (m³/s)
 */
public record ModelFit(
    Factor losses, Factor pump, double off, double offBefore, Map<PartId, Double> flows) {

  /**
   * A factor with what would fit as well.
   *
   * @param times by how much (1 leaves all as it is)
   * @param low lower end of what fits (1)
   * @param high upper end of what fits (1)
   */
  public record Factor(double times, double low, double high) {}

  /** Nobody times a jug better than this (share). */
  private static final double JUG = 0.05;

  /** Fewer taps do not tell pump and losses apart. */
  private static final int TAPS_FOR_PUMP = 3;

  private static final double LEAST = 0.125;
  private static final double MOST = 8;
  private static final int STEPS = 48;
  private static final double NOTHING = 1e-8;

  private static final List<Double> PUMPS = List.of(0.7, 0.8, 0.9, 1.0, 1.1, 1.2, 1.3);
  private static final List<Double> AS_DESCRIBED = List.of(1.0);

  /** A point of the grid. */
  private record Tried(double losses, double pump, double error) {}

  /**
   * Fits.
   *
   * @param state handles so that water runs to the taps; each tap is opened alone
   * @param timed measured flow by fixture (m³/s)
   * @throws Refusal when nothing was timed, or the model lets nothing run where something ran
   */
  public static ModelFit of(Network network, State state, Map<PartId, Double> timed) {
    if (timed.isEmpty()) {
      throw new Refusal(Says.TIME_A_JUG_AT_ONE_TAP.with());
    }
    List<Tried> tried = new ArrayList<>();
    for (double pump : timed.size() >= TAPS_FOR_PUMP ? PUMPS : AS_DESCRIBED) {
      Network pumped = pump == 1 ? network : Network.of(with(network.rig(), 1, pump));
      Hydraulics hydraulics = Hydraulics.of(pumped);
      for (int i = 0; i <= STEPS; i++) {
        double losses = LEAST * Math.pow(MOST / LEAST, (double) i / STEPS);
        tried.add(
            new Tried(
                losses,
                pump,
                error(
                    flows(pumped, hydraulics.withFittings(losses), state, timed), network, timed)));
      }
    }
    Tried best = tried.getFirst();
    for (Tried one : tried) {
      best = one.error() < best.error() ? one : best;
    }
    double floor = best.error() + JUG * JUG / timed.size();
    List<Tried> asGood = tried.stream().filter(t -> t.error() <= floor).toList();
    Rig fitted = with(network.rig(), best.losses(), best.pump());
    Network after = Network.of(fitted);
    Hydraulics before = Hydraulics.of(network);
    return new ModelFit(
        new Factor(
            best.losses(),
            asGood.stream().mapToDouble(Tried::losses).min().orElse(1),
            asGood.stream().mapToDouble(Tried::losses).max().orElse(1)),
        new Factor(
            best.pump(),
            asGood.stream().mapToDouble(Tried::pump).min().orElse(1),
            asGood.stream().mapToDouble(Tried::pump).max().orElse(1)),
        Math.sqrt(best.error()),
        Math.sqrt(error(flows(network, before, state, timed), network, timed)),
        flows(after, Hydraulics.of(after), state, timed));
  }

  /**
   * Returns a rig with the losses of all fittings and the free flow of supply pumps changed.
   *
   * @param losses factor on all loss coefficients (1)
   * @param pump factor on what pumps give (1)
   */
  public static Rig with(Rig rig, double losses, double pump) {
    return new Rig(
        rig.name(),
        rig.note(),
        rig.vehicle(),
        rig.places(),
        rig.parts().stream()
            .map(p -> p.kind().is(Purpose.SUPPLIES) ? p.with(flowing((Pump) p.kind(), pump)) : p)
            .toList(),
        rig.lines().stream().map(l -> l.losing(losses * l.minorLoss())).toList(),
        rig.built());
  }

  private static Pump flowing(Pump pump, double times) {
    return pump.flowing(times * pump.freeFlow());
  }

  private static Map<PartId, Double> flows(
      Network network, Hydraulics hydraulics, State state, Map<PartId, Double> timed) {
    Map<PartId, Double> flows = new TreeMap<>();
    for (PartId fixture : timed.keySet()) {
      State alone = JugAgainstModel.alone(network, state, fixture);
      flows.put(fixture, hydraulics.solve(alone).fixture(fixture));
    }
    return flows;
  }

  private static double error(
      Map<PartId, Double> flows, Network network, Map<PartId, Double> timed) {
    double squares = 0;
    for (Map.Entry<PartId, Double> flow : flows.entrySet()) {
      double measured = timed.getOrDefault(flow.getKey(), 0.0);
      if (flow.getValue() < NOTHING || measured < NOTHING) {
        throw new Refusal(
            Says.NOTHING_RUNS_THERE_IN_THE_MODEL.with(network.rig().part(flow.getKey()).label()));
      }
      squares += Math.pow(Math.log(measured / flow.getValue()), 2);
    }
    return squares / timed.size();
  }
}
