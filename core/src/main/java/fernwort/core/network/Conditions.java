package fernwort.core.network;

import fernwort.core.network.flow.Fluid;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a steady flow depends on beyond handles and levels.
 *
 * @param water the water in the lines
 * @param clogging how many times its clean loss a filter takes, by id; 1 where none is given
 * @param airPressure gauge pressure of the air above each tank's water, by id (Pa); 0 where none is
 *     given
 */
public record Conditions(
    Fluid water, Map<String, Double> clogging, Map<String, Double> airPressure) {

  /** Water at 15 °C, clean filters, every vent open. */
  public static final Conditions ORDINARY = new Conditions(Fluid.WATER, Map.of(), Map.of());

  public Conditions {
    clogging = Map.copyOf(clogging);
    airPressure = Map.copyOf(airPressure);
  }

  /** Returns these with other air pressures (Pa) above the tanks. */
  public Conditions withAir(Map<String, Double> pressures) {
    return new Conditions(water, clogging, pressures);
  }

  /** Returns these with one filter clogged to so many times its clean loss. */
  public Conditions withClogged(String filter, double factor) {
    Map<String, Double> changed = new TreeMap<>(clogging);
    changed.put(filter, factor);
    return new Conditions(water, changed, airPressure);
  }

  double clogging(String filter) {
    return clogging.getOrDefault(filter, 1.0);
  }

  double airHead(String tank) {
    return water.head(airPressure.getOrDefault(tank, 0.0));
  }
}
