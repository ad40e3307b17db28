package fernwort.core.bench;

import fernwort.core.flow.Fluid;
import fernwort.core.flow.Pipe;
import fernwort.core.say.Refusal;

/**
 * What a fitting narrower than its line costs: sudden narrowing ½(1 − β²) and widening (1 − β²)²
 * after Borda and Carnot, on the speed inside the fitting, β being its bore over the line's.
 *
 * @param takes the pressure that it takes (Pa)
 * @param metre the pressure that a metre of the line takes (Pa)
 */
public record NarrowFitting(double takes, double metre) {

  private static final double SHORT = 1e-4;

  /**
   * Reckons some fittings of one sort.
   *
   * @param line bore of the line (m)
   * @param fitting bore of the fitting (m)
   * @param flow what runs (m³/s)
   * @param count how many there are (1)
   * @throws Refusal when it is not narrower, or nothing runs
   */
  public static NarrowFitting of(double line, double fitting, double flow, double count) {
    if (!(fitting > 0 && fitting <= line)) {
      throw new Refusal(Says.THE_FITTING_MUST_BE_NARROWER.with());
    }
    if (!(flow > 0 && count >= 0)) {
      throw new Refusal(Says.GIVE_A_FLOW_AND_HOW_MANY.with());
    }
    double open = 1 - Math.pow(fitting / line, 2);
    Pipe through =
        Pipe.of(fitting, SHORT, PiecedLine.ROUGHNESS, open / 2 + open * open, Fluid.WATER);
    Pipe metre = Pipe.of(line, 1, PiecedLine.ROUGHNESS, 0, Fluid.WATER);
    return new NarrowFitting(
        count * Fluid.WATER.pressure(through.loss(flow)), Fluid.WATER.pressure(metre.loss(flow)));
  }

  /** Returns the length of the line that takes as much (m). */
  public double asLine() {
    return takes / metre;
  }
}
