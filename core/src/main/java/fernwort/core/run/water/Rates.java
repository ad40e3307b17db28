package fernwort.core.run.water;

import fernwort.core.hydraulics.Flows;
import fernwort.core.id.PartId;
import java.util.Map;

/**
 * The flows at one end of a step.
 *
 * @param flows the flows
 * @param gains what each tank gains, in the order of the rig's tanks (m³/s)
 */
public record Rates(Flows flows, double[] gains) {

  /** Slower than this nothing moves: a millilitre in a day (m³/s). */
  public static final double STILL = 1.2e-11;

  /** Tells whether nothing moves anywhere. */
  public boolean areStill() {
    for (double gain : gains) {
      if (Math.abs(gain) > STILL) {
        return false;
      }
    }
    return areStill(flows.fixtures()) && areStill(flows.ends()) && areStill(flows.supplies());
  }

  private static boolean areStill(Map<PartId, Double> of) {
    return of.values().stream().allMatch(q -> Math.abs(q) <= STILL);
  }
}
