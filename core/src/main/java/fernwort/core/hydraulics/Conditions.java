package fernwort.core.hydraulics;

import fernwort.core.flow.Fluid;
import fernwort.core.id.PartId;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a steady flow depends on beyond handles and levels.
 *
 * @param water the water in the lines
 * @param clogging how many times its clean loss a filter takes, by id; 1 where none is given
 * @param carried what a run carries over from the moment before
 */
public record Conditions(Fluid water, Map<PartId, Double> clogging, Carried carried) {

  /** Water at 15 °C, clean filters, every vent open. */
  public static final Conditions ORDINARY = new Conditions(Fluid.WATER, Map.of(), Carried.NOTHING);

  public Conditions {
    clogging = Map.copyOf(clogging);
  }

  /** Returns these with what a run carries over. */
  public Conditions carrying(Carried other) {
    return new Conditions(water, clogging, other);
  }

  /** Returns these with one filter clogged to so many times its clean loss. */
  public Conditions withClogged(PartId filter, double factor) {
    Map<PartId, Double> changed = new TreeMap<>(clogging);
    changed.put(filter, factor);
    return new Conditions(water, changed, carried);
  }

  /** Returns these with other water. */
  public Conditions with(Fluid other) {
    return new Conditions(other, clogging, carried);
  }

  double clogging(PartId filter) {
    return clogging.getOrDefault(filter, 1.0);
  }

  double airHead(PartId tank) {
    return water.head(carried.airPressure().getOrDefault(tank, 0.0));
  }
}
