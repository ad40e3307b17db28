package fernwort.core.run.water;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import java.util.Map;

/**
 * What lines and bodies lack before they are full, in a rig that was drained. What is not named is
 * full.
 *
 * @param lines by line id (m³)
 * @param bodies by part id (m³)
 */
public record Dry(Map<LineId, Double> lines, Map<PartId, Double> bodies) {

  /** All is full. */
  public static final Dry NOTHING = new Dry(Map.of(), Map.of());

  public Dry {
    lines = Map.copyOf(lines);
    bodies = Map.copyOf(bodies);
  }

  /** Returns all that is lacking (m³). */
  public double all() {
    return sum(lines) + sum(bodies);
  }

  private static double sum(Map<?, Double> of) {
    return of.values().stream().mapToDouble(Double::doubleValue).sum();
  }
}
