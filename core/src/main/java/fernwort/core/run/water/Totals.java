package fernwort.core.run.water;

import fernwort.core.id.PartId;
import java.util.Map;
import java.util.TreeMap;

/**
 * What has moved since a run began (m³).
 *
 * @param supplied what came in, by hose inlet or container
 * @param drawn what each fixture gave
 * @param out what left at each open end, and at fixtures whose waste has no tank or finds it full
 */
public record Totals(
    Map<PartId, Double> supplied, Map<PartId, Double> drawn, Map<PartId, Double> out) {

  /** Returns totals of nothing. */
  public static Totals none() {
    return new Totals(new TreeMap<>(), new TreeMap<>(), new TreeMap<>());
  }

  /** Returns a copy that goes on by itself. */
  public Totals copy() {
    return new Totals(new TreeMap<>(supplied), new TreeMap<>(drawn), new TreeMap<>(out));
  }

  /** Adds what flows for a time (m³/s; s). */
  public static void add(Map<PartId, Double> to, Map<PartId, Double> flows, double seconds) {
    flows.forEach((id, q) -> to.merge(id, q * seconds, Double::sum));
  }

  /** Returns all that left (m³). */
  public double allOut() {
    return out.values().stream().mapToDouble(Double::doubleValue).sum();
  }
}
